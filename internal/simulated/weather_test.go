package simulated

import (
	"testing"
	"time"

	"botanik/core/knowledge"
	"botanik/core/sprayday"
	"botanik/core/weather"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A year in every climate, on both halves of the earth: nothing that cannot be, and
// what each climate is known for (bounds written down before the first run, from general
// climate texts).
func TestAYearInEveryClimate(t *testing.T) {
	bounds := map[string]struct{ coldest, warmest, rainLow, rainHigh, summerAbove float64 }{
		"":             {-10, 34, 400, 1600, 5},
		"mild":         {-10, 34, 400, 1600, 5},
		"cold":         {-35, 38, 250, 1200, 15},
		"dry summer":   {-6, 42, 150, 1000, 8},
		"hot and dry":  {-5, 52, 5, 250, 10},
		"warm and wet": {-8, 42, 500, 2500, 8},
		"tropical":     {12, 40, 800, 4000, -2},
	}
	require.Subset(t, keys(bounds), knowledge.Climates)
	start := time.Date(2027, 1, 1, 0, 0, 0, 0, time.UTC)
	for climate, want := range bounds {
		for _, lat := range []float64{51, -38} {
			if lat < 0 && climate != "cold" && climate != "dry summer" {
				continue // the other half of the earth is the same sum for all
			}
			p := weather.Place{Lat: lat, Lon: 12, Name: "somewhere", Climate: climate}
			hours, err := Station{}.Hours(p, start, start.AddDate(1, 0, 0))
			require.NoError(t, err)
			require.Len(t, hours, 365*24)
			rain, months := 0., [13]float64{}
			day, night := 0., 0.
			for i, h := range hours {
				require.Equal(t, start.Add(time.Duration(i)*time.Hour), h.At)
				require.NoError(t, sprayday.CheckAir(h.TempC, h.Humidity))
				require.True(t, h.TempC >= want.coldest && h.TempC <= want.warmest, "%s %v: %.1f °C", climate, h.At, h.TempC)
				require.True(t, h.WindMs >= 0 && h.WindMs <= h.GustMs && h.GustMs < 30, "%s: wind %v gust %v", climate, h.WindMs, h.GustMs)
				require.True(t, h.WindFrom > 0 && h.WindFrom <= 360)
				require.True(t, h.RainMm >= 0 && h.RainMm <= 30, "%s: %v mm", climate, h.RainMm)
				require.True(t, h.RainMm == 0 || h.Humidity >= 90, "%s: rain in air of %v in 100", climate, h.Humidity)
				if i > 0 {
					require.InDelta(t, hours[i-1].TempC, h.TempC, 4, "%s: a leap at %v", climate, h.At)
				}
				rain += h.RainMm
				months[h.At.Month()] += h.TempC / 730
				switch h.At.Hour() { // the place lies an hour east
				case 14:
					day += h.TempC
				case 3:
					night += h.TempC
				}
			}
			warm, cold := months[7], months[1]
			if lat < 0 {
				warm, cold = cold, warm
			}
			assert.Greater(t, warm-cold, want.summerAbove, "%s at %v: summer over winter", climate, lat)
			assert.Greater(t, day, night+365, "%s: afternoons are warmer", climate)
			assert.True(t, rain >= want.rainLow && rain <= want.rainHigh, "%s at %v: %.0f mm in the year", climate, lat, rain)
		}
	}
}

func keys[V any](m map[string]V) []string {
	out := []string{}
	for k := range m {
		out = append(out, k)
	}
	return out
}
