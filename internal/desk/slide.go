package desk

import (
	"context"
	"fmt"
	"strings"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/microscopy"
)

// KeyInput is what was seen on a slide, of a case or of none.
type KeyInput struct {
	Group string            `json:"group" maxLength:"40"`
	Seen  []microscopy.Seen `json:"seen" maxItems:"60"`
	Case  string            `json:"case,omitempty" maxLength:"40" doc:"whose plant and looks are held beside it"`
	Host  string            `json:"host,omitempty" maxLength:"60" doc:"a plant by id, where there is no case"`
}

// KeyAnswer is the species weighed, and what of it is a look of the case.
type KeyAnswer struct {
	microscopy.Keyed
	Looks []KeyLook `json:"looks"`
}

// KeyLook is a look of the case that an answer of the key gives.
type KeyLook struct {
	Finding   string `json:"finding"`
	Name      string `json:"name"`
	State     string `json:"state"`
	Said      string `json:"said"`
	Certainty string `json:"certainty"`
	Measured  string `json:"measured,omitempty"`
}

// Key weighs the species of a slide key by what was seen, with the plant of a case and
// what was looked at on it. Errors name case, host, group or seen[i].
func (s *Service) Key(ctx context.Context, in KeyInput) (KeyAnswer, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return KeyAnswer{}, err
	}
	b, host, points := m.Book, m.Book.Host(in.Host), ""
	var looks []differential.Look
	if in.Host != "" && host == nil {
		return KeyAnswer{}, fault.New("host", fmt.Sprintf("%q is no plant known here", in.Host), "use an id from kb list hosts, or leave it out")
	}
	if in.Case != "" {
		v, err := s.View(ctx, in.Case)
		if err != nil {
			return KeyAnswer{}, err
		}
		host = b.Host(v.Intake.Host)
		if v.Reading.Looked > 0 {
			points = v.Reading.Leader
			for _, l := range v.Looks {
				if l.Aside == "" {
					looks = append(looks, l.Look)
				}
			}
		}
	}
	keyed, err := b.SlideKey.Identify(in.Group, in.Seen, growsAs(host))
	if err != nil {
		return KeyAnswer{}, err
	}
	out := KeyAnswer{Keyed: keyed, Looks: []KeyLook{}}
	lead := keyed.Fits[0]
	if k := b.Cause(points); k != nil && len(in.Seen) > 0 && lead.Cause != points && b.Cause(lead.Cause) != nil {
		out.Notes = append(out.Notes, fmt.Sprintf("What was looked at on the plant points to %s: look once more at what decides between the two.", k.Name))
	}
	if c, ok := m.Engine().Explain(looks, lead.Cause); ok && len(in.Seen) > 0 {
		if said := strong(c.Against); said != "" {
			out.Notes = append(out.Notes, fmt.Sprintf("%s would not explain what was seen on the plant: %s.", lead.Name, said))
		}
	}
	for _, x := range in.Seen {
		if l, ok := lookOf(b, x); ok {
			out.Looks = append(out.Looks, l)
		}
	}
	return out, nil
}

// speaksAgainst is from how many decibans a look is said to disagree with a name.
const speaksAgainst = 4.

// strong is what a case saw that speaks strongly against a cause, in words, two at most.
func strong(against []differential.Weight) string {
	said := []string{}
	for _, w := range against {
		if w.Decibans <= -speaksAgainst && len(said) < 2 {
			said = append(said, w.Said)
		}
	}
	return strings.Join(said, "; ")
}

// growsAs is what a plant is met under in the key: its id, group and family.
func growsAs(h *knowledge.Host) []string {
	if h == nil {
		return nil
	}
	return []string{h.ID, h.Group, h.Family}
}

// lookOf is the look of a case that an answer of the key gives, where it gives one.
func lookOf(b *knowledge.Base, x microscopy.Seen) (KeyLook, bool) {
	c := b.SlideKey.Character(x.Character)
	if c == nil || c.Looks == nil {
		return KeyLook{}, false
	}
	l := KeyLook{Finding: c.Looks.Finding, Certainty: x.Certainty}
	at := x.State
	if m := c.Measure; m != nil {
		above := microscopy.Above(x, m.Line)
		at = "above"
		if above < .5 {
			at, above = "below", 1-above
		}
		l.Certainty = microscopy.Certainty(above)
		l.Measured = fmt.Sprintf("%s against %s: %.2f", m.A, m.B, x.Ratio)
	}
	f := b.Finding(l.Finding)
	l.State = c.Looks.States[at]
	if f == nil || f.State(l.State) < 0 {
		return KeyLook{}, false
	}
	if l.Certainty == "" {
		l.Certainty = "sure"
	}
	l.Name, l.Said = f.Name, f.States[f.State(l.State)].Name
	return l, true
}
