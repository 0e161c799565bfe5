package practice

import "botanik/internal/desk"

// Service is the practice of a desk. Safe for many goroutines.
type Service struct {
	*desk.Service
}

// New is the practice of an open desk.
func New(d *desk.Service) *Service { return &Service{d} }
