package microscopy_test

import (
	"math"
	"math/rand/v2"
	"testing"

	"botanik/core/fault"
	"botanik/core/microscopy"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Worked by hand: 100 divisions over 250 µm are 2.5 µm each; half a division at both
// ends is 0.408 divisions, so 0.408 in 100 of the factor.
func TestAFactorByHand(t *testing.T) {
	f, err := microscopy.Calibrate([]microscopy.Reading{{100, 250}})
	require.NoError(t, err)
	assert.InDelta(t, 2.5, f.PerDivision, 1e-12)
	assert.InDelta(t, 2.5*.0040825, f.SD, 1e-6)
	assert.Empty(t, f.Warnings)
	f, err = microscopy.Calibrate([]microscopy.Reading{{100, 250}, {100, 254}, {100, 246}})
	require.NoError(t, err)
	assert.InDelta(t, 2.5, f.PerDivision, 1e-12)
	assert.InDelta(t, .04/math.Sqrt(3), f.SD, 1e-9, "their own spread is the larger")
	assert.InDelta(t, 2.5-4.302653*.04/math.Sqrt(3), f.Low, 1e-5, "Student's t of two degrees of freedom")
	f, err = microscopy.Calibrate([]microscopy.Reading{{10, 25}, {10, 28}})
	require.NoError(t, err)
	assert.Len(t, f.Warnings, 2, "short, and apart")
	px, err := microscopy.CalibrateClicks([]microscopy.Reading{{500, 100}})
	require.NoError(t, err)
	assert.InDelta(t, .2*2.1213/500, px.SD, 1e-7, "a click and a half at each end, in quadrature")
}

// 12 divisions over 10: the error of each is 0.408 divisions, in quadrature 5.3 in 100
// of the ratio; the natural logarithm of 1.2 is 0.1823, so 3.43 errors above 1.
func TestARatioByHand(t *testing.T) {
	r, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{12}, B: []float64{10}})
	require.NoError(t, err)
	assert.InDelta(t, 1.2, r.Ratio, 1e-12)
	rel := math.Sqrt(.16666666667/144 + .16666666667/100)
	assert.InDelta(t, 1.2*rel, r.SD, 1e-9)
	assert.InDelta(t, .99970, r.Above, 1e-5) // Φ(3.4303), from a table
	assert.True(t, r.Settled)
	assert.NotEmpty(t, r.Warnings, "one reading")
	assert.Equal(t, "sure", r.Certainty)
	px, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{12}, B: []float64{10}, Clicks: true})
	require.NoError(t, err)
	assert.InDelta(t, 1.2*2.12132*math.Sqrt(1/144.+1/100.), px.SD, 1e-5)
	assert.Equal(t, "guess", px.Certainty)
	near, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{10.5, 10.5}, B: []float64{10, 10}})
	require.NoError(t, err)
	assert.False(t, near.Settled)
	assert.InDelta(t, .8895, near.Above, 5e-5) // Φ(0.04879 / 0.039865) = Φ(1.2239)
	assert.Equal(t, 2, near.More)              // (1.6449/1.2239)²·2 = 3.61, so four in all
	line, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{10, 10}, B: []float64{10, 10}})
	require.NoError(t, err)
	assert.InDelta(t, .5, line.Above, 1e-12)
	assert.Equal(t, -1, line.More, "on the line no number of repeats tells")
	apart, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{10, 14, 18}, B: []float64{10, 10, 10}})
	require.NoError(t, err)
	assert.Contains(t, apart.Warnings[0], "disagree")
	assert.Greater(t, apart.SD, 1.4*.15)
}

func TestWhatCannotBeMeasured(t *testing.T) {
	for _, c := range []struct {
		r     microscopy.RatioRequest
		field string
	}{
		{microscopy.RatioRequest{B: []float64{1}}, "a"},
		{microscopy.RatioRequest{A: []float64{1}}, "b"},
		{microscopy.RatioRequest{A: []float64{0}, B: []float64{1}}, "a[0]"},
		{microscopy.RatioRequest{A: []float64{1}, B: []float64{math.NaN()}}, "b[0]"},
		{microscopy.RatioRequest{A: []float64{1}, B: []float64{math.Inf(1)}}, "b[0]"},
		{microscopy.RatioRequest{A: []float64{1}, B: []float64{1}, Line: -1}, "line"},
		{microscopy.RatioRequest{A: []float64{1}, B: []float64{1}, ObjectiveA: "10x", ObjectiveB: "40x"}, "objectiveB"},
		{microscopy.RatioRequest{A: []float64{1}, B: []float64{1}, ReadSD: -2}, "readSd"},
	} {
		_, err := microscopy.Compare(c.r)
		got := fault.From(err)
		require.NotEmpty(t, got, "%+v", c.r)
		assert.Equal(t, c.field, got[0].Field)
		assert.NotEmpty(t, got[0].Mend)
	}
	for _, list := range [][]microscopy.Reading{nil, {{0, 100}}, {{10, -1}}, {{math.NaN(), 1}}} {
		_, err := microscopy.Calibrate(list)
		assert.True(t, fault.Is(err), "%v", list)
	}
	assert.Empty(t, microscopy.Stale(30, false))
	assert.Contains(t, microscopy.Stale(400, false), "400 days")
	assert.Contains(t, microscopy.Stale(3, true), "calibrate anew")
}

// What is called an interval of 95 holds the true ratio 93 to 97 times in 100, whatever
// the lengths, the number of repeats and how much the thing itself varies.
func TestStatedIntervalsHold(t *testing.T) {
	rng := rand.New(rand.NewPCG(15, 1))
	for _, wobble := range []float64{0, .3, 1.5} { // sd of laying the scale on it, divisions
		for _, n := range []int{2, 3, 6, 12} {
			held, wrong, all := 0, 0, 4000
			for range all {
				a := 8 + 50*rng.Float64()
				truth := .6 + rng.Float64()
				b := a / truth
				read := func(v float64) []float64 {
					out := []float64{}
					for range n {
						out = append(out, math.Max(.5, v+wobble*rng.NormFloat64()+rng.Float64()-.5+rng.Float64()-.5))
					}
					return out
				}
				r, err := microscopy.Compare(microscopy.RatioRequest{A: read(a), B: read(b), Line: 1})
				require.NoError(t, err)
				if r.Low <= truth && truth <= r.High {
					held++
				}
				if r.Settled && r.Above > .5 != (truth > 1) {
					wrong++
				}
			}
			share := 100 * float64(held) / float64(all)
			t.Logf("wobble %.1f, %d repeats: %.1f in 100 held, %.2f in 100 settled on the wrong side", wobble, n, share, 100*float64(wrong)/float64(all))
			assert.GreaterOrEqual(t, share, 93.)
			assert.Less(t, float64(wrong)/float64(all), .05)
		}
	}
}

// 10 mm over 200 px are 0.05 mm a pixel; a click is off by 1.5 px at both ends.
func TestAPictureByHand(t *testing.T) {
	p, err := microscopy.Measure(microscopy.PhotoRequest{
		Known: []microscopy.Point{{100, 100}, {300, 100}}, Millimetres: 10,
		Lines: [][]microscopy.Point{{{0, 0}, {30, 40}}},
		Areas: [][]microscopy.Point{{{0, 0}, {200, 0}, {200, 100}, {0, 100}}},
	})
	require.NoError(t, err)
	assert.InDelta(t, .05, p.MmPerPixel, 1e-12)
	assert.InDelta(t, .05*1.5*math.Sqrt2/200, p.SD, 1e-12)
	assert.InDelta(t, 2.5, p.Lines[0].Value, 1e-12)
	assert.InDelta(t, 50, p.Areas[0].Value, 1e-9)
	assert.Empty(t, p.Warnings)
	slant, err := microscopy.Measure(microscopy.PhotoRequest{Known: []microscopy.Point{{0, 0}, {200, 0}}, Millimetres: 10, Across: []microscopy.Point{{0, 0}, {0, 150}}, AcrossMm: 10})
	require.NoError(t, err)
	assert.Contains(t, slant.Warnings[0], "33 in 100 different")
	for field, r := range map[string]microscopy.PhotoRequest{
		"known":       {Known: []microscopy.Point{{5, 5}, {5, 5}}, Millimetres: 3},
		"millimetres": {Known: []microscopy.Point{{5, 5}, {50, 5}}},
		"known[1]":    {Known: []microscopy.Point{{5, 5}, {5e6, 5}}, Millimetres: 3},
		"areas[0]":    {Known: []microscopy.Point{{5, 5}, {50, 5}}, Millimetres: 3, Areas: [][]microscopy.Point{{{1, 1}, {2, 2}}}},
	} {
		_, err := microscopy.Measure(r)
		got := fault.From(err)
		require.NotEmpty(t, got, field)
		assert.Equal(t, field, got[0].Field)
	}
}

// Clicks that are off as they are said to be leave the true length and area inside two
// standard deviations about 95 times in 100.
func TestErrorsOfAPictureHold(t *testing.T) {
	rng := rand.New(rand.NewPCG(15, 2))
	off := func(x, y float64) microscopy.Point {
		return microscopy.Point{X: x + 1.5*rng.NormFloat64(), Y: y + 1.5*rng.NormFloat64()}
	}
	lines, areas, all := 0, 0, 4000
	for range all {
		long, w, h := 80+300*rng.Float64(), 40+300*rng.Float64(), 40+200*rng.Float64()
		p, err := microscopy.Measure(microscopy.PhotoRequest{
			Known: []microscopy.Point{off(100, 100), off(100+long, 100)}, Millimetres: long * .05,
			Lines: [][]microscopy.Point{{off(200, 200), off(200+w, 200)}},
			Areas: [][]microscopy.Point{{off(500, 500), off(500+w, 500), off(500+w, 500+h), off(500, 500+h)}},
		})
		require.NoError(t, err)
		if math.Abs(p.Lines[0].Value-w*.05) < 1.96*p.Lines[0].SD {
			lines++
		}
		if math.Abs(p.Areas[0].Value-w*h*.0025) < 1.96*p.Areas[0].SD {
			areas++
		}
	}
	t.Logf("lengths %.1f, areas %.1f in 100", 100*float64(lines)/float64(all), 100*float64(areas)/float64(all))
	assert.InDelta(t, 95, 100*float64(lines)/float64(all), 2)
	assert.InDelta(t, 95, 100*float64(areas)/float64(all), 3)
}

// Two objectives, worked by hand as an oracle did: 40 divisions at 2.5 µm against 100 at
// 1.0 µm, each read to half a division at both ends (sd 0.408 division). The relative error
// is the root of (0.408/40)² + (0.408/100)², the ratio 1. In µm with one error for both it
// would be a third of that, and sure.
func TestARatioUnderTwoObjectives(t *testing.T) {
	in := microscopy.RatioRequest{A: []float64{40}, B: []float64{100}, ObjectiveA: "10x", ObjectiveB: "25x"}
	_, err := microscopy.Compare(in)
	require.ErrorContains(t, err, "factorA", "what mends it is said, and is not to turn both into µm")
	in.FactorA, in.FactorB = 2.5, 1
	r, err := microscopy.Compare(in)
	require.NoError(t, err)
	assert.InDelta(t, 1, r.Ratio, 1e-12)
	assert.InDelta(t, math.Hypot(.40825/40, .40825/100), r.SD, 1e-5)
	assert.InDelta(t, .5, r.Above, 1e-9)
	in.FactorSDA = .1 // four in a hundred
	worse, err := microscopy.Compare(in)
	require.NoError(t, err)
	assert.InDelta(t, math.Sqrt(r.SD*r.SD+.04*.04), worse.SD, 1e-5)
	for _, bad := range []microscopy.RatioRequest{{A: in.A, B: in.B, FactorA: 2.5}, {A: in.A, B: in.B, FactorA: 1e-320, FactorB: 1}, {A: in.A, B: in.B, ReadSDA: -1}} {
		_, err := microscopy.Compare(bad)
		assert.Error(t, err)
	}
	// An error of its own for each, under one objective.
	own, err := microscopy.Compare(microscopy.RatioRequest{A: []float64{10}, B: []float64{10}, ReadSDA: .3, ReadSDB: .4})
	require.NoError(t, err)
	assert.InDelta(t, .05, own.SD, 1e-9)
}

// One division is shorter under the stronger objective by as much as it is stronger. A
// factor that is another objective's is told; tubes and makers differ by less.
func TestWhichFactorsCanBeOfTwoObjectives(t *testing.T) {
	for marked, want := range map[string]float64{"40x": 40, "40 x/0.65": 40, "Plan 100": 100, "4X": 4, "2,5x": 2.5, "lens": 0, "": 0, "0.1x": 0} {
		p, ok := microscopy.Power(marked)
		assert.Equal(t, want, p, marked)
		assert.Equal(t, want > 0, ok, marked)
	}
	assert.False(t, microscopy.Apart(40, 2.504, 100, 2.504), "the review's: what was read under 40x kept for 100x")
	assert.True(t, microscopy.Apart(40, 2.504, 100, 1.002))
	assert.True(t, microscopy.Apart(40, 2.504, 100, 1.1), "a tenth off")
	assert.False(t, microscopy.Apart(40, 2.504, 100, 2.2))
	assert.True(t, microscopy.Apart(40, 2.5, 45, 2.5), "too like to be told apart")
	_, err := microscopy.Calibrate([]microscopy.Reading{{Divisions: 1e-320, Micrometres: 10}})
	require.Error(t, err, "no factor without end")
}
