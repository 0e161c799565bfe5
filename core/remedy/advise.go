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
	out.Schools = markNear(b, Schools(b, s), out.Offers)
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

// pick stands on the mildest rung that can work: what only needs watching, or
// what nothing does more for, is left; otherwise the mildest allowed remedy
// that is good (or, failing that, fair) at this pressure, with the hand work
// and the change of culture below, apart from other plants where that helps.
// At heavy pressure hand work alone falls behind: a remedy that acts at once
// goes beside it, and helpers wait until the pest is brought down (judgement).
// Under the school that eradicates, what could be borne is treated as well.
func pick(a *Advice, b *knowledge.Base, c *knowledge.Cause, s Situation) {
	say := func(f string, args ...any) { a.Why = append(a.Why, fmt.Sprintf(f, args...)) }
	settle := func(rung int, ids ...string) {
		a.Pick = append(a.Pick, ids...)
		describe(a, b, rung, s)
	}
	if c.Regulated != "" {
		say("It may be regulated: nothing is treated here; isolate it and call the authority.")
		for _, o := range a.Offers {
			if o.usable() {
				a.Pick = append(a.Pick, o.Remedy)
			}
		}
		return
	}
	if c.Kind == "helper" || c.Kind == "harmless" {
		say("%s does no harm: leaving it is the treatment.", c.Name)
		settle(0, leaveIt)
		return
	}
	heavy := s.Pressure == "heavy"
	eradicate := choose(b, &s, "aim").Option == "eradicate"
	need := "good"
	if s.Pressure == "light" && !eradicate {
		need = "fair"
		if o := a.find(leaveIt); o != nil && worthOrder[o.Worth] >= worthOrder[need] {
			say("Pressure is light and %s can be borne: watch it.", c.Name)
			settle(0, leaveIt)
			return
		}
	}
	if eradicate {
		say("The school chosen here aims to be rid of it: what could be borne is treated as well.")
	}
	chosen := mildest(a, func(o *Offer) bool { return !(heavy && slow(b.Remedy(o.Remedy))) }, need, "fair", "some")
	pull := a.find(pullIt)
	if o := a.find(leaveIt); o != nil && !eradicate && leaves(o, chosen, pull, heavy) {
		say("Nothing does more for it than leaving it alone.")
		settle(0, leaveIt)
		return
	}
	switch {
	case chosen == nil && pull == nil:
		say("Nothing on the ladder is free today; see what each one waits for.")
		settle(7)
		return
	case chosen == nil:
		say("Nothing cures it: pull it, and plant something else there.")
		settle(pull.Rung, pullIt)
		return
	case pull != nil && pull.Worth == "good" && pull.When == "" && c.Seriousness == "high" && worthOrder[chosen.Worth] < 3:
		chosen = pull
		say("Nothing here does much against it, and it spreads: pulling the plant and planting another is the mild way.")
	}
	var beside *Offer
	if heavy && chosen != pull && chosen.Rung < 3 {
		beside = faster(a, b, say)
	}
	top := chosen.Rung
	if beside != nil {
		top = beside.Rung
	}
	hand, culture := chosen.Rung == 1, chosen.Rung == 2
	for i := range a.Offers {
		o := &a.Offers[i]
		if !o.usable() || o.Rung > top || o.Remedy == chosen.Remedy || slices.Contains([]string{leaveIt, pullIt, "resistant"}, o.Remedy) {
			continue
		}
		switch {
		case o.Remedy == keepApart:
			if worthOrder[o.Worth] >= worthOrder["fair"] {
				a.Pick = append(a.Pick, o.Remedy)
			}
		case o.Rung == 1 && !hand && o.Worth != "some":
			hand = true
			a.Pick = append(a.Pick, o.Remedy)
		case o.Rung == 2 && !culture && top > 1:
			culture = true
			a.Pick = append(a.Pick, o.Remedy)
		}
	}
	say("%s is the mildest that does enough here.", chosen.Name)
	if beside == nil {
		settle(top, chosen.Remedy)
		return
	}
	say("%s goes beside it: at heavy pressure hand work alone falls behind.", beside.Name)
	settle(top, chosen.Remedy, beside.Remedy)
}

// Entries of the ladder that the choice itself turns on.
const (
	leaveIt   = "leave"
	keepApart = "inspect"
	pullIt    = "pull-bag"
)

func (o *Offer) usable() bool { return o.Meant && (o.Status == Go || o.Status == Care) }

// find is the usable offer of a remedy, nil when it is not free or not meant.
func (a *Advice) find(id string) *Offer {
	for i := range a.Offers {
		if o := &a.Offers[i]; o.Remedy == id && o.usable() {
			return o
		}
	}
	return nil
}

// leaves: nothing does more than watching. At heavy pressure, or when watching
// has a condition of its own, only where the rest does next to nothing.
func leaves(leave, chosen, pull *Offer, heavy bool) bool {
	switch {
	case chosen == nil:
		return pull == nil
	case heavy || leave.When != "":
		return chosen.Worth == "some" && leave.Worth != "some"
	default:
		return worthOrder[leave.Worth] > worthOrder[chosen.Worth]
	}
}

// mildest is the first usable offer worth the first of some words that any is
// worth. Setting a plant apart cures nothing and comes last.
func mildest(a *Advice, ok func(*Offer) bool, worths ...string) *Offer {
	for _, want := range worths {
		for _, apart := range []bool{false, true} {
			for i := range a.Offers {
				o := &a.Offers[i]
				if !o.usable() || o.Remedy == leaveIt || o.Remedy == pullIt || o.Kind == "referred" || (o.Remedy == keepApart) != apart || !ok(o) {
					continue
				}
				if worthOrder[o.Worth] >= worthOrder[want] {
					return o
				}
			}
		}
	}
	return nil
}

// slow is a helper that has to breed or settle first; one watered into the
// soil hunts at once.
func slow(r *knowledge.Remedy) bool { return r.Kind == "helper" && r.Reach != "soil" }

// faster is what goes beside hand work at heavy pressure: the mildest that
// acts at once and is worth it; when it has to wait, that is said.
func faster(a *Advice, b *knowledge.Base, say func(string, ...any)) *Offer {
	quick := func(o *Offer) bool { return o.Rung >= 3 && !slow(b.Remedy(o.Remedy)) }
	if o := mildest(a, quick, "good", "fair"); o != nil {
		return o
	}
	for i := range a.Offers {
		if o := &a.Offers[i]; o.Meant && o.Status == NotNow && o.Kind != "referred" && quick(o) && worthOrder[o.Worth] >= worthOrder["fair"] {
			say("%s would help at heavy pressure, but not now: %s", o.Name, o.Reasons[0].Text)
			break
		}
	}
	return nil
}

// describe says of every offer why it is or is not the rung to stand on: a
// milder one by what it leaves alive, a harsher one by what it would add.
func describe(a *Advice, b *knowledge.Base, rung int, s Situation) {
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
		case s.Pressure == "heavy" && o.Rung == 3 && slow(b.Remedy(o.Remedy)) && rung > 0:
			o.Ladder = "too slow alone at heavy pressure; bring it down first"
		case o.Remedy == leaveIt && rung > 0:
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
