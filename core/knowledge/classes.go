package knowledge

import "slices"

// Classes of remedies that a rule speaks of. A remedy a desk adds takes its rules
// by naming its classes, not by its id.
const (
	ClassOil       = "oil"         // mineral, neem and aromatic oils
	ClassSulfur    = "sulfur"      // dust, wettable and lime sulfur
	ClassCopper    = "copper"      // fixed copper, Bordeaux mixture
	ClassPoison    = "poison"      // from plants and microbes, that good advisors disagree on
	ClassAlcohol   = "alcohol"     // rubbing alcohol
	ClassSoapNext  = "soap-next"   // soaps second to insecticidal soap
	ClassDetergent = "detergent"   // washing-up liquid
	ClassCalcium   = "calcium"     // for want of calcium
	ClassReleased  = "released"    // helpers let loose
	ClassWinged    = "winged"      // of these, those that fly
	ClassLeafHelp  = "leaf-helper" // of these, those that hunt on leaves, where sprays fall
	ClassGlass     = "glass"       // of these, those that live under glass only
	ClassWinter    = "winter-oil"  // the oil of the three winter sprays
	ClassLime      = "lime"        // lime sulfur, of the three winter sprays
)

// RemedyClasses are all there are.
var RemedyClasses = []string{ClassOil, ClassSulfur, ClassCopper, ClassPoison, ClassAlcohol, ClassSoapNext, ClassDetergent, ClassCalcium, ClassReleased, ClassWinged, ClassLeafHelp, ClassGlass, ClassWinter, ClassLime}

// Entries that a rule speaks of by themselves: each is one thing to do and not a
// class of them, so its id is its name (docs/decisions/0015). kb check misses any
// that has gone.
const (
	LeaveIt     = "leave"
	Report      = "report"      // a regulated suspect: left where it is
	IsolatePot  = "isolate-pot" // an unknown in a pot
	LabSend     = "lab-send"
	Arborist    = "arborist"
	Disinfect   = "disinfect"
	Rogue       = "rogue" // lifted whole
	LimeSoil    = "lime-soil"
	PullIt      = "pull-bag"
	OtherSort   = "resistant" // another sort next time: no cure for this one
	HoseOff     = "hose-off"
	Wipe        = "wipe"
	PruneOut    = "prune-out"
	StickyBand  = "sticky-band"
	KeepHelpers = "keep-helpers"
)

var spokenOf = []string{LeaveIt, Report, IsolatePot, LabSend, Arborist, Disinfect, Rogue, LimeSoil, PullIt, OtherSort, HoseOff, Wipe, PruneOut, StickyBand, KeepHelpers}

// Is reports whether a remedy is of a class.
func (r *Remedy) Is(class string) bool { return slices.Contains(r.Classes, class) }

// classes holds that no remedy names a class nobody knows, and that no class or
// entry that a rule speaks of has gone.
func (k *checker) classes() {
	seen := map[string]bool{}
	for _, r := range k.b.Remedies {
		k.at(r.From, "remedy", r.ID)
		for _, c := range r.Classes {
			k.word("class", c, RemedyClasses)
			seen[c] = true
		}
	}
	if len(k.b.Remedies) < 20 { // a part of a herbarium, for a test or an overlay
		return
	}
	for _, c := range RemedyClasses {
		if !seen[c] {
			k.at("remedies", "class", c)
			k.say("no remedy is of this class, which rules speak of", "give it back to the remedies it was on")
		}
	}
	for _, id := range spokenOf {
		if k.b.Remedy(id) == nil {
			k.at("remedies", "remedy", id)
			k.say("is gone, and rules speak of it", "give the entry its id back")
		}
	}
}
