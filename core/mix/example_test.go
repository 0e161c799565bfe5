package mix_test

import (
	"fmt"

	"botanik/core/mix"
)

// A US gallon is 3.785411784 L by definition; units are never guessed.
func ExampleConvert() {
	q, err := mix.Convert("1 US gal", "mL")
	fmt.Println(mix.Decimal(q.Value, 6), q.Unit.Name, err)
	_, err = mix.Convert("1 gal", "mL")
	fmt.Println(err != nil)
	// Output:
	// 3785.411784 mL <nil>
	// true
}

// C1·V1 = C2·V2: 200 mL of 91 % brought to 45 % take 200·(91/45 − 1) mL of water.
func ExampleCutDown() {
	c, err := mix.CutDown(mix.CutIn{Have: "200 mL", From: "91 %", To: "45 %"})
	fmt.Printf("%.1f mL of water %v\n", c.WaterMl, err)
	// Output: 204.4 mL of water <nil>
}
