package grower

import (
	_ "embed"
	"html/template"
	"io"
	"strings"

	"botanik/internal/calendar"
	"botanik/internal/casefile"
)

//go:embed page.html
var markup string

//go:embed page.css
var style string

var page = template.Must(template.New("page").Funcs(template.FuncMap{
	"join":     strings.Join,
	"lower":    strings.ToLower,
	"sentence": func(s string) string { return strings.ToUpper(s[:1]) + s[1:] },
}).Parse(markup))

// Policy is the content security policy of the page: its own style and nothing
// else, from nowhere. %s is the nonce.
const Policy = "default-src 'none'; img-src 'self'; style-src 'nonce-%s'; base-uri 'none'; frame-ancestors 'none'; form-action 'none'"

// Write draws a sheet. Whatever a person typed stays text.
func Write(w io.Writer, s casefile.Sheet, nonce string) error {
	return draw(w, &s, "", nonce)
}

// Missing draws the page of an address that leads nowhere, or not now.
func Missing(w io.Writer, trouble, nonce string) error { return draw(w, nil, trouble, nonce) }

func draw(w io.Writer, s *casefile.Sheet, trouble, nonce string) error {
	return page.Execute(w, map[string]any{"Sheet": s, "Trouble": trouble, "Nonce": nonce, "Calendar": s != nil && s.Token != "" && calendar.Dated(*s), "Style": template.CSS(style)}) //nolint:gosec // our own file, no input
}
