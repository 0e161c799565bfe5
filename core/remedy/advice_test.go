package remedy_test

import (
	"testing"

	"botanik/core/remedy"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The commands of review/advice.md, each as it was typed there.
func TestWhatTheAdviceGotWrong(t *testing.T) {
	at := func(cause string, s remedy.Situation) remedy.Advice {
		a, err := remedy.Advise(herbarium.Embedded(), cause, s)
		require.NoError(t, err)
		return a
	}
	offer := func(a remedy.Advice, id string) remedy.Offer {
		for _, o := range a.Offers {
			if o.Remedy == id {
				return o
			}
		}
		t.Fatal(id)
		return remedy.Offer{}
	}
	t.Run("lettuce is eaten, said or not", func(t *testing.T) {
		a := at("green-aphid", remedy.Situation{Host: "lettuce", Date: "2026-07-10", DaysToHarvest: ptr(1), Pressure: "heavy"})
		for _, id := range []string{"pyrethrins", "neem-oil", "azadirachtin"} {
			assert.NotEqual(t, remedy.Go, offer(a, id).Status, id)
		}
		grown := at("green-aphid", remedy.Situation{Host: "sweet-pea", Date: "2026-07-10", Pressure: "heavy"})
		for _, r := range offer(grown, "neem-oil").Reasons {
			assert.NotEqual(t, "food", r.Gate)
		}
		no := at("green-aphid", remedy.Situation{Host: "cabbage", Date: "2026-07-10", Pressure: "heavy", NotEaten: true})
		for _, r := range offer(no, "neem-oil").Reasons {
			assert.NotEqual(t, "food", r.Gate, "the grower says that nobody eats it")
		}
	})
	t.Run("no sulfur on a leafless rose", func(t *testing.T) {
		a := at("rose-black-spot", remedy.Situation{Host: "rose", Place: "garden", Date: "2026-01-15", Pressure: "heavy", Dormant: true, TempC: ptr(8.0)})
		assert.NotContains(t, a.Pick, "sulfur")
	})
	t.Run("no cactus is washed and repotted in January", func(t *testing.T) {
		a := at("root-rot", remedy.Situation{Host: "columnar-cactus", Place: "indoors", Date: "2026-01-15", Pressure: "light"})
		assert.NotContains(t, a.Pick, "repot")
	})
	t.Run("a clearing of leaves is not refused for what it kills", func(t *testing.T) {
		a := at("grape-leafhopper", remedy.Situation{Host: "grape", Place: "garden", Date: "2026-07-15", Pressure: "moderate", Stages: []string{"adult"}})
		assert.NotContains(t, offer(a, "clear-leaves").Reasons[0].Text, "kills next to none")
	})
	t.Run("a potato with mosaic is not set apart", func(t *testing.T) {
		a := at("mosaic-virus", remedy.Situation{Host: "potato", Place: "garden", Date: "2026-07-10", Pressure: "moderate"})
		assert.NotContains(t, a.Pick, "inspect")
		assert.Contains(t, a.Pick, "rogue")
	})
	t.Run("not listed, does nothing, does little, harms and not allowed are five answers", func(t *testing.T) {
		garden := remedy.Situation{Host: "rose", Place: "garden", Date: "2026-07-10", Pressure: "heavy"}
		assert.Equal(t, "not listed", offer(at("two-spotted-mite", garden), "btk").Not)
		assert.Equal(t, "does nothing", offer(at("powdery-mildew", garden), "pyrethrins").Not)
		assert.Equal(t, "does little", offer(at("downy-mildew", garden), "sulfur").Not)
		assert.Equal(t, "harms", offer(at("two-spotted-mite", garden), "pyrethrins").Not)
		assert.Equal(t, "not allowed", offer(at("two-spotted-mite", remedy.Situation{Host: "rose", Place: "garden", Date: "2026-07-10", House: remedy.House{Policy: map[string]remedy.Policy{"soap": {Use: "no"}}}}), "soap").Not)
		assert.Empty(t, offer(at("two-spotted-mite", garden), "hose-off").Not)
	})
	t.Run("thrips at moderate pressure: soap before spinosad", func(t *testing.T) {
		a := at("western-flower-thrips", remedy.Situation{Host: "chrysanthemum", Place: "greenhouse", Date: "2026-06-10", Pressure: "moderate", TempC: ptr(22.0)})
		assert.NotContains(t, a.Pick, "spinosad")
		assert.Contains(t, a.Pick, "soap")
	})
	t.Run("after two spinosads more than the knife is left", func(t *testing.T) {
		a := at("western-flower-thrips", remedy.Situation{Host: "chrysanthemum", Place: "greenhouse", Date: "2026-06-20", Pressure: "heavy", TempC: ptr(22.0), Earlier: []remedy.Earlier{{Remedy: "spinosad", On: "2026-06-01"}, {Remedy: "spinosad", On: "2026-06-10"}}})
		assert.NotContains(t, a.Pick, "spinosad")
		assert.Greater(t, len(a.Pick), 1, "%v", a.Pick)
	})
}
