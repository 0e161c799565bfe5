package season

import (
	"math"
	"slices"
)

// Waits are how long people waited.
type Waits struct {
	N       int     `json:"n"`
	Median  float64 `json:"median"`
	NineTen float64 `json:"nineTen" doc:"nine in ten waited no longer"`
	Longest float64 `json:"longest"`
}

// WaitsOf reads waits of any one unit: the median, the ninth decile (both the smallest wait
// that at least this share does not go beyond: the inverse of the empirical distribution,
// type 1 of Hyndman and Fan 1996) and the longest. No waits have none.
func WaitsOf(waits []float64) Waits {
	if len(waits) == 0 {
		return Waits{}
	}
	s := slices.Sorted(slices.Values(waits))
	at := func(share float64) float64 { return s[max(0, int(math.Ceil(share*float64(len(s))))-1)] }
	return Waits{N: len(s), Median: at(.5), NineTen: at(.9), Longest: s[len(s)-1]}
}
