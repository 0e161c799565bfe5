package desk

import (
	"cmp"
	"context"
	"fmt"
	"slices"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
)

// VerdictInput is what the advisor says it is.
type VerdictInput struct {
	Cause  string `json:"cause,omitempty" doc:"cause id; left out when undetermined"`
	Also   string `json:"also,omitempty" doc:"a second cause at work"`
	Degree string `json:"degree" enum:"settled,group,working,open,undetermined" doc:"group: settled to what is treated alike, the kind not told"`
	Note   string `json:"note,omitempty" maxLength:"400" doc:"why, when it departs from the ranking or changes an earlier verdict"`
}

// SetVerdict settles the verdict or leaves it open. A trainee's waits for an
// advisor; one that replaces another keeps the reason for the change.
func (s *Service) SetVerdict(ctx context.Context, who Person, id string, from int, in VerdictInput) (View, error) {
	in.Note = humanise.Text(in.Note)
	return s.Change(ctx, who, id, from, "verdict", func(m Moment, c *Case) (string, error) {
		if c.Now().Handover != nil && !who.May(accounts.ChangeHanded) {
			return "", fault.New("verdict", "it is handed over", "ask an advisor to change it")
		}
		rank, err := s.rank(ctx, m, c)
		if err != nil {
			return "", err
		}
		if err := checkVerdict(m, c, rank, in); err != nil {
			return "", err
		}
		v := casefile.Verdict{Cause: in.Cause, Also: in.Also, Degree: in.Degree, Note: in.Note, By: who.Name, At: m.Now, NeedsReview: !who.May(accounts.SettleVerdicts)}
		for _, cand := range rank.Candidates {
			if cand.Cause == in.Cause {
				v.P = cand.P
			}
		}
		again := ""
		if c.Verdict != nil && c.Verdict.Cause != in.Cause {
			if c.Now().Handover != nil {
				again = "; the grower's page is to be handed over anew"
			}
			c.Clear(casework.SecVerdict, false)
		}
		c.Verdict = &v
		return verdictLine(m.Book, v) + again, nil
	})
}

func verdictLine(b *knowledge.Base, v casefile.Verdict) string {
	k := b.Cause(v.Cause)
	text := "undetermined, to be sent on"
	if k != nil {
		text = v.Degree + ": " + k.Name
		if v.Degree == differential.Group {
			text = "settled to the group: " + k.Group
		}
	}
	if also := b.Cause(v.Also); also != nil {
		text += ", and " + humanise.InSentence(also.Name) + " besides it"
	}
	if v.NeedsReview {
		text += ", waits for an advisor"
	}
	if v.Note != "" {
		text += " (" + v.Note + ")"
	}
	return text
}

func checkVerdict(m Moment, c *Case, rank differential.Ranking, in VerdictInput) error {
	var l fault.List
	b := m.Book
	sure := slices.Contains(differential.SureDegrees, in.Degree)
	k := b.Cause(in.Cause)
	switch {
	case in.Degree == "undetermined" && in.Cause != "":
		l.Add("cause", "an undetermined verdict names no cause", "leave the cause out, or choose another degree")
	case in.Degree != "undetermined" && k == nil:
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", in.Cause), "choose a candidate, or make it undetermined")
	case k != nil && sure && (k.LabOnly != "" || k.Regulated != ""):
		l.Add("degree", k.Name+" can never be settled at the desk", "make it working; "+cmp.Or(k.Regulated, k.LabOnly))
	case k != nil && sure && len(c.Looks) == 0:
		l.Add("degree", "nothing has been looked at", "look first, or leave it open")
	case k != nil && sure && len(rank.Alarms) > 0 && rank.Alarms[0].Kind != differential.AlarmHelper && rank.Alarms[0].Cause != in.Cause:
		l.Add("degree", "an alarm stands: "+rank.Alarms[0].Text, "look at what rules it out, or make it likely")
	}
	if k != nil && sure && l.Err() == nil {
		if left := leftOver(m, c, in.Cause, in.Also); len(left) > 0 {
			l.Add("degree", fmt.Sprintf("seen for sure and not explained: %s", left[0].Said), "look there again, name what is there besides it, say why it is no part of this, or make it likely")
		}
	}
	if in.Also != "" && (b.Cause(in.Also) == nil || in.Also == in.Cause) {
		l.Add("also", fmt.Sprintf("%q is not another cause of the herbarium", in.Also), "choose a second cause, or leave it out")
	}
	if old := c.Verdict; old != nil && old.Cause != in.Cause && in.Note == "" {
		l.Add("note", "the verdict changes and no reason is given", "write in a few words what changed your mind")
	}
	return l.Err()
}

// Review lets an advisor agree with a trainee's verdict, or send it back.
func (s *Service) Review(ctx context.Context, who Person, id string, from int, agree bool, note string) (View, error) {
	if !who.May(accounts.ReviewVerdicts) {
		return View{}, ErrForbidden
	}
	note = humanise.Text(note)
	return s.Change(ctx, who, id, from, "review", func(_ Moment, c *Case) (string, error) {
		if c.Verdict == nil || !c.Verdict.NeedsReview {
			return "", fault.New("verdict", "no verdict waits for review", "nothing to do here")
		}
		by := c.Verdict.By
		if !agree {
			if note == "" {
				return "", fault.New("note", "is empty", "say what the trainee should look at again")
			}
			c.Clear(casework.SecVerdict, true)
			return "sent back to " + by + ": " + note, nil
		}
		c.Verdict.NeedsReview, c.Verdict.ReviewedBy = false, who.Name
		if note != "" {
			return "agreed with " + by + ": " + note, nil
		}
		return "agreed with " + by, nil
	})
}
