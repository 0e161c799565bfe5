package desk

import (
	"cmp"
	"context"
	"fmt"
	"strings"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/store"
)

// FindInput asks for cases.
// The query of /find says what each asks for.
type FindInput struct {
	Words   string `json:"words,omitempty"`
	Cause   string `json:"cause,omitempty"`
	Host    string `json:"host,omitempty"`
	Place   string `json:"place,omitempty"`
	Square  string `json:"square,omitempty"`
	Keeper  string `json:"keeper,omitempty"`
	Stage   string `json:"stage,omitempty"`
	Outcome string `json:"outcome,omitempty"`
	Remedy  string `json:"remedy,omitempty"`
	Degree  string `json:"degree,omitempty"`
	Was     string `json:"was,omitempty"`
	Import  string `json:"import,omitempty"`
	From    string `json:"from,omitempty"`
	To      string `json:"to,omitempty"`
	Photos  string `json:"photos,omitempty"`
	Sort    string `json:"sort,omitempty"`
	Skip    int    `json:"skip,omitempty"`
	Most    int    `json:"most,omitempty"`
}

// FoundCases is a page of what was found.
type FoundCases struct {
	N     int         `json:"n" doc:"how many there are in all"`
	Cases []FoundCase `json:"cases"`
}

// FoundCase is one line of what was found.
type FoundCase struct {
	Tag
	Square  string `json:"square,omitempty"`
	Outcome string `json:"outcome,omitempty"`
	Photos  int    `json:"photos"`
}

// mostFound are the cases of one page.
const mostFound = 200

// Query turns what is asked for into what the store finds by. Errors name the field.
func (s *Service) Query(in FindInput, m Moment) (store.CaseQuery, error) {
	var l fault.List
	f := store.CaseQuery{Words: in.Words, Cause: in.Cause, Host: in.Host, Place: in.Place, Square: strings.ToUpper(in.Square), Keeper: in.Keeper, Stage: in.Stage, Outcome: in.Outcome, Remedy: in.Remedy, Degree: in.Degree, Was: in.Was, Import: in.Import, Photos: in.Photos, Sort: in.Sort, Skip: max(0, in.Skip), Most: min(mostFound, cmp.Or(max(0, in.Most), 50))}
	for _, x := range []struct {
		name, value string
		into        *string
		plus        int
	}{{"from", in.From, &f.From, 0}, {"to", in.To, &f.To, 1}} {
		if x.value == "" {
			continue
		}
		d, err := civil.Parse(x.value)
		if err != nil {
			l.Add(x.name, fmt.Sprintf("%q is not a day", x.value), "write it as YYYY-MM-DD")
			continue
		}
		*x.into = store.Stamp(d.Add(x.plus).Midnight(m.Clock))
	}
	if !store.MaySort(in.Sort) {
		l.Add("sort", fmt.Sprintf("%q is nothing to sort by", in.Sort), "use number, brought, plant, grower, cause, place, stage, outcome, ask, keeper or square, with - before it for the other way round")
	}
	if in.Photos != "" && in.Photos != "yes" && in.Photos != "no" {
		l.Add("photos", fmt.Sprintf("%q is neither", in.Photos), "use yes or no")
	}
	for _, x := range []struct {
		name, id string
		known    bool
	}{{"cause", in.Cause, in.Cause == "-" || m.Book.Cause(in.Cause) != nil}, {"was", in.Was, m.Book.Cause(in.Was) != nil}, {"host", in.Host, in.Host == "-" || m.Book.Host(in.Host) != nil}, {"remedy", in.Remedy, m.Book.Remedy(in.Remedy) != nil}} {
		if x.id != "" && !x.known {
			l.Add(x.name, fmt.Sprintf("%q is not in the herbarium", humanise.Short(x.id, 40)), "use an id of botanik kb list")
		}
	}
	return f, l.Err()
}

// Find lists the cases that answer a question.
func (s *Service) Find(ctx context.Context, in FindInput) (FoundCases, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return FoundCases{}, err
	}
	q, err := s.Query(in, m)
	if err != nil {
		return FoundCases{}, err
	}
	rows, n, err := s.Store.Find(ctx, q)
	out := FoundCases{N: n, Cases: []FoundCase{}}
	for _, r := range rows {
		out.Cases = append(out.Cases, FoundCase{s.TagOf(m.Book, r), r.Square, r.Outcome, r.Photos})
	}
	return out, err
}

// SavedSearch is a question somebody kept for themselves.
type SavedSearch struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Query string `json:"query" doc:"as it stands behind the ? of the address"`
}

// SavedSearches are somebody's own.
func (s *Service) SavedSearches(ctx context.Context, who Person) ([]SavedSearch, error) {
	rows, err := s.Store.SavedBy(ctx, who.ID)
	out := []SavedSearch{}
	for _, r := range rows {
		out = append(out, SavedSearch{r.ID, r.Name, r.Query})
	}
	return out, err
}

// SaveSearch keeps a question. Errors name name.
func (s *Service) SaveSearch(ctx context.Context, who Person, name, query string) ([]SavedSearch, error) {
	if name = humanise.Line(name); name == "" {
		return nil, fault.New("name", "is empty", "say what it is for: moths of this year")
	}
	if err := s.Store.Save(ctx, store.Saved{ID: NewID(s.Now()), Account: who.ID, Name: name, Query: query, At: store.Stamp(s.Now())}); err != nil {
		return nil, err
	}
	return s.SavedSearches(ctx, who)
}

// DropSearch takes one of one's own out.
func (s *Service) DropSearch(ctx context.Context, who Person, id string) ([]SavedSearch, error) {
	if err := s.Store.Unsave(ctx, who.ID, id); err != nil {
		return nil, err
	}
	return s.SavedSearches(ctx, who)
}
