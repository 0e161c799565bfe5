package httpapi

import (
	"context"
	"log/slog"
	"slices"
	"sync"
	"time"
)

// Logged is something that went wrong inside the program.
type Logged struct {
	At   time.Time `json:"at"`
	What string    `json:"what"`
	Why  string    `json:"why,omitempty"`
}

// Troubles is a log that also remembers its newest errors, for who looks after the desk. They
// hold what the program says of itself, never what a person typed.
type Troubles struct {
	slog.Handler
	kept *keptTroubles
}

type keptTroubles struct {
	mu   sync.Mutex
	list []Logged
}

// mostTroubles are remembered.
const mostTroubles = 200

// NewTroubles wraps a log.
func NewTroubles(h slog.Handler) *Troubles { return &Troubles{h, &keptTroubles{}} }

// Handle passes a line on and remembers it when it is an error.
func (t *Troubles) Handle(ctx context.Context, r slog.Record) error {
	if r.Level >= slog.LevelError {
		x := Logged{At: r.Time, What: r.Message}
		r.Attrs(func(a slog.Attr) bool {
			if a.Key == "err" || a.Key == "what" {
				x.Why = a.Value.String()
			}
			return true
		})
		t.kept.mu.Lock()
		t.kept.list = append(t.kept.list, x)
		t.kept.list = t.kept.list[max(0, len(t.kept.list)-mostTroubles):]
		t.kept.mu.Unlock()
	}
	return t.Handler.Handle(ctx, r)
}

// WithAttrs keeps remembering.
func (t *Troubles) WithAttrs(a []slog.Attr) slog.Handler {
	return &Troubles{t.Handler.WithAttrs(a), t.kept}
}

// WithGroup keeps remembering.
func (t *Troubles) WithGroup(name string) slog.Handler {
	return &Troubles{t.Handler.WithGroup(name), t.kept}
}

// Since are the errors since a moment, the newest first.
func (t *Troubles) Since(at time.Time) []Logged {
	t.kept.mu.Lock()
	defer t.kept.mu.Unlock()
	out := []Logged{}
	for _, x := range slices.Backward(t.kept.list) {
		if !x.At.Before(at) {
			out = append(out, x)
		}
	}
	return out
}
