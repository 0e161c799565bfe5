package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"time"

	"github.com/gofrs/flock"
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
	ErrInUse    = errors.New("another desk is working on this folder; stop it first")
)

// Store is one desk's file. Safe for many goroutines.
type Store struct {
	w    *sqlx.DB // one connection, the writer
	r    *sqlx.DB // readers
	lock *flock.Flock

	dir    string
	health health
	prior  confirmedMemo
}

const (
	// FileName of the database inside the data folder.
	FileName = "botanik.db"
	lockName = "botanik.lock"
	// fileMode keeps password hashes and growers' contacts from other accounts
	// of the machine.
	fileMode = 0o600
	// applicationID marks the file as ours ("Btnk"), so that no other program's
	// database is taken for a desk.
	applicationID = 0x42746e6b
)

// Open opens or creates the file in a folder, brings its tables up to date and
// keeps the folder to itself until Close. ErrInUse while another desk has it;
// a *Trouble when the file is damaged, foreign, newer than the program, empty,
// or cannot be written.
func Open(ctx context.Context, dir string) (*Store, error) {
	if err := os.MkdirAll(dir, 0o750); err != nil {
		return nil, trouble(fmt.Errorf("the data folder %q cannot be made: %w", dir, err))
	}
	lock, err := take(dir)
	if err != nil {
		return nil, err
	}
	s, err := open(ctx, filepath.Join(dir, FileName), "rwc", true)
	if err != nil {
		return nil, errors.Join(err, lock.Unlock())
	}
	s.lock, s.dir = lock, dir
	return s, nil
}

// Dir is the folder the desk's file lies in; empty for one that was attached.
func (s *Store) Dir() string { return s.dir }

// Attach opens the file of a folder beside a desk that may be working on it.
// It neither makes a desk nor changes its tables: a *Trouble when there is none
// or when its tables are not those of this program.
func Attach(ctx context.Context, dir string) (*Store, error) {
	return open(ctx, filepath.Join(dir, FileName), "rw", false)
}

// take locks a folder for one desk.
func take(dir string) (*flock.Flock, error) {
	l := flock.New(filepath.Join(dir, lockName), flock.SetPermissions(fileMode))
	ok, err := l.TryLock()
	switch {
	case err != nil:
		return nil, trouble(fmt.Errorf("%s cannot be locked: %w", dir, err))
	case !ok:
		return nil, fmt.Errorf("%s: %w", dir, ErrInUse)
	}
	return l, nil
}

func open(ctx context.Context, path, mode string, migrate bool) (*Store, error) {
	isNew, err := known(path, mode)
	if err != nil {
		return nil, err
	}
	if !isNew { // before anything is set that would change a file of others
		if err := checkOurs(ctx, path); err != nil {
			return nil, trouble(err)
		}
	}
	w, err := connect(ctx, path, mode, 1)
	if err != nil {
		return nil, trouble(err)
	}
	if migrate { // a file system without permissions has nothing to keep secret by them
		_ = os.Chmod(path, fileMode)
	}
	if err := prepare(ctx, w, path, isNew, migrate); err != nil {
		return nil, errors.Join(trouble(err), w.Close())
	}
	r, err := connect(ctx, path, "ro", 4)
	if err != nil {
		return nil, errors.Join(trouble(err), w.Close())
	}
	return &Store{w: w, r: r}, nil
}

// known looks at the file before SQLite does: whether it has to be made, and
// whether something empty lies where a desk should be.
func known(path, mode string) (isNew bool, err error) {
	info, err := os.Stat(path)
	switch {
	case errors.Is(err, fs.ErrNotExist) && mode == "rwc":
		return true, nil
	case errors.Is(err, fs.ErrNotExist):
		return false, &Trouble{NoDesk, path + " is not there", "name the desk's data folder in BOTANIK_DATA"}
	case err != nil:
		return false, trouble(err)
	case info.Size() == 0:
		return false, &Trouble{Empty, path + " is empty", "restore a backup, or remove the file to start a new desk"}
	}
	return false, nil
}

// prepare checks that the file is ours and whole, and brings it up to date.
func prepare(ctx context.Context, w *sqlx.DB, path string, isNew, migrate bool) error {
	if !isNew {
		if err := whole(ctx, w, path, "quick_check"); err != nil {
			return err
		}
	}
	provider, err := goose.NewProvider(goose.DialectSQLite3, w.DB, sub(migrations))
	if err != nil {
		return err
	}
	have, want, err := provider.GetVersions(ctx)
	switch {
	case err != nil:
		return err
	case have > want:
		return &Trouble{Newer, fmt.Sprintf("%s was written by a newer Botanik (its tables are version %d, this program knows %d)", path, have, want), "start the newer program, or restore an older backup"}
	case have < want && !migrate:
		return &Trouble{Older, fmt.Sprintf("%s is older than this program (tables version %d of %d)", path, have, want), "start the desk once with botanik serve, which brings it up to date"}
	}
	if _, err := provider.Up(ctx); err != nil {
		return fmt.Errorf("bringing %s up to date: %w", path, err)
	}
	return nil
}

func checkOurs(ctx context.Context, path string) error {
	db, err := connect(ctx, path, "ro", 1)
	if err != nil {
		return err
	}
	return errors.Join(ours(ctx, db, path), db.Close())
}

// ours refuses another program's database. Files of our first versions carry no
// mark of their own but our tables.
func ours(ctx context.Context, db *sqlx.DB, path string) error {
	var id, tables, mine int
	if err := db.GetContext(ctx, &id, "PRAGMA application_id"); err != nil {
		return err
	}
	err := db.GetContext(ctx, &mine, "SELECT count(*) FROM sqlite_schema WHERE type = 'table' AND name IN ('case_event', 'case_file', 'setting', 'goose_db_version')")
	if err == nil {
		err = db.GetContext(ctx, &tables, "SELECT count(*) FROM sqlite_schema WHERE type = 'table'")
	}
	switch {
	case err != nil:
		return err
	case mine == 4 && (id == applicationID || id == 0), tables == 0 && id == 0:
		return nil
	}
	return &Trouble{Foreign, path + " is another program's file, no desk", "name the desk's own data folder in BOTANIK_DATA"}
}

// whole asks SQLite to look the file over: quick_check or integrity_check.
func whole(ctx context.Context, db *sqlx.DB, path, pragma string) error {
	var word string
	if err := db.GetContext(ctx, &word, "PRAGMA "+pragma+"(1)"); err != nil {
		return err
	}
	if word != "ok" {
		return &Trouble{Damaged, path + " is damaged: " + word, "restore the newest backup with botanik restore; the damaged file is kept beside it"}
	}
	return nil
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

// Close lets go of the file and the folder.
func (s *Store) Close() error {
	err := errors.Join(s.r.Close(), s.w.Close())
	if s.lock != nil {
		err = errors.Join(err, s.lock.Unlock())
	}
	return err
}

// tx runs f in one write transaction, which is taken back when f fails or
// panics: there is only one writer, and it must never be left holding.
func (s *Store) tx(ctx context.Context, f func(*sqlx.Tx) error) error {
	tx, err := s.w.BeginTxx(ctx, nil)
	if err != nil {
		return err
	}
	done := false
	defer func() {
		if !done {
			_ = tx.Rollback()
		}
	}()
	if err := f(tx); err != nil {
		done = true
		return errors.Join(err, ignoreDone(tx.Rollback()))
	}
	done = true
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

// ParseTime reads a stored moment; the zero time for an empty one.
func ParseTime(s string) time.Time {
	t, _ := time.Parse("2006-01-02T15:04:05.000Z", s)
	return t
}
