package knowledge

import (
	"slices"
	"strings"
	"unicode"
)

// Spoken is a state a text speaks of, with the words that do.
type Spoken struct {
	Finding string `json:"finding"`
	State   string `json:"state"`
	Words   string `json:"words" doc:"of the story, as written"`
}

// Words that turn what follows into its absence.
var denials = []string{"no", "not", "never", "without", "none", "nor", "hardly", "didn't", "isn't", "aren't", "doesn't", "don't", "wasn't", "cannot", "can't"}

// denied is how many words a denial reaches.
const denied = 3

// shortStem is the least a stem may be cut to.
const shortStem = 3

type token struct {
	stem       string
	start, end int
	breaks     bool // a sentence or clause ends before it
}

// endings are cut so that growers and book may use a word differently: curled,
// curling and curls speak of one thing. A y is kept as i: sticky is no stick.
var endings = [][2]string{{"iness", "i"}, {"ness", ""}, {"ings", ""}, {"ing", ""}, {"ies", "i"}, {"ied", "i"}, {"ed", ""}, {"es", ""}, {"s", ""}, {"y", "i"}, {"e", ""}}

func stem(w string) string {
	for _, end := range endings {
		if cut, ok := strings.CutSuffix(w, end[0]); ok && len(cut) >= shortStem {
			w = cut + end[1]
			break
		}
	}
	if n := len(w); n > shortStem && w[n-1] == w[n-2] { // spotted, webbed
		w = w[:n-1]
	}
	return w
}

func tokens(text string) []token {
	out := []token{}
	low := strings.ToLower(text)
	start, breaks := -1, false
	flush := func(end int) {
		if start >= 0 {
			w := low[start:end]
			if !slices.Contains(denials, w) {
				w = stem(w)
			}
			out = append(out, token{w, start, end, breaks})
			start, breaks = -1, false
		}
	}
	for i, r := range low {
		if unicode.IsLetter(r) || r == '\'' || unicode.IsDigit(r) {
			if start < 0 {
				start = i
			}
			continue
		}
		flush(i)
		if strings.ContainsRune(".;!?:", r) || r == ',' {
			breaks = true
		}
	}
	flush(len(low))
	return out
}

// phrase is the words of a state ready to be found.
type phrase struct {
	finding, state string
	stems          []string
}

// phrases lists what each state is called by growers: the words its entry gives, and
// what it is said as. Asked findings take part as any other.
func (b *Base) phrases() []phrase {
	out := []phrase{}
	for _, f := range b.Findings {
		for _, s := range f.States {
			for _, w := range s.Words {
				stems := []string{}
				for _, t := range tokens(w) {
					stems = append(stems, t.stem)
				}
				out = append(out, phrase{f.ID, s.ID, stems})
			}
		}
	}
	slices.SortStableFunc(out, func(x, y phrase) int { return len(y.stems) - len(x.stems) }) // the longest say most
	return out
}

// SpokenOf finds the states a story speaks of, in the order of the story; of one
// finding each state once. A word that is denied ("no holes") speaks of nothing, and
// a phrase inside a longer one is the longer one's. They are offers: what a grower
// says was not seen.
func (b *Base) SpokenOf(story string) []Spoken {
	toks := tokens(story)
	taken := make([]bool, len(toks))
	type hit struct {
		at int
		Spoken
	}
	hits := []hit{}
	for _, p := range b.spoken {
		for i := 0; i+len(p.stems) <= len(toks); i++ {
			if taken[i] || !follows(toks[i:], p.stems) || deniedAt(toks, i) {
				continue
			}
			for k := range p.stems {
				taken[i+k] = true
			}
			words := story[min(toks[i].start, len(story)):min(toks[i+len(p.stems)-1].end, len(story))]
			if !slices.ContainsFunc(hits, func(h hit) bool { return h.Finding == p.finding && h.State == p.state }) {
				hits = append(hits, hit{i, Spoken{p.finding, p.state, words}})
			}
			for _, q := range b.spoken { // one phrase may be called for by two findings
				if (q.finding != p.finding || q.state != p.state) && slices.Equal(q.stems, p.stems) && !slices.ContainsFunc(hits, func(h hit) bool { return h.Finding == q.finding && h.State == q.state }) {
					hits = append(hits, hit{i, Spoken{q.finding, q.state, words}})
				}
			}
		}
	}
	slices.SortStableFunc(hits, func(x, y hit) int { return x.at - y.at })
	out := make([]Spoken, len(hits))
	for i, h := range hits {
		out[i] = h.Spoken
	}
	return out
}

func follows(toks []token, stems []string) bool {
	for k, s := range stems {
		if toks[k].stem != s || k > 0 && toks[k].breaks {
			return false
		}
	}
	return true
}

func deniedAt(toks []token, i int) bool {
	for k := i; k >= 0 && k >= i-denied; k-- {
		if k < i && slices.Contains(denials, toks[k].stem) {
			return true
		}
		if toks[k].breaks {
			return false
		}
	}
	return false
}
