package desk

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"regexp"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/internal/interchange"
	"botanik/internal/photo"
	"botanik/internal/store"
)

// keepBundle takes another desk's bundle in.
func (s *Service) keepBundle(ctx context.Context, f io.ReaderAt, size int64, batch string, out *Imported, tell func(done, total int)) error {
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
	settings, messages := []store.SettingEvent{}, []store.Message{}
	if err := b.Lines(bundleSettings, into(&settings)); err != nil {
		return err
	}
	if err := b.Lines(bundleMessages, into(&messages)); err != nil {
		return err
	}
	if out.Left, err = s.Store.ImportSettings(ctx, settings); err != nil {
		return err
	}
	if err := s.Store.ImportMessages(ctx, messages); err != nil {
		return err
	}
	return s.Settle(ctx)
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
	created := store.Moment(p.Created)
	switch {
	case !plainID.MatchString(p.ID) || p.Person != "" && !plainID.MatchString(p.Person):
		return store.Incoming{}, bad("has no proper id")
	case created.IsZero() || store.Moment(p.Updated).IsZero():
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
	c, err := caseOf(store.Case{ID: p.ID, Number: p.Number, Version: p.Version, CreatedAt: p.Created, UpdatedAt: p.Updated, GrowerID: p.Person, Doc: string(p.Doc)})
	if err != nil {
		return store.Incoming{}, bad("cannot be read by this program")
	}
	c.Stage = casework.StageOf(s.facts(&c.Doc))
	row, err := s.row(&c)
	if err != nil {
		return store.Incoming{}, err
	}
	row.Doc, row.GrowerID = string(p.Doc), p.Person // as it was kept, so that its story still fits
	x := store.Incoming{Case: row, Story: p.Story, Changes: p.Changes, Year: created.Year()}
	for _, ph := range p.Photos {
		if !plainID.MatchString(ph.ID) {
			return store.Incoming{}, bad("has a picture without a proper id")
		}
		jpeg, err := b.Read(ph.File)
		if err != nil || !photo.Kept(jpeg) {
			return store.Incoming{}, bad("has a picture that is none")
		}
		x.Photos = append(x.Photos, store.Photo{ID: ph.ID, CaseID: p.ID, At: ph.At, JPEG: jpeg})
	}
	return x, nil
}
