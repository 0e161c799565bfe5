package differential

import (
	"cmp"
	"slices"

	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// LeftOver is a look that was seen for sure and that nothing which is named explains.
type LeftOver struct {
	Finding string   `json:"finding"`
	State   string   `json:"state"`
	Short   string   `json:"short"`
	Said    string   `json:"said"`
	By      []string `json:"by" doc:"ids of causes that would show it often on this plant, likeliest first"`
	Names   []string `json:"names" doc:"the same by name, as inside a sentence"`
}

// What counts as left over (models.md; counted on the shared cases of one true cause: without
// these limits the truth itself leaves something over in every third).
const (
	explainsAt = .35 // a cause that shows it *sometimes* explains it
	oftenAt    = .65 // and one has to show it *often*, for there to be something else it could be
	mostBy     = 3
)

// LeftOver lists the looks that were sure, seen and no first impression, in a state seldom
// met, that no cause of the set shows *sometimes* or more and that something else at home on
// this plant shows *often*. What a helper shows, or what comes with one of the set as a rule
// (sooty mould with what makes honeydew, gnats with wet roots), is company and never left over.
// set holds ids of causes; unknown ones are passed over. The order of looks does not matter.
func (e *Engine) LeftOver(s Circumstances, looks []Look, set []string) []LeftOver {
	return e.leftOver(s, e.resolve(looks), set)
}

// namedBy is what a ranking names: its leader, and the other of two that explain all better.
func (e *Engine) namedBy(r *Ranking, lead int) []string {
	set := []string{e.Base.Causes[lead].ID}
	for _, p := range r.Pairs {
		if p.Causes[0] == set[0] || p.Causes[1] == set[0] {
			return p.Causes[:]
		}
	}
	return set
}

func (e *Engine) leftOver(s Circumstances, got []looked, set []string) []LeftOver {
	out := []LeftOver{}
	named := []*knowledge.Cause{}
	for _, id := range set {
		if c := e.Base.Cause(id); c != nil {
			named = append(named, c)
		}
	}
	if len(named) == 0 {
		return out
	}
	host := knowledge.Host{ID: s.Host, Group: s.Group, Family: s.Family, Form: s.Form}
	if h := e.Base.Host(s.Host); h != nil {
		host = *h
	}
	for _, x := range got {
		r := &e.reads[x.find]
		if r.find.Fresh || e.story(x) {
			continue
		}
		for _, l := range x.lines {
			st := r.find.States[l.row-r.at]
			if l.omitted || l.Not || l.level != 0 || st.Absent || st.Unfit || r.bg[l.row-r.at] > rareSign {
				continue
			}
			shows := func(c *knowledge.Cause, at float64) bool { return c.Findings[r.find.ID][st.ID].P() >= at }
			if slices.ContainsFunc(named, func(c *knowledge.Cause) bool { return shows(c, explainsAt) }) {
				continue
			}
			by := []*knowledge.Cause{}
			company := false
			for _, c := range e.Base.Causes {
				if !shows(c, oftenAt) {
					continue
				}
				if c.Kind == "helper" || slices.ContainsFunc(named, func(of *knowledge.Cause) bool { return together(c, of) >= pairCommon }) {
					company = true
					break
				}
				if !atHome(c, &host) {
					continue
				}
				by = append(by, c)
			}
			if company || len(by) == 0 {
				continue
			}
			slices.SortStableFunc(by, func(a, b *knowledge.Cause) int { return cmp.Compare(b.Common(), a.Common()) })
			_, said := e.said(x)
			o := LeftOver{Finding: r.find.ID, State: st.ID, Short: r.find.Short, Said: said, By: []string{}, Names: []string{}}
			for _, c := range by[:min(mostBy, len(by))] {
				o.By, o.Names = append(o.By, c.ID), append(o.Names, humanise.InSentence(c.Name))
			}
			out = append(out, o)
		}
	}
	return out
}

// broad are the forms that say little of a plant: what is met on "woody plants" is at home on none.
var broad = []string{"", "annual", "perennial", "woody", "houseplant"}

// atHome is Cause.AtHome with a narrow form as well: what is met on orchids as such.
func atHome(c *knowledge.Cause, h *knowledge.Host) bool {
	w := c.Hosts["form:"+h.Form]
	return c.AtHome(h) || !slices.Contains(broad, h.Form) && (w == "usual" || w == "strong")
}
