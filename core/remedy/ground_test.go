package remedy_test

import (
	"fmt"
	"slices"
	"testing"

	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func statusOf(t *testing.T, cause, id string, s remedy.Situation) (remedy.Status, remedy.Advice) {
	t.Helper()
	a, err := remedy.Advise(herbarium.Embedded(), cause, s)
	require.NoError(t, err)
	i := slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == id })
	require.GreaterOrEqual(t, i, 0, id)
	return a.Offers[i].Status, a
}

// What a specialist would not sign (review/book.md, D1 to D26), each as a case.
func TestWhatASpecialistWouldNotSign(t *testing.T) {
	in := func(host, place, date, pressure string) remedy.Situation {
		return remedy.Situation{Host: host, Place: place, Date: date, Pressure: pressure}
	}
	for _, c := range []struct {
		what, cause, remedy string
		s                   remedy.Situation
		want                remedy.Status
		never               string // never picked
	}{
		{"no cut on cherry in January", "bacterial-canker", "prune-out", in("cherry", "garden", "2026-01-20", "light"), remedy.NotNow, "prune-out"},
		{"nor on plum", "brown-rot", "prune-out", in("plum", "garden", "2026-01-20", "moderate"), remedy.NotNow, "prune-out"},
		{"but in July", "bacterial-canker", "prune-out", in("cherry", "garden", "2026-07-20", "light"), remedy.Go, ""},
		{"copper burns peach in leaf", "peach-leaf-curl", "copper", in("peach", "garden", "2026-05-10", "heavy"), remedy.NotNow, "copper"},
		{"and cherry", "shot-hole", "copper", in("cherry", "garden", "2026-05-20", "heavy"), remedy.NotNow, "copper"},
		{"no roof from midwinter over a tomato with blight", "late-blight", "rain-cover", in("tomato", "garden", "2026-06-20", "light"), remedy.Go, "rain-cover"},
		{"a suspect is not moved", "citrus-greening", "inspect", in("orange", "garden", "2026-06-20", ""), remedy.No, "inspect"},
		{"gas: people first", "fumes", "gas-call", in("peace-lily", "indoors", "2026-06-20", "light"), remedy.Go, "move-away"},
		{"a yew in the ground is not washed and repotted", "garden-phytophthora", "wash-roots", in("yew", "garden", "2026-06-20", "heavy"), remedy.No, "wash-roots"},
		{"a maple with wilt is not pulled for a little", "verticillium", "pull-bag", in("maple", "garden", "2026-06-20", "light"), remedy.Care, "pull-bag"},
		{"nothing is watered that stands in water", "waterlogging", "even-water", in("lavender", "garden", "2026-06-20", "moderate"), remedy.No, "even-water"},
		{"after frost nothing is cut", "frost", "prune-out", in("hydrangea", "garden", "2026-04-20", "moderate"), remedy.No, "prune-out"},
		{"yellow cards stay under glass", "greenhouse-whitefly", "sticky-trap", in("tomato", "garden", "2026-06-20", "heavy"), remedy.No, "sticky-trap"},
		{"soap is not poured on blue spruce", "spruce-mite", "soap", in("blue-spruce", "garden", "2026-05-20", "heavy"), remedy.No, "soap"},
		{"hairy caterpillars are not picked", "processionary", "hand-pick", in("pine", "garden", "2026-03-20", "heavy"), remedy.No, "hand-pick"},
		{"a tree that may fall is for an arborist", "butt-rot", "arborist", in("beech", "garden", "2026-06-20", "heavy"), remedy.Go, "pull-bag"},
		{"a net over it cures no carrot fly", "carrot-fly", "net", in("carrot", "garden", "2026-06-20", "heavy"), remedy.Go, "net"},
	} {
		t.Run(c.what, func(t *testing.T) {
			st, a := statusOf(t, c.cause, c.remedy, c.s)
			assert.Equal(t, c.want, st)
			if c.never != "" {
				assert.NotContains(t, a.Pick, c.never)
			}
		})
	}
}

func TestWhatOnlyPreventsIsSaidToBeForNextTime(t *testing.T) {
	_, a := statusOf(t, "carrot-fly", "net", remedy.Situation{Host: "carrot", Place: "garden", Date: "2026-06-20", Pressure: "moderate"})
	i := slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == "net" })
	assert.True(t, a.Offers[i].Prevents)
	assert.Contains(t, a.Offers[i].Ladder, "does not come back")
}

// Over every cause, plant of a kind, month and pressure: no cut on stone fruit from
// autumn to bud burst in either half of the world, no copper on its leaves, no lime
// for heaths, nothing for a pot in the ground, and nothing that only prevents is picked.
func TestNothingIsPickedOutsideItsCondition(t *testing.T) {
	b := herbarium.Embedded()
	n := 0
	for _, c := range b.Causes {
		for i, host := range []string{"cherry", "peach", "rhododendron", "tomato", "maple", "thuja"} {
			for month := 1 + i%3; month <= 12; month += 4 {
				for _, south := range []bool{false, true} {
					s := remedy.Situation{Host: host, Place: "garden", Date: fmt.Sprintf("2026-%02d-15", month), South: south, Pressure: []string{"light", "moderate", "heavy"}[month%3]}
					a, err := remedy.Advise(b, c.ID, s)
					require.NoError(t, err)
					n++
					winter := month >= 10 || month <= 4
					if south {
						winter = month >= 4 && month <= 10
					}
					for _, id := range a.Pick {
						r := b.Remedy(id)
						stone := b.Host(host).Group == "stone"
						require.False(t, stone && winter && r.Cuts, "%s: %s on %s in month %d, south %v", c.ID, id, host, month, south)
						require.False(t, stone && r.Is("copper"), "%s: %s on %s in leaf", c.ID, id, host)
						require.False(t, host == "rhododendron" && id == "lime-soil", c.ID)
						require.NotEqual(t, "pot", r.Only, "%s: %s in the ground", c.ID, id)
						require.False(t, r.Prevents && id != "resistant", "%s: %s only prevents", c.ID, id) // another sort is planted where this one was pulled
					}
				}
			}
		}
	}
	assert.Greater(t, n, 10_000)
}
