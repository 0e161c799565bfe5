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

// What is written, by hand: an error of .05 lands by the background (.35) four times
// in five, else anywhere (one of two states); evidence counts three quarters.
func TestBayesByHand(t *testing.T) {
	e := small()
	written := func(p, err float64) float64 { return (1-err)*p + err*(.8*.35+.2*.5) }
	r := e.Rank(differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes"}})
	a, b := written(.85, .05), written(.12, .05)
	assert.InDelta(t, .75*10*math.Log10(a/b), r.Tilt[0].Decibans, 1e-9)
	odds := r.Candidates[0].P / r.Candidates[1].P
	assert.InDelta(t, math.Pow(a/b, .75), odds, 1e-9)
	// "think so": one mishap in nine more.
	think := 1 - .95*.9
	r = e.Rank(differential.Circumstances{}, []differential.Look{{Finding: "fleck", State: "yes", Certainty: "think"}})
	assert.InDelta(t, math.Pow(written(.85, think)/written(.12, think), .75), r.Candidates[0].P/r.Candidates[1].P, 1e-9)
	total := r.Unlisted.P
	for _, c := range r.Candidates {
		total += c.P
	}
	assert.InDelta(t, 1, total, 1e-9, "what is not in the book has its share")
}

func TestNothingLookedAtIsOpen(t *testing.T) {
	for _, looks := range [][]differential.Look{nil, {}} {
		r := engine.Rank(differential.Circumstances{Host: "rose"}, looks)
		assert.Equal(t, differential.Open, r.Verdict)
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
		p := make([]float64, len(engine.Base.Causes))
		sum := engine.Posterior(p, s, looks)
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
			assert.True(t, r.Candidates[0].P >= .7 && c.LabOnly == "" && c.Regulated == "")
			assert.Empty(t, r.Alarms, "an alarm blocks settled")
			assert.Empty(t, r.MustLook, "so does what has not been looked at")
		}
		for i, n := range r.Next {
			assert.GreaterOrEqual(t, n.Bits, 0.0)
			p := 0.0
			for _, o := range n.Outcomes {
				p += o.P
			}
			if i == 0 {
				assert.InDelta(t, 1, p, 1e-6, "the results of a look are all there is")
			}
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
	top := []string{}
	for _, l := range looks[:6] {
		top = append(top, l.Finding)
	}
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

// A second true state of one finding speaks for the cause that brings both, against
// any cause that has nothing to say of it.
func TestASecondTrueStateNeverLowersTheCauseThatBringsBoth(t *testing.T) {
	n := 0
	for _, c := range engine.Base.Causes {
		for id, said := range c.Findings {
			f := engine.Base.Finding(id)
			if !f.Many {
				continue
			}
			brings := []string{}
			bg := f.Background()
			for i, s := range f.States {
				if w, ok := said[s.ID]; ok && !s.Absent && w.P() > bg[i] {
					brings = append(brings, s.ID)
				}
			}
			if len(brings) < 2 {
				continue
			}
			n++
			one := []differential.Look{{Finding: id, State: brings[0]}}
			two := append(slices.Clone(one), differential.Look{Finding: id, State: brings[1]})
			p, q := posterior(differential.Circumstances{}, one), posterior(differential.Circumstances{}, two)
			at := slices.Index(engine.Base.Causes, c)
			for i, o := range engine.Base.Causes {
				if _, speaks := o.Findings[id]; !speaks {
					assert.GreaterOrEqual(t, q[at]-q[i], p[at]-p[i]-1e-9, "%s: %v, against %s", c.ID, brings, o.ID)
				}
			}
		}
	}
	assert.Greater(t, n, 10)
}

// What a grower tells may lean the ranking; alone it never settles, not even of a
// cause that names it as its confirming sign.
func TestAStoryAloneNeverSettles(t *testing.T) {
	asked := slices.DeleteFunc(slices.Clone(engine.Base.Findings), func(f *knowledge.Finding) bool { return f.How != "asked" })
	rapid.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(engine.Base.Causes).Draw(t, "cause")
		looks := []differential.Look{}
		for _, sign := range c.Confirms { // told, and nobody looked
			looks = append(looks, differential.Look{Finding: sign.Finding, State: sign.States[0], Instrument: differential.FromHistory})
		}
		for _, f := range asked { // the answers it brings most: the best a story can do
			best, at := 0.0, 0
			for s, p := range c.Chances(f) {
				if p > best {
					best, at = p, s
				}
			}
			if slices.ContainsFunc(looks, func(l differential.Look) bool { return l.Finding == f.ID }) {
				continue
			}
			if _, ok := c.Findings[f.ID]; ok || rapid.Bool().Draw(t, "also") {
				looks = append(looks, differential.Look{Finding: f.ID, State: f.States[at].ID})
			}
		}
		r := engine.Rank(setting(t), looks)
		assert.NotContains(t, []string{differential.Settled, differential.Group}, r.Verdict)
		assert.Empty(t, r.Stop)
	})
}

// What a grower told of, and the likely cause must have shown to an eye, is what to look
// at; valued as if nobody had told it, and no more asked once somebody looked.
func TestWhatWasOnlyToldAndMustBeSeenIsAskedForAnEye(t *testing.T) {
	set := differential.Circumstances{Host: "rose", Place: "garden", Month: 8}
	told := []differential.Look{
		{Finding: "spots", State: "feathery", Instrument: differential.FromHistory},
		{Finding: "main-sign", State: "spots"}, {Finding: "leaf-fall", State: "many"},
	}
	r := engine.Rank(set, told)
	require.Equal(t, "rose-black-spot", r.Leader)
	require.Equal(t, "spots", r.Next[0].Finding, "the verdict wants it looked at: so it is asked")
	untold := engine.Rank(set, told[1:])
	require.Equal(t, "spots", untold.Next[0].Finding)
	assert.Equal(t, untold.Next[0].Outcomes, r.Next[0].Outcomes)
	told[0].Instrument = ""
	for _, n := range engine.Rank(set, told).Next {
		assert.NotEqual(t, "spots", n.Finding)
	}
}

// What an answer is said to make of the list is what stands there once it is written.
func TestWhatALookIsSaidToDoIsWhatItDoes(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		set := setting(t)
		looks := draw(t, 6)
		r := engine.Rank(set, looks)
		if len(r.Next) == 0 {
			return
		}
		n := r.Next[0]
		o := rapid.SampledFrom(n.Outcomes).Draw(t, "answer")
		then := engine.Rank(set, append(slices.DeleteFunc(slices.Clone(looks), func(l differential.Look) bool { return l.Finding == n.Finding }), differential.Look{Finding: n.Finding, State: o.State}))
		if o.Top == "" {
			assert.InDelta(t, then.Unlisted.P, o.TopP, 1e-9)
			return
		}
		assert.InDelta(t, then.Candidates[0].P, o.TopP, 1e-9)
		// Of two that lie equally near, either may be named.
		if then.Candidates[0].P-then.Candidates[1].P > 1e-9 {
			assert.Equal(t, then.Leader, o.Top)
		}
	})
}

// The surer the error, the less a line says for the cause it speaks for most: a
// guess lifts it no higher than what one thinks, nor that than what one is sure of,
// nor an eye than the lens it takes. Of other causes nothing of the kind holds: a
// state taken for its neighbour lifts the neighbour's causes as the error grows.
func TestMoreErrorNeverGivesMoreCertainty(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := rapid.SampledFrom(engine.Base.Findings).Draw(t, "finding")
		l := differential.Look{Finding: f.ID, State: rapid.SampledFrom(f.States).Draw(t, "state").ID}
		l.Not = f.Many // of a state there, what is left out beside it has no certainty of its own
		bare := posterior(differential.Circumstances{}, nil)
		gains := func(sure, instrument string) []float64 {
			l.Certainty, l.Instrument = sure, instrument
			p := posterior(differential.Circumstances{}, []differential.Look{l})
			for i := range p {
				p[i] -= bare[i]
			}
			return p
		}
		const tenthOfDeciban = .023 // the rest of the list moves a little as well
		most, sure := 0, gains("sure", "")
		for i, g := range sure {
			if g > sure[most] {
				most = i
			}
		}
		was := math.Inf(1)
		for _, c := range []string{"sure", "think", "guess"} {
			now := gains(c, "")[most]
			assert.LessOrEqual(t, now, was+tenthOfDeciban, "%s %s %s", f.ID, l.State, c)
			if f.How == "lens" {
				assert.LessOrEqual(t, gains(c, "eye")[most], now+tenthOfDeciban, "%s %s %s by eye", f.ID, l.State, c)
			}
			was = now
		}
	})
}

func TestNotThereIsTheOtherSideOfThere(t *testing.T) {
	f := engine.Base.Findings[slices.IndexFunc(engine.Base.Findings, func(f *knowledge.Finding) bool { return f.ID == "touch" })]
	require.True(t, f.Many)
	lead := func(looks ...differential.Look) float64 {
		r := posterior(differential.Circumstances{Host: "rose"}, looks)
		i := slices.IndexFunc(engine.Base.Causes, func(c *knowledge.Cause) bool { return c.ID == "rose-leafhopper" })
		return r[i]
	}
	none := lead()
	assert.Greater(t, lead(differential.Look{Finding: "touch", State: "jumps"}), none)
	assert.Less(t, lead(differential.Look{Finding: "touch", State: "jumps", Not: true}), none)
	assert.Error(t, engine.Check(differential.Circumstances{}, []differential.Look{{Finding: "walkers", State: "many", Not: true}}), "one state at a time")
	assert.NoError(t, engine.Check(differential.Circumstances{}, []differential.Look{{Finding: "touch", State: "jumps"}, {Finding: "touch", State: "flies"}}))
	assert.Error(t, engine.Check(differential.Circumstances{}, []differential.Look{{Finding: "touch", State: "jumps"}, {Finding: "touch", State: "jumps", Not: true}}))
}
