package differential

import (
	"math"
	"slices"
	"sort"

	"botanik/core/knowledge"
)

// How sure an advisor is of a look; "think" and "guess" mix the cause's rates
// with the background by 0.75 and 0.4. A lens sign judged by naked eye counts
// 0.6 of that (judgement).
const (
	nLevels       = 6
	nakedEyeOnSig = 0.6
)

var certainties = map[string]int{"sure": 0, "": 0, "think": 1, "guess": 2}
var levels = [nLevels]float64{1, .75, .4, 1 * nakedEyeOnSig, .75 * nakedEyeOnSig, .4 * nakedEyeOnSig}

// Engine is a knowledge base made ready for ranking: for every state and level
// of certainty one row of log P(state | cause), side by side over the causes.
// Build it once; it is read-only and safe for many goroutines.
type Engine struct {
	Base   *knowledge.Base
	n      int
	finds  map[string]int
	offset []int          // finding → first state row
	rows   [][]float64    // (state row × level) → log P per cause
	p      [][]float64    // state row → P per cause
	mean   [][2][]float64 // finding × (mean, variance) of log P under each cause itself
	spread []float64      // state row at level 0: how much it tells apart
	groups []int          // cause → treatment group
	gname  []string
	cause  map[string]int
	logCom []float64
	common float64 // sum of commonness
	// rows of the log prior
	hostRow  map[string][]float64
	placeRow map[string][]float64
	monthRow [13][2][]float64
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
		e.logCom = append(e.logCom, math.Log(c.Common()))
		e.common += c.Common()
	}
	for fi, f := range b.Findings {
		e.finds[f.ID] = fi
		e.offset = append(e.offset, len(e.p))
		e.addFinding(f)
	}
	e.addPriors()
	return e
}

func (e *Engine) addFinding(f *knowledge.Finding) {
	bg := f.Background()
	mv := [2][]float64{make([]float64, e.n), make([]float64, e.n)}
	probs := make([][]float64, len(f.States))
	for s := range f.States {
		probs[s] = make([]float64, e.n)
	}
	for i, c := range e.Base.Causes {
		ch := c.Chances(f)
		m, v := 0.0, 0.0
		for s, p := range ch {
			probs[s][i] = p
			m += p * math.Log(p)
			v += p * math.Log(p) * math.Log(p)
		}
		mv[0][i], mv[1][i] = m, max(v-m*m, 0)
	}
	e.mean = append(e.mean, mv)
	for s := range f.States {
		e.p = append(e.p, probs[s])
		for _, c := range levels {
			row := make([]float64, e.n)
			for i := range row {
				row[i] = math.Log(c*probs[s][i] + (1-c)*bg[s])
			}
			e.rows = append(e.rows, row)
		}
		e.spread = append(e.spread, deviation(e.rows[len(e.rows)-nLevels]))
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

// Circumstances is everything known before looking: plant, place, month, hemisphere,
// and what this desk has confirmed lately (cause → count, already faded with
// Fade).
type Circumstances struct {
	Host   string             `json:"host,omitempty" doc:"host id; empty for an unknown plant"`
	Group  string             `json:"group,omitempty"`
	Family string             `json:"family,omitempty" doc:"family of an unknown plant, when known"`
	Form   string             `json:"form,omitempty" doc:"form of an unknown plant, when known"`
	Place  string             `json:"place,omitempty" enum:"indoors,greenhouse,balcony,garden,orchard,"`
	Month  int                `json:"month,omitempty" minimum:"0" maximum:"12" doc:"month of the year, 1-12; 0 when unknown"`
	South  bool               `json:"south,omitempty" doc:"southern hemisphere"`
	Desk   map[string]float64 `json:"desk,omitempty" doc:"confirmed cases of this desk per cause, faded over two years"`
}

// Look is one finding answered. Instrument is what was used: eye, lens, scope;
// empty means what the finding asks for.
type Look struct {
	Finding    string `json:"finding"`
	State      string `json:"state"`
	Certainty  string `json:"certainty,omitempty" enum:"sure,think,guess,"`
	Instrument string `json:"instrument,omitempty" enum:"eye,lens,scope,"`
}

// Fade is the weight of a confirmed case of an age in days: full today,
// nothing after two years.
func Fade(days float64) float64 { return max(0, 1-max(0, days)/FadeDays) }

// FadeDays is the age at which a confirmed case no longer counts: two years
// (judgement).
const FadeDays = 730

// deskWeight is how many confirmed cases weigh as much as the book (judgement).
const deskWeight = 60

// places and months a cause is seldom met in still happen: factors on the
// prior, all judgement.
const (
	offPlace        = .1
	offSeason       = .12
	offSeasonIndoor = .5 // under a roof the seasons blur
)

// addPriors works the rows of the prior out once: log factors per host, place
// and month.
func (e *Engine) addPriors() {
	row := func(f func(*knowledge.Cause) float64) []float64 {
		out := make([]float64, e.n)
		for i, c := range e.Base.Causes {
			out[i] = math.Log(f(c))
		}
		return out
	}
	e.hostRow = map[string][]float64{}
	for _, h := range e.Base.Hosts {
		e.hostRow[h.ID] = row(func(c *knowledge.Cause) float64 { return c.Affinity(h.ID, h.Group, h.Family, h.Form) })
	}
	e.placeRow = map[string][]float64{}
	for _, p := range knowledge.Places {
		e.placeRow[p] = row(func(c *knowledge.Cause) float64 {
			if len(c.Places) > 0 && !slices.Contains(c.Places, p) {
				return offPlace
			}
			return 1
		})
	}
	for m := 1; m <= 12; m++ {
		for roof, factor := range []float64{offSeason, offSeasonIndoor} {
			e.monthRow[m][roof] = row(func(c *knowledge.Cause) float64 {
				if len(c.Months) > 0 && !slices.Contains(c.Months, m) {
					return factor
				}
				return 1
			})
		}
	}
}

// Prior fills dst with the log prior of each cause, not normalised.
func (e *Engine) Prior(dst []float64, s Circumstances) {
	copy(dst, e.logCom)
	if row, ok := e.hostRow[s.Host]; ok {
		add(dst, row)
	} else {
		for i, c := range e.Base.Causes {
			dst[i] += math.Log(c.Affinity(s.Host, s.Group, s.Family, s.Form))
		}
	}
	add(dst, e.placeRow[s.Place])
	month := s.Month
	if s.South && month > 0 {
		month = (month+5)%12 + 1
	}
	if month > 0 && month <= 12 {
		roof := 0
		if s.Place == "indoors" || s.Place == "greenhouse" {
			roof = 1
		}
		add(dst, e.monthRow[month][roof])
	}
	e.addDesk(dst, s.Desk)
}

func add(dst, row []float64) {
	for i, v := range row {
		dst[i] += v
	}
}

// addDesk leans the prior towards what this desk has confirmed lately.
func (e *Engine) addDesk(dst []float64, desk map[string]float64) {
	total := 0.0
	for _, n := range desk {
		total += n
	}
	if total == 0 {
		return
	}
	for i, c := range e.Base.Causes {
		q := c.Common() / e.common
		dst[i] += math.Log(min(5, max(.2, (deskWeight*q+desk[c.ID])/((deskWeight+total)*q))))
	}
}

// looked is a look resolved to its row and weight.
type looked struct {
	Look
	find, row, level int
	weight           float64
}

// resolve sorts the looks (so that their order never matters), keeps the last
// of two answers to one finding out, and discounts within clusters: the
// strongest counts full, the next half, then a quarter.
func (e *Engine) resolve(looks []Look) []looked {
	out := make([]looked, 0, len(looks))
	for _, l := range looks {
		fi, ok := e.finds[l.Finding]
		if !ok {
			continue
		}
		f := e.Base.Findings[fi]
		st := f.State(l.State)
		if st < 0 {
			continue
		}
		level := certainties[l.Certainty]
		if f.How == "lens" && l.Instrument == "eye" || f.How == "scope" && (l.Instrument == "eye" || l.Instrument == "lens") {
			level += 3
		}
		out = append(out, looked{l, fi, e.offset[fi] + st, level, 1})
	}
	slices.SortFunc(out, func(a, b looked) int {
		if a.find != b.find {
			return a.find - b.find
		}
		return a.row - b.row
	})
	out = slices.CompactFunc(out, func(a, b looked) bool { return a.find == b.find })
	e.discount(out)
	return out
}

func (e *Engine) discount(looks []looked) {
	for i := range looks {
		cl := e.Base.Findings[looks[i].find].Cluster
		if cl == "" {
			continue
		}
		rank := 0
		mine := e.spread[looks[i].row] * levels[looks[i].level]
		for j := range looks {
			if i == j || e.Base.Findings[looks[j].find].Cluster != cl {
				continue
			}
			other := e.spread[looks[j].row] * levels[looks[j].level]
			if other > mine || other == mine && j < i {
				rank++
			}
		}
		looks[i].weight = math.Pow(.5, float64(rank))
	}
}

// Posterior fills dst with the normalised log posterior of every cause, in the
// order of Base.Causes; dst has the length of Base.Causes. Only the list of
// looks is allocated, nothing per cause.
func (e *Engine) Posterior(dst []float64, s Circumstances, looks []Look) {
	e.Prior(dst, s)
	e.add(dst, e.resolve(looks))
}

func (e *Engine) add(dst []float64, looks []looked) {
	for _, l := range looks {
		row := e.rows[l.row*nLevels+l.level]
		if l.weight == 1 {
			for i, v := range row {
				dst[i] += v
			}
			continue
		}
		for i, v := range row {
			dst[i] += l.weight * v
		}
	}
	normalise(dst)
}

func normalise(x []float64) {
	m := math.Inf(-1)
	for _, v := range x {
		m = max(m, v)
	}
	sum := 0.0
	for _, v := range x {
		if d := v - m; d > -40 {
			sum += math.Exp(d)
		}
	}
	m += math.Log(sum)
	for i := range x {
		x[i] -= m
	}
}

// order returns cause indices, most likely first; ties by id.
func order(logp []float64) []int {
	idx := make([]int, len(logp))
	for i := range idx {
		idx[i] = i
	}
	sort.SliceStable(idx, func(a, b int) bool { return logp[idx[a]] > logp[idx[b]] })
	return idx
}

// Decibans of a natural-log ratio.
func decibans(ln float64) float64 { return ln * 10 / math.Ln10 }
