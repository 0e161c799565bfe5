package remedy

import (
	"fmt"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
)

// Earlier is a treatment already given.
type Earlier struct {
	Remedy string `json:"remedy" doc:"remedy id"`
	On     string `json:"on" doc:"day it was given, YYYY-MM-DD"`
}

// Policy is the house's word on a remedy.
type Policy struct {
	Use string `json:"use" enum:"yes,heavy,no" doc:"yes, only in heavy pressure, or no"`
	Why string `json:"why,omitempty" maxLength:"300"`
}

// Law is the local rule on an active ingredient.
type Law struct {
	Status    string `json:"status" enum:"allowed,restricted,licensed,banned"`
	Reference string `json:"reference,omitempty" maxLength:"300"`
}

// Label overrides the herbarium's typical figures by the bottle on this shelf.
// Zero means "as the herbarium says".
type Label struct {
	RepeatMin int    `json:"repeatMinDays,omitempty" minimum:"0" maximum:"365"`
	Most      int    `json:"mostPerSeason,omitempty" minimum:"0" maximum:"50"`
	WaitDays  int    `json:"waitDays,omitempty" minimum:"0" maximum:"365"`
	Low       string `json:"low,omitempty" maxLength:"60"`
	High      string `json:"high,omitempty" maxLength:"60"`
	Strength  string `json:"strength,omitempty" maxLength:"40" doc:"of a concentrate, how strong the bottle is, like '80 g per L' or '0.5 %'"`

	Crops []string `json:"crops,omitempty" maxItems:"40" doc:"crops this bottle names, by host id, group or family; empty: not written down"`
}

// House is everything a coordinator has set.
type House struct {
	Policy map[string]Policy `json:"policy,omitempty"` // remedy id → word
	Law    map[string]Law    `json:"law,omitempty"`    // active ingredient → rule
	Labels map[string]Label  `json:"labels,omitempty"` // remedy id → bottle

	Borne map[string]Borne `json:"borne,omitempty"` // cause id → what is borne here

	Schools map[string]string `json:"schools,omitempty"`               // question → answer; the default where none is given
	Local   knowledge.Local   `json:"local,omitzero" required:"false"` // where the desk is, and what is met and reported there
}

// Borne is what a house bears of a cause, in place of the book's figure.
type Borne struct {
	PerUnit float64 `json:"perUnit,omitempty" minimum:"0" maximum:"10000" doc:"a leaf, shoot or whatever the book counts it on"`
	Share   float64 `json:"share,omitempty" minimum:"0" maximum:"0.9" doc:"of leaves that show it"`
	Source  string  `json:"source,omitempty" maxLength:"120" doc:"where the figure is from; this house when left out"`
}

// Situation is the case as far as a treatment is concerned.
type Situation struct {
	Host          string    `json:"host,omitempty" doc:"host id; empty for an unknown plant"`
	Family        string    `json:"family,omitempty" doc:"family of an unknown plant"`
	Form          string    `json:"form,omitempty" doc:"form of an unknown plant"`
	Place         string    `json:"place,omitempty" enum:"indoors,greenhouse,balcony,garden,orchard,"`
	South         bool      `json:"south,omitempty" doc:"southern hemisphere: its seasons are half a year apart"`
	Date          string    `json:"date" doc:"the day asked about, YYYY-MM-DD"`
	InBloom       bool      `json:"inBloom,omitempty"`
	Edible        bool      `json:"edible,omitempty" doc:"eaten, of a plant the book does not know as eaten"`
	NotEaten      bool      `json:"notEaten,omitempty" doc:"the grower says that nothing of it is eaten, whatever the book says of the plant"`
	DaysToHarvest *int      `json:"daysToHarvest,omitempty" minimum:"0"`
	Children      bool      `json:"children,omitempty"`
	Cat           bool      `json:"cat,omitempty"`
	Dog           bool      `json:"dog,omitempty"`
	Pond          bool      `json:"pond,omitempty" doc:"pond, stream or drain near by"`
	TempC         *float64  `json:"tempC,omitempty" doc:"warmest of the hours meant for spraying, °C"`
	TempUnknown   bool      `json:"tempUnknown,omitempty" doc:"nobody knows how warm it is where the plant stands: what must not be used in heat or cold asks for care"`
	Sun           bool      `json:"sun,omitempty" doc:"the spray would dry in sun"`
	Drought       bool      `json:"drought,omitempty" doc:"the plant is thirsty"`
	Dormant       bool      `json:"dormant,omitempty" doc:"without leaves"`
	Stages        []string  `json:"stages,omitempty" doc:"stages seen: egg, crawler, young, grub, adult"`
	Pressure      string    `json:"pressure,omitempty" enum:"light,moderate,heavy,"`
	Earlier       []Earlier `json:"earlier,omitempty"`
	BadYear       bool      `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	CalciumLow    bool      `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Also          string    `json:"also,omitempty" doc:"another trouble on the same plant, by its cause: what harms there is barred"`
	House         House     `json:"house,omitempty"`

	Schools map[string]string `json:"schools,omitempty" doc:"answers this case chose for itself, over the house's"`
}

// Eaten reports whether something of the plant is eaten: it was said, a picking is
// near, or the book says so of the plant and nobody said otherwise.
func (s Situation) Eaten(b *knowledge.Base) bool {
	h := b.Host(s.Host)
	return s.Edible || s.DaysToHarvest != nil || h != nil && h.Eaten != "" && !s.NotEaten
}

// Check names what cannot be used.
func (s Situation) Check(b *knowledge.Base) error {
	var l fault.List
	if s.Host != "" && b.Host(s.Host) == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", s.Host), "use an id from kb list hosts, or leave it out and give family or form")
	}
	if s.Also != "" && b.Cause(s.Also) == nil {
		l.Add("also", fmt.Sprintf("%q is not a cause of the herbarium", s.Also), "use an id from kb list causes, or leave it out")
	}
	if s.Place != "" && !slices.Contains(knowledge.Places, s.Place) {
		l.Add("place", fmt.Sprintf("%q is not a place", s.Place), "use "+strings.Join(knowledge.Places, ", "))
	}
	if _, err := civil.Parse(s.Date); err != nil {
		l.Add("date", fmt.Sprintf("%q is not a day", s.Date), "write it as YYYY-MM-DD")
	}
	if s.DaysToHarvest != nil && *s.DaysToHarvest < 0 {
		l.Add("daysToHarvest", "is below zero", "give the days until the next picking, 0 for today")
	}
	if s.TempC != nil && (*s.TempC < -40 || *s.TempC > 60) {
		l.Add("tempC", fmt.Sprintf("%g °C cannot be", *s.TempC), "give degrees Celsius")
	}
	l.AddErr("", CheckSeen(s.Stages, s.Pressure))
	for i, e := range s.Earlier {
		if b.Remedy(e.Remedy) == nil {
			l.Add(fmt.Sprintf("earlier[%d].remedy", i), fmt.Sprintf("%q is not a remedy of the herbarium", e.Remedy), "use an id from kb list remedies")
		}
		if _, err := civil.Parse(e.On); err != nil {
			l.Add(fmt.Sprintf("earlier[%d].on", i), fmt.Sprintf("%q is not a day", e.On), "write it as YYYY-MM-DD")
		}
	}
	l.AddErr("house", s.House.Check(b))
	checkSchools(b, "schools", s.Schools, &l)
	return l.Err()
}

// Stages of a pest a remedy can kill.
var Stages = knowledge.Stages

// CheckSeen refuses a stage or a pressure that is none.
func CheckSeen(stages []string, pressure string) error {
	var l fault.List
	if !slices.Contains([]string{"", "light", "moderate", "heavy"}, pressure) {
		l.Add("pressure", fmt.Sprintf("%q is not a pressure", pressure), "use light, moderate or heavy")
	}
	for i, st := range stages {
		if !slices.Contains(Stages, st) {
			l.Add(fmt.Sprintf("stages[%d]", i), fmt.Sprintf("%q is not a stage", st), "use "+strings.Join(Stages, ", "))
		}
	}
	return l.Err()
}

// Check refuses a word that is none: on a remedy, an ingredient, a question.
func (h House) Check(b *knowledge.Base) error {
	var l fault.List
	for id, p := range h.Policy {
		if !slices.Contains([]string{"yes", "heavy", "no"}, p.Use) {
			l.Add("policy."+id, fmt.Sprintf("%q is not a policy", p.Use), "use yes, heavy or no")
		}
	}
	checkSchools(b, "schools", h.Schools, &l)
	l.AddErr("", h.Local.Check(b))
	for id, w := range h.Law {
		if !slices.Contains([]string{"allowed", "restricted", "licensed", "banned"}, w.Status) {
			l.Add("law."+id, fmt.Sprintf("%q is not a legal status", w.Status), "use allowed, restricted, licensed or banned")
		}
	}
	return l.Err()
}
