package grower

import (
	_ "embed"
	"html/template"
	"io"
	"slices"
	"strings"

	"botanik/internal/calendar"
	"botanik/internal/loop"
)

//go:embed page.html
var markup string

//go:embed page.css
var style string

var page = template.Must(template.New("page").Funcs(template.FuncMap{
	"join":     strings.Join,
	"lower":    strings.ToLower,
	"words":    func() []word { return words },
	"has":      slices.Contains[[]string],
	"drawn":    func(svg string) template.HTML { return template.HTML(svg) }, //nolint:gosec // drawn by the handout, which escapes what it writes
	"sentence": func(s string) string { return strings.ToUpper(s[:1]) + s[1:] },
}).Parse(markup))

type word struct{ ID, Name string }

// words are how it looks, in the grower's own.
var words = []word{{"gone", "gone"}, {"better", "better"}, {"same", "much the same"}, {"worse", "worse"}}

// Policy is the content security policy of the page: its own style and nothing
// else, from nowhere. %s is the nonce.
const Policy = "default-src 'none'; img-src 'self'; style-src 'nonce-%s'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'"

// Said is what a grower sent last: shown again with what has to be mended.
type Said struct {
	Word, Counts, Note string
	Done               []string // days ticked off
	NoMessages         bool
	Sent               bool // what stands above was sent, and takes the place of what the desk has
	Trouble            string
	Thanks             bool // it was taken
	Large              bool // in large type
}

// Write draws a page. Whatever a person typed stays text.
func Write(w io.Writer, p loop.GrowerPage, said Said, nonce string) error {
	return draw(w, &p, said, nonce)
}

// Missing draws the page of an address that leads nowhere, or not now.
func Missing(w io.Writer, trouble, nonce string) error {
	return draw(w, nil, Said{Trouble: trouble}, nonce)
}

func draw(w io.Writer, p *loop.GrowerPage, said Said, nonce string) error {
	in := map[string]any{"Sheet": nil, "Said": said, "Trouble": said.Trouble, "Nonce": nonce, "Calendar": false, "Style": template.CSS(style)} //nolint:gosec // our own file, no input
	if p != nil {
		if said.Sent {
			p.Done = said.Done
		}
		in["Sheet"], in["Page"], in["Calendar"] = &p.Sheet, p, p.Token != "" && calendar.Dated(p.Sheet)
	}
	return page.Execute(w, in)
}
