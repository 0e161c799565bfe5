package e2e

import (
	"bytes"
	"encoding/json"
	"fmt"
	"image"
	"image/color"
	"image/png"
	"net/http"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"botanik/herbarium"

	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// at clicks the sample at a place of its own drawing.
func (p *page) at(x, y float64) {
	p.t.Helper()
	p.see(`[data-sample] svg`)
	var xy [2]float64
	p.eval(fmt.Sprintf(`(() => { const s = document.querySelector('[data-sample] svg'); const q = new DOMPoint(%g, %g).matrixTransform(s.getScreenCTM()); return [q.x, q.y] })()`, x, y), &xy)
	p.do(chromedp.MouseClickXY(xy[0], xy[1]))
}

func (p *page) count(css string) int {
	p.t.Helper()
	var n int
	p.eval(fmt.Sprintf(`document.querySelectorAll(%q).length`, css), &n)
	return n
}

func TestLookingWithTheMouseIsClickingWhereItIs(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Kerra Pask", "Fuchsia", "balcony", "edges eaten")
	p.step("look")
	p.click(`.parts button:nth-child(4)`)
	p.see(`[data-sample=leaf]`)
	p.at(100, 150)
	p.see(`[data-here=veins]`)
	p.press(kb.Escape)
	// Wherever this plant's leaf has its edge: the drawing itself is asked.
	var rim []float64
	p.eval(`(() => { const path = document.querySelector('[data-sample] defs path'); const at = Array.from({ length: 200 }, (_, i) => path.getPointAtLength(path.getTotalLength() * i / 200)); const q = at.reduce((a, b) => b.x > a.x ? b : a); return [q.x, q.y] })()`, &rim)
	p.at(rim[0]-1, rim[1])
	p.see(`[data-here=margin]`)
	p.says(`[data-here] li:first-child`, "edge")
	p.typed("notched")
	p.click(`[data-choice="margin=notched"]`)
	require.Eventually(t, func() bool {
		var n int
		p.eval(`Number(document.querySelector('[data-sample] [data-bites]')?.dataset.bites ?? 0)`, &n)
		return n > 5
	}, patience, 100*time.Millisecond, "the bites are cut out of the leaf")
	p.see(`[data-finding=margin] [data-state=notched][aria-checked=true]`)
	var pin int
	p.eval(fmt.Sprintf(`[...document.querySelectorAll('[data-sample] svg > g > circle')].filter(c => Math.abs(c.getAttribute('cx') - %g) < 4).length`, rim[0]), &pin)
	assert.Equal(t, 1, pin, "its label points to where it was seen")

	p.click(`[data-sample] button`) // turn it over
	p.see(`[data-sample=leaf][data-under=true]`)
	p.click(`.parts button:nth-child(2)`)
	p.at(100, 255) // the pot of the drawn plant
	p.see(`[data-sample=pot]`)

	var fits bool
	p.eval(`document.scrollingElement.scrollHeight <= innerHeight && [...document.querySelectorAll('.look > section')].every(s => s.getBoundingClientRect().bottom <= innerHeight)`, &fits)
	assert.True(t, fits, "drawing, findings, tilt and candidates stand on one screen")
}

func TestLookingByKeysGoesInTheOrderOneLooks(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Kerra Pask", "Fuchsia", "balcony", "sticky, things on it")
	p.step("look")
	p.see(`[data-sample]`)
	seen := []string{}
	for range 10 {
		var at string
		p.eval(`(() => { const s = document.querySelector('[data-sample]'); return s.dataset.sample + (s.dataset.sample === 'leaf' ? (s.dataset.under === 'true' ? ' below' : ' above') : '') })()`, &at)
		seen = append(seen, at)
		p.press(kb.ArrowRight)
	}
	way := strings.Join(seen, ", ")
	assert.Contains(t, way+", "+way, "asked, plant, shoot, leaf above, leaf below, flower, fruit, stem, root, pot")

	p.press("f")
	p.see(`[data-sample=leaf]`)
	var under string
	p.eval(`document.querySelector('[data-sample]').dataset.under`, &under)
	p.press("f")
	p.see(`[data-sample=leaf]:not([data-under="` + under + `"])`)
	if under == "true" {
		p.press("f")
	}
	p.see(`[data-sample=leaf][data-under=true]`)
	p.press(kb.PageDown)
	p.see(`[data-topic][aria-pressed=true]:not([data-topic=""])`)
	first := p.text(`.topics [aria-pressed=true]`)
	p.press(kb.PageDown)
	assert.NotEqual(t, first, p.text(`.topics [aria-pressed=true]`))
	p.press(kb.PageUp, kb.PageUp)
	p.see(`[data-topic=""][aria-pressed=true]`)
	p.press(kb.ArrowDown, "1")
	p.see(`.find [aria-checked=true]`)
	p.press("t")
	p.read("think so")
	p.press("u")
	p.until("what one thinks to be taken back", "document.querySelectorAll('.find [aria-checked=true]').length === 0 || !document.querySelector('.look').innerText.includes('think so')")
	p.press("s", "cuckoo spit", kb.Enter) // one answer fits: it is written
	p.see(`[data-verdict]`)
	p.until("what was said to be written", `document.querySelector('[aria-label="Say what you see"]').value === ''`)
	p.step("story")
	p.read("Froth like spit")
}

func TestAGrowersPictureStandsBesideTheDrawing(t *testing.T) {
	t.Parallel()
	m := image.NewRGBA(image.Rect(0, 0, 60, 40))
	for i := range m.Pix {
		m.Pix[i] = 200
	}
	m.Set(3, 3, color.RGBA{255, 0, 0, 255})
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, m))
	file := filepath.Join(t.TempDir(), "leaf from Tuesday.png")
	require.NoError(t, os.WriteFile(file, b.Bytes(), 0o644))
	bad := filepath.Join(t.TempDir(), "leaf.jpg")
	require.NoError(t, os.WriteFile(bad, []byte("<html>no picture</html>"), 0o644))

	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Kerra Pask", "Fuchsia", "balcony", "sent by mail")
	p.step("look")
	p.upload(`input[name=photo]`, bad)
	p.read("no JPEG, PNG or WebP picture")
	p.upload(`input[name=photo]`, file)
	p.click(`[data-thumb]`)
	p.see(`[data-photo] img`)
	p.says(`[data-photo]`, "leaf from Tuesday.png")
	require.Eventually(t, func() bool {
		var wide bool
		p.eval(`document.querySelector('[data-photo] img')?.naturalWidth === 60`, &wide)
		return wide
	}, patience, 100*time.Millisecond)
	p.see(`[data-sample] svg`)
	p.step("story")
	p.read("picture added: leaf from Tuesday.png")
}

func TestPlatesAreBrowsedBySightAndSetSideBySide(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("wren")
	p.open("/plates?seen=flecks%3Dmany&host=rose")
	p.see(`[data-pick=two-spotted-mite]`)
	assert.Zero(t, p.count(`[data-plate-link=rose-black-spot]`), "only what shows the sign")
	p.click(`[data-pick=two-spotted-mite]`)
	p.click(`[data-pick=rose-leafhopper]`)
	p.see(`[data-compare]:not([disabled])`)
	p.press("c")
	p.see(`[data-beside=rose-leafhopper] [data-plate]`)
	p.see(`[data-differs]`)
	p.read("mites walk and make fine flecks")
	// Both sit on the same leaf: the leaf is faded, what differs is lit.
	assert.Equal(t, 2, p.count(`[data-beside] [data-faded]`))
	assert.Equal(t, 1, p.count(`[data-beside=two-spotted-mite] [data-lit] [data-layer=stippling]`))
	assert.Equal(t, 1, p.count(`[data-beside=rose-leafhopper] [data-lit] [data-layer=coarse-flecks]`))
	p.open("/plates/sheet")
	all := len(herbarium.Embedded().Causes)
	p.see(fmt.Sprintf(`[data-contact="%d"]`, all))
	p.see(`[data-contact] [data-plate]`)
	assert.Less(t, p.count(`[data-contact] [data-plate]`), all, "only what is near is drawn, or the sheet would not scroll smoothly")
	p.eval(`dispatchEvent(new Event('beforeprint')); 0`, nil)
	require.Eventually(t, func() bool { return p.count(`[data-contact] [data-plate]`) == all }, patience, 100*time.Millisecond, "on paper every cause has its drawing")
	nothingLeavesItsFrame(t, p)
	lookAlikesDifferWhenSmall(t, p)
}

// Two advisors at one case: the second sees both sides and decides.
func TestASlowerChangeShowsBothSides(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Kerra Pask", "Fuchsia", "balcony", "holes")
	p.step("look")
	p.see(`[data-sample]`)
	var id string
	p.eval(`location.pathname.split('/')[2]`, &id)
	other := http.Client{}
	ask := func(method, path, body string, head ...string) *http.Response {
		req, err := http.NewRequest(method, "http://"+d.addr+path, strings.NewReader(body))
		require.NoError(t, err)
		req.Header.Set("Content-Type", "application/json")
		for i := 0; i+1 < len(head); i += 2 {
			req.Header.Set(head[i], head[i+1])
		}
		resp, err := other.Do(req)
		require.NoError(t, err)
		t.Cleanup(func() { _ = resp.Body.Close() })
		return resp
	}
	in := ask("POST", "/api/v1/session", `{"login":"brann","password":"merrin-sound"}`)
	var who struct{ Token string }
	require.NoError(t, json.NewDecoder(in.Body).Decode(&who))
	cookie := strings.Split(in.Header.Get("Set-Cookie"), ";")[0]
	at := ask("GET", "/api/v1/cases/"+id, "", "Cookie", cookie)
	done := ask("PUT", "/api/v1/cases/"+id+"/looks/holes", `{"state":"ragged","certainty":"sure"}`, "Cookie", cookie, "X-Botanik-Token", who.Token, "If-Match", at.Header.Get("ETag"))
	require.Equal(t, http.StatusOK, done.StatusCode)
	p.press(kb.Escape, "s", "tunnels inside", kb.Enter)
	p.mark("mines", "winding")
	p.see(`[data-stale]`)
	require.Eventually(t, func() bool { return strings.Contains(p.text(`[data-stale]`), "Holes: ") }, patience, 100*time.Millisecond)
	p.click(`[data-do=mine]`)
	require.Eventually(t, func() bool { return p.count(`[data-stale]`) == 0 }, patience, 100*time.Millisecond)
	p.step("story")
	p.read("Holes: ")
	p.read("Tunnels inside the leaf: ")
}
