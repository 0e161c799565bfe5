package handout

import (
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/casefile"
)

// days is the table of days: the patch test, each treatment with what goes into one
// filling, and when it may be picked.
func (w *writer) days(k *knowledge.Cause) {
	d, t := w.r.Days, w.r.Treatment
	if d == nil || t == nil {
		return
	}
	r := remedy.Repeated(w.b, t.Remedies)
	if r == nil {
		return
	}
	w.out.Hour = remedy.HourOf(w.b, k, r, w.sit)
	if d.Test != "" {
		w.out.Table = append(w.out.Table, casefile.SheetDay{Day: w.spoken(d.Test), On: d.Test, What: "Patch test: three leaves. Go on only if they are unmarked two days later."})
	}
	much := ""
	if m := w.r.Mix; m != nil && m.Remedy == r.ID {
		lines := []string{}
		for _, tank := range m.Plan.Tanks {
			for _, dose := range tank.Doses {
				lines = append(lines, measured(tank, dose))
			}
		}
		much = strings.Join(lines, "; ")
	}
	for _, x := range d.Beside {
		with := casefile.SheetWith{What: x.Name, Days: []string{}, On: x.On, Why: x.Why}
		for _, on := range x.On {
			if day, err := civil.Parse(on); err == nil {
				with.Days = append(with.Days, day.Brief())
			}
		}
		w.out.Beside = append(w.out.Beside, with)
	}
	last := ""
	for i, on := range d.On {
		if i == 1 && much != "" {
			much = "as much as before"
		}
		w.out.Days = append(w.out.Days, w.spoken(on))
		w.out.Table = append(w.out.Table, casefile.SheetDay{Day: w.spoken(on), On: on, What: r.Name, Much: much})
		last = on
	}
	lim := remedy.LimitsOf(r, w.m.Rules)
	if day, err := civil.Parse(last); err == nil && lim.PreHarvest > 0 && w.sit.Eaten(w.b) {
		w.out.NotUntil = day.Add(lim.PreHarvest).Spoken(w.day)
	}
}

// heard are the gates whose sentences a grower has to hear as well.
var heard = []string{"law", "food", "bloom", "host", "pets", "children", "water", "indoors", "temperature"}

// gates are what the ladder said of a remedy beside its go: the law, the crop on the
// label, the cat in the room.
func (w *writer) gates(a remedy.Advice, id string) []string {
	out := []string{}
	for _, o := range a.Offers {
		if o.Remedy != id {
			continue
		}
		for _, r := range o.Reasons {
			if r.Status == remedy.Care && slices.Contains(heard, r.Gate) {
				out = append(out, r.Text)
			}
		}
	}
	return out
}

// mostNext keeps the page to one sheet.
const mostNext = 3

// next is what keeps it from coming back, of what the ladder does not forbid here.
func (w *writer) next(k *knowledge.Cause, a remedy.Advice, chosen []string) []string {
	var out []string
	for _, o := range a.Offers {
		if !o.Meant || !o.Prevents || o.Status == remedy.No || slices.Contains(chosen, o.Remedy) || len(out) == mostNext {
			continue
		}
		step := w.stepFor(k, o.Remedy)
		line := step.Name + "."
		if step.When != "" {
			line += " " + step.When
		}
		out = append(out, strings.TrimSpace(line+" "+step.How[0]))
	}
	return out
}
