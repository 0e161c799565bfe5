package casework_test

import (
	"testing"
	"time"

	"botanik/core/casework"
	"botanik/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func f(v float64) *float64 { return &v }

func TestJudgeWorkedValues(t *testing.T) {
	r, err := casework.Judge(casework.Recount{Before: 20, After: 2, Units: 10})
	require.NoError(t, err)
	assert.Equal(t, "simple", r.Method)
	assert.InDelta(t, .9, r.Reduction, 1e-9)
	assert.Equal(t, "better", r.Word)
	// Henderson-Tilton: 1 − (Ta·Cb)/(Tb·Ca) = 1 − (4·10)/(20·5) = 0.6.
	r, err = casework.Judge(casework.Recount{Before: 20, After: 4, CheckBefore: f(10), CheckAfter: f(5), Units: 10})
	require.NoError(t, err)
	assert.Equal(t, "Henderson-Tilton", r.Method)
	assert.InDelta(t, .6, r.Reduction, 1e-9)
	a, err := casework.Abbott(10, 40)
	require.NoError(t, err)
	assert.InDelta(t, .75, a, 1e-9)
}

func TestJudgeWords(t *testing.T) {
	for word, c := range map[string]casework.Recount{
		"better":      {Before: 30, After: 3, Units: 5},
		"worse":       {Before: 5, After: 30, Units: 10},
		"no change":   {Before: 20, After: 19, Units: 20},
		"cannot tell": {Before: 1, After: 1, Units: 2},
	} {
		r, err := casework.Judge(c)
		require.NoError(t, err)
		assert.Equal(t, word, r.Word, "%+v", r)
	}
}

func TestJudgeHoldsItsInterval(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r, err := casework.Judge(casework.Recount{Before: rapid.Float64Range(.1, 500).Draw(t, "b"), After: rapid.Float64Range(0, 500).Draw(t, "a"), Units: rapid.IntRange(1, 50).Draw(t, "n")})
		require.NoError(t, err)
		assert.LessOrEqual(t, r.Reduction, r.High+1e-9)
		assert.LessOrEqual(t, r.Low, r.High)
	})
}

func TestJudgeRefuses(t *testing.T) {
	for field, c := range map[string]casework.Recount{
		"before": {Before: 0, After: 1, Units: 5}, "after": {Before: 1, After: -1, Units: 5}, "units": {Before: 1, After: 1},
		"checkBefore": {Before: 1, After: 1, Units: 5, CheckAfter: f(1)}, "checkAfter": {Before: 1, After: 1, Units: 5, CheckBefore: f(1), CheckAfter: f(0)},
	} {
		_, err := casework.Judge(c)
		require.Error(t, err, field)
		assert.Equal(t, field, fault.From(err)[0].Field)
	}
}

func TestNextMoves(t *testing.T) {
	assert.Equal(t, "done", casework.Advise("better", true, 1, false).Move)
	assert.Equal(t, "repeat", casework.Advise("better", false, 1, false).Move)
	assert.Equal(t, "step up", casework.Advise("no change", false, 1, false).Move)
	assert.Equal(t, "switch", casework.Advise("no change", false, 1, true).Move)
	assert.Equal(t, "refer", casework.Advise("worse", false, 3, false).Move)
	assert.Equal(t, "bring back", casework.Advise("cannot tell", false, 1, false).Move)
}

func TestTheLifeOfACase(t *testing.T) {
	fa := casework.Facts{}
	assert.Equal(t, casework.Waiting, casework.Where(fa))
	fa.Looks = 3
	assert.Equal(t, casework.Bench, casework.Where(fa))
	assert.Error(t, casework.MayHandOver(fa))
	fa.Verdict, fa.NeedsReview = true, true
	assert.Equal(t, casework.Review, casework.Where(fa))
	assert.ErrorContains(t, casework.MayHandOver(fa), "advisor")
	fa.NeedsReview = false
	fa.Remedy, fa.NeedsMix, fa.NeedsDays = true, true, true
	assert.ErrorContains(t, casework.MayHandOver(fa), "amounts")
	fa.Mix = true
	assert.ErrorContains(t, casework.MayHandOver(fa), "days")
	fa.Days = true
	assert.NoError(t, casework.MayHandOver(fa))
	assert.Equal(t, casework.Ready, casework.Where(fa))
	fa.HandedOver = true
	assert.Equal(t, casework.Handed, casework.Where(fa))
	fa.Closed = true
	assert.Equal(t, casework.Closed, casework.Where(fa))
}

func TestADecidedStepIsDone(t *testing.T) {
	state := func(f casework.Facts, id string) string {
		for _, s := range casework.Steps(f) {
			if s.ID == id {
				return s.State
			}
		}
		return ""
	}
	assert.Equal(t, "open", state(casework.Facts{Looks: 2, Verdict: true}, "act"))
	assert.Equal(t, "done", state(casework.Facts{Looks: 2, Verdict: true, Act: true}, "act"))
	assert.Equal(t, "next", state(casework.Facts{Looks: 2, Verdict: true, Act: true}, "remedy"))
	assert.Equal(t, "done", state(casework.Facts{Looks: 2, Verdict: true, Remedy: true}, "act"), "whoever chose a remedy has decided")
	assert.Equal(t, "done", state(casework.Facts{Verdict: true, Refer: true}, "act"), "what is sent on is not weighed here")
	assert.Equal(t, "waits", state(casework.Facts{Verdict: true, NeedsReview: true}, "verdict"))
	assert.Equal(t, "shut", state(casework.Facts{}, "handover"))
}

func TestOnlyOneStepIsNext(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := rapid.Bool()
		fa := casework.Facts{Looks: rapid.IntRange(0, 4).Draw(t, "looks"), Verdict: b.Draw(t, "v"), NeedsReview: b.Draw(t, "r"), Remedy: b.Draw(t, "m"), NeedsMix: b.Draw(t, "nm"), Mix: b.Draw(t, "mx"), NeedsDays: b.Draw(t, "nd"), Days: b.Draw(t, "d"), Refer: b.Draw(t, "ref")}
		n := 0
		for _, s := range casework.Steps(fa) {
			if s.State == "next" {
				n++
			}
		}
		assert.LessOrEqual(t, n, 1)
	})
}

func TestWhenToAsk(t *testing.T) {
	day := time.Date(2026, 7, 4, 0, 0, 0, 0, time.UTC)
	assert.Equal(t, day.AddDate(0, 0, 21), casework.AskOn(day, []time.Time{day, day.AddDate(0, 0, 14)}, 7, false))
	assert.Equal(t, day.AddDate(0, 0, 10), casework.AskOn(day, nil, 0, false))
	assert.Equal(t, day.AddDate(0, 0, 30), casework.AskOn(day, nil, 0, true))
	w, late := casework.Due(day, day.AddDate(0, 0, 3))
	assert.Equal(t, "3 days late", w)
	assert.Equal(t, 3, late)
}

func TestWhatMayStillChange(t *testing.T) {
	advice := []string{"act", "remedy", "mix", "days"}
	records := []string{"intake", "look", "photo", "verdict", "review", "handover", "followup", "round", "undo"}
	for _, kind := range append(advice, records...) {
		assert.NoError(t, casework.MayChange(casework.Facts{}, kind), kind)
		assert.ErrorContains(t, casework.MayChange(casework.Facts{Closed: true}, kind), "closed", kind)
	}
	for _, kind := range advice {
		assert.ErrorContains(t, casework.MayChange(casework.Facts{HandedOver: true}, kind), "handed over", kind)
	}
	for _, kind := range records {
		assert.NoError(t, casework.MayChange(casework.Facts{HandedOver: true}, kind), kind)
	}
	for _, kind := range []string{"reopen", "close"} {
		assert.NoError(t, casework.MayChange(casework.Facts{Closed: true, HandedOver: true}, kind), "%s says itself what is wrong", kind)
	}
}
