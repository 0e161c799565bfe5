package plan_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/plan"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// sky says the same of every hour, but for what a day is said to be.
type sky struct {
	tempC float64
	wet   map[civil.Day]bool
	none  bool
}

func (s sky) Kind() string { return "made up for a test" }

func (s sky) Hours(_ weather.Place, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	for at := from.UTC().Truncate(time.Hour); at.Before(to) && !s.none; at = at.Add(time.Hour) {
		h := weather.Hour{At: at, TempC: s.tempC, Humidity: 60, WindMs: 1}
		if s.wet[civil.Of(at, time.UTC)] {
			h.RainMm, h.Humidity = 2, 98
		}
		out = append(out, h)
	}
	return out, nil
}

var today = civil.Date(2026, 7, 11)

func moment(s sky) plan.Setting {
	return plan.Setting{Book: herbarium.Embedded(), Sky: s, Spot: weather.Place{Lat: 50, Lon: -5}, Now: today.Midnight(time.UTC).Add(10 * time.Hour), Today: today, Zone: time.UTC}
}

func task(cause, r, place string) plan.Task {
	b := herbarium.Embedded()
	return plan.Task{Cause: b.Cause(cause), Remedy: b.Remedy(r), Situation: remedy.Situation{Host: "bean", Place: place, Date: today.String(), House: remedy.House{}}}
}

// Whatever is asked, and whatever the sky does, days keep the label's gap and most, lie
// outside the wait before picking and not in the past, or are refused naming a field.
func TestDaysKeepTheLabelWhateverIsAsked(t *testing.T) {
	b := herbarium.Embedded()
	products, causes := []string{}, []string{}
	for _, r := range b.Remedies {
		if r.Kind == "product" {
			products = append(products, r.ID)
		}
	}
	for _, k := range b.Causes {
		causes = append(causes, k.ID)
	}
	planned := 0
	rapid.Check(t, func(t *rapid.T) {
		s := sky{tempC: rapid.Float64Range(-5, 35).Draw(t, "°C"), wet: map[civil.Day]bool{}, none: rapid.Bool().Draw(t, "nobody knows")}
		for i := range 10 {
			s.wet[today.Add(i)] = rapid.Bool().Draw(t, "rain")
		}
		m := moment(s)
		k := task(rapid.SampledFrom(causes).Draw(t, "cause"), rapid.SampledFrom(products).Draw(t, "remedy"), rapid.SampledFrom([]string{"garden", "indoors", "greenhouse"}).Draw(t, "place"))
		if rapid.Bool().Draw(t, "eaten") {
			n := rapid.IntRange(0, 20).Draw(t, "days to picking")
			k.Situation.DaysToHarvest, k.Situation.Edible = &n, true
		}
		in := plan.Preference{Count: rapid.IntRange(0, 12).Draw(t, "count"), Gap: rapid.IntRange(0, 60).Draw(t, "gap")}
		if rapid.Bool().Draw(t, "later") {
			in.Start = today.Add(rapid.IntRange(-2, 400).Draw(t, "start")).String()
		}
		d, err := m.Days(k, in)
		if err != nil {
			require.True(t, fault.Is(err), "%v", err)
			for _, f := range fault.From(err) {
				require.NotEmpty(t, f.Field)
				require.NotEmpty(t, f.Mend)
			}
			return
		}
		planned++
		lim := remedy.LimitsOf(k.Remedy, m.Rules)
		require.NotEmpty(t, d.On)
		require.False(t, d.On[0].Before(today))
		require.True(t, lim.MaxApplications == 0 || len(d.On) <= lim.MaxApplications, "%d of %d", len(d.On), lim.MaxApplications)
		for i := 1; i < len(d.On); i++ {
			require.GreaterOrEqual(t, d.On[i].Sub(d.On[i-1]), lim.GapMin)
		}
		if n := k.Situation.DaysToHarvest; n != nil {
			picking := today.Add(*n)
			for _, x := range d.On {
				require.True(t, !x.Before(picking) || picking.Sub(x) >= lim.PreHarvest, "%s and picked on %s", x, picking)
			}
		}
		require.NoError(t, m.StillHolds(k, d.On))
		texts := []string{}
		for _, x := range d.On {
			texts = append(texts, x.String())
		}
		hand, err := m.ByHand(k, texts)
		require.NoError(t, err, "what was worked out may be set by hand")
		require.Equal(t, d.On, hand.On)
		moves, then, err := m.Reschedule(k, d.On, func(civil.Day) bool { return true })
		require.NoError(t, err)
		require.Empty(t, moves, "what is done stays")
		if len(then) > 0 {
			require.Equal(t, d.On, then)
		}
	})
	assert.Positive(t, planned)
}

func TestADayTheWeatherTookIsMovedAndOneInARoomIsNot(t *testing.T) {
	wet := map[civil.Day]bool{today.Add(1): true, today.Add(2): true}
	k := task("two-spotted-mite", "soap", "garden")
	k.HandedOver = true
	days := []civil.Day{today.Add(1), today.Add(9)}
	moves, then, err := moment(sky{tempC: 18, wet: wet}).Reschedule(k, days, func(civil.Day) bool { return false })
	require.NoError(t, err)
	require.Len(t, moves, 1)
	assert.Equal(t, today.Add(1), moves[0].From)
	assert.False(t, wet[then[0]], "to a dry day")
	for name, k := range map[string]plan.Task{"a room": task("two-spotted-mite", "soap", "indoors"), "by hand": task("two-spotted-mite", "hose", "garden")} {
		moves, _, err := moment(sky{tempC: 18, wet: wet}).Reschedule(k, days, func(civil.Day) bool { return false })
		require.NoError(t, err, name)
		assert.Empty(t, moves, name)
	}
	fits, err := moment(sky{none: true}).Fits(k)
	require.NoError(t, err)
	assert.False(t, fits(today).Known, "nothing is said of a day nobody knows")
}

func TestWhatIsRefusedNamesItsField(t *testing.T) {
	m := moment(sky{tempC: 18})
	soap := task("two-spotted-mite", "soap", "garden")
	ask := func(in plan.Preference) func() error { return func() error { _, err := m.Days(soap, in); return err } }
	hand := func(on ...string) func() error { return func() error { _, err := m.ByHand(soap, on); return err } }
	for field, f := range map[string]func() error{
		"start ":  ask(plan.Preference{Start: "soon"}),
		"start":   ask(plan.Preference{Start: "2026-07-10"}),
		"start  ": ask(plan.Preference{Start: "2027-12-01"}),
		"rhythm":  ask(plan.Preference{Rhythm: "whenever"}),
		"on[0]":   hand("soon"),
		"on[1]":   hand("2026-07-12", "2026-07-12"),
		"remedy":  func() error { _, err := m.Days(plan.Task{}, plan.Preference{}); return err },
		"tempC":   func() error { return plan.CheckWarm("garden", 20) },
		"tempC ":  func() error { return plan.CheckWarm("indoors", 60) },
	} {
		err := f()
		require.True(t, fault.Is(err), field)
		assert.Equal(t, strings.TrimSpace(field), fault.From(err)[0].Field)
	}
	assert.NoError(t, plan.CheckWarm("greenhouse", 28))
}

// What the weeks show agrees with the days: nothing done leaves most, half missed more than
// all reached.
func TestTheWeeksAroundTheDays(t *testing.T) {
	m := moment(sky{tempC: 20})
	k := task("two-spotted-mite", "soap", "indoors")
	d, err := m.Days(k, plan.Preference{})
	require.NoError(t, err)
	left := func(what string) float64 {
		w, err := m.Weeks(k, d.On, what)
		require.NoError(t, err)
		require.NotNil(t, w.Course)
		last := w.Course.Days[len(w.Course.Days)-1]
		sum := 0.
		for _, x := range last {
			sum += x
		}
		require.Less(t, sum, w.Course.Alone[len(w.Course.Alone)-1])
		return sum
	}
	assert.Less(t, left(""), left("half"))
	w, err := m.Weeks(k, d.On, "")
	require.NoError(t, err)
	i := slices.IndexFunc(w.Rhythms, func(r plan.RhythmWeeks) bool { return r.ID == "alone" })
	assert.Equal(t, len(w.Rhythms)-1, i)
	for _, r := range w.Rhythms[:i] {
		assert.LessOrEqual(t, r.Share, 1.)
	}
	assert.NotEmpty(t, w.HatchBy)
}

func ExampleSetting_Days() {
	m := moment(sky{tempC: 20})
	d, err := m.Days(task("two-spotted-mite", "soap", "indoors"), plan.Preference{Count: 3})
	fmt.Println(d.On, d.Gap, err)
	fmt.Println(m.Days(task("two-spotted-mite", "soap", "indoors"), plan.Preference{Start: "2026-07-01"}))
	// Output:
	// [2026-07-13 2026-07-21 2026-07-29] 8 <nil>
	// {[] 0 [] } start: lies in the past; start today or later
}
