package differential

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// The words a verdict can have.
const (
	Settled      = "settled"
	Group        = "group" // settled to the group: the kind is not told, and need not be
	Working      = "working"
	Open         = "open"
	Undetermined = "undetermined"
)

// SureDegrees are those of which the desk says that it is sure; what is regulated or known
// only by a laboratory never has one.
var SureDegrees = []string{Settled, Group}

// Where the words begin, chosen on the curve of wrong plans against settled cases
// that make trial prints (docs/trial.md): what a leader has to hold, and how many
// decibans before what is treated otherwise and what is not in the book.
const (
	SettledAt = .8
	AheadAt   = 10.0
)

const (
	likelyAt  = .6
	storyOnly = 2   // so many looks that are not the grower's story before anything is settled
	orphanIs  = .1  // a sure sign whose likely explanations hold less than this is explained by nothing
	quarterIs = .25 // what is not in the book has to hold so much before it leads: below, too little was looked at
	halfIs    = .5  // a plan that holds so much is not given up for one odd sign
	rareSign  = .05 // only a sign this seldom met speaks so
	sharedIs  = 3.0 // decibans: a confirming sign has to say so much against the rival, or it is shared
)

// MustLook is a look that stands between the leader and "settled".
type MustLook struct {
	Finding string `json:"finding,omitempty"`
	Name    string `json:"name"`
	Why     string `json:"why"`
}

func (e *Engine) verdict(r *Ranking, k *reckoning) {
	lead := k.idx[0]
	c := e.Base.Causes[lead]
	say := func(f string, a ...any) { r.Why = append(r.Why, fmt.Sprintf(f, a...)) }
	if len(k.got) == 0 {
		r.Verdict = Open
		say("Nothing has been looked at yet.")
		return
	}
	r.MustLook = e.mustLook(c, k.got)
	p := k.p(lead)
	if why := e.nothingFits(r, k); why != "" {
		r.Verdict = Undetermined
		say("%s", why)
		return
	}
	if n := len(r.LeftOver); n > 0 && p >= likelyAt {
		r.Verdict = Working
		say("Seen for sure and not explained by %s: %s. Look there again, name a second trouble, or say why it is not part of this.", humanise.InSentence(c.Name), r.LeftOver[0].Said)
		return
	}
	if e.settles(r, k, lead).settled() {
		r.Verdict = Settled
		say("%s holds %.0f in 100 and leads what would be treated differently by %.0f decibans.", c.Name, p*100, min(e.ahead(k, lead), 99))
		if e.confirmed(lead, k) {
			say("A confirming sign was seen.")
		} else {
			say("Its look-alikes are ruled out by what was looked at.")
		}
		return
	}
	if e.settlesGroup(r, k, lead).settled() {
		g := r.Plans[0]
		r.Verdict = Group
		say("%s hold %.0f in 100 between them and are treated the same way: the kind need not be told.", strings.Join(g.Causes, " and "), g.P*100)
		return
	}
	switch {
	case p >= likelyAt:
		r.Verdict = Working
		e.sayWhyLikely(r, k, lead, say)
	case r.Plans[0].P >= likelyAt && r.Plans[0].One && r.Plans[0].Group == c.Group:
		r.Verdict = Working
		say("%s hold %.0f in 100 between them and are treated the same way.", strings.Join(r.Plans[0].Causes, " and "), r.Plans[0].P*100)
	default:
		r.Verdict = Open
		say("No cause holds %.0f in 100 yet.", likelyAt*100)
	}
}

func (e *Engine) sayWhyLikely(r *Ranking, k *reckoning, lead int, say func(string, ...any)) {
	c, p := e.Base.Causes[lead], k.p(lead)
	switch {
	case c.Regulated != "" || c.LabOnly != "":
		why := c.LabOnly
		if c.Regulated != "" {
			why = c.Regulated
		}
		say("A desk cannot settle this one: %s", why)
	case len(r.Alarms) > 0:
		say("An alarm stands: a look has to rule it out first.")
	case p < SettledAt:
		say("%s holds %.0f in 100; %.0f would settle it.", c.Name, p*100, SettledAt*100)
	case e.ahead(k, lead) < AheadAt:
		say("A cause treated differently is only %.0f decibans behind.", e.ahead(k, lead))
	case len(r.MustLook) > 0:
		say("Before it is settled: %s.", r.MustLook[0].Why)
	default:
		say("No confirming sign has been seen yet, and a look-alike is not ruled out by looking.")
	}
}

// ahead is how far a cause leads what would be treated differently and what is not
// in the book, in decibans.
func (e *Engine) ahead(k *reckoning, lead int) float64 {
	best := math.Log(max(k.not.share(), 1e-12))
	for _, i := range k.idx {
		if e.groups[i] != e.groups[lead] {
			best = max(best, k.post[i])
			break
		}
	}
	return decibans(k.post[lead] - best)
}

// Confidence is how near a case is to settled: what make trial draws its curve from.
type Confidence struct {
	P     float64 // of the leader, or of its group where that would be settled
	Ahead float64 // decibans before what is treated differently
	Ready bool    // all else that settled asks for stands
	Group bool    // to the group only
}

func (s Confidence) settled() bool { return s.Ready && s.P >= SettledAt && s.Ahead >= AheadAt }

// Stand works out how near a case is to settled.
func (e *Engine) Stand(s Circumstances, looks []Look) Confidence {
	k := e.reckon(s, looks)
	r := Ranking{Looked: len(k.got), Plans: e.plans(k)}
	if r.Looked == 0 || len(k.idx) == 0 {
		return Confidence{}
	}
	for _, i := range k.idx[:min(12, len(k.idx))] {
		r.Candidates = append(r.Candidates, e.candidate(i, k.idx[0], k.p(i), k.got))
	}
	r.Pairs = e.pairs(k)
	e.alarms(&r, k)
	r.MustLook = e.mustLook(e.Base.Causes[k.idx[0]], k.got)
	r.LeftOver = e.leftOver(s, k.got, e.namedBy(&r, k.idx[0]))
	if e.nothingFits(&r, k) != "" {
		return Confidence{}
	}
	one, group := e.settles(&r, k, k.idx[0]), e.settlesGroup(&r, k, k.idx[0])
	if group.Ready && (!one.Ready || group.P > one.P) && !one.settled() {
		return group
	}
	return one
}

func (e *Engine) settles(r *Ranking, k *reckoning, lead int) Confidence {
	c := e.Base.Causes[lead]
	return Confidence{P: k.p(lead), Ahead: e.ahead(k, lead), Ready: c.LabOnly == "" && c.Regulated == "" &&
		len(r.Alarms) == 0 && len(r.MustLook) == 0 && len(r.LeftOver) == 0 && (e.confirmed(lead, k) || e.lookAlikesExcluded(lead, k))}
}

// confirmed reports whether a confirming sign of a cause was seen that the
// strongest rival does not share.
func (e *Engine) confirmed(lead int, k *reckoning) bool {
	rival := -1
	for _, i := range k.idx {
		if e.groups[i] != e.groups[lead] {
			rival = i
			break
		}
	}
	for _, x := range k.got {
		for _, l := range x.lines {
			if e.confirms(e.Base.Causes[lead], x, l) && (rival < 0 || decibans(temper*x.weight*(l.log[lead]-l.log[rival])) >= sharedIs) {
				return true
			}
		}
	}
	return false
}

// settlesGroup is settles for all that is treated as the leader is.
func (e *Engine) settlesGroup(r *Ranking, k *reckoning, lead int) Confidence {
	if len(r.Plans) == 0 || len(r.Alarms) > 0 || len(r.MustLook) > 0 || len(r.LeftOver) > 0 {
		return Confidence{}
	}
	g := r.Plans[0]
	if g.Group != e.gname[e.groups[lead]] || len(g.Causes) < 2 || !g.One {
		return Confidence{}
	}
	rest := max(k.not.share(), 1e-12)
	for _, i := range k.idx {
		if e.groups[i] != e.groups[lead] {
			rest = max(rest, k.p(i))
			break
		}
	}
	ready := e.lookAlikesExcluded(lead, k)
	for _, cand := range r.Candidates {
		if cand.Group != g.Group {
			continue
		}
		c := e.Base.Cause(cand.Cause)
		if c.LabOnly != "" || c.Regulated != "" {
			return Confidence{}
		}
		ready = ready || e.confirmed(e.cause[cand.Cause], k)
	}
	return Confidence{P: g.P, Ahead: decibans(math.Log(g.P / rest)), Ready: ready, Group: true}
}

// nothingFits says why what was seen is best sent on, empty when it is not: what is
// not in the book leads, or a sure sign seldom met is explained by nothing likely.
// Two causes at once are tried first.
func (e *Engine) nothingFits(r *Ranking, k *reckoning) string {
	for _, x := range k.got {
		for _, l := range x.lines {
			if f := e.reads[x.find].find; !l.omitted && !l.Not && f.States[l.row-e.reads[x.find].at].Unfit {
				return "The sample cannot be judged as it is: ask for a fresh one, or send it on."
			}
		}
	}
	if len(k.got) < 2 || len(r.Pairs) > 0 {
		return ""
	}
	lead := k.idx[0]
	if u := k.not.share(); u >= quarterIs && u > k.p(lead) && u > r.Plans[0].P {
		return fmt.Sprintf("Something not in this book holds %.0f in 100: most like %s.", 100*u, r.Unlisted.Class)
	}
	if r.Plans[0].P >= halfIs || e.confirmed(lead, k) {
		return ""
	}
	for _, x := range k.got {
		for _, l := range x.lines {
			if e.orphan(k, x, l) {
				_, said := e.said(x)
				return fmt.Sprintf("What was seen for sure (%s) fits nothing here that is likely, and nothing else speaks clearly.", said)
			}
		}
	}
	return ""
}

// orphan reports whether a line is a sure, seldom sign that no likely cause brings.
func (e *Engine) orphan(k *reckoning, x looked, l line) bool {
	r := &e.reads[x.find]
	s := l.row - r.at
	if l.omitted || l.Not || l.level != 0 || e.story(x) || r.find.States[s].Absent || r.bg[s] > rareSign {
		return false
	}
	explained, best := 0.0, 0.0
	for i, p := range e.p[l.row] {
		best = max(best, p)
		if p > 2*r.bg[s] {
			explained += k.p(i)
		}
	}
	return best > .3 && explained < orphanIs
}

// mustLook lists what has to be looked at before a cause may be settled: what its
// entry names, what is below the leaf where that could tell, and more than the
// grower's story.
func (e *Engine) mustLook(c *knowledge.Cause, got []looked) []MustLook {
	out := []MustLook{}
	looked := map[string]bool{}
	seen := 0
	below := false
	for _, x := range got {
		f := e.reads[x.find].find
		if e.story(x) {
			continue
		}
		looked[f.ID] = true
		seen++
		below = below || f.Where == "underside" || f.How == "lens"
	}
	for _, id := range c.MustLook {
		if f := e.Base.Finding(id); f != nil && !looked[id] {
			out = append(out, MustLook{id, f.Name, lookAt(f)})
		}
	}
	if seen < storyOnly {
		out = append(out, MustLook{"", "The plant itself", "look at the plant: what is known is the grower's story"})
	}
	if !below && e.hidesBelow(c) {
		out = append(out, MustLook{"walkers", "The underside of a leaf", "turn a leaf over and look at its underside"})
	}
	return out
}

// lookAt asks for a finding in a sentence, whether its name is a thing or a question.
func lookAt(f *knowledge.Finding) string {
	name := strings.ToLower(f.Name[:1]) + f.Name[1:]
	switch first, _, _ := strings.Cut(name, " "); first {
	case "is", "are", "does", "do", "has", "have", "where", "which", "what", "how", "when", "who":
		return "look: " + name
	}
	return "look at " + name
}

// hidesBelow reports whether the underside of a leaf could tell a cause from
// another: it is on leaves, and it or a look-alike of it has something to show there.
func (e *Engine) hidesBelow(c *knowledge.Cause) bool {
	if !slices.Contains(c.Parts, "leaf") {
		return false
	}
	shows := func(c *knowledge.Cause) bool {
		for id, states := range c.Findings {
			f := e.Base.Finding(id)
			if f == nil || f.Where != "underside" {
				continue
			}
			for st, w := range states {
				if i := f.State(st); i >= 0 && !f.States[i].Absent && w.P() >= .35 {
					return true
				}
			}
		}
		return false
	}
	return shows(c) || slices.ContainsFunc(c.LookAlikes, func(l knowledge.LookAlike) bool {
		o := e.Base.Cause(l.Cause)
		return o != nil && shows(o)
	})
}

// lookAlikesExcluded reports whether every look-alike of the leader was ruled
// out by looking (ten decibans or more of what was seen against it), not merely by
// season or rarity or what was told: a trainee names the first thing that fits.
func (e *Engine) lookAlikesExcluded(lead int, k *reckoning) bool {
	list := e.Base.Causes[lead].LookAlikes
	for _, l := range list {
		i, ok := e.cause[l.Cause]
		if !ok || e.groups[i] == e.groups[lead] {
			continue
		}
		sum := 0.0
		for _, g := range k.got {
			if !e.story(g) {
				sum += e.weigh(g, lead, i)
			}
		}
		if sum < AheadAt || k.p(i) >= .01 {
			return false
		}
	}
	return len(list) > 0
}

// stopShare is the belief one treatment group has to hold before more looking
// is no longer worth it.
const stopShare = .95

func (e *Engine) stop(r *Ranking) {
	if r.Looked < 2 || r.Verdict == Undetermined || len(r.LeftOver) > 0 || len(r.Plans) == 0 || r.Plans[0].P < stopShare || len(r.Alarms) > 0 || len(r.MustLook) > 0 {
		return
	}
	if n := len(r.Plans[0].Causes); n > 1 {
		if r.Plans[0].One {
			r.Stop = strings.Join(r.Plans[0].Causes, " and ") + " are treated the same way: you can stop here, or look once more to know for the record."
		}
		return
	}
	r.Stop = "What is left to look at would not change what to do: you can stop here."
}
