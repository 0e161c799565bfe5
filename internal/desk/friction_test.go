package desk_test

import (
	"context"
	"encoding/json"
	"regexp"
	"strings"
	"testing"
	"time"

	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/remedy"
	"botanik/internal/casefile"
	"botanik/internal/desk"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// page is everything the grower reads of the round as it stands, as one text.
func (b *bench) page() (casefile.Sheet, string) {
	b.t.Helper()
	s, err := b.Sheet(context.Background(), b.v.ID)
	require.NoError(b.t, err)
	all, err := json.Marshal(s)
	require.NoError(b.t, err)
	return s, string(all)
}

// Frictions of review/use.md that a desk without a page can hold, by their number there;
// docs/frictions.md says where each of the others is held.
func TestFrictionsOfABusySaturday(t *testing.T) {
	ctx := context.Background()
	t.Run("F1 the page of a tomato speaks of no tree", func(t *testing.T) {
		b := open(t)
		b.known(casefile.Intake{Grower: "Joss", Plant: "tomato", Place: "garden", Edible: true, Story: "brown"}, "late-blight")
		for _, pressure := range []string{"light", "moderate", "heavy"} {
			b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "act", Pressure: pressure}))
			a, err := b.Advice(ctx, b.v.ID, nil)
			require.NoError(t, err)
			b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, a.Pick, ""))
			_, text := b.page()
			assert.NotRegexp(t, regexp.MustCompile(`(?i)\btrees?\b|\bhedge|midwinter|peach`), text, pressure)
		}
		// What is done is said for any plant: which, and when, stands with the cause.
		meant := map[string]bool{"plant-helpers ivy": true, "plant-helpers fennel": true, "lab-send box": true, "bag-fruit walnut": true}
		for _, r := range b.Base().Remedies {
			for _, h := range b.Base().Hosts {
				name := regexp.MustCompile(`(?i)\b` + regexp.QuoteMeta(h.Name) + `(s|es)?\b`)
				if !meant[r.ID+" "+strings.ToLower(h.Name)] {
					assert.NotRegexp(t, name, strings.Join(r.How, " "), r.ID)
				}
			}
		}
	})
	t.Run("F2 what a gate says of copper before picking, and the by-law, reach the page", func(t *testing.T) {
		b := open(t)
		pick := 40
		b.house(func(h *remedy.House) {
			h.Labels["copper"] = remedy.Label{WaitDays: 14, Crops: []string{"tomato"}}
			h.Law["copper hydroxide or oxychloride"] = remedy.Law{Status: "restricted", Reference: "harbour by-law 12: not within five metres of water"}
		})
		b.known(casefile.Intake{Grower: "Joss", Plant: "tomato", Place: "garden", Edible: true, DaysToHarvest: &pick, Story: "brown"}, "late-blight")
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"copper"}, ""))
		b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 1}))
		s, text := b.page()
		assert.Contains(t, text, "14 days")
		assert.Contains(t, text, "harbour by-law 12")
		assert.NotEmpty(t, s.NotUntil)
	})
	t.Run("F3 what has to be acted on today is pulled, bagged or cut, not only kept dry", func(t *testing.T) {
		b := open(t)
		b.known(casefile.Intake{Grower: "Joss", Plant: "tomato", Place: "garden", Edible: true, Story: "brown"}, "late-blight")
		a, err := b.Advice(ctx, b.v.ID, nil)
		require.NoError(t, err)
		assert.NotEqual(t, []string{"rain-cover"}, a.Pick)
		for _, o := range a.Offers {
			assert.False(t, o.Efficacy == "good" && strings.Contains(o.Ladder, "too little"), "%s does much and too little in one line", o.Remedy)
		}
	})
	t.Run("F4 a regulated suspect is left where it is, and whom to call stands there", func(t *testing.T) {
		b := open(t)
		b.known(casefile.Intake{Grower: "Bryher", Plant: "calamondin", Place: "balcony", Story: "blotchy"}, "citrus-greening")
		_, text := b.page()
		assert.NotRegexp(t, regexp.MustCompile(`(?i)move the plant away|goes back`), text)
		assert.Regexp(t, regexp.MustCompile(`(?i)leave .*where it (is|stands)|do not move`), text)
	})
	t.Run("F10 nothing bought in is the first choice for one orchid indoors", func(t *testing.T) {
		b := open(t)
		b.known(casefile.Intake{Grower: "Maud", Plant: "moth orchid", Place: "indoors", Cat: true, Story: "wool"}, "citrus-mealybug")
		for _, pressure := range []string{"light", "moderate", "heavy"} {
			b.keep(b.SetAct(ctx, b.who, b.v.ID, b.v.Version, desk.ActInput{Choice: "act", Pressure: pressure}))
			a, err := b.Advice(ctx, b.v.ID, nil)
			require.NoError(t, err)
			for _, id := range a.Pick {
				assert.NotEqual(t, "helper", b.Base().Remedy(id).Kind, "%s at %s pressure", id, pressure)
			}
		}
		a, err := b.Advice(ctx, b.v.ID, []string{"wipe"})
		require.NoError(t, err)
		for _, o := range a.Offers {
			if o.Remedy != "wipe" {
				assert.NotContains(t, o.Ladder, "chosen", o.Remedy)
			}
		}
	})
	t.Run("F11 one table says day, what and how much, and nothing keeps a rhythm of its own beside it", func(t *testing.T) {
		b := open(t)
		b.treated(bean)
		s := b.v.Page.Sheet
		require.NotEmpty(t, s.Table)
		for _, st := range s.Steps {
			assert.Empty(t, st.Again, "%s: its days stand in the table", st.Name)
		}
	})
	t.Run("F12 an advisor agrees to what was prepared, and may see all of it before", func(t *testing.T) {
		b := open(t)
		wren := desk.Person{ID: "w", Name: "Wren", Role: "trainee"}
		b.keep(b.CheckIn(ctx, wren, bean, ""))
		b.keep(b.Look(ctx, wren, b.v.ID, b.v.Version, differential.Look{Finding: "walker-spots", State: "yes"}))
		b.keep(b.SetVerdict(ctx, wren, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "working"}))
		_, err := b.HandOver(ctx, wren, b.v.ID, b.v.Version)
		require.Error(t, err, "F13: nothing of it can go out before")
		assert.Nil(t, b.v.Page)
	})
	t.Run("F27 a third silence is said as the third, and the number stands where one telephones", func(t *testing.T) {
		b := open(t)
		in := bean
		in.Contact = "555 0143"
		b.treated(in)
		for range 3 {
			b.now = b.now.AddDate(0, 0, 14)
			b.keep(b.FollowUp(ctx, b.who, b.v.ID, b.v.Version, desk.FollowUpInput{Silent: true}))
		}
		assert.Equal(t, "call", b.v.FollowUps[2].Next.Move)
		assert.NotContains(t, b.v.FollowUps[2].Next.Why, "twice")
		assert.Greater(t, b.v.AskOn, b.now.Format(time.DateOnly), "and it is not asked again the same day")
	})
	t.Run("F35 a windowsill has no rain, no bees and no evening", func(t *testing.T) {
		b := open(t)
		b.known(casefile.Intake{Grower: "Maud", Plant: "moth orchid", Place: "indoors", Story: "wool"}, "citrus-mealybug")
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
		b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
		sheet, err := b.Sheet(ctx, b.v.ID)
		require.NoError(t, err)
		sheet.Always = nil // the four that always stand
		all, err := json.Marshal(sheet)
		require.NoError(t, err)
		assert.NotRegexp(t, regexp.MustCompile(`(?i)\bbees?\b|\brain\b|in the evening`), string(all))
	})
	t.Run("F36 soap goes in after the water", func(t *testing.T) {
		b := open(t)
		b.known(bean, "two-spotted-mite")
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
		b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L", Spoons: "metric"}}))
		order := b.v.Mix.Plan.Order
		soap := -1
		for i, line := range order {
			if strings.Contains(strings.ToLower(line), "soap") {
				soap = i
			} else if soap >= 0 {
				assert.NotContains(t, strings.ToLower(line), "water", "after the soap")
			}
		}
		require.GreaterOrEqual(t, soap, 0)
	})
	t.Run("F37 what was never opened is not done", func(t *testing.T) {
		b := open(t)
		b.known(bean, "two-spotted-mite")
		b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
		for _, st := range b.v.Steps {
			if st.ID == "mix" || st.ID == "days" {
				assert.NotEqual(t, "done", st.State, st.ID)
			}
		}
	})
	t.Run("G4 G7 the page has its drawing, the desk, how it is reached, and what to bring", func(t *testing.T) {
		b := open(t)
		b.treated(bean)
		s := b.v.Page.Sheet
		assert.Equal(t, "two-spotted-mite", s.Drawing)
		for name, x := range map[string]string{"desk": s.Desk, "number": s.Number, "bring": s.Bring} {
			assert.NotEmpty(t, x, name)
		}
	})
	t.Run("G5 what to look for is whole sentences about what was really seen", func(t *testing.T) {
		b := open(t)
		b.treated(bean)
		for _, l := range b.v.Page.Sheet.LookFor {
			assert.Regexp(t, regexp.MustCompile(`^[A-Z].*\s.*\S$`), l)
			assert.NotContains(t, l, "it walks")
		}
	})
}

// Mix and days are kept in one go when nothing is changed, and undone in one go.
func TestMixAndDaysInOneGo(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	plan, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{})
	require.NoError(t, err)
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L"}, WithDays: true}))
	require.NotNil(t, b.v.Days)
	assert.Equal(t, plan.On, b.v.Days.On, "the days it proposed")
	b.keep(b.Undo(ctx, b.who, b.v.ID, b.v.Version))
	assert.Nil(t, b.v.Mix)
	assert.Nil(t, b.v.Days)
}

// The weeks drawn beside the days hold to the days, the label and the pest's life.
func TestTheWeeksBesideTheDays(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	pick := 12
	in := bean
	in.DaysToHarvest = &pick
	b.known(in, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	plan, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 3})
	require.NoError(t, err)
	w := plan.Weeks
	require.NotNil(t, w.Course)
	assert.Equal(t, b.now.Format(time.DateOnly), w.From)
	assert.Len(t, w.Course.Days, w.Length+1)
	assert.Len(t, w.Course.Alone, w.Length+1)
	assert.NotEmpty(t, w.Sky)
	assert.Equal(t, b.now.AddDate(0, 0, pick).Format(time.DateOnly), w.Picking)
	assert.Less(t, plan.On[0], w.HatchBy)
	assert.Less(t, w.HatchBy, w.LayFrom)
	total := func(d []float64) (n float64) {
		for _, x := range d {
			n += x
		}
		return n
	}
	end := len(w.Course.Alone) - 1
	assert.Less(t, total(w.Course.Days[end]), w.Course.Alone[end], "what is treated stays below what is left alone")
	assert.NotEmpty(t, w.Course.Says)

	rust := bean
	b.known(rust, "rust")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"sulfur"}, ""))
	plan, err = b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	assert.Nil(t, plan.Weeks.Course, "a fungus has no colony to draw, but its sky")
	assert.NotEmpty(t, plan.Weeks.Sky)
}
