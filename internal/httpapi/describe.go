package httpapi

import (
	"encoding/json"
	"log/slog"

	"botanik/core/knowledge"
	"botanik/internal/desk"
)

// Describe gives the OpenAPI 3.1 document, from which the page's types are
// made. It needs no desk.
func Describe() ([]byte, error) {
	empty := knowledge.New(knowledge.Entries{})
	s := New(&desk.Service{Base: empty}, nil, slog.New(slog.DiscardHandler))
	raw, err := json.MarshalIndent(s.API.OpenAPI(), "", "  ")
	return append(raw, '\n'), err
}
