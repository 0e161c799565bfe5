package httpapi

import (
	"context"
	"net/http"

	"botanik/internal/desk"
	"botanik/internal/settings"

	"github.com/danielgtaylor/huma/v2"
)

type sendBody struct {
	Kind string `json:"kind" enum:"page,ask" doc:"the page, or the question how it went"`
}

type noneBody struct {
	None bool `json:"none" doc:"this grower wants no messages"`
}

func (s *Server) messageRoutes() {
	get(s, "messages", "messages", "/cases/{id}/messages", "Messages to the grower of a case, and how far they have come", func(ctx context.Context, in *byID) ([]desk.Sent, error) {
		return s.desk.Messages(ctx, in.ID)
	})
	ask(s, "send-message", "messages", "/cases/{id}/messages", "Send the grower the page, or ask how it went; the same is never sent twice", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body sendBody
	}) ([]desk.Sent, error) {
		return s.loop.Send(ctx, who(ctx), in.ID, in.Body.Kind)
	})
	register(s, s.asking(), http.MethodPut, "no-messages", "messages", "/cases/{id}/messages/none", "Keep that this grower wants no messages, or take that back", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body noneBody
	}) (noneBody, error) {
		return in.Body, s.loop.NoMessages(ctx, who(ctx), in.ID, in.Body.None)
	})
	huma.Register(s.reading(), huma.Operation{OperationID: "templates", Method: http.MethodGet, Path: "/templates", Summary: "The words of messages", Tags: []string{"messages"}},
		func(ctx context.Context, _ *none) (*out[settings.Templates], error) {
			t, v, err := s.desk.House.Templates(ctx)
			return versioned(t, v), answer(s.log, err)
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "set-templates", Method: http.MethodPut, Path: "/templates", Summary: "Change the words of messages (coordinator)", Tags: []string{"messages"}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    settings.Templates
		}) (*out[settings.Templates], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.House.SetTemplates(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			t, v, err := s.desk.House.Templates(ctx)
			return versioned(t, v), answer(s.log, err)
		})
}
