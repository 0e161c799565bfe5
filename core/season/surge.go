package season

import (
	"cmp"
	"slices"

	"botanik/core/civil"
)

// Settled is how many samples that came in on a day were settled as a cause.
type Settled struct {
	Day   civil.Day
	Cause string
	N     int
}

// Surge is a cause that came in far more often this week than it usually does.
type Surge struct {
	Cause string
	Week  int     // in the seven days up to today
	Usual float64 // mean of a week in the eight weeks before
}

// Window is how many days before today bear on a surge: this week and the eight
// before it.
const Window = 63

const (
	weekDays  = 7
	leastWeek = 3   // fewer are no surge
	times     = 2.5 // more than this many times the usual (both judgement)
)

// Surges finds the causes of which this week brought unusually many, most first.
func Surges(rows []Settled, today civil.Day) []Surge {
	by := map[string]*Surge{}
	for _, r := range rows {
		age := today.Sub(r.Day)
		if age < 0 || age > Window {
			continue
		}
		s := by[r.Cause]
		if s == nil {
			s = &Surge{Cause: r.Cause}
			by[r.Cause] = s
		}
		if age < weekDays {
			s.Week += r.N
		} else {
			s.Usual += float64(r.N) / (Window/weekDays - 1)
		}
	}
	out := []Surge{}
	for _, s := range by {
		if s.Week >= leastWeek && float64(s.Week) > times*s.Usual {
			out = append(out, *s)
		}
	}
	slices.SortFunc(out, func(a, b Surge) int {
		return cmp.Or(cmp.Compare(b.Week, a.Week), cmp.Compare(a.Cause, b.Cause))
	})
	return out
}
