package handout_test

import (
	"regexp"
	"slices"
	"strings"
	"testing"

	"botanik/core/knowledge"
	"botanik/herbarium"
	"botanik/internal/casefile"

	"github.com/stretchr/testify/assert"
)

var (
	sentenceEnd = regexp.MustCompile(`[.!?]+(\s|$)`)
	word        = regexp.MustCompile(`\pL[\pL'’-]*`)
	vowels      = regexp.MustCompile(`[aeiouy]+`)
)

// readingAge by Flesch and Kincaid (1975): grade = 0.39 words a sentence + 11.8 syllables a
// word - 15.59, and a child is about five years older than its grade. Syllables are groups
// of vowels, a silent e at the end not counted.
func readingAge(text string) float64 {
	words := word.FindAllString(text, -1)
	syllables := 0
	for _, w := range words {
		w = strings.ToLower(w)
		n := len(vowels.FindAllString(w, -1))
		if strings.HasSuffix(w, "e") && !strings.HasSuffix(w, "le") && n > 1 {
			n--
		}
		syllables += max(1, n)
	}
	sentences := max(1, len(sentenceEnd.FindAllString(text, -1)))
	return .39*float64(len(words))/float64(sentences) + 11.8*float64(syllables)/float64(len(words)) - 15.59 + 5
}

// running is what of a page is read in sentences: what it is, what to do, what not.
func running(s casefile.Sheet) string {
	parts := []string{s.What, s.Sure, s.First, s.Hour, s.Bring, s.Recovers, s.Disposal}
	for _, x := range s.Steps {
		parts = append(parts, x.How...)
		parts = append(parts, x.Cautions...)
	}
	parts = append(append(append(parts, s.Together...), s.MustNot...), s.Always...)
	out := ""
	for _, p := range parts {
		if p = strings.TrimSpace(p); p != "" {
			out += strings.TrimRight(p, ".") + ". "
		}
	}
	return out
}

// Known sentences of the method first: a child's and a lawyer's. Then every page of the
// herbarium: half of them for twelve and younger, nine in ten for fourteen, names of active
// ingredients counted in.
func TestAPageIsReadAtTwelve(t *testing.T) {
	assert.Less(t, readingAge("The cat sat on the mat. It is a big cat. We all like it."), 6.)
	assert.Greater(t, readingAge("Notwithstanding considerations previously enumerated, contractual obligations appertaining to intermediary organisations necessitate comprehensive documentation."), 18.)
	b := herbarium.Embedded()
	ages, hardest := []float64{}, map[float64]*knowledge.Cause{}
	for _, c := range b.Causes {
		a := readingAge(running(page(t, b, c, "", false, nil)))
		ages = append(ages, a)
		hardest[a] = c
	}
	slices.Sort(ages)
	half, nine, last := ages[len(ages)/2], ages[len(ages)*9/10], ages[len(ages)-1]
	t.Logf("reading age of %d pages: half %.1f, nine in ten %.1f, the hardest %.1f (%s)", len(ages), half, nine, last, hardest[last].ID)
	assert.LessOrEqual(t, half, 12.5)
	assert.LessOrEqual(t, nine, 14.)
}
