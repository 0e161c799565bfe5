package sprayday

import (
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"

	"github.com/stretchr/testify/assert"
)

// days of 24 hours at one temperature by day (9 to 17 h) and another by night.
func days(n int, day, night, humidity, rain float64) []weather.Hour {
	out := []weather.Hour{}
	start := time.Date(2026, 7, 1, 0, 0, 0, 0, time.UTC)
	for i := range 24 * n {
		h := weather.Hour{At: start.Add(time.Duration(i) * time.Hour), TempC: night, Humidity: humidity, WindMs: 2}
		if i%24 >= 9 && i%24 < 18 {
			h.TempC = day
		}
		if i%24 == 20 {
			h.RainMm = rain
		}
		out = append(out, h)
	}
	return out
}

func joined(parts ...[]weather.Hour) []weather.Hour {
	out := []weather.Hour{}
	for _, p := range parts {
		for _, h := range p {
			h.At = time.Date(2026, 7, 1, 0, 0, 0, 0, time.UTC).Add(time.Duration(len(out)) * time.Hour)
			out = append(out, h)
		}
	}
	return out
}

// The published index, by hand: three good days begin it at 60, a fourth gives 80, a day
// too cool takes 10, a good day of 36 °C gives 10.
func TestMildewPressureByHand(t *testing.T) {
	good, cool := days(1, 25, 15, 60, 0), days(1, 18, 12, 60, 0)
	hot := joined(days(1, 25, 15, 60, 0))
	hot[19].TempC = 36
	p := MildewPressure(joined(good, good, cool, good, good, good, good, cool, hot, cool), time.UTC)
	assert.Equal(t, []float64{0, 0, 0, 0, 0, 60, 80, 70, 80, 70}, p.Days)
	assert.Equal(t, "high", p.Word)
	assert.Equal(t, "low", MildewPressure(days(14, 18, 12, 95, 0), time.UTC).Word, "cool and damp is not its weather")
	assert.Equal(t, "low", MildewPressure(days(14, 40, 31, 20, 0), time.UTC).Word, "too hot is not its weather")
	assert.Equal(t, 100.0, MildewPressure(days(14, 25, 15, 60, 0), time.UTC).Index)
}

// Hot and dry breeds mites, cool, damp and wet days do not; by hand 20, 36, 48.8 of 100
// after one, two and three such days.
func TestMitePressure(t *testing.T) {
	p := MitePressure(days(3, 30, 18, 40, 0), time.UTC)
	assert.Equal(t, []float64{20, 36, 49}, p.Days)
	assert.Equal(t, "high", MitePressure(days(10, 30, 18, 40, 0), time.UTC).Word)
	assert.Equal(t, "low", MitePressure(days(10, 20, 12, 40, 0), time.UTC).Word)
	assert.Equal(t, "low", MitePressure(days(10, 30, 18, 80, 0), time.UTC).Word)
	assert.Less(t, MitePressure(days(10, 30, 18, 40, 8), time.UTC).Index, MitePressure(days(10, 30, 18, 40, 0), time.UTC).Index)
}

// Copper of a half-life of 7 days: a dry week leaves half, an inch of rain on top a
// quarter; the fourteen days are counted.
func TestSinceTheLastProtectant(t *testing.T) {
	on := civil.Must("2026-07-01")
	dry := SinceSpray(on, on.Add(7), 7, 14, days(7, 20, 12, 60, 0))
	assert.Equal(t, .5, dry.Left)
	assert.Equal(t, "lies", dry.Word)
	assert.False(t, dry.May)
	assert.Equal(t, "2026-07-15", dry.Again)
	wet := SinceSpray(on, on.Add(7), 7, 14, days(7, 20, 12, 60, 25./7))
	assert.InDelta(t, 25, wet.RainMm, .1)
	assert.InDelta(t, .25, wet.Left, .01)
	assert.Equal(t, "thin", wet.Word)
	assert.True(t, SinceSpray(on, on.Add(14), 7, 14, nil).May)
	assert.Equal(t, 1.0, SinceSpray(on, on, 7, 14, nil).Left)
	assert.InDelta(t, .5, SinceSpray(on, on.Add(10), 7, 14, days(5, 20, 12, 60, 0)).Known, .001)
}
