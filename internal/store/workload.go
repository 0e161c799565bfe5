package store

import (
	"context"

	"github.com/jmoiron/sqlx"
)

// Workload is how many open cases somebody keeps, and how many of them wait for something.
type Workload struct {
	Keeper string `db:"keeper"` // account; empty for nobody's
	Bench  int    `db:"bench"`  // on the bench, with somebody who reviews, or ready
	Out    int    `db:"out"`    // out at growers
	Due    int    `db:"due"`    // of those, to be asked by the day
}

// Loads counts the open cases by whose they are.
func (s *Store) Loads(ctx context.Context, day string) ([]Workload, error) {
	out := []Workload{}
	err := s.r.SelectContext(ctx, &out, `SELECT keeper, sum(stage IN ('bench', 'review', 'ready')) AS bench, sum(stage IN ('handed', 'referred')) AS out,
		sum(stage IN ('handed', 'referred') AND ask_on <> '' AND ask_on <= ?) AS due FROM case_file
		WHERE stage IN ('bench', 'review', 'ready', 'handed', 'referred') GROUP BY keeper ORDER BY keeper`, day)
	return out, err
}

// KeptBy are somebody's open cases, the oldest first, with their documents.
func (s *Store) KeptBy(ctx context.Context, keeper string, most int) ([]Case, error) {
	out := []Case{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+full+` FROM case_file WHERE keeper = ? AND stage NOT IN ('waiting', 'closed') ORDER BY created_at, id LIMIT ?`, keeper, most)
	return out, err
}

// Away is a stretch of days on which somebody is not there, both ends with it.
type Away struct {
	Account string `db:"account_id"`
	First   string `db:"first"`
	Last    string `db:"last"`
}

// AwayFrom are the stretches that end on a day or after it.
func (s *Store) AwayFrom(ctx context.Context, day string) ([]Away, error) {
	out := []Away{}
	err := s.r.SelectContext(ctx, &out, `SELECT account_id, first, last FROM away WHERE last >= ? ORDER BY first, account_id`, day)
	return out, err
}

// SetAway writes a stretch in place of those it touches.
func (s *Store) SetAway(ctx context.Context, a Away) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM away WHERE account_id = ? AND first <= ? AND last >= ?`, a.Account, a.Last, a.First); err != nil {
			return err
		}
		_, err := tx.NamedExecContext(ctx, `INSERT INTO away (account_id, first, last) VALUES (:account_id, :first, :last)`, a)
		return err
	})
}

// EndAway takes out a stretch; ErrNotFound when there is none that begins so.
func (s *Store) EndAway(ctx context.Context, account, first string) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `DELETE FROM away WHERE account_id = ? AND first = ?`, account, first)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrNotFound
		}
		return nil
	})
}

// Activity is one line of a story on a day, with the case it is of.
type Activity struct {
	CaseID string `db:"case_id"`
	At     string `db:"at"`
	Who    string `db:"who"`
	Actor
	Kind      string `db:"kind"`
	Number    string `db:"number"`
	Plant     string `db:"plant"`
	Stage     string `db:"stage"`
	Cause     string `db:"cause"`
	Degree    string `db:"degree"`
	CreatedAt string `db:"created_at"`
	Silent    bool   `db:"silent"` // asked, and nobody answered
}

// Deeds are what was done between two moments, the second left out, at most 20000.
func (s *Store) Deeds(ctx context.Context, from, to string) ([]Activity, error) {
	out := []Activity{}
	err := s.r.SelectContext(ctx, &out, `SELECT e.case_id, e.at, e.who, e.who_id, e.who_kind, e.kind, c.number, c.plant, c.stage, c.cause, c.degree, c.created_at, e.kind = 'followup' AND e.text LIKE 'no answer%' AS silent
		FROM case_event e INDEXED BY event_at JOIN case_file c ON c.id = e.case_id WHERE e.at >= ? AND e.at < ? ORDER BY e.at, e.case_id, e.seq LIMIT 20000`, from, to)
	return out, err
}

// LastDeedBefore is when the last line of any story before a moment was written; empty
// where there is none.
func (s *Store) LastDeedBefore(ctx context.Context, at string) (string, error) {
	var last string
	err := s.r.GetContext(ctx, &last, `SELECT coalesce(max(at), '') FROM case_event WHERE at < ?`, at)
	return last, err
}
