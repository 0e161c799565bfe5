package microscopy_test

import (
	"fmt"

	"botanik/core/microscopy"
)

// Forty divisions of the eyepiece over a millimetre: 25 µm each.
func ExampleCalibrate() {
	f, err := microscopy.Calibrate([]microscopy.Reading{{Divisions: 40, Micrometres: 1000}})
	fmt.Println(f.PerDivision, err)
	_, err = microscopy.Calibrate(nil)
	fmt.Println(err != nil)
	// Output:
	// 25 <nil>
	// true
}
