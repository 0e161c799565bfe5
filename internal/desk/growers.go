package desk

import (
	"context"
	"encoding/json"
	"fmt"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/house"
	"botanik/internal/people"
	"botanik/internal/store"
)

// Grower is a person who brought something before.
type Grower struct {
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
	rows, err := s.Store.GrowersCalled(ctx, words, mostGrowers+1)
	if err != nil {
		return nil, err
	}
	for _, r := range rows {
		if r.Name == store.Nobody || len(out) == mostGrowers {
			continue
		}
		cases, err := s.Store.CasesOf(ctx, r.Name, mostBrought)
		if err != nil {
			return nil, err
		}
		g := Grower{Name: r.Name, Cases: r.Cases, Earlier: s.tags(cases)}
		if len(cases) > 0 {
			c, err := s.read(ctx, cases[0].ID)
			if err != nil {
				return nil, err
			}
			g.Contact = c.Intake.Contact
		}
		out = append(out, g)
	}
	return out, nil
}

// mostOfOne are the cases of one person that are exported, merged or forgotten at once.
const mostOfOne = 1000

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
func (s *Service) ExportGrower(ctx context.Context, who Person, name string) (GrowerFile, error) {
	cases, err := s.casesOf(ctx, who, name)
	if err != nil {
		return GrowerFile{}, err
	}
	out := GrowerFile{Name: name, Kept: keptWords, Cases: []json.RawMessage{}, Messages: []Sent{}}
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

// casesOf are a person's cases, for a coordinator. Errors name name.
func (s *Service) casesOf(ctx context.Context, who Person, name string) ([]store.Case, error) {
	if who.Role != people.Coordinator {
		return nil, ErrForbidden
	}
	cases, err := s.Store.CasesOf(ctx, name, mostOfOne)
	if err != nil {
		return nil, err
	}
	if len(cases) == 0 || name == store.Nobody {
		return nil, fault.New("name", "nobody of that name brought anything", "write the name as it stands on their cases")
	}
	return cases, nil
}

// ForgetGrower takes a person out of the desk on request: the cases stay, the person goes.
// It answers how many cases were theirs. Coordinators only.
func (s *Service) ForgetGrower(ctx context.Context, who Person, name string) (int, error) {
	cases, err := s.casesOf(ctx, who, name)
	if err != nil {
		return 0, err
	}
	names := []string{}
	for _, r := range cases {
		c, err := s.read(ctx, r.ID)
		if err != nil {
			return 0, err
		}
		names = append(names, c.Intake.Contact, ReachOf(c.Intake.Contact))
	}
	return s.Store.Forget(ctx, name, names)
}

// MergeGrowers writes one person's cases under another name: the same person, written two
// ways. Each case tells it in its story, and can be parted again by correcting its name.
func (s *Service) MergeGrowers(ctx context.Context, who Person, from, into string) (int, error) {
	cases, err := s.casesOf(ctx, who, from)
	if err != nil {
		return 0, err
	}
	if into = humanise.Line(into); into == "" || into == from {
		return 0, fault.New("into", "is the same name, or none", "write the name the cases belong under")
	}
	known, err := s.Store.CasesOf(ctx, into, 1)
	if err != nil {
		return 0, err
	}
	if len(known) == 0 {
		return 0, fault.New("into", "nobody of that name brought anything", "write the name as it stands on their cases")
	}
	other, err := s.read(ctx, known[0].ID)
	if err != nil {
		return 0, err
	}
	for i, r := range cases {
		_, err := s.change(ctx, who, r.ID, r.Version, "merge", func(_ house.Moment, c *Case) (string, error) {
			c.Intake.Grower = into
			if c.Intake.Contact == "" {
				c.Intake.Contact = other.Intake.Contact
			}
			if c.Page != nil {
				p := *c.Page
				p.Sheet.Grower = into
				c.Page = &p
			}
			return fmt.Sprintf("%s is %s", from, into), nil
		})
		if err != nil {
			return i, err
		}
	}
	return len(cases), s.Store.RenameFeeds(ctx, from, into)
}
