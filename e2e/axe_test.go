package e2e

import (
	"encoding/json"
	"fmt"
	"os"
	"testing"

	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// A sight is how a room is looked at: how wide, and in which light.
type sight struct {
	width int64
	shade string
}

// sights are all six through make axe; otherwise the two ends in turn, room by room.
func sights(room int) []sight {
	if os.Getenv("BOTANIK_AXE") == "" {
		return []sight{{1280, "light"}, {320, "dark"}}[room%2 : room%2+1]
	}
	var all []sight
	for _, w := range []int64{1280, 390, 320} {
		all = append(all, sight{w, "light"}, sight{w, "dark"})
	}
	return all
}

// inLight puts the page into a shade, by its own button where it has one.
func (p *page) inLight(shade string) {
	p.t.Helper()
	p.do(emulation.SetEmulatedMedia().WithFeatures([]*emulation.MediaFeature{{Name: "prefers-color-scheme", Value: shade}, {Name: "prefers-reduced-motion", Value: "reduce"}}))
	var other bool
	p.eval(fmt.Sprintf(`(b => { if (b && document.documentElement.dataset.theme !== %q) { b.click(); return true } return false })(document.querySelector('[aria-label="Dark theme"], [aria-label="Light theme"]'))`, shade), &other)
	if other {
		p.until("the shade to change", fmt.Sprintf(`document.documentElement.dataset.theme === %q`, shade))
	}
}

// axe reads every room and step for people who cannot see it well, wide and narrow,
// light and dark: no finding at all, best practice included.
func TestAxeFindsNothing(t *testing.T) {
	t.Parallel()
	src, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err)
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	rooms := 0
	check := func(name string) {
		t.Helper()
		rooms++
		p.settled()
		// Of a hundred like things the first few tell, and the strokes of a drawing say nothing
		// beside its name: axe takes minutes over all.
		p.do(chromedp.Evaluate(`document.querySelectorAll('.plates > :nth-child(n+9), .contact > :nth-child(n+9)').forEach(e => e.remove());
			document.querySelectorAll('svg :is(path, circle, ellipse, rect, line, polygon, polyline, use):not([role], [tabindex], [aria-label], a *)').forEach(e => e.remove()); 0`, nil))
		p.do(chromedp.Evaluate(string(src)+";0", nil))
		for _, s := range sights(rooms) {
			p.do(chromedp.EmulateViewport(s.width, 800))
			p.inLight(s.shade)
			p.until("colours to stand still", `document.getAnimations().every(a => a.playState !== 'running')`)
			p.drawn()
			var raw string
			p.do(chromedp.Evaluate(`axe.run(document, {resultTypes: ['violations']}).then(r => JSON.stringify(r.violations.map(v => ({id: v.id, impact: v.impact, help: v.help, at: v.nodes.slice(0, 3).map(n => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? ''))}))))`, &raw, chromedp.EvalAsValue, awaitPromise))
			var found []map[string]any
			require.NoError(t, json.Unmarshal([]byte(raw), &found))
			for _, f := range found {
				t.Errorf("%s, %d %s: %v (%v): %v\n%v", name, s.width, s.shade, f["id"], f["impact"], f["help"], f["at"])
			}
		}
		p.do(chromedp.EmulateViewport(1280, 800))
		p.inLight("light")
	}
	p.open("/")
	p.see("input[name=login]")
	check("sign in")
	p.signIn("odile")
	p.read("Ask how it went")
	check("counter")
	p.press("/")
	p.focusIn(`[role=dialog]`)
	check("find")
	p.do(chromedp.KeyEvent("\x1b"))
	p.until("the dialog to close", `!document.querySelector('[role=dialog]')`)
	p.press("?")
	p.see(`[role=dialog] table`)
	check("keys")
	p.do(chromedp.KeyEvent("\x1b"))
	p.until("the dialog to close", `!document.querySelector('[role=dialog]')`)
	p.openCase("Ilse Marrow")
	for _, s := range []string{"in", "look", "verdict", "story"} {
		p.step(s)
		p.see("main")
		check(s)
	}
	p.openCase("Fergus Lane")
	for _, s := range []string{"act", "remedy", "mix", "days", "handover", "story"} {
		p.step(s)
		p.see("main")
		check(s)
	}
	p.step("handover")
	p.see(`[data-grower-page]`)
	var link string
	p.eval(`document.querySelector('[data-grower-page]').getAttribute('href')`, &link)
	p.open(link)
	p.see(`.paper`)
	check("grower's page")
	rest := []string{"/scope", "/scope/ratio", "/scope/picture", "/mixing", "/spray-days", "/spray-days/lately", "/spray-days/winter", "/spray-days/weather", "/rounds", "/rounds/whose", "/rounds/day", "/season", "/season/find", "/season/records", "/drill", "/drill/case", "/drill/you", "/plates", "/plates/latania-scale", "/house", "/bench"}
	if len(sights(0)) > 1 { // like one of those above: in make axe alone
		rest = append(rest, "/scope/calibrate", "/tags", "/plates/compare?cause=two-spotted-mite&cause=red-mite", "/plates/sheet")
	}
	for _, path := range rest {
		p.open(path)
		p.until("the room to be drawn", `document.querySelector('main h1')`)
		check(path)
	}
	t.Logf("%d rooms and steps, %d ways each", rooms, len(sights(0)))
}
