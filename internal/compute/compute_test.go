package compute

import (
	"encoding/json"
	"testing"

	"botanik/core/fault"
	"botanik/herbarium"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestEveryExampleWorksAndHasASchema(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range All() {
		t.Run(c.Name, func(t *testing.T) {
			s, err := c.Describe(b)
			require.NoError(t, err)
			raw, err := json.Marshal(s)
			require.NoError(t, err)
			assert.Contains(t, string(raw), `"$defs"`)
			assert.NotEmpty(t, c.About)
		})
	}
}

func TestBadInputNamesTheField(t *testing.T) {
	b := herbarium.Embedded()
	for _, c := range []struct{ name, in, field, word string }{
		{"mix", `{"volume":"1 gallon","parts":[{"name":"x","rate":"2 %"}]}`, "volume.unit", "which kind"},
		{"mix", `{"volume":"1 L","parts":[{"name":"x","rate":"3 %","high":"2 %"}]}`, "parts[0].rate", "top rate of 2 %"},
		{"mix", `{"volumes":"1 L"}`, "volumes", "not a field"},
		{"mix", `{"volume":1}`, "volume", "text"},
		{"mix", `{"volume":`, "", "too early"},
		{"mix", `{} {}`, "", "after the JSON"},
		{"mix", ``, "", "empty"},
		{"diagnose", `{"host":"triffid","looks":[]}`, "host", "not a host"},
		{"diagnose", `{"looks":[{"finding":"flecks","state":"purple"}]}`, "looks[0].state", "no state"},
		{"advise", `{"cause":"soup","case":{"date":"2026-07-01"}}`, "cause", "not a cause"},
		{"advise", `{"cause":"rust","case":{"date":"2026-07-01","host":"x"}}`, "case.host", "not a host"},
		{"advise", `{"cause":"rust","case":{}}`, "case.date", "missing"},
		{"convert", `{"amount":"2 US tbsp","to":"g"}`, "unit", "measures"},
		{"convert", `{"amount":"2 spoons","to":"mL"}`, "amount.unit", "which kind"},
		{"advise", `{"cause":"rust","case":{"date":"2026-07-01","host":"rose"},"chosen":["holy-water"]}`, "chosen[0]", "not a remedy"},
		{"advise", `{"cause":"rust","case":{"date":"2026-07-01","host":"rose","schools":{"moon":"full"}}}`, "case.schools.moon", "not a question"},
		{"need", `{"plants":[]}`, "plants", "none"},
		{"need", `{"plants":[{"count":1,"heightCm":2000,"widthCm":40}]}`, "plants[0].heightCm", "out of range"},
		{"place", `{"remedy":"nematodes-vine","area":"3 acres of hope"}`, "area", "unit of area"},
		{"place", `{"remedy":"hose-off","area":"3 m2"}`, "remedy", "no amount"},
		{"place", `{"remedy":"nematodes-vine","dose":"thick","area":"3 m2"}`, "dose", "no range"},
		{"blend", `{"remedy":"soap","volume":"0 L"}`, "volume", "zero"},
		{"blend", `{"remedy":"soap","volume":"1 L","stock":"1 %"}`, "stock", "not thinned"},
		{"repeat-days", `{"start":"soon","count":1}`, "start", "not a day"},
		{"repeat-days", `{"start":"2026-07-10","gapMinDays":4,"gapMaxDays":10,"count":1,"harvest":"soon"}`, "harvest", "not a day"},
		{"repeat-window", `{"lifeTable":"dragon","tempC":20}`, "lifeTable", "not a life table"},
	} {
		x, err := Find(c.name)
		require.NoError(t, err)
		_, err = x.Run(b, []byte(c.in))
		require.Error(t, err, c.in)
		f := fault.From(err)[0]
		assert.Equal(t, c.field, f.Field, c.in)
		assert.Contains(t, f.Problem, c.word, c.in)
	}
	_, err := Find("guess")
	assert.ErrorContains(t, err, "is not a computation")
}

func TestTheLadderSaysHowWhatIsChosenWorksTogether(t *testing.T) {
	c, err := Find("advise")
	require.NoError(t, err)
	out, err := c.Run(herbarium.Embedded(), []byte(`{"cause":"two-spotted-mite","case":{"host":"bean","date":"2026-07-10"},"chosen":["soap","hose-off"]}`))
	require.NoError(t, err)
	raw, err := json.Marshal(out)
	require.NoError(t, err)
	assert.Contains(t, string(raw), "first", "the hose before the soap")
}

func TestAnEmptyListOfFindingsIsOpen(t *testing.T) {
	r, err := Diagnose(herbarium.Embedded(), DiagnoseIn{})
	require.NoError(t, err)
	assert.Equal(t, "open", r.Verdict)
}

func FuzzDiagnose(f *testing.F) {
	f.Add(`{"looks":[{"finding":"flecks","state":"many"}]}`)
	f.Add(`{"host":"rose","month":13,"looks":null}`)
	b := herbarium.Embedded()
	c, _ := Find("diagnose")
	f.Fuzz(func(t *testing.T, s string) {
		if _, err := c.Run(b, []byte(s)); err != nil && !fault.Is(err) {
			t.Fatal(err)
		}
	})
}
