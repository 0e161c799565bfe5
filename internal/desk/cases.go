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
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/plain"
	"botanik/internal/store"
)

// CheckIn takes a sample in and gives it its number. The key makes a retry on
// bad wifi the same case, not a second one.
func (s *Service) CheckIn(ctx context.Context, who Person, in Intake, key string) (View, error) {
	id, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	if err := s.checkIntake(&in, s.today(id)); err != nil {
		return View{}, err
	}
	raw, err := json.Marshal(in)
	if err != nil {
		return View{}, err
	}
	sum := sha256.Sum256(raw)
	now := s.Now()
	row, _, err := s.Store.AddCase(ctx, s.today(id).Year(), store.Key{Key: key, Account: who.ID, BodyHash: hex.EncodeToString(sum[:])}, func(number string) (store.Case, store.Event, error) {
		c := Case{ID: newID(now), Number: number, Version: 1, Stage: casework.Waiting, CreatedAt: now, UpdatedAt: now, Doc: Doc{Intake: in, Looks: []LookRecord{}, Photos: []Photo{}, Doses: []KeptDose{}, FollowUps: []FollowUp{}, Given: []Treated{}}}
		row, err := s.row(&c)
		return row, store.Event{At: store.Stamp(now), Who: who.Name, Kind: "in", Text: "brought in by " + in.Grower, Before: "", After: row.Doc}, err
	})
	if err != nil {
		return View{}, err
	}
	return s.View(ctx, row.ID)
}

// checkIntake refuses what cannot be used and finds the host by its words.
func (s *Service) checkIntake(in *Intake, today civil.Day) error {
	var l fault.List
	in.Grower, in.Contact, in.Plant, in.Family = plain.Line(in.Grower), plain.Line(in.Contact), plain.Line(in.Plant), plain.Line(in.Family)
	in.Brought, in.Story = plain.Line(in.Brought), plain.Text(in.Story)
	if in.Grower == "" {
		l.Add("grower", "is empty", "write who brought it; a first name will do")
	}
	if in.Plant == "" {
		l.Add("plant", "is empty", `write the plant, or "unknown"`)
	}
	if in.Host == "" {
		in.Host = s.FindHost(in.Plant)
	} else if s.Base.Host(in.Host) == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", in.Host), "leave it out for an unknown plant")
	}
	if !slices.Contains(knowledge.Places, in.Place) {
		l.Add("place", fmt.Sprintf("%q is not a place", in.Place), "use "+strings.Join(knowledge.Places, ", "))
	}
	for i := range in.Treated {
		t := &in.Treated[i]
		at := fmt.Sprintf("treated[%d]", i)
		t.What = plain.Line(t.What)
		on, err := civil.Parse(t.On)
		switch {
		case err != nil:
			l.Add(at+".on", fmt.Sprintf("%q is not a day", t.On), "write it as YYYY-MM-DD; about will do")
		case on.After(today.Add(1)):
			l.Add(at+".on", "lies in the future", "give the day it was put on")
		case on.Before(today.Add(-3660)):
			l.Add(at+".on", "lies more than ten years back", "give the day it was put on, or remove the line")
		}
		for j, id := range t.CouldBe {
			if s.Base.Remedy(id) == nil {
				l.Add(fmt.Sprintf("%s.couldBe[%d]", at, j), fmt.Sprintf("%q is not a remedy of the herbarium", id), "leave it out")
			}
		}
		if t.Remedy != "" {
			t.CouldBe = nil
		}
		if t.Remedy != "" && s.Base.Remedy(t.Remedy) == nil {
			l.Add(at+".remedy", fmt.Sprintf("%q is not a remedy of the herbarium", t.Remedy), "leave it out when it is something else")
		}
		if t.Remedy == "" && t.What == "" {
			l.Add(at+".what", "is empty", "say what was put on, or remove the line")
		}
	}
	return l.Err()
}

// FindHost finds a plant by its common, botanical or other name; "" when the
// herbarium has none such.
func (s *Service) FindHost(words string) string {
	w := strings.ToLower(strings.TrimSpace(words))
	if w == "" {
		return ""
	}
	for _, h := range s.Base.Hosts {
		names := append([]string{h.ID, h.Name, h.Scientific}, h.Aliases...)
		for _, n := range names {
			if strings.ToLower(n) == w {
				return h.ID
			}
		}
	}
	return ""
}

// ReadEarlier reads what a grower says was put on the plant before, as of today.
func (s *Service) ReadEarlier(ctx context.Context, text string) ([]Treated, error) {
	id, _, err := s.Identity(ctx)
	if err != nil {
		return nil, err
	}
	out := []Treated{}
	for _, e := range casework.ReadEarlier(s.Base, text, s.today(id), mostTreated) {
		t := Treated{What: e.What, On: e.On.String()}
		if len(e.Meant) == 1 {
			t.Remedy = e.Meant[0]
		} else if len(e.Meant) > 1 {
			t.CouldBe = e.Meant
		}
		out = append(out, t)
	}
	return out, nil
}

// mostTreated is how many earlier sprays a case takes.
const mostTreated = 12

// change reads a case, checks its version, applies f, works out the stage and
// writes it with its line in the story.
func (s *Service) change(ctx context.Context, who Person, id string, from int, kind string, f func(*Case) (string, error)) (View, error) {
	return s.changeWith(ctx, who, id, from, kind, nil, f)
}

// changeWith is change with pictures to be kept in the same stroke.
func (s *Service) changeWith(ctx context.Context, who Person, id string, from int, kind string, photos []store.Photo, f func(*Case) (string, error)) (View, error) {
	row, err := s.Store.Case(ctx, id)
	if err != nil {
		return View{}, err
	}
	if row.Version != from {
		return View{}, ErrStale
	}
	c, err := unrow(row)
	if err != nil {
		return View{}, err
	}
	if err := casework.MayChange(s.facts(&c.Doc), kind); err != nil {
		return View{}, err
	}
	text, err := f(&c)
	if err != nil {
		return View{}, err
	}
	c.UpdatedAt = s.Now()
	c.Stage = casework.Where(s.facts(&c.Doc))
	next, err := s.row(&c)
	if err != nil {
		return View{}, err
	}
	if next.Doc == row.Doc { // nothing changed: no empty line in the story
		return s.View(ctx, id)
	}
	err = s.Store.SetCase(ctx, next, from, store.Event{At: store.Stamp(c.UpdatedAt), Who: who.Name, Kind: kind, Text: text, Before: row.Doc, After: next.Doc}, photos...)
	if err != nil {
		return View{}, err
	}
	return s.View(ctx, id)
}

func (s *Service) row(c *Case) (store.Case, error) {
	raw, err := json.Marshal(c.Doc)
	if err != nil {
		return store.Case{}, err
	}
	row := store.Case{ID: c.ID, Number: c.Number, Stage: string(c.Stage), Host: c.Intake.Plant, Grower: c.Intake.Grower, Line: c.Intake.Story, Urgency: c.Intake.Urgency, AskOn: c.AskOn, CreatedAt: store.Stamp(c.CreatedAt), UpdatedAt: store.Stamp(c.UpdatedAt), Version: c.Version, Doc: string(raw)}
	words := []string{c.Intake.Brought, c.Intake.Contact}
	if v := c.Verdict; v != nil {
		row.Cause, row.Degree = v.Cause, v.Degree
		row.Certainty = map[string]float64{"settled": 1, "working": .6, "open": .3, "undetermined": .1}[v.Degree]
		if k := s.Base.Cause(v.Cause); k != nil {
			words = append(words, k.Name, k.Scientific)
		}
	} else if len(c.Looks) > 0 {
		row.Certainty = .15
	}
	if c.Page != nil {
		row.Token = c.Page.Token
	} else if c.Handover != nil {
		row.Token = c.Handover.Token
	}
	if c.Closing != nil {
		row.AskOn = ""
	}
	row.Body = strings.Join(words, " ")
	return row, nil
}

func unrow(r store.Case) (Case, error) {
	c := Case{ID: r.ID, Number: r.Number, Version: r.Version, Stage: casework.Stage(r.Stage), CreatedAt: store.Moment(r.CreatedAt), UpdatedAt: store.Moment(r.UpdatedAt)}
	if err := json.Unmarshal([]byte(r.Doc), &c.Doc); err != nil {
		return c, fmt.Errorf("case %s cannot be read: %w", r.Number, err)
	}
	if c.Looks == nil {
		c.Looks = []LookRecord{}
	}
	if c.Photos == nil {
		c.Photos = []Photo{}
	}
	if c.Doses == nil {
		c.Doses = []KeptDose{}
	}
	if c.FollowUps == nil {
		c.FollowUps = []FollowUp{}
	}
	if c.Given == nil {
		c.Given = []Treated{}
	}
	return c, nil
}

func (s *Service) tag(r store.Case) Tag {
	t := Tag{ID: r.ID, Number: r.Number, Stage: casework.Stage(r.Stage), Plant: r.Host, Grower: r.Grower, Line: r.Line, Urgency: r.Urgency, Certainty: r.Certainty, Cause: r.Cause, Degree: r.Degree, AskOn: r.AskOn, CreatedAt: store.Moment(r.CreatedAt), Version: r.Version}
	if k := s.Base.Cause(r.Cause); k != nil {
		t.CauseName = k.Name
	}
	return t
}

func (s *Service) tags(rows []store.Case) []Tag {
	out := make([]Tag, 0, len(rows))
	for _, r := range rows {
		out = append(out, s.tag(r))
	}
	return out
}

func (s *Service) facts(d *Doc) casework.Facts {
	f := casework.Facts{Looks: len(d.Looks), HandedOver: d.Handover != nil, Closed: d.Closing != nil, Act: d.Act != nil, Mix: d.Mix != nil, Days: d.Days != nil}
	if v := d.Verdict; v != nil {
		f.Verdict, f.Degree, f.NeedsReview = true, v.Degree, v.NeedsReview
		k := s.Base.Cause(v.Cause)
		f.Refer = v.Degree == "undetermined" || k != nil && k.Regulated != ""
	}
	if t := d.Treatment; t != nil {
		f.Remedy = len(t.Remedies) > 0
		for _, id := range t.Remedies {
			if r := s.Base.Remedy(id); r != nil {
				f.NeedsMix = f.NeedsMix || len(r.Rates) > 0
				f.NeedsDays = f.NeedsDays || r.RepeatMin > 0
			}
		}
	}
	return f
}

// setting is what is known before looking, this desk's own cases included.
func (s *Service) settingOf(ctx context.Context, c *Case, id Identity) (differential.Setting, error) {
	out := differential.Setting{Host: c.Intake.Host, Family: c.Intake.Family, Form: c.Intake.Form, Place: c.Intake.Place, Month: int(civil.Of(c.CreatedAt, id.zone()).Month()), South: id.Lat < 0, Desk: map[string]float64{}}
	today := s.today(id)
	rows, err := s.Store.ConfirmedSince(ctx, today.Add(-730).String())
	for _, r := range rows {
		if day, err := civil.Parse(r.Day); err == nil {
			out.Desk[r.Cause] += float64(r.N) * differential.Fade(float64(today.Sub(day)))
		}
	}
	return out, err
}

// View reads a case with its ranking, steps and what could be undone.
func (s *Service) View(ctx context.Context, id string) (View, error) {
	row, err := s.Store.Case(ctx, id)
	if err != nil {
		return View{}, err
	}
	c, err := unrow(row)
	if err != nil {
		return View{}, err
	}
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	set, err := s.settingOf(ctx, &c, ident)
	if err != nil {
		return View{}, err
	}
	looks := make([]differential.Look, len(c.Looks))
	for i, l := range c.Looks {
		looks[i] = l.Look
	}
	v := View{Case: c, Reading: s.Engine.Rank(set, looks), Steps: casework.Steps(s.facts(&c.Doc))}
	if e, ok, err := s.undoable(ctx, id); err != nil {
		return View{}, err
	} else if ok {
		v.MayUndo = e.Text
	}
	v.HouseNews, err = s.houseNews(ctx, &c, ident)
	return v, err
}

// undoKinds are the changes u may take back; what left the desk may not.
var undoKinds = []string{"photo", "intake", "look", "verdict", "act", "remedy", "mix", "days"}

// undoable finds the newest change that was not taken back yet, when nothing
// that cannot be undone came after it.
func (s *Service) undoable(ctx context.Context, id string) (store.Event, bool, error) {
	events, err := s.Store.Events(ctx, id)
	if err != nil {
		return store.Event{}, false, err
	}
	skip := 0
	for _, e := range slices.Backward(events) {
		switch {
		case e.Kind == "undo":
			skip++
		case skip > 0:
			skip--
		case slices.Contains(undoKinds, e.Kind):
			return e, true, nil
		default:
			return store.Event{}, false, nil
		}
	}
	return store.Event{}, false, nil
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
	if e, err = s.Store.Event(ctx, id, e.Seq); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "undo", func(c *Case) (string, error) {
		c.Doc = Doc{}
		return "took back: " + e.Text, json.Unmarshal([]byte(e.Before), &c.Doc)
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
		out = append(out, StoryLine{e.Seq, store.Moment(e.At), e.Who, e.Kind, e.Text})
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
	return CaseList{s.tags(p.Cases), p.Next}, err
}

// Search finds cases by words.
func (s *Service) Search(ctx context.Context, words string) ([]Tag, error) {
	rows, err := s.Store.Search(ctx, words, 20)
	return s.tags(rows), err
}
