package httpapi

import (
	"bytes"
	_ "embed"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"reflect"
	"strconv"
	"time"

	"botanik/core/knowledge"
	"botanik/internal/desk"

	"github.com/danielgtaylor/huma/v2"
)

// examples of every operation, recorded from the demo desk by the tests.
//
//go:embed examples.json
var examplesJSON []byte

// Example is one request and its answer.
type Example struct {
	Request  any `json:"request,omitempty"`
	Response any `json:"response,omitempty"`
}

const (
	schemeSession = "session"
	schemeToken   = "token"
)

func apiConfig() huma.Config {
	huma.NewError = newError
	huma.DefaultArrayNullable = false // every list we answer with is a list
	c := huma.DefaultConfig("Botanik", "1.0.0")
	c.OpenAPIPath, c.DocsPath, c.SchemasPath = "/api/openapi", "", ""
	c.CreateHooks = nil // no $schema links in every answer
	c.Info.Description = "The plant desk's API. Every change of a case sends its version in If-Match; creating sends an Idempotency-Key. Problems are RFC 9457 and name the field and the mend."
	c.Info.License = &huma.License{Name: "MIT", URL: "https://opensource.org/license/mit"}
	c.Info.Contact = &huma.Contact{Name: "the coordinator of the desk"}
	c.Servers = []*huma.Server{{URL: "/", Description: "the desk this page came from"}}
	c.Tags = []*huma.Tag{
		{Name: "cases", Description: "A sample from the counter to the grower's hand and back"},
		{Name: "computation", Description: "What is worked out without a case; nothing is written"},
		{Name: "grower", Description: "What a grower sees, without an account"},
		{Name: "herbarium", Description: "What the knowledge base holds"},
		{Name: "house", Description: "Rules of the house, who the desk is, and who may sign in"},
		{Name: "session", Description: "Signing in and out, one's own password"},
	}
	c.Components.SecuritySchemes = map[string]*huma.SecurityScheme{
		schemeSession: {Type: "apiKey", In: "cookie", Name: cookieName, Description: "set by signing in; __Host-" + cookieName + " where people come by https"},
		schemeToken:   {Type: "apiKey", In: "header", Name: csrfHeader, Description: "the session's own token, sent with everything that changes; no foreign page knows it"},
	}
	c.Formats = map[string]huma.Format{"application/json": strictJSON, "json": strictJSON}
	return c
}

// strictJSON is JSON in which no key stands twice in an object: which of the two
// was meant cannot be known.
var strictJSON = huma.Format{
	Marshal: huma.DefaultJSONFormat.Marshal,
	Unmarshal: func(data []byte, v any) error {
		if err := singleKeys(json.NewDecoder(bytes.NewReader(data))); err != nil {
			return err
		}
		return json.Unmarshal(data, v)
	},
}

func singleKeys(d *json.Decoder) error {
	d.UseNumber()
	t, err := d.Token()
	if err != nil {
		if errors.Is(err, io.EOF) {
			return io.ErrUnexpectedEOF
		}
		return err
	}
	open, ok := t.(json.Delim)
	if !ok {
		return nil
	}
	seen := map[string]bool{}
	for d.More() {
		if open == '{' {
			k, err := d.Token()
			if err != nil {
				return err
			}
			key, _ := k.(string)
			if seen[key] {
				return fmt.Errorf("%q stands twice in one object", key)
			}
			seen[key] = true
		}
		if err := singleKeys(d); err != nil {
			return err
		}
	}
	_, err = d.Token()
	return err
}

// Which problems an operation can answer with, by what it does.
var (
	problemsPublic = []int{http.StatusBadRequest, http.StatusNotFound, http.StatusUnprocessableEntity, http.StatusInternalServerError, http.StatusServiceUnavailable}
	problemsRead   = []int{http.StatusBadRequest, http.StatusUnauthorized, http.StatusNotFound, http.StatusUnprocessableEntity, http.StatusInternalServerError, http.StatusServiceUnavailable}
	problemsAsk    = []int{http.StatusBadRequest, http.StatusUnauthorized, http.StatusForbidden, http.StatusNotFound, http.StatusRequestEntityTooLarge, http.StatusUnsupportedMediaType, http.StatusUnprocessableEntity, http.StatusInternalServerError, http.StatusServiceUnavailable}
	problemsChange = []int{http.StatusBadRequest, http.StatusUnauthorized, http.StatusForbidden, http.StatusNotFound, http.StatusPreconditionFailed, http.StatusRequestTimeout, http.StatusRequestEntityTooLarge, http.StatusUnsupportedMediaType, http.StatusUnprocessableEntity, http.StatusPreconditionRequired, http.StatusInternalServerError, http.StatusServiceUnavailable, http.StatusInsufficientStorage}
)

// describe writes into the description what the code does by middleware: who
// may call an operation, and what a call and its answer look like.
func describe(api *huma.OpenAPI) error {
	all := map[string]Example{}
	if err := json.Unmarshal(examplesJSON, &all); err != nil {
		return fmt.Errorf("examples.json: %w", err)
	}
	api.Components.Responses = map[string]*huma.Response{"Problem": {
		Description: "What is wrong, in which field, and the mend (RFC 9457)",
		Content:     map[string]*huma.MediaType{"application/problem+json": {Schema: api.Components.Schemas.Schema(reflect.TypeFor[Problem](), true, "Problem")}},
	}}
	for _, item := range api.Paths {
		for _, op := range []*huma.Operation{item.Get, item.Put, item.Post, item.Delete} {
			if op == nil {
				continue
			}
			delete(op.Responses, "default") // every answer is named
			for _, code := range op.Errors {
				op.Responses[strconv.Itoa(code)] = &huma.Response{Ref: "#/components/responses/Problem"}
				if code < http.StatusBadRequest {
					op.Responses[strconv.Itoa(code)] = &huma.Response{Description: http.StatusText(code)}
				}
			}
			op.Description = op.Summary + ". " + needs(op)
			for _, p := range op.Parameters {
				if p.Description == "" {
					p.Description = parameters[p.Name]
				}
			}
			ex := all[op.OperationID]
			if op.RequestBody != nil && ex.Request != nil {
				if m := op.RequestBody.Content["application/json"]; m != nil {
					m.Example = ex.Request
				}
			}
			status := op.DefaultStatus
			if status == 0 {
				status = http.StatusOK
			}
			if r := op.Responses[strconv.Itoa(status)]; r != nil && ex.Response != nil {
				if m := r.Content["application/json"]; m != nil {
					m.Example = ex.Response
				}
			}
		}
	}
	return nil
}

// parameters that need no more words than these where they stand.
var parameters = map[string]string{
	"id": "its id, as it was answered", "finding": "id of a finding of the herbarium", "photo": "id of the picture", "token": "the long random text of the page's address",
	"If-Match": "the version you read, from its ETag", "stage": "stage of the case; every one when left out", "cursor": "where the page before ended", "limit": "how many at most",
	"q": "words; a beginning is enough", "cause": "id of a cause, two or three times",
}

func needs(op *huma.Operation) string {
	if len(op.Security) == 0 || len(op.Security[0]) == 0 {
		return "Needs no session."
	}
	text := "Needs a session"
	if _, ok := op.Security[0][schemeToken]; ok {
		text += " and its token"
	}
	for _, code := range op.Errors {
		if code == http.StatusPreconditionRequired {
			return text + "; what carries a version is changed with If-Match."
		}
	}
	return text + "."
}

// Describe gives the OpenAPI 3.1 document, from which the page's types are
// made. It needs no desk.
func Describe() ([]byte, error) {
	empty := knowledge.New(knowledge.Entries{})
	s := New(desk.New(nil, empty, nil, time.Now), nil, Options{Log: slog.New(slog.DiscardHandler)})
	raw, err := json.MarshalIndent(s.API.OpenAPI(), "", "  ")
	return append(raw, '\n'), err
}
