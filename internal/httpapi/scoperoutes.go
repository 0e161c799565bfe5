package httpapi

import (
	"context"
	"net/http"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/microscopy"
	"botanik/internal/accounts"
	"botanik/internal/camera"
	"botanik/internal/desk"
	"botanik/internal/settings"

	"github.com/danielgtaylor/huma/v2"
)

// slideKey is the key as the page shows it.
type slideKey struct {
	Groups     []string                `json:"groups"`
	Characters []*microscopy.Character `json:"characters"`
	Species    []*microscopy.Species   `json:"species"`

	Protocols []*knowledge.Protocol `json:"protocols" doc:"how slides and strips are made ready"`
}

type readingsBody struct {
	Readings []microscopy.Reading `json:"readings" maxItems:"50"`
	Unit     string               `json:"unit,omitempty" enum:"division,pixel," doc:"what was counted; divisions of the eyepiece when left out"`
}

func (s *Server) scopeRoutes() {
	get(s, "slide-key", "scope", "/scope/key", "The slide key: characters and species", func(context.Context, *none) (slideKey, error) {
		b := s.desk.Base()
		k := b.SlideKey
		return slideKey{k.Groups(), k.Characters, k.Species, b.Protocols}, nil
	})
	ask(s, "identify", "scope", "/scope/identify", "Weigh the species of the key by what was seen on a slide", func(ctx context.Context, in *struct{ Body desk.KeyInput }) (desk.KeyAnswer, error) {
		return s.desk.Key(ctx, in.Body)
	})
	ask(s, "ratio", "scope", "/scope/ratio", "Two lengths measured in turn against the line of a key", func(_ context.Context, in *struct{ Body microscopy.RatioRequest }) (microscopy.Ratio, error) {
		return microscopy.Compare(in.Body)
	})
	ask(s, "reticle", "scope", "/scope/reticle", "What one eyepiece division is long", func(_ context.Context, in *struct{ Body readingsBody }) (microscopy.Factor, error) {
		if in.Body.Unit == "pixel" {
			return microscopy.CalibrateClicks(in.Body.Readings)
		}
		return microscopy.Calibrate(in.Body.Readings)
	})
	ask(s, "photo-scale", "scope", "/scope/photo", "Lengths and areas on a picture by a known length in it", func(_ context.Context, in *struct{ Body microscopy.PhotoRequest }) (microscopy.PhotoScale, error) {
		return microscopy.Measure(in.Body)
	})
	s.cameraRoutes()
	huma.Register(s.reading(), huma.Operation{OperationID: "calibrations", Method: http.MethodGet, Path: "/scope/calibrations", Summary: "What this person's microscopes are calibrated to", Tags: []string{"scope"}},
		func(ctx context.Context, _ *none) (*out[[]settings.Calibration], error) {
			c, v, err := s.desk.House.Calibrations(ctx, who(ctx).ID)
			return versioned(c, v), answer(s.log, err)
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "calibrate", Method: http.MethodPut, Path: "/scope/calibrations", Summary: "Keep a calibration of a microscope, or drop it", Tags: []string{"scope"}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    settings.NewCalibration
		}) (*out[[]settings.Calibration], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.House.Calibrate(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			c, v, err := s.desk.House.Calibrations(ctx, who(ctx).ID)
			return versioned(c, v), answer(s.log, err)
		})
}

// frame is one picture of the microscope's camera.
type frame struct {
	Type      string `header:"Content-Type"`
	Cache     string `header:"Cache-Control"`
	Objective string `header:"X-Objective"`
	Body      []byte
}

func (s *Server) cameraRoutes() {
	noCamera := fault.New("camera", "is not connected to this desk", "measure by eye, or on a picture")
	get(s, "camera", "scope", "/scope/camera", "What the microscope's camera says of itself", func(ctx context.Context, _ *none) (camera.Device, error) {
		if s.opts.Camera == nil {
			return camera.Device{}, noCamera
		}
		return s.opts.Camera.State(ctx)
	})
	register(s, s.asking(), http.MethodPut, "set-camera", "scope", "/scope/camera", "Set objective, exposure or slide of the camera (not for trainees)", func(ctx context.Context, in *struct{ Body camera.DeviceChange }) (camera.Device, error) {
		if !who(ctx).May(accounts.SetDevice) {
			return camera.Device{}, desk.ErrForbidden
		}
		if s.opts.Camera == nil {
			return camera.Device{}, noCamera
		}
		return s.opts.Camera.Set(ctx, in.Body)
	})
	huma.Register(s.reading(), huma.Operation{OperationID: "camera-frame", Method: http.MethodGet, Path: "/scope/camera/frame", Summary: "One frame of the camera, as JPEG", Tags: []string{"scope"},
		Responses: map[string]*huma.Response{"200": {Description: "the frame", Content: map[string]*huma.MediaType{"image/jpeg": {}}}}},
		func(ctx context.Context, _ *none) (*frame, error) {
			if s.opts.Camera == nil {
				return nil, answer(s.log, noCamera)
			}
			f, err := s.opts.Camera.Frame(ctx)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &frame{"image/jpeg", "no-store", f.Objective, f.JPEG}, nil
		})
}
