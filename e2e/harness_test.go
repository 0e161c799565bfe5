package e2e

import (
	"context"
	"errors"
	"fmt"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/chromedp/cdproto/cdp"
	"github.com/chromedp/cdproto/css"
	"github.com/chromedp/cdproto/dom"
	"github.com/chromedp/cdproto/emulation"
	"github.com/chromedp/cdproto/input"
	"github.com/chromedp/cdproto/network"
	cdpage "github.com/chromedp/cdproto/page"
	cdruntime "github.com/chromedp/cdproto/runtime"
	"github.com/chromedp/cdproto/target"
	"github.com/chromedp/chromedp"
	"github.com/chromedp/chromedp/kb"
	"github.com/stretchr/testify/require"
)

var binary = sync.OnceValues(func() (string, error) {
	dir, err := os.MkdirTemp("", "botanik-e2e")
	if err != nil {
		return "", err
	}
	out := filepath.Join(dir, "botanik")
	cmd := exec.Command("go", "build", "-o", out, "./cmd/botanik")
	cmd.Dir = ".."
	if text, err := cmd.CombinedOutput(); err != nil {
		return "", fmt.Errorf("building: %w\n%s", err, text)
	}
	return out, nil
})

// program is one running desk.
type program struct {
	t    *testing.T
	dir  string
	addr string
	args []string
	cmd  *exec.Cmd
}

func freeAddr(t *testing.T) string {
	l, err := net.Listen("tcp", "127.0.0.1:0")
	require.NoError(t, err)
	defer func() { _ = l.Close() }()
	return l.Addr().String()
}

// theDemo is a demo desk filled once; each journey works on a copy of it.
var theDemo struct {
	sync.Mutex
	dir string
}

func demoFolder(t *testing.T) string {
	theDemo.Lock()
	defer theDemo.Unlock()
	if theDemo.dir == "" {
		first := &program{t: t, dir: t.TempDir(), addr: freeAddr(t), args: []string{"demo"}}
		first.run()
		first.stop(syscall.SIGTERM)
		dir, err := os.MkdirTemp("", "botanik-e2e-demo")
		require.NoError(t, err)
		require.NoError(t, os.CopyFS(filepath.Join(dir, "desk"), os.DirFS(first.dir)))
		theDemo.dir = dir
	}
	return filepath.Join(theDemo.dir, "desk")
}

// start runs the demo desk in a folder of its own.
func start(t *testing.T) *program {
	full := demoFolder(t)
	p := &program{t: t, dir: t.TempDir(), addr: freeAddr(t), args: []string{"demo", "--fresh=false"}}
	require.NoError(t, os.CopyFS(p.dir, os.DirFS(full)))
	p.run()
	t.Cleanup(func() { p.stop(syscall.SIGTERM) })
	return p
}

func (p *program) run() {
	bin, err := binary()
	require.NoError(p.t, err)
	p.cmd = exec.Command(bin, p.args...)
	p.cmd.Env = append(os.Environ(), "BOTANIK_ADDR="+p.addr, "BOTANIK_DATA="+p.dir)
	log, err := os.OpenFile(filepath.Join(p.dir, "log"), os.O_CREATE|os.O_APPEND|os.O_WRONLY, 0o600)
	require.NoError(p.t, err)
	defer func() { _ = log.Close() }()
	p.cmd.Stderr = log
	p.t.Cleanup(func() {
		if raw, err := os.ReadFile(log.Name()); err == nil && p.t.Failed() {
			p.t.Logf("the program said, at the end:\n%s", raw[max(0, len(raw)-3000):])
		}
	})
	require.NoError(p.t, p.cmd.Start())
	require.Eventually(p.t, func() bool {
		r, err := http.Get("http://" + p.addr + "/healthz")
		if err != nil {
			return false
		}
		_ = r.Body.Close()
		return r.StatusCode == http.StatusOK
	}, patience, 50*time.Millisecond, "the desk did not open")
}

func (p *program) stop(sig syscall.Signal) {
	if p.cmd == nil {
		return
	}
	_ = p.cmd.Process.Signal(sig)
	_ = p.cmd.Wait()
	p.cmd = nil
}

// restart stops the program and opens the same desk again.
func (p *program) restart() {
	p.stop(syscall.SIGTERM)
	p.args = []string{"serve"}
	p.run()
}

// patience is how long a journey waits for one thing; a busy machine is slow.
const patience = 90 * time.Second

// page is one browser tab.
type page struct {
	t    *testing.T
	ctx  context.Context
	base string
}

var chrome = sync.OnceValues(func() (string, error) {
	// The shell is the same engine without the windows around it, and costs three quarters.
	for _, name := range []string{"/usr/lib/chromium/chromium-headless-shell", "chromium-headless-shell", "chromium", "chromium-browser"} {
		if p, err := exec.LookPath(name); err == nil {
			return p, nil
		}
	}
	return "", errors.New("chromium is not installed; make test installs it")
})

// theBrowser is one Chromium for all journeys, started again should it have died.
var theBrowser struct {
	sync.Mutex
	ctx   context.Context
	close func()
}

func browser(t *testing.T) context.Context {
	theBrowser.Lock()
	defer theBrowser.Unlock()
	if theBrowser.ctx != nil && theBrowser.ctx.Err() == nil {
		return theBrowser.ctx
	}
	bin, err := chrome()
	require.NoError(t, err)
	dir, err := os.MkdirTemp("", "botanik-e2e-browser")
	require.NoError(t, err)
	opts := append(chromedp.DefaultExecAllocatorOptions[:],
		chromedp.ExecPath(bin), chromedp.NoSandbox, chromedp.DisableGPU, chromedp.UserDataDir(dir),
		chromedp.Flag("disable-background-networking", true), chromedp.Flag("disable-component-update", true),
		chromedp.Flag("disable-sync", true), chromedp.Flag("no-first-run", true), chromedp.Flag("hide-scrollbars", true))
	actx, cancelA := chromedp.NewExecAllocator(context.Background(), opts...)
	ctx, cancel := chromedp.NewContext(actx)
	require.NoError(t, chromedp.Run(ctx))
	theBrowser.ctx, theBrowser.close = ctx, func() {
		_ = chromedp.Cancel(ctx) // asked to close, not only its starter killed
		cancel()
		cancelA()
		_ = os.RemoveAll(dir)
	}
	return ctx
}

func TestMain(m *testing.M) {
	code := m.Run()
	if theBrowser.close != nil {
		theBrowser.close()
	}
	if theDemo.dir != "" {
		_ = os.RemoveAll(theDemo.dir)
	}
	os.Exit(code)
}

// browse opens a tab that shares nothing with any other: its own storage, its own
// sign-in, and the focus as if it were the only one.
func browse(t *testing.T, base string, w, h int64) *page {
	all := browser(t)
	over := cdp.WithExecutor(all, chromedp.FromContext(all).Browser)
	own, err := target.CreateBrowserContext().WithDisposeOnDetach(true).Do(over)
	require.NoError(t, err)
	tab, err := target.CreateTarget("about:blank").WithBrowserContextID(own).WithNewWindow(true).Do(over)
	require.NoError(t, err)
	ctx, cancel := chromedp.NewContext(all, chromedp.WithTargetID(tab))
	t.Cleanup(func() { _ = target.DisposeBrowserContext(own).Do(over) })
	ctx, cancelT := context.WithTimeout(ctx, 10*time.Minute)
	t.Cleanup(func() { cancelT(); cancel() })
	p := &page{t, ctx, base}
	chromedp.ListenTarget(ctx, func(ev any) {
		if e, ok := ev.(*cdruntime.EventExceptionThrown); ok {
			t.Errorf("the page threw: %s", e.ExceptionDetails.Error())
		}
	})
	p.do(css.Disable(), network.Disable(), dom.Disable(), emulation.SetFocusEmulationEnabled(true), chromedp.EmulateViewport(w, h), emulation.SetEmulatedMedia().WithFeatures([]*emulation.MediaFeature{{Name: "prefers-color-scheme", Value: "light"}, {Name: "prefers-reduced-motion", Value: "reduce"}}))
	return p
}

func (p *page) do(actions ...chromedp.Action) {
	p.t.Helper()
	if err := chromedp.Run(p.ctx, actions...); err != nil {
		p.fail(err)
	}
}

// fail leaves a picture of where it went wrong.
func (p *page) fail(err error) {
	p.t.Helper()
	var buf []byte
	if chromedp.Run(p.ctx, chromedp.CaptureScreenshot(&buf)) == nil {
		f := filepath.Join(os.TempDir(), "botanik-"+strings.ReplaceAll(p.t.Name(), "/", "-")+".png")
		_ = os.WriteFile(f, buf, 0o644)
		p.t.Logf("picture: %s", f)
	}
	require.NoError(p.t, err)
}

func (p *page) open(path string) {
	p.t.Helper()
	p.do(chromedp.Navigate(p.base + path))
}

func (p *page) signIn(login string) {
	p.t.Helper()
	p.open("/")
	p.fill(`input[name=login]`, login)
	p.fill(`input[name=password]`, "merrin-sound"+kb.Enter)
	p.see(`nav.rail`)
}

// when waits inside the page until an expression is something, and gives it: one question
// instead of one every few milliseconds. A page that goes elsewhere meanwhile is asked again.
func (p *page) when(what, js string, into any) {
	p.t.Helper()
	wait := fmt.Sprintf(`new Promise(done => { const look = () => { const x = (() => { try { return %s } catch { return null } })(); x ? done(x) : setTimeout(look, 50) }; look() })`, js)
	ctx, cancel := context.WithTimeout(p.ctx, patience)
	defer cancel()
	for {
		err := chromedp.Run(ctx, chromedp.Evaluate(wait, into, awaitPromise))
		if err == nil {
			return
		}
		if ctx.Err() != nil {
			p.fail(fmt.Errorf("waited in vain for %s: %w", what, err))
		}
		if !goneElsewhere(err) {
			p.fail(fmt.Errorf("%s: %w", what, err))
		}
		time.Sleep(50 * time.Millisecond)
	}
}

// goneElsewhere tells an error of a page that was left while it was asked.
func goneElsewhere(err error) bool {
	for _, s := range []string{"context was destroyed", "Cannot find context", "navigated or closed", "Promise was collected", "cannot find default execution context"} {
		if strings.Contains(err.Error(), s) {
			return true
		}
	}
	return false
}

// visible is an expression that finds something that can be seen.
func visible(css string) string {
	return fmt.Sprintf(`(e => e && e.getClientRects().length > 0 && getComputedStyle(e).visibility === 'visible' ? e : null)(document.querySelector(%q))`, css)
}

// see waits until something is visible.
func (p *page) see(css string) {
	p.t.Helper()
	var ok bool
	p.when(css+" to be seen", "!!"+visible(css), &ok)
}

// read waits until the page holds some words.
func (p *page) read(words string) {
	p.t.Helper()
	var ok bool
	p.when(fmt.Sprintf("%q on the page", words), fmt.Sprintf(`document.body.innerText.replace(/\s+/g, ' ').includes(%q)`, words), &ok)
}

// until waits until an expression of the page is true.
func (p *page) until(what, js string) {
	p.t.Helper()
	var ok bool
	p.when(what, "!!("+js+")", &ok)
}

// focusIn waits until a field inside something has the focus.
func (p *page) focusIn(css string) {
	p.t.Helper()
	p.see(css + " input")
	p.until("the focus to move into "+css, fmt.Sprintf(`document.activeElement.matches(%q)`, css+" input"))
}

func (p *page) text(css string) string {
	p.t.Helper()
	var s string
	p.do(chromedp.Evaluate(fmt.Sprintf(`(document.querySelector(%q)?.innerText ?? "").replace(/\s+/g, " ")`, css), &s))
	return s
}

// says waits until what stands at css says the words: a page that shows an answer at
// once may hold the rest of it a moment later.
func (p *page) says(css, words string) {
	p.t.Helper()
	p.until(fmt.Sprintf("%s to say %q", css, words), fmt.Sprintf(`(document.querySelector(%q)?.innerText ?? "").replace(/\s+/g, " ").includes(%q)`, css, words))
}

// click waits until something is seen, stands still and is not covered, as a hand does, and
// presses in the middle of it.
func (p *page) click(css string) { p.t.Helper(); p.clickAt(css, visible(css)) }

// clickNamed presses the element of that kind that says the words and nothing else.
func (p *page) clickNamed(css, words string) {
	p.t.Helper()
	p.clickAt(words, fmt.Sprintf(`[...document.querySelectorAll(%q)].find(e => e.innerText.trim() === %q && e.getClientRects().length)`, css, words))
}

func (p *page) clickAt(what, js string) {
	p.t.Helper()
	var at []float64
	p.when(what+" to be pressed", fmt.Sprintf(`(e => {
		if (!e) return null
		e.scrollIntoView({block: 'nearest'})
		const b = e.getBoundingClientRect(), x = b.x + b.width / 2, y = b.y + b.height / 2, over = document.elementFromPoint(x, y)
		const was = window.__at, now = [%q, x, y].join()
		window.__at = now
		return was === now && over && (e.contains(over) || over.contains(e)) ? [x, y] : null
	})(%s)`, what, js), &at)
	p.do(chromedp.MouseClickXY(at[0], at[1]))
}

func (p *page) fill(css, words string) {
	p.t.Helper()
	p.focus(css)
	p.eval(`document.activeElement.select?.(), true`, new(bool))
	p.do(chromedp.KeyEvent(words))
}

// fillNamed fills the field that a label of these words belongs to.
func (p *page) fillNamed(label, words string) {
	p.t.Helper()
	p.when(label, fmt.Sprintf(`(l => { l?.parentElement.querySelector('input, textarea')?.focus(); return !!l?.parentElement.contains(document.activeElement) })([...document.querySelectorAll('label')].find(l => l.innerText.replace('*', '').trim() === %q))`, label), new(bool))
	p.do(chromedp.KeyEvent(words))
}

// piece is a picture of one thing on the page.
func (p *page) piece(css string) []byte {
	p.t.Helper()
	var at []float64
	p.when(css, fmt.Sprintf(`(e => { e?.scrollIntoView({block: 'nearest'}); const b = e?.getBoundingClientRect(); return b && [b.x + scrollX, b.y + scrollY, b.width, b.height] })(%s)`, visible(css)), &at)
	var out []byte
	p.do(chromedp.ActionFunc(func(ctx context.Context) (err error) {
		out, err = cdpage.CaptureScreenshot().WithClip(&cdpage.Viewport{X: at[0], Y: at[1], Width: at[2], Height: at[3], Scale: 1}).WithCaptureBeyondViewport(true).Do(ctx)
		return err
	}))
	return out
}

// focus puts the focus on something seen.
func (p *page) focus(css string) {
	p.t.Helper()
	p.when("the focus to be on "+css, fmt.Sprintf(`(e => { e?.focus(); return document.activeElement === e })(%s)`, visible(css)), new(bool))
}

// upload puts files into a field for them, hidden or not.
func (p *page) upload(css string, files ...string) {
	p.t.Helper()
	p.when(css, fmt.Sprintf(`!!document.querySelector(%q)`, css), new(bool))
	var field *cdruntime.RemoteObject
	p.do(chromedp.Evaluate(fmt.Sprintf(`document.querySelector(%q)`, css), &field), chromedp.ActionFunc(func(ctx context.Context) error {
		return dom.SetFileInputFiles(files).WithObjectID(field.ObjectID).Do(ctx)
	}))
}

// press sends keys to whatever has the focus.
func (p *page) press(keys ...string) {
	p.t.Helper()
	for _, k := range keys {
		if k[0] < ' ' || k[0] > '~' { // Tab, Enter, arrows
			p.do(chromedp.KeyEvent(k))
		} else {
			if len(k) == 1 {
				p.do(chromedp.Sleep(200 * time.Millisecond)) // a command, not a letter of a word
			}
			p.typed(k)
		}
		p.drawn()
	}
}

// drawn waits until the page has taken what was done to it and drawn the answer:
// two frames, which a page busy with the last key does not give.
func (p *page) drawn() {
	p.t.Helper()
	var ok bool
	p.do(chromedp.Evaluate(`new Promise(done => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(() => done(true)))))`, &ok, awaitPromise))
}

// still waits until the page stands still: its fonts are there and what it shows
// is the same in two looks at it.
func (p *page) still() {
	p.t.Helper()
	p.until("the page to stand still", `document.fonts.status === 'loaded' && window.__seen === (window.__seen = document.body.innerHTML.length + ':' + document.getAnimations().filter(a => a.playState === 'running').length)`)
	p.drawn()
}

// typed sends each character as one key event that makes its own text, so that
// a page that takes a key for itself also keeps its letter out of a field, as
// in a browser by hand.
func (p *page) typed(words string) {
	p.t.Helper()
	for _, c := range words {
		s := string(c)
		p.do(input.DispatchKeyEvent(input.KeyDown).WithKey(s).WithText(s), input.DispatchKeyEvent(input.KeyUp).WithKey(s))
	}
}

func (p *page) eval(js string, into any) {
	p.t.Helper()
	p.do(chromedp.Evaluate(js, into))
}

func (p *page) shot(file string) {
	p.t.Helper()
	p.still()
	var buf []byte
	p.do(chromedp.CaptureScreenshot(&buf))
	require.NoError(p.t, os.MkdirAll(filepath.Dir(file), 0o755))
	require.NoError(p.t, os.WriteFile(file, buf, 0o644))
}

// awaitPromise makes Evaluate wait for what a promise gives.
func awaitPromise(p *cdruntime.EvaluateParams) *cdruntime.EvaluateParams {
	return p.WithAwaitPromise(true)
}
