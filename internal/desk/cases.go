package desk

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"time"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/internal/casefile"
	"botanik/internal/store"
)

// CheckIn takes a sample in and gives it its number. The key makes a retry on
// bad wifi the same case, not a second one.
func (s *Service) CheckIn(ctx context.Context, who Person, in casefile.Intake, key string) (View, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return View{}, err
	}
	if err := s.checkIntake(m.Book, &in, m.Today); err != nil {
		return View{}, err
	}
	raw, err := json.Marshal(in)
	if err != nil {
		return View{}, err
	}
	sum := sha256.Sum256(raw) // before a person is found: a retry finds the one it made
	if err := s.NamePerson(ctx, m, &in, nil); err != nil {
		return View{}, err
	}
	row, _, err := s.Store.AddCase(ctx, m.Today.Year(), store.Key{Key: key, Account: who.ID, BodyHash: hex.EncodeToString(sum[:])}, func(number string) (store.Case, store.Event, error) {
		c := Case{ID: NewID(m.Now), Number: number, Version: 1, Stage: casework.Waiting, CreatedAt: m.Now, UpdatedAt: m.Now, Doc: casefile.New(in)}
		row, err := s.Row(m.Book, &c)
		return row, store.Event{At: store.Stamp(m.Now), Who: who.Name, Actor: who.Actor(), Kind: "in", Text: "brought in by " + in.Grower, After: row.Doc}, err
	})
	if err != nil {
		return View{}, err
	}
	return s.View(ctx, row.ID)
}

func (s *Service) Read(ctx context.Context, id string) (Case, error) {
	row, err := s.Store.Case(ctx, id)
	if err != nil {
		return Case{}, err
	}
	return CaseOf(row)
}

// edit is what one change of a case does to it; it returns its line in the story.
type edit func(m Moment, c *Case) (string, error)

// benchKinds are the changes by which somebody takes a case that is nobody's yet.
var benchKinds = []string{"look", "verdict", "act", "remedy", "mix", "dose", "days", "handover", "round"}

// changed is a change of a case that is worked out and not written yet.
type changed struct {
	Case  Case
	Write store.Write
	Same  bool // nothing changed: no empty line in the story
}

// Change reads a case, checks its version, applies f, works out the stage and
// writes it with its line in the story.
func (s *Service) Change(ctx context.Context, who Person, id string, from int, kind string, f edit, photos ...store.Photo) (View, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return View{}, err
	}
	x, err := s.WorkOut(ctx, m, who, id, from, kind, f)
	if err != nil {
		return View{}, err
	}
	if !x.Same {
		x.Write.Photos = photos
		if err := s.Store.SetCases(ctx, x.Write); err != nil {
			return View{}, err
		}
		x.Case.Version = from + 1
	}
	// What was written stands, even when whoever asked has gone meanwhile.
	return s.ViewOf(context.WithoutCancel(ctx), m, &x.Case)
}

// WorkOut is Change without the writing.
func (s *Service) WorkOut(ctx context.Context, m Moment, who Person, id string, from int, kind string, f edit) (changed, error) {
	row, err := s.Store.Case(ctx, id)
	if err != nil {
		return changed{}, err
	}
	if row.Version != from {
		return changed{}, ErrStale
	}
	c, err := CaseOf(row)
	if err != nil {
		return changed{}, err
	}
	if err := casework.MayChange(s.Facts(m.Book, &c.Doc), kind); err != nil {
		return changed{}, err
	}
	was, err := casefile.Encode(c.Doc) // as it reads today, whatever shape it was kept in
	if err != nil {
		return changed{}, err
	}
	text, err := f(m, &c)
	if err != nil {
		return changed{}, err
	}
	prepared(m.Book, who, kind, &c)
	if c.Keeper == "" && slices.Contains(benchKinds, kind) && who.Login != "" {
		if now, err := casefile.Encode(c.Doc); err != nil || now == was { // what changed nothing takes nothing
			return changed{Case: c, Same: true}, err
		}
		c.Keeper = who.ID
	}
	c.UpdatedAt = s.Now()
	c.Stage = casework.StageOf(s.Facts(m.Book, &c.Doc))
	next, err := s.Row(m.Book, &c)
	if err != nil {
		return changed{}, err
	}
	e := store.Event{At: store.Stamp(c.UpdatedAt), Who: who.Name, Actor: who.Actor(), Kind: kind, Text: text}
	return changed{c, store.Write{Case: next, From: from, Before: row.Doc, Event: e}, next.Doc == was}, nil
}

// Row is a case as it is stored: what lists ask for as columns, the rest as its
// document.
func (s *Service) Row(b *knowledge.Base, c *Case) (store.Case, error) {
	doc, err := casefile.Encode(c.Doc)
	if err != nil {
		return store.Case{}, err
	}
	r := store.Case{ID: c.ID, Number: c.Number, Stage: string(c.Stage), Plant: c.Intake.Plant, HostID: c.Intake.Host, Place: c.Intake.Place, Square: c.Intake.Square, Photos: len(c.Photos), Grower: c.Intake.Grower, GrowerID: c.Intake.Person, Contact: c.Intake.Contact, Keeper: c.Keeper, Story: c.Intake.Story, Urgency: c.Intake.Urgency, AskOn: c.AskOn, Certainty: casework.Certainty(s.Facts(b, &c.Doc)), CreatedAt: store.Stamp(c.CreatedAt), UpdatedAt: store.Stamp(c.UpdatedAt), Version: c.Version, Doc: doc}
	if v := c.Verdict; v != nil {
		r.Cause, r.Degree, r.VerdictAt = v.Cause, v.Degree, store.Stamp(v.At)
	}
	if c.Page != nil && c.Page.Ended {
		r.Token = ""
	} else if c.Page != nil {
		r.Token = c.Page.Token
	} else if h := c.Now().Handover; h != nil {
		r.Token = h.Token
	}
	if c.Closing != nil {
		r.AskOn, r.Outcome, r.ClosedAt, r.Followed = "", c.Closing.Outcome, store.Stamp(c.Closing.At), c.Closing.Followed
		if k := b.Cause(c.Closing.Confirmed); k != nil { // what it was in the end is what the desk learns from
			r.Cause, r.Degree = k.ID, "settled"
		}
	}
	r.Body = s.wordsOf(b, &c.Doc)
	for _, x := range c.Rounds {
		if x.Handover != nil {
			r.HandedAt = store.Stamp(x.Handover.At)
			break
		}
	}
	for i, round := range c.Rounds {
		for _, g := range round.Given {
			r.Treatments = append(r.Treatments, store.TreatmentRow{Round: i + 1, Remedy: g.Remedy, Day: g.On})
		}
	}
	return r, nil
}

// wordsOf are what a case is found by beside its number, grower, plant and story: what it
// was, what was done, and every note.
func (s *Service) wordsOf(b *knowledge.Base, d *casefile.Doc) string {
	words := []string{d.Intake.Contact}
	causes := []string{}
	if d.Verdict != nil {
		causes = append(causes, d.Verdict.Cause, d.Verdict.Also)
	}
	if d.Closing != nil {
		causes = append(causes, d.Closing.Confirmed)
	}
	for _, id := range causes {
		if k := b.Cause(id); k != nil {
			words = append(words, k.Name, k.Scientific)
		}
	}
	for _, r := range d.Rounds {
		if r.Treatment == nil {
			continue
		}
		for _, id := range r.Treatment.Remedies {
			if k := b.Remedy(id); k != nil {
				words = append(words, k.Name)
			}
		}
	}
	return strings.Join(append(words, SaidIn(d)...), " ")
}

// Reindex renews what cases are found by, where an older program wrote it.
func (s *Service) Reindex(ctx context.Context) error {
	_, err := s.Store.Reindex(ctx, func(r store.Case) (string, error) {
		c, err := CaseOf(r)
		if err != nil {
			return "", nil //nolint:nilerr // a case that cannot be read is found by its columns
		}
		return s.wordsOf(s.Base(), &c.Doc), nil
	})
	return err
}

// CaseOf is a row with its document read.
func CaseOf(r store.Case) (Case, error) {
	c := Case{ID: r.ID, Number: r.Number, Version: r.Version, Stage: casework.Stage(r.Stage), CreatedAt: store.ParseTime(r.CreatedAt), UpdatedAt: store.ParseTime(r.UpdatedAt)}
	var err error
	if c.Doc, err = casefile.Decode(r.Doc); err != nil {
		return c, fmt.Errorf("case %s cannot be read: %w", r.Number, err)
	}
	if c.Intake.Person == "" { // of before persons were kept
		c.Intake.Person = r.GrowerID
	}
	return c, nil
}

// Undo takes the last change back, as a new line of the story.
func (s *Service) Undo(ctx context.Context, who Person, id string, from int) (View, error) {
	if _, err := s.Store.Case(ctx, id); err != nil {
		return View{}, err
	}
	e, ok, err := s.undoable(ctx, id)
	if err != nil {
		return View{}, err
	}
	if !ok {
		return View{}, fault.New("", "there is nothing here that can be taken back", "what was handed over or closed is put right by a new step")
	}
	before, err := s.Store.DocAt(ctx, id, e.Seq-1)
	if err != nil {
		return View{}, err
	}
	return s.Change(ctx, who, id, from, "undo", func(_ Moment, c *Case) (string, error) {
		c.Doc, err = casefile.Decode(before)
		return "took back: " + e.Text, err
	})
}

// StoryLine is one line of a case's story.
type StoryLine struct {
	Seq  int       `json:"seq"`
	At   time.Time `json:"at"`
	Who  string    `json:"who"`
	Kind string    `json:"kind"`
	Text string    `json:"text"`
}

// Story tells who did what and when.
func (s *Service) Story(ctx context.Context, id string) ([]StoryLine, error) {
	if _, err := s.Store.Case(ctx, id); err != nil {
		return nil, err
	}
	events, err := s.Store.Events(ctx, id)
	out := make([]StoryLine, 0, len(events))
	for _, e := range events {
		out = append(out, StoryLine{e.Seq, store.ParseTime(e.At), e.Who, e.Kind, e.Text})
	}
	return out, err
}

// CaseList is a page of tags.
type CaseList struct {
	Cases []Tag  `json:"cases"`
	Next  string `json:"next,omitempty" doc:"cursor of the next page"`
}

// Cases lists a stage, newest first.
func (s *Service) Cases(ctx context.Context, stage, cursor string, limit int) (CaseList, error) {
	p, err := s.Store.Cases(ctx, stage, cursor, limit)
	if errors.Is(err, store.ErrNotFound) {
		return CaseList{}, fault.New("cursor", "is not one of ours", "start without a cursor")
	}
	return CaseList{s.TagsOf(p.Cases), p.Next}, err
}

// Search finds cases by words, the newest first.
func (s *Service) Search(ctx context.Context, words string) ([]Tag, error) {
	rows, err := s.Store.Search(ctx, words, 20)
	return s.TagsOf(rows), err
}

// SpokenDay says a day that was written down, with its year when that is
// another than today's.
func SpokenDay(iso string, today civil.Day) string {
	d, err := civil.Parse(iso)
	if err != nil {
		return iso
	}
	return d.Spoken(today)
}

// Question is a grower to be asked how it went.
type Question struct {
	Tag
	When    string `json:"when"` // today, 3 days late
	Late    int    `json:"late"`
	Contact string `json:"contact,omitempty"`
	What    string `json:"what"` // what was done, what was counted before
	Call    bool   `json:"call"` // silent twice: telephone
}

// AskAbout is a case as one to be asked about on a day.
func (s *Service) AskAbout(b *knowledge.Base, r store.Case, day civil.Day) (Question, error) {
	c, err := CaseOf(r)
	if err != nil {
		return Question{}, err
	}
	a := Question{Tag: s.TagOf(b, r), Contact: c.Intake.Contact}
	if on, err := civil.Parse(r.AskOn); err == nil {
		a.When, a.Late = casework.Due(on, day)
	}
	round := c.Now()
	switch {
	case round.Treatment != nil && len(round.Treatment.Remedies) > 0:
		last := b.Remedy(round.Treatment.Remedies[len(round.Treatment.Remedies)-1])
		a.What = a.CauseName
		if last != nil {
			a.What += " · " + last.Name
		}
	case a.CauseName != "":
		a.What = a.CauseName + " · sent on"
	default:
		a.What = "undetermined · sent on"
	}
	a.Call = round.Silent() >= casework.SilencesToCall
	return a, nil
}

// MovedToday are the cases whose days the weather moved since midnight.
func (s *Service) MovedToday(ctx context.Context, m Moment) ([]store.ReportRow, error) {
	return s.Store.MovedSince(ctx, store.Stamp(m.Today.Midnight(m.Clock)))
}
