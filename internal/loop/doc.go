// Package loop is what goes on between the desk and its growers after the hand-over: the
// page behind their link and what they tell there, the rounds of whom to ask, messages and
// their outbox, days the weather moves, several plants handed over together, calendars. It
// stands on internal/desk.
package loop
