package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/handout"
)

// Sheet is the page as it was handed over, or as it would be now.
func (s *Service) Sheet(ctx context.Context, id string) (casefile.Sheet, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return casefile.Sheet{}, err
	}
	if c.Now().Handover != nil && c.Page != nil {
		sheet := c.Page.Sheet
		handout.Illustrate(&sheet)
		return sheet, nil
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return casefile.Sheet{}, err
	}
	sheet, err := s.SheetOf(m, &c)
	handout.Illustrate(&sheet)
	return sheet, err
}

// SheetOf is the page a grower takes home, as a case stands at a moment.
func (s *Service) SheetOf(m Moment, c *Case) (casefile.Sheet, error) {
	if c.Verdict == nil {
		return casefile.Sheet{}, fault.New("verdict", "there is no verdict yet", "settle it, or leave it open and send it on")
	}
	sit, err := s.Situation(m, c)
	if err != nil {
		return casefile.Sheet{}, err
	}
	left := []string{}
	for _, x := range leftOver(m, c, c.Verdict.Cause, c.Verdict.Also) {
		left = append(left, x.Said)
	}
	return handout.Write(m.Book, m.Moment, sit, c.Number, &c.Doc, left), nil
}

// HandOver gives the page to the grower and sets the day to ask. Everything
// chosen is checked once more, because a day, the house or the law may have
// changed since.
func (s *Service) HandOver(ctx context.Context, who Person, id string, from int) (View, error) {
	return s.Change(ctx, who, id, from, "handover", s.HandingOver(who, nil))
}

// HandingOver hands one case over, together with others of the same grower.
func (s *Service) HandingOver(who Person, with []string) edit {
	return func(m Moment, c *Case) (string, error) {
		f, r := s.Facts(m.Book, &c.Doc), c.Now()
		if f.HandedOver {
			return "", fault.New("handover", "this round is already handed over", "print it again from the page, or start the next round")
		}
		if err := casework.MayHandOver(f); err != nil {
			return "", err
		}
		if r.Trainee && !who.May(accounts.Release) {
			return "", fault.New("handover", "a trainee prepared it, and it is more than leaving it", "ask an advisor to look it over and hand it over")
		}
		if !f.Refer {
			if err := s.mayUse(m, c, r.Treatment.Remedies); err != nil {
				return "", err
			}
			if err := s.stillHolds(m, c); err != nil {
				return "", err
			}
		}
		token := accounts.RandomText(24)
		if c.Page != nil && !c.Page.Ended {
			token = c.Page.Token // the grower's link holds
		}
		c.AskOn = casework.AskOn(m.Today, r.Days.Planned(), casework.EffectDays, f.Refer).String()
		if a := r.Act; a != nil && !f.Refer && len(r.Days.Planned()) == 0 {
			if day, ok := casework.AskAfter(a.Word, m.Today, s.firstYoung(m, c)); ok {
				c.AskOn = day.String()
			}
		}
		r.Trainee = false // whoever hands it over answers for it
		r.Handover = &casefile.Handover{By: who.Name, At: m.Now, Token: token, AskOn: c.AskOn, With: with}
		if r.Treatment != nil && !f.Refer {
			r.Given = s.GivenOn(m, c)
		}
		sheet, err := s.SheetOf(m, c)
		if err != nil {
			return "", err
		}
		c.Page = &casefile.Page{Token: token, Sheet: sheet, Until: m.Today.Add(casework.PageDays).String()}
		text := "handed over"
		if len(with) > 1 {
			text += fmt.Sprintf(" together with %d more", len(with)-1)
		}
		return text + "; ask on " + SpokenDay(c.AskOn, m.Today), nil
	}
}

// GivenOn lists what this round puts on the plant, for the waits of the next.
func (s *Service) GivenOn(m Moment, c *Case) []casefile.Treated {
	out := []casefile.Treated{}
	r := c.Now()
	for _, id := range r.Treatment.Remedies {
		k := m.Book.Remedy(id)
		if k == nil || k.Kind == "culture" || k.Rung == 0 {
			continue
		}
		on := []string{m.Today.String()}
		if r.Handover != nil {
			on[0] = civil.Of(r.Handover.At, m.Clock).String()
		}
		if r.Days != nil && k == s.repeated(m.Book, c) {
			on = r.Days.On
		} else if r.Days != nil {
			for _, x := range r.Days.Beside {
				if x.Remedy == id {
					on = x.On
				}
			}
		}
		for _, d := range on {
			out = append(out, casefile.Treated{What: k.Name, Remedy: id, On: d})
		}
	}
	return out
}

// FollowUpInput is what came of asking.
type FollowUpInput struct {
	Silent bool              `json:"silent,omitempty" doc:"nobody answered"`
	Word   string            `json:"word,omitempty" enum:"gone,better,same,worse," doc:"how it went in the grower's own word; a count says more"`
	Count  *casework.Recount `json:"count,omitempty"`
	Note   string            `json:"note,omitempty" maxLength:"400"`
}

// FollowUp records a recount, judges it and names the next move. Silence is
// asked again, and raises a call when it goes on.
func (s *Service) FollowUp(ctx context.Context, who Person, id string, from int, in FollowUpInput) (View, error) {
	in.Note = humanise.Text(in.Note)
	if !in.Silent && in.Count == nil && in.Note == "" && in.Word == "" {
		return View{}, fault.New("count", "nothing is told", "give the recount, or what the grower said, or that nobody answered")
	}
	return s.Change(ctx, who, id, from, "followup", func(m Moment, c *Case) (string, error) {
		return s.FollowUpOn(m, c, who, in)
	})
}

// FollowUpOn writes into the round what was told, judges it and names the next move.
func (s *Service) FollowUpOn(m Moment, c *Case, who Person, in FollowUpInput) (string, error) {
	r := c.Now()
	if r.Handover == nil || c.Closing != nil {
		return "", fault.New("handover", "nothing was handed over to ask about", "hand it over first")
	}
	f := casefile.FollowUp{At: m.Now, By: who.Name, FromGrower: who.IsGrower(), Silent: in.Silent, Count: in.Count, Note: in.Note, Word: in.Word, Unread: who.IsGrower()}
	text := "told: " + in.Note
	c.AskOn = m.Today.Add(casework.DecideWithin).String() // until somebody takes the next step
	if f.Unread {
		c.AskOn = m.Today.String()
	}
	switch {
	case in.Silent:
		next, again := casework.Silence(r.Silent()+1, m.Today)
		f.Next, c.AskOn = next, again.String()
		text = "no answer; ask again " + SpokenDay(c.AskOn, m.Today)
		if next != nil {
			text = "no answer again: telephone"
		}
	case in.Count != nil:
		res, err := casework.EstimateEfficacy(*in.Count)
		if err != nil {
			return "", err
		}
		next := casework.NextAfter(res.Word, borne(m.Book, c, res.After), c.Handed(), canBeOutgrown(m.Book, c))
		f.Result, f.Next = &res, &next
		text = "recount: " + res.Text + " " + next.Why
	case in.Word != "":
		next := casework.AfterWord(in.Word, c.Handed(), canBeOutgrown(m.Book, c))
		f.Next = &next
		text = strings.TrimSuffix("told: "+in.Word+"; "+in.Note, "; ") + ". " + next.Why
	}
	r.FollowUps = slices.Clone(r.FollowUps)
	for i := range r.FollowUps {
		r.FollowUps[i].Unread = r.FollowUps[i].Unread && f.Unread
	}
	r.FollowUps = append(r.FollowUps, f)
	return text, nil
}

func borne(b *knowledge.Base, c *Case, after float64) bool {
	k := CauseOf(b, c)
	return after == 0 || k != nil && k.Tolerable.PerUnit > 0 && after <= k.Tolerable.PerUnit
}

func canBeOutgrown(b *knowledge.Base, c *Case) bool {
	t := c.Now().Treatment
	return t != nil && slices.ContainsFunc(t.Remedies, func(id string) bool {
		r := b.Remedy(id)
		return r != nil && r.Outgrown()
	})
}

// NextRound opens the bench again: repeat keeps the remedy and asks for new
// days; step up and switch also ask for another remedy; look again keeps only
// what was seen.
func (s *Service) NextRound(ctx context.Context, who Person, id string, from int, move string) (View, error) {
	return s.Change(ctx, who, id, from, "round", func(_ Moment, c *Case) (string, error) {
		if c.Now().Handover == nil || c.Closing != nil {
			return "", fault.New("handover", "there is no round behind to go on from", "hand it over first")
		}
		section, ok := casework.Reopens[move]
		if !ok {
			return "", fault.New("move", fmt.Sprintf("%q is not a next round", move), "use repeat, step up, switch or bring back")
		}
		c.Begin()
		c.Clear(section, true)
		return "next round: " + move, nil
	})
}

// CloseInput ends a case.
type CloseInput struct {
	Outcome   string `json:"outcome" enum:"better,cleared,no change,lost,referred,unknown"`
	Note      string `json:"note,omitempty" maxLength:"400"`
	Confirmed string `json:"confirmed,omitempty" maxLength:"60" doc:"cause id: what it was in the end, where somebody found out"`
	Found     string `json:"found,omitempty" enum:"specialist,laboratory,outcome," doc:"how that was found"`
	Followed  string `json:"followed,omitempty" enum:"yes,partly,no," doc:"whether what was advised was done"`
}

// Close ends a case, with what it was in the end. Errors name outcome, confirmed or found.
func (s *Service) Close(ctx context.Context, who Person, id string, from int, in CloseInput) (View, error) {
	if !who.May(accounts.CloseCases) {
		return View{}, ErrForbidden
	}
	return s.Change(ctx, who, id, from, "close", func(m Moment, c *Case) (string, error) {
		return s.closed(m, c, who, in)
	})
}

func (s *Service) closed(m Moment, c *Case, who Person, in CloseInput) (string, error) {
	switch {
	case c.Closing != nil:
		return "", fault.New("", "the case is already closed", "open it again to go on")
	case c.Now().Handover == nil && in.Outcome != "lost" && in.Outcome != "unknown":
		return "", fault.New("outcome", "nothing was handed over, so nothing came of it", `hand it over first, or close it as "unknown" or "lost"`)
	case in.Confirmed != "" && m.Book.Cause(in.Confirmed) == nil:
		return "", fault.New("confirmed", fmt.Sprintf("%q is not a cause of the herbarium", in.Confirmed), "use an id from kb list causes, or leave it out")
	case (in.Confirmed == "") != (in.Found == ""):
		return "", fault.New("found", "what it was and how that was found belong together", "give both, or neither")
	}
	c.Closing = &casefile.Closing{At: m.Now, By: who.Name, Outcome: in.Outcome, Note: humanise.Text(in.Note), Confirmed: in.Confirmed, Found: in.Found, Followed: in.Followed}
	c.AskOn = ""
	text := "closed: " + in.Outcome
	if k := m.Book.Cause(in.Confirmed); k != nil {
		text += "; it was " + humanise.InSentence(k.Name) + ", by " + map[string]string{"specialist": "a specialist", "laboratory": "the laboratory", "outcome": "what came of it"}[in.Found]
	}
	return text, nil
}

// Reopen takes a closed case up again.
func (s *Service) Reopen(ctx context.Context, who Person, id string, from int) (View, error) {
	if !who.May(accounts.ReopenCases) {
		return View{}, ErrForbidden
	}
	return s.Change(ctx, who, id, from, "reopen", func(_ Moment, c *Case) (string, error) {
		if c.Closing == nil {
			return "", fault.New("", "the case is not closed", "nothing to do")
		}
		c.Closing = nil
		return "opened again", nil
	})
}

// prepares are the changes by which a trainee prepares what a grower is to do.
var prepares = []string{"act", "remedy", "mix", "dose", "days", "round"}

// prepared notes in the round that a trainee prepared something in it that somebody has to
// look at first: anything but leaving it alone. What an advisor chose before stays released
// only as long as no trainee touched it.
func prepared(b *knowledge.Base, who Person, kind string, c *Case) {
	if who.Login == "" || who.May(accounts.Release) || !slices.Contains(prepares, kind) {
		return
	}
	c.Now().Trainee = !leavesIt(b, c)
}

// leavesIt reports whether a round does nothing to the plant: all that is chosen stands on
// the lowest rung, and nobody decided to act or to pull it.
func leavesIt(b *knowledge.Base, c *Case) bool {
	r := c.Now()
	if a := r.Act; a != nil && a.Choice != "wait" && a.Choice != "" {
		return false
	}
	if r.Treatment == nil {
		return true
	}
	return !slices.ContainsFunc(r.Treatment.Remedies, func(id string) bool {
		k := b.Remedy(id)
		return k == nil || k.Rung > 0
	})
}
