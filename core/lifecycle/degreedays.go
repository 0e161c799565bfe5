package lifecycle

import (
	"fmt"
	"math"

	"botanik/core/fault"
)

// DegreeDays of one day by a single sine wave with a horizontal cut-off (Baskerville
// and Emin 1969; Allen 1976): minC and maxC of the day, lower and upper threshold in °C.
// Errors name minC, maxC or lowerC.
func DegreeDays(minC, maxC, lower, upper float64) (float64, error) {
	var l fault.List
	if !(minC >= -60 && minC <= 60) {
		l.Add("minC", fmt.Sprintf("%g °C is out of range", minC), "give °C, -60 to 60")
	}
	if !(maxC >= minC && maxC <= 60) {
		l.Add("maxC", fmt.Sprintf("%g °C is out of range or below the lowest", maxC), "give the warmest of the day, not below its coldest")
	}
	if !(lower < upper) {
		l.Add("lowerC", fmt.Sprintf("%g °C is not below the upper threshold", lower), "give the lower threshold below the upper")
	}
	if err := l.Err(); err != nil {
		return 0, err
	}
	return above(minC, maxC, lower) - above(minC, maxC, upper), nil
}

// above is the degree-days over one threshold.
func above(minC, maxC, t float64) float64 {
	mean, half := (minC+maxC)/2, (maxC-minC)/2
	switch {
	case minC >= t:
		return mean - t
	case maxC <= t:
		return 0
	}
	theta := math.Asin((t - mean) / half)
	return ((mean-t)*(math.Pi/2-theta) + half*math.Cos(theta)) / math.Pi
}
