package spraydays

import (
	"context"
	"fmt"
	"slices"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/plan"
	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/core/weather"
	"botanik/internal/desk"
)

// SprayAsk is what is to be put on, and where.
type SprayAsk struct {
	Remedy  string
	InBloom bool
	Place   string // indoors, greenhouse, balcony, garden or orchard; garden when empty
}

// SprayWeek is the coming days hour by hour, for one treatment at this desk's place.
type SprayWeek struct {
	Remedy  string             `json:"remedy"`
	Name    string             `json:"name"`
	Needs   sprayday.Needs     `json:"needs"`
	Now     time.Time          `json:"now"`
	Weather string             `json:"weather" doc:"where the hours come from"`
	At      string             `json:"at" doc:"the desk's place"`
	Days    []SprayDay         `json:"days"`
	Best    []sprayday.Stretch `json:"best" doc:"two at most, soonest first"`
	Events  []sprayday.Event   `json:"events" doc:"wet spells in these days that let a disease in"`
	RainMm  float64            `json:"rainMm" doc:"in these days"`
	Indoors []string           `json:"indoors,omitempty" doc:"what holds in a room, where the sky does not count"`
}

// SprayDay is one of them.
type SprayDay struct {
	Day   string            `json:"day"`
	Light sprayday.Light    `json:"light"`
	Hours []sprayday.Judged `json:"hours"`
	Wet   []bool            `json:"wet" doc:"leaves are wet in that hour"`
}

// sprayDays are how many days are shown.
const sprayDays = 7

// SprayWeek judges the coming days hour by hour. Errors name remedy or place.
func (s *Service) SprayWeek(ctx context.Context, in SprayAsk) (SprayWeek, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return SprayWeek{}, err
	}
	r := m.Book.Remedy(in.Remedy)
	if r == nil || r.Kind != "product" {
		return SprayWeek{}, fault.New("remedy", fmt.Sprintf("%q is nothing that is sprayed", in.Remedy), "use the id of a product from kb list remedies")
	}
	if in.Place != "" && !slices.Contains(knowledge.Places, in.Place) {
		return SprayWeek{}, fault.New("place", fmt.Sprintf("%q is no place", in.Place), "use indoors, greenhouse, balcony, garden or orchard")
	}
	out := SprayWeek{Remedy: r.ID, Name: r.Name, Needs: plan.Needs(r, in.InBloom), Now: m.Now.In(m.Clock), At: m.Spot().Name, Days: []SprayDay{}, Best: []sprayday.Stretch{}, Events: []sprayday.Event{}}
	if remedy.Sheltered(in.Place) {
		out.Indoors = roomHours(r)
	}
	from := m.Today.Midnight(m.Clock)
	hours, err := m.Sky.Hours(m.Spot(), from, m.Today.Add(sprayDays+1).Midnight(m.Clock))
	if err != nil {
		return SprayWeek{}, err
	}
	out.Weather = s.Weather.Sources(hours)
	out.judge(m, hours)
	for _, x := range m.Book.Infections {
		out.Events = append(out.Events, x.Events(hours)...)
	}
	slices.SortStableFunc(out.Events, func(a, b sprayday.Event) int { return a.Spell.From.Compare(b.Spell.From) })
	return out, nil
}

// judge lays the hours on their days. A day more than is shown is looked at, so that
// the last one's drying is known.
func (w *SprayWeek) judge(m desk.Moment, hours []weather.Hour) {
	judged, wet := sprayday.JudgeHours(hours, w.Needs, m.Spot().Lat, m.Spot().Lon), sprayday.Wet(hours)
	ahead := []sprayday.Judged{}
	for i, h := range judged {
		day := civil.Of(h.At, m.Clock)
		at := day.Sub(m.Today)
		if at < 0 || at >= sprayDays {
			continue
		}
		for len(w.Days) <= at {
			d := m.Today.Add(len(w.Days))
			w.Days = append(w.Days, SprayDay{Day: d.String(), Light: sprayday.LightOf(d, m.Spot().Lat, m.Spot().Lon, m.Clock), Hours: []sprayday.Judged{}, Wet: []bool{}})
		}
		h.At = h.At.In(m.Clock)
		w.Days[at].Hours = append(w.Days[at].Hours, h)
		w.Days[at].Wet = append(w.Days[at].Wet, wet[i])
		w.RainMm += h.Air.RainMm
		if !h.At.Before(m.Now) {
			ahead = append(ahead, h)
		}
	}
	if best := sprayday.Best(ahead, 2, m.Clock); best != nil {
		w.Best = best
	}
}

// roomHours is what holds in a room or under glass.
func roomHours(r *knowledge.Remedy) []string {
	if r.Reach == "soil" {
		return []string{"In a room the hour does not matter; let the pot drain."}
	}
	cool := ""
	if r.TempMax != nil {
		cool = fmt.Sprintf(", when it is below %.0f °C", *r.TempMax)
	}
	return []string{
		"Lights and fans off, out of the sun: in the evening" + cool + ".",
		"Let the leaves dry before the lights come on again; a window open helps.",
		"Not where people eat or sleep until it is dry.",
	}
}
