package device_test

import (
	"net/http"
	"net/http/httptest"
	"testing"
	"time"

	"botanik/internal/device"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestWhatIsAnAddress(t *testing.T) {
	for _, good := range []string{"", "http://192.168.1.20:8600", "https://desk.example", "http://[::1]:8080/at/it"} {
		assert.NoError(t, device.Address("x", good, "a camera", "mend", "http", "https"), good)
	}
	for _, bad := range []string{"ftp://x", "x", "http://", "http://a:b@x", "http://u@x", "http://x?y=1", "http://x?", "http://x#", "http://x#y", "http://x:99999", "http://x:0", "http://x:", `https://x/"><script>`, "http://x y", "file:///etc/passwd", "javascript:alert(1)", "http://x/a b"} {
		assert.ErrorContains(t, device.Address("x", bad, "a camera", "mend", "http", "https"), "no address", bad)
	}
}

// A bridge that answers with another address leads nowhere, whatever the method.
func TestNoRedirectIsFollowed(t *testing.T) {
	reached := 0
	inside := httptest.NewServer(http.HandlerFunc(func(http.ResponseWriter, *http.Request) { reached++ }))
	defer inside.Close()
	for _, status := range []int{http.StatusMovedPermanently, http.StatusFound, http.StatusTemporaryRedirect, http.StatusPermanentRedirect} {
		bridge := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			http.Redirect(w, r, inside.URL, status)
		}))
		c := device.Client(5 * time.Second)
		for _, method := range []string{http.MethodGet, http.MethodPut} {
			req, err := http.NewRequestWithContext(t.Context(), method, bridge.URL, nil)
			require.NoError(t, err)
			a, err := c.Do(req)
			require.NoError(t, err)
			assert.Equal(t, status, a.StatusCode)
			_ = a.Body.Close()
		}
		bridge.Close()
	}
	assert.Zero(t, reached)
}
