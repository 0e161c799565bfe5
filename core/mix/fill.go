package mix

import (
	"botanik/core/humanise"
	"math/big"
	"sort"
)

// way is how a mix is put on: it decides the vessel, what goes in first, and what is
// said at the end.
type way struct {
	vessel   string
	stir     string // after the last drop of water
	use      string // while it is put on
	waterEnd bool   // water comes last, after all parts
}

var ways = map[string]way{
	"":       spraying,
	"spray":  spraying,
	"drench": {"watering can", "Fill up with water to the line and stir.", "Stir again before each pot; pour slowly, until a little runs out below.", false},
	"dab":    {"jar", "Add the water, close the lid and turn it over once.", "Dip a cotton bud; keep the lid on between, and no flame near.", true},
	"wipe":   {"bowl", "Fill up with water to the line and stir.", "Wring the cloth until it no longer drips; hold each leaf from below and wipe both sides; a clean side of the cloth for each plant.", false},
	"wick":   {"jar", "Fill up with water to the line and stir.", "Dip a soft brush or a wick, strip it off on the rim, and stroke it on only where the pest or the rot sits, from below upwards.", false},
}

// Ways are the words for how a mix is put on.
var Ways = []string{"spray", "drench", "dab", "wipe", "wick"}

var spraying = way{"sprayer", "Fill up with water to the line, close, and shake.", "Shake again every few minutes while spraying.", false}

// inOrder puts the parts in the order they are added: what emulsifies first, then
// powders, liquids, oil, alcohol, and soap last, gently; a soap that has to carry an
// oil goes in before it.
func inOrder(parts []part) {
	carries := func(f string) bool {
		for _, p := range parts {
			if p.Form == f {
				return true
			}
		}
		return false
	}
	first := carries("oil") && !carries("emulsifier")
	at := func(p part) int {
		if p.Form == "soap" && first {
			return formOrder["emulsifier"]
		}
		return formOrder[p.Form]
	}
	sort.SliceStable(parts, func(i, j int) bool { return at(parts[i]) < at(parts[j]) })
}

func fill(v *big.Rat, world string, say tongue, how way, parts []part) (Tank, tankRat) {
	water := new(big.Rat).Set(v)
	t := Tank{Volume: float(v), Text: say.volume(v), Doses: []Dose{}}
	ex := tankRat{volume: v}
	for _, p := range parts {
		amount := new(big.Rat).Mul(v, p.rate.Fraction)
		if p.rate.Dim == Volume {
			water.Sub(water, amount)
		}
		d := dose(p, amount, world, say)
		if d.Spoons != nil && p.low != nil {
			d.Spoons.BelowLow = d.Spoons.Text != "" && ratOf(d.Spoons.Ml).Cmp(new(big.Rat).Mul(v, p.low.Fraction)) < 0
		}
		t.Doses = append(t.Doses, d)
		ex.doses = append(ex.doses, amount)
	}
	ex.water = water
	t.Water, t.WaterTx = float(water), say.volume(water)
	t.Steps = how.steps(v, water, parts, t.Doses, say)
	return t, ex
}

// steps: water to the first line, each part in its order, water to the line. The
// first line is half, or a quarter where an emulsifier has to be stirred milky first;
// never more than the water there is. What is dabbed is poured before its water, and
// what foams goes in after all of it.
func (w way) steps(v, water *big.Rat, parts []part, doses []Dose, say tongue) []FillStep {
	foams := w.foams(parts)
	part1 := big.NewRat(1, 2)
	if w.quarter(parts) {
		part1 = big.NewRat(1, 4)
	}
	first := new(big.Rat).Mul(v, part1)
	if first.Cmp(water) > 0 {
		first.Set(water)
	}
	switch {
	case w.waterEnd:
		first = new(big.Rat)
	case foams && len(parts) == 1:
		first.Set(water)
	}
	level := new(big.Rat).Set(first)
	out := []FillStep{}
	under := func(ml *big.Rat) FillStep {
		return FillStep{"water", "water", say.volume(ml) + " of water, to just under the line of " + say.volume(v), float(ml)}
	}
	switch {
	case foams && len(parts) == 1:
		out = append(out, under(first))
	case first.Sign() > 0:
		out = append(out, FillStep{"water", "water", say.volume(first) + " of water, to the first line", float(level)})
	}
	for i, p := range parts {
		if foams && i > 0 && i == len(parts)-1 {
			level = new(big.Rat).Sub(v, new(big.Rat).Mul(v, p.rate.Fraction))
			out = append(out, under(level))
			out[len(out)-1].Text = "water to just under the line: " + say.volume(level) + " in all"
		}
		if p.rate.Dim == Volume {
			level = new(big.Rat).Add(level, new(big.Rat).Mul(v, p.rate.Fraction))
		}
		out = append(out, FillStep{p.Name, p.Form, doses[i].Text + " of " + humanise.InSentence(p.Name), float(level)})
	}
	if rest := new(big.Rat).Sub(v, level); rest.Sign() > 0 {
		out = append(out, FillStep{"water", "water", "water up to the line of " + say.volume(v), float(v)})
	}
	return out
}

func (w way) quarter(parts []part) bool {
	return len(parts) > 0 && (parts[0].Form == "emulsifier" || parts[0].Form == "soap" && len(parts) > 1)
}

// foams says whether soap is what goes in last: with water poured on it, it foams over.
func (w way) foams(parts []part) bool {
	return len(parts) > 0 && parts[len(parts)-1].Form == "soap" && parts[len(parts)-1].rate.Dim == Volume && !w.waterEnd && !w.quarter(parts)
}

// order says in words what the steps do.
func (w way) order(parts []part) []string {
	out := []string{"Half fill the " + w.vessel + " with water."}
	foams := w.foams(parts)
	switch {
	case w.waterEnd:
		out = nil
	case foams && len(parts) == 1:
		out[0] = "Fill the " + w.vessel + " with water to just under the line."
	case w.quarter(parts):
		out[0] = "Fill a quarter of the " + w.vessel + " with lukewarm water."
	}
	for i, p := range parts {
		s := "Add the " + humanise.InSentence(p.Name)
		if w.waterEnd && i == 0 {
			s = "Pour the " + humanise.InSentence(p.Name) + " into a small " + w.vessel + " with a lid"
		}
		switch {
		case p.Form == "powder":
			s += ", stirred to a paste in a little water first"
		case p.Form == "oil":
			s += ", shaking until it is milky"
		case p.Form == "soap" && i < len(parts)-1:
			s += " and stir it in: it carries the oil"
		case foams && i == len(parts)-1:
			if i > 0 {
				out = append(out, "Fill up with water to just under the line.")
			}
			s += " last, gently: with water poured on it, it foams over"
		case p.Form == "soap":
			s += " last, gently, so that it does not foam over"
		}
		out = append(out, s+".")
	}
	if foams && w.vessel == "sprayer" {
		return append(out, "Close and turn it over slowly a few times; a hard shake makes foam.", "Turn it over again every few minutes while spraying.")
	}
	if foams {
		return append(out, "Stir slowly.", w.use)
	}
	return append(out, w.stir, w.use)
}
