package compute

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"reflect"
	"regexp"
	"sort"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/internal/bounded"

	"github.com/danielgtaylor/huma/v2"
)

// maxInput is far above any sensible input.
const maxInput = 4 << 20

// Computation is one named function of core.
type Computation struct {
	Name    string
	About   string
	Example string // input, JSON
	in, out reflect.Type
	run     func(*knowledge.Base, []byte) (any, error)
}

var registry = map[string]Computation{}

// add registers a computation; the types give its schema.
func add[I, O any](name, about, example string, f func(*knowledge.Base, I) (O, error)) {
	registry[name] = Computation{name, about, example, reflect.TypeFor[I](), reflect.TypeFor[O](), func(b *knowledge.Base, raw []byte) (any, error) {
		in, err := Decode[I](raw)
		if err != nil {
			return nil, err
		}
		return f(b, in)
	}}
}

// All lists the computations by name.
func All() []Computation {
	out := make([]Computation, 0, len(registry))
	for _, c := range registry {
		out = append(out, c)
	}
	sort.Slice(out, func(i, j int) bool { return out[i].Name < out[j].Name })
	return out
}

// Find gets one by name.
func Find(name string) (Computation, error) {
	c, ok := registry[name]
	if !ok {
		names := []string{}
		for _, c := range All() {
			names = append(names, c.Name)
		}
		return c, fault.New("name", fmt.Sprintf("%q is not a computation", name), "use one of "+strings.Join(names, ", "))
	}
	return c, nil
}

// Run works one out from JSON.
func (c Computation) Run(b *knowledge.Base, raw []byte) (any, error) { return c.run(b, raw) }

// Schema of one computation with its worked example.
type Schema struct {
	Name    string          `json:"name"`
	About   string          `json:"about"`
	Input   any             `json:"input"`
	Output  any             `json:"output"`
	Defs    any             `json:"$defs"`
	Example json.RawMessage `json:"example"`
	Result  any             `json:"result"`
}

// Describe gives the schema, and the example worked out now.
func (c Computation) Describe(b *knowledge.Base) (Schema, error) {
	res, err := c.run(b, []byte(c.Example))
	if err != nil {
		return Schema{}, fmt.Errorf("the example of %s: %w", c.Name, err)
	}
	r := huma.NewMapRegistry("#/$defs/", huma.DefaultSchemaNamer)
	s := Schema{Name: c.Name, About: c.About, Input: r.Schema(c.in, true, ""), Output: r.Schema(c.out, true, ""), Example: json.RawMessage(c.Example), Result: res}
	s.Defs = r.Map()
	return s, nil
}

var unknownField = regexp.MustCompile(`unknown field "([^"]+)"`)

// Decode reads one JSON value strictly: an unknown field, a wrong type or
// anything after it is a fault that names the field.
func Decode[I any](raw []byte) (I, error) {
	var in I
	if len(raw) > maxInput {
		return in, fault.New("", "the input is larger than 4 MB", "send less")
	}
	raw = bytes.TrimPrefix(raw, []byte("\ufeff")) // what some programs put before UTF-8
	if len(bytes.TrimSpace(raw)) == 0 {
		return in, fault.New("", "the input is empty", "send JSON on standard input; calc NAME --schema shows an example")
	}
	if at := bounded.Twice(raw); at != "" {
		return in, fault.New(at, "stands twice", "say it once: which of the two was meant nobody knows")
	}
	dec := json.NewDecoder(bytes.NewReader(raw))
	dec.DisallowUnknownFields()
	if err := dec.Decode(&in); err != nil {
		return in, explain(err)
	}
	if _, err := dec.Token(); !errors.Is(err, io.EOF) {
		return in, fault.New("", "something stands after the JSON value", "send one value only")
	}
	return in, nil
}

func explain(err error) error {
	var syn *json.SyntaxError
	var typ *json.UnmarshalTypeError
	switch {
	case errors.As(err, &typ):
		return fault.New(typ.Field, fmt.Sprintf("is a %s where a %s is wanted", typ.Value, kindWord(typ.Type)), "correct its type")
	case errors.As(err, &syn):
		return fault.New("", fmt.Sprintf("broken JSON at byte %d: %s", syn.Offset, syn.Error()), "mend the JSON")
	case errors.Is(err, io.ErrUnexpectedEOF):
		return fault.New("", "the JSON ends too early", "send it whole")
	}
	if m := unknownField.FindStringSubmatch(err.Error()); m != nil {
		return fault.New(m[1], "is not a field known here", "remove it, or correct its name; --schema shows the fields")
	}
	return fault.New("", err.Error(), "mend the JSON")
}

func kindWord(t reflect.Type) string {
	switch t.Kind() {
	case reflect.Slice, reflect.Array:
		return "list"
	case reflect.Struct, reflect.Map:
		return "object"
	case reflect.String:
		return "text"
	case reflect.Bool:
		return "true or false"
	}
	return "number"
}
