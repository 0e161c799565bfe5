package remedy_test

import (
	"fmt"
	"math"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func winterAsk(host string, bad bool, causes ...string) remedy.WinterAsk {
	return remedy.WinterAsk{Causes: causes, Climate: "mild", Today: civil.Must("2026-10-20"), Situation: remedy.Situation{Host: host, Place: "garden", BadYear: bad}}
}

func fields(err error) []string {
	out := []string{}
	for _, f := range fault.From(err) {
		out = append(out, f.Field)
	}
	return out
}

// Peach leaf curl in a mild place after a bad year: copper at leaf fall and once more
// before the buds swell, and not lime sulfur beside it (expected before the first run,
// after extension practice).
func TestAWinterProgramme(t *testing.T) {
	b := herbarium.Embedded()
	p, err := remedy.PlanWinter(b, winterAsk("peach", true, "peach-leaf-curl"))
	require.NoError(t, err)
	assert.True(t, p.Deserved)
	assert.Equal(t, "in leaf", p.Phase)
	assert.NotEmpty(t, p.Tasks)
	require.Len(t, p.Sprays, 2)
	assert.Equal(t, []string{"copper", "copper"}, []string{p.Sprays[0].Remedy, p.Sprays[1].Remedy})
	assert.Equal(t, "2026-11-01", p.Sprays[0].From.String())
	assert.Equal(t, "2026-12-04", p.Sprays[0].To.String())
	assert.Equal(t, "2027-01-30", p.Sprays[1].From.String())
	assert.Equal(t, "2027-02-20", p.Sprays[1].To.String())
	for _, x := range p.Sprays {
		assert.NotEmpty(t, x.Wear)
		assert.NotEmpty(t, x.Cautions)
	}

	// Without a bad year there is only the cleaning up, and it says why; a house may think
	// otherwise.
	no, err := remedy.PlanWinter(b, winterAsk("peach", false, "peach-leaf-curl"))
	require.NoError(t, err)
	assert.False(t, no.Deserved)
	assert.Empty(t, no.Sprays)
	assert.Equal(t, p.Tasks, no.Tasks)
	assert.Contains(t, no.Why[0], "Last year was not bad")
	every := winterAsk("peach", false, "peach-leaf-curl")
	every.Situation.Schools = map[string]string{"dormant-spray": "every-winter"}
	yes, err := remedy.PlanWinter(b, every)
	require.NoError(t, err)
	assert.True(t, yes.Deserved)

	// South of the equator the same winter comes half a year later.
	s := winterAsk("peach", true, "peach-leaf-curl")
	s.Situation.South, s.Today = true, civil.Must("2026-06-20")
	south, err := remedy.PlanWinter(b, s)
	require.NoError(t, err)
	assert.Equal(t, "2026-05-01", south.Winter.LeafFall.String())
	assert.Equal(t, "2026-09-10", south.Winter.Open.String())
	assert.Equal(t, "dormant", south.Phase)
}

// What may not be is refused by name: three of three, two of a kind, an evergreen, a
// place without winter, a cause for the authority.
func TestWhatAWinterProgrammeRefuses(t *testing.T) {
	b := herbarium.Embedded()
	with := func(ask remedy.WinterAsk, materials ...string) remedy.WinterAsk {
		ask.Materials = materials
		return ask
	}
	evergreen := winterAsk("box", true, "box-blight")
	tropical := winterAsk("peach", true, "peach-leaf-curl")
	tropical.Climate = "tropical"
	inside := winterAsk("peach", true, "peach-leaf-curl")
	inside.Situation.Place = "greenhouse"
	for name, c := range map[string]struct {
		ask   remedy.WinterAsk
		field string
	}{
		"two coppers":    {with(winterAsk("peach", true, "peach-leaf-curl"), "copper", "bordeaux"), "materials[1]"},
		"a leaf spray":   {with(winterAsk("peach", true, "peach-leaf-curl"), "soap"), "materials[0]"},
		"evergreen":      {evergreen, "host"},
		"no winter":      {tropical, "climate"},
		"under glass":    {inside, "place"},
		"nothing":        {winterAsk("peach", true), "causes"},
		"unknown cause":  {winterAsk("peach", true, "gnomes"), "causes"},
		"unknown plant":  {winterAsk("gnome-tree", true, "peach-leaf-curl"), "host"},
		"all three":      {with(winterAsk("peach", true, "peach-leaf-curl", "san-jose-scale"), "copper", "lime-sulfur", "dormant-oil"), "materials"},
		"a fourth cause": {winterAsk("peach", true, "a", "b", "c", "d"), "causes"},
	} {
		_, err := remedy.PlanWinter(b, c.ask)
		require.Error(t, err, name)
		assert.Contains(t, fields(err), c.field, "%s: %v", name, err)
	}
}

// What was put on already counts: against the label's most a season, and as one of the
// three kinds of this winter.
func TestWhatWasGivenCountsInWinter(t *testing.T) {
	b := herbarium.Embedded()
	ask := winterAsk("peach", true, "peach-leaf-curl", "san-jose-scale")
	ask.Today = civil.Must("2026-12-20")
	for used, want := range map[int]int{0: 2, 1: 2, 2: 1, 3: 0} { // of copper's three a season
		ask.Materials = []string{"copper"}
		ask.Situation.Earlier = nil
		for i := range used {
			ask.Situation.Earlier = append(ask.Situation.Earlier, remedy.Earlier{Remedy: "copper", On: ask.Today.Add(-60 - 20*i).String()})
		}
		p, err := remedy.PlanWinter(b, ask)
		if want == 0 {
			require.Error(t, err, "the label's most is used up")
			continue
		}
		require.NoError(t, err)
		n := 0
		for _, x := range p.Sprays {
			if x.Remedy == "copper" {
				n++
			}
		}
		assert.Equal(t, want, n, "%d used", used)
	}
	ask.Situation.Earlier = []remedy.Earlier{{Remedy: "dormant-oil", On: "2026-12-01"}}
	ask.Materials = []string{"copper", "lime-sulfur"}
	_, err := remedy.PlanWinter(b, ask)
	require.Error(t, err)
	assert.Contains(t, fields(err), "materials", "with the oil they are three")
	ask.Situation.Earlier[0].On = "2026-03-01" // last winter's
	_, err = remedy.PlanWinter(b, ask)
	assert.NoError(t, err)
}

// sky is hours that follow no rule.
func sky(t *rapid.T, from civil.Day, days int) remedy.Sky {
	seed := rapid.IntRange(0, 1<<20).Draw(t, "seed")
	mean := rapid.Float64Range(-4, 20).Draw(t, "mean")
	out := remedy.Sky{Lat: 51, Zone: time.UTC}
	for i := range 24 * days {
		at := from.Midnight(time.UTC).Add(time.Duration(i) * time.Hour)
		x := math.Sin(float64(seed) + float64(i)/31)
		h := weather.Hour{At: at, TempC: mean + 4*math.Cos(float64(i%24-15)/24*2*math.Pi) + 4*x, Humidity: 60, WindMs: 2 + 2*math.Sin(float64(seed+i)/17)}
		if math.Sin(float64(seed)/3+float64(i)/40) > .8 {
			h.RainMm = 1
		}
		out.Hours = append(out.Hours, h)
	}
	return out
}

// In whatever weather: a day is chosen only inside its weeks, between 4 and 21 °C, dry,
// frost-free and far enough from every other spray.
func TestWinterDaysKeepTheirRules(t *testing.T) {
	b := herbarium.Embedded()
	picked := 0
	rapid.Check(t, func(rt *rapid.T) {
		ask := winterAsk("peach", true, "peach-leaf-curl", "san-jose-scale")
		ask.Today = civil.Must("2026-10-20").Add(rapid.IntRange(0, 130).Draw(rt, "day"))
		ask.Materials = rapid.SampledFrom([][]string{nil, {"copper", "dormant-oil"}, {"dormant-oil", "lime-sulfur"}, {"copper", "lime-sulfur"}, {"lime-sulfur"}}).Draw(rt, "materials")
		if rapid.Bool().Draw(rt, "given") {
			ask.Situation.Earlier = []remedy.Earlier{{Remedy: rapid.SampledFrom([]string{"copper", "sulfur", "dormant-oil"}).Draw(rt, "what"), On: ask.Today.Add(-rapid.IntRange(0, 40).Draw(rt, "ago")).String()}}
		}
		p, err := remedy.PlanWinter(b, ask)
		if err != nil {
			require.NotEmpty(rt, ask.Situation.Earlier, "%v", err) // a wait may stand against what is asked for
			return
		}
		air := sky(rt, ask.Today, 45)
		p.Days(b, ask.Situation, ask.Today, air)
		given := ask.Situation.Earlier
		for _, x := range p.Sprays {
			require.NotEmpty(rt, x.Says)
			if x.On == nil {
				continue
			}
			picked++
			day := x.On.Day
			require.False(rt, day.Before(ask.Today) || day.Before(x.From) || day.After(x.To), "%v", x)
			require.True(rt, day.Before(p.Winter.Open), "nothing once buds show green")
			good := 0
			for i, h := range air.Hours {
				if civil.Of(h.At, time.UTC) != day || h.RainMm > 0 || h.TempC < 4 || h.TempC > 21 {
					continue
				}
				bad := false
				for j, later := range air.Hours[i:min(len(air.Hours), i+25)] {
					bad = bad || later.RainMm > 0 || j < 14 && later.TempC < 0
				}
				if !bad {
					good++
				}
			}
			require.GreaterOrEqual(rt, good, 2, "%s has hours in which it can be done", day)
			for _, e := range given {
				days, k := b.ConflictBetween(e.Remedy, x.Remedy)
				if e.Remedy == x.Remedy {
					days = b.Remedy(x.Remedy).RepeatMin
				} else if k == nil {
					days = 0
				}
				require.GreaterOrEqual(rt, day.Sub(civil.Must(e.On)), days, "%s after %s", x.Remedy, e.Remedy)
			}
			given = append(given, remedy.Earlier{Remedy: x.Remedy, On: day.String()})
		}
	})
	require.Greater(t, picked, 10, "days are chosen at all")
}

// Every cause with a winter spray has a programme on a host that drops its leaves, and
// every spray stands between leaf fall and green buds in every climate.
func TestEveryWinterInTheBook(t *testing.T) {
	b := herbarium.Embedded()
	n := 0
	for _, c := range b.Causes {
		for _, r := range b.Winters {
			ask := winterAsk("apple", true, c.ID)
			ask.Climate = r.Climate
			p, err := remedy.PlanWinter(b, ask)
			require.NoError(t, err, c.ID)
			for _, x := range p.Sprays {
				n++
				assert.False(t, x.From.Before(p.Winter.LeafFall) || x.To.After(p.Winter.Open), "%s %s %v", c.ID, r.Climate, x)
				k := b.Remedy(x.Remedy)
				assert.True(t, k.Season == "dormant" || k.Is(knowledge.ClassCopper), fmt.Sprint(c.ID, x.Remedy))
			}
		}
	}
	assert.Greater(t, n, 30)
}
