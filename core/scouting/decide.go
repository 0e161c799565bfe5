package scouting

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"
	"time"

	"botanik/core/fault"
)

// What can be decided.
const (
	Leave  = "leave"  // nothing to do
	Watch  = "watch"  // count again in a week
	More   = "more"   // too near to tell: count more
	Treat  = "act"    // act now
	Spring = "spring" // nothing can reach it now: act on the first young
	Pull   = "pull"   // harvest what is left, pull and replant
	Back   = "back"   // a fresh sample at once
	Save   = "save"   // it recovers by itself, cared for
	Refer  = "refer"  // not the desk's to decide
)

// Threshold is the level that is borne, with where it comes from.
type Threshold struct {
	PerUnit float64 `json:"perUnit,omitempty" doc:"of what Of names, a unit"`
	Share   float64 `json:"share,omitempty" doc:"of units with any of what Of names, 0 to 1"`
	Of      string  `json:"of,omitempty" doc:"the tally it speaks of: pests, young, marks ...; pests when left out"`
	Unit    string  `json:"unit,omitempty" doc:"leaf, shoot, plant ...; leaf when left out"`
	Source  string  `json:"source"`
	None    bool    `json:"none,omitempty" doc:"none is borne"`
}

// Past is an earlier count of the same thing on the same plant.
type Past struct {
	Days  int     `json:"days" doc:"ago, 1 or more"`
	Mean  float64 `json:"mean,omitempty" doc:"pests a unit"`
	Share float64 `json:"share,omitempty" doc:"of units hit, where only that is known"`
}

// Question is all that a decision rests on. What is not known is left out.
type Question struct {
	Kind      string    `json:"kind" enum:"pest,helper,harmless,disease,disorder,injury" doc:"of the cause"`
	Virus     bool      `json:"virus,omitempty" doc:"it is in the sap for good"`
	Regulated bool      `json:"regulated,omitempty"`
	LabOnly   bool      `json:"labOnly,omitempty" doc:"no desk can settle it"`
	Doubt     bool      `json:"doubt,omitempty" doc:"the verdict is open"`
	Threshold Threshold `json:"threshold"`
	Young     []int     `json:"young,omitempty" doc:"months in which its young are about and can be reached, 1 to 12, as they fall here"`

	Count    *Count `json:"count,omitempty"`
	Degree   string `json:"degree,omitempty" enum:"light,moderate,heavy," doc:"by eye, where nothing was counted"`
	Before   []Past `json:"before,omitempty"`
	BadYear  bool   `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	Helpers  bool   `json:"helpers,omitempty" doc:"seen, not counted"`
	Standard string `json:"standard,omitempty" enum:"show,food,hedge," doc:"what the grower keeps the plant for"`

	Form      string `json:"form,omitempty" doc:"of the plant: annual, perennial, woody ..."`
	WeeksLeft *int   `json:"weeksLeft,omitempty" doc:"of picking or flowering; unknown when left out"`
	Bare      bool   `json:"bare,omitempty" doc:"it stands without leaves for the winter"`
	OnLeaves  bool   `json:"onLeaves,omitempty" doc:"the trouble lives on leaves, flowers and fruit alone: with them it has gone"`
	Under     bool   `json:"under,omitempty" doc:"under cover, where the seasons do not count"`
	Month     int    `json:"month,omitempty" doc:"1 to 12, as the seasons fall here"`
}

// Decision with its reasons.
type Decision struct {
	Act        string            `json:"act" enum:"leave,watch,more,act,spring,pull,back,save,refer"`
	Words      string            `json:"words" doc:"in a few words"`
	Pressure   string            `json:"pressure" enum:"light,moderate,heavy"`
	Above      *float64          `json:"above,omitempty" doc:"chance that the true level is above what is borne here, where it was counted"`
	Sure       string            `json:"sure" enum:"sure,likely,near"`
	Level      float64           `json:"level,omitempty" doc:"what is borne here, after all that moves it"`
	Why        []string          `json:"why"`
	Change     []string          `json:"change" doc:"what would change it, most telling first"`
	Step       *SequentialResult `json:"step,omitempty" doc:"of the sequential test"`
	Unfit      string            `json:"unfit,omitempty" doc:"why the count says nothing of this threshold"`
	Month      int               `json:"month,omitempty" doc:"of the first young"`
	Multiplies float64           `json:"multiplies,omitempty" doc:"times in a week, by the counts before"`
}

// Words of a decision, empty for one that is none.
func Words(decision string) string { return named[decision] }

// Parts of what is borne (judgement, each said where it is used). Predatory mites hold
// spider mites from about one in ten: general literature.
const (
	showPart    = .5
	hedgePart   = 2.
	badYearPart = .5
	risingPart  = .7
	fallingPart = 1.4
	helpersSeen = 1.5
	helpersHold = .1 // helpers for each pest, from which they are taken to hold it
	helpersMost = 3.
	doubles     = 1.5 // times in a week from which it is rising
	tiredWeeks  = 4   // of crop left, under which a sick annual is not worth a treatment (judgement)
	soonWeeks   = 2
	surely      = .9
	likely      = .75
)

var named = map[string]string{
	Leave: "Leave it", Watch: "Watch it weekly", More: "Count more", Treat: "Act now", Spring: "Act on the first young",
	Pull: "Harvest, pull and replant", Back: "Bring it back at once", Save: "Save it: it will recover", Refer: "Send it on",
}

// Check refuses a question that cannot be. Errors name the field.
func (q Question) Check() error {
	var l fault.List
	if !slices.Contains([]string{"pest", "helper", "harmless", "disease", "disorder", "injury"}, q.Kind) {
		l.Add("kind", fmt.Sprintf("%q is no kind of cause", q.Kind), "use pest, helper, harmless, disease, disorder or injury")
	}
	t := q.Threshold
	if t.PerUnit < 0 || t.PerUnit > 10_000 || math.IsNaN(t.PerUnit) {
		l.Add("threshold.perUnit", fmt.Sprintf("%g cannot be borne", t.PerUnit), "give pests a unit from 0 to 10 000; 0 when it is not counted so")
	}
	if t.Share < 0 || t.Share > .9 || math.IsNaN(t.Share) {
		l.Add("threshold.share", fmt.Sprintf("%g is no share that is borne", t.Share), "give it from 0 to 0.9; 0 when it is not counted so")
	}
	if q.Count != nil {
		l.AddErr("count", q.Count.Check())
	}
	for i, p := range q.Before {
		if p.Days < 1 || p.Days > 2000 || p.Mean < 0 || p.Share < 0 || p.Share > 1 {
			l.Add(fmt.Sprintf("before[%d]", i), "is no earlier count", "give days ago from 1, and a mean from 0 or a share from 0 to 1")
		}
	}
	if q.WeeksLeft != nil && (*q.WeeksLeft < 0 || *q.WeeksLeft > 520) {
		l.Add("weeksLeft", fmt.Sprintf("%d weeks cannot be", *q.WeeksLeft), "give whole weeks from 0")
	}
	for _, m := range append(slices.Clone(q.Young), q.Month) {
		if m < 0 || m > 12 {
			l.Add("month", fmt.Sprintf("%d is no month", m), "give 1 to 12")
		}
	}
	return l.Err()
}

// Decide answers whether to act, with its reasons and what would change it. Errors
// name the field that cannot be.
func Decide(q Question) (Decision, error) {
	if err := q.Check(); err != nil {
		return Decision{}, err
	}
	d := decide(q)
	d.Change = changes(q, d)
	return d, nil
}

func decide(q Question) Decision {
	d := Decision{Why: []string{}, Change: []string{}, Sure: "sure", Pressure: cmp.Or(q.Degree, "moderate")}
	say := func(word, why string, a ...any) Decision {
		d.Act, d.Words = word, named[word]
		d.Why = append(d.Why, fmt.Sprintf(why, a...))
		if word == Spring {
			d.Words += " in " + monthName(d.Month)
		}
		return d
	}
	q.weigh(&d)
	annual := q.Form == "annual" || q.Form == "bulb" && q.WeeksLeft != nil
	heavy := d.Pressure == "heavy"
	switch {
	case q.Kind == "helper":
		return say(Leave, "It is on the plant's side.")
	case q.Kind == "harmless":
		return say(Leave, "It does no harm.")
	case q.Regulated || q.LabOnly && q.Doubt:
		return say(Refer, "Whether to act is not a desk's to decide here.")
	case q.Virus && (q.Doubt || q.LabOnly && !annual): // an annual is soon replaced; another plant is not pulled on a guess
		return say(Refer, "Before a plant is pulled for a virus a laboratory should say that it is one; set it apart until then.")
	case q.Virus:
		if q.LabOnly {
			d.Sure = "likely"
		}
		return say(Pull, "A virus stays in the sap: the plant does not recover, and others catch it from it.")
	case q.Doubt && heavy:
		return say(Back, "It is heavy, and what it is stands open: a fresh sample decides before anything is sprayed.")
	case annual && q.WeeksLeft != nil && *q.WeeksLeft <= tiredWeeks && heavy:
		return say(Pull, "%s of it left and heavily hit: no treatment pays for itself in that time (judgement).", weeks(*q.WeeksLeft))
	case annual && q.WeeksLeft != nil && *q.WeeksLeft <= soonWeeks:
		return say(Leave, "%s of it left: it is over before a treatment has worked.", weeks(*q.WeeksLeft))
	case q.Kind == "disorder" || q.Kind == "injury":
		return say(Save, "Nothing lives on it that could be treated: with the cause mended new growth comes clean.")
	}
	if first := q.firstYoung(); first > 0 && !q.Under {
		d.Month = first
		if q.Bare && q.BadYear {
			return say(Treat, "After a bad year the bare wood is treated while it sleeps; its young are counted in %s.", monthName(first))
		}
		if q.Threshold.None || q.BadYear || d.Pressure != "light" || d.Above != nil && *d.Above > .5 {
			return say(Spring, "What is on it now sits under cover or in the egg, where a spray on leaves hardly reaches it; its young come out in %s and are counted then.", monthName(first))
		}
		return say(Watch, "It is light, and a spray on leaves hardly reaches it before its young come out in %s.", monthName(first))
	}
	if q.Bare && q.OnLeaves {
		return say(Save, "It stands without leaves: what was lost comes back in spring, and fallen leaves are cleared away now.")
	}
	if q.Threshold.None {
		return say(Treat, "None of it is borne on this plant (%s).", q.Threshold.Source)
	}
	return q.byLevel(&d, say)
}

// byLevel decides by how likely the true level is above what is borne.
func (q Question) byLevel(d *Decision, say func(string, string, ...any) Decision) Decision {
	if d.Above == nil { // by eye
		d.Sure = "likely"
		switch {
		case q.Degree == "" && (q.Count == nil || len(q.Count.Leaves) == 0):
			d.Sure = "near"
			return say(More, "Nothing is counted, and nobody said how heavy it is.")
		case d.Pressure == "heavy":
			return say(Treat, "It is heavy, by eye.")
		case d.Pressure == "light" && (q.Helpers || q.Standard == "hedge") && !q.BadYear:
			return say(Leave, "It is light, by eye, and the plant bears it.")
		case d.Pressure == "light":
			return say(Watch, "It is light, by eye: count again in a week.")
		case q.Standard == "show" || q.BadYear:
			return say(Treat, "It is on many leaves, by eye, and little is borne here.")
		case q.Helpers || q.Standard == "hedge":
			return say(Watch, "It is on many leaves, by eye, but more is borne here: count again in a week.")
		}
		return say(Treat, "It is on many leaves, by eye; a count would say whether that is borne.")
	}
	p := *d.Above
	stopped := d.Step == nil || d.Step.Says != "more"
	n := len(q.Count.Leaves)
	switch {
	case max(p, 1-p) >= surely:
		d.Sure = "sure"
	case max(p, 1-p) >= likely:
		d.Sure = "likely"
	default:
		d.Sure = "near"
	}
	rising := d.Multiplies >= doubles
	switch {
	case n < leastBefore && p > 1-surely && p < surely,
		!stopped && p > 1-likely && p < likely:
		return say(More, "%.0f in 100 that it is above: too near to tell from %d.", 100*p, n)
	case p >= .5:
		return say(Treat, "%.0f in 100 that it is above what is borne.", 100*p)
	case p <= 1-surely && !rising && !q.BadYear:
		return say(Leave, "%.0f in 100 that it is below what is borne.", 100*(1-p))
	}
	return say(Watch, "%.0f in 100 that it is below what is borne: count again in a week.", 100*(1-p))
}

// firstYoung is the month in which the young next come out, where that is not now: 0
// while they are about, or where none are known.
func (q Question) firstYoung() int {
	if len(q.Young) == 0 || q.Month == 0 || slices.Contains(q.Young, q.Month) {
		return 0
	}
	for i := 1; i < 12; i++ {
		if m := (q.Month+i-1)%12 + 1; slices.Contains(q.Young, m) {
			return m
		}
	}
	return 0
}

func monthName(m int) string { return time.Month(max(1, m)).String() }

// changes asks the same again with one thing otherwise, and tells where the answer turns.
func changes(q Question, d Decision) []string {
	out := []string{}
	if d.Act == Refer || q.Kind == "helper" || q.Kind == "harmless" {
		return out
	}
	two := 2
	try := func(when string, change func(*Question)) {
		other := q
		change(&other)
		if x := decide(other); x.Act != d.Act && x.Act != More {
			out = append(out, fmt.Sprintf("%s: %s.", when, strings.ToLower(x.Words[:1])+x.Words[1:]))
		}
	}
	if q.Count != nil && len(q.Count.Leaves) > 0 && !q.Count.Quick {
		more := *q.Count
		more.Leaves = scaled(*q.Count, 2)
		try("Twice as many", func(o *Question) { o.Count = &more })
		fewer := *q.Count
		fewer.Leaves = scaled(*q.Count, .5)
		try("Half as many", func(o *Question) { o.Count = &fewer })
	} else if q.Count == nil {
		for _, w := range []string{"light", "moderate", "heavy"} {
			try("Were it "+w, func(o *Question) { o.Degree = w })
		}
	}
	if !q.Helpers {
		try("With helpers at work", func(o *Question) { o.Helpers = true })
	}
	if !q.BadYear {
		try("After a bad year", func(o *Question) { o.BadYear = true })
	}
	for _, s := range [][2]string{{"show", "Kept for show"}, {"hedge", "As a hedge"}} {
		if q.Standard != s[0] {
			try(s[1], func(o *Question) { o.Standard = s[0] })
		}
	}
	if q.Form == "annual" && (q.WeeksLeft == nil || *q.WeeksLeft > two) {
		try("With two weeks of it left", func(o *Question) { o.WeeksLeft = &two })
	}
	if q.Doubt {
		try("Once it is known what it is", func(o *Question) { o.Doubt = false })
	}
	return out[:min(4, len(out))]
}

func scaled(c Count, by float64) [][]int {
	out := make([][]int, len(c.Leaves))
	for i, row := range c.Leaves {
		out[i] = make([]int, len(row))
		for t, n := range row {
			out[i][t] = n
			if c.Of[t] != Marks && c.Of[t] != Helpers {
				out[i][t] = int(math.Round(float64(n) * by))
			}
		}
	}
	return out
}

func weeks(n int) string {
	switch n {
	case 0:
		return "Nothing"
	case 1:
		return "A week"
	}
	return fmt.Sprintf("%d weeks", n)
}
