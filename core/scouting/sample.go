package scouting

import (
	"fmt"
	"math"

	"botanik/core/fault"
)

// Taylor is a power law of variance, s² = a·m^b (Taylor 1961). Usual holds for small
// sucking pests on leaves: general literature, approximate.
type Taylor struct {
	A float64 `json:"a" doc:"above 0"`
	B float64 `json:"b" doc:"1 at random, 2 when clumps grow with the mean"`
}

// Usual power law where none is known of a pest.
var Usual = Taylor{A: 2.5, B: 1.5}

// SampleSize is how many units give a mean to a stated precision.
type SampleSize struct {
	N    int    `json:"n"`
	More int    `json:"more" doc:"beyond those counted"`
	Text string `json:"text"`
}

// Precision is what a desk plans a count for: the standard error a quarter of the mean, as
// is usual where a decision hangs on it and no population is studied.
const Precision = .25

// ForPrecision is n = a·m^(b−2)/D² (Taylor; D is the standard error as a share of the
// mean, 0.05 to 1). Errors name mean, precision, a or b.
func ForPrecision(mean, d float64, law Taylor, counted int) (SampleSize, error) {
	var l fault.List
	if !(mean > 0 && mean <= mostCount) {
		l.Add("mean", fmt.Sprintf("%g pests a unit cannot be planned for", mean), "give the mean of a first count, above 0")
	}
	if !(d >= .05 && d <= 1) {
		l.Add("precision", fmt.Sprintf("%g is no precision", d), "give the standard error as a share of the mean, 0.05 to 1; 0.25 is usual")
	}
	if !(law.A > 0 && law.A < 1000) {
		l.Add("a", "is no factor of a power law", "give it above 0")
	}
	if !(law.B >= 0 && law.B <= 3) {
		l.Add("b", "is no power of variance", "give it from 0 to 3; it is mostly 1 to 2")
	}
	if err := l.Err(); err != nil {
		return SampleSize{}, err
	}
	n := math.Ceil(law.A*math.Pow(mean, law.B-2)/(d*d) - 1e-9)
	return sized(int(min(n, 1e6)), counted, fmt.Sprintf("for a mean to within %.0f in 100", 100*d)), nil
}

func sized(n, counted int, what string) SampleSize {
	s := SampleSize{N: n, More: max(0, n-counted)}
	switch s.More {
	case 0:
		s.Text = fmt.Sprintf("%d are enough %s.", counted, what)
	case 1:
		s.Text = "One more would be enough " + what + "."
	default:
		s.Text = fmt.Sprintf("%d more would be enough %s.", s.More, what)
	}
	return s
}

// FromShare turns a share of units hit into pests a unit by ln m = a + b·ln(−ln(1−p))
// (Kono and Sugino 1958; Gerrard and Chiang 1970).
type FromShare struct {
	A  float64 `json:"a"`
	B  float64 `json:"b"`
	SD float64 `json:"sd" doc:"of ln m about the line"`
}

// UsualK is the clumping the shipped line is drawn through, and the sequential test of
// counts is set up for (judgement; published k lie mostly between 0.3 and 3).
const UsualK = .8

// UsualLine is that line through the negative binomial with k = 0.8, from 1 to 20
// pests a unit at k 0.4 and 2; its scatter is how far those lie from it. It is no
// field count: a pest's own line is better.
var UsualLine = usualLine()

func usualLine() FromShare {
	hit := func(m, k float64) float64 { return 1 - math.Pow(1+m/k, -k) }
	x := func(p float64) float64 { return math.Log(-math.Log(1 - p)) }
	n, sx, sy, sxx, sxy := 0.0, 0.0, 0.0, 0.0, 0.0
	for lm := -3.; lm <= 3; lm += .1 {
		v := x(hit(math.Exp(lm), UsualK))
		n, sx, sy, sxx, sxy = n+1, sx+v, sy+lm, sxx+v*v, sxy+v*lm
	}
	f := FromShare{}
	f.B = (n*sxy - sx*sy) / (n*sxx - sx*sx)
	f.A = (sy - f.B*sx) / n
	sum, count := 0.0, 0.0
	for _, k := range []float64{.4, .8, 2} {
		for lm := -2.; lm <= 2.5; lm += .1 {
			d := lm - f.A - f.B*x(hit(math.Exp(lm), k))
			sum, count = sum+d*d, count+1
		}
	}
	f.SD = math.Sqrt(sum / count)
	return f
}

// MeanFromShare is a mean with its error, from leaves with and without.
type MeanFromShare struct {
	Share float64 `json:"share"`
	Mean  float64 `json:"mean" doc:"pests a unit; 0 when none was hit"`
	Low   float64 `json:"low" doc:"95 in 100, of the sample and of the line"`
	High  float64 `json:"high" doc:"0 when all were hit: then there is no upper end"`
	Text  string  `json:"text"`
}

// Mean of so many units hit. When all are hit a share says only that there are many.
// Errors name hit or total.
func (f FromShare) Mean(hit, total int) (MeanFromShare, error) {
	if total < 1 || total > mostUnits || hit < 0 || hit > total {
		return MeanFromShare{}, fault.New("hit", fmt.Sprintf("%d of %d cannot be", hit, total), "give how many of the units had any, from 0 to all of them")
	}
	at := func(p float64) float64 { return math.Exp(f.A + f.B*math.Log(-math.Log(1-p))) }
	lo, hi := ShareInterval(hit, total)
	out := MeanFromShare{Share: float64(hit) / float64(total)}
	half := math.Exp(1.96 * f.SD)
	if lo > 0 {
		out.Low = at(lo) / half
	}
	if hit == total {
		out.Mean, out.Text = at((float64(hit)-.5)/float64(total)), fmt.Sprintf("All %d are hit: a share tells no more than many; count them on a few.", total)
		return out, nil
	}
	if hit > 0 {
		out.Mean = at(out.Share)
	}
	// The two errors, of the sample and of the line, in quadrature on the logarithm.
	join := func(end float64) float64 {
		if out.Mean == 0 || end == 0 {
			return end * half
		}
		d := math.Log(end / out.Mean)
		return out.Mean * math.Exp(math.Copysign(math.Hypot(d, 1.96*f.SD), d))
	}
	if lo > 0 {
		out.Low = join(at(lo))
	}
	if out.High = join(at(hi)); hi >= 1 {
		out.High = 0
	}
	out.Text = fmt.Sprintf("about %.1f each (%.1f to %.1f), by the share", out.Mean, out.Low, out.High)
	return out, nil
}
