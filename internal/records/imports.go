package records

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"time"

	"botanik/core/humanise"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/interchange"
	"botanik/internal/settings"
	"botanik/internal/store"
)

// Imported is what became of records from elsewhere.
type Imported struct {
	Batch     string       `json:"batch,omitempty" doc:"by which it can be undone as a whole"`
	In        int          `json:"in" doc:"cases that are new here"`
	Same      int          `json:"same,omitempty" doc:"here already, as they are"`
	Conflicts []string     `json:"conflicts,omitempty" doc:"here already and otherwise: ours stay"`
	Renamed   []string     `json:"renamed,omitempty" doc:"whose number was taken here, with their new one"`
	Taken     []string     `json:"taken,omitempty" doc:"house documents that were taken over"`
	Refused   int          `json:"refused,omitempty" doc:"rows that could not be taken"`
	Refusals  []RefusedRow `json:"refusals,omitempty" doc:"the first hundred of them, each with the mend"`
}

// RefusedRow is a row that was not taken.
type RefusedRow struct {
	Line int    `json:"line" doc:"of the file, counted from 1"`
	Text string `json:"text"`
}

// ImportInput says how a file that was brought is read.
type ImportInput struct {
	interchange.CardMapping
	Name  string   `json:"name,omitempty" maxLength:"120" doc:"the file's own name"`
	Take  []string `json:"take,omitempty" maxItems:"10" doc:"house documents of a bundle to be taken over, by key; none unless it is said"`
	Loose bool     `json:"loose,omitempty" doc:"what the herbarium does not know by its name is kept as a note, undetermined; else such rows are refused"`
}

// ImportReading is what a file holds, before anything is kept.
type ImportReading struct {
	Kind     string                     `json:"kind" enum:"csv,bundle,herbarium"`
	Columns  []string                   `json:"columns"`
	Targets  []interchange.Target       `json:"targets"`
	Used     interchange.CardMapping    `json:"used" doc:"how it is read: as was said, the rest guessed"`
	Encoding string                     `json:"encoding,omitempty"`
	Doubts   []string                   `json:"doubts"`
	Rows     int                        `json:"rows"`
	Good     int                        `json:"good"`
	Refused  int                        `json:"refused"`
	Refusals []RefusedRow               `json:"refusals"`
	First    []OldCard                  `json:"first" doc:"the first few as they are understood"`
	Desk     string                     `json:"desk,omitempty" doc:"whose bundle it is"`
	Made     time.Time                  `json:"made,omitzero"`
	Cases    int                        `json:"cases,omitempty"`
	Photos   int                        `json:"photos,omitempty"`
	Rules    []settings.BroughtDocument `json:"rules,omitempty" doc:"house documents of a bundle that say something else than ours: each is taken only when it is ticked"`
	Stays    []string                   `json:"stays,omitempty" doc:"documents of a bundle that never come along: devices, addresses, people"`
}

// firstShown are the records shown before anything is kept.
const firstShown = 8

// ReadImport reads a file that was brought and keeps nothing. Errors name file or
// columns.TARGET.
func (s *Service) ReadImport(ctx context.Context, who desk.Person, id string, in ImportInput) (ImportReading, error) {
	f, size, err := s.brought(who, id)
	if err != nil {
		return ImportReading{}, err
	}
	defer func() { _ = f.Close() }()
	return s.readImport(ctx, f, size, &in)
}

func (s *Service) readImport(ctx context.Context, f *os.File, size int64, in *ImportInput) (ImportReading, error) {
	done, err := s.Heavy(ctx)
	if err != nil {
		return ImportReading{}, err
	}
	defer done()
	out := ImportReading{Columns: []string{}, Targets: interchange.Targets, Doubts: []string{}, Refusals: []RefusedRow{}, First: []OldCard{}}
	if isZip(f) && interchange.HoldsYAML(f, size) {
		return s.readHerbarium(f, size, out)
	}
	if isZip(f) {
		b, err := interchange.OpenBundle(f, size)
		if err != nil {
			return ImportReading{}, err
		}
		out.Kind, out.Desk, out.Made, out.Cases, out.Photos, out.Rows, out.Good = "bundle", b.Desk, b.Made, b.Cases, b.Photos, b.Cases, b.Cases
		docs, err := documents(b)
		if err != nil {
			return ImportReading{}, err
		}
		out.Rules, out.Stays, err = s.House.LookAt(ctx, docs)
		return out, err
	}
	out.Kind = "csv"
	m, err := s.Moment(ctx)
	if err != nil {
		return ImportReading{}, err
	}
	err = s.eachCard(ctx, m, f, in, &out, func(_ int, c OldCard) error {
		if len(out.First) < firstShown {
			out.First = append(out.First, c)
		}
		return nil
	})
	return out, err
}

// KeepImport begins to take in what a file holds; what comes of it stands among the jobs,
// and it can be undone as a whole. Coordinators only.
func (s *Service) KeepImport(ctx context.Context, who desk.Person, id string, in ImportInput) (Job, error) {
	reading, err := s.ReadImport(ctx, who, id, in) // what cannot be read at all is said at once
	if err != nil {
		return Job{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return Job{}, err
	}
	name := cmp.Or(humanise.Line(in.Name), "records")
	path, err := s.uploadPath(who, id)
	if err != nil {
		return Job{}, err
	}
	// From now on it is the job's: pressed twice it is taken in once, and bringing another
	// file takes this one from nobody.
	mine := path + ".taken"
	if err := os.Rename(path, mine); errors.Is(err, os.ErrNotExist) {
		return Job{}, desk.ErrNotFound
	} else if err != nil {
		return Job{}, err
	}
	job, err := s.begin(who, "import", name, func(ctx context.Context, tell func(int, int), _ *os.File) (string, *Imported, error) {
		defer func() { _ = os.Remove(mine) }() // what stays of it goes with the folder; the records are what counts
		f, err := os.Open(mine)
		if err != nil {
			return "", nil, err
		}
		defer func() { _ = f.Close() }()
		info, err := f.Stat()
		if err != nil {
			return "", nil, err
		}
		done, err := s.Heavy(ctx)
		if err != nil {
			return "", nil, err
		}
		defer done()
		if reading.Kind == "herbarium" {
			return "it counts from now on", nil, s.installOverlay(ctx, f, info.Size())
		}
		out, err := s.takeIn(ctx, m, who, name, f, info.Size(), in, reading, tell)
		if err != nil {
			return "", nil, err
		}
		return fmt.Sprintf("%s came in", humanise.Count(out.In, "case")), out, nil
	})
	if err != nil { // other work is going on: it lies ready for the next try
		return Job{}, errors.Join(err, os.Rename(mine, path))
	}
	return job, nil
}

// ReadFile reads a file and keeps nothing. Coordinators only.
func (s *Service) ReadFile(ctx context.Context, who desk.Person, f *os.File, in ImportInput) (ImportReading, error) {
	if !who.May(accounts.BringIn) {
		return ImportReading{}, desk.ErrForbidden
	}
	info, err := f.Stat()
	if err != nil {
		return ImportReading{}, err
	}
	return s.readImport(ctx, f, info.Size(), &in)
}

// BringIn reads a file and takes it in at once, where no program works on the desk.
// Coordinators only.
func (s *Service) BringIn(ctx context.Context, who desk.Person, name string, f *os.File, in ImportInput) (ImportReading, *Imported, error) {
	if !who.May(accounts.BringIn) {
		return ImportReading{}, nil, desk.ErrForbidden
	}
	info, err := f.Stat()
	if err != nil {
		return ImportReading{}, nil, err
	}
	reading, err := s.readImport(ctx, f, info.Size(), &in)
	if err != nil {
		return reading, nil, err
	}
	if _, err := f.Seek(0, io.SeekStart); err != nil {
		return reading, nil, err
	}
	if reading.Kind == "herbarium" {
		return reading, &Imported{}, s.installOverlay(ctx, f, info.Size())
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return reading, nil, err
	}
	out, err := s.takeIn(ctx, m, who, name, f, info.Size(), in, reading, func(int, int) {})
	return reading, out, err
}

// takeIn takes in what a file holds: all that can be taken, or nothing, also when it was
// cancelled.
func (s *Service) takeIn(ctx context.Context, m desk.Moment, who desk.Person, name string, f io.ReadSeeker, size int64, in ImportInput, reading ImportReading, tell func(int, int)) (*Imported, error) {
	batch := store.Batch{ID: desk.NewID(s.Now()), Name: name, Kind: reading.Kind, Who: who.Name, At: store.Stamp(s.Now())}
	if err := s.Store.AddBatch(ctx, batch); err != nil {
		return nil, err
	}
	out := &Imported{Batch: batch.ID}
	var err error
	if at, ok := f.(io.ReaderAt); reading.Kind == "bundle" && ok {
		err = s.keepBundle(ctx, who, at, size, batch.ID, in.Take, out, tell)
	} else {
		err = s.keepCards(ctx, m, f, in, batch.ID, out, func(n int) { tell(n, reading.Rows) })
	}
	if err == nil {
		err = s.Store.CountBatch(context.WithoutCancel(ctx), batch.ID, out.In)
	}
	if err != nil { // what is called failed is not kept
		return nil, errors.Join(err, s.takeOut(context.WithoutCancel(ctx), who, batch.ID))
	}
	return out, nil
}

// TakeCards takes in old records from a table at once. Coordinators only.
func (s *Service) TakeCards(ctx context.Context, who desk.Person, name string, f io.ReadSeeker, in ImportInput) (*Imported, error) {
	if !who.May(accounts.BringIn) {
		return nil, desk.ErrForbidden
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return nil, err
	}
	return s.takeIn(ctx, m, who, name, f, 0, in, ImportReading{Kind: "csv"}, func(int, int) {})
}

// takeOut takes out all that came with a batch, cases and house documents.
func (s *Service) takeOut(ctx context.Context, who desk.Person, batch string) error {
	_, docs := s.House.Restore(ctx, who, batch)
	_, _, err := s.Store.UndoBatch(ctx, batch, store.Stamp(s.Now()))
	if errors.Is(err, desk.ErrNotFound) { // undone already
		err = nil
	}
	return errors.Join(docs, err)
}

// ClearWork takes away what a run of the program left that did not end well: files of long
// work, halves of copies, and what imports had brought in before they were broken off. It
// answers the names of those; before anybody works.
func (s *Service) ClearWork(ctx context.Context) ([]string, error) {
	if err := os.RemoveAll(s.WorkFolder()); err != nil {
		return nil, err
	}
	if err := s.clearParts(); err != nil {
		return nil, err
	}
	torn, err := s.Store.TornBatches(ctx)
	if err != nil {
		return nil, err
	}
	names := []string{}
	for _, b := range torn {
		if err := errors.Join(s.takeOut(ctx, theProgram, b.ID), s.Store.MarkTorn(ctx, b.ID)); err != nil {
			return names, fmt.Errorf("import %s: %w", b.Name, err)
		}
		names = append(names, b.Name)
	}
	return names, nil
}

// theProgram is who takes out what an import left that was broken off.
var theProgram = desk.Person{ID: "program", Name: "the program", Role: accounts.Coordinator}

// ImportBatch is what was brought in from elsewhere at once.
type ImportBatch struct {
	ID     string    `json:"id"`
	Name   string    `json:"name"`
	Kind   string    `json:"kind"`
	Who    string    `json:"who"`
	At     time.Time `json:"at"`
	Cases  int       `json:"cases"`
	Undone bool      `json:"undone,omitempty"`
	Torn   bool      `json:"torn,omitempty" doc:"the program stopped while it came in; what had come was taken out again"`
}

// Batches lists what was brought in from elsewhere, the newest first.
func (s *Service) Batches(ctx context.Context) ([]ImportBatch, error) {
	rows, err := s.Store.Batches(ctx)
	out := []ImportBatch{}
	for _, b := range rows {
		out = append(out, ImportBatch{b.ID, b.Name, b.Kind, b.Who, store.ParseTime(b.At), b.Cases, b.UndoneAt != "", b.State == "torn"})
	}
	return out, err
}

// Undone is what became of an import that was undone.
type Undone struct {
	Gone int      `json:"gone"`
	Stay []string `json:"stay" doc:"what somebody worked on since, and stays: numbers of cases, names of house documents"`
}

// UndoImport takes out what was brought in at once and nobody worked on since. Coordinators
// only.
func (s *Service) UndoImport(ctx context.Context, who desk.Person, batch string) (Undone, error) {
	if !who.May(accounts.BringIn) {
		return Undone{}, desk.ErrForbidden
	}
	gone, stay, err := s.Store.UndoBatch(ctx, batch, store.Stamp(s.Now()))
	if err != nil {
		return Undone{}, err
	}
	docs, err := s.House.Restore(ctx, who, batch)
	return Undone{gone, append(append([]string{}, stay...), docs...)}, err
}
