package weathersource

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"net/url"
	"slices"
	"strings"
	"sync"
	"time"

	"botanik/core/sprayday"
	"botanik/core/weather"
	"botanik/internal/device"
	"botanik/internal/guard"
)

// Format of a station's answer.
const Format = "botanik-weather/1"

// Forecast is what a station says: hours in °C, per cent, metres a second, millimetres.
type Forecast struct {
	Format string         `json:"format"`
	Name   string         `json:"name"`
	Hours  []weather.Hour `json:"hours"`
}

// Limits of a station's answer, and how long one is good.
const (
	mostAnswer = 4 << 20
	mostHours  = 24 * 60
	fresh      = 20 * time.Minute
	retry      = time.Minute
	grace      = 400 * time.Millisecond // that a page waits for a station
	reachBack  = 15 * 24 * time.Hour
	reachOn    = 16 * 24 * time.Hour
)

// Station asks a weather station or its bridge for hours. It asks for some weeks at
// once, and again when what it knows is old.
type Station struct {
	address func(context.Context) (string, error) // "" for none
	now     func() time.Time
	http    http.Client

	mu     sync.Mutex
	at     string // the address asked
	asked  time.Time
	known  []weather.Hour
	name   string
	failed error
	asking chan struct{} // closed when the question that is out is answered; nil when none is
}

// NewStation makes one; address tells where it is, empty for none.
func NewStation(address func(context.Context) (string, error), now func() time.Time) *Station {
	return &Station{address: address, now: now, http: device.Client(patience)}
}

// Address refuses what is no address of a station.
func Address(s string) error {
	return device.Address("weatherStation", s, "a station", "write it like http://192.168.1.30:8700, or leave it empty for the simulated one", "http", "https")
}

// Trouble says why a station that is named was not heard lately; empty when all is well.
func (s *Station) Trouble() string {
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.at == "" || s.failed == nil {
		return ""
	}
	return s.failed.Error()
}

// hours it knows; none where it cannot be heard.
func (s *Station) hours(ctx context.Context, from, to time.Time) []weather.Hour {
	at, err := s.address(ctx)
	if err != nil {
		return nil
	}
	s.mu.Lock()
	if at != s.at {
		s.at, s.known, s.failed, s.asked, s.asking = at, nil, nil, time.Time{}, nil
	}
	if at == "" {
		s.mu.Unlock()
		return nil
	}
	now := s.now()
	wait := fresh
	if s.failed != nil {
		wait = retry
	}
	if s.asking == nil && (now.Sub(s.asked) >= wait || now.Before(s.asked)) {
		s.asked = now
		s.begin(at, now)
	}
	asking, hopeless := s.asking, s.failed != nil
	s.mu.Unlock()
	if asking != nil && !hopeless { // one that answers, answers at once; nobody waits for one that does not
		soon := time.NewTimer(grace)
		select {
		case <-asking:
		case <-soon.C:
		case <-ctx.Done():
		}
		soon.Stop()
	}
	s.mu.Lock()
	defer s.mu.Unlock()
	out := []weather.Hour{}
	for _, h := range s.known {
		if !h.At.Before(from) && h.At.Before(to) {
			out = append(out, h)
		}
	}
	return out
}

// begin asks in the background; asking is closed when it is done. A station whose answer
// does not come in time counts as not heard. Called with the lock held.
func (s *Station) begin(at string, now time.Time) {
	done := make(chan struct{})
	s.asking = done
	go func() {
		ctx, cancel := context.WithTimeout(context.Background(), patience)
		defer cancel()
		var a Forecast
		err := guard.Run(func() (err error) {
			a, err = s.ask(ctx, at, now.Add(-reachBack), now.Add(reachOn))
			return err
		})
		s.mu.Lock()
		defer s.mu.Unlock()
		defer close(done)
		if s.asking != done { // another address meanwhile
			return
		}
		s.asking = nil
		if s.failed = err; guard.Is(err) {
			s.failed = errors.New("the weather station's answer cannot be read")
		}
		if err == nil {
			s.known, s.name = a.Hours, a.Name
		}
	}()
}

// ask asks once. Errors say what is wrong with the station in a sentence.
func (s *Station) ask(ctx context.Context, at string, from, to time.Time) (Forecast, error) {
	q := url.Values{"from": {from.UTC().Format(time.RFC3339)}, "to": {to.UTC().Format(time.RFC3339)}}
	req, err := http.NewRequestWithContext(ctx, http.MethodGet, strings.TrimRight(at, "/")+"/hours?"+q.Encode(), nil)
	if err != nil {
		return Forecast{}, err
	}
	res, err := s.http.Do(req)
	if err != nil {
		return Forecast{}, errors.New("the weather station does not answer")
	}
	defer func() { _ = res.Body.Close() }()
	if res.StatusCode != http.StatusOK {
		return Forecast{}, fmt.Errorf("the weather station answers %s", res.Status)
	}
	raw, err := io.ReadAll(io.LimitReader(res.Body, mostAnswer+1))
	if err != nil || len(raw) > mostAnswer {
		return Forecast{}, errors.New("the weather station's answer breaks off or is too long")
	}
	return Parse(raw)
}

// Parse reads a station's answer and refuses what air cannot be. Errors say it in a
// sentence.
func Parse(raw []byte) (Forecast, error) {
	var a Forecast
	if err := json.Unmarshal(raw, &a); err != nil || a.Format != Format {
		return Forecast{}, fmt.Errorf("the weather station does not speak %s", Format)
	}
	if len(a.Hours) > mostHours {
		return Forecast{}, fmt.Errorf("the weather station sends %d hours, more than %d", len(a.Hours), mostHours)
	}
	if a.Name = strings.TrimSpace(a.Name); a.Name == "" || len(a.Name) > 60 {
		a.Name = "the station"
	}
	for i := range a.Hours {
		h := &a.Hours[i]
		if err := possible(*h); err != nil {
			return Forecast{}, fmt.Errorf("the weather station's hour %s cannot be: %w", h.At.Format(time.RFC3339), err)
		}
		h.At, h.From = h.At.UTC().Truncate(time.Hour), a.Name
	}
	slices.SortFunc(a.Hours, func(x, y weather.Hour) int { return x.At.Compare(y.At) })
	a.Hours = slices.CompactFunc(a.Hours, func(x, y weather.Hour) bool { return x.At.Equal(y.At) })
	return a, nil
}

func possible(h weather.Hour) error {
	if err := sprayday.CheckAir(h.TempC, h.Humidity); err != nil {
		return err
	}
	switch {
	case h.At.IsZero():
		return errors.New("it has no time")
	case !(h.WindMs >= 0 && h.WindMs <= weather.WindiestM):
		return fmt.Errorf("wind of %g m/s", h.WindMs)
	case !(h.GustMs >= 0 && h.GustMs <= 1.5*weather.WindiestM):
		return fmt.Errorf("gusts of %g m/s", h.GustMs)
	case !(h.WindFrom >= 0 && h.WindFrom <= 360):
		return fmt.Errorf("wind from %g degrees", h.WindFrom)
	case !(h.RainMm >= 0 && h.RainMm <= weather.WettestMm):
		return fmt.Errorf("%g mm of rain in an hour", h.RainMm)
	}
	return nil
}
