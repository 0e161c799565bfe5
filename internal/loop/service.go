package loop

import (
	"context"

	"botanik/internal/desk"
)

// Service is the loop of a desk with its growers. Safe for many goroutines.
type Service struct {
	*desk.Service
}

// New is the loop of an open desk: days turn at once where other hours count.
func New(d *desk.Service) *Service {
	s := &Service{d}
	d.WeatherChanged = func(ctx context.Context) error {
		_, err := s.RescheduleForWeather(ctx)
		return err
	}
	return s
}
