package scouting

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"botanik/core/fault"
)

// The sequential test (Wald 1947) is set up between a level that is surely borne and
// one that surely is not, below and above the threshold. The two factors and the risk
// are judgement: a desk counts ten to thirty leaves, not two hundred.
const (
	bornePart   = .5
	harmPart    = 1.6
	risk        = .1 // of stopping on the wrong side at either level
	leastBefore = 5  // units counted before it stops at all
	mostOnce    = 60 // and after which the nearer side is taken, of a share as many times more as it is under a tenth
)

// Sequential is a test set up: after n units, at or below Low(n) stop and wait, at or
// above High(n) stop and act.
type Sequential struct {
	Of    string  `json:"of" enum:"hit,pests" doc:"what runs up: units hit, or pests"`
	Slope float64 `json:"slope" doc:"s of the lines h0+s·n and h1+s·n"`
	H0    float64 `json:"h0" doc:"below 0"`
	H1    float64 `json:"h1"`
	Level float64 `json:"level" doc:"the threshold it is set about: a share, or pests a unit"`
	Borne float64 `json:"borne" doc:"the lower of the two levels it tells apart"`
	Harm  float64 `json:"harm" doc:"the upper"`
	Least int     `json:"least"`
	Most  int     `json:"most"`
}

// Levels are the two that a test tells apart, and the risks of stopping on the wrong side at
// each; what is zero is as a desk counts: half and 1.6 times the threshold, a tenth each.
type Levels struct {
	Borne float64 `json:"borne,omitempty" doc:"surely borne: a share or pests a unit, below the threshold; half of it when left out"`
	Harm  float64 `json:"harm,omitempty" doc:"surely not: above the threshold; 1.6 times it when left out"`
	Alpha float64 `json:"alpha,omitempty" doc:"risk of acting though it is borne, 0.001 to 0.4; 0.1 when left out"`
	Beta  float64 `json:"beta,omitempty" doc:"risk of waiting though it is not, 0.001 to 0.4; 0.1 when left out"`
	Least int     `json:"least,omitempty" doc:"units counted before it stops at all, 1 to 200; 5 when left out"`
}

// about fills in what a desk leaves out and refuses what is no test. Errors name borne, harm,
// alpha, beta or least.
func (v Levels) about(level, most float64) (Levels, error) {
	v.Borne, v.Harm = cmp.Or(v.Borne, bornePart*level), cmp.Or(v.Harm, min(harmPart*level, most))
	v.Alpha, v.Beta, v.Least = cmp.Or(v.Alpha, risk), cmp.Or(v.Beta, risk), cmp.Or(v.Least, leastBefore)
	var l fault.List
	if !(v.Borne > 0 && v.Borne < level) {
		l.Add("borne", fmt.Sprintf("%g does not lie between 0 and the threshold %g", v.Borne, level), "give the level that is surely borne, below the threshold")
	}
	if !(v.Harm > level && v.Harm <= most) {
		l.Add("harm", fmt.Sprintf("%g does not lie above the threshold %g", v.Harm, level), fmt.Sprintf("give the level that surely is not borne, up to %g", most))
	}
	for name, x := range map[string]float64{"alpha": v.Alpha, "beta": v.Beta} {
		if !(x >= .001 && x <= .4) {
			l.Add(name, fmt.Sprintf("%g is no risk to plan with", x), "give 0.001 to 0.4; 0.1 is usual")
		}
	}
	if v.Least < 1 || v.Least > 200 {
		l.Add("least", fmt.Sprintf("%d units", v.Least), "give 1 to 200; 5 is usual")
	}
	slices.SortFunc(l, func(a, b fault.Fault) int { return cmp.Compare(a.Field, b.Field) })
	return v, l.Err()
}

// SequentialShare tests a share of units hit, 0 to 1. Errors name share or a level.
func SequentialShare(share float64, v Levels) (Sequential, error) {
	if !(share >= .01 && share <= .9) {
		return Sequential{}, fault.New("share", fmt.Sprintf("%g of the leaves is no threshold to test", share), "give a share from 0.01 to 0.9")
	}
	v, err := v.about(share, .97)
	if err != nil {
		return Sequential{}, err
	}
	p0, p1 := v.Borne, v.Harm
	g := math.Log(p1 * (1 - p0) / (p0 * (1 - p1)))
	t := lines("hit", share, v, math.Log((1-p0)/(1-p1))/g, g)
	t.Most = min(2*mostOnce, max(mostOnce, int(math.Ceil(mostOnce*.1/share))))
	return t, nil
}

// SequentialMean tests pests a unit, clumped with k (Waters 1955). Errors name mean, k or a
// level.
func SequentialMean(mean, k float64, v Levels) (Sequential, error) {
	if !(mean > 0 && mean <= 10_000) {
		return Sequential{}, fault.New("mean", fmt.Sprintf("%g pests a unit is no threshold to test", mean), "give it above 0")
	}
	if !(k >= .05 && k <= 1000) {
		return Sequential{}, fault.New("k", fmt.Sprintf("%g is no clumping", k), "give k of the negative binomial, 0.05 to 1000; 0.8 is usual")
	}
	v, err := v.about(mean, math.MaxFloat64)
	if err != nil {
		return Sequential{}, err
	}
	m0, m1 := v.Borne, v.Harm
	g := math.Log(m1 * (k + m0) / (m0 * (k + m1)))
	return lines("pests", mean, v, k*math.Log((k+m1)/(k+m0))/g, g), nil
}

// lines are Wald's: log((1−β)/α)/g above and log((1−α)/β)/g below the slope.
func lines(of string, level float64, v Levels, slope, g float64) Sequential {
	return Sequential{Of: of, Slope: slope, H0: -math.Log((1-v.Alpha)/v.Beta) / g, H1: math.Log((1-v.Beta)/v.Alpha) / g, Level: level, Borne: v.Borne, Harm: v.Harm, Least: v.Least, Most: mostOnce}
}

// SequentialResult is where a running count stands.
type SequentialResult struct {
	N       int       `json:"n"`
	Sum     int       `json:"sum"`
	Says    string    `json:"says" enum:"more,wait,act"`
	Crossed *Crossing `json:"crossed,omitempty" doc:"where it first could have stopped; what was counted after it counts as well"`
	Least   int       `json:"least" doc:"units at least that it would still take, were all of them clean or all of them hit"`
}

// Run says where a count stands that was made unit by unit in this order. It is judged by all
// of it, as somebody does who counts on; Crossed is where it first could have stopped, as
// Wald's test would have.
func (t Sequential) Run(counts []int) SequentialResult {
	s := SequentialResult{}
	for _, c := range counts {
		s.N++
		if t.Of == "hit" {
			c = min(c, 1)
		}
		s.Sum += c
		if says, _ := t.at(s.N, s.Sum); s.Crossed == nil && says != "more" {
			s.Crossed = &Crossing{s.N, says}
		}
	}
	s.Says, s.Least = t.at(s.N, s.Sum)
	return s
}

// Crossing is where a running count first left the lines.
type Crossing struct {
	N    int    `json:"n" doc:"after so many units"`
	Says string `json:"says" enum:"wait,act"`
}

func (t Sequential) at(n, sum int) (says string, least int) {
	low, high := t.H0+t.Slope*float64(n), t.H1+t.Slope*float64(n)
	switch {
	case n >= t.Least && float64(sum) <= low:
		return "wait", 0
	case n >= t.Least && float64(sum) >= high:
		return "act", 0
	case n >= t.Most && float64(sum) < t.Slope*float64(n):
		return "wait", 0
	case n >= t.Most:
		return "act", 0
	}
	// Clean ones alone, or ones at twice the slope alone, whichever ends it sooner.
	clean := int(math.Ceil((float64(sum)-t.H0)/t.Slope)) - n
	per := max(2*t.Slope, 1)
	if t.Of == "hit" {
		per = 1
	}
	hit := t.Most - n
	if per > t.Slope {
		hit = int(math.Ceil((t.H1 + t.Slope*float64(n) - float64(sum)) / (per - t.Slope)))
	}
	return "more", max(1, t.Least-n, min(clean, hit, t.Most-n))
}
