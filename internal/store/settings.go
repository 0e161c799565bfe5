package store

import (
	"context"
	"errors"
	"time"

	"github.com/jmoiron/sqlx"
)

// Setting reads a house document as JSON with its version; "" and 0 when none.
func (s *Store) Setting(ctx context.Context, key string) (string, int, error) {
	var row struct {
		Value   string `db:"value"`
		Version int    `db:"version"`
	}
	err := missing(s.r.GetContext(ctx, &row, `SELECT value, version FROM setting WHERE key = ?`, key))
	if errors.Is(err, ErrNotFound) {
		return "", 0, nil
	}
	return row.Value, row.Version, err
}

// SettingEvent is a change of a house document.
type SettingEvent struct {
	Key     string `db:"key"`
	Version int    `db:"version"`
	At      string `db:"at"`
	Who     string `db:"who"`
	Before  string `db:"before"`
	After   string `db:"after"`
}

// SetSetting writes a house document with its trace; ErrStale when it changed
// meanwhile.
func (s *Store) SetSetting(ctx context.Context, key, value string, from int, who string, now time.Time) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		var row struct {
			Value   string `db:"value"`
			Version int    `db:"version"`
		}
		if err := missing(tx.GetContext(ctx, &row, `SELECT value, version FROM setting WHERE key = ?`, key)); err != nil && !errors.Is(err, ErrNotFound) {
			return err
		}
		if row.Version != from {
			return ErrStale
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO setting (key, value, version) VALUES (?, ?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value, version = excluded.version`, key, value, from+1); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO setting_event (key, version, at, who, before, after) VALUES (?, ?, ?, ?, ?, ?)`, key, from+1, Stamp(now), who, row.Value, value)
		return err
	})
}

// SettingEventsSince tells what was changed in one house document after a
// version, oldest first.
func (s *Store) SettingEventsSince(ctx context.Context, key string, version int) ([]SettingEvent, error) {
	out := []SettingEvent{}
	err := s.r.SelectContext(ctx, &out, `SELECT key, version, at, who, before, after FROM setting_event WHERE key = ? AND version > ? ORDER BY version LIMIT 50`, key, version)
	return out, err
}
