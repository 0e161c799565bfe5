package httpapi_test

import (
	"bytes"
	"compress/gzip"
	"encoding/json"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"net/url"
	"regexp"
	"strings"
	"testing"
	"testing/fstest"

	"botanik/internal/httpapi"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// hand is a client at work on one case, always with the version it read last.
type hand struct {
	*client
	path string
	v    answer
}

func (c *client) take(body map[string]any) *hand {
	c.t.Helper()
	v := c.call("POST", "/api/v1/cases", body, "Idempotency-Key", "life-of-"+c.t.Name())
	require.Equal(c.t, 201, v.Status, v.Raw)
	return &hand{c, "/api/v1/cases/" + v.Body["id"].(string), v}
}

func (h *hand) try(method, path string, body any) answer {
	return h.call(method, h.path+path, body, "If-Match", h.v.Header.Get("ETag"))
}

// do changes the case; the version has to move with it.
func (h *hand) do(method, path string, body any) *hand {
	h.t.Helper()
	a := h.try(method, path, body)
	require.Equal(h.t, 200, a.Status, a.Raw)
	require.NotEqual(h.t, h.v.Header.Get("ETag"), a.Header.Get("ETag"), "%s %s changed nothing", method, path)
	h.v = a
	return h
}

func TestOneCaseThroughTheWholeAPI(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	h := c.take(bean())
	assert.Equal(t, "waiting", h.v.Body["stage"])

	corrected := bean()
	corrected["daysToHarvest"] = 20
	corrected["contact"] = "02 555 0188"
	h.do("PUT", "/intake", corrected)
	assert.EqualValues(t, 20, h.v.Body["intake"].(map[string]any)["daysToHarvest"])
	bad := bean()
	bad["grower"] = ""
	assert.Equal(t, 422, h.try("PUT", "/intake", bad).Status, "a correction is checked as the first word was")

	assert.Contains(t, h.try("POST", "/weigh", map[string]any{"counts": []int{4}}).faults(), `"field":"verdict"`)
	h.do("PUT", "/looks/flecks", map[string]any{"state": "many"})
	assert.Equal(t, "bench", h.v.Body["stage"])
	h.do("PUT", "/looks/walker-spots", map[string]any{"state": "yes", "instrument": "lens", "certainty": "think"})
	split := c.call("GET", "/api/v1/split?cause=two-spotted-mite&cause=rose-leafhopper", nil)
	assert.Contains(t, split.Raw, "jumps", "the look that tells")
	h.do("PUT", "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"})

	w := h.try("POST", "/weigh", map[string]any{"counts": []int{12, 7, 31, 4, 9, 16}})
	assert.Contains(t, w.Raw, "where 5 is borne here (house judgement)")
	share := h.try("POST", "/weigh", map[string]any{"share": .5})
	assert.Equal(t, 200, share.Status, share.Raw)
	assert.Contains(t, h.try("POST", "/weigh", map[string]any{"counts": []int{-1}}).faults(), "counts")
	h.do("PUT", "/act", map[string]any{"counts": []int{12, 7, 31, 4, 9, 16}, "choice": "act", "pressure": "heavy"})

	advice := c.call("GET", h.path+"/advice", nil)
	pick := advice.Body["pick"].([]any)
	assert.Contains(t, pick, "hose-off")
	assert.Contains(t, pick, "soap", "heavy pressure")
	told := c.call("GET", h.path+"/advice?chosen=hose-off&chosen=soap", nil)
	assert.Contains(t, told.Raw, "Hose off in the morning")
	h.do("PUT", "/remedy", map[string]any{"remedies": []string{"hose-off", "soap"}})
	h.do("PUT", "/mix", map[string]any{"volume": "1 L", "spoons": "metric"})
	days := h.try("POST", "/plan-days", map[string]any{"count": 3})
	require.Equal(t, 200, days.Status, days.Raw)
	h.do("PUT", "/days", map[string]any{"count": 3})
	assert.Len(t, h.v.Body["days"].(map[string]any)["on"], 3)

	sheet := c.call("GET", h.path+"/sheet", nil)
	assert.Contains(t, sheet.Raw, "1 tbsp")
	assert.NotContains(t, sheet.Raw, "02 555 0188")
	h.do("POST", "/handover", map[string]any{})
	assert.Equal(t, "handed", h.v.Body["stage"])
	token := h.v.Body["handover"].(map[string]any)["token"].(string)
	assert.Contains(t, c.call("GET", "/api/v1/page/"+token, nil).Raw, "Hose it off")

	h.do("POST", "/followup", map[string]any{"count": map[string]any{"before": 13.2, "after": .7, "units": 6}})
	assert.Contains(t, h.v.Raw, "better")
	h.do("POST", "/close", map[string]any{"outcome": "cleared"})
	assert.Equal(t, "closed", h.v.Body["stage"])
	assert.Equal(t, 422, h.try("PUT", "/remedy", map[string]any{"remedies": []string{"soap"}}).Status, "a closed case rests")
	h.do("POST", "/reopen", map[string]any{})
	assert.NotEqual(t, "closed", h.v.Body["stage"])

	var story []map[string]any
	require.NoError(t, json.Unmarshal([]byte(c.call("GET", h.path+"/story", nil).Raw), &story))
	assert.GreaterOrEqual(t, len(story), 13, "every change stands in the story")
	for _, line := range story {
		assert.Equal(t, "Ansel", line["who"])
	}
}

func TestEveryChangeAsksForTheVersionOneRead(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	h := c.take(bean())
	stale := h.v.Header.Get("ETag")
	h.do("PUT", "/looks/flecks", map[string]any{"state": "many"})
	for path, body := range map[string]any{
		"PUT /intake": bean(), "PUT /looks/silk": map[string]any{"state": "none"}, "PUT /verdict": map[string]any{"cause": "rust", "degree": "open"},
		"POST /review": map[string]any{"agree": true}, "PUT /act": map[string]any{"choice": "act", "pressure": "light"}, "PUT /remedy": map[string]any{"remedies": []string{"leave"}},
		"PUT /mix": map[string]any{"volume": "1 L"}, "PUT /dose": map[string]any{"remedy": "iron-bait", "area": "3 m2"}, "PUT /school": map[string]any{"school": "aim", "option": "eradicate"},
		"PUT /days": map[string]any{}, "POST /handover": map[string]any{}, "POST /followup": map[string]any{"silent": true}, "POST /round": map[string]any{"move": "repeat"},
		"POST /close": map[string]any{"outcome": "unknown"}, "POST /reopen": map[string]any{}, "POST /undo": map[string]any{},
	} {
		method, at, _ := strings.Cut(path, " ")
		assert.Equal(t, 428, c.call(method, h.path+at, body).Status, "%s without a version", path)
		assert.Equal(t, 412, c.call(method, h.path+at, body, "If-Match", stale).Status, "%s with an old one", path)
		assert.Equal(t, 404, c.call(method, "/api/v1/cases/nowhere"+at, body, "If-Match", stale).Status, "%s on no case", path)
	}
	assert.Equal(t, h.v.Header.Get("ETag"), c.call("GET", h.path, nil).Header.Get("ETag"), "nothing was changed")
	for _, path := range []string{h.path, "/api/v1/house", "/api/v1/identity"} {
		plain, packed := c.call("GET", path, nil), c.call("GET", path, nil, "Accept-Encoding", "gzip, br")
		assert.Equal(t, plain.Header.Get("ETag"), packed.Header.Get("ETag"), "%s: a browser reads the same version", path)
	}
}

func TestSearchTakesAnyWords(t *testing.T) {
	c := newDesk(t).signIn("brann")
	find := func(words string) string {
		a := c.call("GET", "/api/v1/search?q="+url.QueryEscape(words), nil)
		assert.Equal(t, 200, a.Status, "%s: %s", words, a.Raw)
		return a.Raw
	}
	assert.Contains(t, find("passionflower"), "Ilse Marrow")
	assert.Contains(t, find("dusty pale"), "26-", "words in any order")
	for _, odd := range []string{`"`, `a" OR "b`, `NEAR(`, `*`, `-`, `grower:x`, `'; DROP TABLE cases; --`, `日本`} {
		find(odd)
	}
	assert.Equal(t, 422, c.call("GET", "/api/v1/search?q=", nil).Status)
}

func TestLabelsAndLawOfTheHouse(t *testing.T) {
	c := newDesk(t)
	o, a := c.signIn("odile"), c.signIn("ansel")
	put := func(house map[string]any) answer {
		return o.call("PUT", "/api/v1/house", house, "If-Match", o.call("GET", "/api/v1/house", nil).Header.Get("ETag"))
	}
	label := func(id string, l map[string]any) map[string]any {
		return map[string]any{"labels": map[string]any{id: l}}
	}
	before := o.call("GET", "/api/v1/house", nil).Raw
	for _, x := range []struct {
		house map[string]any
		field string
	}{
		{label("soap", map[string]any{"low": "15 mL per L", "high": "5 mL per L"}), "labels.soap.low"},
		{label("soap", map[string]any{"high": "5 mL per L"}), "labels.soap.low"}, // the usual low stands above it
		{label("soap", map[string]any{"low": "some"}), "labels.soap.low"},
		{label("soap", map[string]any{"low": "5 g per L", "high": "20 mL per L"}), "labels.soap.high"},
		{label("diatomaceous", map[string]any{"high": "5 g per L"}), "labels.diatomaceous.high"},
		{label("snake-oil", map[string]any{"mostPerSeason": 2}), "labels.snake-oil"},
		{map[string]any{"policy": map[string]any{"snake-oil": map[string]any{"use": "no"}}}, "policy.snake-oil"},
		{map[string]any{"schools": map[string]any{"aim": "win"}}, "schools.aim"},
	} {
		got := put(x.house)
		assert.Equal(t, 422, got.Status, "%v: %s", x.house, got.Raw)
		assert.Contains(t, got.faults(), `"field":"`+x.field+`"`, "%v", x.house)
	}
	assert.Equal(t, before, o.call("GET", "/api/v1/house", nil).Raw, "nothing half-written")

	ok := put(map[string]any{
		"labels": map[string]any{"soap": map[string]any{"low": "20 mL per L", "high": "40 mL per L"}, "spinosad": map[string]any{"low": "0.2 mL per L", "high": "0.4 mL per L"}},
		"law":    map[string]any{"iron(III) phosphate": map[string]any{"status": "banned"}, "sulfur": map[string]any{"status": "restricted", "reference": "by-law 7"}},
		"policy": map[string]any{"spinosad": map[string]any{"use": "no"}},
	})
	require.Equal(t, 200, ok.Status, ok.Raw)
	blend := func(remedy, use string) answer {
		return a.call("POST", "/api/v1/blend", map[string]any{"remedy": remedy, "use": use, "volume": "1 L"})
	}
	soap := blend("soap", "top")
	assert.Contains(t, soap.Raw, `"40 mL"`)
	assert.Contains(t, soap.Raw, "allows 40 mL per L where 20 mL per L is usual", "a bottle stronger than most is read twice")
	assert.Contains(t, blend("soap", "41 mL per L").faults(), "top rate of 40 mL per L")
	assert.Contains(t, blend("sulfur", "low").Raw, "by-law 7")
	assert.Contains(t, blend("spinosad", "low").Raw, "does not recommend")
	assert.Contains(t, blend("azadirachtin", "low").faults(), "read the rate off the bottle", "what differs from bottle to bottle is not guessed")
	bait := a.call("POST", "/api/v1/place", map[string]any{"remedy": "iron-bait", "area": "3 m2"})
	assert.Equal(t, 422, bait.Status, bait.Raw)
	assert.Contains(t, bait.faults(), "local law", "the law holds for what is strewn as well")
}

func TestWhoAndWhereTheDeskIs(t *testing.T) {
	c := newDesk(t)
	o, a := c.signIn("odile"), c.signIn("ansel")
	id := o.call("GET", "/api/v1/identity", nil)
	etag := id.Header.Get("ETag")
	id.Body["zone"] = "Merrin"
	assert.Contains(t, o.call("PUT", "/api/v1/identity", id.Body, "If-Match", etag).faults(), `"field":"zone"`)
	id.Body["zone"], id.Body["name"] = "Europe/Paris", "The other desk"
	assert.Equal(t, 403, a.call("PUT", "/api/v1/identity", id.Body, "If-Match", etag).Status)
	done := o.call("PUT", "/api/v1/identity", id.Body, "If-Match", etag)
	assert.Equal(t, "The other desk", done.Body["name"], done.Raw)
	assert.Equal(t, 412, o.call("PUT", "/api/v1/identity", id.Body, "If-Match", etag).Status)

	assert.Equal(t, 403, a.call("POST", "/api/v1/people", map[string]any{"login": "pip", "name": "Pip", "role": "trainee", "password": "long enough 1"}).Status)
	assert.Equal(t, 422, o.call("POST", "/api/v1/people", map[string]any{"login": "pip", "name": "Pip", "role": "trainee", "password": "short"}).Status)
	assert.Equal(t, 200, o.call("POST", "/api/v1/people", map[string]any{"login": "pip", "name": "Pip", "role": "trainee", "password": "long enough 1"}).Status)
	assert.NotEqual(t, 200, o.call("POST", "/api/v1/people", map[string]any{"login": "pip", "name": "Pip", "role": "trainee", "password": "long enough 1"}).Status, "a login is one person's")
	assert.Contains(t, a.call("GET", "/api/v1/people", nil).Raw, "Pip")
}

func TestSigningOutEndsTheSession(t *testing.T) {
	a := newDesk(t).signIn("ansel")
	require.Equal(t, 200, a.call("GET", "/api/v1/session", nil).Status)
	assert.Equal(t, 204, a.call("DELETE", "/api/v1/session", nil).Status)
	assert.Equal(t, 401, a.call("GET", "/api/v1/session", nil).Status)
	assert.Equal(t, 401, a.call("GET", "/api/v1/today", nil).Status)
}

func TestTheVocabularyHoldsWhatThePageDraws(t *testing.T) {
	c := newDesk(t)
	a := c.signIn("ansel").call("GET", "/api/v1/vocabulary", nil)
	b := c.d.Base()
	for field, n := range map[string]int{"causes": len(b.Causes), "findings": len(b.Findings), "hosts": len(b.Hosts), "remedies": len(b.Remedies), "schools": len(b.Schools)} {
		assert.Len(t, a.Body[field], n, field)
	}
	for _, x := range a.Body["causes"].([]any) {
		k := x.(map[string]any)
		assert.NotEmpty(t, k["drawing"], k["id"])
		assert.NotNil(t, k["stages"], "a list, never null")
	}
	one := c.signIn("ansel").call("GET", "/api/v1/causes/slug", nil)
	assert.Contains(t, one.Raw, "metaldehyde")
	assert.Equal(t, 404, c.signIn("ansel").call("GET", "/api/v1/causes/dragon", nil).Status)
}

func TestThePageIsServedWithItsPolicy(t *testing.T) {
	c := newDesk(t)
	script := "console.log('" + strings.Repeat("leaf ", 2000) + "')"
	var packed bytes.Buffer
	zw := gzip.NewWriter(&packed)
	_, err := zw.Write([]byte("<svg/>"))
	require.NoError(t, err)
	require.NoError(t, zw.Close())
	page := fstest.MapFS{
		"drawings/rust.svg.gz": {Data: packed.Bytes()},
		"index.html":           {Data: []byte(`<meta name="nonce" content="__NONCE__"><div id="root"></div>`)},
		"assets/app.js":        {Data: []byte(script)},
	}
	s := httpapi.New(c.d, c.p, httpapi.Options{Page: page, Log: slog.New(slog.DiscardHandler)})
	get := func(method, path string, headers ...string) (*http.Response, string) {
		req := httptest.NewRequest(method, path, nil)
		for i := 0; i+1 < len(headers); i += 2 {
			req.Header.Set(headers[i], headers[i+1])
		}
		r, err := s.App.Test(req, fiber.TestConfig{Timeout: 0})
		require.NoError(t, err)
		raw, err := io.ReadAll(r.Body)
		require.NoError(t, err)
		return r, string(raw)
	}
	drawn, body := get("GET", "/drawings/rust.svg")
	assert.Equal(t, 200, drawn.StatusCode)
	assert.Equal(t, "image/svg+xml", drawn.Header.Get("Content-Type"))
	assert.Equal(t, "<svg/>", body)
	for _, path := range []string{"/drawings/rust", "/drawings/dragon.svg", "/drawings/two-spotted-mite.svg", "/drawings/..%2Findex.svg"} {
		r, _ := get("GET", path)
		assert.Equal(t, 404, r.StatusCode, path)
	}
	nonce := regexp.MustCompile(`'nonce-([^']+)'`)
	seen := map[string]bool{}
	for _, path := range []string{"/", "/bench/01X/look", "/plates"} {
		r, body := get("GET", path)
		assert.Equal(t, 200, r.StatusCode, "a reload stays where one was")
		found := nonce.FindStringSubmatch(r.Header.Get("Content-Security-Policy"))
		require.Len(t, found, 2)
		assert.Contains(t, body, found[1], "the nonce of the policy is the page's")
		assert.Equal(t, "no-cache", r.Header.Get("Cache-Control"))
		assert.Equal(t, "nosniff", r.Header.Get("X-Content-Type-Options"))
		seen[found[1]] = true
	}
	assert.Len(t, seen, 3, "a new one each time")
	r, body := get("GET", "/assets/app.js")
	assert.Equal(t, script, body)
	assert.Contains(t, r.Header.Get("Cache-Control"), "immutable")
	r, body = get("GET", "/assets/app.js", "Accept-Encoding", "gzip")
	assert.Equal(t, "gzip", r.Header.Get("Content-Encoding"))
	z, err := gzip.NewReader(strings.NewReader(body))
	require.NoError(t, err)
	whole, err := io.ReadAll(z)
	require.NoError(t, err)
	assert.Equal(t, script, string(whole))
	r, _ = get("GET", "/assets/gone.js")
	assert.Equal(t, 404, r.StatusCode, "an old script is not the page")
	r, _ = get("GET", "/../go.mod")
	assert.Equal(t, 200, r.StatusCode)
	assert.Contains(t, r.Header.Get("Content-Type"), "text/html", "nothing outside the page")
	r, _ = get("POST", "/plates")
	assert.Equal(t, 404, r.StatusCode)
	r, body = get("GET", "/healthz")
	assert.Equal(t, 200, r.StatusCode)
	assert.Contains(t, body, "ok")

	r, body = func() (*http.Response, string) {
		s = httpapi.New(c.d, c.p, httpapi.Options{Page: fstest.MapFS{}, Log: slog.New(slog.DiscardHandler)})
		return get("GET", "/")
	}()
	assert.Equal(t, 503, r.StatusCode)
	assert.Contains(t, body, "make build", "an unbuilt page says what to do")
}

// What the coordinator says of where the desk is holds for every open case at once:
// what need not be reported is treated, and the page's vocabulary says so.
func TestWhereTheDeskIsHoldsAtOnce(t *testing.T) {
	c := newDesk(t)
	o, a := c.signIn("odile"), c.signIn("ansel")
	house := func(local map[string]any) answer {
		h := o.call("GET", "/api/v1/house", nil)
		h.Body["local"] = local
		return o.call("PUT", "/api/v1/house", h.Body, "If-Match", h.Header.Get("ETag"))
	}
	blight := func() map[string]any {
		return a.call("GET", "/api/v1/causes/fire-blight", nil).Body
	}
	require.Equal(t, 200, house(map[string]any{"causes": map[string]any{"fire-blight": map[string]any{"report": "yes"}}}).Status)
	assert.NotEmpty(t, blight()["regulated"])
	first := a.call("GET", "/api/v1/vocabulary", nil).Header.Get("ETag")
	assert.Equal(t, 304, a.call("GET", "/api/v1/vocabulary", nil, "If-None-Match", first).Status)
	require.Equal(t, 200, house(map[string]any{"climate": "mild", "region": "Europe", "causes": map[string]any{"fire-blight": map[string]any{"report": "no"}}}).Status)
	assert.Empty(t, blight()["regulated"])
	assert.Contains(t, blight()["plain"], "cut well below the black")
	assert.Equal(t, 200, a.call("GET", "/api/v1/vocabulary", nil, "If-None-Match", first).Status, "the page is told that it changed")

	no := house(map[string]any{"climate": "lunar"})
	assert.Equal(t, 422, no.Status)
	no = house(map[string]any{"causes": map[string]any{"xylella": map[string]any{"report": "no"}, "triffid": map[string]any{"here": "common"}}})
	assert.Equal(t, 422, no.Status)
	assert.NotContains(t, no.Raw, "local.causes.xylella", "where it is at home the book has words for it")
	assert.Contains(t, no.Raw, "local.causes.triffid")
	assert.Empty(t, blight()["regulated"], "and what was kept still holds")
}

// What a person calibrated is that person's, kept by microscope and objective, and is
// said to be old after a year.
func TestCalibrationsAreThePersons(t *testing.T) {
	c := newDesk(t)
	a, b := c.signIn("ansel"), c.signIn("brann")
	in := map[string]any{"microscope": "bench compound", "objective": "40x", "readings": []any{map[string]any{"divisions": 98, "micrometres": 245}, map[string]any{"divisions": 100, "micrometres": 250}}}
	for field, bad := range map[string]map[string]any{
		"microscope":            {"microscope": " ", "objective": "40x", "readings": in["readings"]},
		"objective":             {"microscope": "x", "objective": "", "readings": in["readings"]},
		"readings[0].divisions": {"microscope": "x", "objective": "40x", "readings": []any{map[string]any{"divisions": 0, "micrometres": 245}}},
	} {
		assert.Contains(t, a.call("PUT", "/api/v1/scope/calibrations", bad, "If-Match", `"0"`).faults(), `"field":"`+field+`"`)
	}
	kept := a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", `"0"`)
	require.Equal(t, 200, kept.Status, kept.Raw)
	assert.Equal(t, 412, a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", `"0"`).Status)
	assert.Equal(t, "[]", strings.TrimSpace(b.call("GET", "/api/v1/scope/calibrations", nil).Raw))
	again := a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", kept.Header.Get("ETag"))
	assert.Equal(t, 1, strings.Count(again.Raw, "bench compound"), "in the place of the one before")
	*c.now = c.now.AddDate(1, 1, 0)
	a = c.signIn("ansel")
	assert.Contains(t, a.call("GET", "/api/v1/scope/calibrations", nil).Raw, "lay the stage micrometer under once more")
	in["readings"] = []any{}
	in["changed"] = true
	in["readings"] = []any{}
	said := a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", again.Header.Get("ETag"))
	assert.Contains(t, said.Raw, "was changed since: calibrate anew")
	in["objective"] = "63x"
	assert.Contains(t, a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", said.Header.Get("ETag")).faults(), `"field":"changed"`)
	in["objective"] = "40x"
	delete(in, "changed")
	again = said
	gone := a.call("PUT", "/api/v1/scope/calibrations", in, "If-Match", again.Header.Get("ETag"))
	assert.Equal(t, "[]", strings.TrimSpace(gone.Raw))
}
