package training_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/training"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Every kind of question has things to ask, one right answer among those to choose from, no
// answer twice, and a reason.
func TestEveryKindOfQuestionIsFair(t *testing.T) {
	a := training.Asker{E: engine}
	for _, kind := range training.Kinds {
		things := a.Things(kind)
		require.NotEmpty(t, things, kind)
		assert.NotEmpty(t, training.KindNames[kind])
		asked := 0
		for i := range 40 {
			q, ok := a.Question(things[(i*31)%len(things)], dice(uint64(i)))
			if !ok {
				continue
			}
			asked++
			ids := []string{}
			for _, o := range q.Options {
				require.NotEmpty(t, o.Text, q.Key)
				require.NotContains(t, ids, o.ID, q.Key)
				ids = append(ids, o.ID)
			}
			require.Contains(t, ids, q.Right, q.Key)
			require.NotEmpty(t, q.Why, q.Key)
			require.NotEmpty(t, q.Ask)
			require.Equal(t, kind, q.Kind)
		}
		assert.Greater(t, asked, 8, kind)
	}
	_, ok := a.Question("plate/dragon", dice(1))
	assert.False(t, ok)
	_, ok = a.Question("", dice(1))
	assert.False(t, ok)
}

// What is called right is right by what the program says elsewhere.
func TestTheRightAnswerIsRight(t *testing.T) {
	a := training.Asker{E: engine}
	ask := func(kind string, check func(q training.Question)) {
		n := 0
		for i, key := range a.Things(kind) {
			if n == 12 {
				return
			}
			if q, ok := a.Question(key, dice(uint64(i))); ok {
				n++
				check(q)
			}
		}
		assert.Positive(t, n, kind)
	}
	ask("split", func(q training.Question) {
		parts := strings.Split(q.Key, "/")
		looks, err := engine.Split(parts[1:])
		require.NoError(t, err)
		worth := func(id string) float64 {
			if i := slices.IndexFunc(looks, func(l differential.SplitLook) bool { return l.Finding == id }); i >= 0 {
				return looks[i].PerMinute
			}
			return 0
		}
		for _, o := range q.Options {
			require.LessOrEqual(t, worth(o.ID), worth(q.Right), q.Key)
		}
	})
	ask("helper", func(q training.Question) {
		kind := engine.Base.Cause(strings.Split(q.Key, "/")[1]).Kind
		require.Equal(t, kind == "helper", q.Right == "helper", q.Key)
	})
	ask("mix", func(q training.Question) {
		require.Len(t, q.Options, 4)
		require.Contains(t, q.Why, "More is not better")
	})
	ask("recount", func(q training.Question) {
		var before, after []int
		for i, into := range []*[]int{&before, &after} {
			for _, w := range strings.Split(strings.SplitN(q.Facts[i], ": ", 2)[1], ", ") {
				n := 0
				_, err := fmt.Sscan(w, &n)
				require.NoError(t, err)
				*into = append(*into, n)
			}
		}
		res, err := casework.EstimateEfficacy(casework.Recount{BeforeCounts: before, AfterCounts: after, Units: len(before)})
		require.NoError(t, err)
		require.Equal(t, res.Word, q.Right)
	})
	ask("unsafe", func(q training.Question) {
		c := engine.Base.Cause(strings.Split(q.Key, "/")[1])
		adv, err := remedy.Advise(engine.Base, c.ID, remedy.Situation{Date: "2026-07-15", Place: "garden"})
		require.NoError(t, err)
		require.NotEmpty(t, adv.Offers)
		require.NotNil(t, engine.Base.Remedy(q.Right))
		require.Contains(t, q.Why, "must not")
	})
	ask("plate", func(q training.Question) {
		require.Equal(t, strings.Split(q.Key, "/")[1], q.Right)
		require.NotEmpty(t, engine.Base.Cause(q.Plate).Drawing)
	})
	_ = knowledge.Places
}
