package mix

import (
	"fmt"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// Dimension says what a unit measures.
type Dimension string

// The dimensions a mix can be made of.
const (
	Volume Dimension = "volume" // base unit: millilitre
	Mass   Dimension = "mass"   // base unit: gram
)

// Unit is a declared measure; Base is its exact size in mL or g.
type Unit struct {
	ID    string    // "us_tbsp"
	Name  string    // "US tbsp", as it is shown and may be typed
	Dim   Dimension // volume or mass
	World string    // metric, us, imperial or au
	Base  *big.Rat  // exact mL or g
}

func rat(s string) *big.Rat {
	r, ok := new(big.Rat).SetString(s)
	if !ok {
		panic("mix: bad constant " + s)
	}
	return r
}

// Exact sizes. US: gallon = 231 in³ = 3785.411784 mL, divided 4, 8, 16, 128
// (fl oz), 256 (tbsp), 768 (tsp). Imperial: gallon = 4546.09 mL, 160 fl oz;
// tablespoon 5/8 fl oz and teaspoon a third of it (the converters' usage; the
// older half-ounce spoon is smaller, so we say which one we mean). Pound =
// 453.59237 g.
var units = func() []Unit {
	us, imp := rat("3785.411784"), rat("4546.09")
	of := func(g *big.Rat, d int64) *big.Rat { return new(big.Rat).Quo(g, big.NewRat(d, 1)) }
	return []Unit{
		{"ml", "mL", Volume, "metric", rat("1")},
		{"l", "L", Volume, "metric", rat("1000")},
		{"metric_tsp", "metric tsp", Volume, "metric", rat("5")},
		{"metric_tbsp", "metric tbsp", Volume, "metric", rat("15")},
		{"metric_cup", "metric cup", Volume, "metric", rat("250")},
		{"au_tbsp", "20 mL tbsp", Volume, "au", rat("20")},
		{"us_tsp", "US tsp", Volume, "us", of(us, 768)},
		{"us_tbsp", "US tbsp", Volume, "us", of(us, 256)},
		{"us_floz", "US fl oz", Volume, "us", of(us, 128)},
		{"us_cup", "US cup", Volume, "us", of(us, 16)},
		{"us_pint", "US pint", Volume, "us", of(us, 8)},
		{"us_quart", "US quart", Volume, "us", of(us, 4)},
		{"us_gal", "US gal", Volume, "us", us},
		{"imp_tsp", "Imperial tsp", Volume, "imperial", of(imp, 768)},
		{"imp_tbsp", "Imperial tbsp", Volume, "imperial", of(imp, 256)},
		{"imp_floz", "Imperial fl oz", Volume, "imperial", of(imp, 160)},
		{"imp_cup", "Imperial cup", Volume, "imperial", of(imp, 16)},
		{"imp_pint", "Imperial pint", Volume, "imperial", of(imp, 8)},
		{"imp_quart", "Imperial quart", Volume, "imperial", of(imp, 4)},
		{"imp_gal", "Imperial gal", Volume, "imperial", imp},
		{"g", "g", Mass, "metric", rat("1")},
		{"kg", "kg", Mass, "metric", rat("1000")},
		{"oz", "oz", Mass, "us", rat("28.349523125")},
		{"lb", "lb", Mass, "us", rat("453.59237")},
	}
}()

// Units lists every declared unit, in the order they are shown.
func Units() []Unit { return append([]Unit(nil), units...) }

var unitByWord = func() map[string]Unit {
	m := map[string]Unit{}
	add := func(u Unit, words ...string) {
		for _, w := range words {
			m[w] = u
		}
	}
	long := map[string][]string{
		"tsp": {"teaspoon", "teaspoons", "tsps"}, "tbsp": {"tablespoon", "tablespoons", "tbs", "tbsps"},
		"fl oz": {"fluid ounce", "fluid ounces", "floz", "fl. oz", "fl. oz."}, "cup": {"cups"}, "pint": {"pints", "pt"},
		"quart": {"quarts", "qt"}, "gal": {"gallon", "gallons", "gals"},
	}
	prefix := map[string][]string{"US": {"us", "u.s.", "u.s", "american"}, "Imperial": {"imperial", "imp", "uk", "british"}, "metric": {"metric"}, "20": {"20 ml", "20ml", "au", "australian"}}
	for _, u := range units {
		add(u, u.ID, strings.ToLower(u.Name))
		head, tail, ok := strings.Cut(u.Name, " ")
		if !ok {
			continue
		}
		tail = strings.TrimPrefix(tail, "mL ")
		for _, p := range prefix[head] {
			add(u, p+" "+tail)
			for _, w := range long[tail] {
				add(u, p+" "+w)
			}
		}
	}
	for w, id := range map[string]string{"millilitre": "ml", "millilitres": "ml", "milliliter": "ml", "milliliters": "ml", "mls": "ml", "litre": "l", "litres": "l", "liter": "l", "liters": "l", "gram": "g", "grams": "g", "gramme": "g", "kilogram": "kg", "kilograms": "kg", "kilo": "kg", "ounce": "oz", "ounces": "oz", "pound": "lb", "pounds": "lb", "lbs": "lb"} {
		add(m[id], w)
	}
	return m
}()

// bare measures mean different amounts in different kitchens; each names the
// kinds a person has to choose from.
var bare = map[string]string{
	"gal": "US gal (3.785 L) or Imperial gal (4.546 L)", "quart": "US quart or Imperial quart", "pint": "US pint (473 mL) or Imperial pint (568 mL)",
	"cup": "US cup (237 mL), metric cup (250 mL) or Imperial cup", "fl oz": "US fl oz (29.57 mL) or Imperial fl oz (28.41 mL)",
	"tbsp": "metric tbsp (15 mL), 20 mL tbsp, US tbsp (14.79 mL) or Imperial tbsp", "tsp": "metric tsp (5 mL), US tsp (4.93 mL) or Imperial tsp",
}

var bareWord = map[string]string{
	"gal": "gal", "gals": "gal", "gallon": "gal", "gallons": "gal", "quart": "quart", "quarts": "quart", "qt": "quart", "pint": "pint", "pints": "pint", "pt": "pint",
	"cup": "cup", "cups": "cup", "fl oz": "fl oz", "floz": "fl oz", "fluid ounce": "fl oz", "fluid ounces": "fl oz",
	"tbsp": "tbsp", "tbs": "tbsp", "tablespoon": "tbsp", "tablespoons": "tbsp", "tsp": "tsp", "teaspoon": "tsp", "teaspoons": "tsp", "spoon": "tbsp", "spoons": "tbsp",
}

// FindUnit looks a unit up by id or by the words people write. A gallon,
// spoon, cup, pint, quart or fluid ounce without its kind is refused, because
// the kinds differ by up to a third.
func FindUnit(word string) (Unit, error) {
	w := strings.ToLower(strings.Join(strings.Fields(word), " "))
	if u, ok := unitByWord[w]; ok {
		return u, nil
	}
	if u, ok := unitByWord[strings.TrimSuffix(w, ".")]; ok {
		return u, nil
	}
	if b, ok := bareWord[strings.TrimSuffix(w, ".")]; ok {
		return Unit{}, fault.New("unit", fmt.Sprintf("%q does not say which kind", word), "write "+bare[b])
	}
	if w == "" {
		return Unit{}, fault.New("unit", "no unit is given", "write one of "+unitNames())
	}
	return Unit{}, fault.New("unit", fmt.Sprintf("%q is not a unit known here", word), "write one of "+unitNames())
}

func unitNames() string {
	names := make([]string, 0, len(units))
	for _, u := range units {
		names = append(names, u.Name)
	}
	return strings.Join(names, ", ")
}
