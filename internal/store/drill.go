package store

import (
	"context"

	"github.com/jmoiron/sqlx"
)

// OpenDrill is something somebody is being asked in practice.
type OpenDrill struct {
	ID      string `db:"id"`
	Account string `db:"account_id"`
	Kind    string `db:"kind"`
	At      string `db:"at"`
	Body    string `db:"body"` // JSON
}

// keptDrills are how many of somebody's open ones are kept: who leaves one is asked anew.
const keptDrills = 20

// PutDrill keeps what is being asked, in place of what it was.
func (s *Store) PutDrill(ctx context.Context, d OpenDrill) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO drill_open (id, account_id, kind, at, body) VALUES (:id, :account_id, :kind, :at, :body) ON CONFLICT (id) DO UPDATE SET body = excluded.body`, d); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM drill_open WHERE account_id = ? AND id NOT IN (SELECT id FROM drill_open WHERE account_id = ? ORDER BY at DESC, id DESC LIMIT ?)`, d.Account, d.Account, keptDrills)
		return err
	})
}

// Drill finds what somebody is being asked; ErrNotFound for another's.
func (s *Store) Drill(ctx context.Context, account, id string) (OpenDrill, error) {
	var d OpenDrill
	err := s.r.GetContext(ctx, &d, `SELECT id, account_id, kind, at, body FROM drill_open WHERE id = ? AND account_id = ?`, id, account)
	return d, missing(err)
}

// Drilled is an answer given in practice.
type Drilled struct {
	ID      string  `db:"id"`
	Account string  `db:"account_id"`
	At      string  `db:"at"`
	Kind    string  `db:"kind"`
	Key     string  `db:"key"`
	Correct bool    `db:"correct"`
	Sure    float64 `db:"sure"`
	Points  int     `db:"points"` // of a whole case; -1 for a short question
}

// AnswerDrill keeps an answer and ends the question, together; ErrNotFound when it was
// answered before.
func (s *Store) AnswerDrill(ctx context.Context, d Drilled) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `DELETE FROM drill_open WHERE id = ? AND account_id = ?`, d.ID, d.Account)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrNotFound
		}
		_, err = tx.NamedExecContext(ctx, `INSERT INTO drill_answer (id, account_id, at, kind, key, correct, sure, points) VALUES (:id, :account_id, :at, :kind, :key, :correct, :sure, :points)`, d)
		return err
	})
}

// Remembered is how often somebody knew a thing.
type Remembered struct {
	Key   string `db:"key"`
	Right int    `db:"correct"`
	Wrong int    `db:"wrong"`
	Last  string `db:"last"`
}

// RememberedBy is what somebody knew of each thing they were asked.
func (s *Store) RememberedBy(ctx context.Context, account string) ([]Remembered, error) {
	out := []Remembered{}
	err := s.r.SelectContext(ctx, &out, `SELECT key, sum(correct) AS correct, sum(1 - correct) AS wrong, max(at) AS last FROM drill_answer WHERE account_id = ? GROUP BY key`, account)
	return out, err
}

// DrilledBy are somebody's newest answers.
func (s *Store) DrilledBy(ctx context.Context, account string, most int) ([]Drilled, error) {
	out := []Drilled{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, account_id, at, kind, key, correct, sure, points FROM drill_answer WHERE account_id = ? ORDER BY at DESC, id DESC LIMIT ?`, account, most)
	return out, err
}
