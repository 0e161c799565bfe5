package remedy

import (
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// Choose holds what somebody chose against every gate: apart is what speaks against it, each
// with its reason; combine is how it works together, and empty as long as anything stands
// apart, for nobody may read a plan of what must not be done. a is the advice for the same
// situation.
func Choose(b *knowledge.Base, c *knowledge.Cause, a Advice, s Situation, ids []string) (combine, apart []string) {
	combine, apart = []string{}, []string{}
	for _, o := range a.Offers {
		if o.Open || !slices.Contains(ids, o.Remedy) {
			continue
		}
		why := "it is not for this."
		against := []string{} // all that forbids it: the cat as well as that it would not help
		for _, r := range o.Reasons {
			if r.Status == o.Status {
				against = append(against, r.Text)
			}
		}
		if len(against) > 0 {
			why = strings.Join(against, " ")
		}
		until := ""
		if o.Status == NotNow && o.Until != "" {
			until = " until " + o.Until
		}
		apart = append(apart, fmt.Sprintf("%s: %s%s. %s", o.Name, o.Status, until, why))
	}
	for _, f := range fault.From(CheckCombination(b, s, ids)) {
		apart = append(apart, f.Problem)
	}
	if len(apart) == 0 {
		combine = Combine(b, c, s, ids)
	}
	return combine, apart
}

// Combine says how what was chosen works together: what comes first, what each
// cannot reach, what has to change next time. In plain sentences, the order
// they are done in.
func Combine(b *knowledge.Base, c *knowledge.Cause, s Situation, ids []string) []string {
	out := []string{}
	say := func(f string, a ...any) { out = append(out, fmt.Sprintf(f, a...)) }
	has := func(id string) bool { return slices.Contains(ids, id) }
	var sprays, soil, releases []*knowledge.Remedy
	for _, id := range ids {
		r := b.Remedy(id)
		switch {
		case r == nil:
		case r.Kind == "product" && r.Reach != "soil":
			sprays = append(sprays, r)
		case r.Reach == "soil":
			soil = append(soil, r)
		case r.Is(knowledge.ClassReleased):
			releases = append(releases, r)
		}
	}
	names := func(list []*knowledge.Remedy) string {
		n := make([]string, len(list))
		for i, r := range list {
			n[i] = humanise.InSentence(r.Name)
		}
		return strings.Join(n, " and ")
	}
	if c.Kind != "helper" && c.Kind != "harmless" && honeydew(c) && !has(knowledge.StickyBand) && has(knowledge.KeepHelpers) {
		say("Stop ants climbing: they guard it from its enemies.")
	}
	if has(knowledge.PruneOut) && len(sprays)+len(releases) > 0 {
		say("Cut out the worst first: less is left to treat.")
	}
	if has(knowledge.HoseOff) && len(sprays) > 0 {
		if slices.ContainsFunc(sprays, func(r *knowledge.Remedy) bool { return PartOfDay(b, c, r, s) == "morning" }) {
			say("Hose off the day before and let it dry, then %s on what is left.", names(sprays))
		} else {
			say("Hose off in the morning, let it dry, then %s in the evening on what is left.", names(sprays))
		}
	}
	if has(knowledge.Wipe) && len(sprays) > 0 && !has(knowledge.HoseOff) {
		say("Wipe first, then %s reaches what the cloth missed.", names(sprays))
	}
	if lt := b.LifeTable(c.LifeTable); lt != nil && len(soil) == 0 {
		stages := []string{}
		for _, st := range lt.Stages {
			if st.Soil {
				stages = append(stages, st.Name)
			}
		}
		if len(stages) > 0 && len(stages) < len(lt.Stages) && len(sprays) > 0 {
			say("Part of its life is out of reach (%s): nothing on the leaves ends it in one go. Repeat on the days given.", strings.Join(stages, ", "))
		}
	}
	if len(sprays) > 0 && len(releases) > 0 {
		for _, sp := range sprays {
			for _, re := range releases {
				if days, k := b.ConflictBetween(sp.ID, re.ID); k != nil && days > 0 {
					say("First %s, then wait %s before you %s.", humanise.InSentence(sp.Name), humanise.Days(days), humanise.InSentence(re.Name))
				}
			}
		}
	}
	for _, sp := range sprays {
		switch {
		case sp.Outgrown():
			say("%s works by group %s: if it has to be done again, change to another way of killing.", sp.Name, sp.ResistanceGroup)
		case sp.Mortality["egg"] < .2 && slices.Contains(c.Stages, "egg") && sp.Mortality["young"] > 0:
			say("%s spares eggs: what hatches after needs the next round.", sp.Name)
		}
	}
	if c.Kind == "disease" && len(sprays) > 0 && slices.ContainsFunc(sprays, func(r *knowledge.Remedy) bool { return r.Mortality["protects"] > r.Mortality["cures"] }) {
		say("A spray protects clean leaves; spotted ones do not heal. Clear those first.")
	}
	return out
}

// honeydew: a sap sucker whose sugar ants come for.
func honeydew(c *knowledge.Cause) bool {
	_, sticky := c.Findings["sticky"]["yes"]
	return sticky && c.Findings["sticky"]["yes"].P() >= .35
}
