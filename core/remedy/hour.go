package remedy

import (
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// HourOf is the hour a remedy is put on, in words for the grower, empty where it does
// not matter. The school ("by-pest", "evening" or "morning") speaks for what is free.
// Whatever it says, nothing goes on open flowers by day, a fungus wants leaves dry by
// night, and a room has hours of its own.
func HourOf(b *knowledge.Base, k *knowledge.Cause, r *knowledge.Remedy, s Situation) string {
	if r.Hour == "" {
		return ""
	}
	hour := PartOfDay(b, k, r, s)
	leaves := r.Reach != "soil" && r.Kind == "product"
	switch {
	case s.Place == "indoors" && leaves:
		return "With lights and fans off and out of the sun; let the leaves dry before the lights come on again."
	case s.Place == "indoors":
		return map[string]string{"morning": "In the morning.", "evening": "In the evening."}[hour]
	case !leaves:
		return map[string]string{"morning": "In the morning, so that the leaves dry before night.", "evening": "In the evening, or on a dull wet day."}[hour]
	case s.InBloom && hour == "morning":
		return "Very early on a dry calm morning, before bees fly, and not onto open flowers; the leaves have to dry before night."
	case s.InBloom:
		return "Only late in the evening, when bees are home, and not onto open flowers."
	case hour == "morning":
		return "On a dry calm morning, early, so that the leaves dry before night; never in hot sun."
	case k.Kind == "disease":
		return "Towards evening, but early enough that the leaves are dry before night; never in hot sun."
	}
	return "Late in the day, when the sun is off the leaves, it is calm and no rain is due before it dries."
}

// PartOfDay is morning or evening, of what has an hour.
func PartOfDay(b *knowledge.Base, k *knowledge.Cause, r *knowledge.Remedy, s Situation) string {
	if r.Hour != "free" {
		return r.Hour
	}
	school := choose(b, &s, "hour").Option
	if school == "morning" || school != "evening" && k.Kind == "disease" {
		return "morning"
	}
	return "evening"
}

// RhythmOf is how often a remedy is done again, for what has no days of its own on
// the page; empty for what is done once.
func RhythmOf(r *knowledge.Remedy, house House) string {
	lim := LimitsOf(r, house)
	switch {
	case lim.GapMin == 0:
		return ""
	case lim.GapMax > lim.GapMin && lim.GapMax < 30:
		return fmt.Sprintf("Again every %d to %d days while any are seen.", lim.GapMin, lim.GapMax)
	}
	return fmt.Sprintf("Not again before %s.", humanise.Days(lim.GapMin))
}

// Repeated is the one of what is done together that is given days: of what is repeated
// at all, the one highest on the ladder; nil when nothing is.
func Repeated(b *knowledge.Base, ids []string) *knowledge.Remedy {
	var best *knowledge.Remedy
	for _, id := range ids {
		if r := b.Remedy(id); r != nil && r.RepeatMin > 0 && (best == nil || r.Rung > best.Rung) {
			best = r
		}
	}
	return best
}

// Hours of the day after which a morning's or an evening's treatment is for the next
// day, and the days a patch test is left (judgement: most marks show within two).
const (
	morningOver = 10
	eveningOver = 21
	testDays    = 2
)

// DaysFirst is the first day of a treatment that nobody set, and why it is not today.
type DaysFirst struct {
	On     civil.Day
	Tested bool   // a patch test is made today
	Why    string // empty when it is today
}

// FirstDay is the first day a treatment can be given: not before its patch test was
// left two days, nor in an hour that has gone by. The hour is of the desk's clock, 0 to
// 23; cause and remedy may be nil.
func FirstDay(b *knowledge.Base, k *knowledge.Cause, r *knowledge.Remedy, s Situation, today civil.Day, hour int) DaysFirst {
	if patchTested(r, s) {
		on := today.Add(testDays)
		return DaysFirst{on, true, fmt.Sprintf("Patch test three leaves on %s: the first treatment is on %s, if they are unmarked.", today.Short(), on.Short())}
	}
	if k == nil || r == nil {
		return DaysFirst{On: today}
	}
	if over := map[string]int{"morning": morningOver, "evening": eveningOver}[PartOfDay(b, k, r, s)]; over > 0 && hour >= over {
		return DaysFirst{On: today.Add(1), Why: "Today's hour for it has gone by: it begins tomorrow."}
	}
	return DaysFirst{On: today}
}

// patchTested reports whether a remedy wants a patch test that this plant has not had:
// what was put on it before needs none.
func patchTested(r *knowledge.Remedy, s Situation) bool {
	return r != nil && r.Patch && !slices.ContainsFunc(s.Earlier, func(e Earlier) bool { return e.Remedy == r.ID })
}
