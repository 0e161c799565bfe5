package httpapi

import (
	"context"
	"errors"
	"io/fs"
	"log/slog"
	"mime"
	"net"
	"net/http"
	"path"
	"strings"
	"time"

	"botanik/internal/desk"
	"botanik/internal/httpapi/humafiber"
	"botanik/internal/photo"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
	"github.com/gofiber/fiber/v3/middleware/compress"
)

// bodyLimit lets a photo through; huma holds every other operation to 1 MB.
const bodyLimit = photo.MaxBytes + 1<<20

const (
	cookieName = "botanik_session"
	csrfHeader = "X-Botanik-Token"
	policyCSP  = "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'nonce-%s'; script-src 'self'; object-src 'none'; base-uri 'none'; frame-ancestors 'none'; form-action 'self'"
)

// Server is the API and the page over one desk.
type Server struct {
	App  *fiber.App
	API  huma.API
	desk *desk.Service
	log  *slog.Logger
	page fs.FS
}

// New builds the app. page holds the built web page; nil serves the API alone.
func New(d *desk.Service, page fs.FS, log *slog.Logger) *Server {
	huma.NewError = newError
	huma.DefaultArrayNullable = false // every list we answer with is a list
	s := &Server{desk: d, log: log, page: page}
	s.App = fiber.New(fiber.Config{
		Immutable: true, BodyLimit: bodyLimit, ReadTimeout: 15 * time.Second, WriteTimeout: 30 * time.Second, IdleTimeout: 60 * time.Second,
		ErrorHandler: s.fail,
	})
	s.App.Use(s.headers)
	s.App.Use(s.access)
	s.App.Use(compress.New(compress.Config{Next: uncompressed}))
	s.App.Get("/healthz", s.healthz)
	config := huma.DefaultConfig("Botanik", "1.0.0")
	config.OpenAPIPath, config.DocsPath, config.SchemasPath = "/api/openapi", "", ""
	config.CreateHooks = nil // no $schema links in every answer
	config.Info.Description = "The plant desk's API. Every change of a case sends its version in If-Match; creating sends an Idempotency-Key. Problems are RFC 9457 and name the field and the mend."
	s.API = humafiber.New(s.App, config)
	s.routes()
	s.App.Use(s.static)
	return s
}

// uncompressed is what travels as it is: answers that carry a version in their
// ETag, which compressing would replace by one of its own. The page and the
// vocabulary, which are large, carry none.
func uncompressed(c fiber.Ctx) bool {
	return strings.HasPrefix(c.Path(), "/api/") && c.Path() != "/api/v1/vocabulary"
}

func (s *Server) healthz(c fiber.Ctx) error {
	if err := s.desk.Store.Healthy(c.Context()); err != nil {
		s.log.Error("health", "err", err)
		return c.Status(http.StatusServiceUnavailable).JSON(map[string]string{"status": "the file does not answer"})
	}
	return c.JSON(map[string]string{"status": "ok"})
}

// headers keep the page to itself: no framing, no foreign script, no sniffing.
func (s *Server) headers(c fiber.Ctx) error {
	c.Set("X-Content-Type-Options", "nosniff")
	c.Set("Referrer-Policy", "no-referrer")
	c.Set("Cross-Origin-Opener-Policy", "same-origin")
	if strings.HasPrefix(c.Path(), "/api/") {
		c.Set("Cache-Control", "no-store")
	}
	return c.Next()
}

func (s *Server) access(c fiber.Ctx) error {
	start := time.Now()
	err := c.Next()
	s.log.Debug("request", "method", c.Method(), "path", c.Path(), "status", c.Response().StatusCode(), "ms", time.Since(start).Milliseconds())
	return err
}

// fail answers what Fiber itself refuses: too large, no such route.
func (s *Server) fail(c fiber.Ctx, err error) error {
	status := http.StatusInternalServerError
	var fe *fiber.Error
	if errors.As(err, &fe) {
		status = fe.Code
	}
	p := problem(status, http.StatusText(status), "That request cannot be answered.")
	switch status {
	case http.StatusRequestEntityTooLarge:
		p.Detail = "That is larger than is taken here: pictures up to 10 MB, anything else up to 1 MB."
	case http.StatusNotFound, http.StatusMethodNotAllowed:
		p.Detail = "There is nothing at this address."
	case http.StatusInternalServerError:
		s.log.Error("unexpected", "err", err)
		p.Detail = "Something went wrong here, and it was noted. Nothing was changed; try again."
	}
	c.Set("Content-Type", "application/problem+json")
	return c.Status(status).JSON(p, "application/problem+json")
}

// static serves the page; any address that is no file is the page itself, so
// that a reload stays where one was.
func (s *Server) static(c fiber.Ctx) error {
	p := c.Path()
	if strings.HasPrefix(p, "/api/") || s.page == nil || c.Method() != http.MethodGet && c.Method() != http.MethodHead {
		return fiber.ErrNotFound
	}
	name := strings.TrimPrefix(path.Clean(p), "/")
	data, err := fs.ReadFile(s.page, name)
	if err != nil {
		if strings.HasPrefix(name, "assets/") {
			return fiber.ErrNotFound
		}
		name = "index.html"
		if data, err = fs.ReadFile(s.page, name); err != nil {
			c.Type("txt")
			return c.Status(http.StatusServiceUnavailable).SendString("The page is not built yet. Run: make build\n")
		}
	}
	if name == "index.html" {
		nonce := newNonce()
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

// Listen serves until ctx ends, then lets running requests finish.
func (s *Server) Listen(ctx context.Context, addr string, ready func(string)) error {
	return s.App.Listen(addr, fiber.ListenConfig{
		DisableStartupMessage: true, GracefulContext: ctx, ShutdownTimeout: 10 * time.Second,
		ListenerAddrFunc: func(a net.Addr) { ready(a.String()) },
	})
}
