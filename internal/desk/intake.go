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
	"botanik/core/season"
	"botanik/internal/casefile"
)

const (
	// mostTreated is how many earlier sprays a case takes.
	mostTreated = 12
	// longestAgo is how many days back a spray is written down.
	longestAgo = 3660
)

// SetIntake corrects what was written down at the counter.
func (s *Service) SetIntake(ctx context.Context, who Person, id string, from int, in casefile.Intake) (View, error) {
	return s.Change(ctx, who, id, from, "intake", func(m Moment, c *Case) (string, error) {
		if err := s.checkIntake(m.Book, &in, m.Today); err != nil {
			return "", err
		}
		if err := s.NamePerson(ctx, m, &in, &c.Intake); err != nil {
			return "", err
		}
		c.Intake = in
		return "corrected what was brought in", nil
	})
}

// checkIntake refuses what cannot be used and finds the host by its words.
func (s *Service) checkIntake(b *knowledge.Base, in *casefile.Intake, today civil.Day) error {
	var l fault.List
	in.Grower, in.Contact, in.Plant, in.Family = humanise.Line(in.Grower), humanise.Line(in.Contact), humanise.Line(in.Plant), humanise.Line(in.Family)
	in.Brought, in.Story = humanise.Line(in.Brought), humanise.Text(in.Story)
	if in.Grower == "" {
		l.Add("grower", "is empty", "write who brought it; a first name will do")
	}
	if in.Plant == "" {
		l.Add("plant", "is empty", `write the plant, or "unknown"`)
	}
	if in.Host == "" {
		if h := b.HostCalled(in.Plant); h != nil {
			in.Host = h.ID
		}
	} else if b.Host(in.Host) == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", in.Host), "leave it out for an unknown plant")
	}
	if !slices.Contains(knowledge.Places, in.Place) {
		l.Add("place", fmt.Sprintf("%q is not a place", in.Place), "use "+strings.Join(knowledge.Places, ", "))
	}
	if in.Square = strings.ToUpper(strings.TrimSpace(in.Square)); in.Square != "" && !season.OnGrid(in.Square) {
		l.Add("square", fmt.Sprintf("%q is no square of the district", in.Square), "use A1 to I9; the desk stands in E5")
	}
	for i := range in.Treated {
		s.checkTreated(b, &l, fmt.Sprintf("treated[%d]", i), &in.Treated[i], today)
	}
	return l.Err()
}

func (s *Service) checkTreated(b *knowledge.Base, l *fault.List, at string, t *casefile.Treated, today civil.Day) {
	t.What = humanise.Line(t.What)
	on, err := civil.Parse(t.On)
	switch {
	case err != nil:
		l.Add(at+".on", fmt.Sprintf("%q is not a day", t.On), "write it as YYYY-MM-DD; about will do")
	case on.After(today.Add(1)):
		l.Add(at+".on", "lies in the future", "give the day it was put on")
	case on.Before(today.Add(-longestAgo)):
		l.Add(at+".on", "lies more than ten years back", "give the day it was put on, or remove the line")
	}
	for j, id := range t.CouldBe {
		if b.Remedy(id) == nil {
			l.AddErr("", knowledge.NoSuchRemedy(fmt.Sprintf("%s.couldBe[%d]", at, j), id))
		}
	}
	if t.Remedy != "" {
		t.CouldBe = nil
		if b.Remedy(t.Remedy) == nil {
			l.Add(at+".remedy", fmt.Sprintf("%q is not a remedy of the herbarium", t.Remedy), "leave it out when it is something else")
		}
	}
	if t.Remedy == "" && t.What == "" {
		l.Add(at+".what", "is empty", "say what was put on, or remove the line")
	}
}

// ReadEarlier reads what a grower says was put on the plant before, as of today.
func (s *Service) ReadEarlier(ctx context.Context, text string) ([]casefile.Treated, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return nil, err
	}
	out := []casefile.Treated{}
	for _, e := range casework.ReadEarlier(m.Book, text, m.Today, mostTreated) {
		t := casefile.Treated{What: e.What, On: e.On.String()}
		if len(e.Meant) == 1 {
			t.Remedy = e.Meant[0]
		} else if len(e.Meant) > 1 {
			t.CouldBe = e.Meant
		}
		out = append(out, t)
	}
	return out, nil
}
