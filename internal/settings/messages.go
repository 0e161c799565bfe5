package settings

import (
	"context"
	"fmt"
	"regexp"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/accounts"
)

const keyMessages = "messages"

// Templates are the words of messages to growers. Names in braces are filled in: {grower},
// {plant}, {number}, {desk}, {reach}, {link}, {day}, {what}.
type Templates struct {
	Page  string `json:"page" maxLength:"900" doc:"with the page, after the hand-over"`
	Moved string `json:"moved" maxLength:"900" doc:"when the weather moved a day"`
	Ask   string `json:"ask" maxLength:"900" doc:"how did it go"`
}

// UsualTemplates stand until a coordinator writes others.
var UsualTemplates = Templates{
	Page:  "{grower}, this is the page for your {plant} ({number}): {link}\nRead the label on the bottle first. Questions: {reach}.\n{desk}",
	Moved: "{grower}, the weather has turned: {what}\nYour page for the {plant} has the new days: {link}\n{desk}, {reach}",
	Ask:   "{grower}, how is your {plant} ({number})? Count the same leaves again and tell us here: {link}\nOr: {reach}.\n{desk}",
}

// Filled in templates are these.
var fields = []string{"grower", "plant", "number", "desk", "reach", "link", "day", "what"}

var braces = regexp.MustCompile(`\{([^{}]*)\}`)

// Templates with their version.
func (s *Service) Templates(ctx context.Context) (Templates, int, error) {
	return read(ctx, s, keyMessages, UsualTemplates)
}

// SetTemplates changes the words of messages. Coordinators only. Errors name page, moved or
// ask.
func (s *Service) SetTemplates(ctx context.Context, who accounts.Person, t Templates, from int) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	if err := checkTemplates(&t); err != nil {
		return err
	}
	return s.put(ctx, who, keyMessages, t, from)
}

// checkTemplates tidies the words of messages and refuses what says nothing. Errors name
// page, moved or ask.
func checkTemplates(t *Templates) error {
	var l fault.List
	for _, f := range []struct {
		name  string
		text  *string
		needs []string
	}{{"page", &t.Page, []string{"link"}}, {"moved", &t.Moved, []string{"what"}}, {"ask", &t.Ask, nil}} {
		*f.text = humanise.Text(*f.text)
		if *f.text == "" {
			l.Add(f.name, "is empty", "write what the message says")
		}
		for _, m := range braces.FindAllStringSubmatch(*f.text, -1) {
			if !slices.Contains(fields, m[1]) {
				l.Add(f.name, fmt.Sprintf("{%s} is nothing that is filled in", m[1]), "use {"+strings.Join(fields, "}, {")+"}")
			}
		}
		for _, n := range f.needs {
			if *f.text != "" && !strings.Contains(*f.text, "{"+n+"}") {
				l.Add(f.name, "says nothing without {"+n+"}", "put {"+n+"} where it belongs")
			}
		}
	}
	return l.Err()
}

// Fill puts values into a template. What has no value leaves nothing behind.
func Fill(template string, values map[string]string) string {
	return strings.TrimSpace(braces.ReplaceAllStringFunc(template, func(m string) string { return values[m[1:len(m)-1]] }))
}
