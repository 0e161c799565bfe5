package spraydays

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/plan"
	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/internal/desk"
	"botanik/internal/settings"
)

// RecentWeather is what the air of the last days did, and what protects out there.
type RecentWeather struct {
	Days     int                 `json:"days" doc:"looked back"`
	From     string              `json:"from" doc:"who the hours are from"`
	RainMm   float64             `json:"rainMm"`
	Pressure []sprayday.Pressure `json:"pressure" doc:"empty where no hour is known"`
	Events   []sprayday.Event    `json:"events" doc:"wet spells that let a disease in, of the days looked back"`
	Out      []Protected         `json:"out" doc:"open cases with something that protects on the leaves, what is thinnest first"`
}

// Protected is a plant with something on its leaves.
type Protected struct {
	Case   string         `json:"case"`
	Number string         `json:"number"`
	Plant  string         `json:"plant"`
	Grower string         `json:"grower"`
	Remedy string         `json:"remedy"`
	Name   string         `json:"name"`
	Since  sprayday.Since `json:"since"`
}

// How far the desk looks back: for the air, and for what was put on.
const (
	lookBack    = 14
	longestMemo = 90
)

// RecentWeather gathers it for today.
func (s *Service) RecentWeather(ctx context.Context) (RecentWeather, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return RecentWeather{}, err
	}
	hours, err := m.Sky.Hours(m.Spot(), m.Today.Add(1-lookBack).Midnight(m.Clock), m.Now)
	if err != nil {
		return RecentWeather{}, err
	}
	out := RecentWeather{Days: lookBack, From: s.Weather.Sources(hours), Events: []sprayday.Event{}, Out: []Protected{}}
	if out.Pressure = []sprayday.Pressure{}; len(hours) > 0 {
		out.Pressure = append(out.Pressure, sprayday.MitePressure(hours, m.Clock), sprayday.MildewPressure(hours, m.Clock))
	}
	for _, h := range hours {
		out.RainMm += h.RainMm
	}
	for _, x := range m.Book.Infections {
		out.Events = append(out.Events, x.Events(hours)...)
	}
	slices.SortStableFunc(out.Events, func(a, b sprayday.Event) int { return b.Spell.From.Compare(a.Spell.From) })
	shields := []string{}
	for _, r := range m.Book.Remedies {
		if r.Acts == "protects" {
			shields = append(shields, r.ID)
		}
	}
	rows, err := s.Store.ApplicationsBetween(ctx, shields, m.Today.Add(-longestMemo).String(), m.Today.String())
	if err != nil {
		return RecentWeather{}, err
	}
	seen := map[string]bool{}
	for _, row := range rows {
		key := row.CaseID + row.Remedy
		if seen[key] || remedy.Sheltered(row.Place) { // the last of each counts; no rain falls under a roof
			continue
		}
		seen[key] = true
		since, err := s.since(m, m.Book.Remedy(row.Remedy), civil.Must(row.Day))
		if err != nil {
			return RecentWeather{}, err
		}
		out.Out = append(out.Out, Protected{row.CaseID, row.Number, row.Plant, row.Grower, row.Remedy, m.Book.Remedy(row.Remedy).Name, since})
	}
	slices.SortStableFunc(out.Out, func(a, b Protected) int {
		switch {
		case a.Since.Left < b.Since.Left:
			return -1
		case a.Since.Left > b.Since.Left:
			return 1
		}
		return 0
	})
	return out, nil
}

// Since says what is left of something that protects, put on a day: rain, days, and when
// it may be put on again. Errors name remedy or on.
func (s *Service) Since(ctx context.Context, id, on string) (sprayday.Since, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return sprayday.Since{}, err
	}
	r := m.Book.Remedy(id)
	var l fault.List
	if r == nil || r.Acts != "protects" {
		l.Add("remedy", fmt.Sprintf("%q is nothing that protects leaves", id), "use the id of one that acts by protecting")
	}
	day, err := civil.Parse(on)
	switch {
	case err != nil:
		l.Add("on", fmt.Sprintf("%q is not a day", on), "write it as YYYY-MM-DD")
	case day.After(m.Today):
		l.Add("on", "has not come yet", "give the day it was put on")
	case m.Today.Sub(day) > longestMemo:
		l.Add("on", fmt.Sprintf("lies more than %d days back", longestMemo), "by then nothing is left")
	}
	if err := l.Err(); err != nil {
		return sprayday.Since{}, err
	}
	return s.since(m, r, day)
}

func (s *Service) since(m desk.Moment, r *knowledge.Remedy, on civil.Day) (sprayday.Since, error) {
	hours, err := m.Sky.Hours(m.Spot(), on.Add(1).Midnight(m.Clock), m.Now) // what fell on the day itself may have been before
	if err != nil {
		return sprayday.Since{}, err
	}
	return sprayday.SinceSpray(on, m.Today, r.HalfLife, remedy.LimitsOf(r, m.Rules).GapMin, hours), nil
}

// WinterAsk asks for a dormant programme.
type WinterAsk struct {
	Host      string   `json:"host" maxLength:"60"`
	Causes    []string `json:"causes" maxItems:"3" doc:"what was bad on it last year"`
	BadYear   bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	Materials []string `json:"materials,omitempty" maxItems:"4" doc:"winter sprays to be used; the program's choice when left out"`
	Case      string   `json:"case,omitempty" maxLength:"40" doc:"a case whose plant, cause, last year and earlier treatments are taken"`
}

// Winter works a dormant programme out, with its days as far as the weather is known.
// Errors name host, causes, climate or materials.
func (s *Service) Winter(ctx context.Context, in WinterAsk) (remedy.WinterPlan, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return remedy.WinterPlan{}, err
	}
	sit := remedy.Situation{Host: in.Host, South: m.South(), House: m.Rules, BadYear: in.BadYear, Schools: settings.KnownSchools(m.Book, nil)}
	if in.Case != "" {
		c, err := s.Read(ctx, in.Case)
		if err != nil {
			return remedy.WinterPlan{}, err
		}
		if sit, err = s.Situation(m, &c); err != nil {
			return remedy.WinterPlan{}, err
		}
		if in.Host != "" {
			sit.Host = in.Host
		}
		sit.BadYear = sit.BadYear || in.BadYear
	}
	winter, err := remedy.PlanWinter(m.Book, remedy.WinterAsk{Causes: in.Causes, Situation: sit, Climate: m.Rules.Local.Climate, Materials: in.Materials, Today: m.Today})
	if err != nil {
		return winter, err
	}
	hours, err := m.Sky.Hours(m.Spot(), m.Today.Midnight(m.Clock), m.Today.Add(plan.WarmthDays).Midnight(m.Clock))
	if err != nil {
		return winter, err
	}
	winter.Days(m.Book, sit, m.Today, remedy.Sky{Hours: hours, Lat: m.Spot().Lat, Lon: m.Spot().Lon, Zone: m.Clock})
	return winter, nil
}
