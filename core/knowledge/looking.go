package knowledge

import "slices"

// InOrderOfLooking is the findings as one goes through them: by the groups of
// lines inside a part, else as their files have them.
func (b *Base) InOrderOfLooking() []*Finding {
	out := slices.Clone(b.Findings)
	place := func(f *Finding) int {
		if i := slices.Index(Topics, f.Topic); i >= 0 {
			return i
		}
		return len(Topics)
	}
	slices.SortStableFunc(out, func(x, y *Finding) int { return place(x) - place(y) })
	return out
}

// The rungs a house may have a word on: products, short of what is only referred.
const (
	policedFrom = 4
	policedTo   = 6
)

// Policed reports whether a house may have a policy on a remedy.
func (r *Remedy) Policed() bool { return r.Rung >= policedFrom && r.Rung <= policedTo }

// PolicedRemedies are those a house may have a policy on, mildest first.
func (b *Base) PolicedRemedies() []string {
	list := slices.DeleteFunc(slices.Clone(b.Remedies), func(r *Remedy) bool { return !r.Policed() })
	slices.SortStableFunc(list, func(x, y *Remedy) int { return x.Rung - y.Rung })
	out := make([]string, len(list))
	for i, r := range list {
		out[i] = r.ID
	}
	return out
}
