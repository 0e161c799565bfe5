package differential_test

import (
	"strings"
	"testing"

	"botanik/core/differential"

	"github.com/stretchr/testify/assert"
)

// What practitioners laid beside the program (review/jobs.md), by its number there: the words
// of the sample, and what it must and must not come to.
func TestWhatPractitionersLaidBesideIt(t *testing.T) {
	for _, c := range []struct {
		what, host, place string
		month             int
		looks             string // finding=state, with ?? for a guess and ? for think
		leads             string // or is not settled, where it begins with !
	}{
		{"A1: a guess confirms nothing", "grape", "garden", 7, "touch=flies insects=white-wings?? flecks=many", "!"},
		{"A1: nor does what somebody thinks", "grape", "garden", 7, "touch=flies insects=white-wings? flecks=many", "!"},
		{"A3: zigzag is not the harmless one's sign", "grape", "garden", 7, "flecks=many touch=jumps hopper-adult=zigzag hopper-young=spotted", "creeper-leafhopper"},
		{"A3: clear blotches are", "grape", "garden", 7, "flecks=many touch=jumps hopper-adult=blotched", "grape-leafhopper"},
		{"A4: the creeper on the wall", "virginia-creeper", "garden", 7, "flecks=many touch=jumps hopper-young=spotted", "creeper-leafhopper"},
		{"A9: old leaves that fade on a fruiting annual", "cucumber", "garden", 9, "yellowing=whole-old age-of-leaves=old insects=none spots=none new-growth=clean", "natural-ageing"},
		{"A14: red juice between the spines of a globe", "columnar-cactus", "indoors", 3, "fluff=axils squash=red-dye", "cochineal"},
		{"A15: grit that somebody took for an animal", "rose", "indoors", 3, "main-sign=lumps white-grains=glassy squash=grit", "perlite"},
	} {
		looks := []differential.Look{}
		for _, l := range strings.Fields(c.looks) {
			certainty := ""
			if x, guess := strings.CutSuffix(l, "??"); guess {
				l, certainty = x, "guess"
			} else if x, think := strings.CutSuffix(l, "?"); think {
				l, certainty = x, "think"
			}
			finding, state, _ := strings.Cut(l, "=")
			looks = append(looks, differential.Look{Finding: finding, State: state, Certainty: certainty})
		}
		s := differential.Circumstances{Host: c.host, Place: c.place, Month: c.month}
		assert.NoError(t, engine.Check(s, looks), c.what)
		r := engine.Rank(s, looks)
		if c.leads == "!" {
			assert.NotContains(t, differential.SureDegrees, r.Verdict, c.what)
		} else {
			assert.Equal(t, c.leads, r.Leader, c.what)
		}
	}
}
