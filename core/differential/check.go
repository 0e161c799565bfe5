package differential

import (
	"fmt"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/knowledge"
)

// Check refuses looks and settings the base does not know, naming each.
func (e *Engine) Check(s Circumstances, looks []Look) error {
	var l fault.List
	if s.Host != "" && e.Base.Host(s.Host) == nil {
		l.Add("host", fmt.Sprintf("%q is not a host of the herbarium", s.Host), "use an id from kb list hosts, or leave it out and give family or form")
	}
	if s.Place != "" && !slices.Contains(knowledge.Places, s.Place) {
		l.Add("place", fmt.Sprintf("%q is not a place", s.Place), "use "+strings.Join(knowledge.Places, ", "))
	}
	if s.Month < 0 || s.Month > 12 {
		l.Add("month", "is not 1 to 12", "give the month as a number")
	}
	seen := map[string]string{}
	for i, k := range looks {
		at := fmt.Sprintf("looks[%d]", i)
		f := e.Base.Finding(k.Finding)
		if f == nil {
			l.Add(at+".finding", fmt.Sprintf("%q is not a finding of the herbarium", k.Finding), "use an id from kb list findings")
			continue
		}
		if f.State(k.State) < 0 {
			names := make([]string, len(f.States))
			for j, st := range f.States {
				names[j] = st.ID
			}
			l.Add(at+".state", fmt.Sprintf("%s has no state %q", k.Finding, k.State), "use "+strings.Join(names, ", "))
		}
		if k.Not && !f.Many {
			l.Add(at+".not", k.Finding+" has one state at a time", "name the state that is there")
		}
		key := k.Finding
		if f.Many { // its states stand side by side
			key += "\x00" + k.State
		}
		said := k.State + map[bool]string{true: " not"}[k.Not]
		if was, ok := seen[key]; ok && was != said {
			l.Add(at+".state", k.Finding+" is answered twice, and differently", "keep one answer")
		}
		seen[key] = said
		if _, ok := certainties[k.Certainty]; !ok {
			l.Add(at+".certainty", fmt.Sprintf("%q is not a certainty", k.Certainty), "use sure, think or guess")
		}
		if !slices.Contains([]string{"", "eye", "lens", "scope", FromHistory}, k.Instrument) {
			l.Add(at+".instrument", fmt.Sprintf("%q is not an instrument", k.Instrument), "use eye, lens, scope or told")
		}
	}
	return l.Err()
}
