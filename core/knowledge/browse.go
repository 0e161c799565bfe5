package knowledge

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
)

// Match is a cause found by what is seen and on which plant.
type Match struct {
	Cause    string  `json:"cause"`
	Weight   float64 `json:"weight" doc:"how well it answers: the product of its own frequencies, 0 to 1"`
	Affinity string  `json:"affinity,omitempty" doc:"strong, usual or weak on the plant asked about"`
}

// Browse lists the causes that bring every sign asked for at least sometimes
// (by their own entry, not by background) and are at home on a host, the
// likeliest first. An empty host or no signs leaves that question out. Errors
// name an unknown host, finding or state.
func (b *Base) Browse(host string, seen []string) ([]Match, error) {
	var l fault.List
	h := b.Host(host)
	if host != "" && h == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", host), "use an id from kb list hosts")
	}
	type sign struct{ finding, state string }
	signs := []sign{}
	for i, s := range seen {
		f, st, _ := strings.Cut(s, "=")
		find := b.Finding(f)
		switch {
		case find == nil:
			l.Add(fmt.Sprintf("seen[%d]", i), fmt.Sprintf("%q is not a finding of the herbarium", f), "write it as finding=state, from kb list findings")
		case find.State(st) < 0:
			l.Add(fmt.Sprintf("seen[%d]", i), fmt.Sprintf("%s has no state %q", f, st), "write it as finding=state, from kb list findings")
		}
		signs = append(signs, sign{f, st})
	}
	if err := l.Err(); err != nil {
		return nil, err
	}
	out := []Match{}
	for _, c := range b.Causes {
		m := Match{Cause: c.ID, Weight: 1}
		for _, s := range signs {
			p := c.Findings[s.finding][s.state].P()
			if p < Frequency("sometimes").P() {
				m.Weight = 0
				break
			}
			m.Weight *= p
		}
		if m.Weight == 0 {
			continue
		}
		if h != nil {
			switch a := c.Affinity(h.ID, h.Group, h.Family, h.Form); {
			case a >= 4:
				m.Affinity = "strong"
			case a >= 1:
				m.Affinity = "usual"
			case a >= .2:
				m.Affinity = "weak"
			default:
				continue
			}
		}
		out = append(out, m)
	}
	rank := map[string]int{"strong": 0, "usual": 1, "weak": 2, "": 0}
	slices.SortStableFunc(out, func(x, y Match) int {
		return cmp.Or(cmp.Compare(y.Weight, x.Weight), cmp.Compare(rank[x.Affinity], rank[y.Affinity]), cmp.Compare(x.Cause, y.Cause))
	})
	return out, nil
}
