package training

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/microscopy"
	"botanik/core/remedy"
)

// Choice is one answer to choose.
type Choice struct {
	ID   string `json:"id"`
	Text string `json:"text"`
}

// Question is a short form: a picture or some facts, and answers to choose from.
type Question struct {
	Kind    string   `json:"kind" enum:"plate,split,next,helper,unsafe,mix,recount,ratio"`
	Key     string   `json:"key" doc:"what is practised: kind and thing"`
	Ask     string   `json:"ask"`
	Plate   string   `json:"plate,omitempty" doc:"cause whose plate is shown"`
	Facts   []string `json:"facts"`
	Options []Choice `json:"options"`
	Right   string   `json:"right"`
	Why     string   `json:"why"`
}

// Kinds of short forms, in the order they are mixed.
var Kinds = []string{"plate", "split", "next", "helper", "unsafe", "mix", "recount", "ratio"}

// KindNames are what they are called.
var KindNames = map[string]string{"plate": "Name the plate", "split": "Split the pair", "next": "Where would you look next", "helper": "Is this a helper", "unsafe": "Spot the unsafe advice", "mix": "Mix it", "recount": "Judge the recount", "ratio": "Read the ratio"}

// Asker makes questions from a book. Safe for many goroutines.
type Asker struct{ E *differential.Engine }

// Things are what can be asked of a kind: look-alike pairs, plates, helpers, remedies.
func (a Asker) Things(kind string) []string {
	out := []string{}
	b := a.E.Base
	switch kind {
	case "plate", "next":
		for _, c := range b.Causes {
			if drawn(c) && len(c.LookAlikes) > 0 {
				out = append(out, kind+"/"+c.ID)
			}
		}
	case "split":
		for _, c := range b.Causes {
			for _, l := range c.LookAlikes {
				if k := b.Cause(l.Cause); k != nil && (c.ID < k.ID || !alike(k, c.ID)) {
					out = append(out, "split/"+c.ID+"/"+k.ID)
				}
			}
		}
	case "helper":
		for _, c := range b.Causes {
			if drawn(c) && c.Class != "no-animal" && (c.Kind == "helper" || c.Kind == "harmless" || c.Kind == "pest" && slices.ContainsFunc(c.LookAlikes, func(l knowledge.LookAlike) bool { k := b.Cause(l.Cause); return k != nil && k.Kind == "helper" })) {
				out = append(out, "helper/"+c.ID)
			}
		}
	case "unsafe":
		for _, c := range b.Causes {
			if c.Kind == "pest" || c.Kind == "disease" {
				out = append(out, "unsafe/"+c.ID)
			}
		}
	case "mix":
		for _, r := range b.Remedies {
			if len(r.Rates) > 0 && !r.Bottle && r.Rates[0].Stock == "" {
				out = append(out, "mix/"+r.ID)
			}
		}
	case "recount", "ratio":
		for i := range 12 {
			out = append(out, fmt.Sprintf("%s/%d", kind, i))
		}
	}
	return out
}

func drawn(c *knowledge.Cause) bool { return len(c.Drawing) > 0 }

func alike(c *knowledge.Cause, id string) bool {
	return slices.ContainsFunc(c.LookAlikes, func(l knowledge.LookAlike) bool { return l.Cause == id })
}

// Question asks about one of the things; false where this time nothing fair comes of it.
func (a Asker) Question(key string, r Dice) (Question, bool) {
	parts := strings.Split(key, "/")
	if len(parts) < 2 {
		return Question{}, false
	}
	q, ok := Question{}, false
	switch c := a.E.Base.Cause(parts[1]); {
	case parts[0] == "plate" && c != nil:
		q, ok = a.plate(c, r)
	case parts[0] == "split" && c != nil && len(parts) == 3:
		q, ok = a.split(c, a.E.Base.Cause(parts[2]), r)
	case parts[0] == "next" && c != nil:
		q, ok = a.next(c, r)
	case parts[0] == "helper" && c != nil:
		q, ok = a.helper(c)
	case parts[0] == "unsafe" && c != nil:
		q, ok = a.unsafe(c, r)
	case parts[0] == "mix":
		q, ok = a.mix(parts[1], r)
	case parts[0] == "recount":
		q, ok = recount(r)
	case parts[0] == "ratio":
		q, ok = ratio(r)
	}
	if q.Kind, q.Key = parts[0], key; q.Facts == nil {
		q.Facts = []string{}
	}
	return q, ok && len(q.Options) >= 2
}

func shuffled(list []Choice, r Dice) []Choice {
	out := slices.Clone(list)
	for i := len(out) - 1; i > 0; i-- {
		j := r.IntN(i + 1)
		out[i], out[j] = out[j], out[i]
	}
	return out
}

const options = 4

// plate shows a plate among its look-alikes.
func (a Asker) plate(c *knowledge.Cause, r Dice) (Question, bool) {
	list := []Choice{{c.ID, c.Name}}
	for _, l := range c.LookAlikes {
		if k := a.E.Base.Cause(l.Cause); k != nil && len(list) < options {
			list = append(list, Choice{k.ID, k.Name})
		}
	}
	for tries := 0; len(list) < options && tries < 60; tries++ {
		k := a.E.Base.Causes[r.IntN(len(a.E.Base.Causes))]
		if k.Kind == c.Kind && !slices.ContainsFunc(list, func(o Choice) bool { return o.ID == k.ID }) {
			list = append(list, Choice{k.ID, k.Name})
		}
	}
	return Question{Ask: "What is drawn here?", Plate: c.ID, Options: shuffled(list, r), Right: c.ID, Why: c.Plain}, true
}

// split asks which look tells two look-alikes apart.
func (a Asker) split(c, k *knowledge.Cause, r Dice) (Question, bool) {
	if k == nil {
		return Question{}, false
	}
	looks, err := a.E.Split([]string{c.ID, k.ID})
	if err != nil || len(looks) == 0 {
		return Question{}, false
	}
	best := looks[0]
	list := []Choice{{best.Finding, best.Name}}
	for tries := 0; len(list) < options && tries < 80; tries++ {
		f := a.E.Base.Findings[r.IntN(len(a.E.Base.Findings))]
		i := slices.IndexFunc(looks, func(l differential.SplitLook) bool { return l.Finding == f.ID })
		// What tells a third as much or more would be right as well.
		if i >= 0 && looks[i].Divergence > best.Divergence/3 || f.How == "lab" || slices.ContainsFunc(list, func(o Choice) bool { return o.ID == f.ID }) {
			continue
		}
		list = append(list, Choice{f.ID, f.Name})
	}
	why := best.Name
	if len(best.Expect) == 2 {
		why = fmt.Sprintf("%s: %s in %s, %s in %s", best.Name, said(best.Expect[0]), humanise.InSentence(c.Name), said(best.Expect[1]), humanise.InSentence(k.Name))
	}
	for _, l := range c.LookAlikes {
		if l.Cause == k.ID {
			why += ". " + strings.ToUpper(l.Split[:1]) + l.Split[1:]
		}
	}
	return Question{Ask: "Which look tells these two apart?", Facts: []string{c.Name, k.Name}, Options: shuffled(list, r), Right: best.Finding, Why: strings.TrimSuffix(why, ".") + "."}, true
}

func said(states []string) string {
	if len(states) == 0 {
		return "nothing one can rely on"
	}
	return strings.Join(states, " or ")
}

// next gives the first looks of a case and asks for the one worth most now.
func (a Asker) next(c *knowledge.Cause, r Dice) (Question, bool) {
	s := Sample{Setting: home(a.E.Base, c, r, false), Cause: c.ID}
	s.There = show(a.E.Base, func() *knowledge.Cause { return c }, r)
	looks, facts := []differential.Look{}, []string{}
	if h := a.E.Base.Host(s.Setting.Host); h != nil {
		facts = append(facts, fmt.Sprintf("%s, %s", h.Name, s.Setting.Place))
	}
	for range 2 {
		rank := a.E.Rank(s.Setting, looks)
		if len(rank.Next) == 0 {
			return Question{}, false
		}
		f := a.E.Base.Finding(rank.Next[0].Finding)
		got := s.Answer(a.E.Base, f.ID)
		saw := []string{}
		for _, l := range got {
			saw = append(saw, f.States[f.State(l.State)].Name)
		}
		looks, facts = append(looks, got...), append(facts, f.Short+": "+join(saw))
	}
	rank := a.E.Rank(s.Setting, looks)
	if rank.Stop != "" || len(rank.Next) < 2 || rank.Next[0].Bits < .2 {
		return Question{}, false
	}
	best := rank.Next[0]
	list := []Choice{{best.Finding, best.Name}}
	open := a.E.Next(s.Setting, looks, len(a.E.Base.Findings))
	for tries := 0; len(list) < options && tries < 80 && len(open) > 0; tries++ {
		n := open[r.IntN(len(open))]
		if n.Score < best.Score/3 && !slices.ContainsFunc(list, func(o Choice) bool { return o.ID == n.Finding }) {
			list = append(list, Choice{n.Finding, n.Name})
		}
	}
	leads := []string{}
	for _, k := range rank.Candidates[:min(3, len(rank.Candidates))] {
		leads = append(leads, fmt.Sprintf("%s %.0f", humanise.InSentence(k.Name), k.P*100))
	}
	return Question{Ask: "Where would you look next?", Facts: facts, Options: shuffled(list, r), Right: best.Finding, Why: fmt.Sprintf("In 100: %s. It tells %.1f bits in %.0f minutes; the others tell little of what is open.", strings.Join(leads, ", "), best.Bits, best.Minutes)}, true
}

// helper asks whether a plate is a friend.
func (a Asker) helper(c *knowledge.Cause) (Question, bool) {
	right := map[string]string{"helper": "helper", "harmless": "harmless"}[c.Kind]
	if right == "" {
		right = "pest"
	}
	return Question{Ask: "Friend, pest, or neither?", Plate: c.ID, Options: []Choice{{"helper", "a helper: leave it"}, {"pest", "a pest"}, {"harmless", "neither: it does no harm"}}, Right: right, Why: c.Name + ". " + c.Plain}, true
}

// unsafe puts one remedy that must not be used among some that may, on a plant with a cat, a
// pond or open flowers.
func (a Asker) unsafe(c *knowledge.Cause, r Dice) (Question, bool) {
	set := home(a.E.Base, c, r, false)
	h := a.E.Base.Host(set.Host)
	if h == nil {
		return Question{}, false
	}
	sit := remedy.Situation{Host: h.ID, Place: set.Place, Date: fmt.Sprintf("2026-%02d-15", set.Month), InBloom: r.IntN(2) == 0 && h.BeeVisited, Cat: r.IntN(3) == 0, Pond: r.IntN(3) == 0, Pressure: "moderate"}
	adv, err := remedy.Advise(a.E.Base, c.ID, sit)
	if err != nil {
		return Question{}, false
	}
	var bad []remedy.Offer
	list := []Choice{}
	for _, o := range adv.Offers {
		switch {
		case o.Status == "no" && (o.Not == "harms" || o.Not == "not allowed") && o.Kind == "product":
			bad = append(bad, o)
		case o.Status == "go" && o.Open && len(list) < options-1:
			list = append(list, Choice{o.Remedy, o.Name})
		}
	}
	if len(bad) == 0 || len(list) < 2 {
		return Question{}, false
	}
	x := bad[r.IntN(len(bad))]
	facts := []string{c.Name + " on " + humanise.InSentence(h.Name) + ", " + set.Place}
	for _, f := range []struct {
		is   bool
		text string
	}{{sit.InBloom, "in flower"}, {sit.Cat, "a cat lives there"}, {sit.Pond, "a pond near by"}} {
		if f.is {
			facts = append(facts, f.text)
		}
	}
	why := x.Name + " must not be used here."
	if len(x.Reasons) > 0 {
		why += " " + x.Reasons[0].Text
	}
	return Question{Ask: "Which of these must not be advised?", Facts: facts, Options: shuffled(append(list, Choice{x.Remedy, x.Name}), r), Right: x.Remedy, Why: why}, true
}

// mix asks for an amount in the grower's own sprayer.
func (a Asker) mix(id string, r Dice) (Question, bool) {
	k := a.E.Base.Remedy(id)
	if k == nil || len(k.Rates) == 0 {
		return Question{}, false
	}
	volume := []string{"500 mL", "1 L", "2 L", "5 L"}[r.IntN(4)]
	m, err := dosage.Blend(a.E.Base, remedy.House{}, dosage.MixInput{Remedy: id, Use: "middle", Volume: volume, Sprayer: volume, Spoons: "metric"})
	if err != nil || len(m.Plan.Tanks) != 1 || len(m.Plan.Tanks[0].Doses) == 0 {
		return Question{}, false
	}
	d := m.Plan.Tanks[0].Doses[0]
	if d.Amount < .5 {
		return Question{}, false
	}
	list := []Choice{}
	for _, by := range []float64{1, 10, .1, 4} {
		list = append(list, Choice{strconv.FormatFloat(by, 'g', -1, 64), fmt.Sprintf("%s %s", strconv.FormatFloat(d.Amount*by, 'g', 4, 64), d.Unit)})
	}
	return Question{Ask: fmt.Sprintf("How much %s goes into %s of finished mix?", humanise.InSentence(d.Name), volume), Facts: []string{"label: " + m.Use + " (the middle of its range)"}, Options: shuffled(list, r), Right: "1", Why: fmt.Sprintf("%s of %s. More is not better: stronger burns leaves and leaves residues.", d.Text, m.Use)}, true
}

// recount asks what two counts say.
func recount(r Dice) (Question, bool) {
	before, after := []int{}, []int{}
	keep := []float64{.05, .35, .9, 1.6}[r.IntN(4)]
	for range 8 {
		n := 4 + r.IntN(22)
		before, after = append(before, n), append(after, int(float64(n)*keep*(.5+r.Float64())))
	}
	res, err := casework.EstimateEfficacy(casework.Recount{BeforeCounts: before, AfterCounts: after, Units: len(before)})
	if err != nil {
		return Question{}, false
	}
	list := []Choice{}
	for _, w := range []string{"better", "no change", "worse", "cannot tell"} {
		list = append(list, Choice{w, w})
	}
	if !slices.ContainsFunc(list, func(o Choice) bool { return o.ID == res.Word }) {
		return Question{}, false
	}
	return Question{Ask: "Eight leaves before and after. What do the counts say?", Facts: []string{"before: " + numbers(before), "after: " + numbers(after)}, Options: list, Right: res.Word, Why: res.Text}, true
}

func numbers(list []int) string {
	out := []string{}
	for _, n := range list {
		out = append(out, strconv.Itoa(n))
	}
	return strings.Join(out, ", ")
}

// ratio asks whether a measured ratio lies above a line of the key, or too near to tell.
func ratio(r Dice) (Question, bool) {
	of := []float64{.75, .97, 1.04, 1.35}[r.IntN(4)]
	a, b := []float64{}, []float64{}
	for range 4 {
		x := 30 + 10*r.Float64()
		b = append(b, float64(int(x*10))/10)
		a = append(a, float64(int(x*of*(1+.04*(r.Float64()-.5))*10))/10)
	}
	m, err := microscopy.Compare(microscopy.RatioRequest{A: a, B: b, Line: 1})
	if err != nil {
		return Question{}, false
	}
	right := "near"
	switch {
	case m.Low > 1:
		right = "above"
	case m.High < 1:
		right = "below"
	}
	return Question{Ask: "The key asks whether the first is longer than the second. What do four readings say?", Facts: []string{"first: " + decimals(a) + " divisions", "second: " + decimals(b) + " divisions"}, Options: []Choice{{"above", "longer"}, {"below", "shorter"}, {"near", "too near to tell: measure again"}}, Right: right, Why: fmt.Sprintf("The ratio is %.2f, and with 95 in 100 between %.2f and %.2f.", m.Ratio, m.Low, m.High)}, true
}

func decimals(list []float64) string {
	out := []string{}
	for _, n := range list {
		out = append(out, strconv.FormatFloat(n, 'f', 1, 64))
	}
	return strings.Join(out, ", ")
}
