package knowledge

import "strings"

// HostCalled finds a plant by its common, botanical or other name, nil when the
// herbarium has none such.
func (b *Base) HostCalled(words string) *Host {
	w := strings.ToLower(strings.TrimSpace(words))
	if w == "" {
		return nil
	}
	for _, h := range b.Hosts {
		for _, n := range append([]string{h.ID, h.Name, h.Scientific}, h.Aliases...) {
			if strings.ToLower(n) == w {
				return h
			}
		}
	}
	return nil
}
