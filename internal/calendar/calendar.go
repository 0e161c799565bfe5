package calendar

import (
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
// its identity, so that the same file taken in again moves no day twice. Stamp is when
// it is written.
func Of(s casefile.Sheet, stamp time.Time) (string, error) {
	c := ical.NewCalendarFor("Botanik")
	c.SetMethod(ical.MethodPublish)
	c.SetName(fmt.Sprintf("%s, %s", s.Plant, s.Number))
	add := func(kind, on, title, text string) error {
		day, err := civil.Parse(on)
		if err != nil {
			return fmt.Errorf("day %q of sheet %s: %w", on, s.Number, err)
		}
		at := day.Midnight(time.UTC)
		e := c.AddEvent(fmt.Sprintf("%s-%s-%s@botanik", s.Number, kind, on))
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
	for i, d := range s.Table {
		if d.On == "" {
			continue
		}
		lines := []string{}
		for _, l := range []string{d.Much, s.Hour, minded(s, d.What), "The label on the bottle and local law come first. " + s.Desk + orNothing(", ", s.Reach) + "."} {
			if l != "" {
				lines = append(lines, l)
			}
		}
		if err := add(fmt.Sprint("do", i+1), d.On, fmt.Sprintf("%s: %s", strings.TrimSuffix(d.What, "."), s.Plant), strings.Join(lines, "\n")); err != nil {
			return "", err
		}
	}
	if s.AskDay != "" {
		if err := add("ask", s.AskDay, fmt.Sprintf("%s: tell the desk how it went", s.Plant), strings.TrimSpace(s.Bring+" "+s.Desk+orNothing(", ", s.Reach)+".")); err != nil {
			return "", err
		}
	}
	return c.Serialize(), nil
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
