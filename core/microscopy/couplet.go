package microscopy

import (
	"fmt"
	"math"
	"slices"
	"sort"

	"gonum.org/v1/gonum/stat/distuv"
)

// next is the character that divides best what is left, by the information an
// answer is expected to bring.
func (k SlideKey) next(seen []Seen, p []float64) *Couplet {
	var best *Character
	bits := .01 // less is not worth a look
	for _, c := range k.Characters {
		if slices.ContainsFunc(seen, func(x Seen) bool { return x.Character == c.ID }) {
			continue
		}
		at := entropy(p)
		for _, a := range answersOf(c) {
			q, sum := k.given(c, a.ID, p)
			at -= sum * entropy(q)
		}
		if at > bits {
			best, bits = c, at
		}
	}
	if best == nil {
		return nil
	}
	out := k.couplet(best, p)
	out.Bits = bits
	return &out
}

// answersOf are the states of a character, or the two sides of its line.
func answersOf(c *Character) []SlideState {
	if c.Measure == nil {
		return c.States
	}
	return []SlideState{{"above", fmt.Sprintf("above %g", c.Measure.Line)}, {"below", fmt.Sprintf("below %g", c.Measure.Line)}}
}

// given is what an answer makes of the probabilities, and how likely it is.
func (k SlideKey) given(c *Character, answer string, p []float64) (q []float64, sum float64) {
	q = make([]float64, len(p))
	for i, s := range k.Species {
		if p[i] < outOfPlay {
			continue // it moves nothing
		}
		q[i] = p[i] * k.answers(s, c, answer)
		sum += q[i]
	}
	for i := range q {
		if sum > 0 {
			q[i] /= sum
		}
	}
	return q, sum
}

func (k SlideKey) couplet(c *Character, p []float64) Couplet {
	out := Couplet{Character: c.ID, Name: c.Name}
	for _, a := range answersOf(c) {
		q, sum := k.given(c, a.ID, p)
		if sum <= 0 {
			continue
		}
		at := Leaves{State: a.ID, Name: a.Name, P: sum, Species: []string{}}
		order := make([]int, len(q))
		for i := range q {
			order[i] = i
		}
		sort.SliceStable(order, func(i, j int) bool { return q[order[i]] > q[order[j]] })
		for _, i := range order {
			switch {
			case q[i] < .06:
			case len(at.Species) < 6:
				at.Species = append(at.Species, k.Species[i].Name)
			default:
				at.More++
			}
		}
		out.Leaves = append(out.Leaves, at)
	}
	return out
}

// answers is how likely a species gives an answer of a couplet.
func (k SlideKey) answers(s *Species, c *Character, state string) float64 {
	if c.Measure == nil {
		return k.likely(s, c, Seen{State: state})
	}
	r, known := s.Ranges[c.ID]
	if !known {
		return .5
	}
	// The share of its range above the line, read with the usual error.
	n, above := 6, 0.
	for i := range n {
		v := math.Log(r[0]) + (float64(i)+.5)/float64(n)*math.Log(r[1]/r[0])
		above += distuv.Normal{Mu: math.Log(c.Measure.Line), Sigma: measuredSD}.CDF(v) / float64(n)
	}
	above = wrongSure/2 + (1-wrongSure)*above
	if state == "above" {
		return above
	}
	return 1 - above
}

func entropy(p []float64) float64 {
	h := 0.
	for _, x := range p {
		if x > 0 {
			h -= x * math.Log2(x)
		}
	}
	return h
}
