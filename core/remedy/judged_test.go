package remedy_test

import (
	"encoding/json"
	"os"
	"slices"
	"strings"
	"testing"

	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// judged is a piece of advice with what a practitioner would sign: what has to be
// among the picks, one of what has to be, what may never be, and what has to be said.
type judged struct {
	What   string                   `json:"what"`
	Cause  string                   `json:"cause"`
	Case   remedy.Situation         `json:"case"`
	All    []string                 `json:"all"`
	Any    []string                 `json:"any"`
	Never  []string                 `json:"never"`
	Status map[string]remedy.Status `json:"status"`
	Says   []string                 `json:"says"`
}

func judge(t *testing.T, file string) {
	raw, err := os.ReadFile("testdata/" + file)
	require.NoError(t, err)
	var list []judged
	require.NoError(t, json.Unmarshal(raw, &list))
	b := herbarium.Embedded()
	for _, c := range list {
		t.Run(c.What, func(t *testing.T) {
			a, err := remedy.Advise(b, c.Cause, c.Case)
			require.NoError(t, err)
			said := strings.Join(a.Why, " ") + a.Refer
			for _, o := range a.Offers {
				if slices.Contains(a.Pick, o.Remedy) {
					for _, r := range o.Reasons {
						said += " " + r.Text
					}
				}
				if want, ok := c.Status[o.Remedy]; ok {
					assert.Equal(t, want, o.Status, "%s: %v", o.Remedy, o.Reasons)
					if !slices.Contains(a.Pick, o.Remedy) {
						for _, r := range o.Reasons {
							said += " " + r.Text
						}
					}
				}
			}
			assert.Subset(t, a.Pick, c.All)
			assert.True(t, len(c.Any) == 0 || slices.ContainsFunc(c.Any, func(id string) bool { return slices.Contains(a.Pick, id) }), "one of %v, not %v", c.Any, a.Pick)
			for _, id := range c.Never {
				assert.NotContains(t, a.Pick, id)
			}
			for _, w := range c.Says {
				assert.Contains(t, said, w)
			}
		})
	}
}

// What a specialist judged (review/book.md, section 5), with the specialist's answer.
func TestWhatASpecialistJudged(t *testing.T) { judge(t, "judged.json") }

// A hundred and more of our own, written before the program was asked.
func TestWhatWeWouldSign(t *testing.T) { judge(t, "own.json") }
