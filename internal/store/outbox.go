package store

import (
	"context"
	"time"

	"github.com/jmoiron/sqlx"
)

// Message to a grower, with how far it has come.
type Message struct {
	ID        string `db:"id"` // the key the gateway knows it by
	Once      string `db:"once"`
	CaseID    string `db:"case_id"`
	Kind      string `db:"kind"`
	Reach     string `db:"reach"`
	Subject   string `db:"subject"`
	Body      string `db:"body"`
	State     string `db:"state"`
	Tries     int    `db:"tries"`
	NextAt    string `db:"next_at"`
	Said      string `db:"said"`
	MadeAt    string `db:"made_at"`
	ChangedAt string `db:"changed_at"`
}

const messageCols = `id, once, case_id, kind, reach, subject, body, state, tries, next_at, said, made_at, changed_at`

// AddMessage writes a message, unless one that says the same was written before: then
// nothing happens, and false.
func (s *Store) AddMessage(ctx context.Context, m Message) (bool, error) {
	added := false
	err := s.tx(ctx, func(tx *sqlx.Tx) (err error) {
		added, err = addMessage(ctx, tx, m)
		return err
	})
	return added, err
}

func addMessage(ctx context.Context, tx *sqlx.Tx, m Message) (bool, error) {
	res, err := tx.NamedExecContext(ctx, `INSERT INTO outbox (`+messageCols+`) VALUES (:id, :once, :case_id, :kind, :reach, :subject, :body, :state, :tries, :next_at, :said, :made_at, :changed_at) ON CONFLICT (once) DO NOTHING`, m)
	if err != nil {
		return false, err
	}
	n, err := res.RowsAffected()
	return n > 0, err
}

// Lost is what a claimed message says whose last worker died before it told how it went.
const Lost = "lost"

// ClaimMessages takes messages that are due for one worker: no other gets them before the
// lease is over. A message whose worker died is due again then, one try older.
func (s *Store) ClaimMessages(ctx context.Context, now time.Time, lease time.Duration, most int) ([]Message, error) {
	out := []Message{}
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		return tx.SelectContext(ctx, &out, `UPDATE outbox SET said = CASE state WHEN 'sending' THEN 'lost' ELSE '' END, state = 'sending', tries = tries + 1, next_at = ?, changed_at = ?
			WHERE id IN (SELECT id FROM outbox WHERE state IN ('waiting', 'sending') AND next_at <= ? ORDER BY next_at, id LIMIT ?) RETURNING `+messageCols,
			Stamp(now.Add(lease)), Stamp(now), Stamp(now), most)
	})
	return out, err
}

// MoveMessage writes how far a message has come, if it still stands where the caller saw it.
func (s *Store) MoveMessage(ctx context.Context, m Message, state, said string, next, now time.Time) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `UPDATE outbox SET state = ?, said = ?, next_at = ?, changed_at = ? WHERE id = ? AND state = ? AND tries = ?`, state, said, Stamp(next), Stamp(now), m.ID, m.State, m.Tries)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrStale
		}
		return nil
	})
}

// MessagesOut are messages the gateway took whose end is not known, due to be asked about.
func (s *Store) MessagesOut(ctx context.Context, now time.Time, most int) ([]Message, error) {
	out := []Message{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+messageCols+` FROM outbox WHERE state = 'sent' AND next_at <= ? ORDER BY next_at LIMIT ?`, Stamp(now), most)
	return out, err
}

// Messages of a case, the oldest first; of all cases the newest where none is named.
func (s *Store) Messages(ctx context.Context, caseID string, most int) ([]Message, error) {
	out := []Message{}
	if caseID == "" {
		err := s.r.SelectContext(ctx, &out, `SELECT `+messageCols+` FROM outbox ORDER BY id DESC LIMIT ?`, most)
		return out, err
	}
	err := s.r.SelectContext(ctx, &out, `SELECT `+messageCols+` FROM outbox WHERE case_id = ? ORDER BY made_at, id LIMIT ?`, caseID, most)
	return out, err
}

// OptOut keeps that nobody writes to an address, or takes that back.
func (s *Store) OptOut(ctx context.Context, reach, who string, out bool, now time.Time) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if !out {
			_, err := tx.ExecContext(ctx, `DELETE FROM opted_out WHERE reach = ?`, reach)
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO opted_out (reach, at, who) VALUES (?, ?, ?) ON CONFLICT (reach) DO NOTHING`, reach, Stamp(now), who)
		return err
	})
}

// OptedOut reports whether nobody may write to an address.
func (s *Store) OptedOut(ctx context.Context, reach string) (bool, error) {
	var n int
	err := s.r.GetContext(ctx, &n, `SELECT count(*) FROM opted_out WHERE reach = ?`, reach)
	return n > 0, err
}

// MessagesLost are messages that failed or bounced since a moment, the newest first, at most
// ten.
func (s *Store) MessagesLost(ctx context.Context, since string) ([]Message, error) {
	out := []Message{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+messageCols+` FROM outbox INDEXED BY outbox_lost WHERE state IN ('failed', 'bounced') AND changed_at >= ? ORDER BY changed_at DESC LIMIT 10`, since)
	return out, err
}
