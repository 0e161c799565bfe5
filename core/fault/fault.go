package fault

import (
	"errors"
	"strings"
)

// Fault is one thing wrong with one field of an input.
type Fault struct {
	Field   string `json:"field"`
	Problem string `json:"problem"`
	Mend    string `json:"mend"`
}

// Error reads as one sentence: field, problem, mend.
func (f Fault) Error() string {
	s := f.Problem
	if f.Field != "" {
		s = f.Field + ": " + s
	}
	if f.Mend != "" {
		s += "; " + f.Mend
	}
	return s
}

// List gathers several faults, so that a person mends them all in one go.
type List []Fault

// Error joins the faults, one a line.
func (l List) Error() string {
	parts := make([]string, len(l))
	for i, f := range l {
		parts[i] = f.Error()
	}
	return strings.Join(parts, "\n")
}

// New makes an error for a single field.
func New(field, problem, mend string) error {
	return Fault{Field: field, Problem: problem, Mend: mend}
}

// Add appends a fault for a field.
func (l *List) Add(field, problem, mend string) {
	*l = append(*l, Fault{Field: field, Problem: problem, Mend: mend})
}

// AddErr appends an error under a field, keeping its faults when it has some.
func (l *List) AddErr(field string, err error) {
	if err == nil {
		return
	}
	for _, f := range From(err) {
		switch {
		case f.Field == "":
			f.Field = field
		case field != "":
			f.Field = field + "." + f.Field
		}
		*l = append(*l, f)
	}
}

// Err returns nil when nothing is wrong.
func (l List) Err() error {
	if len(l) == 0 {
		return nil
	}
	return l
}

// From returns the faults inside an error; an error of another kind becomes
// one fault without a field.
func From(err error) []Fault {
	if err == nil {
		return nil
	}
	var l List
	if errors.As(err, &l) {
		return l
	}
	var f Fault
	if errors.As(err, &f) {
		return []Fault{f}
	}
	return []Fault{{Problem: err.Error()}}
}

// Is reports whether err was made here: bad input rather than a broken program.
func Is(err error) bool {
	var l List
	var f Fault
	return errors.As(err, &l) || errors.As(err, &f)
}
