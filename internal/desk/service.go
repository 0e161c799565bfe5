package desk

import (
	"context"
	"crypto/rand"
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/core/weather"
	"botanik/internal/casefile"
	"botanik/internal/house"
	"botanik/internal/people"
	"botanik/internal/store"

	"github.com/oklog/ulid/v2"
)

// What a caller can meet, beside bad input (package fault).
var (
	ErrNotFound  = store.ErrNotFound
	ErrStale     = store.ErrStale
	ErrKeyUsed   = store.ErrKeyUsed
	ErrForbidden = people.ErrForbidden
)

// Person is who acts.
type Person = people.Person

// Service does what people do. Safe for many goroutines.
type Service struct {
	Store   *store.Store
	Base    *knowledge.Base
	Engine  *differential.Engine
	House   *house.Service
	Weather weather.Provider
	Now     func() time.Time

	settled experience
}

// New makes a service over an open store.
func New(st *store.Store, base *knowledge.Base, air weather.Provider, now func() time.Time) *Service {
	s := &Service{Store: st, Base: base, Engine: differential.NewEngine(base), Weather: air, Now: now}
	s.House = house.New(st, base, func() time.Time { return s.Now() })
	return s
}

// newID sorts by the moment it was made.
func newID(now time.Time) string { return ulid.MustNew(ulid.Timestamp(now), rand.Reader).String() }

// Healthy reports whether the desk's file can be read and written.
func (s *Service) Healthy(ctx context.Context) error { return s.Store.Healthy(ctx, s.Now()) }

// Case is a document with its tag.
type Case struct {
	ID        string
	Number    string
	Version   int
	Stage     casework.Stage
	CreatedAt time.Time
	UpdatedAt time.Time
	casefile.Doc
}

// cause is what the case's verdict names, nil when it names none.
func (s *Service) cause(c *Case) *knowledge.Cause {
	if c.Verdict == nil {
		return nil
	}
	return s.Base.Cause(c.Verdict.Cause)
}
