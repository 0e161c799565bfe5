package httpapi_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"net/http"
	"regexp"
	"strings"
	"sync"
	"testing"

	"botanik/internal/httpapi"

	"github.com/santhosh-tekuri/jsonschema/v6"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// book is the served description with a schema compiled for every answer, by a
// validator that is not the one that made it.
type book struct {
	doc   map[string]any
	paths []*regexp.Regexp
	ops   []map[string]any
	names []string
	comp  *jsonschema.Compiler
	mu    sync.Mutex
	seen  map[string]*jsonschema.Schema
}

var described1 = sync.OnceValues(func() (*book, error) {
	raw, err := httpapi.Describe()
	if err != nil {
		return nil, err
	}
	doc, err := jsonschema.UnmarshalJSON(bytes.NewReader(raw))
	if err != nil {
		return nil, err
	}
	b := &book{doc: doc.(map[string]any), comp: jsonschema.NewCompiler(), seen: map[string]*jsonschema.Schema{}}
	b.comp.DefaultDraft(jsonschema.Draft2020)
	b.comp.AssertFormat()
	if err := b.comp.AddResource("botanik.json", doc); err != nil {
		return nil, err
	}
	for path, ops := range b.doc["paths"].(map[string]any) {
		b.names = append(b.names, path)
		b.paths = append(b.paths, regexp.MustCompile("^"+regexp.MustCompile(`\{\w+\}`).ReplaceAllString(path, `[^/]+`)+"$"))
		b.ops = append(b.ops, ops.(map[string]any))
	}
	return b, nil
})

// described holds an answer against the OpenAPI: its status is named there, its
// body fits the schema given for it.
func described(t *testing.T, method, path string, a answer) {
	t.Helper()
	b, err := described1()
	require.NoError(t, err)
	path, _, _ = strings.Cut(path, "?")
	if method == http.MethodHead || !strings.HasPrefix(path, "/api/v1/") {
		return
	}
	for i, re := range b.paths {
		op, ok := b.ops[i][strings.ToLower(method)].(map[string]any)
		if !ok || !re.MatchString(path) {
			continue
		}
		status := fmt.Sprint(a.Status)
		r, ok := op["responses"].(map[string]any)[status].(map[string]any)
		if !assert.True(t, ok, "%s %s answers %s, which its description does not name: %s", method, b.names[i], status, a.Raw) {
			return
		}
		at := "botanik.json#/paths/" + strings.ReplaceAll(b.names[i], "/", "~1") + "/" + strings.ToLower(method) + "/responses/" + status
		if r["$ref"] == "#/components/responses/Problem" {
			r = b.doc["components"].(map[string]any)["responses"].(map[string]any)["Problem"].(map[string]any)
			at = "botanik.json#/components/responses/Problem"
		}
		kind := strings.Split(a.Header.Get("Content-Type"), ";")[0]
		content, _ := r["content"].(map[string]any)
		if len(content) == 0 || a.Raw == "" || kind == "image/jpeg" || a.Header.Get("Content-Encoding") != "" {
			return
		}
		media, ok := content[kind].(map[string]any)
		if !assert.True(t, ok, "%s %s: %s is not described for %s", method, b.names[i], kind, status) || media["schema"] == nil {
			return
		}
		b.fits(t, at+"/content/"+strings.ReplaceAll(kind, "/", "~1")+"/schema", a.Raw)
		return
	}
}

func (b *book) fits(t *testing.T, at, raw string) {
	t.Helper()
	b.mu.Lock()
	defer b.mu.Unlock()
	s := b.seen[at]
	if s == nil {
		var err error
		s, err = b.comp.Compile(at)
		require.NoError(t, err)
		b.seen[at] = s
	}
	v, err := jsonschema.UnmarshalJSON(strings.NewReader(raw))
	require.NoError(t, err, "%s: no JSON: %.200s", at, raw)
	if err := s.Validate(v); err != nil {
		t.Errorf("an answer that its own description does not allow\n%s\n%.600v", at, err)
	}
}

// every calls f with each operation of the description.
func (b *book) every(f func(method, path string, op map[string]any)) {
	for i, ops := range b.ops {
		for m, op := range ops {
			if o, ok := op.(map[string]any); ok {
				f(strings.ToUpper(m), b.names[i], o)
			}
		}
	}
}

func TestEveryOperationSaysWhatItNeedsAndAnswers(t *testing.T) {
	b, err := described1()
	require.NoError(t, err)
	n := 0
	b.every(func(method, path string, op map[string]any) {
		n++
		at := method + " " + path
		assert.NotEmpty(t, op["summary"], at)
		assert.NotEmpty(t, op["tags"], at)
		assert.NotEmpty(t, op["description"], at)
		params, _ := op["parameters"].([]any)
		for _, p := range params {
			assert.NotEmpty(t, p.(map[string]any)["description"], "%s %v", at, p.(map[string]any)["name"])
		}
		sec, ok := op["security"].([]any)
		assert.True(t, ok && len(sec) > 0, "%s does not say what it needs", at)
		responses := op["responses"].(map[string]any)
		assert.NotContains(t, responses, "default", at)
		if strings.HasPrefix(path, "/api/v1/") {
			for _, code := range []string{"422", "500", "503"} {
				assert.Contains(t, responses, code, at)
			}
		} else { // files and pages: what is not there is told
			assert.Contains(t, responses, "404", at)
		}
		needs, _ := json.Marshal(sec)
		if strings.Contains(string(needs), "session") {
			assert.Contains(t, responses, "401", at)
		}
		if method != "GET" && strings.HasPrefix(path, "/api/v1/") && path != "/api/v1/session" && path != "/api/v1/join/{token}" { // these come without a session
			assert.Contains(t, string(needs), "token", at)
		}
		for code, r := range responses {
			for kind, m := range contentOf(r) {
				if kind != "application/json" {
					continue
				}
				media := m.(map[string]any)
				if !assert.Contains(t, media, "example", "%s %s has no example", at, code) {
					continue
				}
				raw, _ := json.Marshal(media["example"])
				b.fits(t, "botanik.json#/paths/"+strings.ReplaceAll(path, "/", "~1")+"/"+strings.ToLower(method)+"/responses/"+code+"/content/application~1json/schema", string(raw))
			}
		}
		if body, ok := op["requestBody"]; ok {
			if m, ok := contentOf(body)["application/json"].(map[string]any); ok {
				if assert.Contains(t, m, "example", "%s has no example to send", at) {
					raw, _ := json.Marshal(m["example"])
					b.fits(t, "botanik.json#/paths/"+strings.ReplaceAll(path, "/", "~1")+"/"+strings.ToLower(method)+"/requestBody/content/application~1json/schema", string(raw))
				}
			}
		}
	})
	assert.Greater(t, n, 45)
}

func contentOf(r any) map[string]any {
	m, _ := r.(map[string]any)
	c, _ := m["content"].(map[string]any)
	return c
}
