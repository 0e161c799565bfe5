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

// The same person written two ways becomes one, with a line in each story; two written as
// one are parted again.
func TestTwoNamesOfOnePerson(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower = "Ilse Marow"
	b.known(in, "two-spotted-mite")
	first, marow := b.v.ID, b.v.Intake.Person
	in.Grower, in.Contact = "Ilse Marrow", "ilse@terrace.example"
	b.known(in, "two-spotted-mite")
	second, marrow := b.v.ID, b.v.Intake.Person
	require.NotEqual(t, marow, marrow)
	for _, c := range []struct {
		who        desk.Person
		from, into string
	}{{b.who, marow, marrow}, {boss, marow, marow}, {boss, "g-nobody", marrow}, {boss, marow, "g-nobody"}, {boss, "", marrow}} {
		_, err := b.MergeGrowers(ctx, c.who, c.from, c.into)
		assert.Error(t, err, "%s into %s", c.from, c.into)
	}
	f, err := b.OpenFeed(ctx, b.who, marow)
	require.NoError(t, err)
	n, err := b.MergeGrowers(ctx, boss, marow, marrow)
	require.NoError(t, err)
	feeds, err := b.Feeds(ctx, b.who)
	require.NoError(t, err)
	assert.Equal(t, f.Token, feeds[0].Token)
	assert.Equal(t, "Ilse Marrow", feeds[0].Grower, "a calendar follows the person")
	assert.Equal(t, 1, n)
	v, err := b.View(ctx, first)
	require.NoError(t, err)
	assert.Equal(t, "Ilse Marrow", v.Intake.Grower)
	assert.Equal(t, "ilse@terrace.example", v.Intake.Contact)
	story, err := b.Story(ctx, first)
	require.NoError(t, err)
	assert.Equal(t, "Ilse Marow is Ilse Marrow", story[len(story)-1].Text)
	_, err = b.Store.GrowerBy(ctx, marow)
	require.ErrorIs(t, err, desk.ErrNotFound, "who has no case is not kept")

	for _, c := range []struct {
		who  desk.Person
		name string
		ids  []string
	}{{b.who, "Ilse Marow", []string{first}}, {boss, " ", []string{first}}, {boss, "Ilse Marow", []string{first, second}}, {boss, "Ilse Marow", []string{"x"}}, {boss, "Ilse Marow", nil}} {
		_, err := b.SplitGrower(ctx, c.who, marrow, c.name, "", c.ids)
		assert.Error(t, err, "%+v", c)
	}
	g, err := b.SplitGrower(ctx, boss, marrow, "Ilse Marrow", "tel 0155 777", []string{first})
	require.NoError(t, err)
	assert.Equal(t, 1, g.Cases)
	v, err = b.View(ctx, first)
	require.NoError(t, err)
	assert.Equal(t, g.ID, v.Intake.Person)
	of, err := b.Store.CasesOf(ctx, marrow, 5)
	require.NoError(t, err)
	require.Len(t, of, 1)
	assert.Equal(t, second, of[0].ID)
	list, err := b.Growers(ctx, "marrow")
	require.NoError(t, err)
	assert.Len(t, list, 2, "two of one name")
}

// Who a case belongs to: the one of that name who is reached the same way, or of whom nobody
// knows how; else somebody new. A wrong guess would show one person what is another's.
func TestWhichPersonItIs(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	at := func(name, contact, person string) (string, error) {
		in := bean
		in.Grower, in.Contact, in.Person = name, contact, person
		v, err := b.CheckIn(ctx, b.who, in, "key-"+name+contact+person+b.now.String())
		b.now = b.now.Add(1e9)
		return v.Intake.Person, err
	}
	must := func(name, contact, person string) string {
		id, err := at(name, contact, person)
		require.NoError(t, err)
		require.NotEmpty(t, id)
		return id
	}
	one := must("Rhona Tice", "tel 0155 201", "")
	assert.Equal(t, one, must("rhona tice", "0155-201", ""), "written otherwise")
	assert.Equal(t, one, must("Rhona Tice", "", ""), "nobody said how")
	two := must("Rhona Tice", "rhona@other.example", "")
	assert.NotEqual(t, one, two, "reached another way")
	assert.Equal(t, two, must("Rhona Tice", "now RHONA@other.example", ""))
	assert.NotContains(t, []string{one, two}, must("Rhona Tice", "", ""), "either could be meant: neither is taken")
	assert.Equal(t, one, must("Rhona Tice", "moved@house.example", one), "said to be the same")
	_, err := at("Rhona Trice", "", one)
	require.ErrorContains(t, err, "is Rhona Tice and not")
	_, err = at("Rhona Tice", "", "g-nobody")
	require.ErrorContains(t, err, "person")

	// A name put right: of their only case it was misspelt; of one among several it is another's.
	only := must("Ulla Bramm", "", "")
	row, err := b.Store.CasesOf(ctx, only, 5)
	require.NoError(t, err)
	b.keep(b.View(ctx, row[0].ID))
	in := b.v.Intake
	in.Grower = "Ulla Bram"
	b.keep(b.SetIntake(ctx, b.who, b.v.ID, b.v.Version, in))
	assert.Equal(t, only, b.v.Intake.Person)
	must("Ulla Bram", "", only)
	in = b.v.Intake
	in.Grower = "Ulla Brandt"
	b.keep(b.SetIntake(ctx, b.who, b.v.ID, b.v.Version, in))
	assert.NotEqual(t, only, b.v.Intake.Person)
	b.keep(b.Undo(ctx, b.who, b.v.ID, b.v.Version))
	assert.Equal(t, only, b.v.Intake.Person)
	g, err := b.Store.GrowerBy(ctx, only)
	require.NoError(t, err)
	assert.Equal(t, 2, g.Cases)
}

// Taken out, a person stands nowhere: in no table, no story, no index and no byte of the
// file; the cases stay, and can be read at every line of their story.
func TestAPersonIsForgotten(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower, in.Contact, in.Story = `Zennor "Zed" Quillfeather`, "zennor@quill.example, tel 0199 417", `pale, says Zennor "Zed" Quillfeather; zennor@quill.example, tel 0199 417 for news`
	b.treated(in)
	id, person := b.v.ID, b.v.Intake.Person
	_, err := b.Send(ctx, b.who, id, "page")
	require.NoError(t, err)
	b.keep(b.View(ctx, id))
	b.keep(b.FollowUp(ctx, b.who, id, b.v.Version, desk.FollowUpInput{Note: `zennor "zed" quillfeather is glad; Zennor telephones, not the zennor cowslip`}))
	require.NoError(t, b.NoMessages(ctx, b.who, id, true))
	_, err = b.OpenFeed(ctx, b.who, person)
	require.NoError(t, err)
	other := bean
	other.Grower, other.Story = "Zennorina Quill", `neighbour of Zennor "Zed" Quillfeather, who gave her the plant`
	b.known(other, "two-spotted-mite")
	beside := b.v.ID

	_, err = b.ExportGrower(ctx, b.who, person)
	require.ErrorIs(t, err, desk.ErrForbidden)
	file, err := b.ExportGrower(ctx, boss, person)
	require.NoError(t, err)
	assert.Len(t, file.Cases, 1)
	assert.Len(t, file.Messages, 1)

	staff := b.staffed("odile")[0]
	for _, q := range []string{"words=quillfeather", "words=zennor%40quill.example", "words=zennorina"} {
		_, err = b.SaveSearch(ctx, staff, "of "+q[len(q)-3:], q)
		require.NoError(t, err)
	}
	said, err := b.Mentions(ctx, boss, person)
	require.NoError(t, err)
	alone := []string{}
	for _, x := range said {
		alone = append(alone, x.Word)
	}
	assert.Contains(t, alone, "Zennor")
	_, err = b.ForgetGrower(ctx, b.who, person, nil)
	require.ErrorIs(t, err, desk.ErrForbidden)
	_, err = b.ForgetGrower(ctx, boss, person, []string{"mite"})
	require.ErrorContains(t, err, "no part of the name")
	n, err := b.ForgetGrower(ctx, boss, person, []string{"Zennor"})
	require.NoError(t, err)
	assert.Equal(t, 1, n.Cases)

	kept, err := b.SavedSearches(ctx, staff)
	require.NoError(t, err)
	require.Len(t, kept, 1, "what was asked about them goes, what is only like it stays")
	for _, name := range []string{store.FileName, store.FileName + "-wal"} {
		raw, err := os.ReadFile(filepath.Join(b.dir, name))
		if os.IsNotExist(err) {
			continue
		}
		require.NoError(t, err)
		low := bytes.ToLower(raw)
		for _, trace := range []string{"quillfeather", "zennor@quill", "0199 417", "0199417", `\"zed\"`, person} {
			assert.False(t, bytes.Contains(low, []byte(trace)), "%s still holds %q", name, trace)
		}
	}
	v, err := b.View(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, "a grower", v.Intake.Grower)
	assert.Contains(t, v.Intake.Story, "pale, says a grower")
	assert.Contains(t, v.FollowUps[0].Note, "a grower telephones", "a first name alone, as was asked")
	w, err := b.View(ctx, beside)
	require.NoError(t, err)
	assert.Equal(t, "neighbour of a grower, who gave her the plant", w.Intake.Story, "also where others speak of them")
	assert.Equal(t, "Zennorina Quill", w.Intake.Grower)
	story, err := b.Story(ctx, id)
	require.NoError(t, err)
	for _, l := range story {
		doc, err := b.Store.DocAt(ctx, id, l.Seq)
		require.NoError(t, err, "line %d", l.Seq)
		assert.NotContains(t, strings.ToLower(doc), "quillfeather")
	}
	found, err := b.Search(ctx, "spider mite")
	require.NoError(t, err)
	assert.Len(t, found, 2, "and is found by what it was")
	found, err = b.Search(ctx, "quillfeather")
	require.NoError(t, err)
	assert.Empty(t, found)
	found, err = b.Search(ctx, "zennorina")
	require.NoError(t, err)
	assert.Len(t, found, 1, "who is only called alike stays")
	_, err = b.ForgetGrower(ctx, boss, "", nil)
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
	told := func() []desk.LocalResult {
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
