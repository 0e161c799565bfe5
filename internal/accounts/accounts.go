package accounts

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"regexp"
	"slices"
	"strings"
	"time"
	"unicode/utf8"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/store"

	"github.com/alexedwards/argon2id"
	"github.com/oklog/ulid/v2"
)

// What a caller can meet, beside bad input (package fault).
var (
	ErrForbidden = errors.New("your role may not do this")
	ErrSignIn    = errors.New("sign in first")
	ErrBusy      = errors.New("too many are signing in at once")
)

// Wait is the answer to too many wrong passwords.
type Wait struct{ For time.Duration }

// Error says it.
func (w Wait) Error() string { return "too many wrong passwords; wait" }

// Person is who acts.
type Person struct {
	ID    string `json:"id"`
	Login string `json:"login"`
	Name  string `json:"name"`
	Role  string `json:"role" enum:"coordinator,advisor,trainee"`

	kind string // of actor; empty for a person of the desk
}

// The roles.
const (
	Coordinator = "coordinator"
	Advisor     = "advisor"
	Trainee     = "trainee"
)

// Who acts without an account. They have no role at the desk: no deed of the table is theirs.
var (
	grower  = Person{Name: "the grower", kind: store.ByGrower}
	weather = Person{Name: "the weather", kind: store.ByWeather}
)

// TheGrower tells of a plant on its own page.
func TheGrower() Person { return grower }

// TheWeather moves a day when nobody did.
func TheWeather() Person { return weather }

// Actor is who a story names: one of the desk's people by id, or one who has no account.
func (p Person) Actor() store.Actor {
	return store.Actor{WhoID: p.ID, WhoKind: cmp.Or(p.kind, store.ByPerson)}
}

// IsGrower reports whether the grower acts, on their own page or by a message.
func (p Person) IsGrower() bool { return p.kind == store.ByGrower }

// Roles in order of what they may do.
var Roles = []string{Coordinator, Advisor, Trainee}

// Service knows who may sign in. Safe for many goroutines.
type Service struct {
	store *store.Store
	now   func() time.Time
	gate  *gate
}

// New makes a service over an open store.
func New(st *store.Store, now func() time.Time) *Service { return &Service{st, now, newGate()} }

func person(a store.Account) Person {
	return Person{ID: a.ID, Login: a.Login, Name: a.Name, Role: a.Role}
}

// NewPerson is an account to be made.
type NewPerson struct {
	Login    string `json:"login" minLength:"2" maxLength:"40" pattern:"^[a-z0-9._-]+$"`
	Name     string `json:"name" minLength:"1" maxLength:"60"`
	Role     string `json:"role" enum:"coordinator,advisor,trainee"`
	Password string `json:"password" minLength:"8" maxLength:"200"`
}

var loginShape = regexp.MustCompile(`^[a-z0-9._-]{2,40}$`)

// check holds an account to what the sign-in can take, whichever way it comes in.
func check(l *fault.List, name, role, password *string) {
	if role != nil && !slices.Contains(Roles, *role) {
		l.Add("role", fmt.Sprintf("%q is not a role", *role), "use "+strings.Join(Roles, ", "))
	}
	if password != nil {
		switch n := utf8.RuneCountInString(*password); {
		case n < 8:
			l.Add("password", "is shorter than 8 characters", "choose a longer one")
		case n > 200:
			l.Add("password", "is longer than 200 characters", "choose a shorter one")
		}
	}
	if name != nil {
		*name = humanise.Line(*name)
		switch n := utf8.RuneCountInString(*name); {
		case n == 0:
			l.Add("name", "is empty", "give the name others know")
		case n > 60:
			l.Add("name", "is longer than 60 characters", "give a shorter one")
		}
	}
}

// Add makes an account. Coordinators only, or the command line (who with an
// empty id).
func (s *Service) Add(ctx context.Context, who Person, p NewPerson) (Person, error) {
	if who.ID != "" && !who.May(LetIn) {
		return Person{}, ErrForbidden
	}
	var l fault.List
	check(&l, &p.Name, &p.Role, &p.Password)
	if !loginShape.MatchString(p.Login) {
		l.Add("login", fmt.Sprintf("%q is not a sign-in name", p.Login), "use 2 to 40 small letters, digits, dot, dash or underscore")
	}
	if err := l.Err(); err != nil {
		return Person{}, err
	}
	h, err := s.hashed(ctx, p.Password)
	if err != nil {
		return Person{}, err
	}
	now := s.now()
	a := store.Account{ID: ulid.MustNew(ulid.Timestamp(now), ulid.DefaultEntropy()).String(), Login: p.Login, Name: p.Name, Role: p.Role, Hash: h, Active: true, CreatedAt: store.Stamp(now)}
	if err := s.store.AddAccount(ctx, a); err != nil {
		if errors.Is(err, store.ErrTaken) {
			return Person{}, fault.New("login", fmt.Sprintf("%q is taken", p.Login), "choose another")
		}
		return Person{}, err
	}
	return person(a), s.tell(ctx, who, a.ID, fmt.Sprintf("let %s in as %s", a.Name, a.Role))
}

// tell writes who did what about who may sign in.
func (s *Service) tell(ctx context.Context, who Person, account, text string) error {
	by := who.Name
	if who.ID == "" {
		by = "the command line"
	}
	return s.store.TellAccount(context.WithoutCancel(ctx), store.AccountEvent{At: store.Stamp(s.now()), Who: by, Account: account, Text: text})
}

func (s *Service) hashed(ctx context.Context, password string) (hash string, err error) {
	err = s.gate.hash(ctx, func() error {
		hash, err = argon2id.CreateHash(password, hashing)
		return err
	})
	return hash, err
}

// Change of an account; what is left out stays as it is.
type Change struct {
	Name     *string `json:"name,omitempty" minLength:"1" maxLength:"60"`
	Role     *string `json:"role,omitempty" enum:"coordinator,advisor,trainee"`
	Active   *bool   `json:"active,omitempty" doc:"false switches the account off and ends its sessions at once"`
	Password *string `json:"password,omitempty" minLength:"8" maxLength:"200" doc:"a new one, for somebody who forgot theirs; ends their sessions"`
}

// Set changes an account. Coordinators only, or the command line (who with an
// empty id). The last coordinator can be neither switched off nor given another
// role: somebody has to be able to let people in.
func (s *Service) Set(ctx context.Context, who Person, id string, c Change) (Account, error) {
	if who.ID != "" && !who.May(LetIn) {
		return Account{}, ErrForbidden
	}
	var l fault.List
	check(&l, c.Name, c.Role, c.Password)
	if err := l.Err(); err != nil {
		return Account{}, err
	}
	hash := ""
	if c.Password != nil {
		var err error
		if hash, err = s.hashed(ctx, *c.Password); err != nil {
			return Account{}, err
		}
	}
	said := []string{}
	a, err := s.store.SetAccount(ctx, id, func(a *store.Account, all []store.Account) (bool, error) {
		was := *a
		defer func() { said = changes(was, *a) }()
		if c.Name != nil {
			a.Name = *c.Name
		}
		if c.Role != nil {
			a.Role = *c.Role
		}
		if c.Active != nil {
			a.Active = *c.Active
		}
		if hash != "" {
			a.Hash = hash
		}
		if was.Active && was.Role == Coordinator && (!a.Active || a.Role != Coordinator) {
			others := slices.ContainsFunc(all, func(x store.Account) bool { return x.ID != id && x.Active && x.Role == Coordinator })
			if !others {
				return false, fault.New("role", a.Name+" is the only coordinator", "make somebody else coordinator first")
			}
		}
		return !a.Active || hash != "", nil
	}, "")
	if err == nil && len(said) > 0 {
		err = s.tell(ctx, who, id, strings.Join(said, "; "))
	}
	return account(a), err
}

// changes are what became different of an account, in words.
func changes(was, is store.Account) []string {
	out := []string{}
	if was.Name != is.Name {
		out = append(out, was.Name+" is called "+is.Name)
	}
	if was.Role != is.Role {
		out = append(out, fmt.Sprintf("made %s %s", is.Name, is.Role))
	}
	switch {
	case was.Active && !is.Active:
		out = append(out, "switched "+is.Name+" off")
	case !was.Active && is.Active:
		out = append(out, "let "+is.Name+" in again")
	}
	if was.Hash != is.Hash {
		out = append(out, "gave "+is.Name+" a new password")
	}
	return out
}

// SetPassword changes one's own password and ends every other session of one's
// own. The old one is asked for and counts as a try at the gate.
func (s *Service) SetPassword(ctx context.Context, who Person, token, address, old, next string) error {
	var l fault.List
	check(&l, nil, nil, &next)
	if err := l.Err(); err != nil {
		return err
	}
	if wait := s.gate.try(s.now(), who.Login, address); wait > 0 {
		return Wait{wait}
	}
	a, err := s.store.AccountByLogin(ctx, who.Login)
	if err != nil {
		return err
	}
	ok, err := s.matches(ctx, old, a.Hash)
	if err != nil {
		return err
	}
	if !ok {
		return fault.New("old", "is not your password", "type the one you signed in with")
	}
	s.gate.right(who.Login, address)
	hash, err := s.hashed(ctx, next)
	if err != nil {
		return err
	}
	_, err = s.store.SetAccount(ctx, who.ID, func(a *store.Account, _ []store.Account) (bool, error) {
		a.Hash = hash
		return true, nil
	}, hashToken(token))
	if err != nil {
		return err
	}
	return s.tell(ctx, who, who.ID, "chose a new password")
}

// Account is a person as the coordinator sees them.
type Account struct {
	Person
	Active bool `json:"active"`
}

func account(a store.Account) Account { return Account{person(a), a.Active} }

// All lists every account, those switched off too.
func (s *Service) All(ctx context.Context) ([]Account, error) {
	list, err := s.store.Accounts(ctx)
	out := make([]Account, 0, len(list))
	for _, a := range list {
		out = append(out, account(a))
	}
	return out, err
}

// ByLogin finds an account by its sign-in name; store.ErrNotFound when there is
// none.
func (s *Service) ByLogin(ctx context.Context, login string) (Account, error) {
	a, err := s.store.AccountByLogin(ctx, strings.ToLower(login))
	return account(a), err
}
