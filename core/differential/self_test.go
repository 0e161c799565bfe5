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
	setting differential.Circumstances
	answers map[string]string
}

// sampleSetting draws a plant, a place that fits it and a month.
func sampleSetting(b *knowledge.Base, r *rand.Rand) differential.Circumstances {
	h := b.Hosts[r.IntN(len(b.Hosts))]
	places := []string{"garden", "garden", "balcony", "greenhouse", "orchard"}
	switch h.Form {
	case "houseplant", "succulent", "palm", "fern", "orchid":
		places = []string{"indoors", "indoors", "greenhouse"}
	}
	return differential.Circumstances{Host: h.ID, Place: places[r.IntN(len(places))], Month: 1 + r.IntN(12)}
}

// sample draws a setting, then a cause by what the herbarium says is met
// there, then an answer to every finding by the cause's own rates.
func sample(e *differential.Engine, r *rand.Rand) drawn {
	d := drawn{setting: sampleSetting(e.Base, r)}
	prior := make([]float64, len(e.Base.Causes))
	e.Posterior(prior, d.setting, nil)
	x := r.Float64()
	for i, lp := range prior {
		if x -= math.Exp(lp); x <= 0 || i == len(prior)-1 {
			d.cause = e.Base.Causes[i]
			break
		}
	}
	d.answers = answersOf(e.Base, d.cause, r)
	return d
}

func answersOf(b *knowledge.Base, c *knowledge.Cause, r *rand.Rand) map[string]string {
	out := map[string]string{}
	for _, f := range b.Findings {
		u := r.Float64()
		for s, p := range c.Chances(f) {
			if u -= p; u <= 0 || s == len(f.States)-1 {
				out[f.ID] = f.States[s].ID
				break
			}
		}
	}
	return out
}

// sampleOf draws a setting in which a cause is at home.
func sampleOf(b *knowledge.Base, c *knowledge.Cause, r *rand.Rand) drawn {
	d := drawn{cause: c, answers: answersOf(b, c, r)}
	best := 0.0
	for range 400 {
		s := sampleSetting(b, r)
		h := b.Host(s.Host)
		if a := c.Affinity(h.ID, h.Group, h.Family, h.Form) + .01*r.Float64(); a > best {
			best, d.setting = a, s
		}
	}
	if len(c.Places) > 0 {
		d.setting.Place = c.Places[r.IntN(len(c.Places))]
	}
	if len(c.Months) > 0 {
		d.setting.Month = c.Months[r.IntN(len(c.Months))]
	}
	return d
}

// firstLooks are what an advisor would look at first: mostly what the trouble
// shows (findings its cause speaks of), the rest quick looks at the parts it is
// brought in for.
func firstLooks(b *knowledge.Base, d drawn, n int, r *rand.Rand) []differential.Look {
	own, near, far := []string{}, []string{}, []string{}
	for _, f := range b.Findings {
		_, speaks := d.cause.Findings[f.ID]
		switch {
		case speaks:
			own = append(own, f.ID)
		case slices.Contains(d.cause.Parts, f.Part) && !f.Destructive && f.Minutes <= 1:
			near = append(near, f.ID)
		default:
			far = append(far, f.ID)
		}
	}
	for _, list := range [][]string{own, near, far} {
		r.Shuffle(len(list), func(i, j int) { list[i], list[j] = list[j], list[i] })
	}
	own = own[:min(len(own), n*ownShare/8)]
	out := []differential.Look{}
	for _, f := range slices.Concat(own, near, far)[:n] {
		out = append(out, differential.Look{Finding: f, State: d.answers[f]})
	}
	return out
}

const ownShare = 7 // of eight first looks

const selfCases = 3000

// Cases drawn from the herbarium come back out of it: 8 looks, then up to 5
// that follow "look here next".
func TestSelfConsistency(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 42))
	n := float64(selfCases)
	var first, third, alarms, guided, random, ece float64
	var bins, hits, sums [10]float64
	post := make([]float64, len(engine.Base.Causes))
	lead := func(d drawn, looks []differential.Look) (right bool, p float64, place int) {
		engine.Posterior(post, d.setting, looks)
		best := 0
		mine := 0.0
		for i, v := range post {
			if v > post[best] {
				best = i
			}
			if engine.Base.Causes[i].ID == d.cause.ID {
				mine = v
			}
		}
		for _, v := range post {
			if v > mine {
				place++
			}
		}
		return place == 0, math.Exp(post[best]), place
	}
	for range selfCases {
		d := sample(engine, r)
		looks := firstLooks(engine.Base, d, 8, r)
		rest := []string{}
		for _, f := range engine.Base.Findings {
			if !slices.ContainsFunc(looks, func(l differential.Look) bool { return l.Finding == f.ID }) {
				rest = append(rest, f.ID)
			}
		}
		r.Shuffle(len(rest), func(i, j int) { rest[i], rest[j] = rest[j], rest[i] })
		blind := slices.Clone(looks)
		for i := 0; i < 5; i++ {
			if ok, p, _ := lead(d, blind); ok && p >= .9 {
				break
			}
			random++
			blind = append(blind, differential.Look{Finding: rest[i], State: d.answers[rest[i]]})
		}
		there := false
		for range 5 {
			if ok, p, _ := lead(d, looks); ok && p >= .9 {
				there = true
			}
			next := engine.Next(d.setting, looks, 1)
			if len(next) == 0 {
				break
			}
			if !there {
				guided++
			}
			looks = append(looks, differential.Look{Finding: next[0].Finding, State: d.answers[next[0].Finding]})
		}
		ok, p, place := lead(d, looks)
		k := min(9, int(p*10))
		bins[k]++
		sums[k] += p
		if ok {
			first++
			hits[k]++
		}
		if place < 3 {
			third++
		}
		if engine.Rank(d.setting, looks).NoneFits {
			alarms++
		}
	}
	for k := range bins {
		ece += math.Abs(hits[k]-sums[k]) / n
	}
	t.Logf("leader right %.1f %%, in the first three %.1f %%, calibration error %.3f, false alarms %.1f %%; looks to the answer: guided %.2f, random %.2f", 100*first/n, 100*third/n, ece, 100*alarms/n, guided/n, random/n)
	assert.GreaterOrEqual(t, first/n, .88)
	assert.GreaterOrEqual(t, third/n, .98)
	assert.LessOrEqual(t, ece, .05)
	assert.LessOrEqual(t, alarms/n, .05)
	assert.Less(t, guided, .75*random, "guided looks are clearly fewer")
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
		b := knowledge.New(knowledge.Entries{Causes: rest, Findings: full.Findings, Hosts: full.Hosts, Remedies: full.Remedies, Conflicts: full.Conflicts, LifeTables: full.LifeTables})
		e := differential.NewEngine(b)
		for range 4 {
			d := sampleOf(full, c, r)
			looks := firstLooks(full, d, 8, r)
			rk := e.Rank(d.setting, looks)
			for step := 0; step < 5 && len(rk.Next) > 0 && !rk.NoneFits; step++ {
				f := rk.Next[0].Finding
				looks = append(looks, differential.Look{Finding: f, State: d.answers[f]})
				rk = e.Rank(d.setting, looks)
			}
			n++
			assert.Equal(t, map[bool]string{true: differential.Undetermined, false: differential.Open}[rk.NoneFits], rk.Other, "another cause has to be argued for")
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
			if v >= 3 {
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
	d := sampleOf(b, b.Cause("two-spotted-mite"), r)
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
