package scouting

import (
	"fmt"
	"math"

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

// SequentialShare tests a share of units hit, 0 to 1. Errors name share.
func SequentialShare(share float64) (Sequential, error) {
	if !(share >= .01 && share <= .9) {
		return Sequential{}, fault.New("share", fmt.Sprintf("%g of the leaves is no threshold to test", share), "give a share from 0.01 to 0.9")
	}
	p0, p1 := bornePart*share, min(harmPart*share, .97)
	g := math.Log(p1 * (1 - p0) / (p0 * (1 - p1)))
	t := lines("hit", share, p0, p1, math.Log((1-p0)/(1-p1))/g, g)
	t.Most = min(2*mostOnce, max(mostOnce, int(math.Ceil(mostOnce*.1/share))))
	return t, nil
}

// SequentialMean tests pests a unit, clumped with k (Waters 1955). Errors name mean or k.
func SequentialMean(mean, k float64) (Sequential, error) {
	if !(mean > 0 && mean <= 10_000) {
		return Sequential{}, fault.New("mean", fmt.Sprintf("%g pests a unit is no threshold to test", mean), "give it above 0")
	}
	if !(k >= .05 && k <= 1000) {
		return Sequential{}, fault.New("k", fmt.Sprintf("%g is no clumping", k), "give k of the negative binomial, 0.05 to 1000; 0.8 is usual")
	}
	m0, m1 := bornePart*mean, harmPart*mean
	g := math.Log(m1 * (k + m0) / (m0 * (k + m1)))
	return lines("pests", mean, m0, m1, k*math.Log((k+m1)/(k+m0))/g, g), nil
}

func lines(of string, level, low, high, slope, g float64) Sequential {
	h := math.Log((1-risk)/risk) / g
	return Sequential{Of: of, Slope: slope, H0: -h, H1: h, Level: level, Borne: low, Harm: high, Least: leastBefore, Most: mostOnce}
}

// Standing is where a running count stands.
type Standing struct {
	N     int    `json:"n"`
	Sum   int    `json:"sum"`
	Says  string `json:"says" enum:"more,wait,act"`
	Least int    `json:"least" doc:"units at least that it would still take, were all of them clean or all of them hit"`
}

// Run follows a count unit by unit and stops where the test stops; what is counted
// beyond is looked at as well: a count that goes on is judged by all of it.
func (t Sequential) Run(counts []int) Standing {
	s := Standing{}
	for _, c := range counts {
		s.N++
		if t.Of == "hit" {
			c = min(c, 1)
		}
		s.Sum += c
	}
	s.Says, s.Least = t.at(s.N, s.Sum)
	return s
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
