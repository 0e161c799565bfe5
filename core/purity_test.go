package core_test

import (
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What core may never reach, even though it is in the standard library.
var outside = []string{"net", "os", "log", "database", "io/fs", "math/rand", "crypto/rand", "syscall", "testing/fstest"}

// arrows between the rooms: what each may lean on. Nothing runs back up.
var arrows = map[string][]string{
	"cmd/botanik":                {"core", "herbarium", "web", "internal/compute", "internal/camera", "internal/demo", "internal/messaging", "internal/desk", "internal/loop", "internal/records", "internal/settings", "internal/httpapi", "internal/accounts", "internal/simulated", "internal/store", "internal/guard", "internal/bounded"},
	"internal/httpapi":           {"core", "internal/calendar", "internal/camera", "internal/casefile", "internal/desk", "internal/growers", "internal/spraydays", "internal/loop", "internal/overview", "internal/practice", "internal/records", "internal/weatherfile", "internal/settings", "internal/accounts", "internal/photo", "internal/store", "internal/httpapi/grower", "internal/httpapi/humafiber", "internal/bounded"},
	"internal/demo":              {"core", "internal/casefile", "internal/desk", "internal/overview", "internal/records", "internal/settings", "internal/accounts"},
	"internal/desk":              {"core", "internal/weathersource", "internal/casefile", "internal/messaging", "internal/handout", "internal/weatherfile", "internal/settings", "internal/interchange", "internal/accounts", "internal/photo", "internal/store", "internal/guard", "internal/schema"},
	"internal/records":           {"core", "internal/casefile", "internal/desk", "internal/settings", "internal/interchange", "internal/accounts", "internal/photo", "internal/store", "internal/guard", "internal/schema"},
	"internal/practice":          {"core", "internal/casefile", "internal/desk", "internal/settings", "internal/accounts", "internal/store"},
	"internal/growers":           {"core", "internal/casefile", "internal/desk", "internal/settings", "internal/accounts", "internal/store"},
	"internal/spraydays":         {"core", "internal/casefile", "internal/desk", "internal/settings", "internal/accounts", "internal/store", "internal/weatherfile"},
	"internal/overview":          {"core", "internal/casefile", "internal/desk", "internal/settings", "internal/accounts", "internal/store"},
	"internal/loop":              {"core", "internal/casefile", "internal/desk", "internal/messaging", "internal/handout", "internal/settings", "internal/accounts", "internal/store"},
	"internal/handout":           {"core", "internal/casefile", "internal/settings"},
	"internal/settings":          {"core", "internal/weathersource", "internal/camera", "internal/messaging", "internal/accounts", "internal/store", "internal/schema", "internal/device"},
	"internal/accounts":          {"core", "internal/store"},
	"internal/casefile":          {"core"},
	"internal/weathersource":     {"core", "internal/store", "internal/device", "internal/guard"},
	"internal/messaging":         {"core", "internal/device"},
	"internal/weatherfile":       {"core", "internal/bounded"},
	"internal/interchange":       {"core", "internal/bounded"},
	"internal/compute":           {"core", "internal/bounded"},
	"internal/calendar":          {"core", "internal/casefile"},
	"internal/camera":            {"core", "internal/device"},
	"internal/photo":             {"core"},
	"internal/simulated":         {"core", "internal/weathersource", "internal/messaging"},
	"internal/store":             {},
	"internal/bounded":           {},
	"internal/device":            {"core"},
	"internal/guard":             {},
	"internal/schema":            {"core"},
	"herbarium/pack":             {"herbarium"},
	"herbarium":                  {"core", "internal/bounded"},
	"internal/httpapi/humafiber": {},
	"internal/httpapi/grower":    {"internal/calendar", "internal/desk", "internal/loop"},
	"web":                        {},
}

// Inside core, a room may lean only on rooms before it in this list.
var coreFloors = []string{"fault", "humanise", "civil", "weather", "sprayday", "microscopy", "mix", "scouting", "knowledge", "vernacular", "season", "lifecycle", "differential", "evaluation", "remedy", "dosage", "plan", "casework", "training"}

func TestArrowsRunOneWay(t *testing.T) {
	root, err := filepath.Abs("..")
	require.NoError(t, err)
	seen := map[string]bool{}
	err = filepath.WalkDir(root, func(p string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || d.Name() == ".git" || d.Name() == "tools") {
			return filepath.SkipDir
		}
		if !strings.HasSuffix(p, ".go") || strings.HasSuffix(p, "_test.go") {
			return nil
		}
		rel, _ := filepath.Rel(root, p)
		room := filepath.ToSlash(filepath.Dir(rel))
		if room == "core" || room == "e2e" {
			return nil
		}
		seen[room] = true
		f, err := parser.ParseFile(token.NewFileSet(), p, nil, parser.ImportsOnly)
		require.NoError(t, err)
		for _, imp := range f.Imports {
			to, ours := strings.CutPrefix(strings.Trim(imp.Path.Value, `"`), "botanik/")
			if !ours {
				continue
			}
			if mine, inside := strings.CutPrefix(room, "core/"); inside {
				theirs, ok := strings.CutPrefix(to, "core/")
				assert.True(t, ok && slices.Contains(coreFloors, mine) && slices.Index(coreFloors, theirs) < slices.Index(coreFloors, mine), "%s leans on %s", rel, to)
				continue
			}
			allowed, known := arrows[room]
			assert.True(t, known, "%s is a room nobody gave arrows", room)
			if strings.HasPrefix(to, "core/") {
				to = "core"
			}
			assert.True(t, slices.Contains(allowed, to), "%s leans on %s", rel, to)
		}
		return nil
	})
	require.NoError(t, err)
	for room := range arrows {
		assert.True(t, seen[room], "%s is no room any more", room)
	}
}

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
