package vernacular_test

import (
	"os"
	"strings"
	"testing"

	"botanik/core/vernacular"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

type said struct {
	words string
	right []string // finding or finding=state
}

func phrases(t *testing.T, file string) []said {
	t.Helper()
	raw, err := os.ReadFile(file)
	require.NoError(t, err)
	out := []said{}
	for _, l := range strings.Split(string(raw), "\n") {
		if words, right, ok := strings.Cut(l, " > "); ok && !strings.HasPrefix(l, "#") {
			out = append(out, said{words, strings.Split(strings.TrimSpace(right), "|")})
		}
	}
	return out
}

func fits(l vernacular.Line, right []string) bool {
	for _, r := range right {
		if f, s, both := strings.Cut(r, "="); l.Finding == f && (!both || l.State == "" || l.State == s) {
			return true
		}
	}
	return false
}

// found counts the phrases with a right line among the first three.
func found(t *testing.T, x *vernacular.Index, list []said) (n int) {
	for _, p := range list {
		got := x.Find(p.words, nil, 3)
		ok := false
		for _, l := range got {
			ok = ok || fits(l, p.right)
		}
		if ok {
			n++
			continue
		}
		t.Logf("%-34q wants %v, finds %v", p.words, p.right, got)
	}
	return n
}

// What growers say, written down with the right lines before any was tried.
func TestGrowersWordsFindTheirLine(t *testing.T) {
	x := vernacular.New(herbarium.Embedded())
	list := phrases(t, "testdata/phrases.txt")
	require.GreaterOrEqual(t, len(list), 150)
	n := found(t, x, list)
	t.Logf("%d of %d", n, len(list))
	assert.GreaterOrEqual(t, float64(n), .9*float64(len(list)), "nine in ten find a right line among the first three")
}

// What nobody tuned to finds its line nearly as well.
func TestSayingsNobodyTunedTo(t *testing.T) {
	x := vernacular.New(herbarium.Embedded())
	list := phrases(t, "testdata/held.txt")
	n := found(t, x, list)
	t.Logf("%d of %d", n, len(list))
	assert.GreaterOrEqual(t, float64(n), .8*float64(len(list)))
}

func TestWhatIsSaid(t *testing.T) {
	x := vernacular.New(herbarium.Embedded())
	first := func(words string, tell ...string) string {
		got := x.Find(words, tell, 3)
		if len(got) == 0 {
			return ""
		}
		return got[0].Finding + "=" + got[0].State
	}
	assert.Equal(t, "holes=ragged", first("ragged holes in the leaves")[:12])
	assert.Equal(t, first("white cotton in the axils"), first("axils cotton white"), "in any order")
	assert.Equal(t, "fluff=", first("cotton wo")[:6], "a word that is being typed")
	assert.Equal(t, "sticky=yes", first("sticky"))
	assert.Equal(t, "sticky=no", first("not sticky"))
	assert.Empty(t, first("zzzz qqqq"))
	assert.Empty(t, first("  "))
	assert.Equal(t, "margin", strings.Split(first("notched"), "=")[0])
	sure := func(words string) string {
		for _, l := range x.Find(words, nil, 12) {
			if l.Sure {
				return l.Finding + "=" + l.State
			}
		}
		return ""
	}
	assert.Equal(t, "froth=yes", sure("cuckoo spit"))
	assert.Empty(t, sure("spots"), "many answers have spots")
}

func FuzzFind(f *testing.F) {
	x := vernacular.New(herbarium.Embedded())
	for _, s := range []string{"cotton wool", "no holes", "\x00'’ß", strings.Repeat("a ", 200), "cottonn"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		got := x.Find(s, []string{"sticky", "nothing-known"}, 12)
		require.LessOrEqual(t, len(got), 12)
		seen := map[string]bool{}
		sure := 0
		for _, l := range got {
			require.False(t, seen[l.Finding], "a line stands once")
			seen[l.Finding] = true
			if l.Sure {
				sure++
			}
		}
		require.LessOrEqual(t, sure, 1)
	})
}
