package sprayday

import (
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
	for _, s := range Best(Judge(hours, n, lat, lon), len(hours), zone) {
		if s.Hours >= workHours {
			out = append(out, WorkDay{civil.Of(s.From, zone), s.Text, s.Hours})
		}
	}
	return out
}
