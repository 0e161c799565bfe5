package desk

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/plain"
	"botanik/internal/people"
)

// effectDays is how long after the last treatment its effect shows.
const effectDays = 7

// HandOver gives the page to the grower and sets the day to ask. Everything
// chosen is checked once more, because a day, the house or the law may have
// changed since.
func (s *Service) HandOver(ctx context.Context, who Person, id string, from int) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "handover", func(c *Case) (string, error) {
		f := s.facts(&c.Doc)
		if f.HandedOver {
			return "", fault.New("handover", "this round is already handed over", "print it again from the page, or start the next round")
		}
		if err := casework.MayHandOver(f); err != nil {
			return "", err
		}
		if !f.Refer {
			if err := s.mayUse(ctx, c, c.Treatment.Remedies); err != nil {
				return "", err
			}
			if err := s.stillHolds(ctx, c); err != nil {
				return "", err
			}
		}
		today := s.today(ident)
		token := people.RandomText(24)
		if c.Page != nil {
			token = c.Page.Token // the grower's link holds
		}
		c.AskOn = casework.AskOn(today, c.Days.days(), effectDays, f.Refer).String()
		c.Round++
		c.Handover = &Handover{By: who.Name, At: s.Now(), Token: token, AskOn: c.AskOn}
		if c.Treatment != nil && !f.Refer {
			c.Given = append(c.Given, s.given(c, today)...)
		}
		sheet, err := s.sheet(ctx, c)
		if err != nil {
			return "", err
		}
		c.Page = &Page{Token: token, Sheet: sheet}
		return "handed over; ask on " + spokenDay(c.AskOn, today), nil
	})
}

// given lists what this round puts on the plant, for the waits of the next.
func (s *Service) given(c *Case, today civil.Day) []Treated {
	out := []Treated{}
	for _, id := range c.Treatment.Remedies {
		r := s.Base.Remedy(id)
		if r == nil || r.Kind == "culture" || r.Rung == 0 {
			continue
		}
		on := []string{today.String()}
		if c.Days != nil && r == s.repeated(c) {
			on = c.Days.On
		}
		for _, d := range on {
			out = append(out, Treated{What: r.Name, Remedy: id, On: d})
		}
	}
	return out
}

// FollowUpInput is what came of asking.
type FollowUpInput struct {
	Silent bool              `json:"silent,omitempty" doc:"nobody answered"`
	Count  *casework.Recount `json:"count,omitempty"`
	Note   string            `json:"note,omitempty" maxLength:"400"`
}

// FollowUp records a recount, judges it and names the next move. Two silent
// ones in a row raise a call.
func (s *Service) FollowUp(ctx context.Context, who Person, id string, from int, in FollowUpInput) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	in.Note = plain.Text(in.Note)
	if !in.Silent && in.Count == nil && in.Note == "" {
		return View{}, fault.New("count", "nothing is told", "give the recount, or what the grower said, or that nobody answered")
	}
	return s.change(ctx, who, id, from, "followup", func(c *Case) (string, error) {
		if c.Handover == nil || c.Closing != nil {
			return "", fault.New("handover", "nothing was handed over to ask about", "hand it over first")
		}
		f := FollowUp{At: s.Now(), By: who.Name, Silent: in.Silent, Count: in.Count, Note: in.Note}
		today := s.today(ident)
		if in.Silent {
			n := 1
			for _, x := range slices.Backward(c.FollowUps) {
				if !x.Silent {
					break
				}
				n++
			}
			c.AskOn = today.Add(7).String()
			text := "no answer; ask again " + spokenDay(c.AskOn, today)
			if n >= 2 {
				f.Next = &casework.NextMove{Move: "call", Why: "Two without an answer: telephone."}
				text = "no answer twice: telephone"
				c.AskOn = today.String()
			}
			c.FollowUps = append(c.FollowUps, f)
			return text, nil
		}
		text := "told: " + in.Note
		if in.Count != nil {
			res, err := casework.Judge(*in.Count)
			if err != nil {
				return "", err
			}
			f.Result = &res
			next := casework.Advise(res.Word, s.borne(c, res.After), c.Round, s.nerve(c))
			f.Next = &next
			text = "recount: " + res.Text + " " + next.Why
		}
		c.AskOn = ""
		c.FollowUps = append(c.FollowUps, f)
		return text, nil
	})
}

func (s *Service) borne(c *Case, after float64) bool {
	if c.Verdict == nil {
		return false
	}
	k := s.Base.Cause(c.Verdict.Cause)
	return after == 0 || k != nil && k.Tolerable.PerUnit > 0 && after <= k.Tolerable.PerUnit
}

func (s *Service) nerve(c *Case) bool {
	if c.Treatment == nil {
		return false
	}
	for _, id := range c.Treatment.Remedies {
		if r := s.Base.Remedy(id); r != nil && r.Outgrown() {
			return true
		}
	}
	return false
}

// NextRound opens the bench again: repeat keeps the remedy and asks for new
// days; step up and switch also ask for another remedy; look again keeps only
// what was seen.
func (s *Service) NextRound(ctx context.Context, who Person, id string, from int, move string) (View, error) {
	return s.change(ctx, who, id, from, "round", func(c *Case) (string, error) {
		if c.Handover == nil || c.Closing != nil {
			return "", fault.New("handover", "there is no round behind to go on from", "hand it over first")
		}
		switch move {
		case "repeat":
			c.clear(casework.SecDays)
		case "step up", "switch":
			c.clear(casework.SecRemedy)
			c.clear(casework.After(casework.SecRemedy)...)
		case "bring back":
			c.clear(casework.SecVerdict)
			c.clear(casework.After(casework.SecVerdict)...)
		default:
			return "", fault.New("move", fmt.Sprintf("%q is not a next round", move), "use repeat, step up, switch or bring back")
		}
		c.clear(casework.SecHandover)
		return "next round: " + move, nil
	})
}

// Close ends a case.
func (s *Service) Close(ctx context.Context, who Person, id string, from int, outcome, note string) (View, error) {
	if who.Role == "trainee" {
		return View{}, ErrForbidden
	}
	return s.change(ctx, who, id, from, "close", func(c *Case) (string, error) {
		if c.Closing != nil {
			return "", fault.New("", "the case is already closed", "open it again to go on")
		}
		if c.Handover == nil && outcome != "lost" && outcome != "unknown" {
			return "", fault.New("outcome", "nothing was handed over, so nothing came of it", `hand it over first, or close it as "unknown" or "lost"`)
		}
		c.Closing = &Closing{At: s.Now(), By: who.Name, Outcome: outcome, Note: plain.Text(note)}
		c.AskOn = ""
		return "closed: " + outcome, nil
	})
}

// Reopen takes a closed case up again.
func (s *Service) Reopen(ctx context.Context, who Person, id string, from int) (View, error) {
	return s.change(ctx, who, id, from, "reopen", func(c *Case) (string, error) {
		if c.Closing == nil {
			return "", fault.New("", "the case is not closed", "nothing to do")
		}
		c.Closing = nil
		return "opened again", nil
	})
}
