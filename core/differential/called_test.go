package differential_test

import (
	"slices"
	"testing"

	"botanik/core/differential"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
)

func seen(pairs ...string) []differential.Look {
	out := []differential.Look{}
	for i := 0; i+1 < len(pairs); i += 2 {
		out = append(out, differential.Look{Finding: pairs[i], State: pairs[i+1]})
	}
	return out
}

func alarmed(r differential.Ranking, cause string) bool {
	return slices.ContainsFunc(r.Alarms, func(a differential.Alarm) bool { return a.Cause == cause })
}

// What the second reading of the book found let go: each is named, or called out, by the
// looks it was asked with.
func TestWhatMustNotBeLetGo(t *testing.T) {
	e := differential.NewEngine(herbarium.Embedded())
	rank := func(host string, month int, looks ...string) differential.Ranking {
		return e.Rank(differential.Circumstances{Host: host, Place: "garden", Month: month}, seen(looks...))
	}
	r := rank("rose", 7, "beetles", "metal", "beetle-stripes", "copper-wings", "petals", "eaten")
	assert.Equal(t, "metallic-beetle", r.Candidates[0].Cause, "copper wings and white tufts are the Japanese beetle")
	assert.True(t, alarmed(r, "metallic-beetle"))
	r = rank("rose", 6, "beetles", "metal", "beetle-stripes", "all-green", "petals", "eaten")
	assert.Equal(t, "rose-chafer", r.Candidates[0].Cause)

	for _, host := range []string{"orange", "mango", "guava", "peach", "nectarine", "persimmon", "loquat"} {
		r = rank(host, 8, "fruit-worm", "maggot", "main-sign", "flower-fruit")
		assert.True(t, alarmed(r, "fruit-fly"), "a maggot in %s", host)
		assert.NotEqual(t, "plum-moth", r.Candidates[0].Cause, "a maggot is no caterpillar: %s", host)
	}
	r = rank("peach", 8, "fruit-worm", "caterpillar", "main-sign", "flower-fruit")
	assert.False(t, alarmed(r, "fruit-fly"), "a caterpillar calls no fly")

	r = rank("pelargonium", 6, "stem-water", "milky", "spots", "round", "v-marks", "yes", "wilting", "lasting")
	assert.Equal(t, "pelargonium-blight", r.Candidates[0].Cause)
	assert.True(t, alarmed(r, "bacterial-wilt"), "while milky stands the one that is reported is not ruled out")
	assert.NotEqual(t, differential.Settled, r.Verdict)
	assert.False(t, alarmed(rank("pelargonium", 6, "stem-water", "clear", "spots", "round"), "bacterial-wilt"))
}
