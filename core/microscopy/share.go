package microscopy

import (
	"fmt"
	"image"
	"math"
	"slices"

	"botanik/core/fault"
)

// Stroke of a brush that says of part of a leaf that it is sick, or sound.
type Stroke struct {
	Points []Point `json:"points" maxItems:"2000"`
	Radius float64 `json:"radius" doc:"pixels"`
	Sound  bool    `json:"sound,omitempty" doc:"wipes away instead of adding"`
}

// ShareRequest asks how much of a leaf on a picture is sick.
type ShareRequest struct {
	Outline   []Point  `json:"outline" maxItems:"2000" doc:"of the leaf, three points or more"`
	Threshold *float64 `json:"threshold,omitempty" doc:"greenness below which a pixel is sick, -1 to 2; chosen between the two heaps of pixels when left out"`
	Strokes   []Stroke `json:"strokes,omitempty" maxItems:"200" doc:"what the brush says outranks the threshold; the later the stroke, the more"`
}

// ShareFound is the share with what is uncertain of it.
type ShareFound struct {
	Share     float64 `json:"share" doc:"0 to 1"`
	Low       float64 `json:"low" doc:"with the threshold a little lower, and the outline half a pixel in"`
	High      float64 `json:"high"`
	Threshold float64 `json:"threshold" doc:"that was used"`
	Chosen    bool    `json:"chosen" doc:"by the program"`
	Pixels    int     `json:"pixels" doc:"of the leaf"`
	Text      string  `json:"text"`

	Warnings []string `json:"warnings"`
}

const (
	levels    = 1_536 // steps of greenness from -1 to 2
	mostWork  = 1e9   // pixels a brush may pass over in all
	fewPixels = 2_000 // of a leaf, below which a share is rough
	oneHeap   = .75   // of the spread explained by two heaps, below which there is one (2/π is .64; judgement)
	farOff    = 4.    // standard deviations
	nudge     = .03   // of greenness, how far another eye would set the threshold (judgement)
)

// Greenness of a colour: (2G-R-B)/(R+G+B), the excess green index; healthy leaves lie
// at .1 to .5, brown and bleached ones about 0. 0 for black.
func Greenness(r, g, b float64) float64 {
	sum := r + g + b
	if sum == 0 {
		return 0
	}
	return (2*g - r - b) / sum
}

// Share measures how much of a leaf is sick by its greenness and the brush. The mask,
// row by row of the picture, is true where it is sick. Errors name outline, threshold or
// strokes[i].
func Share(img image.Image, r ShareRequest) (ShareFound, []bool, error) {
	b := img.Bounds()
	if err := checkShare(r, b); err != nil {
		return ShareFound{}, nil, err
	}
	w, h := b.Dx(), b.Dy()
	inside := fillOutline(r.Outline, w, h)
	// A picture has millions of pixels: greenness is kept in steps, and counted.
	green, counts, n := make([]uint16, w*h), [levels]int{}, 0
	for y := range h {
		for x := range w {
			if at := y*w + x; inside[at] {
				cr, cg, cb, _ := img.At(b.Min.X+x, b.Min.Y+y).RGBA()
				green[at] = uint16(levelOf(Greenness(float64(cr), float64(cg), float64(cb))))
				counts[green[at]]++
				n++
			}
		}
	}
	if n == 0 {
		return ShareFound{}, nil, fault.New("outline", "holds no pixel of the picture", "set its points round the leaf")
	}
	out := ShareFound{Pixels: n, Warnings: []string{}}
	if r.Threshold != nil {
		out.Threshold = *r.Threshold
	} else {
		out.Threshold, out.Chosen = betweenHeaps(&counts, n), true
	}
	brushed := brush(r.Strokes, w, h)
	at := func(threshold float64, mask []bool) float64 {
		under, sick := uint16(levelOf(threshold)), 0
		for i, in := range inside {
			is := in && (brushed[i] > 0 || brushed[i] == 0 && green[i] < under)
			if is {
				sick++
			}
			if mask != nil {
				mask[i] = is
			}
		}
		return float64(sick) / float64(n)
	}
	mask := make([]bool, w*h)
	out.Share = at(out.Threshold, mask)
	edge := 0.
	for i, p := range r.Outline {
		edge += distance(p, r.Outline[(i+1)%len(r.Outline)])
	}
	rim := .5 * edge / float64(n) // half a pixel of the outline may belong to either side
	out.Low = math.Max(0, at(out.Threshold-nudge, nil)-rim*out.Share)
	out.High = math.Min(1, at(out.Threshold+nudge, nil)+rim*out.Share)
	out.Text = fmt.Sprintf("%.0f in 100 of the leaf (%.0f to %.0f)", 100*out.Share, 100*out.Low, 100*out.High)
	if n < fewPixels {
		out.Warnings = append(out.Warnings, "The leaf covers few pixels: take a picture from nearer.")
	}
	if out.High-out.Low > .15 {
		out.Warnings = append(out.Warnings, "Sick and sound hardly differ in colour: set the threshold by eye, or paint what is sick.")
	}
	return out, mask, nil
}

func checkShare(r ShareRequest, b image.Rectangle) error {
	var l fault.List
	if n := len(r.Outline); n < fewest || n > mostPoints {
		l.Add("outline", fmt.Sprintf("%d points are no outline", n), "set three or more round the leaf")
	}
	if b.Dx() > widest || b.Dy() > widest || b.Dx()*b.Dy() > 40e6 {
		l.Add("picture", "is too large", "make it smaller than 40 million pixels")
	}
	for i, p := range r.Outline {
		if !(p.X >= -1 && p.Y >= -1 && p.X <= float64(b.Dx())+1 && p.Y <= float64(b.Dy())+1) {
			l.Add(fmt.Sprintf("outline[%d]", i), "lies off the picture", "set it on the picture")
			break
		}
	}
	if t := r.Threshold; t != nil && !(*t >= -1 && *t <= 2) {
		l.Add("threshold", fmt.Sprintf("%g is no greenness", *t), "give -1 to 2, or leave it out")
	}
	work := 0.
	for i, s := range r.Strokes {
		if !(s.Radius > 0 && s.Radius <= 2000) || len(s.Points) == 0 {
			l.Add(fmt.Sprintf("strokes[%d]", i), "is no stroke", "give points and a radius above 0")
			continue
		}
		dabs := 0
		for k, p := range s.Points {
			if !(p.X >= 0 && p.X <= widest && p.Y >= 0 && p.Y <= widest) {
				l.Add(fmt.Sprintf("strokes[%d].points[%d]", i, k), "lies off the picture", "paint on the picture")
				break
			}
			dabs += dabsTo(s, k)
		}
		if work += 4 * math.Max(1, s.Radius*s.Radius) * float64(dabs); work > mostWork {
			l.Add(fmt.Sprintf("strokes[%d]", i), "is more than can be painted", "use fewer strokes, or set the threshold")
			break
		}
	}
	return l.Err()
}

// fillOutline marks the pixels whose middle lies inside, by the even-odd rule.
func fillOutline(p []Point, w, h int) []bool {
	in := make([]bool, w*h)
	for y := range h {
		at := float64(y) + .5
		var cuts []float64
		for i, a := range p {
			b := p[(i+1)%len(p)]
			if (a.Y <= at) != (b.Y <= at) {
				cuts = append(cuts, a.X+(at-a.Y)/(b.Y-a.Y)*(b.X-a.X))
			}
		}
		slices.Sort(cuts)
		for i := 0; i+1 < len(cuts); i += 2 {
			for x := max(0, int(math.Ceil(cuts[i]-.5))); x < w && float64(x)+.5 <= cuts[i+1]; x++ {
				in[y*w+x] = true
			}
		}
	}
	return in
}

// dabsTo is how many dabs of the brush lead to a point of a stroke.
func dabsTo(s Stroke, i int) int {
	if i == 0 {
		return 1
	}
	return int(distance(s.Points[i-1], s.Points[i])/math.Max(1, s.Radius/2)) + 1
}

// brush marks what strokes say: 1 sick, -1 sound, the later over the earlier.
func brush(strokes []Stroke, w, h int) []int8 {
	out := make([]int8, w*h)
	for _, s := range strokes {
		says := int8(1)
		if s.Sound {
			says = -1
		}
		for i, p := range s.Points {
			from := p
			if i > 0 {
				from = s.Points[i-1]
			}
			n := dabsTo(s, i)
			for k := 1; k <= n; k++ {
				t := float64(k) / float64(n)
				cx, cy := from.X+t*(p.X-from.X), from.Y+t*(p.Y-from.Y)
				for y := max(0, int(cy-s.Radius)); y < h && float64(y) <= cy+s.Radius; y++ {
					for x := max(0, int(cx-s.Radius)); x < w && float64(x) <= cx+s.Radius; x++ {
						if math.Hypot(float64(x)+.5-cx, float64(y)+.5-cy) <= s.Radius {
							out[y*w+x] = says
						}
					}
				}
			}
		}
	}
	return out
}

// levelOf is the step of a greenness, from 0 for -1 to the last for 2.
func levelOf(green float64) int {
	return max(0, min(levels-1, int((green+1)/3*levels)))
}

// greenAt is the greenness between a step and the one before it.
func greenAt(level float64) float64 { return level/levels*3 - 1 }

// betweenHeaps is the threshold that parts the pixels into two heaps with the least
// spread inside each (Otsu 1979). Of one normal heap that explains 2/π of the spread;
// where it explains hardly more there is one heap, and sick is what lies far off it (by
// the median and its absolute deviation).
func betweenHeaps(counts *[levels]int, n int) float64 {
	total, sum := float64(n), 0.
	for i, c := range counts {
		sum += float64(i) * float64(c)
	}
	best, from, to := -1., 0, 0
	below, belowSum, spread := 0., 0., 0.
	for i, c := range counts {
		spread += float64(c) * (float64(i) - sum/total) * (float64(i) - sum/total)
		below += float64(c)
		belowSum += float64(i) * float64(c)
		if below == 0 || below == total {
			continue
		}
		d := belowSum/below - (sum-belowSum)/(total-below)
		switch s := below * (total - below) * d * d; {
		case s > best*(1+1e-12):
			best, from, to = s, i, i
		case s >= best*(1-1e-12): // between two heaps apart every step is as good: the middle
			to = i
		}
	}
	if best/total >= oneHeap*spread && spread > 0 {
		return greenAt(float64(from+to)/2 + 1)
	}
	middle := half(counts, n, func(i int) int { return i })
	off := half(counts, n, func(i int) int { return max(i-middle, middle-i) })
	return greenAt(float64(middle) - farOff*1.4826*float64(off))
}

// half is the median of what a step stands for.
func half(counts *[levels]int, n int, of func(int) int) int {
	var by [levels]int
	for i, c := range counts {
		by[of(i)] += c
	}
	seen := 0
	for i, c := range by {
		if seen += c; 2*seen > n {
			return i
		}
	}
	return levels - 1
}
