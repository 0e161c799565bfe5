package e2e

import (
	"encoding/csv"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/chromedp/chromedp"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A coordinator looks the season over, finds what is behind a figure, filters, opens a case,
// takes what was found out, brings old cards in with a row refused, and takes them out again.
func TestTheSeasonFromFigureToRecords(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("odile")
	p.press("9")
	p.see(`[data-bands] .band`)
	n, text := p.printed(8.27, 11.69)
	assert.Equal(t, 1, n, "the season's report is one page")
	for _, words := range []string{"Merrin Sound Plant Desk", "What came in, week by week", "Where from", "First of the year", "What was advised and what it did"} {
		assert.Contains(t, text, squashed(words))
	}
	p.click(`.figures a`)
	p.until("the cases behind the figure", `document.querySelector('[data-found]')?.dataset.found > 20`)
	p.fill(`[name=find-words]`, "runner")
	p.until("one of them to be left", `document.querySelector('[data-found="1"] [role=row][data-id]')`)
	p.click(`[data-do=export-found]`)
	p.see(`[data-job=done] a`)
	var table string
	p.do(chromedp.Evaluate(`fetch(document.querySelector('[data-job=done] a').href).then(r => r.text())`, &table, awaitPromise))
	rows, err := csv.NewReader(strings.NewReader(table)).ReadAll()
	require.NoError(t, err)
	require.Len(t, rows, 2)
	assert.Contains(t, rows[1], "Runner bean")
	assert.NotContains(t, table, "Tamsin", "nobody asked for people")

	cards := filepath.Join(t.TempDir(), "cards.csv")
	require.NoError(t, os.WriteFile(cards, []byte("Date,Plant,Diagnosis,Remarks\n3.4.2019,Rose,rust,xylotheque\n31.2.2019,Rose,rust,\n4.4.2019,Rose,rust,\n"), 0o600))
	p.upload(`[data-bring-in] input[type=file]`, cards)
	p.see(`[data-reading=csv]`)
	p.open("/season/records") // the file lies with the desk: a reload goes on with it
	p.read("2 of 3 rows")
	assert.Contains(t, p.text(`[data-refused]`), "is not a day")
	p.click(`[data-do=keep-import]`)
	p.see(`[data-batch="cards.csv"]`)
	p.gone(`[data-reading]`)
	p.click(`[data-batch="cards.csv"] a`)
	p.see(`[data-found="2"]`)
	p.until("them to be in the grid", `document.querySelectorAll('[role=row][data-id]').length === 2`)
	p.click(`[role=row][data-id] [data-field=plant]`)
	p.see(`.benchhead`)
	p.open("/season/records")
	p.click(`[data-batch="cards.csv"] [data-do=undo-ask]`)
	p.click(`[data-do=undo-import]`)
	p.see(`[data-undone="2"]`)
	p.open("/season/find?words=xylotheque")
	p.see(`[data-found="0"]`)
}

// Somebody new chooses their own password at the address they were given, and signs in.
func TestSomebodyNewComesIn(t *testing.T) {
	t.Parallel()
	d := start(t)
	p := browse(t, "http://"+d.addr, 1280, 800)
	p.signIn("odile")
	p.open("/house")
	p.clickNamed("button", "Let somebody in")
	p.see(`[data-people] form`)
	var fields int
	p.eval(`document.querySelectorAll('[data-people] form input').length`, &fields)
	require.GreaterOrEqual(t, fields, 3)
	p.fillNamed("Name", "Isolde")
	p.fillNamed("Sign-in name", "isolde")
	p.clickNamed("button", "Let them in")
	p.see(`[data-invite]`)
	var path string
	p.eval(`document.querySelector('[data-invite]').dataset.invite`, &path)

	n := browse(t, "http://"+d.addr, 390, 800)
	n.open(path)
	n.read("Welcome, Isolde")
	n.fill(`[name=join-password]`, "short")
	n.click(`main button[type=submit]`)
	n.until("what is wrong to be said", `document.querySelector('.Mui-error')`)
	n.fill(`[name=join-password]`, "long-enough-now")
	n.click(`main button[type=submit]`)
	n.read("You are in")
	n.open(path)
	n.read("leads nowhere")
}
