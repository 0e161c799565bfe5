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
		var version int
		if err := missing(tx.GetContext(ctx, &version, `SELECT version FROM setting WHERE key = ?`, key)); err != nil && !errors.Is(err, ErrNotFound) {
			return err
		}
		if version != from {
			return ErrStale
		}
		_, err := putSetting(ctx, tx, key, value, who, now)
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

// Adopted is a house document of another desk that is taken over.
type Adopted struct{ Key, Value string }

// AdoptSettings writes documents as new versions of ours and remembers with which batch
// they came: all of them or none.
func (s *Store) AdoptSettings(ctx context.Context, batch string, list []Adopted, who string, now time.Time) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		for _, a := range list {
			v, err := putSetting(ctx, tx, a.Key, a.Value, who, now)
			if err != nil {
				return err
			}
			if _, err := tx.ExecContext(ctx, `INSERT INTO batch_setting (batch, key, version) VALUES (?, ?, ?)`, batch, a.Key, v); err != nil {
				return err
			}
		}
		return nil
	})
}

// RestoreSettings writes back what stood before a batch's documents came, as new versions;
// keys that somebody changed since stay, and are answered.
func (s *Store) RestoreSettings(ctx context.Context, batch, who string, now time.Time) (stay []string, err error) {
	err = s.tx(ctx, func(tx *sqlx.Tx) error {
		var rows []struct {
			Key     string `db:"key"`
			Version int    `db:"version"`
			Now     int    `db:"now"`
			Before  string `db:"before"`
		}
		if err := tx.SelectContext(ctx, &rows, `SELECT b.key, b.version, s.version AS now, e.before FROM batch_setting b JOIN setting s ON s.key = b.key JOIN setting_event e ON e.key = b.key AND e.version = b.version WHERE b.batch = ? ORDER BY b.key`, batch); err != nil {
			return err
		}
		for _, r := range rows {
			if r.Now != r.Version {
				stay = append(stay, r.Key)
				continue
			}
			if _, err := putSetting(ctx, tx, r.Key, r.Before, who, now); err != nil {
				return err
			}
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM batch_setting WHERE batch = ?`, batch)
		return err
	})
	return stay, err
}

// putSetting writes the next version of a house document, whatever the last one was, and
// answers its number.
func putSetting(ctx context.Context, tx *sqlx.Tx, key, value, who string, now time.Time) (int, error) {
	var was struct {
		Value   string `db:"value"`
		Version int    `db:"version"`
	}
	if err := missing(tx.GetContext(ctx, &was, `SELECT value, version FROM setting WHERE key = ?`, key)); err != nil && !errors.Is(err, ErrNotFound) {
		return 0, err
	}
	v := was.Version + 1
	if _, err := tx.ExecContext(ctx, `INSERT INTO setting (key, value, version) VALUES (?, ?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value, version = excluded.version`, key, value, v); err != nil {
		return 0, err
	}
	_, err := tx.ExecContext(ctx, `INSERT INTO setting_event (key, version, at, who, before, after) VALUES (?, ?, ?, ?, ?, ?)`, key, v, Stamp(now), who, was.Value, value)
	return v, err
}
