package humanise

import (
	"strings"
	"unicode"
)

// Line is what a person typed into one line, with everything left out that
// cannot be seen and changes how the rest is read: control characters, marks
// that turn the direction of writing, byte-order marks. Line breaks become
// spaces. What has nothing to see left is empty.
func Line(s string) string {
	return clean(s, func(r rune) rune {
		if r == '\n' || r == '\r' || r == '\t' || r == '\u2028' || r == '\u2029' {
			return ' '
		}
		return r
	})
}

// Text is Line for several lines, whose breaks are kept.
func Text(s string) string {
	s = strings.NewReplacer("\r\n", "\n", "\r", "\n", "\u2028", "\n", "\u2029", "\n").Replace(s)
	return clean(s, func(r rune) rune { return r })
}

func clean(s string, space func(rune) rune) string {
	seen := false
	s = strings.Map(func(r rune) rune {
		r = space(r)
		switch {
		case r == '\n' || r == '\t':
			return r
		case unicode.IsControl(r), r == '\ufeff', r == '\u00ad', r == unicode.ReplacementChar,
			r == '\u200e', r == '\u200f', r == '\u061c', r >= '\u202a' && r <= '\u202e', r >= '\u2060' && r <= '\u206f':
			return -1
		}
		seen = seen || visible(r)
		return r
	}, s)
	if !seen {
		return ""
	}
	return strings.TrimSpace(s)
}

// visible says whether a sign leaves ink. Some letters and symbols are drawn as
// nothing: the Hangul fillers and the empty Braille cell.
func visible(r rune) bool {
	switch r {
	case '\u115f', '\u1160', '\u3164', '\uffa0', '\u2800':
		return false
	}
	return unicode.IsLetter(r) || unicode.IsNumber(r) || unicode.IsPunct(r) || unicode.IsSymbol(r)
}

// Short is a text of at most so many signs, with a dot-dot-dot where more was.
func Short(s string, signs int) string {
	if r := []rune(s); len(r) > signs {
		return string(r[:signs]) + "…"
	}
	return s
}
