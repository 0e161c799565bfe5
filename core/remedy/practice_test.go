package remedy_test

import (
	"testing"

	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTheHourOfSpraying(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct {
		school        string
		fungus, bloom bool
		say, never    string
	}{
		{"by-pest", false, false, "Late in the day", "morning"},
		{"by-pest", true, false, "morning", "evening"},
		{"evening", false, false, "Late in the day", "morning"},
		{"evening", true, false, "early enough that the leaves are dry before night", "morning"},
		{"morning", false, false, "morning", "Late"},
		{"morning", true, false, "morning", "Late"},
		{"by-pest", false, true, "late in the evening", "morning"},
		{"evening", false, true, "late in the evening", "morning"},
		{"morning", false, true, "before bees fly", "Late"},
		{"morning", true, true, "before bees fly", "Late"},
		{"evening", true, true, "when bees are home", "morning"},
	} {
		k := b.Cause(map[bool]string{true: "powdery-mildew", false: "two-spotted-mite"}[c.fungus])
		got := remedy.HourOf(b, k, b.Remedy("summer-oil"), remedy.Situation{Place: "garden", InBloom: c.bloom, Schools: map[string]string{"hour": c.school}})
		assert.Contains(t, got, c.say, "%+v", c)
		assert.NotContains(t, got, c.never, "%+v", c)
		if c.bloom {
			assert.Contains(t, got, "not onto open flowers", "%+v", c)
		}
	}
}

func TestWhatIsCutOff(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct{ cause, school, say string }{
		{"rose-black-spot", "by-cause", "tied bag"},
		{"rose-black-spot", "compost", "hot compost only"},
		{"mosaic-virus", "compost", "tied bag"},
		{"pelargonium-blight", "compost", "tied bag"},
		{"citrus-greening", "compost", "authority"},
		{"citrus-greening", "bag", "authority"},
	} {
		k := b.Cause(c.cause)
		require.NotNil(t, k, c.cause)
		assert.Contains(t, remedy.Disposal(k, c.school), c.say, "%s under %s", c.cause, c.school)
	}
	// Whatever the school: what lives on in a heap never gets onto one.
	for _, k := range b.Causes {
		if k.Class != "virus" && k.Class != "bacterium" && k.Regulated == "" {
			continue
		}
		for _, o := range b.School("infected-leaves").Options {
			text := remedy.Disposal(k, o.ID)
			assert.NotContains(t, text, "may go on", "%s under %s", k.ID, o.ID)
		}
	}
}

func TestDormantByTheHalfOfTheWorld(t *testing.T) {
	apple, bay := &knowledge.Host{Dormant: true}, &knowledge.Host{}
	for m := 1; m <= 12; m++ {
		assert.Equal(t, m == 12 || m <= 2, remedy.Dormant(apple, m, false), "north, month %d", m)
		assert.Equal(t, m >= 6 && m <= 8, remedy.Dormant(apple, m, true), "south, month %d", m)
		assert.False(t, remedy.Dormant(bay, m, false) || remedy.Dormant(nil, m, true))
	}
}

func TestWarmthOfAPlace(t *testing.T) {
	for place, want := range map[string]float64{"indoors": 20, "greenhouse": 10, "garden": 4, "balcony": 4} {
		assert.InDelta(t, want, remedy.Warmth(place, 4), 1e-9, place)
	}
}
