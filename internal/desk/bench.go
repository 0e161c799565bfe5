package desk

import (
	"context"
	"fmt"
	"slices"
	"time"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/scouting"
)

// SetIntake corrects what was written down at the counter.
func (s *Service) SetIntake(ctx context.Context, who Person, id string, from int, in Intake) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	if err := s.checkIntake(&in, s.today(ident)); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "intake", func(c *Case) (string, error) {
		c.Intake = in
		return "corrected what was brought in", nil
	})
}

// Look records one finding; an empty state takes it back to "not looked".
func (s *Service) Look(ctx context.Context, who Person, id string, from int, l differential.Look) (View, error) {
	return s.LookAt(ctx, who, id, from, l, nil)
}

// LookAt is Look with the place on the drawing it was seen at.
func (s *Service) LookAt(ctx context.Context, who Person, id string, from int, l differential.Look, at *Spot) (View, error) {
	f := s.Base.Finding(l.Finding)
	if f == nil {
		return View{}, fault.New("finding", fmt.Sprintf("%q is not a finding of the herbarium", l.Finding), "use an id from kb list findings")
	}
	if l.State != "" {
		if err := s.Engine.Check(differential.Setting{}, []differential.Look{l}); err != nil {
			return View{}, stripPrefix(err, "looks[0].")
		}
	}
	return s.change(ctx, who, id, from, "look", func(c *Case) (string, error) {
		i := slices.IndexFunc(c.Looks, func(x LookRecord) bool { return x.Finding == l.Finding })
		if l.State == "" {
			if i >= 0 {
				c.Looks = slices.Delete(slices.Clone(c.Looks), i, i+1)
			}
			return f.Name + ": not looked", nil
		}
		rec := LookRecord{l, at, who.Name, s.Now()}
		if i >= 0 {
			if at == nil {
				rec.Spot = c.Looks[i].Spot
			}
			c.Looks[i] = rec
		} else {
			c.Looks = append(c.Looks, rec)
		}
		sure := ""
		if l.Certainty == "think" || l.Certainty == "guess" {
			sure = " (" + l.Certainty + ")"
		}
		return f.Name + ": " + f.States[f.State(l.State)].Name + sure, nil
	})
}

func stripPrefix(err error, prefix string) error {
	list := fault.List{}
	for _, f := range fault.From(err) {
		if len(f.Field) >= len(prefix) && f.Field[:len(prefix)] == prefix {
			f.Field = f.Field[len(prefix):]
		}
		list = append(list, f)
	}
	return list
}

// VerdictInput is what the advisor says it is.
type VerdictInput struct {
	Cause  string `json:"cause,omitempty" doc:"cause id; left out when undetermined"`
	Also   string `json:"also,omitempty" doc:"a second cause at work"`
	Degree string `json:"degree" enum:"settled,working,open,undetermined"`
	Note   string `json:"note,omitempty" maxLength:"400" doc:"why, when it departs from the ranking or changes an earlier verdict"`
}

// SetVerdict settles the verdict or leaves it open. A trainee's waits for an
// advisor; one that replaces another keeps the reason for the change.
func (s *Service) SetVerdict(ctx context.Context, who Person, id string, from int, in VerdictInput) (View, error) {
	view, err := s.View(ctx, id)
	if err != nil {
		return View{}, err
	}
	var l fault.List
	k := s.Base.Cause(in.Cause)
	switch {
	case in.Degree == "undetermined" && in.Cause != "":
		l.Add("cause", "an undetermined verdict names no cause", "leave the cause out, or choose another degree")
	case in.Degree != "undetermined" && k == nil:
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", in.Cause), "choose a candidate, or make it undetermined")
	case k != nil && in.Degree == "settled" && (k.LabOnly != "" || k.Regulated != ""):
		l.Add("degree", k.Name+" can never be settled at the desk", "make it working; "+firstOf(k.Regulated, k.LabOnly))
	case k != nil && in.Degree == "settled" && len(view.Looks) == 0:
		l.Add("degree", "nothing has been looked at", "look first, or leave it open")
	}
	if in.Also != "" && (s.Base.Cause(in.Also) == nil || in.Also == in.Cause) {
		l.Add("also", fmt.Sprintf("%q is not another cause of the herbarium", in.Also), "choose a second cause, or leave it out")
	}
	if old := view.Verdict; old != nil && old.Cause != in.Cause && in.Note == "" {
		l.Add("note", "the verdict changes and no reason is given", "write in a few words what changed your mind")
	}
	if err := l.Err(); err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "verdict", func(c *Case) (string, error) {
		v := Verdict{Cause: in.Cause, Also: in.Also, Degree: in.Degree, Note: in.Note, By: who.Name, At: s.Now(), NeedsReview: who.Role == "trainee"}
		for _, cand := range view.Reading.Candidates {
			if cand.Cause == in.Cause {
				v.P = cand.P
			}
		}
		if c.Handover != nil && who.Role == "trainee" {
			return "", fault.New("verdict", "it is handed over", "ask an advisor to change it")
		}
		again := ""
		if c.Verdict != nil && c.Verdict.Cause != in.Cause {
			c.Act, c.Treatment, c.Mix, c.Days, c.Doses = nil, nil, nil, nil, []Dosed{} // they answered another question
			if c.Handover != nil {
				c.Handover, c.AskOn = nil, ""
				again = "; the grower's page is to be handed over anew"
			}
		}
		c.Verdict = &v
		text := in.Degree + ": "
		if k != nil {
			text += k.Name
		} else {
			text = "undetermined, to be sent on"
		}
		if v.NeedsReview {
			text += ", waits for an advisor"
		}
		if in.Note != "" {
			text += " (" + in.Note + ")"
		}
		return text + again, nil
	})
}

func firstOf(a, b string) string {
	if a != "" {
		return a
	}
	return b
}

// Review lets an advisor agree with a trainee's verdict, or send it back.
func (s *Service) Review(ctx context.Context, who Person, id string, from int, agree bool, note string) (View, error) {
	if who.Role == "trainee" {
		return View{}, ErrForbidden
	}
	return s.change(ctx, who, id, from, "review", func(c *Case) (string, error) {
		if c.Verdict == nil || !c.Verdict.NeedsReview {
			return "", fault.New("verdict", "no verdict waits for review", "nothing to do here")
		}
		if !agree {
			if note == "" {
				return "", fault.New("note", "is empty", "say what the trainee should look at again")
			}
			by := c.Verdict.By
			c.Verdict = nil
			return "sent back to " + by + ": " + note, nil
		}
		c.Verdict.NeedsReview, c.Verdict.ReviewedBy = false, who.Name
		text := "agreed with " + c.Verdict.By
		if note != "" {
			text += ": " + note
		}
		return text, nil
	})
}

// ActInput is the count and the decision.
type ActInput struct {
	Counts  []int    `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot, one number each"`
	Share   *float64 `json:"share,omitempty" minimum:"0" maximum:"1"`
	Helpers bool     `json:"helpers,omitempty"`
	Stages  []string `json:"stages,omitempty"`
	Drought bool     `json:"drought,omitempty"`
	Dormant *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	BadYear bool     `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	LowCa   bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice  string   `json:"choice" enum:"act,wait,pull"`
	Press   string   `json:"pressure" enum:"light,moderate,heavy"`
}

// Weighed is a count held against what is borne.
type Weighed struct {
	Summary   *scouting.Summary  `json:"summary,omitempty"`
	Threshold scouting.Threshold `json:"threshold"`
	Borne     string             `json:"borne"`
	Decision  *scouting.Decision `json:"decision,omitempty"`
}

// Weigh holds a count against the threshold of the case's cause, without
// writing anything.
func (s *Service) Weigh(ctx context.Context, id string, counts []int, share *float64, helpers bool) (Weighed, error) {
	v, err := s.View(ctx, id)
	if err != nil {
		return Weighed{}, err
	}
	k := s.causeOf(v)
	if k == nil {
		return Weighed{}, fault.New("verdict", "there is no verdict to hold a count against", "settle the verdict first")
	}
	t := k.Tolerable
	out := Weighed{Threshold: scouting.Threshold{PerUnit: t.PerUnit, Share: t.Share, Unit: t.Unit, Source: t.Source}, Borne: t.Text}
	switch {
	case len(counts) > 0:
		sum, err := scouting.Summarise(counts)
		if err != nil {
			return Weighed{}, err
		}
		d := scouting.Decide(sum, out.Threshold, helpers)
		out.Summary, out.Decision = &sum, &d
	case share != nil:
		lo, hi := scouting.Wilson(int(*share*20+.5), 20)
		sum := scouting.Summary{N: 20, Share: *share, ShareLow: lo, ShareTop: hi}
		th := out.Threshold
		th.PerUnit = 0
		d := scouting.Decide(sum, th, helpers)
		out.Decision = &d
	}
	return out, nil
}

func (s *Service) causeOf(v View) *knowledge.Cause {
	if v.Verdict == nil {
		return nil
	}
	return s.Base.Cause(v.Verdict.Cause)
}

// SetAct records the count and the decision. Choosing to wait or to pull also
// chooses that as the remedy.
func (s *Service) SetAct(ctx context.Context, who Person, id string, from int, in ActInput) (View, error) {
	var l fault.List
	if len(in.Counts) > 0 {
		_, err := scouting.Summarise(in.Counts)
		l.AddErr("", err)
	}
	l.AddErr("", remedy.Situation{Date: "2000-01-01", Stages: in.Stages, Pressure: in.Press}.Check(s.Base))
	if err := l.Err(); err != nil {
		return View{}, err
	}
	_, seen, err := s.HouseRules(ctx)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "act", func(c *Case) (string, error) {
		c.HouseSeen = &seen
		if c.Verdict == nil {
			return "", fault.New("verdict", "there is no verdict yet", "say what it is first")
		}
		c.Act = &Act{Counts: in.Counts, Share: in.Share, Helpers: in.Helpers, Stages: in.Stages, Drought: in.Drought, Dormant: in.Dormant, BadYear: in.BadYear, LowCa: in.LowCa, Choice: in.Choice, Press: in.Press, By: who.Name}
		switch in.Choice {
		case "wait":
			c.Treatment = &Treatment{Remedies: []string{"leave"}, By: who.Name}
			c.Mix, c.Days = nil, nil
			return "wait and watch", nil
		case "pull":
			c.Treatment = &Treatment{Remedies: []string{"pull-bag"}, By: who.Name}
			c.Mix, c.Days = nil, nil
			return "pull it", nil
		}
		return "act, " + in.Press + " pressure", nil
	})
}

// situation is the case as a treatment sees it, today.
func (s *Service) situation(ctx context.Context, c *Case) (remedy.Situation, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return remedy.Situation{}, err
	}
	house, _, err := s.HouseRules(ctx)
	if err != nil {
		return remedy.Situation{}, err
	}
	in := c.Intake
	today := s.today(ident)
	sit := remedy.Situation{Host: in.Host, Family: in.Family, Form: in.Form, Place: in.Place, Date: today.Format(remedy.DateLayout), InBloom: in.InBloom, Edible: in.Edible, DaysToHarvest: in.DaysToHarvest, Children: in.Children, Cat: in.Cat, Dog: in.Dog, Pond: in.Pond, House: house, Schools: c.Schools}
	if in.DaysToHarvest != nil { // counted from the day it was brought in
		gone := int(today.Sub(c.CreatedAt.Truncate(24*time.Hour)).Hours() / 24)
		left := max(0, *in.DaysToHarvest-gone)
		sit.DaysToHarvest = &left
	}
	temp := s.weather(ident).Day(today).EveningC
	if in.Place == "indoors" {
		temp = 20
	}
	if in.Place == "greenhouse" {
		temp += 6
	}
	sit.TempC = &temp
	for _, t := range append(slices.Clone(in.Treated), c.Given...) {
		if t.Remedy != "" {
			sit.Earlier = append(sit.Earlier, remedy.Earlier{Remedy: t.Remedy, On: t.On})
		}
	}
	sit.Dormant = s.dormant(in.Host, ident, today)
	if a := c.Act; a != nil {
		sit.Stages, sit.Pressure, sit.Drought, sit.BadYear, sit.CalciumLow = a.Stages, a.Press, a.Drought, a.BadYear, a.LowCa
		if a.Dormant != nil {
			sit.Dormant = *a.Dormant
		}
	}
	return sit, nil
}

// dormant reckons whether a plant that drops its leaves stands without them:
// December to February in the north, June to August in the south. The advisor
// who sees the plant can say otherwise.
func (s *Service) dormant(host string, ident Identity, day time.Time) bool {
	h := s.Base.Host(host)
	if h == nil || !h.Dormant {
		return false
	}
	m := int(day.Month())
	if ident.Lat < 0 {
		m = (m+5)%12 + 1
	}
	return m == 12 || m <= 2
}

// CaseAdvice is the ladder with the weather it was answered for.
type CaseAdvice struct {
	remedy.Advice
	Weather string   `json:"weather"`
	Unknown []string `json:"unknown"` // earlier sprays that could not be matched
	Apart   []string `json:"apart"`   // why what was chosen may not be used together
}

// Advice answers the ladder for a case today. With remedies chosen, it also
// says how those work together rather than the ones it would pick, and what
// speaks against using them together.
func (s *Service) Advice(ctx context.Context, id string, chosen []string) (CaseAdvice, error) {
	v, err := s.View(ctx, id)
	if err != nil {
		return CaseAdvice{}, err
	}
	a, err := s.advice(ctx, &v.Case)
	if err != nil || len(chosen) == 0 {
		return a, err
	}
	sit, err := s.situation(ctx, &v.Case)
	if err != nil {
		return a, err
	}
	a.Combine = remedy.Combine(s.Base, s.Base.Cause(v.Verdict.Cause), sit, chosen)
	for _, f := range fault.From(remedy.Together(s.Base, sit, chosen)) {
		a.Apart = append(a.Apart, f.Problem)
	}
	return a, nil
}

func (s *Service) advice(ctx context.Context, c *Case) (CaseAdvice, error) {
	if c.Verdict == nil || c.Verdict.Cause == "" {
		return CaseAdvice{}, fault.New("verdict", "nothing can be advised before it is known what it is", "settle the verdict, or send the sample on")
	}
	sit, err := s.situation(ctx, c)
	if err != nil {
		return CaseAdvice{}, err
	}
	a, err := remedy.Advise(s.Base, c.Verdict.Cause, sit)
	if err != nil {
		return CaseAdvice{}, err
	}
	out := CaseAdvice{Advice: a, Unknown: []string{}, Apart: []string{}}
	out.Weather = fmt.Sprintf("simulated forecast, evening %.0f °C", *sit.TempC)
	if c.Intake.Place == "indoors" {
		out.Weather = "indoors, taken as 20 °C"
	}
	for _, t := range c.Intake.Treated {
		if t.Remedy == "" {
			out.Unknown = append(out.Unknown, fmt.Sprintf("%s on %s: not matched to a remedy here; ask what was in it before anything is sprayed.", t.What, t.On))
		}
	}
	return out, nil
}

// SetTreatment chooses what to do. A remedy that is "no" or "not now" is
// refused with its reason, so that none ever reaches a hand-over.
func (s *Service) SetTreatment(ctx context.Context, who Person, id string, from int, ids []string, note string) (View, error) {
	if len(ids) == 0 {
		return View{}, fault.New("remedies", "nothing is chosen", `choose at least one; "leave it and watch" is one`)
	}
	_, seen, err := s.HouseRules(ctx)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "remedy", func(c *Case) (string, error) {
		if err := s.mayUse(ctx, c, ids); err != nil {
			return "", err
		}
		c.HouseSeen = &seen
		names := ""
		for i, r := range ids {
			if i > 0 {
				names += ", "
			}
			names += s.Base.Remedy(r).Name
		}
		if c.Treatment == nil || !slices.Equal(c.Treatment.Remedies, ids) {
			c.Mix, c.Days, c.Doses = nil, nil, []Dosed{}
		}
		c.Treatment = &Treatment{Remedies: ids, Note: note, By: who.Name}
		return names, nil
	})
}

// mayUse names every chosen remedy that is not allowed for this case today.
func (s *Service) mayUse(ctx context.Context, c *Case, ids []string) error {
	a, err := s.advice(ctx, c)
	if err != nil {
		return err
	}
	var l fault.List
	seen := map[string]bool{}
	for i, rid := range ids {
		at := fmt.Sprintf("remedies[%d]", i)
		o := slices.IndexFunc(a.Offers, func(o remedy.Offer) bool { return o.Remedy == rid })
		switch {
		case o < 0:
			l.Add(at, fmt.Sprintf("%q is not a remedy of the herbarium", rid), "use an id from kb list remedies")
		case seen[rid]:
			l.Add(at, rid+" stands twice", "name it once")
		case rid == "leave" || rid == "pull-bag" && a.Refer == "":
			// always open: waiting and pulling are the grower's right
		case a.Offers[o].Status == remedy.No || a.Offers[o].Status == remedy.NotNow:
			l.Add(at, fmt.Sprintf("%s is %q: %s", a.Offers[o].Name, a.Offers[o].Status, a.Offers[o].Reasons[0].Text), "choose another, or wait for what it waits for")
		}
		seen[rid] = true
	}
	sit, err := s.situation(ctx, c)
	if err != nil {
		return err
	}
	l.AddErr("", remedy.Together(s.Base, sit, ids))
	return l.Err()
}

// AskedOn is a due follow-up in words.
func (s *Service) askedOn(askOn string, today time.Time) (string, int) {
	t, err := time.Parse(remedy.DateLayout, askOn)
	if err != nil {
		return "", 0
	}
	return casework.Due(t, today)
}
