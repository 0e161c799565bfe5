package plan

import (
	"fmt"
	"slices"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/weather"
)

// Figures of a plan. Each is a judgement of this house's authors but where it says more.
const (
	FitDays       = 7   // ahead a forecast is believed enough to move a day by it
	WarmthDays    = 14  // of forecast the pest's pace is reckoned from; about as far as one reaches
	Usual         = 3   // treatments in a round when nobody says: the egg window seldom needs more
	Farthest      = 366 // days ahead a plan may begin; further off is not worth the paper
	weeksToWarmth = 45  // weeks ahead it is looked for when a pest moves again: a winter and its spring
	movesAt       = 60  // days of a generation from which a pest is said to move
	ColdestRoom   = 5.  // °C that a room or a greenhouse can be said to have
	WarmestRoom   = 40.
)

// Setting is from where and when a plan is looked at.
type Setting struct {
	Book  *knowledge.Base
	Rules remedy.House
	Sky   weather.Provider
	Spot  weather.Place
	Now   time.Time
	Today civil.Day
	Zone  *time.Location
}

// Task is what is done to a plant: its remedy on days, against a cause.
type Task struct {
	Cause      *knowledge.Cause  // nil where nobody knows it
	Remedy     *knowledge.Remedy // what is repeated on days; nil where nothing is
	Situation  remedy.Situation  // of today
	WarmC      *float64          // °C somebody read where it stands; by the place when nil
	Stages     []string          // of the pest, as seen
	HandedOver bool              // the days stand on a page already
}

// Schedule are treatment days worked out.
type Schedule struct {
	On    []civil.Day
	Gap   int // days between the first two
	Notes []string
	Test  civil.Day // of the patch test; zero where none is made
}

// Preference is how somebody wants the days.
type Preference struct {
	Start  string // YYYY-MM-DD; empty for the first day it can be
	Count  int    // treatments; 0 for the usual
	Gap    int    // days between; 0 for the rhythm's
	Rhythm string // an answer to how often; empty for the house's
}

// WarmAt is how warm the plant stands when it is so warm outdoors, °C.
func (t Task) WarmAt(outdoors float64) float64 {
	if t.WarmC != nil {
		return *t.WarmC
	}
	return remedy.Warmth(t.Situation.Place, outdoors)
}

// CheckWarm holds a temperature that somebody read where a plant stands. Errors name tempC.
func CheckWarm(place string, tempC float64) error {
	switch {
	case !remedy.Sheltered(place):
		return fault.New("tempC", "outdoors it is as warm as the weather", "leave it out, or say that the plant stands in a room or under glass")
	case !(tempC >= ColdestRoom && tempC <= WarmestRoom):
		return fault.New("tempC", fmt.Sprintf("%g °C is no room", tempC), fmt.Sprintf("give °C, %.0f to %.0f", ColdestRoom, WarmestRoom))
	}
	return nil
}

func (m Setting) lifeTable(t Task) *knowledge.LifeTable {
	if t.Cause == nil {
		return nil
	}
	return m.Book.LifeTable(t.Cause.LifeTable)
}

// Request is what bears on the days of a task today, the rhythm left open: the label in
// hand, what was used, the next picking, the pest's life. Errors name remedy.
func (m Setting) Request(t Task) (lifecycle.RepeatRequest, error) {
	if t.Remedy == nil {
		return lifecycle.RepeatRequest{}, fault.New("remedy", "nothing that was chosen is repeated on days", "this step is not needed")
	}
	lim := remedy.LimitsOf(t.Remedy, m.Rules)
	req := lifecycle.RepeatRequest{Start: m.Today, GapMin: lim.GapMin, GapMax: lim.GapMax, Most: lim.MaxApplications, Want: Usual, EggKill: t.Remedy.Mortality[lifecycle.Egg]}
	if d := t.Situation.DaysToHarvest; d != nil {
		req.Harvest, req.Wait = m.Today.Add(*d), lim.PreHarvest
	}
	req.Used, _ = remedy.Uses(t.Situation.Earlier, t.Remedy.ID, m.Today)
	if lt := m.lifeTable(t); lt != nil {
		outdoors, err := weather.Mean(m.Sky, m.Spot, m.Today, WarmthDays, m.Zone)
		if err != nil {
			return req, err
		}
		w, err := lifecycle.ClosedForm(lt, t.WarmAt(outdoors))
		if err != nil {
			return req, err
		}
		req.Window = &w
	}
	return req, nil
}

// Days works the days out: by the request, from the first day it can be done, in the rhythm
// asked for, then put where the weather known lets it be done. Errors name start, rhythm,
// remedy or what lifecycle.Repeats names.
func (m Setting) Days(t Task, in Preference) (Schedule, error) {
	req, err := m.Request(t)
	if err != nil {
		return Schedule{}, err
	}
	out := Schedule{Notes: []string{}}
	if in.Start != "" {
		if req.Start, err = m.start(in.Start); err != nil {
			return Schedule{}, err
		}
	} else {
		first := remedy.FirstDay(m.Book, t.Cause, t.Remedy, t.Situation, m.Today, m.Now.In(m.Zone).Hour())
		req.Start = first.On
		if first.Why != "" {
			out.Notes = append(out.Notes, first.Why)
		}
		if first.Tested {
			out.Test = m.Today
		}
	}
	if in.Count > 0 {
		req.Want = in.Count
	}
	rhythm := lifecycle.Computed
	if in.Gap > 0 {
		req.FixedGap = in.Gap
	} else {
		if rhythm, err = m.rhythm(t, in.Rhythm); err != nil {
			return Schedule{}, err
		}
		req.FixedGap, req.Burst = lifecycle.Rhythm(rhythm, req.GapMin)
	}
	sched, err := lifecycle.Repeats(req)
	if err != nil {
		return Schedule{}, err
	}
	out.Gap = sched.Gap
	if o := m.Book.School(remedy.Rhythm).Option(rhythm); rhythm != lifecycle.Computed && o != nil {
		out.Notes = append(out.Notes, "The rhythm chosen here: "+o.Name+", kept inside the label.")
	}
	out.Notes = append(out.Notes, sched.Notes...)
	if req.Window != nil {
		said, err := m.paceSaid(t, *req.Window)
		if err != nil {
			return Schedule{}, err
		}
		out.Notes = append(out.Notes, said...)
	}
	fit, notes, err := m.fitDays(t, sched.Days, req, in.Start != "")
	if err != nil {
		return Schedule{}, err
	}
	out.On, out.Notes = fit, append(out.Notes, notes...)
	return out, nil
}

func (m Setting) start(text string) (civil.Day, error) {
	d, err := civil.Parse(text)
	switch {
	case err != nil:
		return d, fault.New("start", fmt.Sprintf("%q is not a day", text), "write it as YYYY-MM-DD")
	case d.Before(m.Today):
		return d, fault.New("start", "lies in the past", "start today or later")
	case d.Sub(m.Today) > Farthest:
		return d, fault.New("start", "lies more than a year ahead", "start within a year; a plan further off is not worth the paper")
	}
	return d, nil
}

// rhythm is the answer that holds to how often: the one asked for, else the situation's or
// the house's.
func (m Setting) rhythm(t Task, asked string) (string, error) {
	if asked == "" {
		return remedy.SchoolAnswer(m.Book, t.Situation, remedy.Rhythm), nil
	}
	if x := m.Book.School(remedy.Rhythm); x == nil || x.Option(asked) == nil {
		return "", fault.New("rhythm", fmt.Sprintf("%q is not an answer to how often", asked), "use an option of kb list schools, or leave it out")
	}
	return asked, nil
}

// paceSaid says when a pest that stands still moves again, and that its pace was taken by
// the usual year, where that is so.
func (m Setting) paceSaid(t Task, w lifecycle.Window) ([]string, error) {
	out := []string{}
	if w.Generation == 0 {
		on, ok, err := m.warmAgain(t)
		if err != nil {
			return nil, err
		}
		if ok {
			out = append(out, fmt.Sprintf("By the weather known here, or a usual year, it moves again from about %s: look then.", on.Short()))
		}
	}
	said, err := m.asUsual(t)
	if said != "" {
		out = append(out, said)
	}
	return out, err
}

// warmAgain is the first week whose mean lets the pest move on, by the hours known and the
// usual year beyond them; false where none of the coming weeks does.
func (m Setting) warmAgain(t Task) (civil.Day, bool, error) {
	lt := m.lifeTable(t)
	for week := 1; lt != nil && week < weeksToWarmth; week++ {
		day := m.Today.Add(7 * week)
		mean, err := weather.Mean(m.Sky, m.Spot, day, 7, m.Zone)
		if err != nil {
			return m.Today, false, err
		}
		w, err := lifecycle.ClosedForm(lt, t.WarmAt(mean))
		if err != nil {
			return m.Today, false, err
		}
		if w.Generation > 0 && w.Generation <= movesAt {
			return day, true, nil
		}
	}
	return m.Today, false, nil
}

// asUsual says that the pace out of doors is reckoned by the usual year, where the weather of
// most of the coming days is not known and nobody read a thermometer; empty else.
func (m Setting) asUsual(t Task) (string, error) {
	if t.Situation.Place == "indoors" || t.WarmC != nil {
		return "", nil
	}
	days, err := weather.Daily(m.Sky, m.Spot, m.Today, WarmthDays, m.Zone)
	if err != nil {
		return "", err
	}
	known := 0
	for _, d := range days {
		if d.Known {
			known++
		}
	}
	if 2*known >= len(days) {
		return "", nil
	}
	mean, err := weather.Mean(m.Sky, m.Spot, m.Today, WarmthDays, m.Zone)
	return fmt.Sprintf("The weather of most coming days is not known here: the pace is reckoned at the season's usual warmth, about %.0f °C.", t.WarmAt(mean)), err
}

// ByHand are days somebody set, held to the label and the picking like any others, with what
// the weather known says against them. Errors name on, on[i] or what lifecycle.Hold names.
func (m Setting) ByHand(t Task, on []string) (Schedule, error) {
	req, err := m.Request(t)
	if err != nil {
		return Schedule{}, err
	}
	days := []civil.Day{}
	for i, text := range on {
		d, err := civil.Parse(text)
		switch {
		case err != nil:
			return Schedule{}, fault.New(fmt.Sprintf("on[%d]", i), fmt.Sprintf("%q is not a day", text), "write it as YYYY-MM-DD")
		case slices.Contains(days, d):
			return Schedule{}, fault.New(fmt.Sprintf("on[%d]", i), d.Short()+" is there twice", "give each day once")
		}
		days = append(days, d)
	}
	slices.SortFunc(days, civil.Day.Compare)
	for i, text := range on { // the first within a year, each other within a year of the one before it, as days worked out are
		d, from := civil.Must(text), req.Start
		if at := slices.Index(days, d); at > 0 {
			from = days[at-1]
		}
		if d.Sub(from) > Farthest {
			return Schedule{}, fault.New(fmt.Sprintf("on[%d]", i), "lies more than a year ahead", "plan within a year")
		}
	}
	if err := lifecycle.Hold(days, req); err != nil {
		return Schedule{}, err
	}
	out := Schedule{On: days, Notes: []string{"Days set by hand, inside the label."}}
	if len(days) > 1 {
		out.Gap = days[1].Sub(days[0])
	}
	fits, err := m.Fits(t)
	if err == nil && fits != nil {
		out.Notes = append(out.Notes, unfitDays(days, fits)...)
	}
	return out, err
}

// StillHolds says what of days kept earlier no longer holds: a label, a picking or what was
// used may have changed. Errors name what lifecycle.Hold names, or remedy.
func (m Setting) StillHolds(t Task, days []civil.Day) error {
	req, err := m.Request(t)
	if err != nil {
		return err
	}
	return lifecycle.Hold(days, req)
}
