package scouting

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
)

// Tallies that can be kept apart on one unit. Each but Marks counts animals.
const (
	Pests       = "pests" // all of them, not told apart
	Young       = "young"
	Adults      = "adults"
	Upper       = "upper" // on the upper side, where that is counted apart
	Helpers     = "helpers"
	Parasitised = "parasitised" // of those counted: mummies, blackened
	Marks       = "marks"       // 1: the leaf shows the damage, whoever is on it
)

// Tally names one thing counted.
type Tally struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// TallyKinds in the order they are counted on a leaf.
var TallyKinds = []Tally{
	{Pests, "pests"}, {Young, "young"}, {Adults, "grown ones"}, {Upper, "on the upper side"},
	{Helpers, "helpers"}, {Parasitised, "parasitised"}, {Marks, "marked, whoever is on it"},
}

// Count is what was counted, unit by unit: of each one number for each tally, in the
// order of Of. Quick counts say only whether there was any: 1 or 0.
type Count struct {
	Quick  bool     `json:"quick,omitempty" doc:"with or without: every number is 1 or 0"`
	Of     []string `json:"of" maxItems:"7" doc:"tallies: pests, young, adults, upper, helpers, parasitised, marks"`
	Leaves [][]int  `json:"leaves" maxItems:"1000" doc:"one row a leaf or shoot, one number a tally"`
}

// animals is where a tally of pests stands; the first is what quick counts mean.
var animals = []string{Pests, Young, Adults, Upper}

func (c Count) at(row []int, tally string) int {
	if i := slices.Index(c.Of, tally); i >= 0 {
		return row[i]
	}
	return 0
}

// present is how many pests sit on a unit, parasitised ones with them.
func (c Count) present(row []int) int {
	n := 0
	for _, t := range animals {
		n += c.at(row, t)
	}
	return n
}

// Check refuses a count that cannot be. Errors name of, leaves or leaves[i].
func (c Count) Check() error {
	var l fault.List
	if len(c.Of) == 0 {
		l.Add("of", "says not what was counted", "name one tally or more: "+tallyIDs())
	}
	for i, t := range c.Of {
		if !slices.ContainsFunc(TallyKinds, func(k Tally) bool { return k.ID == t }) {
			l.Add(fmt.Sprintf("of[%d]", i), fmt.Sprintf("%q is no tally", t), "use "+tallyIDs())
		}
		if slices.Contains(c.Of[:i], t) {
			l.Add(fmt.Sprintf("of[%d]", i), fmt.Sprintf("%q is counted twice", t), "name each tally once")
		}
	}
	if slices.Contains(c.Of, Pests) && (slices.Contains(c.Of, Young) || slices.Contains(c.Of, Adults)) {
		l.Add("of", "counts pests all together and young or grown ones apart", "count them together, or apart")
	}
	if len(c.Leaves) > mostUnits {
		l.Add("leaves", fmt.Sprintf("more than %d", mostUnits), "count a sample")
	}
	if err := l.Err(); err != nil {
		return err
	}
	for i, row := range c.Leaves {
		field := fmt.Sprintf("leaves[%d]", i)
		if len(row) != len(c.Of) {
			l.Add(field, fmt.Sprintf("has %d numbers for %d tallies", len(row), len(c.Of)), "give one number for each tally, 0 where there is none")
			continue
		}
		for t, n := range row {
			switch {
			case n < 0 || n > mostCount:
				l.Add(field, fmt.Sprintf("%d %s cannot be", n, c.Of[t]), "give a whole number from 0 to 100 000")
			case (c.Quick || c.Of[t] == Marks) && n > 1:
				l.Add(field, fmt.Sprintf("%d where only with or without is said", n), "give 1 for with and 0 for without")
			}
		}
		if !c.Quick && c.at(row, Parasitised) > c.present(row) {
			l.Add(field, fmt.Sprintf("%d parasitised of %d that are there", c.at(row, Parasitised), c.present(row)), "parasitised ones are counted among the pests: put them in both")
		}
	}
	return l.Err()
}

func tallyIDs() string {
	ids := make([]string, len(TallyKinds))
	for i, t := range TallyKinds {
		ids[i] = t.ID
	}
	return strings.Join(ids, ", ")
}

// Counts ready to be held against a level of one tally; ok is false where the count
// says nothing of it: leaves that are flecked tell nothing of leaves with a hopper.
func (c Count) of(tally string) (counts []int, ok bool) {
	var each func(row []int) int
	switch {
	case tally == Pests && slices.ContainsFunc(animals, func(t string) bool { return slices.Contains(c.Of, t) }):
		// What is parasitised does no more harm.
		each = func(row []int) int { return max(0, c.present(row)-c.at(row, Parasitised)) }
	case tally != Pests && slices.Contains(c.Of, tally):
		each = func(row []int) int { return c.at(row, tally) }
	default:
		return nil, false
	}
	for _, row := range c.Leaves {
		counts = append(counts, each(row))
	}
	return counts, true
}

// Held is the count unit by unit of one tally, pests when it is empty; nil where the
// count says nothing of it. What is parasitised is left out of the pests.
func (c Count) Held(tally string) []int {
	out, _ := c.of(cmp.Or(tally, Pests))
	return out
}

// helperRatio is helpers and parasitised ones for each pest that lives, and whether
// they were counted at all.
func (c Count) helperRatio() (ratio float64, ok bool) {
	if c.Quick || !slices.Contains(c.Of, Helpers) && !slices.Contains(c.Of, Parasitised) {
		return 0, false
	}
	live, help := 0, 0
	for _, row := range c.Leaves {
		live += max(0, c.present(row)-c.at(row, Parasitised))
		help += c.at(row, Helpers) + c.at(row, Parasitised)
	}
	return float64(help) / float64(max(live, 1)), true
}
