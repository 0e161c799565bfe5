package weatherfile

import (
	"fmt"
	"regexp"
	"slices"
	"strings"

	"botanik/core/fault"
)

// What a column can be.
const (
	At       = "at"
	Clock    = "clock"
	Temp     = "temp"
	Humidity = "humidity"
	Dew      = "dew"
	Wind     = "wind"
	Gust     = "gust"
	Rain     = "rain"
	Side     = "side"
)

// Quantities in the order they are asked for.
var Quantities = []string{At, Clock, Temp, Humidity, Dew, Wind, Gust, Side, Rain}

var called = map[string]string{At: "the time", Clock: "the hour of the day, where it stands apart", Temp: "the temperature", Humidity: "the humidity", Dew: "the dew point", Wind: "the wind", Gust: "the gusts", Rain: "the rain", Side: "where the wind comes from"}

// Units a quantity can be in; the first is what the program reckons in.
var Units = map[string][]string{
	Temp: {"°C", "°F", "K"}, Dew: {"°C", "°F", "K"},
	Humidity: {"%", "share"},
	Wind:     {"m/s", "km/h", "mph", "kn"}, Gust: {"m/s", "km/h", "mph", "kn"},
	Rain: {"mm", "in", "cm"},
}

// Mapping says which column is what, in which unit, and how its times are written. What
// is left out is guessed.
type Mapping struct {
	Columns map[string]string `json:"columns,omitempty" doc:"quantity → column: at, clock, temp, humidity, dew, wind, gust, side (where the wind comes from), rain; - for none"`
	Units   map[string]string `json:"units,omitempty" doc:"quantity → unit: °C °F K, % share, m/s km/h mph kn, mm in cm"`
	Order   string            `json:"order,omitempty" enum:"dmy,mdy," doc:"of a date like 03/04/2026: day or month first"`
	Zone    string            `json:"zone,omitempty" maxLength:"60" doc:"time zone of times that carry none; the desk's when left out"`
}

// none is the word for a quantity that no column holds.
const none = "-"

// names a quantity goes by, in lower case without signs; the first that fits wins.
var goesBy = []struct {
	what string
	re   *regexp.Regexp
}{
	{Dew, regexp.MustCompile(`dew|taupunkt|point de ros|rocio`)},
	{Side, regexp.MustCompile(`wind ?(dir|from|bearing)|^dir|windrichtung|bearing`)},
	{Gust, regexp.MustCompile(`gust|b(ö|oe)e|rafale|racha`)},
	{At, regexp.MustCompile(`^(date ?time|time ?stamp|time|date|at|when|valid ?time|datum|fecha|hour ?beginning)\b`)},
	{Clock, regexp.MustCompile(`^(hour|clock|time ?of ?day|uhrzeit|hora|heure)\b`)},
	{Humidity, regexp.MustCompile(`humid|^rh\b|feuchte|humedad|humidit`)},
	{Wind, regexp.MustCompile(`wind|vent|viento`)},
	{Rain, regexp.MustCompile(`rain|precip|niederschlag|pluie|lluvia|regen`)},
	{Temp, regexp.MustCompile(`temp|^t ?(air|2m|c|f)?$|^air ?c$`)},
}

// not are columns that carry a quantity's name and are none: the wind's direction, how
// likely rain is.
var not = regexp.MustCompile(`dir|bearing|prob|chance|deg\b|angle|chill|feels|apparent|soil|indoor|inside|max\b|min\b|accum|total|since`)

// guess says which column is what, where nobody did, and in what unit by its name.
func (m Mapping) guess(names []string) Mapping {
	out := Mapping{Columns: map[string]string{}, Units: map[string]string{}, Order: m.Order, Zone: m.Zone}
	for _, g := range goesBy {
		for _, n := range names {
			plain := plainly(n)
			if _, taken := out.Columns[g.what]; taken || !g.re.MatchString(plain) || g.what != Side && not.MatchString(plain) || used(out.Columns, n) || m.given(n) {
				continue
			}
			if g.what == At && slices.ContainsFunc(names, func(o string) bool {
				return o != n && strings.Contains(plainly(o), "time") && strings.HasPrefix(plain, "dat") && len(plain) <= 5
			}) && out.Columns[Clock] == "" {
				for _, o := range names { // a date, and a time beside it
					if p := plainly(o); o != n && (p == "time" || p == "clock" || p == "hour") {
						out.Columns[Clock] = o
					}
				}
			}
			out.Columns[g.what] = n
		}
	}
	for what, n := range m.Columns {
		out.Columns[what] = n
		if n == "" || n == none {
			delete(out.Columns, what)
		}
	}
	for what, n := range out.Columns {
		if u := unitIn(what, n); u != "" {
			out.Units[what] = u
		}
	}
	for what, u := range m.Units {
		if u != "" {
			out.Units[what] = u
		}
	}
	return out
}

func (m Mapping) given(name string) bool { return used(m.Columns, name) }

func used(columns map[string]string, name string) bool {
	for _, n := range columns {
		if n == name {
			return true
		}
	}
	return false
}

var signs = regexp.MustCompile(`[_\-./()\[\]°%²,:]+`)

func plainly(name string) string {
	return strings.TrimSpace(strings.Join(strings.Fields(signs.ReplaceAllString(strings.ToLower(name), " ")), " "))
}

// unitIn reads a unit out of a column's name: temp_f, wind (km/h), rain [mm].
func unitIn(what, name string) string {
	low := strings.ToLower(strings.TrimSpace(name))
	ends := func(of ...string) bool {
		return slices.ContainsFunc(of, func(x string) bool {
			return regexp.MustCompile(`(^|[\s_(\[.°])` + regexp.QuoteMeta(x) + `[)\]]?$`).MatchString(low)
		})
	}
	switch what {
	case Temp, Dew:
		switch {
		case ends("f", "fahrenheit"):
			return "°F"
		case ends("k", "kelvin"):
			return "K"
		case ends("c", "celsius"):
			return "°C"
		}
	case Humidity:
		switch {
		case strings.Contains(low, "%") || ends("pct", "percent"):
			return "%"
		case ends("share", "fraction"):
			return "share"
		}
	case Wind, Gust:
		switch {
		case ends("kmh", "km/h", "kph"):
			return "km/h"
		case ends("mph"):
			return "mph"
		case ends("kn", "kt", "kts", "knots"):
			return "kn"
		case ends("ms", "m/s", "mps"):
			return "m/s"
		}
	case Rain:
		switch {
		case ends("in", "inch", "inches"):
			return "in"
		case ends("cm"):
			return "cm"
		case ends("mm"):
			return "mm"
		}
	}
	return ""
}

// check holds a mapping against the columns there are. Errors name columns.X, units.X,
// zone.
func (m Mapping) check(names []string) error {
	var l fault.List
	for what, n := range m.Columns {
		switch {
		case !slices.Contains(Quantities, what):
			l.Add("columns."+what, "is nothing that is read", "use "+strings.Join(Quantities, ", "))
		case !slices.Contains(names, n):
			l.Add("columns."+what, fmt.Sprintf("there is no column %q", n), "choose one of: "+strings.Join(names, ", "))
		}
	}
	for what, u := range m.Units {
		if !slices.Contains(Units[what], u) {
			l.Add("units."+what, fmt.Sprintf("%q is no unit of it", u), "use "+strings.Join(Units[what], ", "))
		}
	}
	for _, what := range []string{At, Temp, Wind, Rain} {
		if m.Columns[what] == "" {
			l.Add("columns."+what, "no column is "+called[what], "choose the column; without it no hour can be judged")
		}
	}
	if m.Columns[Humidity] == "" && m.Columns[Dew] == "" {
		l.Add("columns.humidity", "no column is the humidity or the dew point", "choose one of the two; without it nobody knows when leaves dry")
	}
	return l.Err()
}

// convert brings a figure into the program's unit.
func convert(unit string, x float64) float64 {
	switch unit {
	case "°F":
		return (x - 32) / 1.8
	case "K":
		return x - 273.15
	case "share":
		return x * 100
	case "km/h":
		return x / 3.6
	case "mph":
		return x * .44704
	case "kn":
		return x * .514444
	case "in":
		return x * 25.4
	case "cm":
		return x * 10
	}
	return x
}
