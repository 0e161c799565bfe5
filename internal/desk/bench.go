package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/plain"
	"botanik/core/remedy"
	"botanik/core/scouting"
)

// SetIntake corrects what was written down at the counter.
func (s *Service) SetIntake(ctx context.Context, who Person, id string, from int, in Intake) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	if err := s.checkIntake(&in, s.today(ident)); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "intake", func(c *Case) (string, error) {
		c.Intake = in
		return "corrected what was brought in", nil
	})
}

// Look records one finding; an empty state takes it back to "not looked".
func (s *Service) Look(ctx context.Context, who Person, id string, from int, l differential.Look) (View, error) {
	return s.LookAt(ctx, who, id, from, l, nil)
}

// LookAt is Look with the place on the drawing it was seen at.
func (s *Service) LookAt(ctx context.Context, who Person, id string, from int, l differential.Look, at *Spot) (View, error) {
	f := s.Base.Finding(l.Finding)
	if f == nil {
		return View{}, fault.New("finding", fmt.Sprintf("%q is not a finding of the herbarium", l.Finding), "use an id from kb list findings")
	}
	if l.State != "" {
		if err := s.Engine.Check(differential.Setting{}, []differential.Look{l}); err != nil {
			return View{}, stripPrefix(err, "looks[0].")
		}
	}
	return s.change(ctx, who, id, from, "look", func(c *Case) (string, error) {
		i := slices.IndexFunc(c.Looks, func(x LookRecord) bool { return x.Finding == l.Finding })
		if l.State == "" {
			if i >= 0 {
				c.Looks = slices.Delete(slices.Clone(c.Looks), i, i+1)
			}
			return f.Name + ": not looked", nil
		}
		rec := LookRecord{l, at, who.Name, s.Now()}
		if i >= 0 {
			if at == nil {
				rec.Spot = c.Looks[i].Spot
			}
			c.Looks[i] = rec
		} else {
			c.Looks = append(c.Looks, rec)
		}
		sure := ""
		if l.Certainty == "think" || l.Certainty == "guess" {
			sure = " (" + l.Certainty + ")"
		}
		return f.Name + ": " + f.States[f.State(l.State)].Name + sure, nil
	})
}

func stripPrefix(err error, prefix string) error {
	return fault.Rename(err, func(f fault.Fault) fault.Fault {
		f.Field = strings.TrimPrefix(f.Field, prefix)
		return f
	})
}

// VerdictInput is what the advisor says it is.
type VerdictInput struct {
	Cause  string `json:"cause,omitempty" doc:"cause id; left out when undetermined"`
	Also   string `json:"also,omitempty" doc:"a second cause at work"`
	Degree string `json:"degree" enum:"settled,working,open,undetermined"`
	Note   string `json:"note,omitempty" maxLength:"400" doc:"why, when it departs from the ranking or changes an earlier verdict"`
}

// SetVerdict settles the verdict or leaves it open. A trainee's waits for an
// advisor; one that replaces another keeps the reason for the change.
func (s *Service) SetVerdict(ctx context.Context, who Person, id string, from int, in VerdictInput) (View, error) {
	view, err := s.View(ctx, id)
	if err != nil {
		return View{}, err
	}
	in.Note = plain.Text(in.Note)
	var l fault.List
	k := s.Base.Cause(in.Cause)
	switch {
	case in.Degree == "undetermined" && in.Cause != "":
		l.Add("cause", "an undetermined verdict names no cause", "leave the cause out, or choose another degree")
	case in.Degree != "undetermined" && k == nil:
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", in.Cause), "choose a candidate, or make it undetermined")
	case k != nil && in.Degree == "settled" && (k.LabOnly != "" || k.Regulated != ""):
		l.Add("degree", k.Name+" can never be settled at the desk", "make it working; "+firstOf(k.Regulated, k.LabOnly))
	case k != nil && in.Degree == "settled" && len(view.Looks) == 0:
		l.Add("degree", "nothing has been looked at", "look first, or leave it open")
	}
	if in.Also != "" && (s.Base.Cause(in.Also) == nil || in.Also == in.Cause) {
		l.Add("also", fmt.Sprintf("%q is not another cause of the herbarium", in.Also), "choose a second cause, or leave it out")
	}
	if old := view.Verdict; old != nil && old.Cause != in.Cause && in.Note == "" {
		l.Add("note", "the verdict changes and no reason is given", "write in a few words what changed your mind")
	}
	if err := l.Err(); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "verdict", func(c *Case) (string, error) {
		v := Verdict{Cause: in.Cause, Also: in.Also, Degree: in.Degree, Note: in.Note, By: who.Name, At: s.Now(), NeedsReview: who.Role == "trainee"}
		for _, cand := range view.Reading.Candidates {
			if cand.Cause == in.Cause {
				v.P = cand.P
			}
		}
		if c.Handover != nil && who.Role == "trainee" {
			return "", fault.New("verdict", "it is handed over", "ask an advisor to change it")
		}
		again := ""
		if c.Verdict != nil && c.Verdict.Cause != in.Cause {
			if c.Handover != nil {
				again = "; the grower's page is to be handed over anew"
			}
			c.clear(casework.After(casework.SecVerdict)...)
		}
		c.Verdict = &v
		text := in.Degree + ": "
		if k != nil {
			text += k.Name
		} else {
			text = "undetermined, to be sent on"
		}
		if v.NeedsReview {
			text += ", waits for an advisor"
		}
		if in.Note != "" {
			text += " (" + in.Note + ")"
		}
		return text + again, nil
	})
}

func firstOf(a, b string) string {
	if a != "" {
		return a
	}
	return b
}

// Review lets an advisor agree with a trainee's verdict, or send it back.
func (s *Service) Review(ctx context.Context, who Person, id string, from int, agree bool, note string) (View, error) {
	if who.Role == "trainee" {
		return View{}, ErrForbidden
	}
	return s.change(ctx, who, id, from, "review", func(c *Case) (string, error) {
		if c.Verdict == nil || !c.Verdict.NeedsReview {
			return "", fault.New("verdict", "no verdict waits for review", "nothing to do here")
		}
		note := plain.Text(note)
		if !agree {
			if note == "" {
				return "", fault.New("note", "is empty", "say what the trainee should look at again")
			}
			by := c.Verdict.By
			c.clear(casework.SecVerdict)
			c.clear(casework.After(casework.SecVerdict)...)
			return "sent back to " + by + ": " + note, nil
		}
		c.Verdict.NeedsReview, c.Verdict.ReviewedBy = false, who.Name
		text := "agreed with " + c.Verdict.By
		if note != "" {
			text += ": " + note
		}
		return text, nil
	})
}

// ActInput is the count and the decision.
type ActInput struct {
	Counts  []int    `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot, one number each"`
	Share   *float64 `json:"share,omitempty" minimum:"0" maximum:"1"`
	Helpers bool     `json:"helpers,omitempty"`
	Stages  []string `json:"stages,omitempty" maxItems:"8"`
	Drought bool     `json:"drought,omitempty"`
	Dormant *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	BadYear bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	LowCa   bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice  string   `json:"choice" enum:"act,wait,pull"`
	Press   string   `json:"pressure" enum:"light,moderate,heavy"`
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
	v, err := s.View(ctx, id)
	if err != nil {
		return Weighed{}, err
	}
	k := s.causeOf(v)
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
		lo, hi := scouting.Wilson(int(*share*20+.5), 20)
		sum := scouting.Summary{N: 20, Share: *share, ShareLow: lo, ShareTop: hi}
		th := out.Threshold
		th.PerUnit = 0
		d := scouting.Decide(sum, th, helpers)
		out.Decision = &d
	}
	return out, nil
}

func (s *Service) causeOf(v View) *knowledge.Cause {
	if v.Verdict == nil {
		return nil
	}
	return s.Base.Cause(v.Verdict.Cause)
}

// SetAct records the count and the decision. Choosing to wait or to pull also
// chooses that as the remedy.
func (s *Service) SetAct(ctx context.Context, who Person, id string, from int, in ActInput) (View, error) {
	var l fault.List
	if len(in.Counts) > 0 {
		_, err := scouting.Summarise(in.Counts)
		l.AddErr("", err)
	}
	l.AddErr("", remedy.Situation{Date: "2000-01-01", Stages: in.Stages, Pressure: in.Press}.Check(s.Base))
	if err := l.Err(); err != nil {
		return View{}, err
	}
	_, seen, err := s.HouseRules(ctx)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "act", func(c *Case) (string, error) {
		c.HouseSeen = &seen
		if c.Verdict == nil {
			return "", fault.New("verdict", "there is no verdict yet", "say what it is first")
		}
		c.Act = &Act{Counts: in.Counts, Share: in.Share, Helpers: in.Helpers, Stages: in.Stages, Drought: in.Drought, Dormant: in.Dormant, BadYear: in.BadYear, LowCa: in.LowCa, Choice: in.Choice, Press: in.Press, By: who.Name}
		switch in.Choice {
		case "wait":
			c.treat(Treatment{Remedies: []string{remedy.LeaveIt}, By: who.Name})
			return "wait and watch", nil
		case "pull":
			c.treat(Treatment{Remedies: []string{remedy.PullIt}, By: who.Name})
			return "pull it", nil
		}
		return "act, " + in.Press + " pressure", nil
	})
}

// AskedOn is a due follow-up in words.
func askedOn(askOn string, today civil.Day) (string, int) {
	t, err := civil.Parse(askOn)
	if err != nil {
		return "", 0
	}
	return casework.Due(t, today)
}
