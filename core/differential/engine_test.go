package differential_test

import (
	"math"
	"slices"
	"testing"

	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var engine = differential.NewEngine(herbarium.Embedded())

// two causes, three findings, numbers one can check by hand.
func small() *differential.Engine {
	f := func(id string) *knowledge.Finding {
		return &knowledge.Finding{ID: id, Name: id, Short: id, Part: "leaf", How: "eye", Minutes: 1, States: []knowledge.State{{ID: "yes", Background: "sometimes"}, {ID: "no", Background: "often", Absent: true}}}
	}
	c := func(id, group string, fs map[string]map[string]knowledge.Frequency) *knowledge.Cause {
		return &knowledge.Cause{ID: id, Name: id, Kind: "pest", Group: group, Commonness: "common", Hosts: map[string]string{"any": "usual"}, Findings: fs, Confirms: []knowledge.Sign{{Finding: "sure-sign", States: []string{"yes"}}}}
	}
	return differential.NewEngine(knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{
		c("a", "one", map[string]map[string]knowledge.Frequency{"fleck": {"yes": "usually"}, "sure-sign": {"yes": "always"}}),
		c("b", "two", map[string]map[string]knowledge.Frequency{"fleck": {"yes": "seldom"}, "sure-sign": {"yes": "never"}}),
	}, Findings: []*knowledge.Finding{f("fleck"), f("sure-sign"), f("idle")}}))
}

func TestBayesByHand(t *testing.T) {
	e := small()
	r := e.Rank(differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes"}})
	assert.InDelta(t, .85/(.85+.12), r.Candidates[0].P, 1e-9)
	assert.InDelta(t, 10*math.Log10(.85/.12), r.Tilt[0].Decibans, 1e-9)
	// "think so" mixes three quarters of the rate with a quarter of background .35.
	r = e.Rank(differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes", Certainty: "think"}})
	pa, pb := .75*.85+.25*.35, .75*.12+.25*.35
	assert.InDelta(t, pa/(pa+pb), r.Candidates[0].P, 1e-9)
	assert.Equal(t, differential.Working, r.Verdict)
	r = e.Rank(differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes"}, {Finding: "sure-sign", State: "yes"}})
	assert.Equal(t, differential.Settled, r.Verdict)
}

func TestNothingLookedAtIsOpen(t *testing.T) {
	for _, looks := range [][]differential.Look{nil, {}} {
		r := engine.Rank(differential.Circumstances{Host: "rose"}, looks)
		assert.Equal(t, differential.Open, r.Verdict)
		assert.False(t, r.NoneFits)
		assert.NotEmpty(t, r.Next, "it says what to look at first")
	}
}

func TestVirusAndRegulatedAreNeverSettled(t *testing.T) {
	virus := engine.Rank(differential.Circumstances{Host: "courgette", Place: "garden", Month: 7}, []differential.Look{{Finding: "yellowing", State: "mosaic"}, {Finding: "mottle-sides", State: "even"}, {Finding: "curl", State: "twisted"}, {Finding: "stunting", State: "yes"}, {Finding: "age-of-leaves", State: "new"}})
	assert.Equal(t, "mosaic-virus", virus.Leader)
	assert.NotEqual(t, differential.Settled, virus.Verdict)
	reg := engine.Rank(differential.Circumstances{Host: "calamondin", Place: "greenhouse"}, []differential.Look{{Finding: "mottle-sides", State: "uneven"}, {Finding: "fruit-end", State: "lopsided"}, {Finding: "stunting", State: "yes"}})
	assert.Equal(t, "citrus-greening", reg.Leader)
	assert.NotEqual(t, differential.Settled, reg.Verdict)
	assert.NotEmpty(t, reg.Alarms)
}

func TestAHelperAmongTheCandidatesIsCalledOut(t *testing.T) {
	r := engine.Rank(differential.Circumstances{Host: "bean", Place: "garden", Month: 7}, []differential.Look{{Finding: "walkers", State: "few"}, {Finding: "walker-spots", State: "no"}, {Finding: "prey-signs", State: "yes"}})
	require.NotEmpty(t, r.Candidates)
	if r.Leader != "predatory-mite" {
		assert.NotEmpty(t, r.Alarms)
	}
	sure := engine.Rank(differential.Circumstances{Host: "bean", Place: "garden", Month: 7}, []differential.Look{{Finding: "walkers", State: "few"}, {Finding: "walker-speed", State: "fast"}, {Finding: "walker-colour", State: "amber"}, {Finding: "prey-signs", State: "yes"}})
	assert.Equal(t, "predatory-mite", sure.Leader)
}

func draw(t *rapid.T, n int) []differential.Look {
	fs := engine.Base.Findings
	idx := rapid.Permutation(seq(len(fs))).Draw(t, "which")[:n]
	out := []differential.Look{}
	for _, i := range idx {
		out = append(out, differential.Look{Finding: fs[i].ID, State: fs[i].States[rapid.IntRange(0, len(fs[i].States)-1).Draw(t, "state")].ID, Certainty: rapid.SampledFrom([]string{"sure", "think", "guess"}).Draw(t, "sure")})
	}
	return out
}

func seq(n int) []int {
	out := make([]int, n)
	for i := range out {
		out[i] = i
	}
	return out
}

func setting(t *rapid.T) differential.Circumstances {
	return differential.Circumstances{Host: rapid.SampledFrom(engine.Base.Hosts).Draw(t, "host").ID, Place: rapid.SampledFrom(knowledge.Places).Draw(t, "place"), Month: rapid.IntRange(0, 12).Draw(t, "month"), South: rapid.Bool().Draw(t, "south")}
}

func posterior(s differential.Circumstances, looks []differential.Look) []float64 {
	p := make([]float64, len(engine.Base.Causes))
	engine.Posterior(p, s, looks)
	return p
}

func TestInvariances(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s := setting(t)
		looks := draw(t, rapid.IntRange(0, 9).Draw(t, "n"))
		p := posterior(s, looks)
		sum := 0.0
		for _, v := range p {
			sum += math.Exp(v)
		}
		assert.InDelta(t, 1, sum, 1e-9, "probabilities sum to one")
		mixed := rapid.Permutation(looks).Draw(t, "order")
		for i, v := range posterior(s, mixed) {
			assert.InDelta(t, p[i], v, 1e-9, "order never matters")
		}
		for i, v := range posterior(s, append(slices.Clone(looks), differential.Look{Finding: "no-such", State: "x"})) {
			assert.InDelta(t, p[i], v, 1e-12, "an unknown changes nothing")
		}
	})
}

func TestAFindingEqualInAllCausesChangesNothing(t *testing.T) {
	e := small()
	a, b := make([]float64, 2), make([]float64, 2)
	e.Posterior(a, differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes"}})
	e.Posterior(b, differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes"}, {Finding: "idle", State: "yes"}})
	assert.InDeltaSlice(t, a, b, 1e-12)
}

func TestRankNeverContradictsItself(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := engine.Rank(setting(t), draw(t, rapid.IntRange(1, 8).Draw(t, "n")))
		require.NotEmpty(t, r.Candidates)
		assert.Equal(t, r.Leader, r.Candidates[0].Cause)
		for i := 1; i < len(r.Candidates); i++ {
			assert.LessOrEqual(t, r.Candidates[i].P, r.Candidates[i-1].P+1e-12)
		}
		if r.Verdict == differential.Settled {
			c := engine.Base.Cause(r.Leader)
			assert.True(t, r.Candidates[0].P >= .9 && c.LabOnly == "" && c.Regulated == "")
		}
		for _, n := range r.Next {
			p := 0.0
			for _, o := range n.Outcomes {
				p += o.P
			}
			assert.InDelta(t, 1, p, 1e-6, "the results of a look are all there is")
			assert.GreaterOrEqual(t, n.Bits, 0.0)
		}
	})
}

func TestClustersCountOnce(t *testing.T) {
	s := differential.Circumstances{Host: "bean", Place: "garden", Month: 7}
	spots := differential.Look{Finding: "walker-spots", State: "yes"}
	many := differential.Look{Finding: "walkers", State: "many"}
	i := slices.IndexFunc(engine.Base.Causes, func(c *knowledge.Cause) bool { return c.ID == "two-spotted-mite" })
	j := slices.IndexFunc(engine.Base.Causes, func(c *knowledge.Cause) bool { return c.ID == "rust" })
	ahead := func(looks ...differential.Look) float64 {
		p := posterior(s, looks)
		return p[i] - p[j]
	}
	none, a, b, both := ahead(), ahead(spots), ahead(many), ahead(spots, many)
	a, b, both = a-none, b-none, both-none
	assert.Greater(t, both, max(a, b), "two signs say more than one")
	assert.True(t, math.Abs(both-(a+b/2)) < 1e-9 || math.Abs(both-(a/2+b)) < 1e-9, "one counts full, the other half: %g %g %g", a, b, both)
}

func TestAFirstImpressionAfterOtherLooksIsHalfHindsight(t *testing.T) {
	b := *engine.Base
	b.Findings = slices.Clone(b.Findings)
	at := slices.IndexFunc(b.Findings, func(f *knowledge.Finding) bool { return f.Fresh })
	require.GreaterOrEqual(t, at, 0)
	later := *b.Findings[at]
	later.Fresh = false
	b.Findings[at] = &later
	plain := differential.NewEngine(&b)
	worth := func(e *differential.Engine, looks ...differential.Look) float64 {
		for _, n := range e.Next(differential.Circumstances{Host: "bean"}, looks, len(b.Findings)) {
			if n.Finding == b.Findings[at].ID {
				return n.Score
			}
		}
		return 0
	}
	require.Positive(t, worth(engine))
	assert.Equal(t, worth(plain), worth(engine))
	after := differential.Look{Finding: "silk", State: "none"}
	assert.InDelta(t, worth(plain, after)/2, worth(engine, after), 1e-9)
}

func TestSplit(t *testing.T) {
	looks, err := engine.Split([]string{"two-spotted-mite", "rose-leafhopper"})
	require.NoError(t, err)
	top := []string{looks[0].Finding, looks[1].Finding, looks[2].Finding}
	assert.Contains(t, top, "touch", "touch it: hoppers jump")
	for _, bad := range [][]string{nil, {"rust"}, {"rust", "rust"}, {"rust", "dragon"}, {"rust", "drought", "perlite", "cochineal"}} {
		_, err := engine.Split(bad)
		assert.Error(t, err, "%v", bad)
	}
}

// Every look-alike pair of the herbarium has a look that splits it.
func TestEveryLookAlikePairCanBeSplit(t *testing.T) {
	for _, c := range engine.Base.Causes {
		for _, l := range c.LookAlikes {
			looks, err := engine.Split([]string{c.ID, l.Cause})
			require.NoError(t, err)
			best := 0.0
			for _, x := range looks {
				best = max(best, x.Divergence)
			}
			need := 1.5
			if c.Group == engine.Base.Cause(l.Cause).Group {
				need = .5 // treated the same; the plant names them, or a slide
			}
			assert.Greater(t, best, need, "%s and %s have no look that splits them", c.ID, l.Cause)
		}
	}
}
