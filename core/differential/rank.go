package differential

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/knowledge"
)

// Weight is what one look says for the leader against a rival.
type Weight struct {
	Finding  string  `json:"finding"`
	Short    string  `json:"short"`
	Said     string  `json:"said"`
	Story    bool    `json:"story,omitempty" doc:"told by the grower, not seen"`
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
	One    bool     `json:"one" doc:"one action is good for all of them: the kind need not be told"`
}

// Ranking is the whole answer.
type Ranking struct {
	Verdict    string      `json:"verdict" enum:"settled,group,working,open,undetermined"`
	Other      string      `json:"other"` // the word to begin with for a cause an advisor prefers to the leader
	Why        []string    `json:"why"`   // why that word, in plain sentences
	Candidates []Candidate `json:"candidates"`
	Unlisted   Unlisted    `json:"unlisted"` // something not in this book
	Leader     string      `json:"leader"`
	Rival      string      `json:"rival"`     // strongest treated differently
	Tilt       []Weight    `json:"tilt"`      // every look, leader against rival
	TiltTotal  float64     `json:"tiltTotal"` // decibans, prior included
	TiltPrior  float64     `json:"tiltPrior"` // decibans from plant, place, season
	Pairs      []Pair      `json:"pairs"`
	Plans      []SamePlan  `json:"plans"`
	Stop       string      `json:"stop"`     // advice that looking can end
	Alarms     []Alarm     `json:"alarms"`   // danger to people, regulated suspects, helpers, in this order
	MustLook   []MustLook  `json:"mustLook"` // what stands between the leader and settled
	LeftOver   []LeftOver  `json:"leftOver" doc:"what was seen for sure and neither the leader nor a second trouble beside it explains; while one stands nothing is settled"`
	Next       []NextLook  `json:"next"`
	Tell       []string    `json:"tell"` // open findings by what they would tell, most first
	Looked     int         `json:"looked"`
}

// reckoning is one case being ranked.
type reckoning struct {
	set   Circumstances
	prior []float64 // log, normalised over the listed causes
	post  []float64 // log, causes and unlisted together one whole
	not   unlisted
	got   []looked
	idx   []int // causes, most likely first
}

func (e *Engine) reckon(s Circumstances, looks []Look) *reckoning {
	k := &reckoning{set: s, post: make([]float64, e.n), got: e.resolve(looks)}
	e.Prior(k.post, s)
	k.prior = slices.Clone(k.post)
	normalise(k.prior)
	k.not = e.add(k.post, s, k.got)
	k.idx = order(k.post)
	return k
}

func (k *reckoning) p(i int) float64 { return math.Exp(k.post[i]) }

// Rank answers a case. The looks must have passed Check.
func (e *Engine) Rank(s Circumstances, looks []Look) Ranking {
	k := e.reckon(s, looks)
	r := Ranking{Looked: len(k.got), Pairs: []Pair{}, Alarms: []Alarm{}, Why: []string{}, Tilt: []Weight{}, MustLook: []MustLook{}, LeftOver: []LeftOver{}, Tell: []string{}, Candidates: []Candidate{}}
	if len(k.idx) == 0 {
		r.Verdict, r.Other = Open, Open
		return r
	}
	lead := k.idx[0]
	rival := -1
	for _, i := range k.idx[1:] {
		if e.groups[i] != e.groups[lead] {
			rival = i
			break
		}
	}
	r.Leader = e.Base.Causes[lead].ID
	for _, i := range k.idx {
		if len(r.Candidates) >= 3 && (k.p(i) < .01 || len(r.Candidates) >= 12) {
			break
		}
		r.Candidates = append(r.Candidates, e.candidate(i, lead, k.p(i), k.got))
	}
	if rival >= 0 {
		r.Rival = e.Base.Causes[rival].ID
		r.Tilt, r.TiltTotal = e.tilt(lead, rival, k.got)
		r.TiltPrior = decibans(k.prior[lead] - k.prior[rival])
		r.TiltTotal += r.TiltPrior
	}
	r.Unlisted = Unlisted{P: k.not.share(), Class: UnlistedNames[k.not.most()], Few: k.not.few}
	r.Plans = e.plans(k)
	if len(k.got) > 1 {
		r.Pairs = e.pairs(k)
	}
	e.alarms(&r, k)
	r.LeftOver = e.leftOver(k.set, k.got, e.namedBy(&r, lead))
	e.verdict(&r, k)
	if r.Other = Open; r.Verdict == Undetermined {
		r.Other = Undetermined
	}
	r.Next, r.Tell = e.nextLooks(k, looks, 6)
	e.stop(&r)
	return r
}

func (e *Engine) plans(k *reckoning) []SamePlan {
	share := make([]float64, len(e.gname))
	for i := range k.post {
		share[e.groups[i]] += k.p(i)
	}
	out := []SamePlan{}
	seen := map[int]int{}
	members := map[int][]int{}
	for _, i := range k.idx {
		g := e.groups[i]
		at, ok := seen[g]
		if !ok {
			if share[g] < .01 || len(out) >= 6 {
				continue
			}
			at = len(out)
			seen[g] = at
			out = append(out, SamePlan{Group: e.gname[g], P: share[g], Causes: []string{}})
		}
		if k.p(i) >= .01 {
			out[at].Causes = append(out[at].Causes, e.Base.Causes[i].Name)
			members[at] = append(members[at], i)
		}
	}
	for at := range out {
		out[at].One = e.onePlan(members[at])
	}
	slices.SortStableFunc(out, func(a, b SamePlan) int { return cmp.Compare(b.P, a.P) })
	return out
}

// onePlan reports whether some action is good for every one of the causes: only
// then is a group of them a plan.
func (e *Engine) onePlan(causes []int) bool {
	if len(causes) < 2 {
		return true
	}
	good := func(c *knowledge.Cause, id string) bool {
		return slices.ContainsFunc(c.Actions, func(a knowledge.Action) bool { return a.Remedy == id && a.Efficacy == "good" })
	}
	for _, a := range e.Base.Causes[causes[0]].Actions {
		all := a.Efficacy == "good"
		for _, i := range causes[1:] {
			all = all && good(e.Base.Causes[i], a.Remedy)
		}
		if all {
			return true
		}
	}
	return false
}
