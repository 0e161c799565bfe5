package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"net/url"
	"os"
	"path/filepath"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the pure-Go driver, registered as "sqlite"
)

//go:embed migrations/*.sql
var migrations embed.FS

// What a caller can meet and act on.
var (
	ErrNotFound = errors.New("not found")
	ErrStale    = errors.New("changed by someone else meanwhile")
	ErrTaken    = errors.New("already taken")
	ErrKeyUsed  = errors.New("idempotency key used for another body")
)

// Store is one desk's file. Safe for many goroutines.
type Store struct {
	w *sqlx.DB // one connection, the writer
	r *sqlx.DB // readers
}

// FileName of the database inside the data folder.
const FileName = "botanik.db"

// Open opens or creates the file in a folder and brings its tables up to date.
func Open(ctx context.Context, dir string) (*Store, error) {
	if err := os.MkdirAll(dir, 0o750); err != nil {
		return nil, fmt.Errorf("the data folder %q cannot be made: %w", dir, err)
	}
	path := filepath.Join(dir, FileName)
	w, err := connect(ctx, path, "rwc", 1)
	if err != nil {
		return nil, err
	}
	provider, err := goose.NewProvider(goose.DialectSQLite3, w.DB, sub(migrations))
	if err != nil {
		return nil, errors.Join(err, w.Close())
	}
	if _, err := provider.Up(ctx); err != nil {
		return nil, errors.Join(fmt.Errorf("bringing %s up to date: %w", path, err), w.Close())
	}
	r, err := connect(ctx, path, "ro", 4)
	if err != nil {
		return nil, errors.Join(err, w.Close())
	}
	return &Store{w, r}, nil
}

func connect(ctx context.Context, path, mode string, n int) (*sqlx.DB, error) {
	q := url.Values{"mode": {mode}, "_pragma": {"busy_timeout(5000)", "foreign_keys(1)", "journal_mode(WAL)", "synchronous(FULL)", "temp_store(MEMORY)", "cache_size(-16000)"}, "_txlock": {"immediate"}}
	if mode == "ro" {
		q["_pragma"] = []string{"busy_timeout(5000)", "query_only(1)", "temp_store(MEMORY)", "cache_size(-16000)"}
	}
	db, err := sqlx.Open("sqlite", "file:"+path+"?"+q.Encode())
	if err != nil {
		return nil, err
	}
	db.SetMaxOpenConns(n)
	db.SetMaxIdleConns(n)
	if err := db.PingContext(ctx); err != nil {
		return nil, errors.Join(fmt.Errorf("%s cannot be opened: %w", path, err), db.Close())
	}
	return db, nil
}

// Close lets go of the file.
func (s *Store) Close() error { return errors.Join(s.r.Close(), s.w.Close()) }

// Healthy reports whether the file answers.
func (s *Store) Healthy(ctx context.Context) error {
	var one int
	return s.r.GetContext(ctx, &one, "SELECT 1")
}

// Backup writes a checked copy while the desk goes on working.
func (s *Store) Backup(ctx context.Context, to string) error {
	if _, err := os.Stat(to); err == nil {
		return fmt.Errorf("%s is already there; choose another name", to)
	}
	if _, err := s.w.ExecContext(ctx, "VACUUM INTO ?", to); err != nil {
		return fmt.Errorf("copying to %s: %w", to, err)
	}
	return CheckFile(ctx, to)
}

// CheckFile refuses a damaged or foreign file.
func CheckFile(ctx context.Context, path string) error {
	if _, err := os.Stat(path); err != nil {
		return fmt.Errorf("%s cannot be read: %w", path, err)
	}
	db, err := connect(ctx, path, "ro", 1)
	if err != nil {
		return err
	}
	var word string
	err = db.GetContext(ctx, &word, "PRAGMA integrity_check")
	if err == nil && word != "ok" {
		err = fmt.Errorf("%s is damaged: %s", path, word)
	}
	if err == nil {
		var n int
		if err = db.GetContext(ctx, &n, "SELECT count(*) FROM sqlite_schema WHERE name = 'case_event'"); err == nil && n == 0 {
			err = fmt.Errorf("%s holds no desk", path)
		}
	}
	return errors.Join(err, db.Close())
}

// tx runs f in one write transaction.
func (s *Store) tx(ctx context.Context, f func(*sqlx.Tx) error) error {
	tx, err := s.w.BeginTxx(ctx, nil)
	if err != nil {
		return err
	}
	if err := f(tx); err != nil {
		return errors.Join(err, ignoreDone(tx.Rollback()))
	}
	return tx.Commit()
}

func ignoreDone(err error) error {
	if errors.Is(err, sql.ErrTxDone) {
		return nil
	}
	return err
}

func missing(err error) error {
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	return err
}

// Stamp writes a moment as it is stored: UTC, sortable, to the millisecond.
func Stamp(t time.Time) string { return t.UTC().Format("2006-01-02T15:04:05.000Z") }

// Moment reads a stored moment; the zero time for an empty one.
func Moment(s string) time.Time {
	t, _ := time.Parse("2006-01-02T15:04:05.000Z", s)
	return t
}

// Restore puts a checked backup in a folder's place. The desk must not be
// running. What was there is kept beside it under the returned name.
func Restore(ctx context.Context, from, dir string, now time.Time) (kept string, err error) {
	if err := CheckFile(ctx, from); err != nil {
		return "", err
	}
	data, err := os.ReadFile(from)
	if err != nil {
		return "", err
	}
	if err := os.MkdirAll(dir, 0o750); err != nil {
		return "", err
	}
	path := filepath.Join(dir, FileName)
	if err := os.WriteFile(path+".new", data, 0o640); err != nil {
		return "", err
	}
	kept = path + "." + now.UTC().Format("20060102-150405")
	for _, end := range []string{"", "-wal", "-shm"} {
		if err := os.Rename(path+end, kept+end); err != nil && !errors.Is(err, os.ErrNotExist) {
			return "", err
		}
	}
	return kept, os.Rename(path+".new", path)
}
