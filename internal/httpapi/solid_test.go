package httpapi_test

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/netip"
	"strings"
	"sync"
	"testing"
	"time"

	"botanik/internal/accounts"
	"botanik/internal/demo"
	"botanik/internal/httpapi"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// served runs a server on a real port until the test ends or stop is called.
func (c *client) served() (base string, stop context.CancelFunc, ended chan error) {
	ln, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(c.t, err)
	ctx, cancel := context.WithCancel(context.Background())
	ended = make(chan error, 1)
	go func() { ended <- c.s.Serve(ctx, ln) }()
	c.t.Cleanup(cancel)
	return "http://" + ln.Addr().String(), cancel, ended
}

func TestAPanicIsOneFailedAnswerAndTheDeskGoesOn(t *testing.T) {
	var log bytes.Buffer
	c := newDeskWith(t, httpapi.Options{Log: slog.New(slog.NewJSONHandler(&log, nil))})
	a := c.signIn("ansel")
	path := "/api/v1/cases/" + a.checkIn().Body["id"].(string)
	rules := c.d.House
	c.d.House = nil // a mistake of ours
	for range 3 {
		x := a.call("GET", path, nil)
		assert.Equal(t, 500, x.Status)
		assert.Equal(t, "application/problem+json", x.Header.Get("Content-Type"))
		assert.NotContains(t, x.Raw, "nil pointer")
	}
	c.d.House = rules
	assert.Contains(t, log.String(), "nil pointer")
	assert.Contains(t, log.String(), "view.go", "with where it was")
	assert.Equal(t, 200, c.call("GET", "/healthz", nil).Status)
	a.checkIn()
}

// A desk's answer to a question that its herbarium no longer knows.
func TestAHouseRuleAnOverlayLacksStopsNothing(t *testing.T) {
	c := newDesk(t)
	o := c.signIn("odile")
	h := o.call("GET", "/api/v1/house", nil)
	h.Body["schools"] = map[string]any{"rhythm": "dense"}
	require.Equal(t, 200, o.call("PUT", "/api/v1/house", h.Body, "If-Match", h.Header.Get("ETag")).Status)
	rhythm := c.d.Base().School("rhythm")
	was := rhythm.Options
	rhythm.Options = was[:0:0]
	for _, x := range was {
		if x.ID != "dense" {
			rhythm.Options = append(rhythm.Options, x)
		}
	}
	defer func() { rhythm.Options = was }()
	a := c.signIn("ansel")
	v := a.checkIn()
	path := "/api/v1/cases/" + v.Body["id"].(string)
	for _, step := range []struct {
		path string
		body any
	}{{"/looks/walker-spots", map[string]any{"state": "yes"}}, {"/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}}, {"/remedy", map[string]any{"remedies": []string{"soap"}}}, {"/days", map[string]any{"count": 2}}} {
		v = a.call("PUT", path+step.path, step.body, "If-Match", v.Header.Get("ETag"))
		require.Equal(t, 200, v.Status, v.Raw)
	}
	assert.Equal(t, 200, a.call("POST", path+"/plan-days", map[string]any{}).Status)
}

func TestPasswordsAndPeopleOverTheAPI(t *testing.T) {
	c := newDesk(t)
	odile, ansel := c.signIn("odile"), c.signIn("ansel")
	list := odile.call("GET", "/api/v1/people", nil)
	var all []accounts.Account
	require.NoError(t, json.Unmarshal([]byte(list.Raw), &all))
	id := ""
	for _, p := range all {
		if p.Login == "ansel" {
			id = p.ID
		}
	}
	assert.Equal(t, 422, ansel.call("PUT", "/api/v1/session/password", map[string]any{"old": "wrong", "password": "a-new-password"}).Status)
	assert.Equal(t, 204, ansel.call("PUT", "/api/v1/session/password", map[string]any{"old": demo.Password, "password": "a-new-password"}).Status)
	assert.Equal(t, 403, ansel.call("PUT", "/api/v1/people/"+id, map[string]any{"role": "coordinator"}).Status)
	assert.Equal(t, 404, odile.call("PUT", "/api/v1/people/nobody", map[string]any{"active": false}).Status)
	require.Equal(t, 200, odile.call("PUT", "/api/v1/people/"+id, map[string]any{"active": false}).Status)
	assert.Equal(t, 401, ansel.call("GET", "/api/v1/today", nil).Status, "signed out at once")
	assert.Equal(t, 401, c.call("POST", "/api/v1/session", map[string]any{"login": "ansel", "password": "a-new-password"}).Status)
	again := c.signIn("odile")
	assert.Equal(t, 204, odile.call("DELETE", "/api/v1/sessions", nil).Status)
	assert.Equal(t, 401, again.call("GET", "/api/v1/today", nil).Status)
}

func TestTooManyWrongPasswordsSayHowLongToWait(t *testing.T) {
	c := newDesk(t)
	var last answer
	for range 6 {
		last = c.call("POST", "/api/v1/session", map[string]string{"login": "ansel", "password": "wrong"})
	}
	assert.Equal(t, 429, last.Status)
	assert.Equal(t, "15", last.Header.Get("Retry-After"))
	assert.Equal(t, "wait", last.Body["code"])
	assert.Equal(t, 200, c.call("POST", "/api/v1/session", map[string]string{"login": "brann", "password": demo.Password}).Status)
}

func TestTheAddressIsThatOfThePersonBehindATrustedProxy(t *testing.T) {
	quiet := slog.New(slog.DiscardHandler)
	sign := func(c *client, headers ...string) answer {
		return c.call("POST", "/api/v1/session", map[string]string{"login": "ansel", "password": "wrong"}, headers...)
	}
	open := newDeskWith(t, httpapi.Options{Log: quiet})
	for i := range 6 {
		sign(open, "X-Forwarded-For", fmt.Sprintf("203.0.113.%d", i))
	}
	assert.Equal(t, 429, sign(open, "X-Forwarded-For", "203.0.113.77").Status, "without a trusted proxy the header is anybody's word")

	behind := newDeskWith(t, httpapi.Options{Log: quiet, Proxies: []netip.Prefix{netip.MustParsePrefix("0.0.0.0/32")}}) // the test transport's address
	for i := range 6 {
		assert.Equal(t, 401, sign(behind, "X-Forwarded-For", fmt.Sprintf("198.51.100.1, 203.0.113.%d", i)).Status)
	}
	for range 5 {
		sign(behind, "X-Forwarded-For", "203.0.113.9")
	}
	assert.Equal(t, 429, sign(behind, "X-Forwarded-For", "1.2.3.4, 203.0.113.9").Status, "the last hop before ours counts, not what the person wrote")
	assert.Equal(t, 401, sign(behind, "X-Forwarded-For", "203.0.113.10").Status)

	right := map[string]string{"login": "brann", "password": demo.Password}
	a := behind.call("POST", "/api/v1/session", right, "X-Forwarded-For", "203.0.113.20", "X-Forwarded-Proto", "https")
	assert.Contains(t, a.Header.Get("Set-Cookie"), "__Host-botanik_session=")
	assert.Contains(t, a.Header.Get("Set-Cookie"), "Secure")
	assert.NotEmpty(t, a.Header.Get("Strict-Transport-Security"))
	a = open.call("POST", "/api/v1/session", right, "X-Forwarded-Proto", "https")
	assert.NotContains(t, a.Header.Get("Set-Cookie"), "Secure")
	https := newDeskWith(t, httpapi.Options{Log: quiet, HTTPS: true})
	a = https.call("POST", "/api/v1/session", right)
	assert.Contains(t, a.Header.Get("Set-Cookie"), "Secure")
	x := *https
	x.cookie, x.token = strings.Split(a.Header.Get("Set-Cookie"), ";")[0], a.Body["token"].(string)
	assert.Equal(t, 200, x.call("GET", "/api/v1/today", nil).Status)
}

func TestLargeBodiesAreRefusedBeforeTheyAreRead(t *testing.T) {
	c := newDesk(t)
	in := c.signIn("ansel")
	a := in.call("POST", "/api/v1/cases", `{"story":"`+strings.Repeat("x", 2<<20)+`"}`, "Idempotency-Key", "large-one")
	assert.Equal(t, http.StatusRequestEntityTooLarge, a.Status, "only a picture may be larger than 1 MB")
	assert.Contains(t, a.Raw, "10 MB")

	base, _, _ := c.served()
	// What nobody signed in for is not taken into memory: a body that never ends
	// is answered all the same once its sender stops.
	for path, want := range map[string]int{"/api/v1/session": 413, "/api/v1/cases": 401} {
		body := io.LimitReader(endless{}, 9<<20)
		req, err := http.NewRequest("POST", base+path, body)
		require.NoError(t, err)
		req.ContentLength = 9 << 20
		req.Header.Set("Content-Type", "application/json")
		resp, err := http.DefaultClient.Do(req)
		require.NoError(t, err, path)
		_ = resp.Body.Close()
		assert.Equal(t, want, resp.StatusCode, path)
	}
	req, err := http.NewRequest("POST", base+"/api/v1/session", io.LimitReader(endless{}, 13<<20))
	require.NoError(t, err)
	req.ContentLength = 13 << 20
	req.Header.Set("Content-Type", "application/json")
	resp, err := http.DefaultClient.Do(req)
	require.NoError(t, err)
	_ = resp.Body.Close()
	assert.Equal(t, 413, resp.StatusCode)

	// The rest of a refused body is never taken for a request of its own.
	conn, err := net.Dial("tcp", strings.TrimPrefix(base, "http://"))
	require.NoError(t, err)
	defer func() { _ = conn.Close() }()
	hidden := "GET /api/v1/session HTTP/1.1\r\nHost: x\r\n\r\n"
	body := strings.Repeat("y", 20_000) + hidden
	_, err = fmt.Fprintf(conn, "POST /api/v1/cases HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\nContent-Length: %d\r\n\r\n%sGET /healthz HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n", len(body), body)
	require.NoError(t, err)
	require.NoError(t, conn.SetReadDeadline(time.Now().Add(time.Minute)))
	raw, err := io.ReadAll(conn)
	require.NoError(t, err)
	assert.Equal(t, 2, strings.Count(string(raw), "HTTP/1.1 "), "%s", raw)
	assert.Contains(t, string(raw), `"status":"ok"`)
}

// endless is a body of x without end.
type endless struct{}

func (endless) Read(p []byte) (int, error) {
	for i := range p {
		p[i] = 'x'
	}
	return len(p), nil
}

func TestWhatIsNotPlainJSONIsRefused(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	good := `{"amount":"1 L","to":"mL"}`
	for kind, want := range map[string]int{"application/json": 200, "application/json; charset=utf-8": 200, "application/json; charset=utf-16": 415, "application/merge-patch+json": 415, "text/plain": 415, "": 415} {
		assert.Equal(t, want, c.call("POST", "/api/v1/convert", good, "Content-Type", kind).Status, kind)
	}
	anon := *c
	anon.cookie = ""
	assert.Equal(t, 415, anon.call("POST", "/api/v1/session", `{"login":"ansel","password":"`+demo.Password+`"}`, "Content-Type", "").Status, "a form of a foreign page signs nobody in")
	for _, body := range []string{`{"amount":"1 L","amount":"2 L","to":"mL"}`, `{"amount":"1 L","to":"mL"`, ``, `{"amount":1e999,"to":"mL"}`, `nul`} {
		a := c.call("POST", "/api/v1/convert", body)
		assert.Contains(t, []int{400, 422}, a.Status, body)
		assert.NotContains(t, a.Raw, "Go value", body)
		assert.Contains(t, a.Raw, `"mend"`, body)
	}
	assert.Equal(t, 422, c.call("GET", "/api/v1/search?q=rose&q=bean", nil).Status)
	assert.Equal(t, 422, c.call("GET", "/api/v1/house?colour=blue", nil).Status)
	assert.Equal(t, 400, c.call("GET", "/api/v1/search?q=%00", nil).Status)
	assert.Equal(t, 200, c.call("GET", "/api/v1/search?q=%2A", nil).Status)
	bad := c.call("PUT", "/api/v1/cases/x/act", map[string]any{"choice": 7}, "If-Match", "1")
	assert.Contains(t, bad.faults(), "send it as text in quotes")
	missing := c.call("POST", "/api/v1/cases", bean())
	assert.Contains(t, missing.faults(), `"field":"Idempotency-Key"`)
	assert.Equal(t, "no-store", c.call("GET", "/api/v1/today", nil).Header.Get("Cache-Control"))
	assert.Equal(t, 404, c.call("GET", "/API/V1/today", nil).Status)
	assert.Equal(t, 200, c.call("HEAD", "/api/v1/today", nil).Status)
}

func TestTheVocabularyIsSentOnce(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	a := c.call("GET", "/api/v1/vocabulary", nil)
	require.Equal(t, 200, a.Status)
	tag := a.Header.Get("ETag")
	require.NotEmpty(t, tag)
	again := c.call("GET", "/api/v1/vocabulary", nil, "If-None-Match", tag)
	assert.Equal(t, 304, again.Status)
	assert.Empty(t, again.Raw)
	packed := c.call("GET", "/api/v1/vocabulary", nil, "Accept-Encoding", "gzip")
	assert.Equal(t, "gzip", packed.Header.Get("Content-Encoding"))
	assert.Equal(t, tag, packed.Header.Get("ETag"))
}

func TestALabelCannotUndoTheGap(t *testing.T) {
	c := newDesk(t).signIn("odile")
	h := c.call("GET", "/api/v1/house", nil)
	for _, label := range []map[string]any{{"repeatMinDays": 9223372036854775807}, {"repeatMinDays": 1_000_000_000}, {"mostPerSeason": 51}, {"waitDays": 366}, {"repeatMinDays": -1}} {
		h.Body["labels"] = map[string]any{"soap": label}
		a := c.call("PUT", "/api/v1/house", h.Body, "If-Match", h.Header.Get("ETag"))
		assert.Equal(t, 422, a.Status, "%v", label)
		assert.Contains(t, a.faults(), "labels.soap", "%v", label)
	}
	h.Body["labels"] = map[string]any{}
	h.Body["policy"] = map[string]any{"soap": map[string]any{"use": "no", "why": strings.Repeat("x", 900_000)}}
	assert.Equal(t, 422, c.call("PUT", "/api/v1/house", h.Body, "If-Match", h.Header.Get("ETag")).Status)
}

func TestWhatStandsOnAGrowersPageIsNotEmpty(t *testing.T) {
	c := newDesk(t).signIn("odile")
	id := c.call("GET", "/api/v1/identity", nil)
	for _, field := range []string{"name", "authority", "lab"} {
		for _, v := range []string{"", "   ", "\u200b", "\u3164"} {
			body := map[string]any{}
			for k, x := range id.Body {
				body[k] = x
			}
			body[field] = v
			a := c.call("PUT", "/api/v1/identity", body, "If-Match", id.Header.Get("ETag"))
			assert.Equal(t, 422, a.Status, "%s %q", field, v)
			assert.Contains(t, a.faults(), field)
		}
	}
	for _, v := range []string{"\u200b", "\x00", "\a", "\u202e", "\u3164", " "} {
		b := bean()
		b["grower"] = v
		a := c.call("POST", "/api/v1/cases", b, "Idempotency-Key", "hidden-name")
		assert.Equal(t, 422, a.Status, "%q", v)
	}
}

func TestTwoAdvisorsOnOneCase(t *testing.T) {
	c := newDesk(t)
	ansel, brann := c.signIn("ansel"), c.signIn("brann")
	v := ansel.checkIn()
	path := "/api/v1/cases/" + v.Body["id"].(string)
	one := ansel.call("PUT", path+"/looks/flecks", map[string]any{"state": "many"}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, one.Status)
	two := brann.call("PUT", path+"/looks/silk", map[string]any{"state": "none"}, "If-Match", v.Header.Get("ETag"))
	assert.Equal(t, 412, two.Status)
	assert.Equal(t, "stale", two.Body["code"])
	read := brann.call("GET", path, nil)
	assert.Len(t, read.Body["looks"], 1, "brann sees ansel's look")
	two = brann.call("PUT", path+"/looks/silk", map[string]any{"state": "none"}, "If-Match", read.Header.Get("ETag"))
	assert.Len(t, two.Body["looks"], 2, "and both stand")

	// Thirty-two writers at one case, each reading again when it was too late:
	// nothing of anybody's is lost, and there is one winner a version.
	writers := 32
	if testing.Short() {
		writers = 8
	}
	var wg sync.WaitGroup
	var mu sync.Mutex
	won := map[string]int{}
	for i := range writers {
		wg.Go(func() {
			for {
				now := ansel.call("GET", path, nil)
				tag := now.Header.Get("ETag")
				in := now.Body["intake"].(map[string]any)
				in["story"] = in["story"].(string) + fmt.Sprintf(" w%d.", i)
				a := ansel.call("PUT", path+"/intake", in, "If-Match", tag)
				if a.Status == 412 {
					continue
				}
				if !assert.Equal(t, 200, a.Status, a.Raw) {
					return
				}
				mu.Lock()
				won[tag]++
				mu.Unlock()
				return
			}
		})
	}
	wg.Wait()
	end := ansel.call("GET", path, nil)
	for i := range writers {
		assert.Contains(t, end.Body["intake"].(map[string]any)["story"], fmt.Sprintf(" w%d.", i))
	}
	for tag, n := range won {
		assert.Equal(t, 1, n, tag)
	}
	assert.EqualValues(t, 3+writers, end.Body["version"])
}

// A stop under load cuts nothing: every request that was taken is answered, and
// what was acknowledged is there.
func TestAStopLetsRunningRequestsFinish(t *testing.T) {
	c := newDesk(t)
	base, stop, ended := c.served()
	a := c.signIn("ansel")
	started, release := make(chan struct{}), make(chan struct{})
	var once sync.Once
	c.d.Now = func() time.Time { // a request that takes its time
		once.Do(func() { close(started) })
		<-release
		return now
	}
	got := make(chan int, 1)
	go func() {
		req, _ := http.NewRequest("GET", base+"/api/v1/today", nil)
		req.Header.Set("Cookie", a.cookie)
		resp, err := http.DefaultClient.Do(req)
		if err != nil {
			got <- 0
			return
		}
		_, _ = io.Copy(io.Discard, resp.Body)
		_ = resp.Body.Close()
		got <- resp.StatusCode
	}()
	<-started
	stop()
	select {
	case <-ended:
		t.Fatal("it left while a request was running")
	case <-time.After(300 * time.Millisecond):
	}
	close(release)
	assert.Equal(t, 200, <-got)
	require.NoError(t, <-ended)
}

// Answers to bodies mutated from the description's own examples: a clear
// problem or a good answer, never a fault of ours.
func TestBadBodiesFromTheDescription(t *testing.T) {
	c := newDesk(t)
	a := c.signIn("ansel")
	id := a.checkIn().Body["id"].(string)
	b, err := described1()
	require.NoError(t, err)
	tried, bad := 0, 0
	odd := []any{nil, true, -1, 0, 1e300, "", " ", "\u0000", strings.Repeat("y", 5000), []any{}, []any{nil, map[string]any{}}, map[string]any{}, map[string]any{"x": 1}, "9999-12-31", "0000-00-00", "1e999"}
	b.every(func(method, path string, op map[string]any) {
		m, ok := contentOf(op["requestBody"])["application/json"].(map[string]any)
		if !ok || path == "/api/v1/session" || path == "/api/v1/session/password" {
			return
		}
		raw, _ := json.Marshal(m["example"])
		at := strings.NewReplacer("{id}", id, "{finding}", "flecks", "{photo}", "x").Replace(path)
		for _, change := range mutations(raw, odd) {
			tried++
			r := a.call(method, at, change, "If-Match", "1", "Idempotency-Key", fmt.Sprintf("mutated-%d", tried))
			if r.Status >= 400 {
				bad++
				assert.Less(t, r.Status, 500, "%s %s %s: %s", method, path, change, r.Raw)
				assert.Equal(t, "application/problem+json", r.Header.Get("Content-Type"))
				assert.NotEmpty(t, r.Body["detail"])
			}
		}
	})
	t.Logf("%d bodies, %d refused", tried, bad)
	assert.Greater(t, tried, 500)
	assert.Equal(t, 200, a.call("GET", "/api/v1/cases/"+id, nil).Status)
}

// mutations puts each odd value in the place of each value of a body, leaves
// each key out, and adds one.
func mutations(raw []byte, odd []any) []string {
	out := []string{}
	emit := func(v any) {
		if text, err := json.Marshal(v); err == nil {
			out = append(out, string(text))
		}
	}
	var walk func(v any, put func(any) any)
	walk = func(v any, put func(any) any) {
		for _, o := range odd {
			emit(put(o))
		}
		switch x := v.(type) {
		case map[string]any:
			for k := range x {
				walk(x[k], func(n any) any {
					c := map[string]any{}
					for kk, vv := range x {
						c[kk] = vv
					}
					c[k] = n
					return put(c)
				})
				c := map[string]any{}
				for kk, vv := range x {
					if kk != k {
						c[kk] = vv
					}
				}
				emit(put(c))
			}
			c := map[string]any{"unheard": 1}
			for kk, vv := range x {
				c[kk] = vv
			}
			emit(put(c))
		case []any:
			if len(x) > 0 {
				walk(x[0], func(n any) any { return put([]any{n}) })
			}
		}
	}
	var v any
	_ = json.Unmarshal(raw, &v)
	walk(v, func(n any) any { return n })
	return append(out, string(raw[:len(raw)/2]), "{}", "null", "[]")
}

func TestHealthSaysWhatIsWrong(t *testing.T) {
	c := newDesk(t)
	a := c.call("GET", "/healthz", nil)
	assert.Equal(t, 200, a.Status)
	require.NoError(t, c.d.Store.Close())
	*c.now = c.now.Add(time.Minute)
	a = c.call("GET", "/healthz", nil)
	assert.Equal(t, 503, a.Status)
}

// A stop that comes before serving began still ends it: nothing waits for ever.
func TestAStopBeforeTheFirstRequest(t *testing.T) {
	for range 20 {
		c := newDesk(t)
		ln, err := new(net.ListenConfig).Listen(context.Background(), "tcp", "127.0.0.1:0")
		require.NoError(t, err)
		ctx, stop := context.WithCancel(context.Background())
		stop()
		ended := make(chan error, 1)
		go func() { ended <- c.s.Serve(ctx, ln) }()
		select {
		case err := <-ended:
			require.NoError(t, err)
		case <-time.After(time.Minute):
			t.Fatal("it serves on")
		}
	}
}
