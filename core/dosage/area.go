package dosage

import (
	"fmt"
	"slices"

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
	Spoons string    `json:"spoons,omitempty" enum:"metric,us,imperial,au," doc:"the grower's kitchen spoons"`
	Plants int       `json:"plants,omitempty" minimum:"0" maximum:"5000"`
}

// Dosed is such an amount worked out.
type Dosed struct {
	Remedy string     `json:"remedy"`
	Dose   string     `json:"dose"` // id of the herbarium's range
	Input  PlaceInput `json:"input"`
	Placed mix.Placed `json:"placed"`
	Mind   []string   `json:"mind,omitempty" doc:"for the advisor, not for the page"`
}

// OverArea works out an amount for a bed, pots or plants, under a house's law.
func OverArea(b *knowledge.Base, house remedy.House, in PlaceInput) (Dosed, error) {
	r := b.Remedy(in.Remedy)
	if r == nil {
		return Dosed{}, knowledge.NoSuchRemedy("remedy", in.Remedy)
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
	p, err := mix.Place(mix.PlaceRequest{Name: r.Name, Per: d.Per, Low: d.Low, High: d.High, Unit: d.Unit, Way: d.Way, Bulk: d.Bulk, Spoons: in.Spoons, Use: in.Use, Area: in.Area, Pots: in.Pots, Plants: in.Plants})
	if err != nil {
		return Dosed{}, err
	}
	return Dosed{Remedy: r.ID, Dose: d.ID, Input: in, Placed: p, Mind: warnings(r, house)}, nil
}
