package humanise

import "strings"

// keepsCapital are first words of names that are proper nouns or short forms.
var keepsCapital = map[string]bool{"Bt": true, "Bordeaux": true, "Bacillus": true, "Beauveria": true, "African": true, "Boston": true, "San": true, "Japanese": true}

// InSentence is a name as it stands inside a sentence: "soap", but "Bt for
// caterpillars".
func InSentence(name string) string {
	first, _, _ := strings.Cut(name, " ")
	if name == "" || keepsCapital[first] {
		return name
	}
	return strings.ToLower(name[:1]) + name[1:]
}
