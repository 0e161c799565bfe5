package e2e

import (
	"bytes"
	"fmt"
	"image"
	"image/png"
	"math"
	"os"
	"path/filepath"
	"strconv"
	"testing"

	"botanik/core/microscopy"
	"botanik/herbarium"
	"botanik/internal/simulated"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// onPicture clicks a place of the picture, in its own pixels.
func (p *page) onPicture(at microscopy.Point) {
	p.t.Helper()
	var box struct{ X, Y, K float64 }
	p.eval(`(i => { i.scrollIntoView({block: 'center'}); const r = i.getBoundingClientRect(); return {X: r.left, Y: r.top, K: r.width / i.naturalWidth} })(document.querySelector('[data-onpicture] img'))`, &box)
	p.do(chromedp.MouseClickXY(box.X+at.X*box.K, box.Y+at.Y*box.K))
	p.drawn()
}

// dragged draws a stroke with the button held, in pixels of the picture.
func (p *page) dragged(from, to microscopy.Point) {
	p.t.Helper()
	var box struct{ X, Y, K float64 }
	p.eval(`(i => { const r = i.getBoundingClientRect(); return {X: r.left, Y: r.top, K: r.width / i.naturalWidth} })(document.querySelector('[data-onpicture] img'))`, &box)
	at := func(t input.MouseType, f float64) *input.DispatchMouseEventParams {
		return input.DispatchMouseEvent(t, box.X+(from.X+f*(to.X-from.X))*box.K, box.Y+(from.Y+f*(to.Y-from.Y))*box.K).WithButton(input.Left).WithButtons(1)
	}
	p.do(at(input.MousePressed, 0).WithClickCount(1))
	for i := range 20 {
		p.do(at(input.MouseMoved, float64(i+1)/20))
	}
	p.do(at(input.MouseReleased, 1).WithClickCount(1))
	p.drawn()
}

// crossTo moves the cross of the picture with the arrow keys and sets a point there.
func (p *page) crossTo(from, to microscopy.Point) {
	p.t.Helper()
	steps := func(d float64, less, more string) {
		key := more
		if d < 0 {
			key, d = less, -d
		}
		n := int(math.Round(d))
		for range n / 10 {
			p.do(chromedp.KeyEvent(key, chromedp.KeyModifiers(input.ModifierShift)))
		}
		for range n % 10 {
			p.do(chromedp.KeyEvent(key))
		}
	}
	steps(to.X-from.X, kb.ArrowLeft, kb.ArrowRight)
	steps(to.Y-from.Y, kb.ArrowUp, kb.ArrowDown)
	p.do(chromedp.KeyEvent(kb.Enter))
	p.drawn()
}

func rounded(p microscopy.Point) microscopy.Point {
	return microscopy.Point{X: math.Round(p.X), Y: math.Round(p.Y)}
}

// From a line of the Look step to the scope, and back as a finding with its certainty.
func TestARatioIsMeasuredAndComesBackAsALook(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Maud Lister", "Oleander", "indoors", "brown bumps on the leaves")
	p.step("look")
	p.press(kb.Escape, "s", "anal opening against the median lobe", kb.ArrowDown)
	p.click(`[data-measure=slide-opening]`)
	p.see(`input[name=reading]`)
	for _, x := range []string{"12.5", "10", "12", "10.5"} {
		p.fill(`input[name=reading]`, x)
		p.press(kb.Enter)
	}
	p.says(`[data-readings=a]`, "12.5 · 12")
	p.says(`[data-readings=b]`, "10 · 10.5")
	p.see(`[data-ratio="1.195"] [data-curve]`)
	p.says(`[data-says]`, "above 1")
	p.click(`[data-take=slide-opening] button`)
	p.read("in the case")
	p.click(`[data-back]`)
	p.see(`[data-finding]`)
	p.press(kb.Escape, "s", "anal opening against the median lobe", kb.ArrowDown)
	p.see(`[data-finding=slide-opening] [data-state=larger][aria-checked=true]`)
	p.step("story")
	p.read("measured 1.20")

	// A word that is no length is named, and nothing is taken.
	p.open("/scope/ratio")
	p.fill(`input[name=reading]`, "zero")
	p.press(kb.Enter)
	p.read("give what was read, above 0")
	p.says(`[data-readings=a]`, "–")
}

// The simulated slide is measured on the camera's frame, by mouse and by keys, and its
// true ratio lies within the stated error.
func TestTheCamerasSlideGivesItsTrueRatio(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	tray := simulated.NewScopeCamera(herbarium.Embedded().SlideKey)
	length := func(x [2]microscopy.Point) float64 { return math.Hypot(x[0].X-x[1].X, x[0].Y-x[1].Y) }
	within := func(true_ float64) {
		t.Helper()
		var says string
		p.until("a ratio", `document.querySelector('[data-ratio]').dataset.ratio !== ''`)
		p.eval(`document.querySelector('[data-says]').innerText`, &says)
		var mid, lo, hi float64
		_, err := fmt.Sscanf(says, "%f (%f to %f)", &mid, &lo, &hi)
		require.NoError(t, err, says)
		assert.True(t, lo <= true_ && true_ <= hi, "true %.3f, measured %s", true_, says)
	}
	p.open("/scope/ratio")
	p.click(`[data-chip=camera]`)
	var truth *simulated.Slide
	var true_ float64
	anew := `[...document.querySelectorAll('button')].find(b => b.textContent === 'Start anew')`
	for i, slide := range []string{"9", "6", "3"} { // the last is measured by keys as well
		truth = tray.Truth(slide, "40x")
		require.NotNil(t, truth, slide)
		true_ = length(truth.Opening) / length(truth.Lobe)
		p.see(`[data-camera] [role=combobox]`)
		p.chooseIn(`[data-camera] [role=combobox]`, slide)
		p.see(`[data-camera="` + slide + `40x"] [data-onpicture] img`)
		p.until("the frame", `document.querySelector('[data-onpicture] img').naturalWidth === 960`)
		if i > 0 {
			p.do(chromedp.Evaluate(anew+`.click()`, nil))
		}
		for range 2 {
			for _, x := range [][2]microscopy.Point{truth.Opening, truth.Lobe} {
				p.onPicture(x[0])
				p.onPicture(x[1])
			}
		}
		p.until("two readings of each", `document.querySelector('[data-readings=b]').innerText.trim().split(' · ').length === 2`)
		within(true_)
	}

	p.open("/scope/ratio")
	p.see(`[data-onpicture] img`)
	p.until("the frame", `document.querySelector('[data-onpicture] img').naturalWidth === 960`)
	p.do(chromedp.Evaluate(anew+`.click()`, nil))
	p.focus(`[data-onpicture]`)
	at := microscopy.Point{X: 480, Y: 360}
	for _, x := range [][2]microscopy.Point{truth.Opening, truth.Lobe} {
		for _, end := range x {
			p.crossTo(at, rounded(end))
			at = rounded(end)
		}
	}
	p.until("one reading of each", `document.querySelector('[data-readings=b]').innerText.trim() !== '–'`)
	within(true_)

	// Another objective: what was read before is no part of this ratio.
	p.click(`[data-camera] [data-chip="10x"]`)
	p.see(`[data-camera="310x"] [data-onpicture] img`)
	p.onPicture(microscopy.Point{X: 400, Y: 300})
	p.onPicture(microscopy.Point{X: 400, Y: 340})
	p.until("a new beginning", `document.querySelector('[data-readings=b]').innerText.trim() === '–'`)
}

// The key is answered in any order, names a species, and says it of the case; what a
// person calibrated is that person's.
func TestASlideIsKeyedAndAMicroscopeCalibrated(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.open("/scope")
	p.see(`[data-species] .hind`)
	var drawn, alike int
	p.eval(`document.querySelectorAll('[data-species] .hind').length`, &drawn)
	p.eval(`new Set([...document.querySelectorAll('[data-species] .hind')].map(x => x.innerHTML)).size`, &alike)
	assert.Equal(t, 31, drawn, "every species still possible with its hind end")
	assert.GreaterOrEqual(t, alike, 24, "and hardly two alike")
	var leader string
	for c, s := range map[string]string{"lobes": "two", "plates": "short", "birth-pores": "none", "medians": "close", "cover": "round", "ducts": "one", "second": "like", "rows": "few"} {
		p.click(`[data-character=` + c + `] [data-state=` + s + `]`)
	}
	p.see(`[data-leader=san-jose-scale][data-sure=true]`)
	p.open("/scope/calibrate")
	for i, r := range [][2]string{{"98", "245"}, {"100", "250"}} {
		p.fill(`input[name=divisions-`+strconv.Itoa(i)+`]`, r[0])
		p.fill(`input[name=micrometres-`+strconv.Itoa(i)+`]`, r[1])
	}
	p.see(`[data-factor="2.5000"]`)
	p.click(`[data-do=keep-calibration]`)
	p.see(`[data-calibrations="1"]`)
	p.open("/scope/calibrate")
	p.see(`[data-calibrations="1"]`)
	// The camera's pixels against the stage micrometer, whose lines lie 10 µm apart at 5 px a µm.
	p.click(`[data-chip=pixel]`)
	p.see(`[data-camera="micrometer40x"] [data-onpicture] img`)
	p.until("the frame", `document.querySelector('[data-onpicture] img').naturalWidth === 960`)
	for range 2 {
		p.onPicture(microscopy.Point{X: 20, Y: 330})
		p.onPicture(microscopy.Point{X: 520, Y: 330})
	}
	p.see(`[data-pixels="2"]`)
	var um float64
	p.eval(`Number(document.querySelector('[data-factor]').dataset.factor)`, &um)
	assert.InDelta(t, .2, um, .004)
	p.click(`[data-do=keep-calibration]`)
	p.see(`[data-calibrations="2"]`)
	// A frozen frame stays with a case, with its scale.
	p.open("/")
	p.sample("Maud Lister", "Oleander", "indoors", "brown bumps on the leaves")
	p.step("look")
	p.press(kb.Escape, "s", "anal opening against the median lobe", kb.ArrowDown)
	p.click(`[data-measure=slide-opening]`)
	p.click(`[data-chip=camera]`)
	p.see(`[data-camera$="40x"] [data-onpicture] img`)
	p.click(`[data-do=keep-frame]`)
	p.read("The frame is kept")
	p.until("the frame with its scale", `(window.__n = fetch('/api/v1/cases/' + new URLSearchParams(location.search).get('case')).then(r => r.json()).then(v => { window.__mm = v.photos?.[0]?.marks?.asked?.known ? v.photos[0].marks.asked.millimetres : 0 }), window.__mm > 0)`)
	var mm float64
	p.eval(`window.__mm`, &mm)
	assert.InDelta(t, 100*um/1000, mm, 1e-5, "a hundred pixels of it, in mm")
	// An objective was changed: what is kept says that it no longer holds, here and at the camera.
	p.open("/scope/calibrate")
	p.click(`[data-do=changed]`)
	p.read("was changed since: calibrate anew")
	// A clock runs on while one is elsewhere.
	p.open("/scope/mounts")
	p.click(`[data-clock="scale.1"] button`)
	p.open("/scope/mounts")
	p.see(`[data-clock="scale.1"][data-state=runs]`)
	other := browse(t, "http://"+d.addr, 390, 844)
	other.signIn("brann")
	other.open("/scope/calibrate")
	other.see(`[data-calibrations="0"]`)
	other.open("/scope")
	other.see(`[data-leader]`)
	other.eval(`document.querySelector('[data-leader]').dataset.sure`, &leader)
	assert.Equal(t, "false", leader, "another telephone knows nothing of that slide")
}

// A length and an area on a grower's picture, by something known in it; they stay with it.
func TestAPictureIsMeasured(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Corin Pell", "Bay", "balcony", "bumps")
	p.step("look")
	// A green leaf, a fifth of its width brown.
	m := image.NewRGBA(image.Rect(0, 0, 400, 300))
	for i := 0; i < len(m.Pix); i += 4 {
		copy(m.Pix[i:], []byte{70, 125, 50, 255})
		if x := i / 4 % 400; x >= 160 && x < 240 {
			copy(m.Pix[i:], []byte{135, 95, 60, 255})
		}
	}
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, m))
	file := filepath.Join(t.TempDir(), "leaf on squared paper.png")
	require.NoError(t, os.WriteFile(file, b.Bytes(), 0o600))
	p.upload(`input[name=photo]`, file)
	p.click(`[data-thumb]`)
	p.click(`[data-ruler]`)
	p.until("the picture", `document.querySelector('[data-onpicture] img')?.naturalWidth > 0`)
	var w float64
	p.eval(`document.querySelector('[data-onpicture] img').naturalWidth`, &w)
	p.still()
	k := w / 100 // points in hundredths of its width
	at := func(x, y float64) { p.onPicture(microscopy.Point{X: x * k, Y: y * k}) }
	at(10, 10)
	at(60, 10)
	p.fill(`input[name=known-mm]`, "50")
	p.click(`[data-chip=line]`)
	at(10, 20)
	at(40, 20)
	p.until("the length", `/^\d/.test(document.querySelector('[data-found]:not([aria-busy])')?.dataset.found ?? '')`)
	var found string
	p.eval(`document.querySelector('[data-found]').dataset.found`, &found)
	mm, err := strconv.ParseFloat(found, 64)
	require.NoError(t, err)
	assert.InDelta(t, 30, mm, 1, "30 hundredths of the width, by 50 that are 50 mm")
	p.click(`[data-do=keep-marks]`)
	p.read("kept by Ansel")
	var path string
	p.eval(`location.pathname + location.search`, &path)
	p.open(path)
	p.until("the marks", `document.querySelectorAll('[data-onpicture] g[data-tone=line] path').length > 1`)

	// How much of it is sick: round the leaf, by its green, and what the brush adds.
	p.click(`[data-chip=share]`)
	p.until("the picture", `document.querySelector('[data-onpicture] img')?.naturalWidth > 0`)
	p.still()
	at(10, 10)
	at(90, 10)
	at(90, 60)
	at(10, 60)
	sick := func(want float64) {
		t.Helper()
		p.until(fmt.Sprintf("about %.2f of it to be sick", want), fmt.Sprintf(`Math.abs(Number(document.querySelector('[data-share]').dataset.share || -1) - %f) < .012`, want))
	}
	sick(.25) // 20 of 80 hundredths of the width
	p.click(`[data-chip=paint]`)
	at(75, 35)
	sick(.25 + math.Pi*(400./60)*(400./60)/(320*200))
	p.dragged(microscopy.Point{X: 84 * k, Y: 20 * k}, microscopy.Point{X: 84 * k, Y: 50 * k})
	sick(.25 + (math.Pi*44.4+2*(400./60)*120)/(320*200))
	p.click(`[data-do=keep-share]`)
	p.read("kept by Ansel: 28 in 100")
	p.open(path)
	p.until("the marks of lengths to be there still", `document.querySelectorAll('[data-onpicture] g[data-tone=line] path').length > 1`)
}
