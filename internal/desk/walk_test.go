package desk_test

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"
	"testing"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	recordroom "botanik/internal/records"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// A walk does to one case whatever could be done at a desk, in any order, and
// holds the promises of the program after each step.
type walk struct {
	*rapid.T
	b       *bench
	trainee desk.Person
}

func (w *walk) id(list []string, name string) string { return rapid.SampledFrom(list).Draw(w.T, name) }

func (w *walk) remedies() []string {
	a, err := w.b.Advice(context.Background(), w.b.v.ID, nil)
	if err != nil {
		return []string{"soap"}
	}
	if rapid.IntRange(0, 2).Draw(w.T, "as picked") > 0 && len(a.Pick) > 0 {
		return a.Pick
	}
	ids := []string{}
	for range rapid.IntRange(1, 3).Draw(w.T, "how many") {
		ids = append(ids, a.Offers[rapid.IntRange(0, len(a.Offers)-1).Draw(w.T, "offer")].Remedy)
	}
	return ids
}

func (w *walk) verdict() desk.VerdictInput {
	in := desk.VerdictInput{Degree: w.id([]string{"settled", "working", "open", "undetermined"}, "degree"), Note: w.id([]string{"", "it jumped"}, "note")}
	if in.Degree != "undetermined" || rapid.Bool().Draw(w.T, "named all the same") {
		in.Cause = w.id(append(append(w.leaders(), "two-spotted-mite", "green-aphid", "powdery-mildew", "mosaic-virus", "fire-blight"), w.b.Base().Causes[rapid.IntRange(0, len(w.b.Base().Causes)-1).Draw(w.T, "any cause")].ID), "cause")
	}
	return in
}

func (w *walk) leaders() []string {
	out := []string{}
	for _, c := range w.b.v.Reading.Candidates {
		out = append(out, c.Cause)
	}
	return out
}

// step tries one thing, and says what.
func (w *walk) step() (string, desk.View, error) {
	ctx, b := context.Background(), w.b
	who := b.who
	if rapid.IntRange(0, 4).Draw(w.T, "who") == 0 {
		who = w.trainee
	}
	id, at := b.v.ID, b.v.Version
	one := func(name string, v desk.View, err error) (string, desk.View, error) {
		return who.Role + " " + name, v, err
	}
	// Every other step is what the bench says comes next, so that walks get far.
	step := rapid.IntRange(0, 16).Draw(w.T, "step")
	if i := slices.IndexFunc(b.v.Steps, func(x casework.Step) bool { return x.State == "next" || x.State == "waits" }); i >= 0 && b.v.Stage != "closed" && rapid.Bool().Draw(w.T, "as the bench says") {
		who = b.who
		step = map[string]int{"look": 0, "verdict": 3, "act": 5, "remedy": 6, "mix": 8, "days": 9, "handover": 10}[b.v.Steps[i].ID]
		if b.v.Act == nil && step == 6 {
			step = 5
		}
		if b.v.Stage == "review" {
			step = 15
		}
	}
	switch step {
	case 0, 1, 2:
		f := b.Base().Findings[rapid.IntRange(0, len(b.Base().Findings)-1).Draw(w.T, "finding")]
		v, err := b.Look(ctx, who, id, at, differential.Look{Finding: f.ID, State: f.States[rapid.IntRange(0, len(f.States)-1).Draw(w.T, "state")].ID})
		return one("looks", v, err)
	case 3, 4:
		v, err := b.SetVerdict(ctx, who, id, at, w.verdict())
		return one("settles", v, err)
	case 5:
		v, err := b.SetAct(ctx, who, id, at, desk.ActInput{Counted: desk.Counted{Counts: rapid.SliceOfN(rapid.IntRange(0, 40), 0, 6).Draw(w.T, "counts")}, Choice: w.id([]string{"act", "wait", "pull"}, "choice"), Pressure: w.id([]string{"light", "moderate", "heavy", "heavy"}, "pressure")})
		return one("weighs", v, err)
	case 6, 7:
		v, err := b.SetTreatment(ctx, who, id, at, w.remedies(), "")
		return one("chooses", v, err)
	case 8:
		v, err := b.SetMix(ctx, who, id, at, desk.MixBody{MixInput: dosage.MixInput{Volume: w.id([]string{"1 L", "2.5 L", "1 US gal", "3 L", "1 gallon"}, "volume"), Use: w.id([]string{"", "low", "top", "top", "90 mL per L"}, "use")}})
		return one("mixes", v, err)
	case 9:
		v, err := b.SetDays(ctx, who, id, at, desk.DaysInput{Count: rapid.IntRange(0, 7).Draw(w.T, "count")})
		return one("plans", v, err)
	case 10, 11:
		v, err := b.HandOver(ctx, who, id, at)
		return one("hands over", v, err)
	case 12:
		in := desk.FollowUpInput{Silent: true}
		if rapid.Bool().Draw(w.T, "answered") {
			in = desk.FollowUpInput{Count: &casework.Recount{Before: 12, After: float64(rapid.IntRange(0, 30).Draw(w.T, "after")), Units: 5}}
		}
		v, err := b.FollowUp(ctx, who, id, at, in)
		return one("asks", v, err)
	case 13:
		v, err := b.NextRound(ctx, who, id, at, w.id([]string{"repeat", "step up", "switch", "bring back"}, "move"))
		return one("goes round", v, err)
	case 15:
		v, err := b.Review(ctx, who, id, at, rapid.Bool().Draw(w.T, "agree"), w.id([]string{"", "look below"}, "word"))
		return one("reviews", v, err)
	case 14:
		v, err := b.Undo(ctx, who, id, at)
		return one("takes back", v, err)
	default:
		if b.v.Stage == "closed" || b.v.Handover == nil && rapid.IntRange(0, 3).Draw(w.T, "not yet") > 0 {
			v, err := b.Reopen(ctx, who, id, at)
			return one("reopens", v, err)
		}
		v, err := b.Close(ctx, who, id, at, desk.CloseInput{Outcome: "unknown", Note: ""})
		return one("closes", v, err)
	}
}

// promises hold of every case at every moment.
func (w *walk) promises(did string) {
	b, ctx := w.b, context.Background()
	v := b.v
	if v.Verdict != nil && v.Verdict.Degree == "settled" {
		k := b.Base().Cause(v.Verdict.Cause)
		require.Empty(w, k.Regulated+k.LabOnly, "%s: %s was settled at the desk", did, k.ID)
		require.NotEmpty(w, v.Looks, "%s: settled without a look", did)
	}
	if v.Treatment != nil {
		require.NotNil(w, v.Verdict, "%s: a treatment of nothing", did)
		if k := b.Base().Cause(v.Verdict.Cause); k != nil {
			for _, id := range v.Treatment.Remedies {
				r := b.Base().Remedy(id)
				require.False(w, r.Kind == "product" && (k.Regulated != "" || k.Kind == "helper" || k.Kind == "harmless"), "%s: %s on %s", did, id, k.ID)
				require.False(w, r.Licensed, "%s: %s is for a licensed person", did, id)
			}
		}
	}
	if v.Mix != nil {
		require.Contains(w, v.Treatment.Remedies, v.Mix.Remedy, "%s: mixed, but not chosen", did)
		for _, m := range v.Mix.Plan.Marks {
			require.LessOrEqual(w, m.Share, 1.0, "%s: above the label", did)
		}
	}
	if v.Days != nil {
		require.True(w, slices.IsSorted(v.Days.On))
	}
	if v.Handover != nil {
		w.page(did, ctx)
	}
}

// page is what a grower may take home.
func (w *walk) page(did string, ctx context.Context) {
	b := w.b
	s, err := b.Sheet(ctx, b.v.ID)
	require.NoError(w, err)
	require.Equal(w, remedy.Always, s.Always)
	require.NotEmpty(w, s.Title)
	for _, x := range s.Steps {
		require.NotEmpty(w, x.How, "%s: %s does not say how", did, x.Name)
		require.NotEmpty(w, x.Cautions, "%s: %s without a caution", did, x.Name)
	}
	require.False(w, b.v.Verdict.NeedsReview, "%s: a trainee's verdict went out unseen", did)
	raw, err := json.Marshal(s)
	require.NoError(w, err)
	require.NotContains(w, string(raw), "02 555 0199", "the way to reach a grower is not on the page")
	if b.v.Verdict.Degree == "undetermined" {
		require.Contains(w, string(raw), "Spray nothing")
	}
	if k := b.Base().Cause(b.v.Verdict.Cause); k != nil && k.Regulated != "" {
		require.NotEmpty(w, s.Refer, "%s: a regulated suspect is referred", did)
		require.Nil(w, s.Mix)
	}
}

func TestAnyWalkThroughACaseKeepsItsPromises(t *testing.T) {
	b := open(t)
	trainee := desk.Person{ID: "w", Name: "Wren", Role: "trainee"}
	done := map[string]int{}
	one := func(t *rapid.T) {
		ctx := context.Background()
		w := &walk{T: t, b: b, trainee: trainee}
		in := casefile.Intake{Grower: "Ilse", Contact: "02 555 0199", Plant: b.Base().Hosts[rapid.IntRange(0, len(b.Base().Hosts)-1).Draw(t, "plant")].Name, Place: w.id(knowledge.Places, "place"), Story: "pale",
			InBloom: rapid.Bool().Draw(t, "in flower"), Edible: rapid.Bool().Draw(t, "edible"), Pond: rapid.Bool().Draw(t, "pond"), Cat: rapid.Bool().Draw(t, "cat")}
		b.house(func(h *remedy.House) {
			*h = remedy.House{Policy: map[string]remedy.Policy{}, Law: map[string]remedy.Law{}, Schools: map[string]string{}}
			if rapid.Bool().Draw(t, "a strict house") {
				h.Policy["soap"] = remedy.Policy{Use: "no"}
				h.Law["sulfur"] = remedy.Law{Status: "banned"}
				h.Schools["aim"] = "eradicate"
			}
		})
		v, err := b.CheckIn(ctx, b.who, in, "")
		require.NoError(t, err)
		b.v = v
		for range rapid.IntRange(8, 26).Draw(t, "steps") {
			before := b.v
			did, after, err := w.step()
			now, again := b.View(ctx, before.ID)
			require.NoError(t, again)
			if err != nil {
				if len(fault.From(err)) > 0 && fault.Is(err) {
					for _, f := range fault.From(err) {
						require.NotEmpty(t, f.Problem, "%s was refused without a word", did)
						require.NotEmpty(t, f.Mend, "%s: %s, and no mend", did, f.Problem)
					}
				} else {
					require.ErrorIs(t, err, desk.ErrForbidden, "%s: %v", did, err)
				}
				require.Equal(t, before.Version, now.Version, "%s was refused and changed something", did)
				done["refused "+did]++
				continue
			}
			if after.Version == before.Version {
				require.JSONEq(t, asJSON(t, before), asJSON(t, after), did)
				continue // the same answer once more
			}
			require.Equal(t, before.Version+1, after.Version, did)
			require.Equal(t, after.Version, now.Version, did)
			story, err := b.Story(ctx, before.ID)
			require.NoError(t, err)
			require.Len(t, story, after.Version, "%s is not in the story", did)
			require.NotEmpty(t, strings.TrimSpace(story[len(story)-1].Text), did)
			row, err := b.Store.Case(ctx, before.ID)
			require.NoError(t, err)
			doc, err := b.Store.DocAt(ctx, before.ID, after.Version)
			require.NoError(t, err)
			require.JSONEq(t, row.Doc, doc, "the story's changes lead to the case as it is, after %s", did)
			b.v = after
			w.promises(did)
			done[did]++
		}
	}
	// A walk that never gets as far as mixing shows nothing of it: walk on until
	// every kind of step was taken.
	kinds := []string{"looks", "settles", "weighs", "chooses", "mixes", "plans", "hands over", "asks", "goes round", "reviews", "takes back", "closes", "reopens"}
	missing := func() []string {
		return slices.DeleteFunc(slices.Clone(kinds), func(k string) bool { return done["advisor "+k] > 0 })
	}
	for range 4 {
		if rapid.Check(t, one); len(missing()) == 0 {
			break
		}
	}
	require.Empty(t, missing(), "no walk ever got this far: %s", fmt.Sprint(done))
	sameElsewhere(t, b)
}

// sameElsewhere takes a desk as a bundle into an empty one and holds that it is the same:
// whatever happened to its cases.
func sameElsewhere(t *testing.T, b *bench) {
	ctx := context.Background()
	raw := b.file(b.worked(b.Export(ctx, boss, recordroom.ExportInput{What: "bundle"})))
	other := b.another()
	j := other.worked(other.KeepImport(ctx, boss, other.bring(raw), recordroom.ImportInput{}))
	require.Equal(t, "done", j.State, j.Said)
	is := everything(t, other.file(other.worked(other.Export(ctx, boss, recordroom.ExportInput{What: "bundle"}))))
	for name, was := range everything(t, raw) {
		if name != "settings.jsonl" { // house documents come along only when they are ticked
			require.Equal(t, was, is[name], name)
		}
	}
	page, err := b.Store.Cases(ctx, "", "", 500)
	require.NoError(t, err)
	require.NotEmpty(t, page.Cases)
	for _, c := range page.Cases {
		there, err := other.Store.Case(ctx, c.ID)
		require.NoError(t, err)
		there.Doc, there.ImportID, there.Serial = "", "", c.Serial
		require.Equal(t, c, there, "what lists ask for, too")
	}
}

// asJSON is v as the desk sends it: two views that read the same are the same.
func asJSON(t require.TestingT, v any) string {
	b, err := json.Marshal(v)
	require.NoError(t, err)
	return string(b)
}
