package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/plain"
	"botanik/core/remedy"
)

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
	sit := remedy.Situation{Host: in.Host, Family: in.Family, Form: in.Form, Place: in.Place, Date: today.String(), InBloom: in.InBloom, Edible: in.Edible, DaysToHarvest: in.DaysToHarvest, Children: in.Children, Cat: in.Cat, Dog: in.Dog, Pond: in.Pond, House: house, Schools: knownSchools(s.Base, c.Schools)}
	if in.DaysToHarvest != nil { // counted from the day it was brought in
		left := max(0, *in.DaysToHarvest-today.Sub(civil.Of(c.CreatedAt, ident.zone())))
		sit.DaysToHarvest = &left
	}
	temp := remedy.Warmth(in.Place, s.weather(ident).Day(today).EveningC)
	sit.TempC = &temp
	for _, t := range append(slices.Clone(in.Treated), c.Given...) {
		for _, id := range t.meant() {
			sit.Earlier = append(sit.Earlier, remedy.Earlier{Remedy: id, On: t.On})
		}
	}
	sit.Dormant = remedy.Dormant(s.Base.Host(in.Host), int(today.Month()), ident.Lat < 0)
	if a := c.Act; a != nil {
		sit.Stages, sit.Pressure, sit.Drought, sit.BadYear, sit.CalciumLow = a.Stages, a.Press, a.Drought, a.BadYear, a.LowCa
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
		switch {
		case t.Remedy != "":
		case len(t.CouldBe) > 0:
			names := []string{}
			for _, id := range t.CouldBe {
				if r := s.Base.Remedy(id); r != nil {
					names = append(names, strings.ToLower(r.Name))
				}
			}
			out.Unknown = append(out.Unknown, fmt.Sprintf("%s on %s could be %s: the waits of all of them are kept; say which on Brought in.", t.What, t.On, strings.Join(names, " or ")))
		default:
			out.Unknown = append(out.Unknown, fmt.Sprintf("%s on %s: not matched to a remedy here; ask what was in it before anything is sprayed.", t.What, t.On))
		}
	}
	return out, nil
}

// treat keeps what was chosen; another choice takes along what rested on the
// one before.
func (d *Doc) treat(t Treatment) {
	if d.Treatment == nil || !slices.Equal(d.Treatment.Remedies, t.Remedies) {
		d.clear(casework.After(casework.SecRemedy)...)
	}
	d.Treatment = &t
}

// meant are the remedies something earlier may have been: the one it was, or
// all that its words could mean.
func (t Treated) meant() []string {
	if t.Remedy != "" {
		return []string{t.Remedy}
	}
	return t.CouldBe
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
		c.treat(Treatment{Remedies: ids, Note: plain.Text(note), By: who.Name})
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
		case !a.Offers[o].Open:
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
