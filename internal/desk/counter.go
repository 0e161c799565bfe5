package desk

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/internal/store"
)

// Ask is a grower to be asked how it went.
type Ask struct {
	Tag
	When    string `json:"when"` // today, 3 days late
	Late    int    `json:"late"`
	Contact string `json:"contact,omitempty"`
	What    string `json:"what"` // what was done, what was counted before
	Call    bool   `json:"call"` // silent twice: telephone
}

// Notice is something the whole desk should know today.
type Notice struct {
	Kind string `json:"kind"`
	Bold string `json:"bold"`
	Text string `json:"text"`
	Case string `json:"case,omitempty"`
}

// Today is the counter.
type Today struct {
	Desk    string   `json:"desk"`
	Date    string   `json:"date"`
	Brought int      `json:"brought"`
	Longest int      `json:"longestMinutes"`
	Waiting []Tag    `json:"waiting"`
	Bench   []Tag    `json:"bench"`
	Ready   []Tag    `json:"ready"`
	Ask     []Ask    `json:"ask"`
	Notices []Notice `json:"notices"`
	Weather string   `json:"weather"`
}

const trayLimit = 40

// Today gathers the counter: the trays, who to ask, and notices.
func (s *Service) Today(ctx context.Context) (Today, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return Today{}, err
	}
	day := s.today(ident)
	w := s.weather(ident).Day(day)
	out := Today{Desk: ident.Name, Date: day.Long(), Notices: []Notice{}, Ask: []Ask{}, Weather: "Simulated forecast: " + w.Text + "."}
	midnight := day.Midnight(ident.zone())
	if out.Brought, err = s.Store.BroughtSince(ctx, store.Stamp(midnight)); err != nil {
		return Today{}, err
	}
	for _, t := range []struct {
		into   *[]Tag
		stages []casework.Stage
	}{{&out.Waiting, []casework.Stage{casework.Waiting}}, {&out.Bench, []casework.Stage{casework.Bench, casework.Review}}, {&out.Ready, []casework.Stage{casework.Ready}}} {
		*t.into = []Tag{}
		for _, st := range t.stages {
			rows, err := s.Store.Tray(ctx, string(st), trayLimit)
			if err != nil {
				return Today{}, err
			}
			*t.into = append(*t.into, s.tags(rows)...)
		}
	}
	for _, t := range out.Waiting {
		if m := int(s.Now().Sub(t.CreatedAt).Minutes()); t.CreatedAt.After(midnight) {
			out.Longest = max(out.Longest, m)
		}
	}
	rows, err := s.Store.DueBy(ctx, day.String(), trayLimit)
	if err != nil {
		return Today{}, err
	}
	for _, r := range rows {
		a, err := s.ask(r, day)
		if err != nil {
			return Today{}, err
		}
		out.Ask = append(out.Ask, a)
	}
	return out, s.notices(ctx, &out, day, w.EveningC, w.RainMm, w.WindMs)
}

func (s *Service) ask(r store.Case, day civil.Day) (Ask, error) {
	c, err := unrow(r)
	if err != nil {
		return Ask{}, err
	}
	a := Ask{Tag: s.tag(r), Contact: c.Intake.Contact}
	a.When, a.Late = askedOn(r.AskOn, day)
	switch {
	case c.Treatment != nil && len(c.Treatment.Remedies) > 0:
		last := s.Base.Remedy(c.Treatment.Remedies[len(c.Treatment.Remedies)-1])
		a.What = a.CauseName
		if last != nil {
			a.What += " · " + last.Name
		}
	case a.CauseName != "":
		a.What = a.CauseName + " · sent on"
	default:
		a.What = "undetermined · sent on"
	}
	n := len(c.FollowUps)
	a.Call = n >= 2 && c.FollowUps[n-1].Silent && c.FollowUps[n-2].Silent
	return a, nil
}

// notices: regulated suspects on the bench, a surge of one cause this week
// against its usual week, and whether this evening suits spraying.
func (s *Service) notices(ctx context.Context, out *Today, day civil.Day, evening, rain, wind float64) error {
	for _, t := range slices.Concat(out.Bench, out.Ready) {
		if k := s.Base.Cause(t.Cause); k != nil && k.Regulated != "" {
			out.Notices = append(out.Notices, Notice{"regulated", "Regulated suspect on the bench: " + t.Number + ".", "Keep it bagged and apart; it goes to the authority.", t.ID})
		}
	}
	rows, err := s.Store.ConfirmedSince(ctx, day.Add(-63).String())
	if err != nil {
		return err
	}
	week, before := map[string]int{}, map[string]int{}
	for _, r := range rows {
		d, err := civil.Parse(r.Day)
		if err != nil {
			continue
		}
		if day.Sub(d) < 7 {
			week[r.Cause] += r.N
		} else {
			before[r.Cause] += r.N
		}
	}
	for _, k := range s.Base.Causes {
		usual := float64(before[k.ID]) / 8
		if n := week[k.ID]; n >= 3 && float64(n) > 2.5*usual && (k.Kind == "pest" || k.Kind == "disease") {
			out.Notices = append(out.Notices, Notice{Kind: "surge", Bold: fmt.Sprintf("%d of %s this week.", n, k.Name), Text: fmt.Sprintf("The desk usually sees %.0f. Ask others with the same plant to look.", max(usual, 0))})
		}
	}
	if evening >= 6 && evening <= 28 && rain == 0 && wind <= 4 {
		out.Notices = append(out.Notices, Notice{Kind: "evening", Bold: "A good evening for spraying.", Text: fmt.Sprintf("Simulated forecast: %.0f °C, dry, light air.", evening)})
	}
	return nil
}
