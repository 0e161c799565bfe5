package differential

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
)

// The words a verdict can have.
const (
	Settled      = "settled"
	Working      = "working"
	Open         = "open"
	Undetermined = "undetermined"
)

// Weight is what one look says for the leader against a rival.
type Weight struct {
	Finding  string  `json:"finding"`
	Short    string  `json:"short"`
	Said     string  `json:"said"`
	Decibans float64 `json:"decibans"` // positive: for the leader
}

// Candidate is a cause with its probability and reasons.
type Candidate struct {
	Cause    string   `json:"cause"`
	Name     string   `json:"name"`
	Kind     string   `json:"kind"`
	Group    string   `json:"group"`
	P        float64  `json:"p"`
	For      []Weight `json:"for"`     // against background, strongest first
	Against  []Weight `json:"against"` // negative decibans, strongest first
	Reason   string   `json:"reason"`  // one plain sentence
	Regulate bool     `json:"regulated"`
	Confirm  bool     `json:"confirmed"` // a confirming sign of it was seen
}

// Pair is two causes at once.
type Pair struct {
	Causes   [2]string `json:"causes"`
	Names    [2]string `json:"names"`
	Decibans float64   `json:"decibans"` // ahead of the best single cause
}

// SamePlan is a treatment group with the share of belief it holds.
type SamePlan struct {
	Group  string   `json:"group"`
	P      float64  `json:"p"`
	Causes []string `json:"causes"`
}

// Ranking is the whole answer.
type Ranking struct {
	Verdict    string      `json:"verdict"`
	Other      string      `json:"other"` // the word to begin with for a cause an advisor prefers to the leader
	Why        []string    `json:"why"`   // why that word, in plain sentences
	Candidates []Candidate `json:"candidates"`
	Leader     string      `json:"leader"`
	Rival      string      `json:"rival"`     // strongest treated differently
	Tilt       []Weight    `json:"tilt"`      // every look, leader against rival
	TiltTotal  float64     `json:"tiltTotal"` // decibans, prior included
	TiltPrior  float64     `json:"tiltPrior"` // decibans from plant, place, season
	NoneFits   bool        `json:"noneFits"`
	FitZ       float64     `json:"fitZ"` // standard deviations below the leader's own expectation
	Pairs      []Pair      `json:"pairs"`
	Plans      []SamePlan  `json:"plans"`
	Stop       string      `json:"stop"`   // advice that looking can end
	Alarms     []string    `json:"alarms"` // helper or regulated among the candidates
	Next       []NextLook  `json:"next"`
	Looked     int         `json:"looked"`
}

// Check refuses looks and settings the base does not know, naming each.
func (e *Engine) Check(s Circumstances, looks []Look) error {
	var l fault.List
	if s.Host != "" && e.Base.Host(s.Host) == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", s.Host), "use an id from kb list hosts, or leave it out and give family or form")
	}
	if s.Place != "" && !slices.Contains(knowledge.Places, s.Place) {
		l.Add("place", fmt.Sprintf("%q is not a place", s.Place), "use "+strings.Join(knowledge.Places, ", "))
	}
	if s.Month < 0 || s.Month > 12 {
		l.Add("month", "is not 1 to 12", "give the month as a number")
	}
	seen := map[string]string{}
	for i, k := range looks {
		at := fmt.Sprintf("looks[%d]", i)
		f := e.Base.Finding(k.Finding)
		if f == nil {
			l.Add(at+".finding", fmt.Sprintf("%q is not a finding of the herbarium", k.Finding), "use an id from kb list findings")
			continue
		}
		if f.State(k.State) < 0 {
			names := make([]string, len(f.States))
			for j, st := range f.States {
				names[j] = st.ID
			}
			l.Add(at+".state", fmt.Sprintf("%s has no state %q", k.Finding, k.State), "use "+strings.Join(names, ", "))
		}
		if was, ok := seen[k.Finding]; ok && was != k.State {
			l.Add(at+".state", k.Finding+" is answered twice, and differently", "keep one answer")
		}
		seen[k.Finding] = k.State
		if _, ok := certainties[k.Certainty]; !ok {
			l.Add(at+".certainty", fmt.Sprintf("%q is not a certainty", k.Certainty), "use sure, think or guess")
		}
		if !slices.Contains([]string{"", "eye", "lens", "scope"}, k.Instrument) {
			l.Add(at+".instrument", fmt.Sprintf("%q is not an instrument", k.Instrument), "use eye, lens or scope")
		}
	}
	return l.Err()
}

// Rank answers a case. The looks must have passed Check.
func (e *Engine) Rank(s Circumstances, looks []Look) Ranking {
	prior := make([]float64, e.n)
	e.Prior(prior, s)
	post := slices.Clone(prior)
	got := e.resolve(looks)
	e.add(post, got)
	idx := order(post)
	r := Ranking{Looked: len(got), Pairs: []Pair{}, Alarms: []string{}, Why: []string{}, Tilt: []Weight{}}
	if len(idx) == 0 {
		r.Verdict, r.Other = Open, Open
		return r
	}
	lead := idx[0]
	rival := -1
	for _, i := range idx[1:] {
		if e.groups[i] != e.groups[lead] {
			rival = i
			break
		}
	}
	r.Leader = e.Base.Causes[lead].ID
	shown := 0
	for _, i := range idx {
		if shown >= 3 && (math.Exp(post[i]) < .01 || shown >= 12) {
			break
		}
		r.Candidates = append(r.Candidates, e.candidate(i, lead, math.Exp(post[i]), got))
		shown++
	}
	if rival >= 0 {
		r.Rival = e.Base.Causes[rival].ID
		r.Tilt, r.TiltTotal = e.tilt(lead, rival, got)
		r.TiltPrior = decibans(prior[lead] - prior[rival])
		r.TiltTotal += r.TiltPrior
	}
	r.FitZ, r.NoneFits = e.fit(lead, got)
	r.Plans = e.plans(post, idx)
	if len(got) > 1 {
		r.Pairs = e.pairs(prior, idx, got)
	}
	e.verdict(&r, lead, post, got)
	if r.Other = Open; r.NoneFits {
		r.Other = Undetermined
	}
	e.alarms(&r, idx, post)
	r.Next = e.nextLooks(post, got, 6)
	e.stop(&r)
	return r
}

// fit measures how far the leader's log likelihood lies below what it would
// itself expect, in standard deviations, and whether a plain contradiction
// stands: a sign seen for sure that it calls never or rare and no other cause
// in the list explains.
func (e *Engine) fit(lead int, got []looked) (float64, bool) {
	if len(got) < 2 {
		return 0, false
	}
	ll, mean, variance := 0.0, 0.0, 0.0
	orphan := false
	for _, l := range got {
		c := levels[l.level]
		row := e.rows[l.row*nLevels+l.level]
		ll += l.weight * row[lead]
		m, v := e.expected(l.find, lead, l.level)
		mean += l.weight * m
		variance += l.weight * l.weight * v
		st := e.Base.Findings[l.find].States[l.row-e.offset[l.find]]
		if c == 1 && !st.Absent && e.p[l.row][lead] <= .031 {
			bg := e.Base.Findings[l.find].Background()[l.row-e.offset[l.find]]
			best := 0.0
			for i := range e.p[l.row] {
				best = max(best, e.p[l.row][i])
			}
			// A state odd for the leader but quite ordinary on any plant is
			// no contradiction; one only other causes bring is.
			if e.p[l.row][lead] < .3*bg && best > .3 {
				orphan = true
			}
		}
	}
	z := 0.0
	if variance > 1e-9 {
		z = (ll - mean) / math.Sqrt(variance)
	}
	return z, z < -2.5 || orphan && z < -1.5
}

func (e *Engine) expected(find, cause, level int) (m, v float64) {
	if level == 0 {
		return e.mean[find][0][cause], e.mean[find][1][cause]
	}
	f := e.Base.Findings[find]
	for s := range f.States {
		lp := e.rows[(e.offset[find]+s)*nLevels+level][cause]
		p := math.Exp(lp)
		m += p * lp
		v += p * lp * lp
	}
	return m, max(v-m*m, 0)
}

func (e *Engine) plans(post []float64, idx []int) []SamePlan {
	share := make([]float64, len(e.gname))
	for i, lp := range post {
		share[e.groups[i]] += math.Exp(lp)
	}
	out := []SamePlan{}
	seen := map[int]int{}
	for _, i := range idx {
		g := e.groups[i]
		at, ok := seen[g]
		if !ok {
			if share[g] < .01 || len(out) >= 6 {
				continue
			}
			at = len(out)
			seen[g] = at
			out = append(out, SamePlan{e.gname[g], share[g], []string{}})
		}
		if math.Exp(post[i]) >= .01 {
			out[at].Causes = append(out[at].Causes, e.Base.Causes[i].Name)
		}
	}
	slices.SortStableFunc(out, func(a, b SamePlan) int { return cmp.Compare(b.P, a.P) })
	return out
}

// pairs looks for two causes at once among the dozen likeliest and those that
// explain single looks best: P = 1−(1−p1)(1−p2) for a present state, prior
// product times 0.2; reported when ahead of the best single by 6 decibans.
func (e *Engine) pairs(prior []float64, idx []int, got []looked) []Pair {
	pr := slices.Clone(prior)
	normalise(pr)
	pick := map[int]bool{}
	for _, i := range idx[:min(12, len(idx))] {
		pick[i] = true
	}
	for _, l := range got {
		best, at := math.Inf(-1), -1
		for i := range pr {
			if v := e.rows[l.row*nLevels][i]*2 + pr[i]; v > best {
				best, at = v, i
			}
		}
		pick[at] = true
	}
	list := make([]int, 0, len(pick))
	for i := range pick {
		list = append(list, i)
	}
	slices.Sort(list)
	single := math.Inf(-1)
	for i := range pr {
		s := pr[i]
		for _, l := range got {
			s += l.weight * e.rows[l.row*nLevels+l.level][i]
		}
		single = max(single, s)
	}
	out := []Pair{}
	for x, a := range list {
		for _, b := range list[x+1:] {
			if e.groups[a] == e.groups[b] || e.Base.Causes[a].Kind == "harmless" || e.Base.Causes[b].Kind == "harmless" {
				continue
			}
			s := pr[a] + pr[b] + math.Log(.2)
			for _, l := range got {
				s += l.weight * math.Log(e.both(l, a, b))
			}
			if d := decibans(s - single); d >= 6 {
				ca, cb := e.Base.Causes[a], e.Base.Causes[b]
				out = append(out, Pair{[2]string{ca.ID, cb.ID}, [2]string{ca.Name, cb.Name}, d})
			}
		}
	}
	slices.SortStableFunc(out, func(a, b Pair) int { return cmp.Compare(b.Decibans, a.Decibans) })
	return out[:min(3, len(out))]
}

// both is the chance of a look's state when two causes are at work.
func (e *Engine) both(l looked, a, b int) float64 {
	f := e.Base.Findings[l.find]
	bg := f.Background()
	want, sum := 0.0, 0.0
	for s, st := range f.States {
		row := e.p[e.offset[l.find]+s]
		p := 1 - (1-row[a])*(1-row[b])
		if st.Absent {
			p = row[a] * row[b]
		}
		sum += p
		if e.offset[l.find]+s == l.row {
			want = p
		}
	}
	c := levels[l.level]
	return c*want/sum + (1-c)*bg[l.row-e.offset[l.find]]
}

func (e *Engine) verdict(r *Ranking, lead int, post []float64, got []looked) {
	c := e.Base.Causes[lead]
	p := math.Exp(post[lead])
	say := func(f string, a ...any) { r.Why = append(r.Why, fmt.Sprintf(f, a...)) }
	if len(got) == 0 {
		r.Verdict = Open
		say("Nothing has been looked at yet.")
		return
	}
	if r.NoneFits {
		r.Verdict = Undetermined
		say("What was seen does not fit %s, or anything else here, well enough.", c.Name)
		return
	}
	ahead := math.Inf(1)
	if r.Rival != "" {
		ahead = decibans(post[lead] - post[e.cause[r.Rival]])
	}
	confirmed := r.Candidates[0].Confirm
	lookOut := e.lookAlikesExcluded(lead, post, got)
	switch {
	case p >= .9 && ahead >= 10 && (confirmed || lookOut):
		r.Verdict = Settled
		say("%s holds %.0f in 100 and leads what would be treated differently by %.0f decibans.", c.Name, p*100, min(ahead, 99))
		if confirmed {
			say("A confirming sign was seen.")
		} else {
			say("Its look-alikes are ruled out by what was looked at.")
		}
	case p >= .6:
		r.Verdict = Working
		switch {
		case p < .9:
			say("%s holds %.0f in 100; 90 would settle it.", c.Name, p*100)
		case ahead < 10:
			say("A cause treated differently is only %.0f decibans behind.", ahead)
		default:
			say("No confirming sign has been seen yet, and a look-alike is not ruled out by looking.")
		}
	default:
		r.Verdict = Open
		say("No cause holds 60 in 100 yet.")
	}
	if r.Verdict == Settled && (c.LabOnly != "" || c.Regulated != "") {
		r.Verdict = Working
		why := c.LabOnly
		if c.Regulated != "" {
			why = c.Regulated
		}
		r.Why = append(r.Why, "A desk cannot settle this one: "+why)
	}
}

// lookAlikesExcluded reports whether every look-alike of the leader was ruled
// out by looking (ten decibans or more of looks against it), not merely by
// season or rarity: a trainee names the first thing that fits.
func (e *Engine) lookAlikesExcluded(lead int, post []float64, got []looked) bool {
	list := e.Base.Causes[lead].LookAlikes
	for _, l := range list {
		i, ok := e.cause[l.Cause]
		if !ok {
			continue
		}
		sum := 0.0
		for _, g := range got {
			sum += e.weigh(g, lead, i)
		}
		if sum < 10 || math.Exp(post[i]) >= .01 {
			return false
		}
	}
	return len(list) > 0
}

// alarmShare is how likely a helper or regulated cause has to be before it is
// called out even though it does not lead.
const alarmShare = .05

func (e *Engine) alarms(r *Ranking, idx []int, post []float64) {
	if r.Looked == 0 {
		return
	}
	lead := e.Base.Causes[idx[0]]
	for _, i := range idx {
		p := math.Exp(post[i])
		if p < alarmShare {
			break
		}
		c := e.Base.Causes[i]
		switch {
		case c.Regulated != "":
			r.Alarms = append(r.Alarms, fmt.Sprintf("%s may be regulated (%.0f in 100): %s", c.Name, p*100, c.Regulated))
		case c.Kind == "helper" && lead.Kind != "helper":
			r.Alarms = append(r.Alarms, fmt.Sprintf("%s is a helper and still possible (%.0f in 100): split it from %s before anything is sprayed.", c.Name, p*100, lead.Name))
		}
	}
}

// stopShare is the belief one treatment group has to hold before more looking
// is no longer worth it.
const stopShare = .95

func (e *Engine) stop(r *Ranking) {
	if r.Looked < 2 || r.NoneFits || len(r.Plans) == 0 || r.Plans[0].P < stopShare || len(r.Alarms) > 0 {
		return
	}
	if len(r.Plans[0].Causes) > 1 {
		r.Stop = strings.Join(r.Plans[0].Causes, " and ") + " are treated the same way: you can stop here, or look once more to know for the record."
		return
	}
	r.Stop = "What is left to look at would not change what to do: you can stop here."
}
