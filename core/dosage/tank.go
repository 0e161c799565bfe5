package dosage

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// MixInput asks for the amounts of a product in water.
type MixInput struct {
	Remedy  string `json:"remedy,omitempty" doc:"remedy id; left out when only one chosen remedy is mixed"`
	Rate    string `json:"rate,omitempty" doc:"id of the label range; left out for the first"`
	Use     string `json:"use,omitempty" maxLength:"60" doc:"low, middle, top, or a rate like '15 mL per L'"`
	Volume  string `json:"volume" maxLength:"40" doc:"finished mix wanted, like '2 L'"`
	Sprayer string `json:"sprayer,omitempty" maxLength:"40" doc:"what one filling holds"`
	Spoons  string `json:"spoons,omitempty" enum:"metric,us,imperial,au,"`

	Stock      string      `json:"stock,omitempty" maxLength:"20" doc:"how strong the bottle is: '70 %' of what is thinned to a strength, '80 g per L' or '0.5 %' of a concentrate"`
	With       []Companion `json:"with,omitempty" maxItems:"2" doc:"what goes into the same tank"`
	BothLabels bool        `json:"bothLabels,omitempty" doc:"the advisor read on every label that they may be mixed"`
	Treatments int         `json:"treatments,omitempty" minimum:"0" maximum:"12" doc:"for how much to buy; once when left out"`
}

// Companion is a second remedy in the tank.
type Companion struct {
	Remedy string `json:"remedy"`
	Use    string `json:"use,omitempty" maxLength:"60" doc:"low, middle, top or a rate"`
}

// Mixed is a mix worked out.
type Mixed struct {
	Remedy  string   `json:"remedy"`
	Rate    string   `json:"rate"` // id of the label range
	Use     string   `json:"use"`  // the rate chosen, in words
	Volume  string   `json:"volume"`
	Sprayer string   `json:"sprayer"`
	Spoons  string   `json:"spoons,omitempty"`
	Plan    mix.Plan `json:"plan"`

	Stock      string      `json:"stock,omitempty"`
	With       []Companion `json:"with,omitempty"`
	BothLabels bool        `json:"bothLabels,omitempty"`
	Treatments int         `json:"treatments,omitempty"`
	Mind       []string    `json:"mind,omitempty" doc:"for the advisor, not for the page"`
	Range      string      `json:"range,omitempty" doc:"the label's range in words"`
}

// Input is what the mix was worked out from, to be worked out anew.
func (m Mixed) Input() MixInput {
	return MixInput{Remedy: m.Remedy, Rate: m.Rate, Use: m.Use, Volume: m.Volume, Sprayer: m.Sprayer, Spoons: m.Spoons, Stock: m.Stock, With: m.With, BothLabels: m.BothLabels, Treatments: m.Treatments}
}

// Blend is the mix of a remedy, and what goes with it, under a house's labels
// and law. What may never share a tank is refused with its reason; what may only
// if both labels say so waits for that word.
func Blend(b *knowledge.Base, house remedy.House, in MixInput) (Mixed, error) {
	r, rt, err := mixed(b, house, "remedy", in.Remedy, in.Rate)
	if err != nil {
		return Mixed{}, err
	}
	first, span, err := tankPart(r, rt, house, in.Use, in.Stock)
	if err != nil {
		return Mixed{}, err
	}
	parts, err := withEmulsifier([]mix.Part{first}, rt)
	if err != nil {
		return Mixed{}, err
	}
	var l fault.List
	for i, w := range in.With {
		at := fmt.Sprintf("with[%d]", i)
		o, ort, err := mixed(b, house, at+".remedy", w.Remedy, "")
		if err != nil {
			l.AddErr("", err)
			continue
		}
		for _, before := range append([]string{in.Remedy}, ids(in.With[:i])...) {
			l.AddErr(at, mayShare(b, before, w.Remedy, in.BothLabels))
		}
		p, _, err := tankPart(o, ort, house, w.Use, "")
		l.AddErr("", fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = at + ".use"; return f }))
		more, err := withEmulsifier(append(parts, p), ort)
		l.AddErr("", err)
		parts = more
	}
	if err := l.Err(); err != nil {
		return Mixed{}, err
	}
	plan, err := mix.Make(mix.Request{Way: wayOf(rt), Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Parts: parts, Treatments: in.Treatments})
	if err != nil {
		return Mixed{}, fault.Rename(err, func(f fault.Fault) fault.Fault {
			if f.Field == "parts[0].rate" { // the field the person filled in
				f.Field = "use"
			}
			return f
		})
	}
	if strong := reckoned(r, house, in.Stock); strong != "" {
		plan.Warnings = append(plan.Warnings, fmt.Sprintf("Reckoned from the strength of the bottle (%s) and about %s in a litre: where its label gives a rate, the label's holds.", strong, r.Active))
	}
	mind := []string{}
	for _, id := range append([]string{in.Remedy}, ids(in.With)...) {
		mind = append(mind, warnings(b.Remedy(id), house)...)
	}
	return Mixed{Remedy: r.ID, Rate: rt.ID, Use: first.Rate, Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Stock: in.Stock, With: in.With, BothLabels: in.BothLabels, Treatments: in.Treatments, Plan: plan, Mind: mind, Range: span.Text()}, nil
}

// reckoned is the strength of the bottle a concentrate's rate was reckoned from, empty
// where the rate is the label's own.
func reckoned(r *knowledge.Remedy, house remedy.House, stock string) string {
	lab := house.Labels[r.ID]
	if !r.Bottle || stock == "" && lab.High != "" {
		return ""
	}
	return cmp.Or(stock, lab.Strength)
}

// wayOf is how a label range is put on; its id says so.
func wayOf(rt knowledge.Rate) string {
	if slices.Contains(mix.Ways, rt.ID) {
		return rt.ID
	}
	return "spray"
}

func ids(list []Companion) []string {
	out := []string{}
	for _, w := range list {
		out = append(out, w.Remedy)
	}
	return out
}

// Remedies in the tank, the first among them.
func (in MixInput) Remedies() []string { return append([]string{in.Remedy}, ids(in.With)...) }

// mixed finds a remedy that goes into water and may be used at all here.
func mixed(b *knowledge.Base, house remedy.House, field, id, rate string) (*knowledge.Remedy, knowledge.Rate, error) {
	var none knowledge.Rate
	r := b.Remedy(id)
	if r == nil {
		return nil, none, knowledge.NoSuchRemedy(field, id)
	}
	if len(r.Rates) == 0 {
		return nil, none, fault.New(field, r.Name+" is not mixed", "it is used as it is")
	}
	if err := lawful(r, house, field); err != nil {
		return nil, none, err
	}
	rt := r.Rates[0]
	if rate != "" {
		i := slices.IndexFunc(r.Rates, func(x knowledge.Rate) bool { return x.ID == rate })
		if i < 0 {
			return nil, none, fault.New("rate", fmt.Sprintf("%s has no use %q", r.Name, rate), "leave it out for the first")
		}
		rt = r.Rates[i]
	}
	return r, rt, nil
}

// tankPart is a remedy as a part of a mix, at the place in its range that was
// asked for. For a strength the stock on the bottle takes the place of the one
// the herbarium reckons with; a concentrate is reckoned from it.
func tankPart(r *knowledge.Remedy, rt knowledge.Rate, house remedy.House, use, stock string) (mix.Part, mix.Range, error) {
	span, err := RangeOf(r, rt, house, stock)
	if err != nil {
		return mix.Part{}, span, err
	}
	if stock != "" && !r.Bottle {
		if span.Low.Kind != mix.Strength {
			return mix.Part{}, span, fault.New("stock", r.Name+" is not thinned from a strength in per cent", "leave it out; the rate on the label is what counts")
		}
		if span, err = span.FromStock(stock); err != nil {
			return mix.Part{}, span, err
		}
	}
	rate, err := span.At(use)
	if err != nil {
		return mix.Part{}, span, err
	}
	return mix.PartOf(r.Product(), rt.Form, rate, span), span, nil
}

// withEmulsifier adds what has to be in the tank with the last of the parts.
func withEmulsifier(parts []mix.Part, rt knowledge.Rate) ([]mix.Part, error) {
	rate, ok, err := rt.Emulsifier(parts[len(parts)-1].Read())
	if err != nil || !ok {
		return parts, err
	}
	return append(parts, mix.PartOf("Emulsifier", "emulsifier", rate, mix.Range{Low: rate, High: rate})), nil
}

// MayMix holds free names against the book: two parts that are called like remedies which
// never share a tank are refused with the reason. Names nobody knows pass; what makes poison
// package mix refuses. Errors name parts[i].name.
func MayMix(b *knowledge.Base, parts []mix.Part) error {
	called := func(name string) []*knowledge.Remedy {
		out := []*knowledge.Remedy{}
		for _, r := range b.Remedies {
			for _, n := range append(slices.Clone(r.Aliases), r.Name, r.ID) {
				if strings.EqualFold(strings.TrimSpace(n), strings.TrimSpace(name)) {
					out = append(out, r)
					break
				}
			}
		}
		return out
	}
	var l fault.List
	for i, p := range parts {
		for j := range i {
			for _, x := range called(parts[j].Name) {
				for _, y := range called(p.Name) {
					if _, k := b.ConflictBetween(x.ID, y.ID); k != nil && k.Tank == "never" {
						l.Add(fmt.Sprintf("parts[%d].name", i), fmt.Sprintf("%s and %s never go into one tank: %s", x.Name, y.Name, k.Why), "spray them apart, with the wait between")
					}
				}
			}
		}
	}
	return l.Err()
}

// mayShare says whether two remedies may be in one tank. A pair nobody wrote
// down waits for both labels, which is the safer word.
func mayShare(b *knowledge.Base, x, y string, bothLabels bool) error {
	if x == y {
		return fault.New("remedy", "it stands twice", "leave it out")
	}
	rx, ry := b.Remedy(x), b.Remedy(y)
	if rx == nil || ry == nil {
		return nil // named already
	}
	_, k := b.ConflictBetween(x, y)
	word, why := "labels", "nothing here says that the two go together"
	if k != nil {
		word, why = k.Tank, k.Why
	}
	switch {
	case word == "never":
		return fault.New("remedy", fmt.Sprintf("%s and %s never go into one tank: %s", rx.Name, ry.Name, why), "spray them apart, with the wait between")
	case word == "labels" && !bothLabels:
		return fault.New("remedy", fmt.Sprintf("%s and %s only if both labels say so: %s", rx.Name, ry.Name, why), "read both labels, then say that they allow it")
	}
	return nil
}
