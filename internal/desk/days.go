package desk

import (
	"context"
	"fmt"
	"slices"

	"botanik/core/civil"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/internal/casefile"
	"botanik/internal/house"
)

// DaysInput asks for the treatment days of a round.
type DaysInput struct {
	Start string `json:"start,omitempty" maxLength:"10" doc:"first day, YYYY-MM-DD; today when left out"`
	Count int    `json:"count,omitempty" minimum:"0" maximum:"12" doc:"treatments in this round; 3 when left out"`
	Gap   int    `json:"gapDays,omitempty" minimum:"0" maximum:"60" doc:"days between treatments; by the rhythm when left out"`

	On []string `json:"on,omitempty" maxItems:"12" doc:"the days themselves, set by hand; takes the place of start, count, gap and rhythm"`

	If string `json:"if,omitempty" enum:"half,skip,warm," doc:"for the picture only: half the plant missed, the second treatment left out, three degrees warmer"`

	TempC *float64 `json:"tempC,omitempty" minimum:"5" maximum:"40" doc:"°C where it stands, in a room or under glass; a room's usual 20, or 6 over the air outside, when left out"`

	Rhythm string `json:"rhythm,omitempty" maxLength:"40" doc:"answer to the question of how often, by its id; the case's or the house's when left out"`
}

const (
	usualTreatments = 3   // in a round, when nobody says
	farthestStart   = 366 // days ahead; a plan further off is not worth the paper
	warmthDays      = 14  // of forecast the pest's pace is reckoned from
)

// PlanDays works the days out without writing them, and what the weeks they lie in bring.
func (s *Service) PlanDays(ctx context.Context, id string, in DaysInput) (DaysPlan, error) {
	c, err := s.read(ctx, id)
	if err != nil {
		return DaysPlan{}, err
	}
	m, err := s.House.Moment(ctx)
	if err != nil {
		return DaysPlan{}, err
	}
	if err := c.setWarm(in.TempC); err != nil {
		return DaysPlan{}, err
	}
	days, err := s.planDays(m, &c, in)
	if err != nil {
		return DaysPlan{}, err
	}
	days.Beside = s.beside(m, &c, days)
	req, _, err := s.repeatRequest(m, &c)
	if err != nil {
		return DaysPlan{}, err
	}
	weeks, err := s.weeks(m, &c, days, req, in.If)
	return DaysPlan{days, weeks}, err
}

func (s *Service) planDays(m house.Moment, c *Case, in DaysInput) (casefile.Days, error) {
	req, sit, err := s.repeatRequest(m, c)
	if err != nil {
		return casefile.Days{}, err
	}
	if len(in.On) > 0 {
		out, err := byHand(req, in.On)
		if err != nil {
			return out, err
		}
		if was := c.Now().Days; was != nil && was.Start == out.Start {
			out.Test = was.Test // the patch test before the first day, as it was told
		}
		fits, err := s.fits(m, c, s.repeated(c))
		if err == nil && fits != nil {
			out.Notes = append(out.Notes, warned(out.Planned(), fits)...)
		}
		return out, err
	}
	if in.Start != "" {
		start, err := civil.Parse(in.Start)
		switch {
		case err != nil:
			return casefile.Days{}, fault.New("start", fmt.Sprintf("%q is not a day", in.Start), "write it as YYYY-MM-DD")
		case start.Before(req.Start):
			return casefile.Days{}, fault.New("start", "lies in the past", "start today or later")
		case start.Sub(req.Start) > farthestStart:
			return casefile.Days{}, fault.New("start", "lies more than a year ahead", "start within a year; a plan further off is not worth the paper")
		}
		req.Start = start
	}
	notes, test := []string{}, ""
	if in.Start == "" {
		first := remedy.FirstDay(s.Base(), s.cause(c), s.repeated(c), sit, m.Today, m.Now.In(m.Clock).Hour())
		req.Start = first.On
		if first.Why != "" {
			notes = append(notes, first.Why)
		}
		if first.Tested {
			test = m.Today.String()
		}
	}
	if in.Count > 0 {
		req.Want = in.Count
	}
	rhythm := lifecycle.Computed
	if in.Gap > 0 {
		req.FixedGap = in.Gap
	} else {
		if rhythm, err = s.rhythm(sit, in.Rhythm); err != nil {
			return casefile.Days{}, err
		}
		req.FixedGap, req.Burst = lifecycle.Rhythm(rhythm, req.GapMin)
	}
	sched, err := lifecycle.Repeats(req)
	if err != nil {
		return casefile.Days{}, err
	}
	out := casefile.Days{Start: req.Start.String(), Gap: sched.Gap, Notes: sched.Notes, On: []string{}, Test: test}
	if o := s.Base().School(remedy.Rhythm).Option(rhythm); rhythm != lifecycle.Computed && o != nil {
		out.Notes = append([]string{"The rhythm chosen here: " + o.Name + ", kept inside the label."}, out.Notes...)
	}
	out.Notes = append(notes, out.Notes...)
	if req.Window != nil && req.Window.Generation == 0 {
		if on, ok, err := s.warmAgain(m, c); err != nil {
			return casefile.Days{}, err
		} else if ok {
			out.Notes = append(out.Notes, fmt.Sprintf("By the weather known here it moves again from about %s: look then.", on.Short()))
		}
	}
	if said, err := s.asUsual(m, c); err != nil {
		return casefile.Days{}, err
	} else if said != "" && req.Window != nil {
		out.Notes = append(out.Notes, said)
	}
	fit, moved, err := s.fitted(m, c, sched.Days, req, in.Start != "")
	if err != nil {
		return casefile.Days{}, err
	}
	out.Notes = append(out.Notes, moved...)
	for _, d := range fit {
		out.On = append(out.On, d.String())
	}
	out.Start = out.On[0]
	return out, nil
}

// asUsual says that the pace out of doors is reckoned by the usual year, where the weather of
// most of the coming days is not known and nobody read a thermometer; empty else.
func (s *Service) asUsual(m house.Moment, c *Case) (string, error) {
	days, err := weather.Days(s.Weather, m.Spot(), m.Today, warmthDays, m.Clock)
	if err != nil || c.Intake.Place == "indoors" || c.warm != nil {
		return "", err
	}
	known := 0
	for _, d := range days {
		if d.Known {
			known++
		}
	}
	if 2*known >= len(days) {
		return "", nil
	}
	mean, err := weather.Mean(s.Weather, m.Spot(), m.Today, warmthDays, m.Clock)
	return fmt.Sprintf("The weather of most coming days is not known here: the pace is reckoned at the season's usual warmth, about %.0f °C.", c.warmAt(mean)), err
}

// beside is what else was chosen, around the days of what is sprayed.
func (s *Service) beside(m house.Moment, c *Case, days casefile.Days) []casefile.BesideDays {
	var out []casefile.BesideDays
	for _, x := range remedy.Around(s.Base(), m.Rules, s.repeated(c), days.Planned(), c.Now().Treatment.Remedies, m.Today) {
		b := casefile.BesideDays{Remedy: x.Remedy, Name: x.Name, Why: x.Why, On: []string{}}
		for _, d := range x.On {
			b.On = append(b.On, d.String())
		}
		out = append(out, b)
	}
	return out
}

// Weeks looked ahead for the warmth in which a pest moves again, and the days of a
// generation from which it does (judgement: two months).
const (
	weeksToWarmth = 45
	movesAt       = 60
)

// warmAgain is the first week whose mean lets the pest of a case move on, by the hours known
// and the usual year beyond them; false where none of the coming weeks does.
func (s *Service) warmAgain(m house.Moment, c *Case) (civil.Day, bool, error) {
	k := s.cause(c)
	if k == nil {
		return m.Today, false, nil
	}
	lt := s.Base().LifeTable(k.LifeTable)
	for week := 1; lt != nil && week < weeksToWarmth; week++ {
		day := m.Today.Add(7 * week)
		mean, err := weather.Mean(s.Weather, m.Spot(), day, 7, m.Clock)
		if err != nil {
			return m.Today, false, err
		}
		w, err := lifecycle.ClosedForm(lt, c.warmAt(mean))
		if err != nil {
			return m.Today, false, err
		}
		if w.Generation > 0 && w.Generation <= movesAt {
			return day, true, nil
		}
	}
	return m.Today, false, nil
}

// byHand are days somebody set, held to the label and the picking like any others.
// Errors name on, on[i] or what Hold names.
func byHand(req lifecycle.RepeatRequest, on []string) (casefile.Days, error) {
	days := []civil.Day{}
	for i, text := range on {
		d, err := civil.Parse(text)
		switch {
		case err != nil:
			return casefile.Days{}, fault.New(fmt.Sprintf("on[%d]", i), fmt.Sprintf("%q is not a day", text), "write it as YYYY-MM-DD")
		case d.Sub(req.Start) > farthestStart:
			return casefile.Days{}, fault.New(fmt.Sprintf("on[%d]", i), "lies more than a year ahead", "plan within a year")
		case slices.Contains(days, d):
			return casefile.Days{}, fault.New(fmt.Sprintf("on[%d]", i), d.Short()+" is there twice", "give each day once")
		}
		days = append(days, d)
	}
	slices.SortFunc(days, civil.Day.Compare)
	if err := lifecycle.Hold(days, req); err != nil {
		return casefile.Days{}, err
	}
	out := casefile.Days{Start: days[0].String(), Notes: []string{"Days set by hand, inside the label."}, On: []string{}}
	for i, d := range days {
		out.On = append(out.On, d.String())
		if i == 1 {
			out.Gap = d.Sub(days[0])
		}
	}
	return out, nil
}

// setWarm takes the temperature somebody read where the plant stands. Errors name tempC.
func (c *Case) setWarm(tempC *float64) error {
	switch {
	case tempC == nil:
		return nil
	case !remedy.Sheltered(c.Intake.Place):
		return fault.New("tempC", "outdoors it is as warm as the weather", "leave it out, or say that the plant stands in a room or under glass")
	case !(*tempC >= 5 && *tempC <= 40):
		return fault.New("tempC", fmt.Sprintf("%g °C is no room", *tempC), "give °C, 5 to 40")
	}
	c.warm = tempC
	return nil
}

// warmAt is how warm the case's plant stands when it is so warm outdoors, °C: as somebody
// read it now or when the days were kept, else by the place.
func (c *Case) warmAt(outdoors float64) float64 {
	if c.warm != nil {
		return *c.warm
	}
	if d := c.Now().Days; d != nil && d.TempC != nil && remedy.Sheltered(c.Intake.Place) {
		return *d.TempC
	}
	return remedy.Warmth(c.Intake.Place, outdoors)
}

// rhythm is the answer that holds to how often: the one asked for, else the
// case's or the house's.
func (s *Service) rhythm(sit remedy.Situation, asked string) (string, error) {
	if asked == "" {
		return remedy.Answer(s.Base(), sit, remedy.Rhythm), nil
	}
	if x := s.Base().School(remedy.Rhythm); x == nil || x.Option(asked) == nil {
		return "", fault.New("rhythm", fmt.Sprintf("%q is not an answer to how often", asked), "use an option of kb list schools, or leave it out")
	}
	return asked, nil
}

// repeatRequest is what bears on the days of this case today, the rhythm left
// open: the label in hand, what was used, the next picking, the pest's life.
func (s *Service) repeatRequest(m house.Moment, c *Case) (lifecycle.RepeatRequest, remedy.Situation, error) {
	var req lifecycle.RepeatRequest
	if c.Now().Treatment == nil {
		return req, remedy.Situation{}, fault.New("remedy", "nothing is chosen to be repeated", "choose a remedy first")
	}
	sit, err := s.situation(m, c)
	if err != nil {
		return req, sit, err
	}
	r := s.repeated(c)
	if r == nil {
		return req, sit, fault.New("remedy", "nothing that was chosen is repeated on days", "this step is not needed")
	}
	lim := remedy.LimitsOf(r, m.Rules)
	req = lifecycle.RepeatRequest{Start: m.Today, GapMin: lim.GapMin, GapMax: lim.GapMax, Most: lim.Most, Want: usualTreatments, EggKill: r.Kills[lifecycle.Egg]}
	if sit.DaysToHarvest != nil {
		req.Harvest, req.Wait = m.Today.Add(*sit.DaysToHarvest), lim.PreHarvest
	}
	req.Used, _ = remedy.Uses(sit.Earlier, r.ID, m.Today)
	if k := s.cause(c); k != nil && s.Base().LifeTable(k.LifeTable) != nil {
		outdoors, err := weather.Mean(s.Weather, m.Spot(), m.Today, warmthDays, m.Clock)
		if err != nil {
			return req, sit, err
		}
		w, err := lifecycle.ClosedForm(s.Base().LifeTable(k.LifeTable), c.warmAt(outdoors))
		if err != nil {
			return req, sit, err
		}
		req.Window = &w
	}
	return req, sit, nil
}

// stillHolds says what of the amounts and days no longer holds: a label, a
// picking or a day may have changed since they were kept.
func (s *Service) stillHolds(m house.Moment, c *Case) error {
	var l fault.List
	r := c.Now()
	if r.Mix != nil {
		_, err := dosage.Blend(s.Base(), m.Rules, r.Mix.Input())
		l.AddErr("mix", fault.Rename(err, func(f fault.Fault) fault.Fault {
			f.Mend = "work the amounts out anew on the Mix step; " + f.Mend
			return f
		}))
	}
	if r.Days != nil {
		req, _, err := s.repeatRequest(m, c)
		l.AddErr("", err)
		days := r.Days.Planned()
		if len(days) != len(r.Days.On) {
			l.Add("days", "one of the days is none", "set the days anew")
		}
		if err == nil {
			l.AddErr("", lifecycle.Hold(days, req))
		}
	}
	return l.Err()
}

// repeated is what of the treatment is done on days; nil when nothing is.
func (s *Service) repeated(c *Case) *knowledge.Remedy {
	return remedy.Repeated(s.Base(), c.Now().Treatment.Remedies)
}

// SetDays keeps the days of this round.
func (s *Service) SetDays(ctx context.Context, who Person, id string, from int, in DaysInput) (View, error) {
	return s.change(ctx, who, id, from, "days", func(m house.Moment, c *Case) (string, error) {
		return s.keepDays(m, c, who, in)
	})
}

// keepDays works the days out, writes them into the round and says so.
func (s *Service) keepDays(m house.Moment, c *Case, who Person, in DaysInput) (string, error) {
	if err := c.setWarm(in.TempC); err != nil {
		return "", err
	}
	d, err := s.planDays(m, c, in)
	if err != nil {
		return "", err
	}
	d.TempC = in.TempC
	d.By, d.Beside = who.Name, s.beside(m, c, d)
	c.Now().Days = &d
	if len(d.On) == 1 {
		return "to be done once, on " + spokenDay(d.Start, m.Today), nil
	}
	return fmt.Sprintf("to be done %s, %s apart, from %s", humanise.Times(len(d.On)), humanise.Days(d.Gap), spokenDay(d.Start, m.Today)), nil
}
