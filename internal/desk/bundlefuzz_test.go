package desk_test

import (
	"context"
	"encoding/json"
	"maps"
	"slices"
	"strings"
	"testing"

	"botanik/internal/desk"
	recordroom "botanik/internal/records"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// spoiled is a document with something in it that is not what stood there: another kind of
// value, an absurd one, a key too many, or nothing.
func spoiled(t *rapid.T, doc any) any {
	odd := func() any {
		return rapid.SampledFrom([]any{nil, true, -1.0, 1e300, 0.5, "", "x", "\u0000", strings.Repeat("long ", 400), "2026-02-31", "9999-12-31T00:00:00.000Z", []any{}, []any{nil}, map[string]any{}, map[string]any{"a": 1.0}}).Draw(t, "odd")
	}
	switch x := doc.(type) {
	case map[string]any:
		if len(x) == 0 || rapid.IntRange(0, 9).Draw(t, "here") == 0 {
			return odd()
		}
		out := maps.Clone(x)
		k := rapid.SampledFrom(slices.Sorted(maps.Keys(x))).Draw(t, "key")
		switch rapid.IntRange(0, 9).Draw(t, "how") {
		case 0:
			delete(out, k)
		case 1:
			out[k+"x"] = odd()
		default:
			out[k] = spoiled(t, x[k])
		}
		return out
	case []any:
		if len(x) == 0 || rapid.IntRange(0, 9).Draw(t, "here") == 0 {
			return odd()
		}
		out := slices.Clone(x)
		i := rapid.IntRange(0, len(x)-1).Draw(t, "nth")
		if rapid.Bool().Draw(t, "again") {
			return append(out, x[i])
		}
		out[i] = spoiled(t, x[i])
		return out
	default:
		return odd()
	}
}

// Whatever a line of a bundle says: it comes in and goes out whole, or is refused in words.
// It never ends the work by a mistake of ours, leaves nothing behind, and what came in can
// be opened.
func TestALineOfABundleThatSaysAnything(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	lines := [][2]string{}
	for name, text := range everything(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))) {
		for line := range strings.SplitSeq(strings.TrimSpace(text), "\n") {
			if strings.HasSuffix(name, ".jsonl") && line != "" {
				lines = append(lines, [2]string{name, line})
			}
		}
	}
	slices.SortFunc(lines, func(a, b [2]string) int { return strings.Compare(a[0]+a[1], b[0]+b[1]) })
	x := b.another()
	in, out := 0, 0
	rapid.Check(t, func(r *rapid.T) {
		l := rapid.SampledFrom(lines).Draw(r, "line")
		var doc any
		require.NoError(r, json.Unmarshal([]byte(l[1]), &doc))
		raw, err := json.Marshal(spoiled(r, doc))
		require.NoError(r, err)
		id := x.bring(packed(t, map[string]string{l[0]: string(raw) + "\n"}))
		read, err := x.ReadImport(ctx, boss, id, recordroom.ImportInput{})
		if err != nil {
			out++
			return
		}
		take := []string{}
		for _, k := range read.Rules {
			if k.Problem == "" {
				take = append(take, k.Key)
			}
		}
		j := x.worked(x.KeepImport(ctx, boss, id, recordroom.ImportInput{Take: take}))
		require.NotContains(r, j.Said, "our mistake", "%s: %s", l[0], raw)
		found, err := x.Find(ctx, desk.FindInput{})
		require.NoError(r, err)
		for _, c := range found.Cases {
			_, err := x.View(ctx, c.ID)
			require.NoError(r, err, "%s", raw)
			_, err = x.Story(ctx, c.ID)
			require.NoError(r, err, "%s", raw)
		}
		_, err = x.Today(ctx)
		require.NoError(r, err, "%s", raw)
		if j.State != "done" {
			out++
			require.Zero(r, found.N, "%s", raw)
			return
		}
		in++
		_, err = x.UndoImport(ctx, boss, j.Import.Batch)
		require.NoError(r, err)
		found, err = x.Find(ctx, desk.FindInput{})
		require.NoError(r, err)
		require.Zero(r, found.N)
		require.NoError(r, x.Healthy(ctx))
	})
	require.NotZero(t, in, "some come in")
	require.NotZero(t, out, "and some do not")
	t.Logf("%d came in, %d were refused", in, out)
}
