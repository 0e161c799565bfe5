package scouting

import (
	"cmp"
	"fmt"
	"math"
	"strings"

	"gonum.org/v1/gonum/stat/distuv"
)

// weigh holds the count, or what was seen by eye, against what is borne here.
func (q Question) weigh(d *Decision) {
	level := 1.
	because := func(part float64, why string, a ...any) {
		level *= part
		d.Why = append(d.Why, fmt.Sprintf(why, a...))
	}
	switch q.Standard {
	case "show":
		because(showPart, "It is kept for show: half as much is borne (judgement).")
	case "hedge":
		because(hedgePart, "A hedge bears twice as much (judgement).")
	}
	if ratio, ok := q.ratio(); ok && ratio > 0 {
		part := 1 + (helpersMost-1)*min(1, ratio/(2*helpersHold))
		word := "some helpers"
		if ratio >= helpersHold {
			word = "enough to hold it"
		}
		because(part, "One helper to %.0f of it, %s: %.1f times as much is borne.", max(1, 1/ratio), word, part)
	} else if q.Helpers {
		because(helpersSeen, "Helpers are at work: half as much again is borne (judgement).")
	}
	if q.BadYear {
		because(badYearPart, "Last year was bad: half as much is borne (judgement).")
	}
	tally := cmp.Or(q.Threshold.Of, Pests)
	var counts []int
	fit := false
	if q.Count != nil && len(q.Count.Leaves) > 0 {
		counts, fit = q.Count.of(tally)
		if !fit {
			d.Unfit = fmt.Sprintf("What is borne speaks of %s; %s were counted, which says nothing of it.", tallyName(tally), said(q.Count.Of))
		}
	}
	if fit {
		q.trend(d, counts, because)
	}
	if !fit || q.Threshold.PerUnit == 0 && q.Threshold.Share == 0 {
		if fit {
			d.Pressure = cmp.Or(q.Degree, byShare(counts))
		}
		return
	}
	sum, err := Summarise(counts)
	if err != nil {
		return
	}
	unit := cmp.Or(q.Threshold.Unit, "leaf")
	above := 0.
	switch {
	case q.Threshold.Share > 0 && (q.Threshold.PerUnit == 0 || q.Count.Quick):
		d.Level = min(.9, q.Threshold.Share*level)
		// Jeffreys' prior on the share.
		above = 1 - distuv.Beta{Alpha: .5 + float64(sum.Infested), Beta: .5 + float64(sum.N-sum.Infested)}.CDF(d.Level)
		d.Why = append(d.Why, fmt.Sprintf("%.0f in 100 with %s (%.0f to %.0f), where %.0f are borne here (%s).", 100*sum.Share, tallyName(tally), 100*sum.ShareLow, 100*sum.ShareTop, 100*d.Level, q.Threshold.Source))
		d.Pressure = degreeOf(sum.Share, d.Level, q.Degree)
	case q.Count.Quick:
		m, err := UsualLine.Mean(sum.Infested, sum.N)
		if err != nil {
			return
		}
		d.Level = q.Threshold.PerUnit * level
		hit := 1 - math.Pow(1+d.Level/UsualK, -UsualK)
		above = 1 - distuv.Beta{Alpha: .5 + float64(sum.Infested), Beta: .5 + float64(sum.N-sum.Infested)}.CDF(min(hit, .95))
		above = .5 + .8*(above-.5) // the line itself is unsure
		d.Why = append(d.Why, fmt.Sprintf("%d of %d with any, %s, where %s a %s is borne here (%s).", sum.Infested, sum.N, m.Text, amount(d.Level), unit, q.Threshold.Source))
		d.Pressure = degreeOf(m.Mean, d.Level, q.Degree)
	default:
		d.Level = q.Threshold.PerUnit * level
		// At the usual clumping: more of it then never speaks for waiting.
		above = believeAt(counts, UsualK).above(d.Level)
		span := "" // of one or two the interval says no more than that they are few
		if sum.N > 2 {
			span = fmt.Sprintf(" (%.1f to %.1f)", sum.Low, sum.High)
		}
		d.Why = append(d.Why, fmt.Sprintf("%.1f %sa %s%s, where %s is borne here (%s).", sum.Mean, tallyWord(tally), unit, span, amount(d.Level), q.Threshold.Source))
		d.Pressure = degreeOf(sum.Mean, d.Level, q.Degree)
	}
	d.Above = &above
	if t := q.Threshold.Test(d.Level, q.Count.Quick); t != nil && t.counts(q.Count.Quick) {
		s := t.Run(counts)
		d.Step = &s
	}
}

// trend compares with the last count before, on the logarithm, by the week.
func (q Question) trend(d *Decision, counts []int, because func(float64, string, ...any)) {
	var last *Past
	for i, p := range q.Before {
		if p.Days <= 200 && (last == nil || p.Days < last.Days) {
			last = &q.Before[i]
		}
	}
	if last == nil || len(counts) == 0 {
		return
	}
	total, hit := 0, 0
	for _, c := range counts {
		total += c
		if c > 0 {
			hit++
		}
	}
	n := float64(len(counts))
	now, then, least := float64(total)/n, last.Mean, .5/n
	if last.Mean == 0 && last.Share > 0 || q.Count.Quick {
		now, then = float64(hit)/n, last.Share
	}
	d.Multiplies = math.Exp(math.Log((now+least)/(then+least)) * 7 / float64(last.Days))
	if d.Multiplies >= doubles {
		because(risingPart, "It has grown to %.1f times in a week: seven tenths is borne (judgement).", d.Multiplies)
	}
	if d.Multiplies <= 1/doubles {
		because(fallingPart, "It has fallen to %.0f in 100 in a week by itself: four tenths more is borne (judgement).", 100*d.Multiplies)
	}
}

func (q Question) ratio() (float64, bool) {
	if q.Count == nil {
		return 0, false
	}
	return q.Count.helperRatio()
}

// degreeOf is light, moderate or heavy by the level borne, or what the eye said where
// that is worse: few on a leaf can still have done great harm.
func degreeOf(at, level float64, eye string) string {
	word := "moderate"
	switch {
	case at < level/2:
		word = "light"
	case at > 3*level:
		word = "heavy"
	}
	if eye == "heavy" {
		return eye
	}
	return word
}

func byShare(counts []int) string {
	hit := 0
	for _, c := range counts {
		if c > 0 {
			hit++
		}
	}
	switch s := float64(hit) / float64(len(counts)); {
	case s < .2:
		return "light"
	case s > .7:
		return "heavy"
	}
	return "moderate"
}

func amount(x float64) string { return strings.TrimSuffix(fmt.Sprintf("%.1f", x), ".0") }

func tallyName(id string) string {
	switch id {
	case Marks:
		return "marks"
	case Pests:
		return "pests"
	}
	for _, t := range TallyKinds {
		if t.ID == id {
			return t.Name
		}
	}
	return id
}

func tallyWord(id string) string {
	if id == Pests {
		return ""
	}
	return tallyName(id) + " "
}

func said(of []string) string {
	names := make([]string, len(of))
	for i, t := range of {
		names[i] = tallyName(t)
	}
	return strings.Join(names, " and ")
}

// Test is the running test about a level of this threshold, as it is counted; nil where
// none can be set up.
func (t Threshold) Test(level float64, quick bool) *Sequential {
	var out Sequential
	var err error
	if t.Share > 0 && (t.PerUnit == 0 || quick) {
		out, err = SequentialShare(level, Levels{})
	} else {
		out, err = SequentialMean(level, UsualK, Levels{})
	}
	if err != nil {
		return nil
	}
	return &out
}

// counts reports whether a test runs on what was counted: a test of numbers says nothing
// of with and without.
func (t Sequential) counts(quick bool) bool { return t.Of == "hit" || !quick }

// toldLeaves is how many leaves a share told without a count is taken to be of: few, so
// that the decision stays careful (judgement).
const toldLeaves = 20

// OfShare is a share somebody told, 0 to 1, as a count of with and without.
func OfShare(share float64, tally string) *Count {
	c := &Count{Quick: true, Of: []string{tally}}
	hit := int(share*toldLeaves + .5)
	for i := range toldLeaves {
		c.Leaves = append(c.Leaves, []int{min(1, max(0, hit-i))})
	}
	return c
}
