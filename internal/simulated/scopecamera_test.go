package simulated_test

import (
	"math"
	"strconv"
	"testing"

	"botanik/core/microscopy"
	"botanik/herbarium"
	"botanik/internal/simulated"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every slide on the tray is of its species: its ratios lie in the key's ranges, and
// the frame's scale gives its lobe of 12 µm under each objective.
func TestSlidesAreDrawnToTheKey(t *testing.T) {
	key := herbarium.Embedded().SlideKey
	c := simulated.NewScopeCamera(key)
	length := func(x [2]microscopy.Point) float64 { return math.Hypot(x[0].X-x[1].X, x[0].Y-x[1].Y) }
	seen := map[string]bool{}
	for i := 1; ; i++ {
		s := c.Truth(strconv.Itoa(i), "40x")
		if s == nil {
			break
		}
		seen[s.Species.ID] = true
		for id, r := range map[string]float64{"opening-lobe": length(s.Opening) / length(s.Lobe), "gap-opening": length(s.Gap) / length(s.Opening)} {
			in := s.Species.Ranges[id]
			assert.True(t, r >= in[0] && r <= in[1], "%s: %s %.2f", s.Species.ID, id, r)
		}
		assert.InDelta(t, 12, length(s.Lobe)*s.PerPixel, .01)
		assert.InDelta(t, 12, length(c.Truth(strconv.Itoa(i), "10x").Lobe)*c.Truth(strconv.Itoa(i), "10x").PerPixel, .01)
	}
	require.Greater(t, len(seen), 24)
	assert.Nil(t, c.Truth(simulated.Micrometer, "40x"))
	assert.Nil(t, c.Truth("999", "40x"))
}
