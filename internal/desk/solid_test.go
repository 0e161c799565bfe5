package desk_test

import (
	"context"
	"errors"
	"testing"
	"time"

	"botanik/core/casework"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/internal/casefile"
	"botanik/internal/desk"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// at turns the desk's clock and sets its zone.
func (b *bench) at(zone string, now time.Time) {
	b.now = now
	id, v, err := b.House.Identity(context.Background())
	require.NoError(b.t, err)
	id.Zone = zone
	require.NoError(b.t, b.House.SetIdentity(context.Background(), boss, id, v))
}

// A desk's day is that of its place: in the evening in Los Angeles it is still
// the day the sample came in, in the morning in Auckland no longer the day
// before.
func TestDaysToPickingAreTheDesksOwn(t *testing.T) {
	two := 2
	eaten := casefile.Intake{Grower: "Ilse", Plant: "french bean", Place: "garden", Story: "pale", Edible: true, DaysToHarvest: &two}
	for zone, now := range map[string]time.Time{
		"America/Los_Angeles": time.Date(2026, 7, 12, 2, 30, 0, 0, time.UTC),  // 19:30 on the 11th
		"Pacific/Auckland":    time.Date(2026, 7, 10, 21, 30, 0, 0, time.UTC), // 9:30 on the 11th
		"UTC":                 time.Date(2026, 7, 11, 12, 0, 0, 0, time.UTC),
	} {
		t.Run(zone, func(t *testing.T) {
			b := open(t)
			b.at(zone, now)
			b.known(eaten, "two-spotted-mite")
			o := b.offer("azadirachtin") // waits three days
			assert.Equal(t, remedy.NotNow, o.Status, "%+v", o.Reasons)
			assert.Equal(t, "2026-07-13", o.Until, "pick first, on the second day from the 11th")
			b.now = b.now.AddDate(0, 0, 1)
			assert.Equal(t, "2026-07-13", b.offer("azadirachtin").Until, "a day later it is the same day")
			loc, err := time.LoadLocation(zone)
			require.NoError(t, err)
			require.NoError(t, err)
			today, err := b.Today(context.Background())
			require.NoError(t, err)
			assert.Equal(t, b.now.In(loc).Format("Monday 2 January 2006"), today.Date)
		})
	}
}

func TestADeskInTheSouthAndAcrossTheDateLineKeepsItsMonth(t *testing.T) {
	b := open(t)
	b.at("Pacific/Kiritimati", time.Date(2026, 7, 31, 12, 0, 0, 0, time.UTC)) // already August there
	b.Weather.StandIn = &sky{}
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(context.Background(), b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	d, err := b.PlanDays(context.Background(), b.v.ID, desk.DaysInput{})
	require.NoError(t, err)
	assert.Equal(t, "2026-08-03", d.Start, "the first of August there, and two days for the patch test")
}

// What is no longer chosen leaves no amount behind, whichever way it went.
func TestNoDoseOutlivesItsRemedy(t *testing.T) {
	ctx := context.Background()
	hosta := casefile.Intake{Grower: "Ilse", Plant: "hosta", Place: "garden", Story: "holes"}
	for name, change := range map[string]func(b *bench) (desk.View, error){
		"wait": func(b *bench) (desk.View, error) {
			return b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "wait", Pressure: "light"})
		},
		"pull": func(b *bench) (desk.View, error) {
			return b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "pull", Pressure: "heavy"})
		},
		"another remedy": func(b *bench) (desk.View, error) {
			return b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"hand-pick"}, "")
		},
		"another verdict": func(b *bench) (desk.View, error) {
			return b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "drought", Degree: "open", Note: "no slime"})
		},
	} {
		t.Run(name, func(t *testing.T) {
			b := open(t)
			b.known(hosta, "slug")
			b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "act", Pressure: "moderate"}))
			b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"iron-bait"}, ""))
			b.keep(b.SetDose(ctx, b.who, b.v.ID, b.v.Version, dosage.PlaceInput{Remedy: "iron-bait", Area: "3 m2"}))
			require.Len(t, b.v.Doses, 1)
			b.keep(change(b))
			assert.Empty(t, b.v.Doses)
			sheet, err := b.Sheet(ctx, b.v.ID)
			require.NoError(t, err)
			assert.Empty(t, sheet.Amounts)
		})
	}
	for _, move := range []string{"step up", "switch", "bring back"} {
		b := open(t)
		b.known(hosta, "slug")
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"iron-bait"}, ""))
		b.keep(b.SetDose(ctx, b.who, b.v.ID, b.v.Version, dosage.PlaceInput{Remedy: "iron-bait", Area: "3 m2"}))
		b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 1}))
		b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
		b.keep(b.NextRound(ctx, b.who, b.v.ID, b.v.Version, move))
		assert.Empty(t, b.v.Doses, move)
	}
}

// Whoever waits and then acts after all chooses a remedy: leaving it was none.
func TestWaitingLeavesNoRemedyBehind(t *testing.T) {
	ctx := context.Background()
	for _, first := range []string{"wait", "pull"} {
		b := open(t)
		b.known(bean, "two-spotted-mite")
		b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: first, Pressure: "light"}))
		require.NotNil(t, b.v.Treatment)
		b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "act", Pressure: "heavy"}))
		assert.Nil(t, b.v.Treatment, first)
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
		b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "act", Pressure: "moderate"}))
		assert.NotNil(t, b.v.Treatment, "counting again takes nothing away")
	}
}

// "Neem" may be the oil or what is pressed from it: until somebody says which,
// the waits of both hold.
func TestAWordThatCouldBeTwoRemediesKeepsTheWaitsOfBoth(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	read, err := b.ReadEarlier(ctx, "neem 20 days ago")
	require.NoError(t, err)
	require.Len(t, read, 1)
	assert.Empty(t, read[0].Remedy)
	assert.ElementsMatch(t, []string{"neem-oil", "azadirachtin"}, read[0].CouldBe)
	rose := casefile.Intake{Grower: "Ilse", Plant: "rose", Place: "garden", Story: "white", Treated: read}
	b.known(rose, "powdery-mildew")
	assert.Equal(t, remedy.NotNow, b.offer("sulfur").Status, "a month after an oil")
	a, err := b.Advice(ctx, b.v.ID, nil)
	require.NoError(t, err)
	require.Len(t, a.Unknown, 1)
	assert.Contains(t, a.Unknown[0], "could be")
	rose.Treated = []casefile.Treated{{What: "neem", Remedy: "azadirachtin", On: read[0].On}}
	b.keep(b.SetIntake(ctx, b.who, b.v.ID, b.v.Version, rose))
	assert.NotEqual(t, remedy.NotNow, b.offer("sulfur").Status)
}

// A database that fails while a hand-over is checked is not told as the
// advisor's mistake.
func TestADatabaseErrorIsNotTheAdvisorsFault(t *testing.T) {
	b := open(t)
	b.treated(bean)
	b.keep(b.NextRound(context.Background(), b.who, b.v.ID, b.v.Version, "repeat"))
	gone, cancel := context.WithCancel(context.Background())
	cancel()
	_, err := b.HandOver(gone, b.who, b.v.ID, b.v.Version)
	require.Error(t, err)
	assert.False(t, fault.Is(err), "%v", err)
	require.NoError(t, b.Store.Close())
	_, err = b.Blend(context.Background(), dosage.MixInput{Remedy: "soap", Volume: "1 L"})
	require.Error(t, err)
	assert.False(t, fault.Is(err), "%v", err)
	assert.True(t, fault.Is(func() error { _, err := mix.ParseRate("x"); return err }()))
	assert.False(t, errors.Is(err, desk.ErrNotFound))
}

func TestDaysStayInsideTheCalendarAndTheYear(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	for _, start := range []string{"9999-12-31", "2099-01-01", "2026-07-10", "soon"} {
		_, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Start: start})
		require.Error(t, err, start)
		assert.Equal(t, "start", fault.From(err)[0].Field)
	}
	for _, on := range []string{"0000-01-01", "1999-01-01", "2026-07-13"} {
		in := bean
		in.Treated = []casefile.Treated{{What: "soap", On: on}}
		_, err := b.CheckIn(ctx, b.who, in, "")
		require.Error(t, err, on)
		assert.Equal(t, "treated[0].on", fault.From(err)[0].Field)
	}
	b.now = time.Date(2026, 12, 28, 10, 0, 0, 0, time.UTC)
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L"}}))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2, Gap: 7}))
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
	assert.Contains(t, b.v.Page.Sheet.Days[1], "2027", "a day of another year says so")
	assert.NotContains(t, b.v.Page.Sheet.Days[0], "2026")
}

func TestTheRecountUsesTheCountsOfTheCase(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.treated(bean)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Count: &casework.Recount{BeforeCounts: []int{12, 30, 4, 22, 9}, AfterCounts: []int{0, 0, 0, 0, 0}}}))
	f := b.v.FollowUps[0]
	assert.Equal(t, "better", f.Result.Word)
	assert.Equal(t, "done", f.Next.Move, "none left can be borne")
	_, err := b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Note: "\u200b"})
	assert.Error(t, err, "nothing to see is nothing told")
}
