package httpapi

import (
	"context"
	"net/http"

	"botanik/internal/desk"
	"botanik/internal/growers"
	"botanik/internal/loop"
	"botanik/internal/overview"
	"botanik/internal/records"
)

type forgetBody struct {
	Person string   `json:"person" maxLength:"40" doc:"by id"`
	Also   []string `json:"also,omitempty" maxItems:"20" doc:"parts of the name that go as well, of those the mentions list"`
}

type mergeBody struct {
	From string `json:"from" maxLength:"40" doc:"the person that goes, by id"`
	Into string `json:"into" maxLength:"40" doc:"the one that stays, by id"`
}

type splitBody struct {
	Person  string   `json:"person" maxLength:"40" doc:"by id"`
	Name    string   `json:"name" maxLength:"80" doc:"of the other; it may be the same"`
	Contact string   `json:"contact,omitempty" maxLength:"120"`
	Cases   []string `json:"cases" minItems:"1" maxItems:"200" doc:"which are the other's, by id"`
}

type togetherBody struct {
	Cases []loop.Which `json:"cases" minItems:"2" maxItems:"12" doc:"the one that is answered first"`
}

type giveBody struct {
	To string `json:"to" maxLength:"40" doc:"account, by id"`
}

type giveAllBody struct {
	From string `json:"from" maxLength:"40" doc:"account whose cases they are; empty for nobody's"`
	To   string `json:"to" maxLength:"40" doc:"account they are given to"`
}

type awayBody struct {
	Account string `json:"account" maxLength:"40"`
	overview.AwayDays
}

type awayEndBody struct {
	Account string `json:"account" maxLength:"40"`
	First   string `json:"first" doc:"day the stretch begins, YYYY-MM-DD"`
}

type countBody struct {
	Cases int `json:"cases"`
}

func (s *Server) growerRoutes() {
	get(s, "growers", "growers", "/growers", "Who came before, by the beginning of a name or of how they are reached", func(ctx context.Context, in *struct {
		Words string `query:"q" required:"true" maxLength:"80" doc:"two letters at least"`
	}) ([]growers.Grower, error) {
		return s.growers.Growers(ctx, in.Words)
	})
	get(s, "export-grower", "growers", "/growers/export", "All the desk keeps of a person (coordinator)", func(ctx context.Context, in *byPerson) (growers.GrowerFile, error) {
		return s.growers.ExportGrower(ctx, who(ctx), in.Person)
	})
	get(s, "grower-mentions", "growers", "/growers/mentions", "Where parts of a person's name stand alone in their cases (coordinator)", func(ctx context.Context, in *byPerson) ([]records.Mention, error) {
		return s.records.Mentions(ctx, who(ctx), in.Person)
	})
	ask(s, "forget-grower", "growers", "/growers/forget", "Take a person out of the desk; their cases stay without them (coordinator)", func(ctx context.Context, in *struct{ Body forgetBody }) (records.ForgottenAs, error) {
		return s.records.ForgetGrower(ctx, who(ctx), in.Body.Person, in.Body.Also)
	})
	ask(s, "merge-growers", "growers", "/growers/merge", "Two persons are one (coordinator)", func(ctx context.Context, in *struct{ Body mergeBody }) (countBody, error) {
		n, err := s.growers.MergeGrowers(ctx, who(ctx), in.Body.From, in.Body.Into)
		return countBody{n}, err
	})
	ask(s, "split-grower", "growers", "/growers/split", "Some cases of a person are another's (coordinator)", func(ctx context.Context, in *struct{ Body splitBody }) (growers.Grower, error) {
		return s.growers.SplitGrower(ctx, who(ctx), in.Body.Person, in.Body.Name, in.Body.Contact, in.Body.Cases)
	})
	get(s, "together", "cases", "/cases/{id}/together", "What else of this grower's could be handed over, and what was, with one list of days and of what to buy", func(ctx context.Context, in *byID) (loop.JointHandout, error) {
		return s.loop.JointHandout(ctx, in.ID)
	})
	ask(s, "hand-over-together", "cases", "/handover-together", "Hand several cases of one grower over, all or none", func(ctx context.Context, in *struct{ Body togetherBody }) (desk.View, error) {
		return s.loop.HandOverTogether(ctx, who(ctx), in.Body.Cases)
	})
	s.workloadRoutes()
}

type byPerson struct {
	Person string `query:"person" required:"true" maxLength:"40" doc:"by id"`
}

func (s *Server) workloadRoutes() {
	change(s, "give-case", http.MethodPost, "/keeper", "Make a case somebody else's", func(ctx context.Context, p desk.Person, id string, from int, b giveBody) (desk.View, error) {
		return s.overview.GiveTo(ctx, p, id, from, b.To)
	})
	get(s, "workload", "workload", "/workload", "Whose cases are whose, and who is away", func(ctx context.Context, _ *none) (overview.Workload, error) { return s.overview.Workload(ctx) })
	ask(s, "give-all", "workload", "/workload/give", "Give all open cases of somebody to another", func(ctx context.Context, in *struct{ Body giveAllBody }) (countBody, error) {
		n, err := s.overview.GiveAll(ctx, who(ctx), in.Body.From, in.Body.To)
		return countBody{n}, err
	})
	ask(s, "set-away", "workload", "/workload/away", "Write down on which days somebody is not there", func(ctx context.Context, in *struct{ Body awayBody }) (overview.Workload, error) {
		if err := s.overview.SetAway(ctx, who(ctx), in.Body.Account, in.Body.AwayDays); err != nil {
			return overview.Workload{}, err
		}
		return s.overview.Workload(ctx)
	})
	ask(s, "end-away", "workload", "/workload/away/end", "Take such days back", func(ctx context.Context, in *struct{ Body awayEndBody }) (overview.Workload, error) {
		if err := s.overview.EndAway(ctx, who(ctx), in.Body.Account, in.Body.First); err != nil {
			return overview.Workload{}, err
		}
		return s.overview.Workload(ctx)
	})
	get(s, "day", "workload", "/day", "What a day at the desk was", func(ctx context.Context, in *struct {
		Day string `query:"day" maxLength:"10" doc:"YYYY-MM-DD; today when left out"`
	}) (overview.DaySummary, error) {
		return s.overview.Day(ctx, in.Day)
	})
}
