package knowledge

import (
	"regexp"
	"strings"
)

var (
	species   = regexp.MustCompile(`^[A-Z][a-z-]+ [a-z-]+( [a-z-]+)?$`)
	oneWord   = regexp.MustCompile(`^[A-Z][a-z-]+$`)
	sameGenus = regexp.MustCompile(`^([A-Z])[a-z-]+ [a-z-]+( and|,) ([A-Z]\. )?[a-z-]+$`)
)

// ranks that the ending of a name tells (International Codes of Zoological and Botanical
// Nomenclature); a name with none of them may be of any.
var ranks = []struct{ ending, rank string }{{"idae", "family"}, {"aceae", "family"}, {"inae", "subfamily"}, {"ales", "order"}, {"ptera", ""}, {"poda", ""}, {"gastria", ""}}

// Taxon is the one taxon a scientific name of the herbarium stands for, with its rank where
// the name tells it; false where it stands for several that share no name: a record made of
// it would say more than the desk knows.
func Taxon(scientific string) (name, rank string, ok bool) {
	words := strings.Fields(scientific)
	switch {
	case oneWord.MatchString(scientific):
		for _, r := range ranks {
			if strings.HasSuffix(scientific, r.ending) {
				return scientific, r.rank, true
			}
		}
		return scientific, "genus", true
	case sameGenus.MatchString(scientific):
		m := sameGenus.FindStringSubmatch(scientific)
		if m[3] != "" && m[3][:1] != m[1] || words[len(words)-1] == "others" || words[1] == "and" {
			return "", "", false
		}
		return words[0], "genus", true
	case species.MatchString(scientific) && words[1] != "and" && words[len(words)-1] != "others":
		return scientific, "species", true
	}
	return "", "", false
}
