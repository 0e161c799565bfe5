package photo_test

import (
	"bytes"
	"context"
	"encoding/binary"
	"hash/crc32"
	"image"
	"image/color"
	"image/jpeg"
	"image/png"
	"runtime"
	"sync"
	"testing"

	"botanik/core/fault"
	"botanik/internal/photo"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// leaf is a picture with a red mark in its top left corner.
func leaf(w, h int) image.Image {
	m := image.NewRGBA(image.Rect(0, 0, w, h))
	for y := range h {
		for x := range w {
			c := color.RGBA{60, 140, 60, 255}
			if x < w/4 && y < h/4 {
				c = color.RGBA{220, 20, 20, 255}
			}
			m.Set(x, y, c)
		}
	}
	return m
}

func asJPEG(t *testing.T, m image.Image) []byte {
	var b bytes.Buffer
	require.NoError(t, jpeg.Encode(&b, m, nil))
	return b.Bytes()
}

// withExif puts a camera's notes into a JPEG: an orientation and a position.
func withExif(jpg []byte, orientation uint16) []byte {
	var t bytes.Buffer
	le := binary.LittleEndian
	put := func(v any) { _ = binary.Write(&t, le, v) }
	t.WriteString("Exif\x00\x00II*\x00")
	put(uint32(8))
	put(uint16(2))
	put(uint16(0x0112)) // orientation
	put(uint16(3))
	put(uint32(1))
	put(uint32(orientation))
	put(uint16(0x8825)) // where the position stands
	put(uint16(4))
	put(uint32(1))
	put(uint32(38))
	put(uint32(0))
	t.WriteString("GPS 57.7 N 3.4 W")
	out := append([]byte{}, jpg[:2]...)
	out = append(out, 0xFF, 0xE1, byte((t.Len()+2)>>8), byte(t.Len()+2))
	out = append(out, t.Bytes()...)
	return append(out, jpg[2:]...)
}

func TestAPictureIsDrawnAnewWithoutTheCamerasNotes(t *testing.T) {
	sent := withExif(asJPEG(t, leaf(80, 40)), 1)
	require.Contains(t, string(sent), "GPS")
	p, err := photo.Clean(t.Context(), sent)
	require.NoError(t, err)
	assert.NotContains(t, string(p.JPEG), "GPS")
	assert.NotContains(t, string(p.JPEG), "Exif")
	assert.Equal(t, [2]int{80, 40}, [2]int{p.Width, p.Height})
}

func TestAPictureTakenSidewaysStandsUpright(t *testing.T) {
	p, err := photo.Clean(t.Context(), withExif(asJPEG(t, leaf(80, 40)), 6)) // turned a quarter to the right
	require.NoError(t, err)
	assert.Equal(t, [2]int{40, 80}, [2]int{p.Width, p.Height})
	m, err := jpeg.Decode(bytes.NewReader(p.JPEG))
	require.NoError(t, err)
	r, g, _, _ := m.At(36, 4).RGBA()
	assert.Greater(t, r, g, "the red corner moved to the top right")
}

func TestLargePicturesAreMadeSmallerAndPNGLosesItsHoles(t *testing.T) {
	p, err := photo.Clean(t.Context(), asJPEG(t, leaf(3000, 1500)))
	require.NoError(t, err)
	assert.Equal(t, [2]int{2000, 1000}, [2]int{p.Width, p.Height})
	var b bytes.Buffer
	require.NoError(t, png.Encode(&b, image.NewRGBA(image.Rect(0, 0, 10, 10))))
	p, err = photo.Clean(t.Context(), b.Bytes())
	require.NoError(t, err)
	m, _ := jpeg.Decode(bytes.NewReader(p.JPEG))
	r, _, _, _ := m.At(5, 5).RGBA()
	assert.Greater(t, r, uint32(0xf000), "see-through became white")
}

func TestWhatIsNoPictureIsRefusedByItsBytes(t *testing.T) {
	whole := asJPEG(t, leaf(64, 64))
	bomb := []byte("\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR\x00\x00\xff\xff\x00\x00\xff\xff\x08\x02\x00\x00\x00\x00\x00\x00\x00")
	for name, c := range map[string]struct {
		data []byte
		word string
	}{
		"nothing":     {nil, "empty"},
		"a page":      {[]byte("<html><script>alert(1)</script>"), "text/html"},
		"a GIF":       {[]byte("GIF89a..........."), "image/gif"},
		"cut short":   {whole[:len(whole)/2], "damaged"},
		"too large":   {make([]byte, photo.MaxBytes+1), "10.0 MB"},
		"a huge PNG":  {bomb, "cannot be read"},
		"a lying PNG": {append([]byte("\x89PNG\r\n\x1a\n"), make([]byte, 40)...), "damaged"},
	} {
		t.Run(name, func(t *testing.T) {
			_, err := photo.Clean(t.Context(), c.data)
			require.Error(t, err)
			f := fault.From(err)
			require.Len(t, f, 1)
			assert.Equal(t, "photo", f[0].Field)
			assert.NotEmpty(t, f[0].Mend)
			assert.Contains(t, f[0].Problem, c.word)
		})
	}
}

// A small file that unfolds into very much work is refused before the work.
func TestPictureBombsAreRefusedBeforeTheyUnfold(t *testing.T) {
	head := func(w, h uint32) []byte { // a PNG's head alone: the size is written there
		chunk := append([]byte("IHDR"), binary.BigEndian.AppendUint32(binary.BigEndian.AppendUint32(nil, w), h)...)
		chunk = append(chunk, 8, 2, 0, 0, 0)
		out := append([]byte("\x89PNG\r\n\x1a\n"), 0, 0, 0, 13)
		out = append(out, chunk...)
		return binary.BigEndian.AppendUint32(out, crc32.ChecksumIEEE(chunk))
	}
	wide := func(w, h uint32) []byte { // sixteen bits a colour
		out := bytes.Replace(head(w, h), []byte{8, 2, 0, 0, 0}, []byte{16, 6, 0, 0, 0}, 1)
		return binary.BigEndian.AppendUint32(out[:len(out)-4], crc32.ChecksumIEEE(out[12:len(out)-4]))
	}
	progressiveHead := func(w, h uint16) []byte { // the frame alone tells
		out := []byte{0xff, 0xd8, 0xff, 0xc2, 0, 17, 8}
		out = binary.BigEndian.AppendUint16(binary.BigEndian.AppendUint16(out, h), w)
		return append(out, 3, 1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1, 0xff, 0xda, 0, 12, 3, 1, 0, 2, 0x11, 3, 0x11, 0, 63, 0)
	}
	for name, data := range map[string][]byte{
		"one endless row":      head(60_000_000, 1),
		"a side too long":      head(12_001, 10),
		"too many pixels":      head(7_700, 7_700),
		"wide colours":         wide(4_500, 4_500),
		"progressive":          progressiveHead(4_000, 3_000),
		"a thousand scans":     bytes.Replace(asJPEG(t, leaf(40, 30)), []byte{0xff, 0xda}, bytes.Repeat([]byte{0xff, 0xda, 0, 2}, 1000), 1),
		"a JPEG of many scans": append(asJPEG(t, leaf(40, 30)), bytes.Repeat([]byte{0xff, 0xda}, 101)...),
	} {
		var before, after runtime.MemStats
		runtime.ReadMemStats(&before)
		_, err := photo.Clean(t.Context(), data)
		runtime.ReadMemStats(&after)
		require.Error(t, err, name)
		assert.Equal(t, "photo", fault.From(err)[0].Field, name)
		assert.Less(t, after.TotalAlloc-before.TotalAlloc, uint64(4<<20), name)
	}
}

func TestAPictureWaitsForItsTurn(t *testing.T) {
	gone, cancel := context.WithCancel(context.Background())
	cancel()
	data := asJPEG(t, leaf(2000, 1500))
	var wg sync.WaitGroup
	for range 6 {
		wg.Go(func() {
			_, err := photo.Clean(context.Background(), data)
			assert.NoError(t, err)
		})
	}
	for range 20 { // whoever went away does not wait
		if _, err := photo.Clean(gone, data); err != nil {
			assert.ErrorIs(t, err, context.Canceled)
		}
	}
	wg.Wait()
}

func FuzzClean(f *testing.F) {
	f.Add([]byte("\xff\xd8\xff\xe0"))
	f.Add([]byte("\x89PNG\r\n\x1a\n"))
	f.Add([]byte("RIFF\x00\x00\x00\x00WEBPVP8 "))
	f.Fuzz(func(t *testing.T, data []byte) {
		if p, err := photo.Clean(t.Context(), data); err == nil && (p.Width < 1 || p.Width > 2000 || p.Height > 2000 || len(p.JPEG) == 0) {
			t.Fatal("kept an impossible picture")
		}
	})
}
