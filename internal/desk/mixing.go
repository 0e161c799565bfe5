package desk

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// checkLabel refuses what no label says. The range is checked as it will hold:
// an end left out is the herbarium's.
func checkLabel(r *knowledge.Remedy, lab remedy.Label) error {
	var l fault.List
	switch {
	case lab.Low == "" && lab.High == "":
	case len(r.Rates) == 0:
		l.Add("high", r.Name+" is not mixed, so it has no rate", "leave both rates out")
	default:
		low, high := labelRange(r, r.Rates[0], remedy.House{Labels: map[string]remedy.Label{r.ID: lab}})
		l.AddErr("", mix.CheckRange(low, high))
	}
	for _, f := range []struct {
		field string
		n     int
		most  int
	}{{"repeatMinDays", lab.RepeatMin, 365}, {"mostPerSeason", lab.Most, 50}, {"waitDays", lab.WaitDays, 365}} {
		if f.n < 0 || f.n > f.most {
			l.Add(f.field, fmt.Sprintf("%d is not 0 to %d", f.n, f.most), "copy the figure from the label; zero keeps the herbarium's")
		}
	}
	return l.Err()
}

// MixInput asks for the amounts for the chosen product.
type MixInput struct {
	Remedy  string `json:"remedy,omitempty" doc:"remedy id; left out when only one chosen remedy is mixed"`
	Rate    string `json:"rate,omitempty" doc:"id of the label range; left out for the first"`
	Use     string `json:"use,omitempty" maxLength:"60" doc:"low, middle, top, or a rate like '15 mL per L'"`
	Volume  string `json:"volume" maxLength:"40" doc:"finished mix wanted, like '2 L'"`
	Sprayer string `json:"sprayer,omitempty" maxLength:"40" doc:"what one filling holds"`
	Spoons  string `json:"spoons,omitempty" enum:"metric,us,imperial,au,"`

	Stock      string   `json:"stock,omitempty" maxLength:"20" doc:"strength of the bottle for a strength, like '70 %'"`
	With       []Beside `json:"with,omitempty" maxItems:"2" doc:"what goes into the same tank"`
	BothLabels bool     `json:"bothLabels,omitempty" doc:"the advisor read on every label that they may be mixed"`
	Treatments int      `json:"treatments,omitempty" minimum:"0" maximum:"12" doc:"for how much to buy; once when left out"`
}

// Beside is a second remedy in the tank.
type Beside struct {
	Remedy string `json:"remedy"`
	Use    string `json:"use,omitempty" maxLength:"60" doc:"low, middle, top or a rate"`
}

// labelRange is the bottle's range: the house's own label, whose strength is its
// own, else the herbarium's typical one.
func labelRange(r *knowledge.Remedy, rt knowledge.Rate, h remedy.House) (low, high string) {
	low, high = rt.Low, rt.High
	lab := h.Labels[r.ID]
	if lab.Low != "" {
		low = lab.Low
	}
	if lab.High != "" {
		high = lab.High
	}
	return low, high
}

// Blend works out a mix of one remedy for a sprayer, case or no case.
func (s *Service) Blend(ctx context.Context, in MixInput) (Mixed, error) {
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return Mixed{}, err
	}
	return Blend(s.Base, house, in)
}

// Blend is the mix of a remedy of a base, and what goes with it, under a
// house's labels and law. What may never share a tank is refused with its
// reason; what may only if both labels say so waits for that word.
func Blend(b *knowledge.Base, house remedy.House, in MixInput) (Mixed, error) {
	r, rt, err := mixed(b, house, "remedy", in.Remedy, in.Rate)
	if err != nil {
		return Mixed{}, err
	}
	first, err := tankPart(r, rt, house, in.Use, in.Stock)
	if err != nil {
		return Mixed{}, err
	}
	parts := []mix.Part{first}
	if rt.With != "" {
		parts = append(parts, emulsifier(rt.With))
	}
	var l fault.List
	for i, w := range in.With {
		at := fmt.Sprintf("with[%d]", i)
		o, ort, err := mixed(b, house, at+".remedy", w.Remedy, "")
		if err != nil {
			l.AddErr("", err)
			continue
		}
		for _, before := range append([]string{in.Remedy}, names(in.With[:i])...) {
			l.AddErr(at, mayShare(b, before, w.Remedy, in.BothLabels))
		}
		p, err := tankPart(o, ort, house, w.Use, "")
		l.AddErr("", fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = at + ".use"; return f }))
		parts = append(parts, p)
		if ort.With != "" {
			parts = append(parts, emulsifier(ort.With))
		}
	}
	if err := l.Err(); err != nil {
		return Mixed{}, err
	}
	req := mix.Request{Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Parts: parts, Treatments: in.Treatments}
	plan, err := mix.Make(req)
	if err != nil {
		return Mixed{}, renamePart(err)
	}
	mind := []string{}
	for _, id := range append([]string{in.Remedy}, names(in.With)...) {
		mind = append(mind, houseWarnings(b.Remedy(id), house)...)
	}
	return Mixed{Remedy: r.ID, Rate: rt.ID, Use: first.Rate, Volume: in.Volume, Sprayer: in.Sprayer, Spoons: in.Spoons, Stock: in.Stock, With: in.With, BothLabels: in.BothLabels, Treatments: in.Treatments, Plan: plan, Mind: mind}, nil
}

func names(list []Beside) []string {
	out := []string{}
	for _, w := range list {
		out = append(out, w.Remedy)
	}
	return out
}

// mixed finds a remedy that goes into water and may be used at all here.
func mixed(b *knowledge.Base, house remedy.House, field, id, rate string) (*knowledge.Remedy, knowledge.Rate, error) {
	var none knowledge.Rate
	r := b.Remedy(id)
	if r == nil {
		return nil, none, fault.New(field, fmt.Sprintf("%q is not a remedy of the herbarium", id), "use an id from kb list remedies")
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

// lawful stops at what local law takes out of a desk's hands.
func lawful(r *knowledge.Remedy, house remedy.House, field string) error {
	switch w := house.Law[r.Ingredient]; w.Status {
	case "banned", "licensed":
		return fault.New(field, fmt.Sprintf("local law: %s is %s", r.Ingredient, w.Status), "choose another; a licensed person may know more")
	}
	return nil
}

// houseWarnings are what an advisor minds when measuring a remedy: what the
// house thinks of it, what the law says, and a bottle stronger than is usual.
func houseWarnings(r *knowledge.Remedy, house remedy.House) []string {
	out := []string{}
	switch p := house.Policy[r.ID]; p.Use {
	case "no":
		out = append(out, r.Name+": this house does not recommend it.")
	case "heavy":
		out = append(out, r.Name+": this house keeps it for heavy pressure.")
	}
	if w := house.Law[r.Ingredient]; w.Status == "restricted" {
		out = append(out, fmt.Sprintf("%s: local law restricts it (%s): read it first.", r.Name, cmp.Or(w.Reference, "ask the authority")))
	}
	if lab := house.Labels[r.ID]; lab.High != "" && len(r.Rates) > 0 && mix.CheckRange(r.Rates[0].High, lab.High) == nil && mix.CheckRange(lab.High, r.Rates[0].High) != nil {
		out = append(out, fmt.Sprintf("%s: the bottle written down here allows %s where %s is usual; read its label once more.", r.Name, lab.High, r.Rates[0].High))
	}
	return out
}

// tankPart is a remedy as a part of a mix. For a strength the stock on the
// bottle takes the place of the one the herbarium reckons with.
func tankPart(r *knowledge.Remedy, rt knowledge.Rate, house remedy.House, use, stock string) (mix.Part, error) {
	low, high := labelRange(r, rt, house)
	if stock != "" {
		if !strings.Contains(low, " from ") {
			return mix.Part{}, fault.New("stock", r.Name+" is not thinned from a strength in per cent", "leave it out; the rate on the label is what counts")
		}
		var l fault.List
		for _, p := range []*string{&low, &high, &use} {
			t, err := fromStock(*p, stock)
			l.AddErr("", err)
			*p = t
		}
		if err := l.Err(); err != nil {
			return mix.Part{}, err
		}
	}
	use, err := chosenRate(use, low, high)
	if err != nil {
		return mix.Part{}, err
	}
	return mix.Part{Name: strings.TrimSuffix(r.Name, " with emulsifier"), Rate: use, Low: low, High: high, Form: rt.Form}, nil
}

// fromStock reads "42 % from 70 %", or a bare "42 %", with another stock.
func fromStock(rate, stock string) (string, error) {
	target, _, ok := strings.Cut(rate, " from ")
	if !ok && (rate == "" || rate == "low" || rate == "middle" || rate == "top") {
		return rate, nil
	}
	s := strings.TrimSuffix(strings.TrimSpace(stock), "%")
	if _, err := mix.ParseNumber(s); err != nil {
		return "", fault.New("stock", fmt.Sprintf("%q is not a strength", stock), "write what the bottle says, like 70 %")
	}
	return fmt.Sprintf("%s from %s %%", strings.TrimSpace(target), strings.TrimSpace(s)), nil
}

func emulsifier(with string) mix.Part {
	rate := strings.TrimPrefix(with, "emulsifier ")
	return mix.Part{Name: "Emulsifier", Rate: rate, Low: rate, High: rate, Form: "emulsifier"}
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

// chosenRate turns low, middle and top into a rate; anything else is one.
func chosenRate(use, low, high string) (string, error) {
	switch use {
	case "low":
		return low, nil
	case "top":
		return high, nil
	case "", "middle":
		lo, err := mix.ParseRate(low)
		if err != nil {
			return "", err
		}
		hi, err := mix.ParseRate(high)
		if err != nil {
			return "", err
		}
		return mix.Middle(lo, hi), nil
	}
	return use, nil
}

// renamePart turns "parts[0].rate" into "use", the field the person filled in.
func renamePart(err error) error {
	return fault.Rename(err, func(f fault.Fault) fault.Fault {
		if f.Field == "parts[0].rate" {
			f.Field = "use"
		}
		return f
	})
}

// SetMix keeps the amounts for the grower's own sprayer.
func (s *Service) SetMix(ctx context.Context, who Person, id string, from int, in MixInput) (View, error) {
	return s.change(ctx, who, id, from, "mix", func(c *Case) (string, error) {
		if c.Treatment == nil {
			return "", fault.New("remedy", "nothing is chosen to be mixed", "choose a remedy first")
		}
		if in.Remedy == "" {
			for _, r := range c.Treatment.Remedies {
				if k := s.Base.Remedy(r); k != nil && len(k.Rates) > 0 {
					in.Remedy = r
				}
			}
			if in.Remedy == "" {
				return "", fault.New("remedy", "nothing that was chosen is mixed", "this step is not needed")
			}
		}
		if !slices.Contains(c.Treatment.Remedies, in.Remedy) {
			return "", fault.New("remedy", fmt.Sprintf("%q was not chosen for this case", in.Remedy), "choose it on the Remedy step first")
		}
		for i, w := range in.With {
			if !slices.Contains(c.Treatment.Remedies, w.Remedy) {
				return "", fault.New(fmt.Sprintf("with[%d].remedy", i), fmt.Sprintf("%q was not chosen for this case", w.Remedy), "choose it on the Remedy step first")
			}
		}
		if err := s.mayUse(ctx, c, append([]string{in.Remedy}, names(in.With)...)); err != nil {
			return "", err
		}
		m, err := s.Blend(ctx, in)
		if err != nil {
			return "", err
		}
		m.By = who.Name
		c.Mix = &m
		text := fmt.Sprintf("%s at %s", s.Base.Remedy(m.Remedy).Name, m.Use)
		for _, w := range m.With {
			text += " with " + strings.ToLower(s.Base.Remedy(w.Remedy).Name)
		}
		return text + ", " + m.Volume + " of mix", nil
	})
}
