package practice

import (
	"context"
	"fmt"
	"regexp"
	"slices"

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/training"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
)

// OldCase is a closed case of this desk as practice: what it was on, and nothing of who.
type OldCase struct {
	ID    string `json:"id"`
	Plant string `json:"plant"`
	Place string `json:"place"`
	Looks int    `json:"looks" doc:"lines that were looked at then"`
	Done  bool   `json:"done,omitempty" doc:"practised before by who asks"`
}

// fewestLooks are what a case has to have of looks to be practised on.
const fewestLooks = 3

// OfferPractice offers a closed case as practice, or no longer. Coordinators only. Errors
// say why a case cannot be practised on.
func (s *Service) OfferPractice(ctx context.Context, who desk.Person, id string, offer bool) error {
	if !who.May(accounts.SetHouse) {
		return desk.ErrForbidden
	}
	c, err := s.Read(ctx, id)
	if err != nil {
		return err
	}
	switch {
	case !offer:
	case c.Closing == nil || c.Verdict == nil:
		return fault.New("", "the case is not closed", "offer it when it is known how it ended")
	case len(c.Looks) < fewestLooks:
		return fault.New("", fmt.Sprintf("only %d lines of it were looked at", len(c.Looks)), "offer one in which more was looked at")
	}
	return s.House.Offer(ctx, who, id, offer)
}

// OldCases are the closed cases that are offered as practice.
func (s *Service) OldCases(ctx context.Context, who desk.Person) ([]OldCase, error) {
	ids, _, err := s.House.Offered(ctx)
	if err != nil {
		return nil, err
	}
	known, err := s.remembered(ctx, who)
	if err != nil {
		return nil, err
	}
	out := []OldCase{}
	for _, id := range ids {
		c, err := s.Read(ctx, id)
		if err != nil || c.Closing == nil { // gone, or opened again
			continue
		}
		_, done := known["old/"+id]
		out = append(out, OldCase{id, nameless(c.Intake.Plant, c.Intake.Grower, c.Intake.Contact), c.Intake.Place, len(c.Looks), done})
	}
	return out, nil
}

// PractiseOld brings a closed case of this desk to practise on, without its person.
func (s *Service) PractiseOld(ctx context.Context, who desk.Person, id string) (PracticeCase, error) {
	ids, _, err := s.House.Offered(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	c, err := s.Read(ctx, id)
	if err != nil || !slices.Contains(ids, id) || c.Closing == nil || c.Verdict == nil {
		return PracticeCase{}, desk.ErrNotFound
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	sample := training.Sample{Only: true, Cause: c.Verdict.Cause, There: map[string][]string{}, Story: nameless(c.Intake.Story, c.Intake.Grower, c.Intake.Contact), Setting: differential.Circumstances{Host: c.Intake.Host, Family: c.Intake.Family, Form: c.Intake.Form, Place: c.Intake.Place, Month: int(civil.Of(c.CreatedAt, m.Clock).Month()), South: m.South()}}
	if c.Closing.Confirmed != "" {
		sample.Cause = c.Closing.Confirmed
	} else if c.Verdict.Degree == "undetermined" {
		sample.Cause = ""
	}
	for _, l := range c.Seen() {
		if !l.Not {
			sample.There[l.Finding] = append(sample.There[l.Finding], l.State)
		}
	}
	p := practised{Sample: sample, Asked: []string{}, Old: id, Plant: nameless(c.Intake.Plant, c.Intake.Grower, c.Intake.Contact)}
	fresh := desk.NewID(s.Now())
	return s.practiceCase(m.Book, fresh, p), s.keepPractice(ctx, who, fresh, p)
}

// nameless takes who somebody is out of what was written down: the name, its parts and the address.
func nameless(text, name, contact string) string {
	words := append(casefile.NameParts(name), name, contact, desk.ReachOf(contact))
	words = slices.DeleteFunc(words, func(w string) bool { return len([]rune(w)) < 2 })
	slices.SortFunc(words, func(a, b string) int { return len(b) - len(a) })
	for _, w := range words {
		text = regexp.MustCompile(`(?i)(^|[^\pL\pN])`+regexp.QuoteMeta(w)+`($|[^\pL\pN])`).ReplaceAllString(text, "${1}the grower${2}")
	}
	return text
}
