package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// PlaceInput asks for dust, drench or helpers over a bed, pots or plants.
type PlaceInput struct {
	Remedy string    `json:"remedy" doc:"remedy id"`
	Dose   string    `json:"dose,omitempty" doc:"id of its range; left out for the first"`
	Use    string    `json:"use,omitempty" enum:"low,middle,top,"`
	Area   string    `json:"area,omitempty" maxLength:"40" doc:"like '3 m2' or '20 sq ft'"`
	Pots   []mix.Pot `json:"pots,omitempty" maxItems:"12"`
	Plants int       `json:"plants,omitempty" minimum:"0" maximum:"5000"`
}

// Place works an amount out, case or no case.
func (s *Service) Place(ctx context.Context, in PlaceInput) (Dosed, error) {
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return Dosed{}, err
	}
	return PlaceDose(s.Base, house, in)
}

// PlaceDose is Place without a desk, under a house's law.
func PlaceDose(b *knowledge.Base, house remedy.House, in PlaceInput) (Dosed, error) {
	r := b.Remedy(in.Remedy)
	if r == nil {
		return Dosed{}, fault.New("remedy", fmt.Sprintf("%q is not a remedy of the herbarium", in.Remedy), "use an id from kb list remedies")
	}
	if len(r.Doses) == 0 {
		return Dosed{}, fault.New("remedy", r.Name+" has no amount for a bed or pot", "it is mixed, or used as it is")
	}
	if err := lawful(r, house, "remedy"); err != nil {
		return Dosed{}, err
	}
	d := r.Doses[0]
	if in.Dose != "" {
		i := slices.IndexFunc(r.Doses, func(x knowledge.PlaceRate) bool { return x.ID == in.Dose })
		if i < 0 {
			return Dosed{}, fault.New("dose", fmt.Sprintf("%s has no range %q", r.Name, in.Dose), "leave it out for the first")
		}
		d = r.Doses[i]
	}
	p, err := mix.Place(mix.PlaceRequest{Name: r.Name, Per: d.Per, Low: d.Low, High: d.High, Unit: d.Unit, Use: in.Use, Area: in.Area, Pots: in.Pots, Plants: in.Plants})
	if err != nil {
		return Dosed{}, err
	}
	return Dosed{Remedy: r.ID, Dose: d.ID, Input: in, Placed: p, Mind: houseWarnings(r, house)}, nil
}

// SetDose keeps such an amount with the case.
func (s *Service) SetDose(ctx context.Context, who Person, id string, from int, in PlaceInput) (View, error) {
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
		d.By = who.Name
		i := slices.IndexFunc(c.Doses, func(x Dosed) bool { return x.Remedy == in.Remedy })
		list := slices.Clone(c.Doses)
		if i >= 0 {
			list[i] = d
		} else {
			list = append(list, d)
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
