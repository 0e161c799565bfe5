package store

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var at = time.Date(2026, 7, 4, 10, 0, 0, 0, time.UTC)

func opened(t *testing.T) (*Store, string) {
	dir := t.TempDir()
	s, err := Open(context.Background(), dir)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s, dir
}

func sample(id string) func(string) (Case, Event, error) {
	return func(number string) (Case, Event, error) {
		c := Case{ID: id, Number: number, Stage: "waiting", Plant: "Rose", Grower: "Ilse Marrow", Story: "black spots", CreatedAt: Stamp(at), UpdatedAt: Stamp(at), Doc: "{}", Body: "tel"}
		return c, Event{At: Stamp(at), Who: "Ansel", Kind: "in", Text: "brought in", After: "{}"}, nil
	}
}

func TestAKeyMakesOneCaseOfTwoTries(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	k := Key{"key-1", "ansel", "hash"}
	a, again, err := s.AddCase(ctx, 2026, k, sample("A"))
	require.NoError(t, err)
	assert.False(t, again)
	assert.Equal(t, "26-0001", a.Number)
	b, again, err := s.AddCase(ctx, 2026, k, sample("B"))
	require.NoError(t, err)
	assert.True(t, again)
	assert.Equal(t, a.ID, b.ID)
	_, _, err = s.AddCase(ctx, 2026, Key{"key-1", "ansel", "other"}, sample("C"))
	assert.ErrorIs(t, err, ErrKeyUsed)
	c, _, err := s.AddCase(ctx, 2026, Key{"key-1", "brann", "other"}, sample("C"))
	require.NoError(t, err, "another person's key is another key")
	assert.Equal(t, "26-0002", c.Number, "a refused try takes no number")
}

func TestAStaleVersionChangesNothing(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	c, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	c.Story = "first"
	require.NoError(t, s.SetCase(ctx, c, 1, c.Doc, Event{At: Stamp(at), Who: "a", Kind: "intake", Text: "x"}))
	c.Story = "second"
	assert.ErrorIs(t, s.SetCase(ctx, c, 1, c.Doc, Event{At: Stamp(at), Who: "b", Kind: "intake", Text: "y"}), ErrStale)
	got, err := s.Case(ctx, "A")
	require.NoError(t, err)
	assert.Equal(t, "first", got.Story)
	events, err := s.Events(ctx, "A")
	require.NoError(t, err)
	assert.Len(t, events, 2)
}

func TestTheStoryIsAppendOnly(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	_, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	_, err = s.w.ExecContext(ctx, `UPDATE case_event SET text = 'never happened'`)
	assert.ErrorContains(t, err, "append-only")
	_, err = s.w.ExecContext(ctx, `DELETE FROM case_event`)
	assert.ErrorContains(t, err, "append-only")
}

func TestPagesCoverEverythingOnce(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	for i := range 23 {
		_, _, err := s.AddCase(ctx, 2026, Key{}, sample(fmt.Sprintf("%02d", i)))
		require.NoError(t, err)
	}
	seen := map[string]bool{}
	cursor := ""
	for {
		p, err := s.Cases(ctx, "waiting", cursor, 5)
		require.NoError(t, err)
		for _, c := range p.Cases {
			assert.False(t, seen[c.ID])
			seen[c.ID] = true
		}
		if cursor = p.Next; cursor == "" {
			break
		}
	}
	assert.Len(t, seen, 23)
	_, err := s.Cases(ctx, "", "garbage", 5)
	assert.ErrorIs(t, err, ErrNotFound)
}

func TestSearchFollowsChanges(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	c, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	find := func(q string) int {
		list, err := s.Search(ctx, q, 10)
		require.NoError(t, err, q)
		return len(list)
	}
	assert.Equal(t, 1, find("mar"), "a beginning is enough")
	assert.Equal(t, 1, find("26-0001"))
	assert.Equal(t, 1, find("1"), "a number is said without its noughts")
	assert.Equal(t, 0, find("7 rose"))
	assert.Equal(t, 0, find(`"; DROP TABLE case_file`))
	assert.Equal(t, 0, find("   "))
	c.Grower = "Corin Pell"
	require.NoError(t, s.SetCase(ctx, c, 1, c.Doc, Event{At: Stamp(at), Kind: "intake"}))
	assert.Equal(t, 0, find("marrow"))
	assert.Equal(t, 1, find("corin rose"))
}

func TestOneWriterManyReaders(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	c, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	var wg sync.WaitGroup
	won := make([]bool, 12)
	for i := range won {
		wg.Go(func() {
			err := s.SetCase(ctx, c, 1, c.Doc, Event{At: Stamp(at), Who: fmt.Sprint(i), Kind: "look"})
			won[i] = err == nil
			if err != nil && !errors.Is(err, ErrStale) {
				t.Error(err)
			}
			_, _ = s.Case(ctx, "A")
		})
	}
	wg.Wait()
	n := 0
	for _, w := range won {
		if w {
			n++
		}
	}
	assert.Equal(t, 1, n, "one version, one winner")
}

func TestBackupAndRestore(t *testing.T) {
	s, dir := opened(t)
	ctx := context.Background()
	_, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	file := filepath.Join(t.TempDir(), "copy.db")
	copied, err := s.Backup(ctx, file)
	require.NoError(t, err)
	assert.Equal(t, 1, copied.Cases)
	_, err = s.Backup(ctx, file)
	assert.ErrorContains(t, err, "already there")
	_, _, err = s.AddCase(ctx, 2026, Key{}, sample("B"))
	require.NoError(t, err)
	require.NoError(t, s.Close())
	kept, err := Restore(ctx, file, dir, at)
	require.NoError(t, err)
	assert.FileExists(t, kept)
	again, err := Open(ctx, dir)
	require.NoError(t, err)
	defer func() { _ = again.Close() }()
	_, err = again.Case(ctx, "A")
	require.NoError(t, err)
	_, err = again.Case(ctx, "B")
	assert.ErrorIs(t, err, ErrNotFound)
}

func TestRestoreRefusesADamagedFile(t *testing.T) {
	s, dir := opened(t)
	ctx := context.Background()
	_, _, err := s.AddCase(ctx, 2026, Key{}, sample("A"))
	require.NoError(t, err)
	require.NoError(t, s.Close())
	bad := filepath.Join(t.TempDir(), "bad.db")
	require.NoError(t, os.WriteFile(bad, []byte("this is a photograph of a rose, not a desk"), 0o644))
	_, err = Restore(ctx, bad, dir, at)
	require.Error(t, err)
	again, err := Open(ctx, dir)
	require.NoError(t, err, "the old desk is untouched")
	defer func() { _ = again.Close() }()
	_, err = again.Case(ctx, "A")
	require.NoError(t, err)
}

func TestSettingsKeepTheirTrace(t *testing.T) {
	s, _ := opened(t)
	ctx := context.Background()
	require.NoError(t, s.SetSetting(ctx, "house", `{"a":1}`, 0, "Odile", at))
	assert.ErrorIs(t, s.SetSetting(ctx, "house", `{"a":2}`, 0, "Odile", at), ErrStale)
	require.NoError(t, s.SetSetting(ctx, "house", `{"a":2}`, 1, "Odile", at))
	ev, err := s.SettingEventsSince(ctx, "house", 0)
	require.NoError(t, err)
	require.Len(t, ev, 2)
	assert.Equal(t, `{"a":1}`, ev[1].Before)
}

// TestBenchCaseList compares a page of cases with the bare query it needs, at
// 10 000 cases. Only through make bench.
func TestBenchCaseList(t *testing.T) {
	if os.Getenv("BOTANIK_BENCH") == "" {
		t.Skip("only through make bench")
	}
	s, _ := opened(t)
	ctx := context.Background()
	tx, err := s.w.BeginTxx(ctx, nil)
	require.NoError(t, err)
	for i := range 10_000 {
		c, _, _ := sample(fmt.Sprintf("%05d", i))(fmt.Sprintf("26-%05d", i))
		c.CreatedAt = Stamp(at.Add(time.Duration(i) * time.Minute))
		if i%3 == 0 {
			c.Stage = "closed"
		}
		c.Serial = int64(i + 1)
		_, err := tx.NamedExecContext(ctx, `INSERT INTO case_file (`+full+`) VALUES (:id, :number, :stage, :plant, :host_id, :place, :grower, :story, :urgency, :certainty, :cause, :degree, :verdict_at, :ask_on, :closed_at, :outcome, :token, :created_at, :updated_at, :version, :serial, :doc)`, c)
		require.NoError(t, err)
	}
	require.NoError(t, tx.Commit())
	stage := "closed"
	whole := testing.Benchmark(func(b *testing.B) {
		for b.Loop() {
			if _, err := s.Cases(ctx, stage, "", 50); err != nil {
				b.Fatal(err)
			}
		}
	})
	bare := testing.Benchmark(func(b *testing.B) {
		for b.Loop() {
			if err := bareList(ctx, s, stage); err != nil {
				b.Fatal(err)
			}
		}
	})
	fmt.Printf("bench case list at 10000: measured %.2f, goal 3\n", float64(whole.NsPerOp())/float64(bare.NsPerOp()))
}

// bareList is the query a page of cases needs, and nothing else.
func bareList(ctx context.Context, s *Store, stage string) error {
	rows, err := s.r.QueryContext(ctx, `SELECT `+brief+` FROM case_file WHERE stage = ? ORDER BY created_at DESC, id DESC LIMIT 51`, stage)
	if err != nil {
		return err
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var c Case
		if err := rows.Scan(&c.ID, &c.Number, &c.Stage, &c.Plant, &c.HostID, &c.Place, &c.Grower, &c.Story, &c.Urgency, &c.Certainty, &c.Cause, &c.Degree, &c.VerdictAt, &c.AskOn, &c.ClosedAt, &c.Outcome, &c.Token, &c.CreatedAt, &c.UpdatedAt, &c.Version, &c.Serial); err != nil {
			return err
		}
	}
	return rows.Err()
}
