package records

import (
	"sync"
	"sync/atomic"
	"time"

	"botanik/internal/desk"
)

// Service keeps the records of a desk. Safe for many goroutines.
type Service struct {
	*desk.Service

	copying sync.Mutex                // one copy of the desk's file at a time
	looked  atomic.Pointer[time.Time] // when somebody last had the file looked over
	jobs    jobs
}

// New keeps the records of an open desk.
func New(d *desk.Service) *Service { return &Service{Service: d} }
