package microscopy_test

import (
	"image"
	"image/color"
	"math"
	"math/rand/v2"
	"testing"

	"botanik/core/fault"
	"botanik/core/microscopy"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

var whole = []microscopy.Point{{X: 0, Y: 0}, {X: 200, Y: 0}, {X: 200, Y: 200}, {X: 0, Y: 200}}

// leaf is a green square with round brown spots, both grained, and the true share.
func leaf(spots [][3]float64, grain float64) (image.Image, float64) {
	rng := rand.New(rand.NewPCG(3, 9))
	m := image.NewRGBA(image.Rect(0, 0, 200, 200))
	sick := 0
	for y := range 200 {
		for x := range 200 {
			r, g, b := 70., 120., 50.
			for _, s := range spots {
				if math.Hypot(float64(x)+.5-s[0], float64(y)+.5-s[1]) <= s[2] {
					r, g, b = 130, 95, 60
					sick++
					break
				}
			}
			n := func(v float64) uint8 { return uint8(math.Max(0, math.Min(255, v+grain*rng.NormFloat64()))) }
			m.Set(x, y, color.RGBA{n(r), n(g), n(b), 255})
		}
	}
	return m, float64(sick) / 40000
}

func TestAShareOfALeaf(t *testing.T) {
	for _, c := range []struct {
		spots [][3]float64
		grain float64
	}{{[][3]float64{{100, 100, 40}}, 0}, {[][3]float64{{60, 60, 20}, {140, 120, 30}, {100, 170, 10}}, 8}, {[][3]float64{{100, 100, 8}}, 6}, {[][3]float64{{100, 100, 95}}, 8}} {
		m, truth := leaf(c.spots, c.grain)
		f, mask, err := microscopy.Share(m, microscopy.ShareRequest{Outline: whole})
		require.NoError(t, err)
		assert.True(t, f.Chosen)
		assert.InDelta(t, truth, f.Share, .01, "spots of %.3f", truth)
		assert.True(t, f.Low <= truth+.003 && truth-.003 <= f.High, "%.4f in %.4f to %.4f", truth, f.Low, f.High)
		n := 0
		for _, is := range mask {
			if is {
				n++
			}
		}
		assert.InDelta(t, f.Share, float64(n)/float64(f.Pixels), 1e-12)
	}
	m, _ := leaf(nil, 0)
	half := -.5
	f, _, err := microscopy.Share(m, microscopy.ShareRequest{Outline: whole, Threshold: &half, Strokes: []microscopy.Stroke{{Points: []microscopy.Point{{X: 100, Y: 100}}, Radius: 50}, {Points: []microscopy.Point{{X: 100, Y: 100}}, Radius: 20, Sound: true}}})
	require.NoError(t, err)
	assert.InDelta(t, math.Pi*(2500-400)/40000, f.Share, .002, "what is painted, less what is wiped away")
	tri, _, err := microscopy.Share(m, microscopy.ShareRequest{Outline: whole[:3], Threshold: &half})
	require.NoError(t, err)
	assert.InDelta(t, 20000, tri.Pixels, 150, "half the square")
}

func TestWhatIsNoLeaf(t *testing.T) {
	m, _ := leaf(nil, 0)
	off := 9.
	for field, r := range map[string]microscopy.ShareRequest{
		"outline":    {Outline: whole[:2]},
		"outline[0]": {Outline: []microscopy.Point{{X: 900, Y: 0}, {X: 901, Y: 0}, {X: 901, Y: 9}}},
		"threshold":  {Outline: whole, Threshold: &off},
		"strokes[0]": {Outline: whole, Strokes: []microscopy.Stroke{{Radius: 3}}},
	} {
		_, _, err := microscopy.Share(m, r)
		list := fault.From(err)
		require.NotEmpty(t, list, field)
		assert.Equal(t, field, list[0].Field)
	}
	flood := microscopy.Stroke{Radius: 2000}
	for i := range 300 {
		flood.Points = append(flood.Points, microscopy.Point{X: float64(i % 2 * 200), Y: 100})
	}
	_, _, err := microscopy.Share(m, microscopy.ShareRequest{Outline: whole, Strokes: []microscopy.Stroke{flood}})
	assert.ErrorContains(t, err, "more than can be painted")
	_, _, err = microscopy.Share(image.NewRGBA(image.Rect(0, 0, 70000, 1)), microscopy.ShareRequest{Outline: whole})
	assert.ErrorContains(t, err, "too large")
}
