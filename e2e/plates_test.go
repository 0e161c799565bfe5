package e2e

import (
	"bytes"
	"fmt"
	"image"
	_ "image/png"
	"sort"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"botanik/herbarium"
)

// Whatever is drawn of a plate lies within its picture: measured by the browser, which knows every turn and scale.
func nothingLeavesItsFrame(t *testing.T, p *page) {
	t.Helper()
	var out []string
	p.eval(`[...document.querySelectorAll('[data-contact] svg[data-plate]')].flatMap(svg => {
		const f = svg.getBoundingClientRect();
		return [...svg.querySelectorAll('[data-organ] path, [data-organ] use, [data-habit] path, [data-habit] use, [data-lens], [data-bar]')].flatMap(e => {
			const b = e.getBoundingClientRect();
			const over = Math.max(f.left - b.left, b.right - f.right, f.top - b.top, b.bottom - f.bottom);
			return over > 3 && !e.closest('defs, clipPath, mask, [clip-path], [mask]') ? [svg.dataset.plate + ' ' + (e.closest('[data-habit]') ? 'habit' : e.tagName) + ' by ' + over.toFixed(1)] : [];
		});
	})`, &out)
	assert.Empty(t, out, "drawn beyond the frame")
}

// Every pair the book calls look-alikes is told apart by somebody who sees both plates an inch wide: their pictures are
// taken from the page and compared point by point.
func lookAlikesDifferWhenSmall(t *testing.T, p *page) {
	t.Helper()
	var shot []byte
	// The whole sheet at once: it scrolls within the page, so the page is made as tall as it.
	p.do(chromedp.EmulateViewport(1280, 8400))
	var boxes map[string][4]float64
	p.eval(`Object.fromEntries([...document.querySelectorAll('[data-contact] svg[data-plate]')].map(s => { const b = s.getBoundingClientRect(); return [s.dataset.plate, [b.left + scrollX, b.top + scrollY, b.width, b.height]] }))`, &boxes)
	p.do(chromedp.CaptureScreenshot(&shot), chromedp.EmulateViewport(1280, 800))
	img, _, err := image.Decode(bytes.NewReader(shot))
	require.NoError(t, err)
	luma := func(x, y int) float64 {
		r, g, b, _ := img.At(x, y).RGBA()
		return (0.3*float64(r) + 0.59*float64(g) + 0.11*float64(b)) / 65535
	}
	differ := func(a, b string) float64 {
		p, q := boxes[a], boxes[b]
		w, h := int(min(p[2], q[2])), int(min(p[3], q[3]))
		sum := 0.0
		for y := range h {
			for x := range w {
				d := luma(int(p[0])+x, int(p[1])+y) - luma(int(q[0])+x, int(q[1])+y)
				sum += max(d, -d)
			}
		}
		return sum / float64(w*h)
	}
	type pair struct {
		name string
		d    float64
	}
	var pairs []pair
	for _, c := range herbarium.Embedded().Causes {
		for _, l := range c.LookAlikes {
			if c.ID < l.Cause {
				pairs = append(pairs, pair{c.ID + " and " + l.Cause, differ(c.ID, l.Cause)})
			}
		}
	}
	require.Greater(t, len(pairs), 300)
	sort.Slice(pairs, func(i, j int) bool { return pairs[i].d < pairs[j].d })
	for _, x := range pairs[:12] {
		t.Logf("nearest look-alikes: %s differ by %.4f", x.name, x.d)
	}
	for _, x := range pairs {
		assert.Greater(t, x.d, 0.01, fmt.Sprintf("%s look the same an inch wide", x.name))
	}
}
