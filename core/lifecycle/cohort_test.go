package lifecycle_test

import (
	"math"
	"testing"

	"botanik/core/lifecycle"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func simulate(t require.TestingT, c lifecycle.Colony, done ...lifecycle.Application) lifecycle.Course {
	out, err := lifecycle.Simulate(c, done...)
	require.NoError(t, err)
	require.Len(t, out.Days, c.Days)
	return out
}

func colony(table string, tempC float64, days int, stages map[string]float64) lifecycle.Colony {
	return lifecycle.Colony{Table: herbarium.Embedded().LifeTable(table), Temps: []float64{tempC}, Days: days, Stages: stages}
}

// Rate of increase a day of a settled colony, as life-table studies tell it for good
// food and no enemies: ranges written down from memory before the program was asked, not
// looked up. A garden plant is worse food, so down to half is taken.
func TestColoniesGrowAboutAsFastAsPublished(t *testing.T) {
	for _, c := range []struct {
		table     string
		tempC     float64
		low, high float64
	}{
		{"two-spotted-mite", 25, .20, .30}, {"peach-aphid", 20, .25, .35}, {"melon-aphid", 25, .30, .45},
		{"western-flower-thrips", 25, .10, .20}, {"greenhouse-whitefly", 22, .08, .14}, {"silverleaf-whitefly", 27, .12, .20},
		{"citrus-mealybug", 25, .08, .13}, {"diamondback", 25, .18, .28},
	} {
		x := simulate(t, colony(c.table, c.tempC, 12, nil))
		r := math.Log(x.Total(11)/x.Total(1)) / 10
		assert.GreaterOrEqual(t, r, c.low/2, "%s at %g °C: %.3f", c.table, c.tempC, r)
		assert.LessOrEqual(t, r, c.high, "%s at %g °C: %.3f", c.table, c.tempC, r)
	}
}

// The closed-form rule and the simulation say the same: with something that kills all
// but eggs, a second treatment inside the window ends the colony, and one before the
// last hatch or after the first laying does not.
func TestTheRuleAndTheCohortAgree(t *testing.T) {
	kills := map[string]float64{"crawler": 1, "young": 1, "resting": 1, "adult": 1}
	left := func(table string, tempC, gap float64) float64 {
		days := int(gap) + 4
		x := simulate(t, colony(table, tempC, days, nil), lifecycle.Application{Kills: kills, Reaches: 1}, lifecycle.Application{Day: gap, Kills: kills, Reaches: 1})
		return x.Total(days-1) / x.Total(0)
	}
	for _, c := range []struct {
		table string
		tempC float64
	}{{"two-spotted-mite", 20}, {"greenhouse-whitefly", 21}, {"citrus-mealybug", 22}, {"diamondback", 18}, {"leafhopper", 20}} {
		w, err := lifecycle.ClosedForm(herbarium.Embedded().LifeTable(c.table), c.tempC)
		require.NoError(t, err)
		require.False(t, w.Empty)
		assert.Less(t, left(c.table, c.tempC, w.From+(w.To-w.From)/3), .06, "%s inside", c.table)
		assert.Greater(t, left(c.table, c.tempC, w.From/3), .2, "%s too soon", c.table)
		assert.Greater(t, left(c.table, c.tempC, w.To*1.6), .2, "%s too late", c.table)
	}
}

func TestMoreKillNeverMorePestDaysAndWarmthNeverSlower(t *testing.T) {
	tables := herbarium.Embedded().LifeTables
	rapid.Check(t, func(rt *rapid.T) {
		lt := tables[rapid.IntRange(0, len(tables)-1).Draw(rt, "table")]
		cool := rapid.Float64Range(2, 24).Draw(rt, "temp")
		c := lifecycle.Colony{Table: lt, Temps: []float64{cool}, Days: 30}
		kill, half := rapid.Float64Range(0, .9).Draw(rt, "kill"), rapid.SampledFrom([]float64{0, 3}).Draw(rt, "half-life")
		treat := func(k float64) lifecycle.Application {
			return lifecycle.Application{Day: 4, Kills: map[string]float64{"egg": k / 3, "crawler": k, "young": k, "resting": k, "adult": k}, Reaches: .8, HalfLife: half}
		}
		more, less := simulate(rt, c, treat(kill+.1)), simulate(rt, c, treat(kill))
		assert.LessOrEqual(rt, more.PestDays, less.PestDays+1e-9, lt.ID)
		// What is left of a row of eggs or young after some days only falls as it warms.
		barren := *lt
		barren.Lays.Eggs = 1e-9
		left := func(tempC float64) float64 {
			x := simulate(rt, lifecycle.Colony{Table: &barren, Temps: []float64{tempC}, Days: 3, Stages: map[string]float64{lt.Stages[0].ID: 1}})
			return x.Days[2][0]
		}
		assert.LessOrEqual(rt, left(math.Min(cool+3, lt.Stages[0].Upper)), left(math.Min(cool, lt.Stages[0].Upper))+.005, lt.ID)
		for _, d := range less.Days {
			for _, n := range d {
				if math.IsNaN(n) || n < 0 {
					rt.Fatalf("a number below zero in %s: %v", lt.ID, d)
				}
			}
		}
	})
}

func TestWhatACohortCannotFollow(t *testing.T) {
	mite := colony("two-spotted-mite", 20, 10, nil)
	bare := *mite.Table
	bare.Lays.Eggs = 0
	for name, c := range map[string]lifecycle.Colony{
		"how this pest lays": {Table: &bare, Temps: mite.Temps, Days: 10},
		"not 1 to 400":       {Table: mite.Table, Temps: mite.Temps},
		"no temperature":     {Table: mite.Table, Days: 10},
		"out of range":       {Table: mite.Table, Temps: []float64{math.NaN()}, Days: 10},
	} {
		_, err := lifecycle.Simulate(c)
		assert.ErrorContains(t, err, name)
	}
	_, err := lifecycle.Simulate(mite, lifecycle.Application{Reaches: 1.2})
	assert.ErrorContains(t, err, "treatments")
	still := simulate(t, colony("two-spotted-mite", 8, 30, nil))
	assert.InDelta(t, 1, still.Total(29), 1e-9, "below its threshold nothing ages, lays or dies")
	var sum float64
	g := still.Grouped()
	for _, n := range g.Days[7] {
		sum += n
	}
	assert.InDelta(t, 1, sum, 1e-9)
	soil := lifecycle.Application{Kills: map[string]float64{"grub": 1, "resting": 1}, Reaches: 1, Soil: true}
	grubs := simulate(t, colony("vine-weevil", 15, 3, map[string]float64{"young": .5, "adult": .5}), soil)
	assert.Less(t, grubs.Total(0), .6, "the grubs are hit")
	assert.Greater(t, grubs.Total(0), .45, "the weevils above are not")
}
