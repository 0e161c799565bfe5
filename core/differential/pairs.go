package differential

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/knowledge"
)

const (
	pairShown  = 6.0 // decibans ahead of the best single cause before two are spoken of
	pairOdd    = .2  // two troubles on one plant against one (judgement)
	pairHand   = .5  // where one opens the door to the other: mould on an injury, a pest on a starved plant
	pairCommon = 1.0 // those that come together as a rule: honeydew and sooty mould, a helper and its prey, wet roots and gnats
)

// together is how much more or less often two kinds of trouble are met at once
// than by chance, as a factor on the product of their priors; all judgement.
func together(a, b *knowledge.Cause) float64 {
	is := func(c *knowledge.Cause, groups ...string) bool { return slices.Contains(groups, c.Group) }
	either := func(f func(x, y *knowledge.Cause) bool) bool { return f(a, b) || f(b, a) }
	switch {
	case either(func(x, y *knowledge.Cause) bool { return x.Kind == "helper" && y.Kind == "pest" }),
		either(func(x, y *knowledge.Cause) bool { return x.ID == "sooty-mould" && y.Kind == "pest" }),
		either(func(x, y *knowledge.Cause) bool { return is(x, "gnats") && is(y, "too wet", "soil rots") }),
		either(func(x, y *knowledge.Cause) bool { return x.ID == "ants" && y.Kind == "pest" }):
		return pairCommon
	case either(func(x, y *knowledge.Cause) bool {
		return (x.Kind == "injury" || x.Kind == "disorder") && y.Kind != "harmless" && y.Kind != "helper"
	}):
		return pairHand
	}
	return pairOdd
}

// pairs looks for two causes at once among the dozen likeliest and those that
// explain single looks best: P = 1−(1−p1)(1−p2) for a present state; reported when
// ahead of the best single by 6 decibans.
func (e *Engine) pairs(k *reckoning) []Pair {
	pick := map[int]bool{}
	for _, i := range k.idx[:min(12, len(k.idx))] {
		pick[i] = true
	}
	for _, x := range k.got {
		for _, l := range x.lines {
			if l.omitted {
				continue
			}
			best, at := math.Inf(-1), -1
			for i := range k.prior {
				if v := l.log[i]*2 + k.prior[i]; v > best {
					best, at = v, i
				}
			}
			pick[at] = true
		}
	}
	list := make([]int, 0, len(pick))
	for i := range pick {
		list = append(list, i)
	}
	slices.Sort(list)
	single := math.Inf(-1)
	for i := range k.prior {
		s := k.prior[i]
		for _, x := range k.got {
			for _, l := range x.lines {
				s += temper * x.weight * l.log[i]
			}
		}
		single = max(single, s)
	}
	out := []Pair{}
	for x, a := range list {
		for _, b := range list[x+1:] {
			ca, cb := e.Base.Causes[a], e.Base.Causes[b]
			if e.groups[a] == e.groups[b] || ca.Kind == "harmless" || cb.Kind == "harmless" {
				continue
			}
			s := k.prior[a] + k.prior[b] + math.Log(together(ca, cb))
			for _, got := range k.got {
				s += temper * got.weight * e.both(got, a, b)
			}
			if d := decibans(s - single); d >= pairShown {
				out = append(out, Pair{[2]string{ca.ID, cb.ID}, [2]string{ca.Name, cb.Name}, d})
			}
		}
	}
	slices.SortStableFunc(out, func(a, b Pair) int { return cmp.Compare(b.Decibans, a.Decibans) })
	return out[:min(3, len(out))]
}

// both is the log chance of a finding as answered when two causes are at work.
func (e *Engine) both(x looked, a, b int) float64 {
	r := &e.reads[x.find]
	p := make([]float64, len(r.bg))
	sum := 0.0
	for s, st := range r.find.States {
		row := e.p[r.at+s]
		p[s] = 1 - (1-row[a])*(1-row[b])
		if st.Absent {
			p[s] = row[a] * row[b]
		}
		sum += p[s]
	}
	if !r.find.Many {
		for s := range p {
			p[s] /= sum
		}
	}
	out := 0.0
	for _, l := range x.lines {
		out += math.Log(r.chance(p, l))
	}
	return out
}
