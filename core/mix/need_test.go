package mix

import (
	"math"
	"math/big"
	"testing"

	"botanik/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestSprayNeedWorked(t *testing.T) {
	// One rose, 80 by 60 cm: .48 m² of outline, 3.5 of leaf each, 120 mL a m².
	n, err := SprayNeed([]PlantSize{{Count: 1, HeightCm: 80, WidthCm: 60}})
	require.NoError(t, err)
	assert.InDelta(t, .48*3.5*120, n.Ml, 1e-9)
	assert.Equal(t, "250 mL", n.Text, "rounded up, so that it suffices")
	n, err = SprayNeed([]PlantSize{{Count: 6, HeightCm: 80, WidthCm: 60, Leaf: "dense"}, {Count: 2, HeightCm: 20, WidthCm: 20, Leaf: "sparse"}})
	require.NoError(t, err)
	assert.Equal(t, "1.8 L", n.Text)
	assert.Len(t, n.Lines, 2)
	_, err = ParseQuantity(n.Text)
	assert.NoError(t, err, "it can be put straight into a mix")
	assert.Contains(t, n.Rule, "judgement")
}

func TestPlacesWorked(t *testing.T) {
	for name, c := range map[string]struct {
		r    PlaceRequest
		text string
	}{
		"gypsum on a bed":            {PlaceRequest{Per: "m2", Low: 50, High: 100, Unit: "g", Area: "3 m2"}, "220 g"},
		"in square feet":             {PlaceRequest{Per: "m2", Low: 50, High: 100, Unit: "g", Area: "20 sq ft", Use: "low"}, "92 g"},
		"lacewings":                  {PlaceRequest{Per: "m2", Low: 10, High: 25, Unit: "animals", Area: "2 m2"}, "35 animals"},
		"a few helpers on one plant": {PlaceRequest{Per: "m2", Low: 2, High: 5, Unit: "animals", Area: "0.2 m2", Use: "low"}, "1 animal"},
		"a drench by what pots hold": {PlaceRequest{Per: "pot L", Low: 100, High: 200, Unit: "mL of mix", Pots: []Pot{{Count: 3, Size: "5 L"}, {Count: 1, AcrossCm: 20}}, Use: "top"}, "3.8 L of mix"},
		"nematodes by the packet":    {PlaceRequest{Per: "m2", Low: 500000, High: 1000000, Unit: "animals", Area: "3 m2", Use: "top"}, "3 million animals"},
		"nematodes in one pot":       {PlaceRequest{Per: "m2", Low: 500000, High: 1000000, Unit: "animals", Area: "0.07 m2"}, "52000 animals"},
		"by plant":                   {PlaceRequest{Per: "plant", Low: 2, High: 4, Unit: "g", Plants: 7}, "21 g"},
	} {
		t.Run(name, func(t *testing.T) {
			p, err := Place(c.r)
			require.NoError(t, err)
			assert.Equal(t, c.text, p.Text)
			assert.NotEmpty(t, p.Range)
		})
	}
}

func TestPlacesAndNeedsRefuseNamingTheField(t *testing.T) {
	fields := func(err error) []string {
		out := []string{}
		for _, f := range fault.From(err) {
			assert.NotEmpty(t, f.Mend)
			out = append(out, f.Field)
		}
		return out
	}
	_, err := SprayNeed(nil)
	assert.Equal(t, []string{"plants"}, fields(err))
	_, err = SprayNeed([]PlantSize{{Count: 0, HeightCm: 1, WidthCm: math.NaN(), Leaf: "woolly"}})
	assert.ElementsMatch(t, []string{"plants[0].count", "plants[0].heightCm", "plants[0].widthCm", "plants[0].leaf"}, fields(err))
	for _, c := range []struct {
		r     PlaceRequest
		field string
	}{
		{PlaceRequest{Per: "m2", Low: 1, High: 2, Area: "3"}, "area"},
		{PlaceRequest{Per: "m2", Low: 1, High: 2, Area: "3 acres"}, "area"},
		{PlaceRequest{Per: "m2", Low: 1, High: 2, Area: "0 m2"}, "area"},
		{PlaceRequest{Per: "m2", Low: 2, High: 1, Area: "1 m2"}, "low"},
		{PlaceRequest{Per: "pot L", Low: 1, High: 2}, "pots"},
		{PlaceRequest{Per: "pot L", Low: 1, High: 2, Pots: []Pot{{Count: 1, Size: "1 gallon"}}}, "pots[0].size"},
		{PlaceRequest{Per: "pot L", Low: 1, High: 2, Pots: []Pot{{Count: 1, AcrossCm: 900}}}, "pots[0].acrossCm"},
		{PlaceRequest{Per: "plant", Low: 1, High: 2}, "plants"},
		{PlaceRequest{Per: "row", Low: 1, High: 2}, "per"},
		{PlaceRequest{Per: "plant", Low: 1, High: 2, Plants: 1, Use: "double"}, "use"},
	} {
		_, err := Place(c.r)
		assert.Contains(t, fields(err), c.field, "%+v", c.r)
	}
}

func TestAPlacedAmountNeverPassesItsTop(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		low := rapid.Float64Range(.1, 300).Draw(t, "low")
		high := low * rapid.Float64Range(1, 4).Draw(t, "span")
		plants := rapid.IntRange(1, 400).Draw(t, "plants")
		unit := rapid.SampledFrom([]string{"g", "mL of mix"}).Draw(t, "unit")
		p, err := Place(PlaceRequest{Per: "plant", Low: low, High: high, Unit: unit, Plants: plants, Use: rapid.SampledFrom([]string{"low", "middle", "top"}).Draw(t, "use")})
		require.NoError(t, err)
		assert.LessOrEqual(t, p.Amount, high*float64(plants)+1e-6)
	})
}

func FuzzParseArea(f *testing.F) {
	for _, s := range []string{"3 m2", "20 sq ft", "½ sq yd", "1/0 m2", "", "9999999999999 m2"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		if a, err := ParseArea(s); err == nil && (a.Sign() <= 0 || a.Cmp(big.NewRat(10_000, 1)) > 0) {
			t.Fatalf("%q became %s", s, a)
		}
	})
}

// The sprayer fills from nothing to its line, step by step, in the order of
// adding, and never sinks.
func TestASprayerFillsStepByStep(t *testing.T) {
	p, err := Make(Request{Volume: "1 L", Parts: []Part{
		{Name: "Neem oil", Rate: "4 mL per L", High: "5 mL per L", Form: "oil"},
		{Name: "Emulsifier", Rate: "1 mL per L", High: "2 mL per L", Form: "emulsifier"},
	}})
	require.NoError(t, err)
	adds := []string{}
	for _, s := range p.Tanks[0].Steps {
		adds = append(adds, s.Adds)
	}
	assert.Equal(t, []string{"water", "Emulsifier", "Neem oil", "water"}, adds)
	assert.InDelta(t, 250, p.Tanks[0].Steps[0].Level, 1e-9, "to the first line")
	assert.InDelta(t, 255, p.Tanks[0].Steps[2].Level, 1e-9)
	assert.InDelta(t, 1000, p.Tanks[0].Steps[3].Level, 1e-9)
	rapid.Check(t, func(t *rapid.T) {
		req := Request{Volume: rapid.SampledFrom([]string{"750 mL", "3 L", "2 US gal", "1 imperial gallon"}).Draw(t, "volume"), Sprayer: rapid.SampledFrom([]string{"", "1 L", "1 US quart"}).Draw(t, "sprayer")}
		for i := range rapid.IntRange(1, 3).Draw(t, "parts") {
			req.Parts = append(req.Parts, Part{Name: string(rune('a' + i)), Rate: rapid.SampledFrom([]string{"10 mL per L", "2 %", "5 g per L", "40 % from 70 %"}).Draw(t, "rate"), Form: rapid.SampledFrom([]string{"soap", "oil", "powder", "emulsifier", "liquid"}).Draw(t, "form")})
		}
		plan, err := Make(req)
		if err != nil {
			return // more than the whole
		}
		for _, tank := range plan.Tanks {
			level := 0.0
			for _, s := range tank.Steps {
				require.GreaterOrEqual(t, s.Level, level-1e-9)
				level = s.Level
			}
			require.InDelta(t, tank.Volume, level, 1e-6, "full at the end")
		}
	})
}

func TestHowMuchToBuyCountsTheTreatments(t *testing.T) {
	part := []Part{{Name: "Soap", Rate: "15 mL per L", High: "20 mL per L", Form: "soap"}}
	one, err := Make(Request{Volume: "2 L", Parts: part})
	require.NoError(t, err)
	three, err := Make(Request{Volume: "2 L", Parts: part, Treatments: 3})
	require.NoError(t, err)
	assert.InDelta(t, 3*one.Buy[0].Amount, three.Buy[0].Amount, 1e-9)
	assert.Equal(t, one.Tanks, three.Tanks, "each mix is the same")
	_, err = Make(Request{Volume: "2 L", Parts: part, Treatments: 99})
	assert.ErrorContains(t, err, "treatments")
}

// What is not mixed has its own vessel and steps, says its amount in them, and in
// spoons where it is known how heavy it lies: never more than was weighed.
func TestWhatIsNotMixedHasItsOwnSteps(t *testing.T) {
	place := func(way string, bulk float64, spoons, area string) Placed {
		p, err := Place(PlaceRequest{Name: "x", Per: "m2", Low: 2, High: 5, Unit: "g", Use: "top", Way: way, Bulk: bulk, Spoons: spoons, Area: area})
		require.NoError(t, err)
		return p
	}
	bait := place("bait", .9, "metric", "4 m2") // 20 g at 0.9 g per mL is 22.2 mL: 4 teaspoons and a quarter, rounded down
	assert.Equal(t, "cup", bait.Vessel)
	assert.Equal(t, "1 tbsp + 1 tsp + 1/4 tsp", bait.Spoons.Text)
	assert.LessOrEqual(t, bait.Spoons.Ml*.9, 20.)
	assert.Contains(t, bait.Order[0], "20 g (about 1 tbsp + 1 tsp + 1/4 tsp, levelled)")
	dust := place("dust", .4, "", "4 m2")
	assert.Equal(t, "shaker", dust.Vessel)
	assert.Nil(t, dust.Spoons, "nobody said which spoons")
	assert.Contains(t, dust.Order[0], "20 g into a dry jar")
	assert.Nil(t, place("rake", 1.2, "us", "40 m2").Spoons, "a scale is the better way")
	assert.Empty(t, place("", 0, "", "1 m2").Order)
	_, err := Place(PlaceRequest{Name: "x", Per: "m2", Low: 2, High: 5, Unit: "g", Way: "throw", Area: "1 m2"})
	assert.ErrorContains(t, err, "way")
}
