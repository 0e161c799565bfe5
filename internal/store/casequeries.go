package store

import (
	"context"
	"encoding/base64"
	"errors"
	"strings"
	"unicode"

	"github.com/jmoiron/sqlx"
)

// Case finds one by id.
func (s *Store) Case(ctx context.Context, id string) (Case, error) {
	var c Case
	err := s.r.GetContext(ctx, &c, `SELECT `+full+` FROM case_file WHERE id = ?`, id)
	return c, missing(err)
}

// CaseByToken finds one by its grower's token.
func (s *Store) CaseByToken(ctx context.Context, token string) (Case, error) {
	var c Case
	err := s.r.GetContext(ctx, &c, `SELECT `+full+` FROM case_file WHERE token = ? AND token <> ''`, token)
	return c, missing(err)
}

// Events tells a case's story, oldest first, without its before and after.
func (s *Store) Events(ctx context.Context, id string) ([]Event, error) {
	out := []Event{}
	err := s.r.SelectContext(ctx, &out, `SELECT case_id, seq, at, who, who_id, who_kind, kind, text FROM case_event WHERE case_id = ? ORDER BY seq`, id)
	return out, err
}

// Page of cases without their documents, newest first.
type Page struct {
	Cases []Case
	Next  string // cursor of the next page; empty at the end
}

// Cases lists a stage (all when empty) after a cursor. ErrNotFound for a cursor
// that is none of ours.
func (s *Store) Cases(ctx context.Context, stage, cursor string, limit int) (Page, error) {
	where, args := []string{}, []any{}
	if stage != "" {
		where, args = append(where, "stage = ?"), append(args, stage)
	}
	if cursor != "" {
		raw, err := base64.RawURLEncoding.DecodeString(cursor)
		at, id, ok := strings.Cut(string(raw), "|")
		if err != nil || !ok {
			return Page{}, ErrNotFound
		}
		where, args = append(where, "(created_at, id) < (?, ?)"), append(args, at, id)
	}
	q := `SELECT ` + brief + ` FROM case_file`
	if len(where) > 0 {
		q += ` WHERE ` + strings.Join(where, ` AND `)
	}
	out := Page{Cases: []Case{}}
	if err := s.r.SelectContext(ctx, &out.Cases, q+` ORDER BY created_at DESC, id DESC LIMIT ?`, append(args, limit+1)...); err != nil {
		return Page{}, err
	}
	if len(out.Cases) > limit {
		out.Cases = out.Cases[:limit]
		last := out.Cases[limit-1]
		out.Next = base64.RawURLEncoding.EncodeToString([]byte(last.CreatedAt + "|" + last.ID))
	}
	return out, nil
}

// Tray lists the cases of a stage, oldest first, at most limit, and says how many
// there are in all.
func (s *Store) Tray(ctx context.Context, stage string, limit int) ([]Case, int, error) {
	out, n := []Case{}, 0
	if err := missing(s.r.GetContext(ctx, &n, `SELECT n FROM stage_count WHERE stage = ?`, stage)); err != nil && !errors.Is(err, ErrNotFound) {
		return nil, 0, err
	}
	if n == 0 {
		return out, 0, nil
	}
	err := s.r.SelectContext(ctx, &out, `SELECT `+brief+` FROM case_file WHERE stage = ? ORDER BY created_at, id LIMIT ?`, stage, limit)
	return out, n, err
}

// DueBy lists handed-over cases to be asked about up to a day, most late first,
// with their documents, and says how many there are in all.
func (s *Store) DueBy(ctx context.Context, day string, limit int) ([]Case, int, error) {
	const due = ` FROM case_file INDEXED BY case_ask WHERE ask_on <> '' AND stage IN ('handed', 'referred') AND ask_on <= ?`
	out, n := []Case{}, 0
	if err := s.r.GetContext(ctx, &n, `SELECT count(*)`+due, day); err != nil {
		return nil, 0, err
	}
	err := s.r.SelectContext(ctx, &out, `SELECT `+full+due+` ORDER BY ask_on, id LIMIT ?`, day, limit)
	return out, n, err
}

// CasesOf lists the cases of a person, newest first, without their documents; none for
// nobody.
func (s *Store) CasesOf(ctx context.Context, grower string, limit int) ([]Case, error) {
	out := []Case{}
	if grower == "" {
		return out, nil
	}
	err := s.r.SelectContext(ctx, &out, `SELECT `+brief+` FROM case_file INDEXED BY case_grower WHERE grower_id = ? ORDER BY created_at DESC LIMIT ?`, grower, limit)
	return out, err
}

// BroughtSince counts the cases created from a moment on.
func (s *Store) BroughtSince(ctx context.Context, at string) (int, error) {
	var n int
	err := s.r.GetContext(ctx, &n, `SELECT count(*) FROM case_file WHERE created_at >= ?`, at)
	return n, err
}

// Search finds the newest cases by words in number, grower, plant, story or
// verdict; a word's beginning is enough. Of several words all but the last are first
// taken as they stand, because somebody is still typing the last one only: that alone
// fills a page at a large desk. Anything else than words is passed over.
func (s *Store) Search(ctx context.Context, words string, limit int) ([]Case, error) {
	whole, begun := []string{}, []string{}
	for _, w := range wordsOf(words) {
		whole, begun = append(whole, `"`+w+`"`), append(begun, begins(w))
	}
	out := []Case{}
	n := len(begun) - 1
	if n < 0 {
		return out, nil
	}
	if n > 0 {
		whole[n] = begun[n]
		if err := s.matching(ctx, &out, strings.Join(whole, " AND "), limit); err != nil || len(out) == limit {
			return out, err
		}
		out = out[:0]
	}
	err := s.matching(ctx, &out, strings.Join(begun, " AND "), limit)
	return out, err
}

func wordsOf(text string) []string {
	return strings.FieldsFunc(text, func(r rune) bool { return !unicode.IsLetter(r) && !unicode.IsDigit(r) && !unicode.IsMark(r) })
}

// numberDigits of a case's number within its year, which people say without the noughts.
const numberDigits = 4

// begins is a word that may go on; a short number may also be that of a case.
func begins(w string) string {
	if len(w) < numberDigits && strings.Trim(w, "0123456789") == "" {
		return `("` + w + `"* OR "` + strings.Repeat("0", numberDigits-len(w)) + w + `")`
	}
	return `"` + w + `"*`
}

func (s *Store) matching(ctx context.Context, out *[]Case, query string, limit int) error {
	return s.r.SelectContext(ctx, out, `SELECT `+brief+` FROM case_file WHERE serial IN (SELECT rowid FROM case_search WHERE case_search MATCH ? ORDER BY rowid DESC LIMIT ?) ORDER BY serial DESC`, query, limit)
}

// Application is one treatment of a case that is being followed.
type Application struct {
	CaseID string `db:"case_id"`
	Number string `db:"number"`
	Plant  string `db:"plant"`
	Place  string `db:"place"`
	Grower string `db:"grower"`
	Remedy string `db:"remedy"`
	Day    string `db:"day"`
}

// ApplicationsBetween are the treatments of open cases with some remedies, from one day on up to
// another and with it, the newest first, at most 5000.
func (s *Store) ApplicationsBetween(ctx context.Context, remedies []string, from, to string) ([]Application, error) {
	out := []Application{}
	if len(remedies) == 0 {
		return out, nil
	}
	q, args, err := sqlx.In(`SELECT t.case_id, c.number, c.plant, c.place, c.grower, t.remedy, t.day FROM case_treatment t JOIN case_file c ON c.id = t.case_id
		WHERE t.remedy IN (?) AND t.day >= ? AND t.day <= ? AND c.closed_at = '' ORDER BY t.day DESC, c.number LIMIT 5000`, remedies, from, to)
	if err != nil {
		return nil, err
	}
	err = s.r.SelectContext(ctx, &out, q, args...)
	return out, err
}

// TreatedOutcome is how many closed cases of a cause had a remedy, and of how many it was better.
type TreatedOutcome struct {
	Cause  string `db:"cause"`
	Remedy string `db:"remedy"`
	N      int    `db:"n"`
	Better int    `db:"better"`
}

// WorkedAgainst counts, for a cause, what was put on and what came of it; see the view
// treated_outcome.
func (s *Store) WorkedAgainst(ctx context.Context, cause string) ([]TreatedOutcome, error) {
	out := []TreatedOutcome{}
	err := s.r.SelectContext(ctx, &out, `SELECT cause, remedy, count(DISTINCT id) AS n, count(DISTINCT CASE WHEN better THEN id END) AS better
		FROM treated_outcome WHERE cause = ? GROUP BY remedy ORDER BY remedy`, cause)
	return out, err
}

// Undecided are cases out at growers for which no day to ask is set, the oldest first: of
// before each had one.
func (s *Store) Undecided(ctx context.Context, most int) ([]Case, error) {
	out := []Case{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+full+` FROM case_file WHERE stage IN ('handed', 'referred') AND ask_on = '' ORDER BY created_at LIMIT ?`, most)
	return out, err
}
