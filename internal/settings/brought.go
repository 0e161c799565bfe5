package settings

import (
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"slices"

	"botanik/core/fault"
	"botanik/core/remedy"
	"botanik/internal/accounts"
	"botanik/internal/schema"
	"botanik/internal/store"
)

// BroughtDocument is a document of another desk's house, as it was found in a bundle: what it is,
// what it would change here, and why it cannot be taken, where it cannot.
type BroughtDocument struct {
	Key     string   `json:"key"`
	Name    string   `json:"name"`
	Says    []string `json:"says" doc:"what it holds, a line each; what would change here"`
	Own     bool     `json:"own,omitempty" doc:"this desk has words of its own there, and they would give way"`
	Problem string   `json:"problem,omitempty" doc:"why it cannot be taken"`
}

// brought are the documents that may come from another desk, in the order they are offered.
// Addresses of devices and of the desk, when copies are written, who is who and what each
// person calibrated belong to the desk they were made at, and never come along.
var brought = []struct{ key, name string }{
	{keyHouse, "House rules: policy, law, labels, what is borne"},
	{keyIdentity, "Name, place and clock of the desk"},
	{keyMessages, "Words of the messages"},
	{keyCourse, "What is practised"},
}

// mostSaid are the lines a document is described with.
const mostSaid = 40

// LookAt says what documents of another desk would change here; changes nothing. docs are
// JSON by key. The second are keys that never come along.
func (s *Service) LookAt(ctx context.Context, docs map[string]string) ([]BroughtDocument, []string, error) {
	out, left := []BroughtDocument{}, []string{}
	for _, b := range brought {
		raw, ok := docs[b.key]
		if !ok {
			continue
		}
		x := BroughtDocument{Key: b.key, Name: b.name, Says: []string{}}
		now, _, err := s.store.Setting(ctx, b.key)
		if err != nil {
			return nil, nil, err
		}
		x.Own = now != ""
		says, _, err := s.adopted(ctx, b.key, raw)
		switch {
		case fault.Is(err):
			f := fault.From(err)[0]
			x.Problem = fmt.Sprintf("%s %s; %s", f.Field, f.Problem, f.Mend)
		case err != nil:
			return nil, nil, err
		case len(says) == 0:
			continue // it says what stands here already
		default:
			x.Says = says[:min(len(says), mostSaid)]
		}
		out = append(out, x)
	}
	for k := range docs {
		if !slices.ContainsFunc(brought, func(b struct{ key, name string }) bool { return b.key == k }) {
			left = append(left, k)
		}
	}
	slices.Sort(left)
	return out, left, nil
}

// Adopt takes documents of another desk over, as changes of who takes them, and remembers
// them with the batch they came in with. Coordinators only. Errors name the key and field.
func (s *Service) Adopt(ctx context.Context, who accounts.Person, batch string, docs map[string]string, keys []string) error {
	if !who.May(accounts.SetHouse) {
		return accounts.ErrForbidden
	}
	s.keeping.Lock()
	defer s.keeping.Unlock()
	taken := []store.Adopted{}
	for _, k := range keys {
		raw, ok := docs[k]
		if !ok || !slices.ContainsFunc(brought, func(b struct{ key, name string }) bool { return b.key == k }) {
			return fault.New("take", fmt.Sprintf("%q is no document of it", k), "take one that was offered")
		}
		_, doc, err := s.adopted(ctx, k, raw)
		if err != nil {
			return fault.Under(k, err)
		}
		text, err := json.Marshal(doc)
		if err != nil {
			return err
		}
		taken = append(taken, store.Adopted{Key: k, Value: string(text)})
	}
	if len(taken) == 0 {
		return nil
	}
	if err := s.store.AdoptSettings(ctx, batch, taken, who.Name, s.now()); err != nil {
		return err
	}
	return s.announce(ctx)
}

// Restore takes out what came with a batch, where nobody changed it since; it answers what
// stays because somebody did.
func (s *Service) Restore(ctx context.Context, who accounts.Person, batch string) ([]string, error) {
	s.keeping.Lock()
	defer s.keeping.Unlock()
	stay, err := s.store.RestoreSettings(ctx, batch, who.Name, s.now())
	if err != nil {
		return nil, err
	}
	for i, k := range stay {
		for _, b := range brought {
			if b.key == k {
				stay[i] = b.name
			}
		}
	}
	return stay, s.announce(ctx)
}

// announce has whoever listens hear the rules as they stand now.
func (s *Service) announce(ctx context.Context) error {
	h, _, err := s.Rules(ctx)
	if err == nil && s.Changed != nil {
		s.Changed(h)
	}
	return err
}

// adopted reads a document of another desk as it would stand here, held to what the API
// asks of it, and says what would change.
func (s *Service) adopted(ctx context.Context, key, raw string) (says []string, doc any, err error) {
	switch key {
	case keyHouse:
		var h remedy.House
		if err := schema.Read([]byte(raw), &h); err != nil {
			return nil, nil, err
		}
		clean(&h)
		if err := Check(s.base.Load(), h); err != nil {
			return nil, nil, err
		}
		now, _, err := s.Rules(ctx)
		return s.ruleChanges(now, h), h, err
	case keyIdentity:
		var id Identity
		if err := schema.Read([]byte(raw), &id); err != nil {
			return nil, nil, err
		}
		now, _, err := s.Identity(ctx)
		if err != nil {
			return nil, nil, err
		}
		// What a desk is reached by and what stands on its table are its own.
		id.ScopeCamera, id.WeatherStation, id.Gateway, id.Public = now.ScopeCamera, now.WeatherStation, now.Gateway, now.Public
		if err := checkIdentity(&id); err != nil {
			return nil, nil, err
		}
		return differences(now, id), id, nil
	case keyMessages:
		var t Templates
		if err := schema.Read([]byte(raw), &t); err != nil {
			return nil, nil, err
		}
		if err := checkTemplates(&t); err != nil {
			return nil, nil, err
		}
		now, _, err := s.Templates(ctx)
		return differences(now, t), t, err
	case keyCourse:
		var c Course
		if err := schema.Read([]byte(raw), &c); err != nil {
			return nil, nil, err
		}
		if err := s.checkCourse(&c); err != nil {
			return nil, nil, err
		}
		now, _, err := s.Course(ctx)
		return differences(now, c), c, err
	}
	return nil, nil, fault.New("take", fmt.Sprintf("%q is nothing that comes along", key), "leave it out")
}

// called are the fields of these documents as a person knows them, where their own names say
// too little.
var called = map[string]string{
	"name": "what it is called", "place": "where it stands", "lat": "latitude", "lon": "longitude", "zone": "time zone", "units": "spoons offered first", "reach": "how growers reach it", "authority": "whom to call about a regulated suspect", "lab": "where undetermined samples go", "gridKm": "how wide a square of the district is, km",
	"page": "with the page", "moved": "when the weather moved a day", "ask": "how did it go", "classes": "classes of causes", "kinds": "short forms",
}

// differences names each field of two documents that differs, with what it would say.
func differences(was, is any) []string {
	a, b := fieldsOf(was), fieldsOf(is)
	out := []string{}
	for k, v := range b {
		if a[k] != v {
			out = append(out, cmp.Or(called[k], k)+": "+v)
		}
	}
	slices.Sort(out)
	return out
}

func fieldsOf(x any) map[string]string {
	raw, _ := json.Marshal(x) //nolint:errchkjson // documents of our own
	m := map[string]json.RawMessage{}
	_ = json.Unmarshal(raw, &m)
	out := map[string]string{}
	for k, v := range m {
		text := string(v)
		var plain string
		if json.Unmarshal(v, &plain) == nil {
			text = plain
		}
		out[k] = text
	}
	return out
}
