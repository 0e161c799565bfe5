package loop

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/lifecycle"
	"botanik/core/plan"
	"botanik/core/remedy"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// RescheduleForWeather goes through the treatments of the coming days that were handed over, and
// moves those whose weather turned bad: inside the label and the picking, said in the story
// and on the grower's page. It answers how many cases changed. A case that somebody changes
// at the same moment is left for the next time.
func (s *Service) RescheduleForWeather(ctx context.Context) (int, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return 0, err
	}
	ids := []string{}
	for _, r := range m.Book.Remedies {
		if r.Kind == "product" {
			ids = append(ids, r.ID)
		}
	}
	rows, err := s.Store.ApplicationsBetween(ctx, ids, m.Today.String(), m.Today.Add(plan.FitDays).String())
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
		case errors.Is(err, desk.ErrStale):
		case err != nil:
			troubles = errors.Join(troubles, fmt.Errorf("case %s: %w", row.Number, err))
		case ok:
			moved++
		}
	}
	return moved, troubles
}

// turn moves the days of one case.
func (s *Service) turn(ctx context.Context, m desk.Moment, id string) (bool, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return false, err
	}
	moves, days, err := s.turned(m, &c)
	if err != nil || len(moves) == 0 {
		return false, err
	}
	x, err := s.WorkOut(ctx, m, accounts.TheWeather(), id, c.Version, "weather", func(m desk.Moment, c *desk.Case) (string, error) {
		return s.putOff(m, c, moves, days)
	})
	if err != nil || x.Same {
		return false, err
	}
	told, to := []string{}, []string{}
	for _, mv := range moves {
		told, to = append(told, mv.Text()), append(to, mv.To.String())
	}
	// The day is moved and its message written together, or neither: the next turn finds
	// nothing to move, and would tell nobody.
	msg, err := s.compose(ctx, m, &x.Case, "moved", fmt.Sprintf("moved|%s|%d|%s", id, x.Case.Handed(), strings.Join(to, ",")), strings.Join(told, " "))
	if err != nil {
		return false, err
	}
	x.Write.Messages = []store.Message{msg}
	return true, s.Store.SetCases(ctx, x.Write)
}

// turned is what the weather asks of the days of a case that was handed over.
func (s *Service) turned(m desk.Moment, c *desk.Case) ([]lifecycle.Move, []civil.Day, error) {
	r := c.Now()
	if r.Handover == nil || r.Days == nil || r.Treatment == nil || c.Closing != nil || c.Page == nil {
		return nil, nil, nil
	}
	// What this round itself put on is not counted against it.
	before := *c
	before.Rounds = slices.Clone(c.Rounds)
	before.Rounds[len(before.Rounds)-1].Given = nil
	t, err := s.Task(m, &before, nil)
	if err != nil {
		return nil, nil, err
	}
	return s.Planning(m).Reschedule(t, r.Days.Planned(), func(d civil.Day) bool { return slices.Contains(c.Page.Done, d.String()) })
}

// putOff writes moved days into the round, what it put on, the day to ask and the grower's
// page, and says so.
func (s *Service) putOff(m desk.Moment, c *desk.Case, moves []lifecycle.Move, days []civil.Day) (string, error) {
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
	for _, x := range s.Beside(m, c, d) { // what lies behind stays as it was
		for _, old := range r.Days.Beside {
			if old.Remedy == x.Remedy {
				past := slices.DeleteFunc(slices.Clone(old.On), func(on string) bool { return !gone(on) })
				x.On = slices.Concat(past, slices.DeleteFunc(x.On, func(on string) bool { return gone(on) || slices.Contains(past, on) }))
			}
		}
		d.Beside = append(d.Beside, x)
	}
	r.Days = &d
	r.Given = s.GivenOn(m, c)
	c.AskOn = casework.AskOn(civil.Of(r.Handover.At, m.Clock), days, casework.EffectDays, false).String()
	r.Handover.AskOn = c.AskOn
	anew, err := s.SheetOf(m, c)
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
