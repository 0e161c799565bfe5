package weather_test

import (
	"errors"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// sky is a station written by hand: the hours it is given, or its trouble.
type sky struct {
	hours []weather.Hour
	err   error
}

func (s sky) Kind() string { return "written by hand" }

func (s sky) Hours(_ weather.Place, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	for _, h := range s.hours {
		if !h.At.Before(from) && h.At.Before(to) {
			out = append(out, h)
		}
	}
	return out, s.err
}

func day(t *testing.T, s string) civil.Day {
	d, err := civil.Parse(s)
	require.NoError(t, err)
	return d
}

// hourly is weather of n hours from a moment, as f tells it for the hour of the clock.
func hourly(from time.Time, n int, f func(hour int) weather.Hour) sky {
	var s sky
	for i := range n {
		at := from.Add(time.Duration(i) * time.Hour)
		h := f(at.Hour())
		h.At = at
		s.hours = append(s.hours, h)
	}
	return s
}

func TestADayOfWeather(t *testing.T) {
	zone := time.FixedZone("two east", 2*3600)
	d := day(t, "2026-05-10")
	s := hourly(d.Midnight(zone).Add(-24*time.Hour), 72, func(hour int) weather.Hour {
		return weather.Hour{TempC: float64(hour), WindMs: 3, RainMm: .1}
	})
	got, err := weather.DayOf(s, weather.Place{}, d, zone)
	require.NoError(t, err)
	assert.True(t, got.Known)
	assert.Equal(t, 0.0, got.MinC, "midnight of the desk's clock, not of another")
	assert.Equal(t, 23.0, got.MaxC)
	assert.InDelta(t, 19, got.EveningC, 1e-9, "18, 19 and 20 o'clock")
	assert.InDelta(t, 2.4, got.RainMm, 1e-9)
	assert.InDelta(t, 3, got.WindMs, 1e-9)
	assert.Equal(t, "0 to 23 °C, 2.4 mm of rain, wind 3 m/s", got.Text())

	mean, err := weather.Mean(s, weather.Place{}, d, 1, zone)
	require.NoError(t, err)
	assert.InDelta(t, 11.5, mean, 1e-9)
}

func TestADayNobodyKnows(t *testing.T) {
	d := day(t, "2026-05-10")
	got, err := weather.DayOf(sky{}, weather.Place{}, d, time.UTC)
	require.NoError(t, err)
	assert.False(t, got.Known)
	assert.Equal(t, "not known", got.Text())
	mean, err := weather.Mean(sky{}, weather.Place{}, d, 3, time.UTC)
	require.NoError(t, err)
	assert.InDelta(t, weather.UsualC(weather.Place{}, d.Add(1)), mean, .01, "what nobody knows is taken as usual")

	broken := errors.New("the station is silent")
	_, err = weather.DayOf(sky{err: broken}, weather.Place{}, d, time.UTC)
	require.ErrorIs(t, err, broken)
	_, err = weather.Mean(sky{err: broken}, weather.Place{}, d, 1, time.UTC)
	require.ErrorIs(t, err, broken)
}

func TestOnlyTheMorningIsKnown(t *testing.T) {
	d := day(t, "2026-05-10")
	s := hourly(d.Midnight(time.UTC), 12, func(hour int) weather.Hour { return weather.Hour{TempC: float64(hour)} })
	got, err := weather.DayOf(s, weather.Place{}, d, time.UTC)
	require.NoError(t, err)
	assert.InDelta(t, 5.5, got.EveningC, 1e-9, "the middle of the day stands in for an evening not told")
}

// Where nobody measured, a step is taken as in the usual year of the climate: warmest in
// the summer of its half of the earth, and what is measured stands beside it.
func TestWhatIsNotMeasuredIsAsUsual(t *testing.T) {
	for _, x := range []struct {
		climate  string
		lat      float64
		on       string
		low, top float64 // °C, from general climate texts
	}{
		{"mild", 51, "2026-07-24", 15, 20}, {"mild", 51, "2026-01-20", 2, 7}, {"mild", -45, "2026-07-24", 2, 7},
		{"cold", 55, "2026-01-20", -14, -5}, {"tropical", 5, "2026-01-20", 23, 29}, {"hot and dry", 33, "2026-07-20", 28, 36}, {"", 51, "2026-07-24", 15, 20},
	} {
		c := weather.UsualC(weather.Place{Lat: x.lat, Climate: x.climate}, day(t, x.on))
		assert.Truef(t, c >= x.low && c <= x.top, "%s %s: %.1f", x.climate, x.on, c)
	}
	d := day(t, "2026-05-10")
	s := hourly(d.Midnight(time.UTC), 6, func(int) weather.Hour { return weather.Hour{TempC: 30} })
	got, err := weather.StepsC(s, weather.Place{}, d, 2, 4, time.UTC)
	require.NoError(t, err)
	require.Len(t, got, 8)
	assert.Equal(t, 30., got[0])
	assert.InDelta(t, weather.UsualC(weather.Place{}, d), got[1], 1e-9)
	assert.InDelta(t, weather.UsualC(weather.Place{}, d.Add(1)), got[7], 1e-9)
}

// Days read at once are the days read one by one, over the change of the clock too.
func TestDaysAtOnceAreDaysOneByOne(t *testing.T) {
	zone, err := time.LoadLocation("Europe/London")
	require.NoError(t, err)
	first := day(t, "2026-03-25")
	s := hourly(first.Midnight(zone), 24*9+5, func(h int) weather.Hour { return weather.Hour{TempC: float64(h % 31), RainMm: .1} })
	got, err := weather.Daily(s, weather.Place{}, first, 12, zone)
	require.NoError(t, err)
	require.Len(t, got, 12)
	for i, d := range got {
		one, err := weather.DayOf(s, weather.Place{}, first.Add(i), zone)
		require.NoError(t, err)
		assert.Equal(t, one, d)
	}
	assert.False(t, got[11].Known)
}
