package knowledge

import (
	"path"
	"slices"
	"strings"
)

// ourSheets is what the files of the book itself are called by; a desk's own may lie as it likes.
const ourSheets = "herbarium/"

// diseases have several sheets, by what they do to the plant.
var fungal = []string{"leaf-spots", "lawns", "powdery-and-downy-mildews", "root-and-crown", "rots-and-wilts", "rusts", "wood-and-bark"}

// sheetsOf is the sheets a cause of a class may stand on, for those that are neither helper nor harmless.
var sheetsOf = map[string][]string{
	"mite": {"mites"}, "thrips": {"thrips"}, "aphid": {"aphids"}, "whitefly": {"whiteflies"},
	"soft-scale": {"scales-and-mealybugs"}, "armored-scale": {"scales-and-mealybugs"}, "mealybug": {"scales-and-mealybugs"},
	"leafhopper": {"hoppers-bugs-and-suckers"}, "bug": {"hoppers-bugs-and-suckers"}, "psyllid": {"hoppers-bugs-and-suckers"},
	"beetle": {"beetles"}, "moth": {"moths"}, "fly": {"flies"}, "sawfly": {"sawflies-and-gall-wasps"}, "wasp": {"sawflies-and-gall-wasps"},
	"mammal": {"birds-and-mammals"}, "bird": {"birds-and-mammals"},
	"fungus": fungal, "oomycete": fungal, "bacterium": {"bacteria"}, "virus": {"viruses"},
	"disorder": {"nutrients", "planting-and-care", "water-and-climate"}, "injury": {"injuries"}, "no-animal": {"lawns"},
}

// sheetsBySense is where a finding stands by how it is looked at, before its part is asked.
var sheetsBySense = map[string]string{
	"asked": "1-asked", "scope": "9-microscope-meter-and-laboratory", "lab": "9-microscope-meter-and-laboratory", "meter": "9-microscope-meter-and-laboratory",
}

var leafSheets = map[string]string{"eye": "3-leaf-by-eye", "lens": "4-leaf-by-lens", "test": "5-leaf-by-test"}

var partSheets = map[string]string{
	"asked": "1-asked", "plant": "2-whole-plant", "stem": "6-stem-and-bark", "shoot": "7-shoot-flower-and-fruit",
	"flower": "7-shoot-flower-and-fruit", "fruit": "7-shoot-flower-and-fruit", "root": "8-root-and-pot", "pot": "8-root-and-pot",
}

// rungSheets is the sheet of a remedy by its rung.
var rungSheets = []string{"0-leave-it", "1-by-hand", "2-growing-and-care", "3-living-helpers", "4-soaps-and-oils", "5-plant-made-and-microbial", "6-minerals", "7-referred"}

// CauseSheets is the sheets of the book a cause may stand on, by name without folder and
// ending: helpers and harmless things each on one, the others by class.
func CauseSheets(c *Cause) []string {
	switch c.Kind {
	case "helper":
		return []string{"helpers"}
	case "harmless":
		return []string{"harmless"}
	}
	if to, ok := sheetsOf[c.Class]; ok {
		return to
	}
	return []string{"slugs-eelworms-and-others"}
}

// FindingSheet is the sheet of the book a finding stands on: by sense where that takes an
// instrument or a question, else by part.
func FindingSheet(f *Finding) string {
	if to, ok := sheetsBySense[f.How]; ok {
		return to
	}
	if f.Part == "leaf" {
		return leafSheets[f.How]
	}
	return partSheets[f.Part]
}

// sheet holds an entry of the book itself to the sheets it may stand on.
func (k *checker) sheet(from, kind, id string, may ...string) {
	if !strings.HasPrefix(from, ourSheets) {
		return
	}
	k.at(from, kind, id)
	if is := strings.TrimSuffix(path.Base(from), ".yaml"); !slices.Contains(may, is) {
		k.style("stands on the sheet "+is, "move it to "+strings.Join(may, ", or "))
	}
}

func (k *checker) sheets() {
	for _, c := range k.b.Causes {
		k.sheet(c.From, "cause", c.ID, CauseSheets(c)...)
	}
	for _, f := range k.b.Findings {
		k.sheet(f.From, "finding", f.ID, FindingSheet(f))
	}
	for _, r := range k.b.Remedies {
		if r.Rung >= 0 && r.Rung < len(rungSheets) {
			k.sheet(r.From, "remedy", r.ID, rungSheets[r.Rung])
		}
	}
}
