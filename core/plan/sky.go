package plan

import (
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/core/weather"
)

// Needs are what a remedy of the book asks of its hour.
func Needs(r *knowledge.Remedy, inBloom bool) sprayday.Needs {
	return sprayday.Needs{TempMin: r.TempMin, TempMax: r.TempMax, NoSun: r.NoSun, Bees: r.Bloom, InBloom: inBloom, Frost: r.Season == "dormant", Daylight: r.Season == "dormant", WetIsFine: r.Reach == "soil"}
}

// Fits tells of the coming days whether a task's remedy can be put on; nil where the sky
// does not matter: in a room, by hand.
//
// Of today only what is left counts while days are planned; once they are handed over the
// whole day does, for it may have been done this morning.
func (m Setting) Fits(t Task) (func(civil.Day) lifecycle.Fitness, error) {
	if t.Remedy == nil || t.Remedy.Kind != "product" || remedy.Sheltered(t.Situation.Place) {
		return nil, nil
	}
	hours, err := m.Sky.Hours(m.Spot, m.Today.Midnight(m.Zone), m.Today.Add(FitDays+1).Midnight(m.Zone))
	if err != nil {
		return nil, err
	}
	need := Needs(t.Remedy, t.Situation.InBloom)
	known := sprayday.DayFits(hours, need, m.Spot.Lat, m.Spot.Lon, m.Zone)
	if x, ok := known[m.Today]; ok && !t.HandedOver {
		left := slices.DeleteFunc(slices.Clone(hours), func(h weather.Hour) bool { return h.At.Before(m.Now) })
		work := sprayday.WorkDays(left, need, m.Spot.Lat, m.Spot.Lon, m.Zone)
		good := slices.ContainsFunc(work, func(d sprayday.WorkDay) bool { return d.Day == m.Today })
		if x.Good && !good {
			x.Why = "too few good hours are left of it"
		}
		x.Good = good
		known[m.Today] = x
	}
	return func(d civil.Day) lifecycle.Fitness {
		x, ok := known[d]
		if d.Sub(m.Today) >= FitDays {
			ok = false
		}
		return lifecycle.Fitness{Known: ok, Good: x.Good, Why: x.Why}
	}, nil
}

// fitDays puts days where the weather known lets them be done, and says what was moved. A
// first day somebody asked for stays, and is warned of.
func (m Setting) fitDays(t Task, days []civil.Day, req lifecycle.RepeatRequest, asked bool) ([]civil.Day, []string, error) {
	fits, err := m.Fits(t)
	if err != nil || fits == nil {
		return days, nil, err
	}
	if asked {
		return days, unfitDays(days[:1], fits), nil
	}
	out, moves := lifecycle.Fit(days, req.Start, req.GapMin, fits, func(x []civil.Day) error { return lifecycle.Hold(x, req) })
	notes := []string{}
	for _, mv := range moves {
		notes = append(notes, mv.Text())
	}
	return out, append(notes, unfitDays(out, fits)...), nil
}

// unfitDays says which days are not fit by the weather known.
func unfitDays(days []civil.Day, fits func(civil.Day) lifecycle.Fitness) []string {
	out := []string{}
	for _, d := range days {
		if f := fits(d); f.Known && !f.Good {
			out = append(out, fmt.Sprintf("%s is not fit as forecast: %s.", d.Brief(), f.Why))
		}
	}
	return out
}

// Reschedule is what the weather asks of days that were handed over: where each should go,
// and all of them then; what is done stays where it was. Nothing moves where the sky does
// not matter, or where today's label no longer has the treatment: that is for a person.
func (m Setting) Reschedule(t Task, days []civil.Day, done func(civil.Day) bool) ([]lifecycle.Move, []civil.Day, error) {
	fits, err := m.Fits(t)
	if err != nil || fits == nil || len(days) == 0 {
		return nil, nil, err
	}
	req, err := m.Request(t)
	switch {
	case fault.Is(err):
		return nil, nil, nil
	case err != nil:
		return nil, nil, err
	}
	req.Start = days[0]
	if req.Start.After(m.Today) {
		req.Start = m.Today
	}
	open := func(d civil.Day) lifecycle.Fitness {
		if done(d) {
			return lifecycle.Fitness{}
		}
		return fits(d)
	}
	out, moves := lifecycle.Fit(days, m.Today, req.GapMin, open, func(x []civil.Day) error { return lifecycle.Hold(x, req) })
	return moves, out, nil
}
