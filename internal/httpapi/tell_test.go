package httpapi_test

import (
	"bytes"
	"encoding/json"
	"fmt"
	"mime/multipart"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// form is what a browser sends from the grower's page.
func form(t *testing.T, fields map[string][]string, photo string) (string, string) {
	t.Helper()
	var b bytes.Buffer
	w := multipart.NewWriter(&b)
	for k, list := range fields {
		for _, v := range list {
			require.NoError(t, w.WriteField(k, v))
		}
	}
	if photo != "" {
		f, err := w.CreateFormFile("photo", `../../leaf"<b>.png`)
		require.NoError(t, err)
		_, err = f.Write([]byte(photo))
		require.NoError(t, err)
	}
	require.NoError(t, w.Close())
	return b.String(), w.FormDataContentType()
}

// soaped is a case handed over with two days of soap, and its page's address.
func (c *client) soaped(t *testing.T, grower string, counts ...int) (at, token string, days []string) {
	t.Helper()
	a := c.signIn("ansel")
	in := bean()
	in["grower"] = grower
	delete(in, "edible")
	delete(in, "daysToHarvest")
	v := a.call("POST", "/api/v1/cases", in, "Idempotency-Key", "tell-"+grower)
	require.Equal(t, 201, v.Status, v.Raw)
	at = "/api/v1/cases/" + v.Body["id"].(string)
	for _, step := range []struct {
		path string
		body any
	}{{"/looks/walker-spots", map[string]any{"state": "yes"}}, {"/verdict", map[string]any{"cause": "two-spotted-mite", "degree": "working"}}, {"/act", map[string]any{"counts": counts, "choice": "act", "pressure": "moderate"}}, {"/remedy", map[string]any{"remedies": []string{"soap"}}}, {"/mix", map[string]any{"volume": "1 L", "spoons": "metric"}}, {"/days", map[string]any{"count": 2}}} {
		v = a.call("PUT", at+step.path, step.body, "If-Match", v.Header.Get("ETag"))
		require.Equal(t, 200, v.Status, v.Raw)
	}
	v = a.call("POST", at+"/handover", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, v.Status, v.Raw)
	for _, row := range v.Body["page"].(map[string]any)["sheet"].(map[string]any)["table"].([]any) {
		days = append(days, row.(map[string]any)["on"].(string))
	}
	return at, v.Body["handover"].(map[string]any)["token"].(string), days
}

// A grower ticks, counts, writes and sends a picture, without an account; it comes up in
// Rounds as answered, judged by the same sums, and one key takes the next step.
func TestAGrowerTellsOnTheirPage(t *testing.T) {
	c := newDesk(t)
	at, token, days := c.soaped(t, "Ilse", 40, 38, 45, 33, 44)
	page := c.call("GET", "/p/"+token, nil).Raw
	assert.Contains(t, page, "Count 5 leaves again")
	assert.Contains(t, c.call("GET", "/p/"+token+"?type=large", nil).Raw, `class="paper large"`)

	send := func(fields map[string][]string, photo string) answer {
		body, kind := form(t, fields, photo)
		return c.call("POST", "/p/"+token, body, "Content-Type", kind)
	}
	for name, x := range map[string]struct {
		fields map[string][]string
		photo  string
		says   string
	}{
		"counts":        {map[string][]string{"counts": {"3 many"}, "note": {"keep me <b>"}}, "", "many&#34; is no number"},
		"a word":        {map[string][]string{"word": {"splendid"}}, "", "none of the four"},
		"a day":         {map[string][]string{"done": {"1999-01-01"}}, "", "no day of this page"},
		"a long note":   {map[string][]string{"note": {strings.Repeat("x", 500)}}, "", "longer than 400"},
		"a false photo": {map[string][]string{"note": {"look"}}, "<svg onload=alert(1)>", "icture"},
	} {
		r := send(x.fields, x.photo)
		assert.Equal(t, 422, r.Status, name)
		assert.Contains(t, r.Raw, x.says, name)
		if n := x.fields["note"]; n != nil && len(n[0]) < 100 {
			assert.Contains(t, r.Raw, strings.ReplaceAll(n[0], "<b>", "&lt;b&gt;"), "what was typed is not lost")
		}
	}
	a := c.signIn("ansel")
	v := a.call("GET", at, nil)
	assert.Empty(t, v.Body["followUps"], "a refusal writes nothing")
	assert.Empty(t, v.Body["photos"])

	r := send(map[string][]string{"done": {days[0]}, "word": {"better"}, "counts": {"12, 10 15 9 14"}, "note": {`all well <script>alert(1)</script>`}}, aPicture(t))
	require.Equal(t, 303, r.Status, r.Raw)
	page = c.call("GET", "/p/"+token+"?told=1", nil).Raw
	assert.Contains(t, page, "Thank you, the desk has it.")
	assert.NotContains(t, page, "<script>")
	assert.Contains(t, page, "tick ticked")
	v = a.call("GET", at, nil)
	told := v.Body["followUps"].([]any)[0].(map[string]any)
	assert.Equal(t, "the grower", told["by"])
	assert.Equal(t, "better", told["result"].(map[string]any)["word"])
	pic := v.Body["photos"].([]any)[0].(map[string]any)
	assert.NotContains(t, pic["name"], "/")
	assert.NotContains(t, pic["name"], "<")

	var rounds struct {
		Rows []struct{ ID, Kind, Told string }
	}
	require.NoError(t, json.Unmarshal([]byte(a.call("GET", "/api/v1/rounds", nil).Raw), &rounds))
	assert.Equal(t, "answered", rounds.Rows[0].Kind)
	assert.True(t, strings.HasSuffix(at, rounds.Rows[0].ID))

	// What an advisor writes down is not for the page.
	noted := a.call("POST", at+"/followup", map[string]any{"note": "sounded cross"}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, noted.Status, noted.Raw)
	assert.NotContains(t, c.call("GET", "/p/"+token+"?told=1", nil).Raw, "sounded cross")
	require.Equal(t, 422, a.call("POST", at+"/next", map[string]any{}, "If-Match", noted.Header.Get("ETag")).Status, "a note alone advises nothing")
	again, kind := form(t, map[string][]string{"word": {"better"}, "counts": {"12, 10 15 9 14"}}, "")
	require.Equal(t, 303, c.call("POST", "/p/"+token, again, "Content-Type", kind).Status)
	v = a.call("GET", at, nil)
	list := v.Body["followUps"].([]any)
	told = list[len(list)-1].(map[string]any)

	next := told["next"].(map[string]any)["move"]
	assert.Equal(t, "repeat", next, "it works and more is left than is borne")
	v = a.call("POST", at+"/next", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, v.Status, v.Raw)
	assert.Equal(t, "ready", v.Body["stage"], "the next round has its days and waits to be handed over")
	assert.NotEmpty(t, v.Body["days"].(map[string]any)["on"])
}

// An address opens one case, and nothing once it is taken back or its time is over.
func TestAnAddressThatEnds(t *testing.T) {
	c := newDesk(t)
	at, token, _ := c.soaped(t, "Ilse", 4, 5)
	_, other, _ := c.soaped(t, "Corin", 4, 5)
	assert.NotContains(t, c.call("GET", "/p/"+other, nil).Raw, "Ilse")
	a := c.signIn("ansel")
	v := a.call("GET", at, nil)
	assert.Equal(t, 403, c.signIn("wren").call("POST", at+"/page/end", map[string]any{}, "If-Match", v.Header.Get("ETag")).Status)
	v = a.call("POST", at+"/page/end", map[string]any{}, "If-Match", v.Header.Get("ETag"))
	require.Equal(t, 200, v.Status, v.Raw)
	for _, path := range []string{"/p/" + token, "/p/" + token + "/days.ics", "/api/v1/page/" + token} {
		assert.Equal(t, 404, c.call("GET", path, nil).Status, path)
	}
	body, kind := form(t, map[string][]string{"note": {"anybody there?"}}, "")
	assert.Equal(t, 404, c.call("POST", "/p/"+token, body, "Content-Type", kind).Status)
	assert.Equal(t, 200, c.call("GET", "/p/"+other, nil).Status)
	*c.now = c.now.AddDate(0, 0, 201)
	assert.Equal(t, 404, c.call("GET", "/p/"+other, nil).Status, "its time is over")
}

// Somebody who sends without end is asked to wait, and the others are not.
func TestAPageThatTellsWithoutEnd(t *testing.T) {
	c := newDesk(t)
	_, token, _ := c.soaped(t, "Ilse", 4, 5)
	_, other, _ := c.soaped(t, "Corin", 4, 5)
	last := 0
	for i := range 14 {
		body, kind := form(t, map[string][]string{"note": {fmt.Sprint("again ", i)}}, "")
		last = c.call("POST", "/p/"+token, body, "Content-Type", kind).Status
	}
	assert.Equal(t, 429, last)
	body, kind := form(t, map[string][]string{"word": {"better"}}, "")
	assert.Equal(t, 303, c.call("POST", "/p/"+other, body, "Content-Type", kind).Status)
}
