package differential

import (
	"math"
	"slices"
	"sync"

	"botanik/core/knowledge"
)

// The classes of what is not in the book. An unlisted member of a class shows,
// finding by finding and independently, what its listed members show there.
const (
	classAnimal = iota
	classFungus
	classBacterium
	classVirus
	classFeeding
	classCare
	classInjury
	classHarmless
	nClasses
)

// UnlistedNames are the classes in plain words.
var UnlistedNames = [nClasses]string{"an insect, mite or other animal", "a fungus", "a bacterium", "a virus", "a lack or excess of food", "care or weather", "an injury", "a helper or something harmless"}

func unlistedClass(c *knowledge.Cause) int {
	switch c.Kind {
	case "helper", "harmless":
		return classHarmless
	case "injury":
		return classInjury
	case "disorder":
		if c.Group == "feeding" || c.Group == "too much feed" {
			return classFeeding
		}
		return classCare
	case "disease":
		switch c.Class {
		case "virus":
			return classVirus
		case "bacterium":
			return classBacterium
		}
		return classFungus
	}
	return classAnimal
}

const (
	// unlistedPrior is how often something that comes to a desk is not in the book,
	// and unlistedBare how much more on a plant with nothing listed of its own; it
	// falls by half with every unlistedHalf causes at home there (judgement, from
	// one trial case in four being unlisted at 218 causes).
	unlistedPrior = .06
	unlistedBare  = .14
	unlistedHalf  = 6.0
	// unlistedSoft is how far an unlisted member departs from its class towards any
	// plant at all.
	unlistedSoft = .3
	// a cause this unlikely before looking does not shape its class
	unlistedFloor = 1e-4
)

// scratch is what the unlisted are worked out in.
type scratch struct {
	members    [nClasses][]int
	share, mix [nClasses][]float64
	odds       []float64
}

var scratches = sync.Pool{New: func() any { return new(scratch) }}

// Unlisted is "something not in this book" beside the candidates.
type Unlisted struct {
	P     float64 `json:"p"`
	Class string  `json:"class" doc:"what it would most likely be, in plain words"`
	Few   bool    `json:"few,omitempty" doc:"the book holds little on this plant"`
}

// unlisted holds the log share of each class, joined with the causes by join.
type unlisted struct {
	log   [nClasses]float64
	prior float64
	few   bool
}

func (u *unlisted) share() float64 { return math.Exp(logSum(u.log[:])) }

func (u *unlisted) most() int {
	best := 0
	for k, v := range u.log {
		if v > u.log[best] {
			best = k
		}
	}
	return best
}

// unlistedPriorOf is how often what comes in on a plant is not in the book.
func (e *Engine) unlistedPriorOf(s Circumstances) (p float64, few bool) {
	n, ok := e.listed[s.Host]
	if !ok {
		return unlistedPrior + unlistedBare/2, true
	}
	return unlistedPrior + unlistedBare*math.Pow(.5, n/unlistedHalf), n < 2
}

// unlisted works out what each class of the unlisted makes of the looks. It normalises
// prior, the log prior of the listed causes.
func (e *Engine) unlisted(prior []float64, s Circumstances, looks []looked) unlisted {
	u := unlisted{}
	u.prior, u.few = e.unlistedPriorOf(s)
	// The members of each class side by side, each with its share of the class.
	var total [nClasses]float64
	sc := scratches.Get().(*scratch)
	defer scratches.Put(sc)
	members, share, mix := &sc.members, &sc.share, &sc.mix
	for k := range members {
		members[k], share[k] = members[k][:0], share[k][:0]
	}
	top, sum := slices.Max(prior), 0.0
	sc.odds = sc.odds[:0]
	for _, lp := range prior {
		odds := math.Exp(lp - top)
		sum += odds
		sc.odds = append(sc.odds, odds)
	}
	log := top + math.Log(sum)
	for i, odds := range sc.odds {
		prior[i] -= log
		w := odds / sum
		if w < unlistedFloor {
			continue
		}
		k := e.kinds[i]
		members[k], share[k] = append(members[k], i), append(share[k], w)
		total[k] += w
	}
	for k := range u.log {
		u.log[k] = math.Log(u.prior * max(total[k], 1e-6))
		for m := range share[k] {
			share[k][m] *= (1 - unlistedSoft) / total[k]
		}
	}
	for _, x := range looks {
		r := &e.reads[x.find]
		for k := range mix {
			mix[k] = append(mix[k][:0], r.bg...)
			if total[k] > 0 {
				for st := range mix[k] {
					mix[k][st] *= unlistedSoft
				}
			}
		}
		rest := slices.ContainsFunc(x.lines, func(l line) bool { return l.omitted })
		for st := range r.bg {
			// Of a finding whose errors go anywhere only the states that are read matter.
			if r.slips == nil && !rest && !slices.ContainsFunc(x.lines, func(l line) bool { return l.row == r.at+st }) {
				continue
			}
			row := e.p[r.at+st]
			for k := range mix {
				list := members[k]
				shares := share[k][:len(list)]
				a, b, m := 0.0, 0.0, 0
				for ; m+1 < len(list); m += 2 { // two sums: neither waits for the other
					a += shares[m] * row[list[m]]
					b += shares[m+1] * row[list[m+1]]
				}
				if m < len(list) {
					a += shares[m] * row[list[m]]
				}
				mix[k][st] += a + b
			}
		}
		w := temper * x.weight
		for k := range u.log {
			for _, l := range x.lines {
				u.log[k] += w * math.Log(r.chance(mix[k], l))
			}
		}
	}
	return u
}

// chance is the chance of a line when the states are there with chances p.
func (r *reading) chance(p []float64, l line) float64 {
	s := l.row - r.at
	switch {
	case l.omitted:
		return leftOut(p[s])
	case l.Not:
		return 1 - r.written(p, s, l.level)
	}
	return r.written(p, s, l.level)
}

// join makes the causes (log, with their prior summing to one) and the unlisted
// share one whole.
func (u *unlisted) join(dst []float64) {
	listed := math.Log1p(-u.prior)
	for i := range dst {
		dst[i] += listed
	}
	a, b := logSum(dst), logSum(u.log[:])
	total := max(a, b) + math.Log1p(math.Exp(-math.Abs(a-b)))
	for i := range dst {
		dst[i] -= total
	}
	for k := range u.log {
		u.log[k] -= total
	}
}
