package mix

import (
	"fmt"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// kitchen is a set of spoons: quarter teaspoons are the smallest we trust.
type kitchen struct {
	name         string
	quarter      *big.Rat // mL in a quarter teaspoon
	tbspQuarters int      // quarter teaspoons in a tablespoon
}

var kitchens = map[string]kitchen{
	"metric":   {"metric", rat("1.25"), 12},
	"us":       {"US", new(big.Rat).Quo(rat("3785.411784"), rat("3072")), 12},
	"imperial": {"Imperial", new(big.Rat).Quo(rat("4546.09"), rat("3072")), 12},
	"au":       {"20 mL", rat("1.25"), 16},
}

func findWorld(s string) (string, error) {
	w := strings.ToLower(strings.TrimSpace(s))
	if w == "" || w == "none" {
		return "", nil
	}
	if _, ok := kitchens[w]; !ok {
		return "", fault.New("", fmt.Sprintf("%q is not a set of spoons known here", s), "use metric (5 and 15 mL), us, imperial or au (20 mL tablespoon)")
	}
	return w, nil
}

// spoon shows an amount in kitchen measures: the nearest quarter teaspoon that
// does not pass top (both in mL). Without a label's top the caller gives the
// amount itself, so that rounding only goes down.
func spoon(amount, top *big.Rat, world string) *Spooned {
	k := kitchens[world]
	n := floor(new(big.Rat).Add(new(big.Rat).Quo(amount, k.quarter), big.NewRat(1, 2)))
	if limit := floor(new(big.Rat).Quo(top, k.quarter)); n > limit {
		n = limit
	}
	held := new(big.Rat).Mul(k.quarter, big.NewRat(int64(n), 1))
	out := &Spooned{Ml: float(held), World: world, Spoons: []Spoon{}}
	if amount.Sign() > 0 {
		diff := new(big.Rat).Sub(held, amount)
		out.ErrorPct = float(diff.Quo(diff, amount)) * 100
	}
	q := float(k.quarter)
	add := func(name string, quarters int) {
		if c := n / quarters; c > 0 {
			out.Spoons = append(out.Spoons, Spoon{name, c, q * float64(quarters)})
			n -= c * quarters
		}
	}
	add("tbsp", k.tbspQuarters)
	add("tsp", 4)
	add("1/2 tsp", 2)
	add("1/4 tsp", 1)
	texts := make([]string, 0, len(out.Spoons))
	for _, s := range out.Spoons {
		if strings.HasPrefix(s.Name, "1/") {
			texts = append(texts, s.Name)
			continue
		}
		texts = append(texts, fmt.Sprintf("%d %s", s.Count, s.Name))
	}
	out.Text = strings.Join(texts, " + ")
	return out
}
