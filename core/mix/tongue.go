package mix

import "math/big"

// tongue says volumes and weights as the grower measures them: in litres and grams, or
// in the US or Imperial measures the sprayer was given in, with the metric in brackets.
type tongue string

// tongueOf is the world of the sprayer or of the mix, the first that is not metric. Spoons
// do not count: who measures in litres reads litres, whatever spoons are in the drawer.
func tongueOf(tank, vol Quantity) tongue {
	for _, w := range []string{tank.Unit.World, vol.Unit.World} {
		if w == "us" || w == "imperial" {
			return tongue(w)
		}
	}
	return "metric"
}

// named is one of a world's measures by name.
type named struct {
	name string
	ml   *big.Rat
}

var tongues = map[tongue][]named{
	"us":       {{"US gal", unitByWord["us_gal"].Base}, {"US qt", unitByWord["us_quart"].Base}, {"US fl oz", unitByWord["us_floz"].Base}},
	"imperial": {{"Imperial gal", unitByWord["imp_gal"].Base}, {"Imperial pt", unitByWord["imp_pint"].Base}, {"Imperial fl oz", unitByWord["imp_floz"].Base}},
}

// volume says so many mL of water or mix, to two decimals of the largest measure it fills.
func (t tongue) volume(ml *big.Rat) string {
	for _, n := range tongues[t] {
		if ml.Cmp(n.ml) >= 0 {
			return Decimal(new(big.Rat).Quo(ml, n.ml), 2) + " " + n.name + " (" + volumeText(ml) + ")"
		}
	}
	return volumeText(ml)
}

// dose adds to an amount, said in mL or g, what it is in ounces: rounded down, and only
// where an ounce glass or scale shows it.
func (t tongue) dose(text string, amount *big.Rat, dim Dimension) string {
	if tongues[t] == nil {
		return text
	}
	oz, name, least := unitByWord["oz"].Base, " oz", 25
	if dim == Volume {
		last := tongues[t][len(tongues[t])-1]
		oz, name, least = last.ml, " "+last.name, 100 // less is for spoons
	}
	hundredths := floor(new(big.Rat).Mul(new(big.Rat).Quo(amount, oz), hundred))
	if hundredths < least {
		return text
	}
	return text + " (" + Decimal(big.NewRat(int64(hundredths), 100), 2) + name + ")"
}
