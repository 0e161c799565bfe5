package remedy

import (
	"cmp"
	"fmt"
	"slices"
	"time"

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
	Status   Status   `json:"status"`
	Until    string   `json:"until,omitempty"`
	Reasons  []Reason `json:"reasons"`
	Meant    bool     `json:"meant"` // meant for this cause at all
	Worth    string   `json:"worth,omitempty"`
	When     string   `json:"when,omitempty"`
	Cautions []string `json:"cautions"`
	Hazard   int      `json:"hazard"`
	Ladder   string   `json:"ladder"` // why it is, or is not yet, the rung to stand on

	Kills []StageKill `json:"kills"` // what it does to each stage in question
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
	day, _ := time.Parse(DateLayout, s.Date)
	out := Advice{Cause: c.ID, Date: s.Date, Because: c.Why, MustNot: c.MustNot, Always: Always, Offers: make([]Offer, 0, len(b.Remedies)), Pick: []string{}, Why: []string{}}
	if out.MustNot == nil {
		out.MustNot = []knowledge.MustNot{}
	}
	if c.Regulated != "" {
		out.Refer = c.Name + ": " + c.Regulated
	}
	for _, r := range b.Remedies {
		out.Offers = append(out.Offers, offer(&gateInput{b, c, r, s, day}))
	}
	slices.SortStableFunc(out.Offers, func(x, y Offer) int {
		if x.Meant != y.Meant {
			if x.Meant {
				return -1
			}
			return 1
		}
		return cmp.Or(cmp.Compare(x.Rung, y.Rung), cmp.Compare(x.Hazard, y.Hazard), cmp.Compare(worthOrder[y.Worth], worthOrder[x.Worth]))
	})
	pick(&out, b, c, s)
	out.Combine = Combine(b, c, s, out.Pick)
	out.Schools = Schools(b, s)
	return out, nil
}

var worthOrder = map[string]int{"good": 3, "fair": 2, "some": 1}

func offer(g *gateInput) Offer {
	o := Offer{Remedy: g.r.ID, Name: g.r.Name, Rung: g.r.Rung, Kind: g.r.Kind, Status: Go, Reasons: []Reason{}, Cautions: g.r.Cautions, Hazard: g.r.Hazards.Sum()}
	if a, ok := g.action(); ok {
		o.Meant, o.Worth, o.When = true, a.Worth, a.When
	}
	o.Kills = stageKills(g)
	for _, gate := range gates {
		o.Reasons = append(o.Reasons, gate(g)...)
	}
	until := ""
	for _, r := range o.Reasons {
		if severity[r.Status] > severity[o.Status] {
			o.Status = r.Status
		}
		if r.Status == NotNow && r.Until > until {
			until = r.Until
		}
	}
	if o.Status == NotNow {
		o.Until = until
	}
	slices.SortStableFunc(o.Reasons, func(a, b Reason) int { return cmp.Compare(severity[b.Status], severity[a.Status]) })
	return o
}

// stageKills is what a remedy does to the stages seen, or to all the cause has.
func stageKills(g *gateInput) []StageKill {
	out := []StageKill{}
	if len(g.r.Kills) == 0 {
		return out
	}
	if g.c.Kind == "disease" {
		for _, k := range []string{"protects", "cures"} {
			if v, ok := g.r.Kills[k]; ok {
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
		out = append(out, StageKill{st, g.r.Kills[st]})
	}
	return out
}

// pick stands on the mildest rung that can work: what only needs watching is
// left; otherwise the mildest allowed remedy that is good (or, failing that,
// fair) at this pressure, with the hand work and the change of culture below.
// Under the school that eradicates, what could be borne is treated as well.
func pick(a *Advice, b *knowledge.Base, c *knowledge.Cause, s Situation) {
	say := func(f string, args ...any) { a.Why = append(a.Why, fmt.Sprintf(f, args...)) }
	usable := func(o Offer) bool { return o.Meant && (o.Status == Go || o.Status == Care) }
	if c.Regulated != "" {
		say("It may be regulated: nothing is treated here; isolate it and call the authority.")
		for _, o := range a.Offers {
			if usable(o) {
				a.Pick = append(a.Pick, o.Remedy)
			}
		}
		return
	}
	if c.Kind == "helper" || c.Kind == "harmless" {
		a.Pick = append(a.Pick, "leave")
		say("%s does no harm: leaving it is the treatment.", c.Name)
		describe(a, 0, s)
		return
	}
	top := -1
	need := "good"
	eradicate := choose(b, &s, "aim").Option == "eradicate"
	if s.Pressure == "light" && !eradicate {
		need = "fair"
		for _, o := range a.Offers {
			if o.Remedy == "leave" && usable(o) && worthOrder[o.Worth] >= 2 {
				a.Pick = append(a.Pick, "leave")
				say("Pressure is light and %s can be borne: watch it.", c.Name)
				describe(a, 0, s)
				return
			}
		}
	}
	if eradicate {
		say("The school chosen here aims to be rid of it: what could be borne is treated as well.")
	}
	for _, want := range []string{need, "fair", "some"} {
		for i, o := range a.Offers {
			if usable(o) && o.Remedy != "leave" && o.Remedy != "pull-bag" && o.Kind != "referred" && worthOrder[o.Worth] >= worthOrder[want] {
				top = i
				break
			}
		}
		if top >= 0 {
			break
		}
	}
	if top < 0 {
		if at := slices.IndexFunc(a.Offers, func(o Offer) bool { return o.Remedy == "pull-bag" && usable(o) }); at >= 0 {
			a.Pick = append(a.Pick, "pull-bag")
			say("Nothing cures it: pull it, and plant something else there.")
			describe(a, a.Offers[at].Rung, s)
			return
		}
		say("Nothing on the ladder is free today; see what each one waits for.")
		describe(a, 7, s)
		return
	}
	chosen := a.Offers[top]
	if at := slices.IndexFunc(a.Offers, func(o Offer) bool {
		return o.Remedy == "pull-bag" && usable(o) && o.Worth == "good" && o.When == ""
	}); at >= 0 && c.Seriousness == "high" && worthOrder[chosen.Worth] < 3 {
		chosen = a.Offers[at]
		say("Nothing here does much against it, and it spreads: pulling the plant and planting another is the mild way.")
	}
	hand, culture := false, false
	for _, o := range a.Offers {
		if o.Rung > chosen.Rung || o.Remedy == chosen.Remedy || !usable(o) || o.Remedy == "leave" || o.Remedy == "pull-bag" || o.Remedy == "resistant" {
			continue
		}
		if o.Rung == 1 && !hand && o.Worth != "some" && chosen.Rung > 1 {
			hand = true
			a.Pick = append(a.Pick, o.Remedy)
		}
		if o.Rung == 2 && !culture && chosen.Rung > 1 && chosen.Rung != 2 {
			culture = true
			a.Pick = append(a.Pick, o.Remedy)
		}
	}
	a.Pick = append(a.Pick, chosen.Remedy)
	say("%s is the mildest that does enough here.", chosen.Name)
	describe(a, chosen.Rung, s)
}

// describe says of every offer why it is or is not the rung to stand on: a
// milder one by what it leaves alive, a harsher one by what it would add.
func describe(a *Advice, rung int, s Situation) {
	pressure := s.Pressure
	if pressure == "" {
		pressure = "this"
	}
	for i := range a.Offers {
		o := &a.Offers[i]
		switch {
		case slices.Contains(a.Pick, o.Remedy):
			o.Ladder = "chosen: the mildest that does enough"
		case !o.Meant:
			o.Ladder = "not meant for this"
		case o.Status == No || o.Status == NotNow:
			o.Ladder = o.Reasons[0].Text
		case o.Remedy == "leave" && rung > 0:
			o.Ladder = fmt.Sprintf("at %s pressure it would go on growing", pressure)
		case o.Rung < rung:
			o.Ladder = fmt.Sprintf("milder, but does too little alone at %s pressure", pressure)
		case o.Rung == rung:
			o.Ladder = "as mild; an alternative"
		case o.Rung <= 3:
			o.Ladder = "not needed yet; it does no harm beside the rest"
		default:
			o.Ladder = "harsher than is needed yet" + harm(o)
		}
	}
}

// harm names the greatest hazard of a harsher one.
func harm(o *Offer) string {
	if o.Hazard == 0 {
		return ""
	}
	return fmt.Sprintf("; hazard %d of 18", o.Hazard)
}
