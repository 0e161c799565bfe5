package records

import (
	"bufio"
	"context"
	"encoding/json"
	"fmt"
	"os"
	"strconv"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/season"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/interchange"
	"botanik/internal/store"
)

// ExportInput is what leaves the desk.
type ExportInput struct {
	What   string         `json:"what" enum:"cases,looks,treatments,bundle,darwin-core" doc:"a table as CSV, the bundle of everything, or a Darwin Core archive of occurrences"`
	Find   desk.FindInput `json:"find,omitzero" required:"false" doc:"which cases; all where nothing is asked for. A bundle always has all"`
	People bool           `json:"people,omitempty" doc:"with names and addresses (coordinator)"`

	License string `json:"license,omitempty" enum:"CC0-1.0,CC-BY-4.0,CC-BY-NC-4.0," doc:"of a Darwin Core archive"`
	Coarse  string `json:"coarse,omitempty" enum:"square,desk,none," doc:"how exactly a Darwin Core archive says where: the square, the district as a whole, or not at all; the district when left out"`
}

// Export begins to write a file of records; what comes of it stands among the jobs.
// Advisors take out tables without people; the rest is for coordinators. Errors name what,
// license or a field of the question.
func (s *Service) Export(ctx context.Context, who desk.Person, in ExportInput) (Job, error) {
	name, write, err := s.export(ctx, who, in)
	if err != nil {
		return Job{}, err
	}
	return s.begin(who, "export", name, write)
}

// ExportTo writes a file of records at once and says what it holds, also beside a desk that
// works. Errors are Export's.
func (s *Service) ExportTo(ctx context.Context, who desk.Person, in ExportInput, out *os.File) (string, error) {
	_, write, err := s.export(ctx, who, in)
	if err != nil {
		return "", err
	}
	said, _, err := write(ctx, func(int, int) {}, out)
	return said, err
}

func (s *Service) export(ctx context.Context, who desk.Person, in ExportInput) (name string, write work, err error) {
	table := interchange.TableCalled(in.What)
	if !who.May(accounts.TakeOutTables) || !who.May(accounts.TakeOutAll) && (table == nil || in.People) {
		return "", nil, desk.ErrForbidden
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return "", nil, err
	}
	q, err := s.Query(in.Find, m)
	if err != nil {
		return "", nil, err
	}
	day := m.Today.String()
	switch {
	case table != nil:
		return fmt.Sprintf("%s-%s.csv", table.Name, day), func(ctx context.Context, tell func(int, int), out *os.File) (string, *Imported, error) {
			return s.writeTable(ctx, *table, q, in.People, tell, out)
		}, nil
	case in.What == "bundle":
		return fmt.Sprintf("desk-%s.zip", day), func(ctx context.Context, tell func(int, int), out *os.File) (string, *Imported, error) {
			return s.writeBundle(ctx, m, tell, out)
		}, nil
	case in.What == "darwin-core":
		if in.License == "" {
			return "", nil, fault.New("license", "is missing", "choose under which licence others may use the records")
		}
		return fmt.Sprintf("occurrences-%s.zip", day), func(ctx context.Context, tell func(int, int), out *os.File) (string, *Imported, error) {
			return s.writeOccurrences(ctx, m, q, in, tell, out)
		}, nil
	}
	return "", nil, fault.New("what", fmt.Sprintf("%q is nothing that leaves a desk", in.What), "use cases, looks, treatments, bundle or darwin-core")
}

// RecordTable is a table that leaves the desk, with its columns.
type RecordTable = interchange.Table

// RecordTables are the tables that leave the desk.
func RecordTables() []RecordTable { return interchange.Tables }

// eachCase goes through what was asked for and tells how far it is.
func (s *Service) eachCase(ctx context.Context, q store.CaseQuery, tell func(done, total int), f func(r store.Case, c *desk.Case) error) (int, error) {
	q.Most = 1
	_, total, err := s.Store.Find(ctx, q)
	if err != nil {
		return 0, err
	}
	n := 0
	err = s.Store.Each(ctx, q, func(r store.Case) error {
		if err := ctx.Err(); err != nil {
			return err
		}
		c, err := desk.CaseOf(r)
		if err != nil {
			return err
		}
		n++
		tell(n, max(total, n))
		return f(r, &c)
	})
	return n, err
}

func (s *Service) writeTable(ctx context.Context, t interchange.Table, q store.CaseQuery, withPeople bool, tell func(int, int), out *os.File) (string, *Imported, error) {
	buf := bufio.NewWriter(out)
	w, err := interchange.NewWriter(buf, t, withPeople)
	if err != nil {
		return "", nil, err
	}
	b := s.Base() // one for the whole table
	rows := map[string]func(*knowledge.Base, store.Case, *desk.Case) [][]string{"cases": s.caseRow, "looks": s.lookRows, "treatments": s.treatmentRows}[t.Name]
	written := 0
	n, err := s.eachCase(ctx, q, tell, func(r store.Case, c *desk.Case) error {
		for _, row := range rows(b, r, c) {
			written++
			if err := w.Write(row...); err != nil {
				return err
			}
		}
		return nil
	})
	if err != nil {
		return "", nil, err
	}
	if err := w.End(); err != nil {
		return "", nil, err
	}
	return fmt.Sprintf("%d rows of %d cases", written, n), nil, buf.Flush()
}

func (s *Service) caseRow(b *knowledge.Base, r store.Case, c *desk.Case) [][]string {
	now, v, chance, confirmed, remedies, counts, choice := c.Now(), c.Verdict, "", "", []string{}, []string{}, ""
	verdict := &casefile.Verdict{}
	if v != nil {
		verdict, chance = v, strconv.FormatFloat(v.P, 'f', 4, 64)
	}
	if c.Closing != nil {
		confirmed = c.Closing.Confirmed
	}
	if now.Treatment != nil {
		remedies = now.Treatment.Remedies
	}
	if now.Act != nil {
		choice = now.Act.Choice
		for _, n := range now.Act.Counts {
			counts = append(counts, strconv.Itoa(n))
		}
	}
	name, besides := "", ""
	if k := b.Cause(verdict.Cause); k != nil {
		name = k.Name
	}
	if k := b.Cause(verdict.Also); k != nil {
		besides = k.Name
	}
	return [][]string{{r.Number, r.CreatedAt, c.Intake.Grower, c.Intake.Contact, c.Intake.Plant, c.Intake.Host, c.Intake.Place, c.Intake.Square, c.Intake.Story, strconv.Itoa(len(c.Looks)), verdict.Cause, name, verdict.Degree, chance, r.VerdictAt,
		strings.Join(counts, ";"), choice, strings.Join(remedies, ";"), strconv.Itoa(c.Handed()), r.HandedAt, r.Stage, r.AskOn, r.Outcome, r.Followed, confirmed, r.ClosedAt, strconv.Itoa(len(c.Photos)), s.hostName(b, c.Intake.Host), verdict.Also, besides}}
}

// hostName is what the herbarium calls a plant, empty where it has none of that id.
func (s *Service) hostName(b *knowledge.Base, id string) string {
	if h := b.Host(id); h != nil {
		return h.Name
	}
	return ""
}

func (s *Service) lookRows(b *knowledge.Base, r store.Case, c *desk.Case) [][]string {
	out := [][]string{}
	for _, l := range c.Looks {
		finding, state, not := "", "", ""
		if f := b.Finding(l.Finding); f != nil {
			finding = f.Name
			if i := f.State(l.State); i >= 0 {
				state = f.States[i].Name
			}
		}
		if l.Not {
			not = "yes"
		}
		out = append(out, []string{r.Number, store.Stamp(l.At), l.Finding, finding, l.State, state, not, l.Certainty, l.Instrument, l.Measured, l.Aside})
	}
	return out
}

func (s *Service) treatmentRows(b *knowledge.Base, r store.Case, c *desk.Case) [][]string {
	out := [][]string{}
	for i, round := range c.Rounds {
		for _, g := range round.Given {
			name := g.What
			if k := b.Remedy(g.Remedy); k != nil {
				name = k.Name
			}
			out = append(out, []string{r.Number, strconv.Itoa(i + 1), g.On, g.Remedy, name, r.Cause, r.Outcome})
		}
	}
	return out
}

// PackedCase is a case as it travels in a bundle.
type PackedCase struct {
	ID      string             `json:"id"`
	Number  string             `json:"number"`
	Version int                `json:"version"`
	Created string             `json:"created"`
	Updated string             `json:"updated"`
	Person  string             `json:"person,omitempty"`
	Doc     json.RawMessage    `json:"doc"`
	Story   []store.ImportLine `json:"story"`
	Photos  []PackedPhoto      `json:"photos"`
	Changes []store.Changed    `json:"changes,omitempty"`
}

// PackedPhoto names a picture's file in the bundle.
type PackedPhoto struct {
	ID   string `json:"id"`
	At   string `json:"at"`
	File string `json:"file"`
}

// Files of a bundle.
const (
	bundleCases    = "cases.jsonl"
	bundleSettings = "settings.jsonl"
	bundleMessages = "messages.jsonl"
	bundlePeople   = "people.jsonl"
)

// writeBundle writes everything but passwords, sessions and private addresses of calendars.
func (s *Service) writeBundle(ctx context.Context, m desk.Moment, tell func(int, int), out *os.File) (string, *Imported, error) {
	b := interchange.NewBundle(out, m.Name, m.Now)
	if err := b.File(bundleCases); err != nil {
		return "", nil, err
	}
	type pic struct{ caseID, id, file string }
	pics := []pic{}
	n, err := s.eachCase(ctx, store.CaseQuery{}, tell, func(r store.Case, _ *desk.Case) error {
		p := PackedCase{ID: r.ID, Number: r.Number, Version: r.Version, Created: r.CreatedAt, Updated: r.UpdatedAt, Person: r.GrowerID, Doc: json.RawMessage(r.Doc), Photos: []PackedPhoto{}}
		var err error
		if p.Story, err = s.Store.Lines(ctx, r.ID); err != nil {
			return err
		}
		if p.Changes, err = s.Store.ChangesOf(ctx, r.ID); err != nil {
			return err
		}
		photos, err := s.Store.PhotosOf(ctx, r.ID)
		if err != nil {
			return err
		}
		for _, x := range photos {
			file := "photos/" + x.ID + ".jpg"
			pics = append(pics, pic{r.ID, x.ID, file})
			p.Photos = append(p.Photos, PackedPhoto{x.ID, x.At, file})
		}
		return b.Line(p)
	})
	if err != nil {
		return "", nil, err
	}
	for _, x := range pics {
		if err := ctx.Err(); err != nil {
			return "", nil, err
		}
		p, err := s.Store.Photo(ctx, x.caseID, x.id)
		if err != nil {
			return "", nil, err
		}
		if err := b.File(x.file); err != nil {
			return "", nil, err
		}
		if _, err := b.Write(p.JPEG); err != nil {
			return "", nil, err
		}
	}
	if err := s.packRest(ctx, b); err != nil {
		return "", nil, err
	}
	if err := b.End(n, len(pics)); err != nil {
		return "", nil, err
	}
	return fmt.Sprintf("%d cases and %d pictures", n, len(pics)), nil, nil
}

func (s *Service) packRest(ctx context.Context, b *interchange.BundleWriter) error {
	settings, err := s.Store.AllSettings(ctx)
	if err != nil {
		return err
	}
	messages, err := s.Store.AllMessages(ctx)
	if err != nil {
		return err
	}
	staff, err := s.Store.Accounts(ctx)
	if err != nil {
		return err
	}
	if err := b.File(bundleSettings); err != nil {
		return err
	}
	for _, x := range settings {
		if err := b.Line(x); err != nil {
			return err
		}
	}
	if err := b.File(bundleMessages); err != nil {
		return err
	}
	for _, x := range messages {
		if err := b.Line(x); err != nil {
			return err
		}
	}
	if err := b.File(bundlePeople); err != nil {
		return err
	}
	for _, x := range staff {
		if err := b.Line(map[string]string{"id": x.ID, "name": x.Name, "role": x.Role}); err != nil {
			return err
		}
	}
	return nil
}

// occurs says whether a case is an occurrence: its cause one that can be, and settled.
func occurs(k *knowledge.Cause, c *desk.Case) bool {
	settled := c.Verdict != nil && c.Verdict.Degree == "settled" || k != nil && c.Closing != nil && c.Closing.Confirmed == k.ID
	return k != nil && settled && c.Verdict != nil && k.Occurs()
}

func (s *Service) writeOccurrences(ctx context.Context, m desk.Moment, q store.CaseQuery, in ExportInput, tell func(int, int), out *os.File) (string, *Imported, error) {
	a, err := interchange.NewArchive(out, interchange.About{Title: "Samples diagnosed at " + m.Name, Desk: m.Name, Place: m.Place, License: in.License, Made: m.Now})
	if err != nil {
		return "", nil, err
	}
	n, left := 0, 0
	_, err = s.eachCase(ctx, q, tell, func(r store.Case, c *desk.Case) error {
		id := r.Cause
		k := m.Book.Cause(id)
		if !occurs(k, c) {
			return nil
		}
		taxon, rank, ok := knowledge.Taxon(k.Scientific)
		if !ok {
			left++
			return nil
		}
		n++
		o := interchange.Occurrence{ID: r.ID, Catalog: r.Number, Day: store.ParseTime(r.CreatedAt).In(m.Clock).Format(time.DateOnly), Scientific: taxon, Rank: rank, Verbatim: k.Scientific, Vernacular: k.Name, Habitat: c.Intake.Place}
		if h := m.Book.Host(c.Intake.Host); h != nil {
			o.Host, o.Remarks = h.Scientific, "on "+strings.ToLower(h.Name) // never the grower's own words: they may name anybody
		}
		o.Verified = "diagnosed at the desk"
		if c.Closing != nil && c.Closing.Found != "" {
			o.Verified = "confirmed by " + c.Closing.Found
		}
		where(&o, m, c.Intake.Square, in.Coarse)
		return a.Add(o)
	})
	if err != nil {
		return "", nil, err
	}
	said := fmt.Sprintf("%d occurrences", n)
	if left > 0 {
		said += fmt.Sprintf("; %d left out, of causes that stand for several taxa", left)
	}
	return said, nil, a.End()
}

// where says where something was found, as coarsely as was chosen; people are never named,
// and a garden never more closely than its square.
func where(o *interchange.Occurrence, m desk.Moment, square, coarse string) {
	side := m.Grid()
	switch {
	case coarse == "none":
		o.Generalised = "place withheld"
	case coarse == "square" && square != "":
		lat, lon, within, err := season.SquareAt(square, m.Lat, m.Lon, side)
		if err == nil {
			o.Lat, o.Lon, o.WithinM, o.Generalised = &lat, &lon, within, fmt.Sprintf("to the middle of a square of %g km", side)
		}
	default:
		lat, lon := m.Lat, m.Lon
		o.Lat, o.Lon, o.WithinM, o.Generalised = &lat, &lon, side*season.GridSide/2*1415, "to the district of the desk"
	}
}
