package desk_test

import (
	"context"
	"slices"
	"strings"
	"testing"

	"botanik/core/differential"
	"botanik/core/remedy"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	recordroom "botanik/internal/records"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var orchid = casefile.Intake{Grower: "Tressa Vane", Plant: "Orchid", Host: "orchid", Place: "indoors", Story: "bumps on the leaves"}

// looksAt enters what is seen, each sure.
func (b *bench) looksAt(looks ...string) {
	b.t.Helper()
	for _, l := range looks {
		finding, state, _ := strings.Cut(l, "=")
		b.keep(b.Look(context.Background(), b.who, b.v.ID, b.v.Version, differential.Look{Finding: finding, State: state}))
	}
}

// The orchid with scale and a glassy, foul patch: what is left over is followed from the look
// to the verdict, the ladder, the page and the records.
func TestTwoTroublesArriveOnThePage(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.keep(b.CheckIn(ctx, b.who, orchid, ""))
	b.looksAt("main-sign=lumps", "bumps=domes", "sticky=yes", "scrape=whole", "squash=clear", "spots=glassy", "smell=rot")
	require.NotEmpty(t, b.v.LeftOver)
	_, err := b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "brown-soft-scale", Degree: "settled"})
	require.ErrorContains(t, err, "degree")
	require.ErrorContains(t, err, "not explained")

	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "brown-soft-scale", Also: "soft-rot", Degree: "working"}))
	assert.Empty(t, b.v.LeftOver, "both together explain it")
	story, err := b.Story(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Contains(t, story[len(story)-1].Text, "bacterial soft rot besides it")
	a, err := b.Advice(ctx, b.v.ID, nil)
	require.NoError(t, err)
	oil := a.Offers[slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == "summer-oil" })]
	assert.NotEqual(t, remedy.Go, oil.Status)
	assert.True(t, slices.ContainsFunc(oil.Reasons, func(r remedy.Reason) bool { return r.Gate == "second" }), "%v", oil.Reasons)

	s, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	require.NotNil(t, s.Besides)
	assert.Equal(t, "Bacterial soft rot", s.Besides.Title)
	require.NotEmpty(t, s.Besides.Steps)
	assert.NotEmpty(t, s.Besides.Steps[0].How)
	assert.Contains(t, string(b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "cases"})))), "soft-rot,Bacterial soft rot")
}

// A look that is no part of it is put aside with its reason: it stays on the case and in the
// records, and no longer counts; taken back it does.
func TestALookIsLetGoWithItsReason(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.keep(b.CheckIn(ctx, b.who, orchid, ""))
	b.looksAt("main-sign=lumps", "bumps=domes", "sticky=yes", "scrape=whole", "squash=clear", "ants=yes", "spots=glassy")
	require.Len(t, b.v.LeftOver, 1)
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "brown-soft-scale", Degree: "working"}))
	s, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	assert.True(t, slices.ContainsFunc(s.LookFor, func(x string) bool { return strings.HasPrefix(x, "Not explained yet") }), "%v", s.LookFor)

	b.keep(b.LetGo(ctx, b.who, b.v.ID, b.v.Version, "spots", "glassy", "an old scar"))
	assert.Empty(t, b.v.LeftOver)
	assert.Equal(t, 6, b.v.Reading.Looked, "it is not weighed")
	assert.Len(t, b.v.Looks, 7, "and stays on the case")
	assert.Contains(t, string(b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "looks"})))), "an old scar")
	b.keep(b.LetGo(ctx, b.who, b.v.ID, b.v.Version, "spots", "glassy", ""))
	assert.Len(t, b.v.LeftOver, 1)
	_, err = b.LetGo(ctx, b.who, b.v.ID, b.v.Version, "spots", "round", "an old scar")
	require.ErrorContains(t, err, "finding")
}

// A page once settled says no longer that the desk is sure when something is seen since that
// it does not explain.
func TestWhatIsSeenSinceTakesTheSureWordAway(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.treated(bean)
	b.keep(b.NextRound(ctx, b.who, b.v.ID, b.v.Version, "repeat"))
	b.looksAt("pustules=orange")
	s, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	assert.NotContains(t, s.Sure, "We are sure")
}
