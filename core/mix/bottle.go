package mix

import (
	"fmt"
	"math/big"
	"regexp"
	"strings"

	"botanik/core/fault"
)

// Bottle is how strong a concentrate is: g of active ingredient in each mL of it, or
// in each g of a powder.
type Bottle struct {
	Text    string
	grams   *big.Rat // of active ingredient, per mL or g
	Weighed bool     // a powder: its rate is weighed
}

var reWeighed = regexp.MustCompile(`^(.+?)\s*(?:per|/)\s*kg$`)

// ReadBottle reads what a label says of its strength: "80 g per L", "11.6 g/L" and
// "0.5 %" of a liquid, "500 g per kg" of a powder. Per cent of a liquid may be by weight:
// it is taken as by weight of the heaviest concentrate met, so that the mix comes out up
// to a sixth weak and never strong. Errors name stock.
func ReadBottle(text string) (Bottle, error) {
	none := fault.New("stock", fmt.Sprintf("%q is not how strong a bottle is", text), "copy it from the label, like 80 g per L, 0.5 % or 500 g per kg")
	t := strings.ToLower(strings.Join(strings.Fields(text), " "))
	out := Bottle{Text: strings.TrimSpace(text)}
	switch m := reWeighed.FindStringSubmatch(t); {
	case m != nil:
		q, err := ParseQuantity(m[1])
		if err != nil || q.Unit.Dim != Mass {
			return out, none
		}
		out.grams, out.Weighed = new(big.Rat).Quo(q.Base(), big.NewRat(1000, 1)), true
	case strings.Trim(t, "0123456789. ½¼¾") == "%" || strings.Trim(t, "0123456789. ½¼¾") == "":
		v, err := ParseNumber(strings.TrimSpace(strings.TrimSuffix(t, "%")))
		if err != nil {
			return out, none
		}
		out.grams = v.Quo(v.Mul(v, heaviest), hundred)
		if out.grams.Cmp(heaviest) > 0 {
			return out, none
		}
		if out.grams.Cmp(one) > 0 { // hardly anything but the active ingredient
			out.grams = one
		}
		out.Text = strings.TrimSpace(strings.TrimSuffix(out.Text, "%")) + " %"
	default:
		r, err := ParseRate(t)
		if err != nil || r.Kind != PerVolume || r.Dim != Mass {
			return out, none
		}
		out.grams = r.Fraction
	}
	if out.grams.Sign() <= 0 || out.grams.Cmp(one) > 0 {
		return out, none
	}
	return out, nil
}

// heaviest is what a mL of a liquid concentrate weighs at most, g (judgement: suspensions
// lie mostly between 1.0 and 1.2).
var heaviest = big.NewRat(6, 5)

// weakest is how many times a concentrate is thinned at least; what is weaker is
// ready-mixed.
var weakest = big.NewRat(5, 1)

// Range is the rate that puts low to high grams of active ingredient into a litre of
// finished mix, rounded down to a hundredth. Errors name stock: a bottle hardly
// stronger than the mix itself is ready-mixed and not thinned.
func (b Bottle) Range(low, high float64) (Range, error) {
	at := func(gramsPerL float64) (Rate, error) {
		perL := new(big.Rat).SetFloat64(gramsPerL)
		perL.Quo(rounded(perL), b.grams) // mL, or g, in each litre
		if new(big.Rat).Mul(perL, weakest).Cmp(big.NewRat(1000, 1)) > 0 {
			return Rate{}, fault.New("stock", b.Text+" is hardly stronger than the mix itself", "a ready-mixed bottle is not thinned: use it as it is; else read its strength once more")
		}
		hundredths := new(big.Rat).SetInt64(int64(floor(perL.Mul(perL, hundred))))
		if hundredths.Sign() == 0 {
			return Rate{}, fault.New("stock", b.Text+" is too strong to be measured by the litre", "read its strength once more, or choose another bottle")
		}
		unit := " mL per L"
		if b.Weighed {
			unit = " g per L"
		}
		return ParseRate(Decimal(hundredths.Quo(hundredths, hundred), 2) + unit)
	}
	lo, err := at(low)
	if err != nil {
		return Range{}, err
	}
	hi, err := at(high)
	return Range{lo, hi}, err
}

// rounded takes the dust of binary fractions off a figure written in decimals.
func rounded(v *big.Rat) *big.Rat {
	out, _ := new(big.Rat).SetString(v.FloatString(6))
	return out
}

// Active is how much active ingredient a litre of finished mix holds at a rate, g; ok
// is false when the rate is weighed and the bottle measured, or the other way round.
func (b Bottle) Active(r Rate) (gramsPerL float64, ok bool) {
	if (r.Dim == Mass) != b.Weighed {
		return 0, false
	}
	return float(new(big.Rat).Mul(new(big.Rat).Mul(r.Fraction, b.grams), big.NewRat(1000, 1))), true
}
