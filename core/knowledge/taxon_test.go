package knowledge_test

import (
	"strings"
	"testing"

	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestOneTaxonOfAName(t *testing.T) {
	for name, want := range map[string]string{
		"Tetranychus urticae": "Tetranychus urticae species", "Panonychus ulmi and citri": "Panonychus genus", "Grapholita funebrana and G. molesta": "Grapholita genus",
		"Tobamovirus": "Tobamovirus genus", "Coccinellidae": "Coccinellidae family", "Pucciniales": "Pucciniales order", "Isopoda": "Isopoda ", "Peronosporaceae": "Peronosporaceae family",
		"Pythium and Rhizoctonia": "", "Phytophthora and others": "", "Phytophthora cinnamomi and others": "", "cucumber mosaic and others": "", "Thaumetopoea, Euproctis, Orgyia": "", "Operophtera brumata, Lymantria dispar": "", "Grapholita funebrana and X. molesta": "", "": "",
	} {
		got, rank, ok := knowledge.Taxon(name)
		assert.Equal(t, want != "", ok, name)
		if ok {
			assert.Equal(t, want, got+" "+rank, name)
		}
	}
}

// Whatever the herbarium calls something, what is made of it is one name or none.
func TestEveryNameOfTheHerbariumIsOneTaxonOrNone(t *testing.T) {
	b, err := herbarium.Load("")
	require.NoError(t, err)
	one := 0
	for _, k := range b.Causes {
		name, _, ok := knowledge.Taxon(k.Scientific)
		if ok {
			one++
			assert.LessOrEqual(t, len(strings.Fields(name)), 3, k.Scientific)
			assert.NotContains(t, name, ",")
			assert.NotContains(t, name+" ", " and ")
			assert.True(t, strings.HasPrefix(k.Scientific, strings.Fields(name)[0]))
		}
	}
	assert.Greater(t, one, 150)
}
