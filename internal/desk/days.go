package desk

import (
	"context"
	"fmt"

	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/plan"
	"botanik/core/remedy"
	"botanik/internal/casefile"
)

// DaysInput asks for the treatment days of a round.
type DaysInput struct {
	Start string `json:"start,omitempty" maxLength:"10" doc:"first day, YYYY-MM-DD; today when left out"`
	Count int    `json:"count,omitempty" minimum:"0" maximum:"12" doc:"treatments in this round; 3 when left out"`
	Gap   int    `json:"gapDays,omitempty" minimum:"0" maximum:"60" doc:"days between treatments; by the rhythm when left out"`

	On []string `json:"on,omitempty" maxItems:"12" doc:"the days themselves, set by hand; takes the place of start, count, gap and rhythm"`

	If string `json:"if,omitempty" enum:"half,skip,warm," doc:"for the picture only: half the plant missed, the second treatment left out, three degrees warmer"`

	TempC *float64 `json:"tempC,omitempty" minimum:"5" maximum:"40" doc:"°C where it stands, in a room or under glass; a room's usual 20, or 6 over the air outside, when left out"`

	Rhythm string `json:"rhythm,omitempty" maxLength:"40" doc:"answer to the question of how often, by its id; the case's or the house's when left out"`
}

// DaysPlan is the days worked out and the weeks they lie in.
type DaysPlan struct {
	casefile.Days
	Weeks plan.Weeks `json:"weeks"`
}

// PlanDays works the days out without writing them, and what the weeks they lie in bring.
func (s *Service) PlanDays(ctx context.Context, id string, in DaysInput) (DaysPlan, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return DaysPlan{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return DaysPlan{}, err
	}
	t, err := s.Task(m, &c, in.TempC)
	if err != nil {
		return DaysPlan{}, err
	}
	days, err := s.planDays(m, &c, t, in)
	if err != nil {
		return DaysPlan{}, err
	}
	weeks, err := s.Planning(m).Weeks(t, days.Planned(), in.If)
	return DaysPlan{days, weeks}, err
}

// Planning is the moment as core/plan takes it.
func (s *Service) Planning(m Moment) plan.Setting {
	return plan.Setting{Book: m.Book, Rules: m.Rules, Sky: m.Sky, Spot: m.Spot(), Now: m.Now, Today: m.Today, Zone: m.Clock}
}

// Task is what is done on days to a case's plant, where it stands so warm as somebody just
// read, or as they read when the days were kept. Errors name remedy or tempC.
func (s *Service) Task(m Moment, c *Case, tempC *float64) (plan.Task, error) {
	r := c.Now()
	if r.Treatment == nil {
		return plan.Task{}, fault.New("remedy", "nothing is chosen to be repeated", "choose a remedy first")
	}
	sit, err := s.Situation(m, c)
	if err != nil {
		return plan.Task{}, err
	}
	t := plan.Task{Cause: CauseOf(m.Book, c), Remedy: s.repeated(m.Book, c), Situation: sit, WarmC: tempC, Stages: sit.Stages, HandedOver: r.Handover != nil}
	if tempC != nil {
		return t, plan.CheckWarm(sit.Place, *tempC)
	}
	if d := r.Days; d != nil && d.TempC != nil && remedy.Sheltered(sit.Place) {
		t.WarmC = d.TempC
	}
	return t, nil
}

func (s *Service) planDays(m Moment, c *Case, t plan.Task, in DaysInput) (casefile.Days, error) {
	p := s.Planning(m)
	var d plan.Schedule
	var err error
	if len(in.On) > 0 {
		d, err = p.ByHand(t, in.On)
	} else {
		d, err = p.Days(t, plan.Preference{Start: in.Start, Count: in.Count, Gap: in.Gap, Rhythm: in.Rhythm})
	}
	if err != nil {
		return casefile.Days{}, err
	}
	out := casefile.Days{Start: d.On[0].String(), Gap: d.Gap, Notes: d.Notes, On: []string{}}
	for _, x := range d.On {
		out.On = append(out.On, x.String())
	}
	if !d.Test.IsZero() {
		out.Test = d.Test.String()
	}
	if was := c.Now().Days; len(in.On) > 0 && was != nil && was.Start == out.Start {
		out.Test = was.Test // the patch test before the first day, as it was told
	}
	out.Beside = s.Beside(m, c, out)
	return out, nil
}

// Beside is what else was chosen, around the days of what is sprayed.
func (s *Service) Beside(m Moment, c *Case, days casefile.Days) []casefile.BesideDays {
	var out []casefile.BesideDays
	for _, x := range remedy.Around(m.Book, m.Rules, s.repeated(m.Book, c), days.Planned(), c.Now().Treatment.Remedies, m.Today) {
		b := casefile.BesideDays{Remedy: x.Remedy, Name: x.Name, Why: x.Why, On: []string{}}
		for _, d := range x.On {
			b.On = append(b.On, d.String())
		}
		out = append(out, b)
	}
	return out
}

// stillHolds says what of the amounts and days no longer holds: a label, a
// picking or a day may have changed since they were kept.
func (s *Service) stillHolds(m Moment, c *Case) error {
	var l fault.List
	r := c.Now()
	if r.Mix != nil {
		_, err := dosage.Blend(m.Book, m.Rules, r.Mix.Input())
		l.AddErr("mix", fault.Rename(err, func(f fault.Fault) fault.Fault {
			f.Mend = "work the amounts out anew on the Mix step; " + f.Mend
			return f
		}))
	}
	if r.Days != nil {
		t, err := s.Task(m, c, nil)
		l.AddErr("", err)
		days := r.Days.Planned()
		if len(days) != len(r.Days.On) {
			l.Add("days", "one of the days is none", "set the days anew")
		}
		if err == nil {
			l.AddErr("", s.Planning(m).StillHolds(t, days))
		}
	}
	return l.Err()
}

// repeated is what of the treatment is done on days; nil when nothing is.
func (s *Service) repeated(b *knowledge.Base, c *Case) *knowledge.Remedy {
	return remedy.Repeated(b, c.Now().Treatment.Remedies)
}

// SetDays keeps the days of this round.
func (s *Service) SetDays(ctx context.Context, who Person, id string, from int, in DaysInput) (View, error) {
	return s.Change(ctx, who, id, from, "days", func(m Moment, c *Case) (string, error) {
		return s.KeepDays(m, c, who, in)
	})
}

// KeepDays works the days out, writes them into the round and says so.
func (s *Service) KeepDays(m Moment, c *Case, who Person, in DaysInput) (string, error) {
	t, err := s.Task(m, c, in.TempC)
	if err != nil {
		return "", err
	}
	d, err := s.planDays(m, c, t, in)
	if err != nil {
		return "", err
	}
	d.TempC, d.By = in.TempC, who.Name
	c.Now().Days = &d
	if len(d.On) == 1 {
		return "to be done once, on " + SpokenDay(d.Start, m.Today), nil
	}
	return fmt.Sprintf("to be done %s, %s apart, from %s", humanise.Times(len(d.On)), humanise.Days(d.Gap), SpokenDay(d.Start, m.Today)), nil
}
