package httpapi_test

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/accounts"
	"botanik/internal/camera"
	"botanik/internal/demo"
	"botanik/internal/desk"
	"botanik/internal/httpapi"
	"botanik/internal/records"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var now = time.Date(2026, 7, 11, 13, 0, 0, 0, time.UTC)

type client struct {
	t      *testing.T
	s      *httpapi.Server
	d      *records.Service
	p      *accounts.Service
	dir    string
	now    *time.Time
	cookie string
	token  string
}

func newDesk(t *testing.T) *client {
	return newDeskWith(t, httpapi.Options{Log: slog.New(slog.DiscardHandler)})
}

// filled is the demo desk's file, made once; every test works on a copy.
var filled = sync.OnceValues(func() (string, error) {
	dir, err := os.MkdirTemp("", "botanik-api")
	if err != nil {
		return "", err
	}
	st, err := store.Open(context.Background(), dir)
	if err != nil {
		return "", err
	}
	clock := func() time.Time { return now }
	if err := demo.Fill(context.Background(), records.New(desk.New(st, herbarium.Embedded(), simulated.Station{}, clock)), accounts.New(st, clock), now); err != nil {
		return "", err
	}
	to := filepath.Join(dir, "copy.db")
	_, err = st.Backup(context.Background(), to)
	return to, errors.Join(err, st.Close())
})

func newDeskWith(t *testing.T, opts httpapi.Options) *client {
	from, err := filled()
	require.NoError(t, err)
	raw, err := os.ReadFile(from)
	require.NoError(t, err)
	dir, clock := t.TempDir(), now
	require.NoError(t, os.WriteFile(filepath.Join(dir, store.FileName), raw, 0o600))
	st, err := store.Open(context.Background(), dir)
	require.NoError(t, err)
	t.Cleanup(func() { _ = st.Close() })
	d := records.New(desk.New(st, herbarium.Embedded(), simulated.Station{}, func() time.Time { return clock }))
	p := accounts.New(st, func() time.Time { return clock })
	opts.Camera = camera.New(simulated.NewScopeCamera(d.Base().SlideKey), func(ctx context.Context) (string, error) {
		id, _, err := d.House.Identity(ctx)
		return id.ScopeCamera, err
	})
	return &client{t: t, d: d, p: p, dir: dir, now: &clock, s: httpapi.New(d, p, opts)}
}

func TestMain(m *testing.M) {
	code := m.Run()
	if f, err := filled(); err == nil {
		_ = os.RemoveAll(filepath.Dir(f))
	}
	os.Exit(code)
}

type answer struct {
	Status int
	Header http.Header
	Body   map[string]any
	Raw    string
}

func (a answer) faults() string {
	raw, _ := json.Marshal(a.Body["errors"])
	return string(raw)
}

func (c *client) call(method, path string, body any, headers ...string) answer {
	c.t.Helper()
	var r io.Reader
	switch b := body.(type) {
	case nil:
	case string:
		r = strings.NewReader(b)
	default:
		raw, err := json.Marshal(b)
		require.NoError(c.t, err)
		r = bytes.NewReader(raw)
	}
	req := httptest.NewRequest(method, path, r)
	req.Header.Set("Content-Type", "application/json")
	if c.cookie != "" {
		req.Header.Set("Cookie", c.cookie)
		req.Header.Set("X-Botanik-Token", c.token)
	}
	for i := 0; i+1 < len(headers); i += 2 {
		req.Header.Set(headers[i], headers[i+1])
	}
	resp, err := c.s.App.Test(req, fiber.TestConfig{Timeout: 0}) // however busy the machine is
	require.NoError(c.t, err)
	raw, err := io.ReadAll(resp.Body)
	require.NoError(c.t, err)
	a := answer{Status: resp.StatusCode, Header: resp.Header, Raw: string(raw)}
	_ = json.Unmarshal(raw, &a.Body)
	described(c.t, method, path, a)
	return a
}

func (c *client) signIn(login string) *client {
	c.t.Helper()
	a := c.call("POST", "/api/v1/session", map[string]string{"login": login, "password": demo.Password})
	require.Equal(c.t, 200, a.Status, a.Raw)
	out := *c
	out.cookie = strings.Split(a.Header.Get("Set-Cookie"), ";")[0]
	out.token = a.Body["token"].(string)
	return &out
}

func bean() map[string]any {
	return map[string]any{"grower": "Ilse", "plant": "Runner bean", "place": "garden", "story": "pale and dusty", "edible": true, "daysToHarvest": 9}
}

func (c *client) checkIn() answer {
	a := c.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", fmt.Sprintf("key-%d", time.Now().UnixNano()))
	require.Equal(c.t, 201, a.Status, a.Raw)
	return a
}

func TestBadInputIsAClearProblemAndChangesNothing(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	v := c.checkIn()
	id := v.Body["id"].(string)
	path := "/api/v1/cases/" + id
	with := func(k string, val any) map[string]any {
		b := bean()
		b[k] = val
		return b
	}
	for _, x := range []struct {
		name, method, path string
		body               any
		headers            []string
		status             int
		field, word        string
	}{
		{"unknown field", "POST", "/api/v1/cases", with("colour", "blue"), []string{"Idempotency-Key", "12345678"}, 422, "colour", "remove it"},
		{"missing field", "POST", "/api/v1/cases", map[string]any{"grower": "x"}, []string{"Idempotency-Key", "12345678"}, 422, "plant", "add it"},
		{"negative days", "POST", "/api/v1/cases", with("daysToHarvest", -3), []string{"Idempotency-Key", "12345678"}, 422, "daysToHarvest", "0"},
		{"no such place", "POST", "/api/v1/cases", with("place", "moon"), []string{"Idempotency-Key", "12345678"}, 422, "place", "one of"},
		{"a day in the future", "POST", "/api/v1/cases", with("treated", []any{map[string]any{"what": "soap", "on": "2031-01-01"}}), []string{"Idempotency-Key", "12345678"}, 422, "treated[0].on", "future"},
		{"no key", "POST", "/api/v1/cases", bean(), nil, 422, "", "Idempotency-Key"},
		{"broken JSON", "POST", "/api/v1/cases", `{"grower": `, []string{"Idempotency-Key", "12345678"}, 400, "", ""},
		{"no version", "PUT", path + "/looks/flecks", map[string]any{"state": "many"}, nil, 428, "If-Match", "send the version"},
		{"stale version", "PUT", path + "/looks/flecks", map[string]any{"state": "many"}, []string{"If-Match", `"7"`}, 412, "If-Match", "read it again"},
		{"unreadable version", "PUT", path + "/looks/flecks", map[string]any{"state": "many"}, []string{"If-Match", `"soon"`}, 422, "If-Match", "number"},
		{"no such state", "PUT", path + "/looks/flecks", map[string]any{"state": "purple"}, []string{"If-Match", `"1"`}, 422, "state", "many"},
		{"no such finding", "PUT", path + "/looks/aura", map[string]any{"state": "many"}, []string{"If-Match", `"1"`}, 422, "finding", "kb list"},
		{"settled without a look", "PUT", path + "/verdict", map[string]any{"cause": "rust", "degree": "settled"}, []string{"If-Match", `"1"`}, 422, "degree", "look first"},
		{"a virus settled at the desk", "PUT", path + "/verdict", map[string]any{"cause": "mosaic-virus", "degree": "settled"}, []string{"If-Match", `"1"`}, 422, "degree", "never be settled"},
		{"a remedy before a verdict", "PUT", path + "/remedy", map[string]any{"remedies": []string{"soap"}}, []string{"If-Match", `"1"`}, 422, "verdict", "settle"},
		{"handed over too soon", "POST", path + "/handover", map[string]any{}, []string{"If-Match", `"1"`}, 422, "verdict", "no verdict"},
		{"a bare gallon", "POST", "/api/v1/blend", map[string]any{"remedy": "soap", "volume": "1 gallon"}, nil, 422, "volume.unit", "US gal"},
		{"a bad unit", "POST", "/api/v1/blend", map[string]any{"remedy": "soap", "volume": "3 buckets"}, nil, 422, "volume.unit", "write one of"},
		{"a negative amount", "POST", "/api/v1/blend", map[string]any{"remedy": "soap", "volume": "-1 L"}, nil, 422, "volume.value", "below zero"},
		{"above the label", "POST", "/api/v1/blend", map[string]any{"remedy": "soap", "volume": "1 L", "use": "3 US tbsp per L"}, nil, 422, "use", "top rate of 20 mL per L"},
		{"no such case", "GET", "/api/v1/cases/none", nil, nil, 404, "", ""},
		{"unknown query", "GET", "/api/v1/cases?colour=blue", nil, nil, 422, "colour", ""},
		{"a cursor of one's own", "GET", "/api/v1/cases?cursor=zzz", nil, nil, 422, "cursor", "start without"},
		{"no such address", "GET", "/api/v1/nothing", nil, nil, 404, "", ""},
	} {
		t.Run(x.name, func(t *testing.T) {
			a := c.call(x.method, x.path, x.body, x.headers...)
			assert.Equal(t, x.status, a.Status, a.Raw)
			assert.Equal(t, "application/problem+json", a.Header.Get("Content-Type"))
			assert.NotEmpty(t, a.Body["title"])
			assert.NotEmpty(t, a.Body["detail"])
			assert.Contains(t, a.Raw, x.word)
			if x.field != "" {
				assert.Contains(t, a.faults(), `"field":"`+x.field+`"`)
			}
		})
	}
	after := c.call("GET", path, nil)
	assert.EqualValues(t, 1, after.Body["version"], "nothing was changed")
}

func TestARepeatedKeyMakesOneCase(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	one := c.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "retry-on-wifi")
	two := c.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "retry-on-wifi")
	assert.Equal(t, one.Body["number"], two.Body["number"])
	b := bean()
	b["grower"] = "Somebody else"
	three := c.call("POST", "/api/v1/cases", b, "Idempotency-Key", "retry-on-wifi")
	assert.Equal(t, 409, three.Status)
}

func TestWhoMayDoWhat(t *testing.T) {
	c := newDesk(t)
	for _, p := range []string{"/api/v1/today", "/api/v1/cases", "/api/v1/vocabulary", "/api/v1/house", "/api/v1/people", "/api/v1/session"} {
		assert.Equal(t, 401, c.call("GET", p, nil).Status, p)
	}
	assert.Equal(t, 401, c.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "12345678").Status)
	ansel, wren, odile := c.signIn("ansel"), c.signIn("wren"), c.signIn("odile")

	forged := *ansel
	forged.token = "guess"
	assert.Equal(t, 403, forged.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "12345678").Status, "a change needs the session's own token")

	house := odile.call("GET", "/api/v1/house", nil)
	etag := house.Header.Get("ETag")
	for who, want := range map[*client]int{ansel: 403, wren: 403, odile: 200} {
		a := who.call("PUT", "/api/v1/house", map[string]any{"policy": map[string]any{"soap": map[string]any{"use": "no"}}}, "If-Match", etag)
		assert.Equal(t, want, a.Status, a.Raw)
	}
	v := wren.checkIn()
	path := "/api/v1/cases/" + v.Body["id"].(string)
	v = wren.call("PUT", path+"/looks/film", map[string]any{"state": "powder"}, "If-Match", v.Header.Get("ETag"))
	v = wren.call("PUT", path+"/verdict", map[string]any{"cause": "powdery-mildew", "degree": "working"}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, v.Status, v.Raw)
	assert.Equal(t, "review", v.Body["stage"])
	assert.Equal(t, 403, wren.call("POST", path+"/review", map[string]any{"agree": true}, "If-Match", v.Header.Get("ETag")).Status, "nobody reviews their own")
	assert.Equal(t, 403, wren.call("POST", path+"/close", map[string]any{"outcome": "unknown"}, "If-Match", v.Header.Get("ETag")).Status)
	v = ansel.call("POST", path+"/review", map[string]any{"agree": true}, "If-Match", v.Header.Get("ETag"))
	assert.Equal(t, "bench", v.Body["stage"], v.Raw)
}

func TestUndoAndChangeOfMind(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	v := c.checkIn()
	path := "/api/v1/cases/" + v.Body["id"].(string)
	v = c.call("PUT", path+"/looks/flecks", map[string]any{"state": "many"}, "If-Match", v.Header.Get("ETag"))
	v = c.call("PUT", path+"/looks/silk", map[string]any{"state": "none"}, "If-Match", v.Header.Get("ETag"))
	assert.Contains(t, v.Body["mayUndo"], "Fine silk")
	v = c.call("POST", path+"/undo", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	assert.Len(t, v.Body["looks"], 1)
	v = c.call("POST", path+"/undo", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	assert.Empty(t, v.Body["looks"])
	assert.Equal(t, 422, c.call("POST", path+"/undo", map[string]any{}, "If-Match", v.Header.Get("ETag")).Status, "being brought in is not undone")

	v = c.call("PUT", path+"/looks/flecks", map[string]any{"state": "many"}, "If-Match", v.Header.Get("ETag"))
	v = c.call("PUT", path+"/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}, "If-Match", v.Header.Get("ETag"))
	etag := v.Header.Get("ETag")
	no := c.call("PUT", path+"/verdict", map[string]any{"cause": "rose-leafhopper", "degree": "working"}, "If-Match", etag)
	assert.Contains(t, no.faults(), `"field":"note"`, "a change of mind keeps its reason")
	v = c.call("PUT", path+"/verdict", map[string]any{"cause": "rose-leafhopper", "degree": "working", "note": "they jump"}, "If-Match", etag)
	assert.Equal(t, 200, v.Status)
	story := c.call("GET", path+"/story", nil)
	assert.Contains(t, story.Raw, "they jump")
	assert.Contains(t, story.Raw, "Two-spotted spider mite", "the first verdict stays in the story")
}

func TestNoRefusedRemedyReachesAHandOver(t *testing.T) {
	c := newDesk(t)
	a, o := c.signIn("ansel"), c.signIn("odile")
	v := a.checkIn()
	path := "/api/v1/cases/" + v.Body["id"].(string)
	do := func(method, p string, body any) answer {
		v = a.call(method, path+p, body, "If-Match", v.Header.Get("ETag"))
		return v
	}
	do("PUT", "/looks/walker-spots", map[string]any{"state": "yes"})
	do("PUT", "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"})
	etag := v.Header.Get("ETag")
	no := a.call("PUT", path+"/remedy", map[string]any{"remedies": []string{"pyrethrins"}}, "If-Match", etag)
	assert.Equal(t, 422, no.Status)
	assert.Contains(t, no.Raw, "mites come back worse", "and it says why")
	two := a.call("PUT", path+"/remedy", map[string]any{"remedies": []string{"summer-oil", "sulfur"}}, "If-Match", etag)
	assert.Contains(t, two.Raw, "may not be used together")
	do("PUT", "/remedy", map[string]any{"remedies": []string{"soap"}})
	do("PUT", "/mix", map[string]any{"volume": "1 L", "spoons": "metric"})
	do("PUT", "/days", map[string]any{"count": 2})
	require.Equal(t, 200, v.Status, v.Raw)
	house := o.call("GET", "/api/v1/house", nil)
	o.call("PUT", "/api/v1/house", map[string]any{"policy": map[string]any{"soap": map[string]any{"use": "no", "why": "stock recalled"}}}, "If-Match", house.Header.Get("ETag"))
	late := a.call("POST", path+"/handover", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	assert.Equal(t, 422, late.Status, "a ban since then still holds")
	assert.Contains(t, late.Raw, "stock recalled")
}

func TestTheGrowersPageNeedsNoAccountAndTellsNoMore(t *testing.T) {
	c := newDesk(t)
	assert.Equal(t, 404, c.call("GET", "/api/v1/page/short", nil).Status)
	assert.Equal(t, 404, c.call("GET", "/api/v1/page/"+strings.Repeat("x", 32), nil).Status)
	a := c.signIn("ansel")
	list := a.call("GET", "/api/v1/cases?stage=handed", nil)
	id := list.Body["cases"].([]any)[0].(map[string]any)["id"].(string)
	v := a.call("GET", "/api/v1/cases/"+id, nil)
	token := v.Body["handover"].(map[string]any)["token"].(string)
	p := c.call("GET", "/api/v1/page/"+token, nil)
	require.Equal(t, 200, p.Status)
	contact := v.Body["intake"].(map[string]any)["contact"].(string)
	require.NotEmpty(t, contact)
	assert.NotContains(t, p.Raw, contact)
	assert.Contains(t, p.Raw, "label and local law come first")
}

func TestTheWrittenAPIIsTheServedOne(t *testing.T) {
	raw, err := httpapi.Describe()
	require.NoError(t, err)
	var doc map[string]any
	require.NoError(t, json.Unmarshal(raw, &doc))
	assert.Equal(t, "3.1.0", doc["openapi"])
	written, err := os.ReadFile("openapi.json")
	require.NoError(t, err)
	assert.True(t, bytes.Equal(raw, written), "openapi.json is stale: make api")
	assert.GreaterOrEqual(t, len(doc["paths"].(map[string]any)), 30)
}
