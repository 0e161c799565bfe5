package training

import (
	"fmt"
	"math"
	"strings"

	"botanik/core/differential"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/remedy"
)

// PracticeVerdict is what somebody says of a sample.
type PracticeVerdict struct {
	Cause  string  `json:"cause,omitempty" maxLength:"60" doc:"cause id; empty: undetermined, it is sent on"`
	Sure   float64 `json:"sure" minimum:"0" maximum:"1"`
	Act    string  `json:"act" enum:"act,wait,refer" doc:"do something, leave it and watch, or send it on"`
	Remedy string  `json:"remedy,omitempty" maxLength:"60" doc:"what is done first, where something is"`
	Amount string  `json:"amount,omitempty" maxLength:"40" doc:"of what is mixed, how much goes into the grower's sprayer, like 20 mL or 4 metric tsp"`
	Every  int     `json:"every,omitempty" minimum:"0" maximum:"365" doc:"of what is repeated, days to the next time; 0: not said"`
}

// ScorePart of a score, with its reason.
type ScorePart struct {
	Name   string `json:"name"`
	Points int    `json:"points"`
	Most   int    `json:"most"`
	Why    string `json:"why"`
}

// Score is what a case was worth, safety first.
type Score struct {
	Points        int         `json:"points" doc:"of a hundred"`
	Faults        []string    `json:"faults" doc:"what would have hurt somebody; each takes the points for what is done"`
	Right         string      `json:"right" enum:"yes,plan,no" doc:"the cause; another that is treated the same; neither"`
	Truth         string      `json:"truth"`
	TruthID       string      `json:"truthId,omitempty"`
	Parts         []ScorePart `json:"parts"`
	Steps         []LookTaken `json:"steps" doc:"what was asked, with what an expert would have asked"`
	Expert        []LookTaken `json:"expert"`
	Minutes       float64     `json:"minutes"`
	ExpertMinutes float64     `json:"expertMinutes"`
	FirstUseful   int         `json:"firstUseful" doc:"which look first told something, from 1; 0 for none"`
	Brier         float64     `json:"brier"`
	Tilt          string      `json:"tilt" doc:"what split it at last, in a sentence"`
	Split         string      `json:"split,omitempty" doc:"the finding that did"`
}

// What each part of a case is worth (judgement: a right name found by needless looks is half
// of it, and what hurts is worth nothing).
const (
	mostName  = 40
	mostLooks = 25
	mostSure  = 15
	mostDone  = 20
	// givenShare of what is done is how much, and when again.
	givenShare = .4
	useful     = .05 // bits below which a look told nothing
)

// Grade weighs a case: what was asked, in this order, and the verdict. advise says what the
// ladder says of a remedy for the true cause; nil where nothing is treated. The house's labels bound what is mixed.
func Grade(e *differential.Engine, s Sample, asked []string, v PracticeVerdict, house remedy.House, advise func(remedy string) *remedy.Offer) Score {
	out := Score{Faults: []string{}, Parts: []ScorePart{}, Steps: []LookTaken{}, Expert: Expert(e, s), TruthID: s.Cause, Truth: "nothing of the book: it is sent on", Right: "no"}
	truth := e.Base.Cause(s.Cause)
	if truth != nil {
		out.Truth = truth.Name
	}
	out.replay(e, s, asked)
	said := e.Base.Cause(v.Cause)
	switch {
	case s.Cause == v.Cause:
		out.Right = "yes"
	case truth != nil && said != nil && truth.Group == said.Group:
		out.Right = "plan"
	}
	out.name(truth, said)
	out.looks(e, s)
	sure := clamp(v.Sure)
	out.Brier = Brier(sure, out.Right != "no")
	out.add("How sure", mostSure, 1-out.Brier, fmt.Sprintf("%.0f in 100 sure, and %s", sure*100, map[string]string{"yes": "right", "plan": "right in what to do", "no": "not right"}[out.Right]))
	out.done(truth, v, DosingOf(e.Base, house, v.Remedy, s.Sprayer()), advise)
	for _, p := range out.Parts {
		out.Points += p.Points
	}
	return out
}

func (out *Score) add(name string, most int, share float64, why string) {
	out.Parts = append(out.Parts, ScorePart{name, int(math.Round(float64(most) * clamp(share))), most, why})
}

func (out *Score) name(truth, said *knowledge.Cause) {
	switch out.Right {
	case "yes":
		out.add("What it is", mostName, 1, "it is "+humanise.InSentence(out.Truth))
	case "plan":
		out.add("What it is", mostName, .8, fmt.Sprintf("it was %s; %s is treated the same", humanise.InSentence(truth.Name), humanise.InSentence(said.Name)))
	default:
		out.add("What it is", mostName, 0, "it was "+humanise.InSentence(out.Truth))
	}
}

// replay goes through what was asked once more, with what an expert would have asked at each.
func (out *Score) replay(e *differential.Engine, s Sample, asked []string) {
	looks := []differential.Look{}
	before := right(e, s, looks)
	p := before
	for i, id := range asked {
		if e.Base.Finding(id) == nil {
			continue
		}
		step, got := take(e, s, looks, id, p)
		if next := s.best(e, looks); next != "" && next != id {
			better, _ := take(e, s, looks, next, p)
			step.Better, step.BetterBits = better.Name, better.Bits
			step.Needless = step.Destructive && !better.Destructive && better.Bits >= step.Bits
		}
		step.Needless = step.Needless || step.Bits < useful
		if out.FirstUseful == 0 && step.Bits >= useful {
			out.FirstUseful = i + 1
		}
		out.Minutes += step.Minutes
		out.Steps = append(out.Steps, step)
		looks, p = got, step.P
	}
	for _, x := range out.Expert {
		out.ExpertMinutes += x.Minutes
	}
	if best := Split(out.Expert, before); best != nil {
		out.Split = best.Finding
		out.Tilt = fmt.Sprintf("%s split it: %s.", best.Name, humanise.InSentence(join(best.Saw)))
	}
}

// Split is the look the right plan gained most by, in how likely it is, not in bits: the first look of all often tells the
// most bits and still leaves the look-alikes together. before is how likely it was to begin with; nil of no steps.
func Split(steps []LookTaken, before float64) *LookTaken {
	var best *LookTaken
	most := math.Inf(-1)
	for i := range steps {
		if rise := steps[i].P - before; rise > most {
			best, most = &steps[i], rise
		}
		before = steps[i].P
	}
	return best
}

func join(list []string) string {
	if len(list) == 0 {
		return "nothing of it"
	}
	out := list[0]
	for _, x := range list[1:] {
		out += ", " + x
	}
	return out
}

// looks weighs what was asked against the best sequence for this case: what it told of what
// that told, and its minutes against those. A look that tells nothing only costs.
func (out *Score) looks(e *differential.Engine, s Sample) {
	start := right(e, s, nil)
	told, best := 0., 0.
	if n := len(out.Steps); n > 0 {
		told = math.Log2(out.Steps[n-1].P / start)
	}
	if n := len(out.Expert); n > 0 {
		best = math.Log2(out.Expert[n-1].P / start)
	}
	needless := 0
	for _, x := range out.Steps {
		if x.Needless {
			needless++
		}
	}
	share := 1.
	if best > useful {
		share = clamp(told/best) * math.Min(1, out.ExpertMinutes/math.Max(out.Minutes, 1e-9))
	} else if out.Minutes > out.ExpertMinutes {
		share = out.ExpertMinutes / out.Minutes
	}
	why := fmt.Sprintf("%.1f bits in %.1f min; the book's way tells %.1f in %.1f", told, out.Minutes, best, out.ExpertMinutes)
	if needless > 0 {
		why += fmt.Sprintf("; %d needless", needless)
	}
	out.add("Where you looked", mostLooks, share, why)
}

// done weighs what is done. What would hurt comes first and leaves nothing.
func (out *Score) done(truth *knowledge.Cause, v PracticeVerdict, given Dosing, advise func(string) *remedy.Offer) {
	refer := truth == nil || truth.Regulated != ""
	var offer *remedy.Offer
	if v.Act == "act" && v.Remedy != "" && advise != nil {
		offer = advise(v.Remedy)
	}
	leave := truth != nil && (truth.Kind == "helper" || truth.Kind == "harmless")
	switch {
	case leave && v.Act == "act":
		out.Faults = append(out.Faults, "It would have been treated, and it is a friend or does no harm.")
	case truth != nil && truth.Regulated != "" && v.Act != "refer":
		out.Faults = append(out.Faults, "It has to go to the authority, and nobody would have told them.")
	case offer != nil && offer.Status == "no":
		why := ""
		if len(offer.Reasons) > 0 {
			why = " " + offer.Reasons[0].Text
		}
		out.Faults = append(out.Faults, offer.Name+" must not be used here."+why)
	}
	how, told, faults := given.Weigh(v.Amount, v.Every)
	if offer != nil && len(out.Faults) == 0 {
		out.Faults = append(out.Faults, faults...)
	}
	share, why := 0., ""
	switch {
	case len(out.Faults) > 0:
		why = "see above"
	case refer && v.Act == "refer":
		share, why = 1, "sent on, as it has to be"
	case refer:
		share, why = .2, "it should have been sent on"
	case leave:
		share, why = 1, "left alone"
		if v.Act == "refer" {
			share, why = .5, "left alone would have done"
		}
	case v.Act == "refer":
		share, why = .3, "the desk could have helped"
	case offer != nil && offer.Status == "go":
		share, why = 1, offer.Name+" may be used here"
	case offer != nil:
		share, why = .6, offer.Name+", with care or not just now"
	case v.Act == "wait":
		share, why = .5, "waiting does little harm, and little good"
		if truth.Seriousness == "low" || truth.Seriousness == "none" {
			share, why = 1, "it is borne"
		}
	default:
		share, why = .3, "nothing that helps was chosen"
	}
	if offer != nil && len(out.Faults) == 0 {
		share *= 1 - givenShare + givenShare*how
		why = strings.Join(append([]string{why}, told...), "; ")
	}
	out.add("What is done", mostDone, share, why)
}
