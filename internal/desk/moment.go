package desk

import (
	"context"

	"botanik/core/differential"
	"botanik/core/knowledge"
	"botanik/core/weather"
	"botanik/internal/settings"
)

// Moment is what holds while one thing is done: who, where and when the desk is, its rules,
// the book as it reads it and the sky it knows. It is read once and passed on, so that one
// answer never mixes two books: a coordinator may change the house's words at any moment.
type Moment struct {
	settings.Moment
	Book   *knowledge.Base
	Sky    weather.Provider
	engine func() *differential.Engine
}

// Engine ranks by the moment's book.
func (m Moment) Engine() *differential.Engine { return m.engine() }

// Moment reads what holds now.
func (s *Service) Moment(ctx context.Context) (Moment, error) {
	m, err := s.House.Moment(ctx)
	b := s.book.Load()
	return Moment{Moment: m, Book: b.base, Sky: s.Weather.For(ctx), engine: b.engine}, err
}
