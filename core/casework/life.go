package casework

import (
	"fmt"

	"botanik/core/civil"
	"botanik/core/fault"
)

// Stage of a case, as it lies in the trays.
type Stage string

// The stages.
const (
	Waiting  Stage = "waiting"
	Bench    Stage = "bench"
	Review   Stage = "review" // a trainee's verdict waits for an advisor
	Ready    Stage = "ready"  // to hand over
	Handed   Stage = "handed" // out, with a follow-up or referral running
	Referred Stage = "referred"
	Closed   Stage = "closed"
)

// Stages in order of the work.
var Stages = []Stage{Waiting, Bench, Review, Ready, Handed, Referred, Closed}

// Facts a stage is worked out from.
type Facts struct {
	Looks       int
	Verdict     bool
	Degree      string // settled, group, working, open, undetermined, referred
	NeedsReview bool
	Act         bool // counted or judged, and decided
	Remedy      bool
	NeedsMix    bool // a product was chosen
	Mix         bool
	NeedsDays   bool
	Days        bool
	HandedOver  bool
	Closed      bool
	Refer       bool // regulated or undetermined: sent on
}

// Certainty is how full the plant tag is, 0 to 1: by the degree of the verdict,
// a little once something was looked at.
func Certainty(f Facts) float64 {
	switch {
	case f.Verdict:
		return map[string]float64{"settled": 1, "group": .9, "working": .6, "open": .3, "undetermined": .1}[f.Degree]
	case f.Looks > 0:
		return .15
	}
	return 0
}

// EffectDays is how long after the last treatment its effect shows (judgement).
const EffectDays = 7

// Asking again after silence: a week later, and from the second silence by
// telephone, the same day.
const (
	askAgainDays   = 7
	SilencesToCall = 2
	callAgainDays  = 2
	// DecideWithin is how many days a case whose grower was heard may lie before it comes up
	// again: nobody is forgotten because somebody was called away.
	DecideWithin = 1
	// PageDays are how long a grower's page is shown after the hand-over: a season with the
	// follow-up behind it.
	PageDays = 200
)

// Silence is what follows when nobody answered for the nth time in a row: the
// day to ask again and, from the second on, the move to telephone. Who does not
// answer the telephone either is tried again two days later, another part of the
// day (judgement).
func Silence(n int, today civil.Day) (*NextMove, civil.Day) {
	switch {
	case n == SilencesToCall:
		return &NextMove{"call", "Two without an answer: telephone."}, today
	case n > SilencesToCall:
		return &NextMove{"call", fmt.Sprintf("%d without an answer: telephone again in %d days, at another time of day, or write.", n, callAgainDays)}, today.Add(callAgainDays)
	}
	return nil, today.Add(askAgainDays)
}

// Reopens says which section each next round asks anew, with what rests on it.
var Reopens = map[string]Section{"repeat": SecDays, "step up": SecRemedy, "switch": SecRemedy, "bring back": SecVerdict}

// StageOf works out the stage. It is never set by hand, so that the trays always
// agree with the steps.
func StageOf(f Facts) Stage {
	switch {
	case f.Closed:
		return Closed
	case f.HandedOver && f.Refer:
		return Referred
	case f.HandedOver:
		return Handed
	case f.Verdict && f.NeedsReview:
		return Review
	case f.Verdict && (f.Refer || f.Remedy && (!f.NeedsMix || f.Mix) && (!f.NeedsDays || f.Days)):
		return Ready
	case f.Looks > 0 || f.Verdict:
		return Bench
	}
	return Waiting
}

// Step of the bench with its state: done, next (needs you), open, or shut with
// the reason.
type Step struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	State string `json:"state"`
	Note  string `json:"note,omitempty"`
}

// Steps of the bench and what each waits for. Any order is allowed; "shut" only
// where a step cannot mean anything yet.
func Steps(f Facts) []Step {
	done := func(ok bool) string {
		if ok {
			return "done"
		}
		return "open"
	}
	steps := []Step{
		{"in", "Brought in", "done", ""},
		{"look", "Look", done(f.Looks >= 2), ""},
		{"verdict", "Verdict", done(f.Verdict), ""},
		{"act", "Act?", done(f.Act || f.Remedy || f.Refer && f.Verdict), ""},
		{"remedy", "Remedy", done(f.Remedy || f.Refer && f.Verdict), ""},
		{"mix", "Mix", done(f.Mix), ""},
		{"days", "Days", done(f.Days), ""},
		{"handover", "Hand over", done(f.HandedOver), ""},
		{"story", "Story", done(f.Closed), ""},
	}
	needless := func(at int, ok bool, why string) {
		if ok && steps[at].State == "open" {
			steps[at].State, steps[at].Note = "needless", why
		}
	}
	needless(5, f.Verdict && f.Refer || f.Remedy && !f.NeedsMix, "nothing to mix")
	needless(6, f.Verdict && f.Refer || f.Remedy && !f.NeedsDays, "nothing is repeated on days")
	if f.Looks == 1 {
		steps[1].Note = "one look so far"
	}
	if f.NeedsReview {
		steps[2].State, steps[2].Note = "waits", "an advisor has to agree"
	}
	if err := MayHandOver(f); err != nil && !f.HandedOver {
		steps[7].State, steps[7].Note = "shut", fault.From(err)[0].Problem
	}
	for i := range steps {
		if steps[i].State == "open" && steps[i].ID != "act" && steps[i].ID != "story" {
			steps[i].State = "next"
			break
		}
	}
	return steps
}

// MayChange says why a kind of change cannot be made now, nil when it can. What
// was handed over stands until the next round, so that the grower's page and
// the case agree; a verdict may change at any time, for a laboratory may answer
// late. What is closed rests until it is opened again.
func MayChange(f Facts, kind string) error {
	switch {
	case f.Closed && kind != "reopen" && kind != "close" && kind != "merge" && kind != "forget": // whose it is may be put right at any time
		return fault.New("", "the case is closed", "open it again first")
	case f.HandedOver && (kind == "act" || kind == "remedy" || kind == "mix" || kind == "days"):
		return fault.New("", "this round is handed over", "start the next round on the Story step, or change the verdict")
	}
	return nil
}

// MayHandOver says why a case cannot go to the grower yet, nil when it can.
func MayHandOver(f Facts) error {
	switch {
	case !f.Verdict:
		return fault.New("verdict", "there is no verdict yet", "settle it, or leave it open and send it on")
	case f.NeedsReview:
		return fault.New("verdict", "a trainee's verdict waits for an advisor", "ask an advisor to agree or change it")
	case f.Refer:
		return nil
	case !f.Remedy:
		return fault.New("remedy", "nothing is chosen to be done yet", `choose a remedy; "leave it and watch" is one`)
	case f.NeedsMix && !f.Mix:
		return fault.New("mix", "the amounts are not worked out yet", "enter the sprayer on the Mix step")
	case f.NeedsDays && !f.Days:
		return fault.New("days", "the days are not set yet", "set the first day on the Days step")
	}
	return nil
}

// AskOn is the day to ask how it went: after the last treatment of the round
// plus the time to see an effect; ten days when only watched or done by hand;
// thirty for a referral.
func AskOn(handed civil.Day, days []civil.Day, effectDays int, referred bool) civil.Day {
	if referred {
		return handed.Add(30)
	}
	last := handed
	for _, d := range days {
		if d.After(last) {
			last = d
		}
	}
	if effectDays <= 0 {
		effectDays = 7
	}
	if len(days) == 0 && effectDays < 10 {
		effectDays = 10
	}
	return last.Add(effectDays)
}

// AskAfter is the day to ask about a plant that nothing was put on, by what was
// decided: in a week when it is watched or a fresh sample is awaited soon, on the first
// of the month in which its young come out, in four weeks when it is left or recovers.
// Of anything else, or an unknown month, false.
func AskAfter(decision string, handed civil.Day, youngMonth int) (civil.Day, bool) {
	switch decision {
	case "watch":
		return handed.Add(7), true
	case "back":
		return handed.Add(3), true
	case "leave", "save":
		return handed.Add(28), true
	case "spring":
		for d := handed.Add(1); youngMonth > 0 && d.Sub(handed) <= 366; d = d.Add(1) {
			if _, m, n := d.Date(); int(m) == youngMonth && n == 1 {
				return d, true
			}
		}
	}
	return handed, false
}

// Due words a follow-up against today: in N days, today, N days late.
func Due(ask, today civil.Day) (word string, late int) {
	d := today.Sub(ask)
	switch {
	case d < 0:
		return fmt.Sprintf("in %d days", -d), 0
	case d == 0:
		return "today", 0
	case d == 1:
		return "1 day late", 1
	}
	return fmt.Sprintf("%d days late", d), d
}
