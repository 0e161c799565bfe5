package desk

import (
	"context"
	"fmt"
	"slices"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/plain"
	"botanik/core/remedy"
)

// DaysInput asks for the treatment days of a round.
type DaysInput struct {
	Start string `json:"start,omitempty" doc:"first day, YYYY-MM-DD; today when left out"`
	Count int    `json:"count,omitempty" minimum:"0" maximum:"12" doc:"treatments in this round; 3 when left out"`
	Gap   int    `json:"gapDays,omitempty" minimum:"0" maximum:"60" doc:"a fixed rhythm; computed when left out"`
}

// PlanDays works the days out without writing them.
func (s *Service) PlanDays(ctx context.Context, id string, in DaysInput) (Days, error) {
	v, err := s.View(ctx, id)
	if err != nil {
		return Days{}, err
	}
	return s.planDays(ctx, &v.Case, in)
}

func (s *Service) planDays(ctx context.Context, c *Case, in DaysInput) (Days, error) {
	req, err := s.repeatRequest(ctx, c)
	if err != nil {
		return Days{}, err
	}
	if in.Start != "" {
		start, err := time.Parse(remedy.DateLayout, in.Start)
		if err != nil {
			return Days{}, fault.New("start", fmt.Sprintf("%q is not a day", in.Start), "write it as YYYY-MM-DD")
		}
		if start.Before(req.Start) {
			return Days{}, fault.New("start", "lies in the past", "start today or later")
		}
		req.Start = start
	}
	if in.Count > 0 {
		req.Want = in.Count
	}
	school := "computed"
	if in.Gap > 0 {
		req.School = in.Gap
	} else {
		sit, err := s.situation(ctx, c)
		if err != nil {
			return Days{}, err
		}
		for _, x := range remedy.Schools(s.Base, sit) {
			if x.School == "rhythm" {
				school = x.Option
			}
		}
		req.School, req.Burst = lifecycle.Rhythm(school, req.GapMin)
	}
	sched, err := lifecycle.Repeats(req)
	if err != nil {
		return Days{}, err
	}
	out := Days{Start: req.Start.Format(remedy.DateLayout), Gap: sched.Gap, Notes: sched.Notes, On: []string{}}
	if school != "computed" {
		out.Notes = append([]string{"The rhythm chosen here: " + s.Base.School("rhythm").Option(school).Name + ", kept inside the label."}, out.Notes...)
	}
	for _, d := range sched.Days {
		out.On = append(out.On, d.Format(remedy.DateLayout))
	}
	return out, nil
}

// repeatRequest is what bears on the days of this case today, the rhythm left
// open: the label in hand, what was used, the next picking, the pest's life.
func (s *Service) repeatRequest(ctx context.Context, c *Case) (lifecycle.RepeatRequest, error) {
	var req lifecycle.RepeatRequest
	if c.Treatment == nil {
		return req, fault.New("remedy", "nothing is chosen to be repeated", "choose a remedy first")
	}
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return req, err
	}
	sit, err := s.situation(ctx, c)
	if err != nil {
		return req, err
	}
	r := s.repeated(c)
	if r == nil {
		return req, fault.New("remedy", "nothing that was chosen is repeated on days", "this step is not needed")
	}
	today, lab := s.today(ident), sit.House.Labels[r.ID]
	req = lifecycle.RepeatRequest{Start: today, GapMin: max(r.RepeatMin, lab.RepeatMin), GapMax: max(r.RepeatMax, lab.RepeatMin), Most: r.Most, Want: 3, Kills: r.Kills["egg"]}
	if lab.Most > 0 && (req.Most == 0 || lab.Most < req.Most) {
		req.Most = lab.Most
	}
	if sit.Edible && sit.DaysToHarvest != nil {
		req.Harvest, req.Wait = today.AddDate(0, 0, *sit.DaysToHarvest), max(r.WaitDays, lab.WaitDays)
	}
	for _, t := range append(slices.Clone(c.Intake.Treated), c.Given...) {
		if t.Remedy == r.ID {
			req.Used++
		}
	}
	if k := s.Base.Cause(c.Verdict.Cause); k != nil && s.Base.LifeTable(k.LifeTable) != nil {
		w, err := lifecycle.Closed(s.Base.LifeTable(k.LifeTable), remedy.Warmth(c.Intake.Place, s.weather(ident).Mean(today, 14)))
		if err != nil {
			return req, err
		}
		req.Window = &w
	}
	return req, nil
}

// stillHolds says what of the amounts and days no longer holds: a label, a
// picking or a day may have changed since they were kept.
func (s *Service) stillHolds(ctx context.Context, c *Case) error {
	var l fault.List
	if m := c.Mix; m != nil {
		_, err := s.Blend(ctx, MixInput{Remedy: m.Remedy, Rate: m.Rate, Use: m.Use, Volume: m.Volume, Sprayer: m.Sprayer, Spoons: m.Spoons, Stock: m.Stock, With: m.With, BothLabels: m.BothLabels, Treatments: m.Treatments})
		for _, f := range fault.From(err) {
			l.Add("mix."+f.Field, f.Problem, "work the amounts out anew on the Mix step; "+f.Mend)
		}
	}
	if c.Days != nil {
		req, err := s.repeatRequest(ctx, c)
		l.AddErr("", err)
		days := []time.Time{}
		for _, on := range c.Days.On {
			d, err := time.Parse(remedy.DateLayout, on)
			l.AddErr("days", err)
			days = append(days, d)
		}
		if err == nil {
			l.AddErr("", lifecycle.Hold(days, req))
		}
	}
	return l.Err()
}

// repeated is the chosen remedy whose days are planned: the harshest one that
// has a rhythm.
func (s *Service) repeated(c *Case) *knowledge.Remedy {
	var best *knowledge.Remedy
	for _, id := range c.Treatment.Remedies {
		if r := s.Base.Remedy(id); r != nil && r.RepeatMin > 0 && (best == nil || r.Rung > best.Rung) {
			best = r
		}
	}
	return best
}

// SetDays keeps the days of this round.
func (s *Service) SetDays(ctx context.Context, who Person, id string, from int, in DaysInput) (View, error) {
	return s.change(ctx, who, id, from, "days", func(c *Case) (string, error) {
		d, err := s.planDays(ctx, c, in)
		if err != nil {
			return "", err
		}
		d.By = who.Name
		c.Days = &d
		if len(d.On) == 1 {
			return "to be done once, on " + spokenDay(d.Start), nil
		}
		return fmt.Sprintf("to be done %s, %s apart, from %s", plain.Times(len(d.On)), plain.Days(d.Gap), spokenDay(d.Start)), nil
	})
}
