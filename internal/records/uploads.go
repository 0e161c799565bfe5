package records

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/accounts"
	"botanik/internal/desk"
)

// Upload is a file that is being brought.
type Upload struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Bytes int64  `json:"bytes" doc:"so far"`
}

const (
	// mostUpload is the largest file that is taken in.
	mostUpload = 2 << 30
	// mostPart is the largest part of it sent at once.
	mostPart = 4 << 20
	// mostRefusals are told row by row.
	mostRefusals = 100
	// chunk is how many cases are written at once: others may write in between.
	chunk = 200
)

// MostPart is the largest part of a file that is sent at once, bytes.
const MostPart = mostPart

var uploadID = regexp.MustCompile(`^[0-9A-Z]{26}$`)

func (s *Service) uploadPath(who desk.Person, id string) (string, error) {
	if !uploadID.MatchString(id) {
		return "", desk.ErrNotFound
	}
	return filepath.Join(s.WorkFolder(), "up-"+filepath.Base(who.ID)+"-"+id), nil
}

// BringFile begins to take a file in. Coordinators only.
func (s *Service) BringFile(_ context.Context, who desk.Person, name string) (Upload, error) {
	if !who.May(accounts.BringIn) {
		return Upload{}, desk.ErrForbidden
	}
	if err := os.MkdirAll(s.WorkFolder(), 0o700); err != nil {
		return Upload{}, err
	}
	u := Upload{ID: desk.NewID(s.Now()), Name: cmp.Or(humanise.Short(humanise.Line(filepath.Base(name)), 120), "records")}
	old, err := filepath.Glob(filepath.Join(s.WorkFolder(), "up-"+filepath.Base(who.ID)+"-*"))
	if err != nil {
		return Upload{}, err
	}
	for _, f := range old { // one at a time for each person; what is being taken in is a job's
		if !strings.HasSuffix(f, ".taken") {
			_ = os.Remove(f)
		}
	}
	path, err := s.uploadPath(who, u.ID)
	if err != nil {
		return Upload{}, err
	}
	return u, os.WriteFile(path, nil, 0o600)
}

// BringPart adds a part to a file at where it has come to; sending a part again that came
// already changes nothing. Errors name offset or file.
func (s *Service) BringPart(_ context.Context, who desk.Person, id string, offset int64, part []byte) (Upload, error) {
	path, err := s.uploadPath(who, id)
	if err != nil {
		return Upload{}, err
	}
	f, err := os.OpenFile(path, os.O_RDWR, 0o600)
	if errors.Is(err, os.ErrNotExist) {
		return Upload{}, desk.ErrNotFound
	}
	if err != nil {
		return Upload{}, err
	}
	info, err := f.Stat()
	switch {
	case err != nil:
	case offset < 0 || offset > info.Size():
		err = fault.New("offset", fmt.Sprintf("is %d and the file has come to %d", offset, info.Size()), "send the part that comes next")
	case offset+int64(len(part)) > mostUpload:
		err = fault.New("file", "is larger than 2 GB", "bring a part of it at a time")
	default:
		_, err = f.WriteAt(part, offset)
	}
	u := Upload{ID: id, Bytes: max(info.Size(), offset+int64(len(part)))}
	return u, errors.Join(err, f.Close())
}

func (s *Service) brought(who desk.Person, id string) (*os.File, int64, error) {
	if !who.May(accounts.BringIn) {
		return nil, 0, desk.ErrForbidden
	}
	path, err := s.uploadPath(who, id)
	if err != nil {
		return nil, 0, err
	}
	f, err := os.Open(path)
	if errors.Is(err, os.ErrNotExist) {
		return nil, 0, desk.ErrNotFound
	}
	if err != nil {
		return nil, 0, err
	}
	info, err := f.Stat()
	if err != nil {
		return nil, 0, errors.Join(err, f.Close())
	}
	return f, info.Size(), nil
}

func isZip(f *os.File) bool {
	head := make([]byte, 4)
	_, err := f.ReadAt(head, 0)
	return err == nil && string(head) == "PK\x03\x04"
}
