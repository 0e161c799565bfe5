package scouting_test

import (
	"fmt"

	"botanik/core/scouting"
)

// Seven of ten, 95 % (Wilson 1927). Nothing counted tells nothing: the whole range.
func ExampleWilson() {
	low, high := scouting.Wilson(7, 10)
	fmt.Printf("%.3f %.3f\n", low, high)
	low, high = scouting.Wilson(0, 0)
	fmt.Printf("%.0f %.0f\n", low, high)
	// Output:
	// 0.397 0.892
	// 0 1
}

// McKinney: (0·2 + 1·3 + 2·5)/(10·2).
func ExampleIndex() {
	x, err := scouting.Index([]int{2, 3, 5})
	fmt.Println(x, err)
	// Output: 0.65 <nil>
}
