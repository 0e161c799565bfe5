package knowledge_test

import (
	"testing"

	"botanik/core/knowledge"

	"github.com/stretchr/testify/assert"
)

func TestADeskSaysWhatIsMetAndReportedWhereItIs(t *testing.T) {
	a, b, _, _, _, _, _, _ := sound()
	a.Regulated, a.Unreported = "it is for the authority", "Cut it out."
	a.MustNot = []knowledge.MustNot{{What: "any treatment from the desk", Why: "it is for the authority", Remedy: "hose"}, {What: "salt", Why: "it burns"}}
	b.Regulated = "it is reported everywhere"
	base := knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{a, b}})
	word := func(w knowledge.LocalWord) knowledge.Local {
		return knowledge.Local{Causes: map[string]knowledge.LocalWord{"a": w}}
	}
	free := base.At(word(knowledge.LocalWord{Report: "no"})).Cause("a")
	assert.Empty(t, free.Regulated)
	assert.Equal(t, "Cut it out.", free.Plain)
	assert.Len(t, free.MustNot, 1, "what else must not be done stays")
	assert.NotEmpty(t, base.Cause("a").Regulated, "the book itself is not changed")
	assert.NotEmpty(t, base.At(knowledge.Local{Causes: map[string]knowledge.LocalWord{"b": {Report: "no"}}}).Cause("b").Regulated)
	assert.Equal(t, "uncommon", base.At(word(knowledge.LocalWord{Here: "seldom"})).Cause("a").Commonness)
	b.Regulated = ""
	here := base.At(knowledge.Local{Causes: map[string]knowledge.LocalWord{"b": {Report: "yes"}}})
	assert.NotEmpty(t, here.Cause("b").Regulated)

	for name, l := range map[string]knowledge.Local{
		"a climate of its own":     {Climate: "lunar"},
		"a part of no world":       {Region: "Atlantis"},
		"a cause that is not here": {Causes: map[string]knowledge.LocalWord{"zz": {Here: "common"}}},
		"a word of its own":        {Causes: map[string]knowledge.LocalWord{"a": {Here: "maybe"}}},
		"reported by half":         {Causes: map[string]knowledge.LocalWord{"a": {Report: "perhaps"}}},
	} {
		assert.Error(t, l.Check(base), name)
	}
	b.Regulated = "it is reported everywhere"
	base = knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{a, b}})
	assert.ErrorContains(t, knowledge.Local{Causes: map[string]knowledge.LocalWord{"b": {Report: "no"}}}.Check(base), "reported everywhere")
	assert.NoError(t, knowledge.Local{Climate: "mild", Region: "Europe", Causes: map[string]knowledge.LocalWord{"a": {Report: "no", Here: "common"}}}.Check(base))
}

// What cannot be there weighs less and is never impossible; under a roof no climate
// counts, and what a desk calls common is so.
func TestWhatCannotBeThereWeighsLittle(t *testing.T) {
	c := &knowledge.Cause{ID: "a", Climates: []string{"tropical"}, Regions: []string{"Asia"}}
	far := knowledge.Local{Climate: "cold", Region: "Europe"}
	out, roof := far.Likely(c, false), far.Likely(c, true)
	assert.Greater(t, out, 0.0)
	assert.Less(t, out, roof)
	assert.Less(t, roof, 1.0)
	assert.Equal(t, 1.0, knowledge.Local{Climate: "tropical", Region: "Asia"}.Likely(c, false))
	assert.Equal(t, 1.0, knowledge.Local{}.Likely(c, false), "a desk that says nothing has the book")
	reg := *c
	reg.Regulated = "x"
	assert.Greater(t, far.Likely(&reg, true), roof, "the lists are for new arrivals")
	far.Causes = map[string]knowledge.LocalWord{"a": {Here: "common"}}
	assert.Equal(t, 1.0, far.Likely(c, false))
	far.Causes["a"] = knowledge.LocalWord{Here: "not here"}
	assert.Less(t, far.Likely(c, false), out)
	assert.Greater(t, far.Likely(c, false), 0.0)
}
