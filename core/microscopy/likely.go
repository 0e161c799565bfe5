package microscopy

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"
)

// weigh gives each species its probability; but leaves one answer out.
func (k SlideKey) weigh(seen []Seen, hosts []string, but int) []float64 {
	p := make([]float64, len(k.Species))
	sum := 0.
	for i, s := range k.Species {
		p[i] = 1
		if s.on(hosts) {
			p[i] = onHost
		}
		for j, x := range seen {
			if j != but {
				p[i] *= k.likely(s, k.Character(x.Character), x)
			}
		}
		sum += p[i]
	}
	for i := range p {
		p[i] /= sum
	}
	return p
}

func (s *Species) on(hosts []string) bool {
	return slices.ContainsFunc(s.Hosts, func(h string) bool { return slices.Contains(hosts, h) })
}

func wrong(certainty string) float64 {
	switch certainty {
	case "think":
		return wrongThink
	case "guess":
		return wrongGuess
	}
	return wrongSure
}

// likely is how likely a species shows what was seen. What is not written of a
// species is taken as any of its states alike.
func (k SlideKey) likely(s *Species, c *Character, x Seen) float64 {
	off := wrong(x.Certainty)
	if c.Measure != nil {
		r, known := s.Ranges[c.ID]
		lo, hi := k.span(c)
		flat := 1 / math.Log(hi/lo)
		if !known {
			return flat
		}
		sd := x.SD / x.Ratio
		if x.SD == 0 {
			sd = measuredSD
		}
		return (1-off)*between(math.Log(x.Ratio), math.Log(r[0]), math.Log(r[1]), sd) + off*flat
	}
	n, has := len(c.States), s.States[c.ID]
	switch {
	case len(has) == 0 || len(has) == n:
		return 1 / float64(n)
	case slices.Contains(has, x.State):
		return (1 - off) / float64(len(has))
	}
	return off / float64(n-len(has))
}

// between is the density at v of something even from lo to hi that was read with
// a normal error.
func between(v, lo, hi, sd float64) float64 {
	n := distuv.Normal{Mu: 0, Sigma: sd}
	return (n.CDF(v-lo) - n.CDF(v-hi)) / (hi - lo)
}

// span is the least and most any species of the key has of a ratio, with some room.
func (k SlideKey) span(c *Character) (lo, hi float64) {
	lo, hi = math.Inf(1), 0
	for _, s := range k.Species {
		if r, ok := s.Ranges[c.ID]; ok {
			lo, hi = min(lo, r[0]), max(hi, r[1])
		}
	}
	if hi == 0 {
		return c.Measure.Line / 4, c.Measure.Line * 4
	}
	return lo * .7, hi * 1.4
}

// Above is the probability that a measured ratio lies above a line.
func Above(x Seen, line float64) float64 {
	sd := x.SD / x.Ratio
	if x.SD == 0 {
		sd = measuredSD
	}
	return distuv.Normal{Mu: math.Log(line), Sigma: sd}.CDF(math.Log(x.Ratio))
}

// Certainty is how sure one may be of the side of a line a ratio lies on.
func Certainty(p float64) string {
	switch {
	case p >= sureAt:
		return "sure"
	case p >= .8:
		return "think"
	}
	return "guess"
}
