package remedy_test

import (
	"testing"

	"botanik/core/civil"
	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Soap on the first and the eighth, the hose between, mites a day after the last soap
// (by hand): the hose every other day, never on a soap day or the day after it.
func TestOneCalendarForSoapHoseAndHelpers(t *testing.T) {
	b := herbarium.Embedded()
	d := func(n int) civil.Day { return civil.Must("2026-06-01").Add(n) }
	got := remedy.Around(b, remedy.House{}, b.Remedy("soap"), []civil.Day{d(0), d(7)}, []string{"soap", "hose-off", "release-mites", "keep-helpers"}, d(0))
	require.Len(t, got, 2)
	assert.Equal(t, "hose-off", got[0].Remedy)
	assert.Equal(t, []civil.Day{d(2), d(4), d(6)}, got[0].On)
	assert.Equal(t, "release-mites", got[1].Remedy)
	assert.Equal(t, d(8), got[1].On[0])
	assert.Contains(t, got[1].Why, "soap kills released helpers while wet")
}

// For everything in the book beside everything: no wait between the two is broken, in
// either order, and nothing by hand falls on a spray day or the day after.
func TestNothingBesideBreaksAWait(t *testing.T) {
	b := herbarium.Embedded()
	today := civil.Must("2026-06-01")
	n := 0
	for _, r := range b.Remedies {
		if r.Kind != "product" || r.RepeatMin == 0 {
			continue
		}
		days := []civil.Day{today.Add(1), today.Add(1 + r.RepeatMin)}
		for _, x := range b.Remedies {
			for _, got := range remedy.Around(b, remedy.House{}, r, days, []string{r.ID, x.ID}, today) {
				n++
				for _, on := range got.On {
					for _, s := range days {
						wait, k := b.ConflictBetween(r.ID, x.ID)
						if !on.Before(s) && k != nil {
							assert.GreaterOrEqual(t, on.Sub(s), wait, "%s after %s", x.ID, r.ID)
						}
						if back, k := b.ConflictBetween(x.ID, r.ID); on.Before(s) && k != nil {
							assert.GreaterOrEqual(t, s.Sub(on), back, "%s before %s", x.ID, r.ID)
						}
						if x.Kind == "action" && r.Reach != "soil" {
							assert.False(t, on.Sub(s) == 0 || on.Sub(s) == 1, "%s on %s", x.ID, on)
						}
					}
				}
			}
		}
	}
	assert.Greater(t, n, 50)
}
