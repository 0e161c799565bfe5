package casework_test

import (
	"slices"
	"strings"
	"testing"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// 2026-07-11 is a Saturday.
var saturday = civil.Must("2026-07-11")

func TestWhatWasSprayedIsReadAsSaid(t *testing.T) {
	b := herbarium.Embedded()
	for text, want := range map[string]string{
		"soap 9 days ago":                        "soap 2026-07-02",
		"soap 9":                                 "soap 2026-07-02",
		"oil 2 weeks ago":                        "dormant-oil|summer-oil 2026-06-27",
		"horticultural oil two weeks ago":        "summer-oil 2026-06-27",
		"neem yesterday":                         "azadirachtin|neem-oil 2026-07-10",
		"Neem oil yesterday":                     "neem-oil 2026-07-10",
		"detergent 2 days ago":                   "detergent 2026-07-09",
		"some washing-up liquid last week":       "detergent 2026-07-04",
		"Bt on Tuesday":                          "bti|btk 2026-07-07",
		"copper on Tuesday":                      "copper 2026-07-07",
		"lime sulphur last month":                "lime-sulfur 2026-06-11",
		"wettable sulphur on Saturday":           "sulfur 2026-07-04",
		"copper 2026-06-01":                      "copper 2026-06-01",
		"something from the shed a week ago":     " 2026-07-04",
		"soap and oil 3 days ago":                "soap 2026-07-08; dormant-oil|summer-oil 2026-07-08",
		"soap 9, copper 30 days ago":             "soap 2026-07-02; copper 2026-06-11",
		"rosemary oil":                           "aromatic-oil 2026-07-11",
		"summer wash 2026-02-30":                 " 2026-07-11",
		"pyrethrum; slug pellets 3w ago":         "pyrethrins 2026-06-20; iron-bait 2026-06-20",
		"":                                       "",
		"a spray":                                " 2026-07-11",
		"rubbing alcohol this morning":           "alcohol 2026-07-11",
		"Insecticidal soap, couple of weeks ago": "soap 2026-06-27;  2026-06-27",
	} {
		got := []string{}
		for _, e := range casework.ReadEarlier(b, text, saturday, 12) {
			slices.Sort(e.Meant)
			got = append(got, strings.Join(e.Meant, "|")+" "+e.On.String())
		}
		assert.Equal(t, want, strings.Join(got, "; "), "%q", text)
	}
	assert.Len(t, casework.ReadEarlier(b, strings.Repeat("soap,", 40), saturday, 12), 12)
}

// Every name a grower may use leads to the remedies that carry it, and to those
// alone.
func TestEveryNameLeadsToItsRemedies(t *testing.T) {
	b := herbarium.Embedded()
	for _, r := range b.Remedies {
		for _, a := range r.Aliases {
			assert.Contains(t, casework.RemediesCalled(b, "we used "+strings.ToUpper(a)+" on it"), r.ID, a)
		}
	}
}

func FuzzReadEarlier(f *testing.F) {
	b := herbarium.Embedded()
	for _, s := range []string{"soap 9", "neem on tue", "2026-07-01", "a\x00b 99999 months ago", "ſoap"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, text string) {
		for _, e := range casework.ReadEarlier(b, text, saturday, 12) {
			require.NotEmpty(t, e.What)
			require.False(t, e.On.IsZero())
		}
	})
}
