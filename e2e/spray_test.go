package e2e

import (
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// The week hour by hour: the best hours first, every reason by keys, what flowers change,
// and what holds in a room.
func TestTheSprayWeekSaysWhenAndWhyNot(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.press("5")
	p.see(`[data-spray-week=soap] .hourweek`)
	var cells, before, after int
	p.eval(`document.querySelectorAll('.hourweek button').length`, &cells)
	assert.GreaterOrEqual(t, cells, 7*23)
	p.see(`[data-hour]`)
	var was, is string
	p.eval(`document.querySelector('.hourweek button[aria-pressed=true]').getAttribute('aria-label')`, &was)
	p.press(kb.ArrowDown, kb.ArrowRight)
	p.eval(`document.querySelector('.hourweek button[aria-pressed=true]').getAttribute('aria-label')`, &is)
	assert.NotEqual(t, was, is)
	good := `document.querySelectorAll('.hourweek button[data-says=good]').length`
	p.eval(good, &before)
	p.press("f")
	p.see(`[data-chip=bloom][aria-checked=true]`)
	p.see(`[data-spray-week=soap]`)
	p.eval(good, &after)
	assert.LessOrEqual(t, after, before, "flowers never make an hour better")
	// Every hour that is not good says why.
	var silent int
	p.eval(`[...document.querySelectorAll('.hourweek button:not([data-says=good])')].filter(b => !b.getAttribute('aria-label').includes('.')).length`, &silent)
	assert.Zero(t, silent)
	p.click(`[data-chip=indoors]`)
	p.read("Lights and fans off")
}
