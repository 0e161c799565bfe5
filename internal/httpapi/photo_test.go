package httpapi_test

import (
	"bytes"
	"encoding/json"
	"image"
	"image/png"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func aPicture(t *testing.T) string {
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, image.NewRGBA(image.Rect(0, 0, 30, 20))))
	return b.String()
}

func TestAPictureIsKeptShownUndoneAndRefused(t *testing.T) {
	c := newDesk(t).signIn("ansel")
	id := c.checkIn().Body["id"].(string)
	at := "/api/v1/cases/" + id + "/photos"
	send := func(body, name, version string) answer {
		return c.call("POST", at+"?name="+name, body, "Content-Type", "application/octet-stream", "If-Match", version)
	}

	a := send(aPicture(t), "..%2F..%2Fetc%2Fbean%20leaf.png", "1")
	require.Equal(t, 200, a.Status, a.Raw)
	photos := a.Body["photos"].([]any)
	require.Len(t, photos, 1)
	p := photos[0].(map[string]any)
	assert.Equal(t, "bean leaf.png", p["name"])
	assert.EqualValues(t, 30, p["width"])

	got := c.call("GET", at+"/"+p["id"].(string), nil)
	assert.Equal(t, 200, got.Status)
	assert.Equal(t, "image/jpeg", got.Header.Get("Content-Type"))
	assert.True(t, strings.HasPrefix(got.Raw, "\xff\xd8"), "always a JPEG")

	other := c.checkIn().Body["id"].(string)
	assert.Equal(t, 404, c.call("GET", "/api/v1/cases/"+other+"/photos/"+p["id"].(string), nil).Status, "no other case's picture")
	anon := *c
	anon.cookie = ""
	assert.Equal(t, 401, anon.call("GET", at+"/"+p["id"].(string), nil).Status)

	for name, x := range map[string]struct {
		body   string
		status int
		word   string
	}{
		"no picture": {"<html>", 422, "JPEG, PNG or WebP"},
		"nothing":    {"", 422, ""},
		"too large":  {strings.Repeat("x", 10<<20+1), 422, "10 MB"},
	} {
		bad := send(x.body, "x.jpg", "2")
		assert.Contains(t, []int{x.status, 400, 413}, bad.Status, "%s: %s", name, bad.Raw)
		assert.Contains(t, bad.Raw, x.word, name)
	}
	assert.Equal(t, 412, send(aPicture(t), "x.png", "1").Status, "a stale version keeps nothing")
	view := c.call("GET", "/api/v1/cases/"+id, nil)
	assert.Len(t, view.Body["photos"], 1, "refused pictures changed nothing")

	gone := c.call("DELETE", at+"/"+p["id"].(string), nil, "If-Match", "2")
	require.Equal(t, 200, gone.Status, gone.Raw)
	assert.Empty(t, gone.Body["photos"])
	back := c.call("POST", "/api/v1/cases/"+id+"/undo", map[string]any{}, "If-Match", "3")
	require.Equal(t, 200, back.Status, back.Raw)
	assert.Len(t, back.Body["photos"], 1, "undo brings the picture back")
	for range 7 {
		view = c.call("GET", "/api/v1/cases/"+id, nil)
		send(aPicture(t), "more.png", strings.Trim(view.Header.Get("ETag"), `"`))
	}
	view = c.call("GET", "/api/v1/cases/"+id, nil)
	full := send(aPicture(t), "ninth.png", strings.Trim(view.Header.Get("ETag"), `"`))
	assert.Equal(t, 422, full.Status)
	assert.Contains(t, full.Raw, "8 pictures already")
}

func TestBrowseByPlantAndBySight(t *testing.T) {
	c := newDesk(t).signIn("wren")
	a := c.call("GET", "/api/v1/browse?host=rose&seen=spots%3Dfeathery", nil)
	require.Equal(t, 200, a.Status, a.Raw)
	var list []map[string]any
	require.NoError(t, json.Unmarshal([]byte(a.Raw), &list))
	require.NotEmpty(t, list)
	assert.Equal(t, "rose-black-spot", list[0]["cause"])
	bad := c.call("GET", "/api/v1/browse?seen=spots%3Dgreen", nil)
	assert.Equal(t, 422, bad.Status)
	assert.Contains(t, bad.faults(), "seen[0]")
}
