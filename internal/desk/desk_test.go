package desk_test

import (
	"context"
	"testing"
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/herbarium"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	growersroom "botanik/internal/growers"
	looproom "botanik/internal/loop"
	overviewroom "botanik/internal/overview"
	practiceroom "botanik/internal/practice"
	recordroom "botanik/internal/records"
	"botanik/internal/simulated"
	spraydaysroom "botanik/internal/spraydays"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// bench is a desk with a clock one can turn.
type bench struct {
	*desk.Service
	*records
	*practice
	*overview
	*loop
	*growers
	*spraydays
	t   testing.TB
	now time.Time
	who desk.Person
	v   desk.View
	dir string
}

// The rooms beside the desk itself.
type (
	records   = recordroom.Service
	practice  = practiceroom.Service
	overview  = overviewroom.Service
	loop      = looproom.Service
	growers   = growersroom.Service
	spraydays = spraydaysroom.Service
)

// runs sits down at a desk.
func (b *bench) runs(d *desk.Service) {
	b.Service, b.records, b.practice, b.overview, b.loop = d, recordroom.New(d), practiceroom.New(d), overviewroom.New(d), looproom.New(d)
	b.growers, b.spraydays = growersroom.New(d), spraydaysroom.New(d)
}

func open(t testing.TB) *bench {
	dir := t.TempDir()
	st, err := store.Open(context.Background(), dir)
	require.NoError(t, err)
	t.Cleanup(func() { _ = st.Close() })
	b := &bench{t: t, dir: dir, now: time.Date(2026, 7, 11, 10, 0, 0, 0, time.UTC)}
	b.runs(desk.New(st, herbarium.Embedded(), simulated.Station{}, func() time.Time { return b.now }))
	b.who = desk.Person{ID: "x", Name: "Ansel", Role: "advisor"}
	return b
}

func (b *bench) keep(v desk.View, err error) {
	b.t.Helper()
	require.NoError(b.t, err)
	b.v = v
}

func (b *bench) treated(in casefile.Intake) {
	ctx := context.Background()
	b.keep(b.CheckIn(ctx, b.who, in, ""))
	b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "walker-spots", State: "yes"}))
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "working"}))
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L", Spoons: "metric"}}))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
}

var bean = casefile.Intake{Grower: "Ilse", Plant: "french bean", Place: "garden", Story: "pale"}

func TestAPlantIsFoundByAnyOfItsNames(t *testing.T) {
	b := open(t)
	for words, id := range map[string]string{"Bean": "bean", "ZUCCHINI": "courgette", "geranium": "pelargonium", "Rosa": "rose", "devil's ivy": "pothos", "triffid": "", "": ""} {
		if h := b.Base().HostCalled(words); id == "" {
			assert.Nil(t, h, words)
		} else if assert.NotNil(t, h, words) {
			assert.Equal(t, id, h.ID)
		}
	}
}

func TestTwoSilentFollowUpsRaiseACall(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	ask := b.v.AskOn
	require.NotEmpty(t, ask)
	b.now, _ = time.Parse("2006-01-02", ask)
	today, err := b.Today(ctx)
	require.NoError(t, err)
	require.Len(t, today.Ask, 1, "it appears on the counter when due")
	assert.Equal(t, "today", today.Ask[0].When)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true}))
	assert.Greater(t, b.v.AskOn, ask)
	b.now = b.now.AddDate(0, 0, 7)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true}))
	assert.Equal(t, "call", b.v.FollowUps[1].Next.Move)
	today, err = b.Today(ctx)
	require.NoError(t, err)
	require.Len(t, today.Ask, 1, "nobody is forgotten")
	assert.True(t, today.Ask[0].Call)
}

func TestARepeatKeepsTheRemedyAndCountsWhatWasUsed(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	b.now = b.now.AddDate(0, 0, 20)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Count: &casework.Recount{BeforeCounts: []int{40, 38, 45, 33, 44}, AfterCounts: []int{12, 10, 15, 9, 14}}}))
	assert.Equal(t, "repeat", b.v.FollowUps[0].Next.Move)
	b.keep(b.NextRound(ctx, b.who, b.v.ID, b.v.Version, "repeat"))
	assert.NotNil(t, b.v.Treatment)
	assert.Nil(t, b.v.Days)
	d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 6})
	require.NoError(t, err)
	assert.Len(t, d.On, 4, "two of the label's six are used")
}

func TestStepUpAsksForAnotherRemedyAndKeepsTheWaits(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Note: "no better"}))
	b.keep(b.NextRound(ctx, b.who, b.v.ID, b.v.Version, "step up"))
	assert.Nil(t, b.v.Treatment)
	a, err := b.Advice(ctx, b.v.ID, nil)
	require.NoError(t, err)
	for _, o := range a.Offers {
		if o.Remedy == "sulfur" {
			assert.Equal(t, "not now", string(o.Status), "soap of this round still counts: %+v", o.Reasons)
		}
	}
}

func TestAChangeOfVerdictDropsWhatAnsweredTheOldOne(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.keep(b.CheckIn(ctx, b.who, bean, ""))
	b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "flecks", State: "many"}))
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "working"}))
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "rose-leafhopper", Degree: "working", Note: "they jump"}))
	assert.Nil(t, b.v.Treatment)
	b.keep(b.Undo(ctx, b.who, b.v.ID, b.v.Version))
	assert.Equal(t, "two-spotted-mite", b.v.Verdict.Cause)
	assert.NotNil(t, b.v.Treatment, "undo brings it back whole")
}

func TestWhatTheDeskConfirmedLeansTheOdds(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	p := func() float64 {
		v, err := b.CheckIn(ctx, b.who, casefile.Intake{Grower: "x", Plant: "rose", Place: "garden", Story: "x"}, "")
		require.NoError(t, err)
		for _, c := range v.Reading.Candidates {
			if c.Cause == "rose-rust" {
				return c.P
			}
		}
		return 0
	}
	before := p()
	for range 12 {
		b.keep(b.CheckIn(ctx, b.who, casefile.Intake{Grower: "x", Plant: "rose", Place: "garden", Story: "x"}, ""))
		b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "pustules", State: "orange"}))
		b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "rose-rust", Degree: "settled"}))
	}
	assert.Greater(t, p(), before, "twelve confirmed lean the odds")
	b.now = b.now.AddDate(3, 0, 0)
	assert.InDelta(t, before, p(), .02, "and fade over two years")
}

func TestBadIntakeNamesEachField(t *testing.T) {
	b := open(t)
	_, err := b.CheckIn(context.Background(), b.who, casefile.Intake{Place: "moon", Host: "triffid", Treated: []casefile.Treated{{On: "2031-01-01"}, {Remedy: "holy-water", On: "x"}}}, "")
	fields := map[string]bool{}
	for _, f := range fault.From(err) {
		fields[f.Field] = true
		assert.NotEmpty(t, f.Mend)
	}
	for _, f := range []string{"grower", "plant", "host", "place", "treated[0].on", "treated[0].what", "treated[1].on", "treated[1].remedy"} {
		assert.True(t, fields[f], f)
	}
}

func TestTheGrowersPageStandsUntilTheNextHandOver(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	token := b.v.Handover.Token
	page := func() casefile.Sheet {
		s, err := b.SheetByToken(ctx, token)
		require.NoError(t, err)
		return s
	}
	first := page()
	assert.NotNil(t, first.Mix)
	assert.Empty(t, first.Again)
	meanwhile := first
	meanwhile.Again = "We are looking at your plant once more. Ask us before the next treatment; this is the page of last time."
	_, err := b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"hose-off"}, "")
	assert.ErrorContains(t, err, "handed over")
	_, err = b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 4})
	assert.ErrorContains(t, err, "handed over")

	b.keep(b.NextRound(ctx, b.who, b.v.ID, b.v.Version, "bring back"))
	assert.Equal(t, meanwhile, page(), "what the grower holds does not go while the next round is worked out, and says that it is")
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "drought", Degree: "working", Note: "no mite left"}))
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"even-water"}, ""))
	assert.Equal(t, meanwhile, page())
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
	assert.Equal(t, token, b.v.Handover.Token, "the link holds")
	assert.Equal(t, "Drought stress", page().Title)
	assert.Empty(t, page().Again)
	assert.Nil(t, page().Mix)
}

func TestALateVerdictKeepsItsReasonAndIsHandedOverAnew(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	was := b.v
	_, err := b.SetVerdict(ctx, desk.Person{Name: "Wren", Role: "trainee"}, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "drought", Degree: "working", Note: "dry"})
	assert.ErrorContains(t, err, "ask an advisor")

	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "settled", Note: "the lens agrees"}))
	assert.Equal(t, "handed", string(b.v.Stage), "surer of the same is no new page")
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "mosaic-virus", Degree: "working", Note: "the laboratory answered"}))
	assert.Equal(t, "bench", string(b.v.Stage))
	assert.Nil(t, b.v.Treatment)
	story, err := b.Story(ctx, b.v.ID)
	require.NoError(t, err)
	last := story[len(story)-1].Text
	assert.Contains(t, last, "the laboratory answered")
	assert.Contains(t, last, "handed over anew")
	s, err := b.SheetByToken(ctx, was.Handover.Token)
	require.NoError(t, err)
	assert.Equal(t, "Two-spotted spider mite", s.Title, "until then the grower has the old one")
	b.keep(b.Undo(ctx, b.who, b.v.ID, b.v.Version))
	assert.Equal(t, "handed", string(b.v.Stage))
}

func TestAClosedCaseRests(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.treated(bean)
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "better", Note: ""}))
	for name, try := range map[string]func() error{
		"look": func() error {
			_, err := b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "silk", State: "none"})
			return err
		},
		"verdict": func() error {
			_, err := b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "drought", Degree: "open", Note: "x"})
			return err
		},
		"intake": func() error { _, err := b.SetIntake(ctx, b.who, b.v.ID, b.v.Version, bean); return err },
		"followup": func() error {
			_, err := b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true})
			return err
		},
		"round": func() error { _, err := b.NextRound(ctx, b.who, b.v.ID, b.v.Version, "repeat"); return err },
	} {
		assert.ErrorContains(t, try(), "closed", name)
	}
	b.keep(b.Reopen(ctx, b.who, b.v.ID, b.v.Version))
	assert.Equal(t, "handed", string(b.v.Stage))
}
