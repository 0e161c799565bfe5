package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// Place works an amount out, case or no case.
func (s *Service) Place(ctx context.Context, in dosage.PlaceInput) (dosage.Dosed, error) {
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return dosage.Dosed{}, err
	}
	return dosage.OverArea(s.Base, house, in)
}

// SetDose keeps such an amount with the case.
func (s *Service) SetDose(ctx context.Context, who Person, id string, from int, in dosage.PlaceInput) (View, error) {
	d, err := s.Place(ctx, in)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "mix", func(c *Case) (string, error) {
		if c.Treatment == nil || !slices.Contains(c.Treatment.Remedies, in.Remedy) {
			return "", fault.New("remedy", fmt.Sprintf("%q was not chosen for this case", in.Remedy), "choose it on the Remedy step first")
		}
		if err := s.mayUse(ctx, c, []string{in.Remedy}); err != nil {
			return "", err
		}
		i := slices.IndexFunc(c.Doses, func(x KeptDose) bool { return x.Remedy == in.Remedy })
		list := slices.Clone(c.Doses)
		if i >= 0 {
			list[i] = KeptDose{d, who.Name}
		} else {
			list = append(list, KeptDose{d, who.Name})
		}
		c.Doses = list
		return s.Base.Remedy(in.Remedy).Name + ": " + d.Placed.Text, nil
	})
}

// NeedInput asks how much finished mix plants want.
type NeedInput struct {
	Plants []mix.PlantSize `json:"plants" minItems:"1" maxItems:"12"`
}

// SetSchools lets a case answer a question of the trade in its own way; an
// empty answer goes back to the house's.
func (s *Service) SetSchools(ctx context.Context, who Person, id string, from int, school, option string) (View, error) {
	x := s.Base.School(school)
	if x == nil {
		return View{}, fault.New("school", fmt.Sprintf("%q is not a question of the herbarium", school), "use an id from kb list schools")
	}
	if option != "" && x.Option(option) == nil {
		return View{}, fault.New("option", fmt.Sprintf("%q is not an answer to it", option), "use one of its options, or none for the house's own")
	}
	return s.change(ctx, who, id, from, "remedy", func(c *Case) (string, error) {
		next := map[string]string{}
		for k, v := range c.Schools {
			next[k] = v
		}
		delete(next, school)
		text := strings.TrimSuffix(x.Question, "?") + ": as the house"
		if option != "" {
			next[school] = option
			text = strings.TrimSuffix(x.Question, "?") + ": " + x.Option(option).Name + ", for this case"
		}
		c.Schools = next
		if len(next) == 0 {
			c.Schools = nil
		}
		if school == remedy.Rhythm {
			c.Days = nil
		}
		return text, nil
	})
}
