package mix

import (
	"fmt"
	"math/big"
	"strings"

	"botanik/core/fault"
)

// Part is one thing that goes into the water.
type Part struct {
	Name string `json:"name" doc:"what goes in, in plain words"`
	Rate string `json:"rate" doc:"wanted rate, like '10 mL per L', '2 %', '1:50 of water', '42 % from 70 %'"`
	Low  string `json:"low,omitempty" doc:"the label's lowest rate"`
	High string `json:"high,omitempty" doc:"the label's top rate; more than this is refused"`
	Form string `json:"form,omitempty" doc:"emulsifier, powder, liquid, oil, soap or alcohol: decides the order of adding" enum:"emulsifier,powder,liquid,oil,soap,alcohol,"`

	read *readRates // set by PartOf: the rates need no reading
}

// Request asks for a mix. Volume is the finished mix wanted in all; Sprayer is
// what one filling holds (left out: all at once); Spoons is a kitchen world:
// metric, us, imperial, au, or empty for none.
type Request struct {
	Volume  string `json:"volume" doc:"finished mix wanted in all, with its unit, like '3 L'"`
	Sprayer string `json:"sprayer,omitempty" doc:"what one filling of the sprayer holds; empty means all at once"`
	Spoons  string `json:"spoons,omitempty" doc:"the grower's kitchen spoons" enum:"metric,us,imperial,au,"`
	Way     string `json:"way,omitempty" doc:"how it is put on: spray when left out, drench, dab, wipe or wick" enum:"spray,drench,dab,wipe,wick,"`
	Even    bool   `json:"even,omitempty" doc:"share the mix evenly over the tanks instead of full tanks and a remainder"`
	Parts   []Part `json:"parts" doc:"what goes in; one to four parts"`

	Treatments int `json:"treatments,omitempty" minimum:"0" maximum:"12" doc:"how often it is done, for how much to buy; once when left out"`
}

// Spooned is an amount in kitchen measures. Never above the exact amount's
// label top; the error says how far it lies from the exact amount, in per cent.
type Spooned struct {
	Text     string  `json:"text"`     // "1 tbsp + 1/2 tsp"
	Ml       float64 `json:"ml"`       // what those spoons hold, mL
	ErrorPct float64 `json:"errorPct"` // (spoons − exact)/exact, per cent
	Spoons   []Spoon `json:"spoons"`   // how many of each, for drawing
	BelowLow bool    `json:"belowLow"` // rounding fell below the label's low
	World    string  `json:"world"`
}

// Spoon is a count of one kitchen measure.
type Spoon struct {
	Name  string  `json:"name"`
	Count int     `json:"count"`
	Ml    float64 `json:"ml"`
}

// Dose is one part's amount in one tank.
type Dose struct {
	Name    string   `json:"name"`
	Form    string   `json:"form"`
	Exact   string   `json:"exact"`  // exact amount as a fraction of mL or g
	Amount  float64  `json:"amount"` // mL or g
	Unit    string   `json:"unit"`   // mL or g
	Text    string   `json:"text"`   // "12.5 mL", rounded down to what a syringe shows
	Spoons  *Spooned `json:"spoons,omitempty"`
	PerCent float64  `json:"perCent"` // of the finished mix, v/v or w/v
}

// Tank is one filling, its doses in the order they are added.
type Tank struct {
	Volume  float64 `json:"volume"` // mL of finished mix
	Text    string  `json:"text"`
	Water   float64 `json:"water"` // mL
	WaterTx string  `json:"waterText"`
	Doses   []Dose  `json:"doses"`
	Count   int     `json:"count"` // how many such fillings

	Steps []FillStep `json:"steps"` // how it fills, one step after another
}

// FillStep is one step of filling: what is added and where the level then is.
type FillStep struct {
	Adds  string  `json:"adds"` // water, or the part's name
	Form  string  `json:"form"` // water, or the part's form
	Text  string  `json:"text"` // "60 mL of water, to the first line"
	Level float64 `json:"levelMl"`
}

// Plan answers a Request.
type Plan struct {
	Volume    string    `json:"volume"`
	VolumeMl  float64   `json:"volumeMl"`
	Fillings  int       `json:"fillings"`
	Tanks     []Tank    `json:"tanks"`
	Order     []string  `json:"order"`
	Buy       []Dose    `json:"buy"`              // what the whole plan uses
	Vessel    string    `json:"vessel,omitempty"` // what it is mixed in: sprayer, watering can, bowl or jar
	Marks     []Mark    `json:"marks"`
	Warnings  []string  `json:"warnings"`
	Much      bool      `json:"much,omitempty" doc:"more than anybody carries on the back: more likely a slip of the unit"`
	LeftOver  string    `json:"leftOver"`
	PerLitre  []string  `json:"perLitre"`
	exactTank []tankRat // for tests: exact volumes
}

type tankRat struct {
	volume, water *big.Rat
	doses         []*big.Rat
	count         int
}

// Mark says where a rate lies inside the label's range, 0 low to 1 top.
type Mark struct {
	Name  string  `json:"name"`
	Low   string  `json:"low"`
	Rate  string  `json:"rate"`
	High  string  `json:"high"`
	Share float64 `json:"share"`
}

type part struct {
	Part
	rate      Rate
	low, high *Rate
}

var (
	maxVolume  = big.NewRat(1_000_000, 1) // 1000 L
	minVolume  = big.NewRat(10, 1)        // 10 mL
	minSprayer = big.NewRat(50, 1)
	carried    = big.NewRat(25_000, 1) // 25 L, above the largest knapsack sprayers sold
	formOrder  = map[string]int{"emulsifier": 0, "powder": 1, "liquid": 2, "": 2, "oil": 3, "alcohol": 4, "soap": 5}
)

// Make works out a plan. Errors name the field: an unknown or bare unit, a
// volume of zero or beyond 1000 L, a rate above the label's top (which is
// named), a stock weaker than its target, parts that make poison together.
func Make(req Request) (Plan, error) {
	var faults fault.List
	vol, err := ParseQuantity(req.Volume)
	faults.AddErr("volume", err)
	if err == nil {
		checkVolume(&faults, "volume", vol, minVolume)
	}
	tank := vol
	if strings.TrimSpace(req.Sprayer) != "" {
		tank, err = ParseQuantity(req.Sprayer)
		faults.AddErr("sprayer", err)
		if err == nil {
			checkVolume(&faults, "sprayer", tank, minSprayer)
		}
	}
	how, known := ways[req.Way]
	if !known {
		faults.Add("way", fmt.Sprintf("%q is no way to put it on", req.Way), "use one of "+strings.Join(Ways, ", "))
	}
	world, err := findWorld(req.Spoons)
	faults.AddErr("spoons", err)
	if len(req.Parts) == 0 {
		faults.Add("parts", "nothing goes into the water", "give at least one part with its rate")
	}
	if len(req.Parts) > 4 {
		faults.Add("parts", "more than four parts in one tank", "mix fewer at a time; few labels allow more than two")
	}
	faults.AddErr("", poison(req.Parts))
	parts := make([]part, 0, len(req.Parts))
	for i, p := range req.Parts {
		q, err := parsePart(p)
		faults.AddErr(fmt.Sprintf("parts[%d]", i), err)
		if p.Form == "alcohol" && req.Way != "dab" { // a wiped room is full of its fume
			faults.Add(fmt.Sprintf("parts[%d].form", i), "alcohol burns: its mist or a can of it takes fire", "it is only dabbed, from a small jar with a lid")
		}
		parts = append(parts, q)
	}
	if err := faults.Err(); err != nil {
		return Plan{}, err
	}
	share := new(big.Rat)
	for _, p := range parts {
		if p.rate.Dim == Volume {
			share.Add(share, p.rate.Fraction)
		}
	}
	if share.Cmp(one) > 0 {
		return Plan{}, fault.New("parts", "the parts together are more than the whole mix", "check the rates")
	}
	inOrder(parts)
	if req.Treatments < 0 || req.Treatments > 12 {
		return Plan{}, fault.New("treatments", fmt.Sprintf("%d treatments cannot be", req.Treatments), "give 1 to 12, or leave it out for one")
	}
	return build(vol, tank, req.Even, world, how, parts, max(1, req.Treatments)), nil
}

func checkVolume(faults *fault.List, field string, q Quantity, least *big.Rat) {
	switch {
	case q.Unit.Dim != Volume:
		faults.Add(field, q.Unit.Name+" is a weight", "give a volume, like 1 L")
	case q.Value.Sign() == 0:
		faults.Add(field, "is zero", "give how much it holds, like 1 L")
	case q.Base().Cmp(least) < 0:
		faults.Add(field, q.String()+" is too little to measure into", "give at least "+Decimal(least, 0)+" mL")
	case q.Base().Cmp(maxVolume) > 0:
		faults.Add(field, q.String()+" is more than 1000 L", "this desk advises gardens; check the unit, or refer to a licensed applicator")
	}
}

func parsePart(p Part) (part, error) {
	var faults fault.List
	out := part{Part: p}
	var err error
	if strings.TrimSpace(p.Name) == "" {
		faults.Add("name", "is empty", "say what goes in")
	}
	if _, ok := formOrder[p.Form]; !ok {
		faults.Add("form", fmt.Sprintf("%q is not a form known here", p.Form), "use emulsifier, powder, liquid, oil, soap or alcohol")
	}
	known := map[string]Rate{}
	if p.read != nil {
		known = map[string]Rate{p.Low: p.read.span.Low, p.High: p.read.span.High, p.Rate: p.read.rate}
	}
	parse := func(text string) (Rate, error) {
		if r, read := known[text]; read {
			return r, nil
		}
		return ParseRate(text)
	}
	out.rate, err = parse(p.Rate)
	addRateFault(&faults, "rate", err)
	rateOK := err == nil
	bound := func(field, text string) *Rate {
		if text == "" {
			return nil
		}
		r, err := parse(text)
		addRateFault(&faults, field, err)
		if err == nil && rateOK && r.Dim != out.rate.Dim {
			faults.Add(field, "weighs where the rate measures, or the other way round", "give both by volume or both by weight")
			return nil
		}
		if err != nil {
			return nil
		}
		return &r
	}
	out.low, out.high = bound("low", p.Low), bound("high", p.High)
	if rateOK && out.high != nil && out.rate.Fraction.Cmp(out.high.Fraction) > 0 {
		faults.Add("rate", fmt.Sprintf("%s (%s) is above the label's top rate of %s (%s)", p.Rate, out.rate.PerLitre(), p.High, out.high.PerLitre()), "use "+p.High+" or less; more burns leaves and helps nothing")
	}
	if out.low != nil && out.high != nil && out.low.Fraction.Cmp(out.high.Fraction) > 0 {
		faults.Add("low", "the label's low is above its top", "swap them")
	}
	return out, faults.Err()
}

// addRateFault keeps one field name, "parts[0].rate", whichever piece of the
// text was wrong.
func addRateFault(l *fault.List, field string, err error) {
	for _, f := range fault.From(err) {
		l.Add(field, f.Problem, f.Mend)
	}
}

func build(vol, tank Quantity, even bool, world string, how way, parts []part, times int) Plan {
	total, cap, say := vol.Base(), tank.Base(), tongueOf(tank, vol)
	if cap.Cmp(total) > 0 {
		cap = total
	}
	n := ceil(new(big.Rat).Quo(total, cap))
	// A last filling that is a thousandth of a tank is a rounding of the unit,
	// not a filling: the others take it up, far inside what a tank's line shows.
	if sliver := new(big.Rat).Sub(total, new(big.Rat).Mul(cap, big.NewRat(int64(n-1), 1))); n > 1 && sliver.Cmp(new(big.Rat).Quo(cap, big.NewRat(1000, 1))) <= 0 {
		n, even = n-1, true
	}
	plan := Plan{Volume: vol.String(), VolumeMl: float(total), Much: total.Cmp(carried) > 0, Fillings: n, LeftOver: "nothing is left over when all of it is used; pour none down a drain", Warnings: []string{}, Buy: []Dose{}, Marks: []Mark{}}
	add := func(v *big.Rat, count int) {
		t, exact := fill(v, world, say, how, parts)
		t.Count, exact.count = count, count
		plan.Tanks = append(plan.Tanks, t)
		plan.exactTank = append(plan.exactTank, exact)
	}
	rest := new(big.Rat).Sub(total, new(big.Rat).Mul(cap, big.NewRat(int64(n-1), 1)))
	switch {
	case even || rest.Cmp(cap) == 0:
		add(new(big.Rat).Quo(total, big.NewRat(int64(n), 1)), n)
	default:
		add(cap, n-1)
		add(rest, 1)
	}
	for _, p := range parts {
		amount := new(big.Rat).Mul(total, p.rate.Fraction)
		all := new(big.Rat).Mul(amount, big.NewRat(int64(times), 1))
		plan.Buy = append(plan.Buy, dose(p, all, "", say))
		plan.PerLitre = append(plan.PerLitre, p.Name+": "+p.rate.PerLitre())
		if p.low != nil && p.high != nil {
			if share, ok := p.rate.Share(*p.low, *p.high); ok {
				plan.Marks = append(plan.Marks, Mark{p.Name, p.Low, p.Rate, p.High, share})
			}
		}
		if p.low != nil && p.rate.Fraction.Cmp(p.low.Fraction) < 0 {
			plan.Warnings = append(plan.Warnings, fmt.Sprintf("%s: %s is below the label's low of %s and may do nothing", p.Name, p.Rate, p.Low))
		}
		if p.high == nil {
			plan.Warnings = append(plan.Warnings, p.Name+": no top rate is known here; check the label before mixing")
		}
	}
	plan.Vessel, plan.Order = how.vessel, how.order(parts)
	for _, t := range plan.Tanks {
		for _, d := range t.Doses {
			if d.Spoons != nil && d.Spoons.BelowLow {
				plan.Warnings = append(plan.Warnings, fmt.Sprintf("%s: these spoons come out below the label's low; measure %s with a kitchen syringe instead", d.Name, d.Text))
			}
			if d.Spoons != nil && d.Spoons.Text == "" {
				plan.Warnings = append(plan.Warnings, fmt.Sprintf("%s: %s is less than a quarter teaspoon; use a kitchen syringe", d.Name, d.Text))
			}
			if d.Unit == "g" && world != "" {
				plan.Warnings = append(plan.Warnings, d.Name+": weigh it; spoons measure volume, and powders differ")
			}
		}
	}
	plan.Warnings = uniq(plan.Warnings)
	return plan
}

func dose(p part, amount *big.Rat, world string, say tongue) Dose {
	unit := "mL"
	if p.rate.Dim == Mass {
		unit = "g"
	}
	pct := new(big.Rat).Mul(p.rate.Fraction, hundred)
	d := Dose{Name: p.Name, Form: p.Form, Exact: amount.RatString() + " " + unit, Amount: float(amount), Unit: unit, Text: say.dose(syringe(amount)+" "+unit, amount, p.rate.Dim), PerCent: float(pct)}
	if unit == "mL" && world != "" && amount.Cmp(big.NewRat(mostSpooned, 1)) <= 0 {
		top := amount
		if p.high != nil {
			top = new(big.Rat).Mul(amount, new(big.Rat).Quo(p.high.Fraction, p.rate.Fraction))
		}
		d.Spoons = spoon(amount, top, world)
	}
	return d
}

// syringe rounds an amount down to what a kitchen syringe or scale shows:
// 0.1 below 10, 0.5 below 50, 1 above. Down, so that it never passes the top.
func syringe(r *big.Rat) string {
	step := big.NewRat(1, 10)
	switch {
	case r.Cmp(big.NewRat(50, 1)) >= 0:
		step = big.NewRat(1, 1)
	case r.Cmp(big.NewRat(10, 1)) >= 0:
		step = big.NewRat(1, 2)
	case r.Cmp(big.NewRat(1, 1)) < 0:
		step = big.NewRat(1, 100)
	}
	return Decimal(new(big.Rat).Mul(big.NewRat(int64(floor(new(big.Rat).Quo(r, step))), 1), step), 2)
}

func volumeText(r *big.Rat) string {
	if r.Cmp(big.NewRat(1000, 1)) >= 0 {
		return Decimal(new(big.Rat).Quo(r, big.NewRat(1000, 1)), 3) + " L"
	}
	return Decimal(r, 1) + " mL"
}

func float(r *big.Rat) float64 { f, _ := r.Float64(); return f }

func ratOf(f float64) *big.Rat {
	r := new(big.Rat)
	r.SetFloat64(f)
	return r
}

func floor(r *big.Rat) int { return int(new(big.Int).Quo(r.Num(), r.Denom()).Int64()) }

func ceil(r *big.Rat) int {
	n := floor(r)
	if new(big.Rat).SetInt64(int64(n)).Cmp(r) < 0 {
		n++
	}
	return n
}

func uniq(in []string) []string {
	seen := map[string]bool{}
	out := in[:0]
	for _, s := range in {
		if !seen[s] {
			seen[s] = true
			out = append(out, s)
		}
	}
	return out
}
