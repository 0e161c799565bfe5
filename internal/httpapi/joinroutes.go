package httpapi

import (
	"context"
	"net/http"

	"botanik/internal/accounts"
	"botanik/internal/desk"

	"github.com/danielgtaylor/huma/v2"
)

type joinBody struct {
	Password string `json:"password" minLength:"8" maxLength:"200"`
}

// invitedAs is all a stranger at an address is told.
type invitedAs struct {
	Name  string `json:"name"`
	Login string `json:"login"`
	Desk  string `json:"desk"`
}

type sessionAt struct {
	ID      string `path:"id" maxLength:"40"`
	Session string `path:"session" maxLength:"16" doc:"as the list has it"`
}

func (s *Server) joinRoutes() {
	huma.Register(s.public(), huma.Operation{OperationID: "invited", Method: http.MethodGet, Path: "/join/{token}", Summary: "Whom an address lets in", Tags: []string{"people"}},
		func(ctx context.Context, in *struct {
			Token string `path:"token" maxLength:"64"`
		}) (*struct{ Body invitedAs }, error) {
			p, err := s.people.Invited(ctx, in.Token)
			if err != nil {
				return nil, answer(s.log, err)
			}
			id, _, err := s.desk.House.Identity(ctx)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &struct{ Body invitedAs }{invitedAs{p.Name, p.Login, id.Name}}, nil
		})
	huma.Register(s.public(), huma.Operation{OperationID: "join", Method: http.MethodPost, Path: "/join/{token}", Summary: "Choose one's own password, once", Tags: []string{"people"}, DefaultStatus: http.StatusOK, MaxBodyBytes: smallBody, Errors: []int{http.StatusForbidden, http.StatusRequestEntityTooLarge, http.StatusUnsupportedMediaType, http.StatusTooManyRequests}},
		func(ctx context.Context, in *struct {
			Token string `path:"token" maxLength:"64"`
			Body  joinBody
		}) (*struct{ Body desk.Person }, error) {
			p, err := s.people.Join(ctx, in.Token, in.Body.Password)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &struct{ Body desk.Person }{p}, nil
		})
	ask(s, "invite", "people", "/people/invite", "Ask somebody new in, who chooses their own password (coordinator)", func(ctx context.Context, in *struct{ Body accounts.NewInvite }) (accounts.Invite, error) {
		return s.people.Invite(ctx, who(ctx), in.Body)
	})
	ask(s, "invite-again", "people", "/people/{id}/invite", "Another address to choose a password at (coordinator)", func(ctx context.Context, in *byID) (accounts.Invite, error) {
		return s.people.InviteAgain(ctx, who(ctx), in.ID)
	})
	get(s, "sessions", "people", "/people/{id}/sessions", "Where somebody is signed in: oneself, or for a coordinator anybody", func(ctx context.Context, in *byID) ([]accounts.OpenSession, error) {
		return s.people.Sessions(ctx, who(ctx), in.ID, callerOf(ctx).token)
	})
	register(s, s.asking(), http.MethodDelete, "end-session", "people", "/people/{id}/sessions/{session}", "End one of them", func(ctx context.Context, in *sessionAt) ([]accounts.OpenSession, error) {
		if err := s.people.EndSession(ctx, who(ctx), in.ID, in.Session); err != nil {
			return nil, err
		}
		return s.people.Sessions(ctx, who(ctx), in.ID, callerOf(ctx).token)
	})
	get(s, "people-trace", "people", "/people/trace", "Who let whom in, switched whom off, gave whom which role (coordinator)", func(ctx context.Context, _ *none) ([]accounts.Done, error) {
		return s.people.Trace(ctx, who(ctx))
	})
}
