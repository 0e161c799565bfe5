package knowledge

import (
	"fmt"
	"slices"

	"botanik/core/microscopy"
)

// slides holds the bench protocols and the slide key: characters with states or a measure, and species that
// show states of them.
func (k *checker) slides() {
	k.counting()
	k.winters()
	for _, x := range k.b.Protocols {
		k.at(x.From, "protocol", x.ID)
		k.need("name", x.Name, "say what is made ready")
		k.need("mind", x.Mind, "say what is dangerous, or what makes it worthless")
		k.need("source", x.Source, `name it in general terms or write "judgement"`)
		if len(x.Steps) == 0 || slices.ContainsFunc(x.Steps, func(s ProtocolStep) bool { return s.Text == "" || s.Minutes < 0 }) {
			k.say("has no steps that can be followed", "give steps, each with its text, and minutes above zero where it takes time")
		}
	}
	key := k.b.SlideKey
	for _, c := range key.Characters {
		k.at(c.From, "slide character", c.ID)
		k.need("name", c.Name, "say it in plain words")
		k.need("term", c.Term, "give the field's own word")
		k.need("spot", c.Spot, "say where on the drawing it lies")
		if (len(c.States) < 2) == (c.Measure == nil) {
			k.say("is neither a choice nor a measure", "give two states or more, or measure, and not both")
		}
		if m := c.Measure; m != nil && !(m.Line > 0) {
			k.say("is measured against no line", "give measure.line above 0")
		}
		k.slideLooks(c)
	}
	for _, s := range key.Species {
		k.at(s.From, "slide", s.ID)
		k.need("source", s.Source, `name it in general terms or write "judgement"`)
		if s.Cause != "" && k.b.Cause(s.Cause) == nil {
			k.say(fmt.Sprintf("is cause %q, which is not here", s.Cause), "correct cause or leave it out")
		}
		own := key.Of(s.Group)
		for id, has := range s.States {
			c := own.Character(id)
			for _, st := range has {
				if c == nil || !slices.ContainsFunc(c.States, func(x microscopy.SlideState) bool { return x.ID == st }) {
					k.say(fmt.Sprintf("shows %s: %s, which its group has not", id, st), "use a character and a state of slidecharacters.yaml")
				}
			}
		}
		for id, r := range s.Ranges {
			if c := own.Character(id); c == nil || c.Measure == nil || !(r[0] > 0 && r[1] > r[0]) {
				k.say("has no range of "+id+" that makes sense", "name a measured character of its group, with the least and the most")
			}
		}
		for _, h := range s.Hosts {
			if !slices.ContainsFunc(k.b.Hosts, func(x *Host) bool { return x.ID == h || x.Group == h || x.Family == h }) {
				k.say(fmt.Sprintf("is met on %q, which is no plant, group or family here", h), "use one of hosts/")
			}
		}
	}
}

// slideLooks holds the way back to a look of the case.
func (k *checker) slideLooks(c *microscopy.Character) {
	if c.Looks == nil {
		return
	}
	f := k.b.Finding(c.Looks.Finding)
	if f == nil {
		k.say(fmt.Sprintf("leads to the look %q, which is not here", c.Looks.Finding), "correct looks.finding")
		return
	}
	for from, to := range c.Looks.States {
		known := slices.ContainsFunc(c.States, func(x microscopy.SlideState) bool { return x.ID == from }) || c.Measure != nil && (from == "above" || from == "below")
		if !known || f.State(to) < 0 {
			k.say(fmt.Sprintf("leads from %s to %s, which are not there", from, to), "correct looks.states")
		}
	}
}
