package sprayday

import (
	"fmt"
	"math"

	"botanik/core/civil"
	"botanik/core/weather"
)

// Since is what has become of something that protects leaves since it was put on.
type Since struct {
	On     string  `json:"on"`
	Days   int     `json:"days"`
	RainMm float64 `json:"rainMm" doc:"since"`
	Known  float64 `json:"known" doc:"share of the hours since whose rain is known"`
	Left   float64 `json:"left" doc:"share that still lies on the leaf, 0 to 1: a rule of thumb"`
	Word   string  `json:"word" enum:"lies,thin,gone"`
	Again  string  `json:"again" doc:"not before this day, by the label's shortest gap"`
	May    bool    `json:"may" doc:"that day has come"`
	Says   string  `json:"says"`
}

// An inch of rain takes half of what protects off a leaf, two take nearly all (a rule of
// thumb of extension services, approximate).
const (
	halfRain = 25. // mm
	thin     = .5
	gone     = .25
	// rainKnown is the share of hours below which nothing is said of what rain left (judgement).
	rainKnown = .8
)

// SinceSpray reckons what is left on a leaf. Hours are those from the spraying on that have
// passed; half is its half-life in days, 0 when not known; gap the shortest gap in days.
func SinceSpray(on, today civil.Day, half float64, gap int, hours []weather.Hour) Since {
	s := Since{On: on.String(), Days: today.Sub(on), Left: 1}
	for _, h := range hours {
		s.RainMm += h.RainMm
	}
	s.RainMm = math.Round(s.RainMm*10) / 10
	if s.Days > 0 {
		s.Known = math.Min(1, float64(len(hours))/float64(24*s.Days))
	} else {
		s.Known = 1
	}
	if half > 0 {
		s.Left = math.Pow(.5, float64(s.Days)/half)
	}
	s.Left *= math.Pow(.5, s.RainMm/halfRain)
	s.Left = math.Round(100*s.Left) / 100
	switch {
	case s.Left >= thin:
		s.Word, s.Says = "lies", "It still lies on the leaf."
	case s.Left >= gone:
		s.Word, s.Says = "thin", "It is thin by now: before a wet spell it wants renewing."
	default:
		s.Word, s.Says = "gone", "Nearly all of it is gone."
	}
	if s.Known < rainKnown && s.Word != "gone" {
		s.Says = "How much it rained since is not known here: where it rained an inch, half of it is gone; after two, nearly all."
	}
	again := on.Add(gap)
	s.Again, s.May = again.String(), !today.Before(again)
	if s.May {
		s.Says += fmt.Sprintf(" The %d days the label asks for have passed.", gap)
	} else {
		s.Says += fmt.Sprintf(" Not again before %s: %d days after the last.", again.Short(), gap)
	}
	return s
}
