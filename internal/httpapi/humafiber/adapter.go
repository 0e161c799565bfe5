package humafiber

import (
	"bytes"
	"context"
	"crypto/tls"
	"io"
	"mime/multipart"
	"net/http"
	"net/url"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
)

type adapter struct{ app *fiber.App }

var (
	_ huma.Adapter = &adapter{}
	_ huma.Context = &ctx{}
)

// New makes a huma API over a Fiber app, which has to be Immutable, since
// values outlive the request in huma's hands.
func New(app *fiber.App, config huma.Config) huma.API {
	return huma.NewAPI(config, &adapter{app})
}

func (a *adapter) Handle(op *huma.Operation, handler func(huma.Context)) {
	path := strings.NewReplacer("{", ":", "}", "").Replace(op.Path)
	methods := []string{op.Method}
	if op.Method == http.MethodGet {
		methods = append(methods, http.MethodHead)
	}
	a.app.Add(methods, path, func(c fiber.Ctx) error {
		handler(&ctx{op: op, c: c})
		return nil
	})
}

func (a *adapter) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	resp, err := a.app.Test(r, fiber.TestConfig{Timeout: 0})
	if err != nil {
		http.Error(w, err.Error(), http.StatusInternalServerError)
		return
	}
	defer func() { _ = resp.Body.Close() }()
	for k, vs := range resp.Header {
		for _, v := range vs {
			w.Header().Add(k, v)
		}
	}
	w.WriteHeader(resp.StatusCode)
	_, _ = io.Copy(w, resp.Body)
}

type ctx struct {
	op     *huma.Operation
	c      fiber.Ctx
	status int
}

func (x *ctx) Operation() *huma.Operation { return x.op }
func (x *ctx) Context() context.Context   { return x.c.Context() }
func (x *ctx) TLS() *tls.ConnectionState  { return x.c.RequestCtx().TLSConnectionState() }
func (x *ctx) Version() huma.ProtoVersion { return huma.ProtoVersion{Proto: x.c.Protocol()} }
func (x *ctx) Method() string             { return x.c.Method() }
func (x *ctx) Host() string               { return x.c.Hostname() }
func (x *ctx) RemoteAddr() string         { return x.c.RequestCtx().RemoteAddr().String() }
func (x *ctx) URL() url.URL {
	u, err := url.Parse(string(x.c.Request().RequestURI()))
	if err != nil {
		return url.URL{}
	}
	return *u
}
func (x *ctx) Param(name string) string  { return x.c.Params(name) }
func (x *ctx) Query(name string) string  { return x.c.Query(name) }
func (x *ctx) Header(name string) string { return x.c.Get(name) }
func (x *ctx) EachHeader(f func(name, value string)) {
	for k, v := range x.c.Request().Header.All() {
		f(string(k), string(v))
	}
}

// BodyReader reads what has not come in yet from the connection, so that an
// operation's own limit and its guard hold before the body is taken into memory.
func (x *ctx) BodyReader() io.Reader {
	if r := x.c.Request().BodyStream(); r != nil {
		return notClosed{r} // the server itself lets go of it
	}
	return bytes.NewReader(x.c.Body())
}

func (x *ctx) GetMultipartForm() (*multipart.Form, error) { return x.c.MultipartForm() }
func (x *ctx) SetReadDeadline(t time.Time) error {
	if conn := x.c.RequestCtx().Conn(); conn != nil {
		return conn.SetReadDeadline(t)
	}
	return nil
}
func (x *ctx) SetStatus(code int)              { x.status = code; x.c.Status(code) }
func (x *ctx) Status() int                     { return x.status }
func (x *ctx) AppendHeader(name, value string) { x.c.Append(name, value) }
func (x *ctx) SetHeader(name, value string)    { x.c.Set(name, value) }
func (x *ctx) BodyWriter() io.Writer           { return x.c.RequestCtx() }

type notClosed struct{ io.Reader }
