package httpapi

import (
	"context"
	"fmt"
	"net/http"
	"strconv"
	"strings"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/mix"
	"botanik/core/remedy"
	"botanik/internal/desk"

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

// get registers a reading operation for signed-in people.
func get[I, O any](s *Server, id, path, summary string, f func(context.Context, *I) (O, error)) {
	op := huma.Operation{OperationID: id, Method: http.MethodGet, Path: path, Summary: summary, Middlewares: huma.Middlewares{s.guard}, RejectUnknownQueryParameters: true}
	if id == "session" || strings.HasPrefix(path, "/api/v1/page/") {
		op.Middlewares = nil
	}
	huma.Register(s.API, op, func(ctx context.Context, in *I) (*struct{ Body O }, error) {
		body, err := f(ctx, in)
		if err != nil {
			return nil, answer(s.log, err)
		}
		return &struct{ Body O }{body}, nil
	})
}

// ask registers an operation that works something out and changes nothing.
func ask[I, O any](s *Server, id, path, summary string, f func(context.Context, *I) (O, error)) {
	op := huma.Operation{OperationID: id, Method: http.MethodPost, Path: path, Summary: summary, Middlewares: huma.Middlewares{s.guard}}
	huma.Register(s.API, op, func(ctx context.Context, in *I) (*struct{ Body O }, error) {
		body, err := f(ctx, in)
		if err != nil {
			return nil, answer(s.log, err)
		}
		return &struct{ Body O }{body}, nil
	})
}

// onCase is the input of every change of a case.
type onCase[B any] struct {
	ID      string `path:"id"`
	IfMatch string `header:"If-Match" doc:"the version you read"`
	Body    B
}

func version(h string) (int, error) {
	if h == "" {
		return 0, stale("If-Match")
	}
	v, err := strconv.Atoi(strings.Trim(strings.TrimPrefix(h, "W/"), `"`))
	if err != nil {
		return 0, problem(http.StatusUnprocessableEntity, "Version unreadable", "If-Match: is not a version; send the number you read", fault.Fault{Field: "If-Match", Problem: "is not a version", Mend: "send the number you read"})
	}
	return v, nil
}

// change registers an operation that changes a case and answers with it.
func change[B any](s *Server, id, method, path, summary string, f func(ctx context.Context, p desk.Person, id string, from int, body B) (desk.View, error)) {
	op := huma.Operation{OperationID: id, Method: method, Path: "/api/v1/cases/{id}" + path, Summary: summary, Tags: []string{"cases"}, Middlewares: huma.Middlewares{s.guard}, DefaultStatus: http.StatusOK}
	huma.Register(s.API, op, func(ctx context.Context, in *onCase[B]) (*out[desk.View], error) {
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
	ID string `path:"id"`
}

func (s *Server) routes() {
	s.sessionRoutes()
	s.readRoutes()
	s.caseRoutes()
	s.houseRoutes()
}

// Vocabulary is what the page needs of the herbarium.
type Vocabulary struct {
	Findings []*knowledge.Finding `json:"findings"`
	Hosts    []*knowledge.Host    `json:"hosts"`
	Causes   []CauseName          `json:"causes"`
	Remedies []*knowledge.Remedy  `json:"remedies"`
	Units    []string             `json:"units"`
	Schools  []*knowledge.School  `json:"schools"`
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
	Tolerable  string         `json:"tolerable"`
	Unit       string         `json:"unit"`
}

func (s *Server) vocabulary() Vocabulary {
	b := s.desk.Base
	v := Vocabulary{Findings: b.Findings, Hosts: b.Hosts, Remedies: b.Remedies, Schools: b.Schools, Causes: []CauseName{}}
	for _, c := range b.Causes {
		st := c.Stages
		if st == nil {
			st = []string{}
		}
		v.Causes = append(v.Causes, CauseName{c.ID, c.Name, c.Scientific, c.Kind, c.Class, c.Group, st, c.Regulated != "", c.LabOnly != "", c.Drawing, c.Tolerable.Text, c.Tolerable.Unit})
	}
	return v
}

func (s *Server) readRoutes() {
	get(s, "today", "/api/v1/today", "The counter: trays, who to ask, notices", func(ctx context.Context, _ *none) (desk.Today, error) { return s.desk.Today(ctx) })
	get(s, "vocabulary", "/api/v1/vocabulary", "Findings, hosts, causes and remedies of the herbarium", func(context.Context, *none) (Vocabulary, error) { return s.vocabulary(), nil })
	get(s, "cause", "/api/v1/causes/{id}", "One cause with its whole text", func(_ context.Context, in *byID) (knowledge.Cause, error) {
		c := s.desk.Base.Cause(in.ID)
		if c == nil {
			return knowledge.Cause{}, desk.ErrNotFound
		}
		return *c, nil
	})
	get(s, "list-cases", "/api/v1/cases", "Cases of a stage, newest first", func(ctx context.Context, in *struct {
		Stage  string `query:"stage" enum:"waiting,bench,review,ready,handed,referred,closed"`
		Cursor string `query:"cursor"`
		Limit  int    `query:"limit" minimum:"1" maximum:"200" default:"50"`
	}) (desk.CaseList, error) {
		return s.desk.Cases(ctx, in.Stage, in.Cursor, in.Limit)
	})
	get(s, "search", "/api/v1/search", "Find cases by words", func(ctx context.Context, in *struct {
		Words string `query:"q" minLength:"1" maxLength:"100" required:"true"`
	}) ([]desk.Tag, error) {
		return s.desk.Search(ctx, in.Words)
	})
	get(s, "split", "/api/v1/split", "The looks that tell two or three causes apart", func(_ context.Context, in *struct {
		Causes []string `query:"cause,explode" required:"true"`
	}) ([]differential.SplitLook, error) {
		return s.desk.Engine.Split(in.Causes)
	})
	get(s, "browse", "/api/v1/browse", "Causes of a plant, and causes that show what is seen", func(_ context.Context, in *struct {
		Host string   `query:"host" doc:"host id"`
		Seen []string `query:"seen,explode" maxItems:"8" doc:"finding=state, as often as need be"`
	}) ([]knowledge.Match, error) {
		return s.desk.Base.Browse(in.Host, in.Seen)
	})
	get(s, "page", "/api/v1/page/{token}", "The grower's own page, without an account", func(ctx context.Context, in *struct {
		Token string `path:"token"`
	}) (desk.Sheet, error) {
		return s.desk.SheetByToken(ctx, in.Token)
	})
	ask(s, "blend", "/api/v1/blend", "Work out a mix without a case", func(ctx context.Context, in *struct{ Body desk.MixInput }) (desk.Mixed, error) {
		return s.desk.Blend(ctx, in.Body)
	})
	ask(s, "place", "/api/v1/place", "Dust, drench or helpers over a bed, pots or plants", func(ctx context.Context, in *struct{ Body desk.PlaceInput }) (desk.Dosed, error) {
		return s.desk.Place(ctx, in.Body)
	})
	ask(s, "convert", "/api/v1/convert", "The same physical amount in another unit", func(_ context.Context, in *struct{ Body convertInput }) (mix.Converted, error) {
		return mix.ConvertedTo(in.Body.Amount, in.Body.To)
	})
	ask(s, "need", "/api/v1/need", "How much finished mix these plants want", func(_ context.Context, in *struct{ Body desk.NeedInput }) (mix.Need, error) {
		return mix.SprayNeed(in.Body.Plants)
	})
}

type convertInput struct {
	Amount string `json:"amount" maxLength:"40" doc:"like '1 L'"`
	To     string `json:"to" maxLength:"40" doc:"unit, like 'US fl oz'"`
}

func (s *Server) houseRoutes() {
	huma.Register(s.API, huma.Operation{OperationID: "house", Method: http.MethodGet, Path: "/api/v1/house", Summary: "House rules", Middlewares: huma.Middlewares{s.guard}},
		func(ctx context.Context, _ *none) (*out[remedy.House], error) {
			h, v, err := s.desk.HouseRules(ctx)
			return versioned(h, v), answer(s.log, err)
		})
	huma.Register(s.API, huma.Operation{OperationID: "set-house", Method: http.MethodPut, Path: "/api/v1/house", Summary: "Change the house rules (coordinator)", Middlewares: huma.Middlewares{s.guard}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    remedy.House
		}) (*out[remedy.House], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.SetHouseRules(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			h, v, err := s.desk.HouseRules(ctx)
			return versioned(h, v), answer(s.log, err)
		})
	huma.Register(s.API, huma.Operation{OperationID: "identity", Method: http.MethodGet, Path: "/api/v1/identity", Summary: "Who and where the desk is", Middlewares: huma.Middlewares{s.guard}},
		func(ctx context.Context, _ *none) (*out[desk.Identity], error) {
			id, v, err := s.desk.Identity(ctx)
			return versioned(id, v), answer(s.log, err)
		})
	huma.Register(s.API, huma.Operation{OperationID: "set-identity", Method: http.MethodPut, Path: "/api/v1/identity", Summary: "Change who and where the desk is (coordinator)", Middlewares: huma.Middlewares{s.guard}},
		func(ctx context.Context, in *struct {
			IfMatch string `header:"If-Match"`
			Body    desk.Identity
		}) (*out[desk.Identity], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			if err := s.desk.SetIdentity(ctx, who(ctx), in.Body, from); err != nil {
				return nil, answer(s.log, err)
			}
			id, v, err := s.desk.Identity(ctx)
			return versioned(id, v), answer(s.log, err)
		})
	get(s, "people", "/api/v1/people", "Who may sign in", func(ctx context.Context, _ *none) ([]desk.Person, error) { return s.desk.People(ctx) })
	ask(s, "add-person", "/api/v1/people", "Add a person (coordinator)", func(ctx context.Context, in *struct{ Body desk.NewPerson }) (desk.Person, error) {
		return s.desk.AddPerson(ctx, who(ctx), in.Body)
	})
}
