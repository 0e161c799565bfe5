package season_test

import (
	"testing"
	"time"

	"botanik/core/season"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
)

func TestWhatIsNotMetAtThisTimeOfYearIsAsked(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct {
		host, place, climate string
		month                time.Month
		south, bloom         bool
		asks                 string
	}{
		{"tomato", "garden", "mild", time.November, false, false, "Tomato out of doors in November?"},
		{"tomato", "garden", "", time.February, false, false, "Tomato"},
		{"tomato", "greenhouse", "mild", time.November, false, false, ""},
		{"tomato", "indoors", "", time.January, false, false, ""},
		{"tomato", "garden", "tropical", time.January, false, false, ""},
		{"tomato", "garden", "mild", time.November, true, false, ""}, // spring there
		{"tomato", "garden", "mild", time.June, true, false, "Tomato out of doors in June?"},
		{"tomato", "garden", "mild", time.August, false, false, ""},
		{"rose", "garden", "mild", time.November, false, true, "“in flower” meant"},
		{"rose", "garden", "mild", time.June, false, true, ""},
		{"rose", "garden", "mild", time.November, false, false, ""},
		{"camellia", "garden", "mild", time.December, false, true, ""},
		{"cabbage", "garden", "cold", time.January, false, false, ""},
	} {
		got := season.Unusual(season.Sample{Host: b.Host(c.host), Place: c.place, Month: c.month, South: c.south, Climate: c.climate, InBloom: c.bloom})
		if c.asks == "" {
			assert.Empty(t, got, c)
			continue
		}
		assert.Contains(t, got, c.asks, c)
	}
	assert.Empty(t, season.Unusual(season.Sample{Month: time.January}), "a plant not known here")
}
