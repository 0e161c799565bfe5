package records

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"regexp"
	"slices"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/interchange"
	"botanik/internal/photo"
	"botanik/internal/schema"
	"botanik/internal/store"
)

// keepBundle takes another desk's bundle in: its cases, and of its house documents those
// that were ticked.
func (s *Service) keepBundle(ctx context.Context, who desk.Person, f io.ReaderAt, size int64, batch string, take []string, out *Imported, tell func(done, total int)) error {
	b, err := interchange.OpenBundle(f, size)
	if err != nil {
		return err
	}
	var list []store.Incoming
	n := 0
	flush := func() error {
		became, numbers, err := s.Store.ImportCases(ctx, batch, list)
		for i, what := range became {
			switch what {
			case store.CameIn:
				out.In++
				if was := list[i].Case.Number; was != numbers[i] {
					out.Renamed = append(out.Renamed, was+" is "+numbers[i]+" here")
				}
			case store.Same:
				out.Same++
			default:
				out.Conflicts = append(out.Conflicts, numbers[i])
			}
		}
		list = list[:0]
		return err
	}
	err = b.Lines(bundleCases, func(raw json.RawMessage) error {
		if err := ctx.Err(); err != nil {
			return err
		}
		n++
		tell(n, max(n, b.Cases))
		x, err := s.unpack(b, raw, n)
		if err != nil {
			return err
		}
		list = append(list, x)
		if len(list) == chunk {
			return flush()
		}
		return nil
	})
	if err != nil {
		return err
	}
	if err := flush(); err != nil {
		return err
	}
	messages := []store.Message{}
	if err := b.Lines(bundleMessages, into(&messages)); err != nil {
		return err
	}
	if err := s.Store.ImportMessages(ctx, batch, sound(messages)); err != nil {
		return err
	}
	if len(take) > 0 {
		docs, err := documents(b)
		if err != nil {
			return err
		}
		if err := s.House.Adopt(ctx, who, batch, docs, take); err != nil {
			return err
		}
		out.Taken = take
	}
	return s.Open(ctx)
}

// documents are the house documents of a bundle as they stood last, JSON by key.
func documents(b *interchange.Bundle) (map[string]string, error) {
	events := []store.SettingEvent{}
	if err := b.Lines(bundleSettings, into(&events)); err != nil {
		return nil, err
	}
	out, version := map[string]string{}, map[string]int{}
	for _, e := range events {
		if e.Version >= version[e.Key] {
			out[e.Key], version[e.Key] = e.After, e.Version
		}
	}
	return out, nil
}

// Limits of a message that was brought along; it is kept as a record and never sent.
const (
	mostReach = 200
	mostBody  = 4000
)

// sound leaves out messages that this program could not have written.
func sound(list []store.Message) []store.Message {
	return slices.DeleteFunc(list, func(m store.Message) bool {
		return !plainID.MatchString(m.ID) || !plainID.MatchString(m.CaseID) || m.Once == "" || len(m.Once) > mostBody || len(m.Reach) > mostReach || len(m.Body) > mostBody || len(m.Subject) > mostReach || len(m.Said) > mostBody ||
			desk.MessageTitles[m.Kind] == "" || m.Tries < 0 || store.ParseTime(m.MadeAt).IsZero() || store.ParseTime(m.ChangedAt).IsZero()
	})
}

// into reads lines of a bundle into a list.
func into[T any](list *[]T) func(raw json.RawMessage) error {
	return func(raw json.RawMessage) error {
		var x T
		if err := json.Unmarshal(raw, &x); err != nil {
			return fault.New("file", "holds a line that cannot be read", "fetch it once more from the other desk")
		}
		*list = append(*list, x)
		return nil
	}
}

var plainID = regexp.MustCompile(`^[0-9A-Za-z-]{1,40}$`)

// unpack reads a case of a bundle; whatever it says is checked, because it comes from
// elsewhere. Errors name file and the line.
func (s *Service) unpack(b *interchange.Bundle, raw json.RawMessage, n int) (store.Incoming, error) {
	bad := func(why string) error {
		return fault.New("file", fmt.Sprintf("case %d of it %s", n, why), "fetch it once more from the other desk")
	}
	var p PackedCase
	if err := json.Unmarshal(raw, &p); err != nil {
		return store.Incoming{}, bad("cannot be read")
	}
	created := store.ParseTime(p.Created)
	switch {
	case !plainID.MatchString(p.ID) || p.Person != "" && !plainID.MatchString(p.Person):
		return store.Incoming{}, bad("has no proper id")
	case created.IsZero() || store.ParseTime(p.Updated).IsZero():
		return store.Incoming{}, bad("does not say when it was")
	case len(p.Story) != p.Version || p.Version < 1:
		return store.Incoming{}, bad("does not have its whole story")
	case len(p.Number) > 20:
		return store.Incoming{}, bad("has no proper number")
	}
	for i, l := range p.Story {
		if l.Seq != i+1 {
			return store.Incoming{}, bad("does not have its whole story")
		}
	}
	if err := s.honest(&p, n); err != nil {
		return store.Incoming{}, err
	}
	c, err := desk.CaseOf(store.Case{ID: p.ID, Number: p.Number, Version: p.Version, CreatedAt: p.Created, UpdatedAt: p.Updated, GrowerID: p.Person, Doc: string(p.Doc)})
	if err != nil {
		return store.Incoming{}, bad("cannot be read by this program")
	}
	if err := s.mayBe(&c); err != nil {
		return store.Incoming{}, fault.Rename(err, func(f fault.Fault) fault.Fault {
			return fault.Fault{Field: "file", Problem: fmt.Sprintf("case %d of it: %s %s", n, f.Field, f.Problem), Mend: f.Mend}
		})
	}
	book := s.Base()
	c.Stage = casework.StageOf(s.Facts(book, &c.Doc))
	row, err := s.Row(book, &c)
	if err != nil {
		return store.Incoming{}, err
	}
	row.Doc, row.GrowerID = string(p.Doc), p.Person // as it was kept, so that its story still fits
	x := store.Incoming{Case: row, Story: p.Story, Changes: p.Changes, Year: created.Year()}
	for _, ph := range p.Photos {
		if !plainID.MatchString(ph.ID) {
			return store.Incoming{}, bad("has a picture without a proper id")
		}
		jpeg, err := b.Read(ph.File, photo.MaxBytes)
		if err != nil || !photo.Kept(jpeg) {
			return store.Incoming{}, bad("has a picture that is none")
		}
		x.Photos = append(x.Photos, store.Photo{ID: ph.ID, CaseID: p.ID, At: ph.At, JPEG: jpeg})
	}
	return x, nil
}

// Limits of a case of a bundle: more than this program can have written.
const (
	mostText    = 20_000 // signs of one text: a grower's page with every sentence
	mostRounds  = 100
	mostStory   = 5000
	mostPicture = 60
)

// honest refuses what of a packed case no desk can have written: moments that cannot be,
// texts and stories without end. Errors name file and the case.
func (s *Service) honest(p *PackedCase, n int) error {
	bad := func(why string) error {
		return fault.New("file", fmt.Sprintf("case %d of it %s", n, why), "fetch it once more from the other desk")
	}
	soon := s.Now().AddDate(0, 0, 2)
	for _, at := range []string{p.Created, p.Updated} {
		if t := store.ParseTime(at); t.Year() < 1900 || t.After(soon) {
			return bad("is of " + humanise.Short(at, 20) + ", which cannot be")
		}
	}
	if len(p.Story) > mostStory || len(p.Photos) > mostPicture || len(p.Changes) > mostStory {
		return bad("has a story or pictures without end")
	}
	for _, l := range p.Story {
		if t := store.ParseTime(l.At); t.Year() < 1900 || t.After(soon) || len(l.Who) > mostReach || len(l.WhoID) > mostReach || l.WhoKind != "" && !slices.Contains(store.ActorKinds, l.WhoKind) || len(l.Kind) > 40 || len(l.Text) > mostText {
			return bad("has a line in its story that cannot be")
		}
	}
	var any any
	if err := json.Unmarshal(p.Doc, &any); err != nil || tooLong(any) {
		return bad("has a text that is longer than any field")
	}
	return nil
}

func tooLong(v any) bool {
	switch x := v.(type) {
	case string:
		return len(x) > mostText
	case []any:
		return slices.ContainsFunc(x, tooLong)
	case map[string]any:
		for k, y := range x {
			if len(k) > mostText || tooLong(y) {
				return true
			}
		}
	}
	return false
}

// mayBe holds a case from elsewhere to what the API asks of one: what was brought in, and
// every day in it. Errors name the field.
func (s *Service) mayBe(c *desk.Case) error {
	raw, err := json.Marshal(c.Intake)
	if err != nil {
		return err
	}
	var in casefile.Intake
	if err := schema.Read(raw, &in); err != nil {
		return fault.Under("intake", err)
	}
	if len(c.Rounds) > mostRounds {
		return fault.New("rounds", fmt.Sprintf("are %d", len(c.Rounds)), "fetch it once more from the other desk")
	}
	var l fault.List
	day := func(field, on string) {
		if _, err := civil.Parse(on); on != "" && err != nil {
			l.Add(field, fmt.Sprintf("%q is not a day", humanise.Short(on, 20)), "write it as YYYY-MM-DD")
		}
	}
	day("askOn", c.AskOn)
	for _, t := range in.Treated {
		day("intake.treated", t.On)
	}
	for _, r := range c.Rounds {
		for _, g := range r.Given {
			day("given", g.On)
		}
		if d := r.Days; d != nil {
			for _, on := range append(slices.Clone(d.On), d.Start, d.Test) {
				day("days", on)
			}
		}
	}
	if p := c.Page; p != nil {
		day("page.until", p.Until)
		for _, x := range p.Sheet.Table {
			day("page.table", x.On)
		}
		day("page.askDay", p.Sheet.AskDay)
	}
	return l.Err()
}
