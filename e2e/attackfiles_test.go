package e2e

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// zipped is an archive of one file that is written without being held.
func zipped(t *testing.T, name string, write func(w io.Writer) error, more map[string]string) []byte {
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	w, err := z.Create(name)
	require.NoError(t, err)
	require.NoError(t, write(w))
	for n, text := range more {
		w, err := z.Create(n)
		require.NoError(t, err)
		_, err = io.WriteString(w, text)
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

// of gives one text so many times.
func of(text string, times int) func(io.Writer) error {
	return func(w io.Writer) error {
		block := []byte(strings.Repeat(text, 1024))
		for n := times / 1024; n > 0; n-- {
			if _, err := w.Write(block); err != nil {
				return err
			}
		}
		return nil
	}
}

// aBundle is a bundle of one file, whose manifest holds.
func aBundle(t *testing.T, name string, write func(io.Writer) error) []byte {
	sum, n := sha256.New(), &counting{}
	require.NoError(t, write(io.MultiWriter(sum, n)))
	manifest, err := json.Marshal(map[string]any{"format": "botanik-bundle", "version": 1, "desk": "A stranger", "made": "2026-07-01T00:00:00Z", "files": map[string]any{name: map[string]any{"bytes": n.n, "sha256": hex.EncodeToString(sum.Sum(nil))}}})
	require.NoError(t, err)
	return zipped(t, name, write, map[string]string{"manifest.json": string(manifest)})
}

type counting struct{ n int64 }

func (c *counting) Write(p []byte) (int, error) { c.n += int64(len(p)); return len(p), nil }

// bring sends a file in parts and answers its id.
func (c *caller) bring(raw []byte) (string, error) {
	out, _, status, err := c.send("POST", "/api/v1/imports", map[string]any{"name": "records"})
	if err != nil {
		return "", err
	}
	if status != http.StatusOK {
		return "", fmt.Errorf("%d %v", status, out)
	}
	id := out["id"].(string)
	for at := 0; at < len(raw); at += 2 << 20 {
		out, _, status, err := c.send("PUT", fmt.Sprintf("/api/v1/imports/%s?offset=%d", id, at), raw[at:min(len(raw), at+2<<20)], "Content-Type", "application/octet-stream")
		if err != nil || status != http.StatusOK {
			return "", fmt.Errorf("%d %v %w", status, out, err)
		}
	}
	return id, nil
}

// ended waits until no long work is going on and answers the newest.
func (c *caller) ended() map[string]any {
	var last map[string]any
	require.Eventually(c.t, func() bool {
		req, err := http.NewRequest("GET", c.base+"/api/v1/jobs", nil)
		require.NoError(c.t, err)
		req.Header.Set("Cookie", c.cookie)
		resp, err := c.c.Do(req)
		if err != nil {
			return false
		}
		defer func() { _ = resp.Body.Close() }()
		list := []map[string]any{}
		if json.NewDecoder(resp.Body).Decode(&list) != nil || len(list) == 0 {
			return false
		}
		for _, j := range list {
			if j["state"] == "running" {
				return false
			}
		}
		last = list[0]
		return true
	}, 3*patience, 50*time.Millisecond)
	return last
}

// Files that grow: lines, cells, brackets and rows without end, one after the other and
// twelve at once. Each is refused in words, in 300 MB together, and the desk goes on.
func TestAFloodOfFilesStaysInsideItsMemory(t *testing.T) {
	d := own(t)
	c := d.caller()
	start := d.peak()
	big := attack(24, 200) << 20
	for _, x := range []struct {
		name string
		raw  []byte
	}{
		{"a bundle's line", aBundle(t, "cases.jsonl", of("x", big))},
		{"a bundle's setting", aBundle(t, "settings.jsonl", of("[", big/2))},
		{"brackets in a sheet", zipped(t, "causes/x.yaml", of("[", big/20), nil)},
		{"aliases in a sheet", zipped(t, "causes/x.yaml", of("- &a [*a]\n", big/400), nil)},
		{"a cell of a card", append([]byte("number,date,plant\n1,2024-01-01,"), bytes.Repeat([]byte("x"), big/4)...)},
		{"cells of a card", append([]byte("number,date,plant\n"), bytes.Repeat([]byte(","), big/4)...)},
		{"a quote that never ends", append([]byte("number,date,plant\n1,2024-01-01,\""), bytes.Repeat([]byte("\n"), big/4)...)},
	} {
		id, err := c.bring(x.raw)
		require.NoError(t, err, x.name)
		out, _, status, err := c.send("POST", "/api/v1/imports/"+id+"/read", map[string]any{})
		require.NoError(t, err, x.name)
		if status == http.StatusOK { // what is refused line by line is so when it is kept
			_, _, status, err = c.send("POST", "/api/v1/imports/"+id+"/keep", map[string]any{})
			require.NoError(t, err, x.name)
			if status == http.StatusOK {
				j := c.ended()
				assert.Equal(t, "failed", j["state"], "%s: %v", x.name, j)
				assert.NotContains(t, j["said"], "our mistake", x.name)
				status = http.StatusUnprocessableEntity
			}
		}
		assert.Equal(t, http.StatusUnprocessableEntity, status, "%s: %v", x.name, out)
		t.Logf("%s: %d MB", x.name, d.peak())
	}
	text := "time,temp_c,humidity,wind_ms,rain_mm\n" + strings.Repeat(",", 7_900_000)
	var wg sync.WaitGroup
	for range attack(4, 12) {
		wg.Go(func() {
			_, _, status, err := c.send("POST", "/api/v1/weather/read", map[string]any{"name": "x", "text": text})
			if assert.NoError(t, err) {
				assert.Contains(t, []int{http.StatusUnprocessableEntity, http.StatusRequestEntityTooLarge, http.StatusServiceUnavailable}, status)
			}
		})
	}
	wg.Wait()
	t.Logf("weather of commas at once: %d -> %d MB", start, d.peak())
	assert.Less(t, d.peak(), 300)
	assert.Empty(t, c.growers(), "and nothing of it was kept")
	_, status, err := c.checkIn("Ilse", "after-the-flood")
	require.NoError(t, err)
	assert.Equal(t, 201, status)
}

// Killed in the middle of an import, of a copy, of forgetting somebody: the desk opens by
// itself, what was acknowledged is there, and of what was not ended there is nothing.
func TestKilledInLongWorkLeavesNoHalf(t *testing.T) {
	d := own(t)
	var cards strings.Builder
	cards.WriteString("number,date,plant,grower,story\n")
	n := attack(3000, 20_000)
	for i := range n {
		fmt.Fprintf(&cards, "C-%d,2024-05-%02d,bean,Card %d,neighbour of Perpetua Lodd\n", i, 1+i%28, i)
	}
	c := d.caller()
	_, status, err := c.checkIn("Perpetua Lodd", "who-is-forgotten")
	require.NoError(t, err)
	require.Equal(t, 201, status)
	torn := 0
	for kill := range attack(3, 12) {
		c = d.caller()
		id, err := c.bring([]byte(cards.String()))
		require.NoError(t, err)
		_, _, status, err := c.send("POST", "/api/v1/imports/"+id+"/keep", map[string]any{})
		require.NoError(t, err)
		require.Equal(t, 200, status)
		_, _, _, _ = c.send("POST", "/api/v1/keeping/now", map[string]any{}) // a copy meanwhile
		time.Sleep(time.Duration(kill*137%900) * time.Millisecond)           // anywhere in it: every point has to do
		d.stop(syscall.SIGKILL)
		d.run()
		c = d.caller()
		found := c.growers()
		assert.Equal(t, 1, found["Perpetua Lodd"])
		if len(found) != 1 { // it was done before it was killed: taken out again, whole
			assert.Len(t, found, n+1, "all of them or none")
			c.undoLast()
			assert.Len(t, c.growers(), 1)
		} else {
			torn++
		}
		for _, left := range []string{"work/*", "backups/*.part*"} {
			files, err := filepath.Glob(filepath.Join(d.dir, left))
			require.NoError(t, err)
			assert.Empty(t, files)
		}
	}
	t.Logf("%d imports were torn", torn)

	id, err := c.bring([]byte(cards.String()))
	require.NoError(t, err)
	_, _, status, err = c.send("POST", "/api/v1/imports/"+id+"/keep", map[string]any{})
	require.NoError(t, err)
	require.Equal(t, 200, status)
	require.Equal(t, "done", c.ended()["state"])
	who := ""
	req, err := http.NewRequest("GET", c.base+"/api/v1/growers?q=lodd", nil)
	require.NoError(t, err)
	req.Header.Set("Cookie", c.cookie)
	resp, err := c.c.Do(req)
	require.NoError(t, err)
	list := []map[string]any{}
	require.NoError(t, json.NewDecoder(resp.Body).Decode(&list))
	_ = resp.Body.Close()
	for _, g := range list {
		if g["name"] == "Perpetua Lodd" {
			who, _ = g["id"].(string)
		}
	}
	require.NotEmpty(t, who)
	go func() { _, _, _, _ = c.send("POST", "/api/v1/growers/forget", map[string]any{"person": who}) }()
	time.Sleep(80 * time.Millisecond)
	d.stop(syscall.SIGKILL)
	d.run()
	c = d.caller()
	_, _, status, err = c.send("POST", "/api/v1/growers/forget", map[string]any{"person": who})
	require.NoError(t, err)
	assert.Contains(t, []int{200, 422}, status, "done now, or it was done before")
	out, _, _, err := c.send("GET", "/api/v1/find?words=lodd", nil)
	require.NoError(t, err)
	assert.EqualValues(t, 0, out["n"])
	assert.Len(t, c.growers(), n+1, "the cases stay")
}

// undoLast takes the newest batch out again.
func (c *caller) undoLast() {
	req, err := http.NewRequest("GET", c.base+"/api/v1/imports", nil)
	require.NoError(c.t, err)
	req.Header.Set("Cookie", c.cookie)
	resp, err := c.c.Do(req)
	require.NoError(c.t, err)
	defer func() { _ = resp.Body.Close() }()
	list := []map[string]any{}
	require.NoError(c.t, json.NewDecoder(resp.Body).Decode(&list))
	require.NotEmpty(c.t, list)
	_, _, status, err := c.send("POST", fmt.Sprintf("/api/v1/imports/%v/undo", list[0]["id"]), map[string]any{})
	require.NoError(c.t, err)
	require.Equal(c.t, 200, status)
}
