package herbarium

import (
	"bytes"
	"compress/gzip"
	"crypto/sha256"
	"embed"
	"encoding/gob"
	"encoding/hex"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"reflect"
	"strings"

	"botanik/core/knowledge"
)

// packed is the book in a form that opens in a fraction of the time, written by `make`
// (herbarium/pack) and never kept in git: the sheets stay what counts. Without it, or when
// it is of other sheets than those beside it, the sheets are read.
//
//go:embed all:packed
var packed embed.FS

const packedName = "packed/book.gob.gz"

// form is what is packed: the entries, and of which sheets.
type form struct {
	Sheets  string
	Entries knowledge.Entries
}

func init() {
	// What drawings are made of, whose values have no type of their own.
	gob.Register(map[string]any{})
	gob.Register([]any{})
}

// sheets is the sum of all sheets that ship, by name and content, and of the shape they are
// read into.
func sheets() (string, error) {
	sum := sha256.New()
	err := fs.WalkDir(ours, ".", func(p string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() {
			return err
		}
		data, err := fs.ReadFile(ours, p)
		if err == nil {
			_, err = fmt.Fprintf(sum, "%s %d\n%s", p, len(data), data)
		}
		return err
	})
	_, _ = io.WriteString(sum, shapeOf(reflect.TypeFor[knowledge.Entries](), map[reflect.Type]bool{}))
	return hex.EncodeToString(sum.Sum(nil)), err
}

// shapeOf names every field of a type and of what it is made of, so that a changed type is
// another form.
func shapeOf(t reflect.Type, seen map[reflect.Type]bool) string {
	if seen[t] {
		return t.String()
	}
	seen[t] = true
	switch t.Kind() {
	case reflect.Pointer, reflect.Slice, reflect.Array:
		return t.Kind().String() + " " + shapeOf(t.Elem(), seen)
	case reflect.Map:
		return "map " + shapeOf(t.Key(), seen) + " " + shapeOf(t.Elem(), seen)
	case reflect.Struct:
		var b strings.Builder
		b.WriteString(t.String() + "{")
		for f := range t.Fields() {
			b.WriteString(f.Name + " " + shapeOf(f.Type, seen) + ";")
		}
		return b.String() + "}"
	}
	return t.String()
}

// Pack writes the book that ships in the form that opens quickly.
func Pack(w io.Writer) error {
	var e entries
	if err := e.walk(ours, "herbarium/", nil); err != nil {
		return err
	}
	of, err := sheets()
	if err != nil {
		return err
	}
	z := gzip.NewWriter(w)
	if err := gob.NewEncoder(z).Encode(form{of, e.Entries}); err != nil {
		return err
	}
	return z.Close()
}

// unpack reads the packed book; false when there is none of these sheets.
func unpack() (knowledge.Entries, bool) {
	raw, err := packed.ReadFile(packedName)
	if err != nil {
		return knowledge.Entries{}, false
	}
	z, err := gzip.NewReader(bytes.NewReader(raw))
	if err != nil {
		return knowledge.Entries{}, false
	}
	var f form
	if err := calmly(func() error { return errors.Join(gob.NewDecoder(z).Decode(&f), z.Close()) }); err != nil {
		return knowledge.Entries{}, false
	}
	if of, err := sheets(); err != nil || of != f.Sheets {
		return knowledge.Entries{}, false
	}
	canonical(reflect.ValueOf(&f.Entries))
	return f.Entries, true
}

// canonical makes empty and missing lists the same, whichever way entries were read: a list
// that is always sent is empty, one that is left out when empty is missing.
func canonical(v reflect.Value) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			canonical(v.Elem())
		}
	case reflect.Interface:
		if v.IsNil() {
			return
		}
		inner := reflect.New(v.Elem().Type()).Elem()
		inner.Set(v.Elem())
		if inner.Kind() == reflect.Slice && inner.Len() == 0 {
			inner = reflect.MakeSlice(inner.Type(), 0, 0)
		}
		canonical(inner)
		if v.CanSet() {
			v.Set(inner)
		}
	case reflect.Slice:
		for i := range v.Len() {
			canonical(v.Index(i))
		}
	case reflect.Map:
		for it := v.MapRange(); it.Next(); {
			if k := it.Value().Kind(); k == reflect.Interface || k == reflect.Slice || k == reflect.Map || k == reflect.Struct {
				inner := reflect.New(it.Value().Type()).Elem()
				inner.Set(it.Value())
				canonical(inner)
				v.SetMapIndex(it.Key(), inner)
			}
		}
	case reflect.Struct:
		for i := range v.NumField() {
			f, t := v.Field(i), v.Type().Field(i)
			if !t.IsExported() {
				continue
			}
			if f.Kind() == reflect.Slice && f.Len() == 0 {
				if strings.Contains(t.Tag.Get("json"), ",omitempty") {
					f.SetZero()
				} else {
					f.Set(reflect.MakeSlice(f.Type(), 0, 0))
				}
			}
			canonical(f)
		}
	}
}
