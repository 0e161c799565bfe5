package lifecycle

import (
	"errors"
	"slices"
	"testing"

	"botanik/core/civil"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Days moved by hand: a wet day goes to the next fit one, the one behind it follows to keep
// the gap, what nobody knows stays, and a picking that forbids the move keeps the day.
func TestAWetDayIsMoved(t *testing.T) {
	d := func(n int) civil.Day { return civil.Must("2026-06-01").Add(n) }
	wet := func(days ...int) func(civil.Day) Fitness {
		return func(x civil.Day) Fitness {
			n := x.Sub(d(0))
			return Fitness{Known: n < 8, Good: !slices.Contains(days, n), Why: "rain"}
		}
	}
	any := func([]civil.Day) error { return nil }
	got, moves := Fit([]civil.Day{d(0), d(7)}, d(0), 7, wet(0), any)
	assert.Equal(t, []civil.Day{d(1), d(8)}, got)
	require.Len(t, moves, 2)
	assert.Equal(t, "Mon 1 Jun is moved to Tue 2 Jun: rain.", moves[0].Text())
	assert.Contains(t, moves[1].Text(), "the label's gap is kept")

	got, moves = Fit([]civil.Day{d(2), d(9)}, d(0), 5, wet(2, 3), any)
	assert.Equal(t, []civil.Day{d(1), d(9)}, got, "a day sooner where the next is no better")
	assert.Len(t, moves, 1)

	got, moves = Fit([]civil.Day{d(0), d(20)}, d(0), 7, wet(0, 1, 2, 3, 4, 5, 6, 7), any)
	assert.Equal(t, []civil.Day{d(0), d(20)}, got, "nothing fit near: it stays")
	assert.Empty(t, moves)

	late := func(days []civil.Day) error {
		if days[len(days)-1].After(d(7)) {
			return errors.New("picking")
		}
		return nil
	}
	got, _ = Fit([]civil.Day{d(0), d(7)}, d(0), 7, wet(0), late)
	assert.Equal(t, []civil.Day{d(0), d(7)}, got, "never into the wait before picking")
}

// Whatever the weather: order, gaps, the first day and what hold says are kept, no moved
// day is unfit, and days that are fit stay where they are when nothing before them moved.
func TestFitKeepsTheRules(t *testing.T) {
	rapid.Check(t, func(rt *rapid.T) {
		start := civil.Must("2026-06-01")
		gap := rapid.IntRange(1, 10).Draw(rt, "gap")
		days := []civil.Day{start.Add(rapid.IntRange(0, 4).Draw(rt, "first"))}
		for range rapid.IntRange(0, 3).Draw(rt, "more") {
			days = append(days, days[len(days)-1].Add(gap+rapid.IntRange(0, 6).Draw(rt, "over")))
		}
		good := rapid.SliceOfN(rapid.Bool(), 14, 14).Draw(rt, "good")
		fits := func(d civil.Day) Fitness {
			n := d.Sub(start)
			return Fitness{Known: n >= 0 && n < len(good), Good: n >= 0 && n < len(good) && good[n], Why: "rain"}
		}
		last := start.Add(rapid.IntRange(10, 60).Draw(rt, "picking"))
		hold := func(x []civil.Day) error {
			if x[len(x)-1].After(last) {
				return errors.New("picking")
			}
			return nil
		}
		got, moves := Fit(days, start, gap, fits, hold)
		require.Len(rt, got, len(days))
		for i := range got {
			require.False(rt, got[i].Before(start))
			require.True(rt, i == 0 || got[i].Sub(got[i-1]) >= gap)
		}
		if len(moves) == 0 {
			require.Equal(rt, days, got)
			return
		}
		require.NoError(rt, hold(got))
		require.True(rt, fits(moves[0].To).Good)
	})
}
