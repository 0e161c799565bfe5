package desk

import (
	"context"
	"crypto/rand"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
	"time"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/internal/standin"
	"botanik/internal/store"

	"github.com/oklog/ulid/v2"
)

// What a caller can meet, beside bad input (package fault).
var (
	ErrNotFound  = store.ErrNotFound
	ErrStale     = store.ErrStale
	ErrTaken     = store.ErrTaken
	ErrKeyUsed   = store.ErrKeyUsed
	ErrForbidden = errors.New("your role may not do this")
	ErrSignIn    = errors.New("sign in first")
	ErrWait      = errors.New("too many wrong passwords; wait")
)

// Service does what people do. Safe for many goroutines.
type Service struct {
	Store  *store.Store
	Base   *knowledge.Base
	Engine *differential.Engine
	Now    func() time.Time
	gate   throttle
}

// New makes a service over an open store.
func New(st *store.Store, base *knowledge.Base, now func() time.Time) *Service {
	return &Service{Store: st, Base: base, Engine: differential.NewEngine(base), Now: now}
}

func newID(now time.Time) string { return ulid.MustNew(ulid.Timestamp(now), rand.Reader).String() }

// House documents.
const (
	keyIdentity = "identity"
	keyHouse    = "house"
)

// DefaultIdentity is used until a coordinator sets one.
var DefaultIdentity = Identity{Name: "Plant desk", Zone: "UTC", Lat: 51, Units: "metric", Authority: "the plant health authority of your country", Lab: "the nearest plant clinic: fresh material, dry, in a paper bag inside a padded box"}

// Identity of this desk with its version.
func (s *Service) Identity(ctx context.Context) (Identity, int, error) {
	out := DefaultIdentity
	v, err := s.setting(ctx, keyIdentity, &out)
	return out, v, err
}

// HouseRules are the coordinator's rules with their version.
func (s *Service) HouseRules(ctx context.Context) (remedy.House, int, error) {
	var out remedy.House
	v, err := s.setting(ctx, keyHouse, &out)
	if out.Policy == nil {
		out.Policy = map[string]remedy.Policy{}
	}
	if out.Schools == nil {
		out.Schools = map[string]string{}
	}
	if out.Law == nil {
		out.Law = map[string]remedy.Law{}
	}
	if out.Labels == nil {
		out.Labels = map[string]remedy.Label{}
	}
	return out, v, err
}

func (s *Service) setting(ctx context.Context, key string, into any) (int, error) {
	raw, v, err := s.Store.Setting(ctx, key)
	if err != nil || raw == "" {
		return v, err
	}
	return v, json.Unmarshal([]byte(raw), into)
}

// SetIdentity changes who and where the desk is. Coordinators only.
func (s *Service) SetIdentity(ctx context.Context, who Person, id Identity, from int) error {
	if who.Role != "coordinator" {
		return ErrForbidden
	}
	if _, err := time.LoadLocation(id.Zone); err != nil || id.Zone == "" {
		return fault.New("zone", fmt.Sprintf("%q is not a time zone", id.Zone), "write it like Europe/London")
	}
	return s.put(ctx, who, keyIdentity, id, from)
}

// SetHouseRules changes policy, law and labels. Coordinators only; effective at
// once for open cases, whose advice is worked out anew each time it is read.
func (s *Service) SetHouseRules(ctx context.Context, who Person, h remedy.House, from int) error {
	if who.Role != "coordinator" {
		return ErrForbidden
	}
	var l fault.List
	for _, f := range fault.From(remedy.Situation{Date: "2000-01-01", House: h}.Check(s.Base)) {
		l.Add(strings.TrimPrefix(f.Field, "house."), f.Problem, f.Mend) // here the house is the whole body
	}
	for id := range h.Policy {
		if s.Base.Remedy(id) == nil {
			l.Add("policy."+id, "is not a remedy of the herbarium", "use an id from kb list remedies")
		}
	}
	for id, lab := range h.Labels {
		r := s.Base.Remedy(id)
		if r == nil {
			l.Add("labels."+id, "is not a remedy of the herbarium", "use an id from kb list remedies")
			continue
		}
		l.AddErr("labels."+id, checkLabel(r, lab))
	}
	if err := l.Err(); err != nil {
		return err
	}
	return s.put(ctx, who, keyHouse, h, from)
}

func (s *Service) put(ctx context.Context, who Person, key string, v any, from int) error {
	raw, err := json.Marshal(v)
	if err != nil {
		return err
	}
	return s.Store.SetSetting(ctx, key, string(raw), from, who.Name, s.Now())
}

// today at the desk.
func (s *Service) today(id Identity) time.Time {
	loc, err := time.LoadLocation(id.Zone)
	if err != nil {
		loc = time.UTC
	}
	n := s.Now().In(loc)
	return time.Date(n.Year(), n.Month(), n.Day(), 0, 0, 0, 0, time.UTC)
}

// Weather from the stand-in station of this desk.
func (s *Service) weather(id Identity) standin.Station {
	return standin.Station{Lat: id.Lat, Place: id.Place}
}

// Day is today at the desk, YYYY-MM-DD.
func (s *Service) Day(id Identity) string { return s.today(id).Format(remedy.DateLayout) }
