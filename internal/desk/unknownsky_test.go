package desk_test

import (
	spraydaysroom "botanik/internal/spraydays"
	"context"
	"encoding/json"
	"strings"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/desk"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A desk where advice is given makes no weather up: without a station or a file no hour is
// good, no day is fitted or moved, nothing is said of what rain left, and what still needs a
// warmth takes the usual one and says so.
func TestWhereNoWeatherIsKnownNoneIsMadeUp(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.runs(desk.New(b.Store, herbarium.Embedded(), nil, func() time.Time { return b.now }))
	b.treated(bean)
	advice, err := b.Advice(ctx, b.v.ID, nil)
	require.NoError(t, err)
	assert.Contains(t, advice.Weather, "no weather is known")
	// What nobody knows is said where it is chosen and to who sprays.
	page, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	raw, err := json.Marshal(page)
	require.NoError(t, err)
	assert.Contains(t, string(raw), "Read a thermometer first")
	said := strings.Join(b.v.Days.Notes, " ")
	assert.Contains(t, said, "usual warmth")
	assert.NotContains(t, said, "forecast")
	plan, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{})
	require.NoError(t, err)
	assert.Empty(t, plan.Weeks.Sky)

	today, err := b.Today(ctx)
	require.NoError(t, err)
	assert.Contains(t, today.Weather, "No weather is known")
	for _, n := range today.Notices {
		assert.NotContains(t, []string{"evening", "wet", "moved", "weather"}, n.Kind, n.Bold)
	}
	week, err := b.SprayWeek(ctx, spraydaysroom.SprayAsk{Remedy: "soap"})
	require.NoError(t, err)
	assert.Empty(t, week.Days)
	assert.Empty(t, week.Best)
	lately, err := b.RecentWeather(ctx)
	require.NoError(t, err)
	assert.Empty(t, lately.Pressure)
	since, err := b.Since(ctx, "copper", "2026-07-01")
	require.NoError(t, err)
	assert.Contains(t, since.Says, "not known here")
	moved, err := b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, moved)
	year, err := b.SeasonOf(ctx, "", "")
	require.NoError(t, err)
	assert.Equal(t, "no weather is known", year.Weather)

	// In a room the air outside does not matter, and nothing is said of it.
	in := bean
	in.Place = "indoors"
	b.treated(in)
	assert.NotContains(t, strings.Join(b.v.Days.Notes, " "), "usual warmth")
}
