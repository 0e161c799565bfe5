package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"testing"
	"time"

	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The week hour by hour: the best hours first, every reason by keys, what flowers change,
// and what holds in a room.
func TestTheSprayWeekSaysWhenAndWhyNot(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.press("5")
	p.see(`[data-spray-week=soap] .hourweek`)
	var cells, before, after int
	p.eval(`document.querySelectorAll('.hourweek button').length`, &cells)
	assert.GreaterOrEqual(t, cells, 7*23)
	p.see(`[data-hour]`)
	var was, is string
	p.eval(`document.querySelector('.hourweek button[aria-pressed=true]').getAttribute('aria-label')`, &was)
	p.press(kb.ArrowDown, kb.ArrowRight)
	p.eval(`document.querySelector('.hourweek button[aria-pressed=true]').getAttribute('aria-label')`, &is)
	assert.NotEqual(t, was, is)
	good := `document.querySelectorAll('.hourweek button[data-says=good]').length`
	p.eval(good, &before)
	p.press("f")
	p.see(`[data-chip=bloom][aria-checked=true]`)
	p.see(`[data-spray-week=soap]`)
	p.eval(good, &after)
	assert.LessOrEqual(t, after, before, "flowers never make an hour better")
	// Every hour that is not good says why.
	var silent int
	p.eval(`[...document.querySelectorAll('.hourweek button:not([data-says=good])')].filter(b => !b.getAttribute('aria-label').includes('.')).length`, &silent)
	assert.Zero(t, silent)
	p.click(`[data-chip=indoors]`)
	p.read("Lights and fans off")
	p.until("the sky outside to go", `!document.querySelector(".hourweek")`)
}

// A spray day is dragged and moved by keys; everything is worked out anew at once, what
// may not be is named, and what is kept goes into a calendar.
func TestASprayDayIsDraggedAndMovedByKeys(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.sample("Bryony Cave", "Passionflower", "indoors", "webs")
	p.mark("silk", "dense")
	p.mark("walkers", "many")
	p.likely("Two-spotted")
	p.click(`[data-do=act]`)
	p.see(`.offer.on`)
	p.click(`[data-do=keep-remedy]`)
	p.click(`[data-do=other-days]`) // the mix is kept, the days are set by hand
	p.see(`[data-pin="2"]`)
	p.see(`[data-rhythm=solved], [data-rhythm=set]`)
	day := func() (s string) {
		p.eval(`document.querySelector('[data-pin="2"]').dataset.day`, &s)
		return s
	}
	share := func() (s string) {
		p.eval(`document.querySelector('[data-rhythm=set] .num').innerText + '|' + document.querySelectorAll('[data-rhythm]').length`, &s)
		return s
	}
	first, left := day(), share()
	p.focus(`[data-pin="2"]`)
	p.press(kb.ArrowRight, kb.ArrowRight)
	p.until("the day to move", fmt.Sprintf(`document.querySelector('[data-pin="2"]').dataset.day > %q`, first))
	p.until("the picture to be worked out anew", fmt.Sprintf(`document.querySelector('[data-rhythm=set] .num').innerText + '|' + document.querySelectorAll('[data-rhythm]').length !== %q`, left))
	moved := day()
	p.do(chromedp.Reload())
	p.until("the day to be where it was put", fmt.Sprintf(`document.querySelector('[data-pin="2"]')?.dataset.day === %q`, moved))
	// Dragged half a week further by hand.
	var box struct{ X, Y, W float64 }
	p.eval(`(b => { b.scrollIntoView({block: 'center'}); const r = b.getBoundingClientRect(), f = b.parentElement.getBoundingClientRect(); return {X: r.left + r.width / 2, Y: r.top + 14, W: f.width} })(document.querySelector('[data-pin="2"]'))`, &box)
	at := func(kind input.MouseType, x float64) *input.DispatchMouseEventParams {
		return input.DispatchMouseEvent(kind, x, box.Y).WithButton(input.Left).WithButtons(1).WithClickCount(1)
	}
	p.do(at(input.MousePressed, box.X), at(input.MouseMoved, box.X-box.W/28), at(input.MouseMoved, box.X-box.W/14), at(input.MouseReleased, box.X-box.W/14))
	p.until("the day to be dragged back", fmt.Sprintf(`document.querySelector('[data-pin="2"]').dataset.day < %q`, moved))
	// Too near the first for the label: named, and the picture stays to drag it back. One
	// step at a time, each worked out before the next.
	const tooNear = `document.body.innerText.includes("sooner than the label's shortest gap")`
	settled := func() (refused bool) {
		p.until("the picture to be worked out", `document.querySelector('[data-weeks]')?.getAttribute('aria-busy') === 'false'`)
		p.eval(tooNear, &refused)
		return refused
	}
	step := func(key string) {
		at := day()
		p.focus(`[data-pin="2"]`)
		p.press(key)
		p.until("the day to move", fmt.Sprintf(`document.querySelector('[data-pin="2"]').dataset.day !== %q`, at))
	}
	for range 12 {
		if settled() {
			break
		}
		step(kb.ArrowLeft)
	}
	p.read("sooner than the label's shortest gap")
	p.see(`[data-pin="2"]`)
	for range 4 {
		if !settled() {
			break
		}
		step(kb.ArrowRight)
	}
	assert.False(t, settled(), "a day further on is allowed again")
	// What if half of it is missed: more is left, and the days stay.
	p.eval(`document.querySelector('[data-weeks] figcaption p:nth-of-type(2)').innerText`, &left)
	p.click(`[data-chip=half]`)
	p.until("another picture", fmt.Sprintf(`document.querySelector('[data-weeks] figcaption p:nth-of-type(2)').innerText !== %q`, left))
	kept := day()
	p.click(`[data-do=keep-days]`)
	p.see(`[data-do=hand-over]`)
	p.click(`[data-do=hand-over]`)
	p.see(`[data-grower-page]`)
	var link, file string
	p.eval(`document.querySelector('[data-grower-page]').getAttribute('href')`, &link)
	p.do(chromedp.Evaluate(`fetch('`+link+`/days.ics').then(r => r.text())`, &file, awaitPromise))
	assert.Contains(t, file, "BEGIN:VCALENDAR")
	assert.Contains(t, file, "DTSTART;VALUE=DATE:"+strings.ReplaceAll(kept, "-", ""))
}

// A file of hours is brought in: what is understood is shown, a row that cannot be used is
// named, and once kept the best hours are its own; taken out, they are as before.
func TestAWeatherFileChangesTheWindow(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("ansel")
	p.open("/spray-days")
	p.see(`[data-spray-week=soap] .hourweek`)
	weather := func() string { return p.text(`[data-spray-week=soap] > small`) }
	assert.Contains(t, weather(), "simulated forecast")
	var now string
	p.do(chromedp.Evaluate(`fetch('/api/v1/session').then(r => r.json()).then(s => s.now)`, &now, awaitPromise))
	day, err := time.Parse("2006-01-02", now[:10])
	require.NoError(t, err)
	rows := []string{"Date;Temp (F);RH;Wind (km/h);Rain (mm)"}
	for i := range 24 * 9 {
		at := day.Add(time.Duration(i) * time.Hour)
		rain := "0"
		if i < 72 {
			rain = "0,8" // three wet days first
		}
		rows = append(rows, at.Format("02/01/2006 15:04")+";59,0;65;7;"+rain)
	}
	rows[30] = day.Add(29*time.Hour).Format("02/01/2006 15:04") + ";wet;65;7;0"
	file := filepath.Join(t.TempDir(), "roof.csv")
	require.NoError(t, os.WriteFile(file, []byte(strings.Join(rows, "\n")), 0o600))
	p.press("e")
	p.see(`input[name=weather-file]`)
	p.upload(`input[name=weather-file]`, file)
	p.until("the file to be read", `document.querySelector('[data-reading]')?.dataset.reading || document.querySelector('[name=order]')`)
	var two bool
	if p.eval(`!!document.querySelector('input[name=order]')`, &two); two { // a date that can be read two ways is asked about
		p.choose("order", "dmy")
	}
	p.until("the file to be understood", `document.querySelector('[data-reading]')?.dataset.reading === '215'`)
	p.see(`[data-refused="1"]`)
	p.see(`[data-gaps="1"]`)
	p.click(`[data-do=keep-weather]`)
	p.see(`[data-file="roof.csv"]`)
	p.press("w")
	p.until("the hours of the file", `document.querySelector('[data-spray-week] > small')?.innerText.includes('roof.csv')`)
	var best string
	p.eval(`document.querySelector('[data-best]').dataset.best`, &best)
	assert.Equal(t, day.AddDate(0, 0, 3).Format("2006-01-02"), best[:10], "the first dry day of the file")
	p.press("e")
	p.click(`[data-do=drop-weather]`)
	p.until("it to be gone", `document.querySelector('[data-weather-files]')?.dataset.weatherFiles === '0'`)
	p.press("w")
	p.until("the made-up hours again", `document.querySelector('[data-spray-week] > small')?.innerText.startsWith('simulated forecast')`)
}

// A winter programme only after a bad year, with its days; what is left of a copper.
func TestAWinterProgrammeAndWhatIsLeft(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 390, 800)
	p.signIn("ansel")
	p.open("/spray-days/winter")
	for name, words := range map[string]string{"winter-host": "Peach", "winter-causes": "Peach leaf curl"} { // in any order
		p.fill(`input[name=`+name+`]`, words)
		p.see(`[role=option]`)
		p.press(kb.Enter)
		p.gone(`[role=option]`)
	}
	p.see(`[data-winter=false]`)
	p.read("Last year was not bad on this plant")
	p.click(`[data-chip=bad]`)
	p.see(`[data-winter=true]`)
	p.see(`[data-spray=copper]`)
	p.read("First clean up")
	p.read("Two of oil, lime sulfur and copper in one winter")
	var wide bool
	p.eval(`document.documentElement.scrollWidth > innerWidth`, &wide)
	assert.False(t, wide, "no sideways scrolling")
	p.open("/spray-days/lately")
	p.see(`input[name=since-on]`)
	var now string
	p.do(chromedp.Evaluate(`fetch('/api/v1/session').then(r => r.json()).then(s => s.now)`, &now, awaitPromise))
	day, err := time.Parse("2006-01-02", now[:10])
	require.NoError(t, err)
	p.focus(`input[name=since-on]`)
	p.do(chromedp.KeyEvent(day.AddDate(0, 0, -5).Format("01022006")))
	p.read("Not again before")
	p.eval(`document.documentElement.scrollWidth > innerWidth`, &wide)
	assert.False(t, wide, "no sideways scrolling")
}
