package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"sync"
	"syscall"
	"time"

	"modernc.org/sqlite"
	lib "modernc.org/sqlite/lib"
)

// Kind of trouble with the file itself, never with what a person did.
type Kind string

// The kinds.
const (
	Damaged  Kind = "damaged"
	Foreign  Kind = "foreign"
	Newer    Kind = "newer"
	Older    Kind = "older"
	Empty    Kind = "empty"
	NoDesk   Kind = "no desk"
	ReadOnly Kind = "read only"
	Full     Kind = "full"
	Busy     Kind = "busy"
)

// Trouble is what is wrong with the desk's file and what to do about it.
type Trouble struct {
	Kind    Kind
	Problem string
	Mend    string
}

// Error reads as one sentence: problem, mend.
func (t *Trouble) Error() string { return t.Problem + "; " + t.Mend }

// TroubleOf finds the trouble with the file inside an error: one of ours, or
// what SQLite or the system says of a disk that is full, read only, damaged or
// busy. Nil when the error is of another kind.
func TroubleOf(err error) *Trouble {
	var t *Trouble
	if errors.As(err, &t) {
		return t
	}
	var se *sqlite.Error
	code := 0
	if errors.As(err, &se) {
		code = se.Code() & 0xff
	}
	switch {
	case code == lib.SQLITE_FULL, errors.Is(err, syscall.ENOSPC):
		return &Trouble{Full, "the disk is full", "free some space; the desk goes on by itself"}
	case code == lib.SQLITE_READONLY, code == lib.SQLITE_CANTOPEN, errors.Is(err, syscall.EROFS), errors.Is(err, fs.ErrPermission):
		return &Trouble{ReadOnly, "the data folder cannot be written", "give the program the right to write there"}
	case code == lib.SQLITE_CORRUPT, code == lib.SQLITE_NOTADB:
		return &Trouble{Damaged, "the desk's file is damaged", "restore the newest backup with botanik restore; the damaged file is kept beside it"}
	case code == lib.SQLITE_BUSY, code == lib.SQLITE_LOCKED:
		return &Trouble{Busy, "the desk's file is held by another program", "wait a moment and try again"}
	}
	return nil
}

// trouble puts the trouble's own words before an error that has some.
func trouble(err error) error {
	if t := TroubleOf(err); t != nil && !isTrouble(err) {
		return &Trouble{t.Kind, fmt.Sprintf("%s (%v)", t.Problem, err), t.Mend}
	}
	return err
}

func isTrouble(err error) bool {
	var t *Trouble
	return errors.As(err, &t)
}

// probeEvery is how often Healthy writes; a flood of questions must not become
// a flood of writes.
const probeEvery = 5 * time.Second

type health struct {
	mu  sync.Mutex
	at  time.Time
	err error
}

// Healthy reports whether the file can be read and written: it reads, and now
// and then writes one row. now says how old the last answer is.
func (s *Store) Healthy(ctx context.Context, now time.Time) error {
	s.health.mu.Lock()
	defer s.health.mu.Unlock()
	if age := now.Sub(s.health.at); s.health.err == nil && age >= 0 && age < probeEvery {
		var one int
		return s.r.GetContext(ctx, &one, "SELECT count(*) FROM case_file WHERE id = ''")
	}
	_, err := s.w.ExecContext(ctx, `INSERT INTO counter (name, value) VALUES ('health', 1) ON CONFLICT (name) DO UPDATE SET value = value + 1`)
	s.health.at, s.health.err = now, trouble(err)
	return s.health.err
}
