package desk_test

import (
	"context"
	"slices"
	"strings"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/herbarium"
	"botanik/internal/casefile"
	"botanik/internal/desk"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var boss = desk.Person{ID: "o", Name: "Odile", Role: "coordinator"}

// known brings a sample in and settles what it is.
func (b *bench) known(in casefile.Intake, cause string) {
	ctx := context.Background()
	b.keep(b.CheckIn(ctx, b.who, in, ""))
	b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "flecks", State: "many"}))
	b.keep(b.SetVerdict(ctx, b.who, b.v.ID, b.v.Version, desk.VerdictInput{Cause: cause, Degree: "working"}))
}

func (b *bench) offer(id string) remedy.Offer {
	a, err := b.Advice(context.Background(), b.v.ID, nil)
	require.NoError(b.t, err)
	i := slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == id })
	require.GreaterOrEqual(b.t, i, 0, id)
	return a.Offers[i]
}

func (b *bench) house(change func(*remedy.House)) {
	ctx := context.Background()
	h, v, err := b.House.Rules(ctx)
	require.NoError(b.t, err)
	change(&h)
	require.NoError(b.t, b.House.SetRules(ctx, boss, h, v))
}

func TestAnOpenCaseSaysThatTheHouseChanged(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.known(bean, "two-spotted-mite")
	b.house(func(h *remedy.House) { h.Policy["soap"] = remedy.Policy{Use: "heavy"} })
	v, err := b.View(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Empty(t, v.HouseNews, "nothing was decided yet")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"hose-off"}, ""))
	assert.Empty(t, b.v.HouseNews)

	b.house(func(h *remedy.House) {
		h.Policy["soap"] = remedy.Policy{Use: "no", Why: "smells"}
		h.Law["sulfur"] = remedy.Law{Status: "banned"}
		h.Labels["summer-oil"] = remedy.Label{RepeatMin: 20}
		h.Schools["aim"] = "eradicate"
	})
	v, err = b.View(ctx, b.v.ID)
	require.NoError(t, err)
	news := strings.Join(v.HouseNews, " ")
	for _, word := range []string{"Odile changed the house rules on Saturday 11 July", "Insecticidal soap, heavy before and no now", "local law on sulfur, allowed before and banned now", "the label of Summer oil", "“What is beating a pest?” is now eradicate"} {
		assert.Contains(t, news, word)
	}
	b.v = v
	assert.Equal(t, remedy.No, b.offer("soap").Status, "and it holds at once")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"hose-off"}, "as before"))
	assert.Empty(t, b.v.HouseNews, "decided anew, it has been seen")
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
	b.keep(b.Close(ctx, b.who, b.v.ID, b.v.Version, desk.CloseInput{Outcome: "cleared", Note: ""}))
	b.house(func(h *remedy.House) { h.Schools["aim"] = "below-harm" })
	v, err = b.View(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Empty(t, v.HouseNews, "a closed case is not troubled")
}

func TestACaseMayChooseItsOwnSchool(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	grown := bean
	grown.NotEaten = true // for its flowers
	b.known(grown, "two-spotted-mite")
	assert.Equal(t, remedy.No, b.offer("detergent").Status)
	b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "soap", "detergent"))
	assert.Equal(t, remedy.Care, b.offer("detergent").Status)
	b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "soap", ""))
	assert.Equal(t, remedy.No, b.offer("detergent").Status, "as the house again")
	for _, bad := range [][2]string{{"moon", "full"}, {"soap", "lye"}} {
		_, err := b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, bad[0], bad[1])
		assert.True(t, fault.Is(err), bad)
	}
}

func TestTheRhythmChosenIsKeptInsideTheLabel(t *testing.T) {
	gaps := func(on []string) []int {
		out := []int{}
		for i := 1; i < len(on); i++ {
			a, _ := civil.Parse(on[i-1])
			b, _ := civil.Parse(on[i])
			out = append(out, b.Sub(a))
		}
		return out
	}
	b := open(t)
	ctx := context.Background()
	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	for school, want := range map[string][]int{"dense": {4, 4}, "burst": {4, 5}, "weekly": {7, 7}, "ten": {9, 9}, "fortnight": {14, 14}} {
		b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "rhythm", school))
		d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{})
		require.NoError(t, err, school)
		assert.Equal(t, want, gaps(d.On), "%s: soap's label asks for four days", school)
		assert.Contains(t, strings.Join(d.Notes, " "), herbarium.Embedded().School("rhythm").Option(school).Name)
	}
}

func TestTheHourAndTheHeapFollowTheSchool(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	sheet := func() casefile.Sheet {
		s, err := b.Sheet(ctx, b.v.ID)
		require.NoError(t, err)
		return s
	}
	b.known(casefile.Intake{Grower: "Ilse", Plant: "rose", Place: "garden", Story: "x"}, "rose-black-spot")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"clear-leaves"}, ""))
	assert.Contains(t, sheet().Disposal, "not on the compost")
	b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "infected-leaves", "compost"))
	assert.Contains(t, sheet().Disposal, "hot compost")

	b.known(casefile.Intake{Grower: "Ilse", Plant: "courgette", Place: "garden", Story: "x"}, "mosaic-virus")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"rogue"}, ""))
	b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "infected-leaves", "compost"))
	assert.Contains(t, sheet().Disposal, "tied bag", "a virus is never composted")

	b.known(bean, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
	assert.Contains(t, sheet().Hour, "Late in the day")
	b.keep(b.SetSchools(ctx, b.who, b.v.ID, b.v.Version, "hour", "morning"))
	assert.Contains(t, sheet().Hour, "morning")
}

func TestNoTreatmentFallsInsideTheWaitBeforePicking(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.house(func(h *remedy.House) { h.Labels["soap"] = remedy.Label{WaitDays: 3} })
	pick := 9
	in := bean
	in.Edible, in.DaysToHarvest = true, &pick
	b.known(in, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Start: "2026-07-11", Count: 3, Gap: 7})
	require.NoError(t, err)
	assert.Equal(t, []string{"2026-07-11", "2026-07-20", "2026-07-27"}, d.On, "the eighteenth is two days before picking")
	assert.Contains(t, strings.Join(d.Notes, " "), "pick on 20 July first")
	b.now = b.now.AddDate(0, 0, 1)
	d, err = b.PlanDays(ctx, b.v.ID, desk.DaysInput{Start: "2026-07-12", Count: 2, Gap: 7})
	require.NoError(t, err)
	assert.Equal(t, []string{"2026-07-12", "2026-07-20"}, d.On, "picking is counted from the day it was brought in")
}

func TestWhatWasKeptHasToHoldAtTheHandOver(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	in := bean
	pick := 20
	in.Edible, in.DaysToHarvest = true, &pick
	b.known(in, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L", Use: "top", Spoons: "metric"}}))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Start: b.now.Format("2006-01-02"), Count: 2, Gap: 7}))
	label := func(l remedy.Label) { b.house(func(h *remedy.House) { h.Labels["soap"] = l }) }
	refused := func(field, word string) {
		t.Helper()
		_, err := b.HandOver(ctx, b.who, b.v.ID, b.v.Version)
		require.ErrorContains(t, err, word)
		assert.Equal(t, field, fault.From(err)[0].Field)
	}
	label(remedy.Label{Low: "5 mL per L", High: "12 mL per L"})
	refused("mix.use", "top rate of 12 mL per L")
	label(remedy.Label{RepeatMin: 12})
	refused("days", "shortest gap of 12 days")
	label(remedy.Label{Most: 1})
	refused("days", "most a season")
	label(remedy.Label{})
	sooner := 9
	in.DaysToHarvest = &sooner
	b.keep(b.SetIntake(ctx, b.who, b.v.ID, b.v.Version, in))
	label(remedy.Label{WaitDays: 3})
	refused("days", "before picking")
	label(remedy.Label{})
	b.now = b.now.AddDate(0, 0, 1)
	refused("days", "has gone by")
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2, Gap: 7}))
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
}

func TestSentBackTakesWhatAnsweredItAlong(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	wren := desk.Person{ID: "w", Name: "Wren", Role: "trainee"}
	b.keep(b.CheckIn(ctx, wren, bean, ""))
	b.keep(b.Look(ctx, wren, b.v.ID, b.v.Version, differential.Look{Finding: "flecks", State: "many"}))
	b.keep(b.SetVerdict(ctx, wren, b.v.ID, b.v.Version, desk.VerdictInput{Cause: "two-spotted-mite", Degree: "working"}))
	b.keep(b.SetTreatment(ctx, wren, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.keep(b.Review(ctx, b.who, b.v.ID, b.v.Version, false, "look at what jumps"))
	assert.Nil(t, b.v.Treatment)
	_, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{})
	assert.ErrorContains(t, err, "nothing is chosen")
	assert.Equal(t, "bench", string(b.v.Stage))
}

func TestTheStrengthOnTheBottle(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	m, err := b.Blend(ctx, dosage.MixInput{Remedy: "alcohol", Volume: "100 mL", Stock: "91 %"})
	require.NoError(t, err)
	assert.InDelta(t, 100*40.0/91, m.Plan.Tanks[0].Doses[0].Amount, .01, "40 % out of 91 %")
	m, err = b.Blend(ctx, dosage.MixInput{Remedy: "alcohol", Volume: "100 mL", Stock: "70", Use: "42 %"})
	require.NoError(t, err)
	assert.InDelta(t, 60, m.Plan.Tanks[0].Doses[0].Amount, .01)
	for _, bad := range []dosage.MixInput{{Stock: "strong"}, {Stock: "30 %"}, {Stock: "70 %", Use: "60 %"}} {
		bad.Remedy, bad.Volume = "alcohol", "100 mL"
		_, err := b.Blend(ctx, bad)
		assert.True(t, fault.Is(err), "%+v", bad)
	}
}

func TestAmountsForABedReachThePage(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.known(casefile.Intake{Grower: "Ilse", Plant: "bean", Place: "greenhouse", Story: "x"}, "green-aphid")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"release-lacewing"}, ""))
	_, err := b.SetDose(ctx, b.who, b.v.ID, b.v.Version, dosage.PlaceInput{Remedy: "gypsum", Area: "3 m2"})
	assert.ErrorContains(t, err, "was not chosen")
	_, err = b.SetDose(ctx, b.who, b.v.ID, b.v.Version, dosage.PlaceInput{Remedy: "release-lacewing", Area: "3 acres"})
	assert.ErrorContains(t, err, "area")
	b.keep(b.SetDose(ctx, b.who, b.v.ID, b.v.Version, dosage.PlaceInput{Remedy: "release-lacewing", Area: "2 m2"}))
	s, err := b.Sheet(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Contains(t, strings.Join(s.Amounts, " "), "35 animals")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"hose-off"}, ""))
	assert.Empty(t, b.v.Doses, "another remedy, another amount")
	_, err = b.Place(ctx, dosage.PlaceInput{Remedy: "soap", Area: "1 m2"})
	assert.ErrorContains(t, err, "no amount for a bed")
	n, err := mix.SprayNeed([]mix.PlantSize{{Count: 2, HeightCm: 50, WidthCm: 40}})
	require.NoError(t, err)
	_, err = b.Blend(ctx, dosage.MixInput{Remedy: "soap", Volume: n.Text})
	assert.NoError(t, err, "what plants need can be mixed as it stands")
}

// Whatever an advisor clicks, nothing that is "no" or "not now" for the case
// reaches the grower's page, and no mix passes the top of its label.
func TestNothingRefusedReachesAHandOver(t *testing.T) {
	base := herbarium.Embedded()
	plants := []string{"bean", "rose", "jade plant", "blue spruce", "apple", "calamondin", "unknown"}
	causes := []string{"two-spotted-mite", "green-aphid", "rose-black-spot", "powdery-mildew", "citrus-mealybug", "predatory-mite", "mosaic-virus", "root-rot"}
	b := open(t)
	ctx := context.Background()
	rapid.Check(t, func(rt *rapid.T) {
		pick := func(name string, of []string) string { return rapid.SampledFrom(of).Draw(rt, name) }
		in := casefile.Intake{Grower: "x", Plant: pick("plant", plants), Place: pick("place", []string{"indoors", "garden", "balcony"}), Story: "x", InBloom: rapid.Bool().Draw(rt, "bloom"), Edible: rapid.Bool().Draw(rt, "eaten"), Cat: rapid.Bool().Draw(rt, "cat"), Pond: rapid.Bool().Draw(rt, "pond")}
		v, err := b.CheckIn(ctx, b.who, in, "")
		require.NoError(rt, err)
		v, err = b.Look(ctx, b.who, v.ID, v.Version, differential.Look{Finding: "flecks", State: "many"})
		require.NoError(rt, err)
		cause := pick("cause", causes)
		v, err = b.SetVerdict(ctx, b.who, v.ID, v.Version, desk.VerdictInput{Cause: cause, Degree: "working"})
		require.NoError(rt, err)
		a, err := b.Advice(ctx, v.ID, nil)
		require.NoError(rt, err)
		status := map[string]remedy.Status{}
		for _, o := range a.Offers {
			status[o.Remedy] = o.Status
		}
		ids := []string{}
		for range rapid.IntRange(1, 3).Draw(rt, "n") {
			id := rapid.SampledFrom(base.Remedies).Draw(rt, "remedy").ID
			if !slices.Contains(ids, id) {
				ids = append(ids, id)
			}
		}
		next, err := b.SetTreatment(ctx, b.who, v.ID, v.Version, ids, "")
		for _, id := range ids {
			if s := status[id]; (s == remedy.No || s == remedy.NotNow) && id != "leave" && id != "pull-bag" {
				require.Error(rt, err, "%s is %s for %s", id, s, cause)
				return
			}
		}
		if err != nil {
			return // kept apart
		}
		v = next
		for _, id := range ids {
			if r := base.Remedy(id); len(r.Rates) > 0 {
				m, err := b.SetMix(ctx, b.who, v.ID, v.Version, desk.MixBody{MixInput: dosage.MixInput{Remedy: id, Volume: "2 L", Sprayer: "1 L", Spoons: pick("spoons", []string{"metric", "us", "imperial", "au"}), Use: pick("use", []string{"low", "middle", "top"})}})
				if err != nil {
					continue
				}
				v = m
				high, _ := mix.ParseRate(r.Rates[0].High)
				f, _ := high.Fraction.Float64()
				for _, tank := range m.Mix.Plan.Tanks {
					d := tank.Doses[len(tank.Doses)-1]
					require.LessOrEqual(rt, d.Amount, f*tank.Volume+1e-6)
					if d.Spoons != nil {
						require.LessOrEqual(rt, d.Spoons.Ml, f*tank.Volume+1e-6)
					}
				}
			}
		}
		s, err := b.Sheet(ctx, v.ID)
		require.NoError(rt, err)
		for _, st := range s.Steps {
			require.NotEmpty(rt, st.Cautions, st.Name)
		}
		require.Len(rt, s.Always, len(remedy.Always))
	})
}

// A first day that nobody set leaves the patch test its two days, once, and does not lie
// in an hour that has gone by; the page says both, with the wait before picking.
func TestTheFirstDayWaitsForThePatchTestAndTheHour(t *testing.T) {
	b := open(t)
	b.Weather.StandIn = &sky{}
	ctx := context.Background()
	pick := 30
	in := bean
	in.DaysToHarvest = &pick
	b.house(func(h *remedy.House) { h.Labels["soap"] = remedy.Label{WaitDays: 3} })
	b.known(in, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	today := b.now.Format("2006-01-02")
	d, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	assert.Equal(t, today, d.Test)
	assert.Equal(t, b.now.AddDate(0, 0, 2).Format("2006-01-02"), d.Start)
	asked, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Start: today, Count: 2})
	require.NoError(t, err)
	assert.Empty(t, asked.Test, "who sets the day has tested, or answers for it")
	b.keep(b.SetMix(ctx, b.who, b.v.ID, b.v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: "1 L"}}))
	b.keep(b.SetDays(ctx, b.who, b.v.ID, b.v.Version, desk.DaysInput{Count: 2}))
	b.keep(b.HandOver(ctx, b.who, b.v.ID, b.v.Version))
	s := b.v.Page.Sheet
	require.Len(t, s.Table, 3)
	assert.Contains(t, s.Table[0].What, "Patch test")
	assert.Contains(t, s.Table[1].Much, "1 L of finished mix")
	assert.NotEmpty(t, s.NotUntil, "the wait before picking is on the page")
	assert.Contains(t, strings.Join(s.Steps[0].Cautions, " "), "Wait 3 days before picking")

	tried := bean
	tried.Treated = []casefile.Treated{{What: "soap", Remedy: "soap", On: b.now.AddDate(0, 0, -20).Format("2006-01-02")}}
	b.known(tried, "two-spotted-mite")
	b.keep(b.SetTreatment(ctx, b.who, b.v.ID, b.v.Version, []string{"soap"}, ""))
	b.now = time.Date(2026, 7, 11, 22, 0, 0, 0, time.UTC)
	late, err := b.PlanDays(ctx, b.v.ID, desk.DaysInput{Count: 2})
	require.NoError(t, err)
	assert.Equal(t, "2026-07-12", late.Start, "the plant knows soap, but the evening is over")
}
