package store

import (
	"context"
	"strings"
	"time"
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
}

// AddAccount adds a person; ErrTaken when the sign-in name is in use.
func (s *Store) AddAccount(ctx context.Context, a Account) error {
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO account (id, login, name, role, hash, active, created_at) VALUES (:id, :login, :name, :role, :hash, :active, :created_at)`, a)
	if err != nil && strings.Contains(err.Error(), "UNIQUE") {
		return ErrTaken
	}
	return err
}

// SetAccount changes a person's name, role, password hash and whether they may
// sign in. Switching off also signs them out.
func (s *Store) SetAccount(ctx context.Context, a Account) error {
	res, err := s.w.NamedExecContext(ctx, `UPDATE account SET name = :name, role = :role, hash = :hash, active = :active WHERE id = :id`, a)
	if err != nil {
		return err
	}
	if n, _ := res.RowsAffected(); n == 0 {
		return ErrNotFound
	}
	if !a.Active {
		_, err = s.w.ExecContext(ctx, `DELETE FROM session WHERE account_id = ?`, a.ID)
	}
	return err
}

// AccountByLogin finds a person by sign-in name.
func (s *Store) AccountByLogin(ctx context.Context, login string) (Account, error) {
	var a Account
	err := s.r.GetContext(ctx, &a, `SELECT * FROM account WHERE login = ?`, login)
	return a, missing(err)
}

// Accounts lists everyone by name.
func (s *Store) Accounts(ctx context.Context) ([]Account, error) {
	out := []Account{}
	err := s.r.SelectContext(ctx, &out, `SELECT * FROM account ORDER BY name, id`)
	return out, err
}

// AddSession keeps a session and drops those that have run out.
func (s *Store) AddSession(ctx context.Context, x Session, now time.Time) error {
	if _, err := s.w.ExecContext(ctx, `DELETE FROM session WHERE expires_at < ?`, Stamp(now)); err != nil {
		return err
	}
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO session (token_hash, account_id, csrf, created_at, expires_at) VALUES (:token_hash, :account_id, :csrf, :created_at, :expires_at)`, x)
	return err
}

// SessionAccount finds a live session and its person.
func (s *Store) SessionAccount(ctx context.Context, tokenHash string, now time.Time) (Session, Account, error) {
	var x Session
	if err := s.r.GetContext(ctx, &x, `SELECT * FROM session WHERE token_hash = ? AND expires_at >= ?`, tokenHash, Stamp(now)); err != nil {
		return x, Account{}, missing(err)
	}
	var a Account
	err := s.r.GetContext(ctx, &a, `SELECT * FROM account WHERE id = ? AND active = 1`, x.AccountID)
	return x, a, missing(err)
}

// DropSession signs out.
func (s *Store) DropSession(ctx context.Context, tokenHash string) error {
	_, err := s.w.ExecContext(ctx, `DELETE FROM session WHERE token_hash = ?`, tokenHash)
	return err
}
