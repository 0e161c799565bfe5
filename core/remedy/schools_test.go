package remedy_test

import (
	"slices"
	"testing"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestEverySchoolHasTwoAnswersAndAReasonedDefault(t *testing.T) {
	b := herbarium.Embedded()
	require.Len(t, b.Schools, 13, "one for each row where good advisors disagree")
	for id, options := range knowledge.KnownSchools {
		x := b.School(id)
		require.NotNil(t, x, id)
		assert.NotEmpty(t, x.Why)
		for _, o := range options {
			assert.NotNil(t, x.Option(o), "%s can be answered with %s", id, o)
		}
	}
}

// Each answer changes what is offered, and only as it says.
func TestWhatASchoolChanges(t *testing.T) {
	garden := remedy.Situation{Host: "rose", Place: "garden", Pressure: "moderate"}
	winter := remedy.Situation{Host: "apple", Place: "garden", Date: "2026-01-10", Dormant: true}
	after := func(id, on string) func(*remedy.Situation) {
		return func(s *remedy.Situation) { s.Earlier = []remedy.Earlier{{Remedy: id, On: on}} }
	}
	for _, c := range []struct {
		name, cause, remedy, school, option string
		base                                remedy.Situation
		set                                 func(*remedy.Situation)
		was, is                             remedy.Status
	}{
		{"plant poisons: never", "western-flower-thrips", "spinosad", "plant-poisons", "never", garden, nil, remedy.Care, remedy.No},
		{"plant poisons: heavy only", "western-flower-thrips", "spinosad", "plant-poisons", "heavy", garden, nil, remedy.Care, remedy.NotNow},
		{"alcohol: spot only at heavy pressure", "citrus-mealybug", "alcohol", "alcohol", "spot", remedy.Situation{Host: "calamondin", Place: "indoors", Pressure: "heavy", NotEaten: true}, nil, remedy.Care, remedy.NotNow},
		{"alcohol: as bought, outdoors", "cochineal", "alcohol", "alcohol", "as-bought", remedy.Situation{Host: "prickly-pear", Place: "balcony"}, nil, remedy.Go, remedy.Care},
		{"soap: castile is as good", "two-spotted-mite", "castile", "soap", "castile", garden, nil, remedy.Care, remedy.Go},
		{"soap: washing-up liquid with care", "two-spotted-mite", "detergent", "soap", "detergent", garden, nil, remedy.No, remedy.Care},
		{"copper and oil: apart even when dormant", "peach-leaf-curl", "copper", "copper-oil", "apart", remedy.Situation{Host: "peach", Place: "garden", Date: "2026-01-10", Dormant: true, BadYear: true}, after("dormant-oil", "2026-01-09"), remedy.Care, remedy.NotNow},
		{"sulfur three weeks after oil", "two-spotted-mite", "sulfur", "sulfur-oil", "fortnight", garden, after("summer-oil", "2026-06-20"), remedy.NotNow, remedy.Care},
		{"sulfur ten days after oil is too soon in either school", "two-spotted-mite", "sulfur", "sulfur-oil", "fortnight", garden, after("summer-oil", "2026-06-30"), remedy.NotNow, remedy.NotNow},
		{"dormant oil every winter", "san-jose-scale", "dormant-oil", "dormant-spray", "every-winter", winter, nil, remedy.NotNow, remedy.Care},
		{"calcium for blossom-end rot", "blossom-end-rot", "gypsum", "blossom-end-rot", "calcium", remedy.Situation{Host: "tomato", Place: "garden"}, nil, remedy.NotNow, remedy.Care},
		{"winged helpers outdoors", "green-aphid", "release-lacewing", "bought-helpers", "release", garden, nil, remedy.NotNow, remedy.Care},
	} {
		t.Run(c.name, func(t *testing.T) {
			s := c.base
			if c.set != nil {
				c.set(&s)
			}
			if s.Host == "apple" || s.Host == "peach" {
				s.Edible = true
			}
			before := advise(t, c.cause, s)[c.remedy]
			assert.Equal(t, c.was, before.Status, "%+v", before.Reasons)
			house := s
			house.House.Schools = map[string]string{c.school: c.option}
			o := advise(t, c.cause, house)[c.remedy]
			assert.Equal(t, c.is, o.Status, "%+v", o.Reasons)
			// The case has the last word, either way.
			back := house
			back.Schools = map[string]string{c.school: herbarium.Embedded().School(c.school).Default}
			assert.Equal(t, c.was, advise(t, c.cause, back)[c.remedy].Status)
			for _, x := range remedy.Schools(herbarium.Embedded(), house) {
				if x.School == c.school {
					assert.Equal(t, remedy.Chosen{School: c.school, Option: c.option, By: "house"}, x)
				}
			}
		})
	}
}

func TestEradicateTreatsWhatCouldBeBorne(t *testing.T) {
	s := remedy.Situation{Host: "rose", Place: "garden", Date: "2026-07-10", Pressure: "light"}
	a, err := remedy.Advise(herbarium.Embedded(), "rose-leafhopper", s)
	require.NoError(t, err)
	assert.Equal(t, []string{"leave"}, a.Pick)
	s.Schools = map[string]string{"aim": "eradicate"}
	a, err = remedy.Advise(herbarium.Embedded(), "rose-leafhopper", s)
	require.NoError(t, err)
	assert.NotContains(t, a.Pick, "leave")
	a, err = remedy.Advise(herbarium.Embedded(), "predatory-mite", s)
	require.NoError(t, err)
	assert.Equal(t, []string{"leave"}, a.Pick, "a helper is left in any school")
}

func TestThreeWinterSpraysAreNeverAllowed(t *testing.T) {
	b := herbarium.Embedded()
	s := remedy.Situation{Host: "peach", Date: "2026-01-10", Dormant: true}
	assert.NoError(t, remedy.CheckCombination(b, s, []string{"dormant-oil", "lime-sulfur"}))
	assert.NoError(t, remedy.CheckCombination(b, s, []string{"dormant-oil", "copper"}))
	assert.Error(t, remedy.CheckCombination(b, s, []string{"dormant-oil", "lime-sulfur", "copper"}))
	assert.Error(t, remedy.CheckCombination(b, s, []string{"soap", "lime-sulfur"}), "soap with lime sulfur never")
	assert.Error(t, remedy.CheckCombination(b, s, []string{"soap", "copper"}))
	s.House.Schools = map[string]string{"dormant-three": "one"}
	assert.Error(t, remedy.CheckCombination(b, s, []string{"dormant-oil", "copper"}))
	s.Dormant = false
	assert.Error(t, remedy.CheckCombination(b, s, []string{"summer-oil", "sulfur"}))
	assert.NoError(t, remedy.CheckCombination(b, s, []string{"hose-off", "soap"}))
}

// Whatever was used first, the wait holds for the other; and the herbarium
// says both figures.
func TestEveryWaitHoldsBothWays(t *testing.T) {
	b := herbarium.Embedded()
	for _, k := range b.Conflicts {
		for _, way := range [][2]string{{k.A, k.B}, {k.B, k.A}} {
			days, c := b.ConflictBetween(way[0], way[1])
			require.NotNil(t, c)
			if way[0] == k.A {
				assert.Equal(t, k.DaysAtoB, days)
			} else {
				assert.Equal(t, k.DaysBtoA, days)
			}
			if days == 0 {
				continue
			}
			// A cause that both are open to does not exist for every pair, so the
			// gate is asked on whichever cause: its reason stands whatever else does.
			for _, d := range []int{days - 1, days} {
				s := remedy.Situation{Host: "rose", Date: "2026-07-10", Earlier: []remedy.Earlier{{Remedy: way[0], On: dayBefore("2026-07-10", d)}}}
				held := false
				for _, r := range advise(t, "green-aphid", s)[way[1]].Reasons {
					held = held || r.Gate == "earlier" && r.Status == remedy.NotNow
				}
				assert.Equal(t, d < days, held, "%s then %s after %d days", way[0], way[1], d)
			}
		}
	}
}

func TestCombinationsAreToldInTheirOrder(t *testing.T) {
	b := herbarium.Embedded()
	s := remedy.Situation{Host: "fuchsia", Place: "greenhouse", Date: "2026-07-10"}
	for _, c := range []struct {
		cause string
		ids   []string
		say   string
	}{
		{"two-spotted-mite", []string{"hose-off", "soap"}, "Hose off in the morning, let it dry, then insecticidal soap in the evening"},
		{"western-flower-thrips", []string{"prune-out", "spinosad"}, "change to another way of killing"},
		{"western-flower-thrips", []string{"soap"}, "Part of its life is out of reach (resting stages in soil)"},
		{"two-spotted-mite", []string{"soap", "release-mites"}, "wait a day before you release predatory mites"},
		{"green-aphid", []string{"keep-helpers"}, "Stop ants climbing"},
		{"rose-black-spot", []string{"clear-leaves", "sulfur"}, "spotted ones do not heal"},
	} {
		assert.Contains(t, join(remedy.Combine(b, b.Cause(c.cause), s, c.ids)), c.say, c.cause)
	}
	assert.Empty(t, remedy.Combine(b, b.Cause("predatory-mite"), s, []string{"leave"}))
}

func TestUnknownSchoolsAreNamed(t *testing.T) {
	_, err := remedy.Advise(herbarium.Embedded(), "green-aphid", remedy.Situation{Date: "2026-07-10", Schools: map[string]string{"moon": "full", "soap": "lye"}, House: remedy.House{Schools: map[string]string{"aim": "win"}}})
	fields := []string{}
	for _, f := range fault.From(err) {
		fields = append(fields, f.Field)
	}
	assert.ElementsMatch(t, []string{"schools.moon", "schools.soap", "house.schools.aim"}, fields)
}

func TestOnlyTheQuestionsThatBearOnTheLadderAreNear(t *testing.T) {
	near := func(cause string) []string {
		a, err := remedy.Advise(herbarium.Embedded(), cause, remedy.Situation{Host: "apple", Date: "2026-07-10"})
		require.NoError(t, err)
		out := []string{}
		for _, x := range a.Schools {
			if x.Near {
				out = append(out, x.School)
			}
		}
		return out
	}
	assert.ElementsMatch(t, []string{"soap", "sulfur-oil", "bought-helpers", "aim"}, near("two-spotted-mite"))
	assert.ElementsMatch(t, []string{"blossom-end-rot"}, near("blossom-end-rot"))
	assert.ElementsMatch(t, []string{"aim"}, near("scab"), "sulfur and copper, but no oil beside them")
	assert.Empty(t, near("mosaic-virus"))
}

// An oil that a desk adds to its own herbarium takes the rules of oils by naming
// its class; no line of Go knows its id.
func TestAnOilOfTheDesksOwnTakesTheRulesOfOils(t *testing.T) {
	e := herbarium.Embedded()
	oil := *e.Remedy("summer-oil")
	oil.ID, oil.Name = "canola-oil", "Canola oil"
	own := knowledge.Conflict{A: "canola-oil", B: "sulfur", DaysAtoB: 30, DaysBtoA: 30, Tank: "never", Why: "as with any oil"}
	b := knowledge.New(knowledge.Entries{Causes: e.Causes, Findings: e.Findings, Hosts: e.Hosts, Remedies: append([]*knowledge.Remedy{&oil}, e.Remedies...), Conflicts: append([]*knowledge.Conflict{&own}, e.Conflicts...), LifeTables: e.LifeTables, Schools: e.Schools})
	for option, want := range map[string]remedy.Status{"month": remedy.NotNow, "fortnight": remedy.Care} {
		a, err := remedy.Advise(b, "powdery-mildew", remedy.Situation{Host: "rose", Place: "garden", Date: "2026-07-11", Earlier: []remedy.Earlier{{Remedy: "canola-oil", On: "2026-06-20"}}, Schools: map[string]string{"sulfur-oil": option}})
		require.NoError(t, err)
		i := slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == "sulfur" })
		require.GreaterOrEqual(t, i, 0)
		assert.Equal(t, want, a.Offers[i].Status, option)
	}
}
