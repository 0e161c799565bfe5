package differential

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/knowledge"
)

// Engine is a knowledge base made ready for ranking: for every state and level
// of certainty one row of log P(written | cause), side by side over the causes.
// Build it once; it is read-only and safe for many goroutines.
type Engine struct {
	Base   *knowledge.Base
	n      int
	finds  map[string]int
	reads  []reading
	p      [][]float64 // state row → P(there | cause)
	yes    [][]float64 // (state row × level) → log P(written there | cause)
	no     [][]float64 // the same, written not there; only where states stand together
	left   [][]float64 // state row → log P(not written beside others | cause); the same
	rest   [][]float64 // finding → sum of left over its present states; the same
	alone  [][]float64 // state row → P(the one answer | cause), for what to look at next
	bits   [][]float64 // log2 of it
	spread []float64   // state row: how much it tells apart
	groups []int       // cause → treatment group
	gname  []string
	kinds  []int // cause → class of the unlisted it belongs to
	cause  map[string]int
	logCom []float64
	common float64 // sum of commonness
	// rows of the log prior
	hostRow  map[string][]float64
	placeRow map[string][]float64
	monthRow [13][2][]float64
	listed   map[string]float64 // host → how many causes have it by name
}

// NewEngine compiles a base.
func NewEngine(b *knowledge.Base) *Engine {
	e := &Engine{Base: b, n: len(b.Causes), finds: map[string]int{}, cause: map[string]int{}}
	groupOf := map[string]int{}
	for i, c := range b.Causes {
		e.cause[c.ID] = i
		g, ok := groupOf[c.Group]
		if !ok {
			g = len(e.gname)
			groupOf[c.Group] = g
			e.gname = append(e.gname, c.Group)
		}
		e.groups = append(e.groups, g)
		e.kinds = append(e.kinds, unlistedClass(c))
		e.logCom = append(e.logCom, math.Log(c.Common()))
		e.common += c.Common()
	}
	for fi, f := range b.Findings {
		e.finds[f.ID] = fi
		e.addFinding(newReading(f, len(e.p)))
	}
	e.addPriors()
	return e
}

// mostStates are the states of a finding up to which equal rows are looked for.
const mostStates = 16

func (e *Engine) addFinding(r reading) {
	n, f := len(r.bg), r.find
	grid := func(levels int) [][]float64 {
		out := make([][]float64, n*levels)
		for i := range out {
			out[i] = make([]float64, e.n)
		}
		return out
	}
	p, yes, alone := grid(1), grid(nLevels), grid(1)
	var no, left [][]float64
	if f.Many {
		no, left = grid(nLevels), grid(1)
	}
	one := make([]float64, n)
	// Most causes say nothing of a finding and share what a stranger would show: reckoned once.
	same := map[[mostStates]float64]int{}
	rows := slices.Concat(p, yes, alone, no, left)
	for i, c := range e.Base.Causes {
		ch := c.Chances(f)
		if n <= mostStates {
			var key [mostStates]float64
			copy(key[:], ch)
			if j, ok := same[key]; ok {
				for _, row := range rows {
					row[i] = row[j]
				}
				continue
			}
			same[key] = i
		}
		r.alone(ch, one)
		for s, v := range ch {
			p[s][i], alone[s][i] = v, one[s]
			for l := range nLevels {
				w := r.written(ch, s, l)
				yes[s*nLevels+l][i] = math.Log(w)
				if f.Many {
					no[s*nLevels+l][i] = math.Log1p(-w)
				}
			}
			if f.Many {
				left[s][i] = math.Log(leftOut(v))
			}
		}
	}
	e.reads = append(e.reads, r)
	e.p, e.yes, e.alone = append(e.p, p...), append(e.yes, yes...), append(e.alone, alone...)
	if !f.Many {
		no, left = make([][]float64, n*nLevels), make([][]float64, n)
	}
	e.no, e.left = append(e.no, no...), append(e.left, left...)
	var rest []float64
	if f.Many {
		rest = make([]float64, e.n)
		for s, row := range left {
			if !f.States[s].Absent {
				add(rest, row)
			}
		}
	}
	e.rest = append(e.rest, rest)
	for _, row := range alone {
		b := make([]float64, e.n)
		for i, v := range row {
			b[i] = math.Log2(v)
		}
		e.bits = append(e.bits, b)
	}
	for s := range n {
		e.spread = append(e.spread, deviation(yes[s*nLevels]))
	}
}

func deviation(x []float64) float64 {
	m, v := 0.0, 0.0
	for _, a := range x {
		m += a
	}
	m /= float64(len(x))
	for _, a := range x {
		v += (a - m) * (a - m)
	}
	return math.Sqrt(v / float64(len(x)))
}

// Look is one finding answered. Instrument is what was used: eye, lens, scope;
// empty means what the finding asks for, and told that the grower says so and
// nobody looked. Of a finding whose states can stand
// together several may be written, each there or not there.
type Look struct {
	Finding    string `json:"finding"`
	State      string `json:"state"`
	Not        bool   `json:"not,omitempty" doc:"the state was looked for and is not there; only where several states can stand together"`
	Certainty  string `json:"certainty,omitempty" enum:"sure,think,guess,"`
	Instrument string `json:"instrument,omitempty" enum:"eye,lens,scope,told,"`
}

// line is one state written, or left out beside others.
type line struct {
	Look
	row     int       // of the state
	level   int       // of certainty
	omitted bool      // not written, though others of its finding are
	log     []float64 // log P of it per cause
}

// looked is a finding answered: all its lines with the weight of its cluster.
type looked struct {
	find   int
	lines  []line
	weight float64
}

// resolve sorts the looks (so that their order never matters), drops what the base
// does not know, and discounts within clusters: the strongest counts full, the
// next half, then a quarter.
func (e *Engine) resolve(looks []Look) []looked {
	all := make([]line, 0, len(looks))
	for _, l := range looks {
		fi, ok := e.finds[l.Finding]
		if !ok {
			continue
		}
		r := &e.reads[fi]
		st := r.find.State(l.State)
		if st < 0 || l.Not && !r.find.Many {
			continue
		}
		level := certainties[l.Certainty]
		if r.find.How == "lens" && l.Instrument == "eye" || r.find.How == "scope" && (l.Instrument == "eye" || l.Instrument == "lens") {
			level += byEye
		}
		if l.Instrument == FromHistory {
			level += byTale
		}
		x := line{Look: l, row: r.at + st, level: level, log: e.yes[(r.at+st)*nLevels+level]}
		if l.Not {
			x.log = e.no[(r.at+st)*nLevels+level]
		}
		all = append(all, x)
	}
	slices.SortFunc(all, func(a, b line) int {
		if a.row != b.row {
			return a.row - b.row // rows run in the order of findings
		}
		return a.level - b.level
	})
	room := 0
	for _, x := range all {
		room++
		if r := e.reads[e.finds[x.Finding]]; r.find.Many {
			room += len(r.find.States)
		}
	}
	lines, out := make([]line, 0, room), make([]looked, 0, len(all))
	for i := 0; i < len(all); {
		fi := e.finds[all[i].Finding]
		from := len(lines)
		for ; i < len(all) && e.finds[all[i].Finding] == fi; i++ {
			if n := len(lines); n == from || e.reads[fi].find.Many && lines[n-1].row != all[i].row {
				lines = append(lines, all[i])
			}
		}
		lines = e.leaveOut(fi, lines, from)
		out = append(out, looked{fi, lines[from:len(lines):len(lines)], 1})
	}
	e.discount(out)
	return out
}

// leaveOut adds to the lines of a finding, which begin at from, what was not written:
// with a state of a finding of many there, the others were in sight too, and were
// mostly, but not always, not there.
func (e *Engine) leaveOut(find int, lines []line, from int) []line {
	r := &e.reads[find]
	if !r.find.Many {
		return lines
	}
	there := false
	for _, l := range lines[from:] {
		if r.find.States[l.row-r.at].Absent {
			return lines
		}
		there = there || !l.Not
	}
	if !there {
		return lines
	}
	written := lines[from:]
	for s, st := range r.find.States {
		row := r.at + s
		if st.Absent || slices.ContainsFunc(written, func(l line) bool { return l.row == row }) {
			continue
		}
		lines = append(lines, line{Look: Look{Finding: r.find.ID, State: st.ID}, row: row, omitted: true, log: e.left[row]})
	}
	return lines
}

// power is how much a finding as answered tells apart.
func (e *Engine) power(x looked) float64 {
	out := 0.0
	for _, l := range x.lines {
		if !l.omitted {
			out = max(out, e.spread[l.row]*(1-e.reads[x.find].err[l.level]))
		}
	}
	return out
}

func (e *Engine) discount(looks []looked) {
	for i := range looks {
		cl := e.reads[looks[i].find].find.Cluster
		if cl == "" {
			continue
		}
		rank := 0
		mine := e.power(looks[i])
		for j := range looks {
			if i == j || e.reads[looks[j].find].find.Cluster != cl {
				continue
			}
			if other := e.power(looks[j]); other > mine || other == mine && j < i {
				rank++
			}
		}
		looks[i].weight = math.Pow(.5, float64(rank))
	}
}

// temper is the one exponent on all evidence: findings hang together in more ways
// than the clusters say, and shares that were not tempered came true less often
// than they said. Fitted on the shared trial cases (docs/decisions/0017).
const temper = .75

// Posterior fills dst with the normalised log posterior of every cause, in the
// order of Base.Causes, and returns the share of what is not in the book, 0 to 1;
// the causes and it sum to one. dst has the length of Base.Causes. Only the list
// of looks is allocated, nothing per cause.
func (e *Engine) Posterior(dst []float64, s Circumstances, looks []Look) float64 {
	e.Prior(dst, s)
	u := e.add(dst, s, e.resolve(looks))
	return u.share()
}

func (e *Engine) add(dst []float64, s Circumstances, looks []looked) unlisted {
	u := e.unlisted(dst, s, looks)
	for _, x := range looks {
		e.weighIn(dst, x, temper*x.weight)
	}
	u.join(dst)
	return u
}

// weighIn adds a finding as answered to the log posterior. What was left out beside
// the written states is taken as all of it, less the written.
func (e *Engine) weighIn(dst []float64, x looked, w float64) {
	rest := slices.ContainsFunc(x.lines, func(l line) bool { return l.omitted })
	if rest {
		for i, v := range e.rest[x.find] {
			dst[i] += w * v
		}
	}
	for _, l := range x.lines {
		switch {
		case l.omitted:
		case rest:
			less := e.left[l.row]
			row, less := l.log[:len(dst)], less[:len(dst)]
			for i := range dst {
				dst[i] += w * (row[i] - less[i])
			}
		default:
			row := l.log[:len(dst)]
			for i := range dst {
				dst[i] += w * row[i]
			}
		}
	}
}

func normalise(x []float64) {
	total := logSum(x)
	for i := range x {
		x[i] -= total
	}
}

// logSum is log Σ exp(x).
func logSum(x []float64) float64 {
	m := math.Inf(-1)
	for _, v := range x {
		m = max(m, v)
	}
	if math.IsInf(m, -1) {
		return m
	}
	sum := 0.0
	for _, v := range x {
		if d := v - m; d > -40 {
			sum += math.Exp(d)
		}
	}
	return m + math.Log(sum)
}

// order returns cause indices, most likely first; ties by id. What only the order of
// adding up made different is a tie.
func order(logp []float64) []int {
	idx := make([]int, len(logp))
	for i := range idx {
		idx[i] = i
	}
	slices.SortFunc(idx, func(a, b int) int { return cmp.Or(cmp.Compare(even(logp[b]), even(logp[a])), a-b) })
	return idx
}

// Decibans of a natural-log ratio.
func decibans(ln float64) float64 { return ln * 10 / math.Ln10 }
