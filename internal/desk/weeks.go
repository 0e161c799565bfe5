package desk

import (
	"math"
	"slices"

	"botanik/core/civil"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/internal/casefile"
	"botanik/internal/house"
)

// DaysPlan is the days worked out and the weeks they lie in.
type DaysPlan struct {
	casefile.Days
	Weeks Weeks `json:"weeks"`
}

// Weeks is what the coming weeks bring: the weather, the pest's life, the picking.
type Weeks struct {
	From    string       `json:"from" doc:"the first day drawn, YYYY-MM-DD: today"`
	Length  int          `json:"length" doc:"days drawn"`
	Sky     []SkyDay     `json:"sky" doc:"the days the forecast knows, from the first"`
	HatchBy string       `json:"hatchBy,omitempty" doc:"by this day the eggs that were there at the first treatment have hatched"`
	LayFrom string       `json:"layFrom,omitempty" doc:"from this day their young lay"`
	Picking string       `json:"picking,omitempty" doc:"the next picking"`
	Course  *ColonyWeeks `json:"course,omitempty" doc:"the colony on these days and left alone; empty where no life table is known"`
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

const (
	weeksAtLeast = 28
	weeksAtMost  = 84
)

// weeks draws the coming weeks around planned days.
func (s *Service) weeks(m house.Moment, c *Case, days casefile.Days, req lifecycle.RepeatRequest) (Weeks, error) {
	first := m.Today
	last := civil.Must(days.On[len(days.On)-1])
	w := Weeks{From: first.String(), Length: min(weeksAtMost, max(weeksAtLeast, last.Sub(first)+10)), Sky: []SkyDay{}}
	if !req.Harvest.IsZero() {
		w.Picking = req.Harvest.String()
	}
	for i := range warmthDays {
		d, err := weather.DayOf(s.Weather, m.Spot(), first.Add(i), m.Clock)
		if err != nil {
			return w, err
		}
		if !d.Known {
			break
		}
		w.Sky = append(w.Sky, SkyDay{d.MinC, d.MaxC, d.RainMm})
	}
	if x := req.Window; x != nil && x.Generation > 0 && x.EggMax > 0 && req.EggKill < .5 {
		start := civil.Must(days.On[0])
		w.HatchBy = start.Add(int(math.Ceil(x.From))).String()
		w.LayFrom = start.Add(int(math.Floor(x.To))).String()
	}
	k := s.cause(c)
	if k == nil || req.Window == nil {
		return w, nil
	}
	lt, r := s.Base().LifeTable(k.LifeTable), s.repeated(c)
	if lt.Lays.DD <= 0 {
		return w, nil
	}
	course, err := s.course(m, c, lt, r, days, w.Length)
	w.Course = course
	return w, err
}

func (s *Service) course(m house.Moment, c *Case, lt *knowledge.LifeTable, r *knowledge.Remedy, days casefile.Days, length int) (*ColonyWeeks, error) {
	temps, err := s.warmth(m, c)
	if err != nil {
		return nil, err
	}
	colony := lifecycle.Colony{Table: lt, Temps: temps, Stages: map[string]float64{}, Days: length + 1}
	if a := c.Now().Act; a != nil {
		for _, st := range a.Stages {
			colony.Stages[st] = 1 / float64(len(a.Stages))
		}
	}
	var done []lifecycle.Treatment
	for _, d := range days.Planned() {
		done = append(done, lifecycle.Treatment{Day: float64(d.Sub(m.Today)), Kills: r.Kills, Reaches: lifecycle.HomeReach, HalfLife: r.HalfLife, Soil: r.Reach == "soil"})
	}
	treated, err := lifecycle.Simulate(colony, done...)
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
	out.Says = lifecycle.Told(treated, alone, m.Today, humanise.InSentence(r.Name))
	return out, nil
}

// warmth is the mean temperature of each quarter of a day where the plant stands,
// as far as the forecast goes, then its mean.
func (s *Service) warmth(m house.Moment, c *Case) ([]float64, error) {
	hours, err := s.Weather.Hours(m.Spot(), m.Today.Midnight(m.Clock), m.Today.Add(warmthDays).Midnight(m.Clock))
	if err != nil {
		return nil, err
	}
	var out []float64
	sum := 0.
	for part := range slices.Chunk(hours, 24/lifecycle.StepsADay) {
		mean := 0.
		for _, h := range part {
			mean += h.TempC / float64(len(part))
		}
		out = append(out, remedy.Warmth(c.Intake.Place, mean))
		sum += out[len(out)-1]
	}
	return append(out, sum/math.Max(1, float64(len(out)))), nil
}
