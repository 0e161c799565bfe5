package overview

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Load is what somebody has in hand.
type Load struct {
	desk.Assignee
	Role  string       `json:"role,omitempty"`
	Bench int          `json:"bench" doc:"on the bench, with who reviews, or ready"`
	Out   int          `json:"out" doc:"out at growers"`
	Due   int          `json:"due" doc:"of those, to be asked today or before"`
	Away  []AwayDays   `json:"away" doc:"days they are not there, from today on"`
	Today bool         `json:"awayToday,omitempty" doc:"not there today"`
	Cases []KeptByThem `json:"cases" doc:"their open cases, the oldest first, at most forty"`
}

// KeptByThem is an open case in the list of who keeps it.
type KeptByThem struct {
	desk.Tag
	What string `json:"what"`
}

// AwayDays is a stretch of days on which somebody is not there, YYYY-MM-DD, both with it.
type AwayDays struct {
	First string `json:"first"`
	Last  string `json:"last"`
}

// Workload is whose cases are whose.
type Workload struct {
	People   []Load `json:"people" doc:"everybody who may sign in, who has most first"`
	Nobodys  Load   `json:"nobodys" doc:"what nobody keeps, or somebody who is switched off"`
	Uncaught int    `json:"uncaught" doc:"due cases whose keeper is not there today"`
}

const (
	mostKept = 40
	// longestAway is how many days one stretch may have.
	longestAway = 366
)

// Workload gathers whose cases are whose today.
func (s *Service) Workload(ctx context.Context) (Workload, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return Workload{}, err
	}
	accounts, err := s.Store.Accounts(ctx)
	if err != nil {
		return Workload{}, err
	}
	loads, err := s.Store.Loads(ctx, m.Today.String())
	if err != nil {
		return Workload{}, err
	}
	away, err := s.Store.AwayFrom(ctx, m.Today.String())
	if err != nil {
		return Workload{}, err
	}
	out := Workload{People: []Load{}, Nobodys: Load{Assignee: desk.Assignee{Name: "nobody"}, Away: []AwayDays{}, Cases: []KeptByThem{}}}
	of := map[string]*Load{}
	for _, a := range accounts {
		if a.Active {
			out.People = append(out.People, Load{Assignee: desk.Assignee{ID: a.ID, Name: a.Name}, Role: a.Role, Away: []AwayDays{}, Cases: []KeptByThem{}})
		}
	}
	for i := range out.People {
		of[out.People[i].ID] = &out.People[i]
	}
	for _, x := range away {
		if l := of[x.Account]; l != nil {
			l.Away = append(l.Away, AwayDays{x.First, x.Last})
			l.Today = l.Today || x.First <= m.Today.String()
		}
	}
	for _, n := range loads {
		l := of[n.Keeper]
		if l == nil {
			l = &out.Nobodys
		}
		l.Bench, l.Out, l.Due = l.Bench+n.Bench, l.Out+n.Out, l.Due+n.Due
		if l.Today || l == &out.Nobodys {
			out.Uncaught += n.Due
		}
		rows, err := s.Store.KeptBy(ctx, n.Keeper, mostKept)
		if err != nil {
			return Workload{}, err
		}
		for _, r := range rows {
			a, err := s.AskAbout(m.Book, r, m.Today)
			if err != nil {
				return Workload{}, err
			}
			l.Cases = append(l.Cases, KeptByThem{a.Tag, cmp.Or(a.When, string(a.Stage))})
		}
	}
	slices.SortStableFunc(out.People, func(a, b Load) int {
		return cmp.Or(cmp.Compare(b.Bench+b.Due, a.Bench+a.Due), cmp.Compare(b.Out, a.Out))
	})
	return out, nil
}

// keeperOf finds somebody a case can be given to: who may sign in and is there. Errors
// name to.
func (s *Service) keeperOf(ctx context.Context, m desk.Moment, id string) (store.Account, error) {
	accounts, err := s.Store.Accounts(ctx)
	if err != nil {
		return store.Account{}, err
	}
	i := slices.IndexFunc(accounts, func(a store.Account) bool { return a.ID == id })
	switch {
	case i < 0:
		return store.Account{}, fault.New("to", "is nobody who signs in here", "choose somebody of this desk")
	case !accounts[i].Active:
		return store.Account{}, fault.New("to", accounts[i].Name+" is switched off", "choose somebody who signs in")
	}
	away, err := s.Store.AwayFrom(ctx, m.Today.String())
	if err != nil {
		return store.Account{}, err
	}
	for _, x := range away {
		if x.Account == id && x.First <= m.Today.String() {
			return store.Account{}, fault.New("to", fmt.Sprintf("%s is away until %s", accounts[i].Name, desk.SpokenDay(x.Last, m.Today)), "give it to somebody who is there")
		}
	}
	return accounts[i], nil
}

// GiveTo makes a case somebody else's; a trainee gives only their own. Errors name to.
func (s *Service) GiveTo(ctx context.Context, who desk.Person, id string, from int, to string) (desk.View, error) {
	return s.Change(ctx, who, id, from, "keeper", func(m desk.Moment, c *desk.Case) (string, error) {
		if !who.May(accounts.GiveNobodys) && c.Keeper != who.ID {
			return "", desk.ErrForbidden
		}
		a, err := s.keeperOf(ctx, m, to)
		if err != nil {
			return "", err
		}
		c.Keeper = a.ID
		return "given to " + a.Name, nil
	})
}

// GiveAll makes all open cases of somebody another's, all or none. One gives one's own and
// nobody's; a coordinator anybody's. It answers how many there were.
func (s *Service) GiveAll(ctx context.Context, who desk.Person, from, to string) (int, error) {
	if who.ID != from && !who.May(accounts.GiveAnybodys) && (from != "" || !who.May(accounts.GiveNobodys)) {
		return 0, desk.ErrForbidden
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return 0, err
	}
	a, err := s.keeperOf(ctx, m, to)
	if err != nil {
		return 0, err
	}
	rows, err := s.Store.KeptBy(ctx, from, desk.MostOfOne)
	if err != nil {
		return 0, err
	}
	writes := []store.Write{}
	for _, r := range rows {
		x, err := s.WorkOut(ctx, m, who, r.ID, r.Version, "keeper", func(_ desk.Moment, c *desk.Case) (string, error) {
			c.Keeper = a.ID
			return "given to " + a.Name, nil
		})
		if err != nil {
			return 0, err
		}
		if !x.Same {
			writes = append(writes, x.Write)
		}
	}
	return len(writes), s.Store.SetCases(ctx, writes...)
}

// SetAway writes down on which days somebody is not there: oneself, or, for a coordinator,
// anybody. Errors name account, first or last.
func (s *Service) SetAway(ctx context.Context, who desk.Person, account string, days AwayDays) error {
	if who.ID != account && !who.May(accounts.AwayOthers) {
		return desk.ErrForbidden
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return err
	}
	var l fault.List
	first, err := civil.Parse(days.First)
	if err != nil {
		l.Add("first", fmt.Sprintf("%q is not a day", days.First), "write it as YYYY-MM-DD")
	}
	last, err := civil.Parse(days.Last)
	switch {
	case err != nil:
		l.Add("last", fmt.Sprintf("%q is not a day", days.Last), "write it as YYYY-MM-DD")
	case l.Err() != nil:
	case last.Before(first):
		l.Add("last", "lies before the first", "give the day they are back, less one")
	case last.Before(m.Today):
		l.Add("last", "has gone by", "give days to come")
	case last.Sub(first) > longestAway:
		l.Add("last", "is more than a year on", "switch off who is gone for good")
	}
	if err := l.Err(); err != nil {
		return err
	}
	accounts, err := s.Store.Accounts(ctx)
	if err != nil {
		return err
	}
	if !slices.ContainsFunc(accounts, func(a store.Account) bool { return a.ID == account }) {
		return fault.New("account", "is nobody who signs in here", "choose somebody of this desk")
	}
	return s.Store.SetAway(ctx, store.Away{Account: account, First: days.First, Last: days.Last})
}

// EndAway takes such a stretch back. Errors name first.
func (s *Service) EndAway(ctx context.Context, who desk.Person, account, first string) error {
	if who.ID != account && !who.May(accounts.AwayOthers) {
		return desk.ErrForbidden
	}
	err := s.Store.EndAway(ctx, account, first)
	if errors.Is(err, desk.ErrNotFound) {
		return fault.New("first", "no days away begin then", "look which are written down")
	}
	return err
}
