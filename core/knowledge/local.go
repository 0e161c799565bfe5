package knowledge

import (
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
)

// Climates and Regions are the words for where a desk is and where a cause is at
// home. A cause that names none is met anywhere.
var (
	Climates = []string{"cold", "mild", "dry summer", "hot and dry", "warm and wet", "tropical"}
	Regions  = []string{"Europe", "North America", "South America", "Africa", "Asia", "Australia and New Zealand"}
)

// Local is where a desk is and what it says of single causes there.
type Local struct {
	Climate string               `json:"climate,omitempty" enum:"cold,mild,dry summer,hot and dry,warm and wet,tropical," doc:"cold: hard winters; mild: wet mild winters; the rest as they say; empty when not said"`
	Region  string               `json:"region,omitempty" enum:"Europe,North America,South America,Africa,Asia,Australia and New Zealand," doc:"part of the world; empty when not said"`
	Causes  map[string]LocalWord `json:"causes,omitempty" doc:"cause id → what holds of it here"`
}

// LocalWord is what a desk says of a cause: how often it is met here, and whether
// the authority wants it reported. Empty leaves it to the book.
type LocalWord struct {
	Here   string `json:"here,omitempty" enum:"common,seldom,not here," doc:"how often it is met here"`
	Report string `json:"report,omitempty" enum:"yes,no," doc:"whether it has to be reported here"`
}

// What cannot be there weighs little and is never impossible: plants travel. Factors
// on the prior, all judgement.
const (
	offClimate   = .2 // outdoors
	offRegion    = .15
	offRegionReg = .4 // of what the lists of the authorities are for: new arrivals
	notHere      = .05
)

// At is the book as a desk at a place has it: its own words on how common a cause
// is and on what has to be reported. The base itself is not changed.
func (b *Base) At(l Local) *Base {
	out := *b
	out.Local = l
	causes := make([]*Cause, len(b.Causes))
	for i, c := range b.Causes {
		causes[i] = c.at(l, l.Causes[c.ID])
	}
	out.Causes, out.cause = index(causes, func(c *Cause) string { return c.ID })
	return &out
}

// abroad reports whether a desk lies where a cause is not at home and would be new: only
// where it says where it is.
func (c *Cause) abroad(l Local) bool {
	return c.Abroad != "" && (l.Region != "" && len(c.Regions) > 0 && !slices.Contains(c.Regions, l.Region) || l.Climate != "" && slices.Contains(c.AbroadIn, l.Climate))
}

func (c *Cause) at(l Local, w LocalWord) *Cause {
	arrives := c.abroad(l) && w.Here != "common"
	if w == (LocalWord{}) && !arrives {
		return c
	}
	out := *c
	switch w.Here {
	case "common":
		out.Commonness = "common"
	case "seldom":
		out.Commonness = "uncommon"
	}
	switch {
	case w.Report == "no" && c.Regulated != "" && c.Unreported != "":
		out.Regulated, out.Plain, out.Group = "", c.Unreported, c.ID
		out.MustNot = slices.DeleteFunc(slices.Clone(c.MustNot), func(m MustNot) bool { return m.What == untreated })
		out.Actions = slices.DeleteFunc(slices.Clone(c.Actions), func(a Action) bool { return a.Remedy == Report })
	case w.Report == "yes" && c.Regulated == "":
		out.report("this desk's authority wants it reported")
	case w.Report != "no" && arrives && c.Regulated == "":
		out.report(c.Abroad)
	}
	return &out
}

// toAuthority is the group of what is reported and nothing else.
const toAuthority = "refer to the authority"

// report makes a cause one that goes to the authority: the plan is to report it, an arborist
// or a laboratory stay where the book had them, and every other action gives way.
func (c *Cause) report(why string) {
	c.Regulated, c.Group = why, toAuthority
	actions := []Action{{Remedy: Report, Efficacy: "good"}}
	for _, a := range c.Actions {
		if slices.Contains(BesideReport, a.Remedy) {
			actions = append(actions, a)
		}
	}
	c.Actions = actions
	c.MustNot = append(slices.Clone(c.MustNot), MustNot{What: untreated, Why: "it is for the authority"})
	c.Plain = fmt.Sprintf("This may be %s, which has to be reported here. Leave it where it is, move and treat nothing, and take a picture. Call the plant health authority and wait for its answer.", nameInSentence(c.Name))
}

// nameInSentence is a cause's name inside a sentence, without what an entry says beside it.
func nameInSentence(name string) string {
	name, _, _ = strings.Cut(name, ",")
	return humanise.InSentence(name)
}

// BesideReport are what may be done beside a report: nobody is kept from having a dying tree
// looked at, a sample sent or a blade cleaned.
var BesideReport = []string{Arborist, LabSend, Disinfect}

// untreated is what a regulated cause forbids a desk, and no longer where it need
// not be reported.
const untreated = "any treatment from the desk"

// Likely is how much likelier or less likely a cause is where the desk is than the
// book says, as a factor on the prior; a roof makes a climate of its own.
func (l Local) Likely(c *Cause, roof bool) float64 {
	f := 1.0
	if l.Causes[c.ID].Here == "not here" {
		f *= notHere
	}
	if l.Causes[c.ID].Here == "common" {
		return f // whatever the book thinks of the place
	}
	if l.Climate != "" && len(c.Climates) > 0 && !roof && !slices.Contains(c.Climates, l.Climate) {
		f *= offClimate
	}
	if l.Region != "" && len(c.Regions) > 0 && !slices.Contains(c.Regions, l.Region) {
		if c.Regulated != "" {
			f *= offRegionReg
		} else {
			f *= offRegion
		}
	}
	return f
}

// Check holds what a desk says against the book.
func (l Local) Check(b *Base) error {
	var f fault.List
	word := func(field, w string, allowed []string) {
		if w != "" && !slices.Contains(allowed, w) {
			f.Add(field, fmt.Sprintf("%q is not known", w), "use one of "+strings.Join(allowed, ", ")+", or leave it out")
		}
	}
	word("local.climate", l.Climate, Climates)
	word("local.region", l.Region, Regions)
	for id, w := range l.Causes {
		at := "local.causes." + id
		c := b.Cause(id)
		if c == nil {
			f.Add(at, "is not a cause of the herbarium", "use an id from kb list causes")
			continue
		}
		word(at+".here", w.Here, []string{"common", "seldom", "not here"})
		word(at+".report", w.Report, []string{"yes", "no"})
		if w.Report == "no" && c.Regulated != "" && c.Unreported == "" {
			f.Add(at+".report", c.Name+" is reported everywhere, and the book has no advice for treating it", "leave it to the authority")
		}
	}
	return f.Err()
}
