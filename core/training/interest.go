package training

import (
	"slices"
	"strings"
	"time"

	"botanik/core/knowledge"
)

// Interest is what matters to practise at a desk now.
type Interest struct {
	Classes []string        // classes of the course; empty: all
	Mixed   map[string]bool // causes this desk took for one another lately
	Month   int             // of the northern year, 1 to 12: what the next weeks bring
}

// How much more something matters (judgement): what the course is about, what this desk
// mistook, what the next weeks bring.
const (
	inCourse   = 4.
	mistakenBy = 2.
	inSeason   = 1.5
)

// Of answers how much a cause matters, 1 for the usual; 1 for nil, which is of no cause.
func (i Interest) Of(k *knowledge.Cause) float64 {
	if k == nil {
		return 1
	}
	w := 1.
	if slices.Contains(i.Classes, k.Class) {
		w *= inCourse
	}
	if i.Mixed[k.ID] {
		w *= mistakenBy
	}
	if slices.Contains(k.Months, i.Month) {
		w *= inSeason
	}
	return w
}

// Subject is the cause, or whatever else, a key of something practised is about.
func Subject(key string) string { return strings.SplitN(key+"/", "/", 3)[1] }

// Limits of what comes next (judgement): new things at a time, and how many are tried before a
// form is given up.
const (
	freshAtATime = 6
	mostTried    = 60
)

// Next is the next question of these kinds, of the first that has a fair one: what fades and
// matters most, or, when nothing does, whatever there is. False when no form has one.
func (a Asker) Next(kinds []string, known map[string]Memory, i Interest, now time.Time, r Dice) (Question, bool) {
	for _, kind := range kinds {
		things := []Thing{}
		for _, key := range a.Things(kind) {
			things = append(things, Thing{key, i.Of(a.E.Base.Cause(Subject(key))) * (1 + r.Float64())})
		}
		keys := Next(things, known, now, freshAtATime)
		for _, t := range things {
			if len(keys) > mostTried {
				break
			}
			keys = append(keys, t.Key)
		}
		for _, key := range keys {
			if q, ok := a.Question(key, r); ok {
				return q, true
			}
		}
	}
	return Question{}, false
}
