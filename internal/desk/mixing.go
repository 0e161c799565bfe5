package desk

import (
	"context"
	"fmt"
	"slices"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/mix"
	"botanik/core/remedy"
)

func checkLabel(lab remedy.Label) error {
	var l fault.List
	for field, text := range map[string]string{"low": lab.Low, "high": lab.High} {
		if text != "" {
			_, err := mix.ParseRate(text)
			for _, f := range fault.From(err) {
				l.Add(field, f.Problem, f.Mend)
			}
		}
	}
	if lab.RepeatMin < 0 || lab.Most < 0 || lab.WaitDays < 0 {
		l.Add("repeatMinDays", "a figure is below zero", "give zero to keep the herbarium's")
	}
	return l.Err()
}

// MixInput asks for the amounts for the chosen product.
type MixInput struct {
	Remedy  string `json:"remedy,omitempty" doc:"remedy id; left out when only one chosen remedy is mixed"`
	Rate    string `json:"rate,omitempty" doc:"id of the label range; left out for the first"`
	Use     string `json:"use,omitempty" doc:"low, middle, top, or a rate like '15 mL per L'"`
	Volume  string `json:"volume" doc:"finished mix wanted, like '2 L'"`
	Sprayer string `json:"sprayer,omitempty" doc:"what one filling holds"`
	Spoons  string `json:"spoons,omitempty" enum:"metric,us,imperial,au,"`
}

// labelRange is the bottle's range: the house's own label where it is stricter
// known, else the herbarium's typical one.
func labelRange(r *knowledge.Remedy, rt knowledge.Rate, h remedy.House) (low, high string) {
	low, high = rt.Low, rt.High
	lab := h.Labels[r.ID]
	if lab.Low != "" {
		low = lab.Low
	}
	if lab.High != "" {
		high = lab.High
	}
	return low, high
}

// Blend works out a mix of one remedy for a sprayer, case or no case.
func (s *Service) Blend(ctx context.Context, in MixInput) (Mixed, error) {
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return Mixed{}, err
	}
	return Blend(s.Base, house, in)
}

// Blend is the mix of one remedy of a base under a house's labels.
func Blend(b *knowledge.Base, house remedy.House, in MixInput) (Mixed, error) {
	r := b.Remedy(in.Remedy)
	if r == nil {
		return Mixed{}, fault.New("remedy", fmt.Sprintf("%q is not a remedy of the herbarium", in.Remedy), "use an id from kb list remedies")
	}
	if len(r.Rates) == 0 {
		return Mixed{}, fault.New("remedy", r.Name+" is not mixed", "it is used as it is")
	}
	rt := r.Rates[0]
	if in.Rate != "" {
		i := slices.IndexFunc(r.Rates, func(x knowledge.Rate) bool { return x.ID == in.Rate })
		if i < 0 {
			return Mixed{}, fault.New("rate", fmt.Sprintf("%s has no use %q", r.Name, in.Rate), "leave it out for the first")
		}
		rt = r.Rates[i]
	}
	low, high := labelRange(r, rt, house)
	use, err := chosenRate(in.Use, low, high)
	if err != nil {
		return Mixed{}, err
	}
	req := mix.Request{Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Parts: []mix.Part{{Name: r.Name, Rate: use, Low: low, High: high, Form: rt.Form}}}
	plan, err := mix.Make(req)
	if err != nil {
		return Mixed{}, renamePart(err)
	}
	return Mixed{Remedy: r.ID, Rate: rt.ID, Use: use, Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Plan: plan}, nil
}

// chosenRate turns low, middle and top into a rate; anything else is one.
func chosenRate(use, low, high string) (string, error) {
	switch use {
	case "low":
		return low, nil
	case "top":
		return high, nil
	case "", "middle":
		lo, err := mix.ParseRate(low)
		if err != nil {
			return "", err
		}
		hi, err := mix.ParseRate(high)
		if err != nil {
			return "", err
		}
		return mix.Middle(lo, hi), nil
	}
	return use, nil
}

// renamePart turns "parts[0].rate" into "use", the field the person filled in.
func renamePart(err error) error {
	list := fault.List{}
	for _, f := range fault.From(err) {
		if f.Field == "parts[0].rate" {
			f.Field = "use"
		}
		list = append(list, f)
	}
	return list
}

// SetMix keeps the amounts for the grower's own sprayer.
func (s *Service) SetMix(ctx context.Context, who Person, id string, from int, in MixInput) (View, error) {
	return s.change(ctx, who, id, from, "mix", func(c *Case) (string, error) {
		if c.Treatment == nil {
			return "", fault.New("remedy", "nothing is chosen to be mixed", "choose a remedy first")
		}
		if in.Remedy == "" {
			for _, r := range c.Treatment.Remedies {
				if k := s.Base.Remedy(r); k != nil && len(k.Rates) > 0 {
					in.Remedy = r
				}
			}
			if in.Remedy == "" {
				return "", fault.New("remedy", "nothing that was chosen is mixed", "this step is not needed")
			}
		}
		if !slices.Contains(c.Treatment.Remedies, in.Remedy) {
			return "", fault.New("remedy", fmt.Sprintf("%q was not chosen for this case", in.Remedy), "choose it on the Remedy step first")
		}
		if err := s.mayUse(ctx, c, []string{in.Remedy}); err != nil {
			return "", err
		}
		m, err := s.Blend(ctx, in)
		if err != nil {
			return "", err
		}
		m.By = who.Name
		c.Mix = &m
		return fmt.Sprintf("%s at %s, %s of mix", s.Base.Remedy(m.Remedy).Name, m.Use, m.Volume), nil
	})
}

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
	if c.Treatment == nil {
		return Days{}, fault.New("remedy", "nothing is chosen to be repeated", "choose a remedy first")
	}
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return Days{}, err
	}
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return Days{}, err
	}
	r := s.repeated(c)
	if r == nil {
		return Days{}, fault.New("remedy", "nothing that was chosen is repeated on days", "this step is not needed")
	}
	start := s.today(ident)
	if in.Start != "" {
		if start, err = time.Parse(remedy.DateLayout, in.Start); err != nil {
			return Days{}, fault.New("start", fmt.Sprintf("%q is not a day", in.Start), "write it as YYYY-MM-DD")
		}
		if start.Before(s.today(ident)) {
			return Days{}, fault.New("start", "lies in the past", "start today or later")
		}
	}
	lab := house.Labels[r.ID]
	req := lifecycle.RepeatRequest{Start: start, GapMin: max(r.RepeatMin, lab.RepeatMin), GapMax: max(r.RepeatMax, lab.RepeatMin), Most: r.Most, Want: 3, School: in.Gap, Kills: r.Kills["egg"]}
	if lab.Most > 0 && (req.Most == 0 || lab.Most < req.Most) {
		req.Most = lab.Most
	}
	if in.Count > 0 {
		req.Want = in.Count
	}
	for _, t := range append(slices.Clone(c.Intake.Treated), c.Given...) {
		if t.Remedy == r.ID {
			req.Used++
		}
	}
	if k := s.Base.Cause(c.Verdict.Cause); k != nil && s.Base.LifeTable(k.LifeTable) != nil {
		temp := 20.0
		if c.Intake.Place != "indoors" {
			temp = s.weather(ident).Mean(start, 14)
		}
		w, err := lifecycle.Closed(s.Base.LifeTable(k.LifeTable), temp)
		if err != nil {
			return Days{}, err
		}
		req.Window = &w
	}
	sched, err := lifecycle.Repeats(req)
	if err != nil {
		return Days{}, err
	}
	out := Days{Start: start.Format(remedy.DateLayout), Gap: sched.Gap, Notes: sched.Notes, On: []string{}}
	for _, d := range sched.Days {
		out.On = append(out.On, d.Format(remedy.DateLayout))
	}
	return out, nil
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
		return fmt.Sprintf("%d treatments, every %d days from %s", len(d.On), d.Gap, d.Start), nil
	})
}
