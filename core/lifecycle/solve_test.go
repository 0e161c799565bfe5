package lifecycle_test

import (
	"fmt"
	"math"
	"os"
	"testing"
	"time"

	"botanik/core/fault"
	"botanik/core/lifecycle"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Worked by hand: a whole day above the threshold counts its mean; one across it by the
// sine's area (π/3 of it): ((15-10)(π/2+π/6) + 10·cos π/6)/π = 6.090; above the upper
// threshold nothing more is gained.
func TestDegreeDaysWorked(t *testing.T) {
	for _, c := range []struct{ min, max, lower, upper, want float64 }{
		{10, 30, 10, 40, 10}, {5, 25, 10, 40, 6.0899}, {-5, 8, 10, 40, 0}, {20, 30, 10, 20, 10}, {15, 15, 10, 35, 5},
	} {
		got, err := lifecycle.DegreeDays(c.min, c.max, c.lower, c.upper)
		require.NoError(t, err)
		assert.InDelta(t, c.want, got, 1e-3, "%v", c)
	}
	// The area under a sine drawn step by step is the same.
	sum := 0.
	for i := range 100_000 {
		temp := 15 + 10*math.Sin(2*math.Pi*(float64(i)+.5)/100_000)
		sum += math.Max(0, math.Min(temp, 22)-10) / 100_000
	}
	got, err := lifecycle.DegreeDays(5, 25, 10, 22)
	require.NoError(t, err)
	assert.InDelta(t, sum, got, 1e-4)
	for field, x := range map[string][4]float64{"minC": {-99, 1, 0, 10}, "maxC": {5, 3, 0, 10}, "lowerC": {1, 2, 10, 5}} {
		_, err := lifecycle.DegreeDays(x[0], x[1], x[2], x[3])
		assert.Equal(t, field, fault.From(err)[0].Field)
	}
}

// The answer keeps every limit, is never worse than a rhythm it could have chosen, and
// is soon there.
func TestTheSolverKeepsItsLimitsAndNeverLosesToARhythm(t *testing.T) {
	b := herbarium.Embedded()
	tables := []string{"two-spotted-mite", "citrus-mealybug", "greenhouse-whitefly", "peach-aphid"}
	for _, id := range tables {
		require.NotNil(t, b.LifeTable(id), id)
		require.Positive(t, b.LifeTable(id).Lays.DD, id)
	}
	slowest := time.Duration(0)
	rapid.Check(t, func(t *rapid.T) {
		r := lifecycle.SolveRequest{
			Colony:    lifecycle.Colony{Table: b.LifeTable(rapid.SampledFrom(tables).Draw(t, "pest")), Temps: []float64{rapid.Float64Range(14, 28).Draw(t, "temp")}, Days: 42},
			Treatment: lifecycle.Application{Kills: map[string]float64{"young": .9, "adult": .7}, Reaches: .8},
			Count:     rapid.IntRange(1, 3).Draw(t, "count"), GapMin: rapid.IntRange(3, 8).Draw(t, "gap"),
			Earliest: rapid.IntRange(0, 2).Draw(t, "earliest"), Shut: rapid.SliceOfN(rapid.IntRange(0, 20), 0, 4).Draw(t, "shut"),
			Rhythms: [][]int{{0, 7, 14}, {0, 10, 20}, {0, 3, 8}, {2}, {2, 9}},
		}
		for i := range r.Rhythms {
			r.Rhythms[i] = r.Rhythms[i][:min(r.Count, len(r.Rhythms[i]))]
		}
		at := time.Now()
		got, err := lifecycle.Solve(r)
		slowest = max(slowest, time.Since(at))
		require.NoError(t, err)
		assert.True(t, r.Allowed(got.On), "%v", got.On)
		assert.Len(t, got.On, r.Count)
		for _, days := range r.Rhythms {
			if len(days) != r.Count || !r.Allowed(days) {
				continue
			}
			done := []lifecycle.Application{}
			for _, d := range days {
				x := r.Treatment
				x.Day = float64(d)
				done = append(done, x)
			}
			c, err := lifecycle.Simulate(r.Colony, done...)
			require.NoError(t, err)
			assert.LessOrEqual(t, got.PestDays, c.PestDays+1e-9, "against %v: %v", days, got.On)
		}
	})
	t.Logf("slowest %s", slowest)
	_, err := lifecycle.Solve(lifecycle.SolveRequest{Colony: lifecycle.Colony{Table: b.LifeTable(tables[0]), Temps: []float64{20}, Days: 10}, Count: 4, GapMin: 7})
	assert.Equal(t, "days", fault.From(err)[0].Field)
	_, err = lifecycle.Solve(lifecycle.SolveRequest{Count: 9})
	assert.Equal(t, "count", fault.From(err)[0].Field)
}

// TestBenchSeason prints what a season and the solver cost, for make bench.
func TestBenchSeason(t *testing.T) {
	if os.Getenv("BOTANIK_BENCH") == "" {
		t.Skip("only through make bench")
	}
	lt := herbarium.Embedded().LifeTable("two-spotted-mite")
	kills := map[string]float64{"young": .9, "adult": .8}
	colony := lifecycle.Colony{Table: lt, Temps: []float64{22}, Days: 120, Stages: map[string]float64{"egg": .5, "young": .3, "adult": .2}}
	season := testing.Benchmark(func(b *testing.B) {
		for b.Loop() {
			if _, err := lifecycle.Simulate(colony, lifecycle.Application{Day: 3, Kills: kills, Reaches: .8}); err != nil {
				b.Fatal(err)
			}
		}
	})
	fmt.Printf("bench a season of 120 days against 1 ms: measured %.2f, goal 1\n", float64(season.NsPerOp())/1e6)
	colony.Days = 42
	solve := testing.Benchmark(func(b *testing.B) {
		for b.Loop() {
			if _, err := lifecycle.Solve(lifecycle.SolveRequest{Colony: colony, Treatment: lifecycle.Application{Kills: kills, Reaches: .8}, Count: 4, GapMin: 4, GapMax: 10}); err != nil {
				b.Fatal(err)
			}
		}
	})
	fmt.Printf("bench days of four treatments against 150 ms: measured %.2f, goal 1\n", float64(solve.NsPerOp())/150e6)
}
