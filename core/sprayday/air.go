package sprayday

import (
	"fmt"
	"math"

	"botanik/core/fault"
	"botanik/core/weather"
)

// Magnus (Alduchov and Eskridge 1996), -40 to 50 °C.
const (
	magnusA = 17.625
	magnusB = 243.04
	magnusE = .61094 // kPa at 0 °C
)

// CheckAir refuses a temperature or a humidity that cannot be. Errors name tempC or
// humidity.
func CheckAir(tempC, humidity float64) error {
	var l fault.List
	if !(tempC >= -60 && tempC <= 60) {
		l.Add("tempC", fmt.Sprintf("%g °C is out of range", tempC), "give °C, -60 to 60")
	}
	if !(humidity > 0 && humidity <= 100) {
		l.Add("humidity", fmt.Sprintf("%g in 100 cannot be", humidity), "give relative humidity in per cent, above 0 to 100")
	}
	return l.Err()
}

// DewPoint in °C, by Magnus.
func DewPoint(tempC, humidity float64) float64 {
	g := math.Log(humidity/100) + magnusA*tempC/(magnusB+tempC)
	return magnusB * g / (magnusA - g)
}

// Saturation is the pressure of water vapour in saturated air, kPa, by Magnus.
func Saturation(tempC float64) float64 {
	return magnusE * math.Exp(magnusA*tempC/(magnusB+tempC))
}

// Deficit is the vapour pressure deficit of the air in kPa: how much more water it
// would take.
func Deficit(tempC, humidity float64) float64 { return Saturation(tempC) * (1 - humidity/100) }

// A sprayed leaf holds about a tenth of a millimetre. It dries by Dalton's rule: with
// the deficit, and with wind. Drying outdoors at 1 kPa and 2 m/s takes about 40 minutes
// (judgement after general spraying texts).
const film = .12

// perHour is the water that leaves a leaf in an hour, mm.
func perHour(h weather.Hour) float64 {
	return .09 * (1 + .5*math.Min(h.WindMs, 6)) * Deficit(h.TempC, math.Min(99, math.Max(5, h.Humidity)))
}

// DryHours is how long a sprayed leaf takes to dry from the first of the hours on; false
// when it does not within them, or rain comes first.
func DryHours(hours []weather.Hour) (float64, bool) {
	left := film
	for i, h := range hours {
		if h.RainMm >= rainFrom {
			return 0, false
		}
		gone := perHour(h)
		if gone >= left {
			return float64(i) + left/gone, true
		}
		left -= gone
	}
	return 0, false
}

// rainFrom is the rain in an hour that counts, mm.
const rainFrom = .1
