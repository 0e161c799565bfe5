package desk_test

import (
	"context"
	"testing"
	"time"

	"botanik/core/training"
	"botanik/internal/desk"
	"botanik/internal/settings"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A short question is asked, answered once, and comes back when it fades; nobody else's can
// be answered, and nothing of it is among the desk's cases.
func TestPracticeByShortQuestions(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	staff := b.staffed("odile", "ansel", "brann", "wren")
	wren, brann := staff[3], staff[2]
	for _, kind := range training.Kinds {
		q, err := b.NextQuestion(ctx, wren, kind)
		require.NoError(t, err, kind)
		assert.Equal(t, kind, q.Kind)
		_, err = b.AnswerMe(ctx, brann, q.ID, q.Options[0].ID, .7)
		require.ErrorIs(t, err, desk.ErrNotFound, "another's")
		_, err = b.AnswerMe(ctx, wren, q.ID, "dragon", .7)
		require.ErrorContains(t, err, "choice")
		_, err = b.AnswerMe(ctx, wren, q.ID, q.Options[0].ID, 7)
		require.ErrorContains(t, err, "sure")
		m, err := b.AnswerMe(ctx, wren, q.ID, q.Options[0].ID, .7)
		require.NoError(t, err)
		assert.Equal(t, q.Options[0].ID == m.Option, m.Right)
		assert.NotEmpty(t, m.Why)
		_, err = b.AnswerMe(ctx, wren, q.ID, q.Options[0].ID, .7)
		require.ErrorIs(t, err, desk.ErrNotFound, "once")
	}
	_, err := b.NextQuestion(ctx, wren, "dragons")
	require.ErrorContains(t, err, "kind")
	p, err := b.Progress(ctx, wren)
	require.NoError(t, err)
	assert.Equal(t, len(training.Kinds), p.Today)
	assert.Equal(t, 1, p.Days)
	b.now = b.now.AddDate(0, 0, 40)
	p, err = b.Progress(ctx, wren)
	require.NoError(t, err)
	assert.Equal(t, len(training.Kinds), p.Due, "all of it fades")
	assert.Zero(t, p.Days)
	n, err := b.Find(ctx, desk.FindInput{})
	require.NoError(t, err)
	assert.Zero(t, n.N, "practice is never among real cases")
}

// A whole case: looked at, used up by what destroys, judged once; a course is set by the
// coordinator, who sees each by themselves.
func TestPracticeOnAWholeCase(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	staff := b.staffed("odile", "ansel", "brann", "wren")
	odile, wren := staff[0], staff[3]
	require.ErrorIs(t, b.House.SetCourse(ctx, wren, settings.Course{}, 0), desk.ErrForbidden)
	require.ErrorContains(t, b.House.SetCourse(ctx, odile, settings.Course{Classes: []string{"dragons"}}, 0), "classes[0]")
	require.ErrorContains(t, b.House.SetCourse(ctx, odile, settings.Course{Kinds: []string{"dance"}}, 0), "kinds[0]")
	require.NoError(t, b.House.SetCourse(ctx, odile, settings.Course{Name: "scales before spring", Classes: []string{"armored-scale", "soft-scale"}, Kinds: []string{"plate"}}, 0))
	scale := func(id string) bool {
		c := b.Base().Cause(id)
		return c != nil && (c.Class == "armored-scale" || c.Class == "soft-scale")
	}
	scales := 0
	for range 12 {
		q, err := b.NextQuestion(ctx, wren, "")
		require.NoError(t, err)
		require.Equal(t, "plate", q.Kind)
		if scale(q.Plate) {
			scales++
		}
		_, err = b.AnswerMe(ctx, wren, q.ID, q.Plate, .85)
		require.NoError(t, err)
		b.now = b.now.Add(time.Minute)
	}
	assert.GreaterOrEqual(t, scales, 8, "what the course is about comes first")

	c, err := b.PractiseCase(ctx, wren)
	require.NoError(t, err)
	assert.NotEmpty(t, c.Story)
	_, err = b.LookInPractice(ctx, wren, c.ID, "dragon")
	require.ErrorContains(t, err, "finding")
	gentle, destroys := "", ""
	for _, f := range b.Base().Findings {
		if f.Destructive && destroys == "" {
			destroys = f.ID
		} else if !f.Destructive && gentle == "" {
			gentle = f.ID
		}
	}
	c, err = b.LookInPractice(ctx, wren, c.ID, gentle)
	require.NoError(t, err)
	minutes := c.Minutes
	c, err = b.LookInPractice(ctx, wren, c.ID, gentle)
	require.NoError(t, err)
	assert.InDelta(t, minutes, c.Minutes, 1e-9, "the same look twice is one")
	c, err = b.LookInPractice(ctx, wren, c.ID, destroys)
	require.NoError(t, err)
	assert.True(t, c.Used)
	_, err = b.LookInPractice(ctx, wren, c.ID, "silk")
	require.ErrorContains(t, err, "used up")
	for says, v := range map[string]training.PracticeVerdict{"cause": {Cause: "dragon", Act: "wait"}, "act": {Act: "dance"}, "remedy": {Act: "act", Remedy: "dragon"}, "sure": {Act: "wait", Sure: 2}, "amount": {Act: "act", Remedy: "soap", Amount: "a glug"}, "every": {Act: "act", Remedy: "soap", Every: 400}} {
		_, err = b.JudgePractice(ctx, wren, c.ID, v)
		require.ErrorContains(t, err, says)
	}
	s, err := b.JudgePractice(ctx, wren, c.ID, training.PracticeVerdict{Act: "refer", Sure: .5})
	require.NoError(t, err)
	assert.Len(t, s.Steps, 2)
	assert.NotEmpty(t, s.Expert)
	if scale(s.TruthID) { // a whole case is of the course as well, when one of it was drawn
		scales++
	}
	_, err = b.JudgePractice(ctx, wren, c.ID, training.PracticeVerdict{Act: "refer"})
	require.ErrorIs(t, err, desk.ErrNotFound)
	p, err := b.Progress(ctx, wren)
	require.NoError(t, err)
	assert.Equal(t, []int{s.Points}, p.Cases)
	assert.NotEmpty(t, p.Calibration.Says)

	_, err = b.Learners(ctx, wren)
	require.ErrorIs(t, err, desk.ErrForbidden)
	list, err := b.Learners(ctx, odile)
	require.NoError(t, err)
	require.Len(t, list, 1)
	assert.Equal(t, []any{"wren", 13, scales}, []any{list[0].Name, list[0].N, list[0].Course})
}

// A closed case of the desk is practised on without its person: only what was looked at then
// can be looked at, and what was found stands beside the answer.
func TestOldCasesArePractisedOn(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	staff := b.staffed("odile", "ansel", "brann", "wren")
	odile, wren := staff[0], staff[3]
	in := bean
	in.Plant = "Tamsin's bean"
	in.Grower, in.Contact, in.Story = "Tamsin Reeve", "tamsin@stall9.example", "Tamsin says pale; ask Reeve at tamsin@stall9.example"
	b.known(in, "two-spotted-mite")
	require.ErrorContains(t, b.OfferPractice(ctx, odile, b.v.ID, true), "not closed")
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "unknown"}))
	require.ErrorContains(t, b.OfferPractice(ctx, odile, b.v.ID, true), "looked at")
	b.keep(b.Reopen(ctx, b.who, b.v.ID, b.v.Version))
	b.look("walker-spots", "yes")
	b.look("silk", "dense")
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "unknown", Confirmed: "red-mite", Found: "laboratory"}))
	require.ErrorIs(t, b.OfferPractice(ctx, wren, b.v.ID, true), desk.ErrForbidden)
	_, err := b.PractiseOld(ctx, wren, b.v.ID)
	require.ErrorIs(t, err, desk.ErrNotFound, "nobody offered it")
	require.NoError(t, b.OfferPractice(ctx, odile, b.v.ID, true))
	list, err := b.OldCases(ctx, wren)
	require.NoError(t, err)
	require.Len(t, list, 1)
	c, err := b.PractiseOld(ctx, wren, b.v.ID)
	require.NoError(t, err)
	assert.Equal(t, []string{"the grower's bean", "the grower's bean"}, []string{c.Plant, list[0].Plant})
	assert.Equal(t, "the grower says pale; ask the grower at the grower", c.Story)
	assert.Equal(t, []string{"flecks", "silk", "walker-spots"}, c.Only)
	_, err = b.LookInPractice(ctx, wren, c.ID, "sticky")
	require.ErrorContains(t, err, "nobody looked")
	c, err = b.LookInPractice(ctx, wren, c.ID, "silk")
	require.NoError(t, err)
	require.Len(t, c.Looks, 1)
	s, err := b.JudgePractice(ctx, wren, c.ID, training.PracticeVerdict{Cause: "two-spotted-mite", Sure: .85, Act: "wait"})
	require.NoError(t, err)
	assert.Equal(t, "red-mite", s.TruthID, "what the laboratory found")
	list, err = b.OldCases(ctx, wren)
	require.NoError(t, err)
	assert.True(t, list[0].Done)
	require.NoError(t, b.OfferPractice(ctx, odile, b.v.ID, false))
	list, err = b.OldCases(ctx, wren)
	require.NoError(t, err)
	assert.Empty(t, list)
}
