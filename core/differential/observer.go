package differential

import (
	"slices"

	"botanik/core/knowledge"
)

// What is written is not always what is there. The rates say how often a line is
// written wrongly: by how sure the advisor is, by what was used, and by who tells
// it. They are where the model starts from (models.md) and were left there: the
// shared trial cases are too few to move them one by one.
const (
	slipSure   = .05
	slipThink  = .15
	slipGuess  = .4
	slipEye    = .2  // a lens sign judged by naked eye
	slipStory  = .12 // what the grower says
	slipBlind  = .2  // of wrong lines, the share that could be any state at all
	takenShare = .5  // of wrong lines, the share that goes to what a state is taken for, where that is known

	// unsaid is how often a state that is there is not written down when another of
	// the same finding is: fitted on the trial cases, whose advisors noted further
	// signs in words where the form took one.
	unsaid = .8

	nLevels = 9
)

// certainties are the levels with what the finding asks for; naked eye where it
// asks for more is three higher, and what the grower tells of it six.
var certainties = map[string]int{"sure": 0, "": 0, "think": 1, "guess": 2}

const (
	byEye  = 3
	byTale = 6
)

// FromHistory is the instrument of what the grower says and nobody at the desk has seen.
const FromHistory = "told"

// reading is a finding made ready: how often each state is met, and what is
// written when it is misread.
type reading struct {
	find  *knowledge.Finding
	at    int // row of its first state
	bg    []float64
	err   [nLevels]float64
	blind []float64   // what a blind slip writes
	slips [][]float64 // true state → what is written wrongly, nil when none is declared
}

func newReading(f *knowledge.Finding, at int) reading {
	r := reading{find: f, at: at, bg: f.Background()}
	base := slipSure
	if f.How == "asked" {
		base = either(base, slipStory)
	}
	if f.Misread > 0 {
		base = max(base, f.Misread)
	}
	for l := range r.err {
		e := base
		switch l % byEye {
		case 1:
			e = either(e, slipThink-slipSure)
		case 2:
			e = either(e, slipGuess-slipSure)
		}
		switch {
		case l >= byTale && f.How != "asked":
			e = either(e, slipStory)
		case l >= byEye && l < byTale:
			e = either(e, slipEye)
		}
		r.err[l] = e
	}
	n := float64(len(f.States))
	for _, p := range r.bg {
		r.blind = append(r.blind, (1-slipBlind)*p+slipBlind/n)
	}
	for i, s := range f.States {
		to := slices.DeleteFunc(slices.Clone(s.TakenFor), func(id string) bool { return f.State(id) < 0 })
		if len(to) == 0 {
			continue
		}
		if r.slips == nil {
			r.slips = make([][]float64, len(f.States))
		}
		r.slips[i] = make([]float64, len(f.States))
		for j, p := range r.blind {
			r.slips[i][j] = (1 - takenShare) * p
		}
		for _, id := range to {
			r.slips[i][f.State(id)] += takenShare / float64(len(to))
		}
	}
	return r
}

// either is the chance of one mishap or another.
func either(a, b float64) float64 { return 1 - (1-a)*(1-b) }

// written is the chance that a state is written when the states are there with
// chances p; it is linear in p, so it holds for a mixture of causes too.
func (r *reading) written(p []float64, s, level int) float64 {
	e := r.err[level]
	if r.slips == nil {
		return (1-e)*p[s] + e*r.blind[s]
	}
	wrong, whole := 0.0, 0.0
	for t, q := range p {
		if r.find.Many && r.find.States[t].Absent {
			continue
		}
		to := r.blind
		if r.slips[t] != nil {
			to = r.slips[t]
		}
		wrong += q * to[s]
		whole += q
	}
	if whole > 1 {
		wrong /= whole
	} else {
		wrong += (1 - whole) * r.blind[s]
	}
	return (1-e)*p[s] + e*wrong
}

// leftOut is the chance that a state is not written though others of the same
// finding are.
func leftOut(p float64) float64 { return 1 - p*(1-unsaid) }

// alone is the chance of each state being the one written where only one is: of a
// finding of many states, its states and none shared out.
func (r *reading) alone(p []float64, dst []float64) {
	sum := 0.0
	for s := range r.find.States {
		dst[s] = r.written(p, s, 0)
		sum += dst[s]
	}
	for s := range dst {
		dst[s] /= sum
	}
}
