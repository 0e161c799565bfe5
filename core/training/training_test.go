package training_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"
	"sync"
	"testing"
	"time"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/training"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

var engine = differential.NewEngine(herbarium.Embedded())

func all(*knowledge.Cause) float64 { return 1 }

func dice(seed uint64) training.Dice { return rand.New(rand.NewPCG(seed, 8)) }

// drawn are samples drawn once for all tests: each takes an expert a while to tell.
var drawn = sync.OnceValue(func() []training.Sample {
	out := []training.Sample{}
	for seed := range uint64(24) {
		s, err := training.Draw(engine, dice(seed), seed%2 == 0, all)
		if err != nil {
			panic(err)
		}
		out = append(out, s)
	}
	return out
})

// Drawn cases are honest and can be told: no state their cause never has, nothing unfit, and
// an expert ends at the right plan; the same seed is the same case.
func TestDrawnCasesAreHonestAndCanBeTold(t *testing.T) {
	unlisted := 0
	for seed, s := range drawn() {
		require.NotEmpty(t, s.Story)
		looks := []differential.Look{}
		for _, x := range training.Expert(engine, s) {
			looks = append(looks, s.Answer(engine.Base, x.Finding)...)
		}
		require.NoError(t, engine.Check(s.Setting, looks))
		r := engine.Rank(s.Setting, looks)
		if s.Cause == "" {
			unlisted++
			assert.Equal(t, differential.Undetermined, r.Verdict)
			continue
		}
		c := engine.Base.Cause(s.Cause)
		assert.Equal(t, c.Group, engine.Base.Cause(r.Leader).Group, "seed %d", seed)
		for _, f := range engine.Base.Findings {
			for _, st := range s.There[f.ID] {
				assert.NotEqual(t, knowledge.Frequency("never"), c.Findings[f.ID][st], "%s never has %s=%s", c.ID, f.ID, st)
				assert.False(t, f.States[f.State(st)].Unfit)
			}
		}
	}
	assert.Positive(t, unlisted, "sending it on is a right answer now and then")
	again, err := training.Draw(engine, dice(3), false, all)
	require.NoError(t, err)
	require.Equal(t, drawn()[3], again, "the same dice, the same sample")
	_, err = training.Draw(engine, dice(1), false, func(*knowledge.Cause) float64 { return 0 })
	require.Error(t, err)
}

// Of a real sample only what was looked at then can be looked at; the book's way is through
// that alone.
func TestAnOldSampleKnowsOnlyWhatWasSeen(t *testing.T) {
	s := training.Sample{Only: true, Cause: "two-spotted-mite", Setting: differential.Circumstances{Host: "french-bean", Place: "garden", Month: 7}, There: map[string][]string{"flecks": {"many"}, "walker-spots": {"yes"}, "silk": {"dense"}}}
	assert.Empty(t, s.Answer(engine.Base, "sticky"))
	path := training.Expert(engine, s)
	require.NotEmpty(t, path)
	for _, x := range path {
		require.Contains(t, s.There, x.Finding)
	}
	got := training.Grade(engine, s, []string{"sticky", "walker-spots"}, training.PracticeVerdict{Cause: "two-spotted-mite", Sure: .9, Act: "wait"}, remedy.House{}, nil)
	assert.Equal(t, "yes", got.Right)
	assert.True(t, got.Steps[0].Needless)
	assert.Equal(t, 2, got.FirstUseful)
	assert.Contains(t, s.There, got.Split)
	assert.Equal(t, []differential.Look{{Finding: "walker-spots", State: "yes"}}, got.Steps[1].Looks)
}

func points(s training.Score, name string) int {
	for _, p := range s.Parts {
		if p.Name == name {
			return p.Points
		}
	}
	return -1
}

// The expert's own path and verdict is worth the most; a look more that tells nothing never
// raises a score, wherever it stands.
func TestANeedlessLookNeverRaisesTheScore(t *testing.T) {
	tried := 0
	rapid.Check(t, func(t *rapid.T) {
		if tried++; tried > 25 { // each is two cases judged
			return
		}
		s := rapid.SampledFrom(drawn()).Draw(t, "sample")
		asked := []string{}
		for _, f := range rapid.SliceOfNDistinct(rapid.SampledFrom(engine.Base.Findings), 0, 4, func(f *knowledge.Finding) string { return f.ID }).Draw(t, "asked") {
			asked = append(asked, f.ID)
		}
		v := training.PracticeVerdict{Cause: s.Cause, Sure: rapid.SampledFrom([]float64{.3, .7, .97}).Draw(t, "sure"), Act: "wait"}
		was := training.Grade(engine, s, asked, v, remedy.House{}, nil)
		f := rapid.SampledFrom(engine.Base.Findings).Draw(t, "more")
		more := training.Grade(engine, s, append(slices.Clone(asked), f.ID), v, remedy.House{}, nil)
		if last := more.Steps[len(more.Steps)-1]; last.Bits <= 0 {
			require.True(t, last.Needless)
			require.LessOrEqual(t, more.Points, was.Points)
		}
		require.GreaterOrEqual(t, was.Points, 0)
		require.LessOrEqual(t, more.Points, 100)
		sum := 0
		for _, p := range more.Parts {
			require.GreaterOrEqual(t, p.Points, 0)
			require.LessOrEqual(t, p.Points, p.Most)
			sum += p.Points
		}
		require.Equal(t, more.Points, sum)
	})
}

// Safety comes first: a friend treated, an alarm not given and a remedy that must not be used
// are named, and leave nothing for what is done.
func TestWhatHurtsIsNamedFirst(t *testing.T) {
	of := func(kind func(*knowledge.Cause) bool) training.Sample {
		for seed := range uint64(400) {
			s, err := training.Draw(engine, dice(seed), false, func(c *knowledge.Cause) float64 {
				if kind(c) {
					return 1
				}
				return 0
			})
			if err == nil && s.Cause != "" {
				return s
			}
		}
		t.Fatal("nothing drawn")
		return training.Sample{}
	}
	helper := of(func(c *knowledge.Cause) bool { return c.Kind == "helper" })
	got := training.Grade(engine, helper, nil, training.PracticeVerdict{Cause: helper.Cause, Sure: .9, Act: "act", Remedy: "soap"}, remedy.House{}, nil)
	require.Len(t, got.Faults, 1)
	assert.Zero(t, points(got, "What is done"))
	assert.Equal(t, 20, points(training.Grade(engine, helper, nil, training.PracticeVerdict{Cause: helper.Cause, Act: "wait"}, remedy.House{}, nil), "What is done"))
	law := of(func(c *knowledge.Cause) bool { return c.Regulated != "" })
	assert.NotEmpty(t, training.Grade(engine, law, nil, training.PracticeVerdict{Cause: law.Cause, Act: "act", Remedy: "soap"}, remedy.House{}, nil).Faults)
	assert.Empty(t, training.Grade(engine, law, nil, training.PracticeVerdict{Cause: law.Cause, Act: "refer"}, remedy.House{}, nil).Faults)
	pest := of(func(c *knowledge.Cause) bool { return c.Kind == "pest" && c.Regulated == "" })
	never := func(string) *remedy.Offer {
		return &remedy.Offer{Name: "Summer oil", Status: "no", Reasons: []remedy.Reason{{Text: "It burns ferns."}}}
	}
	got = training.Grade(engine, pest, nil, training.PracticeVerdict{Cause: pest.Cause, Act: "act", Remedy: "summer-oil"}, remedy.House{}, never)
	assert.Equal(t, []string{"Summer oil must not be used here. It burns ferns."}, got.Faults)
	assert.Equal(t, "yes", got.Right)
	assert.Equal(t, "no", training.Grade(engine, pest, nil, training.PracticeVerdict{}, remedy.House{}, nil).Right)
}

// Worked by hand: Brier and its parts.
func TestCalibrationWorked(t *testing.T) {
	told := []training.Forecast{{.9, true}, {.9, true}, {.9, false}, {.5, true}, {.5, false}}
	c := training.Calibrate(told)
	assert.InDelta(t, (.01+.01+.81+.25+.25)/5, c.Brier, 1e-12)
	// 0.9: 2 of 3 right, 0.2333 off; 0.5: 1 of 2, not off; base 3/5, from which they lie
	// 0.0667 and 0.1.
	assert.InDelta(t, 3./5*.0544444444, c.Reliability, 1e-9)
	assert.InDelta(t, 3./5*.0044444444+2./5*.01, c.Resolution, 1e-9)
	assert.InDelta(t, .24, c.Uncertainty, 1e-12)
	assert.InDelta(t, c.Brier, c.Reliability-c.Resolution+c.Uncertainty, 1e-12)
	assert.Zero(t, training.Calibrate(nil).Brier)
}

// Who says what they believe has the best Brier to expect; and the parts always add up.
func TestACalibratedAnswererFaresBest(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		q := rapid.Float64Range(0, 1).Draw(t, "how likely it is right")
		said := rapid.Float64Range(0, 1).Draw(t, "said")
		expect := func(s float64) float64 { return q*training.Brier(s, true) + (1-q)*training.Brier(s, false) }
		require.LessOrEqual(t, expect(q), expect(said)+1e-12)
		told := []training.Forecast{}
		for range rapid.IntRange(1, 40).Draw(t, "n") {
			told = append(told, training.Forecast{Sure: rapid.SampledFrom([]float64{.3, .5, .7, .85, .97}).Draw(t, "sure"), Right: rapid.Bool().Draw(t, "right")})
		}
		c := training.Calibrate(told)
		require.InDelta(t, c.Brier, c.Reliability-c.Resolution+c.Uncertainty, 1e-9)
		require.NotEmpty(t, c.Says)
	})
}

// Worked values of the schedule: 2^(right−wrong) days of half-life, and half remembered after
// one of them (Settles and Meeder 2016, with Leitner's weights).
func TestTheScheduleWorked(t *testing.T) {
	at := time.Date(2026, 7, 11, 9, 0, 0, 0, time.UTC)
	for _, c := range []struct {
		right, wrong int
		days, half   float64
	}{{0, 0, 0, 1}, {1, 0, 0, 2}, {3, 0, 0, 8}, {3, 2, 0, 2}, {0, 2, 0, .25}, {0, 9, 0, 15. / 1440}, {12, 0, 0, 274}} {
		assert.InDelta(t, c.half, training.Memory{Right: c.right, Wrong: c.wrong}.HalfLife(), 1e-9, "%+v", c)
	}
	m := training.Memory{}.After(true, at)
	assert.InDelta(t, 1, m.Recall(at), 1e-12)
	assert.InDelta(t, .5, m.Recall(at.AddDate(0, 0, 2)), 1e-12)
	assert.InDelta(t, .25, m.Recall(at.AddDate(0, 0, 4)), 1e-12)
	assert.Zero(t, training.Memory{}.Recall(at))

	known := map[string]training.Memory{"fresh in mind": m, "half gone": {Right: 1, Last: at.AddDate(0, 0, -2)}, "nearly gone": {Right: 1, Last: at.AddDate(0, 0, -6)}}
	things := []training.Thing{{"fresh in mind", 9}, {"half gone", 1}, {"nearly gone", 1}, {"new", 1}, {"new and mistaken here", 3}}
	assert.Equal(t, []string{"new and mistaken here", "nearly gone", "half gone"}, training.Next(things, known, at, 1))
	assert.Equal(t, []string{"nearly gone", "half gone"}, training.Next(things, known, at, 0))
}

// A simulated learner, who forgets by a law of their own (a power of time, not the
// schedule's), knows more of what is drilled than of what is not.
func TestALearnerImprovesOnWhatIsDrilled(t *testing.T) {
	r := rand.New(rand.NewPCG(3, 4))
	type trace struct {
		strength float64
		last     time.Time
	}
	now := time.Date(2026, 1, 5, 18, 0, 0, 0, time.UTC)
	mind := map[string]*trace{}
	knows := func(key string, at time.Time) float64 {
		x := mind[key]
		if x == nil {
			return .25 // guessing one of four
		}
		return .25 + .75*math.Pow(1+at.Sub(x.last).Hours()/24/x.strength, -.5)
	}
	things, known := []training.Thing{}, map[string]training.Memory{}
	for i := range 40 {
		things = append(things, training.Thing{Key: fmt.Sprint(i), Weight: 1})
	}
	drilled := things[:20]
	asked := 0
	for range 60 {
		for _, key := range training.Next(drilled, known, now, 3)[:min(10, len(training.Next(drilled, known, now, 3)))] {
			asked++
			ok := r.Float64() < knows(key, now)
			known[key] = known[key].After(ok, now)
			if mind[key] == nil {
				mind[key] = &trace{strength: 1}
			} else if ok {
				mind[key].strength *= 1.8
			}
			mind[key].last = now
		}
		now = now.AddDate(0, 0, 1)
	}
	mean := func(of []training.Thing) (m float64) {
		for _, x := range of {
			m += knows(x.Key, now) / float64(len(of))
		}
		return m
	}
	t.Logf("after %d questions in sixty days: %.2f of what was drilled is known, %.2f of what was not", asked, mean(drilled), mean(things[20:]))
	assert.Greater(t, mean(drilled), .8)
	assert.InDelta(t, .25, mean(things[20:]), 1e-9)
	now = now.AddDate(0, 6, 0)
	assert.Less(t, mean(drilled), .8, "and forgets without")
}

func TestTheLookThatSplitIsWhereTheRightPlanRoseMost(t *testing.T) {
	steps := []training.LookTaken{{Finding: "first", P: 0.2, Bits: 3}, {Finding: "apart", P: 0.9, Bits: 2}, {Finding: "last", P: 0.95, Bits: 0.1}}
	assert.Equal(t, "apart", training.Split(steps, 0.02).Finding)
	assert.Equal(t, "first", training.Split(steps[:1], 0.02).Finding)
	assert.Nil(t, training.Split(nil, 0.02))
}

// The label's own figures, read from the herbarium's page by hand: soap 10 to 20 mL per L, again after 4 to 10 days.
func TestHowMuchAndWhenAgain(t *testing.T) {
	d := training.DosingOf(engine.Base, remedy.House{}, "soap", "2 L")
	assert.Equal(t, [2]float64{20, 40}, [2]float64{d.Low, d.Top})
	assert.Equal(t, [2]int{4, 10}, [2]int{d.GapMin, d.GapMax})
	for name, c := range map[string]struct {
		amount string
		every  int
		share  float64
		faults int
	}{
		"right":                 {"30 mL", d.GapMin, 1, 0},
		"in spoons":             {"6 metric tsp", d.GapMin, 1, 0},
		"nothing said":          {"", 0, 0, 0},
		"cannot be read":        {"a glug", d.GapMin, .5, 0},
		"too little":            {"2 mL", d.GapMin, .5, 0},
		"over the label":        {"200 mL", d.GapMin, .5, 1},
		"too soon":              {"30 mL", d.GapMin - 1, .5, 1},
		"too much and too soon": {"2 L", 1, 0, 2},
		"later than it holds":   {"30 mL", d.GapMax + 1, .5, 0},
	} {
		t.Run(name, func(t *testing.T) {
			share, why, faults := d.Weigh(c.amount, c.every)
			assert.InDelta(t, c.share, share, 1e-9)
			assert.Len(t, faults, c.faults)
			assert.Len(t, append(why, faults...), 2)
		})
	}
	_, err := training.ReadAmount("a glug", "mL")
	require.Error(t, err)
	assert.Equal(t, "amount", fault.From(err)[0].Field)
	strict := training.DosingOf(engine.Base, remedy.House{Labels: map[string]remedy.Label{"soap": {Low: "5 mL per L", High: "10 mL per L", RepeatMin: 14}}}, "soap", "2 L")
	assert.InDelta(t, 20, strict.Top, 1e-9)
	assert.Equal(t, 14, strict.GapMin)
	share, why, faults := training.DosingOf(engine.Base, remedy.House{}, "hand-pick", "2 L").Weigh("", 0)
	assert.InDelta(t, 1, share, 1e-9)
	assert.Empty(t, append(why, faults...))
}

// No amount or gap the label does not allow is ever worth as much as one it does, whatever the remedy and the sprayer.
func TestMoreThanTheLabelIsAlwaysAFault(t *testing.T) {
	for _, r := range engine.Base.Remedies {
		for _, holds := range []string{"500 mL", "1 L", "2 L", "5 L"} {
			d := training.DosingOf(engine.Base, remedy.House{}, r.ID, holds)
			if d.Unit == "" {
				continue
			}
			_, _, faults := d.Weigh(fmt.Sprintf("%.3f %s", d.Top*1.2, d.Unit), d.GapMin)
			assert.Len(t, faults, 1, r.ID)
			share, why, faults := d.Weigh(fmt.Sprintf("%.3f %s", (d.Low+d.Top)/2, d.Unit), d.GapMin)
			assert.InDelta(t, 1, share, 1e-9, "%s %v", r.ID, why)
			assert.Empty(t, faults, r.ID)
		}
	}
}

func TestWhatMattersHere(t *testing.T) {
	k := &knowledge.Cause{ID: "mussel", Class: "armored-scale", Months: []int{5}}
	for want, i := range map[float64]training.Interest{
		1:   {Month: 6},
		4:   {Classes: []string{"armored-scale"}},
		2:   {Mixed: map[string]bool{"mussel": true}},
		1.5: {Month: 5},
		12:  {Classes: []string{"armored-scale"}, Mixed: map[string]bool{"mussel": true}, Month: 5},
	} {
		assert.InDelta(t, want, i.Of(k), 1e-9)
	}
	assert.InDelta(t, 1, training.Interest{Classes: []string{""}, Mixed: map[string]bool{"": true}}.Of(nil), 1e-9)
	assert.Equal(t, []string{"mussel", "mussel", ""}, []string{training.Subject("plate/mussel"), training.Subject("split/mussel/other"), training.Subject("ratio")})
	now := time.Date(2026, 5, 1, 9, 0, 0, 0, time.UTC)
	assert.False(t, training.Memory{}.Fading(now), "what was never known does not fade")
	known := training.Memory{Right: 3, Last: now} // half-life of eight days
	assert.False(t, known.Fading(now.AddDate(0, 0, 2)))
	assert.True(t, known.Fading(now.AddDate(0, 0, 3)))
}
