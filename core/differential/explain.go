package differential

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"botanik/core/knowledge"
)

// said is a finding as answered, short for the tilt and whole for a sentence.
func (e *Engine) said(x looked) (short, said string) {
	f := e.reads[x.find].find
	words, none := []string{}, []string{}
	short = f.Short
	for _, l := range x.lines {
		st := f.States[l.row-e.reads[x.find].at]
		switch {
		case l.omitted:
		case l.Not:
			none = append(none, st.Name)
		case st.Absent:
			short = "no " + f.Short
			words = append(words, cmp.Or(st.Said, short))
		case st.Said != "":
			words = append(words, st.Said)
		default:
			words = append(words, f.Short+": "+st.Name)
		}
	}
	if len(words) == 0 {
		return "no " + f.Short, f.Short + ": not " + strings.Join(none, ", not ")
	}
	return short, strings.Join(words, ", ")
}

// weigh is what a finding as answered says for cause a against cause b, in decibans.
func (e *Engine) weigh(x looked, a, b int) float64 {
	sum := 0.0
	for _, l := range x.lines {
		sum += l.log[a] - l.log[b]
	}
	return decibans(temper * x.weight * sum)
}

// story reports whether all that is known of a finding is what the grower tells.
func (e *Engine) story(x looked) bool {
	return e.reads[x.find].find.How == "asked" || !slices.ContainsFunc(x.lines, func(l line) bool { return !l.omitted && l.Instrument != FromHistory })
}

func (e *Engine) tilt(a, b int, got []looked) ([]Weight, float64) {
	out, sum := make([]Weight, 0, len(got)), 0.0
	for _, x := range got {
		short, said := e.said(x)
		w := e.weigh(x, a, b)
		sum += w
		out = append(out, Weight{e.reads[x.find].find.ID, short, said, e.story(x), w})
	}
	slices.SortStableFunc(out, func(x, y Weight) int { return cmp.Compare(math.Abs(y.Decibans), math.Abs(x.Decibans)) })
	return out, sum
}

// candidate explains a cause against the background, and a follower against
// the leader.
func (e *Engine) candidate(i, lead int, p float64, got []looked) Candidate {
	c := e.Base.Causes[i]
	out := Candidate{Cause: c.ID, Name: c.Name, Kind: c.Kind, Group: c.Group, P: p, Regulate: c.Regulated != "", For: []Weight{}, Against: []Weight{}}
	for _, x := range got {
		short, said := e.said(x)
		r := &e.reads[x.find]
		sum := 0.0
		for _, l := range x.lines {
			sum += l.log[i] - math.Log(r.chance(r.bg, l))
			out.Confirm = out.Confirm || e.confirms(c, x, l)
		}
		w := Weight{r.find.ID, short, said, e.story(x), decibans(temper * x.weight * sum)}
		if w.Decibans > .5 {
			out.For = append(out.For, w)
		}
		if w.Decibans < -.5 {
			out.Against = append(out.Against, w)
		}
	}
	slices.SortStableFunc(out.For, func(x, y Weight) int { return cmp.Compare(y.Decibans, x.Decibans) })
	slices.SortStableFunc(out.Against, func(x, y Weight) int { return cmp.Compare(x.Decibans, y.Decibans) })
	out.Reason = reason(out, i == lead)
	return out
}

// Explain weighs looks for and against one cause, likely or not; false when the book
// has no such cause.
func (e *Engine) Explain(looks []Look, cause string) (Candidate, bool) {
	i := slices.IndexFunc(e.Base.Causes, func(c *knowledge.Cause) bool { return c.ID == cause })
	if i < 0 {
		return Candidate{}, false
	}
	return e.candidate(i, i, 0, e.resolve(looks)), true
}

// confirms reports whether a line is a confirming sign of a cause, seen with what it
// takes and for sure: what somebody guesses, thinks or was told confirms nothing.
func (e *Engine) confirms(c *knowledge.Cause, x looked, l line) bool {
	if l.omitted || l.Not || l.level != 0 || e.reads[x.find].find.How == "asked" {
		return false
	}
	return slices.ContainsFunc(c.Confirms, func(s knowledge.Sign) bool {
		return s.Finding == l.Finding && slices.Contains(s.States, l.State)
	})
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
