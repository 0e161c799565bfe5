package mix

import (
	"fmt"
	"math/big"
	"regexp"
	"strings"

	"botanik/core/fault"
)

// RateKind names the ways a label writes a rate.
type RateKind string

// The kinds of rate.
const (
	PerVolume RateKind = "per volume" // 10 mL per L, 5 g per L, 2 US tbsp per US gal
	PerCent   RateKind = "per cent"   // 2 % of the finished mix by volume
	OneToN    RateKind = "1:N"        // 1:50 of water, or of the whole
	Strength  RateKind = "strength"   // 42 % from 70 %: C1·V1 = C2·V2
)

// Rate is a declared strength of a mix. Fraction is exact: mL of product per
// mL of finished mix (Dim volume), or g of product per mL (Dim mass).
type Rate struct {
	Kind     RateKind
	Dim      Dimension
	Fraction *big.Rat
	Text     string // as the person or the label wrote it

	Target, Stock *big.Rat // of a strength, in per cent
	own           bool     // thinned from a bottle of the person's own
}

var (
	reRatio    = regexp.MustCompile(`^1\s*:\s*([0-9][0-9./ ]*)\s*(.*)$`)
	rePercent  = regexp.MustCompile(`^([0-9½¼¾⅓⅔⅛][0-9./ ½¼¾⅓⅔⅛]*)\s*(?:%|per ?cent|percent)\s*(?:v/v)?$`)
	reStrength = regexp.MustCompile(`^([0-9][0-9./ ]*)\s*%\s+from\s+([0-9][0-9./ ]*)\s*%$`)
	one        = big.NewRat(1, 1)
	hundred    = big.NewRat(100, 1)
)

// ParseRate reads the ways a rate is written: "10 mL per L", "2 US tbsp per US
// gal", "5 g/L", "10 mL per L of water", "2 %", "1:50 of water", "1:50 of the whole", "42 % from 70 %".
// Errors: an unknown or bare unit, a ratio that does not say whether N counts
// the water or the whole, a stock weaker than its target, nothing or more than
// the whole.
func ParseRate(s string) (Rate, error) {
	t := strings.ToLower(strings.Join(strings.Fields(s), " "))
	switch {
	case t == "":
		return Rate{}, fault.New("rate", "no rate is given", "write it as the label does, like 10 mL per L, 2 % or 1:50 of water")
	case reStrength.MatchString(t):
		return parseStrength(s, t)
	case strings.Contains(t, ":"):
		return parseRatio(s, t)
	case rePercent.MatchString(t):
		v, err := ParseNumber(rePercent.FindStringSubmatch(t)[1])
		if err != nil {
			return Rate{}, err
		}
		return checked(Rate{Kind: PerCent, Dim: Volume, Fraction: v.Quo(v, hundred), Text: s})
	}
	num, den, ok := strings.Cut(t, " per ")
	if !ok {
		num, den, ok = cutSlash(t)
	}
	if !ok {
		return Rate{}, fault.New("rate", fmt.Sprintf("%q is not a rate", s), "write it as the label does, like 10 mL per L, 2 % or 1:50 of water")
	}
	q, err := ParseQuantity(num)
	if err != nil {
		return Rate{}, err
	}
	den, ofWater := strings.CutSuffix(strings.TrimSpace(den), " of water")
	if den = strings.TrimSpace(den); den != "" && !strings.ContainsAny(den[:1], "0123456789.") {
		den = "1 " + den
	}
	per, err := ParseQuantity(den)
	if err != nil {
		return Rate{}, err
	}
	if per.Unit.Dim != Volume {
		return Rate{}, fault.New("rate", "the second part has to be a volume of mix", "write how much goes into how much water, like 5 g per L")
	}
	if per.Value.Sign() == 0 {
		return Rate{}, fault.New("rate", "per nothing is no rate", "write how much goes into how much water, like 5 g per L")
	}
	f := new(big.Rat).Quo(q.Base(), per.Base())
	if ofWater && q.Unit.Dim == Volume { // so much beside a litre, not in it
		f.Quo(f, new(big.Rat).Add(one, f))
	}
	return checked(Rate{Kind: PerVolume, Dim: q.Unit.Dim, Fraction: f, Text: s})
}

// cutSlash splits "10 mL/L" at the slash between units, not at one in "1/2".
func cutSlash(t string) (string, string, bool) {
	i := strings.LastIndexByte(t, '/')
	if i <= 0 || i+1 >= len(t) || (t[i+1] >= '0' && t[i+1] <= '9') {
		return "", "", false
	}
	return strings.TrimSpace(t[:i]), t[i+1:], true
}

func parseStrength(s, t string) (Rate, error) {
	m := reStrength.FindStringSubmatch(t)
	target, err := ParseNumber(m[1])
	if err != nil {
		return Rate{}, err
	}
	stock, err := ParseNumber(m[2])
	if err != nil {
		return Rate{}, err
	}
	if stock.Cmp(hundred) > 0 || stock.Sign() == 0 {
		return Rate{}, fault.New("rate", fmt.Sprintf("a stock of %s %% cannot be", Decimal(stock, 4)), "give the strength printed on the bottle, above 0 and up to 100 %")
	}
	if target.Cmp(stock) > 0 {
		return Rate{}, fault.New("rate", fmt.Sprintf("the stock of %s %% is weaker than the %s %% wanted", Decimal(stock, 4), Decimal(target, 4)), "use a stronger stock, or a weaker target")
	}
	return checked(Rate{Kind: Strength, Dim: Volume, Fraction: new(big.Rat).Quo(target, stock), Text: s, Target: target, Stock: stock})
}

func parseRatio(s, t string) (Rate, error) {
	m := reRatio.FindStringSubmatch(t)
	if m == nil {
		return Rate{}, fault.New("rate", fmt.Sprintf("%q is not a ratio", s), "write 1:N, like 1:50 of water")
	}
	n, err := ParseNumber(m[1])
	if err != nil {
		return Rate{}, err
	}
	switch strings.TrimPrefix(strings.TrimPrefix(strings.TrimSpace(m[2]), "of "), "the ") {
	case "water":
		n = new(big.Rat).Add(n, one)
	case "whole", "mix", "finished mix", "total":
	default:
		return Rate{}, fault.New("rate", fmt.Sprintf("%q does not say what the %s counts", s, Decimal(n, 4)), fmt.Sprintf("write 1:%[1]s of water (1 part to %[1]s of water) or 1:%[1]s of the whole (1 part in %[1]s)", Decimal(n, 4)))
	}
	if n.Sign() == 0 {
		return Rate{}, fault.New("rate", "one part in nothing is no rate", "write 1:N with N of 1 or more")
	}
	return checked(Rate{Kind: OneToN, Dim: Volume, Fraction: new(big.Rat).Inv(n), Text: s})
}

func checked(r Rate) (Rate, error) {
	if r.Fraction.Sign() <= 0 {
		return Rate{}, fault.New("rate", fmt.Sprintf("%q puts nothing in the water", r.Text), "give a rate above zero")
	}
	// A powder cannot be denser in the mix than 1 kg a litre; a liquid cannot
	// be more than the whole.
	if r.Fraction.Cmp(one) > 0 {
		return Rate{}, fault.New("rate", fmt.Sprintf("%q is more product than mix", r.Text), "check the units of the rate")
	}
	return r, nil
}

// Share places the rate between a label's low and high, 0 to 1, for the mark
// on the label's range. ok is false when they cannot be compared.
func (r Rate) Share(low, high Rate) (share float64, ok bool) {
	if r.Dim != low.Dim || r.Dim != high.Dim || low.Fraction.Cmp(high.Fraction) >= 0 {
		return 0, false
	}
	num := new(big.Rat).Sub(r.Fraction, low.Fraction)
	f, _ := num.Quo(num, new(big.Rat).Sub(high.Fraction, low.Fraction)).Float64()
	return f, true
}

// PerLitre shows the rate per litre of finished mix, in mL or g.
func (r Rate) PerLitre() string {
	v := new(big.Rat).Mul(r.Fraction, big.NewRat(1000, 1))
	unit := "mL"
	if r.Dim == Mass {
		unit = "g"
	}
	return Decimal(v, 2) + " " + unit + " per L"
}

// Middle is the rate halfway between two, written per litre and rounded down
// to a tenth, so that it can be said aloud.
func Middle(low, high Rate) string {
	if low.Kind == Strength && high.Kind == Strength {
		return low.Text // a strength is mixed at its gentle end
	}
	sum := new(big.Rat).Add(low.Fraction, high.Fraction)
	perL := sum.Mul(sum, big.NewRat(500, 1))
	tenths := new(big.Rat).SetInt64(int64(floor(new(big.Rat).Mul(perL, big.NewRat(10, 1)))))
	unit := "mL"
	if low.Dim == Mass {
		unit = "g"
	}
	tenths.Quo(tenths, big.NewRat(10, 1))
	if new(big.Rat).Quo(tenths, big.NewRat(1000, 1)).Cmp(low.Fraction) < 0 {
		return low.Text // a range narrower than a tenth
	}
	return Decimal(tenths, 1) + " " + unit + " per L"
}
