package humanise_test

import (
	"testing"

	"botanik/core/humanise"

	"github.com/stretchr/testify/assert"
)

func TestFiguresAsAPersonSaysThem(t *testing.T) {
	for n, want := range map[int][2]string{0: {"0 days", "0 times"}, 1: {"a day", "once"}, 2: {"2 days", "twice"}, 30: {"30 days", "30 times"}} {
		assert.Equal(t, want, [2]string{humanise.Days(n), humanise.Times(n)})
	}
}

func TestWhatCannotBeSeenIsNotKept(t *testing.T) {
	for in, want := range map[string]string{
		"  Ilse Marrow ": "Ilse Marrow", "Il\u0000se": "Ilse", "Ilse\u202eworraM": "IlseworraM", "\u200b": "", "\u3164": "", "\a": "",
		"\u200b\u200d \u2800": "", "a\nb": "a b", "Zoë ĳ 学 🌱 (2)": "Zoë ĳ 学 🌱 (2)", "\u0645\u06cc\u200c\u0631\u0648\u0645": "\u0645\u06cc\u200c\u0631\u0648\u0645", "\ufeffrose": "rose",
	} {
		assert.Equal(t, want, humanise.Line(in), "%q", in)
	}
	assert.Equal(t, "a\nb", humanise.Text("a\r\nb\u0007"))
	assert.Empty(t, humanise.Text("\n\t\n"))
}

func TestALongTextIsCutBetweenSigns(t *testing.T) {
	assert.Equal(t, "grüß…", humanise.Short("grüße", 4))
	assert.Equal(t, "grüße", humanise.Short("grüße", 5))
}
