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

	foreign error // an error of another kind met on the way; never shown
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
// An error of another kind is nobody's input: Err then returns that one alone.
func (l *List) AddErr(field string, err error) {
	switch {
	case err == nil:
	case !Is(err):
		*l = append(*l, Fault{foreign: err})
	default:
		for _, f := range From(err) {
			*l = append(*l, f.under(field))
		}
	}
}

func (f Fault) under(field string) Fault {
	switch {
	case f.Field == "":
		f.Field = field
	case field != "":
		f.Field = field + "." + f.Field
	}
	return f
}

// Err returns nil when nothing is wrong, and what is no fault of the input
// before anything that is.
func (l List) Err() error {
	if len(l) == 0 {
		return nil
	}
	for _, f := range l {
		if f.foreign != nil {
			return f.foreign
		}
	}
	return l
}

// From returns the faults inside an error, none for an error of another kind.
func From(err error) []Fault {
	var l List
	if errors.As(err, &l) {
		return l
	}
	var f Fault
	if errors.As(err, &f) {
		return []Fault{f}
	}
	return nil
}

// Rename gives an error whose faults went through f; an error of another kind
// is passed on as it is.
func Rename(err error, f func(Fault) Fault) error {
	if err == nil || !Is(err) {
		return err
	}
	out := List{}
	for _, x := range From(err) {
		out = append(out, f(x))
	}
	return out
}

// Under puts a name before the fields of an error's faults; other errors pass as they are.
func Under(field string, err error) error {
	return Rename(err, func(f Fault) Fault { return f.under(field) })
}

// Is reports whether err was made here: bad input rather than a broken program.
func Is(err error) bool {
	var l List
	var f Fault
	return errors.As(err, &l) || errors.As(err, &f)
}
