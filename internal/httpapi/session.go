package httpapi

import (
	"context"
	"crypto/rand"
	"crypto/subtle"
	"encoding/base64"
	"errors"
	"net"
	"net/http"
	"time"

	"botanik/internal/desk"

	"github.com/danielgtaylor/huma/v2"
)

type personKey struct{}

// who is signed in; only behind the guard.
func who(ctx context.Context) desk.Person {
	p, _ := ctx.Value(personKey{}).(desk.Person)
	return p
}

func newNonce() string {
	b := make([]byte, 18)
	_, _ = rand.Read(b)
	return base64.RawStdEncoding.EncodeToString(b)
}

// guard lets only signed-in people through, and on anything that changes also
// asks for the session's own token in a header no foreign page can send.
func (s *Server) guard(ctx huma.Context, next func(huma.Context)) {
	c, _ := huma.ReadCookie(ctx, cookieName)
	token := ""
	if c != nil {
		token = c.Value
	}
	p, csrf, err := s.desk.Session(ctx.Context(), token)
	if err == nil && ctx.Method() != http.MethodGet && subtle.ConstantTimeCompare([]byte(ctx.Header(csrfHeader)), []byte(csrf)) != 1 {
		s.write(ctx, problem(http.StatusForbidden, "Token missing", "This change did not come with the session's "+csrfHeader+"; reload the page and try again."))
		return
	}
	if err != nil {
		s.write(ctx, answer(s.log, err))
		return
	}
	next(huma.WithValue(ctx, personKey{}, p))
}

func (s *Server) write(ctx huma.Context, err error) {
	var p *Problem
	if !errors.As(err, &p) {
		p = problem(http.StatusInternalServerError, "Our mistake", "Something went wrong here.")
	}
	ctx.SetHeader("Content-Type", "application/problem+json")
	ctx.SetStatus(p.Status)
	_ = s.API.Marshal(ctx.BodyWriter(), "application/json", p)
}

type sessionBody struct {
	Person desk.Person   `json:"person"`
	Token  string        `json:"token" doc:"to be sent as X-Botanik-Token with every change"`
	Desk   desk.Identity `json:"desk"`
	Now    string        `json:"now" doc:"the desk's day, YYYY-MM-DD"`
}

type sessionOut struct {
	SetCookie string `header:"Set-Cookie"`
	Body      sessionBody
}

type signInIn struct {
	Body struct {
		Login    string `json:"login" minLength:"1" maxLength:"40"`
		Password string `json:"password" minLength:"1" maxLength:"200"`
	}
}

func cookie(token string, until time.Time) string {
	c := http.Cookie{Name: cookieName, Value: token, Path: "/", HttpOnly: true, SameSite: http.SameSiteLaxMode, Expires: until}
	if token == "" {
		c.MaxAge = -1
	}
	return c.String()
}

type addressKey struct{}

// withAddress keeps where a sign-in comes from, for slowing guesses down.
func withAddress(ctx huma.Context, next func(huma.Context)) {
	host, _, err := net.SplitHostPort(ctx.RemoteAddr())
	if err != nil {
		host = ctx.RemoteAddr()
	}
	next(huma.WithValue(ctx, addressKey{}, host))
}

func address(ctx context.Context) string {
	a, _ := ctx.Value(addressKey{}).(string)
	return a
}

func (s *Server) sessionRoutes() {
	huma.Register(s.API, huma.Operation{OperationID: "sign-in", Method: http.MethodPost, Path: "/api/v1/session", Summary: "Sign in", Tags: []string{"session"}, Middlewares: huma.Middlewares{withAddress}},
		func(ctx context.Context, in *signInIn) (*sessionOut, error) {
			x, err := s.desk.SignIn(ctx, in.Body.Login, in.Body.Password, address(ctx))
			if err != nil {
				if errors.Is(err, desk.ErrSignIn) {
					return nil, problem(http.StatusUnauthorized, "Not that name and password", "That name and password do not belong together; try again.")
				}
				return nil, answer(s.log, err)
			}
			b, err := s.session(ctx, x.Person, x.CSRF)
			return &sessionOut{SetCookie: cookie(x.Token, x.Until), Body: b}, answer(s.log, err)
		})
	get(s, "session", "/api/v1/session", "Who is signed in", func(ctx context.Context, in *struct {
		Cookie string `cookie:"botanik_session" doc:"the session"`
	}) (sessionBody, error) {
		p, csrf, err := s.desk.Session(ctx, in.Cookie)
		if err != nil {
			return sessionBody{}, err
		}
		return s.session(ctx, p, csrf)
	})
	huma.Register(s.API, huma.Operation{OperationID: "sign-out", Method: http.MethodDelete, Path: "/api/v1/session", Summary: "Sign out", Tags: []string{"session"}, Middlewares: huma.Middlewares{s.guard}, DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, in *struct {
			Cookie string `cookie:"botanik_session"`
		}) (*struct {
			SetCookie string `header:"Set-Cookie"`
		}, error) {
			return &struct {
				SetCookie string `header:"Set-Cookie"`
			}{cookie("", time.Time{})}, answer(s.log, s.desk.SignOut(ctx, in.Cookie))
		})
}

func (s *Server) session(ctx context.Context, p desk.Person, csrf string) (sessionBody, error) {
	id, _, err := s.desk.Identity(ctx)
	return sessionBody{p, csrf, id, s.desk.Day(id)}, err
}
