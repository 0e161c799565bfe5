package mix

import (
	"fmt"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// Range is what a label allows, from its lowest to its top rate.
type Range struct {
	Low, High Rate
}

// ReadRange reads both ends. Errors name low or high: unreadable, weighed at one
// end and measured at the other, or upside down.
func ReadRange(low, high string) (Range, error) {
	var l fault.List
	read := func(field, text string) Rate {
		r, err := ParseRate(text)
		addRateFault(&l, field, err)
		return r
	}
	out := Range{read("low", low), read("high", high)}
	switch {
	case l.Err() != nil:
	case out.Low.Dim != out.High.Dim:
		l.Add("high", "weighs where the low measures, or the other way round", "give both by volume or both by weight")
	case out.Low.Above(out.High):
		l.Add("low", fmt.Sprintf("%s (%s) is above the top of %s (%s)", low, out.Low.PerLitre(), high, out.High.PerLitre()), "give both as they stand on the label")
	}
	return out, l.Err()
}

// Text is the range as it stands on the label.
func (g Range) Text() string {
	if g.Low.Text == g.High.Text {
		return g.Low.Text
	}
	return g.Low.Text + " to " + g.High.Text
}

// At is a place in the range: "low", "middle" (or ""), "top", or a rate of its
// own as text. Once the bottle's stock was said, a bare "42 %" is thinned from it.
func (g Range) At(use string) (Rate, error) {
	switch use {
	case "low":
		return g.Low, nil
	case "top":
		return g.High, nil
	case "", "middle":
		if g.Low.Kind != Strength || g.High.Kind != Strength {
			return ParseRate(Middle(g.Low, g.High))
		}
		if use == "" { // a strength nobody spoke of is mixed at its gentle end
			return g.Low, nil
		}
		mid := new(big.Rat).Add(g.Low.Target, g.High.Target)
		out, err := strength(mid.Quo(mid, big.NewRat(2, 1)), g.Low.Stock)
		out.own = g.Low.own
		return out, err
	}
	r, err := ParseRate(use)
	if err != nil || !g.Low.own {
		return r, err
	}
	switch r.Kind {
	case Strength:
		return strength(r.Target, g.Low.Stock)
	case PerCent:
		return strength(new(big.Rat).Mul(r.Fraction, hundred), g.Low.Stock)
	}
	return r, nil
}

// FromStock is a range of strengths thinned from another bottle, whose strength
// is written like "70 %". Errors name stock.
func (g Range) FromStock(stock string) (Range, error) {
	s := strings.TrimSpace(strings.TrimSuffix(strings.TrimSpace(stock), "%"))
	v, err := ParseNumber(s)
	if err != nil {
		return g, fault.New("stock", fmt.Sprintf("%q is not a strength", stock), "write what the bottle says, like 70 %")
	}
	low, err := strength(g.Low.Target, v)
	if err != nil {
		return g, err
	}
	high, err := strength(g.High.Target, v)
	return Range{low, high}, err
}

// strength is so much per cent thinned from a bottle of one's own.
func strength(target, stock *big.Rat) (Rate, error) {
	out, err := ParseRate(fmt.Sprintf("%s %% from %s %%", Decimal(target, 4), Decimal(stock, 4)))
	out.own = true
	return out, err
}

// Above reports whether a rate is stronger than another of its kind of measure.
func (r Rate) Above(o Rate) bool { return r.Dim == o.Dim && r.Fraction.Cmp(o.Fraction) > 0 }

// PartOf is a part whose rates were read already.
func PartOf(name, form string, rate Rate, g Range) Part {
	return Part{Name: name, Rate: rate.Text, Low: g.Low.Text, High: g.High.Text, Form: form, read: &readRates{rate, g}}
}

type readRates struct {
	rate Rate
	span Range
}

// Read is the part's rate where it was read already, and nothing otherwise.
func (p Part) Read() Rate {
	if p.read == nil {
		return Rate{}
	}
	return p.read.rate
}

// Times is so many times a rate, as volume in the mix: an emulsifier that is a share
// of its oil.
func (r Rate) Times(share *big.Rat) (Rate, error) {
	if r.Fraction == nil || r.Dim != Volume {
		return Rate{}, fault.New("rate", "a share of something that is not measured by volume", "give the emulsifier a rate of its own, like 1 mL per L")
	}
	perL := new(big.Rat).Mul(r.Fraction, new(big.Rat).Mul(share, big.NewRat(1000, 1)))
	return ParseRate(Decimal(perL, 2) + " mL per L")
}
