package simulated

import (
	"fmt"
	"hash/fnv"
	"math"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"
)

// Station is a weather station whose place and hour always give the same weather, of
// the climate the place is said to have; a mild wet coast when nothing is said.
type Station struct{}

var _ weather.Provider = Station{}

// Kind says that it is simulated.
func (Station) Kind() string { return "simulated forecast" }

// climate is what a year is like: round figures of general climate texts, to be
// believable and no more.
type climate struct {
	swing, roams    float64 // °C: half of a usual day's span, and how far days stray
	damp, dampSwing float64 // per cent: humidity of a day, and how far it falls by afternoon
	wet, wetSummer  float64 // share of days with rain, in midwinter and midsummer
	most            float64 // mm in the wettest hour
	shower          int     // hours a rain lasts at most
}

var climates = map[string]climate{
	"":             {3, 3, 80, 18, .45, .45, 2.2, 6},
	"mild":         {3, 3, 80, 18, .45, .45, 2.2, 6},
	"cold":         {3.5, 7, 72, 20, .3, .4, 4, 5},
	"dry summer":   {4.5, 4, 64, 24, .35, .02, 5, 6},
	"hot and dry":  {6, 4, 34, 18, .06, .04, 9, 2},
	"warm and wet": {4, 5, 74, 20, .3, .45, 9, 5},
	"tropical":     {3, 1.5, 82, 16, .35, .6, 20, 4},
}

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
	c, known := climates[p.Climate]
	if !known {
		c = climates[""]
	}
	// The sun's own time at the place orders the day.
	solar := at.Add(time.Duration(p.Lon / 15 * float64(time.Hour)))
	day := civil.Of(solar, time.UTC)
	h := float64(solar.Hour()) + float64(solar.Minute())/60
	summer := weather.Summer(p, day)
	warm := math.Cos(2 * math.Pi * (h - 15) / 24) // warmest at three in the afternoon
	// What belongs to a day is true of its noon and goes over into the next.
	before, share := day, (h+12)/24
	if h >= 12 {
		share = (h - 12) / 24
	} else {
		before = day.Add(-1)
	}
	over := func(what string) float64 {
		return (1-share)*noise(p, before, what) + share*noise(p, before.Add(1), what)
	}
	mean := weather.UsualC(p, day) + c.roams*(over("t")-.5)*1.6
	swing := c.swing * (.8 + .9*over("s"))
	wind := math.Max(0, (1+7*over("w"))*(1+.3*warm))
	// A day's wind comes mostly from one side, and goes round a little with the sun.
	from := math.Mod(360*over("side")+540-20*warm, 360)
	out := weather.Hour{At: at, WindFrom: math.Max(1, math.Round(from)), TempC: round(mean + swing*warm), WindMs: round(wind), GustMs: round(1.5 * wind), Humidity: math.Round(math.Min(99, math.Max(6, c.damp-c.dampSwing*warm+8*(over("h")-.5))))}
	if r, wet := noise(p, day, "r"), (c.wet+c.wetSummer)/2+(c.wetSummer-c.wet)/2*summer; r < wet {
		first := int(float64(24-c.shower) * noise(p, day, "when"))
		if n := int(h) - first; n >= 0 && n < 1+int(float64(c.shower)*noise(p, day, "long")) {
			out.RainMm = math.Max(.1, round(c.most*(wet-r)/wet*(.4+.6*noise(p, day, fmt.Sprint("mm", n)))))
			out.Humidity = math.Max(out.Humidity, 95)
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
