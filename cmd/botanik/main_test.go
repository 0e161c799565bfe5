package main

import (
	"bytes"
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// cli runs the command as from a shell: output, error text and exit code.
func cli(t *testing.T, stdin string, args ...string) (string, string, int) {
	t.Helper()
	var out, errs bytes.Buffer
	cmd := root()
	cmd.SetArgs(args)
	cmd.SetIn(strings.NewReader(stdin))
	cmd.SetOut(&out)
	cmd.SetErr(&errs)
	code := 0
	if err := cmd.ExecuteContext(t.Context()); err != nil {
		code = report(&errs, err)
	}
	return out.String(), errs.String(), code
}

func TestComputationsFromTheShell(t *testing.T) {
	out, _, code := cli(t, `{"host":"bean","place":"garden","month":7,"looks":[{"finding":"walker-spots","state":"yes"},{"finding":"flecks","state":"many"}]}`, "diagnose")
	require.Zero(t, code)
	var r struct{ Leader string }
	require.NoError(t, json.Unmarshal([]byte(out), &r))
	assert.Equal(t, "two-spotted-mite", r.Leader)

	out, _, code = cli(t, `{"cause":"two-spotted-mite","case":{"host":"bean","date":"2026-07-10","inBloom":true}}`, "advise")
	require.Zero(t, code)
	assert.Contains(t, out, `"status": "care"`)
	assert.Contains(t, out, "label and local law come first")

	out, _, code = cli(t, `{"volume":"2.5 L","sprayer":"1 L","spoons":"metric","parts":[{"name":"Soap","rate":"15 mL per L","high":"20 mL per L"}]}`, "mix")
	require.Zero(t, code)
	assert.Contains(t, out, `"fillings": 3`)
}

func TestBadInputExitsWithTwoAndNamesTheField(t *testing.T) {
	for _, c := range []struct {
		in   string
		args []string
		word string
	}{
		{`{"volume":"1 gallon","parts":[{"name":"x","rate":"2 %"}]}`, []string{"mix"}, `"field": "volume.unit"`},
		{`{"looks":[{"finding":"aura","state":"x"}]}`, []string{"diagnose"}, `"field": "looks[0].finding"`},
		{`{`, []string{"advise"}, "too early"},
		{``, []string{"calc", "nonsense"}, `"field": "name"`},
		{``, []string{"kb", "list", "potions"}, `"field": "kind"`},
	} {
		out, errs, code := cli(t, c.in, c.args...)
		assert.Equal(t, exitInput, code, "%v", c.args)
		assert.Empty(t, out)
		assert.Contains(t, errs, c.word)
		assert.Contains(t, errs, `"mend"`)
	}
}

func TestTheVocabularyAndTheSchemas(t *testing.T) {
	for kind, least := range map[string]int{"causes": 130, "findings": 170, "hosts": 120, "remedies": 40} {
		out, _, code := cli(t, "", "kb", "list", kind, "--json")
		require.Zero(t, code)
		var list []map[string]any
		require.NoError(t, json.Unmarshal([]byte(out), &list))
		assert.GreaterOrEqual(t, len(list), least, kind)
		assert.NotEmpty(t, list[0]["id"])
	}
	out, _, code := cli(t, "", "calc", "--list")
	require.Zero(t, code)
	for _, name := range []string{"diagnose", "advise", "mix", "judge", "repeat-window"} {
		assert.Contains(t, out, name)
		schema, _, code := cli(t, "", "calc", name, "--schema")
		require.Zero(t, code)
		assert.Contains(t, schema, `"example"`)
		assert.Contains(t, schema, `"result"`)
	}
}

func TestCheckRefusesABrokenHerbarium(t *testing.T) {
	out, _, code := cli(t, "", "kb", "check")
	require.Zero(t, code)
	assert.Contains(t, out, "sound")
	dir := t.TempDir()
	require.NoError(t, os.MkdirAll(filepath.Join(dir, "remedies"), 0o755))
	file := filepath.Join(dir, "remedies", "own.yaml")
	require.NoError(t, os.WriteFile(file, []byte("- {id: brew, name: A brew, rung: 4, kind: product, bloom: fine, food: fine, indoors: fine, how: [x], source: judgement, rates: [{id: a, low: 1 tbsp per gallon, high: 2 %}]}\n"), 0o644))
	out, errs, code := cli(t, "", "kb", "check", "--herbarium", dir)
	assert.Equal(t, exitTrouble, code)
	assert.Contains(t, errs, "rules are broken")
	assert.Contains(t, out, file+": remedy brew: has no caution")
	assert.Contains(t, out, "does not say which kind")
}

func TestAPersonIsAddedFromTheShell(t *testing.T) {
	t.Setenv("BOTANIK_DATA", t.TempDir())
	out, _, code := cli(t, "a-long-password\n", "user", "add", "odile", "--name", "Odile", "--role", "coordinator")
	require.Zero(t, code)
	assert.Contains(t, out, `"role": "coordinator"`)
	assert.NotContains(t, out, "a-long-password")
	_, errs, code := cli(t, "a-long-password\n", "user", "add", "odile")
	assert.Equal(t, exitInput, code)
	assert.Contains(t, errs, "is taken")
	_, errs, code = cli(t, "short\n", "user", "add", "brann")
	assert.Equal(t, exitInput, code)
	assert.Contains(t, errs, "8 characters")
}
