package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/netip"
	"os"
	"path/filepath"
	"strings"
	"sync"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/weather"
	"botanik/herbarium"
	"botanik/internal/accounts"
	"botanik/internal/camera"
	"botanik/internal/demo"
	"botanik/internal/desk"
	"botanik/internal/guard"
	"botanik/internal/httpapi"
	"botanik/internal/loop"
	"botanik/internal/messaging"
	"botanik/internal/records"
	"botanik/internal/simulated"
	"botanik/internal/store"
	"botanik/web"

	"github.com/spf13/cobra"
)

func env(key, or string) string {
	if v := os.Getenv(key); v != "" {
		return v
	}
	return or
}

func dataDir() string { return env("BOTANIK_DATA", "data") }

func logger() (*slog.Logger, *httpapi.Troubles) {
	level := slog.LevelInfo
	if os.Getenv("BOTANIK_DEBUG") != "" {
		level = slog.LevelDebug
	}
	t := httpapi.NewTroubles(slog.NewJSONHandler(os.Stderr, &slog.HandlerOptions{Level: level}))
	return slog.New(t), t
}

// open is one desk, open.
type open struct {
	store  *store.Store
	desk   *records.Service
	people *accounts.Service
}

func (o open) close() error { return o.store.Close() }

func sound(base loadBase) (*knowledge.Base, error) {
	b, err := base()
	if err != nil {
		return nil, err
	}
	if p := knowledge.Errors(knowledge.Check(b)); len(p) > 0 {
		return nil, fmt.Errorf("the herbarium is not sound (%d rules): %s; botanik kb check lists them all", len(p), p[0])
	}
	return b, nil
}

// openDesk opens a desk. Hours that nobody measured or foretold are of the stand-in; nil makes
// none up.
func openDesk(ctx context.Context, base loadBase, dir string, standIn weather.Provider) (open, error) {
	b, err := sound(base)
	if err != nil {
		return open{}, err
	}
	st, err := store.Open(ctx, dir)
	if err != nil {
		return open{}, err
	}
	d := records.New(desk.New(st, b, standIn, time.Now))
	if os.Getenv("BOTANIK_HERBARIUM") == "" { // else the folder somebody named is the desk's own
		d.Books = herbarium.Load
		if err := d.OpenOverlay(); err != nil {
			return open{}, errors.Join(err, st.Close())
		}
	}
	if err := d.Open(ctx); err != nil {
		return open{}, errors.Join(err, st.Close())
	}
	return open{st, d, accounts.New(st, time.Now)}, nil
}

func serveCmd(base loadBase) *cobra.Command {
	return &cobra.Command{Use: "serve", Short: "Start the desk (BOTANIK_ADDR, BOTANIK_DATA)", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		opts, err := options()
		if err != nil {
			return err
		}
		ln, err := listener(cmd.Context())
		if err != nil {
			return err
		}
		o, err := openDesk(cmd.Context(), base, dataDir(), nil)
		var t *store.Trouble
		if errors.As(err, &t) {
			return outOfOrder(cmd.Context(), ln, cmd.ErrOrStderr(), t)
		}
		if err != nil {
			return errors.Join(err, ln.Close())
		}
		return errors.Join(serve(cmd, ln, o, opts), o.close())
	}}
}

func serve(cmd *cobra.Command, ln net.Listener, o open, opts httpapi.Options) error {
	all, err := o.people.All(cmd.Context())
	if err != nil {
		return err
	}
	if len(all) == 0 {
		_, _ = fmt.Fprintln(cmd.ErrOrStderr(), "Nobody can sign in yet. Add someone: botanik user add LOGIN --name NAME --role coordinator")
	}
	return listen(cmd, ln, o, opts, false, "")
}

// listen opens the desk on its address. standIn lets what the house names no device for be
// simulated: messages that nobody gets, a microscope that is none. Only the demo desk has it.
func listen(cmd *cobra.Command, ln net.Listener, o open, opts httpapi.Options, standIn bool, hello string) error {
	o.desk.Log = opts.Log
	torn, err := o.desk.ClearWork(cmd.Context())
	if err != nil {
		return err
	}
	for _, name := range torn {
		opts.Log.Warn("an import was broken off; what had come in was taken out again", "name", name)
	}
	var scope http.Handler
	if standIn {
		scope = simulated.NewScopeCamera(o.desk.Base().SlideKey)
	}
	opts.Camera = camera.New(scope, func(ctx context.Context) (string, error) {
		id, _, err := o.desk.House.Identity(ctx)
		return id.ScopeCamera, err
	})
	s, growers := httpapi.New(o.desk, o.people, opts), loop.New(o.desk.Service)
	ctx, stop := context.WithCancel(cmd.Context())
	var going sync.WaitGroup
	for _, loop := range []func(){
		func() { watchWeather(ctx, growers, opts.Log) },
		func() { carry(ctx, growers, standIn, opts.Log) },
		func() { copyByTheClock(ctx, o.desk, opts.Log) },
		func() { sweep(ctx, o.desk, opts.Log) },
	} {
		going.Go(loop)
	}
	defer func() { stop(); going.Wait(); o.desk.StopJobs() }() // before the file is closed
	_, _ = fmt.Fprintf(cmd.OutOrStdout(), "Botanik is open at http://%s\n%s", ln.Addr(), hello)
	return s.Serve(cmd.Context(), ln)
}

// turnEvery is how often days that were handed over are held against the weather.
const turnEvery = 20 * time.Minute

// watchWeather moves days whose weather turned, from the start and every so often.
func watchWeather(ctx context.Context, d *loop.Service, log *slog.Logger) {
	for tick := time.NewTicker(turnEvery); ; {
		guard.Each(ctx, log, "days could not be held against the weather", func() error {
			n, err := d.RescheduleForWeather(ctx)
			if n > 0 {
				log.Info("the weather moved days", "cases", n)
			}
			return err
		})
		select {
		case <-ctx.Done():
			tick.Stop()
			return
		case <-tick.C:
		}
	}
}

// copyEvery is how often it is looked whether a copy of the desk's file is due.
const copyEvery = 5 * time.Minute

// copyByTheClock writes the copies that House rules plan.
func copyByTheClock(ctx context.Context, d *records.Service, log *slog.Logger) {
	tick := time.NewTicker(copyEvery)
	defer tick.Stop()
	for {
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
		guard.Each(ctx, log, "the desk's file could not be copied", func() error {
			done, err := d.BackupIfDue(ctx)
			if done {
				log.Info("the desk's file was copied")
			}
			return err
		})
	}
}

// sweepEvery is how often what is done with is swept out.
const sweepEvery = 24 * time.Hour

// sweep takes out what nobody needs any more, from the start and once a day.
func sweep(ctx context.Context, d *records.Service, log *slog.Logger) {
	tick := time.NewTicker(sweepEvery)
	defer tick.Stop()
	for {
		guard.Each(ctx, log, "what is done with could not be swept out", func() error { return d.Sweep(ctx) })
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

// carryEvery is how often the outbox is looked through.
const carryEvery = 10 * time.Second

// carry hands messages to the gateway the house names; where it names none, to the stand-in,
// or nowhere.
func carry(ctx context.Context, d *loop.Service, standIn bool, log *slog.Logger) {
	var by http.Handler
	if standIn {
		by = simulated.NewGateway()
	}
	carrier := messaging.New(by, func(ctx context.Context) (string, error) {
		id, _, err := d.House.Identity(ctx)
		return id.Gateway, err
	})
	tick := time.NewTicker(carryEvery)
	defer tick.Stop()
	for {
		guard.Each(ctx, log, "the outbox could not be worked through", func() error {
			_, err := d.DeliverOutbox(ctx, carrier)
			return err
		})
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

// options of the server, from the environment.
func options() (httpapi.Options, error) {
	log, troubles := logger()
	o := httpapi.Options{Page: web.Dist(), Log: log, Troubles: troubles, HTTPS: os.Getenv("BOTANIK_HTTPS") != ""}
	for _, p := range strings.FieldsFunc(os.Getenv("BOTANIK_PROXY"), func(r rune) bool { return r == ',' || r == ' ' }) {
		if a, err := netip.ParseAddr(p); err == nil {
			o.Proxies = append(o.Proxies, netip.PrefixFrom(a, a.BitLen()))
			continue
		}
		n, err := netip.ParsePrefix(p)
		if err != nil {
			return o, fault.New("BOTANIK_PROXY", fmt.Sprintf("%q is no address", p), "write addresses or networks with commas between, like 127.0.0.1,10.0.0.0/8")
		}
		o.Proxies = append(o.Proxies, n)
	}
	return o, nil
}

// listener takes the address before any file is touched: a desk that cannot be
// reached must change nothing.
func listener(ctx context.Context) (net.Listener, error) {
	addr := env("BOTANIK_ADDR", "127.0.0.1:8080")
	ln, err := new(net.ListenConfig).Listen(ctx, "tcp", addr)
	if err != nil {
		return nil, fmt.Errorf("%s cannot be listened on; choose another with BOTANIK_ADDR: %w", addr, err)
	}
	return ln, nil
}

// outOfOrder keeps the address and says on it what is wrong with the desk's
// file, until somebody has mended it and starts the desk again.
func outOfOrder(ctx context.Context, ln net.Listener, w io.Writer, t *store.Trouble) error {
	_, _ = fmt.Fprintf(w, "The desk cannot open: %v.\nUntil it is mended and started again, http://%s says so.\n", t, ln.Addr())
	srv := &http.Server{ReadHeaderTimeout: 5 * time.Second, Handler: http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		w.Header().Set("Cache-Control", "no-store")
		w.Header().Set("X-Content-Type-Options", "nosniff")
		switch {
		case r.URL.Path == "/healthz":
			w.Header().Set("Content-Type", "application/json")
			w.WriteHeader(http.StatusServiceUnavailable)
			_ = printJSON(w, map[string]string{"status": t.Error()})
		case strings.HasPrefix(r.URL.Path, "/api/"):
			w.Header().Set("Content-Type", "application/problem+json")
			w.WriteHeader(http.StatusServiceUnavailable)
			_ = printJSON(w, map[string]any{"type": "about:blank", "title": "The desk cannot open", "status": http.StatusServiceUnavailable, "detail": t.Error() + "."})
		default:
			w.Header().Set("Content-Type", "text/plain; charset=utf-8")
			w.WriteHeader(http.StatusServiceUnavailable)
			_, _ = fmt.Fprintf(w, "The desk cannot open just now: %v.\n", t)
		}
	})}
	ended := make(chan error, 1)
	go func() { ended <- srv.Serve(ln) }()
	select {
	case err := <-ended:
		return err
	case <-ctx.Done():
		_ = srv.Close()
		return t
	}
}

// keptDemos is how many earlier demo desks stay beside the newest.
const keptDemos = 3

func demoCmd(base loadBase) *cobra.Command {
	var fresh bool
	cmd := &cobra.Command{Use: "demo", Short: "Start the Merrin Sound demo desk, all made up", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		ctx, dir := cmd.Context(), env("BOTANIK_DATA", filepath.Join(os.TempDir(), "botanik-demo"))
		opts, err := options()
		if err != nil {
			return err
		}
		ln, err := listener(cmd.Context())
		if err != nil {
			return err
		}
		if err := makeRoom(ctx, dir, fresh, cmd.ErrOrStderr()); err != nil {
			return errors.Join(err, ln.Close())
		}
		o, err := openDesk(ctx, base, dir, simulated.Station{})
		if err != nil {
			return errors.Join(err, ln.Close())
		}
		err = o.store.Mark(ctx, store.MarkDemo)
		if err == nil {
			err = demo.Fill(ctx, o.desk, o.people, time.Now())
		}
		if err == nil {
			err = listen(cmd, ln, o, opts, true, demo.SignIns())
		}
		return errors.Join(err, o.close())
	}}
	cmd.Flags().BoolVar(&fresh, "fresh", true, "start with a new desk each time; the one before is kept beside it")
	return cmd
}

// makeRoom sets an earlier demo desk aside. A file that does not say of itself
// that it is one is never touched: somebody's cases may be in it.
func makeRoom(ctx context.Context, dir string, fresh bool, w io.Writer) error {
	isDemo, err := store.ReadMark(ctx, dir, store.MarkDemo)
	switch {
	case err != nil:
		return fmt.Errorf("%w; the demo desk leaves it alone: name another folder in BOTANIK_DATA", err)
	case !isDemo.There:
		return nil
	case !isDemo.Marked && os.Getenv("BOTANIK_DATA") != "":
		return fault.New("BOTANIK_DATA", fmt.Sprintf("%s holds a desk that is not the demo desk", dir), "name another folder, or leave it out to use one of the demo's own")
	case !fresh && isDemo.Marked:
		return nil
	}
	kept, err := store.MoveAside(dir, time.Now())
	if err != nil {
		return err
	}
	_, _ = fmt.Fprintf(w, "The demo desk of last time is kept as %s\n", kept)
	if !isDemo.Marked {
		return nil
	}
	return store.KeepNewest(dir, keptDemos)
}

func openapiCmd() *cobra.Command {
	return &cobra.Command{Use: "openapi", Short: "Print the API's OpenAPI 3.1 description", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		raw, err := httpapi.Describe()
		if err != nil {
			return err
		}
		_, err = cmd.OutOrStdout().Write(raw)
		return err
	}}
}
