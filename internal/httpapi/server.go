package httpapi

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"log/slog"
	"mime"
	"net"
	"net/http"
	"net/netip"
	"net/url"
	"path"
	"runtime/debug"
	"strings"
	"sync/atomic"
	"time"

	"botanik/internal/accounts"
	"botanik/internal/camera"
	"botanik/internal/desk"
	"botanik/internal/growers"
	"botanik/internal/httpapi/humafiber"
	"botanik/internal/loop"
	"botanik/internal/overview"
	"botanik/internal/photo"
	"botanik/internal/practice"
	"botanik/internal/records"
	"botanik/internal/spraydays"
	"botanik/internal/store"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/compress"
)

const (
	// photoLimit lets a picture through; everything else is held to 1 MB by huma.
	photoLimit = photo.MaxBytes + 64<<10
	// drainLimit is how much of a refused body is read away, so that its sender
	// hears why before the connection closes.
	drainLimit = 16 << 20

	csrfHeader = "X-Botanik-Token"
	policyCSP  = "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'nonce-%s'; script-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'"

	// patience is how long running requests may take to end after a stop.
	patience = 10 * time.Second
)

// Options of a server.
type Options struct {
	Page    fs.FS          // the built web page; nil serves the API alone
	Log     *slog.Logger   // never nil
	Proxies []netip.Prefix // whose X-Forwarded-For and -Proto are believed
	HTTPS   bool           // people come by https: cookies only there, HSTS
	Camera  *camera.Client // of the microscope; nil when there is none

	Troubles *Troubles // errors of late; nil when nobody remembers them
}

// Server is the API and the page over one desk.
type Server struct {
	App       *fiber.App
	API       huma.API
	desk      *desk.Service
	records   *records.Service
	overview  *overview.Service
	loop      *loop.Service
	practice  *practice.Service
	growers   *growers.Service
	spraydays *spraydays.Service
	people    *accounts.Service
	log       *slog.Logger
	opts      Options

	tagged atomic.Pointer[taggedBook]
	large  chan struct{} // how many large bodies are taken in at once
	tells  tellLimit
}

// New builds the app over a desk with its records.
func New(r *records.Service, p *accounts.Service, opts Options) *Server {
	s := &Server{desk: r.Service, records: r, loop: loop.New(r.Service), overview: overview.New(r.Service), practice: practice.New(r.Service), growers: growers.New(r.Service), spraydays: spraydays.New(r.Service), people: p, log: opts.Log, opts: opts, large: make(chan struct{}, 4)}
	s.App = fiber.New(fiber.Config{
		Immutable: true, CaseSensitive: true, BodyLimit: drainLimit, StreamRequestBody: true,
		ReadTimeout: 15 * time.Second, WriteTimeout: 30 * time.Second, IdleTimeout: 60 * time.Second,
		ErrorHandler: s.fail,
	})
	s.App.Use(s.recovered, s.headers, s.access, s.ownOrigin, s.body)
	s.App.Use(compress.New(compress.Config{Next: uncompressed}))
	s.App.Get("/healthz", s.healthz)
	s.App.Get("/p/:token", s.growerPage)
	s.App.Post("/p/:token", s.growerTells)
	s.App.Get("/p/:token/days.ics", s.growerDays)
	s.App.Get("/c/:file", s.calendarFeed)
	// Calendar programs ask whether there is anything before they fetch it.
	s.App.Head("/p/:token", s.growerPage)
	s.App.Head("/p/:token/days.ics", s.growerDays)
	s.App.Head("/c/:file", s.calendarFeed)
	s.App.Get("/drawings/:cause", s.drawing)
	s.App.Get("/files/:id", s.jobFile)
	s.API = humafiber.New(s.App, apiConfig())
	s.routes()
	s.App.Use(s.static)
	return s
}

// uncompressed is what travels as it is: answers that carry a version in their
// ETag, which compressing would replace by one of its own. The page and the
// vocabulary, which are large, carry none, or a weak one.
func uncompressed(c fiber.Ctx) bool {
	return strings.HasPrefix(c.Path(), "/api/") && c.Path() != "/api/v1/vocabulary"
}

// healthz says whether the desk can be read and written, and what to do when it
// cannot.
func (s *Server) healthz(c fiber.Ctx) error {
	if err := s.desk.Healthy(c.Context()); err != nil {
		s.log.Error("health", "err", err)
		text := "the file does not answer"
		if t := store.TroubleOf(err); t != nil {
			text = t.Error()
		}
		return c.Status(http.StatusServiceUnavailable).JSON(map[string]string{"status": text})
	}
	return c.JSON(map[string]string{"status": "ok"})
}

// recovered keeps the desk open when a request runs into a mistake of ours: one
// answer fails, everybody else goes on.
func (s *Server) recovered(c fiber.Ctx) (err error) {
	defer func() {
		if r := recover(); r != nil {
			s.log.Error("panic", "what", fmt.Sprint(r), "method", c.Method(), "route", c.Route().Path, "stack", string(debug.Stack()))
			c.Response().ResetBody()
			err = s.fail(c, fiber.ErrInternalServerError)
		}
	}()
	return c.Next()
}

// headers keep the page to itself: no framing, no foreign script, no sniffing.
func (s *Server) headers(c fiber.Ctx) error {
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	c.Set("Cross-Origin-Resource-Policy", "same-origin")
	c.Set("X-Frame-Options", "DENY")
	c.Set("Permissions-Policy", "camera=(self), microphone=(), geolocation=(), payment=(), usb=()")
	// What is no page draws nothing and fetches nothing; pages set a policy of their own.
	c.Set("Content-Security-Policy", "default-src 'none'; frame-ancestors 'none'")
	if s.secure(c.RequestCtx().RemoteAddr().String(), c.Get("X-Forwarded-Proto")) {
		c.Set("Strict-Transport-Security", "max-age=31536000")
	}
	if strings.HasPrefix(c.Path(), "/api/") {
		c.Set("Cache-Control", "no-store")
		for k, v := range c.Request().URI().QueryArgs().All() {
			if !plainQuery(k) || !plainQuery(v) {
				return fiber.NewError(http.StatusBadRequest, "the address holds a character that is none")
			}
		}
	}
	return c.Next()
}

// ownOrigin refuses what a page of somebody else sends: a browser says which page it is,
// and whoever is no browser says nothing.
func (s *Server) ownOrigin(c fiber.Ctx) error {
	switch c.Method() {
	case fiber.MethodGet, fiber.MethodHead, fiber.MethodOptions:
		return c.Next()
	}
	own := true
	if site := c.Get("Sec-Fetch-Site"); site != "" {
		own = site == "same-origin" || site == "none"
	} else if from := c.Get("Origin"); from != "" {
		host := c.Get("Host")
		if s.trusted(peer(c.RequestCtx().RemoteAddr().String())) {
			host = cmp.Or(c.Get("X-Forwarded-Host"), host)
		}
		u, err := url.Parse(from)
		own = err == nil && u.Host != "" && strings.EqualFold(u.Host, host)
	}
	if !own {
		return fiber.NewError(http.StatusForbidden, "sent from the page of another address")
	}
	return c.Next()
}

func plainQuery(b []byte) bool {
	for _, x := range b {
		if x < ' ' || x == 0x7f {
			return false
		}
	}
	return true
}

// access logs the route, never the address: a grower's page has its token in it.
func (s *Server) access(c fiber.Ctx) error {
	start := time.Now()
	err := c.Next()
	if err != nil {
		err = s.fail(c, err)
	}
	level, status := slog.LevelDebug, c.Response().StatusCode()
	switch status {
	case http.StatusForbidden, http.StatusRequestEntityTooLarge, http.StatusServiceUnavailable: // a refused sign-in is told by itself
		level = slog.LevelInfo
	}
	s.log.Log(c.Context(), level, "request", "method", c.Method(), "route", c.Route().Path, "status", status, "ms", time.Since(start).Milliseconds(), "from", s.address(c.RequestCtx().RemoteAddr().String(), c.Get("X-Forwarded-For")))
	return err
}

// body refuses what is too large before it is read, and reads away what nobody
// wanted, so that it is never taken for the next request.
func (s *Server) body(c fiber.Ctx) error {
	var err error
	if c.Request().Header.ContentLength() > photoLimit {
		err = s.fail(c, fiber.ErrRequestEntityTooLarge)
	} else {
		err = c.Next()
	}
	if r := c.Request().BodyStream(); r != nil {
		if n, rerr := io.Copy(io.Discard, io.LimitReader(r, drainLimit)); rerr != nil || n == drainLimit {
			c.Response().SetConnectionClose()
		}
	}
	return err
}

// fail answers what Fiber itself refuses: too large, no such route.
func (s *Server) fail(c fiber.Ctx, err error) error {
	status := http.StatusInternalServerError
	var fe *fiber.Error
	if errors.As(err, &fe) {
		status = fe.Code
	}
	p := problem(status, "", http.StatusText(status), "That request cannot be answered.")
	switch status {
	case http.StatusRequestEntityTooLarge:
		p.Detail = tooLarge
	case http.StatusNotFound, http.StatusMethodNotAllowed:
		p.Detail = "There is nothing at this address."
	case http.StatusForbidden:
		p.Detail = "That came from the page of another address; open the desk itself and try again."
	case http.StatusInternalServerError:
		if !errors.Is(err, fiber.ErrInternalServerError) {
			s.log.Error("unexpected", "err", err)
		}
		p.Detail = ourMistake
	}
	c.Set("Content-Type", "application/problem+json")
	return c.Status(status).JSON(p, "application/problem+json")
}

// secure reports whether the person came by https, as far as can be known.
func (s *Server) secure(remote, proto string) bool {
	return s.opts.HTTPS || s.trusted(peer(remote)) && strings.EqualFold(proto, "https")
}

func peer(remote string) netip.Addr {
	a, err := netip.ParseAddrPort(remote)
	if err != nil {
		return netip.Addr{}
	}
	return a.Addr().Unmap()
}

func (s *Server) trusted(a netip.Addr) bool {
	for _, p := range s.opts.Proxies {
		if p.Contains(a) {
			return true
		}
	}
	return false
}

// address of the person: the last hop that is no proxy of ours.
func (s *Server) address(remote, forwardedFor string) string {
	at := peer(remote)
	hops := strings.Split(forwardedFor, ",")
	for i := len(hops) - 1; i >= 0 && s.trusted(at); i-- {
		a, err := netip.ParseAddr(strings.TrimSpace(hops[i]))
		if err != nil {
			break
		}
		at = a.Unmap()
	}
	return at.String()
}

// static serves the page; any address that is no file is the page itself, so
// that a reload stays where one was.
func (s *Server) static(c fiber.Ctx) error {
	p := c.Path()
	if strings.HasPrefix(strings.ToLower(p), "/api/") || s.opts.Page == nil || c.Method() != http.MethodGet && c.Method() != http.MethodHead {
		return fiber.ErrNotFound
	}
	if u, err := url.PathUnescape(p); err == nil {
		p = u
	}
	name := strings.TrimPrefix(path.Clean("/"+p), "/")
	data, err := fs.ReadFile(s.opts.Page, name)
	if err != nil {
		if strings.HasPrefix(name, "assets/") {
			return fiber.ErrNotFound
		}
		name = "index.html"
		if data, err = fs.ReadFile(s.opts.Page, name); err != nil {
			c.Type("txt")
			return c.Status(http.StatusServiceUnavailable).SendString("The page is not built yet. Run: make build\n")
		}
	}
	if name == "index.html" {
		nonce := accounts.RandomText(18)
		c.Set("Content-Security-Policy", strings.Replace(policyCSP, "%s", nonce, 1))
		c.Set("Cache-Control", "no-cache")
		data = []byte(strings.ReplaceAll(string(data), "__NONCE__", nonce))
	} else if strings.HasPrefix(name, "assets/") {
		c.Set("Cache-Control", "public, max-age=31536000, immutable")
	}
	kind := mime.TypeByExtension(path.Ext(name))
	if kind == "" {
		kind = "application/octet-stream"
	}
	c.Set("Content-Type", kind)
	return c.Send(data)
}

// Serve answers on a listener until ctx ends, then lets running requests finish
// before it returns. A request still running after ten seconds is given up.
func (s *Server) Serve(ctx context.Context, ln net.Listener) error {
	ended := make(chan error, 1)
	go func() {
		ended <- s.App.Listener(ln, fiber.ListenConfig{DisableStartupMessage: true})
	}()
	select {
	case err := <-ended:
		return err
	case <-ctx.Done():
	}
	err := s.App.ShutdownWithTimeout(patience)
	// A stop that comes before serving began finds nothing to shut down; without
	// its listener the serving that begins then ends by itself.
	_ = ln.Close()
	if errors.Is(err, context.DeadlineExceeded) {
		s.log.Warn("stopped with requests still running")
		return nil
	}
	return errors.Join(err, <-ended)
}
