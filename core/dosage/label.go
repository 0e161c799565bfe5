package dosage

import (
	"cmp"
	"fmt"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
)

// RangeOf is the range that holds for a use: the house's own bottle, else the
// herbarium's typical one; of what differs from bottle to bottle only the bottle's: its
// own rate, else one reckoned from its strength (stock, or the label's) and the active
// ingredient a litre should hold. Errors name low, high or strength of the label, use or stock.
func RangeOf(r *knowledge.Remedy, rt knowledge.Rate, h remedy.House, stock string) (mix.Range, error) {
	lab := h.Labels[r.ID]
	strong := cmp.Or(stock, lab.Strength)
	switch {
	case r.Bottle && stock != "" || r.Bottle && lab.High == "" && strong != "":
		return fromActive(r, strong)
	case r.Bottle && lab.High == "":
		mend := "read the rate off the bottle into House rules"
		if r.Active != nil {
			mend += ", or say how strong the bottle is; a litre of mix should hold about " + r.Active.String()
		}
		return mix.Range{}, fault.New("use", r.Name+" comes in bottles that differ ten times in strength, so no rate of ours can be trusted", mend)
	case r.Bottle:
		return mix.ReadRange(cmp.Or(lab.Low, lab.High), lab.High)
	}
	if lab.Low == "" && lab.High == "" {
		return rt.Range()
	}
	return mix.ReadRange(cmp.Or(lab.Low, rt.Low), cmp.Or(lab.High, rt.High))
}

// fromActive is the range reckoned from a bottle's strength.
func fromActive(r *knowledge.Remedy, strong string) (mix.Range, error) {
	if r.Active == nil || r.Active.High == 0 {
		return mix.Range{}, fault.New("stock", r.Name+" is not reckoned from a strength", "read the rate off the bottle into House rules")
	}
	bottle, err := mix.ReadBottle(strong)
	if err != nil {
		return mix.Range{}, err
	}
	return bottle.Range(r.Active.Low, r.Active.High)
}

// strengthTimes is how far the active ingredient of a label's own rate may lie above
// what is usual before somebody is asked to read it once more (judgement).
const strengthTimes = 1.5

// most a label can say; more is a slip of the hand.
const (
	longestGap  = 365
	mostUses    = 50
	longestWait = 365
)

// CheckLabel refuses what no label says. The range is checked as it will hold:
// an end left out is the herbarium's.
func CheckLabel(r *knowledge.Remedy, lab remedy.Label) error {
	var l fault.List
	switch {
	case lab.Low == "" && lab.High == "":
		if lab.Strength != "" && !r.Bottle {
			l.Add("strength", r.Name+" goes by its rate, not by how strong it is", "leave it out")
			return l.Err()
		}
	case len(r.Rates) == 0:
		l.Add("high", r.Name+" is not mixed, so it has no rate", "leave both rates out")
	default:
		_, err := RangeOf(r, r.Rates[0], remedy.House{Labels: map[string]remedy.Label{r.ID: lab}}, "")
		l.AddErr("", err)
	}
	if lab.Strength != "" {
		_, err := fromActive(r, lab.Strength)
		l.AddErr("", fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = "strength"; return f }))
	}
	for _, f := range []struct {
		field string
		n     int
		most  int
	}{{"repeatMinDays", lab.RepeatMin, longestGap}, {"mostPerSeason", lab.Most, mostUses}, {"waitDays", lab.WaitDays, longestWait}} {
		if f.n < 0 || f.n > f.most {
			l.Add(f.field, fmt.Sprintf("%d is not 0 to %d", f.n, f.most), "copy the figure from the label; zero keeps the herbarium's")
		}
	}
	for i, c := range lab.Crops {
		if len(c) > 60 {
			l.Add(fmt.Sprintf("crops[%d]", i), "is longer than a name", "name a plant, its group or its family")
		}
	}
	return l.Err()
}

// lawful stops at what local law takes out of a desk's hands.
func lawful(r *knowledge.Remedy, house remedy.House, field string) error {
	switch w := house.Law[r.Ingredient]; w.Status {
	case "banned", "licensed":
		return fault.New(field, fmt.Sprintf("local law: %s is %s", r.Ingredient, w.Status), "choose another; a licensed person may know more")
	}
	return nil
}

// warnings are what an advisor minds when measuring a remedy: what the house
// thinks of it, what the law says, and a bottle stronger than is usual.
func warnings(r *knowledge.Remedy, house remedy.House) []string {
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
	if lab := house.Labels[r.ID]; lab.High != "" && len(r.Rates) > 0 && !r.Bottle {
		usual, err := r.Rates[0].Range()
		own, err2 := RangeOf(r, r.Rates[0], house, "")
		if err == nil && err2 == nil && own.High.Above(usual.High) {
			out = append(out, fmt.Sprintf("%s: the bottle written down here allows %s where %s is usual; read its label once more.", r.Name, lab.High, r.Rates[0].High))
		}
	}
	if lab := house.Labels[r.ID]; lab.High != "" && lab.Strength != "" && r.Active != nil {
		bottle, err := mix.ReadBottle(lab.Strength)
		top, err2 := mix.ParseRate(lab.High)
		if err == nil && err2 == nil {
			if g, ok := bottle.Active(top); ok && g > strengthTimes*r.Active.High {
				out = append(out, fmt.Sprintf("%s: at %s of this bottle a litre holds %.2g g where %s is usual; read its label once more.", r.Name, lab.High, g, r.Active))
			}
		}
	}
	return out
}
