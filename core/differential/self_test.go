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

// drawn is a sample made up from a cause of the herbarium, with what is there to be
// seen: of a finding of many states several may be.
type drawn struct {
	cause   *knowledge.Cause
	setting differential.Circumstances
	there   map[string][]string
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

// sample draws a setting, then a cause by what the herbarium says is met there.
func sample(e *differential.Engine, r *rand.Rand) drawn {
	d := drawn{setting: sampleSetting(e.Base, r)}
	prior := make([]float64, len(e.Base.Causes))
	listed := 1 - e.Posterior(prior, d.setting, nil)
	x := r.Float64() * listed
	for i, lp := range prior {
		if x -= math.Exp(lp); x <= 0 || i == len(prior)-1 {
			d.cause = e.Base.Causes[i]
			break
		}
	}
	d.there = show(e.Base, func() *knowledge.Cause { return d.cause }, r)
	return d
}

// show draws what is there, finding by finding, from the cause it is asked of: one
// and the same, or for what is not in the book another of its class each time.
func show(b *knowledge.Base, of func() *knowledge.Cause, r *rand.Rand) map[string][]string {
	out := map[string][]string{}
	for _, f := range b.Findings {
		ch := of().Chances(f)
		u := r.Float64()
		for s, p := range ch {
			if f.Many {
				if !f.States[s].Absent && r.Float64() < p {
					out[f.ID] = append(out[f.ID], f.States[s].ID)
				}
				continue
			}
			if u -= p; u <= 0 || s == len(ch)-1 {
				out[f.ID] = []string{f.States[s].ID}
				break
			}
		}
	}
	return out
}

// How a recorder of the simulation errs. These are figures of their own, not the
// engine's: one line in thirteen was misread or odd in the trial cases.
const (
	slipSeen  = .07
	slipAsked = .15
	leftOut   = .6 // of further states that are there
)

// record is what a recorder writes of a finding.
func (d drawn) record(f *knowledge.Finding, r *rand.Rand) []differential.Look {
	slip := slipSeen
	if f.How == "asked" {
		slip = slipAsked
	}
	if r.Float64() < slip {
		return []differential.Look{{Finding: f.ID, State: f.States[r.IntN(len(f.States))].ID}}
	}
	there := d.there[f.ID]
	if len(there) == 0 {
		for _, s := range f.States {
			if s.Absent {
				return []differential.Look{{Finding: f.ID, State: s.ID}}
			}
		}
	}
	out := []differential.Look{}
	first := r.IntN(len(there))
	for i, s := range there {
		if i == first || r.Float64() > leftOut {
			out = append(out, differential.Look{Finding: f.ID, State: s})
		}
	}
	return out
}

// sampleOf draws a setting in which a cause is at home.
func sampleOf(b *knowledge.Base, c *knowledge.Cause, r *rand.Rand) drawn {
	d := drawn{cause: c, there: show(b, func() *knowledge.Cause { return c }, r)}
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
	own, near, far := []*knowledge.Finding{}, []*knowledge.Finding{}, []*knowledge.Finding{}
	for _, f := range b.Findings {
		_, speaks := d.cause.Findings[f.ID]
		switch {
		case speaks:
			own = append(own, f)
		case slices.Contains(d.cause.Parts, f.Part) && !f.Destructive && f.Minutes <= 1:
			near = append(near, f)
		default:
			far = append(far, f)
		}
	}
	for _, list := range [][]*knowledge.Finding{own, near, far} {
		r.Shuffle(len(list), func(i, j int) { list[i], list[j] = list[j], list[i] })
	}
	own = own[:min(len(own), n*ownShare/8)]
	out := []differential.Look{}
	for _, f := range slices.Concat(own, near, far)[:n] {
		out = append(out, d.record(f, r)...)
	}
	return out
}

const ownShare = 5 // of eight first looks: the rest find nothing, as at a desk

const selfCases = 500

// tally counts what came of drawn cases.
type tally struct {
	n, first, third, undetermined, settled, wrong float64
	bins, hits, sums                              [10]float64
}

func (x *tally) add(e *differential.Engine, d drawn, rk differential.Ranking) {
	x.n++
	k := min(9, int(rk.Candidates[0].P*10))
	x.bins[k]++
	x.sums[k] += rk.Candidates[0].P
	if d.cause.ID == rk.Leader {
		x.first++
		x.hits[k]++
	}
	for _, c := range rk.Candidates[:3] {
		if c.Cause == d.cause.ID {
			x.third++
		}
	}
	switch rk.Verdict {
	case differential.Undetermined:
		x.undetermined++
	case differential.Settled, differential.Group:
		x.settled++
		if e.Base.Cause(rk.Leader).Group != d.cause.Group {
			x.wrong++
		}
	}
}

func (x *tally) String() string {
	ece := 0.0
	for k := range x.bins {
		ece += math.Abs(x.hits[k]-x.sums[k]) / x.n
	}
	return fmt.Sprintf("right first %.1f %%, in the first three %.1f %%, calibration error %.3f, undetermined %.1f %%, settled %.1f %%, of these wrongly %.1f %%",
		100*x.first/x.n, 100*x.third/x.n, ece, 100*x.undetermined/x.n, 100*x.settled/x.n, 100*x.wrong/max(1, x.settled))
}

// Cases drawn from the herbarium with a recorder who errs come back out of it, after
// 8 to 16 looks and then up to 5 that follow "look here next"; those of causes that
// are not in the book seldom settle.
func TestSelfConsistency(t *testing.T) {
	r := rand.New(rand.NewPCG(7, 42))
	e := engine
	var first, followed, out tally
	var guided, random float64
	done := func(rk differential.Ranking, d drawn) bool {
		return rk.Leader == d.cause.ID && rk.Candidates[0].P >= .8
	}
	for i := range selfCases {
		d := sample(e, r)
		unlisted := i%16 == 0
		if unlisted { // a mixture of its class, none of it
			like := slices.DeleteFunc(slices.Clone(e.Base.Causes), func(c *knowledge.Cause) bool { return c.Class != d.cause.Class })
			d.there = show(e.Base, func() *knowledge.Cause { return like[r.IntN(len(like))] }, r)
		}
		looks := firstLooks(e.Base, d, 8+r.IntN(9), r)
		rk := e.Rank(d.setting, looks)
		if unlisted {
			d.cause = &knowledge.Cause{ID: "not in the book", Group: "its own"}
			out.add(e, d, rk)
			continue
		}
		first.add(e, d, rk)
		blind := slices.Clone(looks)
		open := func(of []differential.Look) []*knowledge.Finding {
			return slices.DeleteFunc(slices.Clone(e.Base.Findings), func(f *knowledge.Finding) bool {
				return slices.ContainsFunc(of, func(l differential.Look) bool { return l.Finding == f.ID })
			})
		}
		for step := 0; step < 5 && !done(e.Rank(d.setting, blind), d); step++ {
			random++
			rest := open(blind)
			blind = append(blind, d.record(rest[r.IntN(len(rest))], r)...)
		}
		for step := 0; step < 5 && !done(rk, d) && len(rk.Next) > 0; step++ {
			guided++
			looks = append(looks, d.record(e.Base.Finding(rk.Next[0].Finding), r)...)
			rk = e.Rank(d.setting, looks)
		}
		followed.add(e, d, rk)
	}
	t.Logf("as recorded: %s", &first)
	t.Logf("followed:    %s; looks to the answer: guided %.2f, random %.2f", &followed, guided/followed.n, random/followed.n)
	t.Logf("not in the book: %s", &out)
	assert.GreaterOrEqual(t, first.first/first.n, .65)
	assert.GreaterOrEqual(t, followed.third/followed.n, .9)
	assert.LessOrEqual(t, first.wrong/first.settled, .05)
	assert.LessOrEqual(t, out.settled/out.n, .25)
	assert.Less(t, guided, .8*random, "guided looks are clearly fewer")
}

// A cause taken out of the herbarium is not settled as something else that is
// treated otherwise.
func TestACauseTakenOutIsSeldomSettledAsAnother(t *testing.T) {
	full := herbarium.Embedded()
	r := rand.New(rand.NewPCG(11, 3))
	settled, said, n := 0, 0, 0
	for i, c := range full.Causes {
		if i%16 != 0 {
			continue
		}
		rest := slices.DeleteFunc(slices.Clone(full.Causes), func(x *knowledge.Cause) bool { return x.ID == c.ID })
		b := knowledge.New(knowledge.Entries{Causes: rest, Findings: full.Findings, Hosts: full.Hosts, Remedies: full.Remedies, Conflicts: full.Conflicts, LifeTables: full.LifeTables})
		e := differential.NewEngine(b)
		for range 8 {
			d := sampleOf(full, c, r)
			rk := e.Rank(d.setting, firstLooks(full, d, 12, r))
			n++
			switch {
			case rk.Verdict == differential.Undetermined:
				said++
			case (rk.Verdict == differential.Settled || rk.Verdict == differential.Group) && b.Cause(rk.Leader).Group != c.Group:
				settled++
			}
		}
	}
	t.Logf("of %d: said to be unknown %d, settled as something treated otherwise %d", n, said, settled)
	assert.LessOrEqual(t, float64(settled)/float64(n), .15)
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
