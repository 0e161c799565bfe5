package lifecycle

import (
	"fmt"
	"math"

	"botanik/core/civil"
)

// HomeReach is the share of a plant's pests a careful home sprayer hits, a judgement.
const HomeReach = .8

// Describe puts two courses of one colony into words: left alone, and with something done
// on days; what is its name within a sentence.
func Describe(treated, alone Course, today civil.Day, what string) []string {
	end := len(alone.Days) - 1
	low, at := math.Inf(1), 0
	for day := range treated.Days {
		if n := treated.Total(day); n < low {
			low, at = n, day
		}
	}
	out := []string{fmt.Sprintf("Left alone: %s by %s.", asMany(alone.Total(end)), today.Add(end).Short())}
	said := fmt.Sprintf("With %s on these days: down to %s about %s", what, asMany(low), today.Add(at).Short())
	if n := treated.Total(end); n > 2*low && n > .1 {
		said += fmt.Sprintf(", and %s again by the end: look once more before then", asMany(n))
	}
	return append(out, said+".")
}

// asMany says a number as a share of today's.
func asMany(n float64) string {
	switch {
	case n < .005:
		return "fewer than 1 in 200 of today's"
	case n < .75:
		return fmt.Sprintf("1 in %.0f of today's", math.Max(2, math.Round(1/n)))
	case n < 1.5:
		return "about as many as today"
	case n > 20:
		return "more than twenty times as many"
	}
	return fmt.Sprintf("%.0f times as many", math.Max(2, math.Round(n)))
}
