package interchange

import (
	"encoding/csv"
	"fmt"
	"io"
	"strings"
)

// Column of a table, with what stands in it.
type Column struct {
	Name string `json:"name"`
	Unit string `json:"unit,omitempty"`
	Doc  string `json:"doc"`
	Who  bool   `json:"who,omitempty"` // says who somebody is: left out unless asked for
}

// Table is one kind of row.
type Table struct {
	Name    string   `json:"name"`
	Row     string   `json:"row"` // what one row is
	Columns []Column `json:"columns"`
}

// The tables that leave a desk. A column's name never changes its meaning; new ones are
// added at the end.
var (
	Cases = Table{"cases", "one sample that was brought in", []Column{
		{Name: "number", Doc: "of the tag, YY-NNNN"},
		{Name: "brought_in", Unit: "ISO 8601, UTC", Doc: "when it was brought in"},
		{Name: "grower", Doc: "who brought it", Who: true},
		{Name: "contact", Doc: "how they are reached", Who: true},
		{Name: "plant", Doc: "in the grower's words, which may name anybody", Who: true},
		{Name: "plant_id", Doc: "plant of the herbarium; empty where it is not in it"},
		{Name: "place", Doc: "indoors, greenhouse, balcony, garden or orchard"},
		{Name: "square", Doc: "square of the district's grid, A1 to I9; the desk stands in E5"},
		{Name: "story", Doc: "what the grower saw, in their words, which may name anybody", Who: true},
		{Name: "looks", Unit: "count", Doc: "lines looked at"},
		{Name: "cause_id", Doc: "verdict: cause of the herbarium; empty where undetermined"},
		{Name: "cause", Doc: "its name"},
		{Name: "degree", Doc: "settled, working, open or undetermined; empty before a verdict"},
		{Name: "chance", Unit: "0 to 1", Doc: "what the ranking gave the verdict then"},
		{Name: "verdict_at", Unit: "ISO 8601, UTC", Doc: "when the verdict was given"},
		{Name: "counts", Doc: "pests per leaf or shoot as counted before, with ; between"},
		{Name: "choice", Doc: "act, wait or pull"},
		{Name: "remedies", Doc: "ids of what was chosen in the last round, with ; between"},
		{Name: "rounds", Unit: "count", Doc: "rounds handed over"},
		{Name: "handed_at", Unit: "ISO 8601, UTC", Doc: "first hand-over"},
		{Name: "stage", Doc: "waiting, bench, review, ready, handed, referred or closed"},
		{Name: "ask_on", Unit: "YYYY-MM-DD", Doc: "next day to ask how it went"},
		{Name: "outcome", Doc: "better, cleared, no change, lost, referred or unknown"},
		{Name: "followed", Doc: "whether the advice was done: yes, partly or no"},
		{Name: "confirmed_id", Doc: "what it was in the end, where somebody found out"},
		{Name: "closed_at", Unit: "ISO 8601, UTC", Doc: "when it was closed"},
		{Name: "pictures", Unit: "count", Doc: "pictures kept with it"},
		{Name: "plant_name", Doc: "the herbarium's name of the plant; empty where it is not in it"},
		{Name: "besides_id", Doc: "a second trouble on the same plant: cause of the herbarium; empty where there is none"},
		{Name: "besides", Doc: "its name"},
	}}
	Looks = Table{"looks", "one line that was looked at", []Column{
		{Name: "number", Doc: "of the case"},
		{Name: "looked_at", Unit: "ISO 8601, UTC", Doc: "when"},
		{Name: "finding_id", Doc: "finding of the herbarium"},
		{Name: "finding", Doc: "its name"},
		{Name: "state_id", Doc: "what was seen"},
		{Name: "state", Doc: "its name"},
		{Name: "not_there", Doc: "yes where it was looked for and was not there"},
		{Name: "certainty", Doc: "sure, think or guess; empty is sure"},
		{Name: "instrument", Doc: "eye, lens, scope or told"},
		{Name: "measured", Doc: "how it was measured, in words"},
		{Name: "put_aside", Doc: "why it counts as no part of the trouble; empty where it counts"},
	}}
	Treatments = Table{"treatments", "one remedy on one day of one case", []Column{
		{Name: "number", Doc: "of the case"},
		{Name: "round", Unit: "count from 1", Doc: "round of treatment"},
		{Name: "day", Unit: "YYYY-MM-DD", Doc: "the day it was planned or put on"},
		{Name: "remedy_id", Doc: "remedy of the herbarium"},
		{Name: "remedy", Doc: "its name"},
		{Name: "cause_id", Doc: "verdict of the case"},
		{Name: "outcome", Doc: "what came of the case"},
	}}
	Tables = []Table{Cases, Looks, Treatments}
)

// TableCalled finds a table by name, nil when there is none.
func TableCalled(name string) *Table {
	for i := range Tables {
		if Tables[i].Name == name {
			return &Tables[i]
		}
	}
	return nil
}

// Without leaves out the columns that say who somebody is, and tells which those are.
func (t Table) Without() (Table, []bool) {
	out, keep := Table{Name: t.Name, Row: t.Row}, make([]bool, len(t.Columns))
	for i, c := range t.Columns {
		if keep[i] = !c.Who; keep[i] {
			out.Columns = append(out.Columns, c)
		}
	}
	return out, keep
}

// Writer writes a table as CSV in UTF-8 (RFC 4180), so that a spreadsheet takes no cell for
// a formula.
type Writer struct {
	w    *csv.Writer
	keep []bool
	n    int
}

// NewWriter begins a table with its line of names; with people leaves in who somebody is.
func NewWriter(w io.Writer, t Table, people bool) (*Writer, error) {
	out := &Writer{w: csv.NewWriter(w)}
	out.w.UseCRLF = true
	if !people {
		t, out.keep = t.Without()
	}
	names := []string{}
	for _, c := range t.Columns {
		names = append(names, c.Name)
	}
	return out, out.w.Write(names)
}

// Write adds a row, which has every column of the table.
func (w *Writer) Write(cells ...string) error {
	row := []string{}
	for i, c := range cells {
		if w.keep == nil || w.keep[i] {
			row = append(row, Guard(c))
		}
	}
	w.n++
	return w.w.Write(row)
}

// End writes what is left.
func (w *Writer) End() error {
	w.w.Flush()
	return w.w.Error()
}

// risky are the first signs that make a spreadsheet take a cell for a formula, and the one
// that guards against it.
const risky = "=+-@\t\r'"

// Guard puts an apostrophe before a cell that a spreadsheet could take for a formula.
func Guard(cell string) string {
	if cell != "" && strings.ContainsRune(risky, rune(cell[0])) {
		return "'" + cell
	}
	return cell
}

// Unguard takes that apostrophe away again.
func Unguard(cell string) string {
	if len(cell) > 1 && cell[0] == '\'' && strings.ContainsRune(risky, rune(cell[1])) {
		return cell[1:]
	}
	return cell
}

// Described lists the tables with their columns, as docs/records.md has them.
func Described() string {
	var b strings.Builder
	for _, t := range Tables {
		fmt.Fprintf(&b, "\n## %s.csv\n\nA row is %s.\n\n| Column | Unit | What stands there |\n|---|---|---|\n", t.Name, t.Row)
		for _, c := range t.Columns {
			doc := c.Doc
			if c.Who {
				doc += "; only where people are asked for"
			}
			fmt.Fprintf(&b, "| `%s` | %s | %s |\n", c.Name, c.Unit, doc)
		}
	}
	return b.String()
}
