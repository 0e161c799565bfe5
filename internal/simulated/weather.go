package simulated

import (
	"fmt"
	"hash/fnv"
	"math"

	"botanik/core/civil"
)

// Day is a simulated day of weather at a desk.
type Day struct {
	Date     string  `json:"date"`
	MinC     float64 `json:"minC"`
	MaxC     float64 `json:"maxC"`
	EveningC float64 `json:"eveningC"` // about an hour before sunset
	RainMm   float64 `json:"rainMm"`
	WindMs   float64 `json:"windMs"`
	Text     string  `json:"text"`
}

// Station is a weather station of a mild wet coast; the same place and day
// always give the same weather.
type Station struct {
	Lat   float64 // degrees; the sign turns the seasons
	Place string
}

// Day gives the weather of a day.
func (s Station) Day(t civil.Day) Day {
	doy := float64(t.YearDay())
	phase := 2 * math.Pi * (doy - 205) / 365.25
	if s.Lat < 0 {
		phase += math.Pi
	}
	mean := 10.5 + 6.5*math.Cos(phase) + 3*(s.noise(t, "t")-.5)
	swing := 3 + 4*s.noise(t, "s")
	d := Day{Date: t.String(), MinC: round(mean - swing), MaxC: round(mean + swing), EveningC: round(mean + swing*.35), WindMs: round(1 + 7*s.noise(t, "w"))}
	if r := s.noise(t, "r"); r > .55 {
		d.RainMm = round((r - .55) * 30)
	}
	rain := "dry"
	if d.RainMm > 0 {
		rain = fmt.Sprintf("%.1f mm of rain", d.RainMm)
	}
	d.Text = fmt.Sprintf("%.0f to %.0f °C, %s, wind %.0f m/s", d.MinC, d.MaxC, rain, d.WindMs)
	return d
}

// Mean is the average temperature of the n days from t, °C.
func (s Station) Mean(t civil.Day, n int) float64 {
	sum := 0.0
	for i := range n {
		d := s.Day(t.Add(i))
		sum += (d.MinC + d.MaxC) / 2
	}
	return sum / float64(n)
}

// noise is a fixed number in [0, 1) for a place, day and purpose.
func (s Station) noise(t civil.Day, what string) float64 {
	h := fnv.New64a()
	_, _ = fmt.Fprintf(h, "%s|%s|%s", s.Place, t.String(), what)
	return float64(h.Sum64()%100_000) / 100_000
}

func round(x float64) float64 { return math.Round(x*10) / 10 }
