package desk

import (
	"context"
	"crypto/rand"
	"log/slog"
	"reflect"
	"sync"
	"sync/atomic"
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/settings"
	"botanik/internal/store"
	"botanik/internal/weathersource"

	"github.com/oklog/ulid/v2"
)

// What a caller can meet, beside bad input (package fault).
var (
	ErrNotFound  = store.ErrNotFound
	ErrStale     = store.ErrStale
	ErrKeyUsed   = store.ErrKeyUsed
	ErrForbidden = accounts.ErrForbidden
)

// Person is who acts.
type Person = accounts.Person

// Service does what people do. Safe for many goroutines.
type Service struct {
	Store   *store.Store
	House   *settings.Service
	Weather *weathersource.Joined
	Now     func() time.Time

	// Books reads the herbarium with a desk's own folder laid over it; nil where this desk
	// takes none.
	Books func(folder string) (*knowledge.Base, error)

	// WeatherChanged is asked when other hours count than before; the room that moves days sets
	// it. Nil where none does.
	WeatherChanged func(context.Context) error

	// Log hears what goes wrong beside requests; nil when nobody listens.
	Log *slog.Logger

	reading chan struct{} // one reading of a large file at a time
	settled experience
	Begun   time.Time                      // since when this program runs
	written atomic.Pointer[knowledge.Base] // the book as its files have it
	book    atomic.Pointer[book]
}

// book is the herbarium as this desk has it, by its own words on where it is, with
// the engine that reads it.
type book struct {
	base   *knowledge.Base
	engine func() *differential.Engine // made when it is first asked for: a desk that opens has several books in a row
}

// Base is the herbarium as this desk has it today. Read it once for one answer: a
// coordinator may change the house's words at any moment.
func (s *Service) Base() *knowledge.Base { return s.book.Load().base }

// Engine ranks by Base.
func (s *Service) Engine() *differential.Engine { return s.book.Load().engine() }

// Open reads where the desk is from its House rules, opens the book for it, and brings what
// cases are found by up to date.
func (s *Service) Open(ctx context.Context) error {
	rules, _, err := s.House.Rules(ctx)
	if err != nil {
		return err
	}
	s.openBook(rules.Local)
	return s.Reindex(ctx)
}

// plain is the last book that no desk had a word on: desks opened one after another over the
// same book share its engine.
var plain atomic.Pointer[book]

func (s *Service) openBook(l knowledge.Local) {
	files := s.written.Load()
	if reflect.DeepEqual(l, knowledge.Local{}) {
		b := plain.Load()
		if b == nil || b.base != files {
			b = bookOf(files)
			plain.Store(b)
		}
		s.book.Store(b)
		return
	}
	s.book.Store(bookOf(files.At(l)))
}

func bookOf(b *knowledge.Base) *book {
	return &book{b, sync.OnceValue(func() *differential.Engine { return differential.NewEngine(b) })}
}

// New makes a service over an open store; standIn gives the hours of weather that nobody
// measured or foretold, and nil makes none up: a desk where advice is given does not move a
// treatment by weather that was invented.
func New(st *store.Store, base *knowledge.Base, standIn weather.Provider, now func() time.Time) *Service {
	s := &Service{Store: st, Now: now, Begun: now(), reading: make(chan struct{}, 1)}
	s.written.Store(base)
	s.Weather = &weathersource.Joined{Kept: weathersource.Files{Store: st}, StandIn: standIn, Station: weathersource.NewStation(func(ctx context.Context) (string, error) {
		id, _, err := s.House.Identity(ctx)
		return id.WeatherStation, err
	}, func() time.Time { return s.Now() })}
	s.openBook(knowledge.Local{})
	s.House = settings.New(st, base, func() time.Time { return s.Now() })
	s.House.Trouble = func(err error) { s.LogError("a house document cannot be read; its default holds", err) }
	s.House.Changed = func(h remedy.House) {
		if !reflect.DeepEqual(h.Local, s.Base().Local) { // an engine is built anew only for another book
			s.openBook(h.Local)
		}
	}
	return s
}

// UseBook has everybody read another book from now on.
func (s *Service) UseBook(b *knowledge.Base) {
	s.written.Store(b)
	s.House.Read(b)
	s.openBook(knowledge.Local{})
}

// heavyPatience is how long a reading of a large file waits for the one before it.
const heavyPatience = 20 * time.Second

// Heavy lets one reading of a file from elsewhere go on at a time: each is bounded, and
// twelve together are not. done has to be called after it.
func (s *Service) Heavy(ctx context.Context) (done func(), err error) {
	wait := time.NewTimer(heavyPatience)
	defer wait.Stop()
	select {
	case s.reading <- struct{}{}:
		return func() { <-s.reading }, nil
	case <-ctx.Done():
		return nil, ctx.Err()
	case <-wait.C:
		return nil, fault.New("", "another large file is being read just now", "try again in a minute")
	}
}

// LogError tells an error to whoever looks after the desk.
func (s *Service) LogError(what string, err error) {
	if s.Log != nil {
		s.Log.Error(what, "err", err)
	}
}

// NewID sorts by the moment it was made.
func NewID(now time.Time) string { return ulid.MustNew(ulid.Timestamp(now), rand.Reader).String() }

// Healthy reports whether the desk's file can be read and written, and whether what every
// request begins with can be had.
func (s *Service) Healthy(ctx context.Context) error {
	if _, err := s.Moment(ctx); err != nil {
		return err
	}
	return s.Store.Healthy(ctx, s.Now())
}

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

// CauseOf is what the case's verdict names, nil when it names none.
func CauseOf(b *knowledge.Base, c *Case) *knowledge.Cause {
	if c.Verdict == nil {
		return nil
	}
	return b.Cause(c.Verdict.Cause)
}
