package main

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"sync"
	"testing"
	"time"

	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// running is a command that goes on until it is stopped.
type running struct {
	t    *testing.T
	base string
	stop func() error
	mu   sync.Mutex
	out  bytes.Buffer
}

func (r *running) Write(p []byte) (int, error) {
	r.mu.Lock()
	defer r.mu.Unlock()
	return r.out.Write(p)
}

func (r *running) said() string {
	r.mu.Lock()
	defer r.mu.Unlock()
	return r.out.String()
}

var reAddress = regexp.MustCompile(`http://(\[?[0-9a-f.:]+\]?:\d+)`)

// start runs a serving command until it says where it is, or has ended.
func start(t *testing.T, args ...string) *running {
	t.Setenv("BOTANIK_ADDR", "127.0.0.1:0")
	r := &running{t: t}
	ctx, cancel := context.WithCancel(context.Background())
	cmd := root()
	cmd.SetArgs(args)
	cmd.SetOut(r)
	cmd.SetErr(r)
	ended := make(chan error, 1)
	go func() { ended <- cmd.ExecuteContext(ctx) }()
	var once sync.Once
	var err error
	r.stop = func() error {
		once.Do(func() { cancel(); err = <-ended })
		return err
	}
	t.Cleanup(func() { _ = r.stop() })
	deadline := time.Now().Add(2 * time.Minute)
	for r.base == "" && time.Now().Before(deadline) {
		if m := reAddress.FindStringSubmatch(r.said()); m != nil {
			r.base = "http://" + m[1]
			break
		}
		select {
		case err = <-ended:
			once.Do(cancel)
			return r
		case <-time.After(20 * time.Millisecond):
		}
	}
	return r
}

func (r *running) get(path string) (int, string) {
	r.t.Helper()
	resp, err := http.Get(r.base + path)
	require.NoError(r.t, err)
	defer func() { _ = resp.Body.Close() }()
	raw, err := io.ReadAll(resp.Body)
	require.NoError(r.t, err)
	return resp.StatusCode, string(raw)
}

func TestTheDemoNeverTouchesADeskOfOnesOwn(t *testing.T) {
	dir := t.TempDir()
	t.Setenv("BOTANIK_DATA", dir)
	t.Setenv("BOTANIK_PASSWORD", "a-real-secret")
	_, errs, code := cli(t, "", "user", "add", "odile", "--role", "coordinator")
	require.Zero(t, code, errs)
	path := filepath.Join(dir, store.FileName)
	was, err := os.ReadFile(path)
	require.NoError(t, err)

	for _, args := range [][]string{{"demo"}, {"demo", "--fresh=false"}} {
		r := start(t, args...)
		assert.Empty(t, r.base, "it does not open")
		assert.ErrorContains(t, r.stop(), "not the demo desk")
		is, err := os.ReadFile(path)
		require.NoError(t, err)
		assert.True(t, bytes.Equal(was, is))
	}
	running := start(t, "serve")
	require.NotEmpty(t, running.base)
	assert.Error(t, start(t, "demo").stop())
	status, body := running.get("/healthz")
	assert.Equal(t, 200, status, body)
	require.NoError(t, running.stop())
	out, _, code := cli(t, "", "user", "list")
	require.Zero(t, code)
	assert.Contains(t, out, "odile")
	assert.NotContains(t, out, "ansel")
}

func TestTheDemoStartsAnewAndKeepsTheOneBefore(t *testing.T) {
	dir := t.TempDir()
	t.Setenv("BOTANIK_DATA", dir)
	first := start(t, "demo")
	require.NotEmpty(t, first.base, first.said())
	second := start(t, "demo")
	assert.Empty(t, second.base)
	assert.ErrorIs(t, second.stop(), store.ErrInUse)
	status, _ := first.get("/healthz")
	assert.Equal(t, 200, status, "the running one goes on")
	require.NoError(t, first.stop())
	third := start(t, "demo")
	require.NotEmpty(t, third.base, third.said())
	require.NoError(t, third.stop())
	kept, err := filepath.Glob(filepath.Join(dir, store.FileName+".2*"))
	require.NoError(t, err)
	assert.NotEmpty(t, kept, third.said())
}

func TestRestoreAndASecondDeskBesideARunningOneAreRefused(t *testing.T) {
	t.Setenv("BOTANIK_DATA", t.TempDir())
	t.Setenv("BOTANIK_PASSWORD", "a-real-secret")
	_, errs, code := cli(t, "", "user", "add", "odile", "--role", "coordinator")
	require.Zero(t, code, errs)
	r := start(t, "serve")
	require.NotEmpty(t, r.base, r.said())
	copied := filepath.Join(t.TempDir(), "copy.db")
	out, errs, code := cli(t, "", "backup", copied)
	require.Zero(t, code, errs)
	assert.Contains(t, out, "0 cases")
	assert.Contains(t, out, copied)
	_, errs, code = cli(t, "", "restore", copied)
	assert.Equal(t, exitTrouble, code)
	assert.Contains(t, errs, "stop it first")
	assert.ErrorIs(t, start(t, "serve").stop(), store.ErrInUse)
	out, errs, code = cli(t, "", "user", "add", "ansel")
	require.Zero(t, code, errs)
	assert.Contains(t, out, "advisor", "people are let in while it runs")
	require.NoError(t, r.stop())
	out, errs, code = cli(t, "", "restore", copied)
	require.Zero(t, code, errs)
	assert.Contains(t, out, "The old desk is kept as")
}

func TestAMistypedFolderMakesNoDesk(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "dta")
	t.Setenv("BOTANIK_DATA", dir)
	for _, args := range [][]string{{"backup", filepath.Join(t.TempDir(), "x.db")}, {"user", "list"}, {"user", "disable", "odile"}, {"kb", "check", "--data", dir}} {
		_, errs, code := cli(t, "", args...)
		assert.Equal(t, exitTrouble, code, args)
		assert.Contains(t, errs, "BOTANIK_DATA", args)
	}
	assert.NoDirExists(t, dir)
}

func TestADeskThatCannotOpenSaysSoWhereItIsAsked(t *testing.T) {
	for name, spoil := range map[string]func(path string){
		"empty":   func(p string) { require.NoError(t, os.WriteFile(p, nil, 0o600)) },
		"damaged": func(p string) { require.NoError(t, os.WriteFile(p, bytes.Repeat([]byte("rose"), 5000), 0o600)) },
	} {
		t.Run(name, func(t *testing.T) {
			dir := t.TempDir()
			t.Setenv("BOTANIK_DATA", dir)
			spoil(filepath.Join(dir, store.FileName))
			r := start(t, "serve")
			require.NotEmpty(t, r.base)
			assert.Contains(t, r.said(), "cannot open")
			status, body := r.get("/healthz")
			assert.Equal(t, 503, status)
			assert.Contains(t, body, "backup", "what to do stands there")
			status, body = r.get("/api/v1/today")
			assert.Equal(t, 503, status)
			assert.True(t, json.Valid([]byte(body)))
			status, _ = r.get("/")
			assert.Equal(t, 503, status)
			var tr *store.Trouble
			assert.ErrorAs(t, r.stop(), &tr)
		})
	}
}

func TestPeopleAreChangedFromTheShell(t *testing.T) {
	t.Setenv("BOTANIK_DATA", t.TempDir())
	for _, who := range []string{"odile", "ansel"} {
		_, errs, code := cli(t, "a-long-password\n", "user", "add", who, "--role", "coordinator")
		require.Zero(t, code, errs)
	}
	for _, args := range [][]string{{"disable", "ansel"}, {"enable", "ansel"}, {"role", "ansel", "trainee"}} {
		out, errs, code := cli(t, "", append([]string{"user"}, args...)...)
		require.Zero(t, code, errs)
		assert.Contains(t, out, fmt.Sprintf(`"active": %v`, args[0] != "disable"))
	}
	_, errs, code := cli(t, "another-password\n", "user", "passwd", "ansel")
	require.Zero(t, code, errs)
	for args, word := range map[string]string{"disable odile": "only coordinator", "disable nobody": "user list", "role ansel owner": "not a role", "add <b>x": "sign-in name", "add ../x": "sign-in name"} {
		_, errs, code := cli(t, "a-long-password\n", append([]string{"user"}, strings.Fields(args)...)...)
		assert.Equal(t, exitInput, code, args)
		assert.Contains(t, errs, word)
	}
	_, errs, code = cli(t, "short\n", "user", "passwd", "ansel")
	assert.Equal(t, exitInput, code)
	assert.Contains(t, errs, "8 characters")
}

func TestTheAddressAndTheProxyAreChecked(t *testing.T) {
	t.Setenv("BOTANIK_DATA", t.TempDir())
	t.Setenv("BOTANIK_PROXY", "the balancer")
	assert.ErrorContains(t, start(t, "serve").stop(), "BOTANIK_PROXY")
	assert.NoFileExists(t, filepath.Join(os.Getenv("BOTANIK_DATA"), store.FileName))
	t.Setenv("BOTANIK_PROXY", "")
	r := start(t, "serve")
	t.Setenv("BOTANIK_ADDR", strings.TrimPrefix(r.base, "http://"))
	_, errs, code := cli(t, "", "demo")
	assert.Equal(t, exitTrouble, code)
	assert.Contains(t, errs, "BOTANIK_ADDR")
}
