package httpapi

import (
	"bytes"
	"compress/gzip"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"net/http"
	"strings"
	"sync"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/calendar"
	"botanik/internal/desk"
	"botanik/internal/httpapi/grower"
	"botanik/internal/loop"
	"botanik/internal/photo"

	"github.com/gofiber/fiber/v3"
)

// growerPage answers the address on a grower's sheet with a page of its own.
func (s *Server) growerPage(c fiber.Ctx) error {
	return s.showGrower(c, grower.Said{Thanks: c.Query("told") != "", Large: c.Query("type") == "large"})
}

func (s *Server) showGrower(c fiber.Ctx, said grower.Said) error {
	nonce := accounts.RandomText(18)
	c.Set("Content-Type", "text/html; charset=utf-8")
	c.Set("Content-Security-Policy", strings.Replace(grower.Policy, "%s", nonce, 1))
	c.Set("Cache-Control", "no-store")
	c.Set("X-Robots-Tag", "noindex")
	// The address itself is the key, and goes nowhere else; the form on it says that it comes from here.
	c.Set("Referrer-Policy", "same-origin")
	var out bytes.Buffer
	page, err := s.loop.PageByToken(c.Context(), c.Params("token"))
	switch {
	case err == nil:
		err = grower.Write(&out, page, said, nonce)
	case errors.Is(err, desk.ErrNotFound):
		c.Status(http.StatusNotFound)
		err = grower.Missing(&out, "The address may have been mistyped, or its time is over. Ask at the plant desk with the number on your tag.", nonce)
	default:
		s.log.Error("unexpected", "err", err)
		c.Status(http.StatusServiceUnavailable)
		err = grower.Missing(&out, "The desk cannot show it just now. Try again in a little while.", nonce)
	}
	if err != nil {
		return err
	}
	return c.Send(out.Bytes())
}

// growerTells takes what a grower sends from their page, and shows it again: with thanks, or
// with what has to be mended and all that was typed.
func (s *Server) growerTells(c fiber.Ctx) error {
	select {
	case s.large <- struct{}{}:
		defer func() { <-s.large }()
	case <-time.After(growerPatience):
		return fiber.ErrServiceUnavailable
	}
	token := c.Params("token")
	said := grower.Said{}
	// Only what exists is counted: addresses that somebody makes up cost nobody's page its turn.
	if _, err := s.loop.PageByToken(c.Context(), token); errors.Is(err, desk.ErrNotFound) {
		return s.showGrower(c, said)
	}
	form, err := c.MultipartForm()
	if err != nil {
		c.Status(http.StatusUnprocessableEntity)
		said.Trouble = "That could not be read. Send it once more; a picture has to be smaller than 10 MB."
		return s.showGrower(c, said)
	}
	one := func(name string) string {
		if v := form.Value[name]; len(v) > 0 {
			return v[0]
		}
		return ""
	}
	said.Word, said.Counts, said.Note, said.Done, said.NoMessages = one("word"), one("counts"), one("note"), form.Value["done"], one("nomessages") != ""
	said.Sent = true
	in := loop.TellInput{Word: said.Word, Counts: said.Counts, Note: said.Note, Done: append([]string{}, said.Done...), NoMessages: said.NoMessages}
	if wait := s.tells.wait(token, s.desk.Now()); wait > 0 {
		c.Status(http.StatusTooManyRequests)
		said.Trouble = fmt.Sprintf("That is very much at once. Wait %d minutes, or telephone.", int(wait.Minutes())+1)
		return s.showGrower(c, said)
	}
	if files := form.File["photo"]; len(files) > 0 && files[0].Size > 0 {
		f, err := files[0].Open()
		if err != nil {
			return err
		}
		in.Name = files[0].Filename
		in.Photo, err = io.ReadAll(io.LimitReader(f, photo.MaxBytes+1))
		if err = errors.Join(err, f.Close()); err != nil {
			return err
		}
	}
	err = s.loop.Tell(c.Context(), token, in)
	switch {
	case err == nil:
		return c.Redirect().Status(http.StatusSeeOther).To("/p/" + token + "?told=1#told")
	case errors.Is(err, desk.ErrNotFound):
		return s.showGrower(c, said)
	case fault.Is(err):
		c.Status(http.StatusUnprocessableEntity)
		f := fault.From(err)[0]
		said.Trouble = sentence(strings.TrimSpace(f.Field + " " + f.Problem + ": " + f.Mend + "."))
		return s.showGrower(c, said)
	}
	s.log.Error("unexpected", "err", err)
	c.Status(http.StatusServiceUnavailable)
	said.Trouble = "The desk cannot take it just now. Try again in a little while; what you wrote stands below."
	return s.showGrower(c, said)
}

func sentence(text string) string {
	r := []rune(text)
	return strings.ToUpper(string(r[:1])) + string(r[1:])
}

// growerPatience is how long what a grower sends waits for its turn.
const growerPatience = 20 * time.Second

// tellLimit holds how often one page tells: a dozen at once, and one more every five
// minutes. A page that has its dozen again is forgotten; pages are counted only once they
// are known to exist, so there are never more than the desk has handed out.
type tellLimit struct {
	mu   sync.Mutex
	left map[string]tellBucket
}

type tellBucket struct {
	n  float64
	at time.Time
}

const (
	tellBurst  = 12
	tellRefill = 5 * time.Minute
	tellPages  = 10_000
)

// wait is how long a page has to wait before it may tell again, zero when it may now.
func (t *tellLimit) wait(token string, now time.Time) time.Duration {
	t.mu.Lock()
	defer t.mu.Unlock()
	if t.left == nil {
		t.left = map[string]tellBucket{}
	}
	if len(t.left) > tellPages {
		for k, b := range t.left { // full again: as if it had never told
			if now.Sub(b.at) >= tellBurst*tellRefill {
				delete(t.left, k)
			}
		}
	}
	b, ok := t.left[token]
	if !ok {
		b = tellBucket{tellBurst, now}
	}
	b.n, b.at = min(tellBurst, b.n+now.Sub(b.at).Seconds()/tellRefill.Seconds()), now
	if b.n < 1 {
		t.left[token] = b
		return time.Duration((1 - b.n) * float64(tellRefill))
	}
	b.n--
	t.left[token] = b
	return 0
}

// growerDays answers the days of the page as a calendar, by the same address.
func (s *Server) growerDays(c fiber.Ctx) error {
	sheet, err := s.loop.SheetByToken(c.Context(), c.Params("token"))
	if errors.Is(err, desk.ErrNotFound) || err == nil && !calendar.Dated(sheet) {
		return fiber.ErrNotFound
	}
	if err != nil {
		s.log.Error("unexpected", "err", err)
		return fiber.ErrServiceUnavailable
	}
	text, err := calendar.Of(sheet, s.desk.Now())
	if err != nil {
		s.log.Error("unexpected", "err", err)
		return fiber.ErrServiceUnavailable
	}
	c.Set("Content-Disposition", `attachment; filename="plant-days-`+sheet.Number+`.ics"`)
	return sendCalendar(c, text)
}

func sendCalendar(c fiber.Ctx, text string) error {
	c.Set("Content-Type", "text/calendar; charset=utf-8")
	c.Set("Cache-Control", "no-store")
	c.Set("X-Robots-Tag", "noindex")
	return c.SendString(text)
}

// calendarFeed answers a private address with the days of the desk or of one grower.
func (s *Server) calendarFeed(c fiber.Ctx) error {
	token, ok := strings.CutSuffix(c.Params("file"), ".ics")
	if !ok {
		return fiber.ErrNotFound
	}
	name, forDesk, sheets, err := s.loop.FeedSheets(c.Context(), token)
	if errors.Is(err, desk.ErrNotFound) {
		return fiber.ErrNotFound
	}
	text := ""
	if err == nil {
		text, err = calendar.Many(name, forDesk, sheets, s.desk.Now())
	}
	if err != nil {
		s.log.Error("unexpected", "err", err)
		return fiber.ErrServiceUnavailable
	}
	return sendCalendar(c, text)
}

// drawing answers the plate of a cause as a picture, drawn when the page was built, for
// what carries no script.
func (s *Server) drawing(c fiber.Ctx) error {
	id, ok := strings.CutSuffix(c.Params("cause"), ".svg")
	if !ok || s.opts.Page == nil || s.desk.Base().Cause(id) == nil {
		return fiber.ErrNotFound
	}
	packed, err := fs.ReadFile(s.opts.Page, "drawings/"+id+".svg.gz")
	if err != nil {
		return fiber.ErrNotFound
	}
	c.Set("Content-Type", "image/svg+xml")
	c.Set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'")
	c.Set("Cache-Control", "public, max-age=86400")
	r, err := gzip.NewReader(bytes.NewReader(packed))
	if err != nil {
		return err
	}
	plain, err := io.ReadAll(r)
	if err != nil {
		return err
	}
	return c.Send(plain) // packed again on its way, for whoever can read it
}
