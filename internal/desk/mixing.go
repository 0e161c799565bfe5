package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/dosage"
	"botanik/core/fault"
)

// Blend works out a mix of one remedy for a sprayer, case or no case.
func (s *Service) Blend(ctx context.Context, in dosage.MixInput) (dosage.Mixed, error) {
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return dosage.Mixed{}, err
	}
	return dosage.Blend(s.Base, house, in)
}

// SetMix keeps the amounts for the grower's own sprayer.
func (s *Service) SetMix(ctx context.Context, who Person, id string, from int, in dosage.MixInput) (View, error) {
	return s.change(ctx, who, id, from, "mix", func(c *Case) (string, error) {
		if c.Treatment == nil {
			return "", fault.New("remedy", "nothing is chosen to be mixed", "choose a remedy first")
		}
		if in.Remedy == "" {
			for _, r := range c.Treatment.Remedies {
				if k := s.Base.Remedy(r); k != nil && len(k.Rates) > 0 {
					in.Remedy = r
				}
			}
			if in.Remedy == "" {
				return "", fault.New("remedy", "nothing that was chosen is mixed", "this step is not needed")
			}
		}
		if !slices.Contains(c.Treatment.Remedies, in.Remedy) {
			return "", fault.New("remedy", fmt.Sprintf("%q was not chosen for this case", in.Remedy), "choose it on the Remedy step first")
		}
		for i, w := range in.With {
			if !slices.Contains(c.Treatment.Remedies, w.Remedy) {
				return "", fault.New(fmt.Sprintf("with[%d].remedy", i), fmt.Sprintf("%q was not chosen for this case", w.Remedy), "choose it on the Remedy step first")
			}
		}
		if err := s.mayUse(ctx, c, in.Remedies()); err != nil {
			return "", err
		}
		m, err := s.Blend(ctx, in)
		if err != nil {
			return "", err
		}
		c.Mix = &KeptMix{m, who.Name}
		text := fmt.Sprintf("%s at %s", s.Base.Remedy(m.Remedy).Name, m.Use)
		for _, w := range m.With {
			text += " with " + strings.ToLower(s.Base.Remedy(w.Remedy).Name)
		}
		return text + ", " + m.Volume + " of mix", nil
	})
}
