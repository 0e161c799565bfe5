package guard

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"runtime/debug"
)

// Panic is a mistake of ours that was caught, with where it happened.
type Panic struct {
	What  any
	Stack string
}

func (p *Panic) Error() string { return fmt.Sprintf("panic: %v\n%s", p.What, p.Stack) }

// Is reports whether an error is, or wraps, a caught panic.
func Is(err error) bool {
	var p *Panic
	return errors.As(err, &p)
}

// Run calls f; a panic in it is an error.
func Run(f func() error) (err error) {
	defer func() {
		if r := recover(); r != nil {
			err = &Panic{r, string(debug.Stack())}
		}
	}()
	return f()
}

// Each is one turn of a loop in the background: an error is told to the log under the name
// of what was tried, and the loop goes on with its next turn. Nothing is told once the
// program is being stopped.
func Each(ctx context.Context, log *slog.Logger, what string, f func() error) {
	if err := Run(f); err != nil && ctx.Err() == nil && log != nil {
		log.Error(what, "err", err)
	}
}
