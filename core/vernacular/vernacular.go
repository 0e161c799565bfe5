package vernacular

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"botanik/core/knowledge"
)

// How much a word counts by where it stands (judgement; measured on
// testdata/phrases.txt and on sayings nobody tuned to).
const (
	inSaying = 5.0
	inWords  = 4.0 // what an entry says growers call it
	inState  = 3.0
	inSaid   = 2.0
	inLine   = 2.0
	inHint   = 1.0
	inTopic  = .6

	begun    = .8  // the word is still being typed
	slip     = .65 // a letter wrong
	ofPart   = .3  // the word of a part: everything on a leaf has it
	absent   = .3  // an answer that it is not there, when nobody denied it
	whole    = 1.6 // all that was said fits
	cutShort = .35 // of the best, under which a line is not shown
	oneSlip  = 5   // letters from which one may be wrong
	twoSlips = 8
	begins   = 3 // letters from which a beginning is a word
)

// stop words say nothing of a plant.
var stop = func() map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields("a an the and or of on in at to it its is are was were be been my our their there this that these those some very quite with from for by as has have had i we they he she like look looks looking all over so just got get up") {
		for _, s := range knowledge.Stems(w) {
			out[s] = true
		}
	}
	return out
}()

var partWords = knowledge.Stems("plant shoot leaf leaves flower fruit stem root pot soil underside under")

type field struct {
	finding, state int
	weight         float64
}

// phrase is a saying of several words: as a whole it means more than its words.
type phrase struct {
	stems []string
	to    []field
}

// Index is a book made ready for finding lines. Build it once; it is read-only.
type Index struct {
	base    *knowledge.Base
	words   map[string][]field
	list    []string
	rare    map[string]float64 // how much a word tells
	phrases []phrase
}

// New reads a book.
func New(b *knowledge.Base) *Index {
	x := &Index{base: b, words: map[string][]field{}, rare: map[string]float64{}}
	at := map[string]int{}
	for i, f := range b.Findings {
		at[f.ID] = i
		line := func(text string, w float64) { x.add(text, field{i, -1, w}) }
		line(f.Name, inLine)
		x.call(f.Short, field{i, -1, inLine})
		x.call(f.Name, field{i, -1, inLine})
		line(f.Hint, inHint)
		line(f.Topic, inTopic)
		line(f.Part, inTopic)
		line(f.Where, inHint)
		for _, w := range f.Words {
			x.call(w, field{i, -1, inWords})
		}
		for s, st := range f.States {
			x.add(st.Name, field{i, s, inState})
			x.add(st.Said, field{i, s, inSaid})
			for _, w := range st.Words {
				x.call(w, field{i, s, inWords})
			}
		}
	}
	for _, s := range b.Sayings {
		for n, l := range s.Lines {
			id, state, _ := strings.Cut(l, "=")
			i, ok := at[id]
			if !ok {
				continue
			}
			to := field{i, b.Findings[i].State(state), inSaying * math.Pow(.9, float64(n))}
			for _, w := range s.Say {
				x.call(w, to)
			}
		}
	}
	n := float64(len(b.Findings))
	for w, fields := range x.words {
		on := map[int]bool{}
		for _, f := range fields {
			on[f.finding] = true
		}
		x.rare[w] = math.Log(1 + n/float64(len(on)))
		if slices.Contains(partWords, w) {
			x.rare[w] *= ofPart
		}
		x.list = append(x.list, w)
	}
	slices.Sort(x.list)
	return x
}

func content(text string) []string {
	return slices.DeleteFunc(knowledge.Stems(text), func(s string) bool { return stop[s] || knowledge.Denies(s) })
}

func (x *Index) add(text string, f field) {
	for _, s := range content(text) {
		x.words[s] = append(x.words[s], f)
	}
}

// call is add for a phrase that means something as a whole.
func (x *Index) call(text string, f field) {
	stems := content(text)
	if len(stems) < 2 {
		x.add(text, f)
		return
	}
	part := f
	part.weight /= float64(len(stems)) // a word of a phrase is not the phrase
	x.add(text, part)
	for i := range x.phrases {
		if slices.Equal(x.phrases[i].stems, stems) {
			x.phrases[i].to = append(x.phrases[i].to, f)
			return
		}
	}
	x.phrases = append(x.phrases, phrase{stems, []field{f}})
}

// Line is a line that fits, with the answer of it that fits best; State is empty where
// no answer is nearer than another.
type Line struct {
	Finding string `json:"finding"`
	State   string `json:"state,omitempty"`
	Sure    bool   `json:"sure,omitempty" doc:"all that was said is in this answer and in no other: Enter may write it"`
	score   float64
}

// Find is the lines that what was said could mean, the likeliest first, at most n. tell
// is the findings by what they would tell in the case at hand: of lines that fit as
// well the telling one comes first. Nothing said, or nothing known, finds nothing.
func (x *Index) Find(text string, tell []string, n int) []Line {
	all := knowledge.Stems(text)
	denied := slices.ContainsFunc(all, knowledge.Denies)
	said := content(text)
	if len(said) == 0 {
		said = all
	}
	if len(said) == 0 {
		return []Line{}
	}
	typing := !strings.HasSuffix(text, " ")
	score := make([]tally, len(x.base.Findings))
	total := 0.0
	for i, w := range said {
		hits, tells := x.near(w, typing && i == len(said)-1)
		total += tells
		best := map[[2]int]float64{}
		for _, h := range hits {
			for _, f := range x.words[h.word] {
				k := [2]int{f.finding, f.state}
				best[k] = max(best[k], f.weight*h.like*x.rare[h.word])
			}
		}
		for k, v := range best {
			score[k[0]].add(k[1], i, v, tells)
		}
	}
	for _, p := range x.phrases {
		if x.holds(said, p.stems) {
			for _, f := range p.to {
				bonus := 0.0
				for _, s := range p.stems {
					bonus += f.weight * x.rare[s]
				}
				score[f.finding].bonus(f.state, bonus)
			}
		}
	}
	out := []Line{}
	for i := range score {
		if l, ok := score[i].line(x.base.Findings[i], total, len(said), denied); ok {
			if at := slices.Index(tell, l.Finding); at >= 0 {
				l.score *= 1 + .15*math.Exp(-float64(at)/10)
			}
			out = append(out, l)
		}
	}
	slices.SortFunc(out, func(a, b Line) int {
		return cmp.Or(cmp.Compare(b.score, a.score), cmp.Compare(a.Finding, b.Finding))
	})
	if len(out) > 0 {
		least := out[0].score * cutShort
		out = slices.DeleteFunc(out, func(l Line) bool { return l.score < least })
	}
	if sure := slices.IndexFunc(out, func(l Line) bool { return l.Sure }); sure >= 0 {
		for i := range out {
			if i != sure && out[i].Sure { // two answers fit: nobody knows which
				for k := range out {
					out[k].Sure = false
				}
				break
			}
		}
	}
	return out[:min(n, len(out))]
}

// tally is what a line and its answers gather.
type tally struct {
	own    map[int]float64 // answer → score; -1 for the line itself
	has    map[int]uint64  // answer → which of the words said it holds
	tells  map[int]float64 // word → how much it tells, of those that hit
	phrase map[int]float64
}

func (t *tally) add(state, word int, v, tells float64) {
	if t.own == nil {
		t.own, t.has, t.tells = map[int]float64{}, map[int]uint64{}, map[int]float64{}
	}
	t.own[state] += v
	t.has[state] |= 1 << min(word, 63)
	t.tells[word] = tells
}

func (t *tally) bonus(state int, v float64) {
	if t.phrase == nil {
		t.phrase = map[int]float64{}
	}
	t.phrase[state] = max(t.phrase[state], v)
}

func (t *tally) line(f *knowledge.Finding, total float64, words int, denied bool) (Line, bool) {
	if t.own == nil {
		return Line{}, false
	}
	line := t.own[-1] + t.phrase[-1]
	best, at, second := 0.0, -1, 0.0
	for s := range f.States {
		v := t.own[s] + t.phrase[s]
		if f.States[s].Absent && !denied {
			v *= absent
		}
		if v > best {
			best, second, at = v, best, s
		} else if v > second {
			second = v
		}
	}
	covered := 0.0
	for w := range words { // not by the map: the same words add up to the same sum
		covered += t.tells[w]
	}
	share := covered / total
	out := Line{Finding: f.ID, score: (max(line, 0) + best) * share * share}
	if share > .999 {
		out.score *= whole
	}
	if none := slices.IndexFunc(f.States, func(s knowledge.State) bool { return s.Absent }); denied && none >= 0 {
		out.State = f.States[none].ID
		return out, out.score > 0
	}
	if at >= 0 && best > second*1.2 {
		out.State = f.States[at].ID
		full := uint64(1)<<min(words, 63) - 1
		alone := true
		for s, has := range t.has {
			alone = alone && (s == at || s == -1 || has != full)
		}
		out.Sure = t.has[at] == full && alone && (!f.States[at].Absent || denied)
	}
	return out, out.score > 0
}

type hit struct {
	word string
	like float64
}

// near is the words of the book like one that was said, and how much it tells: a word
// nobody knows tells nothing.
func (x *Index) near(w string, typing bool) (out []hit, tells float64) {
	if _, ok := x.words[w]; ok {
		out = append(out, hit{w, 1})
		tells = x.rare[w]
	}
	if typing && len(w) >= begins {
		i, _ := slices.BinarySearch(x.list, w)
		for ; i < len(x.list) && strings.HasPrefix(x.list[i], w); i++ {
			if x.list[i] != w {
				out = append(out, hit{x.list[i], begun})
				tells = max(tells, x.rare[x.list[i]])
			}
		}
	}
	if len(out) == 0 && len(w) >= oneSlip-1 {
		may := 1
		if len(w) >= twoSlips {
			may = 2
		}
		for _, o := range x.list {
			if abs(len(o)-len(w)) <= may && len(o) >= oneSlip-1 {
				if d := apart(w, o, may); d <= may {
					out = append(out, hit{o, slip / float64(d)})
					tells = max(tells, slip*x.rare[o])
				}
			}
		}
	}
	return out, tells
}

// holds reports whether all words of a phrase were said, in any order; the last said
// may be the beginning of one.
func (x *Index) holds(said, phrase []string) bool {
	for _, p := range phrase {
		if !slices.ContainsFunc(said, func(s string) bool {
			return s == p || len(s) >= oneSlip && (strings.HasPrefix(p, s) || apart(s, p, 1) <= 1)
		}) {
			return false
		}
	}
	return true
}

func abs(n int) int { return max(n, -n) }

// apart is how many letters lie between two words: changed, left out, put in, or two
// swapped; more than most is most+1. (Optimal string alignment distance.)
func apart(a, b string, most int) int {
	p, q := []rune(a), []rune(b)
	if abs(len(p)-len(q)) > most {
		return most + 1
	}
	two, one, row := make([]int, len(q)+1), make([]int, len(q)+1), make([]int, len(q)+1)
	for j := range one {
		one[j] = j
	}
	for i := 1; i <= len(p); i++ {
		row[0] = i
		least := i
		for j := 1; j <= len(q); j++ {
			cost := 1
			if p[i-1] == q[j-1] {
				cost = 0
			}
			row[j] = min(one[j]+1, row[j-1]+1, one[j-1]+cost)
			if i > 1 && j > 1 && p[i-1] == q[j-2] && p[i-2] == q[j-1] {
				row[j] = min(row[j], two[j-2]+1)
			}
			least = min(least, row[j])
		}
		if least > most {
			return most + 1
		}
		two, one, row = one, row, two
	}
	return one[len(q)]
}
