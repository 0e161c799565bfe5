package simulated

import (
	"bytes"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"image"
	"image/color"
	"image/draw"
	"image/jpeg"
	"math"
	"math/rand/v2"
	"net/http"
	"slices"
	"strconv"
	"sync"

	"botanik/core/microscopy"

	"golang.org/x/image/vector"
)

// ScopeCamera is a microscope's camera with a tray of slides, drawn from the
// characters of the slide key, and a stage micrometer. It speaks the protocol of
// docs/scope-camera.md.
type ScopeCamera struct {
	key microscopy.SlideKey

	mu sync.Mutex
	at CameraState
}

// CameraState is what the camera says of itself.
type CameraState struct {
	Kind       string        `json:"kind"`
	Objective  string        `json:"objective"`
	Objectives []string      `json:"objectives"`
	Exposure   float64       `json:"exposure" doc:"1 is as it should be"`
	Slide      string        `json:"slide"`
	Slides     []CameraSlide `json:"slides"`
}

// CameraSlide is one slide on the tray, by its number; which species lies on it is
// for whoever looks.
type CameraSlide struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Micrometer is the slide with lines 10 µm apart.
const Micrometer = "micrometer"

const frameW, frameH = 960, 720

// pixels a µm under each objective.
var pixels = map[string]float64{"4x": .5, "10x": 1.25, "40x": 5}

// NewScopeCamera puts the slides of a key on the tray: armored scales with measured
// ratios, in the order of their names' hash, so that the number tells nothing.
func NewScopeCamera(key microscopy.SlideKey) *ScopeCamera {
	c := &ScopeCamera{key: key, at: CameraState{Kind: "simulated camera", Objective: "40x", Objectives: []string{"4x", "10x", "40x"}, Exposure: 1, Slide: Micrometer, Slides: []CameraSlide{{Micrometer, "stage micrometer, 10 µm between lines"}}}}
	for i, s := range c.tray() {
		c.at.Slides = append(c.at.Slides, CameraSlide{strconv.Itoa(i + 1), fmt.Sprintf("slide %d: an armored scale", i+1)})
		_ = s
	}
	return c
}

func (c *ScopeCamera) tray() []*microscopy.Species {
	out := []*microscopy.Species{}
	for _, s := range c.key.Species {
		if _, ok := s.Ranges["opening-lobe"]; ok {
			out = append(out, s)
		}
	}
	slices.SortFunc(out, func(a, b *microscopy.Species) int { return int(seedOf(a.ID)%1e6) - int(seedOf(b.ID)%1e6) })
	return out
}

func seedOf(s string) uint64 {
	h := fnv.New64a()
	_, _ = h.Write([]byte(s))
	return h.Sum64()
}

// ServeHTTP speaks the protocol: GET and PUT /state, GET /frame.
func (c *ScopeCamera) ServeHTTP(w http.ResponseWriter, r *http.Request) {
	switch r.Method + " " + r.URL.Path {
	case "GET /state":
		c.say(w)
	case "PUT /state":
		var in CameraState
		if err := json.NewDecoder(r.Body).Decode(&in); err != nil {
			http.Error(w, "the state is not JSON", http.StatusBadRequest)
			return
		}
		if problem := c.set(in); problem != "" {
			http.Error(w, problem, http.StatusUnprocessableEntity)
			return
		}
		c.say(w)
	case "GET /frame":
		c.mu.Lock()
		at := c.at
		c.mu.Unlock()
		var b bytes.Buffer
		if err := jpeg.Encode(&b, c.draw(at), &jpeg.Options{Quality: 92}); err != nil {
			http.Error(w, err.Error(), http.StatusInternalServerError)
			return
		}
		w.Header().Set("Content-Type", "image/jpeg")
		w.Header().Set("X-Objective", at.Objective)
		_, _ = w.Write(b.Bytes())
	default:
		http.Error(w, "ask for /state or /frame", http.StatusNotFound)
	}
}

func (c *ScopeCamera) say(w http.ResponseWriter) {
	c.mu.Lock()
	defer c.mu.Unlock()
	w.Header().Set("Content-Type", "application/json")
	_ = json.NewEncoder(w).Encode(c.at)
}

func (c *ScopeCamera) set(in CameraState) string {
	c.mu.Lock()
	defer c.mu.Unlock()
	switch {
	case in.Objective != "" && pixels[in.Objective] == 0:
		return fmt.Sprintf("objective: %q is not mounted; use 4x, 10x or 40x", in.Objective)
	case in.Slide != "" && !slices.ContainsFunc(c.at.Slides, func(s CameraSlide) bool { return s.ID == in.Slide }):
		return fmt.Sprintf("slide: %q is not on the tray", in.Slide)
	case in.Exposure != 0 && !(in.Exposure >= .25 && in.Exposure <= 4):
		return "exposure: give 0.25 to 4"
	}
	if in.Objective != "" {
		c.at.Objective = in.Objective
	}
	if in.Slide != "" {
		c.at.Slide = in.Slide
	}
	if in.Exposure != 0 {
		c.at.Exposure = in.Exposure
	}
	return ""
}

// Slide is what truly lies on a slide, for those who check what was measured.
type Slide struct {
	Species  *microscopy.Species
	Opening  [2]microscopy.Point // ends of the anal opening, in pixels of the frame
	Lobe     [2]microscopy.Point // ends of the right middle lobe
	Gap      [2]microscopy.Point
	PerPixel float64 // µm
}

// Truth is what lies on a slide under an objective; nil for the micrometer.
func (c *ScopeCamera) Truth(slide, objective string) *Slide {
	i, err := strconv.Atoi(slide)
	tray := c.tray()
	if err != nil || i < 1 || i > len(tray) {
		return nil
	}
	m := mounted(tray[i-1], pixels[objective])
	lobe := m.lobe
	x := m.lobeX
	return &Slide{
		Species:  tray[i-1],
		Opening:  [2]microscopy.Point{m.at(0, -m.gap-m.opening), m.at(0, -m.gap)},
		Gap:      [2]microscopy.Point{m.at(0, -m.gap), m.at(0, 0)},
		Lobe:     [2]microscopy.Point{m.at(x, 0), m.at(x, lobe)},
		PerPixel: 1 / pixels[objective],
	}
}

// mount is a hind end laid on the slide: lengths in µm from the base of the lobes,
// turned and shifted as slides lie.
type mount struct {
	s                  *microscopy.Species
	lobe, opening, gap float64
	lobeX              float64
	turn, dx, dy, k    float64
}

func mounted(s *microscopy.Species, k float64) mount {
	rng := rand.New(rand.NewPCG(seedOf(s.ID), 7))
	of := func(id string) float64 {
		r := s.Ranges[id]
		return r[0] + (r[1]-r[0])*(.3+.4*rng.Float64())
	}
	m := mount{s: s, lobe: 12, k: k, turn: (rng.Float64() - .5) * .3, dx: (rng.Float64() - .5) * 30, dy: rng.Float64() * 10, lobeX: 6}
	m.opening = of("opening-lobe") * m.lobe
	m.gap = of("gap-opening") * m.opening
	if has(s, "medians", "apart") {
		m.lobeX = 8
	}
	return m
}

func has(s *microscopy.Species, character, state string) bool {
	return slices.Contains(s.States[character], state)
}

// at turns µm of the slide into a pixel of the frame.
func (m mount) at(x, y float64) microscopy.Point {
	sin, cos := math.Sincos(m.turn)
	return microscopy.Point{X: frameW/2 + m.dx + m.k*(x*cos-y*sin), Y: frameH*.66 + m.dy + m.k*(x*sin+y*cos)}
}

var (
	ground = color.RGBA{0xea, 0xec, 0xe0, 0xff}
	skin   = color.RGBA{0xe3, 0xcf, 0x9c, 0xff}
	horn   = color.RGBA{0xb9, 0x8a, 0x45, 0xff}
	rim    = color.RGBA{0x5d, 0x41, 0x1a, 0xff}
	pale   = color.RGBA{0xf6, 0xf1, 0xdd, 0xff}
)

// canvas fills outlines with smooth edges.
type canvas struct {
	img *image.RGBA
	m   mount
}

func (c *canvas) fill(col color.RGBA, points ...microscopy.Point) {
	// Only the box round the outline is worked on.
	box := image.Rectangle{Min: image.Pt(frameW, frameH)}
	for _, p := range points {
		box.Min = image.Pt(min(box.Min.X, int(math.Floor(p.X))), min(box.Min.Y, int(math.Floor(p.Y))))
		box.Max = image.Pt(max(box.Max.X, int(math.Ceil(p.X))), max(box.Max.Y, int(math.Ceil(p.Y))))
	}
	box = box.Intersect(c.img.Bounds())
	if box.Empty() {
		return
	}
	r := vector.NewRasterizer(box.Dx(), box.Dy())
	at := func(p microscopy.Point) (float32, float32) {
		return float32(p.X - float64(box.Min.X)), float32(p.Y - float64(box.Min.Y))
	}
	for i, p := range points {
		if x, y := at(p); i == 0 {
			r.MoveTo(x, y)
		} else {
			r.LineTo(x, y)
		}
	}
	r.ClosePath()
	r.Draw(c.img, box, image.NewUniform(col), image.Point{})
}

// oval in µm of the slide, filled, with a rim where one is given.
func (c *canvas) oval(x, y, rx, ry float64, inner, edge color.RGBA, rimUm float64) {
	ring := func(rx, ry float64) []microscopy.Point {
		out := make([]microscopy.Point, 48)
		for i := range out {
			sin, cos := math.Sincos(2 * math.Pi * float64(i) / 48)
			out[i] = c.m.at(x+rx*cos, y+ry*sin)
		}
		return out
	}
	c.fill(edge, ring(rx, ry)...)
	c.fill(inner, ring(rx-rimUm, ry-rimUm)...)
}

// lobe from its base to its round tip.
func (c *canvas) lobe(x, h, w float64) {
	outline := func(in float64) []microscopy.Point {
		p := []microscopy.Point{c.m.at(x-w/2+in, -.2), c.m.at(x-w/2+in, h*.55)}
		for i := 0; i <= 12; i++ {
			sin, cos := math.Sincos(math.Pi * float64(i) / 12)
			p = append(p, c.m.at(x-(w/2-in)*cos, h*.55+(h*.45-in)*sin))
		}
		return append(p, c.m.at(x+w/2-in, -.2))
	}
	c.fill(rim, outline(0)...)
	c.fill(horn, outline(.4)...)
}

func (c *ScopeCamera) draw(at CameraState) image.Image {
	img := image.NewRGBA(image.Rect(0, 0, frameW, frameH))
	draw.Draw(img, img.Bounds(), image.NewUniform(ground), image.Point{}, draw.Src)
	i, err := strconv.Atoi(at.Slide)
	if err != nil {
		micrometer(img, pixels[at.Objective])
	} else {
		s := c.tray()[i-1]
		(&canvas{img, mounted(s, pixels[at.Objective])}).hindEnd(s)
	}
	return asSeen(img, at, seedOf(at.Slide+at.Objective))
}

func (c *canvas) hindEnd(s *microscopy.Species) {
	m := c.m
	c.fill(rim, m.at(-75, -95), m.at(75, -95), m.at(88, -40), m.at(62, 0), m.at(-62, 0), m.at(-88, -40))
	c.fill(skin, m.at(-74, -94), m.at(74, -94), m.at(87, -40), m.at(61.4, -.5), m.at(-61.4, -.5), m.at(-87, -40))
	for _, side := range []float64{-1, 1} {
		for _, x := range []float64{46, 34, 26} {
			c.oval(side*x, -10-x/6, 1.5, .9, pale, rim, .3) // mouths of ducts along the margin
		}
		if !has(s, "thickenings", "none") {
			h := 5.
			if has(s, "thickenings", "long") {
				h = 16
			}
			c.fill(horn, m.at(side*14.4, 0), m.at(side*13.6, -h), m.at(side*15.4, -h), m.at(side*15, 0))
		}
		pairs := 3
		switch {
		case has(s, "lobes", "one"):
			pairs = 1
		case has(s, "lobes", "two"):
			pairs = 2
		}
		c.lobe(side*m.lobeX, m.lobe, 8.5)
		for i, x := range []float64{20, 31} {
			switch {
			case i+1 < pairs:
				c.lobe(side*x, m.lobe*(.8-.14*float64(i)), 7)
			case i == 0 && has(s, "second", "twin"):
				c.lobe(side*(x-2), m.lobe*.45, 3.6)
				c.lobe(side*(x+2.2), m.lobe*.38, 3.2)
			default:
				c.fill(horn, m.at(side*x-1.6, 0), m.at(side*x, 3.4), m.at(side*x+1.6, 0))
			}
		}
		for _, x := range []float64{14, 25.5, 37, 42} {
			h := m.lobe * 1.2
			if has(s, "plates", "short") || has(s, "plates", "spines") {
				h = m.lobe * .7
			}
			c.fill(rim, m.at(side*x-.5, 0), m.at(side*x-.2, h), m.at(side*x+.2, h), m.at(side*x+.5, 0))
			if has(s, "plates", "clubbed") {
				c.oval(side*x, h, 1.3, 1.3, horn, rim, .3)
			}
		}
		if !has(s, "birth-pores", "none") {
			c.pores(side*30, -70)
			c.pores(side*18, -82)
		}
	}
	if has(s, "birth-pores", "five") && !has(s, "birth-pores", "four") {
		c.pores(0, -89)
	}
	c.fill(rim, m.at(-9, -76), m.at(0, -78.5), m.at(9, -76), m.at(0, -77.4)) // the birth opening
	c.oval(0, -m.gap-m.opening/2, m.opening*.42, m.opening/2, pale, rim, .5)
}

func (c *canvas) pores(x, y float64) {
	for i := range 7 {
		sin, cos := math.Sincos(float64(i) * math.Pi / 3)
		r := 3.2
		if i == 0 {
			r = 0
		}
		c.oval(x+r*cos, y+r*sin, 1.3, 1.3, pale, rim, .35)
	}
}

// micrometer draws lines 10 µm apart, each fifth longer, from edge to edge.
func micrometer(img *image.RGBA, k float64) {
	c := &canvas{img: img}
	for i := 0; float64(i)*10*k < frameW; i++ {
		x := 20 + float64(i)*10*k
		h := 90.
		if i%5 == 0 {
			h = 150
		}
		c.fill(rim, microscopy.Point{X: x - .9, Y: 300}, microscopy.Point{X: x + .9, Y: 300}, microscopy.Point{X: x + .9, Y: 300 + h}, microscopy.Point{X: x - .9, Y: 300 + h})
	}
}

// asSeen softens the picture, darkens its corners and grains it, as a cheap camera does.
func asSeen(in *image.RGBA, at CameraState, seed uint64) image.Image {
	rng := rand.New(rand.NewPCG(seed, 11))
	out := image.NewRGBA(in.Bounds())
	for y := range frameH {
		for x := range frameW {
			var sum [3]int
			n := 0
			for dy := -1; dy <= 1; dy++ {
				for dx := -1; dx <= 1; dx++ {
					p := image.Pt(x+dx, y+dy)
					if p.In(in.Bounds()) {
						o := in.PixOffset(p.X, p.Y)
						for k := range 3 {
							sum[k] += int(in.Pix[o+k])
						}
						n++
					}
				}
			}
			far := math.Hypot(float64(x-frameW/2), float64(y-frameH/2)) / 600
			light := at.Exposure * (1 - .3*far*far)
			grain := rng.NormFloat64() * 5
			o := out.PixOffset(x, y)
			for k := range 3 {
				out.Pix[o+k] = uint8(math.Max(0, math.Min(255, float64(sum[k]/n)*light+grain)))
			}
			out.Pix[o+3] = 0xff
		}
	}
	return out
}
