package httpapi

import (
	"context"
	"net/http"

	"botanik/core/training"
	"botanik/internal/practice"
	"botanik/internal/settings"
)

type askBody struct {
	Kind string `json:"kind,omitempty" maxLength:"20" doc:"one short form; what is fading and matters most when left out"`
}

type answerBody struct {
	Choice string  `json:"choice" maxLength:"80" doc:"id of an answer"`
	Sure   float64 `json:"sure" minimum:"0" maximum:"1"`
}

type offerBody struct {
	Offer bool `json:"offer"`
}

type lookForBody struct {
	Finding string `json:"finding" maxLength:"60" doc:"id"`
}

func (s *Server) drillRoutes() {
	get(s, "practice", "drill", "/drill", "How one does in practice", func(ctx context.Context, _ *none) (practice.Practice, error) {
		return s.practice.Progress(ctx, who(ctx))
	})
	ask(s, "ask-me", "drill", "/drill/questions", "The next short question", func(ctx context.Context, in *struct{ Body askBody }) (practice.Asked, error) {
		return s.practice.NextQuestion(ctx, who(ctx), in.Body.Kind)
	})
	ask(s, "answer-me", "drill", "/drill/questions/{id}", "Answer it, and hear what is right", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body answerBody
	}) (practice.MarkedAnswer, error) {
		return s.practice.AnswerMe(ctx, who(ctx), in.ID, in.Body.Choice, in.Body.Sure)
	})
	ask(s, "practise-case", "drill", "/drill/cases", "A made-up sample to practise on", func(ctx context.Context, _ *none) (practice.PracticeCase, error) {
		return s.practice.PractiseCase(ctx, who(ctx))
	})
	get(s, "practice-case", "drill", "/drill/cases/{id}", "A made-up sample as far as it was looked at", func(ctx context.Context, in *byID) (practice.PracticeCase, error) {
		return s.practice.PracticeAt(ctx, who(ctx), in.ID)
	})
	ask(s, "practice-look", "drill", "/drill/cases/{id}/look", "Ask for one look at it", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body lookForBody
	}) (practice.PracticeCase, error) {
		return s.practice.LookInPractice(ctx, who(ctx), in.ID, in.Body.Finding)
	})
	ask(s, "practice-verdict", "drill", "/drill/cases/{id}/verdict", "Say what it is and what is done, and hear what it was worth", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body training.PracticeVerdict
	}) (training.Score, error) {
		return s.practice.JudgePractice(ctx, who(ctx), in.ID, in.Body)
	})
	get(s, "old-cases", "drill", "/drill/old", "Closed cases of this desk that are offered as practice", func(ctx context.Context, _ *none) ([]practice.OldCase, error) {
		return s.practice.OldCases(ctx, who(ctx))
	})
	ask(s, "practise-old", "drill", "/drill/old/{id}", "Practise on one of them", func(ctx context.Context, in *byID) (practice.PracticeCase, error) {
		return s.practice.PractiseOld(ctx, who(ctx), in.ID)
	})
	register(s, s.asking(), http.MethodPut, "offer-old", "drill", "/drill/old/{id}", "Offer a closed case as practice, or no longer (coordinator)", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body offerBody
	}) ([]practice.OldCase, error) {
		if err := s.practice.OfferPractice(ctx, who(ctx), in.ID, in.Body.Offer); err != nil {
			return nil, err
		}
		return s.practice.OldCases(ctx, who(ctx))
	})
	get(s, "learners", "drill", "/drill/learners", "Who practised how, each by themselves (coordinator)", func(ctx context.Context, _ *none) ([]practice.Learner, error) {
		return s.practice.Learners(ctx, who(ctx))
	})
	register(s, s.changing(), http.MethodPut, "set-course", "drill", "/drill/course", "Set what is to be practised (coordinator)", func(ctx context.Context, in *struct {
		IfMatch string `header:"If-Match" doc:"the version you read"`
		Body    settings.Course
	}) (practice.Practice, error) {
		from, err := version(in.IfMatch)
		if err != nil {
			return practice.Practice{}, err
		}
		if err := s.desk.House.SetCourse(ctx, who(ctx), in.Body, from); err != nil {
			return practice.Practice{}, err
		}
		return s.practice.Progress(ctx, who(ctx))
	})
}
