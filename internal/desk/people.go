package desk

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"fmt"
	"slices"
	"strings"
	"sync"
	"time"

	"botanik/core/fault"
	"botanik/internal/store"

	"github.com/alexedwards/argon2id"
)

// hashing cost: the OWASP minimum for argon2id, quick enough for a small
// machine behind a counter.
var hashing = &argon2id.Params{Memory: 19 * 1024, Iterations: 2, Parallelism: 1, SaltLength: 16, KeyLength: 32}

// sessionLife is a working week: nobody signs in with wet hands twice a day.
const sessionLife = 5 * 24 * time.Hour

// Roles in order of what they may do.
var Roles = []string{"coordinator", "advisor", "trainee"}

// SignedIn is a fresh session.
type SignedIn struct {
	Token  string
	CSRF   string
	Person Person
	Until  time.Time
}

// throttle slows down guessing: five wrong passwords for a name, or twenty from
// one address (a whole desk sits behind one), close that door for a growing
// while.
type throttle struct {
	mu    sync.Mutex
	wrong map[string]*strikes
}

type strikes struct {
	n     int
	until time.Time
}

const (
	freeTries        = 5
	freeTriesAddress = 20
)

func (t *throttle) wait(now time.Time, keys ...string) time.Duration {
	t.mu.Lock()
	defer t.mu.Unlock()
	var w time.Duration
	for _, k := range keys {
		if s := t.wrong[k]; s != nil {
			w = max(w, s.until.Sub(now))
		}
	}
	return w
}

func (t *throttle) strike(now time.Time, keys ...string) {
	t.mu.Lock()
	defer t.mu.Unlock()
	if t.wrong == nil {
		t.wrong = map[string]*strikes{}
	}
	if len(t.wrong) > 10_000 { // a flood of names must not fill memory
		clear(t.wrong)
	}
	for _, k := range keys {
		s := t.wrong[k]
		if s == nil {
			s = &strikes{}
			t.wrong[k] = s
		}
		s.n++
		free := freeTries
		if strings.HasPrefix(k, "from:") {
			free = freeTriesAddress
		}
		if s.n >= free {
			s.until = now.Add(min(15*time.Minute, time.Duration(1<<min(s.n-free, 10))*15*time.Second))
		}
	}
}

func (t *throttle) forgive(keys ...string) {
	t.mu.Lock()
	defer t.mu.Unlock()
	for _, k := range keys {
		delete(t.wrong, k)
	}
}

func randomText(n int) string {
	b := make([]byte, n)
	_, _ = rand.Read(b) // never fails, by its documentation
	return base64.RawURLEncoding.EncodeToString(b)
}

func hashToken(t string) string {
	h := sha256.Sum256([]byte(t))
	return hex.EncodeToString(h[:])
}

// SignIn checks a password and opens a session. ErrSignIn does not say which
// of the two was wrong; ErrWait after too many tries.
func (s *Service) SignIn(ctx context.Context, login, password, address string) (SignedIn, error) {
	now := s.Now()
	keys := []string{"name:" + strings.ToLower(login)}
	if address != "" {
		keys = append(keys, "from:"+address)
	}
	if s.gate.wait(now, keys...) > 0 {
		return SignedIn{}, ErrWait
	}
	a, err := s.Store.AccountByLogin(ctx, login)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return SignedIn{}, err
	}
	hash := a.Hash
	if hash == "" {
		hash = dummyHash() // an unknown name takes as long as a known one
	}
	ok, _, err := argon2id.CheckHash(password, hash)
	if err != nil {
		return SignedIn{}, err
	}
	if !ok || a.ID == "" || !a.Active {
		s.gate.strike(now, keys...)
		return SignedIn{}, ErrSignIn
	}
	s.gate.forgive(keys...)
	out := SignedIn{Token: randomText(32), CSRF: randomText(24), Person: person(a), Until: now.Add(sessionLife)}
	err = s.Store.AddSession(ctx, store.Session{TokenHash: hashToken(out.Token), AccountID: a.ID, CSRF: out.CSRF, CreatedAt: store.Stamp(now), ExpiresAt: store.Stamp(out.Until)}, now)
	return out, err
}

var dummyHash = sync.OnceValue(func() string {
	h, err := argon2id.CreateHash("nobody has this password", hashing)
	if err != nil {
		panic(err)
	}
	return h
})

func person(a store.Account) Person { return Person{a.ID, a.Login, a.Name, a.Role} }

// Session finds who a token belongs to, with the CSRF text it has to send.
func (s *Service) Session(ctx context.Context, token string) (Person, string, error) {
	if token == "" {
		return Person{}, "", ErrSignIn
	}
	x, a, err := s.Store.SessionAccount(ctx, hashToken(token), s.Now())
	if errors.Is(err, store.ErrNotFound) {
		return Person{}, "", ErrSignIn
	}
	return person(a), x.CSRF, err
}

// SignOut ends a session.
func (s *Service) SignOut(ctx context.Context, token string) error {
	return s.Store.DropSession(ctx, hashToken(token))
}

// NewPerson is an account to be made or changed.
type NewPerson struct {
	Login    string `json:"login" minLength:"2" maxLength:"40" pattern:"^[a-z0-9._-]+$"`
	Name     string `json:"name" minLength:"1" maxLength:"60"`
	Role     string `json:"role" enum:"coordinator,advisor,trainee"`
	Password string `json:"password" minLength:"8" maxLength:"200"`
}

// AddPerson makes an account. Coordinators only, or the command line (who with
// an empty id).
func (s *Service) AddPerson(ctx context.Context, who Person, p NewPerson) (Person, error) {
	if who.ID != "" && who.Role != "coordinator" {
		return Person{}, ErrForbidden
	}
	var l fault.List
	if !slices.Contains(Roles, p.Role) {
		l.Add("role", fmt.Sprintf("%q is not a role", p.Role), "use "+strings.Join(Roles, ", "))
	}
	if len(p.Password) < 8 {
		l.Add("password", "is shorter than 8 characters", "choose a longer one")
	}
	if strings.TrimSpace(p.Login) == "" {
		l.Add("login", "is empty", "choose a sign-in name")
	}
	if strings.TrimSpace(p.Name) == "" {
		l.Add("name", "is empty", "give the name others know")
	}
	if err := l.Err(); err != nil {
		return Person{}, err
	}
	h, err := argon2id.CreateHash(p.Password, hashing)
	if err != nil {
		return Person{}, err
	}
	now := s.Now()
	a := store.Account{ID: newID(now), Login: strings.ToLower(p.Login), Name: p.Name, Role: p.Role, Hash: h, Active: true, CreatedAt: store.Stamp(now)}
	if err := s.Store.AddAccount(ctx, a); err != nil {
		if errors.Is(err, store.ErrTaken) {
			return Person{}, fault.New("login", fmt.Sprintf("%q is taken", p.Login), "choose another")
		}
		return Person{}, err
	}
	return person(a), nil
}

// People lists who may sign in.
func (s *Service) People(ctx context.Context) ([]Person, error) {
	list, err := s.Store.Accounts(ctx)
	out := make([]Person, 0, len(list))
	for _, a := range list {
		if a.Active {
			out = append(out, person(a))
		}
	}
	return out, err
}
