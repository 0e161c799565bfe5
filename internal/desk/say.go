package desk

import (
	"context"
	"sync"

	"botanik/core/vernacular"
)

// Lines are the findings that what somebody said could mean.
type Lines struct {
	Lines []vernacular.Line `json:"lines"`
}

// mostLines of a search; further down nobody reads.
const mostLines = 12

// indexes of the books in use: where a desk is changes no finding, so one serves all
// that were opened from the same files.
var indexes sync.Map

func (s *Service) index() *vernacular.Index {
	files := s.written.Load()
	x, ok := indexes.Load(files)
	if !ok {
		x, _ = indexes.LoadOrStore(files, vernacular.New(files))
	}
	return x.(*vernacular.Index)
}

// Say finds the lines of the Look step by the words a person has for what they see.
func (s *Service) Say(ctx context.Context, id, words string) (Lines, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return Lines{}, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return Lines{}, err
	}
	rank, err := s.rank(ctx, m, &c)
	if err != nil {
		return Lines{}, err
	}
	return Lines{s.index().Find(words, rank.Tell, mostLines)}, nil
}
