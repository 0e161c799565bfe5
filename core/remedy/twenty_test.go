package remedy_test

import (
	"testing"

	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Twenty treatment cases as a desk meets them, with the answer a careful
// specialist would give: what must be open, what must not, and why, what is
// picked, and what has to be said.
func TestTwentyWrittenCases(t *testing.T) {
	hold(t, []written{
		{name: "heat wave: mites on beans at 35 °C", cause: "two-spotted-mite",
			s:    remedy.Situation{Host: "bean", Place: "garden", TempC: ptr(35.0), Sun: true, Pressure: "heavy", Edible: true},
			want: map[string]answer{"soap": {remedy.NotNow, "temperature", ""}, "summer-oil": {remedy.NotNow, "temperature", ""}, "neem-oil": {remedy.NotNow, "temperature", ""}, "hose-off": {remedy.Go, "", ""}, "humidity": {remedy.Go, "", ""}},
			pick: []string{"hose-off"}, never: []string{"soap", "summer-oil"}},
		{name: "bloom: thrips on a fuchsia full of bees", cause: "western-flower-thrips",
			s:    remedy.Situation{Host: "fuchsia", Place: "balcony", InBloom: true, Pressure: "heavy"},
			want: map[string]answer{"spinosad": {remedy.NotNow, "bloom", ""}, "pyrethrins": {remedy.NotNow, "bloom", ""}, "beauveria": {remedy.NotNow, "bloom", ""}, "soap": {remedy.Care, "", ""}, "prune-out": {remedy.Go, "", ""}},
			pick: []string{"prune-out"}, never: []string{"spinosad", "pyrethrins"}},
		{name: "the day before picking: flea beetle on radish leaves", cause: "flea-beetle",
			s:    remedy.Situation{Host: "radish", Place: "garden", Edible: true, DaysToHarvest: ptr(1), Pressure: "moderate"},
			want: map[string]answer{"pyrethrins": {remedy.NotNow, "when", ""}, "net": {remedy.Go, "", ""}, "even-water": {remedy.Go, "", ""}},
			pick: []string{"even-water"}, never: []string{"pyrethrins", "net"}},
		{name: "copper the day before picking", cause: "leaf-spot",
			s:    remedy.Situation{Host: "chard", Place: "garden", Edible: true, DaysToHarvest: ptr(1)},
			want: map[string]answer{"copper": {remedy.NotNow, "food", "2026-07-11"}, "clear-leaves": {remedy.Go, "", ""}},
			pick: []string{"clear-leaves"}, never: []string{"copper"}},
		{name: "sulfur nine days after neem oil", cause: "powdery-mildew",
			s:    remedy.Situation{Host: "courgette", Place: "garden", Edible: true, Earlier: []remedy.Earlier{{Remedy: "neem-oil", On: "2026-07-01"}}},
			want: map[string]answer{"sulfur": {remedy.NotNow, "earlier", "2026-07-31"}, "sulfur-dust": {remedy.NotNow, "earlier", "2026-07-31"}, "bicarbonate": {remedy.Care, "", ""}}},
		{name: "a cat in the room: aphids on a sweet pepper indoors", cause: "green-aphid",
			s:    remedy.Situation{Host: "pepper", Place: "indoors", Cat: true, Edible: true, Pressure: "heavy"},
			want: map[string]answer{"pyrethrins": {remedy.No, "pets", ""}, "aromatic-oil": {remedy.No, "pets", ""}, "hose-off": {remedy.Go, "", ""}},
			pick: []string{"hose-off"}},
		{name: "a pond beside the bed: black spot on a rose", cause: "rose-black-spot",
			s:    remedy.Situation{Host: "rose", Place: "garden", Pond: true},
			want: map[string]answer{"copper": {remedy.No, "water", ""}, "lime-sulfur": {remedy.No, "water", ""}, "sulfur": {remedy.Care, "", ""}, "clear-leaves": {remedy.Go, "", ""}},
			pick: []string{"clear-leaves"}},
		{name: "blue spruce: oil strips its blue", cause: "spruce-mite",
			s:    remedy.Situation{Host: "blue-spruce", Place: "garden", Pressure: "heavy"},
			want: map[string]answer{"summer-oil": {remedy.No, "host", ""}, "hose-off": {remedy.Go, "", ""}},
			pick: []string{"hose-off"}, never: []string{"summer-oil"}},
		{name: "an unknown relative of the jade plant", cause: "citrus-mealybug",
			s:    remedy.Situation{Family: "crassulaceae", Form: "succulent", Place: "indoors", Pressure: "moderate"},
			want: map[string]answer{"soap": {remedy.No, "host", ""}, "castile": {remedy.No, "host", ""}, "summer-oil": {remedy.No, "host", ""}, "hand-pick": {remedy.Go, "", ""}}},
		{name: "eggs only: mites", cause: "two-spotted-mite",
			s:    remedy.Situation{Host: "bean", Place: "greenhouse", Stages: []string{"egg"}, Pressure: "moderate", Edible: true},
			want: map[string]answer{"soap": {remedy.No, "stage", ""}, "azadirachtin": {remedy.No, "stage", ""}, "summer-oil": {remedy.Care, "", ""}}},
		{name: "adults only: azadirachtin spares them", cause: "greenhouse-whitefly",
			s:    remedy.Situation{Host: "tomato", Place: "greenhouse", Stages: []string{"adult"}, Pressure: "moderate", Edible: true},
			want: map[string]answer{"azadirachtin": {remedy.No, "stage", ""}, "release-whitefly-wasp": {remedy.No, "stage", ""}, "vacuum": {remedy.Go, "", ""}}},
		{name: "heavy pressure: thrips live in the soil too", cause: "western-flower-thrips",
			s:    remedy.Situation{Host: "chrysanthemum", Place: "greenhouse", Pressure: "heavy"},
			want: map[string]answer{"spinosad": {remedy.Care, "bloom", ""}, "refer-systemic": {remedy.No, "licensed", ""}},
			say:  "Part of its life is out of reach"},
		{name: "a third spinosad: change the way of killing", cause: "western-flower-thrips",
			s:    remedy.Situation{Host: "chrysanthemum", Place: "greenhouse", Pressure: "heavy", Earlier: []remedy.Earlier{{Remedy: "spinosad", On: "2026-06-01"}, {Remedy: "spinosad", On: "2026-06-12"}}},
			want: map[string]answer{"spinosad": {remedy.No, "rotation", ""}, "soap": {remedy.Go, "", ""}}, never: []string{"spinosad"}},
		{name: "the house bans pyrethrins", cause: "green-aphid",
			s:    remedy.Situation{Host: "sweet-pea", Place: "garden", Pressure: "heavy", House: remedy.House{Policy: map[string]remedy.Policy{"pyrethrins": {Use: "no", Why: "bees on the roof"}}}},
			want: map[string]answer{"pyrethrins": {remedy.No, "house", ""}}, never: []string{"pyrethrins"}},
		{name: "local law bans copper; the bottle on the shelf is stricter on soap", cause: "rust",
			s:    remedy.Situation{Host: "pelargonium", Place: "balcony", House: remedy.House{Law: map[string]remedy.Law{"sulfur": {Status: "banned", Reference: "by-law 3"}}}},
			want: map[string]answer{"sulfur": {remedy.No, "law", ""}, "clear-leaves": {remedy.Go, "", ""}}, pick: []string{"clear-leaves"}},
		{name: "a bottle that names other crops", cause: "two-spotted-mite",
			s:    remedy.Situation{Host: "bean", Place: "garden", Edible: true, House: remedy.House{Labels: map[string]remedy.Label{"summer-oil": {Crops: []string{"pome", "vitaceae"}}}}},
			want: map[string]answer{"summer-oil": {remedy.No, "food", ""}, "soap": {remedy.Go, "", ""}}},
		{name: "a scale on an olive in winter: it never drops its leaves", cause: "oleander-scale",
			s:    remedy.Situation{Host: "olive", Place: "balcony", Date: "2026-01-10", BadYear: true},
			want: map[string]answer{"dormant-oil": {remedy.No, "season", ""}, "hand-pick": {remedy.Go, "", ""}}},
		{name: "peach leaf curl in midwinter after a bad year", cause: "peach-leaf-curl",
			s:    remedy.Situation{Host: "peach", Place: "garden", Date: "2026-01-20", Dormant: true, BadYear: true, Edible: true, DaysToHarvest: ptr(190)},
			want: map[string]answer{"copper": {remedy.Care, "", ""}, "bordeaux": {remedy.Care, "", ""}, "rain-cover": {remedy.Go, "", ""}},
			pick: []string{"rain-cover"}},
		{name: "a little damage on a strong plant is nothing to treat", cause: "rose-leafhopper",
			s:    remedy.Situation{Host: "rose", Place: "garden", Pressure: "light"},
			want: map[string]answer{"leave": {remedy.Go, "", ""}}, pick: []string{"leave"}, never: []string{"soap", "hose-off"}},
		{name: "a virus: pulled, and never sprayed", cause: "mosaic-virus",
			s:    remedy.Situation{Host: "courgette", Place: "garden", Pressure: "heavy", Edible: true},
			want: map[string]answer{"soap": {remedy.No, "nothing", ""}, "copper": {remedy.No, "nothing", ""}, "castile": {remedy.No, "nothing", ""}, "rogue": {remedy.Go, "", ""}}, pick: []string{"rogue"}, never: []string{"soap", "copper"}},
		{name: "root rot: a leaf spray does nothing, a drench comes last", cause: "root-rot",
			s:    remedy.Situation{Host: "lavender", Place: "balcony", Pressure: "moderate"},
			want: map[string]answer{"copper": {remedy.No, "nothing", ""}, "peroxide": {remedy.Go, "", ""}, "wash-roots": {remedy.Go, "", ""}}, pick: []string{"wash-roots"}, never: []string{"peroxide"}},
	})
}

type answer struct {
	status remedy.Status
	gate   string // of its gravest reason; empty: none asked
	until  string
}

// written is a case as a desk meets it, with what a specialist would answer.
type written struct {
	name, cause string
	s           remedy.Situation
	want        map[string]answer
	pick, never []string // picked; never picked
	say         string   // in Why or Combine
}

func hold(t *testing.T, cases []written) {
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			if c.s.Date == "" {
				c.s.Date = "2026-07-10"
			}
			a, err := remedy.Advise(herbarium.Embedded(), c.cause, c.s)
			require.NoError(t, err)
			got := map[string]remedy.Offer{}
			for _, o := range a.Offers {
				got[o.Remedy] = o
			}
			for id, w := range c.want {
				o := got[id]
				assert.Equal(t, w.status, o.Status, "%s: %+v", id, o.Reasons)
				if w.gate != "" && assert.NotEmpty(t, o.Reasons, id) {
					assert.Equal(t, w.gate, o.Reasons[0].Gate, "%s: %+v", id, o.Reasons)
				}
				if w.until != "" {
					assert.Equal(t, w.until, o.Until, id)
				}
				assert.NotEmpty(t, o.Ladder, id)
			}
			assert.Subset(t, a.Pick, c.pick)
			for _, n := range c.never {
				assert.NotContains(t, a.Pick, n)
			}
			if c.say != "" {
				assert.Contains(t, join(append(a.Why, a.Combine...)), c.say)
			}
			assert.NotEmpty(t, a.Because, "why it happened is answered beside what to do")
			assert.Len(t, a.Always, len(remedy.Always))
		})
	}
}

func join(s []string) string {
	out := ""
	for _, x := range s {
		out += x + "\n"
	}
	return out
}
