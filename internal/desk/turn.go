package desk

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/core/weather"
	"botanik/internal/casefile"
	"botanik/internal/house"
	"botanik/internal/people"
	"botanik/internal/store"
)

// fitDays are how many days ahead a forecast is believed enough to move a day by it.
const fitDays = 7

// fits tells of the coming days whether a remedy can be put on a case's plant; nil where
// the sky does not matter: in a room, by hand.
//
// Of today only what is left counts while days are planned; once they are handed over the
// whole day does, for it may have been done this morning.
func (s *Service) fits(m house.Moment, c *Case, r *knowledge.Remedy) (func(civil.Day) lifecycle.Fitness, error) {
	if r == nil || r.Kind != "product" || remedy.Sheltered(c.Intake.Place) {
		return nil, nil
	}
	hours, err := s.Weather.Hours(m.Spot(), m.Today.Midnight(m.Clock), m.Today.Add(fitDays+1).Midnight(m.Clock))
	if err != nil {
		return nil, err
	}
	need, spot := needsOf(r, c.Intake.InBloom), m.Spot()
	known := sprayday.DayFits(hours, need, spot.Lat, spot.Lon, m.Clock)
	if x, ok := known[m.Today]; ok && c.Now().Handover == nil {
		left := slices.DeleteFunc(slices.Clone(hours), func(h weather.Hour) bool { return h.At.Before(m.Now) })
		work := sprayday.WorkDays(left, need, spot.Lat, spot.Lon, m.Clock)
		good := slices.ContainsFunc(work, func(d sprayday.WorkDay) bool { return d.Day == m.Today })
		if x.Good && !good {
			x.Why = "too few good hours are left of it"
		}
		x.Good = good
		known[m.Today] = x
	}
	return func(d civil.Day) lifecycle.Fitness {
		x, ok := known[d]
		if d.Sub(m.Today) >= fitDays {
			ok = false
		}
		return lifecycle.Fitness{Known: ok, Good: x.Good, Why: x.Why}
	}, nil
}

// fitted puts the days of a plan where the weather known lets them be done, and says what
// was moved. A first day somebody asked for stays, and is warned of.
func (s *Service) fitted(m house.Moment, c *Case, days []civil.Day, req lifecycle.RepeatRequest, asked bool) ([]civil.Day, []string, error) {
	fits, err := s.fits(m, c, s.repeated(c))
	if err != nil || fits == nil {
		return days, nil, err
	}
	if asked {
		return days, warned(days[:1], fits), nil
	}
	out, moves := lifecycle.Fit(days, req.Start, req.GapMin, fits, func(x []civil.Day) error { return lifecycle.Hold(x, req) })
	notes := []string{}
	for _, mv := range moves {
		notes = append(notes, mv.Text())
	}
	return out, append(notes, warned(out, fits)...), nil
}

// warned says which days are not fit by the weather known.
func warned(days []civil.Day, fits func(civil.Day) lifecycle.Fitness) []string {
	out := []string{}
	for _, d := range days {
		if f := fits(d); f.Known && !f.Good {
			out = append(out, fmt.Sprintf("%s is not fit as forecast: %s.", d.Brief(), f.Why))
		}
	}
	return out
}

// TheWeather is who moves a day when nobody did.
var TheWeather = Person{ID: "weather", Name: "the weather", Role: people.Advisor}

// TurnOfWeather goes through the treatments of the coming days that were handed over, and
// moves those whose weather turned bad: inside the label and the picking, said in the story
// and on the grower's page. It answers how many cases changed. A case that somebody changes
// at the same moment is left for the next time.
func (s *Service) TurnOfWeather(ctx context.Context) (int, error) {
	m, err := s.House.Moment(ctx)
	if err != nil {
		return 0, err
	}
	ids := []string{}
	for _, r := range s.Base().Remedies {
		if r.Kind == "product" {
			ids = append(ids, r.ID)
		}
	}
	rows, err := s.Store.PutOnBetween(ctx, ids, m.Today.String(), m.Today.Add(fitDays).String())
	if err != nil {
		return 0, err
	}
	moved, seen := 0, map[string]bool{}
	var troubles error // one case that cannot be read keeps no other from being looked at
	for _, row := range rows {
		if seen[row.CaseID] || remedy.Sheltered(row.Place) {
			continue
		}
		seen[row.CaseID] = true
		ok, err := s.turn(ctx, m, row.CaseID)
		switch {
		case errors.Is(err, ErrStale):
		case err != nil:
			troubles = errors.Join(troubles, fmt.Errorf("case %s: %w", row.Number, err))
		case ok:
			moved++
		}
	}
	return moved, troubles
}

// turn moves the days of one case.
func (s *Service) turn(ctx context.Context, m house.Moment, id string) (bool, error) {
	c, err := s.read(ctx, id)
	if err != nil {
		return false, err
	}
	moves, days, err := s.turned(m, &c)
	if err != nil || len(moves) == 0 {
		return false, err
	}
	x, err := s.workOut(ctx, m, TheWeather, id, c.Version, "weather", func(m house.Moment, c *Case) (string, error) {
		return s.putOff(m, c, moves, days)
	})
	if err != nil || x.same {
		return false, err
	}
	told, to := []string{}, []string{}
	for _, mv := range moves {
		told, to = append(told, mv.Text()), append(to, mv.To.String())
	}
	// The day is moved and its message written together, or neither: the next turn finds
	// nothing to move, and would tell nobody.
	msg, err := s.compose(ctx, m, &x.c, "moved", fmt.Sprintf("moved|%s|%d|%s", id, x.c.Handed(), strings.Join(to, ",")), strings.Join(told, " "))
	if err != nil {
		return false, err
	}
	x.write.Messages = []store.Message{msg}
	return true, s.Store.SetCases(ctx, x.write)
}

// turned is what the weather asks of the days of a case that was handed over.
func (s *Service) turned(m house.Moment, c *Case) ([]lifecycle.Move, []civil.Day, error) {
	r := c.Now()
	if r.Handover == nil || r.Days == nil || r.Treatment == nil || c.Closing != nil || c.Page == nil {
		return nil, nil, nil
	}
	fits, err := s.fits(m, c, s.repeated(c))
	if err != nil || fits == nil {
		return nil, nil, err
	}
	// What this round itself put on is not counted against it.
	before := *c
	before.Rounds = slices.Clone(c.Rounds)
	before.Rounds[len(before.Rounds)-1].Given = nil
	req, _, err := s.repeatRequest(m, &before)
	switch {
	case fault.Is(err): // a label of today that no longer has it: that is for a person
		return nil, nil, nil
	case err != nil:
		return nil, nil, err
	}
	days := r.Days.Planned()
	if len(days) == 0 {
		return nil, nil, nil
	}
	req.Start = days[0]
	if req.Start.After(m.Today) {
		req.Start = m.Today
	}
	done := func(d civil.Day) lifecycle.Fitness { // what was ticked off stays where it was
		if slices.Contains(c.Page.Done, d.String()) {
			return lifecycle.Fitness{}
		}
		return fits(d)
	}
	out, moves := lifecycle.Fit(days, m.Today, req.GapMin, done, func(x []civil.Day) error { return lifecycle.Hold(x, req) })
	return moves, out, nil
}

// putOff writes moved days into the round, what it put on, the day to ask and the grower's
// page, and says so.
func (s *Service) putOff(m house.Moment, c *Case, moves []lifecycle.Move, days []civil.Day) (string, error) {
	r := c.Now()
	was := r.Days.On
	d := *r.Days
	d.On, d.Start = []string{}, days[0].String()
	told := []string{}
	for _, mv := range moves {
		told = append(told, mv.Text())
		d.Moved = append(slices.Clone(d.Moved), casefile.MovedDay{From: mv.From.String(), To: mv.To.String(), Why: mv.Why, At: m.Now})
	}
	for _, x := range days {
		d.On = append(d.On, x.String())
	}
	gone := func(on string) bool { return on < m.Today.String() }
	d.Beside = nil
	for _, x := range s.beside(m, c, d) { // what lies behind stays as it was
		for _, old := range r.Days.Beside {
			if old.Remedy == x.Remedy {
				past := slices.DeleteFunc(slices.Clone(old.On), func(on string) bool { return !gone(on) })
				x.On = slices.Concat(past, slices.DeleteFunc(x.On, func(on string) bool { return gone(on) || slices.Contains(past, on) }))
			}
		}
		d.Beside = append(d.Beside, x)
	}
	r.Days = &d
	r.Given = s.given(m, c)
	c.AskOn = casework.AskOn(civil.Of(r.Handover.At, m.Clock), days, casework.EffectDays, false).String()
	r.Handover.AskOn = c.AskOn
	anew, err := s.sheet(m, c)
	if err != nil {
		return "", err
	}
	page := *c.Page
	sh := page.Sheet
	first := map[string]string{} // a day in a calendar keeps its identity
	for _, x := range sh.Table {
		first[x.On] = firstOf(x)
	}
	for i := range anew.Table {
		if at := slices.Index(d.On, anew.Table[i].On); at >= 0 && at < len(was) && first[was[at]] != anew.Table[i].On {
			anew.Table[i].First = first[was[at]]
		}
	}
	sh.Days, sh.Table, sh.Beside, sh.NotUntil, sh.AskOn, sh.AskDay = anew.Days, anew.Table, anew.Beside, anew.NotUntil, anew.AskOn, anew.AskDay
	sh.Moved = told
	page.Sheet = sh
	c.Page = &page
	return "days moved: " + strings.Join(told, " "), nil
}

func firstOf(x casefile.SheetDay) string {
	if x.First != "" {
		return x.First
	}
	return x.On
}

// movedToday are the cases whose days the weather moved since midnight.
func (s *Service) movedToday(ctx context.Context, m house.Moment) ([]store.Told, error) {
	return s.Store.MovedSince(ctx, store.Stamp(m.Today.Midnight(m.Clock)))
}
