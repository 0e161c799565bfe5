package httpapi

import (
	"context"
	"encoding/base64"
	"net/http"
	"time"

	"botanik/core/microscopy"
	"botanik/internal/desk"

	"github.com/danielgtaylor/huma/v2"
)

type photoIn struct {
	ID      string `path:"id" maxLength:"40"`
	IfMatch string `header:"If-Match"`
	Name    string `query:"name" maxLength:"200" doc:"the file's own name, as a label"`
	RawBody []byte `contentType:"application/octet-stream" doc:"a JPEG, PNG or WebP of at most 10 MB; the bytes are believed, not the type"`
}

// shareAnswer is the share with a picture of what is taken as sick.
type shareAnswer struct {
	Found microscopy.ShareFound `json:"found"`
	Mask  string                `json:"mask" doc:"a PNG of the picture's size as a data address"`
}

type photoOut struct {
	Type  string `header:"Content-Type"`
	Cache string `header:"Cache-Control"`
	Body  []byte
}

func (s *Server) photoRoutes() {
	huma.Register(s.changing(), huma.Operation{OperationID: "add-photo", Method: http.MethodPost, Path: "/cases/{id}/photos", Summary: "Attach a picture the grower brought", Tags: []string{"cases"}, DefaultStatus: http.StatusOK, MaxBodyBytes: photoLimit, BodyReadTimeout: time.Minute, Middlewares: huma.Middlewares{s.fewLarge}},
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
	huma.Register(s.changing(), huma.Operation{OperationID: "drop-photo", Method: http.MethodDelete, Path: "/cases/{id}/photos/{photo}", Summary: "Take a picture off the case", Tags: []string{"cases"}, DefaultStatus: http.StatusOK},
		func(ctx context.Context, in *struct {
			ID      string `path:"id" maxLength:"40"`
			Photo   string `path:"photo" maxLength:"40"`
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
	huma.Register(s.asking(), huma.Operation{OperationID: "leaf-share", Method: http.MethodPost, Path: "/cases/{id}/photos/{photo}/share", Summary: "How much of a leaf on a picture is sick", Tags: []string{"cases"}, DefaultStatus: http.StatusOK, Middlewares: huma.Middlewares{s.fewLarge}},
		func(ctx context.Context, in *struct {
			ID    string `path:"id" maxLength:"40"`
			Photo string `path:"photo" maxLength:"40"`
			Body  microscopy.ShareRequest
		}) (*struct{ Body shareAnswer }, error) {
			found, mask, err := s.desk.ShareOfLeaf(ctx, in.ID, in.Photo, in.Body)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &struct{ Body shareAnswer }{shareAnswer{found, "data:image/png;base64," + base64.StdEncoding.EncodeToString(mask)}}, nil
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "mark-photo", Method: http.MethodPut, Path: "/cases/{id}/photos/{photo}/marks", Summary: "Keep what was measured on a picture", Tags: []string{"cases"}, Middlewares: huma.Middlewares{s.fewLarge}},
		func(ctx context.Context, in *struct {
			ID      string `path:"id" maxLength:"40"`
			Photo   string `path:"photo" maxLength:"40"`
			IfMatch string `header:"If-Match"`
			Body    desk.MarksInput
		}) (*out[desk.View], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			v, err := s.desk.MarkPhoto(ctx, who(ctx), in.ID, from, in.Photo, in.Body)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	huma.Register(s.reading(), huma.Operation{OperationID: "photo", Method: http.MethodGet, Path: "/cases/{id}/photos/{photo}", Summary: "One picture, as JPEG", Tags: []string{"cases"},
		Responses: map[string]*huma.Response{"200": {Description: "the picture", Content: map[string]*huma.MediaType{"image/jpeg": {}}}}},
		func(ctx context.Context, in *struct {
			ID    string `path:"id" maxLength:"40"`
			Photo string `path:"photo" maxLength:"40"`
		}) (*photoOut, error) {
			data, err := s.desk.Photo(ctx, in.ID, in.Photo)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &photoOut{"image/jpeg", "private, max-age=86400", data}, nil
		})
}

// fewLarge lets a few large bodies in at once, pictures and files of hours: each is ten
// megabytes and more while it is read. The others wait for their turn, a while, unread.
func (s *Server) fewLarge(ctx huma.Context, next func(huma.Context)) {
	turn := time.NewTimer(20 * time.Second)
	defer turn.Stop()
	select {
	case s.large <- struct{}{}:
		defer func() { <-s.large }()
		next(ctx)
	case <-turn.C:
		s.write(ctx, problem(http.StatusServiceUnavailable, "busy", "Too many at once", "Too many pictures and files are being taken in at this moment; try again in a little while.").later(10))
	case <-ctx.Context().Done():
	}
}
