package mix

import (
	"math/big"
	"strings"
)

// placing is how what is not sprayed is put on: what it is measured into, and its steps.
// {} stands for the amount, which is said in spoons beside where it can be.
type placing struct {
	vessel string
	order  []string
}

// PlaceWays are the words for how an amount over a place is put on.
var PlaceWays = []string{"dust", "bait", "rake", "water", "pour", "release", "plant"}

var placings = map[string]placing{
	"": {},
	"dust": {"shaker", []string{
		"Put {} into a dry jar with a sieve or pierced lid; mask on before the packet is opened.",
		"Stand upwind on a still day and shake half of it thinly over the whole, then the rest where it is thinnest.",
		"What is left goes back into its packet, dry.",
	}},
	"bait": {"cup", []string{
		"Put {} into a dry cup.",
		"Walk over the bed with half of it, then crosswise with the rest: single grains, a hand apart, never a heap or a ring.",
		"Shut the packet away from dogs, and wash your hands.",
	}},
	"rake": {"bucket", []string{
		"Weigh {} into a dry bucket.",
		"Strew half walking one way and half walking across, rake it into the top hand's depth, then water.",
	}},
	"water": {"watering can", []string{
		"Water the place first. Stir {} into a cup of cool water, then into a can of it; take out a fine sieve, or they stay in it.",
		"Pour it evenly within the hour, stirring as you go.",
		"Rinse leaves off with clean water, so that they reach the soil.",
	}},
	"pour": {"watering can", []string{
		"Measure {} with a jug, share by share.",
		"Pour slowly round the stem until a little runs out below; empty the saucer.",
	}},
	"release": {"the tube they come in", []string{
		"Open it on the day it comes, in the evening, at the plants.",
		"Let out {} in small lots on the worst leaves; leave the tube under them overnight.",
	}},
	"plant": {"", []string{"Plant {} spread over the place, and let them flower."}},
}

func (p placing) say(x Placed) []string {
	amount := x.Text
	if x.Spoons != nil {
		amount += " (about " + x.Spoons.Text + ", levelled)"
	}
	var out []string
	for _, s := range p.order {
		out = append(out, strings.ReplaceAll(s, "{}", amount))
	}
	return out
}

// mostSpooned is how much is still counted in spoons, mL: about six tablespoons. More
// is for a jug.
const mostSpooned = 90

// levelled is a weight in spoons, never more than the weight; nil where nothing is
// known of how heavy it lies, nobody said which spoons, or a scale is the better way.
func levelled(grams, bulk float64, world string) *Spooned {
	if bulk <= 0 || world == "" {
		return nil
	}
	ml := new(big.Rat).SetFloat64(grams / bulk)
	if ml == nil || ml.Cmp(big.NewRat(mostSpooned, 1)) > 0 {
		return nil
	}
	s := spoon(ml, ml, world)
	if s.Text == "" {
		return nil
	}
	return s
}
