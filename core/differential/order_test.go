package differential_test

import (
	"math/rand/v2"
	"testing"

	"botanik/core/differential"
	"botanik/core/vernacular"
	"botanik/herbarium"

	"github.com/stretchr/testify/require"
)

// TestTheOrderOfTheSheetsDecidesNothing shuffles the only entries that keep an order of
// their own: the ranking, what to look at next and what words find stay the same.
func TestTheOrderOfTheSheetsDecidesNothing(t *testing.T) {
	book := herbarium.Embedded()
	other := *book
	other.Findings = append(other.Findings[:0:0], book.Findings...)
	r := rand.New(rand.NewPCG(3, 4))
	r.Shuffle(len(other.Findings), func(i, j int) {
		other.Findings[i], other.Findings[j] = other.Findings[j], other.Findings[i]
	})
	one, two := differential.NewEngine(book), differential.NewEngine(&other)
	for range 60 {
		c := book.Causes[r.IntN(len(book.Causes))]
		at := differential.Circumstances{Host: book.Hosts[r.IntN(len(book.Hosts))].ID, Month: 1 + r.IntN(12)}
		var looks []differential.Look
		for _, f := range book.Findings {
			if states := c.Findings[f.ID]; len(states) > 0 && len(looks) < 6 && r.IntN(2) == 0 {
				looks = append(looks, differential.Look{Finding: f.ID, State: f.States[r.IntN(len(f.States))].ID})
			}
		}
		a, b := one.Rank(at, looks), two.Rank(at, looks)
		ids := func(r differential.Ranking) (out []string) {
			for _, c := range r.Candidates {
				out = append(out, c.Cause)
			}
			for _, n := range r.Next {
				out = append(out, n.Finding)
			}
			return append(append(out, r.Verdict, r.Stop), r.Tell...)
		}
		require.Equal(t, ids(a), ids(b), "%v %v", at, looks)
	}
	words, others := vernacular.New(book), vernacular.New(&other)
	for _, said := range []string{"spots", "white", "leaves curl", "sticky", "brown edge", "holes in the leaf", "wilting", "not there", "yellow"} {
		require.Equal(t, words.Find(said, nil, 20), others.Find(said, nil, 20), said)
	}
}
