package lifecycle

import (
	"fmt"

	"botanik/core/civil"
)

// Fitness of a day for being treated on.
type Fitness struct {
	Known bool   // the weather of the day is known
	Good  bool   // there are hours in which it can be done
	Why   string // what is against it, in a few words, where there are none
}

// Move is a day that was put elsewhere.
type Move struct {
	From civil.Day `json:"from"`
	To   civil.Day `json:"to"`
	Why  string    `json:"why"`
}

// Text says it in a sentence.
func (m Move) Text() string {
	return fmt.Sprintf("%s is moved to %s: %s.", m.From.Brief(), m.To.Brief(), m.Why)
}

// shifts are how far a day may be put off or brought forward, tried in this order: a day
// later before a day sooner (judgement).
var shifts = []int{1, -1, 2, 3, -2, 4}

// Fit puts days whose weather is known and not fit elsewhere: to the nearest day that is
// fit, not before first. Days behind it follow as far as gapMin asks. What hold refuses is
// not done, and a day with no fit one near stays, unmoved. The days are in order.
func Fit(days []civil.Day, first civil.Day, gapMin int, fits func(civil.Day) Fitness, hold func([]civil.Day) error) ([]civil.Day, []Move) {
	out := append([]civil.Day(nil), days...)
	var moves []Move
	for i := range out {
		f := fits(out[i])
		if out[i].Before(first) || !f.Known || f.Good {
			continue
		}
		for _, by := range shifts {
			plan := append([]civil.Day(nil), out...)
			plan[i] = out[i].Add(by)
			to := fits(plan[i])
			if plan[i].Before(first) || !to.Known || !to.Good || i > 0 && plan[i].Sub(plan[i-1]) < max(1, gapMin) {
				continue
			}
			for j := i + 1; j < len(plan); j++ {
				if late := plan[j-1].Add(max(1, gapMin)); plan[j].Before(late) {
					plan[j] = late
				}
			}
			if hold(plan) != nil {
				continue
			}
			moves = append(moves, Move{out[i], plan[i], f.Why})
			for j := i + 1; j < len(plan); j++ {
				if plan[j] != out[j] {
					moves = append(moves, Move{out[j], plan[j], "the one before it moved, and the label's gap is kept"})
				}
			}
			out = plan
			break
		}
	}
	return out, moves
}
