package e2e

import (
	"io"
	"net/http"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The script of the first screen is at most 220 kB as it travels; the kit of
// drawings and the other rooms come only when they are opened.
func TestTheFirstScreenStaysLight(t *testing.T) {
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.open("/")
	p.read("Ask how it went")
	const weigh = `Math.round(performance.getEntriesByType('resource').filter(r => r.name.endsWith('.js')).reduce((n, r) => n + r.encodedBodySize, 0) / 1000)`
	var counter, look int
	p.eval(weigh, &counter)
	assert.Positive(t, counter)
	assert.LessOrEqual(t, counter, 220, "kB of script before the counter stands")
	p.openCase("Ilse Marrow")
	p.step("look")
	p.see(`[data-sample]`)
	p.eval(weigh, &look)
	assert.Greater(t, look, counter, "the bench should bring its own script")
	t.Logf("counter %d kB, with the bench %d kB", counter, look)
}

// Whoever runs the desk can read the licences of all that ships inside it: in the page and at
// the terminal, fonts and packages of both sides among them.
func TestTheLicencesShipWithTheProgram(t *testing.T) {
	d := start(t)
	res, err := http.Get("http://" + d.addr + "/licences.txt")
	require.NoError(t, err)
	defer func() { _ = res.Body.Close() }()
	text, err := io.ReadAll(res.Body)
	require.NoError(t, err)
	assert.Contains(t, res.Header.Get("Content-Type"), "text/plain")
	for _, part := range []string{"SIL OPEN FONT LICENSE", "@mui/material", "github.com/gofiber/fiber/v3", "Go runtime"} {
		assert.Contains(t, string(text), part)
	}
}
