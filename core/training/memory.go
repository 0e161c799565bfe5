package training

import (
	"cmp"
	"math"
	"slices"
	"time"
)

// Memory of one thing that is practised: how often it was known and not.
type Memory struct {
	Right, Wrong int
	Last         time.Time // when it was asked last; the zero time when never
}

// Shortest and longest half-life of a memory, in days (Settles and Meeder 2016: a quarter of
// an hour and nine months).
const (
	shortest = 15. / (24 * 60)
	longest  = 274.
)

// HalfLife is after how many days a memory is as likely gone as there: 2^(right−wrong), the
// half-life regression of Settles and Meeder (2016) with weight 1 for each right answer and −1
// for each wrong one, under which it is Leitner's box (1972). At least 15 minutes, at most 274
// days.
func (m Memory) HalfLife() float64 {
	return math.Max(shortest, math.Min(longest, math.Exp2(float64(m.Right-m.Wrong))))
}

// Recall is how likely it is known at a moment: 2^(−days/half-life); 0 when it was never
// asked.
func (m Memory) Recall(now time.Time) float64 {
	if m.Last.IsZero() {
		return 0
	}
	return math.Exp2(-math.Max(0, now.Sub(m.Last).Hours()/24) / m.HalfLife())
}

// After is the memory after one more answer.
func (m Memory) After(right bool, now time.Time) Memory {
	if right {
		m.Right++
	} else {
		m.Wrong++
	}
	m.Last = now
	return m
}

// askBelow is how likely something may be known and is asked all the same (judgement).
const askBelow = .8

// Fading says that something once known may be gone.
func (m Memory) Fading(now time.Time) bool { return !m.Last.IsZero() && m.Recall(now) < askBelow }

// Thing is something that can be asked, with what it matters here.
type Thing struct {
	Key    string
	Weight float64 // 1 for the usual; more for what this desk mistakes or the season brings
}

// Next puts what is due in order: what is least likely known, weighed by what it matters,
// first. Of what was never asked at most fresh are taken in, those that matter most: a memory
// holds a few new things a day.
func Next(things []Thing, known map[string]Memory, now time.Time, fresh int) []string {
	type due struct {
		key   string
		worth float64
		isNew bool
	}
	list := []due{}
	for _, t := range things {
		m := known[t.Key]
		if r := m.Recall(now); r < askBelow {
			list = append(list, due{t.Key, (1 - r) * t.Weight, m.Last.IsZero()})
		}
	}
	slices.SortFunc(list, func(a, b due) int { return cmp.Or(cmp.Compare(b.worth, a.worth), cmp.Compare(a.key, b.key)) })
	out := []string{}
	for _, d := range list {
		if d.isNew {
			if fresh == 0 {
				continue
			}
			fresh--
		}
		out = append(out, d.key)
	}
	return out
}
