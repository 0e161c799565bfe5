package httpapi

import (
	_ "embed"
	"encoding/json"
	"fmt"
	"log/slog"
	"net/http"
	"reflect"
	"strconv"
	"time"

	"botanik/core/knowledge"
	"botanik/internal/bounded"
	"botanik/internal/desk"
	"botanik/internal/records"

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
		if at := bounded.Twice(data); at != "" {
			return fmt.Errorf("%q stands twice in one object", at)
		}
		return json.Unmarshal(data, v)
	},
}

// Which problems an operation can answer with, by what it does.
var (
	problemsPublic = []int{http.StatusBadRequest, http.StatusNotFound, http.StatusUnprocessableEntity, http.StatusInternalServerError, http.StatusServiceUnavailable}
	problemsRead   = []int{http.StatusBadRequest, http.StatusUnauthorized, http.StatusForbidden, http.StatusNotFound, http.StatusUnprocessableEntity, http.StatusInternalServerError, http.StatusServiceUnavailable}
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
	describeFiles(api)
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
				// Without it the answer is 428: a client made from this asks for it.
				p.Required = p.Required || p.Name == "If-Match" && p.In == "header"
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

// describeFiles describes what is answered as a file or a page and not as JSON.
func describeFiles(api *huma.OpenAPI) {
	text := &huma.Schema{Type: huma.TypeString}
	binary := &huma.Schema{Type: huma.TypeString, Format: "binary"}
	param := func(name, words string) []*huma.Param {
		return []*huma.Param{{Name: name, In: "path", Required: true, Description: words, Schema: text}}
	}
	ok := func(words string, kinds ...string) map[string]*huma.Response {
		r := &huma.Response{Description: words, Content: map[string]*huma.MediaType{}}
		for _, k := range kinds {
			schema := text
			if k == "application/zip" {
				schema = binary
			}
			r.Content[k] = &huma.MediaType{Schema: schema}
		}
		return map[string]*huma.Response{"200": r}
	}
	open := []map[string][]string{{}}
	page := param("token", parameters["token"])
	api.Paths["/files/{id}"] = &huma.PathItem{Get: &huma.Operation{OperationID: "job-file", Summary: "The file a long work wrote, for whoever began it", Tags: []string{"season"}, Parameters: param("id", "id of the job"), Responses: ok("the file", "text/csv", "application/zip"), Errors: []int{http.StatusUnauthorized, http.StatusNotFound}, Security: []map[string][]string{{schemeSession: {}}}}}
	api.Paths["/p/{token}"] = &huma.PathItem{
		Get: &huma.Operation{OperationID: "grower-page-html", Summary: "A grower's page", Tags: []string{"grower"}, Parameters: page, Responses: ok("the page", "text/html"), Errors: []int{http.StatusNotFound, http.StatusServiceUnavailable}, Security: open},
		Post: &huma.Operation{OperationID: "grower-tells", Summary: "What a grower tells on their page: ticks, a word, counts, a note, a picture", Tags: []string{"grower"}, Parameters: page, DefaultStatus: http.StatusSeeOther,
			RequestBody: &huma.RequestBody{Required: true, Content: map[string]*huma.MediaType{"multipart/form-data": {Schema: &huma.Schema{Type: huma.TypeObject, Properties: map[string]*huma.Schema{
				"done": {Type: huma.TypeArray, Items: text, Description: "days ticked off, YYYY-MM-DD"}, "word": {Type: huma.TypeString, Enum: []any{"gone", "better", "same", "worse"}}, "counts": {Type: huma.TypeString, Description: "on each leaf, with blanks between"}, "note": {Type: huma.TypeString}, "photo": binary, "nomessages": {Type: huma.TypeString, Description: "anything: they want no messages from now on"},
			}}}}},
			Responses: map[string]*huma.Response{"303": {Description: "taken: see the page again"}}, Errors: []int{http.StatusForbidden, http.StatusNotFound, http.StatusUnprocessableEntity, http.StatusTooManyRequests, http.StatusServiceUnavailable}, Security: open},
	}
	api.Paths["/p/{token}/days.ics"] = &huma.PathItem{Get: &huma.Operation{OperationID: "grower-days", Summary: "The days of a grower's page as an iCalendar", Tags: []string{"grower"}, Parameters: page, Responses: ok("the days", "text/calendar"), Errors: []int{http.StatusNotFound, http.StatusServiceUnavailable}, Security: open}}
	api.Paths["/c/{file}"] = &huma.PathItem{Get: &huma.Operation{OperationID: "calendar-feed", Summary: "The days of the desk, or of all of one grower's plants, at a private address", Tags: []string{"grower"}, Parameters: param("file", "the long random text of the address, with .ics"), Responses: ok("the days", "text/calendar"), Errors: []int{http.StatusNotFound, http.StatusServiceUnavailable}, Security: open}}
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
	s := New(records.New(desk.New(nil, empty, nil, time.Now)), nil, Options{Log: slog.New(slog.DiscardHandler)})
	raw, err := json.MarshalIndent(s.API.OpenAPI(), "", "  ")
	return append(raw, '\n'), err
}
