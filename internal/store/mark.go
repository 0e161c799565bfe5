package store

import (
	"context"
	"errors"
	"io/fs"
	"os"
	"path/filepath"
)

// MarkDemo says of a file that everything in it is made up.
const MarkDemo = "demo"

// Mark writes a mark into the file, to be found by Marked.
func (s *Store) Mark(ctx context.Context, mark string) error {
	_, err := s.w.ExecContext(ctx, `INSERT INTO counter (name, value) VALUES (?, 1) ON CONFLICT (name) DO NOTHING`, "mark-"+mark)
	return err
}

// MarkOf is what Marked found.
type MarkOf struct {
	There  bool // a file lies in the folder
	Marked bool
}

// ReadMark looks for a mark without opening the desk or changing its file. An
// error when something lies there that cannot be read as a desk.
func ReadMark(ctx context.Context, dir, mark string) (out MarkOf, err error) {
	path := filepath.Join(dir, FileName)
	if _, err := os.Stat(path); errors.Is(err, fs.ErrNotExist) {
		return out, nil
	}
	out.There = true
	if _, err := known(path, "ro"); err != nil {
		return out, err
	}
	db, err := connect(ctx, path, "ro", 1)
	if err != nil {
		return out, trouble(err)
	}
	defer func() { err = errors.Join(err, db.Close()) }()
	if err := ours(ctx, db, path); err != nil {
		return out, trouble(err)
	}
	var n int
	err = db.GetContext(ctx, &n, `SELECT count(*) FROM counter WHERE name = ?`, "mark-"+mark)
	out.Marked = n > 0
	return out, trouble(err)
}
