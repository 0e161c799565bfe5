package scouting

import (
	"fmt"
	"slices"

	"botanik/core/fault"
)

// ReferenceShares are the shares of leaf area, in per cent, of the drawn leaves a
// sample is matched with.
var ReferenceShares = []int{0, 1, 3, 5, 10, 15, 25, 40, 60, 80}

// Severity is the damage over the leaves that were matched.
type Severity struct {
	N       int     `json:"n"`
	Mean    float64 `json:"mean" doc:"per cent of leaf area, over all leaves, clean ones too"`
	Hit     int     `json:"hit" doc:"leaves with any"`
	OfHit   float64 `json:"ofHit" doc:"per cent, over the leaves that have any"`
	Word    string  `json:"word" enum:"none,light,moderate,heavy"`
	Index   float64 `json:"index" doc:"disease index over the reference shares as classes, 0 to 1"`
	Classes []int   `json:"classes" doc:"how many leaves at each reference share"`
}

// Words of a degree by per cent of leaf area (judgement: growth suffers from about a
// tenth, a plant from about a third).
const (
	moderateFrom = 5.
	heavyFrom    = 25.
)

// Match sums leaves matched each with a drawn one, in per cent. Errors name shares.
func Match(shares []int) (Severity, error) {
	if len(shares) == 0 || len(shares) > mostUnits {
		return Severity{}, fault.New("shares", fmt.Sprintf("%d leaves were matched", len(shares)), "hold one leaf or more, at most 1000, beside the drawn ones")
	}
	s := Severity{N: len(shares), Classes: make([]int, len(ReferenceShares))}
	sum := 0
	for i, p := range shares {
		at := slices.Index(ReferenceShares, p)
		if at < 0 {
			return Severity{}, fault.New(fmt.Sprintf("shares[%d]", i), fmt.Sprintf("%d per cent is no drawn leaf", p), fmt.Sprintf("use one of %v", ReferenceShares))
		}
		s.Classes[at]++
		sum += p
		if p > 0 {
			s.Hit++
		}
	}
	s.Mean = float64(sum) / float64(s.N)
	s.Index, _ = Index(s.Classes) // classes are counts of at least one leaf
	if s.Hit > 0 {
		s.OfHit = float64(sum) / float64(s.Hit)
	}
	switch {
	case s.Hit == 0:
		s.Word = "none"
	case s.Mean >= heavyFrom:
		s.Word = "heavy"
	case s.Mean >= moderateFrom:
		s.Word = "moderate"
	default:
		s.Word = "light"
	}
	return s, nil
}

// Index is the disease index Σ(class×count)/(n×top class), 0 to 1 (McKinney 1923):
// counts[i] units stand in class i, class 0 being clean. Errors name counts.
func Index(counts []int) (float64, error) {
	if len(counts) < 2 || len(counts) > 20 {
		return 0, fault.New("counts", fmt.Sprintf("%d classes", len(counts)), "give how many stand in each class, from clean to the worst: two to twenty")
	}
	n, sum := 0, 0
	for class, c := range counts {
		if c < 0 || c > mostCount {
			return 0, fault.New(fmt.Sprintf("counts[%d]", class), fmt.Sprintf("%d is not a count", c), "give a whole number from 0 to 100 000")
		}
		n += c
		sum += class * c
	}
	if n == 0 {
		return 0, fault.New("counts", "nothing was rated", "give at least one")
	}
	return float64(sum) / float64(n*(len(counts)-1)), nil
}
