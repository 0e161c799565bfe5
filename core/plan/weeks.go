package plan

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/civil"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/weather"
)

// Weeks is what the coming weeks bring: the weather, the pest's life, the picking.
type Weeks struct {
	From     string        `json:"from" doc:"the first day drawn, YYYY-MM-DD: today"`
	Length   int           `json:"length" doc:"days drawn"`
	Sky      []SkyDay      `json:"sky" doc:"the days the forecast knows, from the first"`
	HatchBy  string        `json:"hatchBy,omitempty" doc:"by this day the eggs that were there at the first treatment have hatched"`
	LayFrom  string        `json:"layFrom,omitempty" doc:"from this day their young lay"`
	Picking  string        `json:"picking,omitempty" doc:"the next picking"`
	SoilWith []string      `json:"soilWith,omitempty" doc:"what of the book reaches the stages in soil"`
	Rhythms  []RhythmWeeks `json:"rhythms" doc:"what each rhythm would leave of the pest over these weeks, fewest first"`
	Course   *ColonyWeeks  `json:"course,omitempty" doc:"the colony on these days and left alone; empty where no life table is known"`
}

// RhythmWeeks is one way of setting the days, and what it leaves.
type RhythmWeeks struct {
	ID    string   `json:"id" doc:"an answer to how often, solved for days worked out one by one, set for those in hand, or alone"`
	Name  string   `json:"name"`
	On    []string `json:"on"`
	Share float64  `json:"share" doc:"pest-days, as a share of those when it is left alone"`
}

// SkyDay is a day of the forecast.
type SkyDay struct {
	MinC   float64 `json:"minC"`
	MaxC   float64 `json:"maxC"`
	RainMm float64 `json:"rainMm"`
}

// ColonyWeeks is how the colony fares, as a share of what there is today.
type ColonyWeeks struct {
	Stages []string    `json:"stages" doc:"groups of stages, lowest first"`
	Days   [][]float64 `json:"days" doc:"for each day and the one behind the last, each group; 1 = all there are today"`
	Alone  []float64   `json:"alone" doc:"all stages together when nothing is done"`
	Soil   []string    `json:"soil,omitempty" doc:"stages that what is sprayed cannot reach"`
	Says   []string    `json:"says" doc:"what the picture shows, in a sentence or two"`
	Source string      `json:"source"`
}

// Days that are drawn, at least and at most, and what is drawn of them (judgement).
const (
	weeksAtLeast = 28
	weeksAtMost  = 84
	warmer       = 3  // degrees by which the picture of a warm spell is drawn
	solvedAtMost = 6  // treatments up to which the best days are worked out one by one
	sparesEggs   = .5 // of them killed, below which the egg window binds
)

// Weeks draws the coming weeks around planned days. What is one of half (half the plant
// missed), skip (the second treatment left out), warm (three degrees warmer) and nothing.
func (m Setting) Weeks(t Task, days []civil.Day, what string) (Weeks, error) {
	first := m.Today
	last := days[len(days)-1]
	req, err := m.Request(t)
	if err != nil {
		return Weeks{}, err
	}
	w := Weeks{From: first.String(), Length: min(weeksAtMost, max(weeksAtLeast, last.Sub(first)+10)), Sky: []SkyDay{}, Rhythms: []RhythmWeeks{}}
	if !req.Harvest.IsZero() {
		w.Picking = req.Harvest.String()
	}
	sky, err := weather.Daily(m.Sky, m.Spot, first, WarmthDays, m.Zone)
	if err != nil {
		return w, err
	}
	for _, d := range sky {
		if !d.Known {
			break
		}
		w.Sky = append(w.Sky, SkyDay{d.MinC, d.MaxC, d.RainMm})
	}
	if x := req.Window; x != nil && x.Generation > 0 && x.EggMax > 0 && req.EggKill < sparesEggs {
		start := days[0]
		w.HatchBy = start.Add(int(math.Ceil(x.From))).String()
		w.LayFrom = start.Add(int(math.Floor(x.To))).String()
	}
	lt := m.lifeTable(t)
	if lt == nil || req.Window == nil || lt.Lays.DD <= 0 {
		return w, nil
	}
	colony, err := m.colony(t, lt, w.Length)
	if err != nil {
		return w, err
	}
	given := on(t.Remedy, m.Today, days)
	switch what {
	case "half":
		for i := range given {
			given[i].Reaches /= 2
		}
	case "skip":
		given = slices.Delete(given, min(1, len(given)-1), min(2, len(given)))
	case "warm":
		colony.Temps = slices.Clone(colony.Temps)
		for i := range colony.Temps {
			colony.Temps[i] += warmer
		}
	}
	if w.Course, err = course(m.Today, colony, lt, t.Remedy, given); err != nil {
		return w, err
	}
	w.SoilWith = m.soilWith(t, w.Course.Soil)
	w.Rhythms, err = m.rhythms(t, colony, days, req)
	return w, err
}

// colony is what is on the plant today, by the stages that were seen.
func (m Setting) colony(t Task, lt *knowledge.LifeTable, length int) (lifecycle.Colony, error) {
	temps, err := m.warmth(t)
	if err != nil {
		return lifecycle.Colony{}, err
	}
	colony := lifecycle.Colony{Table: lt, Temps: temps, Stages: map[string]float64{}, Days: length + 1}
	for _, st := range t.Stages {
		colony.Stages[st] = 1 / float64(len(t.Stages))
	}
	return colony, nil
}

// treatment is one of a remedy, on day 0.
func treatment(r *knowledge.Remedy) lifecycle.Application {
	return lifecycle.Application{Kills: r.Mortality, Reaches: lifecycle.HomeReach, HalfLife: r.HalfLife, Soil: r.Reach == "soil"}
}

// on are treatments on days.
func on(r *knowledge.Remedy, today civil.Day, days []civil.Day) []lifecycle.Application {
	var out []lifecycle.Application
	for _, d := range days {
		t := treatment(r)
		t.Day = float64(d.Sub(today))
		out = append(out, t)
	}
	return out
}

// rhythms is what every answer to how often would leave, the days worked out one by one,
// and those in hand; what a label does not allow is left out.
func (m Setting) rhythms(t Task, colony lifecycle.Colony, set []civil.Day, req lifecycle.RepeatRequest) ([]RhythmWeeks, error) {
	out := []RhythmWeeks{}
	alone, err := lifecycle.Simulate(colony)
	if err != nil || alone.PestDays <= 0 {
		return out, err
	}
	add := func(id, name string, plan []civil.Day) error {
		course, err := lifecycle.Simulate(colony, on(t.Remedy, m.Today, plan)...)
		if err != nil {
			return err
		}
		x := RhythmWeeks{ID: id, Name: name, On: []string{}, Share: course.PestDays / alone.PestDays}
		for _, d := range plan {
			x.On = append(x.On, d.String())
		}
		out = append(out, x)
		return nil
	}
	req.Start, req.Want = set[0], len(set)
	offsets := [][]int{}
	keep := func(plan []civil.Day) {
		row := []int{}
		for _, d := range plan {
			row = append(row, d.Sub(m.Today))
		}
		offsets = append(offsets, row)
	}
	keep(set)
	if err := add("set", "the days above", set); err != nil {
		return nil, err
	}
	school := m.Book.School(remedy.Rhythm)
	for _, o := range school.Options {
		ask := req
		if ask.FixedGap, ask.Burst = lifecycle.Rhythm(o.ID, req.GapMin); ask.FixedGap == 0 && !ask.Burst && o.ID != lifecycle.Computed {
			continue // as it looks then: no days to draw
		}
		plan, err := lifecycle.Repeats(ask)
		if err != nil || len(plan.Days) != len(set) || slices.ContainsFunc(plan.Days, func(d civil.Day) bool { return d.Sub(m.Today) >= colony.Days-1 }) {
			continue
		}
		keep(plan.Days)
		if slices.Equal(plan.Days, set) {
			continue
		}
		if err := add(o.ID, o.Name, plan.Days); err != nil {
			return nil, err
		}
	}
	solve := lifecycle.SolveRequest{Colony: colony, Treatment: treatment(t.Remedy), Count: len(set), GapMin: max(1, req.GapMin), Earliest: set[0].Sub(m.Today), Shut: m.shut(req, colony.Days), Rhythms: offsets}
	fits, err := m.Fits(t)
	if err != nil {
		return nil, err
	}
	for i := range FitDays {
		if f := m.Today.Add(i); fits != nil && fits(f).Known && !fits(f).Good {
			solve.Shut = append(solve.Shut, i)
		}
	}
	if len(set) <= solvedAtMost {
		if best, err := lifecycle.Solve(solve); err == nil {
			plan := []civil.Day{}
			for _, d := range best.On {
				plan = append(plan, m.Today.Add(d))
			}
			if !slices.Equal(plan, set) {
				if err := add("solved", "worked out day by day", plan); err != nil {
					return nil, err
				}
			}
		}
	}
	slices.SortStableFunc(out, func(a, b RhythmWeeks) int { return cmp.Compare(a.Share, b.Share) })
	return append(out, RhythmWeeks{ID: "alone", Name: "left alone", On: []string{}, Share: 1}), nil
}

// soilWith names what does much against a cause and goes into the soil.
func (m Setting) soilWith(t Task, stages []string) []string {
	if t.Cause == nil || len(stages) == 0 {
		return nil
	}
	out := []string{}
	for _, a := range t.Cause.Actions {
		if r := m.Book.Remedy(a.Remedy); r != nil && r.Reach == "soil" && a.Efficacy != "some" {
			out = append(out, r.Name)
		}
	}
	return out
}

// shut are the days from today on which nothing may be put on: inside the wait before
// the next picking.
func (m Setting) shut(req lifecycle.RepeatRequest, length int) []int {
	out := []int{}
	for i := range length {
		if lifecycle.Hold([]civil.Day{m.Today.Add(i)}, lifecycle.RepeatRequest{Start: m.Today, Harvest: req.Harvest, Wait: req.Wait}) != nil {
			out = append(out, i)
		}
	}
	return out
}

// course is how the colony fares on the days, and left alone.
func course(today civil.Day, colony lifecycle.Colony, lt *knowledge.LifeTable, r *knowledge.Remedy, given []lifecycle.Application) (*ColonyWeeks, error) {
	treated, err := lifecycle.Simulate(colony, given...)
	if err != nil {
		return nil, err
	}
	alone, err := lifecycle.Simulate(colony)
	if err != nil {
		return nil, err
	}
	out := &ColonyWeeks{Stages: lifecycle.Groups, Days: treated.Grouped().Days, Source: lt.Source}
	for day := range alone.Days {
		out.Alone = append(out.Alone, alone.Total(day))
	}
	for _, st := range lt.Stages {
		if st.Soil && r.Reach != "soil" {
			out.Soil = append(out.Soil, st.Name)
		}
	}
	out.Says = lifecycle.Describe(treated, alone, today, humanise.InSentence(r.Name))
	return out, nil
}

// warmth is the mean temperature of each quarter of a day where the plant stands,
// as far as the forecast goes or as usual there, then the mean of both.
func (m Setting) warmth(t Task) ([]float64, error) {
	out, err := weather.StepsC(m.Sky, m.Spot, m.Today, WarmthDays, lifecycle.StepsADay, m.Zone)
	if err != nil {
		return nil, err
	}
	sum := 0.
	for i, outdoors := range out {
		out[i] = t.WarmAt(outdoors)
		sum += out[i]
	}
	return append(out, sum/float64(len(out))), nil
}
