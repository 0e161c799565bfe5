package httpapi_test

import (
	"slices"
	"strings"
	"testing"

	goical "github.com/emersion/go-ical"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestTheGrowersPageIsLightAndKeepsWhatWasTypedAsText(t *testing.T) {
	c := newDesk(t)
	a := c.signIn("ansel")
	in := bean()
	in["plant"], in["grower"] = `bean <img src=x onerror=alert(1)>`, `Ilse "><script>alert(1)</script>`
	delete(in, "edible")
	delete(in, "daysToHarvest")
	v := a.call("POST", "/api/v1/cases", in, "Idempotency-Key", "hostile-names")
	at := "/api/v1/cases/" + v.Body["id"].(string)
	for _, step := range []struct {
		path string
		body any
	}{{"/looks/walker-spots", map[string]any{"state": "yes"}}, {"/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}}, {"/remedy", map[string]any{"remedies": []string{"soap"}, "note": "<b>mind</b> the cat"}}, {"/mix", map[string]any{"volume": "1 L", "spoons": "metric"}}, {"/days", map[string]any{"count": 2}}} {
		v = a.call("PUT", at+step.path, step.body, "If-Match", v.Header.Get("ETag"))
		require.Equal(t, 200, v.Status, v.Raw)
	}
	v = a.call("POST", at+"/handover", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, v.Status, v.Raw)
	token := v.Body["handover"].(map[string]any)["token"].(string)
	p := c.call("GET", "/p/"+token, nil)
	require.Equal(t, 200, p.Status)
	assert.Contains(t, p.Header.Get("Content-Type"), "text/html")
	assert.Contains(t, p.Header.Get("Content-Security-Policy"), "default-src 'none'")
	assert.NotContains(t, p.Raw, "<script")
	assert.NotContains(t, p.Raw, "<img src=x")
	assert.Contains(t, p.Raw, `src="/drawings/two-spotted-mite.svg"`)
	assert.Contains(t, p.Raw, "&lt;img src=x")
	assert.Contains(t, p.Raw, "&lt;b&gt;mind&lt;/b&gt;")
	assert.Less(t, len(p.Raw), 20_000, "it is there at once on a weak network")
	for _, words := range []string{"Two-spotted spider mite", "What to do", "How much", "into 1 L of finished mix", "When", "Please do not", "label and local law come first", "Your advisor: Ansel"} {
		assert.Contains(t, p.Raw, words)
	}
	// Whatever the sheet says stands on the light page as well, but for what is in a link.
	sheet := v.Body["page"].(map[string]any)["sheet"].(map[string]any)
	delete(sheet, "token")
	delete(sheet, "place")
	days := []string{}
	for _, row := range sheet["table"].([]any) {
		days = append(days, row.(map[string]any)["on"].(string))
		delete(row.(map[string]any), "on")
	}
	ask := sheet["askDay"].(string)
	delete(sheet, "askDay")
	theCalendar(t, c.call("GET", "/p/"+token+"/days.ics", nil), append(days, ask))
	assert.Contains(t, p.Raw, "/p/"+token+"/days.ics")
	assert.Equal(t, 404, c.call("GET", "/p/"+strings.Repeat("x", 32)+"/days.ics", nil).Status)
	// The desk's own calendar and the grower's, by private addresses that end.
	for _, grower := range []string{"", v.Body["intake"].(map[string]any)["person"].(string)} {
		f := a.call("POST", "/api/v1/calendars", map[string]any{"person": grower})
		require.Equal(t, 200, f.Status, f.Raw)
		path := f.Body["path"].(string)
		got := c.call("GET", path, nil)
		if grower != "" {
			theCalendar(t, got, append(slices.Clone(days), ask))
		} else {
			for _, day := range append(slices.Clone(days), ask) {
				assert.Contains(t, got.Raw, "DTSTART;VALUE=DATE:"+strings.ReplaceAll(day, "-", ""))
			}
			assert.NotContains(t, got.Raw, "Ilse", "over many a shoulder")
		}
		assert.Equal(t, 200, a.call("DELETE", "/api/v1/calendars/"+f.Body["token"].(string), nil).Status)
		assert.Equal(t, 404, c.call("GET", path, nil).Status)
	}
	assert.Equal(t, 403, c.signIn("wren").call("POST", "/api/v1/calendars", map[string]any{}).Status)
	assert.Equal(t, 422, a.call("POST", "/api/v1/calendars", map[string]any{"person": "g-nobody"}).Status)
	n := 0
	var said func(x any)
	said = func(x any) {
		switch x := x.(type) {
		case string:
			if len(x) > 3 && !strings.ContainsAny(x, `<>&'"`) {
				n++
				assert.Contains(t, strings.ToLower(p.Raw), strings.ToLower(x))
			}
		case []any:
			for _, y := range x {
				said(y)
			}
		case map[string]any:
			for _, y := range x {
				said(y)
			}
		}
	}
	said(sheet)
	assert.Greater(t, n, 30)
	gone := c.call("GET", "/p/"+strings.Repeat("x", 32), nil)
	assert.Equal(t, 404, gone.Status)
	assert.Contains(t, gone.Raw, "This page is not here")
	require.NoError(t, c.d.Store.Close())
	ill := c.call("GET", "/p/"+token, nil)
	assert.Equal(t, 503, ill.Status)
	assert.Contains(t, ill.Raw, "Try again")
}

// theCalendar holds that another program's reader finds every day of the page, whole,
// with its words, and hostile ones as text.
func theCalendar(t *testing.T, got answer, days []string) {
	t.Helper()
	require.Equal(t, 200, got.Status)
	assert.Contains(t, got.Header.Get("Content-Type"), "text/calendar")
	cal, err := goical.NewDecoder(strings.NewReader(got.Raw)).Decode()
	require.NoError(t, err)
	seen, ids := []string{}, map[string]bool{}
	for _, e := range cal.Events() {
		start := e.Props.Get(goical.PropDateTimeStart)
		require.Equal(t, goical.ValueDate, start.ValueType())
		seen = append(seen, start.Value[:4]+"-"+start.Value[4:6]+"-"+start.Value[6:])
		title, err := e.Props.Text(goical.PropSummary)
		require.NoError(t, err)
		assert.NotEmpty(t, title)
		id, err := e.Props.Text(goical.PropUID)
		require.NoError(t, err)
		assert.False(t, ids[id], "each day is its own")
		ids[id] = true
		words, err := e.Props.Text(goical.PropDescription)
		require.NoError(t, err)
		if !strings.Contains(title, "how it went") {
			assert.Contains(t, words, "label on the bottle and local law come first")
		}
	}
	slices.Sort(seen)
	slices.Sort(days)
	assert.Equal(t, days, seen)
	assert.Contains(t, got.Raw, "BEGIN:VALARM")
}
