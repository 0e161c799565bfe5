// Package web carries the built page inside the program. The folder dist is
// empty in a clean checkout, so that the program builds before the page does.
package web

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Dist is the built page; it holds no index.html until "make build" ran.
func Dist() fs.FS {
	f, err := fs.Sub(dist, "dist")
	if err != nil {
		panic(err) // the folder is compiled in
	}
	return f
}
