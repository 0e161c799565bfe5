package desk_test

import (
	"archive/zip"
	"bytes"
	"context"
	"os"
	"path/filepath"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/desk"
	recordroom "botanik/internal/records"
	"botanik/internal/settings"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The desk's file is copied when the house plans it, once; the oldest copies go; one that is
// restored is the desk as it was.
func TestTheFileIsCopiedByTheClock(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.at("Europe/London", time.Date(2026, 7, 11, 1, 0, 0, 0, time.UTC)) // two in the morning there
	require.ErrorIs(t, b.House.SetKeeping(ctx, b.who, settings.Keeping{Every: "day", Hour: 3, Keep: 2}, 0), desk.ErrForbidden)
	for _, bad := range []settings.Keeping{{Every: "hour", Hour: 3, Keep: 2}, {Every: "day", Hour: 24, Keep: 2}, {Every: "day", Hour: 3, Keep: 0}} {
		require.Error(t, b.House.SetKeeping(ctx, boss, bad, 0))
	}
	require.NoError(t, b.House.SetKeeping(ctx, boss, settings.Keeping{Every: "day", Hour: 3, Keep: 2}, 0))
	due := func() bool {
		t.Helper()
		done, err := b.BackupIfDue(ctx)
		require.NoError(t, err)
		return done
	}
	assert.True(t, due(), "yesterday's was never written")
	assert.False(t, due(), "once")
	b.now = b.now.Add(59 * time.Minute)
	assert.False(t, due(), "not before the hour")
	b.treated(bean)
	b.now = b.now.Add(time.Minute)
	assert.True(t, due(), "at three there")
	b.now = b.now.AddDate(0, 0, 9)
	assert.True(t, due(), "one for all the days it was off")
	assert.False(t, due())
	h, err := b.Health(ctx, boss)
	require.NoError(t, err)
	there := []bool{}
	for _, x := range h.Backups {
		there = append(there, x.There)
	}
	assert.Equal(t, []bool{true, true, false}, there, "two are kept")
	assert.Equal(t, 1, h.Backups[0].Cases)
	assert.Equal(t, time.Date(2026, 7, 21, 2, 0, 0, 0, time.UTC), h.Next.UTC())
	assert.Positive(t, h.Bytes)
	_, err = b.Health(ctx, b.who)
	require.ErrorIs(t, err, desk.ErrForbidden)

	dir := t.TempDir()
	_, err = store.Restore(ctx, filepath.Join(b.BackupFolder(), h.Backups[0].File), dir, b.now)
	require.NoError(t, err)
	again, err := store.Open(ctx, dir)
	require.NoError(t, err)
	c, err := again.Case(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Equal(t, "handed", c.Stage)
	require.NoError(t, again.Close())

	// What stands in the way is remembered, told, and tried again, not at once.
	require.NoError(t, os.RemoveAll(b.BackupFolder()))
	require.NoError(t, os.WriteFile(b.BackupFolder(), nil, 0o600))
	b.now = b.now.AddDate(0, 0, 1)
	_, err = b.BackupIfDue(ctx)
	require.Error(t, err)
	assert.False(t, due())
	h, err = b.Health(ctx, boss)
	require.NoError(t, err)
	assert.NotEmpty(t, h.Backups[0].Trouble)
	require.NoError(t, os.Remove(b.BackupFolder()))
	b.now = b.now.Add(61 * time.Minute)
	assert.True(t, due())
	require.NoError(t, b.House.SetKeeping(ctx, boss, settings.Keeping{Every: "never", Hour: 3, Keep: 2}, 1))
	b.now = b.now.AddDate(0, 0, 20)
	assert.False(t, due())
	now, err := b.BackupNow(ctx, boss)
	require.NoError(t, err)
	assert.Empty(t, now.Trouble)
	ok, err := b.CheckFile(ctx, boss)
	require.NoError(t, err)
	assert.True(t, ok.Whole)
	h, err = b.Health(ctx, boss)
	require.NoError(t, err)
	assert.Equal(t, b.now, h.Looked)
}

func zipped(t *testing.T, files map[string]string) []byte {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for name, body := range files {
		w, err := z.Create(name)
		require.NoError(t, err)
		_, err = w.Write([]byte(body))
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

// Sheets of a desk's own come in as a zip: held to the rules first, counting at once, gone
// again when the coordinator says so, and there after a restart.
func TestADesksOwnSheets(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.Books = herbarium.Load
	const host = "- id: sea-kale\n  name: Sea kale\n  scientific: Crambe maritima\n  family: Brassicaceae\n  form: perennial\n  leaf: ovate\n"
	for says, files := range map[string]map[string]string{
		"kale.yaml":       {"hosts/kale.yaml": "- id: sea-kale\n  called: Sea kale\n"},
		"leads out":       {"../hosts/kale.yaml": host},
		"is no bundle of": {"readme.txt": "nothing"},
	} {
		_, err := b.ReadImport(ctx, boss, b.bring(zipped(t, files)), recordroom.ImportInput{})
		require.ErrorContains(t, err, says)
	}
	unsound := zipped(t, map[string]string{"hosts/kale.yaml": "- id: sea-kale\n  name: Sea kale\n  scientific: Crambe maritima\n  family: Brassicaceae\n  form: boat\n"})
	r, err := b.ReadImport(ctx, boss, b.bring(unsound), recordroom.ImportInput{})
	require.NoError(t, err)
	assert.Positive(t, r.Refused)
	assert.Contains(t, r.Refusals[0].Text, "hosts/kale.yaml")
	j := b.worked(b.KeepImport(ctx, boss, b.bring(unsound), recordroom.ImportInput{}))
	assert.Equal(t, "failed", j.State)
	assert.Nil(t, b.Base().Host("sea-kale"), "nothing of it counts")

	j = b.worked(b.KeepImport(ctx, boss, b.bring(zipped(t, map[string]string{"hosts/kale.yaml": host, "notes.txt": "x"})), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	require.NotNil(t, b.Base().Host("sea-kale"))
	assert.NotEqual(t, herbarium.Embedded().Digest(), b.Base().Digest())
	in := bean
	in.Plant = "sea kale"
	b.keep(b.CheckIn(ctx, b.who, in, "key-kale-1"))
	assert.Equal(t, "sea-kale", b.v.Intake.Host)

	later := recordroom.New(desk.New(b.Store, herbarium.Embedded(), b.Weather.For(context.Background()), b.Now))
	later.Books = herbarium.Load
	require.NoError(t, later.OpenOverlay())
	require.NoError(t, later.Open(ctx))
	assert.NotNil(t, later.Base().Host("sea-kale"))

	_, err = b.DropBook(ctx, b.who)
	require.ErrorIs(t, err, desk.ErrForbidden)
	_, err = b.DropBook(ctx, boss)
	require.NoError(t, err)
	assert.Nil(t, b.Base().Host("sea-kale"))
	b.keep(b.View(ctx, b.v.ID)) // a case of it is read all the same
	kept, err := filepath.Glob(filepath.Join(b.dir, "herbarium.*"))
	require.NoError(t, err)
	assert.Len(t, kept, 1)
}
