package grower_test

import (
	"bytes"
	"testing"

	"botanik/internal/casefile"
	"botanik/internal/httpapi/grower"
	"botanik/internal/loop"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A second trouble stands on the grower's own page with its steps and their cautions, and
// whatever a person typed stays text.
func TestBothTroublesStandOnTheGrowersPage(t *testing.T) {
	var page bytes.Buffer
	require.NoError(t, grower.Write(&page, loop.GrowerPage{Sheet: casefile.Sheet{
		Title: "Brown soft scale", Plant: "Orchid", Grower: "<b>Ilse</b>", Steps: []casefile.SheetStep{{Name: "Wipe them off", How: []string{"With a cloth."}}},
		Besides: &casefile.SheetBesides{Title: "Bacterial soft rot", What: "It turns to slime.", Refer: "Call: the office.", Steps: []casefile.SheetStep{{Name: "Cut it out", How: []string{"Into firm tissue."}, Cautions: []string{"Clean the blade."}}}},
	}}, grower.Said{}, "n"))
	for _, part := range []string{"And besides it: Bacterial soft rot.", "Call: the office.", "<b>Cut it out.</b>", "Into firm tissue.", "Clean the blade.", "<b>Wipe them off.</b>", "&lt;b&gt;Ilse"} {
		assert.Contains(t, page.String(), part)
	}
	page.Reset()
	require.NoError(t, grower.Write(&page, loop.GrowerPage{Sheet: casefile.Sheet{Title: "Brown soft scale", Plant: "Orchid"}}, grower.Said{}, "n"))
	assert.NotContains(t, page.String(), "besides")
}
