package remedy

import (
	"botanik/core/civil"
	"botanik/core/knowledge"
)

// Limits of a remedy under the bottle on this house's shelf: the herbarium's
// figure or the label's, whichever asks for more care.
type Limits struct {
	GapMin          int // shortest gap between two treatments, days
	GapMax          int // longest useful gap, days
	MaxApplications int // most treatments in a season; 0 when none is set
	PreHarvest      int // days between a treatment and picking
}

// LimitsOf holds a remedy against the house's label of it.
func LimitsOf(r *knowledge.Remedy, h House) Limits {
	lab := h.Labels[r.ID]
	l := Limits{GapMin: max(r.RepeatMin, lab.RepeatMin), GapMax: max(r.RepeatMax, lab.RepeatMin), MaxApplications: r.MaxApplications, PreHarvest: max(r.WaitDays, lab.WaitDays)}
	if lab.Most > 0 && (l.MaxApplications == 0 || lab.Most < l.MaxApplications) {
		l.MaxApplications = lab.Most
	}
	return l
}

// seasonDays is how far back a use counts against the label's most a season: a year,
// which is longer than any label's season.
const seasonDays = 365

// Uses counts how often a remedy was given in the season that ends on a day, and
// finds the last of them; no day when it never was.
func Uses(earlier []Earlier, id string, day civil.Day) (n int, last civil.Day) {
	for _, e := range earlier {
		if e.Remedy != id {
			continue
		}
		on, err := civil.Parse(e.On)
		if err != nil || day.Sub(on) > seasonDays {
			continue
		}
		n++
		if on.After(last) {
			last = on
		}
	}
	return n, last
}
