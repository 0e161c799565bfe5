package sprayday

import (
	"strings"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"
)

// Winter is one rest of a plant that drops its leaves.
type Winter struct {
	LeafFall civil.Day `json:"leafFall"` // most leaves are down
	Bare     civil.Day `json:"bare"`
	Swell    civil.Day `json:"swell"` // buds swell
	Open     civil.Day `json:"open"`  // buds show green: nothing of a winter spray from here on
}

// Phase of a day: in leaf, leaf fall, dormant or bud swell.
func (w Winter) Phase(d civil.Day) string {
	switch {
	case d.Before(w.LeafFall) || !d.Before(w.Open):
		return "in leaf"
	case d.Before(w.Bare):
		return "leaf fall"
	case d.Before(w.Swell):
		return "dormant"
	}
	return "bud swell"
}

// WorkDay is a day on which a treatment can be done.
type WorkDay struct {
	Day   civil.Day `json:"day"`
	Text  string    `json:"text"` // from when to when
	Hours int       `json:"hours"`
}

// workHours are the good hours running that a day must have to be worth the walk.
const workHours = 2

// WorkDays are the days of these hours with good hours enough in a row, in order.
func WorkDays(hours []weather.Hour, n Needs, lat, lon float64, zone *time.Location) []WorkDay {
	out := []WorkDay{}
	for _, s := range Best(JudgeHours(hours, n, lat, lon), len(hours), zone) {
		if s.Hours >= workHours {
			out = append(out, WorkDay{civil.Of(s.From, zone), s.Text, s.Hours})
		}
	}
	return out
}

// DayFit is whether a treatment can be done on a day, and what is against it.
type DayFit struct {
	Good bool
	Why  string // in a few words, empty on a good day
}

// DayFits says of each whole day of these hours whether it has good hours enough in a row.
func DayFits(hours []weather.Hour, n Needs, lat, lon float64, zone *time.Location) map[civil.Day]DayFit {
	out := map[civil.Day]DayFit{}
	judged := JudgeHours(hours, n, lat, lon)
	against := map[civil.Day]map[string]int{}
	count := map[civil.Day]int{}
	for _, h := range judged {
		day := civil.Of(h.At, zone)
		count[day]++
		if at := h.At.In(zone).Hour(); at < 6 || at >= 22 {
			continue
		}
		if against[day] == nil {
			against[day] = map[string]int{}
		}
		if len(h.Why) > 0 {
			against[day][h.short()]++
		}
	}
	for day, n := range count {
		if n < 20 { // a day that is known in part is not known
			continue
		}
		fit, most := DayFit{}, 0
		for why, n := range against[day] {
			if n > most || n == most && why < fit.Why {
				fit.Why, most = why, n
			}
		}
		out[day] = fit
	}
	for _, d := range Best(judged, len(judged), zone) {
		day := civil.Of(d.From, zone)
		if _, known := out[day]; known && d.Hours >= workHours {
			out[day] = DayFit{Good: true}
		}
	}
	return out
}

// short is what is against an hour in a word or two: what changes with the weather before
// what comes every day.
func (h Judged) short() string {
	for _, x := range []struct{ in, word string }{
		{"ain", "rain"}, {"Wind", "wind"}, {"Gusts", "wind"}, {"not below", "too cold"}, {"not above", "too hot"}, {"hot leaves", "too hot"},
		{"Frost", "frost after it"}, {"dr", "it would not dry"}, {"flower", "bees fly"}, {"sun", "the sun stands too high"},
	} {
		for _, why := range h.Why {
			if strings.Contains(why, x.in) {
				return x.word
			}
		}
	}
	return "no good hour"
}
