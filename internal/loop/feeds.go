package loop

import (
	"context"
	"time"

	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Feed is a private address at which a calendar program reads days anew: the desk's, or
// one grower's. Whoever has it can read it, until it is ended.
type Feed struct {
	Path   string    `json:"path" doc:"on this desk's own address"`
	Token  string    `json:"token"`
	Grower string    `json:"grower,omitempty" doc:"whose; the desk's where nobody is named"`
	Person string    `json:"person,omitempty" doc:"the same by id"`
	Who    string    `json:"who"`
	At     time.Time `json:"at"`
}

func feed(f store.Feed) Feed {
	return Feed{"/c/" + f.Token + ".ics", f.Token, f.Grower, f.GrowerID, f.Who, store.ParseTime(f.At)}
}

// Feeds are the open addresses, newest first.
func (s *Service) Feeds(ctx context.Context, who desk.Person) ([]Feed, error) {
	if !who.May(accounts.GiveCalendars) {
		return nil, desk.ErrForbidden
	}
	rows, err := s.Store.Feeds(ctx)
	out := []Feed{}
	for _, f := range rows {
		out = append(out, feed(f))
	}
	return out, err
}

// OpenFeed makes a new address, of the desk or of one person by id. Errors name person.
func (s *Service) OpenFeed(ctx context.Context, who desk.Person, person string) (Feed, error) {
	if !who.May(accounts.GiveCalendars) {
		return Feed{}, desk.ErrForbidden
	}
	g := store.Grower{}
	if person != "" {
		var err error
		if g, err = s.PersonNamed(ctx, "person", person); err != nil {
			return Feed{}, err
		}
	}
	f := store.Feed{Token: accounts.RandomText(24), Grower: g.Name, GrowerID: g.ID, Who: who.Name, At: store.Stamp(s.Now())}
	return feed(f), s.Store.AddFeed(ctx, f)
}

// EndFeed shuts an address.
func (s *Service) EndFeed(ctx context.Context, who desk.Person, token string) ([]Feed, error) {
	if !who.May(accounts.GiveCalendars) {
		return nil, desk.ErrForbidden
	}
	if err := s.Store.EndFeed(ctx, token, store.Stamp(s.Now())); err != nil {
		return nil, err
	}
	return s.Feeds(ctx, who)
}

// mostOut are how many cases a calendar holds.
const mostOut = 300

// FeedSheets are the pages whose days stand in a calendar, and what it is called. The
// desk's own shows no grower: a calendar is read over many a shoulder.
func (s *Service) FeedSheets(ctx context.Context, token string) (name string, forDesk bool, sheets []casefile.Sheet, err error) {
	if len(token) < 20 {
		return "", false, nil, desk.ErrNotFound
	}
	f, err := s.Store.FeedBy(ctx, token)
	if err != nil {
		return "", false, nil, err
	}
	id, _, err := s.House.Identity(ctx)
	if err != nil {
		return "", false, nil, err
	}
	rows, err := s.Store.OutWith(ctx, f.GrowerID, mostOut)
	if err != nil {
		return "", false, nil, err
	}
	for _, row := range rows {
		c, err := desk.CaseOf(row)
		if err != nil {
			return "", false, nil, err
		}
		if c.Page == nil {
			continue
		}
		sheet := c.Page.Sheet
		sheet.AskDay = c.AskOn
		sheets = append(sheets, sheet)
	}
	return id.Name, f.Grower == "", sheets, nil
}
