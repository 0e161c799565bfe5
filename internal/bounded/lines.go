package bounded

import (
	"bufio"
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"
)

// Lines calls f with each line of a text that holds more than blanks, and its number from
// 1; f must not keep the bytes. A line of more than so many bytes ends it with *TooLarge
// before the line is held.
func Lines(r io.Reader, most int, f func(line []byte, n int) error) error {
	b := bufio.NewReaderSize(r, 64<<10)
	var held []byte
	for n := 1; ; n++ {
		held = held[:0]
		for {
			part, err := b.ReadSlice('\n')
			if len(held)+len(part) > most {
				return &TooLarge{n, fmt.Sprintf("is longer than %d kB", most>>10)}
			}
			held = append(held, part...)
			if errors.Is(err, bufio.ErrBufferFull) {
				continue
			}
			last := errors.Is(err, io.EOF)
			if err != nil && !last {
				return err
			}
			if line := bytes.TrimSpace(held); len(line) > 0 {
				if ferr := f(line, n); ferr != nil {
					return ferr
				}
			}
			if last {
				return nil
			}
			break
		}
	}
}

// JSON counts a value's lists, objects and members before it is decoded: deep nesting and
// millions of empty lists take many times their bytes. Broken JSON passes; its reader says so.
func JSON(raw []byte, deepest, most int) error {
	values, deep, inText := 1, 0, false
	for i := 0; i < len(raw); i++ {
		switch c := raw[i]; {
		case inText && c == '\\':
			i++
		case c == '"':
			inText = !inText
		case inText:
		case c == ',':
			values++
		case c == '[' || c == '{':
			deep, values = deep+1, values+1
		case c == ']' || c == '}':
			deep--
		}
		switch {
		case deep > deepest:
			return fmt.Errorf("lies more than %d deep", deepest)
		case values > most:
			return fmt.Errorf("has more than %d values", most)
		}
	}
	return nil
}

// Twice is the path of the first key that an object of a JSON value says twice; empty when
// none does. Broken JSON passes; its reader says what is wrong.
func Twice(raw []byte) string {
	type level struct {
		keys map[string]bool // nil in a list
		path string
		key  bool // the next text is a key
	}
	d := json.NewDecoder(bytes.NewReader(raw))
	d.UseNumber()
	at := []level{}
	path := ""
	for {
		tok, err := d.Token()
		if err != nil {
			return ""
		}
		switch x := tok.(type) {
		case json.Delim:
			switch x {
			case '{':
				at = append(at, level{map[string]bool{}, path, true})
				continue
			case '[':
				at = append(at, level{nil, path, false})
				continue
			}
			at = at[:len(at)-1]
		case string:
			if n := len(at) - 1; n >= 0 && at[n].keys != nil && at[n].key {
				path = strings.TrimPrefix(at[n].path+"."+x, ".")
				if at[n].keys[x] {
					return path
				}
				at[n].keys[x], at[n].key = true, false
				continue
			}
		}
		if n := len(at) - 1; n >= 0 {
			at[n].key, path = at[n].keys != nil, at[n].path
		}
	}
}
