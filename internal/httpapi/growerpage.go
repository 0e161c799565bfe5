package httpapi

import (
	"bytes"
	"compress/gzip"
	"errors"
	"io"
	"io/fs"
	"net/http"
	"strings"

	"botanik/internal/calendar"
	"botanik/internal/desk"
	"botanik/internal/httpapi/grower"
	"botanik/internal/people"

	"github.com/gofiber/fiber/v3"
)

// growerPage answers the address on a grower's sheet with a page of its own.
func (s *Server) growerPage(c fiber.Ctx) error {
	nonce := people.RandomText(18)
	c.Set("Content-Type", "text/html; charset=utf-8")
	c.Set("Content-Security-Policy", strings.Replace(grower.Policy, "%s", nonce, 1))
	c.Set("Cache-Control", "no-store")
	c.Set("X-Robots-Tag", "noindex")
	var out bytes.Buffer
	sheet, err := s.desk.SheetByToken(c.Context(), c.Params("token"))
	switch {
	case err == nil:
		err = grower.Write(&out, sheet, nonce)
	case errors.Is(err, desk.ErrNotFound):
		c.Status(http.StatusNotFound)
		err = grower.Missing(&out, "The address may have been mistyped. Ask at the plant desk with the number on your tag.", nonce)
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

// growerDays answers the days of the page as a calendar, by the same address.
func (s *Server) growerDays(c fiber.Ctx) error {
	sheet, err := s.desk.SheetByToken(c.Context(), c.Params("token"))
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
	name, forDesk, sheets, err := s.desk.FeedSheets(c.Context(), token)
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
