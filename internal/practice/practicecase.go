package practice

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"slices"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/training"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// practised is a case in practice as it is kept.
type practised struct {
	Sample training.Sample `json:"sample"`
	Asked  []string        `json:"asked"`
	Used   bool            `json:"used"`            // a destructive look used the sample up
	Old    string          `json:"old,omitempty"`   // the real case it was
	Plant  string          `json:"plant,omitempty"` // of a real case, in the grower's words
}

// PracticeCase is a made-up sample on the practice bench.
type PracticeCase struct { //nolint:revive // the name the API is described by
	ID      string              `json:"id"`
	Host    string              `json:"host" doc:"id"`
	Plant   string              `json:"plant"`
	Place   string              `json:"place"`
	Month   int                 `json:"month"`
	Story   string              `json:"story"`
	Sprayer string              `json:"sprayer" doc:"what the grower's own sprayer holds"`
	Looks   []differential.Look `json:"looks" doc:"what was asked and seen, in order"`
	Minutes float64             `json:"minutes"`
	Used    bool                `json:"used,omitempty" doc:"the sample was used up: nothing more can be looked at"`
	Only    []string            `json:"only,omitempty" doc:"of a real sample of before: findings that were looked at then"`
}

func (s *Service) practiceCase(b *knowledge.Base, id string, p practised) PracticeCase {
	out := PracticeCase{ID: id, Host: p.Sample.Setting.Host, Place: p.Sample.Setting.Place, Month: p.Sample.Setting.Month, Story: p.Sample.Story, Sprayer: p.Sample.Sprayer(), Looks: []differential.Look{}, Used: p.Used}
	if h := b.Host(out.Host); h != nil {
		out.Plant = h.Name
	}
	if p.Plant != "" {
		out.Plant = p.Plant
	}
	if p.Sample.Only {
		out.Only = slices.Sorted(maps.Keys(p.Sample.There))
	}
	for _, f := range p.Asked {
		out.Looks = append(out.Looks, p.Sample.Answer(b, f)...)
		if x := b.Finding(f); x != nil {
			out.Minutes += x.Minutes
		}
	}
	return out
}

// PractiseCase brings a made-up sample to practise on.
func (s *Service) PractiseCase(ctx context.Context, who desk.Person) (PracticeCase, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	course, _, err := s.House.Course(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	matters, err := s.matters(ctx, m, course)
	if err != nil {
		return PracticeCase{}, err
	}
	sample, err := training.Draw(m.Engine(), rand.New(rand.NewPCG(rand.Uint64(), 9)), m.South(), matters.Of) //nolint:gosec // practice, no secret
	if err != nil {
		return PracticeCase{}, err
	}
	p := practised{Sample: sample, Asked: []string{}}
	id := desk.NewID(s.Now())
	return s.practiceCase(m.Book, id, p), s.keepPractice(ctx, who, id, p)
}

func (s *Service) keepPractice(ctx context.Context, who desk.Person, id string, p practised) error {
	raw, err := json.Marshal(p)
	if err != nil {
		return err
	}
	return s.Store.PutDrill(ctx, store.OpenDrill{ID: id, Account: who.ID, Kind: "case", At: store.Stamp(s.Now()), Body: string(raw)})
}

func (s *Service) practised(ctx context.Context, who desk.Person, id string) (practised, error) {
	var p practised
	d, err := s.Store.Drill(ctx, who.ID, id)
	if err != nil || d.Kind != "case" {
		return p, desk.ErrNotFound
	}
	return p, json.Unmarshal([]byte(d.Body), &p)
}

// PracticeAt is a sample somebody practises on.
func (s *Service) PracticeAt(ctx context.Context, who desk.Person, id string) (PracticeCase, error) {
	p, err := s.practised(ctx, who, id)
	return s.practiceCase(s.Base(), id, p), err
}

// LookInPractice asks for one look. Errors name finding.
func (s *Service) LookInPractice(ctx context.Context, who desk.Person, id, finding string) (PracticeCase, error) {
	p, err := s.practised(ctx, who, id)
	if err != nil {
		return PracticeCase{}, err
	}
	b := s.Base()
	f := b.Finding(finding)
	switch {
	case f == nil:
		return PracticeCase{}, fault.New("finding", fmt.Sprintf("%q is not a finding of the herbarium", finding), "choose a line of the sample")
	case p.Used:
		return PracticeCase{}, fault.New("finding", "the sample is used up", "say what it is, or send it on")
	case p.Sample.Only && len(p.Sample.There[finding]) == 0:
		return PracticeCase{}, fault.New("finding", "nobody looked at that then", "choose one of the lines that were looked at")
	case !slices.Contains(p.Asked, finding):
		p.Asked = append(p.Asked, finding)
		p.Used = f.Destructive && !p.Sample.Only
		if err := s.keepPractice(ctx, who, id, p); err != nil {
			return PracticeCase{}, err
		}
	}
	return s.practiceCase(b, id, p), nil
}

// JudgePractice takes the verdict on a made-up sample and shows what it was, what an expert
// would have asked, and what it was worth. Errors name cause, act, sure, remedy, amount or every.
func (s *Service) JudgePractice(ctx context.Context, who desk.Person, id string, v training.PracticeVerdict) (training.Score, error) {
	p, err := s.practised(ctx, who, id)
	if err != nil {
		return training.Score{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return training.Score{}, err
	}
	var l fault.List
	if v.Cause != "" && m.Book.Cause(v.Cause) == nil {
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", v.Cause), "choose one, or leave it undetermined")
	}
	if !slices.Contains([]string{"act", "wait", "refer"}, v.Act) {
		l.Add("act", "is none of the three", "use act, wait or refer")
	}
	if v.Remedy != "" && m.Book.Remedy(v.Remedy) == nil {
		l.Add("remedy", fmt.Sprintf("%q is not a remedy of the herbarium", v.Remedy), "choose one, or none")
	}
	l.AddErr("", sureOf(v.Sure))
	if v.Amount != "" {
		if d := training.DosingOf(m.Book, m.Rules, v.Remedy, p.Sample.Sprayer()); d.Unit == "" {
			l.Add("amount", "nothing of this is mixed into a sprayer", "leave it empty")
		} else if _, err := training.ReadAmount(v.Amount, d.Unit); err != nil {
			l.AddErr("", err)
		}
	}
	if v.Every < 0 || v.Every > 365 {
		l.Add("every", "is no number of days", "use 1 to 365, or leave it out")
	}
	if err := l.Err(); err != nil {
		return training.Score{}, err
	}
	set := p.Sample.Setting
	advice, err := remedy.Advise(m.Book, p.Sample.Cause, remedy.Situation{Host: set.Host, Place: set.Place, South: set.South, Date: fmt.Sprintf("%d-%02d-15", m.Today.Year(), set.Month), Pressure: "moderate", House: m.Rules})
	advise := func(id string) *remedy.Offer {
		for i := range advice.Offers {
			if advice.Offers[i].Remedy == id {
				return &advice.Offers[i]
			}
		}
		return nil
	}
	if err != nil {
		advise = nil // of what is not in the book, nothing is advised
	}
	score := training.Grade(m.Engine(), p.Sample, p.Asked, v, m.Rules, advise)
	key := "case/" + p.Sample.Cause
	if p.Old != "" {
		key = "old/" + p.Old
	}
	return score, s.Store.AnswerDrill(ctx, store.Drilled{ID: id, Account: who.ID, At: store.Stamp(s.Now()), Kind: "case", Key: key, Correct: score.Right != "no", Sure: v.Sure, Points: score.Points})
}
