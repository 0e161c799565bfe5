package desk

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"time"

	"botanik/core/humanise"
	"botanik/internal/house"
	"botanik/internal/interchange"
	"botanik/internal/people"
	"botanik/internal/store"
)

// Imported is what became of records from elsewhere.
type Imported struct {
	Batch     string       `json:"batch,omitempty" doc:"by which it can be undone as a whole"`
	In        int          `json:"in" doc:"cases that are new here"`
	Same      int          `json:"same,omitempty" doc:"here already, as they are"`
	Conflicts []string     `json:"conflicts,omitempty" doc:"here already and otherwise: ours stay"`
	Renamed   []string     `json:"renamed,omitempty" doc:"whose number was taken here, with their new one"`
	Left      []string     `json:"left,omitempty" doc:"house documents this desk has its own of"`
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
	Name  string `json:"name,omitempty" maxLength:"120" doc:"the file's own name"`
	Loose bool   `json:"loose,omitempty" doc:"what the herbarium does not know by its name is kept as a note, undetermined; else such rows are refused"`
}

// ImportReading is what a file holds, before anything is kept.
type ImportReading struct {
	Kind     string                  `json:"kind" enum:"csv,bundle,herbarium"`
	Columns  []string                `json:"columns"`
	Targets  []interchange.Target    `json:"targets"`
	Used     interchange.CardMapping `json:"used" doc:"how it is read: as was said, the rest guessed"`
	Encoding string                  `json:"encoding,omitempty"`
	Doubts   []string                `json:"doubts"`
	Rows     int                     `json:"rows"`
	Good     int                     `json:"good"`
	Refused  int                     `json:"refused"`
	Refusals []RefusedRow            `json:"refusals"`
	First    []OldCard               `json:"first" doc:"the first few as they are understood"`
	Desk     string                  `json:"desk,omitempty" doc:"whose bundle it is"`
	Made     time.Time               `json:"made,omitzero"`
	Cases    int                     `json:"cases,omitempty"`
	Photos   int                     `json:"photos,omitempty"`
}

// firstShown are the records shown before anything is kept.
const firstShown = 8

// ReadImport reads a file that was brought and keeps nothing. Errors name file or
// columns.TARGET.
func (s *Service) ReadImport(ctx context.Context, who Person, id string, in ImportInput) (ImportReading, error) {
	f, size, err := s.brought(who, id)
	if err != nil {
		return ImportReading{}, err
	}
	defer func() { _ = f.Close() }()
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
		return out, nil
	}
	out.Kind = "csv"
	m, err := s.House.Moment(ctx)
	if err != nil {
		return ImportReading{}, err
	}
	err = s.eachCard(ctx, m, f, &in, &out, func(_ int, c OldCard) error {
		if len(out.First) < firstShown {
			out.First = append(out.First, c)
		}
		return nil
	})
	return out, err
}

// KeepImport begins to take in what a file holds; what comes of it stands among the jobs,
// and it can be undone as a whole. Coordinators only.
func (s *Service) KeepImport(ctx context.Context, who Person, id string, in ImportInput) (Job, error) {
	reading, err := s.ReadImport(ctx, who, id, in) // what cannot be read at all is said at once
	if err != nil {
		return Job{}, err
	}
	m, err := s.House.Moment(ctx)
	if err != nil {
		return Job{}, err
	}
	name := cmp.Or(humanise.Line(in.Name), "records")
	return s.begin(who, "import", name, func(ctx context.Context, tell func(int, int), _ *os.File) (string, *Imported, error) {
		f, size, err := s.brought(who, id)
		if err != nil {
			return "", nil, err
		}
		if reading.Kind == "herbarium" {
			err := s.layOver(ctx, f, size)
			return "it counts from now on", nil, errors.Join(err, f.Close(), os.Remove(f.Name()))
		}
		out, err := s.takeIn(ctx, m, who, name, f, size, in, reading, tell)
		err = errors.Join(err, f.Close(), os.Remove(f.Name()))
		if out == nil || err != nil {
			return "", nil, err
		}
		return fmt.Sprintf("%d cases came in", out.In), out, nil
	})
}

// takeIn takes in what a file holds: all that can be taken, or nothing, also when it was
// cancelled.
func (s *Service) takeIn(ctx context.Context, m house.Moment, who Person, name string, f io.ReadSeeker, size int64, in ImportInput, reading ImportReading, tell func(int, int)) (*Imported, error) {
	batch := store.Batch{ID: newID(s.Now()), Name: name, Kind: reading.Kind, Who: who.Name, At: store.Stamp(s.Now())}
	if err := s.Store.AddBatch(ctx, batch); err != nil {
		return nil, err
	}
	out := &Imported{Batch: batch.ID}
	var err error
	if at, ok := f.(io.ReaderAt); reading.Kind == "bundle" && ok {
		err = s.keepBundle(ctx, at, size, batch.ID, out, tell)
	} else {
		err = s.keepCards(ctx, m, f, in, batch.ID, out, func(n int) { tell(n, reading.Rows) })
	}
	if err != nil {
		_, _, undo := s.Store.UndoBatch(context.WithoutCancel(ctx), batch.ID, store.Stamp(s.Now()))
		return nil, errors.Join(err, undo)
	}
	return out, s.Store.CountBatch(ctx, batch.ID, out.In)
}

// TakeCards takes in old records from a table at once. Coordinators only.
func (s *Service) TakeCards(ctx context.Context, who Person, name string, f io.ReadSeeker, in ImportInput) (*Imported, error) {
	if who.Role != people.Coordinator {
		return nil, ErrForbidden
	}
	m, err := s.House.Moment(ctx)
	if err != nil {
		return nil, err
	}
	return s.takeIn(ctx, m, who, name, f, 0, in, ImportReading{Kind: "csv"}, func(int, int) {})
}

// ImportBatch is what was brought in from elsewhere at once.
type ImportBatch struct {
	ID     string    `json:"id"`
	Name   string    `json:"name"`
	Kind   string    `json:"kind"`
	Who    string    `json:"who"`
	At     time.Time `json:"at"`
	Cases  int       `json:"cases"`
	Undone bool      `json:"undone,omitempty"`
}

// Batches lists what was brought in from elsewhere, the newest first.
func (s *Service) Batches(ctx context.Context) ([]ImportBatch, error) {
	rows, err := s.Store.Batches(ctx)
	out := []ImportBatch{}
	for _, b := range rows {
		out = append(out, ImportBatch{b.ID, b.Name, b.Kind, b.Who, store.Moment(b.At), b.Cases, b.UndoneAt != ""})
	}
	return out, err
}

// Undone is what became of an import that was undone.
type Undone struct {
	Gone int      `json:"gone"`
	Stay []string `json:"stay" doc:"numbers of those somebody worked on since: they stay"`
}

// UndoImport takes out what was brought in at once and nobody worked on since. Coordinators
// only.
func (s *Service) UndoImport(ctx context.Context, who Person, batch string) (Undone, error) {
	if who.Role != people.Coordinator {
		return Undone{}, ErrForbidden
	}
	gone, stay, err := s.Store.UndoBatch(ctx, batch, store.Stamp(s.Now()))
	if stay == nil {
		stay = []string{}
	}
	return Undone{gone, stay}, err
}
