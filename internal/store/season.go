package store

import (
	"context"
	"strings"
)

// WeekTally is how many samples of one kind came in on a day.
type WeekTally struct {
	Day    string `db:"day"` // YYYY-MM-DD, UTC
	Cause  string `db:"cause"`
	Degree string `db:"degree"`
	Host   string `db:"host_id"`
	Square string `db:"square"`
	N      int    `db:"n"`
}

// Tallies counts what came in between two days, the second left out, by day, cause, degree,
// plant and square.
func (s *Store) Tallies(ctx context.Context, from, to string) ([]WeekTally, error) {
	out := []WeekTally{}
	err := s.r.SelectContext(ctx, &out, `SELECT substr(created_at, 1, 10) AS day, cause, degree, host_id, square, count(*) AS n FROM case_file INDEXED BY case_season
		WHERE created_at >= ? AND created_at < ? GROUP BY 1, 2, 3, 4, 5 ORDER BY 1, 2, 3, 4, 5`, from, to)
	return out, err
}

// BroughtBetween counts what came in between two moments, the second left out.
func (s *Store) BroughtBetween(ctx context.Context, from, to string) (int, error) {
	var n int
	err := s.r.GetContext(ctx, &n, `SELECT count(*) FROM case_file WHERE created_at >= ? AND created_at < ?`, from, to)
	return n, err
}

// Span is when something began and when it came to its end; empty where it has not.
type Span struct {
	From string `db:"created_at"`
	To   string `db:"handed_at"`
}

// Waits are when the samples between two days came in and were first handed over.
func (s *Store) Waits(ctx context.Context, from, to string) ([]Span, error) {
	out := []Span{}
	err := s.r.SelectContext(ctx, &out, `SELECT created_at, handed_at FROM case_file INDEXED BY case_season WHERE created_at >= ? AND created_at < ? AND handed_at <> ''`, from, to)
	return out, err
}

// FirstSeen is the first day of a year on which a cause came in.
type FirstSeen struct {
	Cause string `db:"cause"`
	Year  string `db:"year"`
	Day   string `db:"day"`
	N     int    `db:"n"` // samples of that year
}

// Firsts are the first day in each year on which each cause was settled.
func (s *Store) Firsts(ctx context.Context, since string) ([]FirstSeen, error) {
	out := []FirstSeen{}
	err := s.r.SelectContext(ctx, &out, `SELECT cause, substr(day, 1, 4) AS year, min(day) AS day, sum(n) AS n FROM confirmed_day WHERE day >= ? AND n > 0 GROUP BY 1, 2 ORDER BY 1, 2`, since)
	return out, err
}

// AdvisedIn counts, over the samples that came in between two days, what was put on against
// which cause and of how many it was better; see the view treated_outcome.
func (s *Store) AdvisedIn(ctx context.Context, from, to string) ([]TreatedOutcome, error) {
	out := []TreatedOutcome{}
	err := s.r.SelectContext(ctx, &out, `SELECT cause, remedy, count(DISTINCT id) AS n, count(DISTINCT CASE WHEN better THEN id END) AS better
		FROM treated_outcome WHERE created_at >= ? AND created_at < ? GROUP BY 1, 2 ORDER BY 1, 2`, from, to)
	return out, err
}

// Mistaken is how often one verdict was changed to another.
type Mistaken struct {
	Was    string `db:"was"`
	Became string `db:"became"` // empty: to undetermined
	N      int    `db:"n"`
}

// MistakenIn counts the verdicts changed between two days.
func (s *Store) MistakenIn(ctx context.Context, from, to string) ([]Mistaken, error) {
	out := []Mistaken{}
	err := s.r.SelectContext(ctx, &out, `SELECT was, became, count(*) AS n FROM verdict_change WHERE at >= ? AND at < ? GROUP BY 1, 2 ORDER BY 3 DESC, 1, 2`, from, to)
	return out, err
}

// CaseQuery is what cases are found by. What is empty asks for nothing.
type CaseQuery struct {
	Words   string
	Number  string
	Cause   string // "-" for undetermined
	Host    string
	Place   string
	Square  string
	Keeper  string
	Stage   string
	Outcome string // "-" for none yet
	Remedy  string
	Degree  string
	Was     string // verdict that was changed later; with Cause, to what
	Import  string
	From    string // moment
	To      string // moment, left out
	Photos  string // yes or no

	Sort string // a key of sorts, with - before it for the other way round
	Skip int
	Most int
}

// sorts are what found cases are put in order by.
var sorts = map[string]string{"": "created_at DESC, serial DESC", "number": "number", "brought": "created_at", "plant": "plant COLLATE NOCASE", "grower": "grower COLLATE NOCASE", "cause": "cause", "place": "place", "stage": "stage", "outcome": "outcome", "ask": "ask_on", "keeper": "keeper", "square": "square"}

// MaySort says whether cases can be put in order by something.
func MaySort(by string) bool {
	_, ok := sorts[strings.TrimPrefix(by, "-")]
	return ok && by != "-"
}

// where puts a question into SQL.
func (f CaseQuery) where() (string, []any) {
	where, args := []string{"1"}, []any{}
	is := func(column, value string) {
		if value == "" {
			return
		}
		if value == "-" {
			value = ""
		}
		where, args = append(where, column+" = ?"), append(args, value)
	}
	is("number", f.Number)
	is("cause", f.Cause)
	is("host_id", f.Host)
	is("place", f.Place)
	is("square", f.Square)
	is("keeper", f.Keeper)
	is("stage", f.Stage)
	is("outcome", f.Outcome)
	is("degree", f.Degree)
	is("import_id", f.Import)
	if f.From != "" {
		where, args = append(where, "created_at >= ?"), append(args, f.From)
	}
	if f.To != "" {
		where, args = append(where, "created_at < ?"), append(args, f.To)
	}
	switch f.Photos {
	case "yes":
		where = append(where, "photos > 0")
	case "no":
		where = append(where, "photos = 0")
	}
	if f.Remedy != "" {
		where, args = append(where, "id IN (SELECT case_id FROM case_treatment WHERE remedy = ?)"), append(args, f.Remedy)
	}
	if f.Was != "" {
		where, args = append(where, "id IN (SELECT case_id FROM verdict_change WHERE was = ?)"), append(args, f.Was)
	}
	begun := []string{}
	for _, w := range wordsOf(f.Words) {
		begun = append(begun, begins(w))
	}
	if len(begun) > 0 {
		where, args = append(where, "serial IN (SELECT rowid FROM case_search WHERE case_search MATCH ?)"), append(args, strings.Join(begun, " AND "))
	}
	return strings.Join(where, " AND "), args
}

// Find lists the cases that answer a question, a page of them, and counts them all.
func (s *Store) Find(ctx context.Context, f CaseQuery) ([]Case, int, error) {
	where, args := f.where()
	var n int
	if err := s.r.GetContext(ctx, &n, `SELECT count(*) FROM case_file WHERE `+where, args...); err != nil {
		return nil, 0, err
	}
	by := sorts[strings.TrimPrefix(f.Sort, "-")]
	if f.Sort != "" {
		way := " ASC"
		if strings.HasPrefix(f.Sort, "-") {
			way = " DESC"
		}
		by += way + ", serial DESC"
	}
	out := []Case{}
	// The page is picked from an index alone; only its rows are read.
	err := s.r.SelectContext(ctx, &out, `SELECT `+brief+` FROM case_file WHERE id IN (SELECT id FROM case_file WHERE `+where+` ORDER BY `+by+` LIMIT ? OFFSET ?) ORDER BY `+by, append(args, f.Most, f.Skip)...)
	return out, n, err
}

// Each calls f with every case that answers a question, the oldest first, with its document,
// a few at a time; what changes meanwhile is seen or not.
func (s *Store) Each(ctx context.Context, q CaseQuery, f func(Case) error) error {
	where, args := q.where()
	for after := int64(0); ; {
		rows := []Case{}
		err := s.r.SelectContext(ctx, &rows, `SELECT `+full+` FROM case_file WHERE serial > ? AND `+where+` ORDER BY serial LIMIT 200`, append([]any{after}, args...)...)
		if err != nil || len(rows) == 0 {
			return err
		}
		for _, c := range rows {
			if err := f(c); err != nil {
				return err
			}
		}
		after = rows[len(rows)-1].Serial
	}
}

// Saved is a question somebody kept.
type Saved struct {
	ID      string `db:"id"`
	Account string `db:"account_id"`
	Name    string `db:"name"`
	Query   string `db:"query"` // as it stands in the address
	At      string `db:"at"`
}

// SavedBy lists somebody's questions by name.
func (s *Store) SavedBy(ctx context.Context, account string) ([]Saved, error) {
	out := []Saved{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, account_id, name, query, at FROM saved_search WHERE account_id = ? ORDER BY name, id LIMIT 200`, account)
	return out, err
}

// Save keeps a question.
func (s *Store) Save(ctx context.Context, x Saved) error {
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO saved_search (id, account_id, name, query, at) VALUES (:id, :account_id, :name, :query, :at)`, x)
	return err
}

// Unsave takes one out; ErrNotFound when it is not theirs.
func (s *Store) Unsave(ctx context.Context, account, id string) error {
	res, err := s.w.ExecContext(ctx, `DELETE FROM saved_search WHERE id = ? AND account_id = ?`, id, account)
	if err != nil {
		return err
	}
	if n, _ := res.RowsAffected(); n == 0 {
		return ErrNotFound
	}
	return nil
}
