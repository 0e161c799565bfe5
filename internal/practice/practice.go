package practice

import (
	"context"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/training"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/settings"
	"botanik/internal/store"
)

// Practice is how somebody does, and what comes next.
type Practice struct {
	Course      settings.Course     `json:"course"`
	Version     int                 `json:"version" doc:"of the course"`
	Today       int                 `json:"today" doc:"answers given today"`
	Days        int                 `json:"days" doc:"days of the last four weeks on which something was practised"`
	Due         int                 `json:"due" doc:"things once known that are fading"`
	Calibration training.Calibrated `json:"calibration"`
	Kinds       []KindDone          `json:"kinds"`
	Cases       []int               `json:"cases" doc:"points of the last whole cases, oldest first"`
	Sureties    []Surety            `json:"sureties" doc:"certainties to choose from"`
}

// Surety is a certainty with its word.
type Surety struct {
	Sure float64 `json:"sure"`
	Name string  `json:"name"`
}

// KindDone is how somebody does in one short form.
type KindDone struct {
	Kind  string `json:"kind"`
	Name  string `json:"name"`
	N     int    `json:"n"`
	Right int    `json:"right"`
}

// Limits of what is looked back at.
const (
	mostDrilled = 2000
	mostCases   = 12
	fourWeeks   = 28
)

// Progress is somebody's own practice.
func (s *Service) Progress(ctx context.Context, who desk.Person) (Practice, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return Practice{}, err
	}
	out := Practice{Kinds: []KindDone{}, Cases: []int{}}
	if out.Course, out.Version, err = s.House.Course(ctx); err != nil {
		return out, err
	}
	rows, err := s.Store.DrilledBy(ctx, who.ID, mostDrilled)
	if err != nil {
		return out, err
	}
	told, days, by := []training.Forecast{}, map[civil.Day]bool{}, map[string]*KindDone{}
	for _, k := range training.Kinds {
		out.Kinds = append(out.Kinds, KindDone{Kind: k, Name: training.KindNames[k]})
	}
	for i := range out.Kinds {
		by[out.Kinds[i].Kind] = &out.Kinds[i]
	}
	for _, r := range rows {
		day := civil.Of(store.ParseTime(r.At), m.Clock)
		if day == m.Today {
			out.Today++
		}
		if m.Today.Sub(day) < fourWeeks {
			days[day] = true
		}
		told = append(told, training.Forecast{Sure: r.Sure, Right: r.Correct})
		if k := by[r.Kind]; k != nil {
			k.N++
			if r.Correct {
				k.Right++
			}
		} else if len(out.Cases) < mostCases {
			out.Cases = append(out.Cases, r.Points)
		}
	}
	slices.Reverse(out.Cases)
	out.Days, out.Calibration = len(days), training.Calibrate(told)
	for _, x := range training.Sureties {
		out.Sureties = append(out.Sureties, Surety{x.Sure, x.Name})
	}
	known, err := s.remembered(ctx, who)
	for _, k := range known {
		if k.Fading(m.Now) {
			out.Due++
		}
	}
	return out, err
}

func (s *Service) remembered(ctx context.Context, who desk.Person) (map[string]training.Memory, error) {
	rows, err := s.Store.RememberedBy(ctx, who.ID)
	out := map[string]training.Memory{}
	for _, r := range rows {
		out[r.Key] = training.Memory{Right: r.Right, Wrong: r.Wrong, Last: store.ParseTime(r.Last)}
	}
	return out, err
}

// matters is what matters to practise at this desk now: the course, what was mistaken here in
// the last year, what the next weeks bring.
func (s *Service) matters(ctx context.Context, m desk.Moment, c settings.Course) (training.Interest, error) {
	out := training.Interest{Classes: c.Classes, Mixed: map[string]bool{}, Month: int(m.Today.Add(fourWeeks / 2).Month())}
	if m.South() {
		out.Month = civil.AcrossEquator(out.Month)
	}
	rows, err := s.Store.MistakenIn(ctx, store.Stamp(m.Now.AddDate(-1, 0, 0)), store.Stamp(m.Now))
	for _, r := range rows {
		out.Mixed[r.Was], out.Mixed[r.Became] = true, true
	}
	return out, err
}

// Asked is a question without its answer.
type Asked struct {
	ID      string            `json:"id"`
	Kind    string            `json:"kind"`
	Name    string            `json:"name"`
	Ask     string            `json:"ask"`
	Plate   string            `json:"plate,omitempty" doc:"cause whose plate is shown"`
	Facts   []string          `json:"facts"`
	Options []training.Choice `json:"options"`
}

// NextQuestion is the next short question: what is fading and matters most, or of one kind.
func (s *Service) NextQuestion(ctx context.Context, who desk.Person, kind string) (Asked, error) {
	if kind != "" && !slices.Contains(training.Kinds, kind) {
		return Asked{}, fault.New("kind", fmt.Sprintf("%q is no short form", kind), "use "+strings.Join(training.Kinds, ", "))
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return Asked{}, err
	}
	course, _, err := s.House.Course(ctx)
	if err != nil {
		return Asked{}, err
	}
	matters, err := s.matters(ctx, m, course)
	if err != nil {
		return Asked{}, err
	}
	known, err := s.remembered(ctx, who)
	if err != nil {
		return Asked{}, err
	}
	dice := rand.New(rand.NewPCG(rand.Uint64(), 8)) //nolint:gosec // practice, no secret
	asker := training.Asker{E: m.Engine()}
	kinds := []string{kind}
	if kind == "" {
		if kinds = slices.Clone(course.Kinds); len(kinds) == 0 {
			kinds = slices.Clone(training.Kinds)
		}
		dice.Shuffle(len(kinds), func(i, j int) { kinds[i], kinds[j] = kinds[j], kinds[i] })
	}
	if q, ok := asker.Next(kinds, known, matters, m.Now, dice); ok {
		return s.put(ctx, who, q)
	}
	return Asked{}, fault.New("kind", "nothing fair comes to mind", "try another form")
}

func (s *Service) put(ctx context.Context, who desk.Person, q training.Question) (Asked, error) {
	raw, err := json.Marshal(q)
	if err != nil {
		return Asked{}, err
	}
	d := store.OpenDrill{ID: desk.NewID(s.Now()), Account: who.ID, Kind: "question", At: store.Stamp(s.Now()), Body: string(raw)}
	return Asked{d.ID, q.Kind, training.KindNames[q.Kind], q.Ask, q.Plate, q.Facts, q.Options}, s.Store.PutDrill(ctx, d)
}

// MarkedAnswer is what an answer was worth.
type MarkedAnswer struct {
	Right  bool    `json:"right"`
	Option string  `json:"option" doc:"the right one"`
	Why    string  `json:"why"`
	Again  float64 `json:"againDays" doc:"after how many days it is as likely forgotten as known"`
}

func sureOf(sure float64) error {
	if sure < 0 || sure > 1 {
		return fault.New("sure", "is no certainty", "use 0 to 1")
	}
	return nil
}

// AnswerMe takes an answer and says what is right, and why. Errors name choice or sure.
func (s *Service) AnswerMe(ctx context.Context, who desk.Person, id, choice string, sure float64) (MarkedAnswer, error) {
	d, err := s.Store.Drill(ctx, who.ID, id)
	if err != nil || d.Kind != "question" {
		return MarkedAnswer{}, desk.ErrNotFound
	}
	var q training.Question
	if err := json.Unmarshal([]byte(d.Body), &q); err != nil {
		return MarkedAnswer{}, err
	}
	if !slices.ContainsFunc(q.Options, func(o training.Choice) bool { return o.ID == choice }) {
		return MarkedAnswer{}, fault.New("choice", fmt.Sprintf("%q is none of the answers", choice), "choose one of them")
	}
	if err := sureOf(sure); err != nil {
		return MarkedAnswer{}, err
	}
	right := choice == q.Right
	if err := s.Store.AnswerDrill(ctx, store.Drilled{ID: id, Account: who.ID, At: store.Stamp(s.Now()), Kind: q.Kind, Key: q.Key, Correct: right, Sure: sure, Points: -1}); err != nil {
		return MarkedAnswer{}, err
	}
	known, err := s.remembered(ctx, who)
	return MarkedAnswer{right, q.Right, q.Why, known[q.Key].HalfLife()}, err
}

// Learner is how somebody gets on, as the coordinator sees it: each by themselves, in no
// order of merit.
type Learner struct {
	ID     string   `json:"id"`
	Name   string   `json:"name"`
	Role   string   `json:"role"`
	N      int      `json:"n" doc:"answers given"`
	Right  int      `json:"right"`
	Days   int      `json:"days" doc:"of the last four weeks"`
	Due    int      `json:"due"`
	Says   []string `json:"says" doc:"of their certainty"`
	Course int      `json:"course" doc:"answers on what the course is about"`
}

// Learners are those who practised, by name. Coordinators only.
func (s *Service) Learners(ctx context.Context, who desk.Person) ([]Learner, error) {
	if !who.May(accounts.SeeLearners) {
		return nil, desk.ErrForbidden
	}
	list, err := s.Store.Accounts(ctx)
	if err != nil {
		return nil, err
	}
	out := []Learner{}
	for _, a := range list {
		if !a.Active {
			continue
		}
		p, err := s.Progress(ctx, desk.Person{ID: a.ID, Name: a.Name, Role: a.Role})
		if err != nil {
			return nil, err
		}
		x := Learner{ID: a.ID, Name: a.Name, Role: a.Role, N: p.Calibration.N, Days: p.Days, Due: p.Due, Says: p.Calibration.Says}
		for _, l := range p.Calibration.Levels {
			x.Right += l.Right
		}
		if x.Course, err = s.onCourse(ctx, s.Base(), a.ID, p.Course); err != nil {
			return nil, err
		}
		if x.N > 0 || a.Role == accounts.Trainee {
			out = append(out, x)
		}
	}
	return out, nil
}

func (s *Service) onCourse(ctx context.Context, b *knowledge.Base, account string, c settings.Course) (int, error) {
	rows, err := s.Store.RememberedBy(ctx, account)
	n := 0
	for _, r := range rows {
		if k := b.Cause(training.Subject(r.Key)); k != nil && slices.Contains(c.Classes, k.Class) {
			n += r.Right + r.Wrong
		}
	}
	return n, err
}
