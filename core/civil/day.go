package civil

import (
	"fmt"
	"time"
)

// Layout of a day in text, as in ISO 8601.
const Layout = "2006-01-02"

// Day is a day of the calendar. The zero Day is no day at all.
type Day struct{ n int } // days since 31 December of the year 0; 0 is none

var epoch = time.Date(0, 12, 31, 0, 0, 0, 0, time.UTC)

// Of is the day of an instant at a place; UTC when the zone is nil.
func Of(t time.Time, zone *time.Location) Day {
	if zone == nil {
		zone = time.UTC
	}
	y, m, d := t.In(zone).Date()
	return Date(y, m, d)
}

// Date is the day of a year, month and day of the month, which may run over as
// in time.Date. Years 1 to 9999; outside it is no day.
func Date(year int, month time.Month, day int) Day {
	t := time.Date(year, month, day, 0, 0, 0, 0, time.UTC)
	if t.Year() < 1 || t.Year() > 9999 {
		return Day{}
	}
	return Day{int(t.Unix()/86400) + unixDay} // a midnight, so the division leaves nothing
}

// unixDay is 1 January 1970 counted from the epoch of Day.
const unixDay = 719163

// Parse reads YYYY-MM-DD.
func Parse(s string) (Day, error) {
	t, err := time.Parse(Layout, s)
	if err != nil {
		return Day{}, fmt.Errorf("%q is not a day; write it as YYYY-MM-DD", s)
	}
	return Date(t.Year(), t.Month(), t.Day()), nil
}

// Must reads a day written in the program itself; anything else panics.
func Must(s string) Day {
	d, err := Parse(s)
	if err != nil {
		panic(err)
	}
	return d
}

// IsZero reports whether it is no day.
func (d Day) IsZero() bool { return d.n == 0 }

// Add is the day n days on, or back when n is below zero. No day stays none.
func (d Day) Add(n int) Day {
	if d.IsZero() {
		return d
	}
	y, m, dd := d.Date()
	return Date(y, m, dd+n)
}

// Sub is how many days d lies after e, below zero when before.
func (d Day) Sub(e Day) int { return d.n - e.n }

// Before reports whether d comes before e.
func (d Day) Before(e Day) bool { return d.n < e.n }

// After reports whether d comes after e.
func (d Day) After(e Day) bool { return d.n > e.n }

// Compare is -1, 0 or 1 as d comes before, is, or comes after e.
func (d Day) Compare(e Day) int {
	switch {
	case d.n < e.n:
		return -1
	case d.n > e.n:
		return 1
	}
	return 0
}

// Date is the year, month and day of the month; 0, 0, 0 for no day.
func (d Day) Date() (int, time.Month, int) {
	if d.IsZero() {
		return 0, 0, 0
	}
	return d.utc().Date()
}

func (d Day) utc() time.Time { return epoch.AddDate(0, 0, d.n) }

// Year of the day.
func (d Day) Year() int { y, _, _ := d.Date(); return y }

// Month of the day.
func (d Day) Month() time.Month { _, m, _ := d.Date(); return m }

// Weekday of the day.
func (d Day) Weekday() time.Weekday { return d.utc().Weekday() }

// YearDay is 1 for the first of January.
func (d Day) YearDay() int { return d.utc().YearDay() }

// Midnight is the instant the day begins at a place. Where clocks skip midnight
// it is the first instant there is.
func (d Day) Midnight(zone *time.Location) time.Time {
	if zone == nil {
		zone = time.UTC
	}
	y, m, dd := d.Date()
	return time.Date(y, m, dd, 0, 0, 0, 0, zone)
}

// String is YYYY-MM-DD, "" for no day.
func (d Day) String() string {
	if d.IsZero() {
		return ""
	}
	return d.utc().Format(Layout)
}

// Long is "Saturday 11 July 2026".
func (d Day) Long() string { return d.format("Monday 2 January 2006") }

// Spoken is "Saturday 11 July", with the year when it is not today's.
func (d Day) Spoken(today Day) string {
	if today.IsZero() || d.Year() == today.Year() {
		return d.format("Monday 2 January")
	}
	return d.Long()
}

// Brief is "Sat 11 Jul".
func (d Day) Brief() string { return d.format("Mon 2 Jan") }

// Short is "11 July".
func (d Day) Short() string { return d.format("2 January") }

func (d Day) format(layout string) string {
	if d.IsZero() {
		return ""
	}
	return d.utc().Format(layout)
}

// MarshalText writes YYYY-MM-DD, nothing for no day.
func (d Day) MarshalText() ([]byte, error) { return []byte(d.String()), nil }

// UnmarshalText reads YYYY-MM-DD, or nothing for no day.
func (d *Day) UnmarshalText(text []byte) error {
	if len(text) == 0 {
		*d = Day{}
		return nil
	}
	v, err := Parse(string(text))
	if err == nil {
		*d = v
	}
	return err
}

// AcrossEquator is the month, 1 to 12, in which the other half of the earth has the season
// that this one has in a month.
func AcrossEquator(month int) int { return (month+5)%12 + 1 }
