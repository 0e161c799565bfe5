package remedy

import (
	"fmt"
	"slices"

	"botanik/core/fault"
	"botanik/core/knowledge"
)

// Chosen is the answer that holds for a question of the trade, and who chose it.
type Chosen struct {
	School string `json:"school"`
	Option string `json:"option"`
	By     string `json:"by" enum:"default,house,case"`
	Near   bool   `json:"near" doc:"it bears on what is on the ladder here"`
}

// choose says which answer holds: the case's, else the house's, else the default.
func choose(b *knowledge.Base, s *Situation, id string) Chosen {
	sch := b.School(id)
	c := Chosen{School: id, By: "default"}
	if sch != nil {
		c.Option = sch.Default
	} else if known := knowledge.KnownSchools[id]; len(known) > 0 {
		c.Option = known[0]
	}
	if o, ok := s.House.Schools[id]; ok {
		c.Option, c.By = o, "house"
	}
	if o, ok := s.Schools[id]; ok {
		c.Option, c.By = o, "case"
	}
	return c
}

// Rhythm is the question of how often to treat.
const Rhythm = "rhythm"

// SchoolAnswer is the option that holds for one question.
func SchoolAnswer(b *knowledge.Base, s Situation, school string) string {
	return choose(b, &s, school).Option
}

// Schools lists the answers that hold, one for every question.
func Schools(b *knowledge.Base, s Situation) []Chosen {
	out := make([]Chosen, 0, len(b.Schools))
	for _, x := range b.Schools {
		out = append(out, choose(b, &s, x.ID))
	}
	return out
}

// markNear marks the questions that bear on what is on the ladder: something
// of every group they name is meant here.
func markNear(b *knowledge.Base, chosen []Chosen, offers []Offer) []Chosen {
	meant := map[string]bool{}
	for _, o := range offers {
		meant[o.Remedy] = o.Meant
	}
	for i := range chosen {
		x := b.School(chosen[i].School)
		chosen[i].Near = len(x.Near) > 0 && !slices.ContainsFunc(x.Near, func(group []string) bool {
			return !slices.ContainsFunc(group, func(r string) bool { return meant[r] })
		})
	}
	return chosen
}

func checkSchools(b *knowledge.Base, at string, m map[string]string, l *fault.List) {
	for id, o := range m {
		sch := b.School(id)
		switch {
		case sch == nil:
			l.Add(at+"."+id, "is not a question of the herbarium", "use an id from kb list schools")
		case sch.Option(o) == nil:
			l.Add(at+"."+id, fmt.Sprintf("%q is not an answer to it", o), "use one of its options")
		}
	}
}

func (g *gateInput) school(id string) string { return choose(g.b, &g.s, id).Option }

// both: one of the two is of a class, the other of the other.
func both(a, b *knowledge.Remedy, x, y string) bool {
	return a != nil && b != nil && (a.Is(x) && b.Is(y) || b.Is(x) && a.Is(y))
}

// schools is the gate of the questions where good advisors disagree.
func schools(g *gateInput) []Reason {
	var out []Reason
	add := func(st Status, text string) { out = append(out, say("school", st, "%s", text)...) }
	switch {
	case g.r.Is(knowledge.ClassPoison):
		switch g.school("plant-poisons") {
		case "never":
			add(No, "This desk chose never to use it.")
		case "heavy":
			if g.s.Pressure != "heavy" {
				add(NotNow, "This desk chose to keep it for heavy pressure.")
			}
		}
	case g.r.Is(knowledge.ClassAlcohol):
		switch g.school("alcohol") {
		case "spot":
			if g.s.Pressure == "heavy" {
				add(NotNow, "Spot only: at heavy pressure there are too many to dab. Wash off the most first.")
			}
		case "as-bought":
			add(Care, "As bought: on a cotton bud only, one insect at a time, wiped at once; undiluted it dissolves the leaf's wax until it goes glassy.")
		}
	case g.r.Is(knowledge.ClassSoapNext) && g.school("soap") == "insecticidal":
		add(Care, "The second choice: insecticidal soap is made for plants.")
	case g.r.Is(knowledge.ClassDetergent):
		if g.school("soap") == "detergent" {
			add(Care, "Not made for plants: patch test three leaves, two days, and rinse after an hour.")
		} else {
			add(No, "This desk uses no washing-up liquid: it strips the wax off leaves.")
		}
	case g.r.Season == "dormant" && g.school("dormant-spray") == "bad-year" && !g.s.BadYear:
		add(NotNow, "Only after a bad year: nothing says last year was bad on this plant.")
	case g.r.Is(knowledge.ClassCalcium) && !g.s.CalciumLow:
		if g.school("blossom-end-rot") == "calcium" {
			add(Care, "No soil test is known: even water does more than calcium.")
		} else {
			add(NotNow, "Only when a soil test shows too little calcium: even water and mulch come first.")
		}
	case g.r.Is(knowledge.ClassWinged) && g.s.Place != "indoors" && g.s.Place != "greenhouse":
		switch {
		case g.school("bought-helpers") == "release":
			add(Care, "Outdoors winged helpers mostly fly off.")
		case g.r.Is(knowledge.ClassGlass):
			add(No, "Only under glass.")
		case g.s.Pressure != "heavy":
			add(NotNow, "Outdoors only on dense colonies: winged helpers fly off where food is thin. Plant for helpers instead.")
		default:
			add(Care, "Outdoors part of them fly off.")
		}
	}
	return out
}

// wait is the conflict's days under the schools of this case: what must pass,
// and until when care is asked for beyond that.
func (g *gateInput) wait(earlier string, days int, c *knowledge.Conflict) (must, care int) {
	if g.s.Dormant && c.DormantOK {
		if both(g.b.Remedy(earlier), g.r, knowledge.ClassCopper, knowledge.ClassOil) && g.school("copper-oil") == "apart" {
			return days, 0
		}
		return 0, 0
	}
	if days >= 30 && both(g.b.Remedy(earlier), g.r, knowledge.ClassOil, knowledge.ClassSulfur) && g.school("sulfur-oil") == "fortnight" {
		return 14, days
	}
	return days, 0
}

// CheckCombination refuses what may not be used in one round, each with its reason:
// kept apart for days, or more of the three winter sprays than the school
// chosen here allows.
func CheckCombination(b *knowledge.Base, s Situation, ids []string) error {
	var l fault.List
	g := gateInput{b: b, s: s}
	for i := range ids {
		for j := range ids[:i] {
			x, y := b.Remedy(ids[j]), b.Remedy(ids[i])
			_, k := b.ConflictBetween(ids[j], ids[i])
			if x == nil || y == nil || k == nil {
				continue
			}
			days := max(k.DaysAtoB, k.DaysBtoA)
			g.r = y
			if must, _ := g.wait(ids[j], days, k); must > 0 {
				l.Add(fmt.Sprintf("remedies[%d]", i), fmt.Sprintf("%s and %s may not be used together: %s", x.Name, y.Name, k.Why), "choose one of the two")
			}
		}
	}
	n := 0
	for _, class := range []string{knowledge.ClassWinter, knowledge.ClassLime, knowledge.ClassCopper} {
		if slices.ContainsFunc(ids, func(id string) bool { r := b.Remedy(id); return r != nil && r.Is(class) }) {
			n++
		}
	}
	most := 2
	if choose(b, &s, "dormant-three").Option == "one" {
		most = 1
	}
	if s.Dormant && n > most {
		l.Add("remedies", fmt.Sprintf("%d of oil, lime sulfur and copper are chosen; this desk allows %d in one winter", n, most), "leave one out")
	}
	return l.Err()
}
