package differential_test

import (
	"testing"

	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
)

// Where a desk is moves what comes first, never what is seen to be there; and what
// an authority need not hear of raises no alarm.
func TestWhereADeskIsMovesTheRanking(t *testing.T) {
	b := herbarium.Embedded()
	at := func(l knowledge.Local, cause string, s differential.Circumstances, looks ...differential.Look) (float64, differential.Ranking) {
		r := differential.NewEngine(b.At(l)).Rank(s, looks)
		for _, c := range r.Candidates {
			if c.Cause == cause {
				return c.P, r
			}
		}
		return 0, r
	}
	see := func(f, s string) differential.Look { return differential.Look{Finding: f, State: s, Certainty: "sure"} }
	bed := differential.Circumstances{Host: "courgette", Place: "garden", Month: 7}
	wilt := []differential.Look{see("main-sign", "wilting"), see("hole-frass", "wet")}
	home, _ := at(knowledge.Local{Region: "North America", Climate: "cold"}, "squash-borer", bed, wilt...)
	away, _ := at(knowledge.Local{Region: "Europe", Climate: "mild"}, "squash-borer", bed, wilt...)
	assert.Greater(t, home, away)

	tree := differential.Circumstances{Host: "apple", Place: "garden", Month: 6}
	burnt := []differential.Look{see("main-sign", "wilting"), see("blackened", "crook")}
	alarm := func(l knowledge.Local) bool {
		_, r := at(l, "fire-blight", tree, burnt...)
		for _, a := range r.Alarms {
			if a.Cause == "fire-blight" && a.Kind == differential.AlarmRegulated {
				return true
			}
		}
		return false
	}
	assert.True(t, alarm(knowledge.Local{}))
	assert.False(t, alarm(knowledge.Local{Causes: map[string]knowledge.LocalWord{"fire-blight": {Report: "no"}}}))
	assert.True(t, alarm(knowledge.Local{Region: "Australia and New Zealand"}), "a new arrival is what the lists are for")
}

// What lives below a leaf is not settled from above: two marks on the upper side are
// one sign seen twice, and the leaf was never turned over (review/advice.md, 7).
func TestNothingOnALeafIsSettledBeforeItWasTurnedOver(t *testing.T) {
	see := func(f, s string) differential.Look {
		return differential.Look{Finding: f, State: s, Certainty: "sure"}
	}
	e := differential.NewEngine(herbarium.Embedded())
	above := e.Rank(differential.Circumstances{Host: "cucumber", Place: "greenhouse", Month: 7}, []differential.Look{see("yellowing", "angular"), see("spots", "angular")})
	assert.NotEqual(t, differential.Settled, above.Verdict)
	assert.NotEqual(t, differential.Group, above.Verdict)
	assert.NotEmpty(t, above.MustLook)
}
