package casework_test

import (
	"fmt"

	"botanik/core/casework"
)

// Six mites left where forty live untreated: 1 − 6/40.
func ExampleAbbott() {
	share, err := casework.Abbott(6, 40)
	fmt.Printf("%.2f %v\n", share, err)
	// Output: 0.85 <nil>
}

// Henderson and Tilton: 1 − (5·40)/(50·60). A count of nothing before is no count: the error
// says what to give.
func ExampleEstimateEfficacy() {
	before, after := 40., 60.
	r, err := casework.EstimateEfficacy(casework.Recount{Before: 50, After: 5, Units: 20, CheckBefore: &before, CheckAfter: &after})
	fmt.Printf("%s %.3f %s %v\n", r.Method, r.Reduction, r.Word, err)
	_, err = casework.EstimateEfficacy(casework.Recount{After: 5, Units: 20})
	fmt.Println(err != nil)
	// Output:
	// Henderson-Tilton 0.933 better <nil>
	// true
}
