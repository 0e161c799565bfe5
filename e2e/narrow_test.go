package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// overflow names what reaches past the page's right edge.
const overflow = `JSON.stringify([...document.querySelectorAll('body *')].filter(e => {
  const r = e.getBoundingClientRect(), s = getComputedStyle(e);
  return r.width > 0 && r.height > 0 && s.visibility !== 'hidden' && (r.right > innerWidth + 1 || r.left < -1) && !e.closest('.vh, .skip, svg, [aria-hidden=true], .MuiSnackbar-root');
}).slice(0, 6).map(e => e.tagName + '.' + (e.className?.baseVal ?? e.className) + ' ' + Math.round(e.getBoundingClientRect().right) + ' ' + (e.innerText ?? '').slice(0, 30)))`

// On a narrow telephone every room is read by scrolling down alone, and every
// peg of the rail is in sight.
func TestEveryRoomFitsANarrowPage(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 390, 800)
	p.signIn("odile")
	fits := func(room string) {
		t.Helper()
		var over string
		p.eval(overflow, &over)
		var list []string
		require.NoError(t, json.Unmarshal([]byte(over), &list))
		assert.Empty(t, list, room)
		var wide bool
		p.eval(`document.scrollingElement.scrollWidth > innerWidth || [...document.querySelectorAll('main, .rail, .steps, .tags')].some(e => e.scrollWidth > e.clientWidth + 1)`, &wide)
		assert.False(t, wide, "%s scrolls sideways", room)
		if dir := os.Getenv("BOTANIK_NARROW"); dir != "" {
			p.shot(filepath.Join(dir, room+".png"))
		}
	}
	p.see(`.tag[data-plant="Pelargonium"]`)
	p.see(`.ask`)
	fits("counter")
	var id string
	p.eval(`document.querySelector('.tag[data-plant="Pelargonium"]').getAttribute('href').split('/')[2]`, &id)
	for _, step := range []string{"in", "look", "verdict", "act", "remedy", "mix", "days", "handover", "story"} {
		p.open(fmt.Sprintf("/bench/%s/%s", id, step))
		p.see("nav.steps a.on")
		p.settled()
		fits("bench-" + step)
	}
	for room, seen := range map[string]string{"bench": ".tags", "mixing": "main h1", "scope": "[data-leader]", "scope/ratio": "[data-where]", "scope/calibrate": "[data-calibrations]", "plates": "main h1", "plates/two-spotted-mite": "main h1", "house": "[data-people] li", "rounds": "[data-script]", "spray-days/lately": "[data-since]", "spray-days/winter": "[data-winter]", "spray-days/weather": "[data-weather-files]"} {
		p.open("/" + room)
		p.see(seen)
		p.settled()
		fits(filepath.Base(room))
	}
}

// settled waits until nothing is being fetched and what was has been drawn.
func (p *page) settled() {
	p.t.Helper()
	p.until("the page to settle", `document.readyState === 'complete' && !document.body.innerText.includes('One moment') && !document.body.innerText.includes('Fetching the sample')`)
}
