package training

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/differential"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// Sample is a made-up sample: what is there, which whoever practises finds out by looking.
type Sample struct {
	Setting differential.Circumstances `json:"setting"`
	Cause   string                     `json:"cause,omitempty"` // empty: nothing of the book
	There   map[string][]string        `json:"there"`           // finding → the states that are there
	Story   string                     `json:"story"`
	Holds   string                     `json:"holds,omitempty"` // what the grower\'s sprayer holds
	Only    bool                       `json:"only,omitempty"`  // a real sample of before: only what was looked at then can be looked at
}

// How samples are drawn (judgement): how often it is nothing of the book, how often the
// grower's guess leads astray, and how often a sample is drawn anew because no expert could
// tell it either.
const (
	unlistedShare = .1
	astrayShare   = .3
	redraws       = 30
	// hardly is the frequency of what a cause never shows: a sample has none of it.
	hardly = .005
)

// Dice is where chance comes from: the same dice make the same sample.
type Dice interface {
	Float64() float64
	IntN(n int) int
}

// Draw makes a sample. weight says how much each cause matters to who practises, 1
// for the usual; a cause of weight 0 is not drawn. The sample is honest (no state its cause
// never has, and no slip of whoever looks) and can be told: an expert that asks by the book
// ends at the right plan, or, of what is not in the book, at sending it on. An error when
// nothing can be drawn.
func Draw(e *differential.Engine, r Dice, south bool, weight func(*knowledge.Cause) float64) (Sample, error) {
	causes, sum := []*knowledge.Cause{}, 0.
	for _, c := range e.Base.Causes {
		if w := weight(c); w > 0 && c.LabOnly == "" {
			causes = append(causes, c)
			sum += w * c.Common()
		}
	}
	if len(causes) == 0 {
		return Sample{}, fmt.Errorf("no cause can be drawn")
	}
	for range redraws {
		x, c := r.Float64()*sum, causes[len(causes)-1]
		for _, k := range causes {
			if x -= weight(k) * k.Common(); x <= 0 {
				c = k
				break
			}
		}
		s := Sample{Setting: home(e.Base, c, r, south), Cause: c.ID}
		of := func() *knowledge.Cause { return c }
		if r.Float64() < unlistedShare {
			// Another member of its class each time: what none of them is.
			kin := slices.DeleteFunc(slices.Clone(e.Base.Causes), func(k *knowledge.Cause) bool { return k.Kind != c.Kind })
			of = func() *knowledge.Cause { return kin[r.IntN(len(kin))] }
			s.Cause = ""
		}
		s.There = show(e.Base, of, r)
		s.Story = story(e.Base, c, s, r)
		s.Holds = sprayers[r.IntN(len(sprayers))]
		if path := Expert(e, s); ends(e, s, path) {
			return s, nil
		}
	}
	return Sample{}, fmt.Errorf("no sample of these causes can be told by an expert; choose more of them")
}

// ends says whether a path ends at the truth.
func ends(e *differential.Engine, s Sample, path []LookTaken) bool {
	looks := []differential.Look{}
	for _, x := range path {
		looks = append(looks, s.Answer(e.Base, x.Finding)...)
	}
	r := e.Rank(s.Setting, looks)
	if s.Cause == "" {
		return r.Verdict == differential.Undetermined
	}
	lead, truth := e.Base.Cause(r.Leader), e.Base.Cause(s.Cause)
	return lead != nil && lead.Group == truth.Group && r.Verdict != differential.Undetermined
}

// home is a plant, a place and a month in which a cause is at home.
func home(b *knowledge.Base, c *knowledge.Cause, r Dice, south bool) differential.Circumstances {
	out, best := differential.Circumstances{Place: "garden", Month: 1 + r.IntN(12), South: south}, -1.
	for range 300 {
		h := b.Hosts[r.IntN(len(b.Hosts))]
		if a := c.Affinity(h.ID, h.Group, h.Family, h.Form) + .3*r.Float64(); a > best {
			best, out.Host = a, h.ID
			out.Place = []string{"garden", "garden", "balcony", "greenhouse"}[r.IntN(4)]
			if h.Form == "palm" || slices.Contains(knowledge.RoomForms, h.Form) {
				out.Place = []string{"indoors", "indoors", "greenhouse"}[r.IntN(3)]
			}
		}
	}
	if len(c.Places) > 0 && !slices.Contains(c.Places, out.Place) {
		out.Place = c.Places[r.IntN(len(c.Places))]
	}
	if len(c.Months) > 0 {
		if out.Month = c.Months[r.IntN(len(c.Months))]; south {
			out.Month = (out.Month+5)%12 + 1
		}
	}
	return out
}

// show draws what is there, finding by finding.
func show(b *knowledge.Base, of func() *knowledge.Cause, r Dice) map[string][]string {
	out := map[string][]string{}
	for _, f := range b.Findings {
		ch := slices.Clone(of().Chances(f))
		sum := 0.
		for s := range ch {
			if ch[s] < hardly || f.States[s].Unfit {
				ch[s] = 0
			}
			sum += ch[s]
		}
		u := r.Float64() * sum
		for s, p := range ch {
			if f.Many {
				if !f.States[s].Absent && r.Float64() < p {
					out[f.ID] = append(out[f.ID], f.States[s].ID)
				}
				continue
			}
			if p == 0 {
				continue
			}
			out[f.ID] = []string{f.States[s].ID}
			if u -= p; u <= 0 {
				break
			}
		}
	}
	return out
}

// Answer is what a look finds.
func (s Sample) Answer(b *knowledge.Base, finding string) []differential.Look {
	f := b.Finding(finding)
	if f == nil {
		return nil
	}
	out := []differential.Look{}
	for _, st := range s.There[finding] {
		out = append(out, differential.Look{Finding: finding, State: st})
	}
	if len(out) > 0 || s.Only {
		return out
	}
	for _, st := range f.States {
		if st.Absent {
			return []differential.Look{{Finding: finding, State: st.ID}}
		}
	}
	return nil
}

// story is what the grower says: one thing they saw, when the plant is theirs, and often a
// guess, which may be a look-alike.
func story(b *knowledge.Base, c *knowledge.Cause, s Sample, r Dice) string {
	said := []string{}
	for _, f := range b.Findings {
		if f.How != "eye" || f.Part == "asked" {
			continue
		}
		for _, id := range s.There[f.ID] {
			st := f.States[f.State(id)]
			if !st.Absent && st.Said != "" && st.Background.P() < .3 {
				said = append(said, humanise.InSentence(st.Said))
			}
		}
	}
	out := "It does not look well"
	if len(said) > 0 {
		out = said[r.IntN(len(said))]
		out = strings.ToUpper(out[:1]) + out[1:]
	}
	switch x := r.Float64(); {
	case x < astrayShare && len(c.LookAlikes) > 0:
		if k := b.Cause(c.LookAlikes[r.IntN(len(c.LookAlikes))].Cause); k != nil {
			return out + ". I think it is " + humanise.InSentence(k.Name) + "."
		}
	case x > .8:
		return out + ". My neighbour has it too."
	}
	return out + "."
}

// LookTaken is one look of a case, with what it told.
type LookTaken struct {
	Finding     string              `json:"finding"`
	Name        string              `json:"name"`
	Saw         []string            `json:"saw"`
	Looks       []differential.Look `json:"looks" doc:"the same, as it is recorded: for drawing"`
	Minutes     float64             `json:"minutes"`
	Destructive bool                `json:"destructive,omitempty"`
	Bits        float64             `json:"bits" doc:"what it told of the truth: log2 of how much likelier the right plan is after it"`
	P           float64             `json:"p" doc:"how likely the right plan is after it"`
	Leads       string              `json:"leads" doc:"what leads after it"`
	Needless    bool                `json:"needless,omitempty" doc:"it told nothing, or used up what a gentler look would have told"`
	Better      string              `json:"better,omitempty" doc:"what an expert would have asked here"`
	BetterBits  float64             `json:"betterBits,omitempty"`
}

// mostSteps are how many looks an expert takes at most.
const mostSteps = 14

// Expert goes through a sample as the book would: each time the look worth most per minute,
// until looking can end.
func Expert(e *differential.Engine, s Sample) []LookTaken {
	out, looks := []LookTaken{}, []differential.Look{}
	p := right(e, s, looks)
	for range mostSteps {
		r := e.Rank(s.Setting, looks)
		next := s.best(e, looks)
		if len(out) > 0 && r.Stop != "" || next == "" || r.Verdict == differential.Settled {
			break
		}
		step, got := take(e, s, looks, next, p)
		looks, p = got, step.P
		out = append(out, step)
	}
	return out
}

// best is the look worth most now, of those that can be taken; empty where there is none.
func (s Sample) best(e *differential.Engine, looks []differential.Look) string {
	most := 6
	if s.Only {
		most = len(e.Base.Findings)
	}
	for _, n := range e.Next(s.Setting, looks, most) {
		if len(s.Answer(e.Base, n.Finding)) > 0 {
			return n.Finding
		}
	}
	return ""
}

// take is one look.
func take(e *differential.Engine, s Sample, looks []differential.Look, finding string, before float64) (LookTaken, []differential.Look) {
	f := e.Base.Finding(finding)
	got := s.Answer(e.Base, finding)
	step := LookTaken{Finding: finding, Name: f.Name, Minutes: f.Minutes, Destructive: f.Destructive, Saw: []string{}, Looks: got}
	if got == nil {
		step.Looks = []differential.Look{}
	}
	for _, l := range got {
		step.Saw = append(step.Saw, f.States[f.State(l.State)].Name)
	}
	looks = append(slices.Clone(looks), got...)
	step.P = right(e, s, looks)
	step.Bits = math.Log2(step.P / before)
	if r := e.Rank(s.Setting, looks); r.Leader != "" {
		step.Leads = e.Base.Cause(r.Leader).Name
	}
	return step, looks
}

// right is how likely the right plan is: of the causes that are treated as the truth is, or
// of nothing of the book.
func right(e *differential.Engine, s Sample, looks []differential.Look) float64 {
	post := make([]float64, len(e.Base.Causes))
	unlisted := e.Posterior(post, s.Setting, looks)
	if s.Cause == "" {
		return math.Max(unlisted, 1e-9)
	}
	group, sum := e.Base.Cause(s.Cause).Group, 0.
	for i, c := range e.Base.Causes {
		if c.Group == group {
			sum += math.Exp(post[i])
		}
	}
	return math.Max(sum, 1e-9)
}
