package e2e

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/require"
)

// axe reads every room for people who cannot see it well.
func TestAxeFindsNothingSerious(t *testing.T) {
	t.Parallel()
	src, err := os.ReadFile("../web/node_modules/axe-core/axe.min.js")
	require.NoError(t, err)
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	check := func(name string) {
		t.Helper()
		var raw string
		p.do(chromedp.Evaluate(string(src)+";0", nil))
		p.do(chromedp.Evaluate(`axe.run(document, {resultTypes: ['violations']}).then(r => JSON.stringify(r.violations.filter(v => ['serious', 'critical'].includes(v.impact)).map(v => ({id: v.id, help: v.help, at: v.nodes.slice(0, 3).map(n => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? ''))}))))`, &raw, chromedp.EvalAsValue, awaitPromise))
		var found []map[string]any
		require.NoError(t, json.Unmarshal([]byte(raw), &found))
		for _, f := range found {
			t.Errorf("%s: %v: %v\n%v", name, f["id"], f["help"], f["at"])
		}
	}
	p.open("/")
	p.see("input[name=login]")
	check("sign in")
	p.signIn("ansel")
	p.read("Ask how it went")
	check("counter")
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
	for _, path := range []string{"/mixing", "/plates", "/plates/latania-scale", "/plates/compare?cause=two-spotted-mite&cause=red-mite", "/plates/sheet", "/house", "/bench"} {
		p.open(path)
		p.see("main")
		check(path)
	}
	p.open("/")
	p.read("Ask how it went")
	p.do(chromedp.Evaluate(`localStorage.setItem('botanik.shade', 'dark')`, nil))
	p.open("/")
	p.read("Ask how it went")
	check("dark counter")
	p.openCase("Ilse Marrow")
	p.step("look")
	p.see(`[data-sample]`)
	check("dark look")
	p.open("/plates/two-spotted-mite")
	p.see(`[data-plate]`)
	check("dark plate")
}
