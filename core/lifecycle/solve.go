package lifecycle

import (
	"fmt"
	"slices"

	"botanik/core/fault"
)

// SolveRequest asks for the days on which so many treatments leave the fewest pest-days.
type SolveRequest struct {
	Colony    Colony
	Treatment Application // its day is set by the answer
	Count     int         // treatments, 1 to 6
	GapMin    int         // label's shortest gap, days
	GapMax    int         // longest gap still of use; 0 for none
	Earliest  int         // first day that may be, from the start
	Shut      []int       // days on which nothing may be put on: the wait before picking, weather
	Rhythms   [][]int     // days others would take; one that keeps the limits is never beaten by the answer
}

// Solved is the answer.
type Solved struct {
	On       []int   `json:"on"`       // days from the start
	PestDays float64 `json:"pestDays"` // in the colony's days, 1 = one day of all there were at the start
	Tried    int     `json:"tried"`
}

// mostRounds of moving each day in turn; it settles in two or three.
const mostRounds = 5

// Allowed reports whether days keep the limits of a request.
func (r SolveRequest) Allowed(days []int) bool {
	for i, d := range days {
		if d < r.Earliest || d >= r.Colony.Days || slices.Contains(r.Shut, d) {
			return false
		}
		if i > 0 && (d-days[i-1] < r.GapMin || d <= days[i-1] || r.GapMax > 0 && d-days[i-1] > r.GapMax) {
			return false
		}
	}
	return len(days) > 0
}

// Solve moves one day after another to where it leaves the fewest pest-days, from every
// rhythm that keeps the limits and from even gaps, until none moves. It is a search by
// coordinates: it may miss the very best, and is never worse than a rhythm it was given.
// Errors name count, gap, days or what Simulate names.
func Solve(r SolveRequest) (Solved, error) {
	var l fault.List
	if r.Count < 1 || r.Count > 6 {
		l.Add("count", fmt.Sprintf("%d treatments is not 1 to 6", r.Count), "plan one round at a time")
	}
	if r.GapMin < 0 || r.GapMin > 120 {
		l.Add("gap", fmt.Sprintf("%d days is no shortest gap", r.GapMin), "give the label's, 0 to 120 days")
	}
	if err := l.Err(); err != nil {
		return Solved{}, err
	}
	if err := r.Colony.check([]Application{r.Treatment}); err != nil {
		return Solved{}, err
	}
	start := settle(r.Colony)
	out := Solved{}
	known := map[string]float64{}
	weigh := func(days []int) float64 {
		id := fmt.Sprint(days)
		if v, ok := known[id]; ok {
			return v
		}
		out.Tried++
		known[id] = start.twin().course(r.Colony, r.on(days)).PestDays
		return known[id]
	}
	starts := slices.DeleteFunc(slices.Clone(r.Rhythms), func(d []int) bool { return !r.Allowed(d) })
	for gap := max(1, r.GapMin); gap <= max(1, r.GapMin)+10; gap += 5 {
		if even := r.even(gap); even != nil {
			starts = append(starts, even)
		}
	}
	if len(starts) == 0 {
		return Solved{}, fault.New("days", fmt.Sprintf("%d treatments find no days in the weeks looked at", r.Count), "ask for fewer treatments, or start sooner")
	}
	for _, days := range starts { // a descent never ends above where it began
		if end := r.descend(days, weigh); out.On == nil || weigh(end) < out.PestDays {
			out.On, out.PestDays = end, weigh(end)
		}
	}
	return out, nil
}

func (r SolveRequest) on(days []int) []Application {
	done := make([]Application, len(days))
	for i, d := range days {
		done[i] = r.Treatment
		done[i].Day = float64(d)
	}
	return done
}

// even is the first plan of a gap that keeps the limits, each day put off past those
// that are shut; nil when the weeks do not hold it.
func (r SolveRequest) even(gap int) []int {
	days := []int{}
	at := r.Earliest
	for range r.Count {
		for slices.Contains(r.Shut, at) {
			at++
		}
		days = append(days, at)
		at += gap
	}
	if !r.Allowed(days) {
		return nil
	}
	return days
}

// descend moves each day in turn to its best place between its neighbours.
func (r SolveRequest) descend(days []int, weigh func([]int) float64) []int {
	days = slices.Clone(days)
	least := weigh(days)
	for range mostRounds {
		moved := false
		for i := range days {
			from, to := r.Earliest, r.Colony.Days-1
			if i > 0 {
				from = days[i-1] + max(1, r.GapMin)
			}
			if i+1 < len(days) {
				to = days[i+1] - max(1, r.GapMin)
			}
			// Far jumps are left to the other starting plans.
			for d := max(from, days[i]-6); d <= min(to, days[i]+6); d++ {
				other := slices.Clone(days)
				other[i] = d
				if d == days[i] || !r.Allowed(other) {
					continue
				}
				if v := weigh(other); v < least-1e-9 {
					least, days, moved = v, other, true
				}
			}
		}
		if !moved {
			break
		}
	}
	return days
}
