package httpapi

import (
	"context"

	"botanik/internal/desk"
)

type forgetBody struct {
	Name string `json:"name" maxLength:"120" doc:"as it stands on their cases"`
}

type mergeBody struct {
	From string `json:"from" maxLength:"120" doc:"the name that goes"`
	Into string `json:"into" maxLength:"120" doc:"the name that stays"`
}

type countBody struct {
	Cases int `json:"cases"`
}

func (s *Server) growerRoutes() {
	get(s, "growers", "growers", "/growers", "Who came before, by the beginning of a name or of how they are reached", func(ctx context.Context, in *struct {
		Words string `query:"q" required:"true" maxLength:"80" doc:"two letters at least"`
	}) ([]desk.Grower, error) {
		return s.desk.Growers(ctx, in.Words)
	})
	get(s, "export-grower", "growers", "/growers/export", "All the desk keeps of a person (coordinator)", func(ctx context.Context, in *struct {
		Name string `query:"name" required:"true" maxLength:"120" doc:"as it stands on their cases"`
	}) (desk.GrowerFile, error) {
		return s.desk.ExportGrower(ctx, who(ctx), in.Name)
	})
	ask(s, "forget-grower", "growers", "/growers/forget", "Take a person out of the desk; their cases stay without them (coordinator)", func(ctx context.Context, in *struct{ Body forgetBody }) (countBody, error) {
		n, err := s.desk.ForgetGrower(ctx, who(ctx), in.Body.Name)
		return countBody{n}, err
	})
	ask(s, "merge-growers", "growers", "/growers/merge", "Two names are one person (coordinator)", func(ctx context.Context, in *struct{ Body mergeBody }) (countBody, error) {
		n, err := s.desk.MergeGrowers(ctx, who(ctx), in.Body.From, in.Body.Into)
		return countBody{n}, err
	})
}
