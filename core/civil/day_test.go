package civil_test

import (
	"encoding/json"
	"testing"
	"time"

	"botanik/core/civil"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestADayIsThatOfThePlace(t *testing.T) {
	evening := time.Date(2026, 7, 12, 3, 0, 0, 0, time.UTC) // eight in the evening in Los Angeles
	for zone, want := range map[string]string{"America/Los_Angeles": "2026-07-11", "UTC": "2026-07-12", "Pacific/Auckland": "2026-07-12", "Pacific/Kiritimati": "2026-07-12"} {
		loc, err := time.LoadLocation(zone)
		require.NoError(t, err)
		assert.Equal(t, want, civil.Of(evening, loc).String(), zone)
	}
	assert.Equal(t, "2026-07-12", civil.Of(evening, nil).String())
}

// The weekdays and differences are those of published calendars, not of the
// package: 1 January 1900 was a Monday, 29 February 2000 a Tuesday; Julian day
// numbers of 2000-01-01 and 1900-01-01 are 2451545 and 2415021 (at noon).
func TestWorkedDays(t *testing.T) {
	assert.Equal(t, time.Monday, civil.Must("1900-01-01").Weekday())
	assert.Equal(t, time.Tuesday, civil.Must("2000-02-29").Weekday())
	assert.Equal(t, 2451545-2415021, civil.Must("2000-01-01").Sub(civil.Must("1900-01-01")))
	assert.Equal(t, "2024-02-29", civil.Must("2024-03-01").Add(-1).String())
	assert.Equal(t, 366, civil.Must("2024-12-31").YearDay())
	assert.Equal(t, "Saturday 11 July 2026", civil.Must("2026-07-11").Long())
	assert.Equal(t, "Saturday 11 July", civil.Must("2026-07-11").Spoken(civil.Must("2026-01-01")))
	assert.Equal(t, "Thursday 1 January 2099", civil.Must("2099-01-01").Spoken(civil.Must("2026-01-01")))
	assert.True(t, civil.Must("9999-12-31").Add(7).IsZero(), "there is no year 10000")
}

func TestDaysAddUp(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := civil.Date(rapid.IntRange(1800, 2300).Draw(t, "y"), time.Month(rapid.IntRange(1, 12).Draw(t, "m")), rapid.IntRange(1, 31).Draw(t, "d"))
		n := rapid.IntRange(-4000, 4000).Draw(t, "n")
		assert.Equal(t, n, d.Add(n).Sub(d))
		assert.Equal(t, d, d.Add(n).Add(-n))
		assert.Equal(t, n < 0, d.Add(n).Before(d))
		again, err := civil.Parse(d.String())
		require.NoError(t, err)
		assert.Equal(t, d, again)
	})
}

func TestADayInJSON(t *testing.T) {
	var x struct {
		On   civil.Day `json:"on"`
		None civil.Day `json:"none,omitzero"`
	}
	require.NoError(t, json.Unmarshal([]byte(`{"on":"2026-07-11"}`), &x))
	raw, err := json.Marshal(x)
	require.NoError(t, err)
	assert.JSONEq(t, `{"on":"2026-07-11"}`, string(raw))
	for _, bad := range []string{`"2026-02-30"`, `"11.7.2026"`, `"10000-01-07"`, `7`} {
		assert.Error(t, json.Unmarshal([]byte(bad), new(civil.Day)), bad)
	}
}
