package e2e

import (
	"testing"

	"github.com/stretchr/testify/assert"
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
