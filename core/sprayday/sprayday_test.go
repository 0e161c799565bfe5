package sprayday_test

import (
	"math"
	"slices"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/sprayday"
	"botanik/core/weather"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func zone(t *testing.T, name string) *time.Location {
	z, err := time.LoadLocation(name)
	require.NoError(t, err)
	return z
}

// Rise and set as almanacs print them, to the minute; both hemispheres, summer time and
// none, a polar day and a polar night.
func TestTheSunAgainstAlmanacs(t *testing.T) {
	for _, c := range []struct {
		place    string
		lat, lon float64
		zone     string
		day      string
		rise     string
		set      string
	}{
		{"London", 51.5074, -.1278, "Europe/London", "2026-06-21", "04:43", "21:21"},
		{"London", 51.5074, -.1278, "Europe/London", "2026-12-21", "08:04", "15:53"},
		{"New York", 40.7128, -74.006, "America/New_York", "2026-12-21", "07:17", "16:32"},
		{"New York", 40.7128, -74.006, "America/New_York", "2026-06-21", "05:25", "20:31"},
		{"Sydney", -33.8688, 151.2093, "Australia/Sydney", "2026-12-22", "05:41", "20:05"},
		{"Sydney", -33.8688, 151.2093, "Australia/Sydney", "2026-06-21", "07:00", "16:54"},
		{"Singapore", 1.3521, 103.8198, "Asia/Singapore", "2026-03-20", "07:10", "19:16"},
	} {
		z := zone(t, c.zone)
		l := sprayday.LightOf(civil.Must(c.day), c.lat, c.lon, z)
		near := func(want string, got time.Time) {
			t.Helper()
			w, err := time.ParseInLocation("2006-01-02 15:04", c.day+" "+want, z)
			require.NoError(t, err)
			assert.LessOrEqual(t, math.Abs(got.Sub(w).Minutes()), 2., "%s %s: %s, almanac %s", c.place, c.day, got.Format("15:04:05"), want)
		}
		near(c.rise, l.Rise)
		near(c.set, l.Set)
		assert.True(t, l.Dawn.Before(l.Rise) && l.Dusk.After(l.Set))
		assert.InDelta(t, -.833, sprayday.Height(l.Rise, c.lat, c.lon), .02, "the height agrees with the moment")
		assert.InDelta(t, -6, sprayday.Height(l.Dusk, c.lat, c.lon), .02)
	}
	tromso := func(day string) sprayday.Light {
		return sprayday.LightOf(civil.Must(day), 69.65, 18.96, zone(t, "Europe/Oslo"))
	}
	assert.Equal(t, "day", tromso("2026-06-21").Polar)
	assert.Equal(t, "night", tromso("2026-12-21").Polar)
	assert.False(t, tromso("2026-12-21").Dawn.IsZero(), "there is twilight at noon")
	// The night summer time ends has 25 hours, and one sunrise.
	fall := sprayday.LightOf(civil.Must("2026-10-25"), 51.5074, -.1278, zone(t, "Europe/London"))
	assert.Equal(t, 25, fall.Rise.Day())
	assert.Equal(t, 6, fall.Rise.Hour())
}

// Dew points of psychrometric tables, saturation pressures halved.
func TestAirAgainstTables(t *testing.T) {
	for _, c := range []struct{ temp, rh, dew float64 }{{20, 50, 9.3}, {25, 60, 16.7}, {30, 80, 26.2}, {10, 90, 8.4}, {15, 100, 15}} {
		assert.InDelta(t, c.dew, sprayday.DewPoint(c.temp, c.rh), .1, "%v", c)
	}
	assert.InDelta(t, 1.584, sprayday.Deficit(25, 50), .005)
	assert.InDelta(t, 1.169, sprayday.Deficit(20, 50), .005)
	assert.InDelta(t, 0, sprayday.Deficit(12, 100), 1e-12)
	for field, e := range map[string]error{"tempC": sprayday.CheckAir(99, 50), "humidity": sprayday.CheckAir(20, 0)} {
		assert.Equal(t, field, fault.From(e)[0].Field)
	}
}

var noon = time.Date(2026, 7, 10, 0, 0, 0, 0, time.UTC)

// row makes hours from a few kinds of weather, each for so many hours.
func row(kinds ...any) []weather.Hour {
	out := []weather.Hour{}
	for i := 0; i < len(kinds); i += 2 {
		for range kinds[i+1].(int) {
			h := kinds[i].(weather.Hour)
			h.At = noon.Add(time.Duration(len(out)) * time.Hour)
			out = append(out, h)
		}
	}
	return out
}

var (
	dry  = weather.Hour{TempC: 18, Humidity: 55, WindMs: 2}
	rain = weather.Hour{TempC: 16, Humidity: 95, WindMs: 2, RainMm: 1}
	damp = weather.Hour{TempC: 15, Humidity: 95, WindMs: 1}
)

func TestLeavesAreWetFromRainDewAndWhatHangsOnThem(t *testing.T) {
	assert.Equal(t, []bool{false, false}, sprayday.Wet(row(dry, 2)))
	w := sprayday.Wet(row(rain, 1, dry, 6))
	assert.True(t, w[0] && w[1], "it hangs on for a while")
	assert.False(t, w[5], "and is gone")
	assert.Equal(t, []bool{true, true, true}, sprayday.Wet(row(damp, 3)))
	spells := sprayday.Spells(row(dry, 5, damp, 6, dry, 3, damp, 6, dry, 12, damp, 2), 0)
	require.Len(t, spells, 2)
	assert.GreaterOrEqual(t, spells[0].Hours, 12, "three dry hours between do not end it")
	assert.Less(t, spells[0].Hours, 16)
	assert.InDelta(t, 15.2, spells[0].MeanC, .5)
}

func TestAnInfectionNeedsItsHoursAtItsTemperature(t *testing.T) {
	x := sprayday.Infection{ID: "scab", Name: "scab", Points: [][]float64{{2, 35}, {10, 11}, {16, 6}, {22, 6}}}
	require.NoError(t, x.Check())
	assert.InDelta(t, 23, x.Need(6), 1e-9, "half way between 35 and 11")
	assert.True(t, math.IsInf(x.Need(30), 1))
	assert.Empty(t, x.Events(row(dry, 10, damp, 6, dry, 10)), "six hours at 15 °C are too few")
	e := x.Events(row(dry, 10, damp, 8, dry, 10))
	require.Len(t, e, 1)
	assert.GreaterOrEqual(t, float64(e[0].Spell.Hours), e[0].Needed)
	for field, bad := range map[string]sprayday.Infection{"points": {}, "points[1]": {Points: [][]float64{{5, 3}, {4, 3}}}, "points[0]": {Points: [][]float64{{5, 0}, {6, 1}}}} {
		assert.Equal(t, field, fault.From(bad.Check())[0].Field)
	}
}

func TestEveryReasonAgainstAnHourIsSaid(t *testing.T) {
	hot := 29.
	one := func(h weather.Hour, n sprayday.Needs, after ...any) sprayday.Judged {
		return sprayday.JudgeHours(row(append([]any{h, 1}, after...)...), n, 51.5, 0)[0]
	}
	assert.Equal(t, sprayday.Good, one(dry, sprayday.Needs{}, dry, 12).Says)
	bad := one(weather.Hour{TempC: 31, Humidity: 40, WindMs: 7}, sprayday.Needs{TempMax: &hot}, dry, 12)
	assert.Equal(t, sprayday.No, bad.Says)
	assert.Len(t, bad.Why, 2, "heat and wind: %v", bad.Why)
	assert.Contains(t, one(rain, sprayday.Needs{}, dry, 12).Why, "It rains.")
	assert.Contains(t, one(dry, sprayday.Needs{}, rain, 3, dry, 10).Why[0], "Rain follows")
	long := one(dry, sprayday.Needs{DryHours: 6}, dry, 3, rain, 1, dry, 10)
	assert.Contains(t, long.Why[0], "Rain follows in 4 h: it has to lie 6 h")
	sun := sprayday.JudgeHours(row(dry, 24)[11:], sprayday.Needs{NoSun: true, InBloom: true, Bees: "evening"}, 51.5, 0)[0]
	assert.Len(t, sun.Why, 2, "%v", sun.Why)
	assert.Contains(t, one(dry, sprayday.Needs{InBloom: true, Bees: "never"}, dry, 12).Why[0], "never on open flowers")
	calm := dry
	calm.WindMs = .3
	assert.Equal(t, sprayday.Poor, one(calm, sprayday.Needs{}, dry, 12).Says, "midnight")
	assert.Equal(t, []string{"The weather known ends before it would be dry."}, one(weather.Hour{TempC: 8, Humidity: 88, WindMs: 2}, sprayday.Needs{}).Why)
	frosty := dry
	frosty.TempC = -2
	assert.Contains(t, one(dry, sprayday.Needs{Frost: true}, frosty, 12).Why[0], "Frost follows")
	assert.Equal(t, sprayday.Good, one(rain, sprayday.Needs{WetIsFine: true}, rain, 12).Says)
}

func TestTheBestHoursAreThoseSomebodyIsAwakeIn(t *testing.T) {
	hours := sprayday.JudgeHours(row(dry, 48, rain, 24), sprayday.Needs{NoSun: true}, 51.5, 0)
	best := sprayday.Best(hours, 2, time.UTC)
	require.NotEmpty(t, best)
	for _, w := range best {
		assert.GreaterOrEqual(t, w.From.Hour(), 6)
		assert.Contains(t, w.Text, " to ")
	}
	assert.Empty(t, sprayday.Best(sprayday.JudgeHours(row(rain, 30), sprayday.Needs{}, 51.5, 0), 2, time.UTC))
}

// What makes an hour worse never makes it better; the moments of a day are in their order
// anywhere on earth.
func TestWorseIsNeverBetter(t *testing.T) {
	rank := map[string]int{sprayday.Good: 0, sprayday.Poor: 1, sprayday.No: 2}
	rapid.Check(t, func(t *rapid.T) {
		h := weather.Hour{TempC: rapid.Float64Range(-5, 35).Draw(t, "temp"), Humidity: rapid.Float64Range(30, 100).Draw(t, "rh"), WindMs: rapid.Float64Range(1, 8).Draw(t, "wind")}
		after := row(dry, 12)
		n := sprayday.Needs{NoSun: rapid.Bool().Draw(t, "sun")}
		judge := func(h weather.Hour) sprayday.Judged {
			h.At = noon
			return sprayday.JudgeHours(append([]weather.Hour{h}, after...), n, 51.5, 0)[0]
		}
		was := judge(h)
		wet := h
		wet.RainMm = 1
		assert.GreaterOrEqual(t, rank[judge(wet).Says], rank[was.Says])
		windy := h
		windy.WindMs += 5
		assert.GreaterOrEqual(t, rank[judge(windy).Says], rank[sprayday.Poor])
		assert.Equal(t, was.Says == sprayday.Good, len(was.Why) == 0)
	})
	rapid.Check(t, func(t *rapid.T) {
		day := civil.Must("2026-01-01").Add(rapid.IntRange(0, 364).Draw(t, "day"))
		l := sprayday.LightOf(day, rapid.Float64Range(-89, 89).Draw(t, "lat"), rapid.Float64Range(-180, 180).Draw(t, "lon"), time.UTC)
		if l.Polar == "" {
			assert.True(t, l.Rise.Before(l.Set))
			assert.Less(t, l.Set.Sub(l.Rise), 25*time.Hour)
		}
	})
}

// Published periods for apple scab (revised table), as the review has them: no hour more than
// they say, and wet times parted by less than a day are one.
func TestScabIsWarnedOfOnTheSafeSide(t *testing.T) {
	scab := *herbarium.Embedded().Infections[slices.IndexFunc(herbarium.Embedded().Infections, func(x *sprayday.Infection) bool { return x.ID == "apple-scab" })]
	for temp, hours := range map[float64]float64{4: 28, 5: 21, 6: 18, 8: 13, 10: 11, 12: 8, 16: 6, 20: 6, 24: 6, 26: 11} {
		assert.LessOrEqual(t, scab.Need(temp), hours, "%g °C", temp)
	}
	at := time.Date(2026, 5, 1, 0, 0, 0, 0, time.UTC)
	hours := []weather.Hour{}
	for i := range 21 {
		h := weather.Hour{At: at.Add(time.Duration(i) * time.Hour), TempC: 10, Humidity: 55, WindMs: 4}
		if i < 7 || i >= 14 {
			h.RainMm, h.Humidity = 1, 98
		}
		hours = append(hours, h)
	}
	require.Len(t, scab.Events(hours), 1, "7 wet, 7 dry, 7 wet at 10 °C: 14 hours and 11 are needed")
	blight := scab
	blight.DryGap = 0
	assert.Empty(t, blight.Events(hours), "the usual four do not join them")
	blight.DryGap = 49
	require.Error(t, blight.Check())
}

// The evening of the Counter is Spray days' own: what an hour is refused for there nobody is
// sent out into.
func TestAnEveningIsGoodByTheHoursOfSprayDays(t *testing.T) {
	evening := func(change func(h *weather.Hour)) bool {
		hours := []weather.Hour{}
		for at := time.Date(2026, 9, 10, 12, 0, 0, 0, time.UTC); len(hours) < 36; at = at.Add(time.Hour) {
			h := weather.Hour{At: at, TempC: 16, Humidity: 60, WindMs: 2}
			change(&h)
			hours = append(hours, h)
		}
		judged := sprayday.JudgeHours(hours, sprayday.AnyEvening, 51, 0)
		best, ok := sprayday.Evening(judged[:12], time.UTC)
		for _, h := range judged[:12] {
			if ok && !h.At.Before(best.From) && h.At.Before(best.To) {
				assert.Equal(t, sprayday.Good, h.Says)
			}
		}
		return ok
	}
	assert.True(t, evening(func(*weather.Hour) {}))
	for name, change := range map[string]func(h *weather.Hour){
		"wind from five on": func(h *weather.Hour) { h.WindMs = map[bool]float64{true: 7, false: 1.5}[h.At.Hour() >= 17] },
		"gusts":             func(h *weather.Hour) { h.GustMs = 9 },
		"frost after midnight": func(h *weather.Hour) {
			if h.At.Day() == 11 && h.At.Hour() < 6 {
				h.TempC = -2
			}
		},
		"rain at nine": func(h *weather.Hour) {
			if h.At.Hour() >= 19 {
				h.RainMm, h.Humidity = 2, 97
			}
		},
		"hot": func(h *weather.Hour) { h.TempC = 33 },
	} {
		assert.False(t, evening(change), name)
	}
}
