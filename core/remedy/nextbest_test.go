package remedy_test

import (
	"fmt"

	"botanik/core/remedy"
)

func ExampleNextBest() {
	offers := []remedy.Offer{
		{Remedy: "wipe", Rung: 1, Open: true, Efficacy: "some"},
		{Remedy: "net", Rung: 2, Open: true, Efficacy: "good", Prevents: true},
		{Remedy: "soap", Rung: 4, Open: true, Efficacy: "good"},
		{Remedy: "oil", Rung: 4, Open: true, Efficacy: "fair"},
		{Remedy: "sulfur", Rung: 6, Efficacy: "good"},
	}
	fmt.Println(remedy.NextBest(offers, nil), remedy.NextBest(offers, []string{"soap"}), remedy.NextBest(offers, []string{"soap", "oil"}) == "")
	// Output: soap oil true
}
