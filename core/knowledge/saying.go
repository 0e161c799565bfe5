package knowledge

import (
	"fmt"
	"strings"
)

// Saying is what growers call something, with the lines that ask for it: only for
// finding a line, because such words ("scale", "mildew") name several things.
type Saying struct {
	ID    string   `json:"id" yaml:"id"`
	Say   []string `json:"say" yaml:"say" doc:"words and phrases, as people say them"`
	Lines []string `json:"lines" yaml:"lines" doc:"finding, or finding=state, the likeliest first"`
	From  string   `json:"from,omitempty" yaml:"-"`
}

// Stems are the words of a text as they are compared, in their order: small, without
// the endings that only bend them.
func Stems(text string) []string {
	out := []string{}
	for _, t := range tokens(text) {
		out = append(out, t.stem)
	}
	return out
}

// Denies reports whether a word, as Stems gives it, turns what follows into its absence.
func Denies(stem string) bool {
	for _, d := range denials {
		if d == stem {
			return true
		}
	}
	return false
}

// saying holds that each leads somewhere.
func (k *checker) saying(x *Saying) {
	k.at(x.From, "saying", x.ID)
	if len(x.Say) == 0 || len(x.Lines) == 0 {
		k.say("says nothing or leads nowhere", "give say and lines")
	}
	for _, l := range x.Lines {
		id, state, _ := strings.Cut(l, "=")
		f := k.b.Finding(id)
		if f == nil || state != "" && f.State(state) < 0 {
			k.say(fmt.Sprintf("leads to %q, which is not here", l), "name a finding, or finding=state")
		}
	}
}
