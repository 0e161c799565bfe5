package mix

import (
	"fmt"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// CutIn asks how to cut down what is left in a bottle.
type CutIn struct {
	Have string `json:"have" doc:"what is left in the bottle, like 200 mL"`
	From string `json:"from" doc:"its strength, like 91 %"`
	To   string `json:"to" doc:"the strength wanted, like 45 %"`
}

// Cut is the answer: how much water goes to it and what comes of it, in mL.
type Cut struct {
	WaterMl float64 `json:"waterMl"`
	TotalMl float64 `json:"totalMl"`
	Text    string  `json:"text"`
}

// CutDown is C1·V1 = C2·V2 for the water: have·(from/to − 1). Alcohol and water
// shrink a little as they mix; the strength comes out at most 4 in 100 above.
// Errors name have, from or to.
func CutDown(in CutIn) (Cut, error) {
	var l fault.List
	q, err := ParseQuantity(in.Have)
	if err != nil {
		l.AddErr("", faultAt("have", err))
	} else {
		checkVolume(&l, "have", q, minVolume)
	}
	per := func(field, s string) *big.Rat {
		v, err := ParseNumber(strings.TrimSpace(strings.TrimSuffix(strings.TrimSpace(s), "%")))
		if err != nil || v.Sign() <= 0 || v.Cmp(hundred) > 0 {
			l.Add(field, fmt.Sprintf("%q is not a strength", s), "write what the bottle says, like 70 %")
			return one
		}
		return v
	}
	from, to := per("from", in.From), per("to", in.To)
	if l.Err() == nil && from.Cmp(to) < 0 {
		l.Add("to", fmt.Sprintf("%s %% is stronger than the bottle", Decimal(to, 2)), "a bottle is only cut down; take a stronger one")
	}
	if err := l.Err(); err != nil {
		return Cut{}, err
	}
	total := new(big.Rat).Mul(q.Base(), new(big.Rat).Quo(from, to))
	water := new(big.Rat).Sub(total, q.Base())
	return Cut{float(water), float(total), fmt.Sprintf("Add %s of water to the %s: that makes %s of %s %%. Write the new strength on the bottle.", volumeText(water), volumeText(q.Base()), volumeText(total), Decimal(to, 2))}, nil
}

// measure is a unit that is no amount: of length, wind or temperature. Its value in
// the base unit is times·v + plus.
type measure struct {
	kind        string
	times, plus *big.Rat
}

// Exact by definition: inch 25.4 mm, mile 1609.344 m, nautical mile 1852 m.
var measures = map[string]measure{
	"mm": {"length", rat("0.001"), rat("0")}, "cm": {"length", rat("0.01"), rat("0")}, "m": {"length", rat("1"), rat("0")},
	"in": {"length", rat("0.0254"), rat("0")}, "ft": {"length", rat("0.3048"), rat("0")}, "yd": {"length", rat("0.9144"), rat("0")},
	"m/s": {"wind", rat("1"), rat("0")}, "km/h": {"wind", rat("5/18"), rat("0")}, "mph": {"wind", rat("0.44704"), rat("0")}, "kn": {"wind", rat("463/900"), rat("0")},
	"°C": {"temperature", rat("1"), rat("0")}, "°F": {"temperature", rat("5/9"), rat("-160/9")},
}

var measureWords = map[string]string{"c": "°C", "°c": "°C", "f": "°F", "°f": "°F", "inch": "in", "inches": "in", "feet": "ft", "foot": "ft", "knots": "kn", "kph": "km/h", "kmh": "km/h"}

func findMeasure(word string) (string, measure, bool) {
	w := strings.TrimSpace(word)
	if m, ok := measures[w]; ok {
		return w, m, true
	}
	if u, ok := measureWords[strings.ToLower(w)]; ok {
		return u, measures[u], true
	}
	m, ok := measures[strings.ToLower(w)]
	return strings.ToLower(w), m, ok
}

// convertMeasure answers for length, wind and temperature; ok is false when the unit
// asked for is none of them.
func convertMeasure(amount, to string) (out Converted, ok bool, err error) {
	unit, into, ok := findMeasure(to)
	if !ok {
		return out, false, nil
	}
	t := strings.Join(strings.Fields(amount), " ")
	i := strings.IndexFunc(t, func(r rune) bool { return !strings.ContainsRune("0123456789.-−/½¼¾ ", r) })
	if i <= 0 {
		return out, true, fault.New("amount", fmt.Sprintf("%q has no unit", amount), "write it like 68 °F, 12 in or 10 mph")
	}
	name, from, known := findMeasure(t[i:])
	if !known || from.kind != into.kind {
		return out, true, fault.New("amount", fmt.Sprintf("%s is no %s", t[i:], into.kind), "give a "+into.kind+", to be had in "+unit)
	}
	num, minus := strings.CutPrefix(strings.ReplaceAll(strings.TrimSpace(t[:i]), "−", "-"), "-")
	v, err := ParseNumber(num)
	if err != nil {
		return out, true, faultAt("amount", err)
	}
	if minus {
		if from.kind != "temperature" {
			return out, true, fault.New("amount", "is below zero", "give a "+name+" of zero or more")
		}
		v.Neg(v)
	}
	base := v.Mul(v, from.times)
	base.Add(base, from.plus)
	base.Sub(base, into.plus)
	return converted(base.Quo(base, into.times), unit), true, nil
}
