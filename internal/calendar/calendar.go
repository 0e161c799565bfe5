package calendar

import (
	"crypto/sha256"
	"encoding/hex"
	"fmt"
	"slices"
	"strings"
	"time"

	"botanik/core/civil"
	"botanik/internal/casefile"

	ical "github.com/arran4/golang-ical"
)

// Dated reports whether a sheet has days that can go into a calendar; sheets kept
// before their days were dates have none.
func Dated(s casefile.Sheet) bool {
	return slices.ContainsFunc(s.Table, func(d casefile.SheetDay) bool { return d.On != "" })
}

// Of writes the days of a sheet as an iCalendar (RFC 5545): whole days, each with what
// is done, how much of it, the hour, and what to mind. A day kept in a calendar keeps
// its identity, so that the same file taken in again moves no day twice, and a day the
// weather moved moves there too. Stamp is when it is written.
func Of(s casefile.Sheet, stamp time.Time) (string, error) {
	return write(fmt.Sprintf("%s, %s", s.Plant, s.Number), stamp, []casefile.Sheet{s}, false)
}

// Many writes the days of many sheets as one calendar, under a name of its own. The desk's
// own calendar speaks of its work, a grower's of theirs.
func Many(name string, forDesk bool, sheets []casefile.Sheet, stamp time.Time) (string, error) {
	return write(name, stamp, sheets, forDesk)
}

func write(name string, stamp time.Time, sheets []casefile.Sheet, forDesk bool) (string, error) {
	c := ical.NewCalendar()
	c.SetProductId("-//Botanik//Plant desk//EN")
	c.SetMethod(ical.MethodPublish)
	c.SetName(name)
	for _, s := range sheets {
		if err := put(c, s, stamp, forDesk); err != nil {
			return "", err
		}
	}
	return c.Serialize(ical.WithNewLineWindows), nil // lines end with CRLF, RFC 5545 3.1
}

// put writes the days of one sheet.
func put(c *ical.Calendar, s casefile.Sheet, stamp time.Time, forDesk bool) error {
	add := func(kind, on, title, text string) error {
		day, err := civil.Parse(on)
		if err != nil {
			return nil //nolint:nilerr // of before days were held to be days: the others are worth having
		}
		at := day.Midnight(time.UTC)
		e := c.AddEvent(identity(s, kind))
		e.SetTimeTransparency(ical.TransparencyTransparent) // it takes nobody's day
		e.SetDtStampTime(stamp)
		e.SetAllDayStartAt(at)
		e.SetAllDayEndAt(at.AddDate(0, 0, 1))
		e.SetSummary(title)
		e.SetDescription(text)
		a := e.AddAlarm()
		a.SetAction(ical.ActionDisplay)
		a.SetDescription(title)
		a.SetTrigger("PT8H") // at eight that morning
		return nil
	}
	whose := s.Plant
	if forDesk {
		whose = s.Number + ", " + s.Plant
	}
	for _, d := range s.Table {
		if d.On == "" {
			continue
		}
		lines := []string{}
		for _, l := range []string{d.Day + ".", d.Much, s.Hour, minded(s, d.What), "The label on the bottle and local law come first. " + s.Desk + orNothing(", ", s.Reach) + "."} {
			if l != "" {
				lines = append(lines, l)
			}
		}
		first := d.On
		if d.First != "" {
			first = d.First
		}
		if err := add("do "+d.What+" "+first, d.On, fmt.Sprintf("%s: %s", strings.TrimSuffix(d.What, "."), whose), strings.Join(lines, "\n")); err != nil {
			return err
		}
	}
	for _, x := range s.Beside {
		for n, on := range x.On {
			if err := add(fmt.Sprintf("with %s %d", x.What, n+1), on, fmt.Sprintf("%s: %s", x.What, whose), strings.TrimSpace(x.Why+" "+minded(s, x.What))); err != nil {
				return err
			}
		}
	}
	if s.AskDay == "" {
		return nil
	}
	title, text := s.Plant+": tell the desk how it went", strings.TrimSpace(s.Bring+" "+s.Desk+orNothing(", ", s.Reach)+".")
	if forDesk {
		title, text = "Ask how it went: "+whose, strings.TrimSpace(s.Title+". "+s.Bring)
	}
	return add("ask", s.AskDay, title, text)
}

// identity is a name for an event that is its own in every calendar: of this sheet's address,
// which no other desk has, and of what is done, not of when, so that a moved day is the same
// event. The address itself is the key to the page and stays out of it.
func identity(s casefile.Sheet, kind string) string {
	sum := sha256.Sum256([]byte(strings.Join([]string{s.Token, s.Desk, s.Number, s.Date, kind}, "\n")))
	return hex.EncodeToString(sum[:12]) + "@botanik"
}

// minded is what to mind of the thing done.
func minded(s casefile.Sheet, what string) string {
	for _, x := range s.Steps {
		if x.Name == what {
			return strings.Join(append(wear(x.Wear), x.Cautions...), " ")
		}
	}
	return ""
}

func wear(of []string) []string {
	if len(of) == 0 {
		return nil
	}
	return []string{"Wear: " + strings.Join(of, ", ") + "."}
}

func orNothing(before, s string) string {
	if s == "" {
		return ""
	}
	return before + s
}
