package knowledge

import (
	"slices"
	"strings"
)

// HostCalled finds a plant by its common, botanical or other name, nil when the
// herbarium has none such. What growers call it comes before its botanical name: a
// geranium is a pelargonium to most of them.
func (b *Base) HostCalled(words string) *Host {
	w := strings.TrimSpace(words)
	if w == "" {
		return nil
	}
	for _, names := range []func(*Host) []string{
		func(h *Host) []string { return append([]string{h.ID, h.Name}, h.Aliases...) },
		func(h *Host) []string { return []string{h.Scientific} },
	} {
		for _, h := range b.Hosts {
			if slices.ContainsFunc(names(h), func(n string) bool { return strings.EqualFold(n, w) }) {
				return h
			}
		}
	}
	return nil
}
