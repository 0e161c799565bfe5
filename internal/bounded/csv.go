package bounded

import (
	"fmt"
	"io"
)

// TooLarge is a record that is larger than anything honest.
type TooLarge struct {
	Line int    // of the file, counted from 1, that the record begins on
	Why  string // "is longer than ..."
}

func (e *TooLarge) Error() string { return fmt.Sprintf("line %d %s", e.Line, e.Why) }

// CSV passes a table through to encoding/csv, and ends with *TooLarge as soon as a record
// has more than so many bytes or cells, before the record is held anywhere. It follows
// quotation marks as encoding/csv does without LazyQuotes, so that a record over several
// lines is one, and a stray mark ends with its line.
type CSV struct {
	r           io.Reader
	sep         byte
	bytes, cell int // most of a record
	err         error

	at          csvState
	n, c        int // bytes and cells of the record so far
	line, begun int
}

type csvState int

const (
	fieldStart csvState = iota
	plain
	quoted
	quoteSeen // a mark inside quotation marks: the end, or half of one that is meant
	broken    // encoding/csv gives the line up
)

// NewCSV holds each record to so many bytes and cells.
func NewCSV(r io.Reader, sep rune, bytes, cells int) *CSV {
	return &CSV{r: r, sep: byte(sep), bytes: bytes, cell: cells, line: 1, begun: 1} //nolint:gosec // the signs that part cells are ASCII
}

// Read passes on what is within bounds.
func (b *CSV) Read(p []byte) (int, error) {
	if b.err != nil {
		return 0, b.err
	}
	n, err := b.r.Read(p)
	for _, x := range p[:n] {
		b.take(x)
		if b.n > b.bytes {
			b.err = &TooLarge{b.begun, fmt.Sprintf("is longer than %d kB", b.bytes>>10)}
		} else if b.c > b.cell {
			b.err = &TooLarge{b.begun, fmt.Sprintf("has more than %d cells", b.cell)}
		}
		if b.err != nil {
			return 0, b.err
		}
	}
	b.err = err
	return n, err
}

func (b *CSV) take(x byte) {
	b.n++
	if x == '\n' {
		b.line++
		if b.at != quoted {
			b.at, b.n, b.c, b.begun = fieldStart, 0, 0, b.line
		}
		return
	}
	switch b.at {
	case fieldStart, plain:
		switch {
		case x == b.sep:
			b.at, b.c = fieldStart, b.c+1
		case x != '"':
			b.at = plain
		case b.at == fieldStart:
			b.at = quoted
		default:
			b.at = broken
		}
	case quoted:
		if x == '"' {
			b.at = quoteSeen
		}
	case quoteSeen:
		switch x {
		case '"':
			b.at = quoted
		case b.sep:
			b.at, b.c = fieldStart, b.c+1
		case '\r':
		default:
			b.at = broken
		}
	case broken:
	}
}
