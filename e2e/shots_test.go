package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/chromedp/cdproto/network"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// TestShots takes the pictures of docs/screenshots; make shots sets where.
func TestShots(t *testing.T) {
	dir := os.Getenv("BOTANIK_SHOTS")
	if dir == "" {
		t.Skip("only with BOTANIK_SHOTS set, through make shots")
	}
	only := os.Getenv("BOTANIK_SHOT")
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	take := func(name string, prepare func()) {
		if only != "" && only != name {
			return
		}
		prepare()
		p.shot(filepath.Join(dir, name+".png"))
	}
	p.signIn("ansel")
	p.read("Ask how it went")
	take("counter", func() {})
	open := func(plant string) {
		p.open("/")
		p.see(`.tag[data-plant="` + plant + `"]`)
		p.click(`.tag[data-plant="` + plant + `"]`)
		p.see("nav.steps")
	}
	step := func(name string) {
		p.click(`nav.steps a[href$="/` + name + `"]`)
	}
	take("bench-look", func() {
		open("Passionflower")
		p.see(".find")
		for _, s := range [][2]string{{"flecks", "many"}, {"walkers", "many"}, {"silk", "none"}, {"touch", "stays"}, {"droppings", "none"}, {"cast-skins", "yes"}} {
			p.mark(s[0], s[1])
		}
		p.press(kb.Escape, "s", kb.Escape, "f", "f")
		p.read("Look next")
	})
	take("bench-verdict", func() {
		open("Passionflower")
		step("verdict")
		p.read("What is it?")
	})
	take("bench-act", func() {
		p.click(`[data-do=settle]`)
		p.fill(`input[name=counts]`, "12 7 31 4 9 16")
		p.read("Mean")
		p.do(chromedp.Evaluate(`(document.activeElement.blur(), window.scrollTo(0, 0), document.querySelector("main")?.scrollTo?.(0, 0))`, nil))
	})
	take("bench-remedy", func() { p.click(`[data-do=act]`); p.see(`.offer`) })
	take("bench-mix", func() {
		for _, r := range []string{"hose-off", "soap"} {
			var on bool
			p.eval(`!!document.querySelector('.offer.on[data-remedy="`+r+`"]')`, &on)
			if !on {
				p.unfold(r)
				p.click(`.offer[data-remedy="` + r + `"] input`)
			}
		}
		p.click(`[data-do=keep-remedy]`)
		p.see(`[data-answer=mix]`)
	})
	take("bench-days", func() {
		p.click(`[data-do=other-days]`)
		p.see(`[data-weeks] svg`)
	})
	take("bench-handover", func() {
		p.click(`[data-do=keep-days]`)
		p.see(`.paper`)
	})
	take("mixing-shelf", func() {
		p.open("/mixing")
		p.read("How much goes in")
		p.choose("mixed", "soap")
		p.fill(`input[name=sprayer]`, "1 L")
		p.fill(`input[name=volume]`, "2.5")
		p.read("2 fillings of 1 L")
	})
	take("scope-key", func() {
		p.open("/scope")
		for _, x := range [][2]string{{"lobes", "three"}, {"plates", "clubbed"}, {"birth-pores", "none"}} {
			p.click(`[data-character=` + x[0] + `] [data-state=` + x[1] + `]`)
		}
		p.read("still possible")
	})
	take("spray-days", func() { p.open("/spray-days"); p.see(`.hourweek`); p.see(`[data-hour]`) })
	take("rounds", func() { p.open("/rounds"); p.see(`[data-script]`) })
	take("plates", func() { p.open("/plates"); p.see(`[data-plate-link]`) })
	p.do(chromedp.EmulateViewport(1900, 2800))
	take("contact-sheet", func() { p.open("/plates/sheet"); p.see(`[data-contact] [data-plate]`) })
	p.do(chromedp.EmulateViewport(1280, 800))
	take("season", func() {
		var ok bool
		p.eval(`(localStorage.setItem('botanik.shade', 'dark'), true)`, &ok)
		p.open("/season")
		p.see(`[data-bands] .band`)
	})
	p.do(chromedp.Evaluate(`localStorage.setItem('botanik.shade', 'light')`, nil))
	take("drill", func() {
		p.open("/drill/case")
		p.click(`[data-do=bring-case]`)
		p.see(`[data-drill-case="0"] [data-look]`)
		for i := range 3 {
			p.do(chromedp.Evaluate(fmt.Sprintf(`document.querySelectorAll('[data-look]:not(:disabled)')[%d].click()`, 4*i), nil))
			p.until("another look", fmt.Sprintf(`+document.querySelector('[data-drill-case]').dataset.drillCase > %d`, i))
		}
		p.click(`[data-undetermined]`)
		p.click(`[data-say-it] [data-chip="0.5"]`)
		p.click(`[data-say-it] [data-chip=refer]`)
		p.click(`[data-do=judge]`)
		p.see(`[data-score]`)
	})
	p.do(chromedp.EmulateViewport(390, 844))
	take("counter-narrow", func() { p.open("/"); p.read("Ask how it went") })
	take("grower-page", func() {
		open("Passionflower")
		step("handover")
		p.click(`[data-do="hand-over"]`)
		p.click(`[data-grower-page]`)
		p.see(".paper")
	})
	p.do(chromedp.EmulateViewport(1280, 800))
	take("house", func() { // as the coordinator sees it
		p.do(network.ClearBrowserCookies())
		p.signIn("odile")
		p.open("/house")
		p.see(`[data-policy]`)
	})
}

// One picture of each main view, all of them in the README, with room for the
// rooms to come.
func TestEveryPictureIsShown(t *testing.T) {
	readme, err := os.ReadFile("../README.md")
	require.NoError(t, err)
	files, err := filepath.Glob("../docs/screenshots/*.png")
	require.NoError(t, err)
	for _, f := range files {
		assert.Contains(t, string(readme), "(docs/screenshots/"+filepath.Base(f)+")")
	}
	assert.Equal(t, len(files), strings.Count(string(readme), "(docs/screenshots/"), "none is shown that is not there")
	assert.Less(t, len(files), 20)
}
