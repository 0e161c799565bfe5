package desk_test

import (
	"bytes"
	"context"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"botanik/internal/desk"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A person is found by the beginning of a name or of an address, with what they brought.
func TestWhoCameBeforeIsFoundWhileTyping(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	for _, x := range [][2]string{{"Tamsin Reeve", "tamsin@stall9.example"}, {"Tamara Vole", "tel 0155 201"}, {"Tamsin Reeve", "tamsin@stall9.example"}} {
		in := bean
		in.Grower, in.Contact = x[0], x[1]
		b.known(in, "two-spotted-mite")
		b.now = b.now.AddDate(0, 0, 1)
	}
	for words, want := range map[string][]string{"tam": {"Tamsin Reeve", "Tamara Vole"}, "reeve tams": {"Tamsin Reeve"}, "stall9": {"Tamsin Reeve"}, "0155": {"Tamara Vole"}, "t": {}, `"*`: {}, "nobody": {}} {
		got, err := b.Growers(ctx, words)
		require.NoError(t, err, words)
		names := []string{}
		for _, g := range got {
			names = append(names, g.Name)
		}
		assert.Equal(t, want, names, words)
	}
	got, err := b.Growers(ctx, "tamsin")
	require.NoError(t, err)
	assert.Equal(t, 2, got[0].Cases)
	assert.Len(t, got[0].Earlier, 2)
	assert.Equal(t, "tamsin@stall9.example", got[0].Contact)
}

// The same person written two ways becomes one, with a line in each story.
func TestTwoNamesOfOnePerson(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower = "Ilse Marow"
	b.known(in, "two-spotted-mite")
	first := b.v.ID
	in.Grower, in.Contact = "Ilse Marrow", "ilse@terrace.example"
	b.known(in, "two-spotted-mite")
	for _, c := range []struct {
		who        desk.Person
		from, into string
		says       string
	}{{b.who, "Ilse Marow", "Ilse Marrow", "may"}, {boss, "Ilse Marow", "Ilse Marow", "same name"}, {boss, "Nobody", "Ilse Marrow", "nobody of that name"}, {boss, "Ilse Marow", "Nobody", "nobody of that name"}} {
		_, err := b.MergeGrowers(ctx, c.who, c.from, c.into)
		assert.Error(t, err, c.says)
	}
	f, err := b.OpenFeed(ctx, b.who, "Ilse Marow")
	require.NoError(t, err)
	n, err := b.MergeGrowers(ctx, boss, "Ilse Marow", "Ilse Marrow")
	require.NoError(t, err)
	feeds, err := b.Feeds(ctx, b.who)
	require.NoError(t, err)
	assert.Equal(t, f.Token, feeds[0].Token)
	assert.Equal(t, "Ilse Marrow", feeds[0].Grower, "a calendar follows the name")
	assert.Equal(t, 1, n)
	v, err := b.View(ctx, first)
	require.NoError(t, err)
	assert.Equal(t, "Ilse Marrow", v.Intake.Grower)
	assert.Equal(t, "ilse@terrace.example", v.Intake.Contact)
	story, err := b.Story(ctx, first)
	require.NoError(t, err)
	assert.Equal(t, "Ilse Marow is Ilse Marrow", story[len(story)-1].Text)
}

// Taken out, a person stands nowhere: in no table, no story, no index and no byte of the
// file; the cases stay, and can be read at every line of their story.
func TestAPersonIsForgotten(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower, in.Contact, in.Story = `Zennor "Zed" Quillfeather`, "zennor@quill.example, tel 0199 417", `pale, says Zennor "Zed" Quillfeather; zennor@quill.example, tel 0199 417 for news`
	b.treated(in)
	id := b.v.ID
	_, err := b.Send(ctx, b.who, id, "page")
	require.NoError(t, err)
	b.keep(b.View(ctx, id))
	b.keep(b.FollowUp(ctx, b.who, id, b.v.Version, desk.FollowUpInput{Note: `zennor "zed" quillfeather is glad`}))
	require.NoError(t, b.NoMessages(ctx, b.who, id, true))
	_, err = b.OpenFeed(ctx, b.who, in.Grower)
	require.NoError(t, err)
	other := bean
	other.Grower = "Zennorina Quill"
	b.known(other, "two-spotted-mite")

	_, err = b.ExportGrower(ctx, b.who, in.Grower)
	require.ErrorIs(t, err, desk.ErrForbidden)
	file, err := b.ExportGrower(ctx, boss, in.Grower)
	require.NoError(t, err)
	assert.Len(t, file.Cases, 1)
	assert.Len(t, file.Messages, 1)

	_, err = b.ForgetGrower(ctx, b.who, in.Grower)
	require.ErrorIs(t, err, desk.ErrForbidden)
	n, err := b.ForgetGrower(ctx, boss, in.Grower)
	require.NoError(t, err)
	assert.Equal(t, 1, n)

	for _, name := range []string{store.FileName, store.FileName + "-wal"} {
		raw, err := os.ReadFile(filepath.Join(b.dir, name))
		if os.IsNotExist(err) {
			continue
		}
		require.NoError(t, err)
		low := bytes.ToLower(raw)
		for _, trace := range []string{"quillfeather", "zennor@quill", "0199 417", "0199417", `\"zed\"`} {
			assert.False(t, bytes.Contains(low, []byte(trace)), "%s still holds %q", name, trace)
		}
	}
	v, err := b.View(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, "a grower", v.Intake.Grower)
	assert.Contains(t, v.Intake.Story, "pale, says a grower")
	story, err := b.Story(ctx, id)
	require.NoError(t, err)
	for _, l := range story {
		doc, err := b.Store.DocAt(ctx, id, l.Seq)
		require.NoError(t, err, "line %d", l.Seq)
		assert.NotContains(t, strings.ToLower(doc), "quillfeather")
	}
	found, err := b.Search(ctx, "quillfeather")
	require.NoError(t, err)
	assert.Empty(t, found)
	found, err = b.Search(ctx, "zennorina")
	require.NoError(t, err)
	assert.Len(t, found, 1, "who is only called alike stays")
	_, err = b.ForgetGrower(ctx, boss, "a grower")
	require.Error(t, err)
	b.keep(b.View(ctx, id))
	b.keep(b.SetVerdict(ctx, b.who, id, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "settled"}))
	b.keep(b.Undo(ctx, b.who, id, b.v.Version))
	require.NoError(t, b.Healthy(ctx))
}

// What worked here is told from five closed cases on, with its interval; what was not done
// as advised, and what nobody knows the end of, does not count. A confirmed cause stands in
// place of the verdict.
func TestWhatWorkedHereIsToldFromFiveOn(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	one := func(in desk.CloseInput) {
		b.treated(bean)
		b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, in))
	}
	told := func() []desk.WorkedHere {
		b.known(bean, "two-spotted-mite")
		a, err := b.Advice(ctx, b.v.ID, nil)
		require.NoError(t, err)
		return a.Worked
	}
	for _, o := range []string{"better", "cleared", "no change", "better"} {
		one(desk.CloseInput{Outcome: o, Followed: "yes"})
	}
	one(desk.CloseInput{Outcome: "lost", Followed: "no"})
	one(desk.CloseInput{Outcome: "unknown"})
	one(desk.CloseInput{Outcome: "better", Confirmed: "red-mite", Found: "laboratory"})
	assert.Empty(t, told(), "four of them count")
	one(desk.CloseInput{Outcome: "lost"})
	got := told()
	require.Len(t, got, 1)
	assert.Equal(t, "soap", got[0].Remedy)
	assert.Equal(t, 5, got[0].N)
	assert.Equal(t, 3, got[0].Better)
	assert.InDelta(t, .231, got[0].Low, .001) // Wilson for 3 of 5, from published tables
	assert.InDelta(t, .882, got[0].High, .001)

	b.treated(bean)
	for _, in := range []desk.CloseInput{{Outcome: "better", Confirmed: "gnome", Found: "outcome"}, {Outcome: "better", Confirmed: "red-mite"}, {Outcome: "better", Found: "laboratory"}} {
		_, err := b.Close(ctx, b.who, b.v.ID, b.v.Version, in)
		assert.Error(t, err)
	}
}

// Nobody is forgotten: a case out at a grower always has a day to ask, whatever is told, and
// comes up in Rounds on it; one left with nothing from before is shown as well.
func TestNoCaseIsWithoutADayToAsk(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.treated(bean)
	for _, in := range []desk.FollowUpInput{{Silent: true}, {Word: "same"}, {Note: "she will look on Sunday"}, {Silent: true}, {Silent: true}, {Word: "worse"}} {
		b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, in))
		require.NotEmpty(t, b.v.AskOn, "%+v", in)
		b.now = b.now.AddDate(0, 0, 8)
		r, err := b.Rounds(ctx)
		require.NoError(t, err)
		require.Len(t, r.Rows, 1, "%+v", in)
	}
	r, err := b.Rounds(ctx)
	require.NoError(t, err)
	assert.Equal(t, "decide", r.Rows[0].Kind)
	_, err = b.TakeNext(ctx, b.who, b.v.ID, b.v.Version)
	require.NoError(t, err)
	r, err = b.Rounds(ctx)
	require.NoError(t, err)
	assert.Empty(t, r.Rows, "it lies on the bench now")
}
