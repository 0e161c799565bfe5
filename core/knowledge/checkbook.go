package knowledge

import (
	"fmt"
	"slices"
	"sort"
	"strings"
)

// Most causes that may share a sentence, and the words from which a text is one:
// shorter ones, like "flies" or "none", are terms.
const (
	sharedSentence = 4
	sentenceWords  = 4
)

// book holds what no entry can keep alone: no boilerplate, stages that are in
// their life table, and groups of one plan that have one.
func (k *checker) book() {
	k.boilerplate()
	groups := map[string][]*Cause{}
	for _, c := range k.b.Causes {
		groups[c.Group] = append(groups[c.Group], c)
		k.at(c.From, "cause", c.ID)
		k.life(c)
		if w := strings.ToLower(c.Source); w == "judgement" || strings.HasPrefix(w, "general ") {
			k.style("source is "+fmt.Sprintf("%q", c.Source)+", which nobody can trace", `say what kind of text on what, as "extension bulletins on ...", or "judgement of ..."`)
		}
	}
	for name, of := range groups {
		if len(of) < 2 || slices.ContainsFunc(of[0].Actions, func(a Action) bool { return goodForAll(a.Remedy, of) }) {
			continue
		}
		ids := make([]string, len(of))
		for i, c := range of {
			ids[i] = c.ID
		}
		k.at(of[0].From, "group", name)
		k.say("is one plan for "+strings.Join(ids, ", ")+", and no action is good for all of them", "give them groups of their own, or the action that is good for each")
	}
}

func goodForAll(remedy string, of []*Cause) bool {
	return !slices.ContainsFunc(of, func(c *Cause) bool {
		return !slices.ContainsFunc(c.Actions, func(a Action) bool { return a.Remedy == remedy && a.Efficacy == "good" })
	})
}

// life holds a cause's stages to its life table and its crawlers to the months
// they walk in.
func (k *checker) life(c *Cause) {
	if t := k.b.LifeTable(c.LifeTable); t != nil {
		for _, st := range c.Stages {
			if !slices.ContainsFunc(t.Stages, func(s LifeStage) bool { return s.ID == st }) {
				k.say(fmt.Sprintf("has the stage %q, which its life table %s has not", st, t.ID), "use a stage of the table, or another table")
			}
		}
	}
	if slices.Contains(c.Stages, "crawler") && len(c.Crawlers) == 0 {
		k.style("has crawlers and does not say when they walk", "give crawlers: the months of the northern year")
	}
	for _, m := range c.Crawlers {
		if m < 1 || m > 12 {
			k.say("crawlers has a month that is not 1 to 12", "use the months of the northern year")
		}
	}
}

// boilerplate finds sentences that stand on more causes than one person would
// have written them for. What holds for a whole kind stands once, as a kind rule.
func (k *checker) boilerplate() {
	on := map[string][]*Cause{}
	put := func(c *Cause, text string) {
		for _, s := range strings.FieldsFunc(text, func(r rune) bool { return r == '.' || r == ';' || r == '!' || r == '?' }) {
			s = strings.TrimSpace(s)
			if len(strings.Fields(s)) >= sentenceWords && !slices.Contains(on[s], c) {
				on[s] = append(on[s], c)
			}
		}
	}
	for _, c := range k.b.Causes {
		own := k.b.written[c.ID]
		put(c, own.Plain)
		put(c, own.Spread)
		put(c, own.Recovers)
		put(c, own.Tolerable.Text)
		for _, l := range own.LookAlikes {
			put(c, l.Split)
		}
		for _, m := range own.MustNot {
			put(c, m.What+": "+m.Why)
		}
	}
	sentences := make([]string, 0, len(on))
	for s, of := range on {
		if len(of) > sharedSentence {
			sentences = append(sentences, s)
		}
	}
	sort.Strings(sentences)
	for _, s := range sentences {
		k.at(on[s][0].From, "cause", on[s][0].ID)
		k.style(fmt.Sprintf("says %q, and so do %d others", s, len(on[s])-1), "write each its own, or say it once as a kind rule in kinds.yaml")
	}
}
