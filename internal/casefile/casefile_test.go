package casefile_test

import (
	"encoding/json"
	"os"
	"path/filepath"
	"testing"

	"botanik/core/casework"
	"botanik/internal/casefile"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Old documents, one file each beside what they have to read as now.
func TestOldDocumentsAreBroughtUpToDate(t *testing.T) {
	files, err := filepath.Glob("testdata/v*.json")
	require.NoError(t, err)
	require.NotEmpty(t, files)
	for _, f := range files {
		raw, err := os.ReadFile(f)
		require.NoError(t, err)
		d, err := casefile.Decode(string(raw))
		require.NoError(t, err, f)
		now, err := casefile.Encode(d)
		require.NoError(t, err)
		golden := filepath.Join("testdata", "now", filepath.Base(f))
		if os.Getenv("BOTANIK_GOLDEN") != "" {
			require.NoError(t, os.MkdirAll(filepath.Dir(golden), 0o755))
			require.NoError(t, os.WriteFile(golden, []byte(now+"\n"), 0o644))
		}
		want, err := os.ReadFile(golden)
		require.NoError(t, err)
		assert.JSONEq(t, string(want), now, f)
		again, err := casefile.Decode(now)
		require.NoError(t, err)
		assert.Equal(t, d, again, "what is written reads the same")
	}
}

func TestASecondRoundIsKeptApartFromTheFirst(t *testing.T) {
	raw, err := os.ReadFile("testdata/v1-second-round.json")
	require.NoError(t, err)
	d, err := casefile.Decode(string(raw))
	require.NoError(t, err)
	assert.Equal(t, 1, d.Handed(), "the round before is counted")
	assert.Nil(t, d.Now().Handover)
	assert.Len(t, d.Given(), 2, "and what it put on the plant still counts")
	assert.Len(t, d.FollowUps(), 1)
	assert.NotNil(t, d.Now().Act, "what was decided stays for the round in hand")
}

func TestADocumentOfANewerProgramIsNotGuessedAt(t *testing.T) {
	_, err := casefile.Decode(`{"v":99}`)
	assert.ErrorContains(t, err, "newer program")
	_, err = casefile.Decode(`{"v":`)
	assert.Error(t, err)
}

// Whatever is emptied, nothing that rests on it is left, and a round that was
// handed over stays as it was given.
func TestClearingTakesAlongWhatRests(t *testing.T) {
	full := func(handed bool) casefile.Doc {
		d := casefile.New(casefile.Intake{Grower: "Ilse"})
		d.Verdict = &casefile.Verdict{Cause: "slug"}
		*d.Now() = casefile.Round{Act: &casefile.Act{}, Treatment: &casefile.Treatment{Remedies: []string{"iron-bait"}}, Mix: &casefile.KeptMix{}, Doses: []casefile.KeptDose{{}}, Days: &casefile.Days{}}
		if handed {
			d.Now().Handover = &casefile.Handover{Token: "t"}
		}
		return d
	}
	d := full(false)
	d.Clear(casework.SecRemedy, false)
	assert.NotNil(t, d.Now().Treatment)
	assert.Nil(t, d.Now().Mix)
	assert.Nil(t, d.Now().Doses)
	assert.Nil(t, d.Now().Days)
	assert.NotNil(t, d.Now().Act)
	d = full(true)
	d.Clear(casework.SecVerdict, true)
	assert.Nil(t, d.Verdict)
	require.Len(t, d.Rounds, 2)
	assert.NotNil(t, d.Rounds[0].Treatment, "what was handed over stays")
	assert.Equal(t, casefile.Round{}, d.Rounds[1])
	raw, err := json.Marshal(d)
	require.NoError(t, err)
	assert.NotContains(t, string(raw), `"rounds":null`)
}

func FuzzDecode(f *testing.F) {
	files, _ := filepath.Glob("testdata/v*.json")
	for _, name := range files {
		raw, _ := os.ReadFile(name)
		f.Add(string(raw))
	}
	f.Fuzz(func(t *testing.T, raw string) {
		d, err := casefile.Decode(raw)
		if err != nil {
			return
		}
		text, err := casefile.Encode(d)
		if err != nil {
			return
		}
		if _, err := casefile.Decode(text); err != nil {
			t.Fatalf("what was written cannot be read: %v", err)
		}
	})
}
