package knowledge

import (
	"slices"
	"strings"
)

// ClassSide marks a side of a conflict that is a whole class of remedies.
const ClassSide = "class:"

// keepApart indexes what is kept apart. A side may be a class; a pair written out
// wins over one that comes of a class, and what stands in for another remedy
// keeps that one's distances where nothing is said of it.
func (b *Base) keepApart(written []*Conflict) {
	b.conflict = map[[2]string]*Conflict{}
	put := func(c *Conflict, x, y string) {
		if x == y || b.pair(x, y) != nil {
			return
		}
		out := *c
		out.A, out.B = x, y
		b.conflict[[2]string{x, y}] = &out
	}
	byClass := func(c *Conflict) bool {
		return strings.HasPrefix(c.A, ClassSide) || strings.HasPrefix(c.B, ClassSide)
	}
	for _, c := range written { // a later file's own pair wins
		if !byClass(c) {
			delete(b.conflict, [2]string{c.B, c.A})
			b.conflict[[2]string{c.A, c.B}] = c
		}
	}
	for _, c := range slices.Backward(written) {
		if !byClass(c) {
			continue
		}
		for _, x := range b.side(c.A) {
			for _, y := range b.side(c.B) {
				put(c, x, y)
			}
		}
	}
	for _, r := range b.Remedies {
		if r.Like == "" {
			continue
		}
		for _, o := range b.Remedies {
			if c := b.pair(r.Like, o.ID); c != nil && c.A == r.Like {
				put(c, r.ID, o.ID)
			} else if c != nil {
				put(c, o.ID, r.ID)
			}
		}
	}
	all := make([]*Conflict, 0, len(b.conflict))
	for _, c := range b.conflict {
		all = append(all, c)
	}
	b.Conflicts, _ = index(all, func(c *Conflict) string { return c.A + "\x00" + c.B })
}

// side is the remedies one side of a conflict speaks of.
func (b *Base) side(s string) []string {
	class, ok := strings.CutPrefix(s, ClassSide)
	if !ok {
		return []string{s}
	}
	out := []string{}
	for _, r := range b.Remedies {
		if r.Is(class) {
			out = append(out, r.ID)
		}
	}
	if len(out) == 0 {
		return []string{s} // kb check says that it is not here
	}
	return out
}

// pair is what is kept between two remedies, in either order; nil when nothing is.
func (b *Base) pair(x, y string) *Conflict {
	if c := b.conflict[[2]string{x, y}]; c != nil {
		return c
	}
	return b.conflict[[2]string{y, x}]
}

// ConflictBetween returns the days to wait to use "next" after "earlier", and
// the conflict, nil when the two do not concern each other.
func (b *Base) ConflictBetween(earlier, next string) (int, *Conflict) {
	c := b.pair(earlier, next)
	if c == nil {
		return 0, nil
	}
	if c.A == earlier {
		return c.DaysAtoB, c
	}
	return c.DaysBtoA, c
}
