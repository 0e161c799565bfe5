package lifecycle

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// Window is the closed-form answer at a steady temperature, in days.
type Window struct {
	TempC      float64 `json:"tempC"`
	EggMax     float64 `json:"eggMaxDays"`   // the slowest egg hatches; 0 when born alive
	YoungMin   float64 `json:"youngMinDays"` // the fastest young becomes a laying adult
	From       float64 `json:"fromDays"`
	To         float64 `json:"toDays"` // before this
	Empty      bool    `json:"empty"`  // no single gap does it
	Soil       bool    `json:"soil"`   // a stage out of reach of leaf sprays
	Generation float64 `json:"generationDays"`
	Text       string  `json:"text"`
}

// standsStill is the days of a generation above which there is nothing to be
// timed, a judgement: just above the threshold the arithmetic gives years.
const standsStill = 365

// StageDays a stage needs at a steady temperature in °C; +Inf when too cold. Above
// the upper threshold growth stays at the upper's rate (horizontal cut-off).
func StageDays(s knowledge.LifeStage, tempC float64) float64 {
	t := math.Min(tempC, s.Upper)
	if t <= s.Lower {
		return math.Inf(1)
	}
	return s.DD / (t - s.Lower)
}

// ClosedForm works out the window for a remedy that spares eggs.
// t_egg(max) ≤ gap < t_egg(min) + t_young(min), with the life table's spread as
// the share by which the slowest lag and the fastest lead.
func ClosedForm(lt *knowledge.LifeTable, tempC float64) (Window, error) {
	if tempC < -20 || tempC > 50 || math.IsNaN(tempC) {
		return Window{}, fault.New("tempC", fmt.Sprintf("%g °C is out of range", tempC), "give the mean of the coming days, -20 to 50")
	}
	w := Window{TempC: tempC}
	egg, rest := 0.0, 0.0
	for _, s := range lt.Stages {
		d := StageDays(s, tempC)
		w.Generation += d
		if s.ID == Egg {
			egg = d
		} else {
			rest += d
		}
		w.Soil = w.Soil || s.Soil
	}
	if w.Generation > standsStill {
		w.EggMax, w.YoungMin, w.From, w.To, w.Generation = 0, 0, 0, 0, 0
		w.Empty = true
		w.Text = fmt.Sprintf("At %.0f °C %s stands still: repeat only when it is warmer, or by what you see.", tempC, lt.Name)
		return w, nil
	}
	w.EggMax = egg * (1 + lt.Spread)
	w.YoungMin = rest * (1 - lt.Spread)
	w.From, w.To = w.EggMax, egg*(1-lt.Spread)+w.YoungMin
	w.Empty = w.From >= w.To
	switch {
	case w.Empty:
		w.Text = fmt.Sprintf("At %.0f °C no single gap catches all of %s: the last eggs hatch on day %.0f when the first young already lay. Plan one spray more, or add what kills eggs.", tempC, lt.Name, w.From)
	case egg == 0:
		w.Text = fmt.Sprintf("At %.0f °C the young of %s are born alive and have young of their own after %.0f days: repeat before that.", tempC, lt.Name, w.To)
	default:
		w.Text = fmt.Sprintf("At %.0f °C the last eggs of %s hatch by day %.0f and the first young lay from day %.0f: repeat between the two.", tempC, lt.Name, math.Ceil(w.From), math.Floor(w.To))
	}
	if w.Soil {
		w.Text += " Part of its life is in the soil, out of reach of leaf sprays."
	}
	return w, nil
}

// RepeatRequest asks for treatment days.
type RepeatRequest struct {
	Start    civil.Day
	GapMin   int  // label's shortest gap, days
	GapMax   int  // label's longest useful gap, days
	Most     int  // label's most per season; 0 when it sets none
	Used     int  // already used this season
	Want     int  // treatments wanted in this round, this one included
	FixedGap int  // a fixed rhythm in days chosen instead; 0 to compute
	Burst    bool // days 0, 3 and 8, then weekly, each moved apart to the label's gap
	Window   *Window
	EggKill  float64 // share of eggs the remedy kills; above .5 the window does not bind

	Harvest civil.Day // the next picking; zero where nothing is eaten or nobody knows
	Wait    int       // days the label wants between a treatment and picking
}

// Egg is the id of the stage that most treatments spare.
const Egg = "egg"

// Computed is the rhythm that is worked out from the pest's life.
const Computed = "computed"

// Rhythm is a school's answer to how often, as the days between treatments (0
// to compute them) and whether it opens with a burst. A preset never undercuts
// the label: it is moved out to the shortest gap. Extension texts differ; see
// schools.yaml for the words.
func Rhythm(school string, gapMin int) (days int, burst bool) {
	if d := map[string]int{"dense": 3, "weekly": 7, "ten": 9, "fortnight": 14}[school]; d > 0 {
		return max(d, gapMin), false
	}
	return 0, school == "burst"
}

// Schedule is the days with the reasons for the gap.
type Schedule struct {
	Days  []civil.Day
	Gap   int
	Notes []string
}

// Repeats sets the days: the window's middle when there is one, kept inside
// the label's range; never under its shortest gap nor over its most.
func Repeats(r RepeatRequest) (Schedule, error) {
	var l fault.List
	if r.GapMin < 0 || r.GapMax < r.GapMin || r.GapMax > 366 {
		l.Add("gap", "the label's range is not a range of days within a year", "give the shortest and the longest gap in days, 0 to 366")
	}
	if r.Want < 1 || r.Want > 12 {
		l.Add("count", fmt.Sprintf("%d treatments is not 1 to 12", r.Want), "plan one round at a time")
	}
	if r.FixedGap < 0 || r.FixedGap > 60 {
		l.Add("gap", "is not 1 to 60 days", "give days, or leave it out to have it computed")
	}
	if r.FixedGap > 0 && r.FixedGap < r.GapMin {
		l.Add("gap", fmt.Sprintf("%s is under the label's shortest gap of %s", humanise.Days(r.FixedGap), humanise.Days(r.GapMin)), fmt.Sprintf("use %s or more", humanise.Days(r.GapMin)))
	}
	left := r.Want
	if r.Most > 0 {
		left = r.Most - r.Used
		if left <= 0 {
			l.Add("count", fmt.Sprintf("all %d uses the label allows in a season are used", r.Most), "choose another way")
		}
	}
	if err := l.Err(); err != nil {
		return Schedule{}, err
	}
	s := Schedule{Gap: r.GapMin, Notes: []string{}}
	switch {
	case r.Burst:
		s.Gap = max(3, r.GapMin)
		s.Notes = append(s.Notes, "A burst: days 0, 3 and 8, then weekly, each moved apart to the label's gap.")
	case r.FixedGap > 0:
		s.Gap = r.FixedGap
		s.Notes = append(s.Notes, fmt.Sprintf("Every %s, as chosen.", strings.TrimPrefix(humanise.Days(r.FixedGap), "a ")))
	case r.Window != nil && r.Window.Generation > 0 && r.EggKill < .5:
		s.Notes = append(s.Notes, r.Window.Text)
		s.Gap = int(math.Ceil(r.Window.From))
		if r.Window.EggMax == 0 {
			s.Gap = int(math.Floor(r.Window.To * .7))
		}
		if r.Window.Empty {
			s.Gap = max(1, int(math.Floor(r.Window.To)))
		}
		if s.Gap < r.GapMin {
			s.Notes = append(s.Notes, fmt.Sprintf("The label's shortest gap of %s is kept.", humanise.Days(r.GapMin)))
		}
		if s.Gap > r.GapMax {
			s.Notes = append(s.Notes, fmt.Sprintf("The label's longest gap of %s is kept.", humanise.Days(r.GapMax)))
		}
		s.Gap = min(max(s.Gap, r.GapMin), r.GapMax)
	default:
		s.Gap = r.GapMin + (r.GapMax-r.GapMin+1)/2
		if r.Window != nil && r.Window.Generation == 0 {
			s.Notes = append(s.Notes, r.Window.Text)
		}
		s.Notes = append(s.Notes, fmt.Sprintf("The middle of the usual range of %d to %d days.", r.GapMin, r.GapMax))
	}
	n := r.Want
	if left < n {
		n = left
		s.Notes = append(s.Notes, fmt.Sprintf("Cut to %d: the label allows %d a season and %d are used.", n, r.Most, r.Used))
	}
	if r.Window != nil && r.Window.Generation == 0 && r.FixedGap == 0 && !r.Burst { // it stands still
		n = 1
		s.Notes = append(s.Notes, "One treatment now; the next is planned when it is warmer, by what is seen then.")
	}
	at := 0
	for i := range n {
		day := r.Start.Add(at)
		if picking := r.picking(day); picking > 0 {
			s.Notes = append(s.Notes, fmt.Sprintf("%s would fall inside the %s before picking: pick on %s first, then treat.", day.Short(), humanise.Days(r.Wait), r.Harvest.Short()))
			at += picking
			day = r.Harvest
		}
		s.Days = append(s.Days, day)
		step := s.Gap
		if r.Burst {
			step = max([]int{3, 5, 7}[min(i, 2)], r.GapMin)
		}
		at += step
	}
	if len(s.Days) > 0 && slices.ContainsFunc(s.Days, civil.Day.IsZero) {
		return Schedule{}, fault.New("start", "leads past the end of the calendar", "start sooner")
	}
	return s, nil
}

// Hold says why days that were planned earlier no longer hold under a request as
// it stands now (a stricter label, an earlier picking, a day gone by), nil when
// they do. The rhythm itself is not asked again.
func Hold(days []civil.Day, r RepeatRequest) error {
	anew := "set the days anew"
	switch {
	case len(days) == 0:
		return nil
	case days[0].Before(r.Start):
		return fault.New("days", "the first day, "+days[0].Short()+", has gone by", anew)
	case r.Most > 0 && r.Used+len(days) > r.Most:
		return fault.New("days", fmt.Sprintf("%s planned and %s used is more than the label's most a season, %d", humanise.Times(len(days)), humanise.Times(r.Used), r.Most), anew)
	}
	for i, d := range days {
		if r.picking(d) > 0 {
			return fault.New("days", fmt.Sprintf("%s falls inside the %s before picking", d.Short(), humanise.Days(r.Wait)), anew)
		}
		if i > 0 && d.Sub(days[i-1]) < r.GapMin {
			return fault.New("days", fmt.Sprintf("%s comes sooner than the label's shortest gap of %s", d.Short(), humanise.Days(r.GapMin)), anew)
		}
	}
	return nil
}

// picking is how many days a treatment has to be put off for the wait before
// picking, 0 when it may be given.
func (r *RepeatRequest) picking(day civil.Day) int {
	if r.Harvest.IsZero() {
		return 0
	}
	left := r.Harvest.Sub(day)
	if left <= 0 || left >= r.Wait {
		return 0
	}
	return left
}
