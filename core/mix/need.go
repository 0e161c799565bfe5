package mix

import (
	"fmt"
	"math"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// PlantSize is a number of like plants to be sprayed until both sides of the
// leaves drip.
type PlantSize struct {
	Count    int     `json:"count" doc:"1 to 500"`
	HeightCm float64 `json:"heightCm" doc:"2 to 1000"`
	WidthCm  float64 `json:"widthCm" doc:"2 to 1000"`
	Leaf     string  `json:"leaf,omitempty" enum:"sparse,ordinary,dense," doc:"how leafy it is"`
}

// Pot is a number of like pots, by what one holds or by its diameter.
type Pot struct {
	Count    int     `json:"count" doc:"1 to 500"`
	Size     string  `json:"size,omitempty" doc:"what one pot holds, like '5 L'"`
	AcrossCm float64 `json:"acrossCm,omitempty" doc:"at most 200; its diameter, when what it holds is not known"`
}

// Need is how much finished mix is wanted.
type Need struct {
	Ml    float64  `json:"ml"`
	Text  string   `json:"text" doc:"rounded up to what a measuring jug shows; ready for the volume of a mix"`
	Lines []string `json:"lines"`
	Rule  string   `json:"rule"`
}

// Leaf area for each square metre of the plant's outline, by leafiness, and mL
// of mix that hang on a square metre of leaf when both sides drip. Judgement,
// from spray volumes given in extension texts for shrubs to run-off.
var leafArea = map[string]float64{"sparse": 2, "ordinary": 3.5, "dense": 5}

const mlPerLeaf = 120

// SprayNeed estimates the mix for plants by their outline (height times
// width), their leafiness and wetting to run-off. Errors name the plant's
// field. The estimate is marked as judgement.
func SprayNeed(plants []PlantSize) (Need, error) {
	var l fault.List
	if len(plants) == 0 {
		l.Add("plants", "there is none", "give at least one with its height and width")
	}
	n := Need{Lines: []string{}, Rule: "height times width, by how leafy it is, wetted until both sides drip; an estimate, judgement: the first filling tells"}
	for i, p := range plants {
		at := fmt.Sprintf("plants[%d].", i)
		if p.Count < 1 || p.Count > 500 {
			l.Add(at+"count", fmt.Sprintf("%d plants cannot be", p.Count), "give 1 to 500")
		}
		for field, v := range map[string]float64{"heightCm": p.HeightCm, "widthCm": p.WidthCm} {
			if math.IsNaN(v) || v < 2 || v > 1000 {
				l.Add(at+field, fmt.Sprintf("%g cm is out of range", v), "give centimetres, 2 to 1000; taller ones are for a licensed applicator")
			}
		}
		leaf := p.Leaf
		if leaf == "" {
			leaf = "ordinary"
		}
		lai, ok := leafArea[leaf]
		if !ok {
			l.Add(at+"leaf", fmt.Sprintf("%q is not a leafiness", p.Leaf), "use sparse, ordinary or dense")
		}
		each := p.HeightCm / 100 * p.WidthCm / 100 * lai * mlPerLeaf
		n.Ml += each * float64(p.Count)
		n.Lines = append(n.Lines, fmt.Sprintf("%d of %.0f by %.0f cm, %s: about %.0f mL each", p.Count, p.HeightCm, p.WidthCm, leaf, each))
	}
	if err := l.Err(); err != nil {
		return Need{}, err
	}
	n.round()
	return n, nil
}

// round goes up to what a jug shows: 10 mL below 100, 50 below 1 L, 100 above.
func (n *Need) round() {
	step := 100.0
	switch {
	case n.Ml < 100:
		step = 10
	case n.Ml < 1000:
		step = 50
	}
	up := math.Ceil(n.Ml/step-1e-9) * step
	n.Text = fmt.Sprintf("%g mL", up)
	if up >= 1000 {
		n.Text = fmt.Sprintf("%g L", up/1000)
	}
}

// litres one pot holds: said, or from its diameter d as d³/2 (a pot about as
// tall as it is wide; d in decimetres).
func (p Pot) litres(at string, l *fault.List) float64 {
	if p.Count < 1 || p.Count > 500 {
		l.Add(at+"count", fmt.Sprintf("%d pots cannot be", p.Count), "give 1 to 500")
	}
	if strings.TrimSpace(p.Size) != "" {
		q, err := ParseQuantity(p.Size)
		for _, f := range fault.From(err) {
			l.Add(at+"size", f.Problem, f.Mend)
		}
		if err != nil {
			return 0
		}
		if q.Unit.Dim != Volume || q.Value.Sign() == 0 || q.Base().Cmp(maxVolume) > 0 {
			l.Add(at+"size", p.Size+" is no size of a pot", "give what it holds, like 5 L")
			return 0
		}
		return float(q.Base()) / 1000
	}
	if math.IsNaN(p.AcrossCm) || p.AcrossCm < 3 || p.AcrossCm > 200 {
		l.Add(at+"acrossCm", fmt.Sprintf("%g cm is out of range", p.AcrossCm), "give what one pot holds, or its diameter of 3 to 200 cm")
		return 0
	}
	d := p.AcrossCm / 10
	return d * d * d / 2
}

// areaUnits in square metres, exactly.
var areaUnits = map[string]*big.Rat{"m2": rat("1"), "m²": rat("1"), "sq m": rat("1"), "sq ft": rat("0.09290304"), "ft2": rat("0.09290304"), "sq yd": rat("0.83612736"), "cm2": rat("0.0001")}

// ParseArea reads "3 m2", "20 sq ft", "2 sq yd" as exact square metres.
func ParseArea(s string) (*big.Rat, error) {
	t := strings.ToLower(strings.Join(strings.Fields(s), " "))
	i := strings.IndexFunc(t, func(r rune) bool { return !strings.ContainsRune("0123456789./½¼¾ ", r) })
	if i <= 0 {
		return nil, fault.New("area", fmt.Sprintf("%q is not an area", s), "write it like 3 m2, 20 sq ft or 2 sq yd")
	}
	u, ok := areaUnits[strings.TrimSpace(t[i:])]
	if !ok {
		return nil, fault.New("area", fmt.Sprintf("%q is not a unit of area known here", strings.TrimSpace(t[i:])), "write m2, sq ft or sq yd")
	}
	v, err := ParseNumber(t[:i])
	if err != nil {
		return nil, fault.New("area", fmt.Sprintf("%q is not a number", strings.TrimSpace(t[:i])), "write it like 3 m2")
	}
	a := v.Mul(v, u)
	if a.Sign() <= 0 || a.Cmp(big.NewRat(10_000, 1)) > 0 {
		return nil, fault.New("area", s+" is no garden bed", "give more than nothing and at most 10,000 m2")
	}
	return a, nil
}

// PlaceRequest asks for the amount of dust, drench or helpers over a place.
type PlaceRequest struct {
	Name string  `json:"name"`
	Per  string  `json:"per" enum:"m2,pot L,plant"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Unit string  `json:"unit" doc:"g, mL of mix, animals or plants"`
	Use  string  `json:"use,omitempty" enum:"low,middle,top," doc:"where in the range; middle when left out"`
	Way  string  `json:"way,omitempty" enum:"dust,bait,rake,water,pour,release,plant," doc:"how it is put on; says the vessel and the steps"`

	Bulk   float64 `json:"gramsPerMl,omitempty" doc:"of what is weighed, the heaviest a levelled mL of it is met; with it an amount is said in spoons too"`
	Spoons string  `json:"spoons,omitempty" enum:"metric,us,imperial,au," doc:"the grower's kitchen spoons"`

	Area   string `json:"area,omitempty" doc:"like '3 m2' or '20 sq ft'"`
	Pots   []Pot  `json:"pots,omitempty"`
	Plants int    `json:"plants,omitempty" minimum:"0" maximum:"5000"`
}

// Placed answers a PlaceRequest. Amount never passes the top.
type Placed struct {
	Amount float64  `json:"amount"`
	Unit   string   `json:"unit"`
	Text   string   `json:"text"`
	Lines  []string `json:"lines"` // for each kind of pot
	Range  string   `json:"range"` // what low and top would be here
	Vessel string   `json:"vessel,omitempty" doc:"what it is measured into"`
	Order  []string `json:"order,omitempty" doc:"how it is put on, step by step"`
	Spoons *Spooned `json:"spoons,omitempty" doc:"a weight in levelled spoons, rounded down"`
}

// Place works out an amount over a bed, pots or plants. Errors name the field.
func Place(r PlaceRequest) (Placed, error) {
	var l fault.List
	if r.Low <= 0 || r.High < r.Low {
		l.Add("low", "the range is none", "give a low above zero and a top not below it")
	}
	use := map[string]float64{"low": r.Low, "": (r.Low + r.High) / 2, "middle": (r.Low + r.High) / 2, "top": r.High}
	rate, ok := use[r.Use]
	if !ok {
		l.Add("use", fmt.Sprintf("%q is not a place in the range", r.Use), "use low, middle or top")
	}
	for _, x := range []struct {
		field, per string
		said       bool
	}{{"area", "m2", r.Area != ""}, {"pots", "pot L", len(r.Pots) > 0}, {"plants", "plant", r.Plants != 0}} {
		if x.said && x.per != r.Per {
			l.Add(x.field, "is not what this amount goes by", "leave it out; it goes by "+map[string]string{"m2": "area", "pot L": "pots", "plant": "plants"}[r.Per])
		}
	}
	size := 0.0
	var each []struct {
		n int
		l float64
	}
	switch r.Per {
	case "m2":
		a, err := ParseArea(r.Area)
		l.AddErr("", err)
		if err == nil {
			size = float(a)
		}
	case "pot L":
		if len(r.Pots) == 0 {
			l.Add("pots", "there is none", "give at least one with what it holds")
		}
		for i, p := range r.Pots {
			v := p.litres(fmt.Sprintf("pots[%d].", i), &l)
			size += v * float64(p.Count)
			each = append(each, struct {
				n int
				l float64
			}{p.Count, v})
		}
	case "plant":
		if r.Plants < 1 || r.Plants > 5000 {
			l.Add("plants", fmt.Sprintf("%d plants cannot be", r.Plants), "give 1 to 5000")
		}
		size = float64(r.Plants)
	default:
		l.Add("per", fmt.Sprintf("%q is not what an amount goes by", r.Per), "use m2, pot L or plant")
	}
	how, known := placings[r.Way]
	if !known {
		l.Add("way", fmt.Sprintf("%q is no way to put it on", r.Way), "use one of "+strings.Join(PlaceWays, ", "))
	}
	world, err := findWorld(r.Spoons)
	l.AddErr("spoons", err)
	if err := l.Err(); err != nil {
		return Placed{}, err
	}
	out := Placed{Unit: r.Unit, Amount: shown(rate*size, r.High*size, r.Unit), Lines: []string{}}
	out.Text = amountText(out.Amount, r.Unit)
	out.Range = fmt.Sprintf("%s to %s", amountText(shown(r.Low*size, r.High*size, r.Unit), r.Unit), amountText(shown(r.High*size, r.High*size, r.Unit), r.Unit))
	for _, e := range each {
		out.Lines = append(out.Lines, fmt.Sprintf("%s for each of %d pots of %.1f L", amountText(shown(rate*e.l, r.High*e.l, r.Unit), r.Unit), e.n, e.l))
	}
	out.Spoons = levelled(out.Amount, r.Bulk, world)
	out.Vessel, out.Order = how.vessel, how.say(out)
	return out, nil
}

// shown rounds an amount down to what can be measured or counted, and never
// above the top; of living things at least one is let loose.
func shown(v, top float64, unit string) float64 {
	if unit == "animals" || unit == "plants" {
		if v >= 1000 { // nobody counts a packet of nematodes to the last one
			step := math.Pow(10, math.Floor(math.Log10(v))-1)
			return math.Floor(v/step+1e-9) * step
		}
		return math.Max(1, math.Min(math.Round(v), math.Max(1, math.Floor(top+1e-9))))
	}
	step := .1
	switch {
	case v >= 200:
		step = 10
	case v >= 20:
		step = 1
	case v >= 5:
		step = .5
	}
	return math.Round(math.Floor(v/step+1e-9)*step*1e6) / 1e6
}

func amountText(v float64, unit string) string {
	if unit == "mL of mix" && v >= 1000 {
		return fmt.Sprintf("%g L of mix", v/1000)
	}
	if unit == "g" && v >= 1000 {
		return fmt.Sprintf("%g kg", v/1000)
	}
	if v >= 1e6 {
		return fmt.Sprintf("%g million %s", v/1e6, unit)
	}
	if v == 1 {
		unit = strings.TrimSuffix(unit, "s") // one animal, one plant
	}
	return plain(v) + " " + unit
}
