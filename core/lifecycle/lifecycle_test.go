package lifecycle_test

import (
	"math"
	"testing"

	"botanik/core/civil"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestClosedFormWorkedValues(t *testing.T) {
	lt := &knowledge.LifeTable{Name: "x", Spread: .2, Stages: []knowledge.LifeStage{{ID: "egg", Lower: 10, Upper: 30, DD: 50}, {ID: "young", Lower: 10, Upper: 30, DD: 100}}}
	w, err := lifecycle.ClosedForm(lt, 20)
	require.NoError(t, err)
	assert.InDelta(t, 6, w.From, 1e-9, "slowest egg: 5 days and a fifth")
	assert.InDelta(t, 12, w.To, 1e-9, "fastest egg 4 and fastest young 8")
	assert.False(t, w.Empty)
	hot, _ := lifecycle.ClosedForm(lt, 45)
	top, _ := lifecycle.ClosedForm(lt, 30)
	assert.InDelta(t, top.From, hot.From, 1e-9, "horizontal cut-off above the upper threshold")
	cold, err := lifecycle.ClosedForm(lt, 8)
	require.NoError(t, err)
	assert.True(t, cold.Empty)
	assert.Contains(t, cold.Text, "stands still")
	_, err = lifecycle.ClosedForm(lt, 90)
	assert.ErrorContains(t, err, "out of range")
}

func TestWarmerIsNeverSlower(t *testing.T) {
	for _, lt := range herbarium.Embedded().LifeTables {
		last := math.Inf(1)
		for temp := 12.0; temp < 28; temp++ {
			w, err := lifecycle.ClosedForm(lt, temp)
			require.NoError(t, err)
			if w.Generation == 0 {
				continue
			}
			assert.LessOrEqual(t, w.Generation, last, "%s at %g", lt.ID, temp)
			last = w.Generation
		}
	}
}

func TestRepeatsKeepTheLabel(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		lo := rapid.IntRange(1, 14).Draw(t, "lo")
		r := lifecycle.RepeatRequest{
			Start: civil.Date(2026, 7, 1), GapMin: lo, GapMax: lo + rapid.IntRange(0, 14).Draw(t, "span"),
			Most: rapid.IntRange(1, 6).Draw(t, "most"), Want: rapid.IntRange(1, 6).Draw(t, "want"),
		}
		r.Used = rapid.IntRange(0, r.Most-1).Draw(t, "used")
		w, err := lifecycle.ClosedForm(rapid.SampledFrom(herbarium.Embedded().LifeTables).Draw(t, "pest"), rapid.Float64Range(5, 35).Draw(t, "temp"))
		require.NoError(t, err)
		r.Window = &w
		s, err := lifecycle.Repeats(r)
		require.NoError(t, err)
		assert.LessOrEqual(t, len(s.Days)+r.Used, r.Most)
		for i := 1; i < len(s.Days); i++ {
			gap := s.Days[i].Sub(s.Days[i-1])
			assert.GreaterOrEqual(t, gap, r.GapMin)
			assert.LessOrEqual(t, gap, r.GapMax)
		}
		assert.NotEmpty(t, s.Notes)
	})
}

func TestRepeatsRefuse(t *testing.T) {
	base := lifecycle.RepeatRequest{Start: civil.Must("2026-07-01"), GapMin: 7, GapMax: 14, Want: 2}
	for word, change := range map[string]func(*lifecycle.RepeatRequest){
		"shortest gap":     func(r *lifecycle.RepeatRequest) { r.FixedGap = 3 },
		"all 3 uses":       func(r *lifecycle.RepeatRequest) { r.Most, r.Used = 3, 3 },
		"not 1 to 12":      func(r *lifecycle.RepeatRequest) { r.Want = 0 },
		"is not a range":   func(r *lifecycle.RepeatRequest) { r.GapMax = 2 },
		"not 1 to 60 days": func(r *lifecycle.RepeatRequest) { r.FixedGap = 99 },
	} {
		r := base
		change(&r)
		_, err := lifecycle.Repeats(r)
		assert.ErrorContains(t, err, word)
	}
}

func TestRhythmsOfTheSchools(t *testing.T) {
	for school, want := range map[string]int{"computed": 0, "dense": 3, "weekly": 7, "ten": 9, "fortnight": 14, "burst": 0, "": 0} {
		days, burst := lifecycle.Rhythm(school, 2)
		assert.Equal(t, want, days, school)
		assert.Equal(t, school == "burst", burst, school)
		if want > 0 {
			kept, _ := lifecycle.Rhythm(school, 10)
			assert.Equal(t, max(want, 10), kept, "%s never undercuts the label", school)
		}
	}
}

func TestNothingFallsInsideTheWaitBeforePicking(t *testing.T) {
	start := civil.Date(2026, 7, 1)
	s, err := lifecycle.Repeats(lifecycle.RepeatRequest{Start: start, GapMin: 5, GapMax: 5, Want: 3, Harvest: start.Add(6), Wait: 3})
	require.NoError(t, err)
	days := []int{}
	for _, d := range s.Days {
		days = append(days, d.Sub(start))
	}
	assert.Equal(t, []int{0, 6, 11}, days, "the second is moved to after picking, and the third follows it")
	assert.Contains(t, s.Notes[len(s.Notes)-1], "pick on 7 July first")
	rapid.Check(t, func(t *rapid.T) {
		gap := rapid.IntRange(1, 14).Draw(t, "gap")
		r := lifecycle.RepeatRequest{Start: start, GapMin: gap, GapMax: gap + rapid.IntRange(0, 7).Draw(t, "span"), Want: rapid.IntRange(1, 6).Draw(t, "want"), Burst: rapid.Bool().Draw(t, "burst"),
			Harvest: start.Add(rapid.IntRange(0, 40).Draw(t, "harvest")), Wait: rapid.IntRange(0, 14).Draw(t, "wait")}
		s, err := lifecycle.Repeats(r)
		require.NoError(t, err)
		require.Len(t, s.Days, r.Want)
		for i, d := range s.Days {
			left := r.Harvest.Sub(d)
			require.False(t, left > 0 && left < r.Wait, "day %d is %d days before picking and the wait is %d", i, left, r.Wait)
			if i > 0 {
				require.GreaterOrEqual(t, d.Sub(s.Days[i-1]), r.GapMin)
			}
		}
	})
}

func TestPlannedDaysAreHeldToWhatIsTrueNow(t *testing.T) {
	start := civil.Date(2026, 7, 1)
	on := func(days ...int) []civil.Day {
		out := []civil.Day{}
		for _, d := range days {
			out = append(out, start.Add(d))
		}
		return out
	}
	r := lifecycle.RepeatRequest{Start: start, GapMin: 5, Most: 6}
	require.NoError(t, lifecycle.Hold(on(0, 7, 14), r))
	require.NoError(t, lifecycle.Hold(nil, r))
	for word, change := range map[string]func(*lifecycle.RepeatRequest){
		"has gone by":           func(r *lifecycle.RepeatRequest) { r.Start = start.Add(1) },
		"most a season":         func(r *lifecycle.RepeatRequest) { r.Used = 4 },
		"before picking":        func(r *lifecycle.RepeatRequest) { r.Harvest, r.Wait = start.Add(9), 3 },
		"shortest gap of 8 day": func(r *lifecycle.RepeatRequest) { r.GapMin = 8 },
	} {
		now := r
		change(&now)
		err := lifecycle.Hold(on(0, 7, 14), now)
		assert.ErrorContains(t, err, word)
	}
	// What is planned holds at once.
	rapid.Check(t, func(t *rapid.T) {
		r := lifecycle.RepeatRequest{Start: start, GapMin: rapid.IntRange(1, 10).Draw(t, "gap"), Most: rapid.IntRange(1, 8).Draw(t, "most"), Want: rapid.IntRange(1, 6).Draw(t, "want"), Harvest: start.Add(rapid.IntRange(0, 30).Draw(t, "harvest")), Wait: rapid.IntRange(0, 10).Draw(t, "wait")}
		r.GapMax = r.GapMin + 5
		s, err := lifecycle.Repeats(r)
		require.NoError(t, err)
		require.NoError(t, lifecycle.Hold(s.Days, r))
	})
}
