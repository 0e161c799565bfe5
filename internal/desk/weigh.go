package desk

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/scouting"
	"botanik/internal/store"
)

// Weigh holds a count against the threshold of the case's cause and says whether to
// act, without writing anything. Errors name verdict, counts, count, severity.
func (s *Service) Weigh(ctx context.Context, id string, in Counted) (Weighed, error) {
	if err := in.check(); err != nil {
		return Weighed{}, err
	}
	c, err := s.Read(ctx, id)
	if err != nil {
		return Weighed{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return Weighed{}, err
	}
	k := CauseOf(m.Book, &c)
	if k == nil {
		return Weighed{}, fault.New("verdict", "there is no verdict to hold a count against", "settle the verdict first")
	}
	said := in.Degree != ""
	seen := s.degreeSeen(m.Book, &c, k)
	if in.Degree == "" && seen != nil {
		in.Degree = seen.Degree
	}
	q, err := s.question(m, &c, k, in, said)
	if err != nil {
		return Weighed{}, err
	}
	out := Weighed{Threshold: q.Threshold, Borne: borneText(k, m.Rules.Borne[k.ID]), Sampling: m.Book.SamplingOf(q.Threshold.Unit), Before: q.Before, Here: []Favours{}, Else: []string{}, Stages: s.stagesSeen(m.Book, &c, k), Seen: seen}
	if out.LastYear, err = s.lastYear(ctx, m, &c); err != nil {
		return Weighed{}, err
	}
	if out.Before == nil {
		out.Before = []scouting.Past{}
	}
	if out.Decision, err = scouting.Decide(q); err != nil {
		return Weighed{}, err
	}
	if t := q.Count; t != nil {
		counts := t.Held(q.Threshold.Of)
		if counts != nil {
			sum, err := scouting.Summarise(counts)
			if err != nil {
				return Weighed{}, err
			}
			out.Summary = &sum
			if t.Quick {
				quick, err := scouting.UsualLine.Mean(sum.Infested, sum.N)
				if err != nil {
					return Weighed{}, err
				}
				out.Quick = &quick
			} else if size, err := scouting.ForPrecision(sum.Mean, scouting.Precision, scouting.Usual, sum.N); err == nil {
				out.Size = &size
			}
		}
	}
	level := cmp.Or(out.Decision.Level, cmp.Or(q.Threshold.PerUnit, q.Threshold.Share))
	out.Test = q.Threshold.Test(level, q.Count != nil && q.Count.Quick)
	if len(in.Severity) > 0 {
		sev, err := scouting.Match(in.Severity)
		if err != nil {
			return Weighed{}, err
		}
		out.Severity = &sev
	}
	s.whyHere(m, &c, k, &out)
	return out, s.wetHere(m, &c, k, &out)
}

func borneText(k *knowledge.Cause, own remedy.Borne) string {
	if own.PerUnit > 0 {
		return fmt.Sprintf("%g a %s", own.PerUnit, cmp.Or(k.Tolerable.Unit, "leaf"))
	}
	if own.Share > 0 {
		return fmt.Sprintf("%.0f in 100", 100*own.Share)
	}
	return k.Tolerable.Text
}

// threshold of a cause, as the book or this house has it.
func threshold(k *knowledge.Cause, own remedy.Borne) scouting.Threshold {
	t := k.Tolerable
	out := scouting.Threshold{PerUnit: t.PerUnit, Share: t.Share, Of: t.Of, Unit: t.Unit, Source: t.Source, None: t.None}
	if own.PerUnit > 0 || own.Share > 0 {
		out.PerUnit, out.Share, out.None, out.Source = own.PerUnit, own.Share, false, cmp.Or(own.Source, "this house")
		if own.Share > 0 && out.Of == "" {
			out.Of = scouting.Marks
		}
	}
	return out
}

// question is the case as a decision sees it; said when the advisor gave the degree.
func (s *Service) question(m Moment, c *Case, k *knowledge.Cause, in Counted, said bool) (scouting.Question, error) {
	q := scouting.Question{
		Kind: k.Kind, Virus: k.Class == "virus", Regulated: k.Regulated != "", LabOnly: k.LabOnly != "",
		Doubt: slices.Contains([]string{"open", "undetermined"}, c.Verdict.Degree), Threshold: threshold(k, m.Rules.Borne[k.ID]),
		Count: in.tally(), Degree: in.Degree, BadYear: in.BadYear, Helpers: in.Helpers, Standard: in.Standard, WeeksLeft: in.WeeksLeft,
		Form: c.Intake.Form, Under: remedy.Sheltered(c.Intake.Place), Month: int(m.Today.Month()), Before: s.earlierCounts(m, c),
	}
	if h := m.Book.Host(c.Intake.Host); h != nil {
		q.Form = h.Form
	}
	if q.Standard == "" && c.Intake.Edible {
		q.Standard = "food"
	}
	if q.Count == nil && in.Share != nil { // told without a count
		tally := scouting.Marks
		if q.Threshold.Share == 0 {
			tally = scouting.Pests
		}
		q.Count = scouting.OfShare(*in.Share, tally)
	}
	if len(in.Severity) > 0 && !said { // what was matched outranks what the looks say, and not what the advisor does
		sev, err := scouting.Match(in.Severity)
		if err != nil {
			return q, err
		}
		if sev.Word != "none" {
			q.Degree = sev.Word
		}
	}
	q.Young = youngMonths(m, k)
	sit, err := s.Situation(m, c)
	if err != nil {
		return q, err
	}
	q.Bare = sit.Dormant && !q.Under
	q.OnLeaves = !slices.ContainsFunc(k.Parts, func(p string) bool { return !slices.Contains([]string{"leaf", "flower", "fruit"}, p) })
	return q, nil
}

// youngMonths are the months in which the young of a pest walk, as the seasons fall here.
func youngMonths(m Moment, k *knowledge.Cause) []int {
	out := []int{}
	for _, month := range k.Crawlers { // written for the northern year
		if m.South() {
			month = civil.AcrossEquator(month)
		}
		out = append(out, month)
	}
	return out
}

// firstYoung is the next month in which they do, 0 where none is known.
func (s *Service) firstYoung(m Moment, c *Case) int {
	k := CauseOf(m.Book, c)
	if k == nil {
		return 0
	}
	young := youngMonths(m, k)
	for i := range 12 {
		if month := (int(m.Today.Month())+i-1)%12 + 1; slices.Contains(young, month) {
			return month
		}
	}
	return 0
}

// earlierCounts are what was counted on this case before today, newest last.
func (s *Service) earlierCounts(m Moment, c *Case) []scouting.Past {
	out := []scouting.Past{}
	add := func(day civil.Day, counts []int) {
		sum, err := scouting.Summarise(counts)
		if ago := m.Today.Sub(day); err == nil && ago >= 1 {
			out = append(out, scouting.Past{Days: ago, Mean: sum.Mean, Share: sum.Share})
		}
	}
	for i, r := range c.Rounds {
		if r.Act != nil && r.Handover != nil && i < len(c.Rounds)-1 {
			add(civil.Of(r.Handover.At, m.Clock), r.Act.Counts)
		}
		for _, f := range r.FollowUps {
			if f.Count != nil {
				add(civil.Of(f.At, m.Clock), f.Count.AfterCounts)
			}
		}
	}
	return out
}

// Days between which an earlier case of the same grower is last year's.
const (
	yearFrom = 60
	yearTo   = 550
)

// lastYear says of the same trouble of this grower's on the same plant, the year
// before; empty where there was none.
func (s *Service) lastYear(ctx context.Context, m Moment, c *Case) (string, error) {
	rows, err := s.Store.CasesOf(ctx, c.Intake.Person, MostEarlier)
	if err != nil {
		return "", err
	}
	for _, r := range rows {
		ago := m.Today.Sub(civil.Of(store.ParseTime(r.CreatedAt), m.Clock))
		if r.ID == c.ID || r.Cause != c.Verdict.Cause || ago < yearFrom || ago > yearTo {
			continue
		}
		return fmt.Sprintf("%s had it on %s in %s (%s).", c.Intake.Grower, r.Plant, civil.Of(store.ParseTime(r.CreatedAt), m.Clock).Month(), r.Number), nil
	}
	return "", nil
}

// MostEarlier cases of one grower that are looked through.
const MostEarlier = 50

// stagesSeen are the stages of a pest that a look already found.
func (s *Service) stagesSeen(b *knowledge.Base, c *Case, k *knowledge.Cause) []string {
	out := []string{}
	for _, l := range c.Seen() {
		f := b.Finding(l.Finding)
		if f == nil || l.Not || l.Instrument == differential.FromHistory || !slices.Contains(k.Stages, f.Stage) || slices.Contains(out, f.Stage) {
			continue
		}
		if i := f.State(l.State); i >= 0 && !f.States[i].Absent {
			out = append(out, f.Stage)
		}
	}
	return out
}

// degreeSeen is the heaviest that a look says of a trouble that brings it; nil where
// none does. What only the grower tells counts for nothing here.
func (s *Service) degreeSeen(b *knowledge.Base, c *Case, k *knowledge.Cause) *SeenDegree {
	order := []string{"", "light", "moderate", "heavy"}
	var out *SeenDegree
	for _, l := range c.Seen() {
		f := b.Finding(l.Finding)
		if f == nil || l.Not || l.Instrument == differential.FromHistory || k.Findings[l.Finding] == nil {
			continue
		}
		i := f.State(l.State)
		if i < 0 || f.States[i].Degree == "" {
			continue
		}
		if st := f.States[i]; out == nil || slices.Index(order, st.Degree) > slices.Index(order, out.Degree) {
			out = &SeenDegree{st.Degree, cmp.Or(st.Said, strings.ToLower(f.Name)+": "+cmp.Or(st.Name, st.ID))}
		}
	}
	return out
}

// whyHere ranks what was said and seen of the plant that favours the trouble and that
// somebody can change; what else favours it stands after.
func (s *Service) whyHere(m Moment, c *Case, k *knowledge.Cause, out *Weighed) {
	looks := c.Weighed()
	about, ok := m.Engine().Explain(looks, k.ID)
	if !ok {
		return
	}
	for _, w := range about.For { // strongest first
		for _, l := range looks {
			f := m.Book.Finding(l.Finding)
			if l.Finding != w.Finding || l.Not || f == nil {
				continue
			}
			if i := f.State(l.State); i >= 0 && f.States[i].Change != "" {
				st := f.States[i]
				out.Here = append(out.Here, Favours{Said: f.Name + ": " + cmp.Or(st.Name, st.ID), Change: strings.ToUpper(st.Change[:1]) + st.Change[1:] + ".", Told: f.How == "asked" || l.Instrument == differential.FromHistory})
			}
		}
	}
	out.Else = k.Why
}

// wetLately are how many days back wet leaves are looked for.
const wetLately = 14

// wetHere adds the last spell of wet leaves that let a disease in, where the plant
// stands out of doors.
func (s *Service) wetHere(m Moment, c *Case, k *knowledge.Cause, out *Weighed) error {
	if remedy.Sheltered(c.Intake.Place) {
		return nil
	}
	for _, x := range m.Book.Infections {
		if !slices.Contains(x.Causes, k.ID) {
			continue
		}
		hours, err := m.Sky.Hours(m.Spot(), m.Today.Add(-wetLately).Midnight(m.Clock), m.Today.Add(1).Midnight(m.Clock))
		if err != nil {
			return err
		}
		if events := x.Events(hours); len(events) > 0 {
			e := events[len(events)-1]
			out.Here = append([]Favours{{Said: fmt.Sprintf("Wet leaves: %d h at %.0f °C from %s, where it needs %.0f", e.Spell.Hours, e.Spell.MeanC, civil.Of(e.Spell.From, m.Clock).Brief(), e.Needed), Change: "Water the soil and not the leaves, in the morning; open the plant up; what protects has to lie on the leaf before the next such spell."}}, out.Here...)
		}
	}
	return nil
}
