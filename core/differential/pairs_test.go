package differential_test

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// sets are the look-alikes every plant desk meets weekly. Inside a set each
// cause has to name each other with the look that splits the two.
var sets = map[string][]string{
	"pale flecks":            {"two-spotted-mite", "rose-leafhopper", "western-flower-thrips", "lace-bug", "lack-magnesium"},
	"specks that walk":       {"two-spotted-mite", "clover-mite", "predatory-mite"},
	"thrips":                 {"western-flower-thrips", "predatory-thrips"},
	"white things that fly":  {"greenhouse-whitefly", "rose-leafhopper", "citrus-mealybug"},
	"vine hoppers":           {"grape-leafhopper", "variegated-leafhopper", "creeper-leafhopper"},
	"white fluff":            {"citrus-mealybug", "cochineal", "woolly-aphid", "cottony-scale", "mealybug-ladybird", "perlite", "lime-crust"},
	"bumps":                  {"oleander-scale", "brown-soft-scale", "citrus-mealybug", "lenticels", "oedema"},
	"a scale on a slide":     {"latania-scale", "greedy-scale", "oleander-scale"},
	"a reddish scale, slide": {"oriental-scale", "red-scale"},
	"legs to count":          {"gooseberry-sawfly", "box-caterpillar"},
	"white cocoons":          {"cabbage-caterpillar", "cocooned-caterpillar"},
	"hopper or fungus":       {"rose-leafhopper", "leaf-spot"},
	"mite or fungus":         {"two-spotted-mite", "leaf-spot"},
	"rose spots":             {"rose-black-spot", "leaf-spot", "anthracnose", "downy-mildew", "spray-burn"},
	"films":                  {"powdery-mildew", "downy-mildew", "spray-residue", "natural-bloom"},
	"tomato leaf":            {"early-blight", "late-blight", "septoria", "bacterial-spot"},
	"tomato fruit":           {"blossom-end-rot", "early-blight", "sunscald", "cracking", "cat-facing", "stink-bug"},
	"twisted new growth":     {"mosaic-virus", "broad-mite", "green-aphid", "herbicide-drift", "leaf-roll"},
	"bronze":                 {"russet-mite", "late-blight", "sunscald", "lack-magnesium"},
	"edge burn":              {"salt-burn", "lack-potassium", "drought", "lack-boron", "mosaic-virus"},
	"wilting":                {"root-rot", "drought", "vine-weevil-grub", "root-mealybug"},
	"our own hands":          {"spray-burn", "alcohol-chill", "copper-russet", "sulfur-injury"},
}

func split(c *knowledge.Cause, other string) string {
	for _, l := range c.LookAlikes {
		if l.Cause == other {
			return l.Split
		}
	}
	return ""
}

func TestEverySetTheDeskMeetsIsSplitOnBothSides(t *testing.T) {
	b := herbarium.Embedded()
	for name, ids := range sets {
		for _, x := range ids {
			c := b.Cause(x)
			require.NotNil(t, c, x)
			for _, y := range ids {
				if x != y {
					assert.NotEmpty(t, split(c, y), "%s: %s does not name %s", name, x, y)
				}
			}
		}
	}
}

// divergence is what one look is expected to say between two causes, in
// decibans, taken from both sides (half of Jeffreys' divergence).
func divergence(f *knowledge.Finding, x, y *knowledge.Cause) float64 {
	a, b := x.Chances(f), y.Chances(f)
	d := 0.0
	for i := range a {
		d += (a[i] - b[i]) * math.Log10(a[i]/b[i])
	}
	return 10 * d / 2
}

// A sentence that splits two look-alikes is only as good as a finding that
// carries it: without one the engine could not follow the advice it prints.
func TestEveryLookAlikeTreatedDifferentlyHasALookThatSplits(t *testing.T) {
	b := herbarium.Embedded()
	weak := []string{}
	pairs := 0
	for _, x := range b.Causes {
		for _, l := range x.LookAlikes {
			y := b.Cause(l.Cause)
			if x.ID > y.ID || x.Group == y.Group {
				continue
			}
			pairs++
			best, by := 0.0, ""
			for _, f := range b.Findings {
				if d := divergence(f, x, y); d > best && f.ID != "main-sign" {
					best, by = d, f.ID
				}
			}
			if best < 5 {
				weak = append(weak, fmt.Sprintf("%s / %s: at best %.1f dB by %s", x.ID, y.ID, best, by))
			}
		}
	}
	slices.Sort(weak)
	t.Logf("%d pairs treated differently", pairs)
	assert.Empty(t, weak)
}

// On a slide, the figures alone tell the armored scales of the desk's key.
func TestASlideTellsTheScalesApart(t *testing.T) {
	b := herbarium.Embedded()
	key := []string{"oleander-scale", "latania-scale", "greedy-scale", "oriental-scale", "red-scale", "san-jose-scale"}
	for i, x := range key {
		for _, y := range key[i+1:] {
			sum := 0.0
			for _, f := range b.Findings {
				if f.Where == "slide" {
					sum += divergence(f, b.Cause(x), b.Cause(y))
				}
			}
			assert.Greater(t, sum, 6.0, "%s and %s", x, y)
		}
	}
}
