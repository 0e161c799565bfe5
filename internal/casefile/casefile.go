package casefile

import (
	"encoding/json"
	"fmt"
	"slices"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/differential"
)

// Version of the document this program writes.
const Version = 3

// Doc is the inside of a case. Sections are nil until done.
type Doc struct {
	V       int          `json:"v"`
	Intake  Intake       `json:"intake"`
	Looks   []LookRecord `json:"looks"`
	Photos  []Photo      `json:"photos"`
	Verdict *Verdict     `json:"verdict,omitempty"`
	Rounds  []Round      `json:"rounds"` // the last is the one in hand; never empty
	Page    *Page        `json:"page,omitempty"`
	AskOn   string       `json:"askOn,omitempty"`
	Closing *Closing     `json:"closing,omitempty"`
	Keeper  string       `json:"keeper,omitempty"` // account whose case it is; empty while nobody took it

	Schools   map[string]string `json:"schools,omitempty"`   // answers this case chose over the house's
	HouseSeen *int              `json:"houseSeen,omitempty"` // version of the house rules the last decision was made under
}

// Round of a treatment: what was decided, worked out and handed over, and what
// the grower told of it.
type Round struct {
	Act       *Act       `json:"act,omitempty"`
	Treatment *Treatment `json:"treatment,omitempty"`
	Mix       *KeptMix   `json:"mix,omitempty"`
	Doses     []KeptDose `json:"doses,omitempty"`
	Days      *Days      `json:"days,omitempty"`
	Handover  *Handover  `json:"handover,omitempty"`
	Given     []Treated  `json:"given,omitempty"` // what it put on the plant
	FollowUps []FollowUp `json:"followUps,omitempty"`
	Trainee   bool       `json:"trainee,omitempty"` // a trainee prepared some of it, and nobody released it yet
}

// New is the document of a sample that was just brought in.
func New(in Intake) Doc {
	return Doc{V: Version, Intake: in, Looks: []LookRecord{}, Photos: []Photo{}, Rounds: []Round{{}}}
}

// Now is the round in hand.
func (d *Doc) Now() *Round {
	if len(d.Rounds) == 0 {
		d.Rounds = []Round{{}}
	}
	return &d.Rounds[len(d.Rounds)-1]
}

// Handed is how many rounds were handed over.
func (d *Doc) Handed() int {
	n := 0
	for _, r := range d.Rounds {
		if r.Handover != nil {
			n++
		}
	}
	return n
}

// Given is what the rounds so far put on the plant.
func (d *Doc) Given() []Treated {
	out := []Treated{}
	for _, r := range d.Rounds {
		out = append(out, r.Given...)
	}
	return out
}

// FollowUps of all rounds, oldest first.
func (d *Doc) FollowUps() []FollowUp {
	out := []FollowUp{}
	for _, r := range d.Rounds {
		out = append(out, r.FollowUps...)
	}
	return out
}

// Clear empties what rests on a section, and with itself the section too. A
// round that was handed over stays as it was given: then a new one begins,
// without what was to be emptied.
func (d *Doc) Clear(section casework.Section, itself bool) {
	sections := casework.After(section)
	if itself {
		sections = append(sections, section)
	}
	if slices.Contains(sections, casework.SecVerdict) {
		d.Verdict = nil
	}
	if d.Now().Handover != nil && slices.Contains(sections, casework.SecHandover) {
		d.Begin()
	}
	r := d.Now()
	for _, s := range sections {
		switch s {
		case casework.SecAct:
			r.Act = nil
		case casework.SecRemedy:
			r.Treatment = nil
		case casework.SecMix:
			r.Mix = nil
		case casework.SecDose:
			r.Doses = nil
		case casework.SecDays:
			r.Days = nil
		}
	}
}

// Begin opens the next round with what the last one decided; nobody is asked
// until it is handed over.
func (d *Doc) Begin() {
	last := *d.Now()
	d.Rounds = append(d.Rounds, Round{Act: last.Act, Treatment: last.Treatment, Mix: last.Mix, Doses: last.Doses, Days: last.Days})
	d.AskOn = ""
}

// Treat keeps what was chosen; another choice takes along what rested on the
// one before.
func (d *Doc) Treat(t Treatment) {
	r := d.Now()
	if r.Treatment == nil || !slices.Equal(r.Treatment.Remedies, t.Remedies) {
		d.Clear(casework.SecRemedy, false)
	}
	r.Treatment = &t
}

// Encode writes a document.
func Encode(d Doc) (string, error) {
	d.V = Version
	raw, err := json.Marshal(d)
	return string(raw), err
}

// Decode reads a document of this version or an older one.
func Decode(raw string) (Doc, error) {
	var head struct {
		V int `json:"v"`
	}
	if err := json.Unmarshal([]byte(raw), &head); err != nil {
		return Doc{}, err
	}
	v := max(head.V, 1) // the first documents said no version
	if v > Version {
		return Doc{}, fmt.Errorf("the case was written by a newer program (version %d, this one knows %d)", v, Version)
	}
	data := []byte(raw)
	for ; v < Version; v++ {
		var err error
		if data, err = upgrades[v](data); err != nil {
			return Doc{}, fmt.Errorf("bringing the case up from version %d: %w", v, err)
		}
	}
	var d Doc
	if err := json.Unmarshal(data, &d); err != nil {
		return Doc{}, err
	}
	d.whole()
	return d, nil
}

// whole gives what lists there are their empty lists.
func (d *Doc) whole() {
	if d.Looks == nil {
		d.Looks = []LookRecord{}
	}
	if d.Photos == nil {
		d.Photos = []Photo{}
	}
	d.Now()
	if d.Page != nil {
		d.Page.Sheet.whole()
	}
}

// Meant are the remedies something earlier may have been: the one it was, or
// all that its words could mean.
func (t Treated) Meant() []string {
	if t.Remedy != "" {
		return []string{t.Remedy}
	}
	return t.CouldBe
}

// Planned are the days of the calendar; what is no day is left out.
func (d *Days) Planned() []civil.Day {
	out := []civil.Day{}
	if d == nil {
		return out
	}
	for _, on := range d.On {
		if day, err := civil.Parse(on); err == nil {
			out = append(out, day)
		}
	}
	return out
}

// Silent is how often nobody answered since somebody last did.
func (r *Round) Silent() int {
	n := 0
	for _, f := range slices.Backward(r.FollowUps) {
		if !f.Silent {
			break
		}
		n++
	}
	return n
}

// Seen are the looks that count: all but those somebody put aside with a reason.
func (d *Doc) Seen() []LookRecord {
	return slices.DeleteFunc(slices.Clone(d.Looks), func(l LookRecord) bool { return l.Aside != "" })
}

// Weighed are the looks that count as the ranking takes them.
func (d *Doc) Weighed() []differential.Look {
	out := []differential.Look{}
	for _, l := range d.Seen() {
		out = append(out, l.Look)
	}
	return out
}
