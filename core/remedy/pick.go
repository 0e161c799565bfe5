package remedy

import (
	"fmt"
	"slices"

	"botanik/core/knowledge"
)

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
		ids := []string{}
		for _, o := range a.Offers {
			if o.usable() {
				ids = append(ids, o.Remedy)
			}
		}
		settle(1, ids...)
		return
	}
	if c.Kind == "helper" || c.Kind == "harmless" {
		say("%s does no harm: leaving it is the treatment.", c.Name)
		settle(0, LeaveIt)
		return
	}
	heavy := s.Pressure == "heavy"
	eradicate := choose(b, &s, "aim").Option == "eradicate"
	need := "good"
	if s.Pressure == "light" && !eradicate {
		need = "fair"
		if o := a.find(LeaveIt); o != nil && worthOrder[o.Worth] >= worthOrder[need] {
			say("Pressure is light and %s can be borne: watch it.", c.Name)
			settle(0, LeaveIt)
			return
		}
	}
	if eradicate {
		say("The school chosen here aims to be rid of it: what could be borne is treated as well.")
	}
	chosen := mildest(a, func(o *Offer) bool { return !heavy || !slow(b.Remedy(o.Remedy)) }, need, "fair", "some")
	pull := a.find(PullIt)
	if o := a.find(LeaveIt); o != nil && !eradicate && leaves(o, chosen, pull, heavy) {
		say("Nothing does more for it than leaving it alone.")
		settle(0, LeaveIt)
		return
	}
	switch {
	case chosen == nil && pull == nil:
		say("Nothing on the ladder is free today; see what each one waits for.")
		settle(7)
		return
	case chosen == nil:
		chosen = pull
		say("Nothing cures it: pull it, and plant something else there.")
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
		if !o.usable() || o.Rung > top || o.Remedy == chosen.Remedy || slices.Contains([]string{LeaveIt, PullIt, another}, o.Remedy) {
			continue
		}
		switch {
		case o.Remedy == KeepApart:
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
	ids := []string{chosen.Remedy}
	switch {
	case chosen == pull:
		if a.find(another) != nil {
			ids = append(ids, another)
		}
	case beside == nil:
		say("%s is the mildest that does enough here.", chosen.Name)
	default:
		say("%s comes first; %s goes beside it, for at heavy pressure hand work alone falls behind.", chosen.Name, beside.Name)
		ids = append(ids, beside.Remedy)
	}
	if heavy && c.Kind == "disease" && pull != nil && chosen != pull && pull.Worth == "good" && pull.When == "" {
		say("What is past saving is pulled, so that it does not feed the rest.")
		ids = append(ids, PullIt)
	}
	settle(top, ids...)
}

// Entries of the ladder that the choice itself turns on.
const (
	LeaveIt   = "leave"
	KeepApart = "inspect"
	PullIt    = "pull-bag"
	another   = "resistant" // another sort next time: no cure for this one
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
				if !o.usable() || slices.Contains([]string{LeaveIt, PullIt, another}, o.Remedy) || o.Kind == "referred" || (o.Remedy == KeepApart) != apart || !ok(o) {
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
		case o.Remedy == LeaveIt && rung > 0:
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
