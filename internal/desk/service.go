package desk

import (
	"context"
	"crypto/rand"
	"encoding/json"
	"fmt"
	"strings"
	"time"
	_ "time/tzdata" // a desk knows its zone on machines that have none of their own

	"botanik/core/civil"
	"botanik/core/differential"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/plain"
	"botanik/core/remedy"
	"botanik/internal/people"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/oklog/ulid/v2"
)

// What a caller can meet, beside bad input (package fault).
var (
	ErrNotFound  = store.ErrNotFound
	ErrStale     = store.ErrStale
	ErrTaken     = store.ErrTaken
	ErrKeyUsed   = store.ErrKeyUsed
	ErrForbidden = people.ErrForbidden
)

// Service does what people do. Safe for many goroutines.
type Service struct {
	Store  *store.Store
	Base   *knowledge.Base
	Engine *differential.Engine
	Now    func() time.Time
}

// New makes a service over an open store.
func New(st *store.Store, base *knowledge.Base, now func() time.Time) *Service {
	return &Service{Store: st, Base: base, Engine: differential.NewEngine(base), Now: now}
}

// newID sorts by the moment it was made.
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
	out.Schools = knownSchools(s.Base, out.Schools)
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
	var l fault.List
	for _, f := range []struct {
		name string
		text *string
		mend string
	}{
		{"name", &id.Name, "write what the desk is called; it stands on every page"},
		{"authority", &id.Authority, "write whom to call about a regulated suspect; it stands on the grower's page"},
		{"lab", &id.Lab, "write where undetermined samples go; it stands on the grower's page"},
	} {
		if *f.text = plain.Line(*f.text); *f.text == "" {
			l.Add(f.name, "is empty", f.mend)
		}
	}
	id.Place = plain.Line(id.Place)
	if _, err := time.LoadLocation(id.Zone); err != nil || id.Zone == "" || id.Zone == "Local" {
		l.Add("zone", fmt.Sprintf("%q is not a time zone", id.Zone), "write it like Europe/London")
	}
	if err := l.Err(); err != nil {
		return err
	}
	return s.put(ctx, who, keyIdentity, id, from)
}

// SetHouseRules changes policy, law and labels. Coordinators only; effective at
// once for open cases, whose advice is worked out anew each time it is read.
func (s *Service) SetHouseRules(ctx context.Context, who Person, h remedy.House, from int) error {
	if who.Role != "coordinator" {
		return ErrForbidden
	}
	cleanHouse(&h)
	if err := CheckHouse(s.Base, h); err != nil {
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

// CheckHouse holds a house's answers against a herbarium: what it names has to be
// there, and its labels have to be ranges.
func CheckHouse(b *knowledge.Base, h remedy.House) error {
	var l fault.List
	l.AddErr("", fault.Rename(remedy.Situation{Date: "2000-01-01", House: h}.Check(b), func(f fault.Fault) fault.Fault {
		f.Field = strings.TrimPrefix(f.Field, "house.") // here the house is the whole body
		return f
	}))
	for id := range h.Policy {
		if b.Remedy(id) == nil {
			l.Add("policy."+id, "is not a remedy of the herbarium", "use an id from kb list remedies")
		}
	}
	for id, lab := range h.Labels {
		r := b.Remedy(id)
		if r == nil {
			l.Add("labels."+id, "is not a remedy of the herbarium", "use an id from kb list remedies")
			continue
		}
		l.AddErr("labels."+id, dosage.CheckLabel(r, lab))
	}
	return l.Err()
}

// knownSchools leaves out answers that this herbarium, or the overlay on it, no
// longer has: then its default holds. botanik kb check --data names them.
func knownSchools(b *knowledge.Base, answers map[string]string) map[string]string {
	out := map[string]string{}
	for id, o := range answers {
		if x := b.School(id); x != nil && x.Option(o) != nil {
			out[id] = o
		}
	}
	return out
}

func cleanHouse(h *remedy.House) {
	for id, p := range h.Policy {
		p.Why = plain.Line(p.Why)
		h.Policy[id] = p
	}
	for id, w := range h.Law {
		w.Reference = plain.Line(w.Reference)
		h.Law[id] = w
	}
}

// zone of the desk. An identity of before zones were checked may name none.
func (id Identity) zone() *time.Location {
	loc, err := time.LoadLocation(id.Zone)
	if err != nil {
		return time.UTC
	}
	return loc
}

// today at the desk.
func (s *Service) today(id Identity) civil.Day { return civil.Of(s.Now(), id.zone()) }

// Weather from the stand-in station of this desk.
func (s *Service) weather(id Identity) simulated.Station {
	return simulated.Station{Lat: id.Lat, Place: id.Place}
}

// Day is today at the desk, YYYY-MM-DD.
func (s *Service) Day(id Identity) string { return s.today(id).String() }

// Healthy reports whether the desk's file can be read and written.
func (s *Service) Healthy(ctx context.Context) error { return s.Store.Healthy(ctx, s.Now()) }
