package desk

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"net/mail"
	"regexp"
	"slices"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/store"
)

// mostGrowers are offered while a name is typed, mostBrought of what each brought.
const (
	MostGrowers = 5
	MostBrought = 5
	LeastTyped  = 2
)

// PersonNamed finds a grower by id; the error names a field.
func (s *Service) PersonNamed(ctx context.Context, field, id string) (store.Grower, error) {
	g, err := s.Store.GrowerBy(ctx, id)
	if errors.Is(err, ErrNotFound) {
		return g, fault.New(field, "is nobody this desk knows", "look them up by name; they may have been written under another one, or taken out")
	}
	return g, err
}

// NamePerson says which person an intake is of, where it does not say so itself: who it was
// before, else the one of that name who is reached the same way or of whom nobody knows how,
// else somebody new. Two of one name who are reached differently are two people until
// somebody says otherwise: what belongs to one must never be shown, given or forgotten as
// the other's.
func (s *Service) NamePerson(ctx context.Context, m Moment, in, was *casefile.Intake) error {
	if in.Grower == store.Nobody {
		in.Person = ""
		return nil
	}
	if in.Person != "" && (was == nil || in.Person != was.Person) {
		g, err := s.PersonNamed(ctx, "person", in.Person)
		if err == nil && !strings.EqualFold(g.Name, in.Grower) {
			err = fault.New("person", fmt.Sprintf("is %s and not %s", g.Name, in.Grower), "leave the person out for somebody new")
		}
		in.Grower = cmp.Or(g.Name, in.Grower)
		return err
	}
	if was != nil && was.Person != "" {
		if in.Person = was.Person; in.Grower == was.Grower {
			return nil
		}
		g, err := s.Store.GrowerBy(ctx, was.Person)
		if err != nil && !errors.Is(err, ErrNotFound) {
			return err
		}
		if g.Cases <= 1 { // their only case: the name was misspelt
			return nil
		}
	}
	in.Person = ""
	same, err := s.Store.GrowersNamed(ctx, in.Grower)
	if err != nil {
		return err
	}
	open := []store.Grower{}
	for _, g := range same {
		switch {
		case Reached(g.Contact) == Reached(in.Contact):
			in.Person, in.Grower = g.ID, g.Name
			return nil
		case g.Contact == "" || in.Contact == "":
			open = append(open, g)
		}
	}
	if len(open) == 1 {
		in.Person, in.Grower = open[0].ID, open[0].Name
		return nil
	}
	in.Person = "g-" + NewID(m.Now)
	return nil
}

// Reached is how a person is told from another of the same name.
func Reached(contact string) string {
	return cmp.Or(ReachOf(contact), strings.ToLower(contact))
}

// MostOfOne are the cases of one person that are exported, merged or forgotten at once.
const MostOfOne = 1000

// CasesOf are a person and their cases, for a coordinator. Errors name person.
func (s *Service) CasesOf(ctx context.Context, who Person, id string) (store.Grower, []store.Case, error) {
	if !who.May(accounts.HandlePersons) {
		return store.Grower{}, nil, ErrForbidden
	}
	g, err := s.PersonNamed(ctx, "person", id)
	if err != nil {
		return g, nil, err
	}
	cases, err := s.Store.CasesOf(ctx, id, MostOfOne)
	return g, cases, err
}

// SaidIn are the free words of a case.
func SaidIn(d *casefile.Doc) []string {
	out := []string{d.Intake.Story, d.Intake.Brought, d.Intake.Plant}
	if d.Verdict != nil {
		out = append(out, d.Verdict.Note)
	}
	for _, r := range d.Rounds {
		if r.Treatment != nil {
			out = append(out, r.Treatment.Note)
		}
		for _, f := range r.FollowUps {
			out = append(out, f.Note)
		}
	}
	for _, l := range d.Looks {
		out = append(out, l.Aside)
	}
	for _, p := range d.Photos {
		out = append(out, p.Name)
	}
	if d.Closing != nil {
		out = append(out, d.Closing.Note)
	}
	return slices.DeleteFunc(out, func(t string) bool { return t == "" })
}

// Sent is a message to a grower, and how far it has come.
type Sent struct {
	ID    string    `json:"id"`
	Case  string    `json:"case"`
	Kind  string    `json:"kind" enum:"page,moved,ask"`
	Reach string    `json:"reach"`
	Text  string    `json:"text"`
	State string    `json:"state" enum:"waiting,sending,sent,delivered,failed,bounced,answered,held"`
	Said  string    `json:"said,omitempty"`
	Tries int       `json:"tries"`
	At    time.Time `json:"at"`
}

func sent(m store.Message) Sent {
	return Sent{m.ID, m.CaseID, m.Kind, m.Reach, m.Body, m.State, m.Said, m.Tries, store.ParseTime(m.ChangedAt)}
}

// MessageTitles are the kinds of messages, and what stands over each.
var MessageTitles = map[string]string{"page": "Your plant page", "moved": "The days have moved", "ask": "How is your plant"}

// Messages of a case, the oldest first; the newest of all where none is named.
func (s *Service) Messages(ctx context.Context, caseID string) ([]Sent, error) {
	rows, err := s.Store.Messages(ctx, caseID, 100)
	out := []Sent{}
	for _, m := range rows {
		out = append(out, sent(m))
	}
	return out, err
}

var phone = regexp.MustCompile(`\+?[0-9][0-9 ()/.-]{2,}[0-9]`)

// ReachOf finds in what a grower gave the address a message can go to: a mail address, else
// a telephone number. Empty where there is none.
func ReachOf(contact string) string {
	for _, w := range strings.FieldsFunc(contact, func(r rune) bool { return r == ' ' || r == ',' || r == ';' || r == '<' || r == '>' }) {
		if a, err := mail.ParseAddress(w); err == nil {
			return strings.ToLower(a.Address)
		}
	}
	return strings.Map(func(r rune) rune {
		if r == '+' || r >= '0' && r <= '9' {
			return r
		}
		return -1
	}, phone.FindString(contact))
}
