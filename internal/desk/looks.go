package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/internal/casefile"
	"botanik/internal/house"
)

// Look records one finding; an empty state takes it back to "not looked".
func (s *Service) Look(ctx context.Context, who Person, id string, from int, l differential.Look) (View, error) {
	return s.LookAt(ctx, who, id, from, l, nil)
}

// LookAt is Look with the place on the drawing it was seen at.
func (s *Service) LookAt(ctx context.Context, who Person, id string, from int, l differential.Look, at *casefile.Spot) (View, error) {
	f := s.Base.Finding(l.Finding)
	if f == nil {
		return View{}, fault.New("finding", fmt.Sprintf("%q is not a finding of the herbarium", l.Finding), "use an id from kb list findings")
	}
	return s.change(ctx, who, id, from, "look", func(m house.Moment, c *Case) (string, error) {
		if l.State != "" {
			if err := s.Engine.Check(differential.Circumstances{}, []differential.Look{l}); err != nil {
				return "", fault.Rename(err, func(f fault.Fault) fault.Fault {
					f.Field = strings.TrimPrefix(f.Field, "looks[0].") // here the look is the whole body
					return f
				})
			}
		}
		i := slices.IndexFunc(c.Looks, func(x casefile.LookRecord) bool { return x.Finding == l.Finding })
		if l.State == "" {
			if i >= 0 {
				c.Looks = slices.Delete(slices.Clone(c.Looks), i, i+1)
			}
			return f.Name + ": not looked", nil
		}
		rec := casefile.LookRecord{Look: l, Spot: at, By: who.Name, At: m.Now}
		if i >= 0 {
			if at == nil {
				rec.Spot = c.Looks[i].Spot
			}
			c.Looks[i] = rec
		} else {
			c.Looks = append(c.Looks, rec)
		}
		sure := ""
		if l.Certainty == "think" || l.Certainty == "guess" {
			sure = " (" + l.Certainty + ")"
		}
		return f.Name + ": " + f.States[f.State(l.State)].Name + sure, nil
	})
}
