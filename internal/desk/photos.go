package desk

import (
	"bytes"
	"cmp"
	"context"
	"fmt"
	"image/jpeg"
	"slices"
	"strings"
	"unicode"

	"botanik/core/fault"
	"botanik/core/microscopy"
	"botanik/internal/casefile"
	"botanik/internal/photo"
	"botanik/internal/store"
)

// MaxPhotos a case may show.
const MaxPhotos = 8

// AddPhoto keeps a picture with the case. It is drawn anew, so that nothing
// the camera wrote beside it (place, time, owner) is kept.
func (s *Service) AddPhoto(ctx context.Context, who Person, id string, from int, name string, data []byte) (View, error) {
	// What would be refused anyway is refused before the work of drawing.
	c, err := s.Read(ctx, id)
	if err != nil {
		return View{}, err
	}
	if c.Version != from {
		return View{}, ErrStale
	}
	if err := MayAddPhoto(&c); err != nil {
		return View{}, err
	}
	p, keep, err := s.Cleaned(ctx, who, id, name, data)
	if err != nil {
		return View{}, err
	}
	return s.Change(ctx, who, id, from, "photo", func(_ Moment, c *Case) (string, error) {
		if err := MayAddPhoto(c); err != nil {
			return "", err
		}
		c.Photos = append(slices.Clone(c.Photos), p)
		return "picture added: " + p.Name, nil
	}, keep)
}

// Cleaned is a picture drawn anew, as the case lists it and as it is kept.
func (s *Service) Cleaned(ctx context.Context, who Person, id, name string, data []byte) (casefile.Photo, store.Photo, error) {
	pic, err := photo.Clean(ctx, data)
	if err != nil {
		return casefile.Photo{}, store.Photo{}, err
	}
	p := casefile.Photo{ID: NewID(s.Now()), Name: photoName(name), Width: pic.Width, Height: pic.Height, By: who.Name, At: s.Now()}
	return p, store.Photo{ID: p.ID, CaseID: id, At: store.Stamp(p.At), JPEG: pic.JPEG}, nil
}

// MayAddPhoto refuses a picture beyond those a case may have.
func MayAddPhoto(c *Case) error {
	if len(c.Photos) >= MaxPhotos {
		return fault.New("photo", fmt.Sprintf("the case has %d pictures already", MaxPhotos), "take one away first")
	}
	return nil
}

// photoName keeps the file's name as a label: no path, no odd signs.
func photoName(s string) string {
	if i := strings.LastIndexAny(s, `/\`); i >= 0 {
		s = s[i+1:]
	}
	s = strings.Map(func(r rune) rune {
		if unicode.IsLetter(r) || unicode.IsDigit(r) || strings.ContainsRune(" .-_()", r) {
			return r
		}
		return -1
	}, s)
	if r := []rune(strings.TrimSpace(s)); len(r) > 60 {
		return string(r[:60])
	} else if len(r) > 0 {
		return string(r)
	}
	return "picture"
}

// DropPhoto takes a picture off the case; undo brings it back.
func (s *Service) DropPhoto(ctx context.Context, who Person, id string, from int, photoID string) (View, error) {
	return s.Change(ctx, who, id, from, "photo", func(_ Moment, c *Case) (string, error) {
		at := slices.IndexFunc(c.Photos, func(p casefile.Photo) bool { return p.ID == photoID })
		if at < 0 {
			return "", ErrNotFound
		}
		name := c.Photos[at].Name
		c.Photos = slices.Delete(slices.Clone(c.Photos), at, at+1)
		return "picture taken away: " + name, nil
	})
}

// Photo reads a picture a case shows, as JPEG.
func (s *Service) Photo(ctx context.Context, id, photoID string) ([]byte, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return nil, err
	}
	if !slices.ContainsFunc(c.Photos, func(p casefile.Photo) bool { return p.ID == photoID }) {
		return nil, ErrNotFound // taken off the case: kept for undo, and shown no more
	}
	p, err := s.Store.Photo(ctx, id, photoID)
	return p.JPEG, err
}

// MarksInput is what is to be kept with a picture: lengths and areas, a share of a
// leaf, or both; neither takes the marks away.
type MarksInput struct {
	Marks *microscopy.PhotoRequest `json:"marks,omitempty" doc:"a known length and what was measured by it"`
	Leaf  *microscopy.ShareRequest `json:"leaf,omitempty" doc:"a leaf and how its sick part was told"`
}

// MarkPhoto keeps what was measured on a picture with it.
func (s *Service) MarkPhoto(ctx context.Context, who Person, id string, from int, photoID string, in MarksInput) (View, error) {
	marks := casefile.Marks{By: who.Name, At: s.Now()}
	said := []string{}
	if in.Marks != nil {
		found, err := microscopy.Measure(*in.Marks)
		if err != nil {
			return View{}, fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = "marks." + f.Field; return f })
		}
		marks.Asked, marks.Found = in.Marks, &found
		for _, x := range slices.Concat(found.Lines, found.Areas) {
			said = append(said, x.Text)
		}
	}
	if in.Leaf != nil {
		found, _, err := s.ShareOfLeaf(ctx, id, photoID, *in.Leaf)
		if err != nil {
			return View{}, fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = "leaf." + f.Field; return f })
		}
		marks.Leaf = &casefile.LeafShare{Asked: *in.Leaf, Found: found}
		said = append(said, "sick: "+found.Text)
	}
	return s.Change(ctx, who, id, from, "photo", func(m Moment, c *Case) (string, error) {
		at := slices.IndexFunc(c.Photos, func(p casefile.Photo) bool { return p.ID == photoID })
		if at < 0 {
			return "", ErrNotFound
		}
		c.Photos = slices.Clone(c.Photos)
		p := &c.Photos[at]
		if in.Marks == nil && in.Leaf == nil {
			p.Marks = nil
			return "marks taken off " + p.Name, nil
		}
		p.Marks = &marks
		return "measured on " + p.Name + ": " + cmp.Or(strings.Join(said, ", "), "its scale"), nil
	})
}

// ShareOfLeaf works out how much of a leaf on a picture is sick, with a picture of the
// part that is, as PNG, clear elsewhere.
func (s *Service) ShareOfLeaf(ctx context.Context, id, photoID string, in microscopy.ShareRequest) (microscopy.ShareFound, []byte, error) {
	data, err := s.Photo(ctx, id, photoID)
	if err != nil {
		return microscopy.ShareFound{}, nil, err
	}
	img, err := jpeg.Decode(bytes.NewReader(data))
	if err != nil {
		return microscopy.ShareFound{}, nil, err
	}
	found, mask, err := microscopy.Share(img, in)
	if err != nil {
		return microscopy.ShareFound{}, nil, err
	}
	png, err := photo.Mask(mask, img.Bounds().Dx())
	return found, png, err
}
