package knowledge

import (
	"fmt"
	"slices"
	"strings"

	"botanik/core/scouting"
)

// SamplingOf is how a unit is counted; leaves where nothing is known of it.
func (b *Base) SamplingOf(unit string) *Sampling {
	for _, id := range []string{unit, "leaf"} {
		if i := slices.IndexFunc(b.Sampling, func(s *Sampling) bool { return s.ID == id }); i >= 0 {
			return b.Sampling[i]
		}
	}
	return nil
}

// Spots of the drawing that shows where to count.
var Spots = []string{"leaves", "tips", "flowers", "plants", "ground"}

// counting holds that what is borne can be counted: of which tally, on a unit that
// somebody said how to sample.
func (k *checker) counting() {
	for _, s := range k.b.Sampling {
		k.at(s.From, "sampling", s.ID)
		k.need("where", s.Where, "say where on the plant they are taken")
		k.need("how", s.How, "say how each is looked at")
		k.need("source", s.Source, `name it in general terms or write "judgement"`)
		k.word("spots", s.Spots, Spots)
		if s.Take < 1 || s.Take > 100 {
			k.say(fmt.Sprintf("takes %d units", s.Take), "give take from 1 to 100")
		}
	}
	for _, x := range k.b.Infections {
		k.at(x.From, "infection", x.ID)
		k.need("source", x.Source, `name it in general terms or write "judgement"`)
		if err := x.Check(); err != nil {
			k.say(err.Error(), "correct points")
		}
		for _, c := range x.Causes {
			if k.b.Cause(c) == nil {
				k.say(fmt.Sprintf("is of cause %q, which is not here", c), "correct causes")
			}
		}
	}
	for _, f := range k.b.Findings {
		if f.Stage != "" && !slices.ContainsFunc(k.b.Causes, func(c *Cause) bool { return slices.Contains(c.Stages, f.Stage) }) {
			k.at(f.From, "finding", f.ID)
			k.say(fmt.Sprintf("shows the stage %q, which no pest has", f.Stage), "use a stage of a cause")
		}
		for _, s := range f.States {
			if s.Degree != "" {
				k.at(f.From, "finding", f.ID)
				k.word("degree", s.Degree, []string{"light", "moderate", "heavy"})
			}
		}
	}
	for _, c := range k.b.Causes {
		t := c.Tolerable
		k.at(c.From, "cause", c.ID)
		if t.Of != "" && !slices.ContainsFunc(scouting.TallyKinds, func(x scouting.Tally) bool { return x.ID == t.Of }) {
			k.say(fmt.Sprintf("bears so many %q, which is no tally", t.Of), "use pests, young, adults, upper, helpers, parasitised or marks")
		}
		if t.Share > 0 && t.Of == "" {
			k.say("bears a share, and does not say of what", "give tolerable.of: marks for leaves that show it, pests for units with any on them")
		}
		if t.None && (t.Share > 0 || t.PerUnit > 0) {
			k.say("bears none and some", "leave none or the figure out")
		}
		if plain := strings.TrimSuffix(t.Text, "."); plain == "none" && !t.None && (c.Kind == "pest" || c.Kind == "disease") {
			k.say("bears none in words only", "add none: true to tolerable")
		}
		if t.PerUnit > 0 && len(k.b.Sampling) > 0 && !slices.ContainsFunc(k.b.Sampling, func(s *Sampling) bool { return s.ID == t.Unit }) {
			k.say(fmt.Sprintf("is counted a %s, which nobody says how to sample", t.Unit), "add the unit to sampling.yaml")
		}
	}
}
