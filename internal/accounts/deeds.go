package accounts

import (
	"slices"

	"github.com/danielgtaylor/huma/v2"
)

// Deed is something not everybody at a desk may do. What stands in no row of the table is
// for all who are signed in.
type Deed string

// The deeds.
const (
	LetIn          Deed = "let people in, and change who they are"
	EndOthers      Deed = "end somebody else's sessions"
	AwayOthers     Deed = "write down when somebody else is away"
	SetHouse       Deed = "change the house's rules, words and course"
	SetDevice      Deed = "set a device that everybody uses"
	KeepFile       Deed = "copy, look over and mend the desk's file"
	BringIn        Deed = "bring records or sheets in, and take them out again"
	TakeOutTables  Deed = "take tables without people out"
	TakeOutAll     Deed = "take out everything, with people"
	SeeAllWork     Deed = "see everybody's long work"
	SeeLearners    Deed = "see how others practise"
	HandlePersons  Deed = "merge, split, rename and forget growers"
	BringWeather   Deed = "bring in hours of weather and take them out"
	GiveCalendars  Deed = "give out calendar addresses, and end them"
	SendMessages   Deed = "send a grower a message"
	ReviewVerdicts Deed = "agree with a trainee's verdict"
	SettleVerdicts Deed = "give a verdict that waits for nobody"
	Release        Deed = "hand over what a trainee prepared"
	ChangeHanded   Deed = "change the verdict of what is handed over"
	TakePageBack   Deed = "take a grower's address back"
	CloseCases     Deed = "close a case"
	ReopenCases    Deed = "open a closed case again"
	GiveNobodys    Deed = "give somebody cases that are nobody's"
	GiveAnybodys   Deed = "give somebody cases that are another's"
)

// may says for each deed which roles do it. One table: service, API and page go by it.
var may = map[Deed][]string{
	LetIn:          {Coordinator},
	EndOthers:      {Coordinator},
	AwayOthers:     {Coordinator},
	SetHouse:       {Coordinator},
	SetDevice:      {Coordinator, Advisor},
	KeepFile:       {Coordinator},
	BringIn:        {Coordinator},
	TakeOutTables:  {Coordinator, Advisor},
	TakeOutAll:     {Coordinator},
	SeeAllWork:     {Coordinator},
	SeeLearners:    {Coordinator},
	HandlePersons:  {Coordinator},
	BringWeather:   {Coordinator, Advisor},
	GiveCalendars:  {Coordinator, Advisor},
	SendMessages:   {Coordinator, Advisor},
	ReviewVerdicts: {Coordinator, Advisor},
	SettleVerdicts: {Coordinator, Advisor},
	Release:        {Coordinator, Advisor},
	ChangeHanded:   {Coordinator, Advisor},
	TakePageBack:   {Coordinator, Advisor},
	CloseCases:     {Coordinator, Advisor},
	ReopenCases:    {Coordinator, Advisor},
	GiveNobodys:    {Coordinator, Advisor},
	GiveAnybodys:   {Coordinator},
}

// Deeds are all of them, in order of their words.
func Deeds() []Deed {
	out := make([]Deed, 0, len(may))
	for d := range may {
		out = append(out, d)
	}
	slices.Sort(out)
	return out
}

// May reports whether somebody's role lets them do it; a deed that is in no row is nobody's.
func (p Person) May(d Deed) bool { return slices.Contains(may[d], p.Role) }

// Deeds are what somebody's role lets them do, for the page.
func (p Person) Deeds() []Deed {
	return slices.DeleteFunc(Deeds(), func(d Deed) bool { return !p.May(d) })
}

// Schema describes a deed to the API: one of the words of the table.
func (Deed) Schema(huma.Registry) *huma.Schema {
	words := []any{}
	for _, d := range Deeds() {
		words = append(words, string(d))
	}
	return &huma.Schema{Type: huma.TypeString, Enum: words}
}
