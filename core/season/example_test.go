package season_test

import (
	"fmt"

	"botanik/core/season"
)

// Seven of ten got better; of four nothing is told.
func ExampleWorkedHere() {
	w, told := season.WorkedHere(7, 10)
	fmt.Printf("%d of %d, %.2f to %.2f %v\n", w.Better, w.N, w.Low, w.High, told)
	_, told = season.WorkedHere(4, 4)
	fmt.Println(told)
	// Output:
	// 7 of 10, 0.40 to 0.89 true
	// false
}
