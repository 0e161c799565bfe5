package remedy

import (
	"cmp"
	"fmt"
	"maps"
	"slices"
	"strings"
	"time"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/sprayday"
	"botanik/core/weather"
)

// WinterAsk is a plant that drops its leaves, what troubled it last year, and what of the
// winter sprays is meant to be used.
type WinterAsk struct {
	Causes    []string  // what was bad last year, one to three
	Situation Situation // host, place, house, what was given; BadYear says how last year was
	Climate   string    // one of knowledge.Climates, empty when not said
	Materials []string  // ids of remedies; the program's choice when empty
	Today     civil.Day
}

// WinterPlan is a dormant programme: whether last year deserves one, what is cleaned up
// first, which sprays in which weeks.
type WinterPlan struct {
	Winter    sprayday.Winter  `json:"winter"`
	Source    string           `json:"source" doc:"where the dates of the winter are from"`
	Phase     string           `json:"phase" doc:"what the plant is in today, by those dates"`
	Deserved  bool             `json:"deserved"`
	Why       []string         `json:"why" doc:"why a programme, or why none"`
	Tasks     []WinterTask     `json:"tasks" doc:"before anything is sprayed"`
	Materials []WinterMaterial `json:"materials" doc:"every winter spray the book has against it, and why one is not used"`
	Sprays    []WinterSpray    `json:"sprays" doc:"in order of time"`
	Rules     []string         `json:"rules" doc:"what holds between them"`
	Always    []string         `json:"always"`
}

// WinterTask is done by hand.
type WinterTask struct {
	Name string   `json:"name"`
	How  []string `json:"how"`
}

// WinterMaterial is one winter spray.
type WinterMaterial struct {
	Remedy  string   `json:"remedy"`
	Name    string   `json:"name"`
	Against []string `json:"against"`
	Worth   string   `json:"worth" enum:"good,fair,some"`
	Status  Status   `json:"status"`
	Reasons []Reason `json:"reasons"`
	Chosen  bool     `json:"chosen"`

	class string
	fall  bool // its time is leaf fall
}

// WinterSpray is one treatment and the weeks it falls in.
type WinterSpray struct {
	Remedy   string             `json:"remedy"`
	Name     string             `json:"name"`
	When     string             `json:"when" doc:"at leaf fall, in the rest, before the buds swell"`
	From     civil.Day          `json:"from"`
	To       civil.Day          `json:"to"`
	On       *sprayday.WorkDay  `json:"on,omitempty" doc:"the first day the forecast has fit for it"`
	Others   []sprayday.WorkDay `json:"others" doc:"more such days, at most three"`
	Says     string             `json:"says" doc:"why that day, or why none yet"`
	LookOn   civil.Day          `json:"lookOn,omitzero" doc:"when to look at the weather again, where no day is fit yet"`
	Wear     []string           `json:"wear"`
	Cautions []string           `json:"cautions"`

	class string
}

// Weather of a winter spray, whatever a bottle allows beyond it (domain practice).
const (
	winterColdest = 4.
	winterWarmest = 21.
	winterLies    = 24. // hours it has to lie before rain
	beforeSwell   = 21  // days
	afterBare     = 14
	mostWinter    = 3 // causes asked about at once
	winterLooks   = 7 // days
)

var winterClasses = []string{knowledge.ClassWinter, knowledge.ClassLime, knowledge.ClassCopper}

// PlanWinter works a dormant programme out, without its days. Errors name causes, host,
// climate or materials.
func PlanWinter(b *knowledge.Base, ask WinterAsk) (WinterPlan, error) {
	h := b.Host(ask.Situation.Host)
	switch {
	case len(ask.Causes) == 0 || len(ask.Causes) > mostWinter:
		return WinterPlan{}, fault.New("causes", "are none, or more than three", "name what was bad on the plant last year")
	case h == nil:
		return WinterPlan{}, fault.New("host", "is not a plant of the herbarium", "use an id from kb list hosts")
	case !h.Dormant:
		return WinterPlan{}, fault.New("host", h.Name+" keeps its leaves in winter; a winter spray would burn them", "choose a plant that drops its leaves")
	case Sheltered(ask.Situation.Place):
		return WinterPlan{}, fault.New("place", "winter sprays are for outdoors", "leave the place out, or say garden, orchard or balcony")
	}
	w, rule, ok := b.WinterOf(ask.Climate, ask.Situation.South, ask.Today)
	if !ok {
		return WinterPlan{}, fault.New("climate", fmt.Sprintf("where the climate is %q nothing rests in winter", ask.Climate), "plan by what is seen on the plant")
	}
	out := WinterPlan{Winter: w, Source: rule.Source, Phase: w.Phase(ask.Today), Why: []string{}, Tasks: []WinterTask{}, Materials: []WinterMaterial{}, Sprays: []WinterSpray{}, Rules: []string{}, Always: Always}
	s := ask.Situation
	s.Dormant, s.TempC, s.TempUnknown, s.Sun, s.InBloom = true, nil, false, false, false
	rest := w.Bare.Add(afterBare)
	if ask.Today.After(rest) {
		rest = ask.Today
	}
	s.Date = rest.String()
	for _, id := range ask.Causes {
		a, err := Advise(b, id, s)
		if err != nil {
			return WinterPlan{}, fault.Rename(err, func(f fault.Fault) fault.Fault {
				if f.Field == "cause" {
					f.Field = "causes"
				}
				return f
			})
		}
		if a.Refer != "" {
			out.Why = append(out.Why, a.Refer+": it goes to the authority, and is not sprayed at home.")
			continue
		}
		out.collect(b, b.Cause(id), a)
	}
	slices.SortStableFunc(out.Materials, func(x, y WinterMaterial) int {
		return cmp.Or(cmp.Compare(severity[x.Status], severity[y.Status]), cmp.Compare(len(y.Against), len(x.Against)), cmp.Compare(worthOrder[y.Worth], worthOrder[x.Worth]), cmp.Compare(b.Remedy(x.Remedy).Hazards.Sum(), b.Remedy(y.Remedy).Hazards.Sum()))
	})
	if out.eligible(b, s); !out.Deserved {
		return out, nil
	}
	if err := out.choose(b, s, ask.Materials); err != nil {
		return WinterPlan{}, err
	}
	out.lay(b, s)
	return out, nil
}

// collect takes the tasks and the winter sprays of one cause's ladder.
func (p *WinterPlan) collect(b *knowledge.Base, c *knowledge.Cause, a Advice) {
	for _, o := range a.Offers {
		r := b.Remedy(o.Remedy)
		class := winterClass(r)
		switch {
		case r.WinterTask && (o.Meant || c.Kind == "disease" && slices.Contains(afterDisease, r.ID)) && o.Status != No && !slices.ContainsFunc(p.Tasks, func(t WinterTask) bool { return t.Name == o.Name }):
			p.Tasks = append(p.Tasks, WinterTask{o.Name, r.How})
		case !o.Meant:
		case class != "" && inWinter(r, c):
			act, _ := (&gateInput{b: b, c: c, r: r}).action()
			fall := act.Only != nil && slices.Contains(act.Only.Phase, "leaf fall")
			if i := slices.IndexFunc(p.Materials, func(m WinterMaterial) bool { return m.Remedy == r.ID }); i >= 0 {
				p.Materials[i].Against = append(p.Materials[i].Against, c.Name)
				p.Materials[i].fall = p.Materials[i].fall || fall
				continue
			}
			p.Materials = append(p.Materials, WinterMaterial{Remedy: r.ID, Name: r.Name, Against: []string{c.Name}, Worth: o.Efficacy, Status: o.Status, Reasons: o.Reasons, class: class, fall: fall})
		}
	}
}

// afterDisease is what is cleaned up after any disease of leaves or wood, whatever else is
// done against it.
var afterDisease = []string{"clear-leaves", "disinfect"}

func winterClass(r *knowledge.Remedy) string {
	for _, class := range winterClasses {
		if r != nil && r.Is(class) {
			return class
		}
	}
	return ""
}

// HasWinter reports whether the book has a winter spray against a cause.
func HasWinter(b *knowledge.Base, c *knowledge.Cause) bool {
	return c.Regulated == "" && slices.ContainsFunc(c.Actions, func(a knowledge.Action) bool {
		r := b.Remedy(a.Remedy)
		return winterClass(r) != "" && inWinter(r, c)
	})
}

// inWinter reports whether a cause has a remedy for the rest of the plant, and not for its
// leaves only.
func inWinter(r *knowledge.Remedy, c *knowledge.Cause) bool {
	if r.Season == "dormant" {
		return true
	}
	return slices.ContainsFunc(c.Actions, func(a knowledge.Action) bool {
		return a.Remedy == r.ID && a.Only != nil && (slices.Contains(a.Only.Phase, "dormant") || slices.Contains(a.Only.Phase, "leaf fall"))
	})
}

// eligible says whether last year deserves a programme.
func (p *WinterPlan) eligible(b *knowledge.Base, s Situation) {
	say := func(text string) { p.Why = append(p.Why, text) }
	open := slices.ContainsFunc(p.Materials, func(m WinterMaterial) bool { return m.Status == Go || m.Status == Care })
	every := choose(b, &s, "dormant-spray").Option == "every-winter"
	switch {
	case len(p.Materials) == 0:
		say("The book has no winter spray that helps against it: clean up, and watch in spring.")
	case !s.BadYear && !every:
		say("Last year was not bad on this plant: no winter spray. It would also kill the helpers that winter on the bark. Clean up, and watch from leaf-out.")
	case !open:
		say("None of the winter sprays against it may be used here; each says why.")
	case s.BadYear:
		p.Deserved = true
		say("Last year was bad on this plant: a winter programme is worth its harm to the helpers on the bark.")
	default:
		p.Deserved = true
		say("This house sprays every winter; without a bad year it does more harm than good to helpers.")
	}
}

// choose marks what is used: at most as many of oil, lime sulfur and copper as the school
// of this case allows. Errors name materials.
func (p *WinterPlan) choose(b *knowledge.Base, s Situation, ids []string) error {
	most := 2
	if choose(b, &s, "dormant-three").Option == "one" {
		most = 1
	}
	p.Rules = append(p.Rules, fmt.Sprintf("%s of oil, lime sulfur and copper in one winter, never all three, never with soap.", map[int]string{1: "One", 2: "Two"}[most]))
	used := map[string]bool{} // also by what was put on since the leaves fell
	for _, e := range s.Earlier {
		if on, err := civil.Parse(e.On); err == nil && !on.Before(p.Winter.LeafFall) {
			if class := winterClass(b.Remedy(e.Remedy)); class != "" {
				used[class] = true
			}
		}
	}
	given := maps.Clone(used)
	chosen := map[string]bool{}
	room := func(class string) bool { return used[class] || len(used) < most }
	take := func(m *WinterMaterial) {
		m.Chosen = true
		used[m.class], chosen[m.class] = true, true
	}
	if len(ids) == 0 {
		for i := range p.Materials {
			m := &p.Materials[i]
			if (m.Status == Go || m.Status == Care) && !chosen[m.class] && room(m.class) && b.Remedy(m.Remedy).Kind == "product" && (len(chosen) == 0 || p.adds(m)) {
				take(m)
			}
		}
		return nil
	}
	var l fault.List
	for i, id := range ids {
		at := slices.IndexFunc(p.Materials, func(m WinterMaterial) bool { return m.Remedy == id })
		field := fmt.Sprintf("materials[%d]", i)
		if at < 0 {
			l.Add(field, fmt.Sprintf("%q is no winter spray against it", id), "choose one of those offered")
			continue
		}
		m := &p.Materials[at]
		switch {
		case m.Status != Go && m.Status != Care:
			l.Add(field, m.Name+": "+m.Reasons[0].Text, "choose another")
		case chosen[m.class]:
			l.Add(field, m.Name+" is of a kind that is chosen already", "choose one of a kind")
		default:
			take(m)
		}
	}
	if len(used) > most {
		l.Add("materials", fmt.Sprintf("%d of oil, lime sulfur and copper in one winter, with the %d put on already; this desk allows %d", len(used), len(given), most), "leave one out")
	}
	return l.Err()
}

// adds reports whether a second spray is against something the chosen ones are not.
func (p *WinterPlan) adds(m *WinterMaterial) bool {
	return slices.ContainsFunc(m.Against, func(c string) bool {
		return !slices.ContainsFunc(p.Materials, func(x WinterMaterial) bool { return x.Chosen && slices.Contains(x.Against, c) })
	})
}

// lay puts the chosen sprays into the weeks of the winter, as far apart as their waits ask.
func (p *WinterPlan) lay(b *knowledge.Base, s Situation) {
	w := p.Winter
	add := func(m WinterMaterial, when string, from, to civil.Day) {
		r := b.Remedy(m.Remedy)
		if from.Before(to) {
			p.Sprays = append(p.Sprays, WinterSpray{Remedy: m.Remedy, Name: m.Name, When: when, From: from, To: to, Others: []sprayday.WorkDay{}, Wear: r.Wear, Cautions: r.Cautions, class: m.class})
		}
	}
	lime := slices.ContainsFunc(p.Materials, func(m WinterMaterial) bool { return m.Chosen && m.class == knowledge.ClassLime })
	for _, m := range p.Materials {
		if !m.Chosen {
			continue
		}
		lim := LimitsOf(b.Remedy(m.Remedy), s.House)
		n, _ := Uses(s.Earlier, m.Remedy, w.Open)
		left := func() bool { // of the label's most a season
			return lim.MaxApplications == 0 || n+count(p.Sprays, m.Remedy) < lim.MaxApplications
		}
		switch m.class {
		case knowledge.ClassCopper:
			if m.fall && left() {
				add(m, "at leaf fall", w.LeafFall, w.Bare.Add(afterBare))
			}
			if !lime && left() {
				add(m, "before the buds swell", w.Swell.Add(-beforeSwell), w.Swell)
			}
		case knowledge.ClassWinter:
			to := w.Swell
			if lime { // the oil first, the waits between
				to = w.Swell.Add(-beforeSwell)
			}
			if left() {
				add(m, "in the rest", w.Bare.Add(afterBare), to)
			}
		case knowledge.ClassLime:
			if left() {
				add(m, "before the buds open", w.Swell.Add(-beforeSwell/3), w.Open.Add(-3))
			}
		}
	}
	slices.SortStableFunc(p.Sprays, func(x, y WinterSpray) int { return x.From.Compare(y.From) })
	for i, y := range p.Sprays {
		for _, x := range p.Sprays[:i] {
			if x.Remedy == y.Remedy {
				p.rule("%s again not before %d days.", y.Name, LimitsOf(b.Remedy(y.Remedy), s.House).GapMin)
				continue
			}
			days, k := b.ConflictBetween(x.Remedy, y.Remedy)
			if k == nil {
				continue
			}
			text := fmt.Sprintf("%s not before %d days after %s: %s.", y.Name, days, humanise.InSentence(x.Name), k.Why)
			if k.DormantOK {
				text += " In one tank on one day only where both labels say so."
			} else {
				text += " Never in one tank."
			}
			p.rule("%s", text)
		}
	}
}

// count is how often a remedy is laid.
func count(sprays []WinterSpray, id string) int {
	n := 0
	for _, x := range sprays {
		if x.Remedy == id {
			n++
		}
	}
	return n
}

func (p *WinterPlan) rule(f string, a ...any) {
	if text := fmt.Sprintf(f, a...); !slices.Contains(p.Rules, text) {
		p.Rules = append(p.Rules, text)
	}
}

// Sky is the weather known at a place.
type Sky struct {
	Hours    []weather.Hour
	Lat, Lon float64
	Zone     *time.Location
}

// Days picks the days: dry, mild and still, each spray as far from those before as its
// waits ask, none on a day the forecast does not have.
func (p *WinterPlan) Days(b *knowledge.Base, s Situation, today civil.Day, sky Sky) {
	known := today
	if n := len(sky.Hours); n > 0 {
		known = civil.Of(sky.Hours[n-1].At, sky.Zone)
	}
	given := slices.Clone(s.Earlier)
	for i := range p.Sprays {
		x := &p.Sprays[i]
		r := b.Remedy(x.Remedy)
		from := x.From
		if from.Before(today) {
			from = today
		}
		if day, why := earliest(b, r, given, s.House); day.After(from) {
			from, x.Says = day, why
		}
		switch {
		case from.After(x.To):
			x.Says = strings.TrimSpace(x.Says + " Its time is over this winter.")
			continue
		case from.After(known):
			x.LookOn = from
			x.Says = strings.TrimSpace(x.Says + fmt.Sprintf(" The forecast does not reach so far: look again on %s.", from.Short()))
		default:
			low, high := winterColdest, winterWarmest
			if r.TempMin != nil {
				low = max(low, *r.TempMin)
			}
			if r.TempMax != nil {
				high = min(high, *r.TempMax)
			}
			for _, d := range sprayday.WorkDays(sky.Hours, sprayday.Needs{TempMin: &low, TempMax: &high, Frost: true, Daylight: true, DryHours: winterLies}, sky.Lat, sky.Lon, sky.Zone) {
				switch {
				case d.Day.Before(from) || d.Day.After(x.To) || !d.Day.Before(known): // nor one whose next day nobody knows
				case x.On == nil:
					x.On = &d
				case len(x.Others) < 3:
					x.Others = append(x.Others, d)
				}
			}
			if x.On == nil {
				x.LookOn = min2(today.Add(winterLooks), x.To)
				x.Says = strings.TrimSpace(x.Says + fmt.Sprintf(" No day known so far is dry, still and between %.0f and %.0f °C without frost after it: look again on %s.", low, high, x.LookOn.Short()))
				from = x.LookOn
				break
			}
			x.Says = strings.TrimSpace(x.Says + fmt.Sprintf(" The first dry, still day between %.0f and %.0f °C, a day without rain and a night without frost after it.", low, high))
			from = x.On.Day
		}
		given = append(given, Earlier{Remedy: x.Remedy, On: from.String()})
	}
}

func min2(a, b civil.Day) civil.Day {
	if b.Before(a) {
		return b
	}
	return a
}

// earliest is the day from which a remedy may follow what was given before it, and why.
func earliest(b *knowledge.Base, r *knowledge.Remedy, given []Earlier, h House) (civil.Day, string) {
	var day civil.Day
	why := ""
	for _, e := range given {
		on, err := civil.Parse(e.On)
		if err != nil {
			continue
		}
		days := 0
		if e.Remedy == r.ID {
			days = LimitsOf(r, h).GapMin
		} else if d, k := b.ConflictBetween(e.Remedy, r.ID); k != nil {
			days = d
		}
		if x := b.Remedy(e.Remedy); days > 0 && x != nil && on.Add(days).After(day) {
			day, why = on.Add(days), fmt.Sprintf("Not before %s: %d days after %s.", on.Add(days).Short(), days, humanise.InSentence(x.Name))
		}
	}
	return day, why
}
