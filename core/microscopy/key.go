package microscopy

import (
	"fmt"
	"slices"
	"sort"

	"botanik/core/fault"
)

// Character is one thing seen or measured on a slide.
type Character struct {
	ID      string         `json:"id" yaml:"id"`
	Group   string         `json:"group" yaml:"group" doc:"of which animals"`
	Name    string         `json:"name" yaml:"name" doc:"in plain words"`
	Term    string         `json:"term" yaml:"term" doc:"the field's own word"`
	Hint    string         `json:"hint" yaml:"hint"`
	Spot    string         `json:"spot" yaml:"spot" doc:"where on the drawing of the group it lies"`
	States  []SlideState   `json:"states,omitempty" yaml:"states"`
	Measure *MeasuredRatio `json:"measure,omitempty" yaml:"measure"`
	Looks   *Looks         `json:"looks,omitempty" yaml:"looks"`
	From    string         `json:"from,omitempty" yaml:"-"`
}

// SlideState is one way a character can be.
type SlideState struct {
	ID   string `json:"id" yaml:"id"`
	Name string `json:"name" yaml:"name"`
}

// MeasuredRatio is two lengths read under one objective, and where keys divide.
type MeasuredRatio struct {
	A    string  `json:"a" yaml:"a"`
	B    string  `json:"b" yaml:"b" doc:"empty where a length in µm is measured and no ratio"`
	Line float64 `json:"line" yaml:"line"`
}

// Looks says which answer of a case's looks a character gives: by its states, or
// by above and below the line.
type Looks struct {
	Finding string            `json:"finding" yaml:"finding"`
	States  map[string]string `json:"states" yaml:"states"`
}

// Species is one species told on a slide.
type Species struct {
	ID         string                `json:"id" yaml:"id"`
	Name       string                `json:"name" yaml:"name"`
	Scientific string                `json:"scientific" yaml:"scientific"`
	Group      string                `json:"group" yaml:"group"`
	Cause      string                `json:"cause,omitempty" yaml:"cause" doc:"the cause in the book it is, where there is one"`
	States     map[string][]string   `json:"states" yaml:"states" doc:"what it shows of each character; not named, it is not known"`
	Ranges     map[string][2]float64 `json:"ranges,omitempty" yaml:"ranges" doc:"measured ratios, least and most"`
	Hosts      []string              `json:"hosts" yaml:"hosts" doc:"plants it is met on most, by id, group or family"`
	Source     string                `json:"source" yaml:"source"`
	From       string                `json:"from,omitempty" yaml:"-"`
}

// SlideKey is a slide key.
type SlideKey struct {
	Characters []*Character
	Species    []*Species
}

// Seen is what was found of one character: a state, or a measured ratio.
type Seen struct {
	Character string  `json:"character" maxLength:"40"`
	State     string  `json:"state,omitempty" maxLength:"40"`
	Ratio     float64 `json:"ratio,omitempty" doc:"of a measured character"`
	SD        float64 `json:"sd,omitempty" doc:"of the ratio; 8 in 100 of it when left out"`
	Certainty string  `json:"certainty,omitempty" enum:"sure,think,guess," doc:"sure when left out"`
}

// SpeciesFit is how well a species agrees with what was seen.
type SpeciesFit struct {
	Species    string   `json:"species"`
	Name       string   `json:"name"`
	Scientific string   `json:"scientific"`
	Cause      string   `json:"cause,omitempty"`
	P          float64  `json:"p"`
	Possible   bool     `json:"possible" doc:"nothing that was seen speaks against it, or too little"`
	Against    []string `json:"against" doc:"characters seen otherwise than it has them, by their names"`
	OnHost     bool     `json:"onHost" doc:"it is met on the plant"`
}

// Couplet is what to look at next and what each answer would leave.
type Couplet struct {
	Character string   `json:"character"`
	Name      string   `json:"name"`
	Bits      float64  `json:"bits"`
	Leaves    []Leaves `json:"leaves"`
}

// Leaves is what an answer would leave.
type Leaves struct {
	State   string   `json:"state" doc:"a state, or above or below the line"`
	Name    string   `json:"name"`
	P       float64  `json:"p"`
	Species []string `json:"species" doc:"names, likeliest first, at most six"`
	More    int      `json:"more" doc:"how many beside those"`
}

// Keyed is the answer of a key.
type Keyed struct {
	Fits  []SpeciesFit `json:"fits" doc:"all of the group, likeliest first"`
	Next  *Couplet     `json:"next,omitempty"`
	Sure  bool         `json:"sure" doc:"it would be the same name, had any one answer been wrong"`
	Says  string       `json:"says"`
	Notes []string     `json:"notes"`
}

const (
	// How often an answer of the key is wrong, by how sure one is (judgement).
	wrongSure, wrongThink, wrongGuess = .06, .15, .35
	onHost                            = 3.  // how much likelier on a plant it is met on (judgement)
	measuredSD                        = .08 // of a ratio, when nobody says
	stillPossible                     = .01 // of the leader
	nameAt, heldAt                    = .95, .85
	outOfPlay                         = 1e-4 // below which a species bears on no couplet
	leastSeen                         = 4    // characters before a name is sure
)

// Groups of animals the key holds, in the order of its characters.
func (k SlideKey) Groups() []string {
	out := []string{}
	for _, c := range k.Characters {
		if !slices.Contains(out, c.Group) {
			out = append(out, c.Group)
		}
	}
	return out
}

// Of is the part of the key for one group of animals.
func (k SlideKey) Of(group string) SlideKey {
	var out SlideKey
	for _, c := range k.Characters {
		if c.Group == group {
			out.Characters = append(out.Characters, c)
		}
	}
	for _, s := range k.Species {
		if s.Group == group {
			out.Species = append(out.Species, s)
		}
	}
	return out
}

// Character returns a character by id, nil when there is none.
func (k SlideKey) Character(id string) *Character {
	for _, c := range k.Characters {
		if c.ID == id {
			return c
		}
	}
	return nil
}

// Identify weighs the species of a group by what was seen, in any order. hosts are
// the plant's id, group and family, empty where it is not known. Errors name group
// or seen[i].
func (k SlideKey) Identify(group string, seen []Seen, hosts []string) (Keyed, error) {
	k = k.Of(group)
	if len(k.Species) == 0 {
		return Keyed{}, fault.New("group", fmt.Sprintf("%q is no group of this key", group), "use one that kb list slides shows")
	}
	if err := k.check(seen); err != nil {
		return Keyed{}, err
	}
	p := k.weigh(seen, hosts, -1)
	out := Keyed{Fits: make([]SpeciesFit, len(k.Species)), Notes: []string{}}
	top := slices.Max(p)
	for i, s := range k.Species {
		out.Fits[i] = SpeciesFit{s.ID, s.Name, s.Scientific, s.Cause, p[i], p[i] >= stillPossible*top, k.against(s, seen), s.on(hosts)}
	}
	lead := slices.Index(p, top)
	out.Sure = len(seen) >= leastSeen && top >= nameAt
	for i := 0; out.Sure && i < len(seen); i++ {
		if q := k.weigh(seen, hosts, i); slices.Index(q, slices.Max(q)) != lead || q[lead] < heldAt {
			out.Sure = false
		}
	}
	sort.SliceStable(out.Fits, func(i, j int) bool { return out.Fits[i].P > out.Fits[j].P })
	if !out.Sure {
		out.Next = k.next(seen, p)
	}
	out.say(seen, hosts)
	return out, nil
}

func (k SlideKey) check(seen []Seen) error {
	var l fault.List
	done := map[string]bool{}
	for i, x := range seen {
		at := fmt.Sprintf("seen[%d]", i)
		c := k.Character(x.Character)
		switch {
		case c == nil:
			l.Add(at+".character", fmt.Sprintf("%q is no character of this group", x.Character), "use one of its own")
		case done[x.Character]:
			l.Add(at+".character", fmt.Sprintf("%q is answered twice", x.Character), "answer it once")
		case c.Measure == nil && !slices.ContainsFunc(c.States, func(s SlideState) bool { return s.ID == x.State }):
			l.Add(at+".state", fmt.Sprintf("%q is no state of %s", x.State, c.Name), "use one of its own")
		case c.Measure != nil && !(x.Ratio > 0 && x.Ratio < 1e3):
			l.Add(at+".ratio", fmt.Sprintf("%g is no ratio", x.Ratio), "measure both lengths and give the first divided by the second")
		case !(x.SD >= 0 && x.SD < 1e3):
			l.Add(at+".sd", fmt.Sprintf("%g cannot be", x.SD), "leave it out for 8 in 100")
		}
		done[x.Character] = true
	}
	return l.Err()
}

func (k SlideKey) against(s *Species, seen []Seen) []string {
	out := []string{}
	for _, x := range seen {
		c := k.Character(x.Character)
		if r, ok := s.Ranges[c.ID]; ok && c.Measure != nil {
			sd := x.SD
			if sd == 0 {
				sd = measuredSD * x.Ratio
			}
			if x.Ratio < r[0]-2*sd || x.Ratio > r[1]+2*sd {
				out = append(out, c.Name)
			}
		}
		if has := s.States[c.ID]; len(has) > 0 && !slices.Contains(has, x.State) {
			out = append(out, c.Name)
		}
	}
	return out
}

func (a *Keyed) say(seen []Seen, hosts []string) {
	lead := a.Fits[0]
	possible := 0
	for _, f := range a.Fits {
		if f.Possible {
			possible++
		}
	}
	switch {
	case len(seen) == 0:
		a.Says = fmt.Sprintf("%d species; any character may be answered first.", len(a.Fits))
	case a.Sure:
		a.Says = fmt.Sprintf("%s. The name would be the same had any one answer been wrong.", lead.Name)
	case len(seen) > 0 && a.Next == nil:
		a.Says = fmt.Sprintf("%s leads, %.0f in 100, and nothing more in this key would tell: send the slide to a specialist.", lead.Name, min(99, 100*lead.P))
	default:
		a.Says = fmt.Sprintf("%d of %d still possible; %s leads, %.0f in 100.", possible, len(a.Fits), lead.Name, min(99, 100*lead.P))
	}
	if len(seen) >= leastSeen && len(lead.Against) > 1 {
		a.Notes = append(a.Notes, fmt.Sprintf("Even what leads differs in %d characters: it may be none of these species, or not of this group.", len(lead.Against)))
	}
	if len(hosts) > 0 && lead.P >= .5 && !lead.OnHost {
		a.Notes = append(a.Notes, fmt.Sprintf("%s is not usually met on this plant; look once more at what decided it.", lead.Name))
	}
}
