package growers

import (
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Grower is a person who brought something before.
type Grower struct {
	ID      string     `json:"id"`
	Name    string     `json:"name"`
	Contact string     `json:"contact,omitempty"`
	Cases   int        `json:"cases"`
	Earlier []desk.Tag `json:"earlier" doc:"what they brought, the newest first, at most five"`
}

// Growers finds who came before by the beginning of a name or of how they are reached.
func (s *Service) Growers(ctx context.Context, words string) ([]Grower, error) {
	out := []Grower{}
	if len([]rune(strings.TrimSpace(words))) < desk.LeastTyped {
		return out, nil
	}
	rows, err := s.Store.GrowersCalled(ctx, words, desk.MostGrowers)
	if err != nil {
		return nil, err
	}
	for _, r := range rows {
		cases, err := s.Store.CasesOf(ctx, r.ID, desk.MostBrought)
		if err != nil {
			return nil, err
		}
		out = append(out, Grower{ID: r.ID, Name: r.Name, Contact: r.Contact, Cases: r.Cases, Earlier: s.TagsOf(cases)})
	}
	return out, nil
}

// GrowerFile is all the desk keeps of a person.
type GrowerFile struct {
	Name     string            `json:"name"`
	Cases    []json.RawMessage `json:"cases" doc:"each case's document, with its number"`
	Messages []desk.Sent       `json:"messages"`
	Kept     string            `json:"kept" doc:"what is kept, why, and how it is taken out"`
}

// keptWords say what is kept of a person.
const keptWords = "Name and how to be reached, to hand over and to ask how it went; what was brought, said and done; pictures without place and owner; messages. Kept as long as the desk keeps its cases. A coordinator takes the person out on request: the cases stay, without name, address and messages. Backups made before still hold them until they are overwritten."

// ExportGrower gathers all the desk keeps of a person. Coordinators only.
func (s *Service) ExportGrower(ctx context.Context, who desk.Person, id string) (GrowerFile, error) {
	g, cases, err := s.CasesOf(ctx, who, id)
	if err != nil {
		return GrowerFile{}, err
	}
	out := GrowerFile{Name: g.Name, Kept: keptWords, Cases: []json.RawMessage{}, Messages: []desk.Sent{}}
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

// MergeGrowers writes one person's cases under another: the same person, written two ways.
// Each case tells it in its story. Coordinators only. Errors name person or into.
func (s *Service) MergeGrowers(ctx context.Context, who desk.Person, from, into string) (int, error) {
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
func (s *Service) SplitGrower(ctx context.Context, who desk.Person, id, name, contact string, chosen []string) (Grower, error) {
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
	other := store.Grower{ID: "g-" + desk.NewID(s.Now()), Name: name, Contact: contact}
	if err := s.move(ctx, who, part, other, fmt.Sprintf("%s here is another than the %s of the other cases", name, g.Name), true); err != nil {
		return Grower{}, err
	}
	return Grower{ID: other.ID, Name: name, Contact: contact, Cases: len(part), Earlier: []desk.Tag{}}, nil
}

// move writes cases under another person, all or none; a fresh one is reached as it says.
func (s *Service) move(ctx context.Context, who desk.Person, cases []store.Case, to store.Grower, said string, fresh bool) error {
	m, err := s.Moment(ctx)
	if err != nil {
		return err
	}
	writes := []store.Write{}
	for _, r := range cases {
		x, err := s.WorkOut(ctx, m, who, r.ID, r.Version, "merge", func(_ desk.Moment, c *desk.Case) (string, error) {
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
