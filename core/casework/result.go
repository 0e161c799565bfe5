package casework

import (
	"fmt"
	"math"

	"botanik/core/fault"
)

// Recount is what was counted before and after, per unit and over the same
// number of units or given as means. Check counts come from an untreated
// neighbour, when there is one.
type Recount struct {
	Before      float64  `json:"before" doc:"pests per unit before"`
	After       float64  `json:"after" doc:"pests per unit after"`
	Units       int      `json:"units" doc:"leaves or shoots counted each time"`
	CheckBefore *float64 `json:"checkBefore,omitempty" doc:"untreated neighbour before"`
	CheckAfter  *float64 `json:"checkAfter,omitempty" doc:"untreated neighbour after"`
	Dispersion  float64  `json:"dispersion,omitempty" doc:"variance to mean of the counts; 2 when unknown"`
}

// Result of a recount.
type Result struct {
	Method    string  `json:"method"`    // simple or Henderson-Tilton
	Reduction float64 `json:"reduction"` // share gone, negative when more
	Low       float64 `json:"low"`
	High      float64 `json:"high"` // 95 %
	Word      string  `json:"word"` // better, no change, worse, cannot tell
	Text      string  `json:"text"`
}

// Judge works out the reduction: 1 − after/before, or with an untreated
// neighbour Henderson–Tilton 1 − (Ta·Cb)/(Tb·Ca). Errors name a field that
// cannot be used.
func Judge(r Recount) (Result, error) {
	var l fault.List
	check := func(field string, v float64) {
		if v < 0 || v > 1e6 || math.IsNaN(v) {
			l.Add(field, "is not a count", "give pests per leaf or shoot, from 0")
		}
	}
	check("before", r.Before)
	check("after", r.After)
	if r.Before == 0 {
		l.Add("before", "is zero", "without a count before there is nothing to compare; describe it in words instead")
	}
	if r.Units < 1 || r.Units > 1000 {
		l.Add("units", "is not 1 to 1000", "say how many leaves or shoots were counted")
	}
	if (r.CheckBefore == nil) != (r.CheckAfter == nil) {
		l.Add("checkBefore", "one of the two counts of the untreated neighbour is missing", "give both or neither")
	}
	if r.CheckBefore != nil {
		check("checkBefore", *r.CheckBefore)
		if *r.CheckBefore == 0 {
			l.Add("checkBefore", "is zero", "an untreated neighbour without pests cannot be compared; leave it out")
		}
	}
	if r.CheckAfter != nil {
		check("checkAfter", *r.CheckAfter)
		if *r.CheckAfter == 0 {
			l.Add("checkAfter", "is zero", "the neighbour cleared up by itself; leave it out and judge by eye")
		}
	}
	if err := l.Err(); err != nil {
		return Result{}, err
	}
	phi := r.Dispersion
	if phi < 1 {
		phi = 2
	}
	n := float64(r.Units)
	// Half an animal added to the later total keeps the log finite at zero.
	varOf := func(mean float64) float64 { return phi / max(mean*n, .5) }
	ratio := r.After / r.Before
	logRatio := math.Log(max(r.After*n, .5) / (r.Before * n))
	v := varOf(r.After) + varOf(r.Before)
	out := Result{Method: "simple"}
	if r.CheckBefore != nil {
		out.Method = "Henderson-Tilton"
		c := *r.CheckBefore / *r.CheckAfter
		ratio *= c
		logRatio += math.Log(c)
		v += varOf(*r.CheckBefore) + varOf(*r.CheckAfter)
	}
	half := 1.96 * math.Sqrt(v)
	out.Reduction = 1 - ratio
	out.Low, out.High = 1-math.Exp(logRatio+half), min(1, 1-math.Exp(logRatio-half))
	out.High = max(out.High, out.Reduction)
	switch {
	case out.Low > 0 && out.Reduction >= .3:
		out.Word = "better"
	case out.High < 0:
		out.Word = "worse"
	case out.High-out.Low > 1.2:
		out.Word = "cannot tell"
	default:
		out.Word = "no change"
	}
	switch {
	case out.Reduction >= 0:
		out.Text = fmt.Sprintf("%.0f in 100 gone (between %.0f and %.0f): %s.", 100*out.Reduction, 100*out.Low, 100*out.High, out.Word)
	default:
		out.Text = fmt.Sprintf("%.0f in 100 more than before (between %.0f and %.0f): %s.", -100*out.Reduction, -100*out.High, -100*out.Low, out.Word)
	}
	return out, nil
}

// Abbott corrects a treated survival by an untreated one: 1 − treated/untreated
// survivors.
func Abbott(treatedAfter, checkAfter float64) (float64, error) {
	if checkAfter <= 0 || treatedAfter < 0 {
		return 0, fault.New("checkAfter", "no survivors on the untreated", "Abbott's correction needs some; leave it out")
	}
	return 1 - treatedAfter/checkAfter, nil
}

// NextMove is what to do after a result.
type NextMove struct {
	Move string `json:"move"` // done, repeat, step up, switch, bring back, refer
	Why  string `json:"why"`
}

// Advise names the next move. borne: what is left lies under the threshold.
// round: how many rounds of treatment are behind. nerve: the remedy has a
// resistance group.
func Advise(word string, borne bool, round int, nerve bool) NextMove {
	switch {
	case borne && word != "worse":
		return NextMove{"done", "What is left can be borne."}
	case word == "better" && round < 3:
		return NextMove{"repeat", "It works and more is left than can be borne: one round more."}
	case word == "better":
		return NextMove{"bring back", "Three rounds and still more than can be borne: look at the plant again."}
	case word == "cannot tell":
		return NextMove{"bring back", "Too few were counted to tell: count more leaves, or bring it back."}
	case round >= 3:
		return NextMove{"refer", "Three rounds without success: ask a specialist."}
	case nerve:
		return NextMove{"switch", "It did not work and can be outgrown: change to another way of killing."}
	case word == "worse" && round >= 2:
		return NextMove{"bring back", "Worse after two rounds: is it what we think it is?"}
	}
	return NextMove{"step up", "It did too little: go one rung up."}
}
