package desk

import (
	"context"
	"slices"
	"sync"
	"time"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/core/season"
	"botanik/internal/casefile"
	"botanik/internal/store"
)

// Tag is what a plant tag shows of a case.
type Tag struct {
	ID        string         `json:"id"`
	Number    string         `json:"number"`
	Stage     casework.Stage `json:"stage"`
	Plant     string         `json:"plant"`
	Place     string         `json:"place,omitempty"`
	Grower    string         `json:"grower"`
	Line      string         `json:"line"`
	Urgency   int            `json:"urgency"`
	Certainty float64        `json:"certainty"`
	Cause     string         `json:"cause,omitempty"`
	CauseName string         `json:"causeName,omitempty"`
	Degree    string         `json:"degree,omitempty"`
	AskOn     string         `json:"askOn,omitempty"`
	CreatedAt time.Time      `json:"createdAt"`
	Version   int            `json:"version"`
	Keeper    string         `json:"keeper,omitempty" doc:"account whose case it is"`
}

// View is a case as the bench shows it: what is known of it, and of its rounds
// the one in hand.
type View struct {
	ID        string         `json:"id"`
	Number    string         `json:"number"`
	Version   int            `json:"version"`
	Stage     casework.Stage `json:"stage"`
	CreatedAt time.Time      `json:"createdAt"`
	UpdatedAt time.Time      `json:"updatedAt"`

	Intake    casefile.Intake       `json:"intake"`
	Looks     []casefile.LookRecord `json:"looks"`
	Photos    []casefile.Photo      `json:"photos"`
	Verdict   *casefile.Verdict     `json:"verdict,omitempty"`
	Act       *casefile.Act         `json:"act,omitempty"`
	Treatment *casefile.Treatment   `json:"treatment,omitempty"`
	Mix       *casefile.KeptMix     `json:"mix,omitempty"`
	Doses     []casefile.KeptDose   `json:"doses"`
	Days      *casefile.Days        `json:"days,omitempty"`
	Handover  *casefile.Handover    `json:"handover,omitempty"`
	Page      *casefile.Page        `json:"page,omitempty"`
	FollowUps []casefile.FollowUp   `json:"followUps" doc:"of all rounds, oldest first"`
	Round     int                   `json:"round" doc:"rounds of treatment handed over"`
	AskOn     string                `json:"askOn,omitempty"`
	Given     []casefile.Treated    `json:"given" doc:"what this desk's rounds put on it"`
	Closing   *casefile.Closing     `json:"closing,omitempty"`
	Keeper    *Assignee             `json:"keeper,omitempty" doc:"whose case it is; nobody's when left out"`
	Schools   map[string]string     `json:"schools,omitempty" doc:"answers this case chose over the house's"`

	Reading   differential.Ranking    `json:"reading"`
	LeftOver  []differential.LeftOver `json:"leftOver" doc:"what was seen for sure and the verdict, or before one the leader, does not explain"`
	Spoken    []knowledge.Spoken      `json:"spoken" doc:"what the story speaks of and nobody has looked at"`
	Steps     []casework.Step         `json:"steps"`
	Certainty float64                 `json:"certainty" doc:"how full the tag is, 0 to 1"`
	MayUndo   string                  `json:"mayUndo,omitempty" doc:"what u would take back"`
	Unusual   string                  `json:"unusual,omitempty" doc:"what about the plant is not met at this time of year, as a question"`
	Release   bool                    `json:"release,omitempty" doc:"a trainee prepared more than leaving it alone: an advisor hands it over"`
	HouseNews []string                `json:"houseNews" doc:"house rules changed since this case was decided"`
}

// View reads a case with its ranking, steps and what could be undone.
func (s *Service) View(ctx context.Context, id string) (View, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return View{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return View{}, err
	}
	return s.ViewOf(ctx, m, &c)
}

// ViewOf is a case as a page shows it, with what its looks say.
func (s *Service) ViewOf(ctx context.Context, m Moment, c *Case) (View, error) {
	rank, err := s.rank(ctx, m, c)
	if err != nil {
		return View{}, err
	}
	f, r := s.Facts(m.Book, &c.Doc), c.Now()
	v := View{
		ID: c.ID, Number: c.Number, Version: c.Version, Stage: c.Stage, CreatedAt: c.CreatedAt, UpdatedAt: c.UpdatedAt,
		Intake: c.Intake, Looks: c.Looks, Photos: c.Photos, Verdict: c.Verdict, Act: r.Act, Treatment: r.Treatment, Mix: r.Mix, Doses: r.Doses, Days: r.Days, Handover: r.Handover,
		Page: c.Page, FollowUps: c.FollowUps(), Round: c.Handed(), AskOn: c.AskOn, Given: c.Given(), Closing: c.Closing, Schools: c.Schools,
		Reading: rank, Spoken: s.spoken(m.Book, c), Steps: casework.Steps(f), Certainty: casework.Certainty(f), Release: r.Trainee, HouseNews: []string{},
	}
	v.LeftOver = rank.LeftOver
	if c.Verdict != nil && c.Verdict.Cause != "" {
		v.LeftOver = leftOver(m, c, c.Verdict.Cause, c.Verdict.Also)
	}
	v.Unusual = season.Unusual(season.Sample{Host: m.Book.Host(c.Intake.Host), Place: c.Intake.Place, Month: civil.Of(c.CreatedAt, m.Clock).Month(), South: m.South(), Climate: m.Rules.Local.Climate, InBloom: c.Intake.InBloom})
	if v.Doses == nil {
		v.Doses = []casefile.KeptDose{}
	}
	if v.Keeper, err = s.assignee(ctx, &c.Doc); err != nil {
		return View{}, err
	}
	if e, ok, err := s.undoable(ctx, c.ID); err != nil {
		return View{}, err
	} else if ok {
		v.MayUndo = e.Text
	}
	if c.Verdict != nil && c.Closing == nil && r.Treatment != nil && c.HouseSeen != nil {
		v.HouseNews, err = s.House.News(ctx, m.Moment, *c.HouseSeen)
	}
	return v, err
}

// spoken are the states the grower's story speaks of, of findings nobody answered.
func (s *Service) spoken(b *knowledge.Base, c *Case) []knowledge.Spoken {
	return slices.DeleteFunc(b.SpokenOf(c.Intake.Story), func(x knowledge.Spoken) bool {
		return slices.ContainsFunc(c.Looks, func(l casefile.LookRecord) bool { return l.Finding == x.Finding })
	})
}

// rank is what the looks say, by what is known before looking: the plant, the
// season and place, and what this desk itself settled lately.
func (s *Service) rank(ctx context.Context, m Moment, c *Case) (differential.Ranking, error) {
	set := setting(m, c)
	var err error
	if set.Desk, err = s.prior(ctx, m.Today); err != nil {
		return differential.Ranking{}, err
	}
	return m.Engine().Rank(set, c.Weighed()), nil
}

// setting is what is known before looking.
func setting(m Moment, c *Case) differential.Circumstances {
	return differential.Circumstances{Host: c.Intake.Host, Family: c.Intake.Family, Form: c.Intake.Form, Place: c.Intake.Place, Month: int(civil.Of(c.CreatedAt, m.Clock).Month()), South: m.South()}
}

// leftOver is what was seen for sure and the verdict does not explain.
func leftOver(m Moment, c *Case, cause, also string) []differential.LeftOver {
	return m.Engine().LeftOver(setting(m, c), c.Weighed(), []string{cause, also})
}

// experience is what the desk settled lately, each cause with its faded weight,
// as of a day and a state of the tally.
type experience struct {
	mu     sync.Mutex
	day    civil.Day
	gen    int
	weight map[string]float64
}

// prior is the desk's own experience on a day. It is reckoned once for a state of
// the tally: every look asks for it, and verdicts are few. The map must not be
// changed.
func (s *Service) prior(ctx context.Context, today civil.Day) (map[string]float64, error) {
	rows, gen, err := s.Store.ConfirmedSince(ctx, today.Add(-differential.FadeDays).String())
	if err != nil {
		return nil, err
	}
	x := &s.settled
	x.mu.Lock()
	defer x.mu.Unlock()
	if x.weight == nil || x.day != today || x.gen != gen {
		x.weight = map[string]float64{}
		x.day, x.gen = today, gen
		for _, r := range rows {
			if day, err := civil.Parse(r.Day); err == nil {
				x.weight[r.Cause] += float64(r.N) * differential.Fade(float64(today.Sub(day)))
			}
		}
	}
	return x.weight, nil
}

// Facts are what of a case its stage hangs on.
func (s *Service) Facts(b *knowledge.Base, d *casefile.Doc) casework.Facts {
	r := d.Now()
	f := casework.Facts{Looks: len(d.Looks), HandedOver: r.Handover != nil, Closed: d.Closing != nil, Act: r.Act != nil, Mix: r.Mix != nil, Days: r.Days != nil}
	if v := d.Verdict; v != nil {
		f.Verdict, f.Degree, f.NeedsReview = true, v.Degree, v.NeedsReview
		k := b.Cause(v.Cause)
		f.Refer = v.Degree == "undetermined" || k != nil && k.Regulated != ""
	}
	if t := r.Treatment; t != nil {
		f.Remedy = len(t.Remedies) > 0
		for _, id := range t.Remedies {
			if k := b.Remedy(id); k != nil {
				f.NeedsMix = f.NeedsMix || len(k.Rates) > 0
				f.NeedsDays = f.NeedsDays || k.RepeatMin > 0
			}
		}
	}
	return f
}

// TagOf is a case as its tag in a tray.
func (s *Service) TagOf(b *knowledge.Base, r store.Case) Tag {
	t := Tag{ID: r.ID, Number: r.Number, Stage: casework.Stage(r.Stage), Plant: r.Plant, Place: r.Place, Grower: r.Grower, Line: r.Story, Urgency: r.Urgency, Certainty: r.Certainty, Cause: r.Cause, Degree: r.Degree, AskOn: r.AskOn, CreatedAt: store.ParseTime(r.CreatedAt), Version: r.Version, Keeper: r.Keeper}
	if k := b.Cause(r.Cause); k != nil {
		t.CauseName = k.Name
	}
	return t
}

// TagsOf are rows as tags.
func (s *Service) TagsOf(rows []store.Case) []Tag {
	out, b := make([]Tag, 0, len(rows)), s.Base()
	for _, r := range rows {
		out = append(out, s.TagOf(b, r))
	}
	return out
}

// undoKinds are the changes u may take back; what left the desk may not.
var undoKinds = []string{"photo", "intake", "look", "verdict", "act", "remedy", "mix", "days"}

// undoable finds the newest change that was not taken back yet, when nothing
// that cannot be undone came after it.
func (s *Service) undoable(ctx context.Context, id string) (store.Event, bool, error) {
	events, err := s.Store.Events(ctx, id)
	if err != nil {
		return store.Event{}, false, err
	}
	skip := 0
	for _, e := range slices.Backward(events) {
		switch {
		case e.Kind == "undo":
			skip++
		case skip > 0:
			skip--
		case slices.Contains(undoKinds, e.Kind):
			return e, true, nil
		default:
			return store.Event{}, false, nil
		}
	}
	return store.Event{}, false, nil
}

// Assignee is whose case it is.
type Assignee struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// assignee names whose case it is; nil while nobody took it.
func (s *Service) assignee(ctx context.Context, d *casefile.Doc) (*Assignee, error) {
	if d.Keeper == "" {
		return nil, nil //nolint:nilnil // nobody's is an answer
	}
	accounts, err := s.Store.Accounts(ctx)
	if err != nil {
		return nil, err
	}
	for _, a := range accounts {
		if a.ID == d.Keeper {
			return &Assignee{a.ID, a.Name}, nil
		}
	}
	return &Assignee{d.Keeper, "somebody of before"}, nil
}
