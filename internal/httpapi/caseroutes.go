package httpapi

import (
	"context"
	"net/http"

	"botanik/core/differential"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/loop"
	"botanik/internal/spraydays"

	"github.com/danielgtaylor/huma/v2"
)

type remedyBody struct {
	Remedies []string `json:"remedies" minItems:"1" maxItems:"6"`
	Note     string   `json:"note,omitempty" maxLength:"400"`
}

type reviewBody struct {
	Agree bool   `json:"agree"`
	Note  string `json:"note,omitempty" maxLength:"400"`
}

type roundBody struct {
	Move string `json:"move" enum:"repeat,step up,switch,bring back"`
}

type lookBody struct {
	State      string `json:"state" doc:"state id; empty takes the look back"`
	Not        bool   `json:"not,omitempty" doc:"looked for and not there; where several states can stand together"`
	Off        bool   `json:"off,omitempty" doc:"takes this one state back; where several states can stand together"`
	Certainty  string `json:"certainty,omitempty" enum:"sure,think,guess,"`
	Instrument string `json:"instrument,omitempty" enum:"eye,lens,scope,told," doc:"what was used; told: the grower says so and nobody looked"`

	Spot *casefile.Spot `json:"spot,omitempty" doc:"where on the drawing it was seen"`

	Measured string `json:"measured,omitempty" maxLength:"200" doc:"how it was measured, in words"`
}

type schoolBody struct {
	School string `json:"school" doc:"question of the trade"`
	Option string `json:"option" doc:"its answer for this case; empty goes back to the house's"`
}

func (s *Server) caseRoutes() {
	huma.Register(s.changing(), huma.Operation{OperationID: "check-in", Method: http.MethodPost, Path: "/cases", Summary: "Check a sample in", Tags: []string{"cases"}, Errors: []int{http.StatusConflict}, DefaultStatus: http.StatusCreated},
		func(ctx context.Context, in *struct {
			Key  string `header:"Idempotency-Key" required:"true" minLength:"8" maxLength:"80" doc:"one for each sample; a retry with it makes no second case"`
			Body casefile.Intake
		}) (*out[desk.View], error) {
			v, err := s.desk.CheckIn(ctx, who(ctx), in.Body, in.Key)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	huma.Register(s.reading(), huma.Operation{OperationID: "case", Method: http.MethodGet, Path: "/cases/{id}", Summary: "One case with its ranking and steps", Tags: []string{"cases"}},
		func(ctx context.Context, in *byID) (*out[desk.View], error) {
			v, err := s.desk.View(ctx, in.ID)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	get(s, "story", "cases", "/cases/{id}/story", "Who did what and when", func(ctx context.Context, in *byID) ([]desk.StoryLine, error) { return s.desk.Story(ctx, in.ID) })
	get(s, "advice", "cases", "/cases/{id}/advice", "The ladder for this case today", func(ctx context.Context, in *struct {
		ID     string   `path:"id" maxLength:"40"`
		Chosen []string `query:"chosen,explode" maxItems:"6" doc:"remedies chosen, to hear how they work together"`
	}) (desk.CaseAdvice, error) {
		return s.desk.Advice(ctx, in.ID, in.Chosen)
	})
	get(s, "say", "cases", "/cases/{id}/say", "Lines by the words a person has for what they see", func(ctx context.Context, in *struct {
		ID    string `path:"id" maxLength:"40"`
		Words string `query:"words" maxLength:"200" doc:"in any order, misspelt a little, the last one perhaps still being typed"`
	}) (desk.Lines, error) {
		return s.desk.Say(ctx, in.ID, in.Words)
	})
	get(s, "spray-days", "spray days", "/spray-days", "The coming days hour by hour for a treatment, and what wet leaves let in", func(ctx context.Context, in *struct {
		Remedy string `query:"remedy" required:"true" maxLength:"60" doc:"id of a product"`
		Bloom  bool   `query:"bloom" doc:"the plant is in flower"`
		Place  string `query:"place" maxLength:"20" doc:"indoors, greenhouse, balcony, garden or orchard; garden when left out"`
	}) (spraydays.SprayWeek, error) {
		return s.spraydays.SprayWeek(ctx, spraydays.SprayAsk{Remedy: in.Remedy, InBloom: in.Bloom, Place: in.Place})
	})
	get(s, "sheet", "cases", "/cases/{id}/sheet", "The grower's page as it would be handed over", func(ctx context.Context, in *byID) (casefile.Sheet, error) { return s.desk.Sheet(ctx, in.ID) })
	ask(s, "weigh", "cases", "/cases/{id}/weigh", "Hold a count against what is borne", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body desk.Counted
	}) (desk.Weighed, error) {
		return s.desk.Weigh(ctx, in.ID, in.Body)
	})
	ask(s, "plan-days", "cases", "/cases/{id}/plan-days", "Work the days out", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body desk.DaysInput
	}) (desk.DaysPlan, error) {
		return s.desk.PlanDays(ctx, in.ID, in.Body)
	})
	change(s, "set-intake", http.MethodPut, "/intake", "Correct what was brought in", s.desk.SetIntake)
	s.lookRoute()
	s.photoRoutes()
	change(s, "set-verdict", http.MethodPut, "/verdict", "Settle the verdict or leave it open", s.desk.SetVerdict)
	change(s, "review", http.MethodPost, "/review", "Agree with a trainee's verdict, or send it back", func(ctx context.Context, p desk.Person, id string, from int, b reviewBody) (desk.View, error) {
		return s.desk.Review(ctx, p, id, from, b.Agree, b.Note)
	})
	change(s, "set-act", http.MethodPut, "/act", "Record the count and whether to act", s.desk.SetAct)
	change(s, "set-remedy", http.MethodPut, "/remedy", "Choose what to do", func(ctx context.Context, p desk.Person, id string, from int, b remedyBody) (desk.View, error) {
		return s.desk.SetTreatment(ctx, p, id, from, b.Remedies, b.Note)
	})
	change(s, "set-mix", http.MethodPut, "/mix", "Keep the amounts for the grower's sprayer", s.desk.SetMix)
	change(s, "set-dose", http.MethodPut, "/dose", "Keep an amount for a bed, pots or plants", s.desk.SetDose)
	change(s, "set-school", http.MethodPut, "/school", "Answer a question of the trade for this case", func(ctx context.Context, p desk.Person, id string, from int, b schoolBody) (desk.View, error) {
		return s.desk.SetSchools(ctx, p, id, from, b.School, b.Option)
	})
	change(s, "set-days", http.MethodPut, "/days", "Keep the treatment days", s.desk.SetDays)
	change(s, "hand-over", http.MethodPost, "/handover", "Hand the page over", func(ctx context.Context, p desk.Person, id string, from int, _ none) (desk.View, error) {
		return s.desk.HandOver(ctx, p, id, from)
	})
	change(s, "follow-up", http.MethodPost, "/followup", "Record how it went", s.desk.FollowUp)
	change(s, "next-round", http.MethodPost, "/round", "Start the next round", func(ctx context.Context, p desk.Person, id string, from int, b roundBody) (desk.View, error) {
		return s.desk.NextRound(ctx, p, id, from, b.Move)
	})
	change(s, "close", http.MethodPost, "/close", "Close the case", s.desk.Close)
	change(s, "end-page", http.MethodPost, "/page/end", "Take the grower's address back", func(ctx context.Context, p desk.Person, id string, from int, _ none) (desk.View, error) {
		return s.loop.EndPage(ctx, p, id, from)
	})
	change(s, "take-next", http.MethodPost, "/next", "Take the next step that is advised, its days set with it", func(ctx context.Context, p desk.Person, id string, from int, _ none) (desk.View, error) {
		return s.loop.TakeNext(ctx, p, id, from)
	})
	get(s, "rounds", "cases", "/rounds", "Every follow-up: answered, to telephone, late, due, moved by the weather, soon", func(ctx context.Context, _ *none) (loop.Rounds, error) {
		return s.loop.Rounds(ctx)
	})
	change(s, "reopen", http.MethodPost, "/reopen", "Open a closed case again", func(ctx context.Context, p desk.Person, id string, from int, _ none) (desk.View, error) {
		return s.desk.Reopen(ctx, p, id, from)
	})
	change(s, "undo", http.MethodPost, "/undo", "Take the last change back", func(ctx context.Context, p desk.Person, id string, from int, _ none) (desk.View, error) {
		return s.desk.Undo(ctx, p, id, from)
	})
}

type asideBody struct {
	State string `json:"state" minLength:"1" maxLength:"60"`
	Why   string `json:"why" maxLength:"120" doc:"why it is no part of this, like an old scar; empty lets it count again"`
}

func (s *Server) lookRoute() {
	huma.Register(s.changing(), huma.Operation{OperationID: "set-look", Method: http.MethodPut, Path: "/cases/{id}/looks/{finding}", Summary: "Record one finding", Tags: []string{"cases"}},
		func(ctx context.Context, in *struct {
			ID      string `path:"id" maxLength:"40"`
			Finding string `path:"finding" maxLength:"60"`
			IfMatch string `header:"If-Match"`
			Body    lookBody
		}) (*out[desk.View], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			v, err := s.desk.LookAt(ctx, who(ctx), in.ID, from, desk.LookInput{Look: differential.Look{Finding: in.Finding, State: in.Body.State, Not: in.Body.Not, Certainty: in.Body.Certainty, Instrument: in.Body.Instrument}, Off: in.Body.Off, Spot: in.Body.Spot, Measured: in.Body.Measured})
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
	huma.Register(s.changing(), huma.Operation{OperationID: "put-look-aside", Method: http.MethodPut, Path: "/cases/{id}/looks/{finding}/aside", Summary: "Put a look aside with its reason, or let it count again", Tags: []string{"cases"}},
		func(ctx context.Context, in *struct {
			ID      string `path:"id" maxLength:"40"`
			Finding string `path:"finding" maxLength:"60"`
			IfMatch string `header:"If-Match"`
			Body    asideBody
		}) (*out[desk.View], error) {
			from, err := version(in.IfMatch)
			if err != nil {
				return nil, err
			}
			v, err := s.desk.LetGo(ctx, who(ctx), in.ID, from, in.Finding, in.Body.State, in.Body.Why)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return versioned(v, v.Version), nil
		})
}
