package store

import (
	"context"
	"slices"
	"sync"
)

// Confirmed is how many samples that came in on a day were settled as a cause.
type Confirmed struct {
	Day   string `db:"day"` // YYYY-MM-DD, UTC
	Cause string `db:"cause"`
	N     int    `db:"n"`
}

// confirmedMemo keeps the tally between two verdicts: it is wanted for every
// look that is answered, and changes a few times an hour. The lock on the folder
// makes this the only program that writes cases.
type confirmedMemo struct {
	mu    sync.Mutex
	since string
	rows  []Confirmed
	fresh bool
	gen   int // goes up each time the rows are read anew
}

// settled is told of every change that was written.
func (m *confirmedMemo) settled(kind string) {
	if kind == "look" || kind == "photo" {
		return
	}
	m.mu.Lock()
	m.fresh = false
	m.mu.Unlock()
}

// ConfirmedSince lists what was settled per day and cause from a day on, with a
// number that stays the same as long as the list does. The list must not be
// changed.
func (s *Store) ConfirmedSince(ctx context.Context, day string) ([]Confirmed, int, error) {
	m := &s.prior
	m.mu.Lock()
	defer m.mu.Unlock()
	if !m.fresh || day < m.since {
		rows := []Confirmed{}
		m.fresh = true // before reading: a verdict written meanwhile makes it stale again
		if err := s.r.SelectContext(ctx, &rows, `SELECT day, cause, n FROM confirmed_day WHERE day >= ? ORDER BY day, cause`, day); err != nil {
			m.fresh = false
			return nil, 0, err
		}
		m.since, m.rows, m.gen = day, rows, m.gen+1
	}
	at, _ := slices.BinarySearchFunc(m.rows, day, func(r Confirmed, d string) int {
		if r.Day < d {
			return -1
		}
		return 1
	})
	return m.rows[at:], m.gen, nil
}
