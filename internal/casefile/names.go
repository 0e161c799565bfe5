package casefile

import (
	"slices"
	"strings"
)

// NameParts are the words of a name that could stand for a person alone.
func NameParts(name string) []string {
	out := []string{}
	for _, w := range strings.Fields(name) {
		if w = strings.Trim(w, `.,;:"'()`); len([]rune(w)) > 1 && !slices.Contains(out, w) && !strings.EqualFold(w, name) {
			out = append(out, w)
		}
	}
	return out
}
