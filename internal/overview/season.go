package overview

import (
	"cmp"
	"context"
	"fmt"
	"maps"
	"slices"
	"strings"
	"sync"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/season"
	"botanik/core/weather"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Season is what came in over some weeks, what was done and what came of it.
type Season struct {
	From    string   `json:"from"`
	To      string   `json:"to" doc:"the last day, with it"`
	Desk    string   `json:"desk"`
	Weeks   []string `json:"weeks" doc:"Mondays"`
	N       int      `json:"n" doc:"samples"`
	Before  int      `json:"before" doc:"samples in the same weeks a year earlier"`
	Unknown int      `json:"unknown" doc:"of those, undetermined"`

	Bands    []NamedBand    `json:"bands"`
	Hosts    []SeasonCount  `json:"hosts" doc:"by plant, the most first"`
	Squares  []SquareCount  `json:"squares" doc:"by square of the district"`
	Nowhere  int            `json:"nowhere" doc:"samples of which nobody said where they grow"`
	Arrivals []NamedArrival `json:"arrivals"`
	Surges   []NamedSurge   `json:"surges" doc:"as of the last day"`
	Waits    season.Waits   `json:"waits" doc:"minutes from bag to page"`
	Advised  []NamedAdvice  `json:"advised" doc:"what was put on and what came of it, from five known ends on"`
	Mistaken []NamedMistake `json:"mistaken" doc:"verdicts that were changed later"`
	GridKm   float64        `json:"gridKm" doc:"how wide a square is"`
	Weather  string         `json:"weather" doc:"whose hours the degree-days are from"`
}

// NamedBand is a band with its name.
type NamedBand struct {
	season.Band
	Name string `json:"name"`
	Kind string `json:"kind,omitempty"`
}

// SeasonCount is how many samples were of one thing.
type SeasonCount struct {
	ID   string `json:"id,omitempty"`
	Name string `json:"name"`
	N    int    `json:"n"`
}

// SquareCount is what came from one square.
type SquareCount struct {
	Square string        `json:"square"`
	N      int           `json:"n"`
	Most   []SeasonCount `json:"most" doc:"the three causes it brought most of"`
}

// NamedArrival is a first arrival with its name.
type NamedArrival struct {
	season.Arrival
	Name string `json:"name"`
}

// NamedSurge is a surge with its name.
type NamedSurge struct {
	season.Surge
	Name string `json:"name"`
}

// NamedAdvice is what came of a remedy against a cause.
type NamedAdvice struct {
	season.SuccessRate
	Cause      string `json:"cause"`
	CauseName  string `json:"causeName"`
	Remedy     string `json:"remedy"`
	RemedyName string `json:"remedyName"`
}

// NamedMistake is how often one verdict became another.
type NamedMistake struct {
	Was        string `json:"was"`
	WasName    string `json:"wasName"`
	Became     string `json:"became,omitempty"`
	BecameName string `json:"becameName"`
	N          int    `json:"n"`
}

const (
	mostBands    = 8
	mostHosts    = 14
	mostArrivals = 40
	// longestSeason is how many days are looked over at once.
	longestSeason = 400
	// yearsOfFirsts are looked back for first arrivals.
	yearsOfFirsts = 6
)

// SeasonOf looks some weeks over: the last year where no days are named. Errors name from or
// to.
func (s *Service) SeasonOf(ctx context.Context, from, to string) (Season, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return Season{}, err
	}
	first, last, err := stretch(m, from, to)
	if err != nil {
		return Season{}, err
	}
	out := Season{From: first.String(), To: last.String(), Desk: m.Name, Weeks: []string{}, Squares: []SquareCount{}, Hosts: []SeasonCount{}, Bands: []NamedBand{}, Arrivals: []NamedArrival{}, Surges: []NamedSurge{}, Advised: []NamedAdvice{}, Mistaken: []NamedMistake{}, GridKm: m.Grid()}
	begin, end := store.Stamp(first.Midnight(m.Clock)), store.Stamp(last.Add(1).Midnight(m.Clock))
	rows, err := s.Store.Tallies(ctx, begin, end)
	if err != nil {
		return Season{}, err
	}
	s.tally(m.Book, &out, rows, season.WeeksOf(first, last))
	if out.Before, err = s.Store.BroughtBetween(ctx, store.Stamp(first.Add(-yearOfDays).Midnight(m.Clock)), store.Stamp(last.Add(1-yearOfDays).Midnight(m.Clock))); err != nil {
		return Season{}, err
	}
	for _, f := range []func(context.Context, desk.Moment, *Season, civil.Day, string, string) error{s.waited, s.advisedIn, s.mistakenIn, s.arrivals} {
		if err := f(ctx, m, &out, last, begin, end); err != nil {
			return Season{}, err
		}
	}
	surges, err := s.surges(ctx, last)
	for _, x := range surges {
		out.Surges = append(out.Surges, NamedSurge{x, causeName(m.Book, x.Cause)})
	}
	return out, err
}

// yearOfDays is a year of whole weeks.
const yearOfDays = 364

func stretch(m desk.Moment, from, to string) (first, last civil.Day, err error) {
	var l fault.List
	last = m.Today
	if to != "" {
		if last, err = civil.Parse(to); err != nil {
			l.Add("to", fmt.Sprintf("%q is not a day", to), "write it as YYYY-MM-DD")
		}
	}
	first = last.Add(1 - yearOfDays)
	if from != "" {
		if first, err = civil.Parse(from); err != nil {
			l.Add("from", fmt.Sprintf("%q is not a day", from), "write it as YYYY-MM-DD")
		}
	}
	switch {
	case l.Err() != nil:
	case last.Before(first):
		l.Add("to", "lies before the first day", "give the later day here")
	case last.Sub(first) > longestSeason:
		l.Add("from", "lies more than thirteen months before the last", "look a year over at a time")
	}
	return first, last, l.Err()
}

func causeName(b *knowledge.Base, id string) string {
	switch k := b.Cause(id); {
	case id == "" || id == season.Undetermined:
		return "undetermined"
	case k != nil:
		return k.Name
	}
	return id
}

// tally puts what came in into bands, plants and squares.
func (s *Service) tally(b *knowledge.Base, out *Season, rows []store.WeekTally, weeks []civil.Day) {
	settled, hosts, squares := []season.WeekCounts{}, map[string]int{}, map[string]map[string]int{}
	for _, w := range weeks {
		out.Weeks = append(out.Weeks, w.String())
	}
	for _, r := range rows {
		day, err := civil.Parse(r.Day)
		if err != nil {
			continue
		}
		cause := r.Cause
		if r.Degree == "" || r.Degree == "undetermined" {
			cause = ""
		}
		settled = append(settled, season.WeekCounts{Day: day, Cause: cause, N: r.N})
		out.N += r.N
		if r.Degree == "undetermined" {
			out.Unknown += r.N
		}
		hosts[r.Host] += r.N
		if r.Square == "" {
			out.Nowhere += r.N
			continue
		}
		if squares[r.Square] == nil {
			squares[r.Square] = map[string]int{}
		}
		squares[r.Square][cause] += r.N
	}
	for _, band := range season.Bands(settled, weeks, mostBands) {
		nb := NamedBand{Band: band, Name: causeName(b, band.Key)}
		switch k := b.Cause(band.Key); {
		case k != nil:
			nb.Kind = k.Kind
		case band.Key == season.Other:
			nb.Name = "all others"
		case band.Key == season.Undetermined:
			nb.Name = "not known, or not yet"
		}
		out.Bands = append(out.Bands, nb)
	}
	out.Hosts = mostOf(hosts, mostHosts, func(id string) string {
		if h := b.Host(id); h != nil {
			return h.Name
		}
		return "a plant the book does not know"
	})
	for _, sq := range slices.Sorted(maps.Keys(squares)) {
		x := SquareCount{Square: sq}
		for _, n := range squares[sq] {
			x.N += n
		}
		x.Most = mostOf(squares[sq], 3, func(id string) string { return causeName(b, id) })
		out.Squares = append(out.Squares, x)
	}
}

func mostOf(counts map[string]int, most int, name func(string) string) []SeasonCount {
	out := make([]SeasonCount, 0, len(counts))
	for id, n := range counts {
		out = append(out, SeasonCount{id, name(id), n})
	}
	slices.SortFunc(out, func(a, b SeasonCount) int { return cmp.Or(cmp.Compare(b.N, a.N), cmp.Compare(a.Name, b.Name)) })
	return out[:min(most, len(out))]
}

func (s *Service) waited(ctx context.Context, _ desk.Moment, out *Season, _ civil.Day, begin, end string) error {
	rows, err := s.Store.Waits(ctx, begin, end)
	if err != nil {
		return err
	}
	minutes := make([]float64, 0, len(rows))
	for _, r := range rows {
		minutes = append(minutes, max(0, store.ParseTime(r.To).Sub(store.ParseTime(r.From)).Minutes()))
	}
	out.Waits = season.WaitsOf(minutes)
	return nil
}

func (s *Service) advisedIn(ctx context.Context, m desk.Moment, out *Season, _ civil.Day, begin, end string) error {
	rows, err := s.Store.AdvisedIn(ctx, begin, end)
	if err != nil {
		return err
	}
	for _, x := range rows {
		w, ok := season.WorkedHere(x.Better, x.N)
		if r := m.Book.Remedy(x.Remedy); ok && r != nil {
			out.Advised = append(out.Advised, NamedAdvice{w, x.Cause, causeName(m.Book, x.Cause), x.Remedy, r.Name})
		}
	}
	slices.SortStableFunc(out.Advised, func(a, b NamedAdvice) int { return cmp.Compare(b.N, a.N) })
	return nil
}

func (s *Service) mistakenIn(ctx context.Context, m desk.Moment, out *Season, _ civil.Day, begin, end string) error {
	rows, err := s.Store.MistakenIn(ctx, begin, end)
	for _, r := range rows {
		out.Mistaken = append(out.Mistaken, NamedMistake{r.Was, causeName(m.Book, r.Was), r.Became, causeName(m.Book, r.Became), r.N})
	}
	return err
}

func (s *Service) arrivals(ctx context.Context, m desk.Moment, out *Season, last civil.Day, _, _ string) error {
	rows, err := s.Store.Firsts(ctx, civil.Date(last.Year()-yearsOfFirsts, 1, 1).String())
	if err != nil {
		return err
	}
	firsts := map[string][]civil.Day{}
	for _, r := range rows {
		k := m.Book.Cause(r.Cause)
		day, err := civil.Parse(r.Day)
		if err != nil || k == nil || k.Kind != "pest" && k.Kind != "disease" || day.After(last) {
			continue
		}
		firsts[r.Cause] = append(firsts[r.Cause], day)
	}
	warmth, from := s.degreeDays(m)
	for _, a := range season.Arrivals(firsts, last.Year(), func(cause string, on civil.Day) (float64, float64, bool) {
		k := m.Book.Cause(cause)
		lt := m.Book.LifeTable(k.LifeTable)
		if lt == nil || len(lt.Stages) == 0 {
			return 0, 0, false
		}
		dd, ok := warmth(on, lt.Stages[0].Lower, lt.Stages[0].Upper)
		return dd, lt.Stages[0].Lower, ok
	}) {
		if len(out.Arrivals) < mostArrivals && (a.Day != "" || a.Usual != "") {
			out.Arrivals = append(out.Arrivals, NamedArrival{a, causeName(m.Book, a.Cause)})
		}
	}
	out.Weather = from()
	return nil
}

// degreeDays answers degree-days from the first of a day's year up to that day, and in the end
// whose weather they are of. The days of each year are read once.
func (s *Service) degreeDays(m desk.Moment) (of func(on civil.Day, lower, upper float64) (float64, bool), from func() string) {
	years, whose := map[int][]weather.Day{}, []string{}
	from = func() string {
		if len(whose) == 0 {
			return s.Weather.Kind()
		}
		return strings.Join(whose, ", ")
	}
	return func(on civil.Day, lower, upper float64) (float64, bool) {
		start := civil.Date(on.Year(), 1, 1)
		days, read := years[on.Year()]
		if !read {
			var err error
			if days, err = weather.Daily(m.Sky, m.Spot(), start, civil.Date(on.Year()+1, 1, 1).Sub(start), m.Clock); err != nil {
				return 0, false
			}
			years[on.Year()] = days
		}
		sum := 0.
		for _, d := range days[:on.Sub(start)+1] {
			if !d.Known {
				return 0, false
			}
			dd, err := lifecycle.DegreeDays(d.MinC, d.MaxC, lower, upper)
			if err != nil {
				return 0, false
			}
			sum += dd
			if who := cmp.Or(d.From, s.Weather.Kind()); !slices.Contains(whose, who) {
				whose = append(whose, who)
			}
		}
		return sum, true
	}, from
}

// surged keeps the surges of a day between two verdicts.
type surged struct {
	mu  sync.Mutex
	day civil.Day
	gen int
	is  []season.Surge
}

// surges as of a day, by what was settled up to it.
func (s *Service) surges(ctx context.Context, day civil.Day) ([]season.Surge, error) {
	rows, gen, err := s.Store.ConfirmedSince(ctx, day.Add(-season.Window).String())
	if err != nil {
		return nil, err
	}
	x := &s.kept
	x.mu.Lock()
	defer x.mu.Unlock()
	if x.is == nil || x.day != day || x.gen != gen {
		settled := make([]season.WeekCounts, 0, len(rows))
		for _, r := range rows {
			if d, err := civil.Parse(r.Day); err == nil {
				settled = append(settled, season.WeekCounts{Day: d, Cause: r.Cause, N: r.N})
			}
		}
		x.day, x.gen, x.is = day, gen, season.Surges(settled, day)
	}
	return x.is, nil
}
