package scouting_test

import (
	"encoding/json"
	"os"
	"testing"

	"botanik/core/scouting"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What the page works out by itself for speed is held against the same cases there.
func TestTalliesAsThePageHasThem(t *testing.T) {
	raw, err := os.ReadFile("../testdata/shared.json")
	require.NoError(t, err)
	var cases struct {
		Tallies []struct {
			What   string
			Of     []string
			Leaves [][]int
			Tally  string
			Then   []int
		}
	}
	require.NoError(t, json.Unmarshal(raw, &cases))
	require.NotEmpty(t, cases.Tallies)
	for _, c := range cases.Tallies {
		assert.Equal(t, c.Then, scouting.Count{Of: c.Of, Leaves: c.Leaves}.Held(c.Tally), c.What)
	}
}
