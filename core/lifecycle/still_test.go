package lifecycle_test

import (
	"testing"

	"botanik/core/civil"
	"botanik/core/lifecycle"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Where development stands still nothing is repeated by the calendar.
func TestWhatStandsStillIsNotRepeated(t *testing.T) {
	lt := herbarium.Embedded().LifeTable("two-spotted-mite")
	start, err := civil.Parse("2026-02-10")
	require.NoError(t, err)
	plan := func(tempC float64) lifecycle.Schedule {
		w, err := lifecycle.ClosedForm(lt, tempC)
		require.NoError(t, err)
		s, err := lifecycle.Repeats(lifecycle.RepeatRequest{Start: start, GapMin: 4, GapMax: 9, Want: 3, Window: &w})
		require.NoError(t, err)
		return s
	}
	assert.Len(t, plan(6).Days, 1)
	assert.Len(t, plan(20).Days, 3)
}

// Days from egg to laying adult at a steady temperature, as extension bulletins and
// reviews tell them in round numbers; a table may lie a third off, no more.
func TestGenerationsAreAsLongAsPublished(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct {
		table string
		tempC float64
		days  float64
	}{
		{"two-spotted-mite", 20, 18}, {"two-spotted-mite", 30, 8}, {"western-flower-thrips", 25, 14}, {"greenhouse-thrips", 23, 38}, {"onion-thrips", 25, 18},
		{"greenhouse-whitefly", 22, 29}, {"silverleaf-whitefly", 27, 20}, {"peach-aphid", 20, 8}, {"melon-aphid", 25, 6}, {"woolly-aphid", 20, 18},
		{"citrus-mealybug", 25, 30}, {"fungus-gnat", 24, 21}, {"leaf-miner", 25, 18}, {"diamondback", 25, 16}, {"tomato-leafminer", 25, 28},
		{"cabbage-white", 22, 32}, {"box-caterpillar", 25, 35}, {"codling-moth", 25, 40}, {"colorado-beetle", 24, 31}, {"spotted-wing", 22, 15},
		{"russet-mite", 25, 7}, {"broad-mite", 25, 5}, {"potato-leafhopper", 24, 25}, {"lace-bug", 24, 33},
	} {
		lt := b.LifeTable(c.table)
		require.NotNil(t, lt, c.table)
		w, err := lifecycle.ClosedForm(lt, c.tempC)
		require.NoError(t, err)
		assert.InDelta(t, c.days, w.Generation, c.days/3, "%s at %g °C", c.table, c.tempC)
	}
}
