package loop

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/handout"
	"botanik/internal/store"
)

// GrowerPage is what stands at the address on a grower's sheet.
type GrowerPage struct {
	casefile.Sheet
	Done   []string `json:"done" doc:"days of the table that were ticked off"`
	Leaves int      `json:"leaves" doc:"how many leaves were counted before; 0 when none were"`
	Told   string   `json:"told,omitempty" doc:"what they told here last"`
	Closed bool     `json:"closed,omitempty"`

	Written bool `json:"written,omitempty" doc:"the desk has an address it may write to"`
}

// SheetByToken is the sheet at a grower's address.
func (s *Service) SheetByToken(ctx context.Context, token string) (casefile.Sheet, error) {
	p, err := s.PageByToken(ctx, token)
	return p.Sheet, err
}

// PageByToken is the grower's own page, without an account: what was handed over last,
// whatever is being worked out on the bench. ErrNotFound when there is none, when its
// time is over, or when the desk took it back.
func (s *Service) PageByToken(ctx context.Context, token string) (GrowerPage, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return GrowerPage{}, err
	}
	c, err := s.byToken(ctx, m, token)
	if err != nil {
		return GrowerPage{}, err
	}
	out := GrowerPage{Done: []string{}, Closed: c.Closing != nil}
	if a := c.Now().Act; a != nil {
		out.Leaves = len(a.Counts)
	}
	if reach := desk.ReachOf(c.Intake.Contact); reach != "" {
		none, err := s.Store.OptedOut(ctx, reach)
		if err != nil {
			return GrowerPage{}, err
		}
		out.Written = !none
	}
	if last := lastTold(&c); last != nil && last.FromGrower { // what an advisor wrote down stays at the desk
		out.Told = strings.TrimSpace(strings.Join([]string{last.Word, last.Note}, " "))
	}
	if c.Page == nil { // of before pages were kept
		out.Sheet, err = s.SheetOf(m, &c)
		handout.Illustrate(&out.Sheet)
		return out, err
	}
	out.Sheet, out.Done = c.Page.Sheet, append(out.Done, c.Page.Done...)
	handout.Illustrate(&out.Sheet)
	if c.Now().Handover == nil && c.Closing == nil {
		out.Again = handout.LookingAgain
	}
	return out, nil
}

func (s *Service) byToken(ctx context.Context, m desk.Moment, token string) (desk.Case, error) {
	if len(token) < 20 {
		return desk.Case{}, desk.ErrNotFound
	}
	row, err := s.Store.CaseByToken(ctx, token)
	if err != nil {
		return desk.Case{}, err
	}
	c, err := desk.CaseOf(row)
	if err != nil {
		return desk.Case{}, err
	}
	if p := c.Page; p != nil {
		if until, err := civil.Parse(p.Until); p.Ended || err == nil && m.Today.After(until) {
			return desk.Case{}, desk.ErrNotFound
		}
	}
	return c, nil
}

// TellInput is what a grower tells on their page.
type TellInput struct {
	Word   string // gone, better, same or worse
	Counts string // on each leaf, as typed
	Note   string
	Done   []string // days ticked off
	Photo  []byte
	Name   string // of the picture's file

	NoMessages bool // they want none from now on
}

// Limits of what one page takes.
const (
	mostNote   = 400
	mostLeaves = 50
)

// Tell takes what a grower tells on their page: ticks, a word, a recount, a note, a picture;
// all of it or, with an error that names the field, nothing. It comes up in Rounds.
func (s *Service) Tell(ctx context.Context, token string, in TellInput) error {
	m, err := s.Moment(ctx)
	if err != nil {
		return err
	}
	c, err := s.byToken(ctx, m, token)
	if err != nil {
		return err
	}
	if c.Closing == nil && c.Now().Handover == nil {
		return fault.New("", "we are looking at your plant once more", "wait for the new page, or telephone")
	}
	told, err := parseReport(&c, in)
	if err != nil {
		return err
	}
	if reach := desk.ReachOf(c.Intake.Contact); in.NoMessages && reach != "" {
		if err := s.Store.OptOut(ctx, reach, accounts.TheGrower().Name, true, s.Now()); err != nil {
			return err
		}
	}
	for range 3 { // somebody at the desk may be writing at the same moment
		if c, err = s.byToken(ctx, m, token); err != nil {
			return err
		}
		if err = s.report(ctx, &c, in, told); !errors.Is(err, desk.ErrStale) {
			return err
		}
	}
	return err
}

// parseReport reads what was told as a follow-up. Errors name word, counts, note or done.
func parseReport(c *desk.Case, in TellInput) (desk.FollowUpInput, error) {
	var l fault.List
	out := desk.FollowUpInput{Word: in.Word, Note: humanise.Text(in.Note)}
	if in.Word != "" && !slices.Contains([]string{"gone", "better", "same", "worse"}, in.Word) {
		l.Add("word", "is none of the four", "choose gone, better, much the same or worse")
	}
	if len([]rune(out.Note)) > mostNote {
		l.Add("note", fmt.Sprintf("is longer than %d signs", mostNote), "say it shorter, or telephone")
	}
	words := strings.FieldsFunc(in.Counts, func(r rune) bool { return r == ' ' || r == ',' || r == ';' || r == '\n' || r == '\r' || r == '\t' })
	counts := []int{}
	for _, w := range words {
		n := 0
		if _, err := fmt.Sscanf(w, "%d", &n); err != nil || fmt.Sprint(n) != w || n < 0 || n > 100_000 {
			l.Add("counts", fmt.Sprintf("%q is no number", humanise.Short(w, 20)), "write a number for each leaf, with blanks between: 3 0 5")
			break
		}
		counts = append(counts, n)
	}
	if len(counts) > mostLeaves {
		l.Add("counts", fmt.Sprintf("are more than %d", mostLeaves), "count fewer leaves")
	}
	if a := c.Now().Act; len(counts) > 0 && a != nil && len(a.Counts) > 0 && slices.Max(a.Counts) > 0 {
		out.Count = &casework.Recount{BeforeCounts: a.Counts, AfterCounts: counts, Units: max(len(a.Counts), len(counts))}
	} else if len(counts) > 0 {
		out.Note = strings.TrimSpace(out.Note + " Counted: " + strings.Join(words, ", ") + ".")
	}
	if c.Page != nil {
		for _, d := range in.Done {
			if !slices.ContainsFunc(c.Page.Sheet.Table, func(x casefile.SheetDay) bool { return x.On == d }) {
				l.Add("done", "is no day of this page", "tick what stands on it")
				break
			}
		}
	}
	return out, l.Err()
}

// report writes all of it in one line of the story, or nothing.
func (s *Service) report(ctx context.Context, c *desk.Case, in TellInput, told desk.FollowUpInput) error {
	var photos []store.Photo
	var pic casefile.Photo
	if len(in.Photo) > 0 {
		if err := desk.MayAddPhoto(c); err != nil {
			return err
		}
		p, keep, err := s.Cleaned(ctx, accounts.TheGrower(), c.ID, in.Name, in.Photo)
		if err != nil {
			return err
		}
		pic, photos = p, []store.Photo{keep}
	}
	says := told.Word != "" || told.Note != "" || told.Count != nil
	kind := "ticked"
	if says || len(photos) > 0 {
		kind = "followup"
	}
	_, err := s.Change(ctx, accounts.TheGrower(), c.ID, c.Version, kind, func(m desk.Moment, c *desk.Case) (string, error) {
		lines := []string{}
		if c.Page != nil && in.Done != nil {
			p := *c.Page
			p.Done = slices.Compact(slices.Sorted(slices.Values(in.Done)))
			if !slices.Equal(p.Done, c.Page.Done) {
				lines = append(lines, fmt.Sprintf("ticked off %d of %d", len(p.Done), len(p.Sheet.Table)))
			}
			c.Page = &p
		}
		if len(photos) > 0 {
			c.Photos = append(slices.Clone(c.Photos), pic)
			lines = append(lines, "sent a picture: "+pic.Name)
			if !says {
				told.Note = "sent a picture"
			}
		}
		if says || len(photos) > 0 {
			text, err := s.FollowUpOn(m, c, accounts.TheGrower(), told)
			if err != nil {
				return "", err
			}
			lines = append(lines, text)
		}
		return strings.Join(lines, "; "), nil
	}, photos...)
	return err
}

// EndPage takes a grower's address back: from then on it leads nowhere, and the next
// hand-over gets another.
func (s *Service) EndPage(ctx context.Context, who desk.Person, id string, from int) (desk.View, error) {
	if !who.May(accounts.TakePageBack) {
		return desk.View{}, desk.ErrForbidden
	}
	return s.Change(ctx, who, id, from, "page", func(_ desk.Moment, c *desk.Case) (string, error) {
		if c.Page == nil || c.Page.Ended {
			return "", fault.New("", "there is no page to take back", "hand it over first")
		}
		p := *c.Page
		p.Ended = true
		c.Page = &p
		return "the grower's address was taken back", nil
	})
}
