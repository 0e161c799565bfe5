package handout

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/internal/casefile"
	"botanik/internal/settings"
)

// sureWords says how sure the desk is, without jargon.
var sureWords = map[string]string{
	"settled":      "We are sure of this.",
	"group":        "We are sure of the group; which kind of it makes no difference to what to do.",
	"working":      "This is most likely; we were not able to be quite sure.",
	"open":         "This is our best guess; other things are possible.",
	"undetermined": "We could not tell what this is.",
}

// ours is where the herbarium that ships with the program is read from.
const ours = "herbarium/"

// LookingAgain is said on a grower's page when the desk has taken the case up
// again since.
const LookingAgain = "We are looking at your plant once more. Ask us before the next treatment; this is the page of last time."

// writer holds what the sentences are made from.
type writer struct {
	b    *knowledge.Base
	m    settings.Moment
	sit  remedy.Situation
	d    *casefile.Doc
	r    *casefile.Round
	day  civil.Day
	out  casefile.Sheet
	said map[string]string // answers that hold where good advisors disagree
}

// Write makes the page of a case whose verdict is there, as it would be handed
// over at a moment, or as of its hand-over. left is what was seen for sure and the verdict
// does not explain: while something is, the page does not say that the desk is sure.
func Write(b *knowledge.Base, m settings.Moment, sit remedy.Situation, number string, d *casefile.Doc, left []string) casefile.Sheet {
	w := &writer{b: b, m: m, sit: sit, d: d, r: d.Now(), day: m.Today, said: map[string]string{}}
	for _, x := range remedy.Schools(b, sit) {
		w.said[x.School] = x.Option
	}
	if h := w.r.Handover; h != nil {
		w.day = civil.Of(h.At, m.Clock)
	}
	w.out = casefile.Sheet{Number: number, Desk: m.Name, Place: m.Place, Reach: m.Reach, Date: w.day.Long(), Plant: d.Intake.Plant, Grower: d.Intake.Grower, Sure: sureWords[d.Verdict.Degree], Advisor: d.Verdict.By, Always: remedy.Always, Why: []string{}, LookFor: []string{}, Steps: []casefile.SheetStep{}, Days: []string{}, MustNot: []string{}, Together: []string{}, Amounts: []string{}, Handed: w.r.Handover != nil}
	if by := d.Verdict.ReviewedBy; by != "" {
		w.out.Advisor += ", agreed by " + by
	}
	if w.r.Handover != nil {
		w.out.Token = w.r.Handover.Token
	}
	if d.AskOn != "" {
		w.out.AskOn, w.out.AskDay = w.spoken(d.AskOn), d.AskOn
	}
	k := b.Cause(d.Verdict.Cause)
	if k == nil {
		w.unknown()
		return w.out
	}
	w.named(k)
	w.besides()
	w.unexplained(left)
	if k.Regulated != "" {
		w.out.Refer = "Call: " + m.Authority + ". " + sentence(k.Regulated)
		w.out.Steps = append(w.out.Steps, w.step(knowledge.Report))
		return w.out
	}
	w.signs(k)
	w.treatment(k)
	w.amounts()
	return w.out
}

func (w *writer) unknown() {
	w.out.Title = "Not yet known"
	w.out.What = "What you brought does not fit anything we know well enough to name. Guessing would not help you, so it is sent on to people who can tell."
	w.out.Refer = "It goes to: " + w.m.Lab + "."
	if p := w.d.Intake.Place; p == "indoors" || p == "greenhouse" || p == "balcony" {
		w.out.Steps = append(w.out.Steps, w.step(knowledge.IsolatePot))
	}
	w.out.Steps = append(w.out.Steps, w.step(knowledge.LabSend))
	w.out.MustNot = append(w.out.MustNot, "Spray nothing until you have heard from us.")
}

func (w *writer) named(k *knowledge.Cause) {
	w.out.First = k.Danger
	if strings.HasPrefix(k.From, ours) { // a desk's own causes are drawn on its screens only
		w.out.Drawing = k.ID
	}
	w.out.Bring = bring(k)
	w.out.Title, w.out.What, w.out.Why, w.out.Recovers = k.Name, k.Plain, k.Why, k.Recovers
	w.out.Disposal = remedy.Disposal(k, w.said["infected-leaves"])
	for _, m := range k.MustNot {
		w.out.MustNot = append(w.out.MustNot, sentence(m.What)+": "+m.Why+".")
	}
}

// besides tells of a second trouble on the same plant: its name, what it is, what is done
// about it by hand, and what it must not get.
func (w *writer) besides() {
	also := w.b.Cause(w.d.Verdict.Also)
	if also == nil {
		return
	}
	x := casefile.SheetBesides{Title: also.Name, What: also.Plain, Steps: []casefile.SheetStep{}}
	do, refer := remedy.SecondPlan(w.b, w.sit)
	if refer != "" {
		x.Refer = "Call: " + w.m.Authority + ". " + sentence(refer)
	}
	for _, o := range do {
		x.Steps = append(x.Steps, w.stepFor(also, o.Remedy))
	}
	w.out.Besides = &x
	w.out.First = strings.TrimSpace(w.out.First + " " + also.Danger) // of both: people first
	for _, m := range also.MustNot {
		if m.Does != "" { // what only does nothing there may still be right for the first
			continue
		}
		w.out.MustNot = append(w.out.MustNot, sentence(m.What)+" ("+humanise.InSentence(also.Name)+"): "+m.Why+".")
	}
}

// unexplained says what is left over; nobody is sure while something is.
func (w *writer) unexplained(left []string) {
	if len(left) == 0 {
		return
	}
	if slices.Contains(differential.SureDegrees, w.d.Verdict.Degree) {
		w.out.Sure = sureWords[differential.Working]
	}
	w.out.LookFor = append(w.out.LookFor, "Not explained yet: "+strings.Join(left, "; ")+". Tell us if there is more of it.")
}

// bring is what to bring or say when it is asked how it went: a suspect stays where it
// is, and of what does no harm nobody counts.
func bring(k *knowledge.Cause) string {
	switch {
	case k.Regulated != "" || k.Kind == "helper" || k.Kind == "harmless":
		return ""
	case k.Kind == "pest":
		return "Bring or send then: how many are left on the leaves you look at, or a fresh piece in a closed bag, with the number above."
	}
	return "Bring or send then: how the newest growth looks, or a fresh piece of it in a closed bag, with the number above."
}

func (w *writer) signs(k *knowledge.Cause) {
	for _, sign := range k.Confirms {
		f := w.b.Finding(sign.Finding)
		if f == nil {
			continue
		}
		for _, st := range sign.States {
			state := f.States[f.State(st)]
			line := cmp.Or(state.Said, f.Short+": "+state.Name)
			if strings.HasPrefix(line, "it ") { // of what, stands in the line it was looked up in
				line = f.Name + ": " + line
			}
			w.out.LookFor = append(w.out.LookFor, sentence(line))
		}
	}
}

func (w *writer) treatment(k *knowledge.Cause) {
	if t := w.r.Treatment; t != nil {
		a, err := remedy.Advise(w.b, k.ID, w.sit)
		if err != nil {
			a = remedy.Advice{}
		}
		onDays := remedy.Repeated(w.b, t.Remedies) // its hour and rhythm stand with the days
		for _, id := range t.Remedies {
			step := w.stepFor(k, id)
			if r := w.b.Remedy(id); r != nil && (w.r.Days == nil || r != onDays) {
				step.Hour, step.Again = remedy.HourOf(w.b, k, r, w.sit), remedy.RhythmOf(r, w.m.Rules)
				if w.r.Days != nil && slices.ContainsFunc(w.r.Days.Beside, func(x casefile.BesideDays) bool { return x.Remedy == id }) {
					step.Again = "" // its days stand with the others
				}
			}
			if id == knowledge.LeaveIt {
				step.When = w.waiting()
			}
			step.Cautions = append(w.gates(a, id), step.Cautions...)
			w.out.Steps = append(w.out.Steps, step)
		}
		w.out.Together = remedy.Combine(w.b, k, w.sit, t.Remedies)
		w.out.Next = w.next(k, a, t.Remedies)
		if t.Note != "" {
			w.out.Steps = append(w.out.Steps, casefile.SheetStep{Name: "From your advisor", How: []string{t.Note}, Cautions: []string{}, Wear: []string{}})
		}
	}
	w.days(k)
}

// waiting is why nothing is put on now, by what was decided; empty when nobody said.
func (w *writer) waiting() string {
	if w.r.Act == nil {
		return ""
	}
	switch w.r.Act.Word {
	case "leave":
		return "There are few, and the plant bears them."
	case "watch":
		return "Nothing is put on yet: a second count in a week tells whether it grows."
	case "spring":
		if ask, err := civil.Parse(w.d.AskOn); err == nil {
			return "What is sprayed now hardly reaches it. Its young come out in " + ask.Month().String() + ": that is when it can be caught."
		}
		return "What is sprayed now hardly reaches it. It can be caught when its young come out."
	case "back":
		return "Nothing is put on before it is known what it is: bring a fresh piece at once."
	case "save":
		return "It will recover by itself when it is cared for."
	}
	return ""
}

func (w *writer) amounts() {
	if m := w.r.Mix; m != nil {
		times := max(1, m.Treatments)
		if d, t := w.r.Days, w.r.Treatment; d != nil && t != nil {
			if r := remedy.Repeated(w.b, t.Remedies); r != nil && r.ID == m.Remedy {
				times = max(times, len(d.On))
			}
		}
		w.out.Mix = sheetMix(w.b.Remedy(m.Remedy), m, times)
	}
	for _, d := range w.r.Doses {
		line := fmt.Sprintf("%s: %s (%s would be the range here)", w.b.Remedy(d.Remedy).Name, d.Placed.Text, d.Placed.Range)
		w.out.Amounts = append(w.out.Amounts, append([]string{line}, d.Placed.Lines...)...)
	}
}

// spoken says a day that was written down, with its year when that is another
// than the page's.
func (w *writer) spoken(iso string) string {
	d, err := civil.Parse(iso)
	if err != nil {
		return iso
	}
	return d.Spoken(w.day)
}

func sentence(s string) string {
	if s == "" {
		return ""
	}
	return strings.ToUpper(s[:1]) + s[1:]
}

func (w *writer) step(id string) casefile.SheetStep {
	r := w.b.Remedy(id)
	if r == nil {
		return casefile.SheetStep{Name: id, How: []string{}, Cautions: []string{}, Wear: []string{}}
	}
	wear := r.Wear
	if wear == nil {
		wear = []string{}
	}
	return casefile.SheetStep{Name: r.Name, How: r.How, Cautions: r.Cautions, Wear: wear, Storage: r.Storage}
}

// stepFor is a step of a treatment, with the condition its cause puts on it.
func (w *writer) stepFor(k *knowledge.Cause, id string) casefile.SheetStep {
	out := w.step(id)
	for _, a := range k.Actions {
		if a.Remedy != id {
			continue
		}
		if a.When != "" {
			out.When = sentence(a.When) + "."
		}
		if a.How != "" {
			if w.b.Remedy(id).Yields {
				out.How = nil
			}
			out.How = append([]string{sentence(a.How) + "."}, out.How...)
		}
	}
	return out
}

// sheetMix is a kept mix in words; what to buy is for so many treatments.
func sheetMix(r *knowledge.Remedy, m *casefile.KeptMix, treatments int) *casefile.SheetMix {
	product := r.Product()
	for _, p := range m.Plan.Buy {
		if p.Name != product {
			product += " with " + humanise.InSentence(p.Name)
		}
	}
	notes := []string{"Mix only what you use today; label what you mix; never in a drink bottle."}
	if stock := cmp.Or(m.Stock, stockOf(r, m.Rate)); stock != "" {
		notes = append(notes, "Reckoned for a bottle of "+stock+": read the strength on yours, another one needs another amount.")
	}
	out := &casefile.SheetMix{Product: product, Order: m.Plan.Order, Notes: append(notes, m.Plan.Warnings...), Lines: []string{}, Buy: []string{}}
	out.Vessel, out.Fills = m.Plan.Vessel, fills(m.Plan)
	for _, t := range m.Plan.Tanks {
		for _, d := range t.Doses {
			out.Lines = append(out.Lines, measured(t, d))
		}
	}
	for _, b := range m.Plan.Buy {
		amount, times := b.Text, "one treatment"
		if treatments > 1 {
			times = fmt.Sprintf("all %d treatments", treatments)
			amount = fmt.Sprintf("%g %s", math.Ceil(b.Amount*float64(treatments)/float64(max(1, m.Treatments))), b.Unit)
		}
		out.Buy = append(out.Buy, fmt.Sprintf("%s of %s for %s", amount, humanise.InSentence(b.Name), times))
	}
	return out
}

// stockOf is the strength of the bottle that a rate is reckoned from, empty when it is
// from none.
func stockOf(r *knowledge.Remedy, rate string) string {
	for _, x := range r.Rates {
		if x.ID == rate {
			return x.Stock
		}
	}
	return ""
}

// spoonWords name the spoons of each kitchen world.
var spoonWords = map[string]string{"metric": "5 mL teaspoon, 15 mL tablespoon", "us": "US spoons", "imperial": "Imperial spoons", "au": "5 mL teaspoon, 20 mL tablespoon"}

// measured says one part of one tank, in spoons where they reach the label's low.
func measured(t mix.Tank, d mix.Dose) string {
	of := ""
	if len(t.Doses) > 1 {
		of = " of " + humanise.InSentence(d.Name)
	}
	line := fmt.Sprintf("%s%s into %s of finished mix", d.Text, of, t.Text)
	if of == "" {
		line += " (with " + t.WaterTx + " of water)"
	}
	if d.Spoons != nil && d.Spoons.Text != "" && !d.Spoons.BelowLow {
		line = fmt.Sprintf("%s%s (%s; %s) into %s of finished mix", d.Spoons.Text, of, d.Text, spoonWords[d.Spoons.World], t.Text)
	}
	if t.Count > 1 {
		line += fmt.Sprintf(", %d times", t.Count)
	}
	return line
}
