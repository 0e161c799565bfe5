package loop

import (
	"context"
	"errors"
	"fmt"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/messaging"
	"botanik/internal/settings"
	"botanik/internal/store"
)

// Send writes a message of a case into the outbox: the page, or the question how it went.
// The same is never written twice. Errors name kind, contact or handover.
func (s *Service) Send(ctx context.Context, who desk.Person, id, kind string) ([]desk.Sent, error) {
	if !who.May(accounts.SendMessages) {
		return nil, desk.ErrForbidden
	}
	c, err := s.Read(ctx, id)
	if err != nil {
		return nil, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return nil, err
	}
	switch {
	case kind != "page" && kind != "ask":
		return nil, fault.New("kind", fmt.Sprintf("%q is no message", kind), "use page or ask")
	case c.Page == nil || c.Page.Ended:
		return nil, fault.New("handover", "nothing was handed over that a message could speak of", "hand it over first")
	case desk.ReachOf(c.Intake.Contact) == "":
		return nil, fault.New("contact", "there is no mail address and no telephone number", "write one on the Brought in step, or print the page")
	}
	once := fmt.Sprintf("%s|%s|%d|%s", kind, id, c.Handed(), c.Page.Token)
	switch kind {
	case "ask":
		once += "|" + c.AskOn // asked once for each day it is due
	case "page":
		if _, all, err := s.linksTogether(ctx, m, &c); err != nil {
			return nil, err
		} else if all != "" {
			once = all // one message for all that was handed over together
		}
	}
	if err := s.queue(ctx, m, &c, kind, once, ""); err != nil {
		return nil, err
	}
	return s.Messages(ctx, id)
}

// queue writes a message down once; one that says the same was written before: well.
func (s *Service) queue(ctx context.Context, m desk.Moment, c *desk.Case, kind, once, what string) error {
	msg, err := s.compose(ctx, m, c, kind, once, what)
	if err == nil {
		_, err = s.Store.AddMessage(ctx, msg)
	}
	return err
}

// compose is a message as it would be written, held at once where it cannot or may not go.
func (s *Service) compose(ctx context.Context, m desk.Moment, c *desk.Case, kind, once, what string) (store.Message, error) {
	words, _, err := s.House.Templates(ctx)
	if err != nil {
		return store.Message{}, err
	}
	text := map[string]string{"page": words.Page, "moved": words.Moved, "ask": words.Ask}[kind]
	link := "your page"
	if m.Public != "" {
		link = m.Public + "/p/" + c.Page.Token
	}
	plant, number := strings.ToLower(c.Intake.Plant), c.Number
	if kind == "page" {
		all, _, err := s.linksTogether(ctx, m, c)
		if err != nil {
			return store.Message{}, err
		}
		if all != "" {
			link, plant, number = "\n"+all, "plants", fmt.Sprintf("%d cases", len(c.Now().Handover.With))
		}
	}
	msg := store.Message{
		ID: desk.NewID(s.Now()), Once: once, CaseID: c.ID, Kind: kind, Reach: desk.ReachOf(c.Intake.Contact), Subject: desk.MessageTitles[kind] + ", " + c.Number, State: "waiting",
		Body:   settings.Fill(text, map[string]string{"grower": c.Intake.Grower, "plant": plant, "number": number, "desk": m.Name, "reach": m.Reach, "link": link, "day": desk.SpokenDay(c.AskOn, m.Today), "what": what}),
		NextAt: store.Stamp(s.Now()), MadeAt: store.Stamp(s.Now()), ChangedAt: store.Stamp(s.Now()),
	}
	out, err := s.Store.OptedOut(ctx, msg.Reach)
	switch {
	case err != nil:
		return store.Message{}, err
	case msg.Reach == "":
		msg.State, msg.Said = "held", "no address a message can go to"
	case out:
		msg.State, msg.Said = "held", "wants no messages"
	}
	return msg, nil
}

// NoMessages keeps that a grower wants none, or takes that back.
func (s *Service) NoMessages(ctx context.Context, who desk.Person, id string, none bool) error {
	c, err := s.Read(ctx, id)
	if err != nil {
		return err
	}
	reach := desk.ReachOf(c.Intake.Contact)
	if reach == "" {
		return fault.New("contact", "there is no mail address and no telephone number", "nothing is sent without one")
	}
	return s.Store.OptOut(ctx, reach, who.Name, none, s.Now())
}

// How the outbox works through its messages: how many at once, how long a worker may take,
// when a try is made again, and how long a delivery is asked about.
const (
	atOnce    = 20
	workLease = 2 * time.Minute
	mostTries = 6
	askAfter  = time.Minute
	askUntil  = 72 * time.Hour
)

var again = []time.Duration{time.Minute, 5 * time.Minute, 30 * time.Minute, 2 * time.Hour, 6 * time.Hour}

// Carrier takes messages to growers.
type Carrier interface {
	Send(ctx context.Context, m messaging.Message) (messaging.Receipt, error)
	State(ctx context.Context, id string) (messaging.Receipt, error)
	Once(ctx context.Context) bool
}

// DeliverOutbox goes once through what is due: hands messages over, each at most once whatever
// breaks in between, and asks how those on their way have come. It answers how many it
// handed over.
func (s *Service) DeliverOutbox(ctx context.Context, by Carrier) (int, error) {
	due, err := s.Store.ClaimMessages(ctx, s.Now(), workLease, atOnce)
	if err != nil {
		return 0, err
	}
	n := 0
	for _, m := range due {
		state, said, next := s.attempt(ctx, by, m)
		if state == "sent" {
			n++
		}
		if err := s.Store.MoveMessage(ctx, m, state, said, next, s.Now()); err != nil && !errors.Is(err, desk.ErrStale) {
			return n, err
		}
	}
	return n, s.askOn(ctx, by)
}

// attempt tries one message.
func (s *Service) attempt(ctx context.Context, by Carrier, m store.Message) (state, said string, next time.Time) {
	now := s.Now()
	out, err := s.Store.OptedOut(ctx, m.Reach)
	switch {
	case err != nil: // whether they want one is not known: not now
		return "waiting", "the desk's file could not be read", now.Add(again[0])
	case out:
		return "held", "wants no messages", now
	case m.Said == store.Lost && !by.Once(ctx): // it may have gone out, and who takes it cannot tell
		return "failed", messaging.ErrUnsure.Error() + ": telephone", now
	}
	r, err := by.Send(ctx, messaging.Message{ID: m.ID, To: m.Reach, Subject: m.Subject, Text: m.Body})
	switch {
	case err == nil && r.State == "sent":
		return "sent", r.Said, now.Add(askAfter)
	case err == nil:
		return r.State, r.Said, now
	case errors.Is(err, messaging.ErrNone):
		return "held", messaging.ErrNone.Error() + ": telephone, print the page, or name one in House rules", now
	case errors.Is(err, messaging.ErrUnsure):
		return "failed", messaging.ErrUnsure.Error() + ": telephone", now
	case errors.Is(err, messaging.ErrRefused):
		return "failed", err.Error(), now
	case m.Tries >= mostTries:
		return "failed", fmt.Sprintf("tried %d times: %s", m.Tries, err), now
	}
	return "waiting", err.Error(), now.Add(again[min(m.Tries, len(again))-1])
}

// askOn asks about messages on their way. What a grower answers is told to the case.
func (s *Service) askOn(ctx context.Context, by Carrier) error {
	rows, err := s.Store.MessagesOut(ctx, s.Now(), atOnce)
	if err != nil {
		return err
	}
	var troubles error
	for _, m := range rows {
		now := s.Now()
		r, err := by.State(ctx, m.ID)
		age := now.Sub(store.ParseTime(m.MadeAt))
		if err != nil {
			r = messaging.Receipt{State: "sent", Said: m.Said}
		}
		next := now.Add(max(askAfter, age/4))
		if age > askUntil {
			next = now.AddDate(100, 0, 0)
		}
		if r.State == "answered" {
			if err := s.answered(ctx, m.CaseID, r.Said); err != nil { // asked again next time; the others go on
				troubles = errors.Join(troubles, fmt.Errorf("case %s: %w", m.CaseID, err))
				continue
			}
		}
		if err := s.Store.MoveMessage(ctx, m, r.State, r.Said, next, now); err != nil && !errors.Is(err, desk.ErrStale) {
			return err
		}
	}
	return troubles
}

// answered tells a case what its grower answered; one that is closed or looked at again
// keeps it with the message only.
func (s *Service) answered(ctx context.Context, id, said string) error {
	c, err := s.Read(ctx, id)
	if errors.Is(err, desk.ErrNotFound) || err == nil && (c.Closing != nil || c.Now().Handover == nil) {
		return nil
	}
	if err != nil {
		return err
	}
	if said == "" {
		said = "answered the message"
	}
	_, err = s.FollowUp(ctx, accounts.TheGrower(), id, c.Version, desk.FollowUpInput{Note: said})
	return err
}
