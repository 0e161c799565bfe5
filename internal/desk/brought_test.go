package desk_test

import (
	"archive/zip"
	spraydaysroom "botanik/internal/spraydays"
	"bytes"
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"runtime"
	"strings"
	"testing"
	"time"

	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/desk"
	"botanik/internal/interchange"
	recordroom "botanik/internal/records"
	"botanik/internal/settings"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// packed writes a bundle of files by hand, with a manifest that holds: what a stranger can
// make.
func packed(t *testing.T, files map[string]string) []byte {
	t.Helper()
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	m := interchange.Manifest{Format: "botanik-bundle", Version: 1, Desk: "A stranger", Made: time.Date(2026, 7, 1, 0, 0, 0, 0, time.UTC), Files: map[string]interchange.BundleSum{}}
	for name, body := range files {
		w, err := z.Create(name)
		require.NoError(t, err)
		_, err = io.WriteString(w, body)
		require.NoError(t, err)
		sum := sha256.Sum256([]byte(body))
		m.Files[name] = interchange.BundleSum{Bytes: int64(len(body)), SHA256: hex.EncodeToString(sum[:])}
	}
	w, err := z.Create("manifest.json")
	require.NoError(t, err)
	require.NoError(t, json.NewEncoder(w).Encode(m))
	require.NoError(t, z.Close())
	return out.Bytes()
}

// setting is one line of settings.jsonl.
func setting(key string, doc any) string {
	text, ok := doc.(string)
	if !ok {
		raw, _ := json.Marshal(doc)
		text = string(raw)
	}
	raw, _ := json.Marshal(store.SettingEvent{Key: key, Version: 1, At: "2026-01-01T00:00:00.000Z", Who: "M", After: text})
	return string(raw) + "\n"
}

// The bundle that closed a desk for good: house documents that cannot be, devices, unknown
// keys. Nothing comes along unticked; what is ticked and cannot be is refused with its
// reason, and nothing of the bundle is kept; the desk goes on as it was.
func TestABundleBringsNoRulesUnlessTheyAreTickedAndHold(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	poison := map[string]any{
		"soap": remedy.Label{Low: "9 L per L", High: "10 L per L", RepeatMin: 9223372036854775807, Most: -5},
	}
	files := map[string]string{"settings.jsonl": setting("identity", "not json") +
		setting("house", map[string]any{"labels": poison}) +
		setting("messages", settings.Templates{Page: "no link at all", Moved: "{what}", Ask: "x"}) +
		setting("course", map[string]any{"name": "x", "classes": []string{"no-class"}, "kinds": []string{}}) +
		setting("keeping", map[string]any{"every": "never", "hour": 99, "keep": 10_000_000}) +
		setting("scope.x", "[]") + setting("made-up", "1")}
	raw := packed(t, files)
	reading, err := b.ReadImport(ctx, boss, b.bring(raw), recordroom.ImportInput{})
	require.NoError(t, err)
	assert.Len(t, reading.Rules, 4)
	for _, r := range reading.Rules {
		assert.NotEmpty(t, r.Problem, r.Key)
	}
	assert.Equal(t, []string{"keeping", "made-up", "scope.x"}, reading.Stays)
	// Unticked: nothing of it.
	j := b.worked(b.KeepImport(ctx, boss, b.bring(raw), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	for _, key := range []string{"identity", "house", "messages", "course", "keeping", "made-up"} {
		_, v, err := b.Store.Setting(ctx, key)
		require.NoError(t, err)
		assert.Zero(t, v, key)
	}
	// Ticked: refused, and nothing is kept.
	for _, key := range []string{"identity", "house", "messages", "course", "keeping", "made-up"} {
		j := b.worked(b.KeepImport(ctx, boss, b.bring(raw), recordroom.ImportInput{Take: []string{key}}))
		assert.Equal(t, "failed", j.State, key)
		_, v, err := b.Store.Setting(ctx, key)
		require.NoError(t, err)
		assert.Zero(t, v, key)
	}
	_, err = b.Today(ctx)
	require.NoError(t, err)
}

// What is ticked is changed by whoever ticked it, never a device or an address, and goes out
// with its batch; unless somebody changed it since, who is not overruled.
func TestRulesThatCameAreUndoneWithTheirBatch(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	mine := settings.DefaultIdentity
	mine.Name, mine.Gateway, mine.Public = "Mine", "http://192.168.1.40:8800", "https://mine.example"
	require.NoError(t, b.House.SetIdentity(ctx, boss, mine, 0))
	theirs := settings.DefaultIdentity
	theirs.Name, theirs.Zone = "Theirs", "Europe/London"
	theirs.Gateway, theirs.ScopeCamera, theirs.WeatherStation, theirs.Public = "http://10.0.0.9:1", "file:///etc/passwd", "http://169.254.169.254", "javascript:alert(1)"
	raw := packed(t, map[string]string{"settings.jsonl": setting("identity", theirs) + setting("house", remedy.House{Labels: map[string]remedy.Label{"soap": {Low: "12 mL per L", High: "15 mL per L"}}})})
	take := func() string {
		j := b.worked(b.KeepImport(ctx, boss, b.bring(raw), recordroom.ImportInput{Take: []string{"identity", "house"}}))
		require.Equal(t, "done", j.State, j.Said)
		assert.Equal(t, []string{"identity", "house"}, j.Import.Taken)
		return j.Import.Batch
	}
	batch := take()
	id, v, err := b.House.Identity(ctx)
	require.NoError(t, err)
	assert.Equal(t, []any{"Theirs", "http://192.168.1.40:8800", "", "", "https://mine.example", 2}, []any{id.Name, id.Gateway, id.ScopeCamera, id.WeatherStation, id.Public, v})
	h, _, err := b.House.Rules(ctx)
	require.NoError(t, err)
	assert.Equal(t, "15 mL per L", h.Labels["soap"].High)
	u, err := b.UndoImport(ctx, boss, batch)
	require.NoError(t, err)
	assert.Empty(t, u.Stay)
	id, _, err = b.House.Identity(ctx)
	require.NoError(t, err)
	assert.Equal(t, "Mine", id.Name)
	h, _, err = b.House.Rules(ctx)
	require.NoError(t, err)
	assert.Empty(t, h.Labels, "as if nobody had ever set one")

	batch = take()
	id, v, err = b.House.Identity(ctx)
	require.NoError(t, err)
	id.Name = "Changed since"
	require.NoError(t, b.House.SetIdentity(ctx, boss, id, v))
	u, err = b.UndoImport(ctx, boss, batch)
	require.NoError(t, err)
	require.Len(t, u.Stay, 1)
	id, _, err = b.House.Identity(ctx)
	require.NoError(t, err)
	assert.Equal(t, "Changed since", id.Name)
}

// A house document that cannot be read, however it came there, counts as the default and is
// told on the Counter; everything goes on, and writing it anew mends it.
func TestADocumentThatCannotBeReadClosesNothing(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.treated(bean)
	for _, key := range []string{"identity", "house", "keeping", "messages", "course", "practice cases", "scope.x"} {
		require.NoError(t, b.Store.SetSetting(ctx, key, `{"policy":5,"name":[],"every":{},"page":1`, 0, "somebody", b.now))
	}
	require.NoError(t, b.Healthy(ctx))
	require.NoError(t, b.Open(ctx), "also at the next start")
	today, err := b.Today(ctx)
	require.NoError(t, err)
	told := 0
	for _, n := range today.Notices {
		if n.Kind == "house" {
			told++
		}
	}
	assert.GreaterOrEqual(t, told, 2)
	_, err = b.View(ctx, b.v.ID)
	require.NoError(t, err)
	_, err = b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	_, err = b.BackupIfDue(ctx)
	require.NoError(t, err)
	id, v, err := b.House.Identity(ctx)
	require.NoError(t, err)
	assert.Equal(t, settings.DefaultIdentity, id)
	id.Name = "Mended"
	require.NoError(t, b.House.SetIdentity(ctx, boss, id, v))
	_, _, err = b.House.Identity(ctx)
	require.NoError(t, err)
	assert.NotContains(t, strings.Join(b.House.Unread(), " "), "clock of the desk")
}

// Cases of a bundle are held to what the desk itself could have written.
func TestACaseOfABundleThatCannotBe(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	whole := everything(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"}))))
	line, _, _ := strings.Cut(whole["cases.jsonl"], "\n")
	var good map[string]any
	for l := range strings.SplitSeq(whole["cases.jsonl"], "\n") {
		if strings.Contains(l, "terrace.example") {
			line = l
		}
	}
	require.NoError(t, json.Unmarshal([]byte(line), &good))
	for name, spoil := range map[string]func(c map[string]any){
		"of the year 9999":     func(c map[string]any) { c["created"] = "9999-01-01T00:00:00.000Z" },
		"a name of a megabyte": func(c map[string]any) { intake(c)["grower"] = strings.Repeat("x", 1<<20) },
		"a long name":          func(c map[string]any) { intake(c)["grower"] = strings.Repeat("x", 500) },
		"rounds without end": func(c map[string]any) {
			d := c["doc"].(map[string]any)
			d["rounds"] = make([]map[string]any, 20_000)
		},
		"a day that is none": func(c map[string]any) {
			p := c["doc"].(map[string]any)["page"].(map[string]any)
			p["sheet"].(map[string]any)["table"].([]any)[0].(map[string]any)["on"] = "2026-02-31"
		},
		"a story of tomorrow year": func(c map[string]any) { c["story"].([]any)[0].(map[string]any)["at"] = "2031-01-01T00:00:00.000Z" },
		"no story":                 func(c map[string]any) { c["story"] = []any{} },
	} {
		var c map[string]any
		require.NoError(t, json.Unmarshal([]byte(line), &c))
		spoil(c)
		raw, err := json.Marshal(c)
		require.NoError(t, err)
		files := map[string]string{"cases.jsonl": line + "\n" + strings.Replace(string(raw), good["id"].(string), "another-id", 1) + "\n"}
		other := b.another()
		j := other.worked(other.KeepImport(ctx, boss, other.bring(packed(t, files)), recordroom.ImportInput{}))
		assert.Equal(t, "failed", j.State, name)
		found, err := other.Find(ctx, desk.FindInput{})
		require.NoError(t, err)
		assert.Zero(t, found.N, "%s: nothing of it is kept", name)
	}
}

func intake(c map[string]any) map[string]any {
	return c["doc"].(map[string]any)["intake"].(map[string]any)
}

// Pressed twice, a file is taken in once; bringing another meanwhile takes it from nobody.
func TestAFileIsTakenInOnce(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	var text strings.Builder
	text.WriteString("number,date,plant,diagnosis\n")
	for i := range 3000 {
		fmt.Fprintf(&text, "C-%d,2024-05-%02d,bean,two-spotted-mite\n", i, 1+i%28)
	}
	id := b.bring([]byte(text.String()))
	first, err := b.KeepImport(ctx, boss, id, recordroom.ImportInput{})
	require.NoError(t, err)
	_, err = b.KeepImport(ctx, boss, id, recordroom.ImportInput{})
	require.ErrorIs(t, err, desk.ErrNotFound, "it is being taken in")
	b.bring([]byte("number,date,plant\nX,2024-01-01,rose\n"))
	j := b.worked(first, nil)
	require.Equal(t, "done", j.State, j.Said)
	found, err := b.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Equal(t, 3000, found.N)
}

// The program stops in the middle of an import, and of a copy: at the next start what had
// come in is out again, told on the Counter and in the list; no half of anything lies there.
func TestAnImportThatWasBrokenOff(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.treated(bean)
	require.NoError(t, b.Store.AddBatch(ctx, store.Batch{ID: "torn-1", Name: "cards.csv", Kind: "csv", Who: "Odile", At: store.Stamp(b.now)}))
	row, err := b.Store.Case(ctx, b.v.ID)
	require.NoError(t, err)
	row.ID, row.Number, row.Token = "half", "", ""
	_, _, err = b.Store.ImportCases(ctx, "torn-1", []store.Incoming{{Case: row, Year: 2026, Story: []store.ImportLine{{Seq: 1, At: store.Stamp(b.now), Who: "x", Kind: "in", Text: "x", After: row.Doc}}}})
	require.NoError(t, err)
	require.NoError(t, b.Store.AdoptSettings(ctx, "torn-1", []store.Adopted{{Key: "keeping", Value: `{"every":"never","hour":1,"keep":1}`}}, "Odile", b.now))
	require.NoError(t, os.MkdirAll(b.WorkFolder(), 0o700))
	require.NoError(t, os.MkdirAll(b.BackupFolder(), 0o700))
	lies := []string{filepath.Join(b.WorkFolder(), "up-x-01ARZ3NDEKTSV4RRFFQ69G5FAV"), filepath.Join(b.BackupFolder(), "botanik-20260711-030000.db.part"), filepath.Join(b.BackupFolder(), "botanik-20260711-030000.db.part-journal")}
	for _, f := range lies {
		require.NoError(t, os.WriteFile(f, []byte("half"), 0o600))
	}
	names, err := b.ClearWork(ctx)
	require.NoError(t, err)
	assert.Equal(t, []string{"cards.csv"}, names)
	for _, f := range lies {
		assert.NoFileExists(t, f)
	}
	_, err = b.Store.Case(ctx, "half")
	require.ErrorIs(t, err, desk.ErrNotFound)
	_, err = b.Store.Case(ctx, b.v.ID)
	require.NoError(t, err, "what was there before stays")
	k, _, err := b.House.Keeping(ctx)
	require.NoError(t, err)
	assert.Equal(t, settings.UsualKeeping, k)
	today, err := b.Today(ctx)
	require.NoError(t, err)
	said := ""
	for _, n := range today.Notices {
		said += n.Bold
	}
	assert.Contains(t, said, "The import of cards.csv was broken off.")
	list, err := b.Batches(ctx)
	require.NoError(t, err)
	assert.True(t, list[0].Torn)
	names, err = b.ClearWork(ctx)
	require.NoError(t, err)
	assert.Empty(t, names, "once")
}

// Files of the attack: a bundle with one line of 200 MB, weather of eight million commas, a
// herbarium of brackets. Refused, with what they are refused for, and in little memory.
func TestFilesOfTheAttackAreRefusedInLittleMemory(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	zipped := func(name string, body string) []byte {
		var out bytes.Buffer
		z := zip.NewWriter(&out)
		w, err := z.Create(name)
		require.NoError(t, err)
		_, err = io.WriteString(w, body)
		require.NoError(t, err)
		require.NoError(t, z.Close())
		return out.Bytes()
	}
	b.Books = noBook(t)
	for name, raw := range map[string][]byte{
		"a line of 20 MB": packed(t, map[string]string{"cases.jsonl": `{"id":"` + strings.Repeat("x", 20<<20) + `"}`}),
		"brackets":        zipped("causes/x.yaml", strings.Repeat("[", 200_000)),
		"aliases":         zipped("causes/x.yaml", "- &a {id: x}\n- drawing: ["+strings.Repeat("*a,", 50_000)+"]"),
		"a large id":      zipped("causes/x.yaml", "- id: "+strings.Repeat("x", 200_000)),
	} {
		id := b.bring(raw)
		grew := allocated(func() {
			_, err := b.ReadImport(ctx, boss, id, recordroom.ImportInput{})
			if err == nil { // a bundle's lines are read when it is kept
				j := b.worked(b.KeepImport(ctx, boss, id, recordroom.ImportInput{}))
				assert.Equal(t, "failed", j.State, name)
			}
		})
		assert.Less(t, grew, uint64(200<<20), name)
	}
	for name, text := range map[string]string{
		"commas":   "time,temp_c,humidity,wind_ms,rain_mm\n" + strings.Repeat(",", 7_900_000),
		"rows":     "time,temp_c,humidity,wind_ms,rain_mm\n" + strings.Repeat(",,,,\n", 1_500_000),
		"lines":    strings.Repeat("\n", 8_000_000),
		"objects":  "[" + strings.Repeat("{},", 2_600_000) + "{}]",
		"brackets": strings.Repeat("[", 7_900_000),
	} {
		grew := allocated(func() {
			_, err := b.ReadWeather(ctx, spraydaysroom.WeatherInput{Name: "x", Text: text})
			assert.Error(t, err, name)
		})
		assert.Less(t, grew, uint64(120<<20), name)
	}
}

// allocated is how many bytes f allocates in all: never less than what it holds at once.
func allocated(f func()) uint64 {
	var was, is runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&was)
	f()
	runtime.ReadMemStats(&is)
	return is.TotalAlloc - was.TotalAlloc
}

func noBook(t *testing.T) func(string) (*knowledge.Base, error) {
	return func(string) (*knowledge.Base, error) {
		t.Error("it was read though it should have been refused")
		return nil, errors.New("read")
	}
}
