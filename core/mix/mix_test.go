package mix

import (
	"fmt"
	"math/big"
	"strings"
	"testing"

	"botanik/core/fault"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestParseQuantityKnowsTheKindsOfSpoon(t *testing.T) {
	for _, c := range []struct{ in, base string }{
		{"1 L", "1000"}, {"1/2 US gal", "236588.2365/125"}, {"1 imperial gallon", "4546.09"}, {"2 US tbsp", "29.5735295625"},
		{"1 metric tbsp", "15"}, {"1 20 mL tbsp", "20"}, {"20 mL tbsp", "20"}, {"3 au tbsp", "60"}, {"1 1/2 metric tsp", "7.5"},
		{"½ l", "500"}, {"2 lb", "907.18474"}, {"0.5 kg", "500"}, {"1 uk pint", "568.26125"}, {"20 mL", "20"},
	} {
		q, err := ParseQuantity(c.in)
		require.NoError(t, err, c.in)
		want, ok := new(big.Rat).SetString(strings.Split(c.base, "/")[0])
		require.True(t, ok)
		if _, d, cut := strings.Cut(c.base, "/"); cut {
			den, _ := new(big.Rat).SetString(d)
			want.Quo(want, den)
		}
		assert.Zero(t, q.Base().Cmp(want), "%s is %s mL, want %s", c.in, q.Base().FloatString(9), want.FloatString(9))
	}
}

func TestBareAndUnknownMeasuresAreRefusedWithTheChoice(t *testing.T) {
	for in, mend := range map[string]string{
		"1 gallon": "Imperial gal", "2 tablespoons": "20 mL tbsp", "1 tsp": "metric tsp", "1 cup": "metric cup", "1 fl oz": "Imperial fl oz", "2 pints": "US pint",
		"3 dollops": "write one of", "1": "write one of", "L": "amount with its unit", "-1 L": "zero or more", "1e9 L": "", "1/0 L": "write it like",
	} {
		_, err := ParseQuantity(in)
		require.Error(t, err, in)
		assert.True(t, fault.Is(err), in)
		assert.Contains(t, err.Error(), mend, in)
	}
}

func TestRates(t *testing.T) {
	for in, perLitre := range map[string]string{
		"10 mL per L": "10 mL per L", "10 mL/L": "10 mL per L", "2 US tbsp per US gal": "7.81 mL per L", "1/2 US fl oz per US gal": "3.91 mL per L",
		"2 %": "20 mL per L", "1:50 of water": "19.61 mL per L", "1:50 of the whole": "20 mL per L", "5 g per L": "5 g per L",
		"42 % from 70 %": "600 mL per L", "1 oz per imperial gallon": "6.24 g per L", "0.5 per cent": "5 mL per L",
	} {
		r, err := ParseRate(in)
		require.NoError(t, err, in)
		assert.Equal(t, perLitre, r.PerLitre(), in)
	}
	for in, word := range map[string]string{
		"": "no rate", "1:50": "does not say", "70 % from 42 %": "weaker", "2 tbsp per gallon": "which kind", "5 g per kg": "volume of mix",
		"0 mL per L": "nothing", "120 %": "more product", "a lot": "not a rate", "1:0 of the whole": "nothing", "5 mL per 0 L": "per nothing", "10 % from 0 %": "cannot be",
	} {
		_, err := ParseRate(in)
		require.Error(t, err, in)
		assert.Contains(t, err.Error(), word, in)
	}
}

func TestMakeWorkedCases(t *testing.T) {
	t.Run("soap for a 1 L bottle in metric spoons", func(t *testing.T) {
		p, err := Make(Request{Volume: "1 L", Spoons: "metric", Parts: []Part{{Name: "Insecticidal soap", Rate: "15 mL per L", Low: "10 mL per L", High: "20 mL per L", Form: "soap"}}})
		require.NoError(t, err)
		require.Len(t, p.Tanks, 1)
		assert.Equal(t, "985 mL", p.Tanks[0].WaterTx)
		assert.Equal(t, "1 tbsp", p.Tanks[0].Doses[0].Spoons.Text)
		assert.InDelta(t, 0.5, p.Marks[0].Share, 1e-9)
	})
	t.Run("2.5 L through a 1 L bottle: two full and a half", func(t *testing.T) {
		p, err := Make(Request{Volume: "2.5 L", Sprayer: "1 L", Spoons: "us", Parts: []Part{{Name: "Oil", Rate: "1 %", High: "2 %", Form: "oil"}, {Name: "Emulsifier", Rate: "1 mL per L", High: "2 mL per L", Form: "emulsifier"}}})
		require.NoError(t, err)
		assert.Equal(t, 3, p.Fillings)
		assert.Equal(t, []int{2, 1}, []int{p.Tanks[0].Count, p.Tanks[1].Count})
		assert.Equal(t, "Emulsifier", p.Tanks[0].Doses[0].Name, "the emulsifier goes in before the oil")
		assert.InDelta(t, 500, p.Tanks[1].Volume, 1e-9)
		assert.InDelta(t, 25, p.Buy[1].Amount, 1e-9)
	})
	t.Run("even tanks", func(t *testing.T) {
		p, err := Make(Request{Volume: "2 US gal", Sprayer: "5 L", Even: true, Parts: []Part{{Name: "Soap", Rate: "2 US tbsp per US gal", High: "5 US tbsp per US gal"}}})
		require.NoError(t, err)
		require.Len(t, p.Tanks, 1)
		assert.Equal(t, 2, p.Tanks[0].Count)
	})
	t.Run("spoons never pass the top", func(t *testing.T) {
		p, err := Make(Request{Volume: "1 L", Spoons: "us", Parts: []Part{{Name: "Soap", Rate: "20 mL per L", High: "20 mL per L"}}})
		require.NoError(t, err)
		assert.LessOrEqual(t, p.Tanks[0].Doses[0].Spoons.Ml, 20.0)
		assert.Equal(t, "1 tbsp + 1 tsp", p.Tanks[0].Doses[0].Spoons.Text)
	})
	t.Run("alcohol cut from 70 to 42", func(t *testing.T) {
		p, err := Make(Request{Way: "dab", Volume: "500 mL", Parts: []Part{{Name: "Alcohol", Rate: "42 % from 70 %", High: "45 % from 70 %", Form: "alcohol"}}})
		require.NoError(t, err)
		assert.Equal(t, "300 mL", p.Tanks[0].Doses[0].Text)
		assert.Equal(t, "200 mL", p.Tanks[0].WaterTx)
	})
}

func TestMakeNamesTheFieldAndTheMend(t *testing.T) {
	good := Part{Name: "Soap", Rate: "10 mL per L", Low: "10 mL per L", High: "20 mL per L"}
	for name, c := range map[string]struct {
		req         Request
		field, word string
	}{
		"above the label":       {Request{Volume: "1 L", Parts: []Part{{Name: "Soap", Rate: "30 mL per L", High: "20 mL per L"}}}, "parts[0].rate", "top rate of 20 mL per L"},
		"bare gallon":           {Request{Volume: "1 gallon", Parts: []Part{good}}, "volume.unit", "US gal"},
		"zero volume":           {Request{Volume: "0 L", Parts: []Part{good}}, "volume", "zero"},
		"absurd volume":         {Request{Volume: "9000 L", Parts: []Part{good}}, "volume", "1000 L"},
		"a weight of mix":       {Request{Volume: "1 kg", Parts: []Part{good}}, "volume", "weight"},
		"unknown spoons":        {Request{Volume: "1 L", Spoons: "martian", Parts: []Part{good}}, "spoons", "martian"},
		"no parts":              {Request{Volume: "1 L"}, "parts", "nothing"},
		"grams against litres":  {Request{Volume: "1 L", Parts: []Part{{Name: "x", Rate: "5 g per L", High: "20 mL per L"}}}, "parts[0].high", "weigh"},
		"together over the lot": {Request{Volume: "1 L", Parts: []Part{{Name: "a", Rate: "60 %"}, {Name: "b", Rate: "60 %"}}}, "parts", "together"},
		"a negative sprayer":    {Request{Volume: "1 L", Sprayer: "-2 L", Parts: []Part{good}}, "sprayer.value", "below zero"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := Make(c.req)
			require.Error(t, err)
			f := fault.From(err)[0]
			assert.Equal(t, c.field, f.Field)
			assert.Contains(t, f.Problem+" "+f.Mend, c.word)
			assert.NotEmpty(t, f.Mend)
		})
	}
}

func TestUnitRoundTripsAreExact(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		us := Units()
		a := us[rapid.IntRange(0, len(us)-1).Draw(t, "a")]
		b := us[rapid.IntRange(0, len(us)-1).Draw(t, "b")]
		v := big.NewRat(rapid.Int64Range(0, 1e9).Draw(t, "n"), rapid.Int64Range(1, 1e6).Draw(t, "d"))
		q := Quantity{v, a}
		there, err := q.In(b)
		if a.Dim != b.Dim {
			assert.Error(t, err)
			return
		}
		require.NoError(t, err)
		back, err := there.In(a)
		require.NoError(t, err)
		assert.Zero(t, back.Value.Cmp(v))
	})
}

func TestTanksAddUpAndNeverPassTheTop(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		world := rapid.SampledFrom([]string{"metric", "us", "imperial", "au"}).Draw(t, "world")
		top := rapid.IntRange(1, 40).Draw(t, "top")
		rate := rapid.IntRange(1, top).Draw(t, "rate")
		req := Request{
			Volume:  fmt.Sprintf("%d mL", rapid.IntRange(50, 40000).Draw(t, "volume")),
			Sprayer: fmt.Sprintf("%d mL", rapid.IntRange(50, 12000).Draw(t, "sprayer")),
			Spoons:  world, Even: rapid.Bool().Draw(t, "even"),
			Parts: []Part{{Name: "x", Rate: fmt.Sprintf("%d mL per L", rate), High: fmt.Sprintf("%d mL per L", top)}, {Name: "y", Rate: "1:500 of water", High: "1:400 of water"}},
		}
		p, err := Make(req)
		require.NoError(t, err)
		whole, fillings := new(big.Rat), 0
		for i, e := range p.exactTank {
			n := big.NewRat(int64(e.count), 1)
			whole.Add(whole, new(big.Rat).Mul(n, e.volume))
			sum := new(big.Rat).Set(e.water)
			for _, d := range e.doses {
				sum.Add(sum, d)
			}
			assert.Zero(t, sum.Cmp(e.volume), "water and parts fill the tank exactly")
			fillings += e.count
			for j, d := range p.Tanks[i].Doses {
				limit := p.Tanks[i].Volume * []float64{float64(top) / 1000, 1.0 / 401}[j]
				if d.Spoons == nil {
					assert.Greater(t, d.Amount, float64(mostSpooned), "what a spoon can measure is said in spoons")
					continue
				}
				assert.LessOrEqual(t, d.Spoons.Ml, limit*(1+1e-12))
			}
		}
		q, _ := ParseQuantity(req.Volume)
		assert.Zero(t, whole.Cmp(q.Base()), "the tanks are the whole")
		assert.Equal(t, p.Fillings, fillings)
	})
}

// Whoever reads 1 L in another unit still gets one filling, not one and a drop.
func TestTheSameAmountInAnotherUnitIsTheSamePlan(t *testing.T) {
	want, err := Make(Request{Volume: "1 L", Sprayer: "1 L", Spoons: "metric", Parts: []Part{{Name: "x", Rate: "15 mL per L", High: "20 mL per L"}}})
	require.NoError(t, err)
	for _, unit := range []string{"mL", "US fl oz", "US quart", "US gal", "Imperial pint", "Imperial gal"} {
		c, err := ConvertedTo("1 L", unit)
		require.NoError(t, err, unit)
		back, err := ConvertedTo(c.Exact+" "+unit, "L")
		require.NoError(t, err, unit)
		assert.Equal(t, "1", back.Exact, "%s: there and back", unit)
		for _, number := range []string{c.Number, c.Exact} {
			got, err := Make(Request{Volume: "1 L", Sprayer: number + " " + unit, Spoons: "metric", Parts: []Part{{Name: "x", Rate: "15 mL per L", High: "20 mL per L"}}})
			require.NoError(t, err, unit)
			assert.Equal(t, 1, got.Fillings, "%s %s", number, unit)
			assert.Equal(t, want.Tanks[0].Doses[0].Text, got.Tanks[0].Doses[0].Text, unit)
			assert.InDelta(t, want.VolumeMl, got.VolumeMl, .01)
		}
	}
	_, err = ConvertedTo("1 L", "gallon")
	assert.ErrorContains(t, err, "which kind")
}

func FuzzParse(f *testing.F) {
	for _, s := range []string{"1 L", "2 US tbsp per US gal", "1:50 of water", "42 % from 70 %", "½ l", "1/2/3 L", "5 g/L", "20 mL tbsp", "% from", "1::2"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		if r, err := ParseRate(s); err == nil && (r.Fraction.Sign() <= 0 || r.Fraction.Cmp(one) > 0) {
			t.Fatalf("%q passed as %s", s, r.Fraction)
		}
		if q, err := ParseQuantity(s); err == nil && q.Value.Sign() < 0 {
			t.Fatalf("%q is negative", s)
		}
	})
}

// The grower's own measures come first, metric in brackets; ounces are rounded down.
func TestAMixSpeaksTheGrowersMeasures(t *testing.T) {
	soap := Part{Name: "Soap", Rate: "2 US tbsp per US gal", High: "20 mL per L", Form: "soap"}
	powder := Part{Name: "Powder", Rate: "4 g per L", High: "5 g per L", Form: "powder"}
	us, err := Make(Request{Volume: "2 US gal", Spoons: "us", Parts: []Part{soap, powder}})
	require.NoError(t, err)
	tank := us.Tanks[0]
	assert.Equal(t, "2 US gal (7.571 L)", tank.Text)
	assert.Equal(t, "1 US gal (3.785 L) of water, to the first line", tank.Steps[0].Text)
	assert.Equal(t, "30 g (1.06 oz)", tank.Doses[0].Text) // 30.28 g is 1.068 oz
	assert.Equal(t, "59 mL (2 US fl oz)", tank.Doses[1].Text)
	assert.Equal(t, "4 tbsp", tank.Doses[1].Spoons.Text)
	imp, err := Make(Request{Volume: "1 Imperial gal", Sprayer: "2 Imperial pint", Parts: []Part{powder}})
	require.NoError(t, err)
	assert.Equal(t, "2 Imperial pt (1.137 L)", imp.Tanks[0].Text)
	metric, err := Make(Request{Volume: "2 L", Spoons: "metric", Parts: []Part{powder}})
	require.NoError(t, err)
	assert.Equal(t, "2 L", metric.Tanks[0].Text)
	assert.Equal(t, "8 g", metric.Tanks[0].Doses[0].Text)
}
