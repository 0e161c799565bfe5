package remedy

import (
	"cmp"
	"fmt"
	"slices"

	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// choice is the state of choosing what to do, step by step.
type choice struct {
	a *Advice
	b *knowledge.Base
	c *knowledge.Cause
	s Situation

	heavy, eradicate     bool
	chosen, pull, beside *Offer
}

// steps of choosing, in order; the first that returns true has settled it.
var steps = []func(*choice) bool{
	(*choice).regulated,
	(*choice).harmless,
	(*choice).bearable,
	(*choice).nothingBetter,
	(*choice).nothingFree,
	(*choice).pulled,
	(*choice).treated,
}

// pick stands on the mildest rung that can work: what only needs watching, or
// what nothing does more for, is left; otherwise the mildest allowed remedy
// that is good (or, failing that, fair) at this pressure, with the hand work
// and the change of culture below, apart from other plants where that helps.
// At heavy pressure hand work alone falls behind: a remedy that acts at once
// goes beside it, and helpers wait until the pest is brought down (judgement).
// Under the school that eradicates, what could be borne is treated as well.
func pick(a *Advice, b *knowledge.Base, c *knowledge.Cause, s Situation) {
	x := &choice{a: a, b: b, c: c, s: s, heavy: s.Pressure == "heavy", eradicate: choose(b, &s, "aim").Option == "eradicate"}
	for _, step := range steps {
		if step(x) {
			return
		}
	}
}

func (x *choice) say(f string, args ...any) { x.a.Why = append(x.a.Why, fmt.Sprintf(f, args...)) }

// settle ends the choosing on a rung.
func (x *choice) settle(rung int, ids ...string) bool {
	x.a.Pick = append(x.a.Pick, ids...)
	describe(x.a, x.b, rung, x.s)
	return true
}

// regulated: nothing is treated here.
func (x *choice) regulated() bool {
	if x.c.Regulated == "" {
		return false
	}
	x.say("It may be regulated: nothing is treated here; leave it where it is and call the authority.")
	ids := []string{}
	for _, o := range x.a.Offers {
		if o.usable() {
			ids = append(ids, o.Remedy)
		}
	}
	return x.settle(1, ids...)
}

func (x *choice) harmless() bool {
	if x.c.Kind != "helper" && x.c.Kind != "harmless" {
		return false
	}
	x.say("%s does no harm: leaving it is the treatment.", x.c.Name)
	return x.settle(0, knowledge.LeaveIt)
}

// bearable: light pressure that watching is fair for.
func (x *choice) bearable() bool {
	if x.eradicate {
		x.say("This desk aims to be rid of it: what could be borne is treated as well.")
		return false
	}
	o := x.a.find(knowledge.LeaveIt)
	if x.s.Pressure != "light" || o == nil || worthOrder[o.Efficacy] < worthOrder["fair"] {
		return false
	}
	x.say("Pressure is light and %s can be borne: watch it.", x.c.Name)
	return x.settle(0, knowledge.LeaveIt)
}

// nothingBetter finds the mildest that is worth it, and leaves the plant alone
// where that does as much.
func (x *choice) nothingBetter() bool {
	need := "good"
	if x.s.Pressure == "light" && !x.eradicate {
		need = "fair"
	}
	x.chosen = mildest(x.a, func(o *Offer) bool { return !x.heavy || !slow(x.b.Remedy(o.Remedy)) }, need, "fair", "some")
	x.gentler()
	x.pull = x.a.find(knowledge.PullIt)
	if o := x.a.find(knowledge.LeaveIt); o == nil || x.eradicate || !leaves(o, x.chosen, x.pull, x.heavy) {
		return false
	}
	x.say("Nothing does more for it than leaving it alone.")
	return x.settle(0, knowledge.LeaveIt)
}

// gentler takes what smothers before what poisons, where it does at least a fair
// amount: only heavy pressure goes further up for a little more.
func (x *choice) gentler() {
	if x.chosen == nil || x.chosen.Rung < 5 || x.heavy {
		return
	}
	for i := range x.a.Offers {
		if o := &x.a.Offers[i]; o.usable() && o.Rung == 4 && worthOrder[o.Efficacy] >= worthOrder["fair"] {
			x.chosen = o
			return
		}
	}
}

func (x *choice) nothingFree() bool {
	if x.chosen != nil || x.pull != nil {
		return false
	}
	x.say("Nothing on the ladder is free today; see what each one waits for.")
	x.a.Refer = cmp.Or(x.a.Refer, "Nothing on the ladder can be done here today: ask a specialist, or come back when what it waits for has come.")
	return x.settle(7)
}

// pulled: nothing cures it, or nothing does enough and it spreads.
func (x *choice) pulled() bool {
	switch {
	case x.chosen == nil && wood(x.b.Host(x.s.Host)) && x.s.Pressure == "light":
		x.say("Nothing cures it, and a shrub or tree is not pulled for a little harm.")
		x.a.Refer = cmp.Or(x.a.Refer, "Keep the plant and look again in a month; ask a specialist before it is taken out.")
		return x.settle(len(knowledge.Rungs) - 1)
	case x.chosen == nil:
		x.say("Nothing cures it: pull it, and plant something else there.")
	case keepsStanding(x.b.Host(x.s.Host), x.s):
		return false
	case x.pullIsGood() && x.c.Seriousness == "high" && worthOrder[x.chosen.Efficacy] < 3:
		x.say("Nothing here does much against it, and it spreads: pulling the plant and planting another is the mild way.")
	default:
		return false
	}
	x.chosen = x.pull
	x.companions(x.chosen.Rung)
	ids := []string{x.chosen.Remedy}
	if x.a.find(knowledge.OtherSort) != nil {
		ids = append(ids, knowledge.OtherSort)
	}
	return x.settle(x.chosen.Rung, ids...)
}

func (x *choice) pullIsGood() bool {
	return x.pull != nil && x.pull.Efficacy == "good" && !x.pull.asked
}

// treated: the mildest that does enough, at heavy pressure with what acts at
// once beside it.
func (x *choice) treated() bool {
	top := x.chosen.Rung
	var late *Offer // a helper that comes when the pest is down, where nothing quick is free
	if x.heavy && x.chosen != x.pull && x.chosen.Rung < 3 {
		if x.beside = faster(x.a, x.b, x.say); x.beside == nil {
			late = mildest(x.a, func(o *Offer) bool { return o.Rung == 3 }, "good", "fair")
		}
	}
	if second := cmp.Or(x.beside, late); second != nil {
		top = second.Rung
	}
	x.companions(top)
	ids := []string{x.chosen.Remedy}
	switch {
	case late != nil:
		x.say("Nothing that acts at once is free here: first %s, then %s.", humanise.InSentence(x.chosen.Name), humanise.InSentence(late.Name))
		ids = append(ids, late.Remedy)
	case x.beside != nil:
		x.say("%s comes first; %s goes beside it, for at heavy pressure hand work alone falls behind.", x.chosen.Name, x.beside.Name)
		ids = append(ids, x.beside.Remedy)
	default:
		x.say("%s is the mildest that does enough here.", x.chosen.Name)
	}
	if x.heavy && x.c.Kind == "disease" && x.pullIsGood() && x.chosen != x.pull {
		x.say("What is past saving is pulled, so that it does not feed the rest.")
		ids = append(ids, knowledge.PullIt)
	}
	return x.settle(top, ids...)
}

// companions go with what is chosen: setting it apart, one work of the hand and
// one change of culture (two where both are good), up to a rung.
func (x *choice) companions(top int) {
	hand, culture, second := x.chosen.Rung == 1, x.chosen.Rung == 2, x.chosen.Rung != 2
	for i := range x.a.Offers {
		o := &x.a.Offers[i]
		if !o.usable() || o.Rung > top || o.Remedy == x.chosen.Remedy || slices.Contains([]string{knowledge.LeaveIt, knowledge.PullIt, knowledge.OtherSort}, o.Remedy) || o.Prevents && !x.s.Dormant {
			continue
		}
		switch {
		case o.aside:
			if worthOrder[o.Efficacy] < worthOrder["fair"] {
				continue
			}
		case o.Rung == 1 && !hand && o.Efficacy != "some":
			hand = true
		case o.Rung == 2 && !culture && top > 1:
			culture = true
		case o.Rung == 2 && !second && o.Efficacy == "good": // two changes that are both good go together
			second = true
		default:
			continue
		}
		x.a.Pick = append(x.a.Pick, o.Remedy)
	}
}

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
	case heavy || leave.bound:
		return chosen.Efficacy == "some" && leave.Efficacy != "some"
	default:
		return worthOrder[leave.Efficacy] > worthOrder[chosen.Efficacy]
	}
}

// mildest is the first usable offer worth the first of some words that any is
// worth. What only goes beside, like setting a plant apart, cures nothing and comes last.
func mildest(a *Advice, ok func(*Offer) bool, worths ...string) *Offer {
	for _, apart := range []bool{false, true} {
		for _, want := range worths {
			for i := range a.Offers {
				o := &a.Offers[i]
				if !o.usable() || slices.Contains([]string{knowledge.LeaveIt, knowledge.PullIt, knowledge.OtherSort}, o.Remedy) || o.Prevents && !a.dormant || o.Kind == "referred" || o.late || o.aside != apart || !ok(o) {
					continue
				}
				if worthOrder[o.Efficacy] >= worthOrder[want] {
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
		if o := &a.Offers[i]; o.Meant && o.Status == NotNow && o.Kind != "referred" && quick(o) && worthOrder[o.Efficacy] >= worthOrder["fair"] {
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
			o.Ladder = "the mildest that does enough"
		case !o.Meant:
			o.Ladder = "not meant for this"
		case o.Status == No || o.Status == NotNow:
			o.Ladder = o.Reasons[0].Text
		case o.Prevents && !a.dormant:
			o.Ladder = "so that it does not come back: it does nothing for what is there"
		case s.Pressure == "heavy" && o.Rung == 3 && slow(b.Remedy(o.Remedy)) && rung > 0:
			o.Ladder = "too slow alone at heavy pressure; bring it down first"
		case o.Remedy == knowledge.LeaveIt && rung > 0:
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
