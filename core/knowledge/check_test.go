package knowledge_test

import (
	"strings"
	"testing"

	"botanik/core/knowledge"
	"botanik/core/microscopy"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// sound is a small base that keeps every rule; each test breaks one thing.
func sound() (*knowledge.Cause, *knowledge.Cause, *knowledge.Finding, *knowledge.Host, *knowledge.Remedy, *knowledge.Remedy, *knowledge.Conflict, *knowledge.LifeTable) {
	f := &knowledge.Finding{ID: "flecks", Topic: "colour and flecks", Name: "Flecks", Short: "flecks", Part: "leaf", How: "eye", Minutes: 1, States: []knowledge.State{{ID: "yes", Background: "rare"}, {ID: "no", Background: "always", Absent: true}}}
	h := &knowledge.Host{ID: "rose", Name: "Rose", Scientific: "Rosa", Family: "rosaceae", Form: "woody", Leaf: "compound"}
	hose := &knowledge.Remedy{ID: "hose", Name: "Hose", Rung: 1, Kind: "action", Bloom: "fine", Food: "fine", Indoors: "fine", How: []string{"x"}, Cautions: []string{"x"}, Source: "judgement of a test"}
	soap := &knowledge.Remedy{ID: "soap", Name: "Soap", Rung: 4, Kind: "product", Ingredient: "salts", ResistanceGroup: "UN", Bloom: "evening", Food: "fine", Indoors: "fine", Hour: "free", RepeatMin: 4, RepeatMax: 9, MaxApplications: 3, How: []string{"x"}, Cautions: []string{"x"}, Source: "judgement", Rates: []knowledge.Rate{{ID: "spray", Low: "10 mL per L", High: "20 mL per L"}}}
	mk := func(id, other string) *knowledge.Cause {
		return &knowledge.Cause{ID: id, Name: id, Class: "mite", Kind: "pest", Group: "g" + id, Commonness: "common", Hosts: map[string]string{"any": "usual"}, Parts: []string{"leaf"}, Findings: map[string]map[string]knowledge.Frequency{"flecks": {"yes": "usually"}}, Confirms: []knowledge.Sign{{Finding: "flecks", States: []string{"yes"}}}, MustLook: []string{"flecks"}, LookAlikes: []knowledge.LookAlike{{Cause: other, Split: "look"}}, Spread: "x", Why: []string{"x"}, Seriousness: "low", Tolerable: knowledge.Tolerable{Text: "x", Source: "judgement of a test"}, Recovers: "x", Disposal: "bag", Actions: []knowledge.Action{{Remedy: "hose", Efficacy: "good"}}, Plain: "x", Drawing: map[string]any{"subject": "leaf"}, Source: "judgement of a test"}
	}
	con := &knowledge.Conflict{A: "hose", B: "soap", Tank: "never", Why: "x", Source: "judgement of a test"}
	lt := &knowledge.LifeTable{ID: "m", Name: "m", Source: "x", Stages: []knowledge.LifeStage{{ID: "egg", Lower: 10, Upper: 30, DD: 50}}}
	return mk("a", "b"), mk("b", "a"), f, h, hose, soap, con, lt
}

func TestCheckNamesEachBrokenRule(t *testing.T) {
	type parts struct {
		a, b       *knowledge.Cause
		f          *knowledge.Finding
		h          *knowledge.Host
		hose, soap *knowledge.Remedy
		con        *knowledge.Conflict
		lt         *knowledge.LifeTable
		school     *knowledge.School
		h2         bool // a second plant of the same name
		rule       *knowledge.KindRule
		character  *microscopy.Character
		slide      *microscopy.Species
		protocol   *knowledge.Protocol
	}
	run := func(change func(*parts)) []knowledge.Problem {
		var p parts
		p.a, p.b, p.f, p.h, p.hose, p.soap, p.con, p.lt = sound()
		p.school = &knowledge.School{ID: "soap", Question: "Which soap?", Options: []knowledge.Option{{ID: "insecticidal", Name: "x", Does: "x"}, {ID: "castile", Name: "x", Does: "x"}}, Default: "insecticidal", Near: [][]string{{"soap"}}, Why: "x", Source: "judgement of a test"}
		p.rule = &knowledge.KindRule{ID: "r", Kinds: []string{"pest"}, Source: "judgement of a test"}
		p.character = &microscopy.Character{ID: "lobes", Group: "scale", Name: "x", Term: "x", Spot: "tip", States: []microscopy.SlideState{{ID: "one"}, {ID: "two"}}, Looks: &microscopy.Looks{Finding: "flecks", States: map[string]string{"one": "yes"}}}
		p.slide = &microscopy.Species{ID: "s", Name: "x", Group: "scale", Cause: "a", States: map[string][]string{"lobes": {"one"}}, Hosts: []string{"rose"}, Source: "judgement of a test"}
		p.protocol = &knowledge.Protocol{ID: "p", Name: "x", Mind: "x", Steps: []knowledge.ProtocolStep{{Text: "x"}}, Source: "judgement of a test"}
		change(&p)
		hosts := []*knowledge.Host{p.h}
		if p.h2 {
			twin := *p.h
			twin.ID = "rose2"
			hosts = append(hosts, &twin)
		}
		return knowledge.Check(knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{p.a, p.b}, Findings: []*knowledge.Finding{p.f}, Hosts: hosts, Remedies: []*knowledge.Remedy{p.hose, p.soap}, Conflicts: []*knowledge.Conflict{p.con}, LifeTables: []*knowledge.LifeTable{p.lt}, Schools: []*knowledge.School{p.school}, KindRules: []*knowledge.KindRule{p.rule}, Characters: []*microscopy.Character{p.character}, Slides: []*microscopy.Species{p.slide}, Protocols: []*knowledge.Protocol{p.protocol}}))
	}
	require.Empty(t, run(func(*parts) {}))
	for name, c := range map[string]struct {
		change      func(*parts)
		entry, word string
	}{
		"probability off the scale": {func(p *parts) { p.a.Findings["flecks"]["yes"] = "mostly" }, "cause a", "off the scale"},
		"unknown finding":           {func(p *parts) { p.a.Findings["aura"] = map[string]knowledge.Frequency{"x": "always"} }, "cause a", `"aura"`},
		"unknown state":             {func(p *parts) { p.a.Findings["flecks"]["blue"] = "rare" }, "cause a", `"blue"`},
		"more than the whole": {func(p *parts) {
			p.a.Findings["flecks"] = map[string]knowledge.Frequency{"yes": "always", "no": "always"}
		}, "cause a", "adds up"},
		"confirming sign missing":   {func(p *parts) { p.a.Confirms = nil }, "cause a", "no confirming sign"},
		"look-alike not returned":   {func(p *parts) { p.b.LookAlikes = nil }, "cause a", "does not name a back"},
		"look-alike unknown":        {func(p *parts) { p.a.LookAlikes[0].Cause = "zz" }, "cause a", `"zz"`},
		"remedy unknown":            {func(p *parts) { p.a.Actions[0].Remedy = "wish" }, "cause a", `"wish"`},
		"nothing without chemistry": {func(p *parts) { p.a.Actions[0].Remedy = "soap" }, "cause a", "without chemistry"},
		"a product for a helper": {func(p *parts) {
			p.a.Kind, p.a.Actions = "helper", append(p.a.Actions, knowledge.Action{Remedy: "soap", Efficacy: "good"})
		}, "cause a", "against a helper"},
		"many and none for none":     {func(p *parts) { p.f.Many, p.f.States[1].Absent = true, false }, "finding flecks", "none of them"},
		"misread more than read":     {func(p *parts) { p.f.Misread = .8 }, "finding flecks", "misread"},
		"taken for itself":           {func(p *parts) { p.f.States[0].TakenFor = []string{"yes"} }, "finding flecks", "taken for"},
		"confirmed by a tale":        {func(p *parts) { p.f.How = "asked" }, "cause a", "grower tells"},
		"a name for two plants":      {func(p *parts) { p.h.Aliases = []string{"Rose"}; p.h2 = true }, "host rose2", `"rose"`},
		"nothing it must look at":    {func(p *parts) { p.a.MustLook = nil }, "cause a", "no must_look"},
		"a must-look at nothing":     {func(p *parts) { p.a.MustLook = []string{"aura"} }, "cause a", "must_look"},
		"no source":                  {func(p *parts) { p.a.Source = "" }, "cause a", "source"},
		"no source on the threshold": {func(p *parts) { p.a.Tolerable.Source = "" }, "cause a", "tolerable.source"},
		"host unknown":               {func(p *parts) { p.a.Hosts["triffid"] = "strong" }, "cause a", "triffid"},
		"life table unknown":         {func(p *parts) { p.a.LifeTable = "zz" }, "cause a", "life table"},
		"finding with one state":     {func(p *parts) { p.f.States = p.f.States[:1] }, "finding flecks", "fewer than two"},
		"finding with twins":         {func(p *parts) { p.f.States[1].ID = "yes" }, "finding flecks", "twice"},
		"host without a family":      {func(p *parts) { p.h.Family = "" }, "host rose", "family"},
		"sensitivity off the list":   {func(p *parts) { p.h.Sensitive, p.h.Source = map[string]string{"soap": "maybe"}, "x" }, "host rose", "maybe"},
		"remedy without a caution":   {func(p *parts) { p.soap.Cautions = nil }, "remedy soap", "no caution"},
		"a bare gallon":              {func(p *parts) { p.soap.Rates[0].Low = "2 US tbsp per gallon" }, "remedy soap", "which kind"},
		"low above high":             {func(p *parts) { p.soap.Rates[0].Low = "30 mL per L" }, "remedy soap", "above its high"},
		"product without a repeat":   {func(p *parts) { p.soap.RepeatMin = 0 }, "remedy soap", "repeat range"},
		"rung 7 unlicensed":          {func(p *parts) { p.hose.Rung = 7 }, "remedy hose", "licensed"},
		"conflict without a reason":  {func(p *parts) { p.con.Why = "" }, "conflict hose and soap", "why"},
		"a class of its own":         {func(p *parts) { p.soap.Classes = []string{"grease"} }, "remedy soap", "grease"},
		"a wait below zero":          {func(p *parts) { p.con.DaysAtoB = -1 }, "conflict hose and soap", "below zero"},
		"a look of no time":          {func(p *parts) { p.f.Minutes = 0 }, "finding flecks", "minutes"},
		"a look of all day":          {func(p *parts) { p.f.Minutes = 1e6 }, "finding flecks", "minutes"},
		"off the ladder":             {func(p *parts) { p.hose.Rung = 9 }, "remedy hose", "off the ladder"},
		"remedy without a way":       {func(p *parts) { p.hose.How = nil }, "remedy hose", "does not say how"},
		"no most a season":           {func(p *parts) { p.soap.MaxApplications = 0 }, "remedy soap", "most_per_season"},
		"more killed than there are": {func(p *parts) { p.soap.Mortality = map[string]float64{"adult": 1.4} }, "remedy soap", "not a share"},
		"a dose upside down": {func(p *parts) {
			p.soap.Doses = []knowledge.PlaceRate{{ID: "soil", Name: "x", Per: "m2", Low: 9, High: 3, Unit: "g"}}
		}, "remedy soap", "not a range"},
		"no why":                       {func(p *parts) { p.a.Why = nil }, "cause a", "why it happens"},
		"no drawing":                   {func(p *parts) { p.a.Drawing = nil }, "cause a", "no drawing"},
		"drawn on no plant":            {func(p *parts) { p.a.Drawing = map[string]any{"plant": "rsoe"} }, "cause a", `"rsoe"`},
		"no host":                      {func(p *parts) { p.a.Hosts = nil }, "cause a", "names no host"},
		"a thirteenth month":           {func(p *parts) { p.a.Months = []int{13} }, "cause a", "1 to 12"},
		"a sign of no finding":         {func(p *parts) { p.a.Confirms[0].Finding = "aura" }, "cause a", `"aura"`},
		"a sign of no state":           {func(p *parts) { p.a.Confirms[0].States = []string{"blue"} }, "cause a", `"blue"`},
		"a prohibition unreasoned":     {func(p *parts) { p.a.MustNot = []knowledge.MustNot{{What: "salt"}} }, "cause a", "must_not.why"},
		"a question of its own":        {func(p *parts) { p.school.ID = "moon" }, "school moon", "does not know"},
		"an answer of its own":         {func(p *parts) { p.school.Options[1].ID = "lard" }, "school soap", "lard"},
		"a question of one answer":     {func(p *parts) { p.school.Options = p.school.Options[:1] }, "school soap", "fewer than two"},
		"a default that is none":       {func(p *parts) { p.school.Default = "lard" }, "school soap", "not among its answers"},
		"a default unreasoned":         {func(p *parts) { p.school.Why = "" }, "school soap", "why"},
		"an answer that does what":     {func(p *parts) { p.school.Options[0].Does = "" }, "school soap", "does"},
		"near no remedy":               {func(p *parts) { p.school.Near[0][0] = "lard" }, "school soap", `"lard"`},
		"near an empty group":          {func(p *parts) { p.school.Near = [][]string{{}} }, "school soap", "empty group"},
		"a condition no rule can read": {func(p *parts) { p.a.Actions[0].When = "in winter" }, "cause a", "no rule can read"},
		"a condition nobody can read":  {func(p *parts) { p.a.Actions[0].Only = &knowledge.Condition{BadYear: true} }, "cause a", "nobody can read"},
		"a condition of a month 13": {func(p *parts) {
			p.a.Actions[0].When, p.a.Actions[0].Only = "x", &knowledge.Condition{Months: []int{13}}
		}, "cause a", "1 to 12"},
		"a condition of no stand": {func(p *parts) { p.a.Actions[0].When, p.a.Actions[0].Only = "x", &knowledge.Condition{Stand: "shelf"} }, "cause a", "shelf"},
		"a condition of no phase": {func(p *parts) {
			p.a.Actions[0].When, p.a.Actions[0].Only = "x", &knowledge.Condition{Phase: []string{"moon"}}
		}, "cause a", "moon"},
		"a condition on no plant": {func(p *parts) {
			p.a.Actions[0].When, p.a.Actions[0].Only = "x", &knowledge.Condition{Hosts: []string{"triffid"}}
		}, "cause a", "triffid"},
		"a condition warmer than itself": {func(p *parts) {
			p.a.Actions[0].When, p.a.Actions[0].Only = "x", &knowledge.Condition{AboveC: 30, BelowC: 20}
		}, "cause a", "warmer than itself"},
		"a must-not that does what":     {func(p *parts) { p.a.MustNot = []knowledge.MustNot{{What: "salt", Why: "x", Does: "magic"}} }, "cause a", "magic"},
		"an hour of its own":            {func(p *parts) { p.soap.Hour = "noon" }, "remedy soap", "noon"},
		"a spray of no hour":            {func(p *parts) { p.soap.Hour = "" }, "remedy soap", "which hour"},
		"an hour said twice":            {func(p *parts) { p.soap.How = []string{"Spray in the evening."} }, "remedy soap", "says its hour again"},
		"a remedy of a month 13":        {func(p *parts) { p.soap.Months = []int{13} }, "remedy soap", "1 to 12"},
		"a climate of its own":          {func(p *parts) { p.a.Climates = []string{"lunar"} }, "cause a", "lunar"},
		"unreported and never reported": {func(p *parts) { p.a.Unreported = "x" }, "cause a", "never reported"},
		"a source nobody can trace":     {func(p *parts) { p.a.Source = "general extension texts" }, "cause a", "trace"},
		"a stage out of its table":      {func(p *parts) { p.a.LifeTable, p.a.Stages = "m", []string{"egg", "pupa"} }, "cause a", `"pupa"`},
		"crawlers of no month":          {func(p *parts) { p.a.Stages = []string{"crawler"} }, "cause a", "when they walk"},
		"crawlers in month 13":          {func(p *parts) { p.a.Crawlers = []int{13} }, "cause a", "1 to 12"},
		"one group and two plans": {func(p *parts) {
			p.a.Group, p.b.Group = "g", "g"
			p.b.Actions[0].Efficacy = "fair"
		}, "group g", "no action is good"},
		"a rule for everything":       {func(p *parts) { p.rule.Kinds = nil }, "kind rule r", "everything"},
		"a rule for nothing":          {func(p *parts) { p.rule.Kinds = []string{"helper"} }, "kind rule r", "no cause"},
		"a rule but for nobody":       {func(p *parts) { p.rule.But = []string{"zz"} }, "kind rule r", "zz"},
		"a rule unsourced":            {func(p *parts) { p.rule.Source = "" }, "kind rule r", "source"},
		"a rule unreasoned":           {func(p *parts) { p.rule.MustNot = []knowledge.MustNot{{What: "salt"}} }, "kind rule r", "must_not.why"},
		"apart from what is not here": {func(p *parts) { p.con.A = "class:grease" }, "conflict class:grease and soap", "grease"},
		"a character of one state":    {func(p *parts) { p.character.States = p.character.States[:1] }, "slide character lobes", "neither a choice nor a measure"},
		"a character of no term":      {func(p *parts) { p.character.Term = "" }, "slide character lobes", "term"},
		"a measure of no line":        {func(p *parts) { p.character.States, p.character.Measure = nil, &microscopy.MeasuredRatio{A: "x"} }, "slide character lobes", "no line"},
		"a way back to no look":       {func(p *parts) { p.character.Looks.Finding = "aura" }, "slide character lobes", "aura"},
		"a way back to no state":      {func(p *parts) { p.character.Looks.States["one"] = "blue" }, "slide character lobes", "blue"},
		"a slide of no cause":         {func(p *parts) { p.slide.Cause = "zz" }, "slide s", "zz"},
		"a slide that shows what":     {func(p *parts) { p.slide.States["lobes"] = []string{"nine"} }, "slide s", "nine"},
		"a slide measured at nothing": {func(p *parts) { p.slide.Ranges = map[string][2]float64{"lobes": {1, 2}} }, "slide s", "no range"},
		"a slide on no plant":         {func(p *parts) { p.slide.Hosts = []string{"triffid"} }, "slide s", "triffid"},
		"a cause on another's sheet":  {func(p *parts) { p.a.Class, p.a.Kind, p.a.From = "mite", "pest", "herbarium/causes/moths.yaml" }, "cause a", "move it to mites"},
		"a sign nothing draws":        {func(p *parts) { p.a.Drawing = map[string]any{"subject": "leaf", "damage": []any{"stippling", "polka"}} }, "cause a", "polka"},
		"a sign of another part":      {func(p *parts) { p.a.Drawing = map[string]any{"subject": "root", "damage": []any{"stippling"}} }, "cause a", "stippling"},
		"a trait in another's words": {func(p *parts) {
			p.a.Drawing = map[string]any{"subject": "pest", "body": "mite", "legs": "8, front-legs: long"}
		}, "cause a", "front-legs"},
		"a trait nothing draws by": {func(p *parts) { p.a.Drawing = map[string]any{"subject": "pest", "body": "mite", "hat": "red"} }, "cause a", "hat"},
		"a body nobody has":        {func(p *parts) { p.a.Drawing = map[string]any{"subject": "pest", "body": "dragon"} }, "cause a", "dragon"},
		"a protocol of no danger":  {func(p *parts) { p.protocol.Mind = "" }, "protocol p", "mind"},
		"a protocol of no steps":   {func(p *parts) { p.protocol.Steps = nil }, "protocol p", "no steps"},
		"a slide unsourced":        {func(p *parts) { p.slide.Source = "" }, "slide s", "source"},
		"a stage that cannot grow": {func(p *parts) { p.lt.Stages[0].DD = 0 }, "life table m", "thermal need"},
		"more than all live":       {func(p *parts) { p.lt.Lays = knowledge.Lays{DD: 90, Eggs: 9, Daughters: 1, Lives: 2} }, "life table m", "lays"},
	} {
		t.Run(name, func(t *testing.T) {
			list := run(c.change)
			require.NotEmpty(t, list)
			found := false
			for _, p := range list {
				assert.NotEmpty(t, p.Mend)
				found = found || p.Entry == c.entry && strings.Contains(p.What+" "+p.Mend, c.word)
			}
			assert.True(t, found, "%v", list)
		})
	}
}

// a finding of any kind, and a cause that says something of it.
func anyFinding(t *rapid.T) (*knowledge.Finding, *knowledge.Cause) {
	words := []knowledge.Frequency{"never", "rare", "seldom", "sometimes", "often", "usually", "always"}
	f := &knowledge.Finding{ID: "f", Many: rapid.Bool().Draw(t, "many")}
	c := &knowledge.Cause{Findings: map[string]map[string]knowledge.Frequency{"f": {}}}
	n := rapid.IntRange(2, 7).Draw(t, "states")
	for i := range n {
		id := string(rune('a' + i))
		f.States = append(f.States, knowledge.State{ID: id, Background: rapid.SampledFrom(words).Draw(t, "bg"), Absent: i == n-1 && (f.Many || rapid.Bool().Draw(t, "absent"))})
		if rapid.Bool().Draw(t, "said") {
			c.Findings["f"][id] = rapid.SampledFrom(words).Draw(t, "p")
		}
	}
	return f, c
}

func TestChancesAreAProbability(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f, c := anyFinding(t)
		sum := 0.0
		for _, p := range c.Chances(f) {
			assert.Greater(t, p, 0.0)
			assert.LessOrEqual(t, p, 1.0)
			sum += p
		}
		if !f.Many {
			assert.InDelta(t, 1, sum, 1e-9)
		}
	})
}

// A cause that only says what is not there raises nothing that is, however it says it.
func TestNamingAnAbsenceNeverRaisesAPresence(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f, c := anyFinding(t)
		last := f.States[len(f.States)-1]
		if !last.Absent {
			return
		}
		word, ok := c.Findings["f"][last.ID]
		if !ok {
			return
		}
		c.Findings["f"] = map[string]knowledge.Frequency{last.ID: word}
		bg := f.Background()
		for i, p := range c.Chances(f)[:len(bg)-1] {
			assert.LessOrEqual(t, p, bg[i]+1e-12, "%s of %+v", f.States[i].ID, f)
		}
	})
}

// What a cause does not name, in a finding it does, never gets more than any plant has.
func TestWhatIsNotNamedStaysInTheBackground(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f, c := anyFinding(t)
		if !f.States[len(f.States)-1].Absent {
			t.Skip("nothing to give the rest to")
		}
		bg := f.Background()
		for i, p := range c.Chances(f)[:len(bg)-1] {
			if _, named := c.Findings["f"][f.States[i].ID]; !named {
				assert.LessOrEqual(t, p, bg[i]+1e-12)
			}
		}
	})
}

// Five causes may not say the same sentence; a term of a word or two is none, and
// what a kind rule says stands once.
func TestNoSentenceStandsOnMoreThanFourCauses(t *testing.T) {
	book := func(n int, text string, rule *knowledge.KindRule) []knowledge.Problem {
		a, _, f, h, hose, _, _, _ := sound()
		e := knowledge.Entries{Findings: []*knowledge.Finding{f}, Hosts: []*knowledge.Host{h}, Remedies: []*knowledge.Remedy{hose}}
		if rule != nil {
			e.KindRules = []*knowledge.KindRule{rule}
		}
		for i := range n {
			c := *a
			c.ID, c.LookAlikes, c.Group = string(rune('a'+i)), nil, string(rune('a'+i))
			c.Spread = text
			e.Causes = append(e.Causes, &c)
		}
		return knowledge.Check(knowledge.New(e))
	}
	assert.Empty(t, book(4, "it walks from leaf to leaf", nil))
	assert.NotEmpty(t, book(5, "it walks from leaf to leaf", nil))
	assert.NotEmpty(t, book(5, "by night; it walks from leaf to leaf", nil))
	assert.Empty(t, book(5, "it flies", nil))
	rule := &knowledge.KindRule{ID: "r", Kinds: []string{"pest"}, Spread: "it walks from leaf to leaf", Source: "judgement of a test"}
	assert.Empty(t, book(5, "", rule))
}

// A kind rule fills what is empty and forbids what the cause neither forbids nor
// offers; a cause's own words win.
func TestWhatHoldsForAKindIsSaidOnce(t *testing.T) {
	a, b, _, _, _, _, _, _ := sound()
	a.Spread, b.Actions = "", append(b.Actions, knowledge.Action{Remedy: "soap", Efficacy: "good"})
	rule := &knowledge.KindRule{ID: "r", Kinds: []string{"pest"}, Spread: "it does not", Recovers: "never", Tolerable: knowledge.Tolerable{Text: "none"}, MustNot: []knowledge.MustNot{{What: "soap", Why: "it burns", Remedy: "soap"}}, But: []string{"c"}, Source: "x"}
	c := *a
	c.ID = "c"
	base := knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{a, b, &c}, KindRules: []*knowledge.KindRule{rule}})
	assert.Equal(t, "it does not", base.Cause("a").Spread)
	assert.Equal(t, "x", base.Cause("a").Recovers, "its own words win")
	assert.Equal(t, "x", base.Cause("a").Tolerable.Text)
	assert.Len(t, base.Cause("a").MustNot, 1)
	assert.Empty(t, base.Cause("b").MustNot, "what it offers is not forbidden")
	assert.Empty(t, base.Cause("c").Spread, "the rule does not hold for it")
	assert.Empty(t, a.Spread, "the entry stays as it was written")
}

// A side may be a class, a pair written out wins, and what stands in for another
// keeps its distances, in either order.
func TestRemediesAreKeptApartByClassAndByLikeness(t *testing.T) {
	r := func(id, like string, class ...string) *knowledge.Remedy {
		return &knowledge.Remedy{ID: id, Like: like, Classes: class}
	}
	base := knowledge.New(knowledge.Entries{
		Remedies: []*knowledge.Remedy{r("soap", ""), r("own-soap", "soap"), r("mite", "", "leaf-helper"), r("wasp", "", "leaf-helper"), r("oil", "")},
		Conflicts: []*knowledge.Conflict{
			{A: "wasp", B: "soap", DaysAtoB: 30, DaysBtoA: 3},
			{A: "soap", B: "class:leaf-helper", DaysAtoB: 1, DaysBtoA: 14},
			{A: "soap", B: "oil", DaysAtoB: 2, DaysBtoA: 5},
		},
	})
	days := func(first, then string) int { d, _ := base.ConflictBetween(first, then); return d }
	for _, soap := range []string{"soap", "own-soap"} {
		assert.Equal(t, 1, days(soap, "mite"))
		assert.Equal(t, 14, days("mite", soap))
		assert.Equal(t, 3, days(soap, "wasp"))
		assert.Equal(t, 30, days("wasp", soap))
		assert.Equal(t, 2, days(soap, "oil"))
	}
	assert.Zero(t, days("mite", "wasp"))
}

// How an entry is written stops no desk from opening; what a rule turns on does.
func TestStyleStopsNoDesk(t *testing.T) {
	a, b, f, h, hose, soap, con, lt := sound()
	a.Source, soap.Hour = "judgement", ""
	list := knowledge.Check(knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{a, b}, Findings: []*knowledge.Finding{f}, Hosts: []*knowledge.Host{h}, Remedies: []*knowledge.Remedy{hose, soap}, Conflicts: []*knowledge.Conflict{con}, LifeTables: []*knowledge.LifeTable{lt}}))
	assert.Len(t, list, 2)
	assert.Empty(t, knowledge.Errors(list))
	a.Actions[0].Remedy = "wish"
	list = knowledge.Check(knowledge.New(knowledge.Entries{Causes: []*knowledge.Cause{a, b}, Findings: []*knowledge.Finding{f}, Hosts: []*knowledge.Host{h}, Remedies: []*knowledge.Remedy{hose, soap}, Conflicts: []*knowledge.Conflict{con}, LifeTables: []*knowledge.LifeTable{lt}}))
	assert.NotEmpty(t, knowledge.Errors(list))
}
