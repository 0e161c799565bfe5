package remedy

import (
	"fmt"
	"slices"

	"botanik/core/humanise"
)

// The gates that speak for bees, eaters, the plant itself, and whoever lives there.

// bloom speaks for the bees: by the flowers that were seen, or by the plant and the
// month where nobody said. No bee comes indoors.
func bloom(g *gateInput) []Reason {
	h := g.b.Host(g.s.Host)
	if g.s.Place == "indoors" {
		return nil
	}
	if m := g.month(); !g.s.InBloom {
		if h != nil && h.BeeVisited && g.r.Bloom == "never" && !g.s.Dormant && m >= 3 && m <= 10 {
			return say("bloom", Care, "Bees visit this plant: not while a flower on it is open.")
		}
		return nil
	}
	switch g.r.Bloom {
	case "never":
		return say("bloom", NotNow, "In flower: not until the flowers are over or cut off, for the bees.")
	case "evening":
		return say("bloom", Care, "In flower: only late in the evening, and not onto open flowers.")
	}
	return nil
}

func (g *gateInput) waitDays() int { return LimitsOf(g.r, g.s.House).PreHarvest }

func food(g *gateInput) []Reason {
	if !g.s.Eaten(g.b) {
		return nil
	}
	if g.r.Food == "never" {
		return say("food", No, "Not for anything that is eaten.")
	}
	var out []Reason
	if crops := g.s.House.Labels[g.r.ID].Crops; len(crops) > 0 && !g.named(crops) {
		return say("food", No, "The bottle on this shelf does not name this crop.")
	}
	if g.r.Food == "label" {
		out = say("food", Care, "Eaten: only a product whose label names this crop.")
	}
	wait := g.waitDays()
	if wait == 0 {
		return out
	}
	switch {
	case g.s.DaysToHarvest == nil:
		out = append(out, say("food", Care, "Wait %s between it and picking; the harvest day is not known.", humanise.Days(wait))...)
	case *g.s.DaysToHarvest < wait:
		free := g.day.Add(*g.s.DaysToHarvest)
		text := fmt.Sprintf("Picking is in %s and it asks for %s: pick first, then treat.", humanise.Days(*g.s.DaysToHarvest), humanise.Days(wait))
		if *g.s.DaysToHarvest == 0 { // the day has come, or has gone by since it was brought in
			text = fmt.Sprintf("It is due to be picked now, and it asks for a wait of %s: pick first, then write down the next picking on Brought in.", humanise.Days(wait))
		}
		out = append(out, Reason{"food", NotNow, text, free.String()})
	default:
		out = append(out, say("food", Care, "Wait %s before picking.", humanise.Days(wait))...)
	}
	return out
}

// named says whether a bottle's crops name the plant, by itself, its group or
// its family. A plant not known here is named by none.
func (g *gateInput) named(crops []string) bool {
	h := g.b.Host(g.s.Host)
	return h != nil && slices.ContainsFunc(crops, func(c string) bool {
		return c != "" && (c == h.ID || c == h.Group || c == h.Family)
	})
}

func hostGate(g *gateInput) []Reason {
	var out []Reason
	for _, class := range g.r.Harms {
		out = append(out, sensitivity(g, class)...)
	}
	return out
}

func sensitivity(g *gateInput, class string) []Reason {
	if h := g.b.Host(g.s.Host); h != nil {
		switch h.Sensitive[class] {
		case "never":
			return say("host", No, "%s is harmed by %s.", h.Name, class)
		case "care":
			return say("host", Care, "%s can be marked by %s: patch test three leaves, wait two days.", h.Name, class)
		}
		return nil
	}
	// An unknown plant is judged by its relatives, then by plants of its form.
	family, form := false, false
	for _, h := range g.b.Hosts {
		if h.Sensitive[class] == "never" {
			family = family || g.s.Family != "" && h.Family == g.s.Family
			form = form || g.s.Form != "" && h.Form == g.s.Form
		}
	}
	switch {
	case family:
		return say("host", No, "The plant is not known here and a relative of it is harmed by %s.", class)
	case form:
		return say("host", Care, "The plant is not known here and some of its kind are harmed by %s: patch test three leaves, wait two days.", class)
	}
	return say("host", Care, "The plant is not known here: patch test three leaves and wait two days before any %s.", class)
}

func indoors(g *gateInput) []Reason {
	if g.s.Place != "indoors" {
		return nil
	}
	switch g.r.Indoors {
	case "never":
		return say("indoors", No, "Not indoors. Carry the plant out, or choose another.")
	case "air":
		if g.r.Flammable {
			return say("indoors", Care, "Indoors: open the window, no flame or heater near by; it burns.")
		}
		return say("indoors", Care, "Indoors: open the window, or carry the plant out.")
	}
	return nil
}

func living(g *gateInput) []Reason {
	var out []Reason
	h := g.r.Hazards
	if g.s.Cat && h.Pets >= 3 {
		if g.s.Place == "indoors" {
			out = append(out, say("pets", No, "A cat lives there, and it is dangerous to cats.")...)
		} else {
			out = append(out, say("pets", Care, "Dangerous to cats: shut the cat in until it is dry.")...)
		}
	}
	if (g.s.Cat || g.s.Dog) && h.Pets == 2 {
		out = append(out, say("pets", Care, "Keep pets away until it is dry.")...)
	}
	if g.s.Dog && h.Pets >= 3 {
		out = append(out, say("pets", Care, "Keep the dog away until it is dry.")...)
	}
	if g.s.Children && h.People >= 2 {
		out = append(out, say("children", Care, "Keep children away, and store it locked.")...)
	}
	if g.s.Pond && h.Water >= 3 {
		out = append(out, say("water", No, "Poisonous to water life, and a pond or drain is near.")...)
	} else if g.s.Pond && h.Water == 2 {
		out = append(out, say("water", Care, "Harms water life: keep it well away from the pond or drain.")...)
	}
	return out
}
