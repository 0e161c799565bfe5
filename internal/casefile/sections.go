package casefile

import (
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/microscopy"
	"botanik/core/scouting"
)

// Treated is something that was put on the plant before it came here.
type Treated struct {
	What   string `json:"what" maxLength:"120" doc:"in the grower's words"`
	Remedy string `json:"remedy,omitempty" doc:"the remedy of the herbarium it answers to, when known"`

	CouldBe []string `json:"couldBe,omitempty" maxItems:"6" doc:"remedies the words could mean, while nobody said which; the waits of all of them count"`
	On      string   `json:"on" doc:"day, YYYY-MM-DD"`
}

// Intake is what is written down when a sample is brought in.
type Intake struct {
	Grower        string    `json:"grower" minLength:"1" maxLength:"80" doc:"who brought it"`
	Contact       string    `json:"contact,omitempty" maxLength:"120" doc:"telephone or mail, for asking how it went"`
	Person        string    `json:"person,omitempty" maxLength:"40" doc:"which grower of this desk it is, by id; found by name and reach where it is left out"`
	Plant         string    `json:"plant" minLength:"1" maxLength:"80" doc:"the plant in plain words"`
	Host          string    `json:"host,omitempty" doc:"host id of the herbarium; empty for an unknown plant"`
	Family        string    `json:"family,omitempty" maxLength:"40" doc:"family of an unknown plant"`
	Form          string    `json:"form,omitempty" enum:"annual,perennial,woody,bulb,houseplant,succulent,conifer,palm,fern,orchid," doc:"form of an unknown plant"`
	Place         string    `json:"place" enum:"indoors,greenhouse,balcony,garden,orchard"`
	Square        string    `json:"square,omitempty" maxLength:"2" doc:"square of the district's grid it grows in, A1 to I9; the desk stands in E5"`
	InBloom       bool      `json:"inBloom,omitempty"`
	Edible        bool      `json:"edible,omitempty"`
	NotEaten      bool      `json:"notEaten,omitempty" doc:"nothing of it is eaten, though the book says so of the plant"`
	DaysToHarvest *int      `json:"daysToHarvest,omitempty" minimum:"0" maximum:"366" doc:"days to the next picking, from the day it was brought in"`
	Children      bool      `json:"children,omitempty"`
	Cat           bool      `json:"cat,omitempty"`
	Dog           bool      `json:"dog,omitempty"`
	Pond          bool      `json:"pond,omitempty"`
	Treated       []Treated `json:"treated,omitempty" maxItems:"12"`
	Brought       string    `json:"brought,omitempty" maxLength:"120" doc:"what was brought: a leaf in a bag, the whole pot"`
	Story         string    `json:"story" maxLength:"600" doc:"what the grower saw and when it began"`
	Urgency       int       `json:"urgency,omitempty" minimum:"0" maximum:"3" doc:"0 can wait … 3 now"`
}

// Spot is the place on the drawing a sign was seen at, in its box of 200 by 280.
type Spot struct {
	X float64 `json:"x" minimum:"-40" maximum:"240"`
	Y float64 `json:"y" minimum:"-60" maximum:"340"`
}

// LookRecord is one finding answered, with who and when.
type LookRecord struct {
	differential.Look
	Spot *Spot     `json:"spot,omitempty"`
	By   string    `json:"by"`
	At   time.Time `json:"at"`

	Measured string `json:"measured,omitempty" doc:"how it was measured, where it was"`
	Aside    string `json:"aside,omitempty" doc:"why it is no part of this: an old scar, another matter; it is not weighed then"`
}

// Verdict is what the advisor says it is.
type Verdict struct {
	Cause       string    `json:"cause,omitempty" doc:"cause id; empty when undetermined"`
	Also        string    `json:"also,omitempty" doc:"a second cause at work"`
	Degree      string    `json:"degree" enum:"settled,working,open,undetermined"`
	Note        string    `json:"note,omitempty" maxLength:"400"`
	By          string    `json:"by"`
	At          time.Time `json:"at"`
	NeedsReview bool      `json:"needsReview"`
	ReviewedBy  string    `json:"reviewedBy,omitempty"`
	P           float64   `json:"p"` // what the ranking gave it then
}

// Act is the count and the decision whether to act.
type Act struct {
	Counts     []int    `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot"`
	Share      *float64 `json:"share,omitempty" minimum:"0" maximum:"1" doc:"share of leaves hit, when not counted"`
	Helpers    bool     `json:"helpers,omitempty"`
	Stages     []string `json:"stages,omitempty" maxItems:"8"`
	Drought    bool     `json:"drought,omitempty"`
	Dormant    *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	BadYear    bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	CalciumLow bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice     string   `json:"choice" enum:"act,wait,pull" doc:"what was decided"`
	Word       string   `json:"word,omitempty" doc:"which kind of waiting or acting: leave, watch, act, spring, pull, back, save or refer"`

	Count     *scouting.Count `json:"count,omitempty" doc:"the tallies kept apart, unit by unit"`
	Severity  []int           `json:"severity,omitempty" maxItems:"200" doc:"leaves matched with drawn ones, per cent of area"`
	Standard  string          `json:"standard,omitempty" enum:"show,food,hedge," doc:"what the grower keeps it for"`
	WeeksLeft *int            `json:"weeksLeft,omitempty" doc:"of picking or flowering, when it was decided"`

	Pressure string `json:"pressure" enum:"light,moderate,heavy"`
	By       string `json:"by"`
}

// Treatment is what the grower is told to do.
type Treatment struct {
	Remedies []string `json:"remedies"`
	Note     string   `json:"note,omitempty"`
	By       string   `json:"by"`
}

// KeptMix is the mix worked out for the grower's own sprayer, and by whom.
type KeptMix struct {
	dosage.Mixed
	By string `json:"by"`
}

// KeptDose is dust, drench or helpers worked out for a bed, pots or plants.
type KeptDose struct {
	dosage.Dosed
	By string `json:"by"`
}

// Days are the treatment days.
type Days struct {
	Start string   `json:"start"`
	Gap   int      `json:"gapDays"`
	On    []string `json:"on"`
	Notes []string `json:"notes"`
	TempC *float64 `json:"tempC,omitempty" doc:"°C where it stands, as somebody read it"`
	Test  string   `json:"test,omitempty" doc:"day of the patch test, YYYY-MM-DD; empty when none is due"`
	By    string   `json:"by"`

	Beside []BesideDays `json:"beside,omitempty" doc:"what else was chosen, laid around the sprays"`
	Moved  []MovedDay   `json:"moved,omitempty" doc:"days the weather moved after they were handed over"`
}

// BesideDays is the days of one thing done beside the sprays, YYYY-MM-DD.
type BesideDays struct {
	Remedy string   `json:"remedy"`
	Name   string   `json:"name"`
	On     []string `json:"on"`
	Why    string   `json:"why"`
}

// MovedDay is a day that was put elsewhere, YYYY-MM-DD.
type MovedDay struct {
	From string    `json:"from"`
	To   string    `json:"to"`
	Why  string    `json:"why"`
	At   time.Time `json:"at"`
}

// Handover is the page given to the grower.
type Handover struct {
	By    string    `json:"by"`
	At    time.Time `json:"at"`
	Token string    `json:"token"`
	AskOn string    `json:"askOn"`

	With []string `json:"with,omitempty" doc:"cases of the same grower handed over together, this one among them"`
}

// Page is what the grower holds: the sheet as it was last handed over. It stays
// at its address while the next round is worked out.
type Page struct {
	Token string `json:"token"`
	Sheet Sheet  `json:"sheet"`

	Until string   `json:"until,omitempty" doc:"last day on which it is shown, YYYY-MM-DD"`
	Ended bool     `json:"ended,omitempty" doc:"the desk took the address back"`
	Done  []string `json:"done,omitempty" doc:"days of the table that the grower ticked off"`
}

// FollowUp is one time the grower was asked.
type FollowUp struct {
	At     time.Time          `json:"at"`
	By     string             `json:"by" doc:"the name they had then"`
	Word   string             `json:"word,omitempty" doc:"how it went in the grower's own word: gone, better, same or worse"`
	Silent bool               `json:"silent,omitempty"`
	Count  *casework.Recount  `json:"count,omitempty"`
	Result *casework.Result   `json:"result,omitempty"`
	Next   *casework.NextMove `json:"next,omitempty"`
	Note   string             `json:"note,omitempty"`

	FromGrower bool `json:"fromGrower,omitempty" doc:"the grower told it themselves; else somebody of the desk wrote it down"`
	Unread     bool `json:"unread,omitempty" doc:"told on the grower's own page, and nobody at the desk has answered yet"`
}

// Closing ends a case.
type Closing struct {
	At      time.Time `json:"at"`
	By      string    `json:"by"`
	Outcome string    `json:"outcome" enum:"better,cleared,no change,lost,referred,unknown"`
	Note    string    `json:"note,omitempty"`

	Confirmed string `json:"confirmed,omitempty" doc:"cause id: what it was in the end"`
	Found     string `json:"found,omitempty" enum:"specialist,laboratory,outcome," doc:"how that was found"`
	Followed  string `json:"followed,omitempty" enum:"yes,partly,no," doc:"whether what was advised was done"`
}

// Photo is a picture the grower brought, as the case lists it.
type Photo struct {
	ID     string    `json:"id"`
	Name   string    `json:"name"`
	Width  int       `json:"width"`
	Height int       `json:"height"`
	By     string    `json:"by"`
	At     time.Time `json:"at"`

	Marks *Marks `json:"marks,omitempty" doc:"what was measured on it"`
}

// Marks are what was measured on a picture, kept with it.
type Marks struct {
	Asked *microscopy.PhotoRequest `json:"asked,omitempty"`
	Found *microscopy.PhotoScale   `json:"found,omitempty"`
	Leaf  *LeafShare               `json:"leaf,omitempty"`
	By    string                   `json:"by"`
	At    time.Time                `json:"at"`
}

// LeafShare is how much of a leaf on a picture is sick.
type LeafShare struct {
	Asked microscopy.ShareRequest `json:"asked"`
	Found microscopy.ShareFound   `json:"found"`
}
