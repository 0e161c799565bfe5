package season_test

import (
	"testing"

	"botanik/core/civil"
	"botanik/core/season"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func on(t require.TestingT, s string) civil.Day {
	d, err := civil.Parse(s)
	require.NoError(t, err)
	return d
}

func TestASurge(t *testing.T) {
	today := on(t, "2026-07-20")
	ago := func(n int) civil.Day { return today.Add(-n) }
	for _, c := range []struct {
		name string
		rows []season.Settled
		want []season.Surge
	}{
		{"nothing came", nil, []season.Surge{}},
		{"two are no surge", []season.Settled{{ago(1), "mite", 2}}, []season.Surge{}},
		{"three out of nowhere", []season.Settled{{ago(0), "mite", 1}, {ago(6), "mite", 2}}, []season.Surge{{"mite", 3, 0}}},
		{"seven days ago was last week", []season.Settled{{ago(7), "mite", 9}}, []season.Surge{}},
		{"as usual", []season.Settled{{ago(0), "mite", 5}, {ago(10), "mite", 8}, {ago(30), "mite", 8}}, []season.Surge{}},
		{"more than two and a half times", []season.Settled{{ago(0), "mite", 6}, {ago(10), "mite", 16}}, []season.Surge{{"mite", 6, 2}}},
		{"exactly two and a half times", []season.Settled{{ago(0), "mite", 5}, {ago(10), "mite", 16}}, []season.Surge{}},
		{"the eighth week back still counts", []season.Settled{{ago(0), "mite", 5}, {ago(63), "mite", 16}}, []season.Surge{}},
		{"the ninth does not", []season.Settled{{ago(0), "mite", 5}, {ago(64), "mite", 16}}, []season.Surge{{"mite", 5, 0}}},
		{"not yet", []season.Settled{{ago(-1), "mite", 9}}, []season.Surge{}},
		{"most first, then by name", []season.Settled{{ago(0), "rust", 3}, {ago(0), "mite", 3}, {ago(0), "gall", 7}}, []season.Surge{{"gall", 7, 0}, {"mite", 3, 0}, {"rust", 3, 0}}},
	} {
		assert.Equal(t, c.want, season.Surges(c.rows, today), c.name)
	}
}

// A desk that sees the same every week has no surge, however much it sees.
func TestASteadyDeskHasNoSurge(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		today, each := on(t, "2026-07-20"), rapid.IntRange(1, 50).Draw(t, "each week")
		rows := []season.Settled{}
		for week := range 9 {
			rows = append(rows, season.Settled{Day: today.Add(-7*week - rapid.IntRange(0, 6).Draw(t, "day")), Cause: "mite", N: each})
		}
		require.Empty(t, season.Surges(rows, today))
	})
}
