package photo

import (
	"bytes"
	"context"
	"encoding/binary"
	"fmt"
	"image"
	"image/color"
	_ "image/jpeg" // read
	_ "image/png"  // read
	"net/http"

	"botanik/core/fault"

	"github.com/disintegration/imaging"
	_ "golang.org/x/image/webp" // read
)

// Limits of what is taken and what is kept.
const (
	MaxBytes  = 10 << 20   // of the file sent
	maxPixels = 30_000_000 // a small file can unfold into a very large picture
	maxUnfold = 120 << 20  // bytes a picture takes while it is drawn
	maxSide   = 12_000     // a row of pixels is worked on as a whole
	maxScans  = 100        // a progressive JPEG is drawn once for each; cameras write about ten
	longSide  = 2000       // pixels kept: enough to see a mite's flecks
	quality   = 85
)

// Kept says whether bytes are a picture as this program keeps them: a JPEG no larger than it
// makes. What another desk kept is taken as it is, so that its story still fits.
func Kept(data []byte) bool {
	if len(data) == 0 || len(data) > MaxBytes || http.DetectContentType(data) != "image/jpeg" {
		return false
	}
	cfg, kind, err := image.DecodeConfig(bytes.NewReader(data))
	return err == nil && kind == "jpeg" && cfg.Width >= 1 && cfg.Height >= 1 && cfg.Width <= longSide && cfg.Height <= longSide
}

// turns lets one picture be drawn at a time.
var turns = make(chan struct{}, 1)

// Picture is a JPEG drawn anew, upright, with no data beside it.
type Picture struct {
	JPEG          []byte
	Width, Height int
}

// Clean reads a JPEG, PNG or WebP. Errors name the field "photo": too large,
// another kind of file, too many pixels, or damaged. It waits for its turn, and
// gives up with the context's error.
func Clean(ctx context.Context, data []byte) (Picture, error) {
	if len(data) == 0 {
		return Picture{}, fault.New("photo", "is empty", "choose a JPEG, PNG or WebP picture")
	}
	if len(data) > MaxBytes {
		return Picture{}, fault.New("photo", fmt.Sprintf("is %.1f MB large", float64(len(data))/(1<<20)), "send a picture of at most 10 MB")
	}
	kind := http.DetectContentType(data)
	switch kind {
	case "image/jpeg", "image/png", "image/webp":
	default:
		return Picture{}, fault.New("photo", "is no JPEG, PNG or WebP picture (it looks like "+kind+")", "save it as one of these and send it again")
	}
	cfg, _, err := image.DecodeConfig(bytes.NewReader(data))
	if err != nil || cfg.Width < 1 || cfg.Height < 1 {
		return Picture{}, damaged
	}
	if cfg.Width > maxSide || cfg.Height > maxSide || cfg.Width*cfg.Height > maxPixels {
		return Picture{}, fault.New("photo", fmt.Sprintf("is %d by %d pixels", cfg.Width, cfg.Height), "send a smaller picture, up to 30 megapixels and 12 000 pixels a side")
	}
	if need := cfg.Width * cfg.Height * bytesPerPixel(kind, data, cfg); need > maxUnfold {
		return Picture{}, fault.New("photo", fmt.Sprintf("is %d by %d pixels of a kind that takes %d MB to draw", cfg.Width, cfg.Height, need>>20), "save it smaller, or as a plain JPEG")
	}
	if kind == "image/jpeg" && scans(data) > maxScans {
		return Picture{}, fault.New("photo", "is a JPEG of more than 100 scans, which no camera writes", "save it anew with a picture program and send that")
	}
	select {
	case turns <- struct{}{}:
		defer func() { <-turns }()
	case <-ctx.Done():
		return Picture{}, ctx.Err()
	}
	return redraw(data)
}

// bytesPerPixel is what the decoder holds for each pixel: the colours, and of a
// progressive JPEG all its coefficients as 32-bit numbers beside them.
func bytesPerPixel(kind string, data []byte, cfg image.Config) int {
	switch {
	case kind == "image/jpeg" && progressive(data):
		return 15
	case cfg.ColorModel == color.NRGBA64Model || cfg.ColorModel == color.RGBA64Model:
		return 8
	case kind == "image/jpeg":
		return 3
	}
	return 4
}

// progressive looks for the frame's marker among the segments before the first
// scan.
func progressive(data []byte) bool {
	for at := 2; at+4 <= len(data) && data[at] == 0xff; {
		switch data[at+1] {
		case 0xc2, 0xc6, 0xca, 0xce:
			return true
		case 0xda:
			return false
		}
		at += 2 + int(binary.BigEndian.Uint16(data[at+2:]))
	}
	return false
}

// scans counts the start-of-scan markers of a JPEG. Inside a scan a byte FF is
// followed by 00, so a marker cannot be met by chance.
func scans(data []byte) int { return bytes.Count(data, []byte{0xff, 0xda}) }

func redraw(data []byte) (Picture, error) {
	img, err := imaging.Decode(bytes.NewReader(data), imaging.AutoOrientation(true))
	if err != nil {
		return Picture{}, damaged
	}
	img = imaging.Fit(img, longSide, longSide, imaging.Lanczos)
	// Whatever was see-through becomes white paper, as JPEG has no holes.
	paper := imaging.New(img.Bounds().Dx(), img.Bounds().Dy(), image.White.C)
	flat := imaging.Overlay(paper, img, image.Point{}, 1)
	var out bytes.Buffer
	if err := imaging.Encode(&out, flat, imaging.JPEG, imaging.JPEGQuality(quality)); err != nil {
		return Picture{}, err
	}
	return Picture{out.Bytes(), flat.Bounds().Dx(), flat.Bounds().Dy()}, nil
}

var damaged = fault.New("photo", "cannot be read; it is damaged or cut short", "take or send the picture again")
