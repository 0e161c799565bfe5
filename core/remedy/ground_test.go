package remedy_test

import (
	"fmt"
	"slices"
	"strings"
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
		{"a maple with wilt is not pulled for a little", "verticillium", "pull-bag", in("maple", "garden", "2026-06-20", "heavy"), remedy.No, "pull-bag"},
		{"a yew with a rotten collar is not pulled", "crown-rot", "pull-bag", in("yew", "garden", "2026-06-20", "moderate"), remedy.Care, "pull-bag"},
		{"a lemon neither, its collar is bared", "crown-rot", "root-flare", in("lemon", "garden", "2026-06-20", "moderate"), remedy.Go, "pull-bag"},
		{"a vine is not dug out for a suspicion", "leaf-roll-virus", "rogue", in("grape", "garden", "2026-06-20", "light"), remedy.No, "rogue"},
		{"nor at heavy pressure", "leaf-roll-virus", "rogue", in("grape", "garden", "2026-06-20", "heavy"), remedy.No, "rogue"},
		{"no cut on oak while its beetles fly", "coral-spot", "prune-out", in("oak", "garden", "2026-05-20", "moderate"), remedy.NotNow, "prune-out"},
		{"nor on elm", "borer", "prune-out", in("elm", "garden", "2026-06-01", "moderate"), remedy.NotNow, "prune-out"},
		{"a dying ash may be looked at", "ash-dieback", "arborist", in("ash", "garden", "2026-06-20", "heavy"), remedy.Go, ""},
		{"and a blade cleaned", "wilt-of-trees", "disinfect", in("elm", "garden", "2026-06-20", "heavy"), remedy.Go, ""},
		{"and a sample sent", "ramorum", "lab-send", in("rhododendron", "garden", "2026-06-20", "heavy"), remedy.Care, ""},
		{"a Japanese beetle is never left", "metallic-beetle", "leave", in("rose", "garden", "2026-07-10", "light"), remedy.No, "leave"},
		{"a banana with wilt is not dug", "panama-wilt", "pull-bag", in("banana", "garden", "2026-07-10", "heavy"), remedy.No, "pull-bag"},
		{"no palm is dug for a wilt", "palm-wilt", "pull-bag", in("garden-palm", "garden", "2026-07-10", "heavy"), remedy.No, "pull-bag"},
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

// In the south the cherry is cut in the south's dry months, and told so in its own.
func TestCutsAreToldInTheMonthsOfTheirOwnHalf(t *testing.T) {
	for south, want := range map[bool]string{false: "from May to September", true: "from November to March"} {
		s := remedy.Situation{Host: "cherry", Place: "garden", Date: "2026-01-10", Pressure: "moderate"}
		if south {
			s.South, s.Date = true, "2026-07-10"
		}
		a, err := remedy.Advise(herbarium.Embedded(), "silver-leaf", s)
		require.NoError(t, err)
		said := ""
		for _, o := range a.Offers {
			for _, r := range o.Reasons {
				said += r.Text + "\n"
			}
		}
		assert.Contains(t, said, want)
	}
}

// Thirty to sixty centimetres are fire blight's: of no other plant is so much taken.
func TestTheLongCutIsFireBlightsAlone(t *testing.T) {
	b := herbarium.Embedded()
	for _, r := range b.Remedies {
		assert.NotContains(t, strings.Join(r.How, " "), "60 cm below", r.ID)
	}
	for _, c := range b.Causes {
		for _, a := range c.Actions {
			if c.ID != "fire-blight" {
				assert.NotContains(t, a.How, "60 cm", c.ID)
			}
			if a.Remedy == "summer-cut" {
				assert.NotEmpty(t, a.How, "%s says how far", c.ID)
			}
		}
	}
}

// What a desk has reported, or what is not at home where it stands, is reported and nothing
// else; where it is at home, or the desk says no, the book's own plan holds.
func TestWhatIsReportedHereIsReportedAndNothingElse(t *testing.T) {
	b := herbarium.Embedded()
	plan := func(l knowledge.Local, cause, host string) (remedy.Advice, *knowledge.Cause) {
		at := b.At(l)
		a, err := remedy.Advise(at, cause, remedy.Situation{Host: host, Place: "garden", Date: "2026-07-10", Pressure: "moderate"})
		require.NoError(t, err)
		return a, at.Cause(cause)
	}
	said := func(w string) map[string]knowledge.LocalWord {
		return map[string]knowledge.LocalWord{"tomato-leafminer": {Report: w}}
	}
	a, c := plan(knowledge.Local{Causes: said("yes")}, "tomato-leafminer", "tomato")
	assert.Equal(t, []string{"report"}, a.Pick)
	assert.Contains(t, c.Plain, "which has to be reported here")
	assert.NotContains(t, c.Plain, "Pick the blotched")
	for _, o := range a.Offers {
		if o.Remedy != "report" {
			assert.False(t, o.Open && o.Remedy != "leave" && !slices.Contains(knowledge.BesideReport, o.Remedy), o.Remedy)
		}
	}
	for _, x := range []struct{ cause, host, home, abroad string }{
		{"tomato-leafminer", "tomato", "Europe", "North America"}, {"spotted-wing", "raspberry", "Europe", "Australia and New Zealand"},
		{"box-caterpillar", "box", "Europe", "North America"}, {"plum-moth", "plum", "Europe", "North America"}, {"cherry-fly", "cherry", "Europe", "Australia and New Zealand"},
		{"flea-tuber", "potato", "North America", "Europe"}, {"apple-maggot", "apple", "North America", "Europe"}, {"citrus-gall-wasp", "lemon", "Australia and New Zealand", "Europe"},
		{"stink-bug", "tomato", "Europe", "Australia and New Zealand"}, {"fuchsia-gall-mite", "fuchsia", "Europe", "Australia and New Zealand"}, {"san-jose-scale", "apple", "Europe", "Australia and New Zealand"},
	} {
		a, c := plan(knowledge.Local{Region: x.home}, x.cause, x.host)
		assert.Empty(t, c.Regulated, "%s in %s", x.cause, x.home)
		assert.NotContains(t, a.Pick, "report")
		a, c = plan(knowledge.Local{Region: x.abroad}, x.cause, x.host)
		assert.NotEmpty(t, c.Regulated, "%s in %s", x.cause, x.abroad)
		assert.Equal(t, []string{"report"}, a.Pick, x.cause)
		_, c = plan(knowledge.Local{Region: x.abroad, Causes: map[string]knowledge.LocalWord{x.cause: {Report: "no"}}}, x.cause, x.host)
		assert.Empty(t, c.Regulated, "the desk knows better: %s", x.cause)
	}
	_, c = plan(knowledge.Local{Climate: "mild"}, "silverleaf-whitefly", "poinsettia")
	assert.NotEmpty(t, c.Regulated)
	// Whatever is regulated as shipped has words for where it is at home.
	for _, c := range b.Causes {
		assert.True(t, c.Regulated == "" || c.Unreported != "", c.ID)
		if c.Regulated != "" {
			assert.NotContains(t, c.Regulated, "isolate", c.ID)
		}
	}
}
