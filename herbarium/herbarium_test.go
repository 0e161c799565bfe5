package herbarium

import (
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"botanik/core/knowledge"
	"botanik/core/microscopy"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestOurHerbariumIsSound(t *testing.T) {
	b, err := Load("")
	require.NoError(t, err)
	for _, p := range knowledge.Check(b) {
		t.Error(p)
	}
	t.Logf("%d causes, %d findings, %d hosts, %d remedies", len(b.Causes), len(b.Findings), len(b.Hosts), len(b.Remedies))
}

func TestADesksOwnFolderChangesAndAdds(t *testing.T) {
	dir := t.TempDir()
	require.NoError(t, os.MkdirAll(filepath.Join(dir, "hosts"), 0o755))
	require.NoError(t, os.WriteFile(filepath.Join(dir, "hosts", "own.yaml"), []byte("- {id: rose, name: Our rose, scientific: Rosa, family: rosaceae, form: woody, leaf: compound}\n- {id: tea, name: Tea, scientific: Camellia sinensis, family: theaceae, form: woody, leaf: ovate}\n"), 0o644))
	b, err := Load(dir)
	require.NoError(t, err)
	assert.Equal(t, "Our rose", b.Host("rose").Name)
	assert.Contains(t, b.Host("rose").From, "own.yaml", "it says where it came from")
	assert.NotNil(t, b.Host("tea"))
	assert.Equal(t, len(Embedded().Hosts)+1, len(b.Hosts))

	// and adds a species to the slide key
	require.NoError(t, os.MkdirAll(filepath.Join(dir, "slides"), 0o755))
	require.NoError(t, os.WriteFile(filepath.Join(dir, "slides", "own.yaml"), []byte("- {id: palm-thread, name: Palm thread scale, scientific: Ischnaspis sp., group: armored scale, states: {body: [thread], lobes: [two]}, hosts: [rose], source: judgement of a test}\n"), 0o644))
	b, err = Load(dir)
	require.NoError(t, err)
	a, err := b.SlideKey.Identify("armored scale", []microscopy.Seen{{Character: "body", State: "thread"}, {Character: "lobes", State: "two"}}, nil)
	require.NoError(t, err)
	assert.Equal(t, "palm-thread", a.Fits[0].Species)
	assert.Empty(t, knowledge.Errors(knowledge.Check(b)))
}

// A folder written before concentrates had figures and doses a way still opens, and is
// still sound: nothing of it is asked for in hindsight.
func TestAnOldFolderStillOpens(t *testing.T) {
	dir := t.TempDir()
	require.NoError(t, os.MkdirAll(filepath.Join(dir, "remedies"), 0o755))
	var raw []byte
	for _, sheet := range []string{"4-soaps-and-oils", "5-plant-made-and-microbial", "6-minerals"} {
		text, err := ours.ReadFile("remedies/" + sheet + ".yaml")
		require.NoError(t, err)
		raw = append(raw, text...)
	}
	old := strings.ReplaceAll(string(raw), "active: {of: spinosad, low: 0.06, high: 0.1}", "active: 0.06 to 0.1 g of spinosad")
	old = strings.ReplaceAll(old, ", way: dust, g_per_ml: 0.4", "")
	require.NotEqual(t, string(raw), old)
	require.NoError(t, os.WriteFile(filepath.Join(dir, "remedies", "own.yaml"), []byte(old), 0o644))
	b, err := Load(dir)
	require.NoError(t, err)
	assert.Equal(t, "0.06 to 0.1 g of spinosad", b.Remedy("spinosad").Active.String())
	assert.Empty(t, b.Remedy("diatomaceous").Doses[0].Way)
	assert.InDelta(t, .02, b.Remedy("azadirachtin").Active.Low, 1e-12)
	for _, p := range knowledge.Check(b) {
		assert.True(t, p.Style || !strings.Contains(p.File, "own.yaml"), "an old entry stops no desk: %s", p)
	}
}

func TestBrokenFilesNameThePlace(t *testing.T) {
	for name, c := range map[string]struct{ file, text, word string }{
		"unknown field": {"hosts/x.yaml", "- {id: a, colour: blue}\n", "colour"},
		"no id":         {"hosts/x.yaml", "- {name: a}\n", "no id"},
		"not a list":    {"causes/x.yaml", "id: a\n", "causes/x.yaml"},
		"broken yaml":   {"findings/x.yaml", "- {id: [\n", "findings/x.yaml"},
		"lone dash":     {"hosts/x.yaml", "-\n", "lone dash"},
		"a lone tag":    {"findings/x.yaml", "! 00000000000\n", "start each with a dash"},
		"lost file":     {"notes/x.yaml", "- {id: a}\n", "no folder"},
	} {
		t.Run(name, func(t *testing.T) {
			dir := t.TempDir()
			p := filepath.Join(dir, c.file)
			require.NoError(t, os.MkdirAll(filepath.Dir(p), 0o755))
			require.NoError(t, os.WriteFile(p, []byte(c.text), 0o644))
			_, err := Load(dir)
			require.Error(t, err)
			assert.Contains(t, err.Error(), c.word)
		})
	}
	_, err := Load("/no/such/folder")
	assert.ErrorContains(t, err, "cannot be read")
}

func FuzzRead(f *testing.F) {
	f.Add("causes/a.yaml", "- {id: a, hosts: {any: usual}}")
	f.Add("findings/a.yaml", "- {id: a, states: [{id: x}, {id: y}]}")
	f.Add("conflicts.yaml", "- {a: x, b: y}")
	f.Add("lifetables.yaml", "- &a [*a]")
	f.Add("findings/a.yaml", "! 00000000000")
	f.Fuzz(func(t *testing.T, name, text string) {
		var e entries
		if e.read(name, name, []byte(text)) == nil {
			knowledge.Check(knowledge.New(e.Entries))
		}
	})
}

// A house may change every entry; what a rule turns on it may not lose.
func TestWhatARuleSpeaksOfIsThere(t *testing.T) {
	full := Embedded()
	without := func(drop func(*knowledge.Remedy) bool) []knowledge.Problem {
		rest := []*knowledge.Remedy{}
		for _, r := range full.Remedies {
			if !drop(r) {
				rest = append(rest, r)
			}
		}
		return knowledge.Check(knowledge.New(knowledge.Entries{Remedies: rest}))
	}
	named := func(list []knowledge.Problem, entry string) bool {
		return slices.ContainsFunc(list, func(p knowledge.Problem) bool {
			return strings.Contains(p.String(), entry) && strings.Contains(p.String(), "rules speak of")
		})
	}
	for _, id := range []string{"leave", "report", "pull-bag", "resistant", "hose-off", "wipe"} {
		assert.True(t, named(without(func(r *knowledge.Remedy) bool { return r.ID == id }), id), id)
	}
	for _, class := range knowledge.RemedyClasses {
		assert.True(t, named(without(func(r *knowledge.Remedy) bool { return r.Is(class) }), class), class)
	}
	assert.False(t, named(without(func(*knowledge.Remedy) bool { return false }), ""), "with all of them nothing is missed")
}

// What the four growers of review/use.md said is offered as looks.
func TestTheStoriesOfTheFourCasesOfferALine(t *testing.T) {
	for story, want := range map[string]string{
		"cotton wool in the joints, sticky":     "sticky",
		"brown wet patches on leaves and fruit": "spots",
		"black spots, yellow leaves":            "spots",
		"webs and green caterpillars":           "silk",
	} {
		assert.True(t, slices.ContainsFunc(Embedded().SpokenOf(story), func(s knowledge.Spoken) bool { return s.Finding == want }), story)
	}
}
