package accounts

import (
	"context"
	"strings"
	"sync"
	"time"
)

// gate slows guessing down without letting a stranger shut others out.
//
//   - Five wrong passwords for one name from one address close that pair for a
//     growing while, 15 seconds to 15 minutes. The name stays open to every
//     other address, so nobody can be locked out from afar.
//   - One address may be wrong 60 times in a row, and once more every 5 seconds,
//     whatever names it tries. Someone who has signed in from there before is
//     not held by that, since a whole desk may sit behind one address.
//   - Two passwords are hashed at a time (19 MB and a tenth of a second each),
//     thirty-two more may wait; the rest are told to come back.
//
// A try counts before it is hashed and is taken back when it was right, so that
// many at once count too.
type gate struct {
	mu       sync.Mutex
	pairs    map[string]*strikes
	from     map[string]*bucket
	welcome  map[string]bool // name and address that signed in before
	hashing  chan struct{}
	queue    chan struct{}
	maxPairs int
}

type strikes struct {
	n     int
	until time.Time
}

type bucket struct {
	left float64
	at   time.Time
}

const (
	freeTries     = 5
	firstWait     = 15 * time.Second
	longestWait   = 15 * time.Minute
	addressBurst  = 60
	addressRefill = 5 * time.Second
	hashAtOnce    = 2
	hashWaiting   = 32
)

func newGate() *gate {
	return &gate{pairs: map[string]*strikes{}, from: map[string]*bucket{}, welcome: map[string]bool{}, hashing: make(chan struct{}, hashAtOnce), queue: make(chan struct{}, hashWaiting), maxPairs: 10_000}
}

func pair(name, address string) string { return strings.ToLower(name) + "\x00" + address }

// try counts a try and says how long to wait instead, zero when it may go on.
func (g *gate) try(now time.Time, name, address string) time.Duration {
	g.mu.Lock()
	defer g.mu.Unlock()
	key := pair(name, address)
	if !g.welcome[key] && address != "" {
		if len(g.from) > g.maxPairs {
			clear(g.from) // a flood of addresses must not fill memory
		}
		b := g.from[address]
		if b == nil {
			b = &bucket{addressBurst, now}
			g.from[address] = b
		}
		b.left = min(addressBurst, b.left+max(0, now.Sub(b.at).Seconds())/addressRefill.Seconds())
		b.at = now
		if b.left < 1 {
			return addressRefill
		}
		b.left--
	}
	if len(g.pairs) > g.maxPairs {
		clear(g.pairs)
	}
	s := g.pairs[key]
	if s == nil {
		s = &strikes{}
		g.pairs[key] = s
	}
	// A clock set back must not keep anyone out for longer than the longest wait.
	if wait := s.until.Sub(now); wait > 0 && wait <= longestWait {
		return wait
	}
	s.n++
	if s.n >= freeTries {
		s.until = now.Add(min(longestWait, firstWait<<min(s.n-freeTries, 10)))
	}
	return 0
}

// right takes a try back: the password was the right one.
func (g *gate) right(name, address string) {
	g.mu.Lock()
	defer g.mu.Unlock()
	key := pair(name, address)
	delete(g.pairs, key)
	if b := g.from[address]; b != nil && !g.welcome[key] {
		b.left = min(addressBurst, b.left+1)
	}
	if len(g.welcome) > g.maxPairs {
		clear(g.welcome)
	}
	g.welcome[key] = true
}

// hash waits for a turn at hashing. ErrBusy when too many wait already; the
// context's error when the person went away.
func (g *gate) hash(ctx context.Context, f func() error) error {
	select {
	case g.queue <- struct{}{}:
		defer func() { <-g.queue }()
	default:
		return ErrBusy
	}
	select {
	case g.hashing <- struct{}{}:
		defer func() { <-g.hashing }()
	case <-ctx.Done():
		return ctx.Err()
	}
	return f()
}
