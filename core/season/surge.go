package season

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/civil"

	"gonum.org/v1/gonum/mathext"
)

// WeekCounts is how many samples that came in on a day were settled as a cause.
type WeekCounts struct {
	Day   civil.Day
	Cause string
	N     int
}

// Surge is a cause that came in far more often lately than can be put down to chance.
type Surge struct {
	Cause  string  `json:"cause"`
	Weeks  int     `json:"weeks" doc:"over how many weeks up to today it is counted: one or two"`
	N      int     `json:"n" doc:"samples in those weeks"`
	Usual  float64 `json:"usual" doc:"samples expected in them, by the weeks before and by earlier years"`
	Chance float64 `json:"chance" doc:"how often so many or more come by chance alone"`
}

// How a surge is told from chance.
const (
	weekDays   = 7
	lastWeeks  = 8   // weeks before the ones in question that bear on what is usual
	yearsBack  = 5   // earlier years that bear on it
	yearDays   = 364 // 52 weeks: the same days of the week
	besideWeek = 1   // weeks before and after the same one of an earlier year
	leastWeek  = 3   // fewer are no surge (judgement)

	// falseAlarms are how many a season a quiet desk may be told (asked for: at most one).
	// A cause is looked at twice a week, in counts that share a week.
	falseAlarms = .6
	weeksAYear  = 52
)

// Window is how many days before today bear on a surge.
const Window = (lastWeeks+2)*weekDays + yearsBack*yearDays

// Surges finds the causes of which the last one or two weeks brought more than chance
// explains, the least likely first.
//
// What is usual is the larger of two: the mean of the eight weeks before, and the mean of
// the same weeks in earlier years, raised or lowered by how this year's last eight weeks
// stand to theirs. Counts of weeks scatter more than Poisson's; the dispersion is the
// variance over the mean of the weeks before, half the cause's own and half that of all
// causes, at least 1 (quasi-Poisson; as in Farrington et al. 1996, without their regression). So many or more are then as likely as in a negative
// binomial of that mean, whose variance also carries how little a few weeks know of it. A
// cause is named when that is less likely than would name so many causes a season among all
// that are watched.
func Surges(rows []WeekCounts, today civil.Day) []Surge {
	by := map[string][]int{} // weeks back from today, 0 the one up to today
	weeks := Window/weekDays + 1
	for _, r := range rows {
		age := today.Sub(r.Day)
		if age < 0 || age >= weeks*weekDays {
			continue
		}
		if by[r.Cause] == nil {
			by[r.Cause] = make([]int, weeks)
		}
		by[r.Cause][age/weekDays] += r.N
	}
	first := weeks // how far back anything is known at all
	for _, w := range by {
		for i := range slices.Backward(w) {
			if w[i] > 0 {
				first = min(first, weeks-1-i)
				break
			}
		}
	}
	known := weeks - first
	pooled := scatter(by, known)
	limit := falseAlarms / (weeksAYear * 2 * float64(max(1, len(by))))
	out := []Surge{}
	for cause, w := range by {
		best := Surge{Chance: 1}
		for span := 1; span <= 2; span++ {
			n := sum(w, 0, span)
			if n < leastWeek {
				continue
			}
			usual, variance := expected(w, span, known, pooled)
			if p := atLeast(n, usual, variance); p < best.Chance {
				best = Surge{cause, span, n, usual, p}
			}
		}
		if best.Chance < limit {
			out = append(out, best)
		}
	}
	slices.SortFunc(out, func(a, b Surge) int { return cmp.Or(cmp.Compare(a.Chance, b.Chance), cmp.Compare(a.Cause, b.Cause)) })
	return out
}

func sum(w []int, from, to int) int {
	n := 0
	for i := max(0, from); i < min(to, len(w)); i++ {
		n += w[i]
	}
	return n
}

// scatter is the variance of weeks over their mean, over all causes together: one cause's
// eight weeks say little of it.
func scatter(by map[string][]int, known int) float64 {
	over, under := 0., 0.
	for _, w := range by {
		n := min(lastWeeks, known-2)
		if n < 2 {
			continue
		}
		mean := float64(sum(w, 2, 2+n)) / float64(n)
		if mean < .5 {
			continue
		}
		over += spreadOf(w, 2, n)
		under += float64(n-1) * mean
	}
	if under == 0 {
		return 1.5 // judgement, until something is known
	}
	return math.Max(1, over/under)
}

// spreadOf is n−1 times the variance of n weeks, by the mean square of the differences from
// one week to the next (von Neumann 1941): a season that rises or falls is no scatter.
func spreadOf(w []int, from, n int) float64 {
	out := 0.
	for i := from; i < from+n-1; i++ {
		d := float64(w[i] - w[i+1])
		out += d * d / 2
	}
	return out
}

// expected is the mean and the variance of what the last span weeks bring, from weeks
// counted back from today of which so many are known.
func expected(w []int, span, known int, pooled float64) (mean, variance float64) {
	before := min(lastWeeks, max(0, known-span))
	if before == 0 { // nothing is known of before: half a sample a week
		return .5 * float64(span), 2 * float64(span)
	}
	recent := float64(sum(w, span, span+before)) + .5
	rate, base := recent/float64(before), float64(before)
	then, same, thenWeeks := 0., 0., 0.
	for y := 1; y <= yearsBack; y++ {
		at := y * yearDays / weekDays
		if at+span+lastWeeks > known {
			break
		}
		then += float64(sum(w, at+span, at+span+lastWeeks))
		same += float64(sum(w, at-besideWeek, at+span+besideWeek))
		thenWeeks += float64(span + 2*besideWeek)
	}
	if thenWeeks > 0 {
		// This year's standing, drawn towards 1 while the weeks before say little.
		standing := (recent + 4) / (then/math.Max(1, thenWeeks/float64(span+2*besideWeek)) + 4)
		if seasonal := (same + .5) / thenWeeks * standing; seasonal > rate {
			rate, base = seasonal, thenWeeks
		}
	}
	mean = rate * float64(span)
	// The cause's own weeks, drawn towards the scatter of all by as many weeks again.
	own := spreadOf(w, span, before)
	weight := float64(before - 1)
	dispersion := math.Max(1, (own/math.Max(.5, recent/float64(before))+weight*pooled)/(2*math.Max(.5, weight)))
	return mean, mean * dispersion * (1 + float64(span)/base)
}

// atLeast is how likely a negative binomial of a mean and a variance above it gives n or
// more; Poisson where the variance is the mean.
func atLeast(n int, mean, variance float64) float64 {
	switch {
	case n <= 0:
		return 1
	case variance <= mean*1.0001:
		return mathext.GammaIncReg(float64(n), mean)
	}
	p := mean / variance // of a success; r failures are waited for
	r := mean * p / (1 - p)
	return mathext.RegIncBeta(float64(n), r, 1-p)
}
