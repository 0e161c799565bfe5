package records

import (
	"context"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"path/filepath"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/interchange"
)

// ownFolder is where a desk's own sheets of the herbarium lie, beside its file.
func (s *Service) ownFolder() string { return filepath.Join(s.Store.Dir(), "herbarium") }

// OpenOverlay reads the desk's own sheets, where it has some, over the herbarium. Before anybody
// works.
func (s *Service) OpenOverlay() error {
	if _, err := os.Stat(s.ownFolder()); errors.Is(err, fs.ErrNotExist) || s.Books == nil {
		return nil
	}
	b, err := s.checked(s.ownFolder())
	if err != nil {
		return fmt.Errorf("the desk's own herbarium in %s: %w; mend it, or move the folder away", s.ownFolder(), err)
	}
	s.UseBook(b)
	return nil
}

// checked reads a folder over the herbarium and holds all of it to the rules that stop a
// desk. The first that is broken is the error.
func (s *Service) checked(folder string) (*knowledge.Base, error) {
	b, err := s.Books(folder)
	if err != nil {
		return nil, fault.New("file", strings.ReplaceAll(err.Error(), folder+"/", ""), "mend the sheet and pack it again")
	}
	if p := knowledge.Errors(knowledge.Check(b)); len(p) > 0 {
		return b, fault.New("file", strings.ReplaceAll(p[0].String(), folder+"/", ""), fmt.Sprintf("%d rules are broken; botanik kb check lists them", len(p)))
	}
	return b, nil
}

// readHerbarium looks at sheets that were brought: they count only when the whole book with
// them is sound.
func (s *Service) readHerbarium(f io.ReaderAt, size int64, out ImportReading) (ImportReading, error) {
	if s.Books == nil {
		return out, fault.New("file", "is a herbarium, and this desk's own lies in the folder named at its start", "put the sheets there")
	}
	out.Kind = "herbarium"
	folder, err := s.unpackBook(f, size)
	if err != nil {
		return out, err
	}
	defer func() { _ = os.RemoveAll(folder) }()
	b, err := s.checked(folder)
	if b == nil {
		return out, err
	}
	for _, p := range knowledge.Errors(knowledge.Check(b)) {
		out.Refused++
		if len(out.Refusals) < mostRefusals {
			out.Refusals = append(out.Refusals, RefusedRow{Text: strings.ReplaceAll(p.String(), folder+"/", "")})
		}
	}
	for _, k := range b.Causes {
		if !isOurs(k.From) {
			out.Rows++
		}
	}
	for _, r := range b.Remedies {
		if !isOurs(r.From) {
			out.Rows++
		}
	}
	if out.Good = out.Rows; out.Refused > 0 {
		out.Good = 0 // one broken rule stops all of it
	}
	return out, nil
}

func (s *Service) unpackBook(f io.ReaderAt, size int64) (string, error) {
	if err := os.MkdirAll(s.WorkFolder(), 0o700); err != nil {
		return "", err
	}
	folder, err := os.MkdirTemp(s.WorkFolder(), "book-")
	if err != nil {
		return "", err
	}
	n, err := interchange.UnpackYAML(f, size, folder)
	if err == nil && n == 0 {
		err = fault.New("file", "holds no sheets", "pack a folder with causes/, findings/, hosts/ or remedies/ in it")
	}
	if err != nil {
		return "", errors.Join(err, os.RemoveAll(folder))
	}
	return folder, nil
}

// installOverlay puts sheets in the place of the desk's own, when the book with them is sound; they
// count at once. Those of before are kept beside them.
func (s *Service) installOverlay(ctx context.Context, f io.ReaderAt, size int64) error {
	folder, err := s.unpackBook(f, size)
	if err != nil {
		return err
	}
	if _, err := s.checked(folder); err != nil {
		return errors.Join(err, os.RemoveAll(folder))
	}
	aside, err := s.setAside()
	if err != nil {
		return errors.Join(err, os.RemoveAll(folder))
	}
	err = os.Rename(folder, s.ownFolder())
	var b *knowledge.Base
	if err == nil {
		b, err = s.checked(s.ownFolder()) // under the name its entries carry from now on
	}
	if err != nil { // those of before are put back: what is called failed counts in nothing
		return errors.Join(err, os.RemoveAll(s.ownFolder()), putBack(aside, s.ownFolder()))
	}
	s.UseBook(b)
	if err := s.Open(ctx); err != nil { // the book counts; what cases are found by is brought up to date at the next start
		s.LogError("cases were not all indexed for another book", err)
	}
	return nil
}

func putBack(aside, to string) error {
	if aside == "" {
		return nil
	}
	return os.Rename(aside, to)
}

// setAside moves the desk's own sheets away and answers where to; none are there then.
func (s *Service) setAside() (string, error) {
	to := fmt.Sprintf("%s.%s", s.ownFolder(), s.Now().UTC().Format("20060102-150405.000"))
	err := os.Rename(s.ownFolder(), to)
	if errors.Is(err, fs.ErrNotExist) {
		return "", nil
	}
	return to, err
}

// DropBook goes back to the herbarium as it ships. The desk's own sheets are kept beside.
// Coordinators only.
func (s *Service) DropBook(ctx context.Context, who desk.Person) (FileHealth, error) {
	if !who.May(accounts.BringIn) {
		return FileHealth{}, desk.ErrForbidden
	}
	if s.Books == nil {
		return FileHealth{}, fault.New("", "the desk's own herbarium lies in the folder named at its start", "start without it")
	}
	if _, err := s.setAside(); err != nil {
		return FileHealth{}, err
	}
	b, err := s.Books("")
	if err != nil {
		return FileHealth{}, err
	}
	s.UseBook(b)
	if err := s.Open(ctx); err != nil {
		return FileHealth{}, err
	}
	return s.Health(ctx, who)
}
