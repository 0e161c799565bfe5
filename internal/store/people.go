package store

import (
	"context"
	"slices"
	"strings"
	"time"

	"github.com/jmoiron/sqlx"
)

// Account is a person who signs in.
type Account struct {
	ID        string `db:"id"`
	Login     string `db:"login"`
	Name      string `db:"name"`
	Role      string `db:"role"`
	Hash      string `db:"hash"`
	Active    bool   `db:"active"`
	CreatedAt string `db:"created_at"`
}

// Session of a signed-in person. Only a hash of its token is kept.
type Session struct {
	TokenHash string `db:"token_hash"`
	AccountID string `db:"account_id"`
	CSRF      string `db:"csrf"`
	CreatedAt string `db:"created_at"`
	ExpiresAt string `db:"expires_at"`
	SeenAt    string `db:"seen_at"`
}

const accountColumns = `id, login, name, role, hash, active, created_at`

// AddAccount adds a person; ErrTaken when the sign-in name is in use.
func (s *Store) AddAccount(ctx context.Context, a Account) error {
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO account (id, login, name, role, hash, active, created_at) VALUES (:id, :login, :name, :role, :hash, :active, :created_at)`, a)
	if err != nil && strings.Contains(err.Error(), "UNIQUE") {
		return ErrTaken
	}
	return err
}

// SetAccount changes a person's name, role, password hash and whether they may
// sign in, through f, which sees everyone as they are now. signOut also ends
// all their sessions but the one whose token hash is kept ("" for none).
// ErrNotFound when there is no such person; what f returns is passed on.
func (s *Store) SetAccount(ctx context.Context, id string, f func(a *Account, all []Account) (signOut bool, err error), kept string) (Account, error) {
	var a Account
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		all := []Account{}
		if err := tx.SelectContext(ctx, &all, `SELECT `+accountColumns+` FROM account`); err != nil {
			return err
		}
		i := slices.IndexFunc(all, func(x Account) bool { return x.ID == id })
		if i < 0 {
			return ErrNotFound
		}
		a = all[i]
		signOut, err := f(&a, all)
		if err != nil {
			return err
		}
		if _, err := tx.NamedExecContext(ctx, `UPDATE account SET name = :name, role = :role, hash = :hash, active = :active WHERE id = :id`, a); err != nil {
			return err
		}
		if signOut {
			_, err = tx.ExecContext(ctx, `DELETE FROM session WHERE account_id = ? AND token_hash <> ?`, id, kept)
		}
		return err
	})
	return a, err
}

// AccountByLogin finds a person by sign-in name.
func (s *Store) AccountByLogin(ctx context.Context, login string) (Account, error) {
	var a Account
	err := s.r.GetContext(ctx, &a, `SELECT `+accountColumns+` FROM account WHERE login = ?`, login)
	return a, missing(err)
}

// Accounts lists everyone by name.
func (s *Store) Accounts(ctx context.Context) ([]Account, error) {
	out := []Account{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+accountColumns+` FROM account ORDER BY name, id`)
	return out, err
}

// AddSession keeps a session and drops those that have run out.
func (s *Store) AddSession(ctx context.Context, x Session, now time.Time) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM session WHERE expires_at < ?`, Stamp(now)); err != nil {
			return err
		}
		_, err := tx.NamedExecContext(ctx, `INSERT INTO session (token_hash, account_id, csrf, created_at, expires_at, seen_at) VALUES (:token_hash, :account_id, :csrf, :created_at, :expires_at, :seen_at)`, x)
		return err
	})
}

// SessionAccount finds a session and its person, who has to be active. Whether
// the session is still good is for the caller to say.
func (s *Store) SessionAccount(ctx context.Context, tokenHash string) (Session, Account, error) {
	var x Session
	if err := s.r.GetContext(ctx, &x, `SELECT token_hash, account_id, csrf, created_at, expires_at, seen_at FROM session WHERE token_hash = ?`, tokenHash); err != nil {
		return x, Account{}, missing(err)
	}
	var a Account
	err := s.r.GetContext(ctx, &a, `SELECT `+accountColumns+` FROM account WHERE id = ? AND active = 1`, x.AccountID)
	return x, a, missing(err)
}

// SeeSession notes when a session was last used.
func (s *Store) SeeSession(ctx context.Context, tokenHash string, now time.Time) error {
	_, err := s.w.ExecContext(ctx, `UPDATE session SET seen_at = ? WHERE token_hash = ?`, Stamp(now), tokenHash)
	return err
}

// DropSession signs out.
func (s *Store) DropSession(ctx context.Context, tokenHash string) error {
	_, err := s.w.ExecContext(ctx, `DELETE FROM session WHERE token_hash = ?`, tokenHash)
	return err
}

// SessionsOf lists somebody's sessions that have not run out, the last used first.
func (s *Store) SessionsOf(ctx context.Context, account string, now time.Time) ([]Session, error) {
	out := []Session{}
	err := s.r.SelectContext(ctx, &out, `SELECT token_hash, account_id, csrf, created_at, expires_at, seen_at FROM session WHERE account_id = ? AND expires_at >= ? ORDER BY seen_at DESC, token_hash`, account, Stamp(now))
	return out, err
}

// EndSession ends one of somebody's sessions; ErrNotFound when it is not theirs.
func (s *Store) EndSession(ctx context.Context, account, tokenHash string) error {
	res, err := s.w.ExecContext(ctx, `DELETE FROM session WHERE token_hash = ? AND account_id = ?`, tokenHash, account)
	if err != nil {
		return err
	}
	if n, _ := res.RowsAffected(); n == 0 {
		return ErrNotFound
	}
	return nil
}

// AccountEvent is a line of what was done about who may sign in.
type AccountEvent struct {
	At      string `db:"at"`
	Who     string `db:"who"`
	Account string `db:"account_id"`
	Text    string `db:"text"`
}

// TellAccount writes such a line.
func (s *Store) TellAccount(ctx context.Context, e AccountEvent) error {
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO account_event (at, who, account_id, text) VALUES (:at, :who, :account_id, :text)`, e)
	return err
}

// AccountEvents are the newest of those lines.
func (s *Store) AccountEvents(ctx context.Context, most int) ([]AccountEvent, error) {
	out := []AccountEvent{}
	err := s.r.SelectContext(ctx, &out, `SELECT at, who, account_id, text FROM account_event ORDER BY at DESC, rowid DESC LIMIT ?`, most)
	return out, err
}

// AddInvite keeps an address by which somebody chooses their password; those before it end.
func (s *Store) AddInvite(ctx context.Context, tokenHash, account, until string) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM invite WHERE account_id = ?`, account); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO invite (token_hash, account_id, expires_at) VALUES (?, ?, ?)`, tokenHash, account, until)
		return err
	})
}

// Invited finds whom an address lets in; ErrNotFound when it leads nowhere any more.
func (s *Store) Invited(ctx context.Context, tokenHash, now string) (Account, error) {
	var a Account
	err := s.r.GetContext(ctx, &a, `SELECT `+accountColumns+` FROM account WHERE active = 1 AND id = (SELECT account_id FROM invite WHERE token_hash = ? AND expires_at >= ?)`, tokenHash, now)
	return a, missing(err)
}

// TakeInvite uses an address up, keeps the password that was chosen and ends every session
// of before, together; ErrNotFound when somebody was quicker.
func (s *Store) TakeInvite(ctx context.Context, tokenHash, now, hash string) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		var account string
		if err := missing(tx.GetContext(ctx, &account, `DELETE FROM invite WHERE token_hash = ? AND expires_at >= ? RETURNING account_id`, tokenHash, now)); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `UPDATE account SET hash = ? WHERE id = ? AND active = 1`, hash, account); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `DELETE FROM session WHERE account_id = ?`, account)
		return err
	})
}
