package desk_test

import (
	"bytes"
	"context"
	"database/sql"
	"fmt"
	"image"
	"image/jpeg"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"botanik/internal/desk"
	"botanik/internal/messaging"
	recordroom "botanik/internal/records"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func aLeaf(t *testing.T) []byte {
	var pic bytes.Buffer
	require.NoError(t, jpeg.Encode(&pic, image.NewRGBA(image.Rect(0, 0, 40, 30)), nil))
	return pic.Bytes()
}

// Who is forgotten is also gone from what stands outside the tables: their page, their
// pictures, the files of records that were written out. Of the copies of the file, which are
// kept as they are, it is said how many and until when.
func TestWhoIsForgottenIsGoneEverywhere(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower, in.Contact = "Otto  Merle\u00a0Vane", "otto@vane.example"
	in.Story = "Otto\tMerle\nVane brought it; OTTO MERLE VANE saw it first"
	b.treated(in)
	id, token := b.v.ID, b.v.Page.Token
	b.keep(b.View(ctx, id))
	b.keep(b.AddPhoto(ctx, b.who, id, b.v.Version, "otto.jpg", aLeaf(t)))
	pic := b.v.Photos[0].ID
	_, err := b.SheetByToken(ctx, token)
	require.NoError(t, err)
	job := b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases", People: true}))
	assert.Contains(t, string(b.file(job)), "Vane")
	_, err = b.BackupNow(ctx, boss)
	require.NoError(t, err)

	got, err := b.ForgetGrower(ctx, boss, b.v.Intake.Person, nil)
	require.NoError(t, err)
	assert.Equal(t, 1, got.Exports)
	assert.Equal(t, 1, got.Copies)
	_, _, err = b.JobFile(boss, job.ID)
	require.Error(t, err, "a file of records that holds them is not given out")
	_, err = b.SheetByToken(ctx, token)
	require.ErrorIs(t, err, desk.ErrNotFound, "their page has ended")
	_, err = b.PageByToken(ctx, token)
	require.ErrorIs(t, err, desk.ErrNotFound)
	_, err = b.Photo(ctx, id, pic)
	require.ErrorIs(t, err, desk.ErrNotFound)
	v, err := b.View(ctx, id)
	require.NoError(t, err)
	assert.Empty(t, v.Photos)
	assert.NotRegexp(t, `(?i)otto|vane`, v.Intake.Story, "however the blanks between the names were written")
	require.NoError(t, filepath.Walk(b.dir, func(path string, info os.FileInfo, err error) error {
		if err != nil || info.IsDir() || strings.HasPrefix(path, b.BackupFolder()) {
			return err
		}
		raw, err := os.ReadFile(path)
		assert.NotContains(t, strings.ToLower(string(raw)), "otto@vane", path)
		return err
	}))
}

// Others speak of a person in more cases than one page of a list: all of them are gone over.
func TestEveryCaseThatNamesThemIsGoneOver(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower = "Perpetua Lodd"
	b.known(in, "two-spotted-mite")
	person := b.v.Intake.Person
	var cards strings.Builder
	cards.WriteString("number,date,plant,grower,story\n")
	const n = 640
	for i := range n {
		fmt.Fprintf(&cards, "C-%d,2024-05-%02d,bean,Somebody %d,neighbour of Perpetua Lodd\n", i, 1+i%28, i)
	}
	j := b.worked(b.KeepImport(ctx, boss, b.bring([]byte(cards.String())), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	found, err := b.Find(ctx, desk.FindInput{Words: "lodd"})
	require.NoError(t, err)
	require.Equal(t, n+1, found.N)
	_, err = b.ForgetGrower(ctx, boss, person, nil)
	require.NoError(t, err)
	found, err = b.Find(ctx, desk.FindInput{Words: "lodd"})
	require.NoError(t, err)
	assert.Zero(t, found.N)
	raw, err := os.ReadFile(filepath.Join(b.dir, store.FileName))
	require.NoError(t, err)
	assert.Zero(t, bytes.Count(bytes.ToLower(raw), []byte("lodd")))
}

// What is given to people outside the desk holds no words of a grower: neither the archive of
// occurrences nor a table without people.
func TestWhatIsGivenAwayHoldsNobodysWords(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Square, in.Story = "C4", "my cousin Hedda Quince in Larch Lane 7 has it too"
	b.treated(in)
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "cleared", Confirmed: "red-mite", Found: "laboratory", Note: "Hedda Quince is glad"}))
	for _, x := range []recordroom.ExportInput{{What: "cases"}, {What: "looks"}, {What: "treatments"}} {
		assert.NotContains(t, string(b.file(b.worked(b.Export(ctx, boss, x)))), "Hedda", x.What)
	}
	for name, text := range everything(t, b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "darwin-core", License: "CC0-1.0"})))) {
		assert.NotContains(t, text, "Hedda", name)
		assert.NotContains(t, text, "Larch", name)
	}
}

// A table the desk wrote itself comes in again at another desk without anybody saying which
// column is what.
func TestOnesOwnTableComesInByItself(t *testing.T) {
	ctx := context.Background()
	b := lived(t)
	raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases", People: true})))
	other := b.another()
	reading, err := other.ReadImport(ctx, boss, other.bring(raw), recordroom.ImportInput{})
	require.NoError(t, err)
	assert.Empty(t, reading.Refused, "%+v", reading.Refused)
	j := other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	found, err := other.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Equal(t, 3, found.N)
	list, err := other.Growers(ctx, "ilse")
	require.NoError(t, err)
	var reached []string // two of the name came in: one told how she is reached, the other did not
	for _, g := range list {
		reached = append(reached, g.Contact)
	}
	assert.ElementsMatch(t, []string{"ilse@terrace.example", ""}, reached)
}

// A desk without a gateway sends nothing and says so: it does not report what a stand-in
// would have done.
func TestWithoutAGatewayNothingIsSentAndItIsSaid(t *testing.T) {
	ctx := context.Background()
	b := written(t, "ilse@terrace.example")
	none := messaging.New(nil, func(context.Context) (string, error) { return "", nil })
	_, err := b.Send(ctx, b.who, b.v.ID, "page")
	require.NoError(t, err)
	for range 3 {
		_, err := b.DeliverOutbox(ctx, none)
		require.NoError(t, err)
		b.now = b.now.Add(time.Hour)
	}
	m := b.messages()[0]
	assert.Equal(t, "held", m.State)
	assert.Contains(t, m.Said, "no gateway")
}

// sql does something to the desk's file from outside the program.
func (b *bench) sql(what string) error {
	db, err := sql.Open("sqlite", "file:"+filepath.Join(b.dir, store.FileName)+"?_pragma=busy_timeout(5000)")
	require.NoError(b.t, err)
	defer func() { _ = db.Close() }()
	_, err = db.Exec(what)
	return err
}

// The weather moves a day and the grower is told, both or neither; the page, the calendar and
// the message say the same day.
func TestAMovedDayAndItsMessageAreOne(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	air := &sky{wet: map[string]bool{}}
	b.Weather.StandIn = air
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	in := bean
	in.Contact = "ilse@terrace.example"
	b.treated(in)
	was := b.v.Days.On[0]
	air.wet[was] = true

	// The table of messages refuses: nothing of it stands.
	require.NoError(t, b.sql("CREATE TRIGGER refuse BEFORE INSERT ON outbox BEGIN SELECT RAISE(ABORT, 'full'); END"))
	n, err := b.RescheduleForWeather(ctx)
	require.Error(t, err)
	assert.Zero(t, n)
	v, err := b.View(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Equal(t, was, v.Days.On[0])
	require.NoError(t, b.sql("DROP TRIGGER refuse"))

	n, err = b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Equal(t, 1, n)
	v, err = b.View(ctx, b.v.ID)
	require.NoError(t, err)
	require.NotEqual(t, was, v.Days.On[0])
	sent := b.messages()
	require.Len(t, sent, 1)
	to, err := time.Parse("2006-01-02", v.Days.On[0])
	require.NoError(t, err)
	assert.Contains(t, sent[0].Text, "moved to "+to.Format("Mon 2 Jan"))
}

// What worked is told once: beside the remedy and in Season from the same cases.
func TestWhatWorkedIsTheSameEverywhere(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	for i, in := range []desk.CloseInput{
		{Outcome: "better", Followed: "yes"}, {Outcome: "cleared", Followed: "partly"}, {Outcome: "no change"}, {Outcome: "lost", Followed: "no"}, {Outcome: "unknown"},
		{Outcome: "better", Confirmed: "red-mite", Found: "laboratory", Followed: "yes"}, {Outcome: "better"}, {Outcome: "lost"}, {Outcome: "better", Followed: "yes"}, {Outcome: "referred"},
	} {
		b.treated(bean)
		b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, in))
		b.now = b.now.Add(time.Duration(i+1) * time.Minute)
	}
	b.known(bean, "two-spotted-mite")
	a, err := b.Advice(ctx, b.v.ID, nil)
	require.NoError(t, err)
	require.Len(t, a.Worked, 1)
	s, err := b.SeasonOf(ctx, "2026-07-01", "2026-07-31")
	require.NoError(t, err)
	for _, x := range s.Advised {
		if x.Cause == "two-spotted-mite" && x.Remedy == "soap" {
			assert.Equal(t, a.Worked[0].SuccessRate, x.SuccessRate)
			return
		}
	}
	t.Fatalf("Season tells nothing of it: %+v", s.Advised)
}
