package e2e

import (
	"testing"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// A trainee practises: one of each short form by keys, then a whole case to its replay; the
// coordinator sets a course and sees them.
func TestATraineePractises(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("wren")
	p.press("8")
	p.see(`[data-question]`)
	for _, kind := range []string{"plate", "split", "next", "helper", "unsafe", "mix", "recount", "ratio"} {
		p.click(`[data-chip="` + kind + `"]`)
		p.see(`[data-question="` + kind + `"] [data-answer]`)
		p.still()
		p.press("1")
		p.see(`[data-how-sure] [data-sure]`)
		p.press("3")
		p.see(`[data-marked]`)
	}
	p.press(kb.Enter)
	p.until("another question", `document.querySelector('[data-question] [data-answer]') && !document.querySelector('[data-marked]')`)
	p.open("/drill/case")
	p.click(`[data-do=bring-case]`)
	p.see(`[data-drill-case="0"] [data-look]`)
	p.click(`[data-look]`)
	p.until("something to be seen", `document.querySelector('[data-drill-case]')?.dataset.drillCase !== '0'`)
	p.click(`[data-undetermined]`)
	p.open("/drill/case") // what was begun, and what was said, is there after a reload
	p.until("the same case", `document.querySelector('[data-drill-case]') && document.querySelector('[data-drill-case]').dataset.drillCase !== '0'`)
	p.see(`[data-undetermined][aria-pressed=true]`)
	p.click(`[data-say-it] [data-chip="0.5"]`)
	p.click(`[data-say-it] [data-chip=act]`)
	p.fill(`input[name=drill-remedy]`, "insecticidal soap")
	p.click(`[role=option]`)
	p.gone(`[role=option]`)
	p.fill(`input[name=drill-amount]`, "a glug")
	p.fill(`input[name=drill-every]`, "7")
	p.click(`[data-do=judge]`)
	p.read("has no number in front")
	p.fill(`input[name=drill-amount]`, "10 mL")
	p.click(`[data-do=judge]`)
	p.see(`[data-score]`)
	assert.Contains(t, p.text(`[data-score]`), "What the book would have asked")

	o := browse(t, "http://"+d.addr, 1280, 800)
	o.signIn("odile")
	o.open("/drill/you")
	o.read("Wren")
	o.fill(`input[name=course]`, "mites before summer")
	o.click(`[data-course] [data-chip=mite]`)
	o.click(`[data-do=keep-course]`)
	o.see(`[data-course="mites before summer"]`)
	p.open("/drill")
	p.read("mites before summer")
}
