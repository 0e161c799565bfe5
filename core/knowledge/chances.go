package knowledge

import "math"

// Background returns how often each state of a finding is met on a plant brought
// in for any reason, 0 to 1: shares of one whole. In a finding of many states they
// are the rates of each by itself, and that of the absent state is none of them.
func (f *Finding) Background() []float64 {
	out := make([]float64, len(f.States))
	sum := 0.0
	for i, s := range f.States {
		out[i] = s.Background.P()
		sum += out[i]
	}
	for i := range out {
		out[i] /= sum
	}
	if f.Many {
		f.setNone(out)
	}
	return out
}

// setNone makes the absent state of a finding of many states the chance that
// none of the others is there.
func (f *Finding) setNone(p []float64) {
	none := 1.0
	for i, s := range f.States {
		if !s.Absent {
			none *= 1 - p[i]
		}
	}
	for i, s := range f.States {
		if s.Absent {
			p[i] = none
		}
	}
}

// least is the chance left to what a cause says nothing of when its own words
// fill the whole: the scale's "never".
const least = .003

// Chances returns P(state | cause) for every state of a finding, 0 to 1; they sum
// to one where the states exclude each other. Where several can stand together
// each is a chance by itself, and the absent state that of none.
//
// What a cause names has its word. What it does not name never gets more than the
// background: naming an absence lowers every presence in proportion, and naming a
// presence gives what is left first to the absent state. A finding it does not
// mention has the background rates.
func (c *Cause) Chances(f *Finding) []float64 {
	bg := f.Background()
	said := c.Findings[f.ID]
	if len(said) == 0 {
		return bg
	}
	if f.Many {
		return c.manyChances(f, bg, said)
	}
	out := make([]float64, len(bg))
	given, rest := 0.0, 0.0
	absent := -1
	for i, s := range f.States {
		if s.Absent {
			absent = i
		}
		if w, ok := said[s.ID]; ok {
			out[i] = w.P()
			given += out[i]
		} else {
			rest += bg[i]
		}
	}
	left := max(least, 1-given)
	share := 0.0
	if rest > 0 {
		share = left / rest
	}
	if absent >= 0 {
		share = min(1, share) // what is over is absence
	}
	sum := 0.0
	for i, s := range f.States {
		if _, ok := said[s.ID]; !ok {
			out[i] = max(bg[i]*share, least*bg[i])
		}
		sum += out[i]
	}
	if absent >= 0 && sum < 1 {
		out[absent] += 1 - sum
		sum = 1
	}
	for i := range out {
		out[i] /= sum
	}
	return out
}

// manyChances is Chances where several states can stand together.
func (c *Cause) manyChances(f *Finding, bg []float64, said map[string]Frequency) []float64 {
	out := make([]float64, len(bg))
	share, absent, named := 1.0, -1, false
	for i, s := range f.States {
		if !s.Absent {
			continue
		}
		absent = i
		if w, ok := said[s.ID]; ok {
			named = true
			if bg[i] < 1 {
				share = min(1, max(least, 1-w.P())/(1-bg[i]))
			}
		}
	}
	for i, s := range f.States {
		switch w, ok := said[s.ID]; {
		case s.Absent:
		case ok:
			out[i] = min(w.P(), 1-least)
		default:
			out[i] = bg[i] * share
		}
	}
	f.setNone(out)
	if named { // its own word, where that is more: not all it names need stand by themselves
		out[absent] = math.Max(out[absent], said[f.States[absent].ID].P())
	}
	return out
}
