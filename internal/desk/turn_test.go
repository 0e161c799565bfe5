package desk_test

import (
	spraydaysroom "botanik/internal/spraydays"
	"context"
	"strings"
	"testing"
	"time"

	"botanik/core/weather"
	"botanik/internal/accounts"
	"botanik/internal/calendar"
	"botanik/internal/desk"
	looproom "botanik/internal/loop"
	overviewroom "botanik/internal/overview"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// sky is mild, dry and still, but for the days on which it rains all day.
type sky struct{ wet map[string]bool }

func (s *sky) Kind() string { return "written by hand" }

func (s *sky) Hours(_ weather.Place, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	for at := from.UTC().Truncate(time.Hour); at.Before(to); at = at.Add(time.Hour) {
		h := weather.Hour{At: at, TempC: 17, Humidity: 60, WindMs: 2}
		if s.wet[at.Format("2006-01-02")] {
			h.RainMm, h.Humidity = 1.5, 96
		}
		if !at.Before(from) {
			out = append(out, h)
		}
	}
	return out, nil
}

// Rain that is forecast is planned around; rain that comes up after the page was handed
// over moves the day, once, and everybody can read it.
func TestTheWeatherMovesADay(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	air := &sky{wet: map[string]bool{}}
	b.Weather.StandIn = air
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	fair, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	air.wet[fair.On[0]] = true
	wet, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	assert.NotEqual(t, fair.On[0], wet.On[0])
	assert.Contains(t, strings.Join(wet.Notes, " "), "rain")
	asked, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Start: fair.On[0], Count: 2})
	require.NoError(t, err)
	assert.Equal(t, fair.On[0], asked.On[0], "who asks for a day gets it, with the word")
	assert.Contains(t, strings.Join(asked.Notes, " "), "not fit as forecast: rain")
	air.wet = map[string]bool{}

	b.treated(bean)
	was := b.v.Days.On
	n, err := b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, n, "good weather moves nothing")
	first, err := calendar.Of(b.v.Page.Sheet, b.now)
	require.NoError(t, err)

	air.wet[was[0]] = true
	n, err = b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	require.Equal(t, 1, n)
	v, err := b.View(ctx, b.v.ID)
	require.NoError(t, err)
	assert.NotEqual(t, was[0], v.Days.On[0])
	require.Len(t, v.Days.Moved, 1)
	assert.Equal(t, was[0], v.Days.Moved[0].From)
	story, err := b.Story(ctx, b.v.ID)
	require.NoError(t, err)
	last := story[len(story)-1]
	assert.Equal(t, "the weather", last.Who)
	assert.Contains(t, last.Text, "is moved to")
	page, err := b.SheetByToken(ctx, v.Page.Token)
	require.NoError(t, err)
	assert.Contains(t, strings.Join(page.Moved, " "), "rain")
	days := []string{}
	for _, d := range page.Table {
		days = append(days, d.On)
	}
	assert.Contains(t, days, v.Days.On[0])
	assert.NotContains(t, days, was[0])
	second, err := calendar.Of(page, b.now)
	require.NoError(t, err)
	assert.Equal(t, uids(first), uids(second), "a day kept in a calendar keeps its identity, so that it moves there too")
	today, err := b.Today(ctx)
	require.NoError(t, err)
	assert.Contains(t, notices(today), "moved")

	n, err = b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, n, "once is enough")
	_, err = b.Undo(ctx, b.who, b.v.ID, v.Version)
	assert.Error(t, err, "what left the desk is not taken back")
}

// A day that may have been done this morning, or was ticked off, is not moved by an evening
// of rain.
func TestWhatWasDoneIsNotMoved(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	air := &sky{wet: map[string]bool{}}
	b.Weather.StandIn = air
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	b.treated(bean)
	first := b.v.Days.On[0]
	day, err := time.Parse("2006-01-02", first)
	require.NoError(t, err)
	b.now = day.Add(21 * time.Hour)
	n, err := b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, n, "the evening is over, and the day was good")
	require.NoError(t, b.Tell(ctx, b.v.Page.Token, looproom.TellInput{Done: []string{first}}))
	air.wet[first] = true
	n, err = b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, n, "it was ticked off")
}

// In a room the sky moves nothing, and a week without a dry day leaves the day where it is.
func TestWhatTheWeatherDoesNotMove(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	air := &sky{wet: map[string]bool{}}
	b.Weather.StandIn = air
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	b.treated(bean)
	for i := range 20 {
		air.wet[b.now.AddDate(0, 0, i).Format("2006-01-02")] = true
	}
	n, err := b.RescheduleForWeather(ctx)
	require.NoError(t, err)
	assert.Zero(t, n)
}

func uids(text string) []string {
	out := []string{}
	for _, l := range strings.Split(text, "\n") {
		if strings.HasPrefix(l, "UID:") && strings.Contains(l, "-do") {
			out = append(out, strings.TrimSpace(l))
		}
	}
	return out
}

func notices(t overviewroom.Today) []string {
	out := []string{}
	for _, n := range t.Notices {
		out = append(out, n.Kind)
	}
	return out
}

// Hours of a file stand before the made-up ones from the moment they are kept until they
// are taken out, and say whose they are; a trainee may look, not keep.
func TestHoursBroughtIn(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	week := func() spraydaysroom.SprayWeek {
		w, err := b.SprayWeek(ctx, spraydaysroom.SprayAsk{Remedy: "soap"})
		require.NoError(t, err)
		return w
	}
	before := week()
	text := "time,temp_c,humidity,wind_ms,rain_mm\n"
	for i := range 24 * 8 {
		text += b.now.Truncate(24*time.Hour).Add(time.Duration(i)*time.Hour).Format(time.RFC3339) + ",18,60,2,0\n"
	}
	in := spraydaysroom.WeatherInput{Name: "roof.csv", Text: text}
	_, err := b.KeepWeather(ctx, desk.Person{Role: accounts.Trainee}, in)
	require.ErrorIs(t, err, desk.ErrForbidden)
	files, err := b.KeepWeather(ctx, b.who, in)
	require.NoError(t, err)
	require.Len(t, files, 1)
	assert.Equal(t, 192, files[0].Hours)
	with := week()
	assert.NotEqual(t, before.Best, with.Best)
	assert.Equal(t, "roof.csv", with.Weather)
	assert.Zero(t, with.RainMm)
	today, err := b.Today(ctx)
	require.NoError(t, err)
	assert.Contains(t, today.Weather, "Hours from roof.csv: 18 to 18")
	_, err = b.DropWeather(ctx, b.who, files[0].ID)
	require.NoError(t, err)
	assert.Equal(t, before, week())
	_, err = b.DropWeather(ctx, b.who, files[0].ID)
	assert.ErrorIs(t, err, desk.ErrNotFound)

	in.Text = strings.ReplaceAll(text, ",18,60,2,", ",18,60,14,")
	_, err = b.KeepWeather(ctx, b.who, in)
	require.ErrorContains(t, err, "is it km/h?")
	in.Sure = true
	_, err = b.KeepWeather(ctx, b.who, in)
	require.NoError(t, err)
	_, err = b.KeepWeather(ctx, b.who, in)
	require.ErrorContains(t, err, "is kept already")
}

// Copper on an open case outdoors is reckoned with its rain and its fourteen days.
func TestWhatStillProtects(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	air := &sky{wet: map[string]bool{"2026-06-14": true}}
	b.Weather.StandIn = air
	b.now = time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)
	for on, want := range map[string]string{"2026-06-11": "", "yesterday": "on", "": "on"} {
		_, err := b.Since(ctx, "copper", on)
		if want != "" {
			assert.ErrorContains(t, err, "is not a day")
		} else {
			assert.ErrorContains(t, err, "has not come yet")
		}
	}
	_, err := b.Since(ctx, "soap", "2026-06-01")
	assert.ErrorContains(t, err, "protects")
	b.now = b.now.AddDate(0, 0, 7)
	s, err := b.Since(ctx, "copper", "2026-06-10")
	require.NoError(t, err)
	assert.InDelta(t, 36, s.RainMm, .01, "24 h of 1.5 mm")
	assert.Equal(t, "gone", s.Word)
	assert.Equal(t, "2026-06-24", s.Again)
	assert.False(t, s.May)
}

// In a room somebody reads the thermometer: warmer there, and the repeat comes sooner;
// outdoors the weather says it.
func TestHowWarmItStandsSetsThePace(t *testing.T) {
	ctx := context.Background()
	b := open(t)
	in := bean
	in.Place = "greenhouse"
	b.known(in, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	gap := func(tempC float64) int {
		d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2, TempC: &tempC})
		require.NoError(t, err)
		return d.Gap
	}
	assert.Less(t, gap(28), gap(20))
	warm, cold := 28., 90.
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2, TempC: &warm}))
	assert.Equal(t, warm, *b.v.Days.TempC)
	d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	assert.Equal(t, gap(28), d.Gap, "what was read once holds")
	_, err = b.PlanDays(ctx, b.v.ID, desk.DaysInput{TempC: &cold})
	require.ErrorContains(t, err, "no room")
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	_, err = b.PlanDays(ctx, b.v.ID, desk.DaysInput{TempC: &warm})
	require.ErrorContains(t, err, "as warm as the weather")
}
