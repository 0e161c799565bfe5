package httpapi_test

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strings"
	"testing"

	"botanik/internal/accounts"
	"botanik/internal/demo"
	"botanik/internal/desk"
	"botanik/internal/records"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Who may do what, cell by cell and over the API. The letters are written down here by hand
// from how a desk works (c coordinator, a advisor, t trainee) and compared with what the
// program does: not with its own table.
func TestWhoMayDoWhatCellByCell(t *testing.T) {
	c := newDesk(t)
	as := map[string]*client{"c": c.signIn("odile"), "a": c.signIn("ansel"), "t": c.signIn("wren")}
	ids := map[string]string{}
	var all []accounts.Account
	require.NoError(t, json.Unmarshal([]byte(as["c"].call("GET", "/api/v1/people", nil).Raw), &all))
	for _, p := range all {
		ids[p.Login] = p.ID
	}
	at, _, _ := c.soaped(t, "Ilse", 4, 5)
	id := strings.TrimPrefix(at, "/api/v1/cases/")
	open := "/api/v1/cases/" + as["a"].checkIn().Body["id"].(string)
	words := map[string]any{}
	require.NoError(t, json.Unmarshal([]byte(as["c"].call("GET", "/api/v1/templates", nil).Raw), &words))
	house, identity := as["c"].call("GET", "/api/v1/house", nil), as["c"].call("GET", "/api/v1/identity", nil)
	version := func(path string) []string {
		return []string{"If-Match", as["a"].call("GET", path, nil).Header.Get("ETag")}
	}
	var list struct {
		Cases []struct{ ID string }
	}
	require.NoError(t, json.Unmarshal([]byte(as["a"].call("GET", "/api/v1/cases?stage=closed&limit=1", nil).Raw), &list))
	require.NotEmpty(t, list.Cases)
	old := "/api/v1/cases/" + list.Cases[0].ID

	rows := []struct {
		deed         accounts.Deed
		who          string
		method, path string
		body         any
		on           string // the case whose version is sent
	}{
		{accounts.LetIn, "c", "POST", "/people", map[string]any{"login": "ansel", "name": "Ansel", "role": "trainee", "password": "long-enough-1"}, ""},
		{accounts.LetIn, "c", "PUT", "/people/nobody", map[string]any{"active": false}, ""},
		{accounts.LetIn, "c", "POST", "/people/nobody/invite", map[string]any{}, ""},
		{accounts.LetIn, "c", "GET", "/people/trace", nil, ""},
		{accounts.EndOthers, "c", "GET", "/people/" + ids["brann"] + "/sessions", nil, ""},
		{accounts.EndOthers, "c", "DELETE", "/people/" + ids["brann"] + "/sessions/none", nil, ""},
		{accounts.AwayOthers, "c", "POST", "/workload/away", map[string]any{"account": ids["brann"], "first": "x", "last": "x"}, ""},
		{accounts.AwayOthers, "c", "POST", "/workload/away/end", map[string]any{"account": ids["brann"], "first": "2026-07-01"}, ""},
		{accounts.SetHouse, "c", "PUT", "/house", house.Body, ""},
		{accounts.SetHouse, "c", "PUT", "/identity", identity.Body, ""},
		{accounts.SetHouse, "c", "PUT", "/templates", words, ""},
		{accounts.SetHouse, "c", "PUT", "/drill/course", map[string]any{"name": "x", "classes": []string{"no"}, "kinds": []string{}}, ""},
		{accounts.SetHouse, "c", "PUT", "/keeping", map[string]any{"every": "day", "hour": 9, "keep": 3}, ""},
		{accounts.SetHouse, "c", "PUT", "/drill/old/none", map[string]any{"offer": true}, ""},
		{accounts.SetDevice, "ca", "PUT", "/scope/camera", map[string]any{"slide": "no-such-slide"}, ""},
		{accounts.KeepFile, "c", "GET", "/keeping", nil, ""},
		{accounts.KeepFile, "c", "GET", "/keeping/troubles", nil, ""},
		{accounts.KeepFile, "c", "POST", "/keeping/check", map[string]any{}, ""},
		{accounts.BringIn, "c", "POST", "/imports", map[string]any{"name": "x.csv"}, ""},
		{accounts.BringIn, "c", "POST", "/imports/none/read", map[string]any{}, ""},
		{accounts.BringIn, "c", "POST", "/imports/none/keep", map[string]any{}, ""},
		{accounts.BringIn, "c", "POST", "/imports/none/undo", map[string]any{}, ""},
		{accounts.BringIn, "c", "DELETE", "/keeping/herbarium", nil, ""},
		{accounts.TakeOutTables, "ca", "POST", "/records/export", map[string]any{"what": "cases", "find": map[string]any{"sort": "nonsense"}}, ""},
		{accounts.TakeOutAll, "c", "POST", "/records/export", map[string]any{"what": "cases", "people": true, "find": map[string]any{"sort": "nonsense"}}, ""},
		{accounts.TakeOutAll, "c", "POST", "/records/export", map[string]any{"what": "bundle", "find": map[string]any{"sort": "nonsense"}}, ""},
		{accounts.SeeLearners, "c", "GET", "/drill/learners", nil, ""},
		{accounts.HandlePersons, "c", "GET", "/growers/export?person=none", nil, ""},
		{accounts.HandlePersons, "c", "GET", "/growers/mentions?person=none", nil, ""},
		{accounts.HandlePersons, "c", "POST", "/growers/forget", map[string]any{"person": "none"}, ""},
		{accounts.HandlePersons, "c", "POST", "/growers/merge", map[string]any{"from": "none", "into": "nobody"}, ""},
		{accounts.HandlePersons, "c", "POST", "/growers/split", map[string]any{"person": "none", "name": "x", "contact": "", "cases": []string{"x"}}, ""},
		{accounts.BringWeather, "ca", "POST", "/weather/files", map[string]any{"name": "x", "text": "x"}, ""},
		{accounts.BringWeather, "ca", "DELETE", "/weather/files/none", nil, ""},
		{accounts.GiveCalendars, "ca", "GET", "/calendars", nil, ""},
		{accounts.GiveCalendars, "ca", "POST", "/calendars", map[string]any{"person": "none"}, ""},
		{accounts.GiveCalendars, "ca", "DELETE", "/calendars/none", nil, ""},
		{accounts.SendMessages, "ca", "POST", "/cases/" + id + "/messages", map[string]any{"kind": "ask"}, ""},
		{accounts.ReviewVerdicts, "ca", "POST", at + "/review", map[string]any{"agree": true}, at},
		{accounts.SettleVerdicts, "ca", "PUT", open + "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}, open},
		{accounts.ChangeHanded, "ca", "PUT", at + "/verdict", map[string]any{"cause": "rust", "degree": "working"}, at},
		{accounts.TakePageBack, "ca", "POST", at + "/page/end", map[string]any{}, "stale"},
		{accounts.CloseCases, "ca", "POST", at + "/close", map[string]any{"outcome": "referred"}, at},
		{accounts.ReopenCases, "ca", "POST", old + "/reopen", map[string]any{}, old},
		{accounts.GiveNobodys, "ca", "POST", old + "/keeper", map[string]any{"to": "nobody-at-all"}, old},
		{accounts.GiveNobodys, "ca", "POST", "/workload/give", map[string]any{"from": "", "to": "nobody-at-all"}, ""},
		{accounts.GiveAnybodys, "c", "POST", "/workload/give", map[string]any{"from": ids["brann"], "to": "nobody-at-all"}, ""},
	}
	// These two are not refused: one is seen, the other waits for review and for hand-over
	// (TestWhatATraineePreparedWaits).
	elsewhere := []accounts.Deed{accounts.SeeAllWork, accounts.SettleVerdicts, accounts.Release}
	covered := map[accounts.Deed]bool{}
	for _, r := range rows {
		covered[r.deed] = true
		for who, cl := range as {
			if slices.Contains(elsewhere, r.deed) {
				continue
			}
			path := r.path
			if !strings.HasPrefix(path, "/api/v1") {
				path = "/api/v1" + path
			}
			headers := []string{}
			switch {
			case r.on == "stale":
				headers = []string{"If-Match", `"999"`}
			case r.on != "":
				headers = version(r.on)
			case r.method == "PUT":
				headers = []string{"If-Match", `"999"`}
			}
			got := cl.call(r.method, path, r.body, headers...)
			switch {
			case strings.Contains(r.who, who):
				assert.NotEqual(t, http.StatusForbidden, got.Status, "%s: %s by %s: %s", r.deed, r.path, who, got.Raw)
			case r.deed == accounts.ChangeHanded: // told with a way on
				assert.Contains(t, got.faults(), "ask an advisor", got.Raw)
			case r.on != "stale":
				assert.Equal(t, http.StatusForbidden, got.Status, "%s: %s by %s: %s", r.deed, r.path, who, got.Raw)
			}
		}
	}
	for _, d := range accounts.Deeds() {
		assert.True(t, covered[d] || slices.Contains(elsewhere, d), "nothing tries: %s", d)
	}
	// The page is told the same.
	for who, login := range map[string]string{"c": "odile", "a": "ansel", "t": "wren"} {
		in := as[who].call("GET", "/api/v1/session", nil)
		may := fmt.Sprint(in.Body["may"])
		for _, r := range rows {
			assert.Equal(t, strings.Contains(r.who, who), strings.Contains(may, string(r.deed)), "%s, %s", login, r.deed)
		}
	}
}

// What a trainee prepared does not leave the desk by itself: not by a hand-over, not with
// another plant's, not by undoing. An advisor hands it over; what is only left alone and
// asked after later needs nobody.
func TestWhatATraineePreparedWaits(t *testing.T) {
	c := newDesk(t)
	wren, ansel := c.signIn("wren"), c.signIn("ansel")
	h := wren.take(bean())
	h.do("PUT", "/looks/walker-spots", map[string]any{"state": "yes"})
	h.do("PUT", "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"})
	mine := func(c *client) *hand {
		return &hand{c, h.path, c.call("GET", h.path, nil)}
	}
	mine(ansel).do("POST", "/review", map[string]any{"agree": true})
	mine(wren).do("PUT", "/act", map[string]any{"choice": "act", "pressure": "light"})
	mine(wren).do("PUT", "/remedy", map[string]any{"remedies": []string{"soap"}})
	mine(wren).do("PUT", "/mix", map[string]any{"volume": "1 L", "spoons": "metric"})
	mine(wren).do("PUT", "/days", map[string]any{"count": 2})
	x := mine(wren)
	refused := x.try("POST", "/handover", map[string]any{})
	assert.Equal(t, http.StatusUnprocessableEntity, refused.Status, refused.Raw)
	assert.Contains(t, refused.Raw, "advisor", "it says who does")
	assert.Equal(t, http.StatusUnprocessableEntity, wren.call("POST", "/api/v1/handover-together", map[string]any{"cases": []map[string]any{{"id": x.v.Body["id"], "version": x.v.Body["version"]}}}).Status)
	assert.Nil(t, mine(wren).v.Body["handover"])
	assert.EqualValues(t, true, mine(wren).v.Body["release"], "and the page knows")
	mine(ansel).do("POST", "/handover", map[string]any{})
	assert.NotNil(t, mine(wren).v.Body["handover"])
	assert.Contains(t, mine(wren).try("PUT", "/verdict", map[string]any{"cause": "rust", "degree": "working"}).faults(), "ask an advisor")

	left := wren.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "left-alone")
	h = &hand{wren, "/api/v1/cases/" + left.Body["id"].(string), left}
	h.do("PUT", "/looks/walker-spots", map[string]any{"state": "yes"})
	h.do("PUT", "/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"})
	mine(ansel).do("POST", "/review", map[string]any{"agree": true})
	mine(wren).do("PUT", "/remedy", map[string]any{"remedies": []string{"leave"}})
	mine(wren).do("POST", "/handover", map[string]any{})
}

// Whose password somebody else set, or who let themselves in by a new address: what was open
// before is closed.
func TestAPasswordAddressEndsWhatWasOpen(t *testing.T) {
	c := newDesk(t)
	odile := c.signIn("odile")
	ansel, other := c.signIn("ansel"), c.signIn("ansel")
	id := ansel.call("GET", "/api/v1/session", nil).Body["person"].(map[string]any)["id"].(string)
	inv := odile.call("POST", "/api/v1/people/"+id+"/invite", map[string]any{})
	require.Equal(t, 200, inv.Status, inv.Raw)
	token := strings.TrimPrefix(inv.Body["path"].(string), "/join/")
	require.Equal(t, 200, c.call("GET", "/api/v1/join/"+token, nil).Status)
	in := c.call("POST", "/api/v1/join/"+token, map[string]any{"password": "a-new-long-one"})
	require.Equal(t, 200, in.Status, in.Raw)
	for _, was := range []*client{ansel, other} {
		assert.Equal(t, 401, was.call("GET", "/api/v1/today", nil).Status, "a session from before it")
	}
	assert.Equal(t, 401, c.call("POST", "/api/v1/session", map[string]string{"login": "ansel", "password": demo.Password}).Status)
	assert.Equal(t, 200, c.call("POST", "/api/v1/session", map[string]string{"login": "ansel", "password": "a-new-long-one"}).Status)
}

// A foreign page sends nothing for a grower or for somebody signed in; what does not come
// from a browser is no page.
func TestWhatAnotherSiteSendsIsRefused(t *testing.T) {
	c := newDesk(t)
	_, token, _ := c.soaped(t, "Ilse", 4, 5)
	tell := func(headers ...string) answer {
		body, kind := form(t, map[string][]string{"word": {"better"}}, "")
		return c.call("POST", "/p/"+token, body, append([]string{"Content-Type", kind}, headers...)...)
	}
	for _, h := range [][]string{{"Origin", "https://evil.example"}, {"Sec-Fetch-Site", "cross-site"}, {"Origin", "null"}} {
		got := tell(h...)
		assert.Equal(t, http.StatusForbidden, got.Status, "%v %s", h, got.Raw)
	}
	assert.Equal(t, 303, tell("Origin", "http://example.com", "Sec-Fetch-Site", "same-origin").Status, "its own")
	assert.Equal(t, 303, tell().Status)
	ansel := c.signIn("ansel")
	assert.Equal(t, http.StatusForbidden, ansel.call("POST", "/api/v1/cases", bean(), "Idempotency-Key", "from-afar", "Origin", "https://evil.example").Status)
	assert.Equal(t, http.StatusForbidden, c.call("POST", "/api/v1/session", map[string]string{"login": "ansel", "password": demo.Password}, "Sec-Fetch-Site", "cross-site").Status)

	for _, path := range []string{"/p/" + token, "/api/v1/session", "/healthz"} {
		h := c.call("GET", path, nil).Header
		assert.Equal(t, "DENY", h.Get("X-Frame-Options"), path)
		assert.Equal(t, "same-origin", h.Get("Cross-Origin-Resource-Policy"), path)
		assert.Contains(t, h.Get("Permissions-Policy"), "geolocation=()", path)
		assert.Contains(t, h.Get("Content-Security-Policy"), "frame-ancestors 'none'", path)
	}
}

// Made-up addresses fill no list: whoever tries ten thousand of them is not remembered ten
// thousand times, and a page that exists can still be told.
func TestMadeUpAddressesAreNotCounted(t *testing.T) {
	c := newDesk(t)
	_, token, _ := c.soaped(t, "Ilse", 4, 5)
	for i := range 300 {
		body, kind := form(t, map[string][]string{"word": {"better"}}, "")
		got := c.call("POST", fmt.Sprintf("/p/made-up-%026d", i), body, "Content-Type", kind)
		require.Equal(t, 404, got.Status, "and never 429: nothing was counted")
	}
	body, kind := form(t, map[string][]string{"word": {"better"}}, "")
	assert.Equal(t, 303, c.call("POST", "/p/"+token, body, "Content-Type", kind).Status)
}

// What a grower ticked, and that they want no messages, is still there after something on
// the same page is refused.
func TestAGrowersTicksSurviveARefusal(t *testing.T) {
	c := newDesk(t)
	at, token, days := c.soaped(t, "Ilse", 4, 5)
	ansel := c.signIn("ansel")
	reached := ansel.call("GET", at, nil)
	in := reached.Body["intake"].(map[string]any)
	in["contact"] = "ilse@terrace.example"
	reached = ansel.call("PUT", at+"/intake", in, "If-Match", reached.Header.Get("ETag"))
	require.Equal(t, 200, reached.Status, reached.Raw)
	body, kind := form(t, map[string][]string{"done": {days[0]}, "nomessages": {"1"}, "word": {"worse"}, "counts": {"three leaves"}, "note": {"it rained"}}, "")
	got := c.call("POST", "/p/"+token, body, "Content-Type", kind)
	require.Equal(t, 422, got.Status)
	assert.Regexp(t, `value="`+days[0]+`"[^>]* checked`, got.Raw)
	assert.NotRegexp(t, `value="`+days[1]+`"[^>]* checked`, got.Raw)
	assert.Regexp(t, `name="nomessages"[^>]* checked`, got.Raw)
	assert.Regexp(t, `value="worse"[^>]* checked`, got.Raw)
	assert.Contains(t, got.Raw, "it rained")
	assert.Contains(t, got.Raw, "three leaves")
}

// Where devices stand in the house's network is told to whoever names them.
func TestOnlyWhoNamesDevicesIsToldWhereTheyStand(t *testing.T) {
	c := newDesk(t)
	odile := c.signIn("odile")
	id, v, err := c.d.House.Identity(context.Background())
	require.NoError(t, err)
	id.Gateway = "http://10.9.8.7:8800"
	require.NoError(t, c.d.House.SetIdentity(context.Background(), desk.Person{ID: "x", Name: "Odile", Role: "coordinator"}, id, v))
	for _, path := range []string{"/api/v1/session", "/api/v1/identity"} {
		assert.Contains(t, odile.call("GET", path, nil).Raw, "10.9.8.7", path)
		for _, who := range []string{"ansel", "wren"} {
			assert.NotContains(t, c.signIn(who).call("GET", path, nil).Raw, "10.9.8.7", "%s %s", who, path)
		}
	}
}

// A part of a file may be as large as is said, and not one byte larger.
func TestAPartOfAFileMayBeAsLargeAsIsSaid(t *testing.T) {
	c := newDesk(t).signIn("odile")
	id := c.call("POST", "/api/v1/imports", map[string]any{"name": "x"}).Body["id"].(string)
	part := strings.Repeat("x", records.MostPart)
	assert.Equal(t, 200, c.call("PUT", "/api/v1/imports/"+id+"?offset=0", part, "Content-Type", "application/octet-stream").Status)
	assert.Contains(t, []int{413, 422}, c.call("PUT", "/api/v1/imports/"+id+"?offset=0", part+"x", "Content-Type", "application/octet-stream").Status)
}
