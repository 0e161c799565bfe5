package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What core may never reach, even though it is in the standard library.
var outside = []string{"net", "os", "log", "database", "io/fs", "math/rand", "crypto/rand", "syscall", "testing/fstest"}

func TestCoreStaysPureAndSQLStaysInStore(t *testing.T) {
	root, err := filepath.Abs("..")
	require.NoError(t, err)
	err = filepath.WalkDir(root, func(p string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git") {
			return filepath.SkipDir
		}
		if !strings.HasSuffix(p, ".go") || strings.HasSuffix(p, "_test.go") {
			return nil
		}
		f, err := parser.ParseFile(token.NewFileSet(), p, nil, parser.ImportsOnly)
		require.NoError(t, err)
		rel, _ := filepath.Rel(root, p)
		for _, imp := range f.Imports {
			path := strings.Trim(imp.Path.Value, `"`)
			if strings.HasPrefix(rel, "core/") {
				std := !strings.Contains(strings.Split(path, "/")[0], ".")
				ok := std && (!strings.HasPrefix(path, "botanik/") || strings.HasPrefix(path, "botanik/core/")) || strings.HasPrefix(path, "gonum.org/v1/gonum/")
				assert.True(t, ok, "%s imports %s: core is pure", rel, path)
				for _, o := range outside {
					assert.False(t, path == o || strings.HasPrefix(path, o+"/"), "%s imports %s: core is pure", rel, path)
				}
			}
			if path == "database/sql" || strings.HasPrefix(path, "github.com/jmoiron/sqlx") || strings.HasPrefix(path, "modernc.org/sqlite") {
				assert.True(t, strings.HasPrefix(rel, "internal/store/"), "%s imports %s: SQL stays in store", rel, path)
			}
			assert.False(t, strings.HasPrefix(rel, "internal/store/") && strings.HasPrefix(path, "botanik/internal/httpapi"), "%s reaches up", rel)
		}
		return nil
	})
	require.NoError(t, err)
}
