package desk

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"
	"unicode"

	"botanik/core/fault"
	"botanik/core/scope"
	"botanik/internal/casefile"
	"botanik/internal/house"
	"botanik/internal/photo"
	"botanik/internal/store"
)

// MaxPhotos a case may show.
const MaxPhotos = 8

// AddPhoto keeps a picture with the case. It is drawn anew, so that nothing
// the camera wrote beside it (place, time, owner) is kept.
func (s *Service) AddPhoto(ctx context.Context, who Person, id string, from int, name string, data []byte) (View, error) {
	// What would be refused anyway is refused before the work of drawing.
	c, err := s.read(ctx, id)
	if err != nil {
		return View{}, err
	}
	if c.Version != from {
		return View{}, ErrStale
	}
	if err := mayAddPhoto(&c); err != nil {
		return View{}, err
	}
	pic, err := photo.Clean(ctx, data)
	if err != nil {
		return View{}, err
	}
	p := casefile.Photo{ID: newID(s.Now()), Name: photoName(name), Width: pic.Width, Height: pic.Height, By: who.Name, At: s.Now()}
	keep := store.Photo{ID: p.ID, CaseID: id, At: store.Stamp(p.At), JPEG: pic.JPEG}
	return s.change(ctx, who, id, from, "photo", func(_ house.Moment, c *Case) (string, error) {
		if err := mayAddPhoto(c); err != nil {
			return "", err
		}
		c.Photos = append(slices.Clone(c.Photos), p)
		return "picture added: " + p.Name, nil
	}, keep)
}

func mayAddPhoto(c *Case) error {
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
	return s.change(ctx, who, id, from, "photo", func(_ house.Moment, c *Case) (string, error) {
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
	c, err := s.read(ctx, id)
	if err != nil {
		return nil, err
	}
	if !slices.ContainsFunc(c.Photos, func(p casefile.Photo) bool { return p.ID == photoID }) {
		return nil, ErrNotFound // taken off the case: kept for undo, and shown no more
	}
	p, err := s.Store.Photo(ctx, id, photoID)
	return p.JPEG, err
}

// MarkPhoto keeps what was measured on a picture with it; nil takes the marks away.
func (s *Service) MarkPhoto(ctx context.Context, who Person, id string, from int, photoID string, asked *scope.PhotoRequest) (View, error) {
	return s.change(ctx, who, id, from, "photo", func(m house.Moment, c *Case) (string, error) {
		at := slices.IndexFunc(c.Photos, func(p casefile.Photo) bool { return p.ID == photoID })
		if at < 0 {
			return "", ErrNotFound
		}
		c.Photos = slices.Clone(c.Photos)
		p := &c.Photos[at]
		if asked == nil {
			p.Marks = nil
			return "marks taken off " + p.Name, nil
		}
		found, err := scope.Measure(*asked)
		if err != nil {
			return "", err
		}
		p.Marks = &casefile.Marks{Asked: *asked, Found: found, By: who.Name, At: m.Now}
		said := []string{}
		for _, x := range slices.Concat(found.Lines, found.Areas) {
			said = append(said, x.Text)
		}
		return "measured on " + p.Name + ": " + cmp.Or(strings.Join(said, ", "), "its scale"), nil
	})
}
