package store

import (
	"bytes"
	"compress/gzip"
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"slices"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func kindOf(err error) Kind {
	if t := TroubleOf(err); t != nil {
		return t.Kind
	}
	return ""
}

// Files of the program as it was with earlier sets of tables: the demo desks of then.
// They open with everything in them.
func TestAnOldFileOpensWithEverythingInIt(t *testing.T) {
	for _, name := range []string{"desk-tables-2.db.gz", "desk-tables-5.db.gz", "desk-tables-7.db.gz", "desk-tables-10.db.gz", "desk-tables-11.db.gz"} {
		t.Run(name, func(t *testing.T) { opensWhole(t, name) })
	}
}

func opensWhole(t *testing.T, name string) {
	ctx := context.Background()
	dir := t.TempDir()
	raw, err := os.ReadFile("testdata/" + name)
	require.NoError(t, err)
	z, err := gzip.NewReader(bytes.NewReader(raw))
	require.NoError(t, err)
	old, err := io.ReadAll(z)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(filepath.Join(dir, FileName), old, 0o644))
	before, err := sql.Open("sqlite", "file:"+filepath.Join(dir, FileName)+"?mode=ro")
	require.NoError(t, err)
	count := func(db interface {
		QueryRow(string, ...any) *sql.Row
	}, q string) (n int) {
		require.NoError(t, db.QueryRow(q).Scan(&n), q)
		return n
	}
	was := map[string]int{}
	for _, q := range []string{"SELECT count(*) FROM case_file", "SELECT count(*) FROM case_event", "SELECT count(*) FROM account", "SELECT count(*) FROM setting", "SELECT count(*) FROM case_search", "SELECT sum(length(doc)) FROM case_file"} {
		was[q] = count(before, q)
	}
	settled := count(before, "SELECT count(*) FROM case_file WHERE degree = 'settled'")
	require.Positive(t, settled)
	require.NoError(t, before.Close())

	s, err := Open(ctx, dir)
	require.NoError(t, err)
	defer func() { _ = s.Close() }()
	for q, n := range was {
		assert.Equal(t, n, count(s.r, q), q)
	}
	assert.Equal(t, settled, count(s.r, "SELECT sum(n) FROM confirmed_day"))
	if name == "desk-tables-10.db.gz" { // two beans were closed in it, both treated with soap
		assert.Equal(t, 2, count(s.r, "SELECT count(DISTINCT id) FROM treated_outcome WHERE cause = 'two-spotted-mite' AND remedy = 'soap' AND better"))
	}
	if name == "desk-tables-11.db.gz" { // one grower told on their page; who the others are was known by name only
		assert.Equal(t, 1, count(s.r, "SELECT count(*) FROM case_event WHERE who_kind = 'grower'"))
		assert.Zero(t, count(s.r, "SELECT count(*) FROM case_event WHERE who_kind = 'person' AND who_id = '' AND who IN (SELECT name FROM account)"))
		assert.Positive(t, count(s.r, "SELECT count(*) FROM case_event e JOIN account a ON a.id = e.who_id WHERE a.name = 'Wren'"))
	}
	all, err := s.Cases(ctx, "", "", 500)
	require.NoError(t, err)
	for _, c := range all.Cases {
		found, err := s.Search(ctx, c.Number, 5)
		require.NoError(t, err)
		assert.True(t, slices.ContainsFunc(found, func(x Case) bool { return x.ID == c.ID }), c.Number)
	}
	next, _, err := s.AddCase(ctx, 2026, Key{}, sample("new"))
	require.NoError(t, err)
	assert.EqualValues(t, was["SELECT count(*) FROM case_file"]+1, next.Serial)
}

func TestOnlyOneDeskWorksOnAFolder(t *testing.T) {
	s, dir := opened(t)
	ctx := context.Background()
	_, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	file := filepath.Join(t.TempDir(), "copy.db")
	_, err = s.Backup(ctx, file)
	require.NoError(t, err)

	_, err = Open(ctx, dir)
	assert.ErrorIs(t, err, ErrInUse)
	_, err = Restore(ctx, file, dir, at)
	assert.ErrorIs(t, err, ErrInUse, "a restore under a running desk would split it")
	_, err = MoveAside(dir, at)
	assert.ErrorIs(t, err, ErrInUse)
	_, err = s.Case(ctx, "A")
	require.NoError(t, err)

	beside, err := Attach(ctx, dir)
	require.NoError(t, err, "a backup goes on beside it")
	_, err = beside.Case(ctx, "A")
	require.NoError(t, err)
	require.NoError(t, beside.Close())
	require.NoError(t, s.Close())
	_, err = Restore(ctx, file, dir, at)
	require.NoError(t, err)
}

func TestAFileThatIsNoGoodDeskIsNeverOpened(t *testing.T) {
	ctx := context.Background()
	desk := func(t *testing.T) (dir, path string) {
		dir = t.TempDir()
		s, err := Open(ctx, dir)
		require.NoError(t, err)
		for i := range 300 {
			_, _, err := s.AddCase(ctx, 2026, Key{}, sample(fmt.Sprintf("%03d", i)))
			require.NoError(t, err)
		}
		require.NoError(t, s.Close())
		return dir, filepath.Join(dir, FileName)
	}
	alter := func(path, q string) {
		db, err := sql.Open("sqlite", "file:"+path)
		require.NoError(t, err)
		_, err = db.Exec(q)
		require.NoError(t, err)
		require.NoError(t, db.Close())
	}
	for kind, spoil := range map[Kind]func(path string){
		Empty:   func(p string) { require.NoError(t, os.WriteFile(p, nil, 0o600)) },
		Foreign: func(p string) { require.NoError(t, os.Remove(p)); alter(p, "CREATE TABLE recipe (name TEXT)") },
		Newer: func(p string) {
			alter(p, "INSERT INTO goose_db_version (version_id, is_applied) VALUES (9999, 1)")
		},
		Damaged: func(p string) {
			raw, err := os.ReadFile(p)
			require.NoError(t, err)
			for at := 3 * 4096; at+4096 < len(raw); at += 2 * 4096 {
				copy(raw[at:], bytes.Repeat([]byte("\xa5"), 4096))
			}
			require.NoError(t, os.WriteFile(p, raw, 0o600))
		},
	} {
		t.Run(string(kind), func(t *testing.T) {
			dir, path := desk(t)
			spoil(path)
			was, err := os.ReadFile(path)
			require.NoError(t, err)
			for name, open := range map[string]func() error{
				"open":    func() error { _, err := Open(ctx, dir); return err },
				"attach":  func() error { _, err := Attach(ctx, dir); return err },
				"check":   func() error { _, err := CheckFile(ctx, path); return err },
				"restore": func() error { _, err := Restore(ctx, path, t.TempDir(), at); return err },
			} {
				err := open()
				require.Error(t, err, name)
				assert.Equal(t, kind, kindOf(err), "%s: %v", name, err)
				assert.NotEmpty(t, TroubleOf(err).Mend)
			}
			is, err := os.ReadFile(path)
			require.NoError(t, err)
			assert.True(t, bytes.Equal(was, is), "it is left as it was")
		})
	}
	t.Run("no desk", func(t *testing.T) {
		dir := t.TempDir()
		_, err := Attach(ctx, dir)
		assert.Equal(t, NoDesk, kindOf(err))
		assert.NoFileExists(t, filepath.Join(dir, FileName), "asking makes none")
	})
	t.Run("a table of that name makes no desk", func(t *testing.T) {
		path := filepath.Join(t.TempDir(), "x.db")
		alter(path, "CREATE TABLE case_event (id TEXT)")
		_, err := CheckFile(ctx, path)
		assert.Equal(t, Foreign, kindOf(err))
	})
}

func TestWhatIsWrittenIsForTheProgramsAccountAlone(t *testing.T) {
	s, dir := opened(t)
	ctx := context.Background()
	file := filepath.Join(t.TempDir(), "copy.db")
	_, err := s.Backup(ctx, file)
	require.NoError(t, err)
	for _, p := range []string{filepath.Join(dir, FileName), file} {
		info, err := os.Stat(p)
		require.NoError(t, err)
		assert.Equal(t, os.FileMode(0o600), info.Mode().Perm(), p)
	}
	_, err = s.Backup(ctx, filepath.Join(t.TempDir(), "no", "such", "folder.db"))
	require.Error(t, err)
	broken := filepath.Join(t.TempDir(), "cut.db")
	cancelled, cancel := context.WithCancel(ctx)
	cancel()
	_, err = s.Backup(cancelled, broken)
	require.Error(t, err)
	assert.NoFileExists(t, broken, "a copy that failed leaves nothing that looks like one")
	assert.NoFileExists(t, broken+".part")
}

func TestAFullDiskIsSaidPlainlyAndGoesBy(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	require.NoError(t, s.Healthy(ctx, at))
	var pages int
	require.NoError(t, s.w.Get(&pages, "PRAGMA page_count"))
	_, err := s.w.Exec(fmt.Sprintf("PRAGMA max_page_count = %d", pages)) // as a disk does that has no room left
	require.NoError(t, err)
	for i := 0; err == nil && i < 1000; i++ {
		_, _, err = s.AddCase(ctx, 2026, Key{}, sample(fmt.Sprint(i)))
	}
	assert.Equal(t, Full, kindOf(err), "%v", err)
	_, err = s.w.Exec("PRAGMA max_page_count = 1000000")
	require.NoError(t, err)
	_, _, err = s.AddCase(ctx, 2026, Key{}, sample("after"))
	require.NoError(t, err, "it goes on by itself")
	assert.Nil(t, TroubleOf(errors.New("something else")))
}

func TestHealthWritesAndSaysWhy(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	require.NoError(t, s.Healthy(ctx, at))
	_, err := s.w.Exec("PRAGMA query_only = 1") // as a folder that became read only
	require.NoError(t, err)
	require.NoError(t, s.Healthy(ctx, at.Add(time.Second)), "a flood of questions is not a flood of writes")
	assert.Equal(t, ReadOnly, kindOf(s.Healthy(ctx, at.Add(time.Minute))))
	_, err = s.w.Exec("PRAGMA query_only = 0")
	require.NoError(t, err)
	require.NoError(t, s.Healthy(ctx, at.Add(61*time.Second)), "it is asked again as long as it is ill")
}

func TestAPanicInAWriteLeavesTheWriterFree(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	assert.Panics(t, func() {
		_, _, _ = s.AddCase(ctx, 2026, Key{}, func(string) (Case, Event, error) { panic("a mistake of ours") })
	})
	ctx, cancel := context.WithTimeout(ctx, 20*time.Second)
	defer cancel()
	c, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	assert.Equal(t, "26-0001", c.Number, "and nothing of it was kept")
}

// Whatever verdicts come and go, the tally says what a reading of all cases says.
func TestTheTallyAgreesWithTheCases(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	n := 0
	rapid.Check(t, func(t *rapid.T) {
		n++
		id := fmt.Sprint(n)
		c, _, err := s.AddCase(ctx, 2026, Key{}, func(number string) (Case, Event, error) {
			c, e, err := sample(id)(number)
			c.CreatedAt = Stamp(at.AddDate(0, 0, rapid.IntRange(-3, 3).Draw(t, "day")))
			return c, e, err
		})
		require.NoError(t, err)
		for range rapid.IntRange(0, 4).Draw(t, "changes") {
			c.Cause = rapid.SampledFrom([]string{"", "rust", "aphid"}).Draw(t, "cause")
			c.Degree = rapid.SampledFrom([]string{"", "settled", "working"}).Draw(t, "degree")
			require.NoError(t, s.SetCase(ctx, c, c.Version, c.Doc, Event{At: Stamp(at), Kind: "verdict"}))
			c.Version++
		}
		since := at.AddDate(0, 0, rapid.IntRange(-4, 4).Draw(t, "since")).Format("2006-01-02")
		tally, _, err := s.ConfirmedSince(ctx, since)
		require.NoError(t, err)
		read := []Confirmed{}
		require.NoError(t, s.r.Select(&read, `SELECT substr(created_at, 1, 10) AS day, cause, count(*) AS n FROM case_file WHERE cause <> '' AND degree = 'settled' AND created_at >= ? GROUP BY 1, 2 ORDER BY 1, 2`, since))
		a, _ := json.Marshal(tally)
		b, _ := json.Marshal(read)
		assert.JSONEq(t, string(b), string(a))
	})
}

func TestSearchTakesAnyTextAndFindsTheNewest(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	for i := range 30 {
		_, _, err := s.AddCase(ctx, 2026, Key{}, sample(fmt.Sprintf("%02d", i)))
		require.NoError(t, err)
	}
	list, err := s.Search(ctx, "rose", 5)
	require.NoError(t, err)
	require.Len(t, list, 5)
	assert.Equal(t, "29", list[0].ID)
	for _, q := range []string{"\x00", "a\x00b", `"`, "'; --", "NEAR(", "*", "rose AND", "^", "\ufeff", "{}"} {
		_, err := s.Search(ctx, q, 5)
		assert.NoError(t, err, "%q", q)
	}
}

func TestAMarkIsFoundWithoutOpeningTheDesk(t *testing.T) {
	ctx := context.Background()
	dir := t.TempDir()
	m, err := ReadMark(ctx, dir, MarkDemo)
	require.NoError(t, err)
	assert.Equal(t, MarkOf{}, m)
	s, err := Open(ctx, dir)
	require.NoError(t, err)
	m, err = ReadMark(ctx, dir, MarkDemo)
	require.NoError(t, err)
	assert.Equal(t, MarkOf{There: true}, m, "a desk of one's own")
	require.NoError(t, s.Mark(ctx, MarkDemo))
	require.NoError(t, s.Close())
	m, err = ReadMark(ctx, dir, MarkDemo)
	require.NoError(t, err)
	assert.Equal(t, MarkOf{There: true, Marked: true}, m)
	for i := range 6 {
		_, err := MoveAside(dir, at.Add(time.Duration(i)*time.Second))
		require.NoError(t, err)
		s, err := Open(ctx, dir)
		require.NoError(t, err)
		require.NoError(t, s.Close())
	}
	require.NoError(t, KeepNewest(dir, 3))
	left, err := filepath.Glob(filepath.Join(dir, FileName+".2*"))
	require.NoError(t, err)
	assert.Len(t, left, 3)
}
