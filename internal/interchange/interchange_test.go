package interchange_test

import (
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"os"
	"strings"
	"testing"

	"botanik/core/fault"
	"botanik/internal/interchange"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// The document about the tables has every column as the program writes it.
func TestTheColumnsAreWrittenDown(t *testing.T) {
	raw, err := os.ReadFile("../../docs/records.md")
	require.NoError(t, err)
	assert.Contains(t, string(raw), strings.TrimSpace(interchange.Described()), "put this into docs/records.md:\n%s", interchange.Described())
}

// Whatever stands in a cell comes back as it was, and no cell a spreadsheet opens begins as a
// formula.
func TestCellsComeBackAsTheyWere(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		cells := []string{}
		for range interchange.Treatments.Columns {
			cells = append(cells, strings.ReplaceAll(rapid.OneOf(rapid.String(), rapid.SampledFrom([]string{"=1+1", "+49", "-2", "@x", "'=", "a,b", "line\nbreak", `say "x"`, "\t=1"})).Draw(t, "cell"), "\r", ""))
		}
		var out bytes.Buffer
		w, err := interchange.NewWriter(&out, interchange.Treatments, true)
		require.NoError(t, err)
		require.NoError(t, w.Write(cells...))
		require.NoError(t, w.End())
		all, err := csv.NewReader(&out).ReadAll()
		require.NoError(t, err)
		for i, c := range all[1] {
			require.Equal(t, cells[i], interchange.Unguard(c))
			if c != "" {
				require.NotContains(t, "=+-@\t", c[:1])
			}
		}
	})
}

func TestDaysOfOldCards(t *testing.T) {
	for _, c := range []struct{ text, order, want string }{
		{"2024-04-03", "", "2024-04-03"}, {"2024-04-03T09:00", "", "2024-04-03"}, {"3.4.2024", "day first", "2024-04-03"}, {"3/4/24", "day first", "2024-04-03"}, {"3/4/2024", "month first", "2024-03-04"},
		{"3.4.2024", "month first", "2024-04-03"}, {"29-2-2024", "day first", "2024-02-29"}, {"31.4.2024", "day first", ""}, {"13/13/2024", "day first", ""}, {"spring", "day first", ""}, {"", "day first", ""}, {"2024", "day first", ""}, {"1.2.3.4", "day first", ""},
	} {
		d, err := interchange.ReadDay("brought", c.text, c.order)
		if c.want == "" {
			require.ErrorContains(t, err, "brought", c.text)
			continue
		}
		require.NoError(t, err, c.text)
		assert.Equal(t, c.want, d.String(), c.text)
	}
	var o interchange.DayOrder
	for _, d := range []string{"3/4/2024", "x", "2024-05-20"} {
		o.See(d)
	}
	assert.Empty(t, o.Read())
	o.See("4/13/2024")
	assert.Equal(t, "month first", o.Read())
}

// Old cards in any shape are read to their end or refused; nothing breaks, no row is lost or
// counted twice.
func FuzzOldCards(f *testing.F) {
	for _, s := range []string{"date,plant\n2024-01-01,Rose\n", "date;plant\r\n1.2.2024;\"a;b\"\r\n", "a\tb\n\"", "date,plant\n2024-01-01,\"un\"closed\n2024-01-02,Rose\n", "\xff\xfea\x00,\x00b\x00\n\x00", "x,x,x\n1\n1,2,3,4\n", "\ufeffdate,plant\n"} {
		f.Add([]byte(s))
	}
	f.Fuzz(func(t *testing.T, raw []byte) {
		tab, err := interchange.OpenTable(bytes.NewReader(raw))
		if err != nil {
			require.True(t, fault.Is(err), "%v", err)
			return
		}
		last := 0
		for n := 0; ; n++ {
			require.LessOrEqual(t, n, len(raw)+2)
			row, line, err := tab.Next()
			if errors.Is(err, io.EOF) {
				return
			}
			require.GreaterOrEqual(t, line, last)
			last = line
			if err != nil {
				require.True(t, fault.Is(err), "%v", err)
				continue
			}
			require.Len(t, row, len(tab.Names))
		}
	})
}

// A million rows are read a row at a time: what it takes of memory does not grow with them.
func TestAMillionRows(t *testing.T) {
	r := &endless{row: []byte("2024-04-03,Rose,\"rust, and\"\n"), left: 1_000_000}
	tab, err := interchange.OpenTable(r)
	require.NoError(t, err)
	n := 0
	for {
		_, _, err := tab.Next()
		if errors.Is(err, io.EOF) {
			break
		}
		require.NoError(t, err)
		n++
	}
	assert.Equal(t, 1_000_000, n)
}

// endless gives a table of so many equal rows without holding it.
type endless struct {
	row  []byte
	left int
	at   int64
	buf  []byte
	end  bool
}

func (e *endless) Seek(int64, int) (int64, error) { e.at, e.buf, e.end = 0, nil, false; return 0, nil }

func (e *endless) Read(p []byte) (int, error) {
	if len(e.buf) == 0 {
		switch {
		case e.at == 0:
			e.buf = []byte("date,plant,diagnosis\n")
		case e.at > int64(e.left):
			return 0, io.EOF
		default:
			e.buf = e.row
		}
		e.at++
	}
	n := copy(p, e.buf)
	e.buf = e.buf[n:]
	return n, nil
}

// Names are found whatever their capitals and signs; none is taken for two.
func TestColumnsAreGuessed(t *testing.T) {
	got := interchange.Guess([]string{"Case_No", "DATE", "Client name", "Host", "Diagnosis", "Telephone"})
	assert.Equal(t, map[string]string{"number": "Case_No", "brought": "DATE", "plant": "Host", "cause": "Diagnosis", "contact": "Telephone", "grower": "Client name"}, got)
	_, err := interchange.CardMapping{Columns: map[string]string{"brought": "x"}}.Index([]string{"a", "b"})
	require.ErrorContains(t, err, `there is no column "x"`)
	require.ErrorContains(t, err, "columns.plant")
	assert.NotEmpty(t, fmt.Sprint(interchange.TableCalled("looks")))
	assert.Nil(t, interchange.TableCalled("dragons"))
}
