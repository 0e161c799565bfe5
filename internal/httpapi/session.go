package httpapi

import (
	"context"
	"crypto/subtle"
	"errors"
	"mime"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/settings"

	"github.com/danielgtaylor/huma/v2"
)

const cookieName = "botanik_session"

// caller is what a request says of where it comes from.
type caller struct {
	token   string // of the session, "" for none
	address string
	secure  bool
	person  desk.Person
}

type callerKey struct{}

func callerOf(ctx context.Context) caller {
	c, _ := ctx.Value(callerKey{}).(caller)
	return c
}

// who is signed in; only behind the guard.
func who(ctx context.Context) desk.Person { return callerOf(ctx).person }

func (s *Server) cookieName(secure bool) string {
	if secure {
		return "__Host-" + cookieName
	}
	return cookieName
}

// arrives notes where a request comes from and refuses what no operation takes:
// another kind of body than it asks for, and a query that says a thing twice.
func (s *Server) arrives(ctx huma.Context, next func(huma.Context)) {
	c := caller{address: s.address(ctx.RemoteAddr(), ctx.Header("X-Forwarded-For")), secure: s.secure(ctx.RemoteAddr(), ctx.Header("X-Forwarded-Proto"))}
	if k, err := huma.ReadCookie(ctx, s.cookieName(c.secure)); err == nil {
		c.token = k.Value
	}
	op := ctx.Operation()
	if b := op.RequestBody; b != nil && b.Content["application/json"] != nil && !isJSON(ctx.Header("Content-Type")) {
		s.write(ctx, problem(http.StatusUnsupportedMediaType, "type", "Not JSON", "Content-Type: is not application/json in UTF-8; send it so", fault.Fault{Field: "Content-Type", Problem: "is not application/json in UTF-8", Mend: "send it so"}))
		return
	}
	u := ctx.URL()
	query, err := url.ParseQuery(u.RawQuery)
	if err != nil {
		s.write(ctx, problem(http.StatusBadRequest, "fields", "Unreadable address", "The query cannot be read; encode its odd signs with %."))
		return
	}
	for name, values := range query {
		i := slices.IndexFunc(op.Parameters, func(p *huma.Param) bool { return p.In == "query" && p.Name == name })
		f := fault.Fault{Field: name, Problem: "is not known here", Mend: "remove it, or correct its name"}
		if i >= 0 {
			if len(values) < 2 || op.Parameters[i].Schema.Type == huma.TypeArray {
				continue
			}
			f.Problem, f.Mend = "stands twice", "send it once"
		}
		s.write(ctx, problem(http.StatusUnprocessableEntity, "fields", "That cannot be used as it stands", f.Error(), f))
		return
	}
	next(huma.WithValue(ctx, callerKey{}, c))
}

func isJSON(header string) bool {
	kind, params, err := mime.ParseMediaType(header)
	return err == nil && kind == "application/json" && (params["charset"] == "" || strings.EqualFold(params["charset"], "utf-8"))
}

// guard lets only signed-in people through, and on anything that changes also
// asks for the session's own token in a header no foreign page can send.
func (s *Server) guard(ctx huma.Context, next func(huma.Context)) {
	c := callerOf(ctx.Context())
	p, csrf, err := s.people.Session(ctx.Context(), c.token)
	if err != nil {
		s.write(ctx, answer(s.log, err))
		return
	}
	if m := ctx.Method(); m != http.MethodGet && m != http.MethodHead && subtle.ConstantTimeCompare([]byte(ctx.Header(csrfHeader)), []byte(csrf)) != 1 {
		s.write(ctx, problem(http.StatusForbidden, "token", "Token missing", "This change did not come with the session's "+csrfHeader+"; reload the page and try again."))
		return
	}
	c.person = p
	next(huma.WithValue(ctx, callerKey{}, c))
}

func (s *Server) write(ctx huma.Context, err error) {
	var p *Problem
	if !errors.As(err, &p) {
		p = problem(http.StatusInternalServerError, "ours", "Our mistake", ourMistake)
	}
	for k, v := range p.header {
		ctx.SetHeader(k, v[0])
	}
	ctx.SetHeader("Content-Type", "application/problem+json")
	ctx.SetStatus(p.Status)
	_ = s.API.Marshal(ctx.BodyWriter(), "application/json", p)
}

type sessionBody struct {
	Person desk.Person       `json:"person"`
	May    []accounts.Deed   `json:"may" doc:"what this role may do beyond what everybody may"`
	Token  string            `json:"token" doc:"to be sent as X-Botanik-Token with every change"`
	Desk   settings.Identity `json:"desk"`
	Now    string            `json:"now" doc:"the desk's day, YYYY-MM-DD"`
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

type signedOut struct {
	SetCookie string `header:"Set-Cookie"`
}

func (s *Server) cookie(c caller, token string, until time.Time) string {
	k := http.Cookie{Name: s.cookieName(c.secure), Value: token, Path: "/", HttpOnly: true, Secure: c.secure, SameSite: http.SameSiteLaxMode, Expires: until}
	if token == "" {
		k.MaxAge = -1
	}
	return k.String()
}

// smallBody is more than any sign-in needs.
const smallBody = 8 << 10

func (s *Server) sessionRoutes() {
	huma.Register(s.public(), huma.Operation{OperationID: "sign-in", Method: http.MethodPost, Path: "/session", Summary: "Sign in", Tags: []string{"session"}, MaxBodyBytes: smallBody, Errors: []int{http.StatusBadRequest, http.StatusUnauthorized, http.StatusForbidden, http.StatusRequestEntityTooLarge, http.StatusUnsupportedMediaType, http.StatusTooManyRequests}},
		func(ctx context.Context, in *signInIn) (*sessionOut, error) {
			c := callerOf(ctx)
			x, err := s.people.SignIn(ctx, in.Body.Login, in.Body.Password, c.address)
			if err != nil {
				s.log.Warn("sign-in refused", "from", c.address, "why", err.Error())
				if errors.Is(err, accounts.ErrSignIn) {
					return nil, problem(http.StatusUnauthorized, "password", "Not that name and password", "That name and password do not belong together; try again.")
				}
				return nil, answer(s.log, err)
			}
			b, err := s.session(ctx, x.Person, x.CSRF)
			return &sessionOut{SetCookie: s.cookie(c, x.Token, x.Until), Body: b}, answer(s.log, err)
		})
	huma.Register(s.public(), huma.Operation{OperationID: "session", Method: http.MethodGet, Path: "/session", Summary: "Who is signed in", Tags: []string{"session"}, Errors: []int{http.StatusUnauthorized}, Security: []map[string][]string{{schemeSession: {}}}},
		func(ctx context.Context, _ *none) (*struct{ Body sessionBody }, error) {
			p, csrf, err := s.people.Session(ctx, callerOf(ctx).token)
			if err != nil {
				return nil, answer(s.log, err)
			}
			b, err := s.session(ctx, p, csrf)
			return &struct{ Body sessionBody }{b}, answer(s.log, err)
		})
	gone := func(ctx context.Context) *signedOut { return &signedOut{s.cookie(callerOf(ctx), "", time.Time{})} }
	huma.Register(s.changing(), huma.Operation{OperationID: "sign-out", Method: http.MethodDelete, Path: "/session", Summary: "Sign out here", Tags: []string{"session"}, DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, _ *none) (*signedOut, error) {
			return gone(ctx), answer(s.log, s.people.SignOut(ctx, callerOf(ctx).token))
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "sign-out-everywhere", Method: http.MethodDelete, Path: "/sessions", Summary: "Sign out on every machine", Tags: []string{"session"}, DefaultStatus: http.StatusNoContent},
		func(ctx context.Context, _ *none) (*signedOut, error) {
			return gone(ctx), answer(s.log, s.people.SignOutEverywhere(ctx, who(ctx)))
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "set-password", Method: http.MethodPut, Path: "/session/password", Summary: "Change one's own password; every other session ends", Tags: []string{"session"}, DefaultStatus: http.StatusNoContent, MaxBodyBytes: smallBody, Errors: []int{http.StatusTooManyRequests}},
		func(ctx context.Context, in *struct {
			Body struct {
				Old string `json:"old" minLength:"1" maxLength:"200"`
				New string `json:"password" minLength:"8" maxLength:"200" doc:"the new one"`
			}
		}) (*none, error) {
			c := callerOf(ctx)
			return nil, answer(s.log, s.people.SetPassword(ctx, c.person, c.token, c.address, in.Body.Old, in.Body.New))
		})
}

func (s *Server) session(ctx context.Context, p desk.Person, csrf string) (sessionBody, error) {
	m, err := s.desk.Moment(ctx)
	return sessionBody{p, p.Deeds(), csrf, shown(p, m.Identity), m.Today.String()}, err
}

// shown hides where devices stand in the house's network from everybody who may not name them.
func shown(p desk.Person, id settings.Identity) settings.Identity {
	if !p.May(accounts.SetHouse) {
		id.Gateway, id.ScopeCamera, id.WeatherStation = "", "", ""
	}
	return id
}
