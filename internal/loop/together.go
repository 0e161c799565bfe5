package loop

import (
	"cmp"
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/handout"
	"botanik/internal/store"
)

// JointHandout is what one grower takes home at once: several plants, one list of what to buy,
// one calendar.
type JointHandout struct {
	Grower string           `json:"grower"`
	Desk   string           `json:"desk"`
	Date   string           `json:"date"`
	Ready  []desk.Tag       `json:"ready" doc:"other cases of the same grower that may be handed over now"`
	NotYet []NotYet         `json:"notYet" doc:"open ones that may not, each with its reason"`
	Sheets []casefile.Sheet `json:"sheets" doc:"pages that were handed over together, this one first"`
	Days   []TogetherDay    `json:"days" doc:"all their days as one list"`
	Buy    []string         `json:"buy" doc:"what is bought for all of them"`
}

// NotYet is an open case that cannot be handed over with the others.
type NotYet struct {
	desk.Tag
	Why string `json:"why"`
}

// TogetherDay is one day with all that is done on it.
type TogetherDay struct {
	On   string   `json:"on"`
	Day  string   `json:"day"`
	What []string `json:"what" doc:"plant by plant"`
}

// mostTogether are how many cases are handed over at once.
const mostTogether = 12

// JointHandout gathers what else of a case's grower could be handed over, and what was.
func (s *Service) JointHandout(ctx context.Context, id string) (JointHandout, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return JointHandout{}, err
	}
	c, err := s.Read(ctx, id)
	if err != nil {
		return JointHandout{}, err
	}
	out := JointHandout{Grower: c.Intake.Grower, Desk: m.Name, Date: m.Today.Long(), Ready: []desk.Tag{}, NotYet: []NotYet{}, Sheets: []casefile.Sheet{}, Days: []TogetherDay{}, Buy: []string{}}
	rows, err := s.Store.CasesOf(ctx, c.Intake.Person, desk.MostEarlier)
	if err != nil {
		return JointHandout{}, err
	}
	for _, r := range rows {
		if r.ID == id {
			continue
		}
		switch st := casework.Stage(r.Stage); st {
		case casework.Ready:
			out.Ready = append(out.Ready, s.TagOf(m.Book, r))
		case casework.Waiting, casework.Bench:
			out.NotYet = append(out.NotYet, NotYet{s.TagOf(m.Book, r), "still on the bench"})
		case casework.Review:
			out.NotYet = append(out.NotYet, NotYet{s.TagOf(m.Book, r), "waits for an advisor's word"})
		}
	}
	with := []string{}
	if h := c.Now().Handover; h != nil {
		with = h.With
	}
	docs := []desk.Case{}
	for _, x := range with {
		other, err := s.Read(ctx, x)
		if err != nil {
			return JointHandout{}, err
		}
		if other.Page != nil && other.Intake.Person == c.Intake.Person {
			docs = append(docs, other)
		}
	}
	slices.SortStableFunc(docs, func(a, b desk.Case) int { return cmp.Compare(first(b.ID == id), first(a.ID == id)) })
	for i := range docs {
		sheet := docs[i].Page.Sheet
		handout.Illustrate(&sheet)
		out.Sheets = append(out.Sheets, sheet)
	}
	out.Days, out.Buy = daysTogether(out.Sheets), buyTogether(docs)
	return out, nil
}

func first(yes bool) int {
	if yes {
		return 1
	}
	return 0
}

// daysTogether are the days of several pages as one list: what is done for which plant.
func daysTogether(sheets []casefile.Sheet) []TogetherDay {
	at := map[string]*TogetherDay{}
	add := func(on, day, what string) {
		if on == "" {
			return
		}
		d := at[on]
		if d == nil {
			d = &TogetherDay{On: on, Day: day}
			at[on] = d
		}
		d.What = append(d.What, what)
	}
	for _, sh := range sheets {
		for _, d := range sh.Table {
			what := sh.Plant + " (" + sh.Number + "): " + d.What
			if d.Much != "" {
				what += ", " + d.Much
			}
			add(d.On, d.Day, what)
		}
		for _, b := range sh.Beside {
			for i, on := range b.On {
				if i < len(b.Days) {
					add(on, b.Days[i], sh.Plant+" ("+sh.Number+"): "+b.What)
				}
			}
		}
	}
	out := make([]TogetherDay, 0, len(at))
	for _, d := range at {
		out = append(out, *d)
	}
	slices.SortFunc(out, func(a, b TogetherDay) int { return cmp.Compare(a.On, b.On) })
	return out
}

// buyTogether adds up what several mixes need of each thing, over all their treatments.
func buyTogether(cases []desk.Case) []string {
	type key struct{ name, unit string }
	sum, order := map[key]float64{}, []key{}
	for i := range cases {
		r := cases[i].Now()
		if r.Mix == nil {
			continue
		}
		times := max(1, r.Mix.Treatments)
		if r.Days != nil {
			times = max(times, len(r.Days.On))
		}
		for _, b := range r.Mix.Plan.Buy {
			k := key{b.Name, b.Unit}
			if _, ok := sum[k]; !ok {
				order = append(order, k)
			}
			sum[k] += b.Amount * float64(times) / float64(max(1, r.Mix.Treatments))
		}
	}
	out := []string{}
	for _, k := range order {
		out = append(out, fmt.Sprintf("%g %s of %s", math.Ceil(sum[k]), k.unit, humanise.InSentence(k.name)))
	}
	return out
}

// Which is a case at the version somebody read.
type Which struct {
	ID      string `json:"id" maxLength:"40"`
	Version int    `json:"version" minimum:"1"`
}

// HandOverTogether hands several cases of one grower over at once: all of them, or, with an
// error that names the case, none. It answers the first as it stands then.
func (s *Service) HandOverTogether(ctx context.Context, who desk.Person, cases []Which) (desk.View, error) {
	if len(cases) < 2 || len(cases) > mostTogether {
		return desk.View{}, fault.New("cases", fmt.Sprintf("are %d", len(cases)), fmt.Sprintf("hand over 2 to %d together", mostTogether))
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return desk.View{}, err
	}
	ids := []string{}
	for i, x := range cases {
		if slices.Contains(ids, x.ID) {
			return desk.View{}, fault.New(fmt.Sprintf("cases[%d]", i), "stands there twice", "name each case once")
		}
		ids = append(ids, x.ID)
	}
	writes, grower := []store.Write{}, ""
	var lead desk.Case
	for i, x := range cases {
		done, err := s.WorkOut(ctx, m, who, x.ID, x.Version, "handover", s.HandingOver(who, ids))
		if err != nil {
			return desk.View{}, fault.Rename(err, func(f fault.Fault) fault.Fault {
				f.Field = strings.TrimSuffix(fmt.Sprintf("cases[%d].%s", i, f.Field), ".")
				return f
			})
		}
		if i == 0 {
			lead, grower = done.Case, done.Case.Intake.Person
		}
		if done.Case.Intake.Person != grower || grower == "" {
			return desk.View{}, fault.New(fmt.Sprintf("cases[%d]", i), "is another grower's", "hand over together what one person takes home")
		}
		writes = append(writes, done.Write)
	}
	if err := s.Store.SetCases(ctx, writes...); err != nil {
		return desk.View{}, err
	}
	lead.Version++
	return s.ViewOf(context.WithoutCancel(ctx), m, &lead)
}

// linksTogether are the addresses of what was handed over together, each with its plant, and
// a name for the set; empty where it was one case alone.
func (s *Service) linksTogether(ctx context.Context, m desk.Moment, c *desk.Case) (links, once string, err error) {
	h := c.Now().Handover
	if h == nil || len(h.With) < 2 || m.Public == "" {
		return "", "", nil
	}
	lines, tokens := []string{}, []string{}
	for _, id := range h.With {
		o, err := s.Read(ctx, id)
		if err != nil {
			return "", "", err
		}
		if o.Page == nil || o.Page.Ended || o.Intake.Person != c.Intake.Person || desk.ReachOf(o.Intake.Contact) != desk.ReachOf(c.Intake.Contact) {
			continue // given to another since, or taken back
		}
		lines = append(lines, fmt.Sprintf("%s: %s/p/%s", strings.ToLower(o.Intake.Plant), m.Public, o.Page.Token))
		tokens = append(tokens, fmt.Sprintf("%s/%d", o.Page.Token, o.Handed()))
	}
	if len(lines) < 2 {
		return "", "", nil
	}
	return strings.Join(lines, "\n"), "page|" + strings.Join(tokens, "+"), nil
}
