package overview

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/core/weather"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Notice is something the whole desk should know today.
type Notice struct {
	Kind string `json:"kind"`
	Bold string `json:"bold"`
	Text string `json:"text"`
	Case string `json:"case,omitempty"`
}

// Today is the counter.
type Today struct {
	Desk    string          `json:"desk"`
	Date    string          `json:"date"`
	Brought int             `json:"brought"`
	Longest int             `json:"longestMinutes"`
	Waiting []desk.Tag      `json:"waiting"`
	Bench   []desk.Tag      `json:"bench"`
	Ready   []desk.Tag      `json:"ready"`
	Ask     []desk.Question `json:"ask"`
	Notices []Notice        `json:"notices"`
	Weather string          `json:"weather"`
	Counts  Counts          `json:"counts" doc:"how many there are in all; the trays show the oldest"`
}

// Counts of the trays.
type Counts struct {
	Waiting int `json:"waiting"`
	Bench   int `json:"bench"`
	Ready   int `json:"ready"`
	Ask     int `json:"ask"`
}

const trayLimit = 40

// Today gathers the counter: the trays, who to ask, and notices.
func (s *Service) Today(ctx context.Context) (Today, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return Today{}, err
	}
	air, err := weather.DayOf(m.Sky, m.Spot(), m.Today, m.Clock)
	if err != nil {
		return Today{}, err
	}
	out := Today{Desk: m.Name, Date: m.Today.Long(), Notices: []Notice{}, Ask: []desk.Question{}, Weather: s.forecast(air)}
	midnight := m.Today.Midnight(m.Clock)
	if out.Brought, err = s.Store.BroughtSince(ctx, store.Stamp(midnight)); err != nil {
		return Today{}, err
	}
	for _, t := range []struct {
		into   *[]desk.Tag
		stages []casework.Stage
		count  *int
	}{{&out.Waiting, []casework.Stage{casework.Waiting}, &out.Counts.Waiting}, {&out.Bench, []casework.Stage{casework.Bench, casework.Review}, &out.Counts.Bench}, {&out.Ready, []casework.Stage{casework.Ready}, &out.Counts.Ready}} {
		*t.into = []desk.Tag{}
		for _, st := range t.stages {
			rows, n, err := s.Store.Tray(ctx, string(st), trayLimit)
			if err != nil {
				return Today{}, err
			}
			*t.into = append(*t.into, s.TagsOf(rows)...)
			*t.count += n
		}
	}
	for _, t := range out.Waiting {
		if t.CreatedAt.After(midnight) {
			out.Longest = max(out.Longest, int(m.Now.Sub(t.CreatedAt).Minutes()))
		}
	}
	rows, due, err := s.Store.DueBy(ctx, m.Today.String(), trayLimit)
	if err != nil {
		return Today{}, err
	}
	out.Counts.Ask = due
	for _, r := range rows {
		a, err := s.AskAbout(m.Book, r, m.Today)
		if err != nil {
			return Today{}, err
		}
		out.Ask = append(out.Ask, a)
	}
	return out, s.notices(ctx, &out, m)
}

func (s *Service) forecast(d weather.Day) string {
	if !d.Known {
		return "No weather is known for today: House rules name a station, or bring its file."
	}
	from := s.WeatherFrom(d)
	return strings.ToUpper(from[:1]) + from[1:] + ": " + d.Text() + "."
}

// notices: regulated suspects on the bench, a surge of one cause this week
// against its usual week, and whether this evening suits spraying.
func (s *Service) notices(ctx context.Context, out *Today, m desk.Moment) error {
	day := m.Today
	for _, t := range slices.Concat(out.Bench, out.Ready) {
		if k := m.Book.Cause(t.Cause); k != nil && k.Regulated != "" {
			out.Notices = append(out.Notices, Notice{"regulated", "Regulated suspect on the bench: " + t.Number + ".", "Keep it bagged and apart; it goes to the authority.", t.ID})
		}
	}
	surges, err := s.surges(ctx, day)
	if err != nil {
		return err
	}
	for _, x := range surges {
		if k := m.Book.Cause(x.Cause); k != nil && (k.Kind == "pest" || k.Kind == "disease") {
			out.Notices = append(out.Notices, Notice{Kind: "surge", Bold: fmt.Sprintf("%d of %s in %s.", x.N, k.Name, map[int]string{1: "a week", 2: "two weeks"}[x.Weeks]), Text: fmt.Sprintf("The desk would expect %.0f. Ask others with the same plant to look.", x.Usual)})
		}
	}
	lost, err := s.Store.MessagesLost(ctx, store.Stamp(day.Add(-lostBack).Midnight(m.Clock)))
	if err != nil {
		return err
	}
	for _, x := range lost {
		out.Notices = append(out.Notices, Notice{"message", "A message to " + x.Reach + " did not arrive.", strings.TrimSuffix(x.Said, ".") + ". Telephone, or print the page.", x.CaseID})
	}
	for _, name := range s.House.Unread() {
		out.Notices = append(out.Notices, Notice{Kind: "house", Bold: "Cannot be read: " + name + ".", Text: "What this program ships with holds meanwhile. A coordinator writes it anew in House rules."})
	}
	torn, err := s.Store.TornSince(ctx, store.Stamp(day.Add(-lostBack).Midnight(m.Clock)))
	if err != nil {
		return err
	}
	for _, b := range torn {
		out.Notices = append(out.Notices, Notice{Kind: "import", Bold: "The import of " + b.Name + " was broken off.", Text: "The program stopped meanwhile; what had come in was taken out again. Bring the file once more."})
	}
	if why := s.Weather.Trouble(); why != "" {
		out.Notices = append(out.Notices, Notice{Kind: "weather", Bold: "The weather station is not heard.", Text: why + ". Look outside before anything is sprayed."})
	}
	moved, err := s.MovedToday(ctx, m)
	if err != nil {
		return err
	}
	for _, x := range moved {
		out.Notices = append(out.Notices, Notice{"moved", fmt.Sprintf("The weather moved a treatment of %s, %s.", x.Number, x.Plant), strings.TrimPrefix(x.Text, "days moved: ") + " Its page says so; call who may not have read it.", x.CaseID})
	}
	if err := s.wetAhead(m, out); err != nil {
		return err
	}
	return s.eveningNotice(m, out)
}

// eveningNotice tells of an evening that suits spraying, by the same rule as Spray days.
func (s *Service) eveningNotice(m desk.Moment, out *Today) error {
	hours, err := m.Sky.Hours(m.Spot(), m.Today.Midnight(m.Clock), m.Today.Add(2).Midnight(m.Clock))
	if err != nil {
		return err
	}
	today := slices.DeleteFunc(sprayday.JudgeHours(hours, sprayday.AnyEvening, m.Spot().Lat, m.Spot().Lon), func(h sprayday.Judged) bool {
		return civil.Of(h.At, m.Clock) != m.Today || h.At.Before(m.Now)
	})
	best, ok := sprayday.Evening(today, m.Clock)
	if !ok {
		return nil
	}
	of := []weather.Hour{}
	sum := 0.0
	for _, h := range today {
		if !h.At.Before(best.From) && h.At.Before(best.To) {
			of, sum = append(of, h.Air), sum+h.Air.TempC
		}
	}
	from := s.Weather.Sources(of)
	out.Notices = append(out.Notices, Notice{Kind: "evening", Bold: "A good evening for spraying.", Text: fmt.Sprintf("%s to %s, %s: %.0f °C, dry, light air. Spray days says it for each remedy.", best.From.Format("15:04"), best.To.Format("15:04"), from, sum/float64(len(of)))})
	return nil
}

// wetDays are how many days ahead a wet spell is told of.
const wetDays = 3

// lostBack are how many days a message that did not arrive is told of.
const lostBack = 3

// wetAhead tells of wet leaves that let a disease in within days, where a case in a tray
// or to be asked about has it: what protects has to lie on the leaf before.
func (s *Service) wetAhead(m desk.Moment, out *Today) error {
	watched := slices.Concat(out.Waiting, out.Bench, out.Ready)
	for _, a := range out.Ask {
		watched = append(watched, a.Tag)
	}
	hours, err := m.Sky.Hours(m.Spot(), m.Today.Midnight(m.Clock), m.Today.Add(wetDays).Midnight(m.Clock))
	if err != nil {
		return err
	}
	for _, x := range m.Book.Infections {
		with := []desk.Tag{}
		for _, t := range watched {
			if slices.Contains(x.Causes, t.Cause) && !remedy.Sheltered(t.Place) {
				with = append(with, t)
			}
		}
		if len(with) == 0 {
			continue
		}
		for _, e := range x.Events(hours) {
			if e.Spell.To.Before(m.Now) {
				continue
			}
			text := fmt.Sprintf("%s, %s", with[0].Number, with[0].Plant)
			if len(with) > 1 {
				text += fmt.Sprintf(" and %d more", len(with)-1)
			}
			out.Notices = append(out.Notices, Notice{"wet", fmt.Sprintf("%s: leaves wet for %d h from %s.", x.Name, e.Spell.Hours, e.Spell.From.In(m.Clock).Format("Mon 15:04")), text + " can catch it again; what protects has to lie on the leaf before.", with[0].ID})
			break
		}
	}
	return nil
}
