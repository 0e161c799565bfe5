package desk_test

import (
	"context"
	"fmt"
	"testing"
	"time"

	"botanik/core/dosage"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	looproom "botanik/internal/loop"
	overviewroom "botanik/internal/overview"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// staffed adds people who may sign in, and answers who they are.
func (b *bench) staffed(names ...string) []desk.Person {
	b.t.Helper()
	out := []desk.Person{}
	for i, name := range names {
		role := []string{"coordinator", "advisor", "advisor", "trainee"}[min(i, 3)]
		a := store.Account{ID: "acc-" + name, Login: name, Name: name, Role: role, Hash: "x", Active: true, CreatedAt: store.Stamp(b.now)}
		require.NoError(b.t, b.Store.AddAccount(context.Background(), a))
		out = append(out, desk.Person{ID: a.ID, Login: a.Login, Name: a.Name, Role: a.Role})
	}
	return out
}

// A case is whose it was first taken to the bench by, until it is given away; who is away is
// given nothing, and what waits with them is told.
func TestWhoseCaseItIs(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	staff := b.staffed("odile", "ansel", "brann", "wren")
	odile, ansel, brann, wren := staff[0], staff[1], staff[2], staff[3]
	b.who = ansel
	v, err := b.CheckIn(ctx, wren, bean, "key-whose")
	require.NoError(t, err)
	assert.Nil(t, v.Keeper, "in the tray it is nobody's")
	b.treated(bean)
	require.NotNil(t, b.v.Keeper)
	assert.Equal(t, "ansel", b.v.Keeper.Name)
	b.keep(b.FollowUp(ctx, brann, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true}))
	assert.Equal(t, "ansel", b.v.Keeper.Name, "who only asks does not take it")

	w, err := b.Workload(ctx)
	require.NoError(t, err)
	require.Len(t, w.People, 4)
	assert.Equal(t, "ansel", w.People[0].Name)
	assert.Equal(t, 1, w.People[0].Out)
	require.Len(t, w.People[0].Cases, 1)

	today := b.now.Format("2006-01-02")
	next := b.now.AddDate(0, 0, 6).Format("2006-01-02")
	for _, c := range []struct {
		who   desk.Person
		acc   string
		first string
		last  string
		says  string
	}{{brann, ansel.ID, today, next, "role"}, {ansel, ansel.ID, next, today, "last"}, {ansel, ansel.ID, "tomorrow", next, "first"}, {ansel, ansel.ID, "2020-01-01", "2020-02-01", "last"}, {odile, "nobody", today, next, "account"}, {ansel, ansel.ID, today, "2099-01-01", "last"}} {
		require.ErrorContains(t, b.SetAway(ctx, c.who, c.acc, overviewroom.AwayDays{First: c.first, Last: c.last}), c.says)
	}
	require.NoError(t, b.SetAway(ctx, ansel, ansel.ID, overviewroom.AwayDays{First: today, Last: next}))
	b.now = b.now.AddDate(0, 0, 5)
	w, err = b.Workload(ctx)
	require.NoError(t, err)
	assert.True(t, w.People[0].Today)
	assert.Equal(t, w.People[0].Due, w.Uncaught)
	_, err = b.GiveTo(ctx, odile, b.v.ID, b.v.Version, ansel.ID)
	require.ErrorContains(t, err, "away until")
	_, err = b.GiveTo(ctx, wren, b.v.ID, b.v.Version, brann.ID)
	require.ErrorIs(t, err, desk.ErrForbidden, "a trainee gives their own")
	_, err = b.GiveTo(ctx, odile, b.v.ID, b.v.Version, "acc-nobody")
	require.ErrorContains(t, err, "to")

	_, err = b.GiveAll(ctx, brann, ansel.ID, brann.ID)
	require.ErrorIs(t, err, desk.ErrForbidden)
	n, err := b.GiveAll(ctx, odile, ansel.ID, brann.ID)
	require.NoError(t, err)
	assert.Equal(t, 1, n)
	b.keep(b.View(ctx, b.v.ID))
	assert.Equal(t, "brann", b.v.Keeper.Name)
	story, err := b.Story(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Equal(t, "given to brann", story[len(story)-1].Text)

	require.ErrorContains(t, b.EndAway(ctx, ansel, ansel.ID, "2026-01-01"), "first")
	require.NoError(t, b.EndAway(ctx, ansel, ansel.ID, today))
	b.keep(b.GiveTo(ctx, brann, b.v.ID, b.v.Version, ansel.ID))
	assert.Equal(t, "ansel", b.v.Keeper.Name)
}

// Who did it is known by id: two of one name are two in a day's figures, a new name makes
// nobody another, and what a grower tells on their page is nobody's work at the desk.
func TestTwoOfOneNameAreTwo(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	p := accounts.New(b.Store, func() time.Time { return b.now })
	one, err := p.Add(ctx, desk.Person{}, accounts.NewPerson{Login: "one", Name: "Morwen", Role: "coordinator", Password: "a password"})
	require.NoError(t, err)
	two, err := p.Add(ctx, desk.Person{}, accounts.NewPerson{Login: "two", Name: "Morwen", Role: "advisor", Password: "a password"})
	require.NoError(t, err)
	b.who = one
	b.treated(bean)
	b.keep(b.FollowUp(ctx, accounts.TheGrower(), b.v.ID, b.v.Version, desk.FollowUpInput{Word: "better"}))
	told := b.v.FollowUps[len(b.v.FollowUps)-1]
	assert.True(t, told.FromGrower && told.Unread)
	b.who = two
	b.known(bean, "two-spotted-mite")
	name := "Senara"
	_, err = p.Set(ctx, one, two.ID, accounts.Change{Name: &name})
	require.NoError(t, err)
	d, err := b.Day(ctx, "")
	require.NoError(t, err)
	assert.Equal(t, []overviewroom.DayOfPerson{{Name: "Morwen", In: 1, Looked: 1, Handed: 1}, {Name: "Senara", In: 1, Looked: 1}}, d.By)
	events, err := b.Store.Events(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Equal(t, []string{two.ID, "Morwen"}, []string{events[0].WhoID, events[0].Who}, "the story keeps the name they had")
	for _, deed := range accounts.Deeds() {
		assert.False(t, accounts.TheGrower().May(deed) || accounts.TheWeather().May(deed), deed)
	}
}

// What a day was: counted by hand from what is done here.
func TestADayIsSummedUp(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	staff := b.staffed("odile", "ansel", "brann")
	b.who = staff[1]
	day := b.now.Format("2006-01-02")
	for range 3 { // each is handed over a minute or so after it came in
		b.treated(bean)
	}
	id, version := b.v.ID, b.v.Version
	b.known(bean, "two-spotted-mite") // left on the bench
	b.v.ID, b.v.Version = id, version
	b.keep(b.FollowUp(ctx, staff[2], id, version, desk.FollowUpInput{Silent: true}))
	b.keep(b.FollowUp(ctx, staff[2], id, b.v.Version, desk.FollowUpInput{Word: "better"}))
	b.keep(b.Close(ctx, staff[2], id, b.v.Version, desk.CloseInput{Outcome: "better"}))
	b.now = b.now.AddDate(0, 0, 2)
	b.known(bean, "two-spotted-mite")

	d, err := b.Day(ctx, day)
	require.NoError(t, err)
	assert.Equal(t, []int{4, 3, 1, 1, 1}, []int{d.Brought, d.Handed, d.Closed, d.Heard, d.Silent})
	require.Len(t, d.Named, 1)
	assert.Equal(t, 4, d.Named[0].N)
	assert.Len(t, d.Left, 1)
	assert.Equal(t, 3, d.Waits.N)
	assert.Equal(t, []overviewroom.DayOfPerson{{Name: "ansel", In: 4, Looked: 4, Handed: 3}, {Name: "brann", Asked: 2}}, d.By)
	next, err := b.Day(ctx, "")
	require.NoError(t, err)
	assert.Equal(t, 1, next.Brought)
	assert.Equal(t, day, next.Before, "the day before on which anything was done")
	empty, err := b.Day(ctx, b.now.AddDate(0, 0, -1).Format("2006-01-02"))
	require.NoError(t, err)
	assert.Zero(t, empty.Brought)
	for _, bad := range []string{"today", b.now.AddDate(0, 0, 1).Format("2006-01-02")} {
		_, err = b.Day(ctx, bad)
		require.ErrorContains(t, err, "day")
	}
}

// ready brings a case of a grower to where it may be handed over.
func (b *bench) ready(in casefile.Intake, at time.Duration) looproom.Which {
	b.t.Helper()
	b.now = b.now.Add(at)
	b.known(in, "two-spotted-mite")
	ctx := context.Background()
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L", Spoons: "metric"}}))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
	return looproom.Which{ID: b.v.ID, Version: b.v.Version}
}

// Several plants of one grower go over the counter at once: all or none, with one list of
// days and of what to buy, and one message.
func TestSeveralCasesInOneHandOver(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	id, v, err := b.House.Identity(ctx)
	require.NoError(t, err)
	id.Public = "https://desk.example"
	require.NoError(t, b.House.SetIdentity(ctx, boss, id, v))
	in := bean
	in.Grower, in.Contact = "Tamsin Reeve", "tamsin@stall9.example"
	one := b.ready(in, 0)
	two := b.ready(in, time.Minute)
	other := bean
	other.Grower = "Rhona Tice"
	foreign := b.ready(other, time.Minute)
	b.known(in, "two-spotted-mite")
	unready := looproom.Which{ID: b.v.ID, Version: b.v.Version}

	seen, err := b.JointHandout(ctx, one.ID)
	require.NoError(t, err)
	require.Len(t, seen.Ready, 1)
	assert.Equal(t, two.ID, seen.Ready[0].ID)
	require.Len(t, seen.NotYet, 1)
	for says, bad := range map[string][]looproom.Which{"another grower": {one, foreign}, "cases[1]": {one, unready}, "twice": {one, one}, "hand over 2": {one}} {
		_, err := b.HandOverTogether(ctx, b.who, bad)
		require.ErrorContains(t, err, says)
	}
	_, err = b.HandOverTogether(ctx, b.who, []looproom.Which{one, {ID: two.ID, Version: two.Version - 1}})
	require.ErrorIs(t, err, desk.ErrStale)
	still, err := b.View(ctx, one.ID)
	require.NoError(t, err)
	require.Nil(t, still.Handover, "all or none")

	b.keep(b.HandOverTogether(ctx, b.who, []looproom.Which{one, two}))
	assert.Equal(t, []string{one.ID, two.ID}, b.v.Handover.With)
	got, err := b.JointHandout(ctx, two.ID)
	require.NoError(t, err)
	require.Len(t, got.Sheets, 2)
	assert.Empty(t, got.Ready)
	assert.Equal(t, got.Sheets[0].Table[0].On, got.Days[0].On)
	assert.Len(t, got.Days[0].What, 2, "both plants on one line of the calendar")
	var alone float64
	_, err = fmt.Sscanf(got.Sheets[0].Mix.Buy[0], "%f mL", &alone)
	require.NoError(t, err)
	var both float64
	_, err = fmt.Sscanf(got.Buy[0], "%f mL", &both)
	require.NoError(t, err)
	assert.InDelta(t, 2*alone, both, 1)

	a, err := b.Send(ctx, b.who, one.ID, "page")
	require.NoError(t, err)
	require.Len(t, a, 1)
	for _, s := range got.Sheets {
		assert.Contains(t, a[0].Text, "/p/"+s.Token)
	}
	again, err := b.Send(ctx, b.who, two.ID, "page")
	require.NoError(t, err)
	assert.Empty(t, again, "one message for both")
}

// The steps of the mix are drawn for the page and kept nowhere.
func TestTheMixIsDrawn(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Grower = `<script>"Bo"</script>`
	b.ready(in, 0)
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
	sheet, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	require.NotEmpty(t, sheet.Mix.Fills)
	last := sheet.Mix.Fills[len(sheet.Mix.Fills)-1]
	assert.InDelta(t, 1, last.To, 1e-9, "full at the end")
	spoons := false
	for _, f := range sheet.Mix.Fills {
		assert.Contains(t, f.Picture, "<svg")
		assert.Less(t, len(f.Picture), 3000)
		spoons = spoons || len(f.Spoons) > 0
	}
	assert.True(t, spoons)
	row, err := b.Store.Case(ctx, b.v.ID)
	require.NoError(t, err)
	assert.NotContains(t, row.Doc, "<svg")
}
