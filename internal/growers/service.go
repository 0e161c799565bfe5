package growers

import "botanik/internal/desk"

// Service is the desk, with what this room does at it. Safe for many goroutines.
type Service struct{ *desk.Service }

// New opens the room at a desk.
func New(d *desk.Service) *Service { return &Service{d} }
