package evaluation

import (
	"encoding/json"
	"fmt"
	"io"
	"math"
	"slices"

	"botanik/core/differential"
	"botanik/core/knowledge"
)

// Sample is one independent case as entered.
type Sample struct {
	ID         string              `json:"id"`
	Host       string              `json:"host"`
	Family     string              `json:"family"`
	Form       string              `json:"form"`
	Place      string              `json:"place"`
	Month      int                 `json:"month"`
	South      bool                `json:"south"`
	Looks      []differential.Look `json:"looks"`
	Withheld   []differential.Look `json:"withheld"`
	Truth      []string            `json:"truth_ids"`
	Acceptable []string            `json:"acceptable_ids"`
	Expect     string              `json:"expect"` // cause, two, no-problem, helper, regulated, unknown
	Uncoded    []string            `json:"uncoded"`
	Story      string              `json:"story"`
}

// Read reads a file of cases.
func Read(r io.Reader) ([]Sample, error) {
	var out []Sample
	if err := json.NewDecoder(r).Decode(&out); err != nil {
		return nil, fmt.Errorf("trial cases: %w", err)
	}
	return out, nil
}

// Again is what a case holds more, or other, once the book has words for it.
type Again struct {
	ID         string              `json:"id"`
	Words      string              `json:"words"` // of the case, that this enters
	Host       string              `json:"host,omitempty"`
	Looks      []differential.Look `json:"looks,omitempty"`
	Drop       []string            `json:"drop,omitempty"` // findings answered anew
	Withheld   []differential.Look `json:"withheld,omitempty"`
	Truth      []string            `json:"truth_ids,omitempty"`
	Acceptable []string            `json:"acceptable_ids,omitempty"`
}

// ReadAgain reads what was entered again.
func ReadAgain(r io.Reader) ([]Again, error) {
	var out []Again
	if err := json.NewDecoder(r).Decode(&out); err != nil {
		return nil, fmt.Errorf("trial cases entered again: %w", err)
	}
	return out, nil
}

// Enter lays what was entered again over cases, by id.
func Enter(cases []Sample, again []Again) []Sample {
	out := slices.Clone(cases)
	for _, a := range again {
		i := slices.IndexFunc(out, func(c Sample) bool { return c.ID == a.ID })
		if i < 0 {
			continue
		}
		c := &out[i]
		if a.Host != "" {
			c.Host = a.Host
		}
		dropped := func(l differential.Look) bool { return slices.Contains(a.Drop, l.Finding) }
		c.Looks = append(slices.DeleteFunc(slices.Clone(c.Looks), dropped), a.Looks...)
		c.Withheld = append(slices.DeleteFunc(slices.Clone(c.Withheld), dropped), a.Withheld...)
		if len(a.Truth) > 0 {
			c.Truth = a.Truth
		}
		if len(a.Acceptable) > 0 {
			c.Acceptable = a.Acceptable
		}
	}
	return out
}

// known are the looks the base has words for: a case keeps what it can when the
// vocabulary moves on.
func known(b *knowledge.Base, looks []differential.Look) []differential.Look {
	out := []differential.Look{}
	for _, l := range looks {
		if f := b.Finding(l.Finding); f != nil && f.State(l.State) >= 0 {
			out = append(out, l)
		}
	}
	return out
}

// Outcome is what the engine made of a case.
type Outcome struct {
	Case      Sample
	InBook    bool // the cause, or one as good, is in the book, and the sample can be judged
	Place     int  // of the right cause, 0 first; -1 when not among the candidates
	Leader    string
	P         float64
	Unlisted  float64
	Verdict   string
	Right     bool   // the leader is right
	Plan      bool   // the leader's treatment is right
	BothNow   bool   // both of two are named
	Left      bool   // a sure look is left over, so that nothing is settled
	TruthsToo bool   // and what is true leaves it over as well
	Missed    string // the alarm that was missed, empty when none was
	Referred  bool   // it is for the authority, leads, and is alarmed
	Asked     int
	Standing  differential.Confidence
}

// Settled reports whether it said settled, to the cause or the group.
func (a Outcome) Settled() bool {
	return a.Verdict == differential.Settled || a.Verdict == differential.Group
}

// Wrong reports whether what was settled is treated wrongly.
func (a Outcome) Wrong() bool {
	if a.Verdict == differential.Settled {
		return !a.Right && !a.Plan
	}
	return a.Verdict == differential.Group && !a.Plan
}

// Ask ranks a case as it was entered.
func Ask(e *differential.Engine, c Sample) Outcome { return judge(e, c, c.Looks, 0) }

// Follow ranks it after taking the withheld looks in the order in which the engine
// asks for them, until it has settled or they run out.
func Follow(e *differential.Engine, c Sample) Outcome {
	looks, rest := slices.Clone(c.Looks), known(e.Base, c.Withheld)
	a := judge(e, c, looks, 0)
	for asked := 1; len(rest) > 0 && !a.Settled(); asked++ {
		at := 0
		tell := e.Rank(set(c), known(e.Base, looks)).Tell
		best := len(tell)
		for i, l := range rest {
			if j := slices.Index(tell, l.Finding); j >= 0 && j < best {
				at, best = i, j
			}
		}
		looks = append(slices.DeleteFunc(looks, func(l differential.Look) bool { return l.Finding == rest[at].Finding }), rest[at])
		rest = slices.Delete(rest, at, at+1)
		a = judge(e, c, looks, asked)
	}
	return a
}

func set(c Sample) differential.Circumstances {
	return differential.Circumstances{Host: c.Host, Family: c.Family, Form: c.Form, Place: c.Place, Month: c.Month, South: c.South}
}

func judge(e *differential.Engine, c Sample, looks []differential.Look, asked int) Outcome {
	looks = known(e.Base, looks)
	r := e.Rank(set(c), looks)
	good := []string{}
	groups := map[string]bool{}
	for _, id := range slices.Concat(c.Truth, c.Acceptable) {
		if k := e.Base.Cause(id); k != nil {
			good = append(good, id)
			groups[k.Group] = true
		}
	}
	a := Outcome{Case: c, InBook: len(good) > 0 && c.Expect != "unknown", Place: -1, Leader: r.Leader, P: r.Candidates[0].P, Unlisted: r.Unlisted.P, Verdict: r.Verdict, Asked: asked, Standing: e.Stand(set(c), looks)}
	a.Right = slices.Contains(good, r.Leader)
	if k := e.Base.Cause(r.Leader); k != nil && k.Regulated != "" {
		a.Referred = a.Right && slices.ContainsFunc(r.Alarms, func(x differential.Alarm) bool { return x.Cause == k.ID })
	}
	a.Left = len(r.LeftOver) > 0
	a.TruthsToo = a.Left && a.InBook && len(e.LeftOver(set(c), looks, c.Truth)) > 0
	a.Plan = groups[r.Candidates[0].Group]
	for i, k := range r.Candidates {
		if slices.Contains(good, k.Cause) {
			a.Place = i
			break
		}
	}
	if c.Expect == "two" && len(c.Truth) > 1 {
		top := []string{}
		for _, k := range r.Candidates[:3] {
			top = append(top, k.Cause)
		}
		for _, p := range r.Pairs {
			top = append(top, p.Causes[:]...)
		}
		a.BothNow = slices.Contains(top, c.Truth[0]) && slices.Contains(top, c.Truth[1])
	}
	for _, id := range good {
		k := e.Base.Cause(id)
		alarm := map[bool]string{k.Kind == "helper": "helper", k.Regulated != "": "regulated", k.Danger != "": "people"}[true]
		said := id == r.Leader || slices.ContainsFunc(r.Alarms, func(x differential.Alarm) bool { return x.Cause == id })
		if alarm == "" || said || !slices.Contains(c.Truth, id) {
			a.Missed = ""
			if said && alarm != "" {
				break
			}
			continue
		}
		a.Missed = alarm
	}
	return a
}

// Figures are what make trial prints.
type Figures struct {
	Cases, InBook, Unlisted        int
	First, Three, Plan             int // of those in the book
	FalseUndetermined, UnknownSaid int
	Settled, WrongSettled          int // of those in the book
	Referred                       int // of those in the book: not for a desk to settle, rightly led and alarmed
	UnlistedSettled                int
	Left, TruthsToo                int // a sure look left over by what leads, and by what is true as well, of those in the book
	Missed                         map[string]int
	Two, Both                      int
	Calibration                    float64 // expected error over ten bins, of all cases
	Noise                          float64 // what a perfectly calibrated teller would show on so few
	MeanAsked                      float64
}

// Tally sums answers up.
func Tally(as []Outcome) Figures {
	f := Figures{Cases: len(as), Missed: map[string]int{}}
	var n, hit, said [10]float64
	for _, a := range as {
		f.MeanAsked += float64(a.Asked) / float64(len(as))
		k := min(9, int(a.P*10))
		n[k]++
		said[k] += a.P
		if a.Right {
			hit[k]++
		}
		if a.Missed != "" {
			f.Missed[a.Missed]++
		}
		if a.Case.Expect == "two" && len(a.Case.Truth) > 1 {
			f.Two++
			if a.BothNow {
				f.Both++
			}
		}
		if !a.InBook {
			f.Unlisted++
			if a.Verdict == differential.Undetermined {
				f.UnknownSaid++
			}
			if a.Settled() {
				f.UnlistedSettled++
			}
			continue
		}
		f.InBook++
		count(&f.First, a.Right)
		count(&f.Three, a.Place >= 0 && a.Place < 3)
		count(&f.Plan, a.Plan)
		count(&f.FalseUndetermined, a.Verdict == differential.Undetermined)
		count(&f.Settled, a.Settled())
		count(&f.Left, a.Left)
		count(&f.TruthsToo, a.TruthsToo)
		count(&f.WrongSettled, a.Wrong())
		count(&f.Referred, a.Referred && !a.Settled())
	}
	for k := range n {
		f.Calibration += math.Abs(hit[k]-said[k]) / float64(len(as))
		if n[k] > 0 { // mean absolute deviation of a binomial, by the normal
			p := said[k] / n[k]
			f.Noise += math.Sqrt(2/math.Pi) * math.Sqrt(n[k]*p*(1-p)) / float64(len(as))
		}
	}
	return f
}

func count(n *int, yes bool) {
	if yes {
		*n++
	}
}
