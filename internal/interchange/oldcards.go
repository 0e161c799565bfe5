package interchange

import (
	"bufio"
	"bytes"
	"encoding/csv"
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/internal/bounded"

	"golang.org/x/text/encoding/charmap"
	"golang.org/x/text/encoding/unicode"
	"golang.org/x/text/transform"
)

// Target is what a column of an old card index can be.
type Target struct {
	ID    string   `json:"id"`
	Name  string   `json:"name"`
	Needs bool     `json:"needs,omitempty"` // no record without it
	like  []string // names such a column is met under
}

// Targets in the order in which they are asked for.
var Targets = []Target{
	{ID: "brought", Name: "Day it was brought in", Needs: true, like: []string{"brought in", "day it was brought in", "date", "brought", "day", "received", "datum", "fecha"}},
	{ID: "plant", Name: "Plant", Needs: true, like: []string{"host", "crop", "plant name", "pflanze", "planta"}},
	{ID: "number", Name: "Number", like: []string{"no", "nr", "id", "case", "card", "case number"}},
	{ID: "grower", Name: "Grower", like: []string{"name", "who", "client", "brought by"}},
	{ID: "contact", Name: "How to reach them", like: []string{"contact", "how to reach them", "telephone", "phone", "mail", "email", "address"}},
	{ID: "place", Name: "Place", like: []string{"where", "site"}},
	{ID: "square", Name: "Square of the district", like: []string{"grid", "square of the district", "map square"}},
	{ID: "story", Name: "What the grower saw", like: []string{"what the grower saw", "symptoms", "problem", "complaint", "story", "seen"}},
	{ID: "cause", Name: "What it was", like: []string{"what it was", "diagnosis", "verdict", "cause id", "pest", "disease", "result"}},
	{ID: "remedy", Name: "What was advised", like: []string{"what was advised", "remedies", "advice", "treatment", "recommendation"}},
	{ID: "outcome", Name: "How it ended", like: []string{"how it ended", "end", "ended", "follow up"}},
	{ID: "note", Name: "A note", like: []string{"a note", "remarks", "comment", "notes"}},
}

// CardMapping says which column is what, by the column's name, and how days are written.
type CardMapping struct {
	Columns map[string]string `json:"columns,omitempty" doc:"column for each target; a target that is left out or empty is read from none"`
	Days    string            `json:"days,omitempty" enum:"day first,month first," doc:"how 3/4/2024 is meant; found out where some day says it, else day first"`
}

// TableIn is a table somebody brought, read a row at a time.
type TableIn struct {
	Names    []string
	Encoding string // UTF-8, UTF-16 or Windows-1252
	Doubts   []string
	csv      *csv.Reader
}

const (
	mostColumns = 100
	// mostCell is the longest cell that is read, in signs; no field of a case is longer.
	mostCell = 10_000
	// A row is at most so long, in bytes, and has so many cells: more is refused before it is
	// held in memory.
	mostRow   = 1 << 20
	mostInRow = 1000
)

// OpenTable reads what kind of table a file holds: its signs, what parts its cells, and its
// names. Errors name file.
func OpenTable(f io.ReadSeeker) (*TableIn, error) {
	t := &TableIn{Encoding: "UTF-8"}
	head := make([]byte, 4)
	n, err := io.ReadFull(f, head)
	if err != nil && !errors.Is(err, io.ErrUnexpectedEOF) && !errors.Is(err, io.EOF) {
		return nil, err
	}
	if n == 0 {
		return nil, fault.New("file", "is empty", "choose a CSV file with a line of names and a row for each card")
	}
	if _, err := f.Seek(0, io.SeekStart); err != nil {
		return nil, err
	}
	var r io.Reader = f
	switch {
	case bytes.HasPrefix(head, []byte{0xff, 0xfe}), bytes.HasPrefix(head, []byte{0xfe, 0xff}):
		t.Encoding = "UTF-16"
		r = transform.NewReader(f, unicode.UTF16(unicode.LittleEndian, unicode.UseBOM).NewDecoder())
	default:
		ok, text, err := isUTF8(f)
		switch {
		case err != nil:
			return nil, err
		case !text:
			return nil, fault.New("file", "is no text", "save the table as CSV in UTF-8")
		case !ok:
			t.Encoding = "Windows-1252"
			t.Doubts = append(t.Doubts, "The file is not in UTF-8; it is read as Windows-1252. Look at the accents, or save it as UTF-8.")
			r = transform.NewReader(f, charmap.Windows1252.NewDecoder())
		}
		if _, err := f.Seek(0, io.SeekStart); err != nil {
			return nil, err
		}
	}
	return t, t.begin(bufio.NewReaderSize(r, 64<<10))
}

// isUTF8 reads a file through: whether it is UTF-8, and whether it is text at all.
func isUTF8(f io.Reader) (ok, text bool, err error) {
	r := bufio.NewReaderSize(f, 256<<10)
	ok = true
	for {
		c, size, err := r.ReadRune()
		if errors.Is(err, io.EOF) {
			return ok, true, nil
		}
		if err != nil {
			return false, false, err
		}
		if c == 0 {
			return false, false, nil
		}
		ok = ok && (c != utf8.RuneError || size != 1)
	}
}

func (t *TableIn) begin(r *bufio.Reader) error {
	if b, err := r.Peek(3); err == nil && string(b) == "\ufeff" {
		_, _ = r.Discard(3)
	}
	line, err := r.Peek(8 << 10)
	if err != nil && !errors.Is(err, io.EOF) && !errors.Is(err, bufio.ErrBufferFull) {
		return err
	}
	if i := bytes.IndexByte(line, '\n'); i >= 0 {
		line = line[:i]
	}
	sep := ','
	for _, c := range []rune{';', '\t', '|'} {
		if bytes.Count(line, []byte(string(c))) > bytes.Count(line, []byte(string(sep))) {
			sep = c
		}
	}
	t.csv = csv.NewReader(bounded.NewCSV(r, sep, mostRow, mostInRow))
	t.csv.Comma, t.csv.FieldsPerRecord, t.csv.ReuseRecord = sep, -1, true
	names, err := t.csv.Read()
	var large *bounded.TooLarge
	switch {
	case errors.As(err, &large):
		return tooLarge(large)
	case err != nil || len(names) < 2:
		return fault.New("file", "has no line of column names", "write a first line like number,date,plant,diagnosis")
	case len(names) > mostColumns:
		return fault.New("file", fmt.Sprintf("has more than %d columns", mostColumns), "leave out what is no part of a card")
	}
	for i, n := range names {
		n = strings.TrimSpace(n)
		if n == "" {
			n = fmt.Sprintf("column %d", i+1)
		}
		for slices.Contains(t.Names, n) {
			n += "'"
		}
		t.Names = append(t.Names, n)
	}
	return nil
}

// Next is the next row under its names and the line of the file it begins on; io.EOF at the
// end. A row that cannot be read is a fault of its own, and the next may be asked for.
func (t *TableIn) Next() (row []string, line int, err error) {
	cells, err := t.csv.Read()
	if err == nil {
		line, _ = t.csv.FieldPos(0)
	}
	var bad *csv.ParseError
	var large *bounded.TooLarge
	switch {
	case errors.As(err, &large):
		return nil, large.Line, Unreadable{tooLarge(large)}
	case errors.As(err, &bad):
		return nil, bad.StartLine, fault.New("row", "cannot be read: "+bad.Err.Error(), `write a quotation mark inside a cell twice, "", and close the cell with one`)
	case err != nil:
		return nil, line, err
	case len(cells) > len(t.Names):
		return nil, line, fault.New("row", fmt.Sprintf("has %d cells under %d names", len(cells), len(t.Names)), "put quotation marks around a cell with the parting sign in it")
	}
	row = make([]string, len(t.Names))
	for i, c := range cells {
		if len(c) > mostCell {
			return nil, line, fault.New(t.Names[i], fmt.Sprintf("is longer than %d signs", mostCell), "shorten it")
		}
		row[i] = strings.TrimSpace(Unguard(c))
	}
	return row, line, nil
}

// Unreadable is a table that cannot be read on: no row after it is.
type Unreadable struct{ error }

// Unwrap is what is wrong with it, a fault.
func (u Unreadable) Unwrap() error { return u.error }

func tooLarge(e *bounded.TooLarge) error {
	return fault.New("file", e.Error(), "look whether a quotation mark before it is never closed, or whether this is another kind of file")
}

// Guess finds the columns that are called like a target.
func Guess(names []string) map[string]string {
	out, used := map[string]string{}, map[string]bool{}
	for _, exact := range []bool{true, false} {
		for _, t := range Targets {
			if out[t.ID] != "" {
				continue
			}
			for _, n := range names {
				plain := strings.ToLower(strings.Trim(strings.NewReplacer("_", " ", "-", " ").Replace(n), " .:#"))
				called := plain == t.ID || plain == strings.ToLower(t.Name) || slices.Contains(t.like, plain)
				if !exact {
					called = slices.ContainsFunc(append(slices.Clone(t.like), t.ID), func(l string) bool { return len(l) > 3 && strings.Contains(plain, l) })
				}
				if called && !used[n] {
					out[t.ID], used[n] = n, true
					break
				}
			}
		}
	}
	return out
}

// Unread are columns that no target is read from, in the file's order: what stands in them
// does not come in, and somebody should know.
func (m CardMapping) Unread(names []string) []string {
	out := []string{}
	for _, n := range names {
		used := false
		for _, c := range m.Columns {
			used = used || c == n
		}
		if !used && !slices.Contains(notRead, strings.ToLower(n)) {
			out = append(out, n)
		}
	}
	return out
}

// notRead are columns of our own tables that say what is worked out anew, or is nothing a
// closed case of before keeps.
var notRead = []string{"looks", "cause", "degree", "chance", "verdict_at", "counts", "choice", "rounds", "handed_at", "stage", "ask_on", "followed", "confirmed_id", "closed_at", "pictures", "plant_id", "plant_name"}

// Index turns a mapping into the place of each target's column. Errors name
// columns.TARGET.
func (m CardMapping) Index(names []string) (map[string]int, error) {
	var l fault.List
	out := map[string]int{}
	for _, t := range Targets {
		n := m.Columns[t.ID]
		i := slices.Index(names, n)
		switch {
		case n == "" && t.Needs:
			l.Add("columns."+t.ID, "is read from no column", "choose the column for: "+strings.ToLower(t.Name))
		case n != "" && i < 0:
			l.Add("columns."+t.ID, fmt.Sprintf("there is no column %q", n), "choose one of the file's")
		case n != "":
			out[t.ID] = i
		}
	}
	return out, l.Err()
}

// DayOrder keeps what the days of a table say of how they are written.
type DayOrder struct{ day, month bool }

// See looks at one day.
func (o *DayOrder) See(text string) {
	a, b, _, ok := threeNumbers(text)
	o.day = o.day || ok && a > 12
	o.month = o.month || ok && b > 12
}

// Read is what they say: day first, month first, or neither.
func (o *DayOrder) Read() string {
	switch {
	case o.day && !o.month:
		return "day first"
	case o.month && !o.day:
		return "month first"
	}
	return ""
}

// threeNumbers reads 3/4/2024, 3.4.2024 or 3-4-24.
func threeNumbers(text string) (a, b, year int, ok bool) {
	parts := strings.FieldsFunc(text, func(r rune) bool { return r == '/' || r == '.' || r == '-' || r == ' ' })
	if len(parts) != 3 || len(parts[0]) > 2 {
		return 0, 0, 0, false
	}
	n := [3]int{}
	for i, p := range parts {
		v, err := strconv.Atoi(p)
		if err != nil || v < 0 {
			return 0, 0, 0, false
		}
		n[i] = v
	}
	if len(parts[2]) == 2 {
		n[2] += 2000
	}
	return n[0], n[1], n[2], true
}

// ReadDay reads a day as old cards have it: 2024-04-03 with or without an hour, 3.4.2024,
// 3/4/24. Errors name the field.
func ReadDay(field, text, order string) (civil.Day, error) {
	if len(text) >= 10 {
		if d, err := civil.Parse(text[:10]); err == nil {
			return d, nil
		}
	}
	a, b, year, ok := threeNumbers(text)
	if order == "month first" && !strings.Contains(text, ".") { // points are a European's
		a, b = b, a
	}
	if ok {
		if d, err := civil.Parse(fmt.Sprintf("%04d-%02d-%02d", year, b, a)); err == nil {
			return d, nil
		}
	}
	return civil.Day{}, fault.New(field, fmt.Sprintf("%q is not a day", text), "write it as YYYY-MM-DD, or choose how days are written")
}
