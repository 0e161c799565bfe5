package desk

import (
	"context"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/scouting"
	"botanik/internal/casefile"
	"botanik/internal/house"
)

// ActInput is the count and the decision.
type ActInput struct {
	Counts     []int    `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot, one number each"`
	Share      *float64 `json:"share,omitempty" minimum:"0" maximum:"1"`
	Helpers    bool     `json:"helpers,omitempty"`
	Stages     []string `json:"stages,omitempty" maxItems:"8"`
	Drought    bool     `json:"drought,omitempty"`
	Dormant    *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	BadYear    bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	CalciumLow bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice     string   `json:"choice" enum:"act,wait,pull"`
	Pressure   string   `json:"pressure" enum:"light,moderate,heavy"`
}

// Weighed is a count held against what is borne.
type Weighed struct {
	Summary   *scouting.Summary  `json:"summary,omitempty"`
	Threshold scouting.Threshold `json:"threshold"`
	Borne     string             `json:"borne"`
	Decision  *scouting.Decision `json:"decision,omitempty"`
}

// Weigh holds a count against the threshold of the case's cause, without
// writing anything.
func (s *Service) Weigh(ctx context.Context, id string, counts []int, share *float64, helpers bool) (Weighed, error) {
	c, err := s.read(ctx, id)
	if err != nil {
		return Weighed{}, err
	}
	k := s.cause(&c)
	if k == nil {
		return Weighed{}, fault.New("verdict", "there is no verdict to hold a count against", "settle the verdict first")
	}
	t := k.Tolerable
	out := Weighed{Threshold: scouting.Threshold{PerUnit: t.PerUnit, Share: t.Share, Unit: t.Unit, Source: t.Source}, Borne: t.Text}
	switch {
	case len(counts) > 0:
		sum, err := scouting.Summarise(counts)
		if err != nil {
			return Weighed{}, err
		}
		d := scouting.Decide(sum, out.Threshold, helpers)
		out.Summary, out.Decision = &sum, &d
	case share != nil:
		d := scouting.DecideShare(*share, out.Threshold, helpers)
		out.Decision = &d
	}
	return out, nil
}

// SetAct records the count and the decision. Choosing to wait or to pull also
// chooses that as the remedy.
func (s *Service) SetAct(ctx context.Context, who Person, id string, from int, in ActInput) (View, error) {
	var l fault.List
	if len(in.Counts) > 0 {
		_, err := scouting.Summarise(in.Counts)
		l.AddErr("", err)
	}
	l.AddErr("", remedy.CheckSeen(in.Stages, in.Pressure))
	if err := l.Err(); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "act", func(m house.Moment, c *Case) (string, error) {
		if c.Verdict == nil {
			return "", fault.New("verdict", "there is no verdict yet", "say what it is first")
		}
		c.HouseSeen = &m.Version
		was := c.Now().Act
		c.Now().Act = &casefile.Act{Counts: in.Counts, Share: in.Share, Helpers: in.Helpers, Stages: in.Stages, Drought: in.Drought, Dormant: in.Dormant, BadYear: in.BadYear, CalciumLow: in.CalciumLow, Choice: in.Choice, Pressure: in.Pressure, By: who.Name}
		switch in.Choice {
		case "wait":
			c.Treat(casefile.Treatment{Remedies: []string{knowledge.LeaveIt}, By: who.Name})
			return "wait and watch", nil
		case "pull":
			c.Treat(casefile.Treatment{Remedies: []string{knowledge.PullIt}, By: who.Name})
			return "pull it", nil
		}
		if was != nil && was.Choice != "act" { // what waiting or pulling chose is no treatment
			c.Clear(casework.SecRemedy, true)
		}
		return "act, " + in.Pressure + " pressure", nil
	})
}
