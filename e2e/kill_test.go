package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"net/http/cookiejar"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Killed without warning in the middle of writing, the desk has lost nothing
// it had acknowledged, and opens again by itself.
func TestKilledWhileWritingLosesNothingAcknowledged(t *testing.T) {
	d := start(t)
	jar, err := cookiejar.New(nil)
	require.NoError(t, err)
	c := &http.Client{Jar: jar, Timeout: 10 * time.Second}
	base := "http://" + d.addr + "/api/v1"
	send := func(method, path string, body any, key, token string) (map[string]any, int) {
		raw, _ := json.Marshal(body)
		req, err := http.NewRequest(method, base+path, bytes.NewReader(raw))
		require.NoError(t, err)
		req.Header.Set("Content-Type", "application/json")
		req.Header.Set("X-Botanik-Token", token)
		if key != "" {
			req.Header.Set("Idempotency-Key", key)
		}
		resp, err := c.Do(req)
		if err != nil {
			return nil, 0
		}
		defer func() { _ = resp.Body.Close() }()
		out := map[string]any{}
		b, err := io.ReadAll(resp.Body)
		if err != nil || json.Unmarshal(b, &out) != nil {
			return nil, 0
		}
		return out, resp.StatusCode
	}
	in, code := send("POST", "/session", map[string]string{"login": "ansel", "password": "merrin-sound"}, "", "")
	require.Equal(t, 200, code)
	token := in["token"].(string)

	var mu sync.Mutex
	kept := map[string]string{}
	var done atomic.Bool
	var wg sync.WaitGroup
	for w := range 4 {
		wg.Go(func() {
			for i := 0; !done.Load(); i++ {
				grower := fmt.Sprintf("Writer %d Number %d", w, i)
				v, code := send("POST", "/cases", map[string]any{"grower": grower, "plant": "bay", "place": "garden", "story": "x"}, fmt.Sprintf("kill-%d-%d", w, i), token)
				if code == 201 {
					mu.Lock()
					kept[v["id"].(string)] = grower
					mu.Unlock()
				}
			}
		})
	}
	time.Sleep(700 * time.Millisecond)
	d.stop(syscall.SIGKILL)
	done.Store(true)
	wg.Wait()
	require.NotEmpty(t, kept)

	d.args = []string{"serve"}
	d.run()
	for id, grower := range kept {
		v, code := send("GET", "/cases/"+id, nil, "", token)
		if assert.Equal(t, 200, code, "acknowledged and gone: %s", grower) {
			assert.Equal(t, grower, v["intake"].(map[string]any)["grower"])
		}
	}
	t.Logf("%d acknowledged before the kill, all there", len(kept))
}
