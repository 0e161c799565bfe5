package e2e

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"botanik/herbarium"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// checkIn takes a bean with mites in through the counter's form.
func (p *page) checkIn(grower, plant string) {
	p.t.Helper()
	p.press("n")
	p.fill(`input[name=grower]`, grower)
	p.fill(`input[name=contact]`, "tel 0199")
	p.fill(`input[name=plant]`, plant)
	p.press(kb.Escape)
	p.click(`[data-chip=garden]`)
	p.see(`[data-chip=eaten][aria-checked=true]`) // a bean is eaten: the book knows
	p.click(`[data-chip=cat]`)
	p.fill(`input[name=harvest]`, "9")
	p.fill(`input[name=treated]`, "soap 30 days ago")
	p.read("Insecticidal soap")
	p.fill(`textarea[name=story]`, "leaves went pale and dusty from below")
	p.click(`[data-do=check-in]`)
	p.read("is in the tray")
}

func (p *page) openCase(grower string) {
	p.t.Helper()
	p.press("/")
	p.focusIn(`[role=dialog]`)
	p.press(grower)
	p.read(grower + " ·")
	p.press(kb.Enter)
	p.see(`nav.steps`)
}

// tabTo presses Tab until the focus is there, as a person would.
func (p *page) tabTo(css string) {
	p.t.Helper()
	for range 40 {
		var there bool
		p.eval(`document.activeElement.matches("`+css+`")`, &there)
		if there {
			return
		}
		p.press(kb.Tab)
	}
	p.t.Fatalf("no Tab leads to %s", css)
}

func (p *page) step(name string) {
	p.t.Helper()
	p.click(`nav.steps a[href$="/` + name + `"]`)
}

// unfold shows what is folded on the ladder, where a remedy is.
func (p *page) unfold(remedy string) {
	p.t.Helper()
	p.see(`.ladder .rung`)
	p.click(fmt.Sprintf(`button.rung[data-rung="%d"][aria-expanded=false]`, herbarium.Embedded().Remedy(remedy).Rung))
}

// One sample from the counter to the grower's hand and back, with the program
// stopped and started in the middle.
func TestOneSampleFromCounterToClosed(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.checkIn("Morwenna Tide", "Runner bean")
	p.openCase("Morwenna Tide")

	p.step("look")
	p.mark("flecks", "many")
	p.press("f")
	p.mark("walkers", "many")
	p.mark("silk", "none")
	p.mark("touch", "stays")
	p.press("t") // think so
	p.read("think so")
	p.see(`[data-next]`)
	p.mark("walker-spots", "yes")
	p.mark("insects", "none")
	p.see(`[data-verdict=settled]`)
	p.says(`.cand`, "Two-spotted spider mite")

	d.restart()

	p.open("/")
	p.see("nav.rail") // the session outlives the restart
	p.openCase("Morwenna Tide")
	p.step("verdict")
	p.click(`[data-do=settle]`)
	p.fill(`input[name=counts]`, "22 31 18 40 25 33")
	p.see(`[data-decision=act]`)
	p.click(`[data-chip=young]`)
	p.click(`[data-chip=adult]`)
	p.click(`[data-do=act]`)

	p.unfold("pyrethrins")
	p.see(`.offer[data-remedy=pyrethrins][data-status=no]`)
	p.says(`.offer[data-remedy=pyrethrins]`, "mites come back worse")
	p.see(`.offer.on[data-remedy=soap]`)
	p.click(`[data-do=keep-remedy]`)

	p.fill(`input[name=sprayer]`, "1")
	p.fill(`input[name=volume]`, "2.5")
	p.read("2 fillings of 1 L")
	p.read("One filling of 500 mL")
	p.see(`[data-proposed]`)
	p.click(`[data-do=other-days]`)
	p.see(`[data-answer=days] .day`)
	p.see(`[data-weeks] svg polygon[data-stage=egg]`)
	p.click(`[data-do=keep-days]`)

	p.see(`.paper`)
	sheet := p.text(".paper")
	for _, w := range []string{"Two-spotted spider mite", "label and local law come first", "Patch test", "1 tbsp", "Keep children and pets off", "We will ask how it went", "Please do not"} {
		assert.Contains(t, sheet, w)
	}
	p.click(`[data-do=hand-over]`)
	p.see(`[data-grower-page]`)
	var own string
	p.eval(`document.querySelector('[data-grower-page]').getAttribute('href')`, &own)

	p.step("story")
	p.fill(`input[name=after]`, "2")
	p.click(`[data-do=recount]`)
	p.see(`[data-result=better]`)
	p.click(`[data-do=close]`)
	p.read("Closed: better")
	for _, w := range []string{"brought in by Morwenna Tide", "Pale pin-prick flecks: many", "settled: Two-spotted spider mite", "handed over", "recount:", "closed: better", "Ansel"} {
		p.says(".two", w)
	}

	grower := browse(t, "http://"+d.addr, 390, 844)
	grower.open(own)
	grower.see(".paper")
	grower.says("body", "Two-spotted spider mite")
	var wide bool
	grower.eval(`document.documentElement.scrollWidth > window.innerWidth + 1`, &wide)
	assert.False(t, wide, "the grower's page fits a telephone")
}

// A trainee's verdict waits for an advisor, who agrees.
func TestATraineesVerdictWaits(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("wren")
	p.checkIn("Loveday Pike", "Courgette")
	p.openCase("Loveday Pike")
	p.step("look")
	p.mark("film", "powder")
	p.mark("wipe", "powder-off")
	p.mark("fuzz", "none")
	p.step("verdict")
	p.read("Put it to an advisor")
	p.click(`[data-do=settle]`)
	p.read("waits for an advisor")
	p.step("handover")
	p.see(`[data-do="hand-over"]`)
	var disabled bool
	p.eval(`document.querySelector('[data-do="hand-over"]').disabled`, &disabled)
	require.True(t, disabled, "nothing goes to a grower before an advisor agreed")
	p.eval(`[...document.querySelectorAll('button')].find(b => b.textContent.startsWith('Print')).disabled`, &disabled)
	require.True(t, disabled, "nor on paper (review/use.md, F13)")
	p.open("/house")
	p.read("Sign out Wren")
	p.do(chromedp.Evaluate(`[...document.querySelectorAll('button')].find(b => b.textContent.startsWith('Sign out')).click()`, nil))
	p.see(`input[name=login]`)

	p.signIn("ansel")
	p.openCase("Loveday Pike")
	p.step("verdict")
	p.read("Wren says: ")
	p.read("Powdery mildew")
	p.click(`[data-do=agree]`)
	p.read("agreed by Ansel")
}

// What was typed survives a reload, and a second try makes no second case.
func TestNothingTypedIsLost(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.fill(`input[name=grower]`, "Half Typed")
	p.fill(`textarea[name=story]`, "something eats it")
	p.open("/")
	p.see(`input[name=grower]`)
	var grower string
	p.eval(`document.querySelector('input[name=grower]').value`, &grower)
	assert.Equal(t, "Half Typed", grower)
	p.click(`[data-do=check-in]`) // no plant, no place: refused, and still there
	p.eval(`document.querySelector('input[name=grower]').value`, &grower)
	assert.Equal(t, "Half Typed", grower)
	p.fill(`input[name=plant]`, "Bay")
	p.press(kb.Escape)
	p.click(`[data-chip=balcony]`)
	d.stop(15) // the desk is gone when the button is pressed
	p.click(`[data-do=check-in]`)
	p.read("cannot be reached")
	d.args = []string{"serve"}
	d.run()
	p.click(`[data-do=check-in]`)
	p.read("is in the tray")
	p.press("/")
	p.focusIn(`[role=dialog]`)
	p.press("Half Typed")
	p.read("Half Typed ·")
	var n int
	p.eval(`document.querySelectorAll('[role=option]').length`, &n)
	assert.Equal(t, 1, n)
}

// A coordinator bans a remedy and an open case changes its advice.
func TestACoordinatorBansARemedy(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("odile")
	p.open("/house")
	p.see(`[data-policy=soap] [role=combobox]`)
	p.focus(`[data-policy=soap] [role=combobox]`)
	p.press(kb.Enter)
	p.see(`li[data-value=no]`)
	p.press(kb.ArrowDown, kb.ArrowDown, kb.Enter)
	p.read("Kept. Open cases see it at once.")
	p.openCase("Fergus Lane")
	p.step("remedy")
	p.unfold("soap")
	p.see(`.offer[data-remedy=soap][data-status=no]`)
	assert.True(t, strings.Contains(p.text(`.offer[data-remedy=soap]`), "This house does not recommend it"))
}

// A field keeps every letter of somebody who types ten a second, whatever the page does
// with them meanwhile (review/use.md, F14).
func TestNoFieldLosesLetters(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	types := func(css, words string) {
		t.Helper()
		p.see(css)
		p.focus(css)
		for _, c := range words {
			p.typed(string(c))
			p.do(chromedp.Sleep(100 * time.Millisecond)) // the pace is what is tested
		}
		p.until(css+" to hold "+words, fmt.Sprintf(`document.querySelector(%q).value === %q`, css, words))
	}
	p.read("Ask how it went")
	types(`textarea[name=story]`, "leaves pale, n webs")
	p.do(chromedp.KeyEvent(kb.Escape))
	p.press("/")
	types(`[role=dialog] input`, "ilse marrow")
	p.do(chromedp.KeyEvent(kb.Escape))
	p.openCase("Ilse Marrow")
	p.step("look")
	types(`[aria-label="Say what you see"]`, "citrus mealybug")
	p.open("/plates")
	types(`input[name=find-plate]`, "citrus mealybug")
	p.see(`[data-plate-link=citrus-mealybug]`)
}
