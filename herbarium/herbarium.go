package herbarium

import (
	"bytes"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path"
	"reflect"
	"sort"
	"strings"
	"sync"

	"botanik/core/knowledge"
	"botanik/core/microscopy"
	"botanik/core/sprayday"
	"botanik/internal/bounded"

	"github.com/goccy/go-yaml"
)

//go:embed causes findings hosts remedies conflicts.yaml infections.yaml kinds.yaml lifetables.yaml protocols.yaml sampling.yaml sayings.yaml schools.yaml slidecharacters.yaml slides winter.yaml
var ours embed.FS

// maxFile keeps a mistaken or hostile file from filling memory.
const maxFile = 4 << 20

type entries struct{ knowledge.Entries }

// Embedded returns the herbarium that ships with the program. It is checked by
// tests, so it panics only when the program was built from a broken one.
var Embedded = sync.OnceValue(func() *knowledge.Base {
	b, err := Load("")
	if err != nil {
		panic("herbarium: " + err.Error())
	}
	return b
})

// Load reads our herbarium with, when dir is not empty, a desk's own folder
// laid over it. It reports the file and place of a mistake in the YAML; the
// rules of the entries are for knowledge.Check.
func Load(dir string) (*knowledge.Base, error) {
	var e entries
	if quick, ok := unpack(); ok {
		e.Entries = quick
	} else if err := e.walk(ours, "herbarium/", nil); err != nil {
		return nil, err
	}
	if dir != "" {
		st, err := os.Stat(dir)
		if err != nil || !st.IsDir() {
			return nil, fmt.Errorf("herbarium folder %q cannot be read; give a folder with causes/, findings/, hosts/ or remedies/ in it", dir)
		}
		if err := e.walk(os.DirFS(dir), strings.TrimSuffix(dir, "/")+"/", bounded.YAML); err != nil {
			return nil, err
		}
	}
	return knowledge.New(e.Entries), nil
}

// walk reads every sheet of a folder, each held to check first, where there is one: a sheet
// that is not ours may hold what grows when it is read.
func (e *entries) walk(fsys fs.FS, prefix string, check func([]byte) error) error {
	var files []string
	err := fs.WalkDir(fsys, ".", func(p string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if !d.IsDir() && strings.HasSuffix(p, ".yaml") {
			files = append(files, p)
		}
		return nil
	})
	if err != nil {
		return err
	}
	sort.Strings(files)
	for _, f := range files {
		if info, err := fs.Stat(fsys, f); err == nil && info.Size() > maxFile {
			return fmt.Errorf("%s%s: is larger than 4 MiB; split it", prefix, f)
		}
		data, err := fs.ReadFile(fsys, f)
		if err != nil {
			return err
		}
		if check != nil {
			if err := check(data); err != nil {
				return fmt.Errorf("%s%s: %w", prefix, f, err)
			}
		}
		if err := e.read(f, prefix+f, data); err != nil {
			return err
		}
	}
	return nil
}

// read decodes one file by the folder it lies in.
func (e *entries) read(name, label string, data []byte) error {
	if len(data) > maxFile {
		return fmt.Errorf("%s: is larger than 4 MiB; split it", label)
	}
	kind := strings.TrimSuffix(path.Base(name), ".yaml")
	if d := path.Dir(name); d != "." {
		kind = path.Base(d)
	}
	switch kind {
	case "causes":
		return decode(label, data, &e.Causes, func(c *knowledge.Cause) *string { c.From = label; return &c.ID })
	case "findings":
		return decode(label, data, &e.Findings, func(f *knowledge.Finding) *string {
			f.From = label
			for i := range f.States {
				if f.States[i].Name == "" {
					f.States[i].Name = f.States[i].ID
				}
			}
			return &f.ID
		})
	case "hosts":
		return decode(label, data, &e.Hosts, func(h *knowledge.Host) *string { h.From = label; return &h.ID })
	case "remedies":
		return decode(label, data, &e.Remedies, func(r *knowledge.Remedy) *string { r.From = label; return &r.ID })
	case "conflicts":
		return decode(label, data, &e.Conflicts, func(c *knowledge.Conflict) *string { c.From = label; return &c.A })
	case "lifetables":
		return decode(label, data, &e.LifeTables, func(l *knowledge.LifeTable) *string { l.From = label; return &l.ID })
	case "kinds":
		return decode(label, data, &e.KindRules, func(r *knowledge.KindRule) *string { r.From = label; return &r.ID })
	case "sayings":
		return decode(label, data, &e.Sayings, func(x *knowledge.Saying) *string { x.From = label; return &x.ID })
	case "protocols":
		return decode(label, data, &e.Protocols, func(x *knowledge.Protocol) *string { x.From = label; return &x.ID })
	case "infections":
		return decode(label, data, &e.Infections, func(x *sprayday.Infection) *string { x.From = label; return &x.ID })
	case "sampling":
		return decode(label, data, &e.Sampling, func(x *knowledge.Sampling) *string { x.From = label; return &x.ID })
	case "slidecharacters":
		return decode(label, data, &e.Characters, func(x *microscopy.Character) *string { x.From = label; return &x.ID })
	case "slides":
		return decode(label, data, &e.Slides, func(x *microscopy.Species) *string { x.From = label; return &x.ID })
	case "winter":
		return decode(label, data, &e.Winters, func(x *knowledge.WinterRule) *string { x.From = label; return &x.Climate })
	case "schools":
		return decode(label, data, &e.Schools, func(x *knowledge.School) *string { x.From = label; return &x.ID })
	}
	return fmt.Errorf("%s: lies in no folder known here; use causes/, findings/, hosts/, remedies/, conflicts.yaml, infections.yaml, kinds.yaml, lifetables.yaml, protocols.yaml, sampling.yaml, sayings.yaml, schools.yaml, slidecharacters.yaml, slides/ or winter.yaml", label)
}

// decode reads a list strictly: an unknown field is a mistake, not ignored,
// and an id may stand only once in one file.
func decode[T any](label string, data []byte, into *[]*T, mark func(*T) *string) error {
	var list []*T
	dec := yaml.NewDecoder(bytes.NewReader(data), yaml.Strict(), yaml.DisallowUnknownField())
	if err := calmly(func() error { return dec.Decode(&list) }); err != nil {
		return fmt.Errorf("%s: %s", label, yaml.FormatError(err, false, false))
	}
	for i, x := range list {
		if x == nil {
			return fmt.Errorf("%s: entry %d is empty; remove the lone dash", label, i+1)
		}
		if id := mark(x); *id == "" {
			return fmt.Errorf("%s: entry %d has no id; give it one", label, i+1)
		}
	}
	canonical(reflect.ValueOf(list))
	*into = append(*into, list...)
	return nil
}

// calmly turns a panic of the YAML reader into an error: on some broken files
// (a tag without a list behind it) it panics, found by FuzzRead.
func calmly(f func() error) (err error) {
	defer func() {
		if r := recover(); r != nil {
			err = errors.New("is no list of entries; start each with a dash")
		}
	}()
	return f()
}
