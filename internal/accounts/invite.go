package accounts

import (
	"context"
	"time"

	"botanik/core/fault"
	"botanik/internal/store"
)

// inviteLife is how long an address is good by which somebody new chooses their password.
const inviteLife = 72 * time.Hour

// NewInvite is somebody who is asked in without a password.
type NewInvite struct {
	Login string `json:"login" minLength:"2" maxLength:"40" pattern:"^[a-z0-9._-]+$"`
	Name  string `json:"name" minLength:"1" maxLength:"60"`
	Role  string `json:"role" enum:"coordinator,advisor,trainee"`
}

// Invite is an address to be given to somebody new.
type Invite struct {
	Person Person    `json:"person"`
	Path   string    `json:"path" doc:"on this desk's own address; good once"`
	Until  time.Time `json:"until"`
}

// Invite makes an account whose owner chooses the password, and the address to do so.
// Coordinators only.
func (s *Service) Invite(ctx context.Context, who Person, p NewInvite) (Invite, error) {
	if !who.May(LetIn) {
		return Invite{}, ErrForbidden
	}
	added, err := s.Add(ctx, who, NewPerson{Login: p.Login, Name: p.Name, Role: p.Role, Password: RandomText(32)}) // nobody knows it
	if err != nil {
		return Invite{}, err
	}
	return s.askIn(ctx, added)
}

// InviteAgain makes another address for somebody, also for who forgot their password; the
// one before ends. Coordinators only.
func (s *Service) InviteAgain(ctx context.Context, who Person, id string) (Invite, error) {
	if !who.May(LetIn) {
		return Invite{}, ErrForbidden
	}
	all, err := s.store.Accounts(ctx)
	if err != nil {
		return Invite{}, err
	}
	for _, a := range all {
		if a.ID == id && a.Active {
			if err := s.tell(ctx, who, id, "gave "+a.Name+" an address to choose a password"); err != nil {
				return Invite{}, err
			}
			return s.askIn(ctx, person(a))
		}
	}
	return Invite{}, store.ErrNotFound
}

func (s *Service) askIn(ctx context.Context, p Person) (Invite, error) {
	token, until := RandomText(24), s.now().Add(inviteLife)
	return Invite{p, "/join/" + token, until}, s.store.AddInvite(ctx, hashToken(token), p.ID, store.Stamp(until))
}

// Invited is whom an address lets in. ErrNotFound when it leads nowhere any more.
func (s *Service) Invited(ctx context.Context, token string) (Person, error) {
	a, err := s.store.Invited(ctx, hashToken(token), store.Stamp(s.now()))
	return person(a), err
}

// Join keeps the password somebody chose at their address, which ends with it, and with it
// every session of before: an address is given out for a lost telephone too. Tries are
// counted against that address of ours alone: what somebody makes up is nobody's, costs no
// hashing and keeps nobody else from theirs. Errors name password.
func (s *Service) Join(ctx context.Context, token, password string) (Person, error) {
	var l fault.List
	check(&l, nil, nil, &password)
	if err := l.Err(); err != nil {
		return Person{}, err
	}
	p, err := s.Invited(ctx, token)
	if err != nil {
		return Person{}, err
	}
	if wait := s.gate.try(s.now(), "join "+hashToken(token), ""); wait > 0 {
		return Person{}, Wait{wait}
	}
	hash, err := s.hashed(ctx, password)
	if err != nil {
		return Person{}, err
	}
	if err := s.store.TakeInvite(ctx, hashToken(token), store.Stamp(s.now()), hash); err != nil {
		return Person{}, err
	}
	return p, s.tell(ctx, p, p.ID, "came in and chose a password")
}

// OpenSession is a session as its owner, or a coordinator, sees it.
type OpenSession struct {
	ID    string    `json:"id"`
	Begun time.Time `json:"begun"`
	Last  time.Time `json:"last" doc:"when it was last used, to a quarter of an hour"`
	Until time.Time `json:"until"`
	Here  bool      `json:"here,omitempty" doc:"the one that asks"`
}

// Sessions of somebody: one's own, or, for a coordinator, anybody's.
func (s *Service) Sessions(ctx context.Context, who Person, id, token string) ([]OpenSession, error) {
	if who.ID != id && !who.May(EndOthers) {
		return nil, ErrForbidden
	}
	rows, err := s.store.SessionsOf(ctx, id, s.now())
	out := []OpenSession{}
	for _, x := range rows {
		out = append(out, OpenSession{x.TokenHash[:16], store.ParseTime(x.CreatedAt), store.ParseTime(x.SeenAt), store.ParseTime(x.ExpiresAt), x.TokenHash == hashToken(token)})
	}
	return out, err
}

// EndSession ends one of them; ErrNotFound when there is none of that id.
func (s *Service) EndSession(ctx context.Context, who Person, id, session string) error {
	if who.ID != id && !who.May(EndOthers) {
		return ErrForbidden
	}
	rows, err := s.store.SessionsOf(ctx, id, s.now())
	if err != nil {
		return err
	}
	for _, x := range rows {
		if x.TokenHash[:16] == session {
			if err := s.store.EndSession(ctx, id, x.TokenHash); err != nil {
				return err
			}
			return s.tell(ctx, who, id, "ended a session begun on "+store.ParseTime(x.CreatedAt).UTC().Format("2 January 15:04"))
		}
	}
	return store.ErrNotFound
}

// Done is a line of what was done about who may sign in.
type Done struct {
	At   time.Time `json:"at"`
	Who  string    `json:"who"`
	Text string    `json:"text"`
}

// Trace is what was done about who may sign in, the newest first. Coordinators only.
func (s *Service) Trace(ctx context.Context, who Person) ([]Done, error) {
	if !who.May(LetIn) {
		return nil, ErrForbidden
	}
	rows, err := s.store.AccountEvents(ctx, 100)
	out := []Done{}
	for _, e := range rows {
		out = append(out, Done{store.ParseTime(e.At), e.Who, e.Text})
	}
	return out, err
}
