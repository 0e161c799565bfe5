package schema

import (
	"encoding/json"
	"errors"
	"reflect"
	"strings"

	"botanik/core/fault"

	"github.com/danielgtaylor/huma/v2"
)

// Read decodes raw into what into points to, after it was held to the tags of its type:
// required and unknown fields, lengths, ranges, words. Errors are faults with the field.
func Read(raw []byte, into any) error {
	var v any
	if err := json.Unmarshal(raw, &v); err != nil {
		return fault.New("", "cannot be read", "write JSON")
	}
	r := huma.NewMapRegistry("#/", huma.DefaultSchemaNamer)
	s := huma.SchemaFromType(r, reflect.TypeOf(into).Elem())
	var out huma.ValidateResult
	huma.Validate(r, s, huma.NewPathBuffer([]byte{}, 0), huma.ModeWriteToServer, v, &out)
	var l fault.List
	for _, e := range out.Errors {
		var d *huma.ErrorDetail
		if errors.As(e, &d) {
			l.Add(strings.TrimPrefix(d.Location, "."), d.Message, "correct it")
			continue
		}
		l.Add("", e.Error(), "correct it")
	}
	if err := l.Err(); err != nil {
		return err
	}
	if err := json.Unmarshal(raw, into); err != nil {
		return fault.New("", "has a value of another kind than is read here", "correct it")
	}
	return nil
}
