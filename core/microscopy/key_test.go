package microscopy_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"botanik/core/microscopy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// slide draws a slide of a species: each answer is wrong one time in ten, and a ratio is
// read one part in ten off.
func slide(rng *rand.Rand, k microscopy.SlideKey, s *microscopy.Species, noise float64) (answers map[string]microscopy.Seen, wrong int) {
	answers = map[string]microscopy.Seen{}
	for _, c := range k.Characters {
		x := microscopy.Seen{Character: c.ID}
		if c.Measure != nil {
			r, ok := s.Ranges[c.ID]
			if !ok {
				continue
			}
			v := r[0] * math.Pow(r[1]/r[0], rng.Float64()) // even on the scale of ratios
			x.Ratio = v * math.Exp(.1*rng.NormFloat64())
			if x.Ratio < r[0]*.9 || x.Ratio > r[1]*1.1 {
				wrong++ // read as no slide of it is
			}
			answers[c.ID] = x
			continue
		}
		has := s.States[c.ID]
		if len(has) == 0 {
			x.State = c.States[rng.IntN(len(c.States))].ID
			answers[c.ID] = x
			continue
		}
		x.State = has[rng.IntN(len(has))]
		if rng.Float64() < noise && len(has) < len(c.States) {
			wrong++
			for slices.Contains(has, x.State) {
				x.State = c.States[rng.IntN(len(c.States))].ID
			}
		}
		answers[c.ID] = x
	}
	return answers, wrong
}

// follow answers the couplets as they are asked until the name is sure or nothing is left.
func follow(t *testing.T, k microscopy.SlideKey, group string, answers map[string]microscopy.Seen, hosts []string) (microscopy.Keyed, []microscopy.Seen) {
	seen := []microscopy.Seen{}
	for {
		out, err := k.Identify(group, seen, hosts)
		require.NoError(t, err)
		if out.Sure || out.Next == nil {
			return out, seen
		}
		x, ok := answers[out.Next.Character]
		if !ok { // nothing is known of it: leave it
			return out, seen
		}
		seen = append(seen, x)
	}
}

// Every species is reached from its own characters with a tenth of the answers wrong in at
// least 90 of 100 drawn slides; and with exactly one answer wrong no other name is sure.
func TestEverySpeciesIsReached(t *testing.T) {
	key := herbarium.Embedded().SlideKey
	rng := rand.New(rand.NewPCG(15, 4))
	for _, group := range key.Groups() {
		k := key.Of(group)
		asked, slides := 0, 0
		for _, s := range k.Species {
			right := 0
			for range 100 {
				answers, wrong := slide(rng, k, s, .1)
				out, seen := follow(t, key, group, answers, s.Hosts[:min(1, len(s.Hosts))])
				slides++
				asked += len(seen)
				if out.Fits[0].Species == s.ID {
					right++
				} else if wrong <= 1 {
					assert.False(t, out.Sure, "%s said to be %s, with %d answers wrong", s.ID, out.Fits[0].Species, wrong)
				}
			}
			assert.GreaterOrEqual(t, right, 90, s.ID)
		}
		t.Logf("%s: %d species, %.1f answers to a name", group, len(k.Species), float64(asked)/float64(slides))
	}
}
