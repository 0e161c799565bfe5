package remedy

import (
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

type gateInput struct {
	b   *knowledge.Base
	c   *knowledge.Cause
	r   *knowledge.Remedy
	s   Situation
	day civil.Day
}

type gate func(*gateInput) []Reason

// gates in the order their reasons are most useful to read.
var gates = []gate{regulated, meant, licensed, law, policy, schools, hostGate, bloom, food, earlier, repeats, rotation, stages, temperature, sunAndThirst, season, stands, stone, fresh, heath, irreversible, indoors, living, climate, second, held}

func say(gate string, st Status, format string, a ...any) []Reason {
	return []Reason{{Gate: gate, Status: st, Text: fmt.Sprintf(format, a...)}}
}

func regulated(g *gateInput) []Reason {
	if g.c.Regulated == "" || g.r.ID == knowledge.Report {
		return nil
	}
	if slices.Contains(knowledge.BesideReport, g.r.ID) && g.listed() {
		if g.r.ID == knowledge.LabSend {
			return say("regulated", Care, "%s may be regulated: ask the authority before any of it leaves the garden.", g.c.Name)
		}
		return nil
	}
	return say("regulated", No, "%s may be regulated: it is for the authority, not for a treatment.", g.c.Name)
}

// listed reports whether the cause itself names the remedy.
func (g *gateInput) listed() bool {
	return slices.ContainsFunc(g.c.Actions, func(a knowledge.Action) bool { return a.Remedy == g.r.ID })
}

// meant says whether the book has it for this cause at all; not listed, does little,
// does nothing and does harm are four different things.
func meant(g *gateInput) []Reason {
	if m := g.barred(g.r.ID); m != nil {
		return refused(*m)
	}
	if _, ok := g.action(); ok {
		return nil
	}
	if m := g.barred(g.r.Like); m != nil {
		return refused(*m)
	}
	if g.c.Kind == "helper" {
		return say("harm", No, "%s is a helper and is left alone.", g.c.Name)
	}
	return say("meant", No, "Not listed for %s: nothing in this book says that it helps.", g.c.Name)
}

// barred is what the cause says must not be done with a remedy, nil for nothing.
func (g *gateInput) barred(remedy string) *knowledge.MustNot {
	if remedy == "" {
		return nil
	}
	for i := range g.c.MustNot {
		if m := &g.c.MustNot[i]; m.Remedy == remedy {
			return m
		}
	}
	return nil
}

func refused(m knowledge.MustNot) []Reason {
	switch m.Does {
	case "nothing":
		return say("nothing", No, "Does nothing here: %s.", m.Why)
	case "little":
		return say("little", No, "Does little here: %s.", m.Why)
	}
	return say("harm", No, "Does harm here: %s.", m.Why)
}

// notWords is the kind of a refusal by the gate that spoke: what nobody listed, what
// does little or nothing, what harms, and what is not allowed.
var notWords = map[string]string{
	"meant": "not listed", "nothing": "does nothing", "little": "does little", "stage": "does little",
	"harm": "harms", "host": "harms", "pets": "harms", "water": "harms", "food": "harms", "indoors": "harms", "plant": "harms", "second": "harms",
	"regulated": "not allowed", "licensed": "not allowed", "law": "not allowed", "house": "not allowed", "school": "not allowed", "repeat": "not allowed", "rotation": "not allowed",
	"place": "not here", "when": "not here", "season": "not here",
}

// action is what the cause says of the remedy, or of the one it stands in for:
// then a step less worth, and not where the cause forbids that one.
func (g *gateInput) action() (knowledge.Action, bool) {
	for _, a := range g.c.Actions {
		if a.Remedy == g.r.ID {
			return a, true
		}
	}
	if g.r.Like == "" || slices.ContainsFunc(g.c.MustNot, func(m knowledge.MustNot) bool { return m.Remedy == g.r.Like }) {
		return knowledge.Action{}, false
	}
	for _, a := range g.c.Actions {
		if a.Remedy == g.r.Like {
			a.Remedy = g.r.ID
			a.Efficacy = map[string]string{"good": "fair", "fair": "some", "some": "some"}[a.Efficacy]
			return a, true
		}
	}
	return knowledge.Action{}, false
}

func licensed(g *gateInput) []Reason {
	if !g.r.Licensed {
		return nil
	}
	return say("licensed", No, "Only through a licensed applicator and local rules; this desk refers it.")
}

func law(g *gateInput) []Reason {
	w, ok := g.s.House.Law[g.r.Ingredient]
	if !ok || g.r.Ingredient == "" {
		return nil
	}
	ref := ""
	if w.Reference != "" {
		ref = " (" + w.Reference + ")"
	}
	switch w.Status {
	case "banned":
		return say("law", No, "Local law bans %s%s.", g.r.Ingredient, ref)
	case "licensed":
		return say("law", No, "Local law leaves %s to licensed persons%s.", g.r.Ingredient, ref)
	case "restricted":
		return say("law", Care, "Local law restricts %s%s: read it first.", g.r.Ingredient, ref)
	}
	return nil
}

func policy(g *gateInput) []Reason {
	p, ok := g.s.House.Policy[g.r.ID]
	if !ok {
		return nil
	}
	why := ""
	if p.Why != "" {
		why = ": " + p.Why
	}
	switch {
	case p.Use == "no":
		return say("house", No, "This house does not recommend it%s.", why)
	case p.Use == "heavy" && g.s.Pressure != "heavy":
		return say("house", NotNow, "This house keeps it for heavy pressure%s.", why)
	}
	return nil
}

func earlier(g *gateInput) []Reason {
	var out []Reason
	for _, e := range g.s.Earlier {
		days, c := g.b.ConflictBetween(e.Remedy, g.r.ID)
		if c == nil {
			continue
		}
		on, err := civil.Parse(e.On)
		if err != nil {
			continue
		}
		days, care := g.wait(e.Remedy, days, c)
		if days == 0 {
			continue
		}
		free := on.Add(days)
		if care > 0 && !g.day.Before(free) && g.day.Before(on.Add(care)) {
			out = append(out, say("earlier", Care, "%s was used on %s: two weeks are over, but many wait %s. Patch test first.", g.b.Remedy(e.Remedy).Name, on.Brief(), humanise.Days(care))...)
		}
		if g.day.Before(free) {
			out = append(out, Reason{"earlier", NotNow, fmt.Sprintf("%s was used on %s, and %s should lie between: %s.", g.b.Remedy(e.Remedy).Name, on.Brief(), humanise.Days(days), c.Why), free.String()})
		}
	}
	return out
}

func repeats(g *gateInput) []Reason {
	lim := LimitsOf(g.r, g.s.House)
	uses, last := Uses(g.s.Earlier, g.r.ID, g.day)
	if lim.MaxApplications > 0 && uses >= lim.MaxApplications {
		return say("repeat", No, "Used %s; the label's most a season is %s.", humanise.Times(uses), humanise.Times(lim.MaxApplications))
	}
	if free := last.Add(lim.GapMin); uses > 0 && g.day.Before(free) {
		return []Reason{{"repeat", NotNow, fmt.Sprintf("Used on %s; the shortest gap is %s.", last.Brief(), humanise.Days(lim.GapMin)), free.String()}}
	}
	return nil
}

// rotation looks at the last treatments with a resistance group: nerve and
// growth modes can be outgrown, suffocation cannot (groups that begin UN-).
func rotation(g *gateInput) []Reason {
	if !g.r.Outgrown() {
		return nil
	}
	list := slices.Clone(g.s.Earlier)
	slices.SortStableFunc(list, func(a, b Earlier) int {
		switch {
		case a.On > b.On:
			return -1
		case a.On < b.On:
			return 1
		}
		return 0
	})
	row := 0
	for _, e := range list {
		r := g.b.Remedy(e.Remedy)
		if r == nil || r.Kind != "product" {
			continue
		}
		if r.ResistanceGroup != g.r.ResistanceGroup {
			break
		}
		row++
	}
	switch {
	case row >= 2:
		return say("rotation", No, "Group %s was used %s running: change to another way of killing.", g.r.ResistanceGroup, humanise.Times(row))
	case row == 1:
		return say("rotation", Care, "Group %s was used last time: better another way of killing.", g.r.ResistanceGroup)
	}
	return nil
}

func stages(g *gateInput) []Reason {
	if len(g.s.Stages) == 0 || len(g.r.Mortality) == 0 || g.r.Kind == "culture" { // a change of culture is not judged by what it kills
		return nil
	}
	_, protects := g.r.Mortality["protects"]
	_, cures := g.r.Mortality["cures"]
	if (protects || cures) && g.c.Kind == "disease" {
		return nil
	}
	hit, miss := false, ""
	for _, st := range g.s.Stages {
		if g.r.Mortality[st] >= .2 {
			hit = true
		} else {
			miss = st
		}
	}
	switch {
	case !hit:
		return say("stage", No, "It kills next to none of the stages seen (%s).", miss)
	case miss != "":
		return say("stage", Care, "It spares the %s stage: a repeat is needed.", miss)
	}
	return nil
}

func temperature(g *gateInput) []Reason {
	t := g.s.TempC
	if t == nil {
		return unmeasured(g)
	}
	if g.r.TempMax != nil && *t > *g.r.TempMax {
		return say("temperature", NotNow, "It is %.0f °C; not above %.0f °C. Wait for a cooler evening.", *t, *g.r.TempMax)
	}
	if g.r.TempMin != nil && *t < *g.r.TempMin {
		return say("temperature", NotNow, "It is %.0f °C; not below %.0f °C. Wait for milder days.", *t, *g.r.TempMin)
	}
	return nil
}

// unmeasured asks for a thermometer where nobody knows how warm it is and the remedy has a
// bound: no usual year says how hot this evening is.
func unmeasured(g *gateInput) []Reason {
	low, high := g.r.TempMin, g.r.TempMax
	switch {
	case !g.s.TempUnknown || low == nil && high == nil:
		return nil
	case low == nil:
		return say("temperature", Care, "How warm it is there is not known: only up to %.0f °C. Read a thermometer first.", *high)
	case high == nil:
		return say("temperature", Care, "How warm it is there is not known: only from %.0f °C on. Read a thermometer first.", *low)
	}
	return say("temperature", Care, "How warm it is there is not known: only from %.0f to %.0f °C. Read a thermometer first.", *low, *high)
}

func sunAndThirst(g *gateInput) []Reason {
	var out []Reason
	if g.r.NoSun && g.s.Sun {
		out = append(out, say("sun", NotNow, "Not in sun: wait for evening shade.")...)
	}
	if g.r.NoDrought && g.s.Drought {
		out = append(out, say("thirst", NotNow, "The plant is thirsty: water it and wait until it stands again.")...)
	}
	return out
}

func season(g *gateInput) []Reason {
	h := g.b.Host(g.s.Host)
	switch {
	case g.r.Season == "dormant" && h != nil && !h.Dormant && !g.s.Dormant: // whoever sees it leafless knows better
		return say("season", No, "%s keeps its leaves in winter; a winter spray would burn them.", h.Name)
	case g.r.Season == "dormant" && !g.s.Dormant:
		return say("season", NotNow, "Only on a leafless, dormant plant.")
	case len(g.r.Months) > 0 && !slices.Contains(g.r.Months, g.month()) && !g.roofed():
		return say("season", NotNow, "Its time is %s.", monthNames(g.r.Months, g.s.South))
	case g.r.Season == "leaf" && g.s.Dormant:
		return say("season", NotNow, "Only on a plant in leaf.")
	}
	return nil
}

// dryRoom reports whether a bought helper would be let loose where it does not settle:
// in a heated room, and those that fly in any.
func (g *gateInput) dryRoom() bool {
	m := g.month()
	return g.s.Place == "indoors" && g.r.Is(knowledge.ClassLeafHelp) && (g.r.Is(knowledge.ClassWinged) || m >= heatedFrom || m <= heatedTo)
}

// The months of the northern year in which rooms are heated and their air is dry
// (judgement, for cool climates).
const (
	heatedFrom = 10
	heatedTo   = 4
)

// climate tells where a bought helper can live; the temperature itself is the
// temperature gate's.
func climate(g *gateInput) []Reason {
	if g.r.Climate == "" {
		return nil
	}
	if g.dryRoom() {
		return say("climate", Care, "It lives only where it is %s: on a few pots in a heated room a cloth does more.", g.r.Climate)
	}
	return say("climate", Care, "It lives only where it is %s.", g.r.Climate)
}
