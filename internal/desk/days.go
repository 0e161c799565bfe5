package desk

import (
	"context"
	"fmt"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/plain"
	"botanik/core/remedy"
)

// DaysInput asks for the treatment days of a round.
type DaysInput struct {
	Start string `json:"start,omitempty" maxLength:"10" doc:"first day, YYYY-MM-DD; today when left out"`
	Count int    `json:"count,omitempty" minimum:"0" maximum:"12" doc:"treatments in this round; 3 when left out"`
	Gap   int    `json:"gapDays,omitempty" minimum:"0" maximum:"60" doc:"days between treatments; by the rhythm when left out"`

	Rhythm string `json:"rhythm,omitempty" maxLength:"40" doc:"answer to the question of how often, by its id; the case's or the house's when left out"`
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
		start, err := civil.Parse(in.Start)
		switch {
		case err != nil:
			return Days{}, fault.New("start", fmt.Sprintf("%q is not a day", in.Start), "write it as YYYY-MM-DD")
		case start.Before(req.Start):
			return Days{}, fault.New("start", "lies in the past", "start today or later")
		case start.Sub(req.Start) > 366:
			return Days{}, fault.New("start", "lies more than a year ahead", "start within a year; a plan further off is not worth the paper")
		}
		req.Start = start
	}
	if in.Count > 0 {
		req.Want = in.Count
	}
	school := lifecycle.Computed
	if in.Gap > 0 {
		req.School = in.Gap
	} else {
		if school, err = s.rhythm(ctx, c, in.Rhythm); err != nil {
			return Days{}, err
		}
		req.School, req.Burst = lifecycle.Rhythm(school, req.GapMin)
	}
	sched, err := lifecycle.Repeats(req)
	if err != nil {
		return Days{}, err
	}
	out := Days{Start: req.Start.String(), Gap: sched.Gap, Notes: sched.Notes, On: []string{}}
	if o := s.Base.School(remedy.Rhythm).Option(school); school != lifecycle.Computed && o != nil {
		out.Notes = append([]string{"The rhythm chosen here: " + o.Name + ", kept inside the label."}, out.Notes...)
	}
	for _, d := range sched.Days {
		out.On = append(out.On, d.String())
	}
	return out, nil
}

// rhythm is the answer that holds to how often: the one asked for, else the
// case's or the house's.
func (s *Service) rhythm(ctx context.Context, c *Case, asked string) (string, error) {
	if asked != "" {
		if x := s.Base.School(remedy.Rhythm); x == nil || x.Option(asked) == nil {
			return "", fault.New("rhythm", fmt.Sprintf("%q is not an answer to how often", asked), "use an option of kb list schools, or leave it out")
		}
		return asked, nil
	}
	sit, err := s.situation(ctx, c)
	if err != nil {
		return "", err
	}
	return remedy.Answer(s.Base, sit, remedy.Rhythm), nil
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
	today, lim := s.today(ident), remedy.LimitsOf(r, sit.House)
	req = lifecycle.RepeatRequest{Start: today, GapMin: lim.GapMin, GapMax: lim.GapMax, Most: lim.Most, Want: 3, Kills: r.Kills["egg"]}
	if sit.Edible && sit.DaysToHarvest != nil {
		req.Harvest, req.Wait = today.Add(*sit.DaysToHarvest), lim.PreHarvest
	}
	req.Used, _ = remedy.Uses(sit.Earlier, r.ID, today)
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
		_, err := s.Blend(ctx, m.Input())
		l.AddErr("mix", fault.Rename(err, func(f fault.Fault) fault.Fault {
			f.Mend = "work the amounts out anew on the Mix step; " + f.Mend
			return f
		}))
	}
	if c.Days != nil {
		req, err := s.repeatRequest(ctx, c)
		l.AddErr("", err)
		if err == nil {
			l.AddErr("", lifecycle.Hold(c.Days.days(), req))
		}
	}
	return l.Err()
}

// days of the calendar; what is no day is left out.
func (d *Days) days() []civil.Day {
	out := []civil.Day{}
	if d == nil {
		return out
	}
	for _, on := range d.On {
		if day, err := civil.Parse(on); err == nil {
			out = append(out, day)
		}
	}
	return out
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
			return "to be done once, on " + spokenDay(d.Start, civil.Of(s.Now(), nil)), nil
		}
		return fmt.Sprintf("to be done %s, %s apart, from %s", plain.Times(len(d.On)), plain.Days(d.Gap), spokenDay(d.Start, civil.Of(s.Now(), nil))), nil
	})
}
