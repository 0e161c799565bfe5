package knowledge

import (
	"fmt"
	"slices"
	"time"

	"botanik/core/civil"
	"botanik/core/sprayday"
)

// WinterRule says when what drops its leaves stands bare in a climate: month and day on
// the northern half of the earth.
type WinterRule struct {
	Climate  string `json:"climate" yaml:"id"`
	LeafFall string `json:"leafFall" yaml:"leaf_fall"`
	Bare     string `json:"bare" yaml:"bare"`
	Swell    string `json:"swell" yaml:"swell"`
	Open     string `json:"open" yaml:"open"`
	Source   string `json:"source" yaml:"source"`
	From     string `json:"from,omitempty" yaml:"-"`
}

// unsaidClimate is taken where a desk has not said what its climate is.
const unsaidClimate = "mild"

// WinterOf is the winter at hand on a day, or the next one; false where the climate has
// none.
func (b *Base) WinterOf(climate string, south bool, today civil.Day) (sprayday.Winter, *WinterRule, bool) {
	if climate == "" {
		climate = unsaidClimate
	}
	at := slices.IndexFunc(b.Winters, func(r *WinterRule) bool { return r.Climate == climate })
	if at < 0 {
		return sprayday.Winter{}, nil, false
	}
	r := b.Winters[at]
	for year := today.Year() - 1; ; year++ {
		w, err := r.in(year, south)
		if err != nil {
			return sprayday.Winter{}, nil, false
		}
		if today.Before(w.Open) {
			return w, r, true
		}
	}
}

// in is the winter that begins in a year, by the northern count.
func (r *WinterRule) in(year int, south bool) (sprayday.Winter, error) {
	var w sprayday.Winter
	last := civil.Day{}
	for i, text := range []string{r.LeafFall, r.Bare, r.Swell, r.Open} {
		t, err := time.Parse("01-02", text)
		if err != nil {
			return w, fmt.Errorf("%q is no month and day", text)
		}
		month := int(t.Month())
		if south {
			month = civil.AcrossEquator(month)
		}
		y := year
		d := civil.Must(fmt.Sprintf("%04d-%02d-%02d", y, month, min(t.Day(), 28)))
		if !last.IsZero() && d.Before(last) {
			d = civil.Must(fmt.Sprintf("%04d-%02d-%02d", y+1, month, min(t.Day(), 28)))
		}
		*[]*civil.Day{&w.LeafFall, &w.Bare, &w.Swell, &w.Open}[i] = d
		last = d
	}
	return w, nil
}

// winters holds what is said of winters against what can be read.
func (k *checker) winters() {
	for _, r := range k.b.Winters {
		k.at(r.From, "winter", r.Climate)
		k.word("id", r.Climate, Climates)
		k.need("source", r.Source, `name it in general terms or write "judgement"`)
		w, err := r.in(2027, false)
		switch {
		case err != nil:
			k.say(err.Error(), "write month and day as 11-20")
		case w.Open.Sub(w.LeafFall) > 300:
			k.say("its days do not follow each other", "give leaf_fall, bare, swell and open in this order")
		}
	}
}
