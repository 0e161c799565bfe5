package weatherfile

import (
	"bytes"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"botanik/core/fault"
	"botanik/internal/bounded"
)

// Limits of a file.
const (
	MostBytes = 8 << 20
	mostRows  = 200_000
	mostCols  = 60
	// mostCells of a file, empty ones too: some five years of hours with forty columns. A
	// cell takes sixteen bytes while it is read, and eight MB of commas are eight million.
	mostCells = 2_000_000
	// mostDeep is how deep lists and objects may lie inside each other.
	mostDeep = 20
	// mostHead are the lines before that of the names.
	mostHead = 60
)

// table is rows under names.
type table struct {
	names []string
	rows  [][]string
	first int // of the file, counted from 1: the line or record of rows[0]
}

// tabulate reads a file into rows. Errors name text.
func tabulate(text string) (table, error) {
	text = strings.TrimPrefix(text, "\ufeff")
	switch {
	case len(text) > MostBytes:
		return table{}, fault.New("text", fmt.Sprintf("is larger than %d MB", MostBytes>>20), "bring a season at a time")
	case strings.TrimSpace(text) == "":
		return table{}, fault.New("text", "is empty", "choose a CSV or JSON file with a row for each hour")
	case !utf8.ValidString(text) || strings.ContainsRune(text, 0):
		return table{}, fault.New("text", "is no text", "save it as CSV or JSON in UTF-8")
	}
	var t table
	var err error
	if c := strings.TrimSpace(text)[0]; c == '{' || c == '[' {
		t, err = fromJSON(text)
	} else {
		t, err = fromCSV(text)
	}
	switch {
	case err != nil:
		return table{}, err
	case len(t.rows) == 0:
		return table{}, fault.New("text", "has no rows of figures", "one row an hour under a line of column names")
	case len(t.rows) > mostRows:
		return table{}, fault.New("text", fmt.Sprintf("has more than %d rows", mostRows), "bring a season at a time")
	case len(t.names) > mostCols:
		return table{}, fault.New("text", fmt.Sprintf("has more than %d columns", mostCols), "leave out what is not weather")
	}
	return t, nil
}

// fromCSV reads lines with commas, semicolons or tabs between; whatever stands before the
// line of names is passed over.
func fromCSV(text string) (table, error) {
	text = strings.ReplaceAll(text, "\r\n", "\n")
	sep, at := ',', -1
	begin := 0 // of the line looked at
	for i := 0; i <= mostHead && begin < len(text); i++ {
		l, _, _ := strings.Cut(text[begin:], "\n")
		for _, c := range []rune{';', '\t', ','} {
			if n := strings.Count(l, string(c)); at < 0 && n >= 2 && n <= mostCols && wordy(strings.Split(l, string(c))) {
				sep, at = c, i
			}
		}
		if at >= 0 {
			break
		}
		begin += len(l) + 1
	}
	if at < 0 {
		return table{}, fault.New("text", "has no line of column names", "write a first line like time,temp_c,humidity,wind_ms,rain_mm, of at most 60 names")
	}
	if err := within(text[begin:], sep, at+1); err != nil {
		return table{}, err
	}
	r := csv.NewReader(strings.NewReader(text[begin:]))
	r.Comma, r.FieldsPerRecord, r.LazyQuotes, r.TrimLeadingSpace = sep, -1, true, true
	names, err := r.Read()
	if err != nil {
		return table{}, fault.New("text", "cannot be read as CSV", "save it again as CSV in UTF-8")
	}
	t := table{names: unlike(names), first: at + 2}
	for {
		row, err := r.Read()
		switch {
		case errors.Is(err, io.EOF):
			return t, nil
		case err != nil:
			return table{}, fault.New("text", "cannot be read as CSV", "save it again as CSV in UTF-8")
		case slices.ContainsFunc(row, func(c string) bool { return strings.TrimSpace(c) != "" }):
			t.rows = append(t.rows, decimals(row, sep))
		}
	}
}

// within counts a text's lines and cells before it is cut into them. Errors name text and
// the line.
func within(text string, sep rune, line int) error {
	rows, cells, inLine := 0, 0, 0
	for i := range len(text) {
		switch text[i] {
		case '\n':
			rows, inLine = rows+1, 0
		case byte(sep):
			cells, inLine = cells+1, inLine+1
			if inLine > 2*mostCols {
				return fault.New("text", fmt.Sprintf("has more than %d cells in line %d", 2*mostCols, line+rows), "leave out what is not weather, and put quotation marks around a cell with the parting sign in it")
			}
		}
	}
	switch {
	case rows > mostRows+1:
		return fault.New("text", fmt.Sprintf("has more than %d rows", mostRows), "bring a season at a time")
	case cells > mostCells:
		return fault.New("text", fmt.Sprintf("has more than %d cells", mostCells), "bring a season at a time, and leave out what is not weather")
	}
	return nil
}

// decimals writes a comma inside a figure as a point, where commas do not part cells.
func decimals(row []string, sep rune) []string {
	for i, c := range row {
		c = strings.TrimSpace(c)
		if sep != ',' && strings.Count(c, ",") == 1 && !strings.Contains(c, ".") {
			if d := strings.Replace(c, ",", ".", 1); number(d) {
				c = d
			}
		}
		row[i] = c
	}
	return row
}

// wordy reports whether cells are names and no figures.
func wordy(cells []string) bool {
	named := 0
	for _, c := range cells {
		c = strings.Trim(strings.TrimSpace(c), `"`)
		if number(c) {
			return false
		}
		if c != "" {
			named++
		}
	}
	return named >= 3
}

// unlike gives every column a name of its own.
func unlike(names []string) []string {
	out := []string{}
	for i, n := range names {
		n = strings.TrimSpace(n)
		if n == "" {
			n = fmt.Sprintf("column %d", i+1)
		}
		for slices.Contains(out, n) {
			n += "'"
		}
		out = append(out, n)
	}
	return out
}

// fromJSON reads a list of objects, or lists side by side under names; either may lie
// inside an object, under any name.
func fromJSON(text string) (table, error) {
	if err := bounded.JSON([]byte(text), mostDeep, mostCells/2); err != nil {
		return table{}, fault.New("text", err.Error(), "bring a season at a time, a list of hours and nothing around it")
	}
	d := json.NewDecoder(strings.NewReader(text))
	d.UseNumber()
	var v any
	if err := d.Decode(&v); err != nil {
		return table{}, fault.New("text", "is no whole JSON: "+err.Error(), "save the file again")
	}
	if t, ok := listed(v, 0); ok {
		t.first = 1
		return t, nil
	}
	return table{}, fault.New("text", "holds no list of hours", `write [{"time": ..., "temp_c": ...}, ...] or {"time": [...], "temp_c": [...]}`)
}

func listed(v any, deep int) (table, bool) {
	switch x := v.(type) {
	case []any:
		return objects(x)
	case map[string]any:
		if t, ok := sideBySide(x); ok {
			return t, true
		}
		best, found := table{}, false
		for _, k := range sorted(x) {
			if deep > 4 {
				break
			}
			if t, ok := listed(x[k], deep+1); ok && len(t.rows) > len(best.rows) {
				best, found = t, true
			}
		}
		return best, found
	}
	return table{}, false
}

func objects(list []any) (table, bool) {
	t := table{}
	at := map[string]int{}
	for _, v := range list {
		o, ok := v.(map[string]any)
		if !ok {
			return table{}, false
		}
		row := make([]string, len(t.names))
		for _, k := range sorted(o) {
			i, known := at[k]
			if !known {
				if len(t.names) > mostCols {
					continue
				}
				i = len(t.names)
				at[k] = i
				t.names = append(t.names, k)
				row = append(row, "")
			}
			row[i] = cell(o[k])
		}
		t.rows = append(t.rows, row)
	}
	return t, len(t.names) >= 2 && len(t.rows) > 0
}

func sideBySide(o map[string]any) (table, bool) {
	t := table{}
	for _, k := range sorted(o) {
		list, ok := o[k].([]any)
		if !ok || len(list) == 0 || len(t.rows) > 0 && len(list) != len(t.rows) {
			continue
		}
		if _, nested := list[0].(map[string]any); nested {
			continue
		}
		if len(t.rows) == 0 {
			t.rows = make([][]string, len(list))
		}
		t.names = append(t.names, k)
		for i, v := range list {
			t.rows[i] = append(t.rows[i], cell(v))
		}
	}
	return t, len(t.names) >= 3
}

func cell(v any) string {
	switch x := v.(type) {
	case string:
		return strings.TrimSpace(x)
	case json.Number:
		return x.String()
	}
	return ""
}

func sorted(o map[string]any) []string {
	out := make([]string, 0, len(o))
	for k := range o {
		out = append(out, k)
	}
	slices.Sort(out)
	return out
}

func number(s string) bool {
	_, err := strconv.ParseFloat(s, 64)
	return err == nil && !bytes.ContainsAny([]byte(s), "nNxXpP_") // no NaN, Inf or hexadecimal
}
