package store

import (
	"context"
	"os"
	"path/filepath"
	"time"

	"github.com/jmoiron/sqlx"
)

// Copy is a backup the clock wrote, or did not.
type Copy struct {
	At      string `db:"at"`
	File    string `db:"file"`
	Bytes   int64  `db:"bytes"`
	Cases   int    `db:"cases"`
	Trouble string `db:"trouble"`
}

// keptCopies are remembered, also those whose file is gone.
const keptCopies = 100

// LogCopy remembers a backup.
func (s *Store) LogCopy(ctx context.Context, c Copy) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.NamedExecContext(ctx, `INSERT OR REPLACE INTO backup_log (at, file, bytes, cases, trouble) VALUES (:at, :file, :bytes, :cases, :trouble)`, c); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM backup_log WHERE at NOT IN (SELECT at FROM backup_log ORDER BY at DESC LIMIT ?)`, keptCopies)
		return err
	})
}

// Copies lists the backups the clock wrote, the newest first.
func (s *Store) Copies(ctx context.Context, most int) ([]Copy, error) {
	out := []Copy{}
	err := s.r.SelectContext(ctx, &out, `SELECT at, file, bytes, cases, trouble FROM backup_log ORDER BY at DESC LIMIT ?`, most)
	return out, err
}

// Size is how large the desk's file is, with its log, and what is in it.
type Size struct {
	Bytes  int64 `json:"bytes"`
	Cases  int   `json:"cases"`
	Lines  int   `json:"lines" doc:"lines of all stories"`
	Photos int   `json:"photos"`
	People int   `json:"people" doc:"growers"`
}

// Size measures the file.
func (s *Store) Size(ctx context.Context) (Size, error) {
	var out Size
	for _, name := range []string{FileName, FileName + "-wal"} {
		if info, err := os.Stat(filepath.Join(s.dir, name)); err == nil {
			out.Bytes += info.Size()
		}
	}
	for q, n := range map[string]*int{"SELECT count(*) FROM case_file": &out.Cases, "SELECT count(*) FROM case_event": &out.Lines, "SELECT count(*) FROM photo": &out.Photos, "SELECT count(*) FROM grower": &out.People} {
		if err := s.r.GetContext(ctx, n, q); err != nil {
			return out, err
		}
	}
	return out, nil
}

// Check has SQLite look the whole file over; a *Trouble when it is damaged.
func (s *Store) Check(ctx context.Context) error {
	return trouble(whole(ctx, s.r, FileName, "integrity_check"))
}

// Sweep takes out what is done with: keys of requests that nobody repeats any more, and
// messages that came to their end, which hold an address and words about somebody. It
// answers how many of each went.
func (s *Store) Sweep(ctx context.Context, keys, messages time.Time) (gone [2]int64, err error) {
	err = s.tx(ctx, func(tx *sqlx.Tx) error {
		for i, q := range []struct{ sql, at string }{
			{`DELETE FROM idempotency WHERE at < ?`, Stamp(keys)},
			{`DELETE FROM outbox WHERE state NOT IN ('waiting', 'sending') AND changed_at < ?`, Stamp(messages)},
		} {
			res, err := tx.ExecContext(ctx, q.sql, q.at)
			if err != nil {
				return err
			}
			if gone[i], err = res.RowsAffected(); err != nil {
				return err
			}
		}
		return nil
	})
	return gone, err
}
