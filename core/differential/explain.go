package differential

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"botanik/core/knowledge"
)

func (e *Engine) said(l looked) (short, said string) {
	f := e.Base.Findings[l.find]
	st := f.States[l.row-e.offset[l.find]]
	switch {
	case st.Said != "":
		return f.Short, st.Said
	case st.Absent:
		return "no " + f.Short, "no " + f.Short
	}
	return f.Short, f.Short + ": " + st.Name
}

func (e *Engine) weigh(l looked, a, b int) float64 {
	row := e.rows[l.row*nLevels+l.level]
	return decibans(l.weight * (row[a] - row[b]))
}

func (e *Engine) tilt(a, b int, got []looked) ([]Weight, float64) {
	out, sum := make([]Weight, 0, len(got)), 0.0
	for _, l := range got {
		short, said := e.said(l)
		w := e.weigh(l, a, b)
		sum += w
		out = append(out, Weight{l.Finding, short, said, w})
	}
	slices.SortStableFunc(out, func(x, y Weight) int { return cmp.Compare(math.Abs(y.Decibans), math.Abs(x.Decibans)) })
	return out, sum
}

// candidate explains a cause against the background, and a follower against
// the leader.
func (e *Engine) candidate(i, lead int, p float64, got []looked) Candidate {
	c := e.Base.Causes[i]
	out := Candidate{Cause: c.ID, Name: c.Name, Kind: c.Kind, Group: c.Group, P: p, Regulate: c.Regulated != "", For: []Weight{}, Against: []Weight{}}
	for _, l := range got {
		short, said := e.said(l)
		bg := e.Base.Findings[l.find].Background()[l.row-e.offset[l.find]]
		w := Weight{l.Finding, short, said, decibans(l.weight * (e.rows[l.row*nLevels+l.level][i] - math.Log(bg)))}
		if w.Decibans > .5 {
			out.For = append(out.For, w)
		}
		if w.Decibans < -.5 {
			out.Against = append(out.Against, w)
		}
		if l.level%3 < 2 && l.level < 3 && e.confirms(c, l) {
			out.Confirm = true
		}
	}
	slices.SortStableFunc(out.For, func(x, y Weight) int { return cmp.Compare(y.Decibans, x.Decibans) })
	slices.SortStableFunc(out.Against, func(x, y Weight) int { return cmp.Compare(x.Decibans, y.Decibans) })
	out.Reason = reason(out, i == lead)
	return out
}

func (e *Engine) confirms(c *knowledge.Cause, l looked) bool {
	for _, s := range c.Confirms {
		if s.Finding == l.Finding && slices.Contains(s.States, l.State) {
			return true
		}
	}
	return false
}

func reason(c Candidate, leads bool) string {
	list := func(ws []Weight, n int) string {
		words := []string{}
		for _, w := range ws[:min(n, len(ws))] {
			words = append(words, w.Said)
		}
		return strings.Join(words, ", ")
	}
	strong := len(c.Against) > 0 && c.Against[0].Decibans < -3
	switch {
	case len(c.For) == 0 && len(c.Against) == 0:
		return "nothing looked at yet speaks for or against it"
	case leads && strong:
		return "for: " + list(c.For, 2) + "; though: " + list(c.Against, 1)
	case leads:
		return "for: " + list(c.For, 3)
	case len(c.Against) > 0 && (strong || len(c.For) == 0):
		return "against: " + list(c.Against, 2) + ", and you looked"
	case len(c.For) > 0:
		return "for: " + list(c.For, 2)
	}
	return ""
}
