package weather

import (
	"math"
	"time"

	"botanik/core/civil"
)

// year is the air of a usual year: its mean and half of what its warmest day is above its
// coldest, °C. Round figures of general climate texts by kind of climate; approximate.
type year struct{ mean, season float64 }

var years = map[string]year{
	"mild":         {10.5, 6.5},
	"cold":         {5, 14},
	"dry summer":   {15.5, 8},
	"hot and dry":  {22, 10},
	"warm and wet": {17.5, 9},
	"tropical":     {26.5, 1.5},
}

// Summer is 1 on the warmest day of a place's usual year and -1 on the coldest, half a year
// apart on the two halves of the earth.
func Summer(p Place, day civil.Day) float64 {
	phase := 2 * math.Pi * (float64(day.YearDay()) - 205) / 365.25
	if p.Lat < 0 {
		phase += math.Pi
	}
	return math.Cos(phase)
}

// UsualC is the mean air of a day in the usual year of the place's climate, °C, of a mild
// climate when none is said. Approximate: it stands in where nobody measured or foretold.
func UsualC(p Place, day civil.Day) float64 {
	y, known := years[p.Climate]
	if !known {
		y = years["mild"]
	}
	return y.mean + y.season*Summer(p, day)
}

// StepsC is the mean air of each step of n days from the first on, °C, steps to a day: of
// the hours the provider has in it, and of the usual year where it has none.
func StepsC(pr Provider, p Place, first civil.Day, n, steps int, zone *time.Location) ([]float64, error) {
	from := first.Midnight(zone)
	hours, err := pr.Hours(p, from, first.Add(n).Midnight(zone))
	if err != nil {
		return nil, err
	}
	sum, of := make([]float64, n*steps), make([]float64, n*steps)
	for _, h := range hours {
		at := h.At.In(zone)
		i := civil.Of(at, zone).Sub(first)*steps + at.Hour()*steps/24
		if i >= 0 && i < len(sum) {
			sum[i] += h.TempC
			of[i]++
		}
	}
	for i := range sum {
		if of[i] > 0 {
			sum[i] /= of[i]
		} else {
			sum[i] = UsualC(p, first.Add(i/steps))
		}
	}
	return sum, nil
}
