package scouting_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"testing"

	"botanik/core/fault"
	"botanik/core/scouting"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat/distuv"
	"pgregory.net/rapid"
)

func TestSummariseWorked(t *testing.T) {
	s, err := scouting.Summarise([]int{0, 2, 4, 6, 8})
	require.NoError(t, err)
	assert.InDelta(t, 4, s.Mean, 1e-9)
	assert.InDelta(t, 10, s.Variance, 1e-9)
	assert.InDelta(t, 16.0/6, s.K, 1e-9)
	assert.InDelta(t, .8, s.Share, 1e-9)
	none, err := scouting.Summarise([]int{0, 0, 0, 0, 0, 0})
	require.NoError(t, err)
	assert.Zero(t, none.Low)
	assert.True(t, none.High > .3 && none.High < 4, "none on six leaves is not none at all: %g", none.High)
	one, err := scouting.Summarise([]int{3})
	require.NoError(t, err)
	assert.True(t, one.Low < 3 && one.High > 3)
}

// Newcombe (1998), Statistics in Medicine 17, table I; and of R's binom.test the help
// page's own example and three more.
func TestSharesAgainstPublishedTables(t *testing.T) {
	for _, c := range []struct {
		k, n         int
		wilson, both [2]float64
	}{
		{81, 263, [2]float64{.2553, .3662}, [2]float64{.2527, .3676}},
		{15, 148, [2]float64{.0624, .1605}, [2]float64{.0578, .1617}},
		{0, 20, [2]float64{0, .1611}, [2]float64{0, .1684}},
		{1, 29, [2]float64{.0061, .1718}, [2]float64{.0009, .1776}},
	} {
		lo, hi := scouting.Wilson(c.k, c.n)
		assert.InDelta(t, c.wilson[0], lo, 6e-5, "Wilson %d of %d", c.k, c.n)
		assert.InDelta(t, c.wilson[1], hi, 6e-5, "Wilson %d of %d", c.k, c.n)
		lo, hi = scouting.ClopperPearson(c.k, c.n)
		assert.InDelta(t, c.both[0], lo, 6e-5, "exact %d of %d", c.k, c.n)
		assert.InDelta(t, c.both[1], hi, 6e-5, "exact %d of %d", c.k, c.n)
	}
	lo, hi := scouting.ClopperPearson(682, 925)
	assert.InDelta(t, .7076683, lo, 1e-6)
	assert.InDelta(t, .7654066, hi, 1e-6)
	lo, hi = scouting.ClopperPearson(0, 10)
	assert.InDelta(t, 0, lo, 0)
	assert.InDelta(t, .3084971, hi, 1e-6)
}

func TestSampleSizesAndIndexWorked(t *testing.T) {
	// 2.5·4^-0.5/0.0625 = 20
	s, err := scouting.ForPrecision(4, .25, scouting.Taylor{A: 2.5, B: 1.5}, 12)
	require.NoError(t, err)
	assert.Equal(t, 20, s.N)
	assert.Equal(t, 8, s.More)
	assert.Contains(t, s.Text, "8 more would be enough")
	// At random (a = b = 1) the variance is the mean: n = 1/(m·D²).
	s, err = scouting.ForPrecision(2, .1, scouting.Taylor{A: 1, B: 1}, 60)
	require.NoError(t, err)
	assert.Equal(t, 50, s.N)
	assert.Contains(t, s.Text, "60 are enough")
	// (5·1 + 3·2 + 2·3) / (20·4)
	x, err := scouting.Index([]int{10, 5, 3, 2, 0})
	require.NoError(t, err)
	assert.InDelta(t, .2125, x, 1e-12)
	v, err := scouting.Match([]int{0, 0, 10, 25, 5})
	require.NoError(t, err)
	assert.InDelta(t, 8, v.Mean, 1e-12)
	assert.InDelta(t, 40./3, v.OfHit, 1e-12)
	assert.Equal(t, "moderate", v.Word)
	assert.InDelta(t, (4.+6+3)/(5*9), v.Index, 1e-12, "classes 0, 0, 4, 6 and 3 of nine")
}

// Lines of Wald's test worked by hand, formula by formula: of a share about 0.2 between
// 0.1 and 0.32, and of a mean about 5 between 2.5 and 8 at k = 0.8.
func TestLinesOfTheRunningTestWorked(t *testing.T) {
	s, err := scouting.SequentialShare(.2, scouting.Levels{})
	require.NoError(t, err)
	assert.InDelta(t, .19419, s.Slope, 1e-4)
	assert.InDelta(t, 1.52221, s.H1, 1e-4)
	assert.InDelta(t, -1.52221, s.H0, 1e-4)
	m, err := scouting.SequentialMean(5, .8, scouting.Levels{})
	require.NoError(t, err)
	// g = ln(8·3.3/(2.5·8.8)) = ln 1.2 = 0.182322; s = 0.8·ln(8.8/3.3)/g = 4.30374; h = ln 9/g = 12.05134
	assert.InDelta(t, 4.30374, m.Slope, 1e-4)
	assert.InDelta(t, 12.05134, m.H1, 1e-4)
	run := func(counts ...int) string { return s.Run(counts).Says }
	assert.Equal(t, "more", run(0, 0, 0, 0), "not before five")
	assert.Equal(t, "wait", run(0, 0, 0, 0, 0, 0, 0, 0), "8·0.194 > 1.52")
	assert.Equal(t, "act", run(1, 1, 0, 1, 3))
	assert.Equal(t, "more", run(1, 0, 0, 1, 0, 0))
	long := make([]int, 50)
	for i := range 10 {
		long[i*5] = 1
	}
	long = append(long, 0, 0, 0, 0, 0, 0, 1, 0, 0, 1)
	assert.Equal(t, "act", run(long...), "after sixty the nearer side: 12 of 60 above 0.194·60")
}

// pick draws clumped counts: Poisson about a gamma.
func pick(r *rand.Rand, n int, m, k float64) []int {
	g := distuv.Gamma{Alpha: k, Beta: k / m, Src: r}
	out := make([]int, n)
	for i := range out {
		if l := g.Rand(); l > 1e-9 {
			out[i] = int(distuv.Poisson{Lambda: l, Src: r}.Rand())
		}
	}
	return out
}

// The interval of the mean holds what it says on counts clumped as nobody told it: over
// means from 1 to 20, at each k and number of leaves.
func TestTheMeansIntervalHoldsOnClumpedCounts(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(3, 9))
	const draws = 400
	for _, k := range []float64{.5, 1, 3} {
		for _, n := range []int{5, 10, 20, 50} {
			in, all := 0, 0
			for _, m := range []float64{1, 2, 5, 10, 20} {
				for range draws {
					s, err := scouting.Summarise(pick(r, n, m, k))
					require.NoError(t, err)
					all++
					if s.Low <= m && m <= s.High {
						in++
					}
				}
			}
			at := 100 * float64(in) / float64(all)
			t.Logf("k %.1f, %2d leaves: %.1f in 100", k, n, at)
			// Of 2000 draws the figure itself lies within one either way.
			assert.True(t, at >= 92.5 && at <= 97.8, "k %.1f, %d leaves: %.1f", k, n, at)
		}
	}
}

// Wilson's holds on the average over shares; the exact one never less than 95.
func TestSharesIntervalsHold(t *testing.T) {
	for _, n := range []int{5, 10, 20, 50} {
		sum := 0.
		least := 1.
		const steps = 400
		for i := 1; i < steps; i++ {
			p := float64(i) / steps
			b := distuv.Binomial{N: float64(n), P: p}
			w, e := 0., 0.
			for k := range n + 1 {
				if lo, hi := scouting.ShareInterval(k, n); lo <= p && p <= hi {
					w += b.Prob(float64(k))
				}
				if lo, hi := scouting.ClopperPearson(k, n); lo <= p && p <= hi {
					e += b.Prob(float64(k))
				}
			}
			sum += w
			least = min(least, e)
		}
		at := 100 * sum / (steps - 1)
		t.Logf("%d: taken %.1f, exact at least %.1f", n, at, 100*least)
		assert.GreaterOrEqual(t, least, .95-1e-9)
		if n >= 10 {
			assert.InDelta(t, 95, at, 2, "%d", n)
		}
	}
}

// The mean from leaves with and without holds within its error on clumps of k 0.4 to 2.
func TestTheMeanFromAShareHolds(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(4, 4))
	in, all := 0, 0
	for _, k := range []float64{.5, .8, 1.5} {
		for _, m := range []float64{.5, 1, 3} {
			for range 300 {
				hit := 0
				for _, c := range pick(r, 30, m, k) {
					hit += min(c, 1)
				}
				x, err := scouting.UsualLine.Mean(hit, 30)
				require.NoError(t, err)
				all++
				if x.Low <= m && (m <= x.High || x.High == 0) {
					in++
				}
			}
		}
	}
	at := 100 * float64(in) / float64(all)
	t.Logf("%.1f in 100", at)
	assert.True(t, at >= 93 && at <= 99, "%.1f", at)
	none, err := scouting.UsualLine.Mean(0, 20)
	require.NoError(t, err)
	assert.True(t, none.Mean == 0 && none.High > 0 && none.High < 1)
	full, err := scouting.UsualLine.Mean(20, 20)
	require.NoError(t, err)
	assert.Contains(t, full.Text, "no more than many")
}

// The running test stops on the wrong side no oftener than it says, at both of its levels.
func TestTheRunningTestKeepsItsRisks(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(5, 6))
	const draws = 3000
	wrong := func(s scouting.Sequential, draw func() int, bad string) (share, mean float64) {
		n, units := 0, 0
		for range draws {
			counts := []int{}
			for {
				counts = append(counts, draw())
				if x := s.Run(counts); x.Says != "more" {
					units += x.N
					if x.Says == bad {
						n++
					}
					break
				}
			}
		}
		return float64(n) / draws, float64(units) / draws
	}
	for _, level := range []float64{.05, .1, .25, .5} {
		s, err := scouting.SequentialShare(level, scouting.Levels{})
		require.NoError(t, err)
		coin := func(p float64) func() int {
			return func() int {
				if r.Float64() < p {
					return 1
				}
				return 0
			}
		}
		a, na := wrong(s, coin(s.Borne), "act")
		b, nb := wrong(s, coin(s.Harm), "wait")
		t.Logf("share %.2f: act though borne %.3f (%.0f leaves), wait though not %.3f (%.0f)", level, a, na, b, nb)
		assert.LessOrEqual(t, max(a, b), .12, "a tenth, and what fifty leaves at most cost")
	}
	for _, level := range []float64{1, 5, 20} {
		s, err := scouting.SequentialMean(level, .8, scouting.Levels{})
		require.NoError(t, err)
		for _, k := range []float64{.8, 1.5} {
			a, na := wrong(s, func() int { return pick(r, 1, s.Borne, k)[0] }, "act")
			b, nb := wrong(s, func() int { return pick(r, 1, s.Harm, k)[0] }, "wait")
			t.Logf("mean %.0f, k %.1f: act though borne %.3f (%.0f leaves), wait though not %.3f (%.0f)", level, k, a, na, b, nb)
			assert.LessOrEqual(t, max(a, b), .12)
		}
	}
}

func TestWhatCannotBeCountedIsNamed(t *testing.T) {
	field := func(err error) string {
		l := fault.From(err)
		require.NotEmpty(t, l)
		return l[0].Field
	}
	_, err := scouting.Summarise(nil)
	assert.ErrorContains(t, err, "nothing was counted")
	_, err = scouting.Summarise([]int{1, -2})
	assert.Equal(t, "counts[1]", field(err))
	_, err = scouting.Summarise([]int{10_000_000})
	assert.ErrorContains(t, err, "10000000 is not a count")
	for want, c := range map[string]scouting.Count{
		"of":        {Leaves: [][]int{{1}}},
		"of[0]":     {Of: []string{"wings"}},
		"of[1]":     {Of: []string{"young", "young"}},
		"leaves[0]": {Of: []string{"young", "helpers"}, Leaves: [][]int{{1}}},
		"leaves[1]": {Of: []string{"pests"}, Leaves: [][]int{{1}, {-1}}},
		"leaves[2]": {Of: []string{"pests", "parasitised"}, Leaves: [][]int{{4, 4}, {0, 0}, {3, 4}}},
		"leaves[3]": {Quick: true, Of: []string{"pests"}, Leaves: [][]int{{1}, {0}, {1}, {2}}},
	} {
		assert.Equal(t, want, field(c.Check()), "%v", c)
	}
	assert.ErrorContains(t, scouting.Count{Of: []string{"pests", "young"}}.Check(), "together, or apart")
	for want, f := range map[string]func() error{
		"mean":      func() error { _, err := scouting.ForPrecision(0, .25, scouting.Usual, 0); return err },
		"precision": func() error { _, err := scouting.ForPrecision(1, 0, scouting.Usual, 0); return err },
		"a":         func() error { _, err := scouting.ForPrecision(1, .2, scouting.Taylor{B: 1}, 0); return err },
		"share":     func() error { _, err := scouting.SequentialShare(0, scouting.Levels{}); return err },
		"k":         func() error { _, err := scouting.SequentialMean(1, 0, scouting.Levels{}); return err },
		"hit":       func() error { _, err := scouting.UsualLine.Mean(3, 2); return err },
		"shares[1]": func() error { _, err := scouting.Match([]int{5, 7}); return err },
		"counts":    func() error { _, err := scouting.Index([]int{0, 0}); return err },
	} {
		assert.Equal(t, want, field(f()))
	}
}

func question(t *rapid.T) scouting.Question {
	q := scouting.Question{
		Kind: "pest", Month: rapid.IntRange(1, 12).Draw(t, "month"), BadYear: rapid.Bool().Draw(t, "bad"),
		Standard: rapid.SampledFrom([]string{"", "show", "food", "hedge"}).Draw(t, "standard"),
		Form:     rapid.SampledFrom([]string{"annual", "perennial", "woody"}).Draw(t, "form"),
	}
	n := rapid.IntRange(1, 30).Draw(t, "leaves")
	c := scouting.Count{Of: []string{"pests", "helpers"}}
	for range n {
		c.Leaves = append(c.Leaves, []int{rapid.SampledFrom([]int{0, 0, 1, 2, 5, 9, 30}).Draw(t, "pests"), rapid.SampledFrom([]int{0, 0, 0, 1, 2}).Draw(t, "helpers")})
	}
	q.Count = &c
	q.Threshold = scouting.Threshold{PerUnit: 5, Source: "house judgement"}
	if rapid.Bool().Draw(t, "share") {
		q.Threshold = scouting.Threshold{Share: .2, Source: "house judgement"}
	}
	if rapid.Bool().Draw(t, "before") {
		q.Before = []scouting.Past{{Days: 7, Mean: rapid.Float64Range(0, 20).Draw(t, "then"), Share: .3}}
	}
	return q
}

// How far a decision is towards treating.
var towards = map[string]int{scouting.Leave: 0, scouting.Watch: 1, scouting.More: 2, scouting.Treat: 3}

// One more leaf hit, as heavily as the hit ones are, never makes waiting more advised;
// one more helper never makes treating more advised; and the chance moves with them.
func TestMoreOfItNeverSpeaksForWaitingNorHelpersForSpraying(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		q := question(t)
		before, err := scouting.Decide(q)
		require.NoError(t, err)
		clean, most := -1, 1
		for i, row := range q.Count.Leaves {
			if row[0] == 0 {
				clean = i
			}
			most = max(most, row[0])
		}
		again := func(i, tally, n int) scouting.Decision {
			other := q
			c := *q.Count
			c.Leaves = append([][]int{}, q.Count.Leaves...)
			row := append([]int{}, c.Leaves[i]...)
			row[tally] = n
			c.Leaves[i] = row
			other.Count = &c
			d, err := scouting.Decide(other)
			require.NoError(t, err)
			return d
		}
		if clean >= 0 {
			hit := again(clean, 0, most)
			assert.GreaterOrEqual(t, *hit.Above, *before.Above-1e-6)
			if hit.Act != scouting.More && before.Act != scouting.More {
				assert.GreaterOrEqual(t, towards[hit.Act], towards[before.Act])
			}
		}
		helped := again(rapid.IntRange(0, len(q.Count.Leaves)-1).Draw(t, "where"), 1, 5)
		assert.LessOrEqual(t, *helped.Above, *before.Above+1e-6)
		if helped.Act != scouting.More && before.Act != scouting.More {
			assert.LessOrEqual(t, towards[helped.Act], towards[before.Act])
		}
	})
}

// A level of marks is never held against insects, nor the other way round.
func TestEachTallyAnswersForItself(t *testing.T) {
	marks := scouting.Threshold{Share: .25, Of: scouting.Marks, Source: "house judgement"}
	q := scouting.Question{Kind: "pest", Threshold: marks, Degree: "light", Count: &scouting.Count{Of: []string{"young"}, Leaves: [][]int{{9}, {9}, {9}, {9}, {9}, {9}, {9}, {9}, {9}, {9}}}}
	d, err := scouting.Decide(q)
	require.NoError(t, err)
	assert.Nil(t, d.Above)
	assert.Contains(t, d.Unfit, "speaks of marks; young were counted")
	q.Count = &scouting.Count{Of: []string{"young", "marks"}, Leaves: [][]int{{9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 0}, {9, 1}}}
	d, err = scouting.Decide(q)
	require.NoError(t, err)
	assert.Less(t, *d.Above, .2, "one leaf in ten is marked")
	assert.Equal(t, []int{9, 9, 9, 9, 9, 9, 9, 9, 9, 9}, q.Count.Held(scouting.Pests))
}

func FuzzACountOfAnyKindIsAnswered(f *testing.F) {
	f.Add([]byte{3, 0, 7}, uint8(0), 5.0, .2)
	f.Add([]byte{255, 255}, uint8(3), -1., math.NaN())
	f.Fuzz(func(t *testing.T, raw []byte, kinds uint8, per, share float64) {
		c := scouting.Count{Quick: kinds&1 > 0}
		for i, k := range scouting.TallyKinds {
			if kinds>>(i+1)&1 > 0 {
				c.Of = append(c.Of, k.ID)
			}
		}
		for w := max(1, len(c.Of)); len(raw) >= w && len(c.Leaves) < 60; raw = raw[w:] {
			row := []int{}
			for _, b := range raw[:w] {
				row = append(row, int(b)-2)
			}
			c.Leaves = append(c.Leaves, row)
		}
		d, err := scouting.Decide(scouting.Question{Kind: "pest", Count: &c, Threshold: scouting.Threshold{PerUnit: per, Share: share, Source: "x"}})
		if err != nil {
			assert.NotEmpty(t, fault.From(err))
			return
		}
		assert.NotEmpty(t, d.Act)
		assert.NotEmpty(t, d.Why)
		assert.False(t, strings.Contains(fmt.Sprint(d), "NaN"))
	})
}

// Lines worked by hand from Wald: p0 0.1, p1 0.3, alpha 0.05, beta 0.2. g = ln(27/7) =
// 1.34993, slope = ln(9/7)/g = 0.18617, h1 = ln(16)/g = 2.05385, h0 = -ln(4.75)/g = -1.15423.
func TestTheSequentialTestTakesLevelsOfItsOwn(t *testing.T) {
	s, err := scouting.SequentialShare(.2, scouting.Levels{Borne: .1, Harm: .3, Alpha: .05, Beta: .2, Least: 1})
	require.NoError(t, err)
	assert.InDelta(t, .18617, s.Slope, 1e-5)
	assert.InDelta(t, 2.0539, s.H1, 1e-4)
	assert.InDelta(t, -1.1542, s.H0, 1e-4)
	// It crossed upwards at the third and was counted on: both are said.
	st := s.Run([]int{1, 1, 1, 0, 0, 0, 0, 0, 0, 0})
	assert.Equal(t, "more", st.Says)
	require.NotNil(t, st.Crossed)
	assert.Equal(t, scouting.Crossing{N: 3, Says: "act"}, *st.Crossed)
	for field, v := range map[string]scouting.Levels{"borne": {Borne: .3}, "harm": {Harm: .1}, "alpha": {Alpha: .9}, "beta": {Beta: -1}, "least": {Least: 500}} {
		_, err := scouting.SequentialShare(.2, v)
		require.ErrorContains(t, err, field)
		_, err = scouting.SequentialMean(.2, .8, v)
		require.ErrorContains(t, err, field)
	}
}
