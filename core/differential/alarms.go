package differential

import (
	"cmp"
	"fmt"
	"slices"

	"botanik/core/knowledge"
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
		c := e.Base.Causes[i]
		called := e.called(c, k)
		if p < peopleShare && !called {
			continue
		}
		a := Alarm{Cause: c.ID, P: p}
		switch {
		case c.Danger != "":
			a.Kind, a.Text = AlarmPeople, fmt.Sprintf("People first: %s is possible (%s). %s", c.Name, inHundred(p), c.Danger)
		case c.Regulated != "" && (p >= regulateShare || called):
			a.Kind, a.Text = AlarmRegulated, fmt.Sprintf("%s may be regulated (%s): %s", c.Name, inHundred(p), c.Regulated)
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

// inHundred says a share; what a sign calls out may be less than one in a hundred.
func inHundred(p float64) string {
	if p < .01 {
		return "under 1 in 100"
	}
	return fmt.Sprintf("%.0f in 100", p*100)
}

// called reports whether a sign that calls a cause out by itself was seen, on a plant it is
// met on.
func (e *Engine) called(c *knowledge.Cause, k *reckoning) bool {
	if len(c.Calls) == 0 {
		return false
	}
	if h := e.Base.Host(k.set.Host); h != nil && !c.AtHome(h) {
		return false
	}
	for _, x := range k.got {
		f := e.reads[x.find]
		for _, l := range x.lines {
			if l.omitted || l.Not {
				continue
			}
			state := f.find.States[l.row-f.at].ID
			if slices.ContainsFunc(c.Calls, func(s knowledge.Sign) bool { return s.Finding == f.find.ID && slices.Contains(s.States, state) }) {
				return true
			}
		}
	}
	return false
}
