package casefile

// SheetStep is one thing the grower does.
type SheetStep struct {
	Name     string   `json:"name"`
	How      []string `json:"how"`
	Cautions []string `json:"cautions"`
	Wear     []string `json:"wear"`
	Storage  string   `json:"storage,omitempty"`
	When     string   `json:"when,omitempty" doc:"on what condition it is done"`
	Hour     string   `json:"hour,omitempty" doc:"when in the day, where the days do not say it"`
	Again    string   `json:"again,omitempty" doc:"how often, where no days are given for it"`
}

// SheetMix is the mix in the grower's own measures.
type SheetMix struct {
	Product string   `json:"product"`
	Lines   []string `json:"lines"`
	Order   []string `json:"order"`
	Notes   []string `json:"notes"`
	Buy     []string `json:"buy"`

	Vessel string      `json:"vessel,omitempty" doc:"what it is mixed in"`
	Fills  []SheetFill `json:"fills,omitempty" doc:"one filling, step by step, for drawing"`
}

// SheetFill is one step of filling the vessel.
type SheetFill struct {
	Text   string       `json:"text"`
	Form   string       `json:"form" doc:"water, or what is poured in: liquid, soap, oil, powder ..."`
	From   float64      `json:"from" doc:"how full it is before, 0 to 1"`
	To     float64      `json:"to" doc:"and after"`
	Spoons []SheetSpoon `json:"spoons,omitempty"`

	Picture string `json:"picture,omitempty" doc:"the step drawn, as SVG; made when the page is read and kept nowhere"`
}

// SheetSpoon is so many of one spoon.
type SheetSpoon struct {
	Name  string  `json:"name"`
	Count int     `json:"count"`
	Ml    float64 `json:"ml"`
}

// SheetDay is one line of the table of days.
type SheetDay struct {
	Day  string `json:"day"`
	What string `json:"what"`
	Much string `json:"much,omitempty"`
	On   string `json:"on,omitempty" doc:"the day, YYYY-MM-DD"`

	First string `json:"first,omitempty" doc:"the day it was first meant for, where the weather moved it"`
}

// SheetWith is one thing done beside the sprays.
type SheetWith struct {
	What string   `json:"what"`
	Days []string `json:"days" doc:"as they are read"`
	On   []string `json:"on" doc:"the days, YYYY-MM-DD"`
	Why  string   `json:"why"`
}

// Sheet is the one page a grower takes home, in plain words. It carries no
// personal data but what the grower gave.
type Sheet struct {
	Number   string        `json:"number"`
	Desk     string        `json:"desk"`
	Place    string        `json:"place"`
	Reach    string        `json:"reach,omitempty" doc:"how the desk is reached"`
	Bring    string        `json:"bring,omitempty" doc:"what to bring or say when it is asked how it went"`
	Drawing  string        `json:"drawing,omitempty" doc:"the cause whose drawing stands on the page, at /drawings/"`
	Date     string        `json:"date"`
	Plant    string        `json:"plant"`
	Grower   string        `json:"grower"`
	Title    string        `json:"title"`
	Sure     string        `json:"sure"`
	What     string        `json:"what"`
	Besides  *SheetBesides `json:"besides,omitempty" doc:"a second trouble on the same plant"`
	First    string        `json:"first,omitempty" doc:"what it can do to people and what they do first; before anything about the plant"`
	Why      []string      `json:"why"`
	LookFor  []string      `json:"lookFor"`
	Steps    []SheetStep   `json:"steps"`
	Together []string      `json:"together"` // how the steps work together
	Next     []string      `json:"next,omitempty" doc:"so that it does not come back: what only prevents"`
	Mix      *SheetMix     `json:"mix,omitempty"`
	Amounts  []string      `json:"amounts"` // dust, drench or helpers over a place
	Days     []string      `json:"days"`
	Table    []SheetDay    `json:"table,omitempty" doc:"day by day what is done and how much of it"`
	Beside   []SheetWith   `json:"beside,omitempty" doc:"what is done beside it, and on which days"`
	NotUntil string        `json:"notUntil,omitempty" doc:"before which day nothing of it is picked"`
	Hour     string        `json:"hour,omitempty"`
	MustNot  []string      `json:"mustNot"`
	Recovers string        `json:"recovers,omitempty"`
	Disposal string        `json:"disposal,omitempty"`
	Always   []string      `json:"always"`
	Refer    string        `json:"refer,omitempty"`
	AskOn    string        `json:"askOn,omitempty"`
	AskDay   string        `json:"askDay,omitempty" doc:"the same, YYYY-MM-DD"`
	Advisor  string        `json:"advisor"`
	Moved    []string      `json:"moved,omitempty" doc:"days that were moved since it was handed over, each with its reason"`
	Again    string        `json:"again,omitempty" doc:"said when the desk has taken the case up again since"`
	Handed   bool          `json:"handed"`
	Token    string        `json:"token,omitempty"`
}

// whole gives every list that is none yet its empty list: a sheet kept before a
// list was thought of is read like any other.
func (s *Sheet) whole() {
	for _, l := range []*[]string{&s.Why, &s.LookFor, &s.Together, &s.Amounts, &s.Days, &s.MustNot, &s.Always} {
		if *l == nil {
			*l = []string{}
		}
	}
	if s.Steps == nil {
		s.Steps = []SheetStep{}
	}
	for i := range s.Steps {
		x := &s.Steps[i]
		for _, l := range []*[]string{&x.How, &x.Cautions, &x.Wear} {
			if *l == nil {
				*l = []string{}
			}
		}
	}
	if m := s.Mix; m != nil {
		for _, l := range []*[]string{&m.Lines, &m.Order, &m.Notes, &m.Buy} {
			if *l == nil {
				*l = []string{}
			}
		}
	}
}

// SheetBesides is a second trouble on the same plant, as the grower reads it.
type SheetBesides struct {
	Title string      `json:"title"`
	What  string      `json:"what"`
	Refer string      `json:"refer,omitempty" doc:"whom to call, where it is for the authority"`
	Steps []SheetStep `json:"steps" doc:"what is done about it by hand"`
}
