package training

import (
	"cmp"
	"fmt"
	"math"
	"slices"
)

// Forecast is one answer with how sure somebody was of it.
type Forecast struct {
	Sure  float64 // 0 to 1
	Right bool
}

// Level is the answers that were given with one certainty.
type Level struct {
	Sure  float64 `json:"sure"`
	N     int     `json:"n"`
	Right int     `json:"right"`
}

// Calibrated is how far somebody's certainty can be trusted.
type Calibrated struct {
	N           int      `json:"n"`
	Levels      []Level  `json:"levels" doc:"by how sure they were, least first"`
	Brier       float64  `json:"brier" doc:"mean square of certainty less outcome; 0 is perfect, 0.25 is tossing a coin"`
	Reliability float64  `json:"reliability" doc:"how far certainty lies from how often it was right; 0 is best"`
	Resolution  float64  `json:"resolution" doc:"how well certainty parts right from wrong; more is better"`
	Uncertainty float64  `json:"uncertainty" doc:"what there is to part: most when half are right"`
	Says        []string `json:"says" doc:"the same in plain words"`
}

// Calibrate reads answers. Brier = reliability − resolution + uncertainty (Murphy 1973),
// exactly, as answers of one certainty are one level.
func Calibrate(answers []Forecast) Calibrated {
	out := Calibrated{N: len(answers), Levels: []Level{}, Says: []string{}}
	if len(answers) == 0 {
		return out
	}
	at, right := map[float64]*Level{}, 0
	for _, a := range answers {
		l := at[a.Sure]
		if l == nil {
			l = &Level{Sure: a.Sure}
			at[a.Sure] = l
		}
		l.N++
		if a.Right {
			l.Right++
			right++
		}
		out.Brier += Brier(a.Sure, a.Right) / float64(len(answers))
	}
	n, base := float64(len(answers)), float64(right)/float64(len(answers))
	for _, l := range at {
		share := float64(l.Right) / float64(l.N)
		out.Reliability += float64(l.N) / n * (l.Sure - share) * (l.Sure - share)
		out.Resolution += float64(l.N) / n * (share - base) * (share - base)
		out.Levels = append(out.Levels, *l)
	}
	out.Uncertainty = base * (1 - base)
	slices.SortFunc(out.Levels, func(a, b Level) int { return cmp.Compare(a.Sure, b.Sure) })
	out.say(base)
	return out
}

// Brier of one answer.
func Brier(sure float64, right bool) float64 {
	o := 0.
	if right {
		o = 1
	}
	return (sure - o) * (sure - o)
}

// fewestTold are how many answers anything is said from (judgement).
const fewestTold = 10

func (c *Calibrated) say(base float64) {
	if c.N < fewestTold {
		c.Says = append(c.Says, fmt.Sprintf("After %d answers more, this says how far the certainty can be trusted.", fewestTold-c.N))
		return
	}
	mean := 0.
	for _, l := range c.Levels {
		mean += l.Sure * float64(l.N) / float64(c.N)
	}
	switch gap := mean - base; {
	case gap > .1:
		c.Says = append(c.Says, fmt.Sprintf("Surer than right: %.0f in 100 sure, %.0f right. One more look before it is called settled.", mean*100, base*100))
	case gap < -.1:
		c.Says = append(c.Says, fmt.Sprintf("Right more often than it feels: %.0f in 100 sure, %.0f right.", mean*100, base*100))
	default:
		c.Says = append(c.Says, fmt.Sprintf("The certainty can be trusted: %.0f in 100 sure, %.0f right.", mean*100, base*100))
	}
	if c.Uncertainty > .02 {
		if c.Resolution > c.Uncertainty/3 {
			c.Says = append(c.Says, "Right answers feel surer than wrong ones, as they should.")
		} else {
			c.Says = append(c.Says, "Right and wrong answers feel alike so far: a guess may be called one.")
		}
	}
}

// Sureties are the certainties that can be chosen, with their words.
var Sureties = []struct {
	Sure float64 `json:"sure"`
	Name string  `json:"name"`
}{{.3, "a guess"}, {.5, "could be"}, {.7, "likely"}, {.85, "nearly sure"}, {.97, "sure"}}

// clamp keeps a certainty a certainty.
func clamp(x float64) float64 { return math.Max(0, math.Min(1, x)) }
