package calendar_test

import (
	"strings"
	"testing"
	"time"

	"botanik/internal/calendar"
	"botanik/internal/casefile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var written = time.Date(2026, 7, 11, 10, 0, 0, 0, time.UTC)

func sheet() casefile.Sheet {
	return casefile.Sheet{
		Desk: "A desk", Number: "26-0001", Date: "11 July 2026", Token: "a-token-of-one-page", Plant: "Bohne, grün; \"lang\"", AskDay: "2026-07-30", Bring: strings.Repeat("ein Blatt mit Ölfleck ", 12),
		Table: []casefile.SheetDay{{On: "2026-07-13", First: "2026-07-13", Day: "Monday", What: "Insecticidal soap"}, {On: "2026-02-31", What: "no day at all"}, {On: "", What: "of before days were dates"}},
	}
}

// What the standard asks of the text itself (RFC 5545, 3.1 and 3.8.2.7), read off the bytes.
func TestACalendarIsWrittenAsTheStandardHasIt(t *testing.T) {
	text, err := calendar.Of(sheet(), written)
	require.NoError(t, err)
	assert.Equal(t, strings.Count(text, "\r\n"), strings.Count(text, "\n"), "every line ends with CRLF")
	assert.True(t, strings.HasSuffix(text, "END:VCALENDAR\r\n"))
	for line := range strings.SplitSeq(strings.TrimSuffix(text, "\r\n"), "\r\n") {
		assert.LessOrEqual(t, len(line), 75, "octets, not letters: %s", line)
	}
	whole := strings.ReplaceAll(text, "\r\n ", "")
	assert.Equal(t, 2, strings.Count(whole, "BEGIN:VEVENT"), "a day that is none is left out, the others are written")
	assert.Equal(t, 2, strings.Count(whole, "TRANSP:TRANSPARENT"), "it makes nobody busy for a day")
	assert.Contains(t, whole, "PRODID:-//Botanik//")
	assert.Contains(t, whole, `Bohne\, grün\; "lang"`)
	assert.NotContains(t, whole, "a-token-of-one-page", "the key to the page stays out")
}

// The name of an event: kept when its day moves or it is written again, and another's for
// another page, also of another desk that counts its cases alike.
func TestAnEventKeepsItsName(t *testing.T) {
	names := func(s casefile.Sheet) []string {
		text, err := calendar.Of(s, written)
		require.NoError(t, err)
		out := []string{}
		for line := range strings.SplitSeq(strings.ReplaceAll(text, "\r\n ", ""), "\r\n") {
			if id, ok := strings.CutPrefix(line, "UID:"); ok {
				out = append(out, id)
			}
		}
		return out
	}
	first := names(sheet())
	require.Len(t, first, 2)
	assert.NotEqual(t, first[0], first[1])
	moved := sheet()
	moved.Table[0].On, moved.Table[0].Day, moved.AskDay = "2026-07-14", "Tuesday", "2026-07-31"
	assert.Equal(t, first, names(moved))
	other := sheet()
	other.Token = "a-token-of-another-page"
	for _, n := range names(other) {
		assert.NotContains(t, first, n)
	}
}
