package knowledge_test

import (
	"testing"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func ids(m []knowledge.Match) []string {
	out := []string{}
	for _, x := range m {
		out = append(out, x.Cause)
	}
	return out
}

func TestBrowse(t *testing.T) {
	b := herbarium.Embedded()
	for name, c := range map[string]struct {
		host     string
		seen     []string
		has, not []string
	}{
		"one sign":              {"", []string{"droppings=tar-spots"}, []string{"lace-bug"}, []string{"western-flower-thrips"}},
		"two signs together":    {"", []string{"film=powder", "wipe=powder-off"}, []string{"powdery-mildew"}, []string{"spray-residue"}},
		"a plant":               {"box", nil, []string{"box-blight", "box-caterpillar"}, []string{"rose-black-spot", "gooseberry-sawfly"}},
		"a plant and a sign":    {"rose", []string{"spots=feathery"}, []string{"rose-black-spot"}, []string{"scab"}},
		"background is no sign": {"", []string{"silk=dense"}, []string{"spiders"}, []string{"citrus-mealybug"}},
	} {
		t.Run(name, func(t *testing.T) {
			m, err := b.Browse(c.host, c.seen)
			require.NoError(t, err)
			assert.Subset(t, ids(m), c.has)
			for _, n := range c.not {
				assert.NotContains(t, ids(m), n)
			}
			for i := 1; i < len(m); i++ {
				assert.LessOrEqual(t, m[i].Weight, m[i-1].Weight, "likeliest first")
			}
		})
	}
	all, err := b.Browse("", nil)
	require.NoError(t, err)
	assert.Len(t, all, len(b.Causes))
	_, err = b.Browse("dandelion", []string{"spots", "spots=green", "ears=long"})
	assert.Len(t, fault.From(err), 4)
}
