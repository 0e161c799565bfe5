package camera_test

import (
	"bytes"
	"context"
	"image/jpeg"
	"net/http"
	"net/http/httptest"
	"testing"

	"botanik/herbarium"
	"botanik/internal/camera"
	"botanik/internal/simulated"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func client(at string) *camera.Client {
	return camera.New(simulated.NewScopeCamera(herbarium.Embedded().SlideKey), func(context.Context) (string, error) { return at, nil })
}

// The stand-in in the process and a bridge over the network speak the same protocol.
func TestStandInAndBridgeAnswerAlike(t *testing.T) {
	ctx := context.Background()
	bridge := httptest.NewServer(simulated.NewScopeCamera(herbarium.Embedded().SlideKey))
	defer bridge.Close()
	frames := [][]byte{}
	for _, at := range []string{"", bridge.URL, bridge.URL + "/"} {
		c := client(at)
		s, err := c.State(ctx)
		require.NoError(t, err)
		assert.Contains(t, s.Kind, "simulated")
		assert.Greater(t, len(s.Slides), 20)
		s, err = c.Set(ctx, camera.DeviceChange{Slide: "4", Objective: "10x"})
		require.NoError(t, err)
		assert.Equal(t, "10x", s.Objective)
		f, err := c.Frame(ctx)
		require.NoError(t, err)
		assert.Equal(t, "10x", f.Objective)
		img, err := jpeg.Decode(bytes.NewReader(f.JPEG))
		require.NoError(t, err)
		assert.Equal(t, 960, img.Bounds().Dx())
		frames = append(frames, f.JPEG)
		_, err = c.Set(ctx, camera.DeviceChange{Objective: "63x"})
		assert.ErrorContains(t, err, "refused it")
		_, err = c.Set(ctx, camera.DeviceChange{Slide: "nine"})
		assert.ErrorContains(t, err, "refused it")
		s, err = c.State(ctx)
		require.NoError(t, err)
		assert.Equal(t, "10x", s.Objective, "what was refused changed nothing")
	}
	assert.Equal(t, frames[0], frames[1], "the same slide gives the same frame")
}

func TestABridgeThatDoesNotKeepToTheProtocol(t *testing.T) {
	ctx := context.Background()
	for what, h := range map[string]http.HandlerFunc{
		"did not answer with its state": func(w http.ResponseWriter, _ *http.Request) { _, _ = w.Write([]byte("<html>")) },
		"refused it (409)":              func(w http.ResponseWriter, _ *http.Request) { http.Error(w, "no film", http.StatusConflict) },
		"sent too much":                 func(w http.ResponseWriter, _ *http.Request) { _, _ = w.Write(make([]byte, 2<<20)) },
	} {
		b := httptest.NewServer(h)
		_, err := client(b.URL).State(ctx)
		assert.ErrorContains(t, err, what)
		assert.NotContains(t, err.Error(), "film", "what it says in words may be anybody's")
		b.Close()
	}
	b := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) { _, _ = w.Write([]byte("GIF89a")) }))
	defer b.Close()
	_, err := client(b.URL).Frame(ctx)
	assert.ErrorContains(t, err, "no JPEG")
	_, err = client("http://127.0.0.1:1").State(ctx)
	assert.ErrorContains(t, err, "cannot be reached")
	for _, bad := range []string{"ftp://x", "x", "http://", "http://a:b@x", "http://x?y=1"} {
		assert.ErrorContains(t, camera.Address(bad), "address", bad)
	}
	_, err = camera.New(nil, func(context.Context) (string, error) { return "", nil }).State(ctx)
	assert.ErrorContains(t, err, "not named", "nothing stands in for it on a real desk")
	assert.NoError(t, camera.Address(""))
	assert.NoError(t, camera.Address("http://192.168.1.20:8600"))
}
