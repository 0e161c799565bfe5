package microscopy

import (
	"fmt"
	"math"

	"botanik/core/fault"
)

// Point is a place on a picture, in pixels.
type Point struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
}

// PhotoRequest measures on a picture by a length in it that is known. A second known
// length across the first shows whether the picture was taken at a slant.
type PhotoRequest struct {
	Known       []Point   `json:"known" minItems:"2" maxItems:"2" doc:"two clicks on what is known"`
	Millimetres float64   `json:"millimetres" doc:"between them"`
	Across      []Point   `json:"across,omitempty" maxItems:"2" doc:"two clicks on a second known length, square to the first"`
	AcrossMm    float64   `json:"acrossMm,omitempty"`
	Lines       [][]Point `json:"lines,omitempty" maxItems:"100" doc:"lengths, two points each"`
	Areas       [][]Point `json:"areas,omitempty" maxItems:"100" doc:"outlines, three points or more, the last joined to the first"`
	ClickSD     float64   `json:"clickSd,omitempty" doc:"how far a click is off, in pixels; 1.5 when left out"`
}

// Measured is a length or an area with its error.
type Measured struct {
	Value float64 `json:"value" doc:"mm, or mm² of an area"`
	SD    float64 `json:"sd"`
	Text  string  `json:"text"`
}

// PhotoScale answers a PhotoRequest.
type PhotoScale struct {
	MmPerPixel float64    `json:"mmPerPixel"`
	SD         float64    `json:"sd"`
	Lines      []Measured `json:"lines"`
	Areas      []Measured `json:"areas"`
	Warnings   []string   `json:"warnings"`
}

// clickSD is how far a length between two clicks is off, in pixels.
const clickSD = usualClick * math.Sqrt2

const (
	usualClick = 1.5    // px, judgement
	widest     = 65_535 // px of the largest picture a decoder gives
	shortScale = 60     // px under which the known length is poorly known
	slanted    = .05    // how far the two scales may differ
	fewest     = 3      // points of an outline
	mostPoints = 2_000
)

// Measure works lengths and areas out. Errors name the field; a known length of no
// pixels gives no scale.
func Measure(r PhotoRequest) (PhotoScale, error) {
	var l fault.List
	points := func(field string, list []Point, least, most int) {
		if len(list) < least || len(list) > most {
			l.Add(field, fmt.Sprintf("%d points cannot be", len(list)), fmt.Sprintf("give %d to %d", least, most))
		}
		for i, p := range list {
			if !(p.X >= 0 && p.X <= widest && p.Y >= 0 && p.Y <= widest) {
				l.Add(fmt.Sprintf("%s[%d]", field, i), fmt.Sprintf("(%g, %g) lies on no picture", p.X, p.Y), fmt.Sprintf("give pixels from 0 to %d", widest))
			}
		}
	}
	length := func(field string, mm float64) {
		if !(mm > 0 && mm <= 1e5) {
			l.Add(field, fmt.Sprintf("%g mm cannot be", mm), "give the known length in mm, above 0")
		}
	}
	points("known", r.Known, 2, 2)
	length("millimetres", r.Millimetres)
	if len(r.Across) > 0 {
		points("across", r.Across, 2, 2)
		length("acrossMm", r.AcrossMm)
	}
	for i, x := range r.Lines {
		points(fmt.Sprintf("lines[%d]", i), x, 2, 2)
	}
	for i, x := range r.Areas {
		points(fmt.Sprintf("areas[%d]", i), x, fewest, mostPoints)
	}
	if !(r.ClickSD >= 0 && r.ClickSD < 1e3) {
		l.Add("clickSd", fmt.Sprintf("%g pixels cannot be", r.ClickSD), "leave it out for 1.5")
	}
	if err := l.Err(); err != nil {
		return PhotoScale{}, err
	}
	if r.ClickSD == 0 {
		r.ClickSD = usualClick
	}
	px := distance(r.Known[0], r.Known[1])
	if px < 2 {
		return PhotoScale{}, fault.New("known", "the two points are one", "click on both ends of what is known")
	}
	// Both ends are off by a click, along the line.
	rel := r.ClickSD * math.Sqrt2 / px
	out := PhotoScale{MmPerPixel: r.Millimetres / px, Lines: []Measured{}, Areas: []Measured{}, Warnings: []string{}}
	out.SD = out.MmPerPixel * rel
	if px < shortScale {
		out.Warnings = append(out.Warnings, fmt.Sprintf("The known length covers only %.0f pixels: take a longer one, or a picture from nearer.", px))
	}
	if len(r.Across) == 2 {
		if other := distance(r.Across[0], r.Across[1]); other < 2 {
			return PhotoScale{}, fault.New("across", "the two points are one", "click on both ends of what is known")
		} else if d := r.AcrossMm/other/out.MmPerPixel - 1; math.Abs(d) > slanted {
			out.Warnings = append(out.Warnings, fmt.Sprintf("Across the first the scale is %.0f in 100 different: the picture was taken at a slant. Lengths in other directions are that far off.", 100*math.Abs(d)))
		}
	}
	for _, x := range r.Lines {
		d := distance(x[0], x[1])
		v := d * out.MmPerPixel
		sd := math.Hypot(v*rel, r.ClickSD*math.Sqrt2*out.MmPerPixel)
		out.Lines = append(out.Lines, Measured{v, sd, fmt.Sprintf("%.*f ± %.*f mm", digits(sd), v, digits(sd), sd)})
	}
	for _, x := range r.Areas {
		area, edge := polygon(x)
		v := area * out.MmPerPixel * out.MmPerPixel
		// Each corner moves the outline by a click over half its two edges.
		sd := math.Hypot(2*v*rel, r.ClickSD*edge/math.Sqrt(2*float64(len(x)))*out.MmPerPixel*out.MmPerPixel)
		out.Areas = append(out.Areas, Measured{v, sd, fmt.Sprintf("%.*f ± %.*f mm²", digits(sd), v, digits(sd), sd)})
	}
	return out, nil
}

func distance(a, b Point) float64 { return math.Hypot(a.X-b.X, a.Y-b.Y) }

// polygon is the area of an outline by the shoelace formula, and its length.
func polygon(p []Point) (area, edge float64) {
	for i, a := range p {
		b := p[(i+1)%len(p)]
		area += a.X*b.Y - b.X*a.Y
		edge += distance(a, b)
	}
	return math.Abs(area) / 2, edge
}

// digits shows an error to one figure that counts.
func digits(sd float64) int {
	if sd <= 0 {
		return 2
	}
	return max(0, min(4, int(math.Ceil(-math.Log10(sd)))))
}
