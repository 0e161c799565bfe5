package season_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"botanik/core/civil"
	"botanik/core/season"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
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
	steady := func(each int) []season.WeekCounts {
		rows := []season.WeekCounts{}
		for week := 1; week <= 10; week++ {
			rows = append(rows, season.WeekCounts{Day: ago(7*week + 3), Cause: "mite", N: each})
		}
		return rows
	}
	years := func(rows []season.WeekCounts, each, peak int) []season.WeekCounts { // earlier years, with a peak at this time
		for y := 1; y <= 3; y++ {
			for week := -2; week <= 12; week++ {
				n := each
				if week >= -2 && week <= 2 {
					n = peak
				}
				rows = append(rows, season.WeekCounts{Day: ago(364*y + 7*week + 3), Cause: "mite", N: n})
			}
		}
		return rows
	}
	for _, c := range []struct {
		name string
		rows []season.WeekCounts
		want string // how many, over how many weeks; empty for no surge
	}{
		{"nothing came", nil, ""},
		{"two are no surge", []season.WeekCounts{{ago(1), "mite", 2}}, ""},
		{"ten of what was never seen, at a desk that saw much else", append([]season.WeekCounts{{ago(300), "rust", 1}}, season.WeekCounts{Day: ago(2), Cause: "mite", N: 10}), "10 in 1"},
		{"as ever", append(steady(5), season.WeekCounts{Day: ago(2), Cause: "mite", N: 6}), ""},
		{"half as many again is chance", append(steady(6), season.WeekCounts{Day: ago(2), Cause: "mite", N: 9}), ""},
		{"five times as many is not", append(steady(4), season.WeekCounts{Day: ago(2), Cause: "mite", N: 20}), "20 in 1"},
		{"doubled for two weeks", append(steady(12)[1:], season.WeekCounts{Day: ago(2), Cause: "mite", N: 26}, season.WeekCounts{Day: ago(9), Cause: "mite", N: 26}), "52 in 2"},
		{"the rise that every year brings", years(append(steady(4), season.WeekCounts{Day: ago(2), Cause: "mite", N: 20}), 4, 20), ""},
		{"far above what every year brings", years(append(steady(4), season.WeekCounts{Day: ago(2), Cause: "mite", N: 70}), 4, 20), "70 in 1"},
		{"not yet", []season.WeekCounts{{ago(-1), "mite", 30}, {ago(300), "rust", 1}}, ""},
	} {
		got := season.Surges(c.rows, today)
		says := ""
		for _, x := range got {
			says += fmt.Sprintf("%d in %d", x.N, x.Weeks)
		}
		assert.Equal(t, c.want, says, "%s: %+v", c.name, got)
	}
}

// counts draws what a desk sees: causes with a season of their own, weeks that scatter more
// than Poisson's (variance one and a half times the mean).
type counts struct {
	r    *rand.Rand
	rate []float64 // a week, at the height
	peak []float64 // week of the year
}

func newCounts(seed uint64, causes int) counts {
	c := counts{r: rand.New(rand.NewPCG(seed, 19))}
	for range causes {
		c.rate = append(c.rate, math.Exp(c.r.NormFloat64()*1.1-.7))
		c.peak = append(c.peak, 18+18*c.r.Float64())
	}
	return c
}

func (c counts) mean(cause, week int) float64 {
	return c.rate[cause] * (.15 + math.Exp(-math.Pow((math.Mod(float64(week), 52)-c.peak[cause])/7, 2)))
}

// draw is a gamma-Poisson count of a mean and one and a half times its variance.
func (c counts) draw(mean float64) int {
	g := distuv.Gamma{Alpha: 2 * mean, Beta: 2, Src: c.r}.Rand()
	return int(distuv.Poisson{Lambda: math.Max(g, 1e-9), Src: c.r}.Rand())
}

// Quiet desks are told of a surge at most once a season; a pest that doubles, of which
// forty come in a week, is named within two weeks. The counts are drawn by other means than
// those the test of a surge supposes: with seasons, and from another family of scatter.
func TestSurgesAreRareInQuietYearsAndSeenWhenTheyCome(t *testing.T) {
	const causes, years, desks = 60, 4, 6
	start := on(t, "2022-01-03")
	alarms, seasons := 0, 0
	seen, tried := map[float64]int{}, 0
	for desk := range desks {
		c := newCounts(uint64(desk)+1, causes)
		rows := []season.WeekCounts{}
		named := map[string]int{}
		for week := range 52 * years {
			for k := range causes {
				if n := c.draw(c.mean(k, week)); n > 0 {
					rows = append(rows, season.WeekCounts{Day: start.Add(7*week + 3), Cause: fmt.Sprint(k), N: n})
				}
			}
			if week < 52 { // a desk has to know something first
				continue
			}
			for _, x := range season.Surges(rows, start.Add(7*week+6)) {
				if last, ok := named[x.Cause]; !ok || week-last > 3 {
					alarms++
				}
				named[x.Cause] = week
			}
		}
		seasons += years - 1
		// From now on one pest comes twice as often as before.
		for range 12 {
			tried++
			for _, usual := range []float64{8, 20, 40} {
				more, found := slices.Clone(rows), false
				for week := 52*years - 60; week < 52*years; week++ {
					more = append(more, season.WeekCounts{Day: start.Add(7*week + 3), Cause: "it", N: c.draw(usual)})
				}
				for week := 52 * years; week < 52*years+2; week++ {
					more = append(more, season.WeekCounts{Day: start.Add(7*week + 3), Cause: "it", N: c.draw(2 * usual)})
					found = found || slices.ContainsFunc(season.Surges(more, start.Add(7*week+6)), func(x season.Surge) bool { return x.Cause == "it" })
				}
				if found {
					seen[usual]++
				}
			}
		}
	}
	t.Logf("%.2f false alarms a season; of %d, doubled and named within two weeks: %d of 8 a week, %d of 20, %d of 40", float64(alarms)/float64(seasons), tried, seen[8], seen[20], seen[40])
	assert.LessOrEqual(t, float64(alarms)/float64(seasons), 1.)
	assert.GreaterOrEqual(t, float64(seen[40])/float64(tried), .8)
	assert.Greater(t, seen[40], seen[8])
}

// A desk that sees the same every week has no surge, however much it sees.
func TestASteadyDeskHasNoSurge(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		today, each := on(t, "2026-07-20"), rapid.IntRange(1, 50).Draw(t, "each week")
		rows := []season.WeekCounts{}
		for week := range 9 {
			rows = append(rows, season.WeekCounts{Day: today.Add(-7*week - rapid.IntRange(0, 6).Draw(t, "day")), Cause: "mite", N: each})
		}
		require.Empty(t, season.Surges(rows, today))
	})
}
