package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/season"
	"botanik/core/weather"
	"botanik/internal/casefile"
	"botanik/internal/settings"
)

// Situation is the case as a treatment sees it at a moment.
func (s *Service) Situation(m Moment, c *Case) (remedy.Situation, error) {
	in := c.Intake
	sit := remedy.Situation{Host: in.Host, Family: in.Family, Form: in.Form, Place: in.Place, South: m.South(), Date: m.Today.String(), InBloom: in.InBloom, Edible: in.Edible, NotEaten: in.NotEaten, DaysToHarvest: in.DaysToHarvest, Children: in.Children, Cat: in.Cat, Dog: in.Dog, Pond: in.Pond, House: m.Rules, Schools: settings.KnownSchools(m.Book, c.Schools)}
	if in.DaysToHarvest != nil { // counted from the day it was brought in
		left := max(0, *in.DaysToHarvest-m.Today.Sub(civil.Of(c.CreatedAt, m.Clock)))
		sit.DaysToHarvest = &left
	}
	air, err := weather.DayOf(m.Sky, m.Spot(), m.Today, m.Clock)
	if err != nil {
		return sit, err
	}
	if sit.TempUnknown = !air.Known && in.Place != "indoors"; !sit.TempUnknown {
		temp := remedy.Warmth(in.Place, air.EveningC)
		sit.TempC = &temp
	}
	for _, t := range append(slices.Clone(in.Treated), c.Given()...) {
		for _, id := range t.Meant() {
			sit.Earlier = append(sit.Earlier, remedy.Earlier{Remedy: id, On: t.On})
		}
	}
	if c.Verdict != nil && m.Book.Cause(c.Verdict.Also) != nil { // a book may have let it go since
		sit.Also = c.Verdict.Also
	}
	sit.Dormant = remedy.Dormant(m.Book.Host(in.Host), int(m.Today.Month()), m.South())
	if a := c.Now().Act; a != nil {
		sit.Stages, sit.Pressure, sit.Drought, sit.BadYear, sit.CalciumLow = a.Stages, a.Pressure, a.Drought, a.BadYear, a.CalciumLow
		if a.Dormant != nil {
			sit.Dormant = *a.Dormant
		}
	}
	return sit, nil
}

// CaseAdvice is the ladder with the weather it was answered for.
type CaseAdvice struct {
	remedy.Advice
	Weather string   `json:"weather"`
	Unknown []string `json:"unknown"` // earlier sprays that could not be matched
	Apart   []string `json:"apart"`   // why what was chosen may not be used together
	Next    string   `json:"next,omitempty" doc:"remedy to show beside what is chosen: the mildest of the others that does more than some"`

	Worked []LocalResult `json:"worked" doc:"what came of each remedy against it at this desk; none from fewer than five cases"`
}

// Advice answers the ladder for a case today. With remedies chosen, it also
// says how those work together rather than the ones it would pick, and what
// speaks against using them together.
func (s *Service) Advice(ctx context.Context, id string, chosen []string) (CaseAdvice, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return CaseAdvice{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return CaseAdvice{}, err
	}
	a, sit, err := s.advice(m, &c)
	if err != nil {
		return a, err
	}
	picked := chosen
	if len(picked) == 0 {
		picked = a.Pick
	}
	a.Next = remedy.NextBest(a.Offers, picked)
	if a.Worked, err = s.worked(ctx, c.Verdict.Cause); err != nil || len(chosen) == 0 {
		return a, err
	}
	a.Combine, a.Apart = remedy.Choose(m.Book, CauseOf(m.Book, &c), a.Advice, sit, chosen)
	return a, nil
}

func (s *Service) advice(m Moment, c *Case) (CaseAdvice, remedy.Situation, error) {
	if c.Verdict == nil || c.Verdict.Cause == "" {
		return CaseAdvice{}, remedy.Situation{}, fault.New("verdict", "nothing can be advised before it is known what it is", "settle the verdict, or send the sample on")
	}
	sit, err := s.Situation(m, c)
	if err != nil {
		return CaseAdvice{}, sit, err
	}
	a, err := remedy.Advise(m.Book, c.Verdict.Cause, sit)
	if err != nil {
		return CaseAdvice{}, sit, err
	}
	air, err := weather.DayOf(m.Sky, m.Spot(), m.Today, m.Clock)
	if err != nil {
		return CaseAdvice{}, sit, err
	}
	out := CaseAdvice{Advice: a, Unknown: []string{}, Apart: []string{}, Worked: []LocalResult{}}
	switch {
	case sit.TempUnknown:
		out.Weather = "no weather is known: look at a thermometer"
	case c.Intake.Place == "indoors":
		out.Weather = fmt.Sprintf("indoors, taken as %.0f °C", *sit.TempC)
	default:
		out.Weather = fmt.Sprintf("%s, evening %.0f °C", s.WeatherFrom(air), *sit.TempC)
	}
	for _, t := range c.Intake.Treated {
		if text := s.unmatched(m.Book, t); text != "" {
			out.Unknown = append(out.Unknown, text)
		}
	}
	return out, sit, nil
}

// unmatched says what is not known of an earlier spray, "" when it is known.
func (s *Service) unmatched(b *knowledge.Base, t casefile.Treated) string {
	switch {
	case t.Remedy != "":
		return ""
	case len(t.CouldBe) == 0:
		return fmt.Sprintf("%s on %s: not matched to a remedy here; ask what was in it before anything is sprayed.", t.What, t.On)
	}
	names := []string{}
	for _, id := range t.CouldBe {
		if r := b.Remedy(id); r != nil {
			names = append(names, humanise.InSentence(r.Name))
		}
	}
	return fmt.Sprintf("%s on %s could be %s: the waits of all of them are kept; say which on Brought in.", t.What, t.On, strings.Join(names, " or "))
}

// SetTreatment chooses what to do. A remedy that is "no" or "not now" is
// refused with its reason, so that none ever reaches a hand-over.
func (s *Service) SetTreatment(ctx context.Context, who Person, id string, from int, ids []string, note string) (View, error) {
	if len(ids) == 0 {
		return View{}, fault.New("remedies", "nothing is chosen", `choose at least one; "leave it and watch" is one`)
	}
	return s.Change(ctx, who, id, from, "remedy", func(m Moment, c *Case) (string, error) {
		if err := s.mayUse(m, c, ids); err != nil {
			return "", err
		}
		c.HouseSeen = &m.Version
		names := []string{}
		for _, r := range ids {
			names = append(names, m.Book.Remedy(r).Name)
		}
		c.Treat(casefile.Treatment{Remedies: ids, Note: humanise.Text(note), By: who.Name})
		return strings.Join(names, ", "), nil
	})
}

// mayUse names every chosen remedy that is not allowed for this case today.
func (s *Service) mayUse(m Moment, c *Case, ids []string) error {
	a, sit, err := s.advice(m, c)
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
			l.AddErr("", knowledge.NoSuchRemedy(at, rid))
		case seen[rid]:
			l.Add(at, rid+" stands twice", "name it once")
		case !a.Offers[o].Open:
			l.Add(at, fmt.Sprintf("%s is %q: %s", a.Offers[o].Name, a.Offers[o].Status, a.Offers[o].Reasons[0].Text), "choose another, or wait for what it waits for")
		}
		seen[rid] = true
	}
	l.AddErr("", remedy.CheckCombination(m.Book, sit, ids))
	return l.Err()
}

// SetSchools lets a case answer a question of the trade in its own way; an
// empty answer goes back to the house's.
func (s *Service) SetSchools(ctx context.Context, who Person, id string, from int, school, option string) (View, error) {
	return s.Change(ctx, who, id, from, "remedy", func(m Moment, c *Case) (string, error) {
		x := m.Book.School(school)
		if x == nil {
			return "", fault.New("school", fmt.Sprintf("%q is not a question of the herbarium", school), "use an id from kb list schools")
		}
		if option != "" && x.Option(option) == nil {
			return "", fault.New("option", fmt.Sprintf("%q is not an answer to it", option), "use one of its options, or none for the house's own")
		}
		next := map[string]string{}
		for k, v := range c.Schools {
			next[k] = v
		}
		delete(next, school)
		text := strings.TrimSuffix(x.Question, "?") + ": as the house"
		if option != "" {
			next[school] = option
			text = strings.TrimSuffix(x.Question, "?") + ": " + x.Option(option).Name + ", for this case"
		}
		c.Schools = next
		if len(next) == 0 {
			c.Schools = nil
		}
		if school == remedy.Rhythm {
			c.Now().Days = nil
		}
		return text, nil
	})
}

// WeatherFrom says who a day's weather is from.
func (s *Service) WeatherFrom(d weather.Day) string {
	if d.From != "" {
		return "hours from " + d.From
	}
	return s.Weather.Kind()
}

// LocalResult is what came of a remedy at this desk.
type LocalResult struct {
	Remedy string `json:"remedy"`
	season.SuccessRate
}

// worked is what came of each remedy against a cause here.
func (s *Service) worked(ctx context.Context, cause string) ([]LocalResult, error) {
	rows, err := s.Store.WorkedAgainst(ctx, cause)
	out := []LocalResult{}
	for _, r := range rows {
		if w, ok := season.WorkedHere(r.Better, r.N); ok {
			out = append(out, LocalResult{r.Remedy, w})
		}
	}
	return out, err
}
