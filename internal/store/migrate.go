package store

import (
	"embed"
	"io/fs"
	"path"
	"strconv"
	"strings"
)

func sub(f embed.FS) fs.FS {
	s, err := fs.Sub(f, "migrations")
	if err != nil {
		panic(err) // the folder is compiled in
	}
	return s
}

// NewestTables is the version of the tables this program makes.
func NewestTables() int {
	names, err := fs.Glob(migrations, "migrations/*.sql")
	if err != nil {
		panic(err) // the pattern is compiled in
	}
	newest := 0
	for _, name := range names {
		digits, _, _ := strings.Cut(path.Base(name), "_")
		n, _ := strconv.Atoi(digits)
		newest = max(newest, n)
	}
	return newest
}
