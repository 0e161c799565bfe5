package microscopy

import (
	"cmp"
	"fmt"
	"math"

	"botanik/core/fault"

	"gonum.org/v1/gonum/stat"
	"gonum.org/v1/gonum/stat/distuv"
)

// RatioRequest asks how two lengths compare with a key's line. Read with the same scale
// under one objective, its factor cancels. Read under two, each length stays in divisions of
// its own scale and comes with that scale's factor: turned into µm first, the error of half a
// division would pass for half a micrometre.
type RatioRequest struct {
	A          []float64 `json:"a" maxItems:"50" doc:"the first length, repeat after repeat, in divisions or pixels"`
	B          []float64 `json:"b" maxItems:"50" doc:"the second"`
	ObjectiveA string    `json:"objectiveA,omitempty" maxLength:"40" doc:"under which the first was read"`
	ObjectiveB string    `json:"objectiveB,omitempty" maxLength:"40"`
	Line       float64   `json:"line,omitempty" doc:"of the key; 1 when left out"`
	ReadSD     float64   `json:"readSd,omitempty" doc:"how far one reading of either is off by its scale alone, in the unit it is given in; that of half divisions when left out"`
	ReadSDA    float64   `json:"readSdA,omitempty" doc:"the same for the first alone"`
	ReadSDB    float64   `json:"readSdB,omitempty" doc:"and for the second"`
	FactorA    float64   `json:"factorA,omitempty" doc:"µm a division under the first objective; both factors, or neither"`
	FactorB    float64   `json:"factorB,omitempty" doc:"µm a division under the second"`
	FactorSDA  float64   `json:"factorSdA,omitempty" doc:"how far the first factor is off, µm a division; 0 when left out"`
	FactorSDB  float64   `json:"factorSdB,omitempty"`
	Clicks     bool      `json:"clicks,omitempty" doc:"read in pixels, each end set by a click"`
}

// Ratio is a/b with how far it is known.
type Ratio struct {
	Ratio   float64 `json:"ratio"`
	SD      float64 `json:"sd"`
	Low     float64 `json:"low" doc:"95 of 100 such intervals hold the true one"`
	High    float64 `json:"high"`
	Above   float64 `json:"above" doc:"probability that it lies at or above the line"`
	Line    float64 `json:"line"`
	More    int     `json:"more" doc:"repeats of both that would likely settle it to 95 in 100; 0 when it is settled, -1 when no sensible number would"`
	Settled bool    `json:"settled"`

	Certainty string `json:"certainty" doc:"sure, think or guess: how sure one may be of the side of the line it lies on"`

	Text string `json:"text"`

	Warnings []string `json:"warnings"`
}

const (
	sureAt  = .95
	mostYet = 30 // repeats nobody takes more of
)

// oneRepeat is said of a length read once.
const oneRepeat = "One reading each says nothing of how far repeats lie apart: take a second."

// Compare works a ratio out. Relative errors add in quadrature; of repeats the mean is
// taken, with the error of the scale or their own spread, whichever is larger. Errors
// name a, b, line or objectiveB.
func Compare(r RatioRequest) (Ratio, error) {
	var l fault.List
	check := func(field string, list []float64) {
		if len(list) == 0 || len(list) > maxReadings {
			l.Add(field, fmt.Sprintf("%d readings cannot be", len(list)), fmt.Sprintf("measure it 1 to %d times", maxReadings))
		}
		for i, v := range list {
			if !(v > 0 && v <= 1e6) {
				l.Add(fmt.Sprintf("%s[%d]", field, i), fmt.Sprintf("%g is no length", v), "give what was read, above 0")
			}
		}
	}
	check("a", r.A)
	check("b", r.B)
	if r.Line == 0 {
		r.Line = 1
	}
	if !(r.Line > 0 && r.Line < 1e3) {
		l.Add("line", fmt.Sprintf("%g is no ratio of a key", r.Line), "give the key's own, like 1 or 1.5")
	}
	factors := r.FactorA != 0 || r.FactorB != 0
	if r.ObjectiveA != r.ObjectiveB && !factors {
		l.Add("objectiveB", fmt.Sprintf("the two were read under different objectives (%s and %s)", nameOr(r.ObjectiveA), nameOr(r.ObjectiveB)), "read both under one; or give both in divisions, with the factor of each objective (factorA, factorB)")
	}
	for _, x := range []struct {
		name string
		v    float64
	}{{"readSd", r.ReadSD}, {"readSdA", r.ReadSDA}, {"readSdB", r.ReadSDB}, {"factorSdA", r.FactorSDA}, {"factorSdB", r.FactorSDB}} {
		if !(x.v >= 0 && x.v < 1e4) {
			l.Add(x.name, fmt.Sprintf("%g cannot be", x.v), "leave it out for an eyepiece scale")
		}
	}
	if factors {
		for _, x := range []struct {
			name  string
			v, sd float64
		}{{"factorA", r.FactorA, r.FactorSDA}, {"factorB", r.FactorB, r.FactorSDB}} {
			if !(x.v >= leastRead && x.v <= 1e5) || x.sd >= x.v {
				l.Add(x.name, fmt.Sprintf("%g µm a division cannot be", x.v), "give what the calibration under that objective says; both factors, or neither")
			}
		}
	}
	if err := l.Err(); err != nil {
		return Ratio{}, err
	}
	switch {
	case r.ReadSD == 0 && r.Clicks:
		r.ReadSD = clickSD
	case r.ReadSD == 0:
		r.ReadSD = readSD
	}
	a, va, dfa := side(r.A, cmp.Or(r.ReadSDA, r.ReadSD))
	b, vb, dfb := side(r.B, cmp.Or(r.ReadSDB, r.ReadSD))
	out := Ratio{Ratio: a / b, Line: r.Line, Warnings: []string{}}
	rel := va/(a*a) + vb/(b*b)
	if factors { // relative errors of lengths and factors add in quadrature
		out.Ratio *= r.FactorA / r.FactorB
		fa, fb := r.FactorSDA/r.FactorA, r.FactorSDB/r.FactorB
		rel += fa*fa + fb*fb
	}
	out.SD = out.Ratio * math.Sqrt(rel)
	q, above := spreadOf(rel, va/(a*a), vb/(b*b), dfa, dfb)
	// On the scale of logarithms, on which a ratio is as far above as below.
	half := q * math.Sqrt(rel)
	out.Low, out.High = out.Ratio*math.Exp(-half), out.Ratio*math.Exp(half)
	out.Above = above(math.Log(out.Ratio/r.Line) / math.Sqrt(rel))
	out.Settled = max(out.Above, 1-out.Above) >= sureAt
	out.Certainty = Certainty(max(out.Above, 1-out.Above))
	if !out.Settled {
		out.More = more(math.Abs(math.Log(out.Ratio/r.Line)), math.Sqrt(rel), min(len(r.A), len(r.B)))
	}
	if min(len(r.A), len(r.B)) < 2 {
		out.Warnings = append(out.Warnings, oneRepeat)
	}
	for _, x := range []struct {
		name string
		list []float64
	}{{"first", r.A}, {"second", r.B}} {
		if m := mean(x.list); len(x.list) > 1 && stat.StdDev(x.list, nil) > max(2*r.ReadSD, .1*m) {
			out.Warnings = append(out.Warnings, fmt.Sprintf("The repeats of the %s length disagree by more than reading explains: is it the same thing each time?", x.name))
		}
	}
	out.Text = out.say()
	return out, nil
}

func nameOr(s string) string {
	if s == "" {
		return "none named"
	}
	return s
}

// side is the mean of repeats with its variance and the degrees of freedom of that:
// none are counted against it while the scale's own error is the larger.
func side(x []float64, read float64) (m, v, df float64) {
	m = mean(x)
	n := float64(len(x))
	v, df = read*read/n, math.Inf(1)
	if len(x) > 1 {
		if s := stat.Variance(x, nil) / n; s > v {
			v, df = s, n-1
		}
	}
	return m, v, df
}

// spreadOf is the quantile of a 95 % interval and the share above, of a relative error
// put together from two: normal where both are of the scale, else Student's by the
// degrees of freedom of Welch and Satterthwaite.
func spreadOf(rel, ra, rb, dfa, dfb float64) (q float64, above func(float64) float64) {
	df := rel * rel / (ra*ra/dfa + rb*rb/dfb)
	if math.IsInf(df, 1) || math.IsNaN(df) {
		n := distuv.Normal{Mu: 0, Sigma: 1}
		return n.Quantile(.975), n.CDF
	}
	t := distuv.StudentsT{Mu: 0, Sigma: 1, Nu: max(df, 1)}
	return t.Quantile(.975), t.CDF
}

// more is how many repeats of both would bring what was measured to 95 in 100, were it
// to stay where it is: the error falls with the root of their number.
func more(far, sd float64, n int) int {
	if far == 0 {
		return -1
	}
	z := distuv.Normal{Mu: 0, Sigma: 1}.Quantile(sureAt)
	need := int(math.Ceil(float64(n) * (z * sd / far) * (z * sd / far)))
	if need-n > mostYet {
		return -1
	}
	return max(1, need-n)
}

func (r Ratio) say() string {
	side, p := "above", r.Above
	if r.Above < .5 {
		side, p = "below", 1-r.Above
	}
	text := fmt.Sprintf("%.2f (%.2f to %.2f): %.0f in 100 %s %g.", r.Ratio, r.Low, r.High, math.Min(99, 100*p), side, r.Line)
	switch {
	case r.Settled:
	case r.More > 0:
		text += fmt.Sprintf(" %d more of each would likely settle it.", r.More)
	default:
		text += " It lies too near the line for measuring to tell: look for another character."
	}
	return text
}
