package overview

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"slices"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/season"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// DaySummary is what a day at the desk was.
type DaySummary struct {
	Day    string `json:"day"`
	Name   string `json:"name" doc:"the day in words"`
	Desk   string `json:"desk"`
	Before string `json:"before" doc:"the day before on which anything was done, or the one before"`
	After  string `json:"after,omitempty"`

	Brought int `json:"brought" doc:"samples brought in"`
	Handed  int `json:"handed" doc:"pages handed over"`
	Closed  int `json:"closed"`
	Heard   int `json:"heard" doc:"growers who told how it went"`
	Silent  int `json:"silent" doc:"asked without an answer"`

	Waits season.Waits  `json:"waits" doc:"minutes from bag to page, of those brought and handed over on this day"`
	Named []DayCount    `json:"named" doc:"what the samples of the day were, the most first"`
	By    []DayOfPerson `json:"by" doc:"who did what"`
	Left  []desk.Tag    `json:"left" doc:"brought in on this day and not handed over yet"`
}

// DayCount is how many samples of a day were one thing.
type DayCount struct {
	Cause string `json:"cause,omitempty"`
	Name  string `json:"name"`
	N     int    `json:"n"`
}

// DayOfPerson is what somebody did on a day.
type DayOfPerson struct {
	Name   string `json:"name"`
	In     int    `json:"in" doc:"checked in"`
	Looked int    `json:"looked" doc:"cases looked at"`
	Handed int    `json:"handed"`
	Asked  int    `json:"asked" doc:"times asked how it went"`
}

// Day sums a day up; today where none is named. Errors name day.
func (s *Service) Day(ctx context.Context, iso string) (DaySummary, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return DaySummary{}, err
	}
	day := m.Today
	if iso != "" {
		if day, err = civil.Parse(iso); err != nil || day.After(m.Today) {
			return DaySummary{}, fault.New("day", fmt.Sprintf("%q is no day up to today", iso), "write it as YYYY-MM-DD")
		}
	}
	deeds, err := s.Store.Deeds(ctx, store.Stamp(day.Midnight(m.Clock)), store.Stamp(day.Add(1).Midnight(m.Clock)))
	if err != nil {
		return DaySummary{}, err
	}
	out := DaySummary{Day: day.String(), Name: day.Long(), Desk: m.Name, Before: day.Add(-1).String(), Named: []DayCount{}, By: []DayOfPerson{}, Left: []desk.Tag{}}
	if day.Before(m.Today) {
		out.After = day.Add(1).String()
	}
	if last, err := s.Store.LastDeedBefore(ctx, store.Stamp(day.Midnight(m.Clock))); err != nil {
		return DaySummary{}, err
	} else if last != "" {
		out.Before = civil.Of(store.ParseTime(last), m.Clock).String()
	}
	people, err := s.Store.Accounts(ctx)
	if err != nil {
		return DaySummary{}, err
	}
	names := map[string]string{} // as they are called today
	for _, a := range people {
		names[a.ID] = a.Name
	}
	s.sumUp(m.Book, &out, deeds, names)
	return out, nil
}

func (s *Service) sumUp(b *knowledge.Base, out *DaySummary, deeds []store.Activity, names map[string]string) {
	by, looked, named := map[string]*DayOfPerson{}, map[string]map[string]bool{}, map[string]int{}
	in, minutes := map[string]store.Activity{}, []float64{}
	handed := map[string]bool{}
	for _, d := range deeds {
		who := cmp.Or(d.WhoID, d.Who) // by name only where no id was kept
		p := by[who]
		if p == nil && d.WhoKind == store.ByPerson {
			p = &DayOfPerson{Name: cmp.Or(names[d.WhoID], d.Who)}
			by[who], looked[who] = p, map[string]bool{}
		}
		switch d.Kind {
		case "in":
			out.Brought++
			in[d.CaseID] = d
		case "handover":
			out.Handed++
			handed[d.CaseID] = true
			if first, ok := in[d.CaseID]; ok {
				minutes = append(minutes, store.ParseTime(d.At).Sub(store.ParseTime(first.At)).Minutes())
			}
		case "close":
			out.Closed++
		case "followup":
			if d.Silent {
				out.Silent++
			} else {
				out.Heard++
			}
		}
		if p == nil {
			continue
		}
		switch d.Kind {
		case "in":
			p.In++
		case "look", "verdict":
			looked[who][d.CaseID] = true
		case "handover":
			p.Handed++
		case "followup":
			p.Asked++
		}
	}
	out.Waits = season.WaitsOf(minutes)
	for _, id := range slices.Sorted(maps.Keys(in)) {
		d := in[id]
		named[d.Cause]++
		if !handed[id] && d.Stage != "closed" && d.Stage != "handed" && d.Stage != "referred" {
			out.Left = append(out.Left, s.TagOf(b, store.Case{ID: d.CaseID, Number: d.Number, Plant: d.Plant, Stage: d.Stage, Cause: d.Cause, Degree: d.Degree, CreatedAt: d.CreatedAt}))
		}
	}
	for cause, n := range named {
		name := "not known yet"
		if k := b.Cause(cause); k != nil {
			name = humanise.InSentence(k.Name)
		}
		out.Named = append(out.Named, DayCount{cause, name, n})
	}
	slices.SortFunc(out.Named, func(a, b DayCount) int { return cmp.Or(cmp.Compare(b.N, a.N), cmp.Compare(a.Name, b.Name)) })
	for who, p := range by {
		p.Looked = len(looked[who])
		if p.In+p.Looked+p.Handed+p.Asked > 0 {
			out.By = append(out.By, *p)
		}
	}
	slices.SortFunc(out.By, func(a, b DayOfPerson) int { return cmp.Compare(a.Name, b.Name) })
}
