package mix

import (
	"math/big"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The way it is put on decides the vessel, the first thing in and the last words; what
// burns never goes into a sprayer or a can.
func TestTheMixFollowsTheWayItIsPutOn(t *testing.T) {
	alcohol := Part{Name: "Rubbing alcohol", Rate: "42 % from 70 %", High: "45 % from 70 %", Form: "alcohol"}
	for _, way := range []string{"", "spray", "drench", "wipe", "wick"} {
		_, err := Make(Request{Way: way, Volume: "500 mL", Parts: []Part{alcohol}})
		assert.ErrorContains(t, err, "burns", way)
	}
	dab, err := Make(Request{Way: "dab", Volume: "100 mL", Parts: []Part{alcohol}})
	require.NoError(t, err)
	assert.Equal(t, "jar", dab.Vessel)
	assert.Equal(t, "alcohol", dab.Tanks[0].Steps[0].Form, "the alcohol first, then the water")
	words := strings.Join(dab.Order, " ")
	assert.Contains(t, words, "cotton bud")
	assert.NotContains(t, words, "spray")
	drench, err := Make(Request{Way: "drench", Volume: "2 L", Parts: []Part{{Name: "Peroxide", Rate: "0.2 % from 3 %", High: "0.3 % from 3 %", Form: "liquid"}}})
	require.NoError(t, err)
	words = strings.Join(drench.Order, " ")
	assert.Contains(t, words, "watering can")
	assert.NotContains(t, words, "spray")
	soap := Part{Name: "Soap", Rate: "10 mL per L", High: "20 mL per L", Form: "soap"}
	for way, want := range map[string][2]string{"wipe": {"bowl", "both sides"}, "wick": {"jar", "brush"}} {
		p, err := Make(Request{Way: way, Volume: "500 mL", Parts: []Part{soap}})
		require.NoError(t, err, way)
		words := strings.Join(p.Order, " ")
		assert.Equal(t, want[0], p.Vessel)
		assert.Contains(t, words, want[1])
		assert.NotContains(t, words, "spray")
	}
	_, err = Make(Request{Way: "inject", Volume: "1 L", Parts: []Part{{Name: "Soap", Rate: "10 mL per L", High: "20 mL per L", Form: "soap"}}})
	assert.ErrorContains(t, err, "way")
}

func TestASoapThatCarriesAnOilGoesInFirst(t *testing.T) {
	soap, oil := Part{Name: "Soap", Rate: "10 mL per L", High: "20 mL per L", Form: "soap"}, Part{Name: "Oil", Rate: "5 mL per L", High: "10 mL per L", Form: "oil"}
	forms := func(parts ...Part) string {
		p, err := Make(Request{Volume: "1 L", Parts: parts})
		require.NoError(t, err)
		out := []string{}
		for _, d := range p.Tanks[0].Doses {
			out = append(out, d.Form)
		}
		return strings.Join(out, " ")
	}
	assert.Equal(t, "soap oil", forms(oil, soap))
	assert.Equal(t, "liquid soap", forms(soap, Part{Name: "Neem", Rate: "3 mL per L", High: "5 mL per L", Form: "liquid"}))
	assert.Equal(t, "emulsifier oil soap", forms(soap, oil, Part{Name: "Emulsifier", Rate: "1 mL per L", High: "1 mL per L", Form: "emulsifier"}))
}

// No step pours above the line, in any way and any mix.
func TestNoStepFillsAboveTheLine(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		way := rapid.SampledFrom(Ways).Draw(t, "way")
		target := rapid.IntRange(1, 70).Draw(t, "target")
		form := rapid.SampledFrom([]string{"liquid", "soap", "oil", "emulsifier"}).Draw(t, "form")
		p, err := Make(Request{Way: way, Volume: "1 L", Parts: []Part{{Name: "x", Rate: Decimal(big.NewRat(int64(target), 1), 0) + " % from 70 %", Form: form}}})
		require.NoError(t, err)
		last := 0.0
		for _, s := range p.Tanks[0].Steps {
			require.GreaterOrEqual(t, s.Level, last)
			require.LessOrEqual(t, s.Level, 1000.0+1e-9)
			last = s.Level
		}
		require.InDelta(t, 1000, last, 1e-6)
	})
}

func TestPerWaterAndPerMixAreTwoThings(t *testing.T) {
	mixed, err := ParseRate("100 mL per L")
	require.NoError(t, err)
	beside, err := ParseRate("100 mL per L of water")
	require.NoError(t, err)
	assert.Equal(t, big.NewRat(1, 10), mixed.Fraction)
	assert.Equal(t, big.NewRat(1, 11), beside.Fraction)
}

func TestWhatIsLeftInABottleIsCutDown(t *testing.T) {
	c, err := CutDown(CutIn{"200 mL", "90 %", "45 %"})
	require.NoError(t, err)
	assert.Equal(t, 200.0, c.WaterMl)
	assert.Equal(t, 400.0, c.TotalMl)
	for field, in := range map[string]CutIn{"have": {"200 g", "90 %", "45 %"}, "from": {"200 mL", "140 %", "45 %"}, "to": {"200 mL", "45 %", "90 %"}} {
		_, err := CutDown(in)
		assert.ErrorContains(t, err, field)
	}
}

// Fixed points of the scales, from their definitions.
func TestLengthWindAndTemperatureAreConverted(t *testing.T) {
	for _, c := range [][3]string{{"68 °F", "°C", "20"}, {"-40 F", "°C", "-40"}, {"100 °C", "°F", "212"}, {"12 in", "cm", "30.48"}, {"3 ft", "m", "0.9144"}, {"36 km/h", "m/s", "10"}, {"10 mph", "m/s", "4.4704"}, {"1 kn", "km/h", "1.852"}} {
		out, err := ConvertedTo(c[0], c[1])
		require.NoError(t, err, c)
		assert.Equal(t, c[2], out.Number, c)
	}
	for _, c := range [][2]string{{"68", "°C"}, {"12 in", "°C"}, {"-3 ft", "m"}, {"x °F", "°C"}} {
		_, err := ConvertedTo(c[0], c[1])
		assert.ErrorContains(t, err, "amount", c)
	}
}

func TestTheMiddleOfAStrengthIsItsMiddle(t *testing.T) {
	g, err := ReadRange("40 % from 70 %", "45 % from 70 %")
	require.NoError(t, err)
	mid, err := g.At("middle")
	require.NoError(t, err)
	assert.Equal(t, big.NewRat(85, 140), mid.Fraction, "42.5 from 70")
	none, err := g.At("")
	require.NoError(t, err)
	assert.Equal(t, g.Low.Fraction, none.Fraction, "and its gentle end where nobody said")
}
