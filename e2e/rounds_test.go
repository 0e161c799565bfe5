package e2e

import (
	"bytes"
	"fmt"
	"image/png"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/makiuchi-d/gozxing"
	"github.com/makiuchi-d/gozxing/qrcode"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The whole loop: handed over at the desk, told on a telephone without an account, seen in
// Rounds, the next step taken with one key, closed with what it was.
func TestTheLoopFromHandOverToTheEnd(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Petroc Vane", "Passionflower", "indoors", "webs")
	p.mark("silk", "dense")
	p.mark("walkers", "many")
	p.likely("Two-spotted")
	p.click(`[data-do=act]`)
	p.see(`.offer.on`)
	p.click(`[data-do=keep-remedy]`)
	p.see(`[data-answer=mix] [data-dose]`)
	p.click(`[data-do=keep-mix]`)
	p.until("the step after the mix", `document.querySelector('[data-do=keep-days], [data-do=hand-over]')`)
	var days bool
	if p.eval(`!!document.querySelector('[data-do=keep-days]')`, &days); days {
		p.see(`[data-answer=days] .day`)
		p.click(`[data-do=keep-days]`)
	}
	p.see(`[data-do=hand-over]`)
	p.click(`[data-do=hand-over]`)
	p.see(`[data-grower-page]`)
	var link string
	p.eval(`document.querySelector('[data-grower-page]').getAttribute('href')`, &link)

	// The grower's telephone: another browser, 390 px, no account.
	g := browse(t, "http://"+d.addr, 390, 800)
	g.open(link)
	g.see(`form#tell`)
	var wide bool
	g.eval(`document.documentElement.scrollWidth > innerWidth`, &wide)
	assert.False(t, wide, "no sideways scrolling")
	g.click(`input[name=done]`)
	g.click(`input[name=word][value=gone]`)
	g.fill(`textarea[name=note]`, "clean since Sunday")
	g.click(`form#tell button`)
	g.read("Thank you, the desk has it.")
	g.see(`.ticked`)

	p.press("6")
	p.see(`[data-queue]`)
	p.read("Answered")
	p.read("clean since Sunday")
	p.see(`[data-advised=done]`)
	p.press("y")
	p.until("it to leave the queue", `![...document.querySelectorAll('.queue .ask')].some(a => a.innerText.includes('Petroc Vane'))`)
	g.open(link)
	g.until("nothing more to be told", `!document.querySelector('form#tell')`)
}

// The queue by keys: down and up, the script beside, no answer twice raises a call.
func TestRoundsByKeys(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("brann")
	p.press("6")
	p.see(`[data-script]`)
	first := p.text(`[data-script] h2`)
	p.press(kb.ArrowDown)
	p.until("the next one", `document.querySelector('[data-script] h2') && document.querySelector('[data-script] h2').innerText !== `+fmt.Sprintf("%q", first))
	assert.Contains(t, p.text(`[data-script]`), "Was everything done")
	p.press(kb.ArrowUp)
	p.says(`[data-script] h2`, first)
}

// The tags for the bags: another program's reader finds in each printed code the address of
// its case.
func TestTheCodeOnABagLeadsToItsCase(t *testing.T) {
	t.Parallel()
	d := start(t)
	// This machine alone can open the address the page came from: no telephone could follow a
	// code with it, so none is printed, and it is said where the address is given.
	first := browse(t, "http://"+d.addr, 1280, 900)
	first.signIn("odile")
	first.click(`[data-do=bag-tags]`)
	first.see(`[data-no-code]`)
	first.until("no code", `!document.querySelector('.bagtag svg[role=img]')`)
	first.click(`[data-no-code] a`)
	first.until("the field it is given in", `document.activeElement?.name === 'desk-public'`)
	first.fill(`[name=desk-public]`, "https://desk.example")
	first.click(`[data-do=keep-desk]`)
	first.read("Kept. It stands on every page")

	p := browse(t, "http://"+d.addr, 1280, 900)
	p.signIn("ansel")
	p.click(`[data-do=bag-tags]`)
	p.until("the tags to be drawn", `document.querySelectorAll('.bagtag svg[role=img] path[d^=M]').length >= 5`)
	var ids []string
	p.eval(`[...document.querySelectorAll('.bagtag')].map(t => t.dataset.bagtag)`, &ids)
	for _, id := range ids[:3] {
		pic, err := png.Decode(bytes.NewReader(p.piece(`[data-bagtag="` + id + `"] svg[role=img]`)))
		require.NoError(t, err)
		bits, err := gozxing.NewBinaryBitmapFromImage(pic)
		require.NoError(t, err)
		code, err := qrcode.NewQRCodeReader().Decode(bits, nil)
		require.NoError(t, err)
		assert.Equal(t, "https://desk.example/bench/"+id, code.GetText())
	}
	assert.Equal(t, 1, p.sheets(8.27, 11.69), "one sheet of A4")
}

// Two plants of one grower go home together: one press, one list in front, a page each; then
// one of the cases is given to somebody else, and the day tells of it.
func TestTwoPlantsGoHomeTogether(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	var ids []string
	p.do(chromedp.Evaluate(`(async () => {
		const token = (await (await fetch('/api/v1/session')).json()).token;
		const send = async (method, path, body, more) => (await fetch('/api/v1' + path, { method, body: JSON.stringify(body), headers: { 'Content-Type': 'application/json', 'X-Botanik-Token': token, ...more } })).json();
		const ids = [];
		for (const plant of ['Quince', 'Medlar']) {
			const c = await send('POST', '/cases', { grower: 'Petroc Vane', contact: 'petroc@quay.example', plant, place: 'garden', story: 'odd' }, { 'Idempotency-Key': 'together-' + plant });
			await send('PUT', '/cases/' + c.id + '/verdict', { degree: 'undetermined' }, { 'If-Match': '"1"' });
			ids.push(c.id);
		}
		return ids
	})()`, &ids, awaitPromise))
	require.Len(t, ids, 2)
	p.open("/bench/" + ids[0] + "/handover")
	p.read("Petroc Vane also takes home")
	p.click(`[data-also] [data-chip="` + ids[1] + `"]`)
	p.read("Hand all 2 over")
	p.click(`[data-do=hand-over]`)
	p.see(`[data-together="2"]`)
	n, text := p.printed(8.27, 11.69)
	assert.Equal(t, 3, n, "a list in front and a page each")
	for _, words := range []string{"All your plants together", "Quince", "Medlar"} {
		assert.Contains(t, text, squashed(words))
	}

	p.click(`.whose [role=combobox]`)
	p.see(`[role=option]`)
	p.still()
	p.click(`[role=option]:last-child`)
	p.until("it to be Odile's", `document.querySelector(".whose")?.innerText.includes("Odile")`)
	p.press("6")
	p.clickNamed(`nav[aria-label="Tables of the rounds"] a`, "Whose")
	p.until("hers to hold it", `document.querySelector("[data-hand=Odile]")?.textContent.includes('Quince')`)
	p.clickNamed(`nav[aria-label="Tables of the rounds"] a`, "The day")
	p.see(`[data-day]`)
	assert.Contains(t, p.text(`.figures`), "handed over")
}
