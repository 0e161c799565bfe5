package knowledge

import (
	"fmt"
	"slices"
	"sort"
	"strings"

	"botanik/core/mix"
)

// Problem is a rule broken by an entry, with the mend.
type Problem struct {
	File  string `json:"file"`
	Entry string `json:"entry"`
	What  string `json:"what"`
	Mend  string `json:"mend"`

	// Style is a rule of how the book is written, which no rule of the program turns
	// on: a desk with such an entry of its own starts all the same.
	Style bool `json:"style,omitempty"`
}

// Errors leaves out what is only a matter of style.
func Errors(list []Problem) []Problem {
	return slices.DeleteFunc(slices.Clone(list), func(p Problem) bool { return p.Style })
}

func (p Problem) String() string {
	return fmt.Sprintf("%s: %s: %s; %s", p.File, p.Entry, p.What, p.Mend)
}

// Vocabularies the checks hold entries to.
var (
	Parts  = []string{"plant", "shoot", "leaf", "flower", "fruit", "stem", "root", "pot", "asked"}
	Hows   = []string{"asked", "eye", "lens", "test", "scope", "meter", "lab"}
	Kinds  = []string{"pest", "helper", "harmless", "disease", "disorder", "injury"}
	Common = []string{"very common", "common", "occasional", "uncommon", "rare"}
	// RoomForms are the plants that stand in a room until somebody says otherwise; palms stand in both.
	RoomForms  = []string{"houseplant", "orchid", "fern", "succulent"}
	Forms      = []string{"annual", "perennial", "woody", "bulb", "houseplant", "succulent", "conifer", "palm", "fern", "orchid"}
	Places     = []string{"indoors", "greenhouse", "balcony", "garden", "orchard"}
	Classes    = []string{"oil", "soap", "sulfur", "copper", "alcohol", "aromatic"}
	Affinities = []string{"strong", "usual", "weak", "never"}
	Disposals  = []string{"none", "compost", "hot compost", "bag", "as local rules say"}
	Worths     = []string{"good", "fair", "some"}
	Serious    = []string{"none", "low", "moderate", "high"}
	DosePer    = []string{"m2", "pot L", "plant"}
	DoseUnits  = []string{"g", "mL of mix", "animals", "plants"}
	RemedyKind = []string{"action", "culture", "helper", "product", "referred"}

	// Topics are the groups of lines inside a part, in the order one looks.
	Topics = []string{"at first sight", "the story", "care", "the whole plant", "growth", "who is there", "what they leave", "helpers", "colour and flecks", "spots", "coating and stickiness", "eaten and mined", "shape and feel", "fluff and bumps", "flowers", "fruit", "stem and bark", "roots", "soil and pot", "on a slide", "the laboratory"}

	// Rungs of the ladder by number, mildest first.
	Rungs = []string{"Leave it", "By hand", "What feeds it", "Living helpers", "Smother and dry", "From plants and microbes", "Minerals", "Referred only"}
)

type checker struct {
	b     *Base
	out   []Problem
	file  string
	entry string
}

func (k *checker) at(file, kind, id string) { k.file, k.entry = file, kind+" "+id }

func (k *checker) say(what, mend string) {
	k.out = append(k.out, Problem{File: k.file, Entry: k.entry, What: what, Mend: mend})
}

// style is say for a rule of writing.
func (k *checker) style(what, mend string) {
	k.out = append(k.out, Problem{File: k.file, Entry: k.entry, What: what, Mend: mend, Style: true})
}

func (k *checker) word(field, w string, allowed []string) {
	if !slices.Contains(allowed, w) {
		k.say(fmt.Sprintf("%s is %q", field, w), "use one of "+strings.Join(allowed, ", "))
	}
}

func (k *checker) need(field, text, mend string) {
	if strings.TrimSpace(text) == "" {
		k.say(field+" is missing", mend)
	}
}

// Check returns every broken rule, sorted by file and entry; none for a sound
// base.
func Check(b *Base) []Problem {
	k := &checker{b: b}
	for _, f := range b.Findings {
		k.finding(f)
		k.stateDrawing(f)
	}
	for _, h := range b.Hosts {
		k.host(h)
	}
	k.names()
	for _, r := range b.Remedies {
		k.remedy(r)
	}
	k.classes()
	for _, c := range b.Causes {
		k.cause(c)
		k.drawing(c)
	}
	k.book()
	for _, r := range b.KindRules {
		k.kindRule(r)
	}
	for _, c := range b.Conflicts {
		k.at(c.From, "conflict", c.A+" and "+c.B)
		k.remedyRef("a", c.A)
		k.remedyRef("b", c.B)
		k.word("tank", c.Tank, []string{"never", "labels", "allowed"})
		if c.DaysAtoB < 0 || c.DaysBtoA < 0 {
			k.say("a wait is below zero", "give days of zero or more")
		}
		k.need("why", c.Why, "say why the two are kept apart")
		k.need("source", c.Source, `name it in general terms or write "judgement"`)
	}
	for _, l := range b.LifeTables {
		k.at(l.From, "life table", l.ID)
		k.need("source", l.Source, `name it in general terms or write "judgement"`)
		for _, s := range l.Stages {
			if s.DD <= 0 || s.Upper <= s.Lower {
				k.say("stage "+s.ID+" has no thermal need that makes sense", "give degree_days above zero and upper_c above lower_c")
			}
		}
		share := func(x float64) bool { return x > 0 && x <= 1 }
		if y := l.Lays; y != (Lays{}) && (y.DD <= 0 || y.Eggs <= 0 || !share(y.Daughters) || !share(y.Lives)) {
			k.say("lays in a way that makes no sense", "give degree_days and eggs above zero, daughters and lives above 0 and up to 1, or leave lays out")
		}
	}
	for _, x := range b.Sayings {
		k.saying(x)
	}
	k.slides()
	k.sheets()
	for _, x := range b.Schools {
		k.school(x)
	}
	sort.SliceStable(k.out, func(i, j int) bool {
		if k.out[i].File != k.out[j].File {
			return k.out[i].File < k.out[j].File
		}
		return k.out[i].Entry < k.out[j].Entry
	})
	return k.out
}

func (k *checker) finding(f *Finding) {
	k.at(f.From, "finding", f.ID)
	k.need("name", f.Name, "say it in plain words")
	k.need("short", f.Short, "give one or two words for the tilt")
	k.word("part", f.Part, Parts)
	k.word("how", f.How, Hows)
	k.word("topic", f.Topic, Topics)
	if f.Minutes <= 0 || f.Minutes > 2880 {
		k.say("minutes are missing or absurd", "give the minutes the look takes at the desk")
	}
	if len(f.States) < 2 {
		k.say("has fewer than two states", "a finding needs at least two answers")
	}
	if f.Misread < 0 || f.Misread > .5 {
		k.say("misread is no rate", "give 0 to 0.5, or leave it out")
	}
	seen := map[string]bool{}
	if f.Many && !slices.ContainsFunc(f.States, func(s State) bool { return s.Absent }) {
		k.say("has many states and none for none of them", "mark one state absent: true")
	}
	for _, s := range f.States {
		for _, id := range s.TakenFor {
			if id == s.ID || f.State(id) < 0 {
				k.say(fmt.Sprintf("state %s is taken for %q, which is no other state of it", s.ID, id), "name another state of this finding")
			}
		}
		for _, w := range s.Words {
			k.need("state "+s.ID+".words", w, "write a word a grower says, or leave it out")
		}
		if seen[s.ID] {
			k.say("state "+s.ID+" stands twice", "rename one")
		}
		seen[s.ID] = true
		k.freq("state "+s.ID, s.Background)
	}
}

func (k *checker) freq(field string, f Frequency) {
	if _, ok := frequencies[f]; !ok {
		k.say(fmt.Sprintf("%s: %q is off the scale", field, string(f)), "use never, rare, seldom, sometimes, often, usually or always")
	}
}

func (k *checker) host(h *Host) {
	k.at(h.From, "host", h.ID)
	k.need("name", h.Name, "give its common name")
	k.need("scientific", h.Scientific, "give its botanical name")
	k.need("family", h.Family, "give its plant family, so that it falls back well")
	k.need("leaf", h.Leaf, "name its leaf drawing")
	k.word("form", h.Form, Forms)
	for class, w := range h.Sensitive {
		k.word("sensitive class", class, Classes)
		k.word("sensitive "+class, w, []string{"care", "never"})
	}
	if len(h.Sensitive) > 0 {
		k.need("source", h.Source, `say where the sensitivity comes from, or "judgement"`)
	}
}

// names holds that no name is used for two plants, and that every plant has
// something it usually suffers from.
func (k *checker) names() {
	owner := map[string]string{}
	for _, h := range k.b.Hosts {
		k.at(h.From, "host", h.ID)
		mine := map[string]bool{}
		for _, n := range append([]string{h.Name}, h.Aliases...) {
			n = strings.ToLower(n)
			if o, ok := owner[n]; ok && !mine[n] {
				k.say(fmt.Sprintf("is called %q, and so is %s", n, o), "give the name to one of them")
			}
			owner[n], mine[n] = h.ID, true
		}
		if len(k.b.Causes) > 20 && !slices.ContainsFunc(k.b.Causes, func(c *Cause) bool {
			return c.AtHome(h) || c.Hosts["form:"+h.Form] == "strong" || c.Hosts["form:"+h.Form] == "usual"
		}) {
			k.say("has nothing it usually suffers from", "name it among the hosts of a cause")
		}
	}
}

func (k *checker) remedyRef(field, id string) {
	if k.b.Remedy(id) == nil {
		k.say(fmt.Sprintf("%s names the remedy %q, which is not here", field, id), "correct the id or add the remedy")
	}
}

func (k *checker) remedy(r *Remedy) {
	k.at(r.From, "remedy", r.ID)
	switch a := r.Active; {
	case r.Bottle && a == nil:
		k.style("active is missing", "say how much active ingredient a litre of mix holds, as {of: spinosad, low: 0.06, high: 0.1}")
	case a != nil && (a.Of == "" || a.Low < 0 || a.High < a.Low || a.High > 0 && a.Low == 0):
		k.say("active is not a range", "give of, and low and high in g per L, the low above zero")
	}
	k.word("hour", r.Hour, []string{"", "morning", "evening", "free"})
	if len(r.Rates) > 0 && r.Reach != "soil" && r.Hour == "" && r.Rates[0].ID == "spray" {
		k.style("is sprayed and does not say at which hour", "give hour: morning, evening or free")
	}
	for _, text := range r.How {
		if r.Hour != "" && (strings.Contains(text, "morning") || strings.Contains(text, "evening")) {
			k.style(fmt.Sprintf("says its hour again in %q", text), "leave it to hour: the page says it once")
		}
	}
	for _, m := range r.Months {
		if m < 1 || m > 12 {
			k.say("a month is not 1 to 12", "use the months of the northern year")
		}
	}
	k.need("name", r.Name, "say it in plain words, without a brand")
	k.word("kind", r.Kind, RemedyKind)
	k.word("bloom", r.Bloom, []string{"fine", "evening", "never"})
	k.word("food", r.Food, []string{"fine", "label", "never"})
	k.word("only", r.Only, []string{"", "pot", "ground", "glass"})
	k.word("indoors", r.Indoors, []string{"fine", "air", "never"})
	k.need("source", r.Source, `name it in general terms or write "judgement"`)
	if r.Rung < 0 || r.Rung > 7 {
		k.say("rung is off the ladder", "use 0 (leave it) to 7 (referred only)")
	}
	if len(r.Cautions) == 0 {
		k.say("has no caution", "every recommendation carries at least one")
	}
	if len(r.How) == 0 {
		k.say("does not say how", "say how it is done, step by step")
	}
	if r.Kind == "product" {
		k.need("ingredient", r.Ingredient, "name the active ingredient")
		k.need("mode", r.ResistanceGroup, "give its mode-of-action group")
		if r.RepeatMin <= 0 || r.RepeatMax < r.RepeatMin {
			k.say("has no repeat range", "give repeat_min_days and repeat_max_days")
		}
		if r.MaxApplications <= 0 {
			k.say("has no most_per_season", "give the safe number of uses a season")
		}
	}
	if r.Rung == 7 && !r.Licensed {
		k.say("stands on rung 7 and is not licensed", "set licensed: true; rung 7 is referred only")
	}
	for _, h := range r.Harms {
		k.word("harms", h, Classes)
	}
	for stage, share := range r.Mortality {
		if share < 0 || share > 1 {
			k.say("kills."+stage+" is not a share", "give 0 to 1")
		}
	}
	for _, rt := range r.Rates {
		lo := k.rate(rt.ID+".low", rt.Low)
		hi := k.rate(rt.ID+".high", rt.High)
		if lo != nil && hi != nil && lo.Fraction.Cmp(hi.Fraction) > 0 {
			k.say("rate "+rt.ID+" has its low above its high", "swap them")
		}
	}
	if r.Like != "" {
		k.remedyRef("like", r.Like)
	}
	for _, d := range r.Doses {
		k.word("doses."+d.ID+".per", d.Per, DosePer)
		k.word("doses."+d.ID+".unit", d.Unit, DoseUnits)
		k.word("doses."+d.ID+".way", d.Way, append([]string{""}, mix.PlaceWays...))
		if d.Way == "" {
			k.style("dose "+d.ID+" does not say how it is put on", "give way: "+strings.Join(mix.PlaceWays, ", "))
		}
		if d.Low <= 0 || d.High < d.Low {
			k.say("dose "+d.ID+" is not a range", "give a low above zero and a high not below it")
		}
	}
}

// KnownSchools are the answers the program can act on; a school file may word
// them anew and choose another default, not invent one.
var KnownSchools = map[string][]string{
	"rhythm":          {"computed", "dense", "burst", "weekly", "ten", "fortnight"},
	"hour":            {"by-pest", "evening", "morning"},
	"plant-poisons":   {"gates", "heavy", "never"},
	"alcohol":         {"cut", "spot", "as-bought"},
	"soap":            {"insecticidal", "castile", "detergent"},
	"copper-oil":      {"dormant", "apart"},
	"sulfur-oil":      {"month", "fortnight"},
	"dormant-spray":   {"bad-year", "every-winter"},
	"dormant-three":   {"two", "one"},
	"blossom-end-rot": {"even-water", "calcium"},
	"aim":             {"below-harm", "eradicate"},
	"infected-leaves": {"by-cause", "bag", "compost"},
	"bought-helpers":  {"encourage", "release"},
}

func (k *checker) school(x *School) {
	k.at(x.From, "school", x.ID)
	known, ok := KnownSchools[x.ID]
	if !ok {
		k.say("is a question the program does not know", "use one of those in schools.yaml")
		return
	}
	k.need("question", x.Question, "ask it in plain words")
	k.need("why", x.Why, "say why the default is the default")
	k.need("source", x.Source, `name it in general terms or write "judgement"`)
	if len(x.Options) < 2 {
		k.say("has fewer than two answers", "a school needs at least two")
	}
	for _, o := range x.Options {
		k.word("options", o.ID, known)
		k.need("options."+o.ID+".name", o.Name, "name it in a few words")
		k.need("options."+o.ID+".does", o.Does, "say what it does")
	}
	for _, group := range x.Near {
		if len(group) == 0 {
			k.say("near has an empty group", "name a remedy in it or leave it out")
		}
		for _, r := range group {
			if k.b.Remedy(r) == nil {
				k.say(fmt.Sprintf("near: %q is not a remedy", r), "use an id from kb list remedies")
			}
		}
	}
	if x.Option(x.Default) == nil {
		k.say(fmt.Sprintf("default is %q, which is not among its answers", x.Default), "name one of them")
	}
}

func (k *checker) rate(field, text string) *mix.Rate {
	r, err := mix.ParseRate(text)
	if err != nil {
		k.say("rate "+field+": "+err.Error(), "write it like 10 mL per L, 2 %, 1:50 of water, 5 g per L")
		return nil
	}
	return &r
}
