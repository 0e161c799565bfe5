package store

import (
	"embed"
	"io/fs"
)

func sub(f embed.FS) fs.FS {
	s, err := fs.Sub(f, "migrations")
	if err != nil {
		panic(err) // the folder is compiled in
	}
	return s
}
