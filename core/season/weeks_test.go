package season_test

import (
	"testing"

	"botanik/core/civil"
	"botanik/core/season"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestWeeksBeginOnMonday(t *testing.T) {
	for day, want := range map[string]string{"2026-11-26": "2026-11-23", "2026-11-23": "2026-11-23", "2026-11-22": "2026-11-16", "2024-02-29": "2024-02-26"} {
		assert.Equal(t, want, season.Monday(on(t, day)).String(), day)
	}
	assert.Len(t, season.WeeksOf(on(t, "2026-01-01"), on(t, "2026-12-31")), 53)
	assert.Empty(t, season.WeeksOf(on(t, "2026-02-10"), on(t, "2026-02-01")))
}

// Whatever came in stands in exactly one band and one week.
func TestNothingIsLostInTheBands(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		weeks := season.WeeksOf(on(t, "2026-03-02"), on(t, "2026-06-01"))
		rows, all := []season.WeekCounts{}, 0
		for range rapid.IntRange(0, 60).Draw(t, "rows") {
			r := season.WeekCounts{Day: weeks[0].Add(rapid.IntRange(-9, 7*len(weeks)+9).Draw(t, "day")), Cause: rapid.SampledFrom([]string{"", "a", "b", "c", "d", "e"}).Draw(t, "cause"), N: rapid.IntRange(1, 4).Draw(t, "n")}
			if at := r.Day.Sub(weeks[0]); at >= 0 && at < 7*len(weeks) {
				all += r.N
			}
			rows = append(rows, r)
		}
		most := rapid.IntRange(1, 6).Draw(t, "most")
		bands, n := season.Bands(rows, weeks, most), 0
		require.LessOrEqual(t, len(bands), most+2)
		for _, b := range bands {
			in := 0
			for _, w := range b.Weeks {
				in += w
			}
			require.Equal(t, b.N, in)
			n += in
		}
		require.Equal(t, all, n)
	})
}

func TestFirstArrivals(t *testing.T) {
	sums := func(cause string, d civil.Day) (float64, float64, bool) {
		return float64(d.YearDay()) * 2, 10, cause == "mite"
	}
	got := season.Arrivals(map[string][]civil.Day{
		"mite": {on(t, "2023-05-01"), on(t, "2024-05-04"), on(t, "2025-05-11"), on(t, "2026-04-20")},
		"rust": {on(t, "2025-07-01")},
		"gall": {on(t, "2024-06-01"), on(t, "2025-06-11")},
	}, 2026, sums)
	require.Len(t, got, 3)
	mite := got[0]
	// Days of the year 120, 124 and 130 from the first: mean 124.67, so 5 or 6 May; deviation 5.
	assert.Equal(t, []any{"mite", "2026-04-20", 3, "2026-05-06", 5, 16}, []any{mite.Cause, mite.Day, mite.Years, mite.Usual, mite.Within, mite.Early})
	assert.InDelta(t, 220, *mite.DegreeDays, 1e-9)
	assert.InDelta(t, 2*(121+125+131)/3., *mite.UsualDD, 1e-9)
	assert.Equal(t, "gall", got[1].Cause, "what has not come yet, by when it usually does")
	assert.Empty(t, got[1].Day)
	assert.Empty(t, got[2].Usual, "one year says nothing")
	assert.Nil(t, got[2].DegreeDays)
}

func TestWaits(t *testing.T) {
	assert.Equal(t, season.Waits{}, season.WaitsOf(nil))
	assert.Equal(t, season.Waits{N: 10, Median: 5, NineTen: 9, Longest: 10}, season.WaitsOf([]float64{10, 2, 3, 4, 5, 6, 7, 8, 9, 1}))
	assert.Equal(t, season.Waits{N: 1, Median: 3, NineTen: 3, Longest: 3}, season.WaitsOf([]float64{3}))
}

// The squares of the district: the desk's own is where the desk is; the next lies a side
// away, by the distance on a sphere.
func TestSquaresOfTheDistrict(t *testing.T) {
	lat, lon, within, err := season.SquareAt("E5", 50.2, -5.3, 2)
	require.NoError(t, err)
	assert.InDelta(t, 50.2, lat, 1e-9)
	assert.InDelta(t, -5.3, lon, 1e-9)
	assert.InDelta(t, 1414.2, within, .1)
	north, _, _, err := season.SquareAt("E4", 50.2, -5.3, 2)
	require.NoError(t, err)
	assert.InDelta(t, 2, (north-50.2)*111.195, .001) // a degree of latitude on a sphere of 6371 km
	_, east, _, err := season.SquareAt("F5", 50.2, -5.3, 2)
	require.NoError(t, err)
	assert.InDelta(t, 2, (east+5.3)*111.195*.64011, .002) // cos 50.2°, from a table
	for _, bad := range []string{"", "E", "J1", "A0", "e5", "E10"} {
		_, _, _, err := season.SquareAt(bad, 50, 0, 1)
		assert.ErrorContains(t, err, "square", bad)
	}
}
