package remedy

import (
	"slices"

	"botanik/core/knowledge"
)

// second minds the other trouble on the same plant: what that one must not get is barred, what
// is for the authority bars every product, and nothing wet lies on what rots (judgement: a
// wet film feeds soft rots, whatever it is of).
func second(g *gateInput) []Reason {
	other := g.b.Cause(g.s.Also)
	if other == nil {
		return nil
	}
	product := g.r.Kind == "product"
	for _, m := range other.MustNot {
		if m.Remedy == g.r.ID && m.Does == "" {
			return say("second", No, "%s is there as well, and this does harm there: %s.", other.Name, m.Why)
		}
	}
	switch {
	case product && other.Regulated != "":
		return say("second", No, "%s may be there as well: nothing is sprayed before the authority has seen it.", other.Name)
	case product && other.Kind == "disease" && dries(other):
		return say("second", Care, "%s is there as well: cut it out and let it dry first, and keep this off what rots.", other.Name)
	}
	return nil
}

// dries reports whether a trouble is held by keeping the plant dry.
func dries(c *knowledge.Cause) bool {
	return slices.ContainsFunc(c.Actions, func(a knowledge.Action) bool {
		return (a.Remedy == "let-dry" || a.Remedy == "stop-watering") && a.Efficacy != "some"
	})
}

// SecondPlan is what is done against a second trouble on the same plant without a bottle: the
// handwork and care that its own ladder picks; a product is chosen in a round of its own. refer is said of one that is for the authority.
func SecondPlan(b *knowledge.Base, s Situation) (do []Offer, refer string) {
	other := b.Cause(s.Also)
	if other == nil {
		return nil, ""
	}
	own := s
	own.Also, own.Pressure, own.Stages = "", "moderate", nil
	a, err := Advise(b, other.ID, own)
	if err != nil || other.Regulated != "" {
		return nil, a.Refer
	}
	hand := func(o Offer) bool { return o.Meant && o.Open && o.Kind != "product" && !o.Prevents }
	for _, o := range a.Offers {
		if hand(o) && slices.Contains(a.Pick, o.Remedy) {
			do = append(do, o)
		}
	}
	if len(do) == 0 { // it would take a bottle: what a hand can do meanwhile
		if i := slices.IndexFunc(a.Offers, func(o Offer) bool { return hand(o) && o.Efficacy != "some" }); i >= 0 {
			do = append(do, a.Offers[i])
		}
	}
	return do, ""
}
