package demo

import (
	"context"
	"fmt"
	"strings"
	"time"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/overview"
	"botanik/internal/records"
	"botanik/internal/settings"
)

// Password of every demo account. It is printed at the start; the demo desk
// must never hold anything real.
const Password = "merrin-sound"

var people = []accounts.NewPerson{
	{Login: "odile", Name: "Odile", Role: "coordinator", Password: Password},
	{Login: "ansel", Name: "Ansel", Role: "advisor", Password: Password},
	{Login: "brann", Name: "Brann", Role: "advisor", Password: Password},
	{Login: "wren", Name: "Wren", Role: "trainee", Password: Password},
}

// SignIns says who can sign in, for the terminal.
func SignIns() string {
	var b strings.Builder
	_, _ = fmt.Fprintf(&b, "Sign in as %s (all made up), password: %s\n", "odile (coordinator), ansel or brann (advisors), wren (trainee)", Password)
	return b.String()
}

// Fill makes the demo desk at a moment. A desk that has people already is left
// alone.
func Fill(ctx context.Context, d *records.Service, p *accounts.Service, now time.Time) error {
	if list, err := p.All(ctx); err != nil || len(list) > 0 {
		return err
	}
	real := d.Now
	defer func() { d.Now = real }()
	d.Now = func() time.Time { return now }
	who := map[string]desk.Person{}
	for _, a := range people {
		x, err := p.Add(ctx, desk.Person{}, a)
		if err != nil {
			return err
		}
		who[a.Login] = x
	}
	err := d.House.SetIdentity(ctx, who["odile"], settings.Identity{Name: "Merrin Sound Plant Desk", Place: "Merrin Sound, covered market", Lat: 50.2, Lon: -5.3, Zone: "Europe/London", Units: "metric", Reach: "telephone 0100 at the market, Tuesday to Saturday 9 to 16", Authority: "the Sound's plant health office, harbour house, weekdays 9 to 16", Lab: "the Sound's plant clinic: fresh material on dry paper in a paper bag, inside a padded box, with the case number"}, 0)
	if err != nil {
		return err
	}
	err = d.House.SetRules(ctx, who["odile"], remedy.House{
		Policy: map[string]remedy.Policy{"pyrethrins": {Use: "heavy", Why: "the market keeps bees on the roof"}},
		Law:    map[string]remedy.Law{"copper hydroxide or oxychloride": {Status: "restricted", Reference: "harbour by-law 12: not within five metres of water"}},
		Labels: map[string]remedy.Label{"soap": {RepeatMin: 5}},
		Local:  knowledge.Local{Climate: "mild", Region: "Europe", Causes: map[string]knowledge.LocalWord{"metallic-beetle": {Here: "not here"}, "fire-blight": {Report: "no"}}},
	}, 0)
	if err != nil {
		return err
	}
	for i := range season {
		if err := play(ctx, d.Service, who, now, season[i]); err != nil {
			return fmt.Errorf("demo case %d (%s): %w", i+1, season[i].plant, err)
		}
	}
	d.Now = func() time.Time { return now }
	in, err := d.TakeCards(ctx, who["odile"], "the card index of before.csv", strings.NewReader(oldCards(now)), records.ImportInput{})
	if err != nil {
		return err
	}
	if in.Refused > 0 {
		return fmt.Errorf("an old card of the demo was refused: line %d, %s", in.Refusals[0].Line, in.Refusals[0].Text)
	}
	soon := civil.Of(now, time.UTC).Add(9)
	return overview.New(d.Service).SetAway(ctx, who["odile"], who["brann"].ID, overview.AwayDays{First: soon.String(), Last: soon.Add(6).String()})
}

// scene is one sample and how far it came.
type scene struct {
	daysAgo, minutes       int // when it was brought in
	square                 string
	grower, contact, plant string
	place, story, brought  string
	urgency                int
	mind                   string // bloom eaten cat dog children pond
	harvest                int    // days to harvest; 0 unknown
	treated                string // remedy@daysBefore, or words@daysBefore
	looks                  string // finding=state, comma separated; ~ think, ? guess
	by                     string
	cause, degree, note    string
	counts                 []int
	stages                 string
	choice, pressure       string
	remedies               string
	volume                 string
	handed                 bool
	after                  float64 // recount per unit; negative: none
	silent                 int
	closed                 string
}

// broughtAt is when a scene begins: today's so many minutes ago, kept on today's
// side of midnight when the demo is started early; an earlier day's on that day's
// afternoon, so that its work is done before midnight whenever the demo starts.
func broughtAt(x scene, now time.Time) time.Time {
	zone, err := time.LoadLocation("Europe/London")
	if err != nil {
		zone = time.UTC
	}
	ago := time.Duration(x.minutes) * time.Minute
	if x.daysAgo > 0 {
		return civil.Of(now, zone).Add(-x.daysAgo).Midnight(zone).Add(18*time.Hour - min(ago, 9*time.Hour))
	}
	n := now.In(zone)
	return now.Add(-time.Duration(float64(ago) * min(1, float64(n.Hour()*60+n.Minute())/200)))
}

func play(ctx context.Context, d *desk.Service, who map[string]desk.Person, now time.Time, x scene) error {
	at := broughtAt(x, now)
	d.Now = func() time.Time { return at }
	tick := func() { at = at.Add(40 * time.Second) }
	by := who[x.by]
	if x.by == "" {
		by = who["ansel"]
	}
	v, err := d.CheckIn(ctx, by, x.intake(at), "")
	if err != nil {
		return err
	}
	for _, l := range split(x.looks) {
		tick()
		if v, err = d.Look(ctx, by, v.ID, v.Version, look(l)); err != nil {
			return err
		}
	}
	if x.degree == "" {
		return nil
	}
	tick()
	if v, err = d.SetVerdict(ctx, by, v.ID, v.Version, desk.VerdictInput{Cause: x.cause, Degree: x.degree, Note: x.note}); err != nil {
		return err
	}
	if x.choice != "" {
		tick()
		if v, err = d.SetAct(ctx, by, v.ID, v.Version, desk.ActInput{Counted: desk.Counted{Counts: x.counts}, Stages: split(x.stages), Choice: x.choice, Pressure: or(x.pressure, "moderate")}); err != nil {
			return err
		}
	}
	if v, err = treat(ctx, d, by, v, x, tick); err != nil || !x.handed {
		return err
	}
	tick()
	if v, err = d.HandOver(ctx, by, v.ID, v.Version); err != nil {
		return err
	}
	return after(ctx, d, by, v, x, now, &at)
}

// treat chooses what is allowed that day of what the scene wants: a frost in
// the simulated weather may rule a spray out, as it would at a desk.
func treat(ctx context.Context, d *desk.Service, by desk.Person, v desk.View, x scene, tick func()) (desk.View, error) {
	want := split(x.remedies)
	if len(want) == 0 {
		return v, nil
	}
	a, err := d.Advice(ctx, v.ID, nil)
	if err != nil {
		return v, err
	}
	use := []string{}
	for _, w := range want {
		for _, o := range a.Offers {
			if o.Remedy == w && o.Open {
				use = append(use, w)
			}
		}
	}
	if len(use) == 0 {
		use = []string{knowledge.LeaveIt}
	}
	tick()
	if v, err = d.SetTreatment(ctx, by, v.ID, v.Version, use, ""); err != nil {
		return v, err
	}
	for _, step := range v.Steps {
		if step.ID == "mix" && step.State != "done" && step.State != "needless" {
			tick()
			if v, err = d.SetMix(ctx, by, v.ID, v.Version, desk.MixBody{MixInput: dosage.MixInput{Volume: or(x.volume, "1 L"), Sprayer: "1 L", Spoons: "metric"}}); err != nil {
				return v, err
			}
		}
	}
	for _, step := range v.Steps {
		if step.ID == "days" && step.State != "done" && step.State != "needless" {
			tick()
			return d.SetDays(ctx, by, v.ID, v.Version, desk.DaysInput{Count: 2})
		}
	}
	return v, nil
}

func after(ctx context.Context, d *desk.Service, by desk.Person, v desk.View, x scene, now time.Time, at *time.Time) error {
	ask, err := civil.Parse(v.AskOn)
	if err != nil {
		return err
	}
	*at = ask.Midnight(time.UTC).Add(15 * time.Hour)
	if at.After(now) {
		*at = now.Add(-10 * time.Minute)
	}
	for range x.silent {
		if v, err = d.FollowUp(ctx, by, v.ID, v.Version, desk.FollowUpInput{Silent: true}); err != nil {
			return err
		}
		*at = at.Add(24 * time.Hour * 7)
		if at.After(now) {
			*at = now
		}
	}
	if x.after >= 0 && len(x.counts) > 0 && x.closed != "" {
		if v, err = d.FollowUp(ctx, by, v.ID, v.Version, desk.FollowUpInput{Count: &casework.Recount{BeforeCounts: x.counts, After: x.after, Units: len(x.counts)}}); err != nil {
			return err
		}
	}
	if x.closed == "" {
		return nil
	}
	_, err = d.Close(ctx, by, v.ID, v.Version, desk.CloseInput{Outcome: x.closed})
	return err
}

func (x scene) intake(at time.Time) casefile.Intake {
	in := casefile.Intake{Grower: x.grower, Contact: x.contact, Plant: x.plant, Place: or(x.place, "garden"), Square: x.square, Story: x.story, Brought: or(x.brought, "a shoot in a bag"), Urgency: x.urgency}
	for _, m := range strings.Fields(x.mind) {
		switch m {
		case "bloom":
			in.InBloom = true
		case "eaten":
			in.Edible = true
		case "cat":
			in.Cat = true
		case "dog":
			in.Dog = true
		case "children":
			in.Children = true
		case "pond":
			in.Pond = true
		}
	}
	if x.harvest > 0 {
		h := x.harvest
		in.DaysToHarvest = &h
	}
	for _, t := range split(x.treated) {
		what, ago, _ := strings.Cut(t, "@")
		n := 0
		_, _ = fmt.Sscan(ago, &n)
		tr := casefile.Treated{What: what, On: civil.Of(at, nil).Add(-n).String()}
		if !strings.Contains(what, " ") {
			tr.Remedy, tr.What = what, strings.ReplaceAll(what, "-", " ")
		}
		in.Treated = append(in.Treated, tr)
	}
	return in
}

func look(s string) differential.Look {
	f, st, _ := strings.Cut(s, "=")
	l := differential.Look{Finding: f, State: strings.TrimRight(st, "~?"), Certainty: "sure"}
	if strings.HasSuffix(st, "~") {
		l.Certainty = "think"
	}
	if strings.HasSuffix(st, "?") {
		l.Certainty = "guess"
	}
	return l
}

func split(s string) []string {
	out := []string{}
	for _, p := range strings.Split(s, ",") {
		if p = strings.TrimSpace(p); p != "" {
			out = append(out, p)
		}
	}
	return out
}

func or(a, b string) string {
	if a == "" {
		return b
	}
	return a
}
