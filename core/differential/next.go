package differential

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"botanik/core/fault"
)

// Outcome is what one answer would do to the list.
type Outcome struct {
	State string  `json:"state"`
	Name  string  `json:"name"`
	P     float64 `json:"p"` // how likely that answer is
	Top   string  `json:"top"`
	TopP  float64 `json:"topP"`
	Text  string  `json:"text"`
}

// NextLook is an open finding with what it is worth.
type NextLook struct {
	Finding     string    `json:"finding"`
	Name        string    `json:"name"`
	LossDrop    float64   `json:"lossDrop"` // expected drop of decision loss
	Bits        float64   `json:"bits"`     // expected information
	Minutes     float64   `json:"minutes"`
	Destructive bool      `json:"destructive"`
	Score       float64   `json:"score"` // per minute of work
	Outcomes    []Outcome `json:"outcomes"`
}

// Loss of deciding for group g when the truth is of another group: 1 for a
// wrong treatment, more when a helper would be treated or a regulated cause
// missed (judgement), and a little for a wrong name inside the right group.
const (
	lossWrong     = 1.0
	lossHelper    = 2.0
	lossRegulated = 3.0
	lossName      = .12
	lookOverhead  = .5 // minutes lost in turning to any look
	hindsight     = .5 // what a first impression is still worth once other things were looked at
	worthBits     = .3 // a bit is worth this much loss when no decision hangs on it
)

// nextLooks ranks the open findings by expected drop in decision loss, then
// information, per minute; a destructive look stands behind a gentle one that
// does nearly as well. Causes below one in two thousand are left out of the
// sum: they cannot move it.
func (e *Engine) nextLooks(post []float64, got []looked, keep int) []NextLook {
	live, p := e.live(post)
	if len(live) < 2 {
		return []NextLook{}
	}
	answered := make([]bool, len(e.Base.Findings))
	clusters := map[string]int{}
	for _, l := range got {
		answered[l.find] = true
		if c := e.Base.Findings[l.find].Cluster; c != "" {
			clusters[c]++
		}
	}
	w := newWork(e, live)
	base := w.loss(p)
	out := make([]NextLook, 0, len(e.Base.Findings))
	for fi, f := range e.Base.Findings {
		if answered[fi] {
			continue
		}
		drop, bits := w.value(e, fi, p, base)
		// A second look at the same thing tells less, as when it is scored.
		k := math.Pow(.5, float64(clusters[f.Cluster]))
		if f.Cluster == "" {
			k = 1
		}
		// Asked after other looks, a first impression is half hindsight.
		if f.Fresh && len(got) > 0 {
			k *= hindsight
		}
		drop, bits = drop*k, bits*k
		if bits < 1e-4 {
			continue
		}
		out = append(out, NextLook{Finding: f.ID, Name: f.Name, LossDrop: drop, Bits: bits, Minutes: f.Minutes, Destructive: f.Destructive, Score: (drop + worthBits*bits) / (min(f.Minutes, 30) + lookOverhead)})
	}
	slices.SortStableFunc(out, func(a, b NextLook) int { return cmp.Compare(b.Score, a.Score) })
	gentleFirst(out)
	out = out[:min(keep, len(out))]
	for i := range out {
		out[i].Outcomes = e.outcomes(out[i].Finding, live, p)
	}
	return out
}

func (e *Engine) live(post []float64) (idx []int, p []float64) {
	sum := 0.0
	for i, lp := range post {
		if lp > math.Log(1.0/2000) {
			idx = append(idx, i)
			v := math.Exp(lp)
			p = append(p, v)
			sum += v
		}
	}
	for i := range p {
		p[i] /= sum
	}
	return idx, p
}

// gentleFirst moves a gentle look ahead of a destructive one when it is worth
// at least 80 per cent as much.
func gentleFirst(out []NextLook) {
	for i := range out {
		if !out[i].Destructive {
			continue
		}
		for j := i + 1; j < len(out); j++ {
			if !out[j].Destructive && out[j].Score >= .8*out[i].Score {
				g := out[j]
				copy(out[i+1:j+1], out[i:j])
				out[i] = g
				break
			}
		}
	}
}

// work holds the scratch of one call.
type work struct {
	live  []int
	group []int // dense group of each live cause
	ng    int
	kind  []int // 0 ordinary, 1 helper or harmless, 2 regulated
	gKind []int // kind of what a group's plan is
	mass  [][3]float64
	best  []float64
	q     []float64
}

func newWork(e *Engine, live []int) *work {
	w := &work{live: live, q: make([]float64, len(live))}
	dense := map[int]int{}
	for _, i := range live {
		g, ok := dense[e.groups[i]]
		if !ok {
			g = len(dense)
			dense[e.groups[i]] = g
			w.gKind = append(w.gKind, 0)
		}
		k := 0
		c := e.Base.Causes[i]
		if c.Kind == "helper" {
			k = 1
		}
		if c.Regulated != "" {
			k = 2
		}
		w.gKind[g] = max(w.gKind[g], k)
		w.group = append(w.group, g)
		w.kind = append(w.kind, k)
	}
	w.ng = len(dense)
	w.mass = make([][3]float64, w.ng)
	w.best = make([]float64, w.ng)
	return w
}

// loss is the least expected loss over the plans, for weights that need not
// sum to one.
func (w *work) loss(p []float64) float64 {
	clear(w.mass)
	clear(w.best)
	var all [3]float64
	for i, v := range p {
		g := w.group[i]
		w.mass[g][w.kind[i]] += v
		w.best[g] = max(w.best[g], v)
		all[w.kind[i]] += v
	}
	least := math.Inf(1)
	for g := range w.mass {
		m := w.mass[g]
		l := lossWrong*(all[0]-m[0]) + lossHelper*(all[1]-m[1]) + lossRegulated*(all[2]-m[2])
		l += lossName * (m[0] + m[1] + m[2] - w.best[g])
		least = min(least, l)
	}
	return least
}

// value returns expected loss drop and expected information in bits.
func (w *work) value(e *Engine, fi int, p []float64, base float64) (drop, bits float64) {
	f := e.Base.Findings[fi]
	after := 0.0
	for s := range f.States {
		row := e.p[e.offset[fi]+s]
		ps := 0.0
		for k, i := range w.live {
			w.q[k] = p[k] * row[i]
			ps += w.q[k]
		}
		after += w.loss(w.q)
		lp := math.Log2(ps)
		for k, i := range w.live {
			if w.q[k] > 1e-9 {
				bits += w.q[k] * (e.rows[(e.offset[fi]+s)*nLevels][i]/math.Ln2 - lp)
			}
		}
	}
	return max(0, base-after), max(0, bits)
}

// outcomes says what each answer would do to the first two of the list. Only
// the live causes (indices with their probabilities) can get there.
func (e *Engine) outcomes(finding string, live []int, p []float64) []Outcome {
	fi := e.finds[finding]
	f := e.Base.Findings[fi]
	out := make([]Outcome, 0, len(f.States))
	for s, st := range f.States {
		row := e.p[e.offset[fi]+s]
		ps, a, b := 0.0, 0, 0
		var qa, qb float64
		for k, i := range live {
			q := p[k] * row[i]
			ps += q
			switch {
			case q > qa:
				b, qb = a, qa
				a, qa = i, q
			case q > qb:
				b, qb = i, q
			}
		}
		o := Outcome{State: st.ID, Name: st.Name, P: ps, Top: e.Base.Causes[a].ID, TopP: qa / ps}
		o.Text = fmt.Sprintf("%s %.0f", e.Base.Causes[a].Name, 100*o.TopP)
		if o.TopP < .85 && qb > 0 {
			o.Text += fmt.Sprintf(", %s %.0f", e.Base.Causes[b].Name, 100*qb/ps)
		}
		out = append(out, o)
	}
	return out
}

// SplitLook is a finding that tells some causes apart.
type SplitLook struct {
	Finding    string     `json:"finding"`
	Name       string     `json:"name"`
	Divergence float64    `json:"divergence"` // Jeffreys, nats, summed over pairs
	Minutes    float64    `json:"minutes"`
	PerMinute  float64    `json:"perMinute"`
	Expect     [][]string `json:"expect"` // per cause: the states it brings most
}

// Split ranks findings by how well they tell two or three causes apart, by
// Jeffreys divergence Σ(p−q)·ln(p/q) per minute. Errors: an unknown cause, or
// other than two or three of them.
func (e *Engine) Split(causes []string) ([]SplitLook, error) {
	var l fault.List
	if len(causes) < 2 || len(causes) > 3 {
		l.Add("causes", "a split takes two or three causes", "name two or three")
	}
	idx := []int{}
	for n, id := range causes {
		i, ok := e.cause[id]
		if !ok {
			l.Add(fmt.Sprintf("causes[%d]", n), fmt.Sprintf("%q is not a cause of the herbarium", id), "use an id from kb list causes")
			continue
		}
		if slices.Contains(idx, i) {
			l.Add(fmt.Sprintf("causes[%d]", n), "stands twice", "name different causes")
		}
		idx = append(idx, i)
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	out := []SplitLook{}
	for fi, f := range e.Base.Findings {
		d := 0.0
		for x, a := range idx {
			for _, b := range idx[x+1:] {
				for s := range f.States {
					p, q := e.p[e.offset[fi]+s][a], e.p[e.offset[fi]+s][b]
					d += (p - q) * math.Log(p/q)
				}
			}
		}
		if d < .05 {
			continue
		}
		look := SplitLook{Finding: f.ID, Name: f.Name, Divergence: d, Minutes: f.Minutes, PerMinute: d / (min(f.Minutes, 30) + lookOverhead)}
		for _, i := range idx {
			names := []string{}
			for s, st := range f.States {
				if e.p[e.offset[fi]+s][i] >= .3 {
					names = append(names, st.Name)
				}
			}
			look.Expect = append(look.Expect, names)
		}
		out = append(out, look)
	}
	slices.SortStableFunc(out, func(a, b SplitLook) int { return cmp.Compare(b.PerMinute, a.PerMinute) })
	return out, nil
}

// Next gives the looks that would tell most, best first, at most keep.
func (e *Engine) Next(s Circumstances, looks []Look, keep int) []NextLook {
	post := make([]float64, e.n)
	e.Prior(post, s)
	got := e.resolve(looks)
	e.add(post, got)
	return e.nextLooks(post, got, keep)
}
