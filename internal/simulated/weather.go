package simulated

import (
	"fmt"
	"hash/fnv"
	"math"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"
)

// Station is a weather station of a mild wet coast; the same place and hour
// always give the same weather.
type Station struct{}

var _ weather.Provider = Station{}

// Kind says that it is simulated.
func (Station) Kind() string { return "simulated forecast" }

// Hours of the place, each full hour of UTC from the first at or after from.
func (Station) Hours(p weather.Place, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	at := from.UTC().Truncate(time.Hour)
	if at.Before(from) {
		at = at.Add(time.Hour)
	}
	for ; at.Before(to); at = at.Add(time.Hour) {
		out = append(out, hour(p, at))
	}
	return out, nil
}

func hour(p weather.Place, at time.Time) weather.Hour {
	// The sun's own time at the place orders the day.
	solar := at.Add(time.Duration(p.Lon / 15 * float64(time.Hour)))
	day := civil.Of(solar, time.UTC)
	phase := 2 * math.Pi * (float64(day.YearDay()) - 205) / 365.25
	if p.Lat < 0 {
		phase += math.Pi
	}
	mean := 10.5 + 6.5*math.Cos(phase) + 3*(noise(p, day, "t")-.5)
	swing := 3 + 4*noise(p, day, "s")
	h := float64(solar.Hour()) + float64(solar.Minute())/60
	warm := math.Cos(2 * math.Pi * (h - 15) / 24) // warmest at three in the afternoon
	out := weather.Hour{At: at, TempC: round(mean + swing*warm), WindMs: round((1 + 7*noise(p, day, "w")) * (1 + .3*warm)), Humidity: math.Round(80 - 18*warm)}
	if r := noise(p, day, "r"); r > .55 {
		first := int(18 * noise(p, day, "when"))
		if n := int(h) - first; n >= 0 && n < 6 {
			out.RainMm = round((r - .55) * 30 / 6)
			out.Humidity = 95
		}
	}
	return out
}

// noise is a fixed number in [0, 1) for a place, day and purpose.
func noise(p weather.Place, day civil.Day, what string) float64 {
	h := fnv.New64a()
	_, _ = fmt.Fprintf(h, "%s|%s|%s", p.Name, day, what)
	return float64(h.Sum64()%100_000) / 100_000
}

func round(x float64) float64 { return math.Round(x*10) / 10 }
