package knowledge_test

import (
	"testing"
	"unicode/utf8"

	"botanik/core/knowledge"

	"github.com/stretchr/testify/assert"
)

func spoken() *knowledge.Base {
	f := func(id string, states ...knowledge.State) *knowledge.Finding {
		return &knowledge.Finding{ID: id, States: states}
	}
	s := func(id string, words ...string) knowledge.State { return knowledge.State{ID: id, Words: words} }
	return knowledge.New(knowledge.Entries{Findings: []*knowledge.Finding{
		f("sticky", s("yes", "sticky", "honeydew")),
		f("curl", s("down", "curled"), s("rolled", "rolled up")),
		f("holes", s("shot", "tiny holes"), s("ragged", "holes")),
		f("flies", s("white", "white flies")),
		f("insects", s("wings", "white flies")),
	}})
}

func TestAStorySpeaksOfLooks(t *testing.T) {
	for story, want := range map[string][]string{
		"The leaves are Sticky, and curling!": {"sticky=yes Sticky", "curl=down curling"},
		"tiny holes everywhere":               {"holes=shot tiny holes"},
		"big holes, then tiny holes":          {"holes=ragged holes", "holes=shot tiny holes"},
		"no holes and not sticky":             nil,
		"no flowers. It is sticky":            {"sticky=yes sticky"},
		"I can stick a pencil in":             nil,
		"white flies when I brush it":         {"flies=white white flies", "insects=wings white flies"},
		"they were white. Flies came":         nil,
		"":                                    nil,
	} {
		got := []string(nil)
		for _, x := range spoken().SpokenOf(story) {
			got = append(got, x.Finding+"="+x.State+" "+x.Words)
		}
		assert.Equal(t, want, got, story)
	}
}

func FuzzAStoryOfAnyKindIsRead(f *testing.F) {
	for _, s := range []string{"sticky and curled", "nO hOLES!!", "ſticky İ holes", "\xff sticky", "tiny\x00holes"} {
		f.Add(s)
	}
	b := spoken()
	f.Fuzz(func(t *testing.T, story string) {
		for _, x := range b.SpokenOf(story) {
			assert.NotEmpty(t, x.State)
			if utf8.ValidString(story) {
				assert.Contains(t, story, x.Words)
			}
		}
	})
}
