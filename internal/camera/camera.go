package camera

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"image/jpeg"
	"io"
	"net/http"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/device"
)

// Device is what a camera says of itself.
type Device struct {
	Kind       string        `json:"kind" doc:"what it is, in a few words"`
	Objective  string        `json:"objective"`
	Objectives []string      `json:"objectives"`
	Exposure   float64       `json:"exposure" doc:"1 is as it should be"`
	Slide      string        `json:"slide,omitempty"`
	Slides     []DeviceSlide `json:"slides" doc:"what lies on the tray, where it has one"`
}

// DeviceSlide is one slide on the tray.
type DeviceSlide struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// DeviceChange is what of the state is to be set; what is left out stays.
type DeviceChange struct {
	Objective string  `json:"objective,omitempty" maxLength:"20"`
	Exposure  float64 `json:"exposure,omitempty" minimum:"0" maximum:"8"`
	Slide     string  `json:"slide,omitempty" maxLength:"60"`
}

// Frame is one picture, as JPEG.
type Frame struct {
	JPEG      []byte
	Objective string
}

const (
	patience = 8 * time.Second
	mostJSON = 1 << 20
	mostJPEG = 10 << 20
)

// Client speaks with the camera.
type Client struct {
	standIn http.Handler
	address func(context.Context) (string, error) // "" for the stand-in
	http    http.Client
}

// New makes a client; address tells where the bridge is, empty for the stand-in, or for none
// where there is no stand-in.
func New(standIn http.Handler, address func(context.Context) (string, error)) *Client {
	return &Client{standIn, address, device.Client(patience)}
}

// Address is held to what a bridge can be reached at: http or https, no more.
func Address(s string) error {
	return device.Address("scopeCamera", s, "a camera", "write it like http://192.168.1.20:8600, or leave it empty where there is none", "http", "https")
}

// State of the camera.
func (c *Client) State(ctx context.Context) (Device, error) {
	return c.state(ctx, http.MethodGet, nil)
}

// Set changes objective, exposure or slide. What the camera refuses is named camera.
func (c *Client) Set(ctx context.Context, in DeviceChange) (Device, error) {
	raw, err := json.Marshal(in)
	if err != nil {
		return Device{}, err
	}
	return c.state(ctx, http.MethodPut, raw)
}

func (c *Client) state(ctx context.Context, method string, body []byte) (Device, error) {
	raw, _, err := c.ask(ctx, method, "/state", body, mostJSON)
	if err != nil {
		return Device{}, err
	}
	out := Device{Objectives: []string{}, Slides: []DeviceSlide{}}
	if json.Unmarshal(raw, &out) != nil {
		return Device{}, fault.New("camera", "did not answer with its state", "see docs/scope-camera.md for what a bridge has to say")
	}
	return out, nil
}

// Frame takes one picture.
func (c *Client) Frame(ctx context.Context) (Frame, error) {
	raw, h, err := c.ask(ctx, http.MethodGet, "/frame", nil, mostJPEG)
	if err != nil {
		return Frame{}, err
	}
	if _, err := jpeg.DecodeConfig(bytes.NewReader(raw)); err != nil {
		return Frame{}, fault.New("camera", "sent no JPEG", "see docs/scope-camera.md for what a bridge has to send")
	}
	return Frame{raw, h.Get("X-Objective")}, nil
}

// ask sends one request, to the bridge or the stand-in, and reads no more than a limit.
func (c *Client) ask(ctx context.Context, method, path string, body []byte, most int64) ([]byte, http.Header, error) {
	base, err := c.address(ctx)
	if err != nil {
		return nil, nil, err
	}
	r, err := http.NewRequestWithContext(ctx, method, strings.TrimSuffix(base, "/")+path, bytes.NewReader(body))
	if err != nil {
		return nil, nil, err
	}
	if base == "" && c.standIn == nil {
		return nil, nil, fault.New("camera", "is not named", "write the address of its bridge in House rules, or measure by eye")
	}
	if base == "" {
		w := &recorded{header: http.Header{}, status: http.StatusOK}
		c.standIn.ServeHTTP(w, r)
		return answered(w.status, w.header, &w.body, most, true)
	}
	a, err := c.http.Do(r)
	if err != nil {
		return nil, nil, fault.New("camera", "cannot be reached", "start it, or look at its address in House rules")
	}
	defer func() { _ = a.Body.Close() }()
	return answered(a.StatusCode, a.Header, a.Body, most, false)
}

// answered reads an answer up to a limit. What a device says in words is not passed on: its
// address may lead to anything in the house's network, and whoever looks is not who named it.
func answered(status int, h http.Header, body io.Reader, most int64, ours bool) ([]byte, http.Header, error) {
	raw, err := io.ReadAll(io.LimitReader(body, most+1))
	switch {
	case err != nil || int64(len(raw)) > most:
		return nil, nil, fault.New("camera", "sent too much, or broke off", "try again")
	case status != http.StatusOK && ours:
		return nil, nil, fault.New("camera", "refused it: "+strings.TrimSpace(string(raw[:min(len(raw), 200)])), "choose what is mounted and on the tray")
	case status != http.StatusOK:
		return nil, nil, fault.New("camera", fmt.Sprintf("refused it (%d)", status), "choose what is mounted and on the tray, and look at its address in House rules")
	}
	return raw, h, nil
}

// recorded is an answer of the stand-in.
type recorded struct {
	header http.Header
	status int
	body   bytes.Buffer
}

func (r *recorded) Header() http.Header         { return r.header }
func (r *recorded) WriteHeader(status int)      { r.status = status }
func (r *recorded) Write(b []byte) (int, error) { return r.body.Write(b) }
