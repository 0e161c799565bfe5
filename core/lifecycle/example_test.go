package lifecycle_test

import (
	"fmt"

	"botanik/core/lifecycle"
)

// A day from 6 to 24 °C over a threshold of 10 °C, by a sine (Baskerville and Emin 1969): one
// that never passes the threshold gives none.
func ExampleDegreeDays() {
	dd, err := lifecycle.DegreeDays(6, 24, 10, 35)
	fmt.Printf("%.2f %v\n", dd, err)
	dd, err = lifecycle.DegreeDays(2, 9, 10, 35)
	fmt.Println(dd, err)
	// Output:
	// 5.82 <nil>
	// 0 <nil>
}
