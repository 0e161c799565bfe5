package weathersource

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"botanik/core/weather"
)

// Kept is what was brought in files.
type Kept interface {
	Hours(ctx context.Context, from, to time.Time) ([]weather.Hour, error)
}

// Joined gives every hour from the best source that knows it. Safe for many goroutines.
type Joined struct {
	Kept    Kept
	Station *Station
	StandIn weather.Provider // gives what nobody measured; nil where nothing is made up
}

// patience is how long one question may take.
const patience = 5 * time.Second

// For is the sky as one request asks of it: what the request waits for ends with it.
func (j *Joined) For(ctx context.Context) weather.Provider { return asked{j, ctx} }

// asked is bound to the request it answers: core knows hours and no requests.
type asked struct {
	of  *Joined
	ctx context.Context
}

func (a asked) Kind() string { return a.of.Kind() }

func (a asked) Hours(p weather.Place, from, to time.Time) ([]weather.Hour, error) {
	return a.of.Hours(a.ctx, p, from, to)
}

// Hours of a place, each from a file, else the station, else the stand-in. Where there is
// none an hour that nobody knows is left out.
func (j *Joined) Hours(ctx context.Context, p weather.Place, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	if j.StandIn != nil {
		var err error
		if out, err = j.StandIn.Hours(p, from, to); err != nil {
			return nil, err
		}
	}
	over := func(better []weather.Hour) {
		for _, h := range better {
			i, found := slices.BinarySearchFunc(out, h.At, func(a weather.Hour, at time.Time) int { return a.At.Compare(at) })
			if found {
				out[i] = h
			} else {
				out = slices.Insert(out, i, h)
			}
		}
	}
	over(j.Station.hours(ctx, from, to)) // waits a moment at most
	ctx, cancel := context.WithTimeout(ctx, patience)
	defer cancel()
	kept, err := j.Kept.Hours(ctx, from, to)
	if err != nil {
		return nil, err
	}
	over(kept)
	return out, nil
}

// Kind is of the hours that nobody measured.
func (j *Joined) Kind() string {
	if j.StandIn == nil {
		return nobody
	}
	return j.StandIn.Kind()
}

// nobody is said where no hours are known.
const nobody = "no weather is known"

// Trouble says why a named station was not heard lately; empty when all is well.
func (j *Joined) Trouble() string { return j.Station.Trouble() }

// Sources says in a few words who hours are from.
func (j *Joined) Sources(hours []weather.Hour) string {
	n := map[string]int{}
	order := []string{}
	for _, h := range hours {
		who := h.From
		if who == "" {
			who = j.Kind()
		}
		if n[who]++; n[who] == 1 {
			order = append(order, who)
		}
	}
	switch len(order) {
	case 0:
		return nobody
	case 1:
		return order[0]
	}
	parts := []string{}
	for _, who := range order {
		parts = append(parts, fmt.Sprintf("%s (%d h)", who, n[who]))
	}
	return strings.Join(parts, ", ")
}
