package knowledge

import (
	"encoding/json"
	"fmt"
	"hash/fnv"
)

// Digest names what a book holds: the same for the same entries, another for any other. It
// tells two books apart; it guards against nobody.
func (b *Base) Digest() string {
	h := fnv.New64a()
	for _, part := range []any{b.Causes, b.Findings, b.Hosts, b.Remedies, b.Conflicts, b.LifeTables} {
		raw, err := json.Marshal(part)
		if err != nil {
			return ""
		}
		_, _ = h.Write(raw)
	}
	return fmt.Sprintf("%016x", h.Sum64())[:10]
}
