package httpapi

import (
	"context"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"net/http"
	"strconv"
	"strings"

	"botanik/core/casework"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/internal/accounts"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/overview"
	"botanik/internal/settings"

	"github.com/danielgtaylor/huma/v2"
)

// out is an answer with the version of what it shows.
type out[T any] struct {
	ETag string `header:"ETag"`
	Body T
}

func versioned[T any](body T, version int) *out[T] {
	return &out[T]{ETag: fmt.Sprintf("%q", strconv.Itoa(version)), Body: body}
}

// A group is what a kind of operation has in common: who may call it, and what
// it can answer. Only operations of the public group come without a session.
func (s *Server) group(problems []int, security map[string][]string, middlewares ...func(huma.Context, func(huma.Context))) huma.API {
	g := huma.NewGroup(s.API, "/api/v1")
	g.UseMiddleware(append([]func(huma.Context, func(huma.Context)){s.arrives}, middlewares...)...)
	g.UseSimpleModifier(func(op *huma.Operation) {
		op.Errors = append(op.Errors, problems...)
		if op.Security == nil {
			op.Security = []map[string][]string{security}
		}
	})
	return g
}

func (s *Server) public() huma.API { return s.group(problemsPublic, map[string][]string{}) }

func (s *Server) reading() huma.API {
	return s.group(problemsRead, map[string][]string{schemeSession: {}}, s.guard)
}

func (s *Server) asking() huma.API {
	return s.group(problemsAsk, map[string][]string{schemeSession: {}, schemeToken: {}}, s.guard)
}

func (s *Server) changing() huma.API {
	return s.group(problemsChange, map[string][]string{schemeSession: {}, schemeToken: {}}, s.guard)
}

// register adds an operation whose answer carries no version.
func register[I, O any](s *Server, g huma.API, method, id, tag, path, summary string, f func(context.Context, *I) (O, error)) {
	huma.Register(g, huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, Tags: []string{tag}, DefaultStatus: http.StatusOK}, func(ctx context.Context, in *I) (*struct{ Body O }, error) {
		body, err := f(ctx, in)
		if err != nil {
			return nil, answer(s.log, err)
		}
		return &struct{ Body O }{body}, nil
	})
}

// get registers a reading operation for signed-in people.
func get[I, O any](s *Server, id, tag, path, summary string, f func(context.Context, *I) (O, error)) {
	register(s, s.reading(), http.MethodGet, id, tag, path, summary, f)
}

// ask registers an operation that works something out and changes nothing.
func ask[I, O any](s *Server, id, tag, path, summary string, f func(context.Context, *I) (O, error)) {
	register(s, s.asking(), http.MethodPost, id, tag, path, summary, f)
}

// onCase is the input of every change of a case.
type onCase[B any] struct {
	ID      string `path:"id" maxLength:"40"`
	IfMatch string `header:"If-Match" doc:"the version you read"`
	Body    B
}

func version(h string) (int, error) {
	if h == "" {
		return 0, versionMissing("If-Match")
	}
	v, err := strconv.Atoi(strings.Trim(strings.TrimPrefix(h, "W/"), `"`))
	if err != nil {
		return 0, problem(http.StatusUnprocessableEntity, "fields", "Version unreadable", "If-Match: is not a version; send the number you read", fault.Fault{Field: "If-Match", Problem: "is not a version", Mend: "send the number you read"})
	}
	return v, nil
}

// change registers an operation that changes a case and answers with it.
func change[B any](s *Server, id, method, path, summary string, f func(ctx context.Context, p desk.Person, id string, from int, body B) (desk.View, error)) {
	op := huma.Operation{OperationID: id, Method: method, Path: "/cases/{id}" + path, Summary: summary, Tags: []string{"cases"}, DefaultStatus: http.StatusOK}
	huma.Register(s.changing(), op, func(ctx context.Context, in *onCase[B]) (*out[desk.View], error) {
		from, err := version(in.IfMatch)
		if err != nil {
			return nil, err
		}
		v, err := f(ctx, who(ctx), in.ID, from, in.Body)
		if err != nil {
			return nil, answer(s.log, err)
		}
		return versioned(v, v.Version), nil
	})
}

type none struct{}

type byID struct {
	ID string `path:"id" maxLength:"40"`
}

func (s *Server) routes() {
	s.sessionRoutes()
	s.readRoutes()
	s.caseRoutes()
	s.computeRoutes()
	s.scopeRoutes()
	s.weatherRoutes()
	s.messageRoutes()
	s.growerRoutes()
	s.seasonRoutes()
	s.joinRoutes()
	s.drillRoutes()
	s.houseRoutes()
	if err := describe(s.API.OpenAPI()); err != nil {
		panic(err) // the examples are compiled in
	}
}

// Vocabulary is what the page needs of the herbarium.
type Vocabulary struct {
	Findings []*knowledge.Finding `json:"findings"`
	Hosts    []*knowledge.Host    `json:"hosts"`
	Causes   []CauseName          `json:"causes"`
	Remedies []*knowledge.Remedy  `json:"remedies"`
	Schools  []*knowledge.School  `json:"schools"`
	Places   []string             `json:"places" doc:"where a plant can grow"`
	Forms    []string             `json:"forms" doc:"what kind of plant an unknown one is"`
	Rungs    []string             `json:"rungs" doc:"names of the ladder's rungs, mildest first"`
	Policed  []string             `json:"policed" doc:"remedies a house may have a policy on, mildest first"`

	Stages     []casework.Stage `json:"stages" doc:"of a case, in order"`
	Outcomes   []string         `json:"outcomes" doc:"how a case can end, best first"`
	Sure       []string         `json:"sure" doc:"degrees of a verdict of which the desk says it is sure"`
	Sheltered  []string         `json:"sheltered" doc:"places that have their own seasons"`
	RoomC      float64          `json:"roomC" doc:"how warm a room is where nobody read it, °C"`
	GlassOverC float64          `json:"glassOverC" doc:"how much warmer than the air outside it is under glass, °C"`
	RoomForms  []string         `json:"roomForms" doc:"plants that stand in a room until somebody says otherwise"`
	Regions    []string         `json:"regions" doc:"of the world, where the desk may be"`
}

// CauseName is a cause without its text.
type CauseName struct {
	ID         string         `json:"id"`
	Name       string         `json:"name"`
	Scientific string         `json:"scientific,omitempty"`
	Kind       string         `json:"kind"`
	Class      string         `json:"class"`
	Group      string         `json:"group"`
	Stages     []string       `json:"stages"`
	Regulated  bool           `json:"regulated"`
	LabOnly    bool           `json:"labOnly"`
	Drawing    map[string]any `json:"drawing"`
	SizeMM     []float64      `json:"sizeMm,omitempty" doc:"from and to, for the bar beside its drawing"`
	Tolerable  string         `json:"tolerable"`
	Unit       string         `json:"unit"`
	MayTreat   bool           `json:"mayTreat" doc:"a regulated cause the house may say need not be reported here"`
	Winter     bool           `json:"winter,omitempty" doc:"the book has a winter spray against it"`
}

func (s *Server) vocabulary() Vocabulary {
	b := s.desk.Base()
	v := Vocabulary{Findings: b.InOrderOfLooking(), Hosts: b.Hosts, Remedies: b.Remedies, Schools: b.Schools, Causes: []CauseName{}, Places: knowledge.Places, Forms: knowledge.Forms, Rungs: knowledge.Rungs, Policed: b.PolicedRemedies(), Stages: casework.Stages, Outcomes: casework.Outcomes, Sure: differential.SureDegrees, Sheltered: remedy.ShelteredPlaces, RoomC: remedy.RoomC, GlassOverC: remedy.GlassOverC, RoomForms: knowledge.RoomForms, Regions: knowledge.Regions}
	for _, c := range b.Causes {
		st := c.Stages
		if st == nil {
			st = []string{}
		}
		v.Causes = append(v.Causes, CauseName{c.ID, c.Name, c.Scientific, c.Kind, c.Class, c.Group, st, c.Regulated != "", c.LabOnly != "", c.Drawing, c.SizeMm, c.Tolerable.Text, c.Tolerable.Unit, c.Unreported != "", remedy.HasWinter(b, c)})
	}
	return v
}

func (s *Server) readRoutes() {
	get(s, "today", "cases", "/today", "The counter: trays, who to ask, notices", func(ctx context.Context, _ *none) (overview.Today, error) { return s.overview.Today(ctx) })
	s.vocabularyRoute()
	get(s, "cause", "herbarium", "/causes/{id}", "One cause with its whole text", func(_ context.Context, in *byID) (knowledge.Cause, error) {
		c := s.desk.Base().Cause(in.ID)
		if c == nil {
			return knowledge.Cause{}, desk.ErrNotFound
		}
		return *c, nil
	})
	get(s, "list-cases", "cases", "/cases", "Cases of a stage, newest first", func(ctx context.Context, in *struct {
		Stage  string `query:"stage" enum:"waiting,bench,review,ready,handed,referred,closed"`
		Cursor string `query:"cursor"`
		Limit  int    `query:"limit" minimum:"1" maximum:"200" default:"50"`
	}) (desk.CaseList, error) {
		return s.desk.Cases(ctx, in.Stage, in.Cursor, in.Limit)
	})
	get(s, "search", "cases", "/search", "Find cases by words", func(ctx context.Context, in *struct {
		Words string `query:"q" minLength:"1" maxLength:"100" required:"true"`
	}) ([]desk.Tag, error) {
		return s.desk.Search(ctx, in.Words)
	})
	get(s, "split", "herbarium", "/split", "The looks that tell two or three causes apart", func(_ context.Context, in *struct {
		Causes []string `query:"cause,explode" required:"true"`
	}) ([]differential.SplitLook, error) {
		return s.desk.Engine().Split(in.Causes)
	})
	get(s, "browse", "herbarium", "/browse", "Causes of a plant, and causes that show what is seen", func(_ context.Context, in *struct {
		Host string   `query:"host" doc:"host id"`
		Seen []string `query:"seen,explode" maxItems:"8" doc:"finding=state, as often as need be"`
	}) ([]knowledge.Match, error) {
		return s.desk.Base().Browse(in.Host, in.Seen)
	})
	register(s, s.public(), http.MethodGet, "page", "grower", "/page/{token}", "The grower's own page, without an account", func(ctx context.Context, in *struct {
		Token string `path:"token" maxLength:"64"`
	}) (casefile.Sheet, error) {
		return s.loop.SheetByToken(ctx, in.Token)
	})
}

func (s *Server) computeRoutes() {
	ask(s, "blend", "computation", "/blend", "Work out a mix without a case", func(ctx context.Context, in *struct{ Body dosage.MixInput }) (dosage.Mixed, error) {
		return s.desk.Blend(ctx, in.Body)
	})
	ask(s, "place", "computation", "/place", "Dust, drench or helpers over a bed, pots or plants", func(ctx context.Context, in *struct{ Body dosage.PlaceInput }) (dosage.Dosed, error) {
		return s.desk.Place(ctx, in.Body)
	})
	ask(s, "convert", "computation", "/convert", "The same physical amount in another unit", func(_ context.Context, in *struct{ Body convertInput }) (mix.Converted, error) {
		return mix.ConvertedTo(in.Body.Amount, in.Body.To)
	})
	ask(s, "need", "computation", "/need", "How much finished mix these plants want", func(_ context.Context, in *struct{ Body needInput }) (mix.Need, error) {
		return mix.SprayNeed(in.Body.Plants)
	})
	ask(s, "earlier", "computation", "/earlier", "Read what a grower says was sprayed, and what it could have been", func(ctx context.Context, in *struct{ Body earlierInput }) ([]casefile.Treated, error) {
		return s.desk.ReadEarlier(ctx, in.Body.Text)
	})
}

type convertInput struct {
	Amount string `json:"amount" maxLength:"40" doc:"like '1 L'"`
	To     string `json:"to" maxLength:"40" doc:"unit, like 'US fl oz'"`
}

type needInput struct {
	Plants []mix.PlantSize `json:"plants" minItems:"1" maxItems:"12"`
}

type earlierInput struct {
	Text string `json:"text" maxLength:"400" doc:"like 'soap 9 days ago, copper on Tuesday'"`
}

// vocabularyRoute answers the whole herbarium's names, a quarter of a megabyte:
// its tag changes only with the program, its overlay or the house's own words on it,
// so a page asks again and is told that nothing is new.
func (s *Server) vocabularyRoute() {
	huma.Register(s.reading(), huma.Operation{OperationID: "vocabulary", Method: http.MethodGet, Path: "/vocabulary", Summary: "Findings, hosts, causes and remedies of the herbarium", Tags: []string{"herbarium"}, Errors: []int{http.StatusNotModified}},
		func(_ context.Context, in *struct {
			IfNoneMatch string `header:"If-None-Match" doc:"the tag of the one at hand"`
		}) (*struct {
			ETag  string `header:"ETag"`
			Cache string `header:"Cache-Control"`
			Body  Vocabulary
		}, error) {
			tag := s.vocabularyTag()
			if in.IfNoneMatch == tag {
				return nil, huma.ErrorWithHeaders(huma.Status304NotModified(), http.Header{"Etag": {tag}})
			}
			return &struct {
				ETag  string `header:"ETag"`
				Cache string `header:"Cache-Control"`
				Body  Vocabulary
			}{tag, "private, no-cache", s.vocabulary()}, nil
		})
}

// tagOf is a weak tag, which compressing leaves alone.
func tagOf(v any) string {
	h := fnv.New64a()
	_ = json.NewEncoder(h).Encode(v)
	return fmt.Sprintf("W/\"%x\"", h.Sum64())
}

func (s *Server) houseRoutes() {
	huma.Register(s.reading(), huma.Operation{OperationID: "house", Method: http.MethodGet, Path: "/house", Summary: "House rules", Tags: []string{"house"}},
		func(ctx context.Context, _ *none) (*out[remedy.House], error) {
			h, v, err := s.desk.House.Rules(ctx)
			return versioned(h, v), answer(s.log, err)
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "set-house", Method: http.MethodPut, Path: "/house", Summary: "Change the house rules (coordinator)", Tags: []string{"house"}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    remedy.House
		}) (*out[remedy.House], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.House.SetRules(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			h, v, err := s.desk.House.Rules(ctx)
			return versioned(h, v), answer(s.log, err)
		})
	huma.Register(s.reading(), huma.Operation{OperationID: "identity", Method: http.MethodGet, Path: "/identity", Summary: "Who and where the desk is", Tags: []string{"house"}},
		func(ctx context.Context, _ *none) (*out[settings.Identity], error) {
			id, v, err := s.desk.House.Identity(ctx)
			return versioned(shown(who(ctx), id), v), answer(s.log, err)
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "set-identity", Method: http.MethodPut, Path: "/identity", Summary: "Change who and where the desk is (coordinator)", Tags: []string{"house"}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    settings.Identity
		}) (*out[settings.Identity], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.House.SetIdentity(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			id, v, err := s.desk.House.Identity(ctx)
			return versioned(id, v), answer(s.log, err)
		})
	get(s, "people", "house", "/people", "Who may sign in, and who no longer", func(ctx context.Context, _ *none) ([]accounts.Account, error) { return s.people.All(ctx) })
	register(s, s.changing(), http.MethodPost, "add-person", "house", "/people", "Add a person (coordinator)", func(ctx context.Context, in *struct{ Body accounts.NewPerson }) (desk.Person, error) {
		return s.people.Add(ctx, who(ctx), in.Body)
	})
	register(s, s.changing(), http.MethodPut, "set-person", "house", "/people/{id}", "Change a person's name, role or password, or switch them off (coordinator)", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body accounts.Change
	}) (accounts.Account, error) {
		a, err := s.people.Set(ctx, who(ctx), in.ID, in.Body)
		if err == nil {
			s.log.Info("account changed", "account", a.ID, "by", who(ctx).ID, "role", a.Role, "active", a.Active, "password", in.Body.Password != nil)
		}
		return a, err
	})
}

// taggedBook is the tag of the vocabulary of one book.
type taggedBook struct {
	of  *knowledge.Base
	tag string
}

// vocabularyTag is reckoned once for a book: to make it means to write the whole.
func (s *Server) vocabularyTag() string {
	now := s.desk.Base()
	if t := s.tagged.Load(); t != nil && t.of == now {
		return t.tag
	}
	t := &taggedBook{now, tagOf(s.vocabulary())}
	s.tagged.Store(t)
	return t.tag
}
