package overview

import "botanik/internal/desk"

// Service is the overview of a desk. Safe for many goroutines.
type Service struct {
	*desk.Service

	kept surged
}

// New is the overview of an open desk.
func New(d *desk.Service) *Service { return &Service{Service: d} }
