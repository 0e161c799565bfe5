package knowledge

import (
	"fmt"
	"strings"

	"botanik/core/fault"
	"botanik/core/mix"
)

// readRate is what the text of a rate says, read once when the base is built.
type readRate struct {
	span       mix.Range
	err        error
	emulsifier mix.Rate
	with       bool
	share      bool // of the oil
	withErr    error
}

// readRates reads every rate of the base. What cannot be read is told by Check
// and by whoever asks for the rate.
func (b *Base) readRates() {
	for _, r := range b.Remedies {
		for i := range r.Rates {
			rt := &r.Rates[i]
			rt.read = read(*rt)
			if low := rt.read.span.Low; low.Kind == mix.Strength {
				rt.Stock = mix.Decimal(low.Stock, 2) + " %"
			}
		}
	}
}

func read(rt Rate) *readRate {
	out := &readRate{}
	out.span, out.err = mix.ReadRange(rt.Low, rt.High)
	if rt.With != "" {
		out.with = true
		text := strings.TrimPrefix(rt.With, "emulsifier ")
		if share, ok := strings.CutSuffix(text, " of the oil"); ok {
			out.share = true
			text = share
		}
		out.emulsifier, out.withErr = mix.ParseRate(text)
	}
	return out
}

// Range is the label's range; an error for one that cannot be read.
func (rt Rate) Range() (mix.Range, error) {
	if rt.read == nil { // of an entry that never went through New
		rt.read = read(rt)
	}
	return rt.read.span, rt.read.err
}

// Emulsifier is the rate of the emulsifier that has to be in the tank with an oil at
// a rate; ok is false when none has to. It is said by itself, "emulsifier 1 mL per L",
// or as a share, "emulsifier 20 % of the oil".
func (rt Rate) Emulsifier(oil mix.Rate) (rate mix.Rate, ok bool, err error) {
	if rt.read == nil {
		rt.read = read(rt)
	}
	if rt.read.share && rt.read.withErr == nil {
		rate, err = oil.Times(rt.read.emulsifier.Fraction)
		return rate, true, err
	}
	return rt.read.emulsifier, rt.read.with, rt.read.withErr
}

// Product is the remedy's name as it stands in a list of what goes into the
// water: what has to be with it is listed by itself.
func (r *Remedy) Product() string {
	name, _, _ := strings.Cut(r.Name, ", ") // "Alcohol, cut and dabbed" is alcohol
	return strings.TrimSuffix(name, " with emulsifier")
}

// NoSuchRemedy is the fault of a field that names a remedy the base lacks.
func NoSuchRemedy(field, id string) error {
	return fault.New(field, fmt.Sprintf("%q is not a remedy of the herbarium", id), "use an id from kb list remedies")
}
