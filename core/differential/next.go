package differential

import (
	"cmp"
	"fmt"
	"math"
	"slices"
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
	Outcomes    []Outcome `json:"outcomes,omitempty" doc:"of the look to take first: what each answer makes of the list"`
}

// Loss of deciding for group g when the truth is of another group: 1 for a
// wrong treatment, more when a helper would be treated or a regulated cause
// missed (judgement), and a little for a wrong name inside the right group.
const (
	lossWrong     = 1.0
	lossHelper    = 2.0
	lossRegulated = 3.0
	lossName      = .12
	lossSentOn    = .5 // a laboratory asked about what the desk could have told
	lookOverhead  = .5 // minutes lost in turning to any look
	hindsight     = .5 // what a first impression is still worth once other things were looked at
	worthBits     = .3 // a bit is worth this much loss when no decision hangs on it
)

// nextLooks ranks the open findings by expected drop in decision loss, then
// information, per minute; a destructive look stands behind a gentle one that
// does nearly as well. "Not in the book" takes part. Causes below one in two
// thousand are left out of the sum: they cannot move it. It returns the best keep
// of them, and the ids of all in order.
//
// What the grower only told of, and the likely cause must have shown to an eye, is
// asked too, valued as if it had not been told.
func (e *Engine) nextLooks(k *reckoning, looks []Look, keep int) ([]NextLook, []string) {
	w := e.newWork(k)
	if len(w.live) < 2 {
		return []NextLook{}, []string{}
	}
	answered := make([]bool, len(e.Base.Findings))
	clusters := map[string]int{}
	for _, x := range k.got {
		answered[x.find] = true
		if c := e.Base.Findings[x.find].Cluster; c != "" {
			clusters[c]++
		}
	}
	base := w.loss(w.p, w.out)
	left := e.leftToSettle(k)
	again := e.toldOnly(k, looks)
	out := make([]NextLook, 0, len(e.Base.Findings))
	for fi, f := range e.Base.Findings {
		w, base := w, base
		if answered[fi] {
			if w = again[f.ID]; w == nil {
				continue
			}
			base = w.loss(w.p, w.out)
		}
		drop, bits := w.value(e, fi, base)
		// A second look at the same thing tells less, as when it is scored.
		others := clusters[f.Cluster]
		if answered[fi] {
			others-- // it is no second look at itself
		}
		scale := math.Pow(.5, float64(others))
		if f.Cluster == "" {
			scale = 1
		}
		// Asked after other looks, a first impression is half hindsight.
		if f.Fresh && len(k.got) > 0 {
			scale *= hindsight
		}
		drop, bits = drop*scale, bits*scale
		if bits < 1e-4 && !slices.Contains(left, f.ID) {
			continue
		}
		out = append(out, NextLook{Finding: f.ID, Name: f.Name, LossDrop: drop, Bits: bits, Minutes: f.Minutes, Destructive: f.Destructive, Score: (drop + worthBits*bits) / (min(f.Minutes, 30) + lookOverhead)})
	}
	slices.SortFunc(out, func(a, b NextLook) int {
		return cmp.Or(cmp.Compare(even(b.Score), even(a.Score)), cmp.Compare(a.Finding, b.Finding))
	})
	gentleFirst(out)
	slices.SortStableFunc(out, func(a, b NextLook) int {
		return cmp.Compare(rankIn(left, a.Finding), rankIn(left, b.Finding))
	})
	tell := make([]string, len(out))
	for i, n := range out {
		tell[i] = n.Finding
	}
	out = out[:min(keep, len(out))]
	if len(out) > 0 {
		at := w
		if told := again[out[0].Finding]; told != nil {
			at = told
		}
		out[0].Outcomes = e.outcomes(k, at, looks, out[0].Finding)
	}
	return out, tell
}

// toldOnly gives, of the findings a likely leader must have been looked at for, those
// the grower only told of: each with the work of the case as it stands without it.
func (e *Engine) toldOnly(k *reckoning, looks []Look) map[string]*work {
	lead := k.idx[0]
	if k.p(lead) < likelyAt {
		return nil
	}
	out := map[string]*work{}
	must := e.Base.Causes[lead].MustLook
	for _, x := range k.got {
		f := e.reads[x.find].find
		if !slices.Contains(must, f.ID) || f.How == "asked" || !e.story(x) {
			continue
		}
		rest := slices.DeleteFunc(slices.Clone(looks), func(l Look) bool { return l.Finding == f.ID })
		if w := e.newWork(e.reckon(k.set, rest)); len(w.live) > 1 {
			out[f.ID] = w
		}
	}
	return out
}

// leftToSettle is what stands between a clear leader and a settled verdict: what it
// must have looked at, then a sign that would confirm it. Nothing while the leader is
// not clear, or when no desk can settle it: then what tells most comes first.
func (e *Engine) leftToSettle(k *reckoning) []string {
	lead := k.idx[0]
	c := e.Base.Causes[lead]
	if len(k.got) == 0 || c.LabOnly != "" || c.Regulated != "" || k.p(lead) < SettledAt || e.ahead(k, lead) < AheadAt {
		return nil
	}
	var out []string
	for _, m := range e.mustLook(c, k.got) {
		if m.Finding != "" {
			out = append(out, m.Finding)
		}
	}
	if len(out) == 0 && !e.confirmed(lead, k) && !e.lookAlikesExcluded(lead, k) {
		for _, s := range c.Confirms {
			if f := e.Base.Finding(s.Finding); f != nil && !f.Destructive && f.How != "lab" {
				out = append(out, s.Finding)
			}
		}
	}
	return out
}

// rankIn is the place of an id in a short list, behind all of it when it is not there.
func rankIn(list []string, id string) int {
	if i := slices.Index(list, id); i >= 0 {
		return i
	}
	return len(list)
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
	p     []float64 // chance of each live cause
	out   float64   // chance of what is not in the book
	group []int     // dense group of each live cause
	kind  []int     // 0 ordinary, 1 helper or harmless, 2 regulated
	mass  [][3]float64
	best  []float64
	q     []float64
	mix   []float64 // chance of each live cause before looking: what the unlisted show
}

func (e *Engine) newWork(k *reckoning) *work {
	w := &work{out: k.not.share()}
	sum, before := w.out, 0.0
	for i, lp := range k.post {
		if lp > math.Log(1.0/2000) {
			w.live = append(w.live, i)
			w.p = append(w.p, math.Exp(lp))
			sum += math.Exp(lp)
			w.mix = append(w.mix, math.Exp(k.prior[i]))
			before += math.Exp(k.prior[i])
		}
	}
	w.out /= sum
	dense := map[int]int{}
	for n, i := range w.live {
		w.p[n] /= sum
		w.mix[n] /= before
		g, ok := dense[e.groups[i]]
		if !ok {
			g = len(dense)
			dense[e.groups[i]] = g
		}
		kind := 0
		c := e.Base.Causes[i]
		if c.Kind == "helper" {
			kind = 1
		}
		if c.Regulated != "" || c.Danger != "" {
			kind = 2
		}
		w.group = append(w.group, g)
		w.kind = append(w.kind, kind)
	}
	w.q = make([]float64, len(w.live))
	w.mass = make([][3]float64, len(dense))
	w.best = make([]float64, len(dense))
	return w
}

// loss is the least expected loss over the plans and over sending it on, for
// weights that need not sum to one; out is that of what is not in the book.
func (w *work) loss(p []float64, out float64) float64 {
	clear(w.mass)
	clear(w.best)
	var all [3]float64
	for i, v := range p {
		g := w.group[i]
		w.mass[g][w.kind[i]] += v
		w.best[g] = max(w.best[g], v)
		all[w.kind[i]] += v
	}
	least := lossSentOn * (all[0] + all[1])
	for g := range w.mass {
		m := w.mass[g]
		l := lossWrong*(all[0]-m[0]+out) + lossHelper*(all[1]-m[1]) + lossRegulated*(all[2]-m[2])
		l += lossName * (m[0] + m[1] + m[2] - w.best[g])
		least = min(least, l)
	}
	return least
}

// unlistedShows is the chance of a state (row of the engine) in what is not in the
// book: what the listed show before looking, softened by any plant at all.
func (w *work) unlistedShows(row []float64, bg float64) float64 {
	sum := 0.0
	for k, i := range w.live {
		sum += w.mix[k] * row[i]
	}
	return unlistedSoft*bg + (1-unlistedSoft)*sum
}

// value returns expected loss drop and expected information in bits.
func (w *work) value(e *Engine, fi int, base float64) (drop, bits float64) {
	r := &e.reads[fi]
	after := 0.0
	for s := range r.find.States {
		row := e.alone[r.at+s]
		qo := w.out * w.unlistedShows(row, r.bg[s])
		ps := qo
		for k, i := range w.live {
			w.q[k] = w.p[k] * row[i]
			ps += w.q[k]
		}
		after += w.loss(w.q, qo)
		lp := math.Log2(ps)
		for k, i := range w.live {
			if w.q[k] > 1e-9 {
				bits += w.q[k] * (e.bits[r.at+s][i] - lp)
			}
		}
		if qo > 1e-9 {
			bits += qo * (math.Log2(qo/w.out) - lp)
		}
	}
	return max(0, base-after), max(0, bits)
}

// outcomes says what each answer, sure and looked for as the finding asks, would do to
// the first two of the list: the shares that stand there once it is written.
func (e *Engine) outcomes(k *reckoning, w *work, looks []Look, finding string) []Outcome {
	r := &e.reads[e.finds[finding]]
	rest := slices.DeleteFunc(slices.Clone(looks), func(l Look) bool { return l.Finding == finding })
	out := make([]Outcome, 0, len(r.find.States))
	post := make([]float64, e.n)
	total := 0.0
	for s, st := range r.find.States {
		row := e.alone[r.at+s]
		ps := w.out * w.unlistedShows(row, r.bg[s])
		for n, i := range w.live {
			ps += w.p[n] * row[i]
		}
		copy(post, k.prior)
		not := e.add(post, k.set, e.resolve(append(rest[:len(rest):len(rest)], Look{Finding: finding, State: st.ID})))
		first := shared{"", "not in this book", math.Log(not.share())}
		second := shared{p: math.Inf(-1)}
		for i, p := range post {
			switch c := e.Base.Causes[i]; {
			case p > first.p:
				first, second = shared{c.ID, c.Name, p}, first
			case p > second.p:
				second = shared{c.ID, c.Name, p}
			}
		}
		o := Outcome{State: st.ID, Name: st.Name, P: ps, Top: first.id, TopP: math.Exp(first.p)}
		o.Text = fmt.Sprintf("%s %.0f", first.name, 100*o.TopP)
		if o.TopP < .85 && second.name != "" {
			o.Text += fmt.Sprintf(", %s %.0f", second.name, 100*math.Exp(second.p))
		}
		total += ps
		out = append(out, o)
	}
	for i := range out { // background and shares are near one whole, not on it
		out[i].P /= total
	}
	return out
}

// shared is who has a share of the list, as a natural log; without id what is not in
// the book.
type shared struct {
	id, name string
	p        float64
}

// Next gives the looks that would tell most, best first, at most keep.
func (e *Engine) Next(s Circumstances, looks []Look, keep int) []NextLook {
	out, _ := e.nextLooks(e.reckon(s, looks), looks, keep)
	return out
}

// even takes off what only the order of a sum made different.
func even(score float64) float64 { return math.Round(score * 1e9) }
