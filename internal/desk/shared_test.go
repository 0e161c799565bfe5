package desk

import (
	"encoding/json"
	"os"
	"slices"
	"strings"
	"testing"

	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/internal/casefile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What the page shows of a look before the desk has answered is held against the same cases there.
func TestLooksAsThePageHasThem(t *testing.T) {
	raw, err := os.ReadFile("../../core/testdata/shared.json")
	require.NoError(t, err)
	var cases struct {
		Looks []struct {
			What        string
			Many        bool
			Absent      []string
			Looks, Then []string
			Answer      struct {
				State    string
				Not, Off bool
			}
		}
	}
	require.NoError(t, json.Unmarshal(raw, &cases))
	require.NotEmpty(t, cases.Looks)
	for _, c := range cases.Looks {
		f := &knowledge.Finding{ID: "f", Many: c.Many}
		for _, s := range []string{"a", "b", "none"} {
			f.States = append(f.States, knowledge.State{ID: s, Absent: slices.Contains(c.Absent, s)})
		}
		looks := []casefile.LookRecord{}
		for _, s := range c.Looks {
			state, not := strings.CutPrefix(s, "not ")
			looks = append(looks, casefile.LookRecord{Look: differential.Look{Finding: "f", State: state, Not: not}})
		}
		got := []string{}
		for _, l := range written(f, looks, casefile.LookRecord{Look: differential.Look{Finding: "f", State: c.Answer.State, Not: c.Answer.Not}}, c.Answer.Off) {
			if l.Not {
				l.State = "not " + l.State
			}
			got = append(got, l.State)
		}
		assert.ElementsMatch(t, c.Then, got, c.What)
	}
}
