package knowledge_test

import (
	"slices"
	"testing"

	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
)

func TestTheOrderOfLookingIsThatOfTheTopics(t *testing.T) {
	b := herbarium.Embedded()
	list := b.InOrderOfLooking()
	assert.Len(t, list, len(b.Findings))
	for i := 1; i < len(list); i++ {
		x, y := slices.Index(knowledge.Topics, list[i-1].Topic), slices.Index(knowledge.Topics, list[i].Topic)
		assert.LessOrEqual(t, x, y)
		if x == y {
			assert.Less(t, slices.Index(b.Findings, list[i-1]), slices.Index(b.Findings, list[i]), "inside a topic as the files have them")
		}
	}
}

func TestAHouseHasAWordOnProductsAlone(t *testing.T) {
	b := herbarium.Embedded()
	last := 0
	for _, id := range b.PolicedRemedies() {
		r := b.Remedy(id)
		assert.Equal(t, "product", r.Kind, id)
		assert.GreaterOrEqual(t, r.Rung, last)
		last = r.Rung
	}
	assert.Less(t, last, 7, "what is only referred is not the house's to allow")
	assert.Len(t, knowledge.Rungs, 8)
}
