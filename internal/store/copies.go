package store

import (
	"context"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"time"
)

// Copied says what a backup holds.
type Copied struct {
	Path  string
	Bytes int64
	Cases int
}

// Backup writes a checked copy while the desk goes on working. It is written
// beside its name and moved there when it is whole, so that a file of that name
// is always a good one.
func (s *Store) Backup(ctx context.Context, to string) (Copied, error) {
	if _, err := os.Stat(to); err == nil {
		return Copied{}, fmt.Errorf("%s is already there; choose another name", to)
	}
	part := to + ".part"
	if err := os.Remove(part); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return Copied{}, trouble(err)
	}
	// SQLite writes into an empty file that is there already, and keeps its rights.
	f, err := os.OpenFile(part, os.O_CREATE|os.O_EXCL|os.O_WRONLY, fileMode)
	if err != nil {
		return Copied{}, trouble(fmt.Errorf("%s cannot be written: %w", to, err))
	}
	out, err := s.backupInto(ctx, part, to, f.Close())
	if err != nil {
		return Copied{}, errors.Join(trouble(err), os.Remove(part))
	}
	return out, nil
}

func (s *Store) backupInto(ctx context.Context, part, to string, err error) (Copied, error) {
	if err != nil {
		return Copied{}, err
	}
	if _, err := s.w.ExecContext(ctx, "VACUUM INTO ?", part); err != nil {
		return Copied{}, fmt.Errorf("copying to %s: %w", to, err)
	}
	n, err := CheckFile(ctx, part)
	if err != nil {
		return Copied{}, err
	}
	info, err := os.Stat(part)
	if err != nil {
		return Copied{}, err
	}
	if err := errors.Join(syncPath(part), os.Rename(part, to), syncPath(filepath.Dir(to))); err != nil {
		return Copied{}, err
	}
	return Copied{to, info.Size(), n}, nil
}

// CheckFile refuses a damaged, foreign or newer file and counts its cases.
func CheckFile(ctx context.Context, path string) (cases int, err error) {
	if _, err := known(path, "ro"); err != nil {
		return 0, err
	}
	db, err := connect(ctx, path, "ro", 1)
	if err != nil {
		return 0, trouble(err)
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	if err := ours(ctx, db, path); err != nil {
		return 0, trouble(err)
	}
	if err := whole(ctx, db, path, "integrity_check"); err != nil {
		return 0, trouble(err)
	}
	var have int
	if err := db.GetContext(ctx, &have, `SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied`); err != nil {
		return 0, trouble(err)
	}
	if newest := NewestTables(); have > newest {
		return 0, &Trouble{Newer, fmt.Sprintf("%s was written by a newer Botanik (its tables are version %d, this program knows %d)", path, have, newest), "restore it with that program"}
	}
	err = db.GetContext(ctx, &cases, "SELECT count(*) FROM case_file")
	return cases, trouble(err)
}

// Restore puts a checked backup in a folder's place. ErrInUse while a desk works
// there. What was there is kept beside it under the returned name ("" when there
// was nothing). A start at any moment in between finds one desk or the other.
func Restore(ctx context.Context, from, dir string, now time.Time) (kept string, err error) {
	if _, err := CheckFile(ctx, from); err != nil {
		return "", err
	}
	if err := os.MkdirAll(dir, 0o750); err != nil {
		return "", trouble(err)
	}
	lock, err := take(dir)
	if err != nil {
		return "", err
	}
	defer func() { err = errors.Join(err, lock.Unlock()) }()
	path := filepath.Join(dir, FileName)
	if err := copyFile(from, path+".new"); err != nil {
		return "", errors.Join(trouble(err), os.Remove(path+".new"))
	}
	// A folder whose log is not in the main file yet would lose it on the swap:
	// the old desk is kept as it lies, log and all, before the new one comes in.
	if kept, err = keep(path, now); err != nil {
		return "", trouble(err)
	}
	return kept, trouble(errors.Join(os.Rename(path+".new", path), syncPath(dir)))
}

// MoveAside keeps what lies in a folder's place under another name, for a new
// desk to be made there. ErrInUse while a desk works there; "" when nothing lay
// there.
func MoveAside(dir string, now time.Time) (kept string, err error) {
	if _, err := os.Stat(dir); errors.Is(err, fs.ErrNotExist) {
		return "", nil
	}
	lock, err := take(dir)
	if err != nil {
		return "", err
	}
	defer func() { err = errors.Join(err, lock.Unlock()) }()
	return keep(filepath.Join(dir, FileName), now)
}

// keep renames a desk's file and its log; the main file goes last, so that a
// crash between leaves a desk without a new one's log beside it.
func keep(path string, now time.Time) (string, error) {
	kept := path + "." + now.UTC().Format("20060102-150405")
	for n := 2; ; n++ {
		if _, err := os.Lstat(kept); errors.Is(err, fs.ErrNotExist) {
			break
		}
		kept = fmt.Sprintf("%s.%s-%d", path, now.UTC().Format("20060102-150405"), n)
	}
	there := false
	for _, end := range []string{"-wal", "-shm", ""} {
		err := os.Rename(path+end, kept+end)
		if err != nil && !errors.Is(err, fs.ErrNotExist) {
			return "", err
		}
		there = there || err == nil && end == ""
	}
	if !there {
		return "", nil
	}
	return kept, nil
}

// KeepNewest removes all but the n newest of the files MoveAside kept.
func KeepNewest(dir string, n int) error {
	list, err := filepath.Glob(filepath.Join(dir, FileName+".2*"))
	if err != nil {
		return err
	}
	mains := slices.DeleteFunc(list, func(p string) bool {
		return len(p) > 4 && (p[len(p)-4:] == "-wal" || p[len(p)-4:] == "-shm")
	})
	slices.Sort(mains)
	for len(mains) > n {
		for _, end := range []string{"", "-wal", "-shm"} {
			if err := os.Remove(mains[0] + end); err != nil && !errors.Is(err, fs.ErrNotExist) {
				return err
			}
		}
		mains = mains[1:]
	}
	return nil
}

func copyFile(from, to string) (err error) {
	in, err := os.Open(from)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, in.Close()) }()
	out, err := os.OpenFile(to, os.O_CREATE|os.O_TRUNC|os.O_WRONLY, fileMode)
	if err != nil {
		return err
	}
	_, err = io.Copy(out, in)
	return errors.Join(err, out.Sync(), out.Close())
}

// syncPath makes a file, or a folder's list of names, outlive a pulled plug.
func syncPath(path string) error {
	f, err := os.Open(path)
	if err != nil {
		return err
	}
	return errors.Join(f.Sync(), f.Close())
}
