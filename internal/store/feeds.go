package store

import (
	"context"

	"github.com/jmoiron/sqlx"
)

// Feed is a private address of a calendar; of one grower, or the desk's where none is named.
type Feed struct {
	Token    string `db:"token"`
	Grower   string `db:"grower"` // as the person is called
	GrowerID string `db:"grower_id"`
	Who      string `db:"who"`
	At       string `db:"at"`
	EndedAt  string `db:"ended_at"`
}

// AddFeed keeps a new address.
func (s *Store) AddFeed(ctx context.Context, f Feed) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		_, err := tx.NamedExecContext(ctx, `INSERT INTO calendar_feed (token, grower, grower_id, who, at) VALUES (:token, :grower, :grower_id, :who, :at)`, f)
		return err
	})
}

// EndFeed shuts an address; ErrNotFound when there is none that is open.
func (s *Store) EndFeed(ctx context.Context, token, at string) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `UPDATE calendar_feed SET ended_at = ? WHERE token = ? AND ended_at = ''`, at, token)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrNotFound
		}
		return nil
	})
}

// MoveFeeds gives a person's calendars to another.
func (s *Store) MoveFeeds(ctx context.Context, from string, into Grower) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, `UPDATE calendar_feed SET grower = ?, grower_id = ? WHERE grower_id = ?`, into.Name, into.ID, from)
		return err
	})
}

// Feeds are the open addresses, newest first.
func (s *Store) Feeds(ctx context.Context) ([]Feed, error) {
	out := []Feed{}
	err := s.r.SelectContext(ctx, &out, `SELECT token, grower, grower_id, who, at, ended_at FROM calendar_feed WHERE ended_at = '' ORDER BY at DESC, token`)
	return out, err
}

// FeedBy finds an open address; ErrNotFound otherwise.
func (s *Store) FeedBy(ctx context.Context, token string) (Feed, error) {
	var f Feed
	err := s.r.GetContext(ctx, &f, `SELECT token, grower, grower_id, who, at, ended_at FROM calendar_feed WHERE token = ? AND ended_at = ''`, token)
	return f, missing(err)
}

// OutWith are the cases that are out at growers, the newest first; of one person where one
// is named.
func (s *Store) OutWith(ctx context.Context, grower string, most int) ([]Case, error) {
	out := []Case{}
	where, args := `stage IN ('handed', 'referred')`, []any{}
	if grower != "" {
		where, args = `grower_id = ? AND `+where, append(args, grower)
	}
	err := s.r.SelectContext(ctx, &out, `SELECT `+full+` FROM case_file WHERE `+where+` ORDER BY created_at DESC, id DESC LIMIT ?`, append(args, most)...)
	return out, err
}
