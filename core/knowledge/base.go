package knowledge

import (
	"slices"
	"sort"

	"botanik/core/microscopy"
	"botanik/core/sprayday"
)

// Base is a whole knowledge base. Slices are sorted by id, but for findings,
// which keep the order of their files: the order of looking. Build
// one with New, never by hand, so that the look-ups agree with the slices.
type Base struct {
	Causes     []*Cause
	Findings   []*Finding
	Hosts      []*Host
	Remedies   []*Remedy
	Conflicts  []*Conflict
	LifeTables []*LifeTable
	Schools    []*School             // in the order of their file
	KindRules  []*KindRule           // in the order of their file
	Sayings    []*Saying             // in the order of their file
	Protocols  []*Protocol           // in the order of their file
	Sampling   []*Sampling           // in the order of their file
	Infections []*sprayday.Infection // in the order of their file
	Winters    []*WinterRule         // in the order of their file
	SlideKey   microscopy.SlideKey   // characters in the order of their file, species by id
	Local      Local                 // where the desk is, by At; empty in the book itself

	cause   map[string]*Cause
	finding map[string]*Finding
	host    map[string]*Host
	remedy  map[string]*Remedy
	life    map[string]*LifeTable
	school  map[string]*School
	spoken  []phrase

	conflict map[[2]string]*Conflict
	written  map[string]*Cause // as their files have them, without what their kind adds
}

// Entries are what a base is built from.
type Entries struct {
	Causes     []*Cause
	Findings   []*Finding
	Hosts      []*Host
	Remedies   []*Remedy
	Conflicts  []*Conflict
	LifeTables []*LifeTable
	Schools    []*School
	KindRules  []*KindRule
	Sayings    []*Saying
	Characters []*microscopy.Character
	Slides     []*microscopy.Species
	Protocols  []*Protocol
	Sampling   []*Sampling
	Infections []*sprayday.Infection
	Winters    []*WinterRule
}

// New indexes the entries. Of two entries with one id the later wins, which is
// how a desk lays its own file over ours.
func New(e Entries) *Base {
	b := &Base{}
	b.KindRules, _ = inOrder(e.KindRules, func(r *KindRule) string { return r.ID })
	b.written = make(map[string]*Cause, len(e.Causes))
	causes := make([]*Cause, len(e.Causes))
	for i, c := range e.Causes {
		causes[i], b.written[c.ID] = b.whole(c), c
	}
	b.Causes, b.cause = index(causes, func(c *Cause) string { return c.ID })
	b.Findings, b.finding = inOrder(e.Findings, func(f *Finding) string { return f.ID })
	b.Hosts, b.host = index(e.Hosts, func(h *Host) string { return h.ID })
	b.Remedies, b.remedy = index(e.Remedies, func(r *Remedy) string { return r.ID })
	b.LifeTables, b.life = index(e.LifeTables, func(l *LifeTable) string { return l.ID })
	b.Sayings, _ = inOrder(e.Sayings, func(x *Saying) string { return x.ID })
	b.Protocols, _ = inOrder(e.Protocols, func(x *Protocol) string { return x.ID })
	b.Infections, _ = inOrder(e.Infections, func(x *sprayday.Infection) string { return x.ID })
	b.Winters, _ = inOrder(e.Winters, func(x *WinterRule) string { return x.Climate })
	b.Sampling, _ = inOrder(e.Sampling, func(x *Sampling) string { return x.ID })
	b.SlideKey.Characters, _ = inOrder(e.Characters, func(x *microscopy.Character) string { return x.ID })
	b.SlideKey.Species, _ = index(e.Slides, func(x *microscopy.Species) string { return x.ID })
	b.Schools, b.school = inOrder(e.Schools, func(s *School) string { return s.ID })
	b.keepApart(e.Conflicts)
	b.readRates()
	b.spoken = b.phrases()
	return b
}

// inOrder is index keeping the order of the files; a later entry of the same
// id takes the earlier one's place.
func inOrder[T any](in []*T, id func(*T) string) ([]*T, map[string]*T) {
	out := []*T{}
	_, m := index(in, id)
	for _, x := range in {
		if at := slices.IndexFunc(out, func(y *T) bool { return id(y) == id(x) }); at >= 0 {
			out[at] = x
		} else {
			out = append(out, x)
		}
	}
	return out, m
}

func index[T any](in []*T, id func(*T) string) ([]*T, map[string]*T) {
	m := make(map[string]*T, len(in))
	for _, x := range in {
		m[id(x)] = x
	}
	out := make([]*T, 0, len(m))
	for _, x := range m {
		out = append(out, x)
	}
	sort.Slice(out, func(i, j int) bool { return id(out[i]) < id(out[j]) })
	return out, m
}

// Cause returns a cause by id, nil when there is none.
func (b *Base) Cause(id string) *Cause { return b.cause[id] }

// Finding returns a finding by id, nil when there is none.
func (b *Base) Finding(id string) *Finding { return b.finding[id] }

// Host returns a host by id, nil when there is none.
func (b *Base) Host(id string) *Host { return b.host[id] }

// Remedy returns a remedy by id, nil when there is none.
func (b *Base) Remedy(id string) *Remedy { return b.remedy[id] }

// School returns a question of the trade by id, nil when there is none.
func (b *Base) School(id string) *School { return b.school[id] }

// LifeTable returns a life table by id, nil when there is none.
func (b *Base) LifeTable(id string) *LifeTable { return b.life[id] }

// Affinity of a cause for a host, as a factor on the prior. The most exact
// word wins: the host itself, its group, its family, its form, then "any". A
// plant the cause is not known on gets a small factor, never nothing: first
// records happen. Figures are judgement.
func (c *Cause) Affinity(id, group, family, form string) float64 {
	for _, key := range [...]string{id, "group:" + group, "family:" + family, "form:" + form, "any"} {
		if w, ok := c.Hosts[key]; ok {
			switch w {
			case "strong":
				return 4
			case "usual":
				return 1
			case "weak":
				return .2
			case "never":
				return 1e-5 // held against the exponent that flattens what is known before looking
			}
		}
	}
	if id == "" && family == "" && group == "" && form == "" {
		return .3
	}
	return .02
}

// Occurs says whether a cause is something that lives and has a name of its own: what is
// given to collections of occurrences, and no shortage, weather or injury.
func (c *Cause) Occurs() bool {
	return c.Scientific != "" && (c.Kind == "pest" || c.Kind == "disease" || c.Kind == "helper")
}

// AtHome reports whether a cause names a host, by itself or by its group or family,
// as one it is usually met on.
func (c *Cause) AtHome(h *Host) bool {
	for _, key := range [...]string{h.ID, "group:" + h.Group, "family:" + h.Family} {
		if w, ok := c.Hosts[key]; ok {
			return w == "strong" || w == "usual"
		}
	}
	return false
}

// Common is the commonness as a factor on the prior; figures are judgement.
func (c *Cause) Common() float64 {
	return map[string]float64{"very common": 8, "common": 4, "occasional": 1.5, "uncommon": .5, "rare": .1}[c.Commonness]
}
