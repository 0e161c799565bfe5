package saying_test

import (
	"os"
	"strings"
	"testing"

	"botanik/core/saying"
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

func fits(l saying.Line, right []string) bool {
	for _, r := range right {
		if f, s, both := strings.Cut(r, "="); l.Finding == f && (!both || l.State == "" || l.State == s) {
			return true
		}
	}
	return false
}

// found counts the phrases with a right line among the first three.
func found(t *testing.T, x *saying.Index, list []said) (n int) {
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
	x := saying.New(herbarium.Embedded())
	list := phrases(t, "testdata/phrases.txt")
	require.GreaterOrEqual(t, len(list), 150)
	n := found(t, x, list)
	t.Logf("%d of %d", n, len(list))
	assert.GreaterOrEqual(t, float64(n), .9*float64(len(list)), "nine in ten find a right line among the first three")
}
