package knowledge

import (
	"fmt"
	"slices"
	"strings"
)

func (k *checker) cause(c *Cause) {
	k.at(c.From, "cause", c.ID)
	k.need("name", c.Name, "say it in plain words")
	k.need("class", c.Class, "give its class")
	k.need("group", c.Group, "give its treatment group")
	k.word("kind", c.Kind, Kinds)
	k.word("commonness", c.Commonness, Common)
	k.word("seriousness", c.Seriousness, Serious)
	k.word("disposal", c.Disposal, Disposals)
	k.need("spread", c.Spread, "say how it spreads, or that it does not")
	k.need("recovers", c.Recovers, "say what recovers and what does not")
	k.need("plain", c.Plain, "write three plain sentences for the grower")
	k.need("source", c.Source, `name it in general terms or write "judgement"`)
	k.need("tolerable.text", c.Tolerable.Text, "say what level needs no action")
	k.need("tolerable.source", c.Tolerable.Source, `name it in general terms or write "judgement"`)
	if len(c.Why) == 0 {
		k.say("does not say why it happens", "give the conditions that favour it")
	}
	if len(c.Drawing) == 0 {
		k.say("has no drawing", "give the drawing characters")
	}
	if plant, ok := c.Drawing["plant"]; ok && !slices.ContainsFunc(k.b.Hosts, func(h *Host) bool { return h.ID == plant }) {
		k.say(fmt.Sprintf("is drawn on %q, which is no plant of this book", plant), "name a host's id in drawing.plant, or leave it out where no plant is meant")
	}
	if len(c.Hosts) == 0 {
		k.say("names no host", "give host ids, family:, group:, form: or any")
	}
	for key, w := range c.Hosts {
		k.word("hosts."+key, w, Affinities)
		k.hostKey(key)
	}
	for _, p := range c.Places {
		k.word("places", p, Places)
	}
	for _, w := range c.Climates {
		k.word("climates", w, Climates)
	}
	for _, w := range c.Regions {
		k.word("regions", w, Regions)
	}
	if c.Unreported != "" && c.Regulated == "" {
		k.say("has words for where it need not be reported and is never reported", "say in regulated why it is, or remove unreported")
	}
	for _, m := range c.Months {
		if m < 1 || m > 12 {
			k.say("a month is not 1 to 12", "use the months of the northern year")
		}
	}
	for _, p := range c.Parts {
		k.word("parts", p, Parts)
	}
	for id, states := range c.Findings {
		k.causeFinding(id, states)
	}
	if len(c.Confirms) == 0 && c.LabOnly == "" {
		k.say("has no confirming sign", "name the finding and states that settle it, or say in lab_only why a desk cannot")
	}
	for _, s := range slices.Concat(c.Confirms, c.Excludes, c.Calls) {
		k.sign(s)
	}
	if len(c.Calls) > 0 && c.Danger == "" && c.Regulated == "" {
		k.say("has signs that call it out, and is neither dangerous nor reported", "say in danger or regulated what is called out, or remove calls")
	}
	if c.Abroad != "" && len(c.Regions) == 0 && len(c.AbroadIn) == 0 {
		k.say("is reported where it is not at home, and nothing says where that is", "name its regions, or abroad_climates")
	}
	for _, w := range c.AbroadIn {
		k.word("abroad_climates", w, Climates)
	}
	if len(c.Confirms) > 0 && !slices.ContainsFunc(c.Confirms, func(s Sign) bool { f := k.b.Finding(s.Finding); return f == nil || f.How != "asked" }) {
		k.say("is confirmed by what a grower tells and nothing that is seen", "name a sign somebody sees, or say in lab_only why a desk cannot settle it")
	}
	if len(c.MustLook) == 0 {
		k.say("has no must_look", "name what has to be looked at before it may be settled")
	}
	for _, id := range c.MustLook {
		if k.b.Finding(id) == nil {
			k.say(fmt.Sprintf("must_look names %q, which is not here", id), "correct the id or add the finding")
		}
	}
	for _, l := range c.LookAlikes {
		k.lookAlike(c, l)
	}
	if c.LifeTable != "" && k.b.LifeTable(c.LifeTable) == nil {
		k.say("names a life table that is not here", "correct life_table or add it")
	}
	k.actions(c)
}

func (k *checker) hostKey(key string) {
	kind, val, cut := strings.Cut(key, ":")
	ok := key == "any"
	for _, h := range k.b.Hosts {
		if ok {
			break
		}
		switch {
		case !cut:
			ok = h.ID == key
		case kind == "family":
			ok = h.Family == val
		case kind == "group":
			ok = h.Group == val
		case kind == "form":
			ok = h.Form == val
		}
	}
	if !ok {
		k.say(fmt.Sprintf("hosts names %q, which no host here answers to", key), "correct it or add the host")
	}
}

func (k *checker) causeFinding(id string, states map[string]Frequency) {
	f := k.b.Finding(id)
	if f == nil {
		k.say(fmt.Sprintf("findings names %q, which is not here", id), "correct the id or add the finding")
		return
	}
	sum := 0.0
	if f.Many { // its states share nothing
		sum = -10
	}
	for st, w := range states {
		if f.State(st) < 0 {
			k.say(fmt.Sprintf("findings.%s has no state %q", id, st), "use a state of that finding")
		}
		k.freq("findings."+id+"."+st, w)
		sum += w.P()
	}
	if sum > 1.2 {
		k.say(fmt.Sprintf("findings.%s adds up to %.2f", id, sum), "its states have to share one whole")
	}
}

func (k *checker) sign(s Sign) {
	f := k.b.Finding(s.Finding)
	if f == nil {
		k.say(fmt.Sprintf("a sign names the finding %q, which is not here", s.Finding), "correct the id or add the finding")
		return
	}
	for _, st := range s.States {
		if f.State(st) < 0 {
			k.say(fmt.Sprintf("a sign names the state %q of %s, which is not there", st, s.Finding), "use a state of that finding")
		}
	}
}

func (k *checker) lookAlike(c *Cause, l LookAlike) {
	o := k.b.Cause(l.Cause)
	if o == nil {
		k.say(fmt.Sprintf("look_alikes names %q, which is not here", l.Cause), "correct the id or add the cause")
		return
	}
	k.need("look_alikes."+l.Cause+".split", l.Split, "say the look that splits the two")
	if !slices.ContainsFunc(o.LookAlikes, func(x LookAlike) bool { return x.Cause == c.ID }) {
		k.say(fmt.Sprintf("look-alike %s does not name %s back", l.Cause, c.ID), "add it on the other side")
	}
}

func (k *checker) actions(c *Cause) {
	if c.Kind == "helper" {
		for _, a := range c.Actions {
			if r := k.b.Remedy(a.Remedy); r != nil && r.Kind == "product" {
				k.say("offers a product against a helper", "a helper is left alone")
			}
		}
	}
	gentle := false
	for _, a := range c.Actions {
		k.remedyRef("actions", a.Remedy)
		k.word("actions."+a.Remedy+".worth", a.Efficacy, Worths)
		k.condition(a)
		if r := k.b.Remedy(a.Remedy); r != nil && r.Rung <= 3 {
			gentle = true
		}
	}
	for _, m := range c.MustNot {
		k.need("must_not.why", m.Why, "say why not")
		k.word("must_not.does", m.Does, []string{"", "nothing", "little"})
		if m.Remedy != "" {
			k.remedyRef("must_not", m.Remedy)
		}
	}
	if !gentle {
		k.say("has no action without chemistry", "add one of rungs 0 to 3")
	}
}
