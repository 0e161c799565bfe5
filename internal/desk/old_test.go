package desk_test

import (
	"compress/gzip"
	"context"
	"encoding/json"
	"io"
	"os"
	"path/filepath"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/desk"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func unpacked(t *testing.T, file string) []byte {
	f, err := os.Open(file)
	require.NoError(t, err)
	defer func() { _ = f.Close() }()
	z, err := gzip.NewReader(f)
	require.NoError(t, err)
	raw, err := io.ReadAll(z)
	require.NoError(t, err)
	return raw
}

// A desk of the program as it was before cases had rounds, with what that
// program answered of each case: the same is answered now, can be taken back,
// and goes on.
func TestCasesOfAnOlderProgramReadAsTheyDid(t *testing.T) {
	ctx := context.Background()
	dir := t.TempDir()
	require.NoError(t, os.WriteFile(filepath.Join(dir, store.FileName), unpacked(t, "testdata/desk-tables-2.db.gz"), 0o600))
	st, err := store.Open(ctx, dir)
	require.NoError(t, err)
	defer func() { _ = st.Close() }()
	now := time.Date(2026, 11, 25, 21, 0, 0, 0, time.UTC)
	d := desk.New(st, herbarium.Embedded(), simulated.Station{}, func() time.Time { return now })
	var golden []struct {
		View  map[string]any
		Story []map[string]any
	}
	require.NoError(t, json.Unmarshal(unpacked(t, "testdata/desk-tables-2-views.json.gz"), &golden))
	require.Len(t, golden, 26)
	require.NoError(t, d.Reindex(ctx))
	found, err := d.Search(ctx, "spider mite")
	require.NoError(t, err)
	assert.NotEmpty(t, found, "what an older program did not find by")
	handed, undone := 0, 0
	for _, g := range golden {
		id := g.View["id"].(string)
		v, err := d.View(ctx, id)
		require.NoError(t, err)
		raw, err := json.Marshal(v)
		require.NoError(t, err)
		is := map[string]any{}
		require.NoError(t, json.Unmarshal(raw, &is))
		for key, was := range g.View {
			if key == "houseSeen" {
				continue // the page never showed it
			}
			if key == "followUps" { // results say more now
				assert.Len(t, is[key], len(was.([]any)), g.View["number"])
				continue
			}
			if key == "intake" { // it says which person it is now
				assert.NotEmpty(t, is[key].(map[string]any)["person"])
				delete(is[key].(map[string]any), "person")
			}
			if key == "mix" && was != nil {
				was.(map[string]any)["range"] = is[key].(map[string]any)["range"]
				if is[key].(map[string]any)["range"] == nil {
					delete(was.(map[string]any), "range")
				}
			}
			assert.Equal(t, was, is[key], "%s: %s", g.View["number"], key)
		}
		story, err := d.Story(ctx, id)
		require.NoError(t, err)
		assert.Len(t, story, len(g.Story))
		if v.Handover != nil {
			handed++
		}
		if v.MayUndo != "" {
			undone++
			v2, err := d.Undo(ctx, desk.Person{ID: "x", Name: "Ansel", Role: "advisor"}, id, v.Version)
			require.NoError(t, err)
			assert.Equal(t, v.Version+1, v2.Version)
			doc, err := st.DocAt(ctx, id, v2.Version)
			require.NoError(t, err)
			row, err := st.Case(ctx, id)
			require.NoError(t, err)
			assert.JSONEq(t, row.Doc, doc)
		}
	}
	assert.Positive(t, handed)
	assert.Positive(t, undone)
}
