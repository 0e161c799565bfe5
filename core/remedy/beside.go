package remedy

import (
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/knowledge"
)

// Beside is the days of one thing that is done around the sprays.
type Beside struct {
	Remedy string
	Name   string
	On     []civil.Day
	Why    string
}

// mostBeside are the days given for one thing done by hand, and afterSpray the days on
// which what was sprayed is left alone by water and cloth (judgement).
const (
	mostBeside = 5
	afterSpray = 1
)

// Around lays what else was chosen around the days of what is sprayed, one calendar for
// all: the hose and the cloth between the sprays and never on them or the day after, what
// is let loose so long after the last spray as it bears. Days are in order; chosen are ids.
func Around(b *knowledge.Base, h House, sprayed *knowledge.Remedy, days []civil.Day, chosen []string, today civil.Day) []Beside {
	out := []Beside{}
	if sprayed == nil || len(days) == 0 {
		return out
	}
	last := days[len(days)-1]
	for _, id := range chosen {
		r := b.Remedy(id)
		switch {
		case r == nil || r == sprayed:
		case r.Is(knowledge.ClassReleased):
			if x := letLoose(b, h, sprayed, r, days, today); len(x.On) > 0 {
				out = append(out, x)
			}
		case r.Kind == "action" && r.RepeatMin > 0:
			if x := between(h, sprayed, r, days, last, today); len(x.On) > 0 {
				out = append(out, x)
			}
		}
	}
	return out
}

// letLoose is when a bought helper comes: after the last spray and its wait, or at once
// where the two do not concern each other; again as its own label asks.
func letLoose(b *knowledge.Base, h House, sprayed, r *knowledge.Remedy, days []civil.Day, today civil.Day) Beside {
	x := Beside{Remedy: r.ID, Name: r.Name, On: []civil.Day{today}, Why: "It and what is sprayed do not concern each other."}
	if n, k := b.ConflictBetween(sprayed.ID, r.ID); k != nil {
		x.On[0] = days[len(days)-1].Add(max(1, n))
		x.Why = fmt.Sprintf("Not sooner: %s. Nothing is sprayed after it.", k.Why)
	}
	lim := LimitsOf(r, h)
	if lim.GapMin > 0 && lim.MaxApplications != 1 {
		x.On = append(x.On, x.On[0].Add(lim.GapMin))
	}
	return x
}

// between is the days of something done by hand between the sprays.
func between(h House, sprayed, r *knowledge.Remedy, days []civil.Day, last, today civil.Day) Beside {
	x := Beside{Remedy: r.ID, Name: r.Name, On: []civil.Day{}, Why: "On no day of spraying, nor the day after: it would take off what was put on."}
	if sprayed.Reach == "soil" {
		x.Why = "On any of these days."
	}
	lim := LimitsOf(r, h)
	for d := today; !d.After(last) && len(x.On) < mostBeside; d = d.Add(1) {
		near := sprayed.Reach != "soil" && slices.ContainsFunc(days, func(s civil.Day) bool { n := d.Sub(s); return n >= 0 && n <= afterSpray })
		if near || len(x.On) > 0 && d.Sub(x.On[len(x.On)-1]) < lim.GapMin {
			continue
		}
		x.On = append(x.On, d)
	}
	return x
}
