package remedy

import (
	"cmp"
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
)

// Status of a remedy for this case on this day, mildest first.
type Status string

// The four words.
const (
	Go     Status = "go"
	Care   Status = "care"
	NotNow Status = "not now"
	No     Status = "no"
)

var severity = map[Status]int{Go: 0, Care: 1, NotNow: 2, No: 3}

// Reason is what one gate said.
type Reason struct {
	Gate   string `json:"gate"`
	Status Status `json:"status"`
	Text   string `json:"text"`
	Until  string `json:"until,omitempty" doc:"the day it is free, YYYY-MM-DD, when that is known"`
}

// Offer is a remedy with its answer.
type Offer struct {
	Remedy   string   `json:"remedy"`
	Name     string   `json:"name"`
	Rung     int      `json:"rung"`
	Kind     string   `json:"kind"`
	Prevents bool     `json:"prevents,omitempty" doc:"it keeps trouble from coming and does nothing for what is there"`
	Status   Status   `json:"status"`
	Until    string   `json:"until,omitempty"`
	Not      string   `json:"not,omitempty" doc:"of a no, its kind: not listed, does little, does nothing, harms, not allowed, not here"`
	Reasons  []Reason `json:"reasons"`
	Meant    bool     `json:"meant"` // meant for this cause at all
	Open     bool     `json:"open" doc:"may be chosen today: go or care, and leaving it or pulling it, which are the grower's right"`
	Efficacy string   `json:"worth,omitempty"`
	When     string   `json:"when,omitempty" doc:"the cause's own condition, in words"`
	How      string   `json:"how,omitempty" doc:"the manner for this cause"`
	Cautions []string `json:"cautions"`
	Hazard   int      `json:"hazard"`
	Ladder   string   `json:"ladder"` // why it is, or is not yet, the rung to stand on

	Mortality []StageKill `json:"kills"` // what it does to each stage in question
	bound     bool        // the cause puts a condition on it
	asked     bool        // and nobody has answered it yet
	order     int         // its place in the cause's own list
	seen      bool        // somebody looked which stages are there
	aside     bool        // it goes beside what is done
	late      bool        // it does not settle where the plant stands
}

// StageKill is the share of one stage a remedy kills where it reaches.
type StageKill struct {
	Stage string  `json:"stage"`
	Share float64 `json:"share"`
}

// Advice is the whole ladder.
type Advice struct {
	Cause   string              `json:"cause"`
	Date    string              `json:"date"`
	Refer   string              `json:"refer,omitempty"`
	Offers  []Offer             `json:"offers"`  // meant ones first, by rung and hazard
	Pick    []string            `json:"pick"`    // what to do, together
	Why     []string            `json:"why"`     // in plain sentences
	Because []string            `json:"because"` // why it happened
	MustNot []knowledge.MustNot `json:"mustNot"`
	Always  []string            `json:"always"` // cautions that stand whatever is chosen

	Combine []string `json:"combine"` // how the picked ones work together
	dormant bool     // the plant has no leaves: prevention is what there is to do

	Schools []Chosen `json:"schools"` // which answers hold where good advisors disagree
}

// Always are the cautions every recommendation carries.
var Always = []string{
	"The product label and local law come first; where they differ from this advice, they win.",
	"Keep children and pets off until everything has dried.",
	"Never spray open flowers that bees visit.",
	"More is not better: stronger or more often burns leaves and leaves residues.",
}

// Advise answers for a cause. Errors name unusable input.
func Advise(b *knowledge.Base, causeID string, s Situation) (Advice, error) {
	var l fault.List
	c := b.Cause(causeID)
	if c == nil {
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", causeID), "use an id from kb list causes")
	}
	l.AddErr("", s.Check(b))
	if err := l.Err(); err != nil {
		return Advice{}, err
	}
	day, _ := civil.Parse(s.Date)
	out := Advice{dormant: s.Dormant, Cause: c.ID, Date: s.Date, Because: c.Why, MustNot: c.MustNot, Always: Always, Offers: make([]Offer, 0, len(b.Remedies)), Pick: []string{}, Why: []string{}}
	if out.MustNot == nil {
		out.MustNot = []knowledge.MustNot{}
	}
	if c.Regulated != "" {
		out.Refer = c.Name + ": " + c.Regulated
	}
	g := gateInput{b: b, c: c, s: s, day: day}
	for _, r := range b.Remedies {
		g.r = r
		out.Offers = append(out.Offers, offer(&g))
	}
	// What the book has for it first; the rest only by its rung.
	meant := 0
	for i := range out.Offers {
		if out.Offers[i].Meant {
			out.Offers[meant], out.Offers[i] = out.Offers[i], out.Offers[meant]
			meant++
		}
	}
	slices.SortFunc(out.Offers[meant:], func(x, y Offer) int {
		return cmp.Or(cmp.Compare(x.Rung, y.Rung), cmp.Compare(x.harm(), y.harm()), cmp.Compare(x.Remedy, y.Remedy))
	})
	slices.SortStableFunc(out.Offers[:meant], func(x, y Offer) int {
		return cmp.Or(cmp.Compare(x.Rung, y.Rung), cmp.Compare(worthOrder[y.Efficacy], worthOrder[x.Efficacy]), cmp.Compare(x.harm(), y.harm()), cmp.Compare(y.reach(), x.reach()), cmp.Compare(x.order, y.order))
	})
	pick(&out, b, c, s)
	out.Combine = Combine(b, c, s, out.Pick)
	out.Schools = markNear(b, Schools(b, s), out.Offers)
	return out, nil
}

// open reports whether an action hangs on something that nobody has answered: whether it is
// so (know), or on stages when none were looked for. What place, plant, month or pressure
// decide is decided by its gate.
func open(a knowledge.Action, s Situation) bool {
	return a.Only != nil && (a.Only.Know != "" || a.Only.BadYear || len(a.Only.Stages) > 0 && len(s.Stages) == 0)
}

var worthOrder = map[string]int{"good": 3, "fair": 2, "some": 1}

func offer(g *gateInput) Offer {
	o := Offer{Remedy: g.r.ID, Name: g.r.Name, Rung: g.r.Rung, Kind: g.r.Kind, Prevents: g.r.Prevents, Status: Go, Reasons: []Reason{}, Cautions: g.r.Cautions, Hazard: g.r.Hazards.Sum()}
	if a, ok := g.action(); ok {
		o.Meant, o.Efficacy, o.When, o.How = true, a.Efficacy, a.When, a.How
		o.Prevents = o.Prevents || a.Only != nil && a.Only.Prevents
		o.bound, o.asked, o.order = a.Only != nil, open(a, g.s), slices.IndexFunc(g.c.Actions, func(x knowledge.Action) bool { return x.Remedy == a.Remedy })
		o.late, o.seen = g.dryRoom(), len(g.s.Stages) > 0
	}
	o.Mortality, o.aside = stageKills(g), g.r.Aside
	for _, gate := range gates {
		o.Reasons = append(o.Reasons, gate(g)...)
	}
	until, unknown := "", false
	for _, r := range o.Reasons {
		if severity[r.Status] > severity[o.Status] {
			o.Status = r.Status
		}
		if r.Status == NotNow {
			until, unknown = max(until, r.Until), unknown || r.Until == ""
		}
	}
	// Where one of the waits has no known end nobody can promise a day.
	if o.Status == NotNow && !unknown {
		o.Until = until
	}
	o.Open = o.Status == Go || o.Status == Care || g.r.ID == knowledge.LeaveIt || g.r.ID == knowledge.PullIt && g.c.Regulated == ""
	slices.SortStableFunc(o.Reasons, func(a, b Reason) int { return cmp.Compare(severity[b.Status], severity[a.Status]) })
	if o.Status == No {
		o.Not = notWords[o.Reasons[0].Gate]
	}
	return o
}

// harm is the hazard with what it can do to this very plant.
func (o *Offer) harm() int {
	if slices.ContainsFunc(o.Reasons, func(r Reason) bool { return r.Gate == "host" }) {
		return o.Hazard + 1
	}
	return o.Hazard
}

// reach is the share of the stages seen that it kills, on average: what does as much
// by the book is told apart by what is there. Nothing where nobody looked.
func (o *Offer) reach() float64 {
	if !o.seen {
		return 0
	}
	sum := 0.0
	for _, k := range o.Mortality {
		sum += k.Share
	}
	return sum / max(1, float64(len(o.Mortality)))
}

// NextBest is the offer to show beside what is chosen: the mildest that may be used today, is
// meant for this trouble and does more than some against it, what prevents apart; empty where
// there is none. The ladder has its offers mildest first and the best of a rung first.
func NextBest(offers []Offer, chosen []string) string {
	best := -1
	for i, o := range offers {
		if o.Open && !o.Prevents && !slices.Contains(chosen, o.Remedy) && worthOrder[o.Efficacy] > worthOrder["some"] && (best < 0 || o.Rung < offers[best].Rung) {
			best = i
		}
	}
	if best < 0 {
		return ""
	}
	return offers[best].Remedy
}

// stageKills is what a remedy does to the stages seen, or to all the cause has.
func stageKills(g *gateInput) []StageKill {
	out := []StageKill{}
	if len(g.r.Mortality) == 0 {
		return out
	}
	if g.c.Kind == "disease" {
		for _, k := range []string{"protects", "cures"} {
			if v, ok := g.r.Mortality[k]; ok {
				out = append(out, StageKill{k, v})
			}
		}
		return out
	}
	stages := g.s.Stages
	if len(stages) == 0 {
		stages = g.c.Stages
	}
	for _, st := range stages {
		out = append(out, StageKill{st, g.r.Mortality[st]})
	}
	return out
}
