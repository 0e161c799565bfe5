package casework

// Section of a case that a person decides, in the order of the work.
type Section string

// The sections.
const (
	SecVerdict  Section = "verdict"
	SecAct      Section = "act"
	SecRemedy   Section = "remedy"
	SecMix      Section = "mix"
	SecDose     Section = "dose"
	SecDays     Section = "days"
	SecHandover Section = "handover"
)

// Rests says what each section answers. When that changes, the section answered
// another question and is asked anew.
var Rests = map[Section]Section{
	SecAct:      SecVerdict,
	SecRemedy:   SecVerdict,
	SecMix:      SecRemedy,
	SecDose:     SecRemedy,
	SecDays:     SecRemedy,
	SecHandover: SecVerdict,
}

// After lists the sections that rest on one, directly or through another, the
// section itself not among them.
func After(s Section) []Section {
	out := []Section{}
	for _, x := range []Section{SecAct, SecRemedy, SecMix, SecDose, SecDays, SecHandover} {
		for at := Rests[x]; at != ""; at = Rests[at] {
			if at == s {
				out = append(out, x)
				break
			}
		}
	}
	return out
}
