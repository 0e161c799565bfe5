package remedy_test

import (
	"fmt"
	"os"
	"slices"
	"strings"
	"testing"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func advise(t require.TestingT, cause string, s remedy.Situation) map[string]remedy.Offer {
	if s.Date == "" {
		s.Date = "2026-07-10"
	}
	a, err := remedy.Advise(herbarium.Embedded(), cause, s)
	require.NoError(t, err)
	out := map[string]remedy.Offer{}
	for _, o := range a.Offers {
		out[o.Remedy] = o
	}
	return out
}

func dayBefore(day string, n int) string {
	d, _ := civil.Parse(day)
	return d.Add(-n).String()
}

func ptr[T any](v T) *T { return &v }

// What a careful specialist would say.
func TestGates(t *testing.T) {
	bean := remedy.Situation{Host: "bean", Place: "garden", Edible: true}
	for _, c := range []struct {
		name, cause, remedy string
		set                 func(*remedy.Situation)
		want                remedy.Status
		gate, until         string
	}{
		{"soap on a bean in an ordinary evening", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.TempC = ptr(18.0) }, remedy.Go, "", ""},
		{"soap in a heat wave", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.TempC = ptr(34.0) }, remedy.NotNow, "temperature", ""},
		{"soap where nobody has a thermometer", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.TempC, s.TempUnknown = nil, true }, remedy.Care, "temperature", ""},
		{"soap where nobody asked", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.TempC = nil }, remedy.Go, "", ""},
		{"oil in the cold", "two-spotted-mite", "summer-oil", func(s *remedy.Situation) { s.TempC = ptr(2.0) }, remedy.NotNow, "temperature", ""},
		{"sulfur ten days after oil", "two-spotted-mite", "sulfur", func(s *remedy.Situation) { s.Earlier = []remedy.Earlier{{Remedy: "summer-oil", On: "2026-06-30"}} }, remedy.NotNow, "earlier", "2026-07-30"},
		{"oil ten days after sulfur: the wait holds the other way too", "two-spotted-mite", "summer-oil", func(s *remedy.Situation) { s.Earlier = []remedy.Earlier{{Remedy: "sulfur", On: "2026-06-30"}} }, remedy.NotNow, "earlier", "2026-07-30"},
		{"spinosad in bloom", "western-flower-thrips", "spinosad", func(s *remedy.Situation) { s.InBloom = true }, remedy.NotNow, "bloom", ""},
		{"soap in bloom is for the late evening", "western-flower-thrips", "soap", func(s *remedy.Situation) { s.InBloom = true }, remedy.Care, "bloom", ""},
		{"spinosad two days before picking", "western-flower-thrips", "spinosad", func(s *remedy.Situation) { s.DaysToHarvest = ptr(2) }, remedy.NotNow, "food", "2026-07-12"},
		{"alcohol on food", "citrus-mealybug", "alcohol", nil, remedy.No, "food", ""},
		{"oil on a blue spruce", "two-spotted-mite", "summer-oil", func(s *remedy.Situation) { s.Host = "blue-spruce" }, remedy.No, "host", ""},
		{"soap on a jade plant", "citrus-mealybug", "soap", func(s *remedy.Situation) { s.Host = "jade" }, remedy.No, "host", ""},
		{"soap on an unknown plant", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.Host = "" }, remedy.Care, "host", ""},
		{"soap on an unknown relative of the jade plant", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.Host, s.Family = "", "crassulaceae" }, remedy.No, "host", ""},
		{"pyrethrins with a cat indoors", "green-aphid", "pyrethrins", func(s *remedy.Situation) { s.Cat, s.Place = true, "indoors" }, remedy.No, "pets", ""},
		{"copper by a pond", "leaf-spot", "copper", func(s *remedy.Situation) { s.Pond = true }, remedy.No, "water", ""},
		{"azadirachtin on adults only", "green-aphid", "azadirachtin", func(s *remedy.Situation) { s.Stages = []string{"adult"} }, remedy.No, "stage", ""},
		{"soap with eggs about spares them", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.Stages = []string{"egg", "young"} }, remedy.Care, "stage", ""},
		{"soap two days after soap", "two-spotted-mite", "soap", func(s *remedy.Situation) { s.Earlier = []remedy.Earlier{{Remedy: "soap", On: "2026-07-08"}} }, remedy.NotNow, "repeat", "2026-07-12"},
		{"spinosad a fourth time", "western-flower-thrips", "spinosad", func(s *remedy.Situation) {
			s.Earlier = []remedy.Earlier{{"spinosad", "2026-05-01"}, {"spinosad", "2026-05-20"}, {"spinosad", "2026-06-10"}}
		}, remedy.No, "repeat", ""},
		{"spinosad twice running", "western-flower-thrips", "spinosad", func(s *remedy.Situation) { s.Earlier = []remedy.Earlier{{"spinosad", "2026-05-01"}} }, remedy.Care, "rotation", ""},
		{"house bans it", "green-aphid", "pyrethrins", func(s *remedy.Situation) {
			s.House.Policy = map[string]remedy.Policy{"pyrethrins": {Use: "no", Why: "bees"}}
		}, remedy.No, "house", ""},
		{"house keeps it for heavy pressure", "green-aphid", "pyrethrins", func(s *remedy.Situation) {
			s.House.Policy = map[string]remedy.Policy{"pyrethrins": {Use: "heavy"}}
		}, remedy.NotNow, "house", ""},
		{"local law bans it", "leaf-spot", "copper", func(s *remedy.Situation) {
			s.House.Law = map[string]remedy.Law{"copper hydroxide or oxychloride": {Status: "banned", Reference: "island by-law"}}
		}, remedy.No, "law", ""},
		{"a stricter bottle on the shelf", "two-spotted-mite", "soap", func(s *remedy.Situation) {
			s.House.Labels = map[string]remedy.Label{"soap": {RepeatMin: 14}}
			s.Earlier = []remedy.Earlier{{"soap", "2026-07-01"}}
		}, remedy.NotNow, "repeat", "2026-07-15"},
		{"thirsty plant", "two-spotted-mite", "summer-oil", func(s *remedy.Situation) { s.Drought = true }, remedy.NotNow, "thirst", ""},
		{"an insecticide for a fungus", "powdery-mildew", "pyrethrins", nil, remedy.No, "nothing", ""},
		{"anything for a helper", "predatory-mite", "soap", nil, remedy.No, "harm", ""},
		{"a spray for a virus", "mosaic-virus", "copper", nil, remedy.No, "nothing", ""},
		{"treatment of a regulated suspect", "citrus-greening", "prune-out", nil, remedy.No, "regulated", ""},
	} {
		t.Run(c.name, func(t *testing.T) {
			s := bean
			if c.set != nil {
				c.set(&s)
			}
			o := advise(t, c.cause, s)[c.remedy]
			assert.Equal(t, c.want, o.Status, "%+v", o.Reasons)
			if c.gate != "" {
				i := slices.IndexFunc(o.Reasons, func(r remedy.Reason) bool { return r.Gate == c.gate })
				require.GreaterOrEqual(t, i, 0, "no reason of gate %s in %+v", c.gate, o.Reasons)
				assert.NotEmpty(t, o.Reasons[i].Text)
			}
			assert.Equal(t, c.until, o.Until)
		})
	}
}

func TestThePickIsTheMildestThatWorks(t *testing.T) {
	for _, c := range []struct {
		cause string
		s     remedy.Situation
		want  []string
		not   []string
	}{
		{"green-aphid", remedy.Situation{Host: "sweet-pea", Pressure: "light"}, []string{"leave"}, []string{"soap"}},
		{"green-aphid", remedy.Situation{Host: "pepper", Pressure: "heavy"}, []string{"hose-off"}, []string{"pyrethrins"}},
		{"predatory-mite", remedy.Situation{Host: "bean", Pressure: "heavy"}, []string{"leave"}, nil},
		{"citrus-greening", remedy.Situation{Host: "calamondin"}, []string{"report"}, []string{"soap", "prune-out"}},
		{"rose-black-spot", remedy.Situation{Host: "rose"}, []string{"clear-leaves"}, []string{"sulfur"}},
		// Heavy pressure: hand work falls behind, helpers come too late.
		{"green-aphid", remedy.Situation{Host: "cabbage", Pressure: "heavy"}, []string{"hose-off", "soap"}, nil},
		{"two-spotted-mite", remedy.Situation{Host: "bean", Place: "greenhouse", TempC: ptr(22.0), Pressure: "moderate"}, []string{"release-mites"}, []string{"soap"}},
		{"two-spotted-mite", remedy.Situation{Host: "bean", Place: "greenhouse", TempC: ptr(22.0), Pressure: "heavy"}, []string{"hose-off", "soap"}, []string{"release-mites"}},
		{"vine-weevil-grub", remedy.Situation{Host: "bay", Place: "garden", TempC: ptr(15.0), Pressure: "heavy"}, []string{"hand-pick", "nematodes-vine"}, nil},
		// What nothing does more for is left, but not where it grows on.
		{"cat-facing", remedy.Situation{Host: "tomato", Pressure: "moderate"}, []string{"leave"}, nil},
		{"rose-mosaic", remedy.Situation{Host: "rose", Pressure: "heavy"}, []string{"leave"}, []string{"inspect"}},
		{"grape-leafhopper", remedy.Situation{Host: "grape", Pressure: "moderate"}, []string{"hose-off"}, []string{"leave"}},
		// Setting apart is no cure, and goes with one.
		{"fuchsia-gall-mite", remedy.Situation{Host: "fuchsia", Pressure: "moderate"}, []string{"inspect", "prune-out"}, nil},
		{"pelargonium-blight", remedy.Situation{Host: "pelargonium"}, []string{"lab-send", "disinfect"}, []string{"pull-bag"}},
	} {
		c.s.Date = "2026-07-10"
		a, err := remedy.Advise(herbarium.Embedded(), c.cause, c.s)
		require.NoError(t, err)
		for _, w := range c.want {
			assert.Contains(t, a.Pick, w, c.cause)
		}
		for _, n := range c.not {
			assert.NotContains(t, a.Pick, n, c.cause)
		}
		assert.NotEmpty(t, a.Why)
	}
}

func TestTheWaitBeforePickingSaysWhatToDo(t *testing.T) {
	say := func(days int) remedy.Offer {
		a, err := remedy.Advise(herbarium.Embedded(), "leaf-spot", remedy.Situation{Host: "chard", Place: "garden", Date: "2026-07-10", Edible: true, DaysToHarvest: ptr(days)})
		require.NoError(t, err)
		for _, o := range a.Offers {
			if o.Remedy == "copper" {
				return o
			}
		}
		return remedy.Offer{}
	}
	soon := say(3)
	assert.Equal(t, remedy.NotNow, soon.Status)
	assert.Contains(t, soon.Reasons[0].Text, "Picking is in 3 days and it asks for 14 days: pick first")
	assert.Contains(t, say(1).Reasons[0].Text, "Picking is in a day")
	due := say(0)
	assert.Equal(t, remedy.NotNow, due.Status, "a day gone by frees nothing by itself")
	assert.Contains(t, due.Reasons[0].Text, "write down the next picking")
	assert.Equal(t, remedy.Care, say(14).Status)
}

// Over all causes, representative plants and seasons.
func TestMatrix(t *testing.T) {
	b := herbarium.Embedded()
	// What only kills fungi, and what only kills animals, by their own figures.
	fungicides, insecticides := []string{}, []string{}
	for _, r := range b.Remedies {
		_, protects := r.Mortality["protects"]
		_, cures := r.Mortality["cures"]
		animal := r.Mortality["young"]+r.Mortality["adult"]+r.Mortality["crawler"]+r.Mortality["grub"] > 0
		switch {
		case r.Kind != "product":
		case (protects || cures) && !animal:
			fungicides = append(fungicides, r.ID)
		case animal && !protects && !cures:
			insecticides = append(insecticides, r.ID)
		}
	}
	require.Subset(t, fungicides, []string{"copper", "bicarbonate", "bordeaux", "kelp"})
	require.Subset(t, insecticides, []string{"pyrethrins", "spinosad", "soap", "beauveria", "summer-oil"})
	mites := []string{"sulfur", "sulfur-dust", "lime-sulfur"} // kill mites as well as fungi
	hosts := []string{"", "rose", "blue-spruce", "calamondin"}
	for _, c := range b.Causes {
		for _, h := range hosts {
			for i, date := range []string{"2026-01-15", "2026-04-15", "2026-07-15", "2026-10-15"} {
				pressure := []string{"light", "moderate", "heavy", ""}[i]
				for _, in := range []bool{false, true} {
					a, err := remedy.Advise(b, c.ID, remedy.Situation{Host: h, Place: "garden", Date: date, InBloom: in, Pressure: pressure})
					require.NoError(t, err)
					require.NotEmpty(t, slices.Concat(a.Pick, []string{a.Refer})[0], "%s on %q in %s at %s pressure has no answer", c.ID, h, date, pressure)
					gentle := false
					for _, o := range a.Offers {
						r := b.Remedy(o.Remedy)
						open := o.Status == remedy.Go || o.Status == remedy.Care
						gentle = gentle || open && o.Rung <= 3
						if !open {
							require.NotEmpty(t, o.Reasons, "%s for %s is refused without a reason", o.Remedy, c.ID)
							require.NotContains(t, a.Pick, o.Remedy, "%s: a refused remedy was picked", c.ID)
							continue
						}
						oilOnMildew := o.Remedy == "summer-oil" && c.Group == "powdery mildew" // the best eradicant there is
						require.False(t, !oilOnMildew && slices.Contains(insecticides, o.Remedy) && (c.Class == "fungus" || c.Class == "virus" || c.Class == "oomycete"), "%s for %s", o.Remedy, c.ID)
						require.False(t, slices.Contains(fungicides, o.Remedy) && o.Remedy != "kelp" && c.Kind != "disease", "%s for %s", o.Remedy, c.ID)
						require.False(t, slices.Contains(mites, o.Remedy) && c.Class != "mite" && c.Class != "armored-scale" && c.Kind != "disease", "%s for %s", o.Remedy, c.ID)
						require.False(t, r.Kind == "product" && (c.Kind == "helper" || c.Kind == "harmless" || c.Class == "virus" || c.Regulated != ""), "%s for %s", o.Remedy, c.ID)
						require.False(t, in && r.Hazards.Bees >= 2 && r.Kind == "product", "%s in bloom", o.Remedy)
						if host := b.Host(h); host != nil {
							for _, class := range r.Harms {
								require.NotEqual(t, "never", host.Sensitive[class], "%s on %s", o.Remedy, h)
							}
						}
						require.NotEmpty(t, o.Cautions)
					}
					require.True(t, gentle, "%s on %q in %s has nothing without chemistry", c.ID, h, date)
				}
			}
		}
	}
}

// More of a pest never gets a milder answer, nor one that is too slow for it.
func TestPressureOnlyClimbs(t *testing.T) {
	b := herbarium.Embedded()
	harshest := func(a remedy.Advice) int {
		top := 0
		for _, id := range a.Pick {
			top = max(top, b.Remedy(id).Rung)
			if id == knowledge.PullIt || id == "rogue" { // the end of the plant, wherever it stands on the ladder
				top = len(knowledge.Rungs)
			}
		}
		return top
	}
	rapid.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(b.Causes).Draw(t, "cause")
		host := rapid.SampledFrom(b.Hosts).Draw(t, "host")
		s := remedy.Situation{Host: host.ID, Date: "2026-07-10", TempC: ptr(21.0), Place: rapid.SampledFrom(knowledge.Places).Draw(t, "place"), InBloom: rapid.Bool().Draw(t, "bloom")}
		last := -1
		for _, s.Pressure = range []string{"light", "moderate", "heavy"} {
			a, err := remedy.Advise(b, c.ID, s)
			require.NoError(t, err)
			top := harshest(a)
			require.GreaterOrEqual(t, top, last, "%s at %s pressure: %v", c.ID, s.Pressure, a.Pick)
			last = top
		}
	})
}

// Adding a hazard never makes a remedy more allowed.
func TestGatesAreMonotone(t *testing.T) {
	b := herbarium.Embedded()
	order := map[remedy.Status]int{remedy.Go: 0, remedy.Care: 1, remedy.NotNow: 2, remedy.No: 3}
	rapid.Check(t, func(t *rapid.T) {
		c := rapid.SampledFrom(b.Causes).Draw(t, "cause")
		host := rapid.SampledFrom(b.Hosts).Draw(t, "host")
		s := remedy.Situation{Host: host.ID, Date: "2026-07-10", Place: rapid.SampledFrom(knowledge.Places).Draw(t, "place"), Edible: rapid.Bool().Draw(t, "edible"), Pond: rapid.Bool().Draw(t, "pond"), InBloom: rapid.Bool().Draw(t, "bloom")}
		before := advise(t, c.ID, s)
		switch rapid.IntRange(0, 11).Draw(t, "hazard") {
		case 0:
			s.InBloom = true
		case 1:
			s.Edible, s.DaysToHarvest = true, ptr(0)
		case 2:
			s.Pond = true
		case 3:
			s.Cat = true
		case 4:
			s.Children = true
		case 5:
			s.Drought = true
		case 6:
			s.Sun = true
		case 7:
			s.Earlier = append(s.Earlier, remedy.Earlier{Remedy: rapid.SampledFrom(b.Remedies).Draw(t, "earlier").ID, On: "2026-07-09"})
		case 9:
			s.Dog = true
		case 10:
			id := rapid.SampledFrom(b.Remedies).Draw(t, "bottle").ID
			s.House.Labels = map[string]remedy.Label{id: {RepeatMin: 40, Most: 1, WaitDays: 60, Crops: []string{"nothing"}}}
		case 11:
			ingredient := rapid.SampledFrom(b.Remedies).Draw(t, "law").Ingredient
			s.House.Law = map[string]remedy.Law{ingredient: {Status: rapid.SampledFrom([]string{"restricted", "licensed", "banned"}).Draw(t, "status")}}
		case 8:
			s.House.Policy = map[string]remedy.Policy{rapid.SampledFrom(b.Remedies).Draw(t, "banned").ID: {Use: "no"}}
		}
		for id, o := range advise(t, c.ID, s) {
			assert.GreaterOrEqual(t, order[o.Status], order[before[id].Status], "%s for %s on %s", id, c.ID, host.ID)
		}
	})
}

func TestBadSituationsNameTheField(t *testing.T) {
	b := herbarium.Embedded()
	_, err := remedy.Advise(b, "nonsense", remedy.Situation{Date: "tomorrow", Host: "triffid", Place: "moon", Stages: []string{"moth"}, Earlier: []remedy.Earlier{{"holy water", "x"}}, TempC: ptr(99.0), DaysToHarvest: ptr(-1), Pressure: "dire"})
	fields := []string{}
	for _, f := range fault.From(err) {
		fields = append(fields, f.Field)
		assert.NotEmpty(t, f.Mend)
	}
	assert.ElementsMatch(t, []string{"cause", "host", "place", "date", "daysToHarvest", "tempC", "pressure", "stages[0]", "earlier[0].remedy", "earlier[0].on"}, fields)
}

// TestBenchLadder prints the whole ladder's cost against 1 ms, for make bench.
func TestBenchLadder(t *testing.T) {
	if os.Getenv("BOTANIK_BENCH") == "" {
		t.Skip("only through make bench")
	}
	b := herbarium.Embedded()
	s := remedy.Situation{Host: "bean", Place: "garden", Date: "2026-07-10", Edible: true, InBloom: true, Cat: true, TempC: ptr(22.0), Stages: []string{"egg", "young"}, Earlier: []remedy.Earlier{{Remedy: "summer-oil", On: "2026-06-30"}}}
	r := testing.Benchmark(func(bb *testing.B) {
		for bb.Loop() {
			if _, err := remedy.Advise(b, "two-spotted-mite", s); err != nil {
				bb.Fatal(err)
			}
		}
	})
	fmt.Printf("bench ladder of %d remedies against 1 ms: measured %.2f, goal 1\n", len(b.Remedies), float64(r.NsPerOp())/1e6)
}

// A soft fern takes no soap and no oil: with many mites on it what is left is
// done in turn, and never less than at moderate pressure.
func TestManyMitesOnAFernThatTakesNoSoap(t *testing.T) {
	a, err := remedy.Advise(herbarium.Embedded(), "two-spotted-mite", remedy.Situation{Host: "maidenhair", Date: "2026-07-10", TempC: ptr(21.0), Place: "indoors", Pressure: "heavy"})
	require.NoError(t, err)
	assert.Subset(t, a.Pick, []string{"hose-off", "release-mites"})
	assert.NotContains(t, a.Pick, "soap")
	assert.Contains(t, strings.Join(a.Why, " "), "first hose it off, then release predatory mites")
}
