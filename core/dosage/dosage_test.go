package dosage_test

import (
	"strings"
	"testing"

	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestTwoInOneTank(t *testing.T) {
	base := herbarium.Embedded()
	blend := func(in dosage.MixInput) (dosage.Mixed, error) {
		in.Volume = "1 L"
		bottle := remedy.Label{Low: "1 mL per L", High: "2 mL per L"} // what is mixed by its bottle only
		return dosage.Blend(base, remedy.House{Labels: map[string]remedy.Label{"beauveria": bottle, "azadirachtin": bottle}}, in)
	}
	for _, c := range []struct {
		a, b  string
		ok    bool
		both  bool
		words string
	}{
		{"summer-oil", "sulfur", false, true, "never go into one tank"},
		{"copper", "neem-oil", false, true, "never go into one tank"},
		{"soap", "lime-sulfur", false, true, "never go into one tank"},
		{"beauveria", "copper", false, true, "never go into one tank"},
		{"soap", "summer-oil", false, false, "only if both labels say so"},
		{"soap", "summer-oil", true, true, ""},
		{"azadirachtin", "btk", false, false, "nothing here says that the two go together"},
		{"soap", "soap", false, true, "stands twice"},
	} {
		m, err := blend(dosage.MixInput{Remedy: c.a, With: []dosage.Companion{{Remedy: c.b}}, BothLabels: c.both})
		if !c.ok {
			require.Error(t, err, c)
			assert.Contains(t, err.Error(), c.words)
			continue
		}
		require.NoError(t, err)
		assert.Len(t, m.Plan.Tanks[0].Doses, 2)
		forms := []string{m.Plan.Tanks[0].Doses[0].Form, m.Plan.Tanks[0].Doses[1].Form}
		assert.Contains(t, [][]string{{"soap", "oil"}, {"liquid", "soap"}, {"powder", "soap"}}, forms, "soap goes in last, but before the oil it carries")
	}
	neem, err := blend(dosage.MixInput{Remedy: "neem-oil"})
	require.NoError(t, err)
	assert.Equal(t, []string{"Emulsifier", "Neem oil"}, []string{neem.Plan.Tanks[0].Doses[0].Name, neem.Plan.Tanks[0].Doses[1].Name}, "the emulsifier comes by itself, and first")
}

func TestLawStopsTheMixingShelfToo(t *testing.T) {
	_, err := dosage.Blend(herbarium.Embedded(), remedy.House{Law: map[string]remedy.Law{"pyrethrins": {Status: "banned"}}}, dosage.MixInput{Remedy: "pyrethrins", Volume: "1 L"})
	assert.ErrorContains(t, err, "local law")
	m, err := dosage.Blend(herbarium.Embedded(), remedy.House{Policy: map[string]remedy.Policy{"pyrethrins": {Use: "no"}}, Labels: map[string]remedy.Label{"pyrethrins": {Low: "2 mL per L", High: "4 mL per L"}}}, dosage.MixInput{Remedy: "pyrethrins", Volume: "1 L"})
	require.NoError(t, err)
	assert.Contains(t, strings.Join(m.Mind, " "), "does not recommend")
}

// What comes in bottles that differ many times in strength is mixed by the bottle
// on the shelf and no other: ten times too much is a poisoning.
func TestWithoutTheBottleAConcentrateIsNotMixed(t *testing.T) {
	b := herbarium.Embedded()
	for _, id := range []string{"spinosad", "azadirachtin", "pyrethrins", "beauveria", "aromatic-oil"} {
		_, err := dosage.Blend(b, remedy.House{}, dosage.MixInput{Remedy: id, Volume: "1 L"})
		require.Error(t, err, id)
		assert.ErrorContains(t, err, "read the rate off the bottle")
		house := remedy.House{Labels: map[string]remedy.Label{id: {Low: "1 mL per L", High: "2 mL per L"}}}
		m, err := dosage.Blend(b, house, dosage.MixInput{Remedy: id, Volume: "1 L"})
		require.NoError(t, err, id)
		assert.NotEmpty(t, m.Plan.Tanks)
	}
}

// Strong bottles are mixed from their strength too: expectations by hand.
func TestAConcentrateIsReckonedFromItsStrength(t *testing.T) {
	b := herbarium.Embedded()
	house := func(l remedy.Label) remedy.House {
		return remedy.House{Labels: map[string]remedy.Label{"spinosad": l}}
	}
	for _, c := range []struct {
		name  string
		house remedy.House
		in    dosage.MixInput
		dose  float64 // mL in one litre
		warns bool
	}{
		{"the grower's own bottle", remedy.House{}, dosage.MixInput{Stock: "0.5 %", Use: "low"}, 10, true},
		{"the shelf's strength", house(remedy.Label{Strength: "80 g per L"}), dosage.MixInput{Use: "top"}, 1.25, true},
		{"the shelf's own rate comes first", house(remedy.Label{Strength: "80 g per L", Low: "0.5 mL per L", High: "1 mL per L"}), dosage.MixInput{Use: "top"}, 1, false},
		{"another bottle than the shelf's", house(remedy.Label{Low: "0.5 mL per L", High: "1 mL per L"}), dosage.MixInput{Stock: "5 g per L", Use: "top"}, 20, true},
	} {
		c.in.Remedy, c.in.Volume = "spinosad", "1 L"
		m, err := dosage.Blend(b, c.house, c.in)
		require.NoError(t, err, c.name)
		assert.InDelta(t, c.dose, m.Plan.Tanks[0].Doses[0].Amount, 1e-9, c.name)
		assert.Equal(t, c.warns, strings.Contains(strings.Join(m.Plan.Warnings, " "), "the label's holds"), c.name)
	}
	_, err := dosage.Blend(b, remedy.House{}, dosage.MixInput{Remedy: "spinosad", Volume: "1 L", Stock: "80 g per L", Use: "2 mL per L"})
	require.ErrorContains(t, err, "above", "more than the active ingredient allows")
	_, err = dosage.Blend(b, remedy.House{}, dosage.MixInput{Remedy: "beauveria", Volume: "1 L", Stock: "80 g per L"})
	require.ErrorContains(t, err, "not reckoned from a strength")
	m, err := dosage.Blend(b, house(remedy.Label{Strength: "80 g per L", High: "5 mL per L"}), dosage.MixInput{Remedy: "spinosad", Volume: "1 L"})
	require.NoError(t, err)
	assert.Contains(t, strings.Join(m.Mind, " "), "holds 0.4 g where 0.06 to 0.1 g of spinosad is usual")
}

// labelled is a house whose bottle of soap says so.
func labelled(lab remedy.Label) remedy.House {
	return remedy.House{Labels: map[string]remedy.Label{"soap": lab}}
}

func TestTheHousesBottleOutranksTheBook(t *testing.T) {
	b := herbarium.Embedded()
	soap := b.Remedy("soap")
	for _, c := range []struct {
		lab       remedy.Label
		low, high float64 // mL in each litre
	}{
		{remedy.Label{}, 10, 20},
		{remedy.Label{Low: "5 mL per L", High: "8 mL per L"}, 5, 8},
		{remedy.Label{High: "12 mL per L"}, 10, 12},
		{remedy.Label{Low: "15 mL per L"}, 15, 20},
	} {
		g, err := dosage.RangeOf(soap, soap.Rates[0], labelled(c.lab), "")
		require.NoError(t, err, c)
		low, err := dosage.Blend(b, labelled(c.lab), dosage.MixInput{Remedy: "soap", Use: "low", Volume: "1 L"})
		require.NoError(t, err, c)
		top, err := dosage.Blend(b, labelled(c.lab), dosage.MixInput{Remedy: "soap", Use: "top", Volume: "1 L"})
		require.NoError(t, err, c)
		assert.InDelta(t, c.low, low.Plan.Tanks[0].Doses[0].Amount, 1e-9, g.Text())
		assert.InDelta(t, c.high, top.Plan.Tanks[0].Doses[0].Amount, 1e-9, g.Text())
	}
	strong, err := dosage.Blend(b, labelled(remedy.Label{Low: "30 mL per L", High: "50 mL per L"}), dosage.MixInput{Remedy: "soap", Volume: "1 L"})
	require.NoError(t, err)
	assert.Contains(t, strings.Join(strong.Mind, " "), "read its label once more", "a bottle stronger than is usual may be a slip of the pen")
}

func TestWhatNoLabelSays(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct {
		remedy string
		lab    remedy.Label
		field  string // empty when the label may stand
	}{
		{"soap", remedy.Label{Low: "5 mL per L", High: "8 mL per L", RepeatMin: 7, Most: 3, WaitDays: 1, Crops: []string{"rose"}}, ""},
		{"soap", remedy.Label{}, ""},
		{"soap", remedy.Label{High: "5 mL per L"}, "low"}, // under the herbarium's low
		{"soap", remedy.Label{Low: "a glug"}, "low"},
		{"soap", remedy.Label{RepeatMin: -1}, "repeatMinDays"},
		{"soap", remedy.Label{RepeatMin: 366}, "repeatMinDays"},
		{"spinosad", remedy.Label{Strength: "80 g per L"}, ""},
		{"spinosad", remedy.Label{Strength: "very"}, "strength"},
		{"soap", remedy.Label{Strength: "80 g per L"}, "strength"},
		{"soap", remedy.Label{Most: 51}, "mostPerSeason"},
		{"soap", remedy.Label{WaitDays: 366}, "waitDays"},
		{"soap", remedy.Label{Crops: []string{"rose", strings.Repeat("x", 61)}}, "crops[1]"},
		{"hose-off", remedy.Label{High: "5 mL per L"}, "high"}, // nothing is mixed
	} {
		err := dosage.CheckLabel(b.Remedy(c.remedy), c.lab)
		if c.field == "" {
			require.NoError(t, err, c)
			continue
		}
		got := fault.From(err)
		require.NotEmpty(t, got, c)
		assert.Equal(t, c.field, got[0].Field, c)
		assert.NotEmpty(t, got[0].Mend, c)
	}
}

// Whatever is asked of whichever remedy, no tank holds more of it than its label
// allows at the top, and one too weak to work says so.
func TestNoTankLeavesTheLabel(t *testing.T) {
	b := herbarium.Embedded()
	rapid.Check(t, func(t *rapid.T) {
		r := rapid.SampledFrom(b.Remedies).Draw(t, "remedy")
		if len(r.Rates) == 0 {
			t.Skip("not mixed")
		}
		rt := rapid.SampledFrom(r.Rates).Draw(t, "rate")
		g, err := rt.Range()
		require.NoError(t, err)
		use := rapid.SampledFrom([]string{"low", "middle", "top", "1 mL per L", "30 mL per L", "5 g per L", "1 tsp per qt", "2 %"}).Draw(t, "use")
		volume := rapid.SampledFrom([]string{"1 L", "750 mL", "1 gal", "16 L"}).Draw(t, "volume")
		m, err := dosage.Blend(b, remedy.House{}, dosage.MixInput{Remedy: r.ID, Rate: rt.ID, Use: use, Volume: volume})
		if err != nil {
			require.True(t, fault.Is(err), "%v", err)
			return
		}
		at, err := g.At(m.Use)
		require.NoError(t, err, "%s of %s is in its range", m.Use, r.ID)
		require.False(t, at.Above(g.High), "%s: %s is over %s", r.ID, m.Use, g.Text())
		if g.Low.Above(at) {
			require.Contains(t, strings.Join(m.Plan.Warnings, " "), "may do nothing", "%s: %s is under %s", r.ID, m.Use, g.Text())
		}
	})
}

func TestOverABed(t *testing.T) {
	b := herbarium.Embedded()
	dosed := ""
	for _, r := range b.Remedies {
		if len(r.Doses) > 0 && r.Doses[0].Per == "m2" {
			dosed = r.ID
			one, err := dosage.OverArea(b, remedy.House{}, dosage.PlaceInput{Remedy: r.ID, Use: "top", Area: "1 m2"})
			require.NoError(t, err)
			ten, err := dosage.OverArea(b, remedy.House{}, dosage.PlaceInput{Remedy: r.ID, Use: "top", Area: "10 m2"})
			require.NoError(t, err)
			assert.InDelta(t, r.Doses[0].High, one.Placed.Amount, 1e-9, r.ID)
			assert.InDelta(t, 10*one.Placed.Amount, ten.Placed.Amount, 1e-9, r.ID)
		}
	}
	require.NotEmpty(t, dosed, "something is strewn over a bed")
	for _, c := range []struct {
		in    dosage.PlaceInput
		house remedy.House
		field string
	}{
		{dosage.PlaceInput{Remedy: "moon-dust"}, remedy.House{}, "remedy"},
		{dosage.PlaceInput{Remedy: "hose-off", Area: "1 m2"}, remedy.House{}, "remedy"},
		{dosage.PlaceInput{Remedy: dosed, Dose: "heaps", Area: "1 m2"}, remedy.House{}, "dose"},
		{dosage.PlaceInput{Remedy: dosed, Area: "large"}, remedy.House{}, "area"},
	} {
		_, err := dosage.OverArea(b, c.house, c.in)
		got := fault.From(err)
		require.NotEmpty(t, got, "%+v", c.in)
		assert.Equal(t, c.field, got[0].Field)
	}
	_, err := dosage.OverArea(b, remedy.House{Law: map[string]remedy.Law{b.Remedy(dosed).Ingredient: {Status: "licensed"}}}, dosage.PlaceInput{Remedy: dosed, Area: "1 m2"})
	require.ErrorContains(t, err, "local law")
}
