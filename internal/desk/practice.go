package desk

import (
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"regexp"
	"slices"
	"strings"

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/drill"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/house"
	"botanik/internal/people"
	"botanik/internal/store"
)

// Practice is how somebody does, and what comes next.
type Practice struct {
	Course      house.Course     `json:"course"`
	Version     int              `json:"version" doc:"of the course"`
	Today       int              `json:"today" doc:"answers given today"`
	Days        int              `json:"days" doc:"days of the last four weeks on which something was practised"`
	Due         int              `json:"due" doc:"things once known that are fading"`
	Calibration drill.Calibrated `json:"calibration"`
	Kinds       []KindDone       `json:"kinds"`
	Cases       []int            `json:"cases" doc:"points of the last whole cases, oldest first"`
	Sureties    []Surety         `json:"sureties" doc:"certainties to choose from"`
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
	mostDrilled  = 2000
	mostCases    = 12
	freshAtATime = 6
	fourWeeks    = 28
)

// HowIDo is somebody's own practice.
func (s *Service) HowIDo(ctx context.Context, who Person) (Practice, error) {
	m, err := s.House.Moment(ctx)
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
	told, days, by := []drill.Told{}, map[civil.Day]bool{}, map[string]*KindDone{}
	for _, k := range drill.Kinds {
		out.Kinds = append(out.Kinds, KindDone{Kind: k, Name: drill.KindNames[k]})
	}
	for i := range out.Kinds {
		by[out.Kinds[i].Kind] = &out.Kinds[i]
	}
	for _, r := range rows {
		day := civil.Of(store.Moment(r.At), m.Clock)
		if day == m.Today {
			out.Today++
		}
		if m.Today.Sub(day) < fourWeeks {
			days[day] = true
		}
		told = append(told, drill.Told{Sure: r.Sure, Right: r.Correct})
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
	out.Days, out.Calibration = len(days), drill.Calibrate(told)
	for _, x := range drill.Sureties {
		out.Sureties = append(out.Sureties, Surety{x.Sure, x.Name})
	}
	known, err := s.remembered(ctx, who)
	for _, k := range known {
		if k.Recall(m.Now) < .8 {
			out.Due++
		}
	}
	return out, err
}

func (s *Service) remembered(ctx context.Context, who Person) (map[string]drill.Memory, error) {
	rows, err := s.Store.RememberedBy(ctx, who.ID)
	out := map[string]drill.Memory{}
	for _, r := range rows {
		out[r.Key] = drill.Memory{Right: r.Right, Wrong: r.Wrong, Last: store.Moment(r.Last)}
	}
	return out, err
}

// How much more something matters (judgement): what the course is about, what this desk
// mistook in the last year, what the next weeks bring.
const (
	inCourse   = 4.
	mistakenBy = 2.
	inSeason   = 1.5
)

// matters answers what a cause matters to practise at this desk now.
func (s *Service) matters(ctx context.Context, m house.Moment, c house.Course) (func(*knowledge.Cause) float64, error) {
	rows, err := s.Store.MistakenIn(ctx, store.Stamp(m.Now.AddDate(-1, 0, 0)), store.Stamp(m.Now))
	if err != nil {
		return nil, err
	}
	mixed := map[string]bool{}
	for _, r := range rows {
		mixed[r.Was], mixed[r.Became] = true, true
	}
	month := int(m.Today.Add(fourWeeks / 2).Month())
	if m.South() {
		month = civil.AcrossEquator(month)
	}
	return func(k *knowledge.Cause) float64 {
		if k == nil {
			return 1
		}
		w := 1.
		if len(c.Classes) > 0 && slices.Contains(c.Classes, k.Class) {
			w *= inCourse
		}
		if mixed[k.ID] {
			w *= mistakenBy
		}
		if slices.Contains(k.Months, month) {
			w *= inSeason
		}
		return w
	}, nil
}

// Asked is a question without its answer.
type Asked struct {
	ID      string         `json:"id"`
	Kind    string         `json:"kind"`
	Name    string         `json:"name"`
	Ask     string         `json:"ask"`
	Plate   string         `json:"plate,omitempty" doc:"cause whose plate is shown"`
	Facts   []string       `json:"facts"`
	Options []drill.Choice `json:"options"`
}

// AskMe is the next short question: what is fading and matters most, or of one kind.
func (s *Service) AskMe(ctx context.Context, who Person, kind string) (Asked, error) {
	if kind != "" && !slices.Contains(drill.Kinds, kind) {
		return Asked{}, fault.New("kind", fmt.Sprintf("%q is no short form", kind), "use "+strings.Join(drill.Kinds, ", "))
	}
	m, err := s.House.Moment(ctx)
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
	asker := drill.Asker{E: s.Engine()}
	kinds := []string{kind}
	if kind == "" {
		if kinds = slices.Clone(course.Kinds); len(kinds) == 0 {
			kinds = slices.Clone(drill.Kinds)
		}
		dice.Shuffle(len(kinds), func(i, j int) { kinds[i], kinds[j] = kinds[j], kinds[i] })
	}
	for _, k := range kinds {
		things := []drill.Thing{}
		for _, key := range asker.Things(k) {
			things = append(things, drill.Thing{Key: key, Weight: matters(s.Base().Cause(strings.SplitN(key+"/", "/", 3)[1])) * (1 + dice.Float64())})
		}
		keys := drill.Next(things, known, m.Now, freshAtATime)
		for _, t := range things { // when nothing is due, whatever there is
			keys = append(keys, t.Key)
			if len(keys) > 60 {
				break
			}
		}
		for _, key := range keys {
			if q, ok := asker.Question(key, dice); ok {
				return s.put(ctx, who, q)
			}
		}
	}
	return Asked{}, fault.New("kind", "nothing fair comes to mind", "try another form")
}

func (s *Service) put(ctx context.Context, who Person, q drill.Question) (Asked, error) {
	raw, err := json.Marshal(q)
	if err != nil {
		return Asked{}, err
	}
	d := store.OpenDrill{ID: newID(s.Now()), Account: who.ID, Kind: "question", At: store.Stamp(s.Now()), Body: string(raw)}
	return Asked{d.ID, q.Kind, drill.KindNames[q.Kind], q.Ask, q.Plate, q.Facts, q.Options}, s.Store.PutDrill(ctx, d)
}

// Marked is what an answer was worth.
type Marked struct {
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
func (s *Service) AnswerMe(ctx context.Context, who Person, id, choice string, sure float64) (Marked, error) {
	d, err := s.Store.Drill(ctx, who.ID, id)
	if err != nil || d.Kind != "question" {
		return Marked{}, ErrNotFound
	}
	var q drill.Question
	if err := json.Unmarshal([]byte(d.Body), &q); err != nil {
		return Marked{}, err
	}
	if !slices.ContainsFunc(q.Options, func(o drill.Choice) bool { return o.ID == choice }) {
		return Marked{}, fault.New("choice", fmt.Sprintf("%q is none of the answers", choice), "choose one of them")
	}
	if err := sureOf(sure); err != nil {
		return Marked{}, err
	}
	right := choice == q.Right
	if err := s.Store.AnswerDrill(ctx, store.Drilled{ID: id, Account: who.ID, At: store.Stamp(s.Now()), Kind: q.Kind, Key: q.Key, Correct: right, Sure: sure, Points: -1}); err != nil {
		return Marked{}, err
	}
	known, err := s.remembered(ctx, who)
	return Marked{right, q.Right, q.Why, known[q.Key].HalfLife()}, err
}

// practised is a case in practice as it is kept.
type practised struct {
	Sample drill.Sample `json:"sample"`
	Asked  []string     `json:"asked"`
	Used   bool         `json:"used"`            // a destructive look used the sample up
	Old    string       `json:"old,omitempty"`   // the real case it was
	Plant  string       `json:"plant,omitempty"` // of a real case, in the grower's words
}

// PracticeCase is a made-up sample on the practice bench.
type PracticeCase struct {
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

func (s *Service) practiceCase(id string, p practised) PracticeCase {
	out := PracticeCase{ID: id, Host: p.Sample.Setting.Host, Place: p.Sample.Setting.Place, Month: p.Sample.Setting.Month, Story: p.Sample.Story, Sprayer: p.Sample.Sprayer(), Looks: []differential.Look{}, Used: p.Used}
	if h := s.Base().Host(out.Host); h != nil {
		out.Plant = h.Name
	}
	if p.Plant != "" {
		out.Plant = p.Plant
	}
	if p.Sample.Only {
		out.Only = slices.Sorted(maps.Keys(p.Sample.There))
	}
	for _, f := range p.Asked {
		out.Looks = append(out.Looks, p.Sample.Answer(s.Base(), f)...)
		if x := s.Base().Finding(f); x != nil {
			out.Minutes += x.Minutes
		}
	}
	return out
}

// PractiseCase brings a made-up sample to practise on.
func (s *Service) PractiseCase(ctx context.Context, who Person) (PracticeCase, error) {
	m, err := s.House.Moment(ctx)
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
	sample, err := drill.Draw(s.Engine(), rand.New(rand.NewPCG(rand.Uint64(), 9)), m.South(), matters) //nolint:gosec // practice, no secret
	if err != nil {
		return PracticeCase{}, err
	}
	p := practised{Sample: sample, Asked: []string{}}
	id := newID(s.Now())
	return s.practiceCase(id, p), s.keepPractice(ctx, who, id, p)
}

func (s *Service) keepPractice(ctx context.Context, who Person, id string, p practised) error {
	raw, err := json.Marshal(p)
	if err != nil {
		return err
	}
	return s.Store.PutDrill(ctx, store.OpenDrill{ID: id, Account: who.ID, Kind: "case", At: store.Stamp(s.Now()), Body: string(raw)})
}

func (s *Service) practised(ctx context.Context, who Person, id string) (practised, error) {
	var p practised
	d, err := s.Store.Drill(ctx, who.ID, id)
	if err != nil || d.Kind != "case" {
		return p, ErrNotFound
	}
	return p, json.Unmarshal([]byte(d.Body), &p)
}

// PracticeAt is a sample somebody practises on.
func (s *Service) PracticeAt(ctx context.Context, who Person, id string) (PracticeCase, error) {
	p, err := s.practised(ctx, who, id)
	return s.practiceCase(id, p), err
}

// LookInPractice asks for one look. Errors name finding.
func (s *Service) LookInPractice(ctx context.Context, who Person, id, finding string) (PracticeCase, error) {
	p, err := s.practised(ctx, who, id)
	if err != nil {
		return PracticeCase{}, err
	}
	f := s.Base().Finding(finding)
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
	return s.practiceCase(id, p), nil
}

// JudgePractice takes the verdict on a made-up sample and shows what it was, what an expert
// would have asked, and what it was worth. Errors name cause, act, sure, remedy, amount or every.
func (s *Service) JudgePractice(ctx context.Context, who Person, id string, v drill.PracticeVerdict) (drill.Score, error) {
	p, err := s.practised(ctx, who, id)
	if err != nil {
		return drill.Score{}, err
	}
	var l fault.List
	if v.Cause != "" && s.Base().Cause(v.Cause) == nil {
		l.Add("cause", fmt.Sprintf("%q is not a cause of the herbarium", v.Cause), "choose one, or leave it undetermined")
	}
	if !slices.Contains([]string{"act", "wait", "refer"}, v.Act) {
		l.Add("act", "is none of the three", "use act, wait or refer")
	}
	if v.Remedy != "" && s.Base().Remedy(v.Remedy) == nil {
		l.Add("remedy", fmt.Sprintf("%q is not a remedy of the herbarium", v.Remedy), "choose one, or none")
	}
	l.AddErr("", sureOf(v.Sure))
	m, err := s.House.Moment(ctx)
	if err != nil {
		return drill.Score{}, err
	}
	if v.Amount != "" {
		if d := drill.DosingOf(s.Base(), m.Rules, v.Remedy, p.Sample.Sprayer()); d.Unit == "" {
			l.Add("amount", "nothing of this is mixed into a sprayer", "leave it empty")
		} else if _, err := drill.ReadAmount(v.Amount, d.Unit); err != nil {
			l.AddErr("", err)
		}
	}
	if v.Every < 0 || v.Every > 365 {
		l.Add("every", "is no number of days", "use 1 to 365, or leave it out")
	}
	if err := l.Err(); err != nil {
		return drill.Score{}, err
	}
	set := p.Sample.Setting
	advice, err := remedy.Advise(s.Base(), p.Sample.Cause, remedy.Situation{Host: set.Host, Place: set.Place, South: set.South, Date: fmt.Sprintf("%d-%02d-15", m.Today.Year(), set.Month), Pressure: "moderate", House: m.Rules})
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
	score := drill.Judge(s.Engine(), p.Sample, p.Asked, v, m.Rules, advise)
	key := "case/" + p.Sample.Cause
	if p.Old != "" {
		key = "old/" + p.Old
	}
	return score, s.Store.AnswerDrill(ctx, store.Drilled{ID: id, Account: who.ID, At: store.Stamp(s.Now()), Kind: "case", Key: key, Correct: score.Right != "no", Sure: v.Sure, Points: score.Points})
}

// OldCase is a closed case of this desk as practice: what it was on, and nothing of who.
type OldCase struct {
	ID    string `json:"id"`
	Plant string `json:"plant"`
	Place string `json:"place"`
	Looks int    `json:"looks" doc:"lines that were looked at then"`
	Done  bool   `json:"done,omitempty" doc:"practised before by who asks"`
}

// fewestLooks are what a case has to have of looks to be practised on.
const fewestLooks = 3

// OfferPractice offers a closed case as practice, or no longer. Coordinators only. Errors
// say why a case cannot be practised on.
func (s *Service) OfferPractice(ctx context.Context, who Person, id string, offer bool) error {
	c, err := s.read(ctx, id)
	if err != nil {
		return err
	}
	switch {
	case !offer:
	case c.Closing == nil || c.Verdict == nil:
		return fault.New("", "the case is not closed", "offer it when it is known how it ended")
	case len(c.Looks) < fewestLooks:
		return fault.New("", fmt.Sprintf("only %d lines of it were looked at", len(c.Looks)), "offer one in which more was looked at")
	}
	return s.House.Offer(ctx, who, id, offer)
}

// OldCases are the closed cases that are offered as practice.
func (s *Service) OldCases(ctx context.Context, who Person) ([]OldCase, error) {
	ids, _, err := s.House.Offered(ctx)
	if err != nil {
		return nil, err
	}
	known, err := s.remembered(ctx, who)
	if err != nil {
		return nil, err
	}
	out := []OldCase{}
	for _, id := range ids {
		c, err := s.read(ctx, id)
		if err != nil || c.Closing == nil { // gone, or opened again
			continue
		}
		_, done := known["old/"+id]
		out = append(out, OldCase{id, c.Intake.Plant, c.Intake.Place, len(c.Looks), done})
	}
	return out, nil
}

// PractiseOld brings a closed case of this desk to practise on, without its person.
func (s *Service) PractiseOld(ctx context.Context, who Person, id string) (PracticeCase, error) {
	ids, _, err := s.House.Offered(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	c, err := s.read(ctx, id)
	if err != nil || !slices.Contains(ids, id) || c.Closing == nil || c.Verdict == nil {
		return PracticeCase{}, ErrNotFound
	}
	m, err := s.House.Moment(ctx)
	if err != nil {
		return PracticeCase{}, err
	}
	sample := drill.Sample{Only: true, Cause: c.Verdict.Cause, There: map[string][]string{}, Story: nameless(c.Intake.Story, c.Intake.Grower, c.Intake.Contact), Setting: differential.Circumstances{Host: c.Intake.Host, Family: c.Intake.Family, Form: c.Intake.Form, Place: c.Intake.Place, Month: int(civil.Of(c.CreatedAt, m.Clock).Month()), South: m.South()}}
	if c.Closing.Confirmed != "" {
		sample.Cause = c.Closing.Confirmed
	} else if c.Verdict.Degree == "undetermined" {
		sample.Cause = ""
	}
	for _, l := range c.Looks {
		if !l.Not {
			sample.There[l.Finding] = append(sample.There[l.Finding], l.State)
		}
	}
	p := practised{Sample: sample, Asked: []string{}, Old: id, Plant: c.Intake.Plant}
	fresh := newID(s.Now())
	return s.practiceCase(fresh, p), s.keepPractice(ctx, who, fresh, p)
}

// nameless takes who somebody is out of a story: the name, its parts and the address.
func nameless(story, name, contact string) string {
	words := append(nameParts(name), name, contact, ReachOf(contact))
	words = slices.DeleteFunc(words, func(w string) bool { return len([]rune(w)) < 2 })
	slices.SortFunc(words, func(a, b string) int { return len(b) - len(a) })
	for _, w := range words {
		story = regexp.MustCompile(`(?i)(^|[^\pL\pN])`+regexp.QuoteMeta(w)+`($|[^\pL\pN])`).ReplaceAllString(story, "${1}the grower${2}")
	}
	return story
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
func (s *Service) Learners(ctx context.Context, who Person) ([]Learner, error) {
	if who.Role != people.Coordinator {
		return nil, ErrForbidden
	}
	accounts, err := s.Store.Accounts(ctx)
	if err != nil {
		return nil, err
	}
	out := []Learner{}
	for _, a := range accounts {
		if !a.Active {
			continue
		}
		p, err := s.HowIDo(ctx, Person{ID: a.ID, Name: a.Name, Role: a.Role})
		if err != nil {
			return nil, err
		}
		x := Learner{ID: a.ID, Name: a.Name, Role: a.Role, N: p.Calibration.N, Days: p.Days, Due: p.Due, Says: p.Calibration.Says}
		for _, l := range p.Calibration.Levels {
			x.Right += l.Right
		}
		if x.Course, err = s.onCourse(ctx, a.ID, p.Course); err != nil {
			return nil, err
		}
		if x.N > 0 || a.Role == people.Trainee {
			out = append(out, x)
		}
	}
	return out, nil
}

func (s *Service) onCourse(ctx context.Context, account string, c house.Course) (int, error) {
	rows, err := s.Store.RememberedBy(ctx, account)
	n := 0
	for _, r := range rows {
		if k := s.Base().Cause(strings.SplitN(r.Key+"/", "/", 3)[1]); k != nil && slices.Contains(c.Classes, k.Class) {
			n += r.Right + r.Wrong
		}
	}
	return n, err
}
