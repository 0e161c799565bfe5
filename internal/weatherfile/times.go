package weatherfile

import (
	"regexp"
	"strconv"
	"strings"
	"time"

	"botanik/core/fault"
)

// Forms a moment is written in; those without a zone are of the file's.
var (
	zoned   = []string{time.RFC3339, "2006-01-02T15:04Z07:00", "2006-01-02 15:04:05Z07:00", "2006-01-02 15:04Z07:00", "2006-01-02 15:04:05 -0700", "2006-01-02 15:04 -0700", "2006-01-02T15:04:05-0700"}
	plain   = []string{"2006-01-02T15:04:05", "2006-01-02T15:04", "2006-01-02 15:04:05", "2006-01-02 15:04", "2006/01/02 15:04:05", "2006/01/02 15:04", "20060102 1504", "200601021504", "2006-01-02 3:04 PM", "2006-01-02 15", "2006-01-02"}
	orderly = map[string][]string{
		"dmy": {"2/1/2006 15:04:05", "2/1/2006 15:04", "2/1/2006 3:04:05 PM", "2/1/2006 3:04 PM", "2/1/2006 15", "2/1/2006"},
		"mdy": {"1/2/2006 15:04:05", "1/2/2006 15:04", "1/2/2006 3:04:05 PM", "1/2/2006 3:04 PM", "1/2/2006 15", "1/2/2006"},
	}
)

// slashed is a date whose order is not plain.
var slashed = regexp.MustCompile(`^(\d{1,2})[/.\-](\d{1,2})[/.\-](\d{4})`)

// order of the dates of a column: empty where they are plain. Errors name order.
func order(asked string, cells []string) (string, error) {
	first, second, some := false, false, false
	for _, c := range cells {
		m := slashed.FindStringSubmatch(c)
		if m == nil {
			continue
		}
		some = true
		a, _ := strconv.Atoi(m[1])
		b, _ := strconv.Atoi(m[2])
		first, second = first || a > 12, second || b > 12
	}
	switch {
	case !some || asked != "":
		return asked, nil
	case first && !second || strings.Contains(cells[0], "."):
		return "dmy", nil
	case second && !first:
		return "mdy", nil
	}
	return "", fault.New("order", "a date like "+cells[0]+" can be read two ways", "say whether the day or the month comes first")
}

// clockOf reads the hour of a day that stands in a column of its own: 14, 1400, 14:00.
var hundred = regexp.MustCompile(`^(\d{1,2})(\d{2})$`)

func clockOf(s string) string {
	s = strings.TrimSpace(s)
	if len(s) >= 3 {
		if m := hundred.FindStringSubmatch(s); m != nil {
			return m[1] + ":" + m[2]
		}
	}
	if n, err := strconv.Atoi(s); err == nil && n >= 0 && n < 24 {
		return strconv.Itoa(n) + ":00"
	}
	return s
}

// moment reads one time, after the one before it: in the hour that comes twice when
// clocks go back, the first that is later than it.
func moment(s, order string, zone *time.Location, last time.Time) (time.Time, bool) {
	at, floats, ok := written(s, order, zone)
	if !ok || !floats {
		return at, ok
	}
	wall := at.Format("20060102150405")
	for _, by := range []time.Duration{-time.Hour, 0, time.Hour} {
		if x := at.Add(by); x.Format("20060102150405") == wall && x.After(last) {
			return x, true
		}
	}
	return at, true
}

// written reads one time as it stands; it floats where it carries no zone of its own.
func written(s, order string, zone *time.Location) (at time.Time, floats, ok bool) {
	s = strings.ToUpper(strings.TrimSpace(s))
	if n, err := strconv.ParseInt(s, 10, 64); err == nil && n > 500_000_000 && n < 200_000_000_000_000 {
		if n > 100_000_000_000 {
			n /= 1000
		}
		if n < 10_000_000_000 {
			return time.Unix(n, 0).UTC(), false, true
		}
	}
	for _, f := range zoned {
		if t, err := time.Parse(f, s); err == nil {
			return t, false, true
		}
	}
	if m := slashed.FindString(s); m != "" {
		s = strings.NewReplacer(".", "/", "-", "/").Replace(m) + s[len(m):]
		for _, f := range orderly[order] {
			if t, err := time.ParseInLocation(f, s, zone); err == nil {
				return t, true, true
			}
		}
		return time.Time{}, false, false
	}
	for _, f := range plain {
		if t, err := time.ParseInLocation(f, s, zone); err == nil {
			return t, true, true
		}
	}
	return time.Time{}, false, false
}
