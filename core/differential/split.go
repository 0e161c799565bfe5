package differential

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"botanik/core/fault"
)

// SplitLook is a finding that tells some causes apart.
type SplitLook struct {
	Finding    string     `json:"finding"`
	Name       string     `json:"name"`
	Divergence float64    `json:"divergence"` // Jeffreys, nats, summed over pairs
	Minutes    float64    `json:"minutes"`
	PerMinute  float64    `json:"perMinute"`
	Expect     [][]string `json:"expect"` // per cause: the states it brings most
}

// Split ranks findings by how well they tell two or three causes apart, by
// Jeffreys divergence Σ(p−q)·ln(p/q) per minute. Errors: an unknown cause, or
// other than two or three of them.
func (e *Engine) Split(causes []string) ([]SplitLook, error) {
	var l fault.List
	if len(causes) < 2 || len(causes) > 3 {
		l.Add("causes", "a split takes two or three causes", "name two or three")
	}
	idx := []int{}
	for n, id := range causes {
		i, ok := e.cause[id]
		if !ok {
			l.Add(fmt.Sprintf("causes[%d]", n), fmt.Sprintf("%q is not a cause of the herbarium", id), "use an id from kb list causes")
			continue
		}
		if slices.Contains(idx, i) {
			l.Add(fmt.Sprintf("causes[%d]", n), "stands twice", "name different causes")
		}
		idx = append(idx, i)
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	out := []SplitLook{}
	for fi, f := range e.Base.Findings {
		d := 0.0
		for x, a := range idx {
			for _, b := range idx[x+1:] {
				for s := range f.States {
					p, q := e.alone[e.reads[fi].at+s][a], e.alone[e.reads[fi].at+s][b]
					d += (p - q) * math.Log(p/q)
				}
			}
		}
		if d < .05 {
			continue
		}
		look := SplitLook{Finding: f.ID, Name: f.Name, Divergence: d, Minutes: f.Minutes, PerMinute: d / (min(f.Minutes, 30) + lookOverhead)}
		for _, i := range idx {
			names := []string{}
			for s, st := range f.States {
				if e.p[e.reads[fi].at+s][i] >= .3 {
					names = append(names, st.Name)
				}
			}
			look.Expect = append(look.Expect, names)
		}
		out = append(out, look)
	}
	slices.SortFunc(out, func(a, b SplitLook) int {
		return cmp.Or(cmp.Compare(even(b.PerMinute), even(a.PerMinute)), cmp.Compare(a.Finding, b.Finding))
	})
	return out, nil
}
