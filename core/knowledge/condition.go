package knowledge

import (
	"fmt"
	"slices"
	"strings"
)

// Words of a condition.
var (
	Phases    = []string{"dormant", "bud swell", "in leaf", "leaf fall", "not in flower"}
	Stands    = []string{"pot", "ground", "glass", "outdoors"}
	Pressures = []string{"light", "moderate", "heavy"}
	Stages    = []string{"egg", "crawler", "young", "grub", "resting", "adult"}
)

// Answers reports whether a host answers to a key: its id, or its group:, family:
// or form:.
func (h *Host) Answers(key string) bool {
	kind, val, cut := strings.Cut(key, ":")
	if !cut {
		return h.ID == key
	}
	return map[string]string{"group": h.Group, "family": h.Family, "form": h.Form}[kind] == val
}

func (k *checker) condition(a Action) {
	at := "actions." + a.Remedy
	switch {
	case a.When != "" && a.Only == nil:
		k.style(at+" has a condition in words that no rule can read", "give it as data in only, or write it as how when it is a manner")
	case a.When == "" && a.Only != nil:
		k.style(at+" has a condition that nobody can read", "say it in plain words in when")
	}
	c := a.Only
	if c == nil {
		return
	}
	if c.Stand != "" {
		k.word(at+".only.stand", c.Stand, Stands)
	}
	for _, of := range []struct {
		field string
		words []string
		known []string
	}{{"phase", c.Phase, Phases}, {"pressure", c.Pressure, Pressures}, {"stages", c.Stages, Stages}} {
		for _, w := range of.words {
			k.word(at+".only."+of.field, w, of.known)
		}
	}
	for _, m := range c.Months {
		if m < 1 || m > 12 {
			k.say(fmt.Sprintf("%s.only.months has %d", at, m), "use the months of the northern year, 1 to 12")
		}
	}
	for _, key := range slices.Concat(c.Hosts, c.NotHosts) {
		k.hostKey(key)
	}
	if c.BelowC != 0 && c.AboveC >= c.BelowC {
		k.say(at+".only is warmer than itself", "give above_c under below_c")
	}
}
