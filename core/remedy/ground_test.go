package remedy_test

import (
	"fmt"
	"slices"
	"testing"

	"botanik/core/knowledge"
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

// Every cause in every month, the plants, pressures and halves of the world taken in
// turn. What is checked is written out here again, not taken from the gates.
func TestNothingIsPickedOutsideItsCondition(t *testing.T) {
	b := herbarium.Embedded()
	plants := []string{"cherry", "peach", "rhododendron", "tomato", "maple", "thuja", "rose", "lawn", "peace-lily", "blueberry", "apple", "prickly-pear"}
	only := map[string]*knowledge.Condition{}
	for _, c := range b.Causes {
		for _, a := range c.Actions {
			only[c.ID+" "+a.Remedy] = a.Only
		}
	}
	n := 0
	for k, c := range b.Causes {
		for month := 1; month <= 12; month++ {
			host := b.Host(plants[(k+5*month)%len(plants)])
			if host == nil {
				t.Fatal(plants)
			}
			south := (k+month)%4 == 0
			north := month
			if south {
				north = (month+5)%12 + 1
			}
			place := []string{"garden", "indoors", "garden", "balcony"}[(k+month/3)%4]
			for _, pressure := range []string{"light", []string{"moderate", "heavy"}[(k+month)%2]} {
				s := remedy.Situation{Host: host.ID, Place: place, Date: fmt.Sprintf("2026-%02d-15", month), South: south, Pressure: pressure, InBloom: k%3 == 0, Dormant: remedy.Dormant(host, month, south)}
				a, err := remedy.Advise(b, c.ID, s)
				require.NoError(t, err)
				n++
				for _, id := range a.Pick {
					r, at := b.Remedy(id), fmt.Sprintf("%s: %s on %s, %s, month %d (north %d), %s", c.ID, id, host.ID, place, month, north, pressure)
					stone, ground := host.Group == "stone", place == "garden"
					require.False(t, stone && (north >= 10 || north <= 4) && r.Cuts, at)
					require.False(t, stone && r.Is("copper") && !s.Dormant, at)
					require.False(t, host.Group == "heath" && id == "lime-soil", at)
					require.False(t, ground && (r.Only == "pot" || id == "repot" || id == "wash-roots"), at)
					require.False(t, !s.Dormant && r.Prevents && id != "resistant", at) // another sort is planted where this one was pulled
					wood := host.Form == "woody" || host.Form == "conifer" || host.Form == "palm"
					require.False(t, pressure == "light" && wood && id == "pull-bag" && len(a.Pick) > 1, at)
					o := only[c.ID+" "+id]
					if o == nil {
						continue
					}
					roof := place == "indoors"
					require.True(t, roof || len(o.Months) == 0 || slices.Contains(o.Months, north), at)
					require.True(t, len(o.Pressure) == 0 || slices.Contains(o.Pressure, pressure), at)
					require.False(t, o.Prevents && !s.Dormant, at)
					require.False(t, slices.Contains(o.Phase, "not in flower") && s.InBloom && !roof, at)
					require.False(t, len(o.Phase) > 0 && o.Phase[0] == "dormant" && !s.Dormant, at)
					require.False(t, o.Stand == "ground" && !ground || o.Stand == "pot" && ground || o.Stand == "glass" && !roof, at)
					if slices.Contains(o.Stages, "crawler") && len(c.Crawlers) > 0 && !roof {
						require.Contains(t, c.Crawlers, north, at)
					}
				}
			}
		}
	}
	assert.Greater(t, n, 8_000)
}
