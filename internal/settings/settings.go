package settings

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"slices"
	"strings"
	"sync"
	"sync/atomic"
	"time"
	_ "time/tzdata" // a desk knows its zone on machines that have none of their own

	"botanik/core/civil"
	"botanik/core/dosage"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/weather"
	"botanik/internal/accounts"
	"botanik/internal/camera"
	"botanik/internal/device"
	"botanik/internal/messaging"
	"botanik/internal/store"
	"botanik/internal/weathersource"
)

// Service keeps the house's documents. Safe for many goroutines.
type Service struct {
	store *store.Store
	base  atomic.Pointer[knowledge.Base]
	now   func() time.Time

	keeping sync.Mutex // rules are kept and told of one after another

	bad struct { // documents that cannot be read, with their version
		sync.Mutex
		keys map[string]int
	}
	// Trouble is told of a document that cannot be read; nil when nobody asks.
	Trouble func(error)

	// Changed is told the new rules after they were kept; nil when nobody asks.
	Changed func(remedy.House)
}

// New makes a service over an open store.
func New(st *store.Store, base *knowledge.Base, now func() time.Time) *Service {
	s := &Service{store: st, now: now}
	s.base.Store(base)
	return s
}

// Read has the house read another herbarium from now on.
func (s *Service) Read(base *knowledge.Base) { s.base.Store(base) }

// House documents.
const (
	keyIdentity = "identity"
	keyHouse    = "house"
)

// DefaultIdentity is used until a coordinator sets one.
var DefaultIdentity = Identity{Name: "Plant desk", Zone: "UTC", Lat: 51, Units: "metric", Authority: "the plant health authority of your country", Lab: "the nearest plant clinic: fresh material, dry, in a paper bag inside a padded box"}

// Identity of this desk with its version.
func (s *Service) Identity(ctx context.Context) (Identity, int, error) {
	return read(ctx, s, keyIdentity, DefaultIdentity)
}

// Rules are the coordinator's rules with their version.
func (s *Service) Rules(ctx context.Context) (remedy.House, int, error) {
	out, v, err := read(ctx, s, keyHouse, remedy.House{})
	if out.Policy == nil {
		out.Policy = map[string]remedy.Policy{}
	}
	out.Schools = KnownSchools(s.base.Load(), out.Schools)
	if out.Law == nil {
		out.Law = map[string]remedy.Law{}
	}
	if out.Labels == nil {
		out.Labels = map[string]remedy.Label{}
	}
	return out, v, err
}

func (s *Service) setting(ctx context.Context, key string, into any) (int, error) {
	raw, v, err := s.store.Setting(ctx, key)
	if err != nil || raw == "" {
		return v, err
	}
	if err := json.Unmarshal([]byte(raw), into); err != nil {
		s.unread(key, v, err)
		return v, errUnread
	}
	s.unread(key, v, nil)
	return v, nil
}

// errUnread is a document that cannot be read: its default holds, and the desk goes on.
var errUnread = errors.New("a house document cannot be read")

// read is setting for a document with a default: what cannot be read counts as the
// default, and as a trouble until somebody writes it anew.
func read[T any](ctx context.Context, s *Service, key string, usual T) (T, int, error) {
	out := usual
	v, err := s.setting(ctx, key, &out)
	if errors.Is(err, errUnread) {
		return usual, v, nil // half of what was read may have been written into it
	}
	return out, v, err
}

// unread remembers which documents cannot be read, and tells the log once of each.
func (s *Service) unread(key string, version int, err error) {
	s.bad.Lock()
	defer s.bad.Unlock()
	if err == nil {
		delete(s.bad.keys, key)
		return
	}
	if s.bad.keys == nil {
		s.bad.keys = map[string]int{}
	}
	if s.bad.keys[key] != version && s.Trouble != nil {
		s.Trouble(fmt.Errorf("house document %q, version %d: %w", key, version, err))
	}
	s.bad.keys[key] = version
}

// Unread are the house's documents that cannot be read, by what they are called here; their
// defaults hold meanwhile.
func (s *Service) Unread() []string {
	s.bad.Lock()
	defer s.bad.Unlock()
	out := []string{}
	for k := range s.bad.keys {
		name := k
		for _, b := range brought {
			if b.key == k {
				name = b.name
			}
		}
		out = append(out, name)
	}
	slices.Sort(out)
	return out
}

// SetIdentity changes who and where the desk is. Coordinators only.
func (s *Service) SetIdentity(ctx context.Context, who accounts.Person, id Identity, from int) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	if err := checkIdentity(&id); err != nil {
		return err
	}
	return s.put(ctx, who, keyIdentity, id, from)
}

// checkIdentity tidies an identity and refuses what cannot be. Errors name its fields.
func checkIdentity(id *Identity) error {
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
		if *f.text = humanise.Line(*f.text); *f.text == "" {
			l.Add(f.name, "is empty", f.mend)
		}
	}
	id.ScopeCamera = humanise.Line(id.ScopeCamera)
	l.AddErr("", camera.Address(id.ScopeCamera))
	id.WeatherStation = humanise.Line(id.WeatherStation)
	l.AddErr("", weathersource.Address(id.WeatherStation))
	id.Gateway, id.Public = humanise.Line(id.Gateway), strings.TrimRight(humanise.Line(id.Public), "/")
	l.AddErr("", messaging.Address(id.Gateway))
	l.AddErr("", device.Address("public", id.Public, "this program", "write it like https://desk.example, or leave it empty", "http", "https"))
	id.Place, id.Reach = humanise.Line(id.Place), humanise.Line(id.Reach)
	if _, err := time.LoadLocation(id.Zone); err != nil || id.Zone == "" || id.Zone == "Local" {
		l.Add("zone", fmt.Sprintf("%q is not a time zone", id.Zone), "write it like Europe/London")
	}
	return l.Err()
}

// SetRules changes policy, law and labels. Coordinators only; effective at
// once for open cases, whose advice is worked out anew each time it is read.
func (s *Service) SetRules(ctx context.Context, who accounts.Person, h remedy.House, from int) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	clean(&h)
	if err := Check(s.base.Load(), h); err != nil {
		return err
	}
	s.keeping.Lock()
	defer s.keeping.Unlock()
	if err := s.put(ctx, who, keyHouse, h, from); err != nil {
		return err
	}
	if s.Changed != nil {
		s.Changed(h)
	}
	return nil
}

func (s *Service) put(ctx context.Context, who accounts.Person, key string, v any, from int) error {
	raw, err := json.Marshal(v)
	if err != nil {
		return err
	}
	return s.store.SetSetting(ctx, key, string(raw), from, who.Name, s.now())
}

// Check holds a house's answers against a herbarium: what it names has to be
// there, and its labels have to be ranges.
func Check(b *knowledge.Base, h remedy.House) error {
	var l fault.List
	l.AddErr("", h.Check(b))
	for id := range h.Policy {
		if b.Remedy(id) == nil {
			l.Add("policy."+id, "is not a remedy of the herbarium", "use an id from kb list remedies")
		}
	}
	for id, x := range h.Borne {
		at := "borne." + id
		switch {
		case b.Cause(id) == nil:
			l.Add(at, "is not a cause of the herbarium", "use an id from kb list causes")
		case (x.PerUnit > 0) == (x.Share > 0):
			l.Add(at, "gives neither a number nor a share, or both", "give how many a unit, or the share of leaves that show it")
		case x.PerUnit < 0 || x.PerUnit > 10_000 || x.Share < 0 || x.Share > .9:
			l.Add(at, "is no level that can be borne", "give a number up to 10 000, or a share up to 0.9")
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

// KnownSchools leaves out answers that this herbarium, or the overlay on it, no
// longer has: then its default holds. botanik kb check --data names them.
func KnownSchools(b *knowledge.Base, answers map[string]string) map[string]string {
	out := map[string]string{}
	for id, o := range answers {
		if x := b.School(id); x != nil && x.Option(o) != nil {
			out[id] = o
		}
	}
	return out
}

func clean(h *remedy.House) {
	for id, p := range h.Policy {
		p.Why = humanise.Line(p.Why)
		h.Policy[id] = p
	}
	for id, x := range h.Borne {
		x.Source = humanise.Line(x.Source)
		h.Borne[id] = x
	}
	for id, w := range h.Law {
		w.Reference = humanise.Line(w.Reference)
		h.Law[id] = w
	}
}

// Location of the desk's clock. An identity of before zones were checked may
// name none; then it is UTC.
func (id Identity) Location() *time.Location {
	loc, err := time.LoadLocation(id.Zone)
	if err != nil {
		return time.UTC
	}
	return loc
}

// Spot is where the desk's weather is measured.
func (id Identity) Spot() weather.Place {
	return weather.Place{Lat: id.Lat, Lon: id.Lon, Name: id.Place}
}

// Moment is what holds at the desk while one thing is done: read once, and passed
// on to whoever asks.
type Moment struct {
	Identity
	Rules   remedy.House
	Version int // of the rules
	Now     time.Time
	Today   civil.Day
	Clock   *time.Location
}

// Moment reads who, where and when the desk is and which rules hold.
func (s *Service) Moment(ctx context.Context) (Moment, error) {
	id, _, err := s.Identity(ctx)
	if err != nil {
		return Moment{}, err
	}
	rules, v, err := s.Rules(ctx)
	m := Moment{Identity: id, Rules: rules, Version: v, Now: s.now(), Clock: id.Location()}
	m.Today = civil.Of(m.Now, m.Clock)
	return m, err
}

// Spot is where the desk's weather is measured, with the climate the house says it has.
func (m Moment) Spot() weather.Place {
	p := m.Identity.Spot()
	p.Climate = m.Rules.Local.Climate
	return p
}

// Grid is how wide a square of the district is, km.
func (id Identity) Grid() float64 { return cmp.Or(id.GridKm, 1) }

// South reports whether the desk lies in the southern half of the world.
func (id Identity) South() bool { return id.Lat < 0 }

// Identity of the desk.
type Identity struct {
	Name      string  `json:"name" minLength:"1" maxLength:"80"`
	Place     string  `json:"place" maxLength:"80"`
	Lat       float64 `json:"lat" minimum:"-90" maximum:"90"`
	Lon       float64 `json:"lon" minimum:"-180" maximum:"180"`
	Zone      string  `json:"zone" maxLength:"60" doc:"time zone, like Europe/London"`
	Units     string  `json:"units" enum:"metric,us,imperial,au" doc:"kitchen spoons offered first"`
	Reach     string  `json:"reach,omitempty" maxLength:"200" doc:"how a grower reaches the desk: telephone, hours; it stands on every page"`
	Authority string  `json:"authority" minLength:"1" maxLength:"200" doc:"whom to call about a regulated suspect"`
	Lab       string  `json:"lab" minLength:"1" maxLength:"200" doc:"where undetermined samples are sent, and how packed"`

	ScopeCamera string `json:"scopeCamera,omitempty" maxLength:"200" doc:"address of the microscope camera's bridge; empty for none"`

	Gateway string `json:"gateway,omitempty" maxLength:"200" doc:"address of the message gateway or the mail server; empty for none"`
	Public  string `json:"public,omitempty" maxLength:"200" doc:"address at which growers reach this program, for links in messages"`

	GridKm float64 `json:"gridKm,omitempty" minimum:"0" maximum:"50" doc:"how wide one of the nine by nine squares of the district is, km; 1 when left out"`

	WeatherStation string `json:"weatherStation,omitempty" maxLength:"200" doc:"address of the weather station or its bridge; empty for the simulated one"`
}
