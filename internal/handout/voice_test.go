package handout_test

import (
	"fmt"
	"os"
	"slices"
	"strings"
	"testing"
	"time"

	"botanik/core/civil"
	"botanik/core/dosage"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/herbarium"
	"botanik/internal/casefile"
	"botanik/internal/handout"
	"botanik/internal/settings"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// plant the cause is at home on, and where it would stand.
func plant(b *knowledge.Base, c *knowledge.Cause) (*knowledge.Host, string) {
	for _, h := range b.Hosts {
		if c.AtHome(h) {
			if slices.Contains([]string{"houseplant", "orchid", "fern", "succulent"}, h.Form) {
				return h, "indoors"
			}
			return h, "garden"
		}
	}
	return b.Host("rose"), "garden"
}

// page is the page of a cause with what the ladder picks for it, its mix and its days.
func page(t *testing.T, b *knowledge.Base, c *knowledge.Cause, place string, bloom bool, schools map[string]string) casefile.Sheet {
	t.Helper()
	h, at := plant(b, c)
	if place == "" {
		place = at
	}
	day, err := civil.Parse("2026-06-10")
	require.NoError(t, err)
	m := settings.Moment{Identity: settings.DefaultIdentity, Today: day, Clock: time.UTC, Now: time.Date(2026, 6, 10, 9, 0, 0, 0, time.UTC)}
	m.Rules.Schools = schools
	temp := 20.0
	sit := remedy.Situation{Host: h.ID, Place: place, Date: day.String(), Pressure: "heavy", InBloom: bloom, TempC: &temp, House: m.Rules}
	a, err := remedy.Advise(b, c.ID, sit)
	require.NoError(t, err)
	d := casefile.New(casefile.Intake{Grower: "Ilse", Plant: h.Name, Host: h.ID, Place: place, InBloom: bloom, Story: "x"})
	d.Verdict = &casefile.Verdict{Cause: c.ID, Degree: "settled", By: "Ansel"}
	r := &d.Rounds[0]
	r.Treatment = &casefile.Treatment{Remedies: a.Pick, By: "Ansel"}
	if x := remedy.Repeated(b, a.Pick); x != nil {
		r.Days = &casefile.Days{Start: day.String(), On: []string{day.String(), day.Add(remedy.LimitsOf(x, m.Rules).GapMin).String()}}
	}
	for _, id := range a.Pick {
		if x := b.Remedy(id); len(x.Rates) > 0 && !x.Bottle {
			mixed, err := dosage.Blend(b, m.Rules, dosage.MixInput{Remedy: id, Volume: "1 L"})
			require.NoError(t, err)
			r.Mix = &casefile.KeptMix{Mixed: mixed, By: "Ansel"}
		}
	}
	return handout.Write(b, m, sit, "26-0001", &d, nil)
}

func says(text string, words ...string) bool {
	return slices.ContainsFunc(words, func(w string) bool { return strings.Contains(strings.ToLower(text), w) })
}

// The page speaks with one voice, over every cause, in a room and outside, under
// every school of the hour: no two hours for one thing, no rhythm beside the days, no
// rain and no bees in a room, no spraying of what is dabbed or poured.
func TestThePageSpeaksWithOneVoice(t *testing.T) {
	b := herbarium.Embedded()
	n := 0
	for i, c := range b.Causes {
		for j, school := range []string{"by-pest", "evening", "morning"} {
			place := []string{"", "indoors", "garden"}[(i+j)%3]
			s := page(t, b, c, place, (i+j)%4 == 0, map[string]string{"hour": school})
			n++
			at := fmt.Sprintf("%s, %s, %s", c.ID, place, school)
			for _, step := range s.Steps {
				whole := strings.Join(append(slices.Clone(step.How), step.Hour), " ")
				assert.False(t, says(whole, "morning") && says(whole, "evening", "late in the day"), "%s: two hours in %q", at, whole)
				r := b.Remedies[slices.IndexFunc(b.Remedies, func(r *knowledge.Remedy) bool { return r.Name == step.Name })]
				if x := remedy.Repeated(b, ids(b, s)); len(s.Days) > 0 && x == r {
					assert.Empty(t, step.Again, at)
					assert.Empty(t, step.Hour, at)
					assert.False(t, says(strings.Join(step.How, " "), "every second day", "once a week", "a week apart", "every third"), "%s: %v beside days", at, step.How)
				}
				if place == "indoors" {
					assert.False(t, says(step.Hour, "rain", "bees", "calm"), "%s: %s", at, step.Hour)
				}
			}
			if place == "indoors" {
				assert.False(t, says(s.Hour, "rain", "bees", "calm"), "%s: %s", at, s.Hour)
			}
			for _, line := range s.Together {
				spray := s.Hour
				if says(line, "in the evening") && spray != "" && place != "indoors" {
					assert.False(t, says(spray, "morning"), "%s: %q beside %q", at, line, spray)
				}
			}
			if s.Mix != nil {
				words := strings.Join(s.Mix.Order, " ")
				dabbed := says(strings.Join(stepOf(s, s.Mix.Product).How, " "), "dab each")
				assert.False(t, dabbed && says(words, "spray"), "%s: %s", at, words)
			}
			if c.Danger != "" && len(s.Steps) > 0 && c.ID == "fumes" {
				assert.Contains(t, s.Steps[0].Name, "Out first", "people first")
			}
		}
	}
	assert.Greater(t, n, 1000)
}

func ids(b *knowledge.Base, s casefile.Sheet) []string {
	out := []string{}
	for _, step := range s.Steps {
		for _, r := range b.Remedies {
			if r.Name == step.Name {
				out = append(out, r.ID)
			}
		}
	}
	return out
}

func stepOf(s casefile.Sheet, name string) casefile.SheetStep {
	for _, step := range s.Steps {
		if strings.HasPrefix(step.Name, name) {
			return step
		}
	}
	return casefile.SheetStep{}
}

// With PAGES=file the pages of thirty causes are written out, to be read aloud.
func TestPagesToReadAloud(t *testing.T) {
	file := os.Getenv("PAGES")
	if file == "" {
		t.Skip("only with PAGES=file")
	}
	b := herbarium.Embedded()
	var w strings.Builder
	for i, c := range b.Causes {
		if i%12 != 0 {
			continue
		}
		s := page(t, b, c, "", false, nil)
		fmt.Fprintf(&w, "\n== %s on %s\n%s\n", s.Title, s.Plant, s.What)
		for k, x := range s.Steps {
			fmt.Fprintf(&w, "%d. %s. %s %s %s %s | Mind: %s\n", k+1, x.Name, x.When, x.Hour, strings.Join(x.How, " "), x.Again, strings.Join(x.Cautions, " "))
		}
		fmt.Fprintf(&w, "Together: %s\n", strings.Join(s.Together, " "))
		if s.Mix != nil {
			fmt.Fprintf(&w, "Mix: %v %v %v\n", s.Mix.Lines, s.Mix.Order, s.Mix.Notes)
		}
		fmt.Fprintf(&w, "Days: %v %s\nNot: %v\nRecovers: %s. %s %s\n", s.Days, s.Hour, s.MustNot, s.Recovers, s.Disposal, s.Refer)
	}
	require.NoError(t, os.WriteFile(file, []byte(w.String()), 0o600))
}
