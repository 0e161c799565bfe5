package differential

import (
	"cmp"
	"fmt"
	"slices"
)

// The kinds of alarm, in the order they are said.
const (
	AlarmPeople    = "people"
	AlarmRegulated = "regulated"
	AlarmHelper    = "helper"
)

// How likely a thing has to be before it is called out even though it does not
// lead (judgement).
const (
	peopleShare   = .02
	regulateShare = .03
	helperShare   = .05
)

// Alarm is something that must not be missed. It blocks "settled" and "you can
// stop" until a look has made it unlikely.
type Alarm struct {
	Kind  string  `json:"kind" enum:"people,regulated,helper"`
	Cause string  `json:"cause"`
	P     float64 `json:"p"`
	Text  string  `json:"text"`
}

func (e *Engine) alarms(r *Ranking, k *reckoning) {
	if r.Looked == 0 {
		return
	}
	lead := e.Base.Causes[k.idx[0]]
	for _, i := range k.idx {
		p := k.p(i)
		if p < peopleShare {
			break
		}
		c := e.Base.Causes[i]
		a := Alarm{Cause: c.ID, P: p}
		switch {
		case c.Danger != "":
			a.Kind, a.Text = AlarmPeople, fmt.Sprintf("People first: %s is possible (%.0f in 100). %s", c.Name, p*100, c.Danger)
		case c.Regulated != "" && p >= regulateShare:
			a.Kind, a.Text = AlarmRegulated, fmt.Sprintf("%s may be regulated (%.0f in 100): %s", c.Name, p*100, c.Regulated)
		case c.Kind == "helper" && lead.Kind != "helper" && p >= helperShare:
			a.Kind, a.Text = AlarmHelper, fmt.Sprintf("%s is a helper and still possible (%.0f in 100): split it from %s before anything is sprayed.", c.Name, p*100, lead.Name)
		default:
			continue
		}
		r.Alarms = append(r.Alarms, a)
	}
	rank := []string{AlarmPeople, AlarmRegulated, AlarmHelper}
	slices.SortStableFunc(r.Alarms, func(a, b Alarm) int {
		return cmp.Compare(slices.Index(rank, a.Kind), slices.Index(rank, b.Kind))
	})
}
