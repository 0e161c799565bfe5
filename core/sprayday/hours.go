package sprayday

import (
	"fmt"
	"math"
	"time"

	"botanik/core/weather"
)

// Needs are what a treatment asks of its hour.
type Needs struct {
	TempMin   *float64 `json:"tempMinC,omitempty" doc:"of the label or the book"`
	TempMax   *float64 `json:"tempMaxC,omitempty"`
	NoSun     bool     `json:"noSun,omitempty" doc:"it burns in the sun"`
	Bees      string   `json:"bees,omitempty" enum:"fine,evening,never," doc:"what it may do on open flowers"`
	InBloom   bool     `json:"inBloom,omitempty"`
	DryHours  float64  `json:"dryHours,omitempty" doc:"it has to lie this long before rain; its drying time when left out"`
	Frost     bool     `json:"frost,omitempty" doc:"no frost in the night after: dormant sprays"`
	Daylight  bool     `json:"daylight,omitempty" doc:"only while the sun is up: winter sprays, that have to reach every twig"`
	WetIsFine bool     `json:"wetIsFine,omitempty" doc:"it is put into the soil, or washes off: rain and drying do not matter"`
}

// Words of an hour.
const (
	Good = "good"
	Poor = "poor"
	No   = "no"
)

// Judged is one hour with what speaks against it.
type Judged struct {
	At     time.Time    `json:"at"`
	Air    weather.Hour `json:"air"`
	Says   string       `json:"says" enum:"good,poor,no"`
	Why    []string     `json:"why" doc:"every reason against it, worst first"`
	Height float64      `json:"sunHeight" doc:"degrees"`
	Stand  string       `json:"stand,omitempty" doc:"on which side of the plant to stand: the wind's"`
	Dries  *float64     `json:"driesHours,omitempty" doc:"hours until a sprayed leaf is dry"`
}

// Limits that stand on no label: general spraying practice (judgement).
const (
	windNo    = 5.  // m/s
	windPoor  = 4.  //
	gustNo    = 8.  // m/s
	gustPoor  = 7.  //
	windCalm  = 1.  // dead calm by night is mostly an inversion: fine drops hang and drift
	sunBurns  = 20. // degrees of height from which sun on wet leaves burns
	beesFly   = 12. // °C
	beesLight = -2. // degrees of the sun's height
	slowDry   = 3.  // hours from which drying is slow
	afterDry  = 1.  // hour more between dry and rain
	frostFrom = 0.  // °C
	nightly   = 14  // hours looked ahead for frost
	dries     = 10  // hours looked ahead for drying
	hotLeaf   = 30. // °C, for anything on leaves
	calmBelow = -.8 // of the sun's height: night
)

// JudgeHours says of each hour whether a treatment may be done in it, with every reason. The
// hours are in order and an hour apart; lat and lon in degrees.
func JudgeHours(hours []weather.Hour, n Needs, lat, lon float64) []Judged {
	out := make([]Judged, len(hours))
	for i, h := range hours {
		x := Judged{At: h.At, Air: h, Stand: h.Side(), Says: Good, Why: []string{}, Height: Height(h.At.Add(30*time.Minute), lat, lon)}
		say := func(word, why string, a ...any) {
			text := fmt.Sprintf(why, a...)
			if word == No {
				x.Why = append([]string{text}, x.Why...)
				x.Says = No
				return
			}
			x.Why = append(x.Why, text)
			if x.Says == Good {
				x.Says = Poor
			}
		}
		if n.TempMin != nil && h.TempC < *n.TempMin {
			say(No, "%.0f °C: not below %.0f.", h.TempC, *n.TempMin)
		}
		if n.TempMax != nil && h.TempC > *n.TempMax {
			say(No, "%.0f °C: not above %.0f.", h.TempC, *n.TempMax)
		} else if h.TempC > hotLeaf && !n.WetIsFine {
			say(Poor, "%.0f °C: hot leaves are easily burnt.", h.TempC)
		}
		if h.RainMm >= rainFrom && !n.WetIsFine {
			say(No, "It rains.")
		}
		switch {
		case n.WetIsFine:
		case h.WindMs > windNo:
			say(No, "Wind %.0f m/s: it drifts.", h.WindMs)
		case h.GustMs > gustNo:
			say(No, "Gusts of %.0f m/s: it drifts.", h.GustMs)
		case h.GustMs > gustPoor && h.WindMs <= windPoor:
			say(Poor, "Gusts of %.1f m/s: stand upwind, coarse drops.", h.GustMs)
		case h.WindMs > windPoor:
			say(Poor, "Wind %.1f m/s: stand upwind, coarse drops.", h.WindMs)
		case h.WindMs < windCalm && x.Height < calmBelow:
			say(Poor, "Dead calm by night: fine drops hang in the air.")
		}
		if !n.WetIsFine && h.RainMm < rainFrom {
			dry, ok := DryHours(hours[i:min(len(hours), i+dries)])
			switch {
			case !ok && len(hours) < i+dries && !rains(hours[i:]):
				say(Poor, "The weather known ends before it would be dry.")
			case !ok:
				say(No, "It does not dry before rain or within %d hours.", dries)
			default:
				x.Dries = &dry
				lie := math.Max(dry+afterDry, n.DryHours)
				if at, wet := firstRain(hours[i:]); wet && float64(at) < lie {
					say(No, "Rain follows in %d h: it has to lie %.0f h.", at, math.Ceil(lie))
				} else if dry > slowDry {
					say(Poor, "It dries slowly, in %.0f hours.", math.Ceil(dry))
				}
			}
		}
		if n.NoSun && x.Height > sunBurns {
			say(No, "The sun stands high: it burns wet leaves.")
		}
		if n.InBloom && n.Bees != "" && n.Bees != "fine" {
			switch {
			case n.Bees == "never":
				say(No, "It is in flower: never on open flowers.")
			case x.Height > beesLight && h.TempC > beesFly:
				say(No, "It is in flower and bees fly: only when they are home.")
			}
		}
		if n.Daylight && x.Height < 0 {
			say(No, "The sun is down: nobody sees which twig is wet.")
		}
		if n.Frost {
			for _, later := range hours[i:min(len(hours), i+nightly)] {
				if later.TempC < frostFrom {
					say(No, "Frost follows within %d hours.", nightly)
					break
				}
			}
		}
		out[i] = x
	}
	return out
}

func rains(hours []weather.Hour) bool { _, wet := firstRain(hours); return wet }

func firstRain(hours []weather.Hour) (int, bool) {
	for i, h := range hours {
		if h.RainMm >= rainFrom {
			return i, true
		}
	}
	return 0, false
}

// Stretch is a run of good hours.
type Stretch struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	Hours int       `json:"hours"`
	Text  string    `json:"text"`
}

// An evening, of the desk's clock, and how many good hours in a row it takes: somebody has
// to mix, spray a plant or two and rinse (judgement).
const (
	eveningFrom, eveningTo = 17, 22
	eveningHours           = 2
)

// AnyEvening is what is asked of an hour that is good for whatever is sprayed on leaves in the
// evening: no sun, no bees, no frost in the night after.
var AnyEvening = Needs{NoSun: true, Bees: "evening", InBloom: true, Frost: true}

// Evening is the longest run of good hours in the evening of the day that hours lie in, two
// hours at least; false where there is none. The hours are of one day, judged by AnyEvening
// or by what a remedy needs. Zone is of the desk's clock.
func Evening(hours []Judged, zone *time.Location) (Stretch, bool) {
	late := []Judged{}
	for _, h := range hours {
		if at := h.At.In(zone).Hour(); at >= eveningFrom && at < eveningTo {
			late = append(late, h)
		}
	}
	if best := Best(late, 1, zone); len(best) == 1 && best[0].Hours >= eveningHours {
		return best[0], true
	}
	return Stretch{}, false
}

// Best are the runs of good hours in which somebody would work, longest of each day
// first in time, at most most; hours by night are left out unless nothing else is good.
// Zone is of the desk's clock.
func Best(hours []Judged, most int, zone *time.Location) []Stretch {
	awake := func(h Judged) bool { at := h.At.In(zone).Hour(); return at >= 6 && at < 22 }
	runs := func(fit func(Judged) bool) []Stretch {
		out := []Stretch{}
		for i := 0; i < len(hours); {
			if !fit(hours[i]) {
				i++
				continue
			}
			j := i
			for j < len(hours) && fit(hours[j]) && hours[j].At.In(zone).YearDay() == hours[i].At.In(zone).YearDay() {
				j++
			}
			w := Stretch{From: hours[i].At.In(zone), To: hours[j-1].At.Add(time.Hour).In(zone), Hours: j - i}
			w.Text = w.From.Format("Monday 15:04") + " to " + w.To.Format("15:04")
			if n := len(out); n > 0 && out[n-1].From.YearDay() == w.From.YearDay() {
				if w.Hours > out[n-1].Hours {
					out[n-1] = w
				}
			} else {
				out = append(out, w)
			}
			i = j
		}
		return out
	}
	out := runs(func(h Judged) bool { return h.Says == Good && awake(h) })
	if len(out) == 0 {
		out = runs(func(h Judged) bool { return h.Says == Good })
	}
	return out[:min(most, len(out))]
}
