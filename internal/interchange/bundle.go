package interchange

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"hash"
	"io"
	"os"
	"path/filepath"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/bounded"
)

// A bundle is a zip: manifest.json says what it is and the SHA-256 of every other file;
// those with .jsonl have one JSON value a line.
const (
	bundleFormat = "botanik-bundle"
	// BundleVersion of the format this program writes; it reads those before as well.
	BundleVersion = 1
	manifestName  = "manifest.json"

	// Limits of what is read: a zip of a few kB can unpack to more than a machine has.
	mostFiles    = 500_000
	mostUnpacked = 20 << 30
	mostFile     = 4 << 30
	// mostManifest names half a million files.
	mostManifest = 64 << 20
	// A line is a case with its whole story: the longest seen have some 300 kB.
	mostLine      = 4 << 20
	mostLineDeep  = 40
	mostLineParts = 200_000
)

// Manifest of a bundle.
type Manifest struct {
	Format  string               `json:"format"`
	Version int                  `json:"version"`
	Desk    string               `json:"desk"`
	Made    time.Time            `json:"made"`
	Cases   int                  `json:"cases"`
	Photos  int                  `json:"photos"`
	Files   map[string]BundleSum `json:"files"`
}

// BundleSum is what a file of the bundle has to be.
type BundleSum struct {
	Bytes  int64  `json:"bytes"`
	SHA256 string `json:"sha256"`
}

// BundleWriter writes a bundle.
type BundleWriter struct {
	z    *zip.Writer
	m    Manifest
	open struct {
		name string
		w    io.Writer
		sum  hash.Hash
		n    int64
	}
}

// NewBundle begins one.
func NewBundle(w io.Writer, desk string, made time.Time) *BundleWriter {
	return &BundleWriter{z: zip.NewWriter(w), m: Manifest{Format: bundleFormat, Version: BundleVersion, Desk: desk, Made: made.UTC(), Files: map[string]BundleSum{}}}
}

// File begins a file; the one before is whole then.
func (b *BundleWriter) File(name string) error {
	b.close()
	method := zip.Deflate
	if strings.HasSuffix(name, ".jpg") {
		method = zip.Store
	}
	w, err := b.z.CreateHeader(&zip.FileHeader{Name: name, Method: method, Modified: b.m.Made})
	b.open.name, b.open.w, b.open.sum, b.open.n = name, w, sha256.New(), 0
	return err
}

func (b *BundleWriter) close() {
	if b.open.name != "" {
		b.m.Files[b.open.name] = BundleSum{b.open.n, hex.EncodeToString(b.open.sum.Sum(nil))}
		b.open.name = ""
	}
}

// Write adds to the file that was begun.
func (b *BundleWriter) Write(p []byte) (int, error) {
	b.open.sum.Write(p)
	b.open.n += int64(len(p))
	return b.open.w.Write(p)
}

// Line adds a JSON value as one line.
func (b *BundleWriter) Line(v any) error {
	raw, err := json.Marshal(v)
	if err != nil {
		return err
	}
	_, err = b.Write(append(raw, '\n'))
	return err
}

// End writes the manifest with how much there is.
func (b *BundleWriter) End(cases, photos int) error {
	b.close()
	b.m.Cases, b.m.Photos = cases, photos
	raw, err := json.MarshalIndent(b.m, "", " ")
	if err != nil {
		return err
	}
	w, err := b.z.CreateHeader(&zip.FileHeader{Name: manifestName, Method: zip.Deflate, Modified: b.m.Made})
	if err != nil {
		return err
	}
	if _, err := w.Write(raw); err != nil {
		return err
	}
	return b.z.Close()
}

// Bundle is one that is read.
type Bundle struct {
	Manifest
	files map[string]*zip.File
}

// notBundle says that a file is none.
func notBundle(why string) error {
	return fault.New("file", "is no bundle of a desk: "+why, "choose a zip that Botanik wrote under Season, Records")
}

// OpenBundle reads a bundle's manifest and checks every file against it. Errors name file.
func OpenBundle(r io.ReaderAt, size int64) (*Bundle, error) {
	z, err := zip.NewReader(r, size)
	if err != nil {
		return nil, notBundle("it cannot be opened as a zip")
	}
	if len(z.File) > mostFiles {
		return nil, notBundle("it has too many files")
	}
	b := &Bundle{files: map[string]*zip.File{}}
	var all uint64
	for _, f := range z.File {
		if b.files[f.Name] != nil {
			return nil, notBundle(fmt.Sprintf("%q stands in it twice", f.Name))
		}
		b.files[f.Name] = f
		if all += f.UncompressedSize64; f.UncompressedSize64 > mostFile || all > mostUnpacked {
			return nil, notBundle("it unpacks to more than a desk holds")
		}
	}
	m := b.files[manifestName]
	if m == nil {
		return nil, notBundle("it has no " + manifestName)
	}
	raw, err := readAll(m, mostManifest)
	if err != nil || json.Unmarshal(raw, &b.Manifest) != nil || b.Format != bundleFormat {
		return nil, notBundle("its " + manifestName + " cannot be read")
	}
	if b.Version > BundleVersion {
		return nil, fault.New("file", fmt.Sprintf("was written by a newer Botanik (version %d, this one knows %d)", b.Version, BundleVersion), "bring this program up to date first")
	}
	for name := range b.files {
		if _, ok := b.Files[name]; !ok && name != manifestName {
			return nil, notBundle(fmt.Sprintf("%q is not in its list", name))
		}
	}
	for name, want := range b.Files {
		if err := b.check(name, want); err != nil {
			return nil, err
		}
	}
	return b, nil
}

func (b *Bundle) check(name string, want BundleSum) error {
	f := b.files[name]
	damaged := fault.New("file", fmt.Sprintf("is damaged: %q is not what its list says", name), "fetch it once more from the other desk")
	if f == nil || int64(f.UncompressedSize64) != want.Bytes { //nolint:gosec // held below mostFile
		return damaged
	}
	r, err := f.Open()
	if err != nil {
		return damaged
	}
	defer func() { _ = r.Close() }()
	sum := sha256.New()
	n, err := io.Copy(sum, io.LimitReader(r, want.Bytes+1))
	if err != nil || n != want.Bytes || hex.EncodeToString(sum.Sum(nil)) != want.SHA256 {
		return damaged
	}
	return nil
}

func readAll(f *zip.File, most int64) ([]byte, error) {
	r, err := f.Open()
	if err != nil {
		return nil, err
	}
	raw, err := io.ReadAll(io.LimitReader(r, most+1))
	if int64(len(raw)) > most {
		err = errors.Join(err, errors.New("too long"))
	}
	return raw, errors.Join(err, r.Close())
}

// Read is a whole file of the bundle, nil when it has none of that name; an error when it
// has more than so many bytes.
func (b *Bundle) Read(name string, most int64) ([]byte, error) {
	f := b.files[name]
	if f == nil {
		return nil, nil
	}
	return readAll(f, most)
}

// Lines calls f with every line of a file of the bundle; with none where there is no such
// file. Errors name file and the line.
func (b *Bundle) Lines(name string, f func(raw json.RawMessage) error) error {
	file := b.files[name]
	if file == nil {
		return nil
	}
	r, err := file.Open()
	if err != nil {
		return err
	}
	defer func() { _ = r.Close() }()
	again := "fetch it once more from the other desk"
	err = bounded.Lines(r, mostLine, func(line []byte, n int) error {
		if err := bounded.JSON(line, mostLineDeep, mostLineParts); err != nil {
			return fault.New("file", fmt.Sprintf("line %d of %s %s", n, name, err), again)
		}
		if !json.Valid(line) {
			return fault.New("file", fmt.Sprintf("line %d of %s is no JSON", n, name), again)
		}
		return f(bytes.Clone(line))
	})
	var large *bounded.TooLarge
	if errors.As(err, &large) {
		return fault.New("file", fmt.Sprintf("%s of %s", large.Error(), name), again)
	}
	return err
}

// Limits of a desk's own herbarium as a zip.
const (
	mostSheets = 300
	mostSheet  = bounded.YAMLBytes
	mostBook   = 4 << 20 // three times the book that ships
)

// HoldsYAML says whether a zip is of a herbarium's sheets and no bundle.
func HoldsYAML(r io.ReaderAt, size int64) bool {
	z, err := zip.NewReader(r, size)
	if err != nil {
		return false
	}
	yaml := false
	for _, f := range z.File {
		if f.Name == manifestName {
			return false
		}
		yaml = yaml || strings.HasSuffix(f.Name, ".yaml")
	}
	return yaml
}

// UnpackYAML writes the sheets of a herbarium into a folder, each in its own. Whatever else
// the zip holds is passed over; a name that leads out of the folder is refused. Errors name
// file.
func UnpackYAML(r io.ReaderAt, size int64, folder string) (int, error) {
	z, err := zip.NewReader(r, size)
	if err != nil {
		return 0, fault.New("file", "cannot be opened as a zip", "pack the folder once more")
	}
	n, all := 0, uint64(0)
	for _, f := range z.File {
		if !strings.HasSuffix(f.Name, ".yaml") || f.FileInfo().IsDir() {
			continue
		}
		n++
		all += f.UncompressedSize64
		switch {
		case !filepath.IsLocal(f.Name) || strings.Contains(f.Name, `\`):
			return 0, fault.New("file", fmt.Sprintf("%q leads out of its folder", f.Name), "pack only causes/, findings/, hosts/ and remedies/")
		case n > mostSheets || f.UncompressedSize64 > mostSheet || all > mostBook:
			return 0, fault.New("file", "is too large for a desk's own herbarium", "at most 300 sheets of 256 kB each, 4 MB in all")
		}
		raw, err := readAll(f, mostSheet)
		if err != nil {
			return 0, fault.New("file", fmt.Sprintf("%q cannot be read", f.Name), "pack the folder once more")
		}
		if err := bounded.YAML(raw); err != nil {
			return 0, fault.New("file", fmt.Sprintf("%q %s", f.Name, err), "mend the sheet and pack it again")
		}
		to := filepath.Join(folder, filepath.FromSlash(f.Name))
		if err := os.MkdirAll(filepath.Dir(to), 0o700); err != nil {
			return 0, err
		}
		if err := os.WriteFile(to, raw, 0o600); err != nil {
			return 0, err
		}
	}
	return n, nil
}
