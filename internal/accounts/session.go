package accounts

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"sync"
	"time"

	"botanik/internal/store"

	"github.com/alexedwards/argon2id"
)

// hashing cost: the OWASP minimum for argon2id, quick enough for a small
// machine behind a counter.
var hashing = &argon2id.Params{Memory: 19 * 1024, Iterations: 2, Parallelism: 1, SaltLength: 16, KeyLength: 32}

const (
	// sessionLife is a working week: nobody signs in with wet hands twice a day.
	sessionLife = 5 * 24 * time.Hour
	// sessionIdle ends a session nobody used for longer than a night and a day.
	sessionIdle = 36 * time.Hour
	// seenEvery is how often the use of a session is written down.
	seenEvery = 15 * time.Minute
)

// SignedIn is a fresh session.
type SignedIn struct {
	Token  string
	CSRF   string
	Person Person
	Until  time.Time
}

// RandomText is n random bytes as text safe in an address.
func RandomText(n int) string {
	b := make([]byte, n)
	_, _ = rand.Read(b) // never fails, by its documentation
	return base64.RawURLEncoding.EncodeToString(b)
}

func hashToken(t string) string {
	h := sha256.Sum256([]byte(t))
	return hex.EncodeToString(h[:])
}

// SignIn checks a password and opens a session. ErrSignIn does not say which
// of the two was wrong; Wait after too many tries; ErrBusy when too many sign in
// at once.
func (s *Service) SignIn(ctx context.Context, login, password, address string) (SignedIn, error) {
	now := s.now()
	if wait := s.gate.try(now, login, address); wait > 0 {
		return SignedIn{}, Wait{wait}
	}
	a, err := s.store.AccountByLogin(ctx, login)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return SignedIn{}, err
	}
	hash := a.Hash
	if hash == "" {
		hash = dummyHash() // an unknown name takes as long as a known one
	}
	ok, err := s.matches(ctx, password, hash)
	if err != nil {
		return SignedIn{}, err
	}
	if !ok || a.ID == "" || !a.Active {
		return SignedIn{}, ErrSignIn
	}
	s.gate.right(login, address)
	out := SignedIn{Token: RandomText(32), CSRF: RandomText(24), Person: person(a), Until: now.Add(sessionLife)}
	err = s.store.AddSession(ctx, store.Session{TokenHash: hashToken(out.Token), AccountID: a.ID, CSRF: out.CSRF, CreatedAt: store.Stamp(now), ExpiresAt: store.Stamp(out.Until), SeenAt: store.Stamp(now)}, now)
	return out, err
}

func (s *Service) matches(ctx context.Context, password, hash string) (ok bool, err error) {
	err = s.gate.hash(ctx, func() error {
		ok, _, err = argon2id.CheckHash(password, hash)
		return err
	})
	return ok, err
}

var dummyHash = sync.OnceValue(func() string {
	h, err := argon2id.CreateHash("nobody has this password", hashing)
	if err != nil {
		panic(err)
	}
	return h
})

// Session finds who a token belongs to, with the CSRF text it has to send.
// ErrSignIn when it has run out, lay idle too long, or was made by a clock far
// ahead of this one.
func (s *Service) Session(ctx context.Context, token string) (Person, string, error) {
	if token == "" {
		return Person{}, "", ErrSignIn
	}
	x, a, err := s.store.SessionAccount(ctx, hashToken(token))
	if errors.Is(err, store.ErrNotFound) {
		return Person{}, "", ErrSignIn
	}
	if err != nil {
		return Person{}, "", err
	}
	now, until, seen := s.now(), store.ParseTime(x.ExpiresAt), store.ParseTime(x.SeenAt)
	if seen.IsZero() { // of before sessions noted their use
		seen = store.ParseTime(x.CreatedAt)
	}
	if now.After(until) || until.Sub(now) > sessionLife+time.Hour || now.Sub(seen) > sessionIdle {
		return Person{}, "", ErrSignIn
	}
	if now.Sub(seen) > seenEvery {
		// A file that cannot be written just now must not sign people out.
		_ = s.store.SeeSession(ctx, x.TokenHash, now)
	}
	return person(a), x.CSRF, nil
}

// SignOut ends a session.
func (s *Service) SignOut(ctx context.Context, token string) error {
	return s.store.DropSession(ctx, hashToken(token))
}

// SignOutEverywhere ends all sessions of a person.
func (s *Service) SignOutEverywhere(ctx context.Context, who Person) error {
	_, err := s.store.SetAccount(ctx, who.ID, func(*store.Account, []store.Account) (bool, error) { return true, nil }, "")
	return err
}
