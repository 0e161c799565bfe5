package remedy

import (
	"botanik/core/civil"
	"fmt"
	"slices"
	"strings"

	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// phases of a plant that are true of it today. Leaf fall and bud swell go by the
// month for plants that drop their leaves (judgement, for cool climates); what a
// desk saw, a leafless plant or open flowers, wins.
func (g *gateInput) phases() []string {
	h, m := g.b.Host(g.s.Host), g.month()
	drops := h != nil && h.Dormant
	var out []string
	switch {
	case g.s.Dormant && (m == 2 || m == 3 || m == 4):
		out = append(out, "dormant", "bud swell")
	case g.s.Dormant:
		out = append(out, "dormant")
	case drops && (m == 10 || m == 11):
		out = append(out, "leaf fall", "in leaf")
	default:
		out = append(out, "in leaf")
	}
	if !g.s.InBloom || g.s.Place == "indoors" { // no bee comes there
		out = append(out, "not in flower")
	}
	return out
}

// held is the gate of what a cause says of its own action: each condition that is not
// met says so in the action's own words, and whether waiting helps.
func held(g *gateInput) []Reason {
	a, ok := g.action()
	if !ok || a.Only == nil {
		return nil
	}
	c := a.Only
	if st, why := g.unmet(c, a.When); st != "" {
		return say("when", st, "%s", why)
	}
	var out []Reason
	if slices.Contains(c.Stages, "crawler") && len(g.s.Stages) == 0 {
		out = append(out, g.crawlers()...)
	} else if len(c.Stages) > 0 && len(g.s.Stages) == 0 {
		out = append(out, say("when", Care, "It works on the %s: look whether there are any.", strings.Join(c.Stages, " and the "))...)
	}
	if c.Know != "" {
		out = append(out, say("when", Care, "Only if %s: you say.", c.Know)...)
	}
	return out
}

// unmet is how firmly a condition stands against today and why: No where waiting
// changes nothing, NotNow where it may, empty where it holds.
func (g *gateInput) unmet(c *knowledge.Condition, when string) (Status, string) {
	h := g.b.Host(g.s.Host)
	is := func(keys []string) bool { return h != nil && slices.ContainsFunc(keys, h.Answers) }
	lacks := func(of []string, has ...string) bool {
		return len(of) > 0 && len(has) > 0 && !slices.ContainsFunc(has, func(x string) bool { return slices.Contains(of, x) })
	}
	t := g.s.TempC
	switch {
	case len(c.Hosts) > 0 && h != nil && !is(c.Hosts):
		return No, fmt.Sprintf("Not for %s: %s only.", humanise.InSentence(h.Name), when)
	case is(c.NotHosts):
		return No, fmt.Sprintf("Not for %s.", humanise.InSentence(h.Name))
	case !g.standsIn(c.Stand):
		return No, map[string]string{"pot": "Only for a plant in a pot.", "ground": "Only for what stands in the ground.", "glass": "Only indoors and under glass.", "outdoors": "Only outdoors."}[c.Stand]
	case len(c.Months) > 0 && !slices.Contains(c.Months, g.month()) && !g.roofed():
		return NotNow, fmt.Sprintf("Its time is %s.", monthNames(c.Months, g.s.South))
	case lacks(c.Phase, g.phases()...):
		return NotNow, phaseWords[c.Phase[0]]
	case c.BadYear && !g.s.BadYear && g.school("dormant-spray") == "bad-year" && g.r.Season != "dormant": // of winter sprays the school says it
		return NotNow, "Only after a bad year: nothing says last year was bad on this plant."
	case g.s.Pressure != "" && lacks(c.Pressure, g.s.Pressure):
		return NotNow, fmt.Sprintf("For %s pressure, and here it is %s.", strings.Join(c.Pressure, " or "), g.s.Pressure)
	case lacks(c.Stages, g.s.Stages...):
		return NotNow, fmt.Sprintf("It works on the %s, and none were seen.", strings.Join(c.Stages, " and the "))
	case t != nil && c.AboveC != 0 && *t < c.AboveC:
		return NotNow, fmt.Sprintf("It is %.0f °C; it wants over %.0f °C.", *t, c.AboveC)
	case t != nil && c.BelowC != 0 && *t > c.BelowC:
		return NotNow, fmt.Sprintf("It is %.0f °C; not above %.0f °C.", *t, c.BelowC)
	}
	return "", ""
}

// phaseWords say what a condition on the plant's season waits for.
var phaseWords = map[string]string{
	"dormant":       "Only on a leafless plant: wait for leaf fall.",
	"bud swell":     "Only as the buds swell, before they open.",
	"in leaf":       "Only on a plant in leaf.",
	"leaf fall":     "Its time is leaf fall.",
	"not in flower": "Not while it flowers.",
}

// roofed reports whether a plant has a season of its own.
func (g *gateInput) roofed() bool { return Sheltered(g.s.Place) }

// Sheltered reports whether a place has its own seasons: indoors or under glass.
func Sheltered(place string) bool { return slices.Contains(ShelteredPlaces, place) }

// ShelteredPlaces have their own seasons.
var ShelteredPlaces = []string{"indoors", "greenhouse"}

func (g *gateInput) standsIn(where string) bool {
	switch {
	case where == "" || g.s.Place == "":
		return true
	case where == "pot":
		return g.inPot()
	case where == "ground":
		return !g.inPot()
	case where == "glass":
		return g.roofed()
	}
	return !g.roofed() // outdoors
}

// crawlers says when the young of a scale walk, where nobody has looked for them.
func (g *gateInput) crawlers() []Reason {
	const tape = "wrap a strip of sticky tape round a twig and look for specks that walk"
	switch {
	case len(g.c.Crawlers) == 0 || g.roofed():
		return say("when", Care, "It works on the crawlers: %s.", tape)
	case !slices.Contains(g.c.Crawlers, g.month()):
		return say("when", NotNow, "It works on the crawlers, and they walk in %s: then %s.", monthNames(g.c.Crawlers, g.s.South), tape)
	}
	return say("when", Care, "The crawlers walk in these weeks: %s.", tape)
}

var monthWords = []string{"January", "February", "March", "April", "May", "June", "July", "August", "September", "October", "November", "December"}

// monthNames says months of the northern year as they are where the desk is, runs of
// three and more by their ends.
func monthNames(months []int, south bool) string {
	list := slices.Clone(months)
	if south {
		for i, m := range list {
			list[i] = civil.AcrossEquator(m)
		}
	}
	slices.Sort(list)
	var out []string
	for i := 0; i < len(list); {
		j := i
		for j+1 < len(list) && list[j+1] == list[j]+1 {
			j++
		}
		switch first, last := monthWords[list[i]-1], monthWords[list[j]-1]; {
		case j-i > 1:
			out = append(out, fmt.Sprintf("%s to %s", first, last))
		case j > i:
			out = append(out, first, last)
		default:
			out = append(out, first)
		}
		i = j + 1
	}
	if len(out) < 2 {
		return strings.Join(out, "")
	}
	return strings.Join(out[:len(out)-1], ", ") + " and " + out[len(out)-1]
}
