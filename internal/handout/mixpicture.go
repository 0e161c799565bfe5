package handout

import (
	"cmp"
	"fmt"
	"html"
	"math"
	"strings"

	"botanik/core/mix"
	"botanik/internal/casefile"
)

// fills are the steps of one filling as they are drawn.
func fills(p mix.Plan) []casefile.SheetFill {
	out := []casefile.SheetFill{}
	if len(p.Tanks) == 0 || p.Tanks[0].Volume <= 0 {
		return out
	}
	t, before := p.Tanks[0], 0.0
	for _, s := range t.Steps {
		f := casefile.SheetFill{Text: s.Text, Form: s.Form, From: before / t.Volume, To: s.Level / t.Volume}
		before = s.Level
		for _, d := range t.Doses {
			if d.Name == s.Adds && d.Spoons != nil && !d.Spoons.BelowLow {
				for _, x := range d.Spoons.Spoons {
					f.Spoons = append(f.Spoons, casefile.SheetSpoon(x))
				}
			}
		}
		out = append(out, f)
	}
	return out
}

// Illustrate draws what of a page is drawn when it is read: the steps of its mix.
func Illustrate(s *casefile.Sheet) {
	if s.Mix == nil {
		return
	}
	m := *s.Mix
	m.Fills = append([]casefile.SheetFill{}, m.Fills...)
	for i := range m.Fills {
		m.Fills[i].Picture = fillPicture(m.Vessel, i+1, m.Fills[i])
	}
	s.Mix = &m
}

// A vessel is drawn in a box of 100 by 140: its outline, and the bottom and height of what
// it can hold between two straight walls.
type vessel struct {
	outline           string
	left, right       float64
	bottom, top, deep float64 // deep: how round the bottom is
}

var vessels = map[string]vessel{
	"sprayer":      {"M28 62 q0 -10 12 -13 v-9 h20 v9 q12 3 12 13 v66 q0 7 -7 7 h-30 q-7 0 -7 -7 z M40 40 v-7 h30 l8 5 M44 33 l-7 13", 28, 72, 135, 62, 7},
	"jar":          {"M30 52 h40 M27 60 h46 v68 q0 7 -7 7 h-32 q-7 0 -7 -7 z M30 52 v8 M70 52 v8", 27, 73, 135, 64, 7},
	"watering can": {"M26 62 h44 v66 q0 7 -7 7 h-30 q-7 0 -7 -7 z M70 118 l18 -50 M83 64 l10 6 M32 62 q0 -20 20 -20 q18 0 18 20", 26, 70, 135, 66, 7},
	"bowl":         {"M14 78 h72 q0 57 -22 57 h-28 q-22 0 -22 -57 z", 20, 80, 133, 84, 20},
}

var pours = map[string]string{"water": "#cfe4ec", "emulsifier": "#c9a24a", "powder": "#b79c82", "oil": "#e3a008", "soap": "#b9cf8f", "alcohol": "#c7a5c4", "liquid": "#d08a78"}

// fillPicture draws one step: the vessel, what is in it so far in pale and what goes in now
// in its colour, and above it the spoons it is measured with. Black on white, as paper is.
func fillPicture(name string, n int, f casefile.SheetFill) string {
	v, ok := vessels[name]
	if !ok {
		v = vessels["sprayer"]
	}
	var b strings.Builder
	fmt.Fprintf(&b, `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 140" role="img" aria-label="Step %d: %s"><rect width="100" height="140" rx="6" fill="#fff"/>`, n, html.EscapeString(f.Text))
	h := v.bottom - v.top
	y := func(full float64) float64 { return v.bottom - h*math.Max(0, math.Min(1, full)) }
	if f.From > 0 {
		level(&b, v, v.bottom, y(f.From), "#e8f0f2")
	}
	// What is poured in is at least a line: 12 mL in 1 L would not be seen.
	upper := math.Min(y(f.To), y(f.From)-4)
	level(&b, v, y(f.From), upper, cmp.Or(pours[f.Form], pours["liquid"]))
	fmt.Fprintf(&b, `<path d="%s" fill="none" stroke="#1f2a2c" stroke-width="2" stroke-linejoin="round" stroke-linecap="round"/>`, v.outline)
	fmt.Fprintf(&b, `<path d="M%.0f %.1f h9" stroke="#a63a2b" stroke-width="2.4"/>`, v.left-5, upper)
	fmt.Fprintf(&b, `<text x="4" y="136" font-family="sans-serif" font-size="15" font-weight="bold" fill="#1f2a2c">%d</text>`, n)
	above(&b, f)
	return b.String() + `</svg>`
}

// level fills a stretch of the vessel; what stands on its round bottom is round as well.
func level(b *strings.Builder, v vessel, from, to float64, tone string) {
	if from < v.bottom-.5 {
		fmt.Fprintf(b, `<path d="M%.1f %.1f H%.1f V%.1f H%.1fz" fill="%s"/>`, v.left+1, from, v.right-1, to, v.left+1, tone)
		return
	}
	r := math.Min(v.deep, from-to)
	fmt.Fprintf(b, `<path d="M%.1f %.1f V%.1f q0 %.1f %.1f %.1f H%.1f q%.1f 0 %.1f %.1f V%.1fz" fill="%s"/>`, v.left+1, to, from-r, r, r, r, v.right-1-r, r, r, -r, to, tone)
}

// mostSpoons are drawn one by one; more are told as a number.
const mostSpoons = 4

// above draws what the step is measured with: a drop for water, spoons in their true
// proportion, a measuring cup where no spoon will do.
func above(b *strings.Builder, f casefile.SheetFill) {
	switch {
	case f.Form == "water":
		b.WriteString(`<path d="M50 4 q9 12 9 18 a9 9 0 0 1 -18 0 q0 -6 9 -18z" fill="#cfe4ec" stroke="#1f2a2c" stroke-width="1.6"/>`)
	case len(f.Spoons) == 0:
		b.WriteString(`<path d="M40 6 h20 l-3 20 h-14z M44 12 h6 M44 17 h6 M45 22 h5" fill="none" stroke="#1f2a2c" stroke-width="1.6" stroke-linejoin="round"/>`)
	}
	x := 3.0
	for _, s := range f.Spoons {
		r := math.Max(3.4, 4.6*math.Cbrt(s.Ml/5))
		n := s.Count
		if s.Count > mostSpoons {
			n = 1
			fmt.Fprintf(b, `<text x="%.1f" y="20" font-family="sans-serif" font-size="13" font-weight="bold" fill="#1f2a2c">%d×</text>`, x, s.Count)
			x += 24
		}
		for range n {
			fmt.Fprintf(b, `<ellipse cx="%.1f" cy="11" rx="%.1f" ry="%.1f" fill="#f0d48a" stroke="#1f2a2c" stroke-width="1.4"/><path d="M%.1f %.1f v%.1f" stroke="#1f2a2c" stroke-width="2" stroke-linecap="round"/>`, x+r, r*.84, r, x+r, 11+r, 22-r)
			x += 2*r + 3
		}
		fmt.Fprintf(b, `<text x="%.1f" y="20" font-family="sans-serif" font-size="11" fill="#1f2a2c">%s</text>`, x, html.EscapeString(s.Name))
		x += 7*float64(len(s.Name)) + 4
	}
}
