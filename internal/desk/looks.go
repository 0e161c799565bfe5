package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/internal/casefile"
)

// LookInput is one finding answered, or taken back.
type LookInput struct {
	differential.Look
	Off  bool           `json:"off,omitempty" doc:"takes this one state back, of a finding whose states can stand together"`
	Spot *casefile.Spot `json:"spot,omitempty" doc:"where on the drawing it was seen"`

	Measured string `json:"measured,omitempty" maxLength:"200" doc:"how it was measured, in words"`
}

// Look records one finding with nothing more to say of it than what was seen.
func (s *Service) Look(ctx context.Context, who Person, id string, from int, l differential.Look) (View, error) {
	return s.LookAt(ctx, who, id, from, LookInput{Look: l})
}

// LookAt records one finding; an empty state takes it back to "not looked". Of a
// finding whose states can stand together a state is written beside the others,
// and "none of these" in their place.
func (s *Service) LookAt(ctx context.Context, who Person, id string, from int, in LookInput) (View, error) {
	l := in.Look
	return s.Change(ctx, who, id, from, "look", func(m Moment, c *Case) (string, error) {
		f := m.Book.Finding(l.Finding)
		if f == nil {
			return "", fault.New("finding", fmt.Sprintf("%q is not a finding of the herbarium", l.Finding), "use an id from kb list findings")
		}
		if l.State != "" {
			if err := m.Engine().Check(differential.Circumstances{}, []differential.Look{l}); err != nil {
				return "", fault.Rename(err, func(f fault.Fault) fault.Fault {
					f.Field = strings.TrimPrefix(f.Field, "looks[0].") // here the look is the whole body
					return f
				})
			}
		}
		rec := casefile.LookRecord{Look: l, Spot: in.Spot, Measured: humanise.Line(in.Measured), By: who.Name, At: m.Now}
		c.Looks = written(f, c.Looks, rec, in.Off)
		text := lookLine(f, l, in.Off)
		if rec.Measured != "" && l.State != "" && !in.Off {
			text += ", measured " + rec.Measured
		}
		return text, nil
	})
}

// LetGo puts a look aside with its reason: it was really seen, and is no part of this (an old
// scar, another matter). It stays on the case and is not weighed; an empty reason takes it
// back. Errors name finding or why.
func (s *Service) LetGo(ctx context.Context, who Person, id string, from int, finding, state, why string) (View, error) {
	why = humanise.Line(why)
	return s.Change(ctx, who, id, from, "look", func(m Moment, c *Case) (string, error) {
		i := slices.IndexFunc(c.Looks, func(l casefile.LookRecord) bool { return l.Finding == finding && l.State == state })
		f := m.Book.Finding(finding)
		if i < 0 || f == nil || f.State(state) < 0 {
			return "", fault.New("finding", "was not looked at, or not so", "put aside what stands on the case")
		}
		looks := slices.Clone(c.Looks)
		looks[i].Aside = why
		c.Looks = looks
		if what := lookLine(f, looks[i].Look, false); why != "" {
			return what + " is put aside: " + why, nil
		} else {
			return what + " counts again", nil
		}
	})
}

// written is the looks with one more, or one fewer.
func written(f *knowledge.Finding, looks []casefile.LookRecord, rec casefile.LookRecord, off bool) []casefile.LookRecord {
	var spot *casefile.Spot
	absent := func(state string) bool { i := f.State(state); return i >= 0 && f.States[i].Absent }
	replaced := func(x casefile.LookRecord) bool {
		if x.Finding != f.ID {
			return false
		}
		if rec.State == "" || !f.Many || absent(rec.State) && !off {
			return true
		}
		return x.State == rec.State || absent(x.State) && !off
	}
	at := slices.IndexFunc(looks, replaced)
	out := []casefile.LookRecord{}
	for _, x := range looks {
		if !replaced(x) {
			out = append(out, x)
		} else if x.Spot != nil {
			spot = x.Spot
		}
	}
	if rec.State == "" || off {
		return out
	}
	if rec.Spot == nil {
		rec.Spot = spot
	}
	if at < 0 {
		return append(out, rec)
	}
	return slices.Insert(out, at, rec)
}

func lookLine(f *knowledge.Finding, l differential.Look, off bool) string {
	if l.State == "" {
		return f.Name + ": not looked"
	}
	text := f.States[f.State(l.State)].Name
	if off {
		return f.Name + ": " + text + ", taken back"
	}
	if l.Not {
		text = "not " + text
	}
	if l.Certainty == "think" || l.Certainty == "guess" {
		text += " (" + l.Certainty + ")"
	}
	if l.Instrument == differential.FromHistory {
		text += ", told"
	}
	return f.Name + ": " + text
}
