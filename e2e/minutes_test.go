package e2e

import (
	"fmt"
	"os"
	"slices"
	"testing"

	"botanik/herbarium"

	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
)

// counted is a person at the page whose actions are counted as in review/use.md: a
// click or tap, a key that decides, a field filled; Tab and arrows are moves apart.
type counted struct {
	*page
	acts, moves int
}

func (c *counted) click(css string) { c.t.Helper(); c.acts++; c.page.click(css) }

func (c *counted) fill(css, words string) { c.t.Helper(); c.acts++; c.page.fill(css, words) }

func (c *counted) key(keys ...string) {
	c.t.Helper()
	for _, k := range keys {
		if slices.Contains([]string{kb.Tab, kb.ArrowDown, kb.ArrowUp, kb.ArrowLeft, kb.ArrowRight, kb.Escape}, k) {
			c.moves++
		} else {
			c.acts++
		}
		c.press(k)
	}
}

// typical is what a typical sample of a cause shows of a finding: its likeliest state,
// empty for none of them.
func typical(cause, finding string) string {
	b := herbarium.Embedded()
	f := b.Finding(finding)
	best, at := 0.0, ""
	for i, p := range b.Cause(cause).Chances(f) {
		if p > best && !f.States[i].Absent {
			best, at = p, f.States[i].ID
		}
	}
	if best < .5 {
		for _, s := range f.States {
			if s.Absent {
				return s.ID
			}
		}
	}
	return at
}

func (c *counted) reading() (verdict, next string) {
	c.see(`[data-verdict]`)
	c.eval(`document.querySelector('[data-verdict]').dataset.verdict`, &verdict)
	c.eval(`document.querySelector('[data-next]')?.dataset.next ?? ''`, &next)
	return verdict, next
}

// follow answers what is asked next, as a typical sample of the cause would, until the
// desk would settle it or nothing more is worth asking.
func (c *counted) follow(cause string, most int) {
	c.t.Helper()
	for range most {
		verdict, next := c.reading()
		if verdict == "settled" || verdict == "group" || next == "" {
			return
		}
		c.click(fmt.Sprintf(`[data-next] [data-answer-here=%q]`, typical(cause, next)))
		c.until("the desk to ask something else", fmt.Sprintf(`document.querySelector('[data-next]')?.dataset.next !== %q`, next))
	}
}

// onward clicks the step that needs one, where no button led there.
func (c *counted) step(name string) { c.t.Helper(); c.click(`nav.steps a[href$="/` + name + `"]`) }

// intake fills the counter's form: what follows from the plant is not asked again.
func (c *counted) intake(grower, plant, place, story string, minds ...string) {
	c.t.Helper()
	c.fill(`input[name=grower]`, grower)
	c.fill(`input[name=plant]`, plant)
	c.press(kb.Escape)
	if place != "" {
		c.click(`[data-chip="` + place + `"]`)
	}
	for _, m := range minds {
		c.click(`[data-chip="` + m + `"]`)
	}
	c.fill(`textarea[name=story]`, story)
	c.click(`[data-do=check-in]`)
	c.see(`[data-verdict]`) // the case is open on the bench
}

// rest is everything after the looks, nothing changed that the desk proposes.
func (c *counted) rest(sprayer string) {
	c.t.Helper()
	c.step("verdict")
	c.click(`[data-do=settle]`)
	c.see(`[data-do=act], .paper`)
	var act bool
	if c.eval(`!!document.querySelector('[data-do=act]')`, &act); act {
		c.click(`[data-do=act]`)
		c.see(`.offer.on`)
		c.click(`[data-do=keep-remedy]`)
		c.until("the step after the remedy", `document.querySelector('[data-do=keep-mix], [data-do=keep-days], [data-do=hand-over]')`)
	}
	if c.eval(`!!document.querySelector('[data-do=keep-mix]')`, &act); act {
		c.fill(`input[name=sprayer]`, sprayer)
		c.see(`[data-answer=mix] [data-dose]`)
		c.click(`[data-do=keep-mix]`)
		c.until("the step after the mix", `document.querySelector('[data-do=keep-days], [data-do=hand-over]')`)
	}
	if c.eval(`!!document.querySelector('[data-do=keep-days]')`, &act); act {
		c.see(`[data-answer=days] .day`)
		c.click(`[data-do=keep-days]`)
	}
	c.see(`[data-do=hand-over]`)
}

// From bag to page in at most 25 actions, four ways (review/use.md, section 1).
func TestFromBagToPageInTwentyFiveActions(t *testing.T) {
	if os.Getenv("BOTANIK_MINUTES") == "" {
		t.Skip("only through make minutes")
	}
	d := start(t)
	base := "http://" + d.addr
	t.Run("an orchid with mealybugs, by mouse", func(t *testing.T) {
		c := &counted{page: browse(t, base, 1280, 800)}
		c.signIn("ansel")
		c.intake("Maud Lister", "moth orchid", "", "cotton wool in the joints, sticky", "cat")
		c.follow("citrus-mealybug", 8)
		c.rest("500 mL")
		c.click(`[data-do=hand-over]`)
		c.see(`[data-grower-page]`)
		t.Logf("%d actions", c.acts)
		assert.LessOrEqual(t, c.acts, 25)
	})
	t.Run("a box with caterpillars, on a telephone", func(t *testing.T) {
		c := &counted{page: browse(t, base, 390, 844)}
		c.signIn("ansel")
		c.intake("Elowen Hay", "box", "garden", "webs and green caterpillars")
		c.follow("box-caterpillar", 8)
		c.rest("5 L")
		c.click(`[data-do=hand-over]`)
		c.see(`[data-grower-page]`)
		t.Logf("%d actions", c.acts)
		assert.LessOrEqual(t, c.acts, 25)
	})
	t.Run("a rose with black spot, by a trainee with review", func(t *testing.T) {
		c := &counted{page: browse(t, base, 1280, 800)}
		c.signIn("wren")
		c.intake("Piran Wood", "rose", "garden", "black spots, yellow leaves", "bloom")
		c.follow("rose-black-spot", 8)
		c.step("verdict")
		c.click(`[data-do=settle]`)
		c.read("waits for an advisor")
		a := &counted{page: browse(t, base, 1280, 800)}
		a.signIn("ansel")
		var at string
		c.eval(`location.pathname`, &at)
		a.open(at)
		a.click(`[data-do=agree]`)
		c.until("the trainee's page to learn of it", `!document.body.innerText.includes('waits for an advisor')`)
		c.step("act")
		c.click(`[data-do=act]`)
		c.see(`.offer.on`)
		c.click(`[data-do=keep-remedy]`)
		c.until("the step after the remedy", `document.querySelector('[data-do=keep-mix], [data-do=keep-days], [data-do=hand-over]')`)
		var mixes bool
		if c.eval(`!!document.querySelector('[data-do=keep-mix]')`, &mixes); mixes {
			c.fill(`input[name=sprayer]`, "2 gal")
			c.see(`[data-answer=mix] [data-dose]`)
			c.click(`[data-do=keep-mix]`)
		}
		t.Logf("%d actions and %d of the advisor", c.acts, a.acts)
		assert.LessOrEqual(t, c.acts+a.acts, 25)
	})
	t.Run("a tomato with blight, by keys alone", func(t *testing.T) {
		c := &counted{page: browse(t, base, 1280, 800)}
		c.signIn("brann")
		c.key("n")
		c.press("Joss Trew")
		c.acts++ // a field filled
		tab := func(css string) {
			c.t.Helper()
			for range 40 {
				var there bool
				if c.eval(`document.activeElement.matches("`+css+`")`, &there); there {
					return
				}
				c.key(kb.Tab)
			}
			c.t.Fatalf("no Tab leads to %s", css)
		}
		tab("[name=plant]")
		c.press("Tomato", kb.Escape)
		c.acts++
		tab("[data-chip=garden]")
		c.key(" ")
		tab("[name=story]")
		c.press("brown wet patches on leaves and fruit")
		c.acts++
		tab("[data-do=check-in]")
		c.key(kb.Enter)
		c.see(`[data-verdict]`)
		for range 8 {
			verdict, next := c.reading()
			if verdict == "settled" || verdict == "group" || next == "" {
				break
			}
			c.key(kb.Escape, kb.Enter) // to the line that is asked
			c.see(fmt.Sprintf(`.find.at[data-finding=%s]`, next))
			var nth int
			c.eval(fmt.Sprintf(`[...document.querySelectorAll('.find.at [data-state]')].findIndex(x => x.dataset.state === %q) + 1`, typical("late-blight", next)), &nth)
			c.key(fmt.Sprint(nth))
			c.until("the desk to ask something else", fmt.Sprintf(`document.querySelector('[data-next]')?.dataset.next !== %q`, next))
		}
		c.key(".")
		c.read("What is it?")
		c.key(kb.Enter)
		c.read("Is it worth acting on?")
		c.key("a")
		c.see(`.offer.on`)
		c.key(kb.Enter)
		c.until("the step after the remedy", `document.querySelector('[data-do=keep-mix], [data-do=keep-days], [data-do=hand-over]')`)
		t.Logf("%d actions, %d moves", c.acts, c.moves)
		assert.LessOrEqual(t, c.acts, 25)
		assert.LessOrEqual(t, c.moves, 45)
	})
}
