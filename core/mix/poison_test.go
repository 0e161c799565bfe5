package mix_test

import (
	"testing"

	"botanik/core/mix"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// What makes poison is refused in any order, under any of its names, whatever else is in;
// what only sounds like it is mixed.
func TestWhatMakesPoisonIsNeverMixed(t *testing.T) {
	make := func(names ...string) error {
		parts := []mix.Part{}
		for _, n := range names {
			parts = append(parts, mix.Part{Name: n, Rate: "10 mL per L"})
		}
		_, err := mix.Make(mix.Request{Volume: "1 L", Parts: parts})
		return err
	}
	for _, pair := range [][]string{
		{"bleach", "vinegar"}, {"Vinegar", "household BLEACH"}, {"javel water", "citric acid"}, {"sodium hypochlorite 5 %", "ammonia"}, {"bleach", "glass cleaner"},
		{"hydrogen peroxide", "vinegar"}, {"peroxide 3 %", "lemon juice"}, {"bleach", "rubbing alcohol"}, {"bleach", "peroxide"}, {"lime sulfur", "vinegar"}, {"lime-sulphur", "acetic acid"}, {"bleach and vinegar"}, {"water", "bleach", "toilet cleaner"},
	} {
		err := make(pair...)
		require.Error(t, err, "%v", pair)
		assert.Contains(t, err.Error(), "name", "%v", pair)
	}
	for _, fine := range [][]string{{"soap", "vinegar"}, {"placid oil", "bleachers' soap"}, {"hydrogen peroxide"}, {"vinegar"}, {"neem oil", "soap"}, {"sulfur", "soap"}} {
		assert.NoError(t, make(fine...), "%v", fine)
	}
}
