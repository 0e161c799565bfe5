package photo

import (
	"bytes"
	"image"
	"image/color"
	"image/png"
)

// Mask draws what of a picture is meant, row by row, as PNG: a strong colour there and
// nothing elsewhere.
func Mask(is []bool, width int) ([]byte, error) {
	m := image.NewPaletted(image.Rect(0, 0, width, len(is)/max(1, width)), color.Palette{color.Transparent, color.NRGBA{0xd0, 0x20, 0x60, 0xa0}})
	for i, on := range is {
		if on {
			m.Pix[i] = 1
		}
	}
	var b bytes.Buffer
	err := (&png.Encoder{CompressionLevel: png.BestSpeed}).Encode(&b, m)
	return b.Bytes(), err
}
