package differential_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"slices"
	"testing"

	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
)

// drawn is a sample made up from a cause of the herbarium, with the answers it
// would give.
type drawn struct {
	cause   *knowledge.Cause
	setting differential.Setting
	answers map[string]string
}

// sampleCause draws a plant the cause is met on, a fitting place and month,
// and an answer to every finding by the cause's own rates.
func sampleCause(b *knowledge.Base, c *knowledge.Cause, r *rand.Rand) drawn {
	d := drawn{cause: c, answers: map[string]string{}}
	best, weight := []*knowledge.Host{}, []float64{}
	total := 0.0
	for _, h := range b.Hosts {
		if a := c.Affinity(h.ID, h.Group, h.Family, h.Form); a >= .2 {
			best, weight = append(best, h), append(weight, a)
			total += a
		}
	}
	x := r.Float64() * total
	for i, h := range best {
		if x -= weight[i]; x <= 0 {
			d.setting.Host = h.ID
			break
		}
	}
	places := c.Places
	if len(places) == 0 {
		places = knowledge.Places
	}
	d.setting.Place = places[r.IntN(len(places))]
	d.setting.Month = 1 + r.IntN(12)
	if len(c.Months) > 0 {
		d.setting.Month = c.Months[r.IntN(len(c.Months))]
	}
	for _, f := range b.Findings {
		u := r.Float64()
		for s, p := range c.Chances(f) {
			if u -= p; u <= 0 || s == len(f.States)-1 {
				d.answers[f.ID] = f.States[s].ID
				break
			}
		}
	}
	return d
}

// firstLooks are what an advisor would look at: findings the cause speaks of,
// for the most part, and some at random.
func firstLooks(b *knowledge.Base, d drawn, n int, r *rand.Rand) []differential.Look {
	own, other := []string{}, []string{}
	for _, f := range b.Findings {
		if _, ok := d.cause.Findings[f.ID]; ok {
			own = append(own, f.ID)
		} else {
			other = append(other, f.ID)
		}
	}
	r.Shuffle(len(own), func(i, j int) { own[i], own[j] = own[j], own[i] })
	r.Shuffle(len(other), func(i, j int) { other[i], other[j] = other[j], other[i] })
	list := append(own[:min(len(own), n*3/4)], other...)
	out := []differential.Look{}
	for _, f := range list[:n] {
		out = append(out, differential.Look{Finding: f, State: d.answers[f]})
	}
	return out
}

func pickCause(b *knowledge.Base, r *rand.Rand) *knowledge.Cause {
	total := 0.0
	for _, c := range b.Causes {
		total += c.Common()
	}
	x := r.Float64() * total
	for _, c := range b.Causes {
		if x -= c.Common(); x <= 0 {
			return c
		}
	}
	return b.Causes[0]
}

const selfCases = 3000

// Cases drawn from the herbarium come back out of it: 8 looks, then up to 5
// that follow "look here next".
func TestSelfConsistency(t *testing.T) {
	b := engine.Base
	r := rand.New(rand.NewPCG(7, 42))
	first, third, n := 0, 0, 0
	var bins, hits, sums [10]float64
	guided, random := 0, 0
	alarms := 0
	for n < selfCases {
		d := sampleCause(b, pickCause(b, r), r)
		looks := firstLooks(b, d, 8, r)
		rest := []string{}
		for _, f := range b.Findings {
			if !slices.ContainsFunc(looks, func(l differential.Look) bool { return l.Finding == f.ID }) {
				rest = append(rest, f.ID)
			}
		}
		r.Shuffle(len(rest), func(i, j int) { rest[i], rest[j] = rest[j], rest[i] })
		rk := engine.Rank(d.setting, looks)
		blind := slices.Clone(looks)
		found := func(rk differential.Ranking) bool { return rk.Leader == d.cause.ID && rk.Candidates[0].P >= .9 }
		steps, done := 0, found(rk)
		for step := 0; step < 5 && len(rk.Next) > 0; step++ {
			f := rk.Next[0].Finding
			looks = append(looks, differential.Look{Finding: f, State: d.answers[f]})
			rk = engine.Rank(d.setting, looks)
			if !done {
				steps++
				done = found(rk)
			}
		}
		guided += steps
		bk := engine.Rank(d.setting, blind)
		for i := 0; i < 5 && !found(bk); i++ {
			random++
			blind = append(blind, differential.Look{Finding: rest[i], State: d.answers[rest[i]]})
			bk = engine.Rank(d.setting, blind)
		}
		for i, c := range rk.Candidates[:min(3, len(rk.Candidates))] {
			if c.Cause == d.cause.ID {
				third++
				if i == 0 {
					first++
				}
			}
		}
		if rk.NoneFits {
			alarms++
		}
		p := rk.Candidates[0].P
		k := min(9, int(p*10))
		bins[k]++
		sums[k] += p
		if rk.Leader == d.cause.ID {
			hits[k]++
		}
		n++
	}
	ece := 0.0
	for k := range bins {
		if bins[k] > 0 {
			ece += math.Abs(hits[k]-sums[k]) / float64(n)
		}
	}
	t.Logf("leader right %.1f %%, in the first three %.1f %%, calibration error %.3f, false alarms %.1f %%; looks to the answer: guided %.2f, random %.2f",
		100*float64(first)/float64(n), 100*float64(third)/float64(n), ece, 100*float64(alarms)/float64(n), float64(guided)/float64(n), float64(random)/float64(n))
	assert.GreaterOrEqual(t, float64(first)/float64(n), .88)
	assert.GreaterOrEqual(t, float64(third)/float64(n), .98)
	assert.LessOrEqual(t, ece, .05)
	assert.LessOrEqual(t, float64(alarms)/float64(n), .05)
	assert.Less(t, float64(guided), .75*float64(random), "guided looks are clearly fewer")
}

// Samples of a cause taken out of the herbarium are called undetermined, or
// land on a neighbour that is treated the same way.
func TestNoneFits(t *testing.T) {
	full := herbarium.Embedded()
	r := rand.New(rand.NewPCG(11, 3))
	good, n := 0, 0
	missed := map[string]int{}
	for _, c := range full.Causes {
		rest := slices.DeleteFunc(slices.Clone(full.Causes), func(x *knowledge.Cause) bool { return x.ID == c.ID })
		b := knowledge.New(rest, full.Findings, full.Hosts, full.Remedies, full.Conflicts, full.LifeTables)
		e := differential.NewEngine(b)
		for range 12 {
			d := sampleCause(full, c, r)
			looks := firstLooks(full, d, 8, r)
			rk := e.Rank(d.setting, looks)
			for step := 0; step < 5 && len(rk.Next) > 0 && !rk.NoneFits; step++ {
				f := rk.Next[0].Finding
				looks = append(looks, differential.Look{Finding: f, State: d.answers[f]})
				rk = e.Rank(d.setting, looks)
			}
			n++
			if rk.NoneFits || b.Cause(rk.Leader).Group == c.Group {
				good++
			} else {
				missed[c.ID+" taken for "+rk.Leader]++
			}
		}
	}
	t.Logf("undetermined or same plan: %.1f %% of %d", 100*float64(good)/float64(n), n)
	assert.GreaterOrEqual(t, float64(good)/float64(n), .6)
	if testing.Verbose() {
		for k, v := range missed {
			if v >= 8 {
				t.Log(k, v)
			}
		}
	}
}

// TestBench prints ratios for make bench.
func TestBench(t *testing.T) {
	if os.Getenv("BOTANIK_BENCH") == "" {
		t.Skip("only through make bench")
	}
	b := engine.Base
	r := rand.New(rand.NewPCG(1, 2))
	d := sampleCause(b, b.Cause("two-spotted-mite"), r)
	looks := firstLooks(b, d, 25, r)
	dst := make([]float64, len(b.Causes))
	table := make([][]float64, 25)
	for i := range table {
		table[i] = make([]float64, len(b.Causes))
		for j := range table[i] {
			table[i][j] = -r.Float64()
		}
	}
	bare := testing.Benchmark(func(bb *testing.B) {
		for bb.Loop() {
			clear(dst)
			for _, row := range table {
				for i, v := range row {
					dst[i] += v
				}
			}
			m := math.Inf(-1)
			for _, v := range dst {
				m = max(m, v)
			}
			sum := 0.0
			for _, v := range dst {
				sum += math.Exp(v - m)
			}
			for i := range dst {
				dst[i] -= m + math.Log(sum)
			}
		}
	})
	rank := testing.Benchmark(func(bb *testing.B) {
		bb.ReportAllocs()
		for bb.Loop() {
			engine.Posterior(dst, d.setting, looks)
		}
	})
	next := testing.Benchmark(func(bb *testing.B) {
		for bb.Loop() {
			engine.Next(d.setting, looks[:8], 6)
		}
	})
	fmt.Printf("bench rank %d causes on 25 findings against a bare loop: measured %.2f, goal 5\n", len(b.Causes), float64(rank.NsPerOp())/float64(bare.NsPerOp()))
	fmt.Printf("bench rank allocations per cause: measured %.2f, goal 1\n", float64(rank.AllocsPerOp())/float64(len(b.Causes)))
	fmt.Printf("bench next look over %d findings against 2 ms: measured %.2f, goal 1\n", len(b.Findings), float64(next.NsPerOp())/2e6)
}
