package differential_test

import (
	"slices"
	"testing"

	"botanik/core/differential"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The orchid of the review: scale with every sign of it, and a glassy foul patch beside.
func orchid() (differential.Circumstances, []differential.Look) {
	return differential.Circumstances{Host: "orchid", Place: "indoors", Month: 2}, []differential.Look{
		{Finding: "main-sign", State: "lumps"}, {Finding: "bumps", State: "domes"}, {Finding: "sticky", State: "yes"},
		{Finding: "squash", State: "clear"}, {Finding: "scrape", State: "whole"}, {Finding: "spots", State: "glassy"}, {Finding: "smell", State: "rot"},
	}
}

func TestWhatIsLeftOverIsNamedAndNothingIsSettled(t *testing.T) {
	at, looks := orchid()
	r := engine.Rank(at, looks)
	left := engine.LeftOver(at, looks, []string{"brown-soft-scale"})
	require.NotEmpty(t, left)
	assert.Contains(t, []string{"spots", "smell"}, left[0].Finding)
	assert.NotContains(t, differential.SureDegrees, r.Verdict)
	assert.Empty(t, engine.LeftOver(at, looks, []string{"brown-soft-scale", "soft-rot"}), "a second trouble explains it")
	sound := slices.DeleteFunc(slices.Clone(looks), func(l differential.Look) bool { return l.Finding == "spots" || l.Finding == "smell" })
	assert.Empty(t, engine.LeftOver(at, sound, []string{"brown-soft-scale"}))
	unsure := slices.Clone(looks)
	for i := range unsure {
		unsure[i].Certainty = "think"
	}
	assert.Empty(t, engine.LeftOver(at, unsure, []string{"brown-soft-scale"}), "only what is sure is held against anything")
	assert.Empty(t, engine.LeftOver(at, looks, nil))
	assert.Empty(t, engine.LeftOver(at, looks, []string{"no-such"}))
}

// What comes with a pest as a rule is its company, and caps nothing.
func TestCompanyIsNeverLeftOver(t *testing.T) {
	at := differential.Circumstances{Host: "rose", Place: "garden", Month: 6}
	for _, l := range []differential.Look{{Finding: "wipe", State: "sooty-off"}, {Finding: "mummies", State: "some"}, {Finding: "helpers", State: "ladybird"}} {
		for _, x := range engine.LeftOver(at, []differential.Look{l}, []string{"green-aphid"}) {
			assert.Fail(t, "left over", "%v", x)
		}
	}
}

func TestNothingIsSettledWhileSomethingIsLeftOver(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := setting(t)
		looks := draw(t, rapid.IntRange(1, 9).Draw(t, "n"))
		r := engine.Rank(s, looks)
		if len(r.LeftOver) > 0 {
			assert.NotContains(t, differential.SureDegrees, r.Verdict)
			assert.Empty(t, r.Stop)
		}
		mixed := rapid.Permutation(looks).Draw(t, "order")
		assert.Equal(t, r.LeftOver, engine.Rank(s, mixed).LeftOver, "order never matters")
		for _, x := range r.LeftOver {
			assert.NotEmpty(t, x.Names)
			more := engine.LeftOver(s, looks, []string{r.Leader, x.By[0]})
			assert.False(t, slices.ContainsFunc(more, func(y differential.LeftOver) bool { return y.Finding == x.Finding && y.State == x.State }), "what would show it explains it")
		}
	})
}
