package mix

import (
	"fmt"
	"regexp"

	"botanik/core/fault"
)

// household are kinds of things by the names people give them, with what they make together
// that nobody may breathe or handle (public safety advice on household chemicals). Names
// are matched as words, in English; what is none of these is no worse for it.
var household = map[string]*regexp.Regexp{
	"bleach":     regexp.MustCompile(`(?i)\b(bleach|javel\w*|(sodium |calcium )?hypochlorite|chlorine|pool shock|swimming[- ]pool)\b`),
	"ammonia":    regexp.MustCompile(`(?i)\b(ammonia|ammonium hydroxide|glass cleaner|window cleaner|urine)\b`),
	"acid":       regexp.MustCompile(`(?i)\b(acid|vinegar|acetic|citric|lemon juice|descaler|limescale remover|toilet cleaner|rust remover|muriatic|hydrochloric|phosphoric|sul(ph|f)uric)\b`),
	"peroxide":   regexp.MustCompile(`(?i)\b((hydrogen )?peroxide|oxygen bleach|percarbonate)\b`),
	"alcohol":    regexp.MustCompile(`(?i)\b(alcohol|ethanol|isopropanol|isopropyl|meths|methylated|rubbing|spirits?|acetone)\b`),
	"polysulfur": regexp.MustCompile(`(?i)\b(lime[- ]?sul(ph|f)ur|calcium polysul(ph|f)ide)\b`),
}

// together are the pairs that make poison or burst.
var together = []struct{ a, b, makes string }{
	{"bleach", "ammonia", "makes chloramine gas, which injures the lungs"},
	{"bleach", "acid", "makes chlorine gas, which can kill"},
	{"bleach", "alcohol", "makes chloroform and other poisons"},
	{"bleach", "peroxide", "gives off oxygen at once and can burst the vessel"},
	{"peroxide", "acid", "makes peracetic acid, which burns eyes, skin and lungs"},
	{"peroxide", "alcohol", "can catch fire or burst"},
	{"polysulfur", "acid", "makes hydrogen sulphide gas, which can kill"},
}

// kinds of a name, in no order. Oxygen bleach is no chlorine.
func kinds(name string) map[string]bool {
	out := map[string]bool{}
	for k, re := range household {
		out[k] = re.MatchString(name)
	}
	if out["peroxide"] && regexp.MustCompile(`(?i)oxygen bleach`).MatchString(name) {
		out["bleach"] = false
	}
	return out
}

// poison refuses what makes poison in one vessel, by its names, and bleach in any mix for a
// plant. Errors name parts[i].
func poison(parts []Part) error {
	var l fault.List
	seen := make([]map[string]bool, len(parts))
	for i, p := range parts {
		seen[i] = kinds(p.Name)
		for j := range i {
			for _, t := range together {
				if seen[i][t.a] && seen[j][t.b] || seen[i][t.b] && seen[j][t.a] {
					l.Add(fmt.Sprintf("parts[%d].name", i), fmt.Sprintf("never together: %s with %s %s", p.Name, parts[j].Name, t.makes), "mix neither; if they have met already, open the windows, leave, and call the poison centre when anybody coughs")
				}
			}
		}
		for _, t := range together { // one name that says both: "bleach and vinegar"
			if seen[i][t.a] && seen[i][t.b] && t.a != t.b {
				l.Add(fmt.Sprintf("parts[%d].name", i), fmt.Sprintf("%q names two things that never meet: it %s", p.Name, t.makes), "mix neither")
			}
		}
	}
	return l.Err()
}
