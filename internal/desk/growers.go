package desk

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/mail"
	"regexp"
	"slices"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/store"
)

// Grower is a person who brought something before.
type Grower struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Contact string `json:"contact,omitempty"`
	Cases   int    `json:"cases"`
	Earlier []Tag  `json:"earlier" doc:"what they brought, the newest first, at most five"`
}

// mostGrowers are offered while a name is typed, mostBrought of what each brought.
const (
	mostGrowers = 5
	mostBrought = 5
	leastTyped  = 2
)

// Growers finds who came before by the beginning of a name or of how they are reached.
func (s *Service) Growers(ctx context.Context, words string) ([]Grower, error) {
	out := []Grower{}
	if len([]rune(strings.TrimSpace(words))) < leastTyped {
		return out, nil
	}
	rows, err := s.Store.GrowersCalled(ctx, words, mostGrowers)
	if err != nil {
		return nil, err
	}
	for _, r := range rows {
		cases, err := s.Store.CasesOf(ctx, r.ID, mostBrought)
		if err != nil {
			return nil, err
		}
		out = append(out, Grower{ID: r.ID, Name: r.Name, Contact: r.Contact, Cases: r.Cases, Earlier: s.TagsOf(cases)})
	}
	return out, nil
}

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

// GrowerFile is all the desk keeps of a person.
type GrowerFile struct {
	Name     string            `json:"name"`
	Cases    []json.RawMessage `json:"cases" doc:"each case's document, with its number"`
	Messages []Sent            `json:"messages"`
	Kept     string            `json:"kept" doc:"what is kept, why, and how it is taken out"`
}

// keptWords say what is kept of a person.
const keptWords = "Name and how to be reached, to hand over and to ask how it went; what was brought, said and done; pictures without place and owner; messages. Kept as long as the desk keeps its cases. A coordinator takes the person out on request: the cases stay, without name, address and messages. Backups made before still hold them until they are overwritten."

// ExportGrower gathers all the desk keeps of a person. Coordinators only.
func (s *Service) ExportGrower(ctx context.Context, who Person, id string) (GrowerFile, error) {
	g, cases, err := s.CasesOf(ctx, who, id)
	if err != nil {
		return GrowerFile{}, err
	}
	out := GrowerFile{Name: g.Name, Kept: keptWords, Cases: []json.RawMessage{}, Messages: []Sent{}}
	for _, r := range cases {
		c, err := s.Store.Case(ctx, r.ID)
		if err != nil {
			return GrowerFile{}, err
		}
		raw, err := json.Marshal(map[string]any{"number": c.Number, "broughtIn": c.CreatedAt, "case": json.RawMessage(c.Doc)})
		if err != nil {
			return GrowerFile{}, err
		}
		out.Cases = append(out.Cases, raw)
		sent, err := s.Messages(ctx, r.ID)
		if err != nil {
			return GrowerFile{}, err
		}
		out.Messages = append(out.Messages, sent...)
	}
	return out, nil
}

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

// MergeGrowers writes one person's cases under another: the same person, written two ways.
// Each case tells it in its story. Coordinators only. Errors name person or into.
func (s *Service) MergeGrowers(ctx context.Context, who Person, from, into string) (int, error) {
	g, cases, err := s.CasesOf(ctx, who, from)
	if err != nil {
		return 0, err
	}
	if from == into {
		return 0, fault.New("into", "is the same person", "choose the one the cases belong to")
	}
	other, err := s.PersonNamed(ctx, "into", into)
	if err != nil {
		return 0, err
	}
	said := fmt.Sprintf("%s is %s", g.Name, other.Name)
	if g.Name == other.Name {
		said = fmt.Sprintf("%s is the one reached at %s", g.Name, cmp.Or(other.Contact, "no address"))
	}
	if err := s.move(ctx, who, cases, other, said, false); err != nil {
		return 0, err
	}
	return len(cases), s.Store.MoveFeeds(ctx, from, other)
}

// SplitGrower gives some of a person's cases to another person, who is new: two people who
// were written as one. Each case tells it in its story. Coordinators only. Errors name
// person, name or cases.
func (s *Service) SplitGrower(ctx context.Context, who Person, id, name, contact string, chosen []string) (Grower, error) {
	g, cases, err := s.CasesOf(ctx, who, id)
	if err != nil {
		return Grower{}, err
	}
	name, contact = humanise.Line(name), humanise.Line(contact)
	part := slices.DeleteFunc(slices.Clone(cases), func(c store.Case) bool { return !slices.Contains(chosen, c.ID) })
	switch {
	case name == "" || name == store.Nobody:
		return Grower{}, fault.New("name", "is empty", "write the name of the other person; it may be the same")
	case len(part) == 0 || len(part) < len(chosen):
		return Grower{}, fault.New("cases", "are not all theirs", "choose cases of this person")
	case len(part) == len(cases):
		return Grower{}, fault.New("cases", "are all there are", "leave at least one; to write a name otherwise, correct it on the case")
	}
	other := store.Grower{ID: "g-" + NewID(s.Now()), Name: name, Contact: contact}
	if err := s.move(ctx, who, part, other, fmt.Sprintf("%s here is another than the %s of the other cases", name, g.Name), true); err != nil {
		return Grower{}, err
	}
	return Grower{ID: other.ID, Name: name, Contact: contact, Cases: len(part), Earlier: []Tag{}}, nil
}

// move writes cases under another person, all or none; a fresh one is reached as it says.
func (s *Service) move(ctx context.Context, who Person, cases []store.Case, to store.Grower, said string, fresh bool) error {
	m, err := s.Moment(ctx)
	if err != nil {
		return err
	}
	writes := []store.Write{}
	for _, r := range cases {
		x, err := s.WorkOut(ctx, m, who, r.ID, r.Version, "merge", func(_ Moment, c *Case) (string, error) {
			c.Intake.Grower, c.Intake.Person = to.Name, to.ID
			if c.Intake.Contact == "" || fresh {
				c.Intake.Contact = to.Contact
			}
			if c.Page != nil {
				p := *c.Page
				p.Sheet.Grower = to.Name
				c.Page = &p
			}
			return said, nil
		})
		if err != nil {
			return err
		}
		writes = append(writes, x.Write)
	}
	return s.Store.SetCases(ctx, writes...)
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
