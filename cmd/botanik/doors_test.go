package main

import (
	"encoding/json"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The shell is no side door: what the page would never let anybody keep is refused here with
// the same reason. Each line is a harm a toxicologist or the label names.
func TestTheShellRefusesWhatThePageRefuses(t *testing.T) {
	for in, word := range map[string]string{
		`{"cause":"processionary","case":{"host":"pine","date":"2026-03-10"},"chosen":["hose-off"]}`:                             "hairs",
		`{"cause":"bean-aphid","case":{"host":"bean","place":"indoors","date":"2026-07-10","cat":true},"chosen":["pyrethrins"]}`: "cat",
		`{"cause":"powdery-mildew","case":{"host":"rose","date":"2026-07-10"},"chosen":["sulfur","summer-oil"]}`:                 "together",
	} {
		out, errs, code := cli(t, in, "advise")
		require.Zero(t, code, errs)
		var a struct {
			Apart   []string
			Combine []any
		}
		require.NoError(t, json.Unmarshal([]byte(out), &a))
		assert.Contains(t, strings.ToLower(strings.Join(a.Apart, " ")), word, in)
		assert.Empty(t, a.Combine, "and nothing is said of how they go together: %s", in)
	}
	for in, word := range map[string]string{
		`{"volume":"1 L","parts":[{"name":"bleach","rate":"10 mL per L"},{"name":"vinegar","rate":"10 mL per L"}]}`:              "chlorine",
		`{"volume":"1 L","parts":[{"name":"ammonia","rate":"10 mL per L"},{"name":"sodium hypochlorite","rate":"10 mL per L"}]}`: "chloramine",
		`{"volume":"1 L","parts":[{"name":"Sulfur","rate":"3 g per L"},{"name":"Summer oil","rate":"10 mL per L"}]}`:             "together",
	} {
		_, errs, code := cli(t, in, "mix")
		assert.Equal(t, exitInput, code, in)
		assert.Contains(t, strings.ToLower(errs), word, in)
	}
}

// Many inputs go through one process, a line each; a line that is refused says so in its
// place and stops nothing.
func TestManyLinesGoThroughOneProcess(t *testing.T) {
	in := `{"amount":"1 L","to":"mL"}` + "\n\n" + `{"amount":"1 bucket","to":"mL"}` + "\n" + `{"amount":"2 US tbsp","to":"mL","amount":"3 L"}` + "\n" + `{"amount":"2 L","to":"mL"}`
	out, _, code := cli(t, in, "calc", "convert", "--lines")
	assert.Equal(t, exitInput, code, "one of them was refused")
	lines := strings.Split(strings.TrimSpace(out), "\n")
	require.Len(t, lines, 4, out)
	for i, want := range []string{"1000", "amount", "twice", "2000"} {
		var any map[string]any
		require.NoError(t, json.Unmarshal([]byte(lines[i]), &any), "each is JSON by itself")
		assert.Contains(t, lines[i], want)
	}
	_, errs, code := cli(t, "\ufeff"+`{"amount":"1 L","to":"mL"}`, "calc", "convert")
	assert.Zero(t, code, "a byte order mark is no part of it: %s", errs)
}

// A file of records leaves one desk and comes into another by the shell alone, and a rule
// only where it is asked for.
func TestRecordsGoOutAndInByTheShell(t *testing.T) {
	dir := t.TempDir()
	t.Setenv("BOTANIK_DATA", filepath.Join(dir, "one"))
	cards := filepath.Join(dir, "cards.csv")
	require.NoError(t, os.WriteFile(cards, []byte("number,date,plant,diagnosis,grower\nA-1,2024-05-03,bean,two-spotted-mite,Ilse\nA-2,2024-06-13,rose,rust,Corin\n"), 0o600))
	_, errs, code := cli(t, "a-long-password\n", "user", "add", "odile", "--role", "coordinator")
	require.Zero(t, code, errs)
	out, errs, code := cli(t, "", "import", cards, "--look")
	require.Zero(t, code, errs)
	assert.Contains(t, out, `"rows": 2`)
	out, errs, code = cli(t, "", "import", cards)
	require.Zero(t, code, errs)
	assert.Contains(t, out, `"in": 2`)
	bundle := filepath.Join(dir, "all.zip")
	_, errs, code = cli(t, "", "export", "bundle", bundle)
	require.Zero(t, code, errs)
	_, errs, code = cli(t, "", "export", "bundle", bundle)
	assert.NotZero(t, code, "what is there is not written over")
	assert.Contains(t, errs, "all.zip")
	table := filepath.Join(dir, "cases.csv")
	_, errs, code = cli(t, "", "export", "cases", table)
	require.Zero(t, code, errs)
	raw, err := os.ReadFile(table)
	require.NoError(t, err)
	assert.NotContains(t, string(raw), "Corin")

	t.Setenv("BOTANIK_DATA", filepath.Join(dir, "two"))
	_, errs, code = cli(t, "a-long-password\n", "user", "add", "odile", "--role", "coordinator")
	require.Zero(t, code, errs)
	out, errs, code = cli(t, "", "import", bundle)
	require.Zero(t, code, errs)
	assert.Contains(t, out, `"in": 2`)
	_, errs, code = cli(t, "", "import", bundle, "--take", "keeping")
	assert.NotZero(t, code, errs)
	torn := filepath.Join(dir, "torn.zip")
	whole, err := os.ReadFile(bundle)
	require.NoError(t, err)
	require.NoError(t, os.WriteFile(torn, whole[:len(whole)/2], 0o600))
	_, _, code = cli(t, "", "import", torn)
	assert.NotZero(t, code)
}

func TestTheProgramSaysItsVersion(t *testing.T) {
	for _, args := range [][]string{{"version"}, {"--version"}} {
		out, errs, code := cli(t, "", args...)
		require.Zero(t, code, errs)
		assert.NotEmpty(t, strings.TrimSpace(out))
	}
}
