package desk

import (
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/internal/people"
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
	Plant         string    `json:"plant" minLength:"1" maxLength:"80" doc:"the plant in plain words"`
	Host          string    `json:"host,omitempty" doc:"host id of the herbarium; empty for an unknown plant"`
	Family        string    `json:"family,omitempty" maxLength:"40" doc:"family of an unknown plant"`
	Form          string    `json:"form,omitempty" enum:"annual,perennial,woody,bulb,houseplant,succulent,conifer,palm,fern,orchid," doc:"form of an unknown plant"`
	Place         string    `json:"place" enum:"indoors,greenhouse,balcony,garden,orchard"`
	InBloom       bool      `json:"inBloom,omitempty"`
	Edible        bool      `json:"edible,omitempty"`
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
	Counts  []int    `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot"`
	Share   *float64 `json:"share,omitempty" minimum:"0" maximum:"1" doc:"share of leaves hit, when not counted"`
	Helpers bool     `json:"helpers,omitempty"`
	Stages  []string `json:"stages,omitempty" maxItems:"8"`
	Drought bool     `json:"drought,omitempty"`
	Dormant *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	BadYear bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	LowCa   bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice  string   `json:"choice" enum:"act,wait,pull" doc:"what was decided"`
	Press   string   `json:"pressure" enum:"light,moderate,heavy"`
	By      string   `json:"by"`
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
	By    string   `json:"by"`
}

// Handover is the page given to the grower.
type Handover struct {
	By    string    `json:"by"`
	At    time.Time `json:"at"`
	Token string    `json:"token"`
	AskOn string    `json:"askOn"`
}

// Page is what the grower holds: the sheet as it was last handed over. It stays
// at its address while the next round is worked out.
type Page struct {
	Token string `json:"token"`
	Sheet Sheet  `json:"sheet"`
}

// FollowUp is one time the grower was asked.
type FollowUp struct {
	At     time.Time          `json:"at"`
	By     string             `json:"by"`
	Silent bool               `json:"silent,omitempty"`
	Count  *casework.Recount  `json:"count,omitempty"`
	Result *casework.Result   `json:"result,omitempty"`
	Next   *casework.NextMove `json:"next,omitempty"`
	Note   string             `json:"note,omitempty"`
}

// Closing ends a case.
type Closing struct {
	At      time.Time `json:"at"`
	By      string    `json:"by"`
	Outcome string    `json:"outcome" enum:"better,cleared,no change,lost,referred,unknown"`
	Note    string    `json:"note,omitempty"`
}

// Doc is the inside of a case. Sections are nil until done.
type Doc struct {
	Intake    Intake       `json:"intake"`
	Looks     []LookRecord `json:"looks"`
	Photos    []Photo      `json:"photos"`
	Verdict   *Verdict     `json:"verdict,omitempty"`
	Act       *Act         `json:"act,omitempty"`
	Treatment *Treatment   `json:"treatment,omitempty"`
	Mix       *KeptMix     `json:"mix,omitempty"`
	Doses     []KeptDose   `json:"doses"`
	Days      *Days        `json:"days,omitempty"`
	Handover  *Handover    `json:"handover,omitempty"`
	Page      *Page        `json:"page,omitempty"`
	FollowUps []FollowUp   `json:"followUps"`
	Round     int          `json:"round"` // rounds of treatment handed over
	AskOn     string       `json:"askOn,omitempty"`
	Given     []Treated    `json:"given"` // what this desk's earlier rounds put on it
	Closing   *Closing     `json:"closing,omitempty"`

	Schools   map[string]string `json:"schools,omitempty"`   // answers this case chose over the house's
	HouseSeen *int              `json:"houseSeen,omitempty"` // version of the house rules the last decision was made under
}

// clear empties sections. What rests on a section that changed is named by
// casework.After.
func (d *Doc) clear(sections ...casework.Section) {
	for _, s := range sections {
		switch s {
		case casework.SecVerdict:
			d.Verdict = nil
		case casework.SecAct:
			d.Act = nil
		case casework.SecRemedy:
			d.Treatment = nil
		case casework.SecMix:
			d.Mix = nil
		case casework.SecDose:
			d.Doses = []KeptDose{}
		case casework.SecDays:
			d.Days = nil
		case casework.SecHandover:
			d.Handover, d.AskOn = nil, ""
		}
	}
}

// Case is a document with its tag.
type Case struct {
	ID        string         `json:"id"`
	Number    string         `json:"number"`
	Version   int            `json:"version"`
	Stage     casework.Stage `json:"stage"`
	CreatedAt time.Time      `json:"createdAt"`
	UpdatedAt time.Time      `json:"updatedAt"`
	Doc
}

// Tag is what a plant tag shows of a case.
type Tag struct {
	ID        string         `json:"id"`
	Number    string         `json:"number"`
	Stage     casework.Stage `json:"stage"`
	Plant     string         `json:"plant"`
	Grower    string         `json:"grower"`
	Line      string         `json:"line"`
	Urgency   int            `json:"urgency"`
	Certainty float64        `json:"certainty"`
	Cause     string         `json:"cause,omitempty"`
	CauseName string         `json:"causeName,omitempty"`
	Degree    string         `json:"degree,omitempty"`
	AskOn     string         `json:"askOn,omitempty"`
	CreatedAt time.Time      `json:"createdAt"`
	Version   int            `json:"version"`
}

// View is a case with everything the bench shows of it.
type View struct {
	Case
	Reading differential.Ranking `json:"reading"`
	Steps   []casework.Step      `json:"steps"`
	MayUndo string               `json:"mayUndo,omitempty"` // what u would take back

	HouseNews []string `json:"houseNews"` // house rules changed since this case was decided
}

// Person is who acts.
type Person = people.Person

// Identity of the desk.
type Identity struct {
	Name      string  `json:"name" minLength:"1" maxLength:"80"`
	Place     string  `json:"place" maxLength:"80"`
	Lat       float64 `json:"lat" minimum:"-90" maximum:"90"`
	Lon       float64 `json:"lon" minimum:"-180" maximum:"180"`
	Zone      string  `json:"zone" maxLength:"60" doc:"time zone, like Europe/London"`
	Units     string  `json:"units" enum:"metric,us,imperial,au" doc:"kitchen spoons offered first"`
	Authority string  `json:"authority" minLength:"1" maxLength:"200" doc:"whom to call about a regulated suspect"`
	Lab       string  `json:"lab" minLength:"1" maxLength:"200" doc:"where undetermined samples are sent, and how packed"`
}
