package e2e

import (
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Frictions of review/use.md that only the real page shows, by their number there;
// docs/frictions.md says where each of the others is held.
func TestFrictionsOnThePage(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	story := "cotton wool in the joints since she came back from the island, sticky below, and ants on the sill all week"
	p.sample("Maud Lister", "moth orchid", "indoors", story)
	p.openCase("Maud Lister")
	p.step("look")
	p.says(`.benchhead .told`, story) // F16: the whole of it, without leaving the step
	p.see(`[data-finding=main-sign]`) // and what strikes one first comes first
	var first string
	p.eval(`document.querySelector('[data-finding]').dataset.finding`, &first)
	assert.Equal(t, "main-sign", first)

	// F17: a sentence typed with nothing in focus is taken as one, and nothing else happens.
	var before, after string
	p.eval(`location.pathname + document.querySelectorAll('[aria-checked=true]').length`, &before)
	p.do(chromedp.Evaluate(`document.activeElement.blur()`, nil))
	// All letters in one go, so that the pace is the page's own however busy the machine: each goes to what has the
	// focus, and into it where nothing took it.
	p.do(chromedp.Evaluate(`for (const key of 'lots of ants on it') {
		const at = document.activeElement
		if (at.dispatchEvent(new KeyboardEvent('keydown', {key, bubbles: true, cancelable: true})) && at.tagName === 'INPUT') document.execCommand('insertText', false, key)
	}`, nil))
	p.until("the words to stand where words are taken", `document.querySelector('[aria-label="Say what you see"]')?.value === 'lots of ants on it'`)
	p.eval(`location.pathname + document.querySelectorAll('[aria-checked=true]').length`, &after)
	assert.Equal(t, before, after)
	p.press("\x1b") // Escape

	// A4: a step has its own title and takes focus; what it points to speaks for itself.
	p.step("verdict")
	p.until("the title of the step", `document.title.includes('Verdict')`)
	p.step("look")
	p.see(`[aria-live=polite]`)

	// A1: in the dark a black insect lies on light ground.
	p.inLight("dark")
	p.open("/plates/bean-aphid")
	p.see(`[data-plate=bean-aphid] [data-lens]`)
	var ground int
	p.eval(`Math.min(...getComputedStyle(document.querySelector('[data-plate=bean-aphid] [data-lens]')).fill.match(/\d+/g).map(Number))`, &ground)
	assert.Greater(t, ground, 180)
	p.inLight("light")

	// F24, F23: on a telephone undo is on the screen, what it points to is in reach, and no keys are shown.
	phone := browse(t, "http://"+d.addr, 390, 844)
	phone.signIn("ansel")
	phone.openCase("Maud Lister")
	phone.step("look")
	phone.see(`.lookstrip`)
	phone.click(`[data-finding=main-sign] [data-state]`)
	phone.see(`[data-do=undo]`)
	var keys int
	phone.eval(`[...document.querySelectorAll('kbd')].filter(k => k.offsetParent).length`, &keys)
	assert.Zero(t, keys, "no keys on a telephone")

	// F25: how heavy and which stage are asked before act, wait or pull.
	p.openCase("Fergus Lane")
	p.step("act")
	p.see(`[data-do=act]`)
	var order bool
	p.eval(`!!(document.querySelector('[data-chip=light]').compareDocumentPosition(document.querySelector('[data-do=act]')) & Node.DOCUMENT_POSITION_FOLLOWING)`, &order)
	assert.True(t, order)
	p.says(`[data-decided]`, "Decided")

	// F28: a word as the grower tells it; nothing is preset that closes the case. F29: an address one can give.
	p.step("story")
	for _, w := range []string{"gone", "better", "same", "worse"} {
		p.see(`[data-went=` + w + `]`)
	}
	var chosen int
	p.eval(`document.querySelectorAll('form [role=radio][aria-checked=true]').length`, &chosen)
	assert.Zero(t, chosen)
	p.step("handover")
	p.see(`[data-do=copy-page]`)
	p.see(`[data-no-code]`) // on this machine's own address; TestTheCodeOnABagLeadsToItsCase has one
	link := p.text(`[data-grower-page]`)
	assert.True(t, strings.HasPrefix(link, d.addr+"/p/"), "%s has its host", link)
}

// Every S1 and S2 entry of review/use.md is in docs/frictions.md with tests that exist.
func TestEveryFrictionIsHeld(t *testing.T) {
	doc, err := os.ReadFile("../docs/frictions.md")
	require.NoError(t, err)
	var all strings.Builder
	for _, root := range []string{"../core", "../internal", "../web/src", "."} {
		require.NoError(t, filepath.WalkDir(root, func(p string, d fs.DirEntry, err error) error {
			if err == nil && !d.IsDir() && regexp.MustCompile(`_test\.go$|\.test\.tsx?$`).MatchString(p) {
				raw, err := os.ReadFile(p)
				all.Write(raw)
				return err
			}
			return err
		}))
	}
	tests := all.String()
	held := map[string]bool{}
	for _, line := range strings.Split(string(doc), "\n") {
		no := regexp.MustCompile(`^\| ([FGA]\d+) \|`).FindStringSubmatch(line)
		if no == nil {
			continue
		}
		held[no[1]] = true
		for _, name := range regexp.MustCompile("`([^`]+)`").FindAllStringSubmatch(line, -1) {
			assert.True(t, strings.Contains(tests, "func "+name[1]+"(") || strings.Contains(tests, "it('"+name[1]+"'"), "%s: no test is called %s", no[1], name[1])
		}
	}
	for prefix, n := range map[string]int{"F": 37, "G": 7, "A": 5} {
		for i := 1; i <= n; i++ {
			assert.True(t, held[fmt.Sprintf("%s%d", prefix, i)], "%s%d is not in the table", prefix, i)
		}
	}
}
