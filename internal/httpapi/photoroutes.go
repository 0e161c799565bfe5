package httpapi

import (
	"context"
	"net/http"

	"botanik/internal/desk"
	"botanik/internal/photo"

	"github.com/danielgtaylor/huma/v2"
)

type photoIn struct {
	ID      string `path:"id"`
	IfMatch string `header:"If-Match"`
	Name    string `query:"name" maxLength:"200" doc:"the file's own name, as a label"`
	RawBody []byte `contentType:"application/octet-stream" doc:"a JPEG, PNG or WebP of at most 10 MB; the bytes are believed, not the type"`
}

type photoOut struct {
	Type  string `header:"Content-Type"`
	Cache string `header:"Cache-Control"`
	Body  []byte
}

func (s *Server) photoRoutes() {
	huma.Register(s.API, huma.Operation{OperationID: "add-photo", Method: http.MethodPost, Path: "/api/v1/cases/{id}/photos", Summary: "Attach a picture the grower brought", Tags: []string{"cases"}, Middlewares: huma.Middlewares{s.guard}, DefaultStatus: http.StatusOK, MaxBodyBytes: photo.MaxBytes + 1<<16},
		func(ctx context.Context, in *photoIn) (*out[desk.View], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			v, err := s.desk.AddPhoto(ctx, who(ctx), in.ID, from, in.Name, in.RawBody)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	huma.Register(s.API, huma.Operation{OperationID: "drop-photo", Method: http.MethodDelete, Path: "/api/v1/cases/{id}/photos/{photo}", Summary: "Take a picture off the case", Tags: []string{"cases"}, Middlewares: huma.Middlewares{s.guard}, DefaultStatus: http.StatusOK},
		func(ctx context.Context, in *struct {
			ID      string `path:"id"`
			Photo   string `path:"photo"`
			IfMatch string `header:"If-Match"`
		}) (*out[desk.View], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			v, err := s.desk.DropPhoto(ctx, who(ctx), in.ID, from, in.Photo)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	huma.Register(s.API, huma.Operation{OperationID: "photo", Method: http.MethodGet, Path: "/api/v1/cases/{id}/photos/{photo}", Summary: "One picture, as JPEG", Tags: []string{"cases"}, Middlewares: huma.Middlewares{s.guard},
		Responses: map[string]*huma.Response{"200": {Description: "the picture", Content: map[string]*huma.MediaType{"image/jpeg": {}}}}},
		func(ctx context.Context, in *struct {
			ID    string `path:"id"`
			Photo string `path:"photo"`
		}) (*photoOut, error) {
			data, err := s.desk.Photo(ctx, in.ID, in.Photo)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &photoOut{"image/jpeg", "private, max-age=86400", data}, nil
		})
}
