package schema_test

import (
	"testing"

	"botanik/core/fault"
	"botanik/core/remedy"
	"botanik/internal/schema"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What the API refuses by its tags, a file is refused by the same: the label of the attack,
// an unknown field, a text without end, a word that is none.
func TestAFileIsHeldToTheTagsOfItsType(t *testing.T) {
	var h remedy.House
	require.NoError(t, schema.Read([]byte(`{"labels":{"soap":{"low":"10 mL per L","high":"20 mL per L","repeatMinDays":4}}}`), &h))
	assert.Equal(t, 4, h.Labels["soap"].RepeatMin)
	for raw, field := range map[string]string{
		`{"labels":{"soap":{"repeatMinDays":9223372036854775807}}}`: "labels.soap.repeatMinDays",
		`{"labels":{"soap":{"mostPerSeason":-5}}}`:                  "labels.soap.mostPerSeason",
		`{"policy":5}`:   "policy",
		`{"bottles":{}}`: "bottles",
		`not json`:       "",
	} {
		err := schema.Read([]byte(raw), &h)
		require.True(t, fault.Is(err), raw)
		assert.Contains(t, fault.From(err)[0].Field, field, raw)
	}
}
