package remedy

import (
	"slices"
	"time"

	"botanik/core/civil"
	"botanik/core/knowledge"
)

// inPot reports whether a plant stands in a pot as far as its place tells.
func (g *gateInput) inPot() bool {
	return slices.Contains([]string{"indoors", "greenhouse", "balcony"}, g.s.Place)
}

// wood reports whether a host lives on as a shrub, tree, conifer or palm.
func wood(h *knowledge.Host) bool {
	return h != nil && slices.Contains([]string{"woody", "conifer", "palm"}, h.Form)
}

// month is the month of the northern year the day falls in.
func (g *gateInput) month() int {
	m := int(g.day.Month())
	if g.s.South {
		m = civil.AcrossEquator(m)
	}
	return m
}

// stands keeps what is for pots off the ground, what is for the ground out of pots,
// and what is for glass indoors.
func stands(g *gateInput) []Reason {
	if g.s.Place == "" {
		return nil
	}
	switch only := g.r.Only; {
	case only == "pot" && !g.inPot():
		return say("place", No, "Only for a plant in a pot; this one stands in the ground.")
	case only == "ground" && g.s.Place == "indoors":
		return say("place", No, "Only for the ground or a tub outside.")
	case only == "glass" && g.s.Place != "indoors" && g.s.Place != "greenhouse":
		return say("place", No, "Only indoors and under glass: outside it catches helpers and birds, or does not live.")
	}
	return nil
}

// The months of the northern year in which the kin of cherry and plum are not cut:
// silver leaf and bacterial canker enter then (extension bulletins on stone fruit).
const (
	stoneCutFrom = 10
	stoneCutTo   = 4
)

// stone keeps the saw off stone fruit from autumn to bud burst, and copper off its
// leaves: it defoliates peach and makes the shot holes it is meant to cure.
func stone(g *gateInput) []Reason {
	h := g.b.Host(g.s.Host)
	if h == nil || h.Group != "stone" {
		return nil
	}
	m := g.month()
	switch {
	case g.r.Cuts && (m >= stoneCutFrom || m <= stoneCutTo):
		return say("season", NotNow, "No cut on %s from autumn to bud burst: silver leaf and canker enter by it. Wait for dry weather from %s to %s.", h.Name, g.monthName(stoneCutTo+1), g.monthName(stoneCutFrom-1))
	case g.r.Is(knowledge.ClassCopper) && !g.s.Dormant:
		return say("season", NotNow, "Copper burns the leaves of %s: only on bare twigs, from leaf fall to bud swell.", h.Name)
	}
	return nil
}

// monthName is a month of the northern year in the desk's own half of the world.
func (g *gateInput) monthName(m int) string {
	if g.s.South {
		m = civil.AcrossEquator(m)
	}
	return time.Month(m).String()
}

// The months of the northern year in which the beetles that carry oak wilt and Dutch elm
// disease fly to fresh cuts (forestry authorities' advice), and what is cut then.
var freshCuts = map[string]struct {
	from, to int
	why      string
}{
	"oak":      {4, 7, "the beetles of oak wilt"},
	"holm-oak": {4, 7, "the beetles of oak wilt"},
	"elm":      {4, 8, "the beetles of Dutch elm disease"},
}

// fresh keeps the saw off oak and elm while the beetles fly that carry their wilts.
func fresh(g *gateInput) []Reason {
	x, ok := freshCuts[g.s.Host]
	if m := g.month(); !ok || !g.r.Cuts || m < x.from || m > x.to {
		return nil
	}
	return say("season", NotNow, "No cut on %s from %s to %s: %s fly to fresh wounds and bring a wilt that kills it. A limb that may fall is for an arborist.", g.b.Host(g.s.Host).Name, g.monthName(x.from), g.monthName(x.to), x.why)
}

// heath keeps lime off what lives in acid soil.
func heath(g *gateInput) []Reason {
	h := g.b.Host(g.s.Host)
	if h != nil && h.Group == "heath" && g.r.ID == knowledge.LimeSoil {
		return say("host", No, "%s lives in acid soil: lime kills it.", h.Name)
	}
	return nil
}

// irreversible says what cannot be undone: a living shrub or tree is not pulled up for
// a little harm while anything else does something.
func irreversible(g *gateInput) []Reason {
	// Lifted whole is for what is soft and young: a vine or a bush is never dug out for a
	// suspicion.
	if h := g.b.Host(g.s.Host); g.r.ID == knowledge.Rogue && wood(h) {
		return say("plant", No, "%s lives on for years: it is not lifted for a suspicion. Take no cuttings from it, and have a laboratory say what it is.", h.Name)
	}
	if g.r.ID == knowledge.PullIt && keepsStanding(g.b.Host(g.s.Host), g.s) {
		return say("plant", Care, "It cannot be undone: a shrub or tree is pulled only when it is past saving.")
	}
	return nil
}

// keepsStanding reports whether a plant is worth keeping at this pressure whatever
// else there is.
func keepsStanding(h *knowledge.Host, s Situation) bool { return wood(h) && s.Pressure != "heavy" }
