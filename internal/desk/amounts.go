package desk

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/casefile"
)

// Blend works out a mix of one remedy for a sprayer, case or no case.
func (s *Service) Blend(ctx context.Context, in dosage.MixInput) (dosage.Mixed, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return dosage.Mixed{}, err
	}
	return dosage.Blend(m.Book, m.Rules, in)
}

// Place works out an amount for a bed, pots or plants, case or no case.
func (s *Service) Place(ctx context.Context, in dosage.PlaceInput) (dosage.Dosed, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return dosage.Dosed{}, err
	}
	return dosage.OverArea(m.Book, m.Rules, in)
}

func notChosen(field, id string) error {
	return fault.New(field, fmt.Sprintf("%q was not chosen for this case", id), "choose it on the Remedy step first")
}

// MixBody is a mix to be kept, and whether the days the desk proposes go with it.
type MixBody struct {
	dosage.MixInput
	WithDays bool `json:"withDays,omitempty" doc:"keep the proposed days of this round as well"`
}

// SetMix keeps the amounts for the grower's own sprayer.
func (s *Service) SetMix(ctx context.Context, who Person, id string, from int, mix MixBody) (View, error) {
	return s.Change(ctx, who, id, from, "mix", func(m Moment, c *Case) (string, error) {
		in, t := mix.MixInput, c.Now().Treatment
		if t == nil {
			return "", fault.New("remedy", "nothing is chosen to be mixed", "choose a remedy first")
		}
		if in.Remedy == "" {
			for _, r := range t.Remedies {
				if k := m.Book.Remedy(r); k != nil && len(k.Rates) > 0 {
					in.Remedy = r
				}
			}
			if in.Remedy == "" {
				return "", fault.New("remedy", "nothing that was chosen is mixed", "this step is not needed")
			}
		}
		if !slices.Contains(t.Remedies, in.Remedy) {
			return "", notChosen("remedy", in.Remedy)
		}
		for i, w := range in.With {
			if !slices.Contains(t.Remedies, w.Remedy) {
				return "", notChosen(fmt.Sprintf("with[%d].remedy", i), w.Remedy)
			}
		}
		if err := s.mayUse(m, c, in.Remedies()); err != nil {
			return "", err
		}
		mixed, err := dosage.Blend(m.Book, m.Rules, in)
		if err != nil {
			return "", err
		}
		c.Now().Mix = &casefile.KeptMix{Mixed: mixed, By: who.Name}
		text := fmt.Sprintf("%s at %s", m.Book.Remedy(mixed.Remedy).Name, mixed.Use)
		for _, w := range mixed.With {
			text += " with " + humanise.InSentence(m.Book.Remedy(w.Remedy).Name)
		}
		text += ", " + mixed.Volume + " of mix"
		if mix.WithDays {
			days, err := s.KeepDays(m, c, who, DaysInput{})
			if err != nil {
				return "", err
			}
			text += "; " + days
		}
		return text, nil
	})
}

// SetDose keeps an amount for a bed, pots or plants with the case.
func (s *Service) SetDose(ctx context.Context, who Person, id string, from int, in dosage.PlaceInput) (View, error) {
	return s.Change(ctx, who, id, from, "mix", func(m Moment, c *Case) (string, error) {
		d, err := dosage.OverArea(m.Book, m.Rules, in)
		if err != nil {
			return "", err
		}
		r := c.Now()
		if r.Treatment == nil || !slices.Contains(r.Treatment.Remedies, in.Remedy) {
			return "", notChosen("remedy", in.Remedy)
		}
		if err := s.mayUse(m, c, []string{in.Remedy}); err != nil {
			return "", err
		}
		r.Doses = slices.DeleteFunc(slices.Clone(r.Doses), func(x casefile.KeptDose) bool { return x.Remedy == in.Remedy })
		r.Doses = append(r.Doses, casefile.KeptDose{Dosed: d, By: who.Name})
		return m.Book.Remedy(in.Remedy).Name + ": " + d.Placed.Text, nil
	})
}
