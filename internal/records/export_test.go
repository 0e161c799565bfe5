package records

import (
	"context"
	"os"

	"botanik/internal/desk"
)

// BeginWork begins a long work of a test's own.
func (s *Service) BeginWork(who desk.Person, f func() error) (Job, error) {
	return s.begin(who, "export", "of a test", func(context.Context, func(int, int), *os.File) (string, *Imported, error) { return "", nil, f() })
}
