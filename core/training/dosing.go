package training

import (
	"fmt"
	"math"
	"strconv"

	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// sprayers a sample's grower may own.
var sprayers = []string{"500 mL", "1 L", "2 L", "5 L"}

// Sprayer is what the grower's own sprayer holds; a sample of before has none named, and a litre bottle.
func (s Sample) Sprayer() string {
	if s.Holds == "" {
		return "1 L"
	}
	return s.Holds
}

// Dosing is how a remedy is given, as far as it can be asked for: empty where nothing is mixed, or it is not repeated.
type Dosing struct {
	Name    string
	Unit    string  // mL or g
	Low     float64 // of that unit into the sprayer, by the mildest of the label's ranges
	Top     float64 // by the strongest: more is never offered
	GapMin  int     // days; 0: it is not repeated by a gap
	GapMax  int     // days; 0: none known
	sprayer string
}

// DosingOf reads how a remedy goes into a sprayer under the house's labels. What is mixed only at the rate on its bottle
// has no amount to ask for.
func DosingOf(b *knowledge.Base, house remedy.House, id, sprayer string) Dosing {
	r := b.Remedy(id)
	if r == nil {
		return Dosing{}
	}
	l := remedy.LimitsOf(r, house)
	d := Dosing{Name: r.Name, GapMin: l.GapMin, GapMax: l.GapMax, sprayer: sprayer}
	if r.Bottle {
		return d
	}
	d.Low = math.Inf(1)
	for _, rate := range r.Rates {
		for _, use := range []string{"low", "top"} {
			m, err := dosage.Blend(b, house, dosage.MixInput{Remedy: id, Rate: rate.ID, Use: use, Volume: sprayer, Sprayer: sprayer, Spoons: "metric"})
			if err != nil || len(m.Plan.Tanks) != 1 || len(m.Plan.Tanks[0].Doses) == 0 {
				continue
			}
			dose := m.Plan.Tanks[0].Doses[0]
			if d.Unit == "" {
				d.Unit = dose.Unit
			}
			if dose.Unit == d.Unit {
				d.Low, d.Top = math.Min(d.Low, dose.Amount), math.Max(d.Top, dose.Amount)
			}
		}
	}
	if d.Unit == "" {
		d.Low = 0
	}
	return d
}

// slack is what a syringe or a spoon may be out by before an amount is another one.
const slack = .05

// Weigh says what an amount ("20 mL", "4 metric tsp") and a gap in days are worth together, 0 to 1, why, and what of them would
// hurt. Empty, unreadable (see ReadAmount) and 0: not said. Of what is neither mixed nor repeated there is nothing to say.
func (d Dosing) Weigh(amount string, every int) (share float64, why, faults []string) {
	parts, got := 0., 0.
	if d.Unit != "" {
		parts++
		into := fmt.Sprintf("%s to %s %s into %s", number(d.Low), number(d.Top), d.Unit, d.sprayer)
		if d.Low == d.Top {
			into = fmt.Sprintf("%s %s into %s", number(d.Top), d.Unit, d.sprayer)
		}
		q, err := ReadAmount(amount, d.Unit)
		switch {
		case err != nil:
			why = append(why, "how much was not said: "+into)
		case q > d.Top*(1+slack):
			faults = append(faults, fmt.Sprintf("%s of %s is more than the label's top rate: %s.", amount, humanise.InSentence(d.Name), into))
		case q < d.Low*(1-slack):
			why = append(why, amount+" is too little: "+into)
		default:
			got++
			why = append(why, amount+" is right")
		}
	}
	if d.GapMin > 0 {
		parts++
		gap := fmt.Sprintf("after %d days at the soonest", d.GapMin)
		if d.GapMax > d.GapMin {
			gap = fmt.Sprintf("after %d to %d days", d.GapMin, d.GapMax)
		}
		switch {
		case every == 0:
			why = append(why, "when again was not said: "+gap)
		case every < d.GapMin:
			faults = append(faults, fmt.Sprintf("Again after %d days is sooner than the label's shortest gap: %s.", every, gap))
		case d.GapMax > 0 && every > d.GapMax:
			why = append(why, fmt.Sprintf("%d days is too late: %s", every, gap))
		default:
			got++
			why = append(why, fmt.Sprintf("%d days is right", every))
		}
	}
	if parts == 0 {
		return 1, nil, nil
	}
	return got / parts, why, faults
}

func number(x float64) string { return strconv.FormatFloat(x, 'g', 4, 64) }

// ReadAmount reads an amount somebody types, "20 mL" or "4 metric tsp", as mL or g. Errors name amount.
func ReadAmount(text, unit string) (float64, error) {
	q, err := mix.ParseQuantity(text)
	if err == nil {
		var u mix.Unit
		if u, err = mix.FindUnit(unit); err == nil {
			q, err = q.In(u)
		}
	}
	if err != nil {
		var l fault.List
		for _, f := range fault.From(err) {
			l.Add("amount", f.Problem, f.Mend)
		}
		return 0, l.Err()
	}
	v, _ := q.Value.Float64()
	return v, nil
}
