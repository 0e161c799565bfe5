package records

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"time"

	"botanik/core/civil"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/settings"
	"botanik/internal/store"
)

// Backup is a copy the clock wrote, or why it did not.
type Backup struct {
	At      time.Time `json:"at"`
	File    string    `json:"file"`
	Bytes   int64     `json:"bytes"`
	Cases   int       `json:"cases"`
	Trouble string    `json:"trouble,omitempty"`
	There   bool      `json:"there" doc:"its file still lies there"`
}

// FileHealth is how the desk's file and its copies stand.
type FileHealth struct {
	store.Size
	Folder  string           `json:"folder" doc:"where the copies lie"`
	Keeping settings.Keeping `json:"keeping"`
	Version int              `json:"version" doc:"of the keeping, for changing it"`
	Backups []Backup         `json:"backups" doc:"the newest first"`
	Next    *time.Time       `json:"next,omitempty"`
	Book    BookHealth       `json:"book"`
	Running time.Time        `json:"running" doc:"since when this program runs"`
	Looked  time.Time        `json:"looked" doc:"when the file was looked over last: at the start, for a copy, or when asked"`
}

// BookHealth is what the herbarium holds.
type BookHealth struct {
	Causes   int `json:"causes"`
	Findings int `json:"findings"`
	Remedies int `json:"remedies"`
	Hosts    int `json:"hosts"`
	Own      int `json:"own" doc:"causes and remedies of the desk's own folder"`

	Version string `json:"version" doc:"the same for the same book, with the desk's own sheets"`
}

// BackupFolder is where copies lie, beside the desk's file.
func (s *Service) BackupFolder() string { return filepath.Join(s.Store.Dir(), "backups") }

// lastPlanned is the last moment up to now at which a copy was to be written; false when
// none ever is.
func lastPlanned(k settings.Keeping, now time.Time, clock *time.Location) (time.Time, bool) {
	day := civil.Of(now, clock)
	at := func(d civil.Day) time.Time {
		m := d.Midnight(clock).In(clock)
		return time.Date(m.Year(), m.Month(), m.Day(), k.Hour, 0, 0, 0, clock)
	}
	switch k.Every {
	case "day":
		if at(day).After(now) {
			day = day.Add(-1)
		}
	case "week":
		monday := day.Add(-(int(day.Weekday()) + 6) % 7)
		if at(monday).After(now) {
			monday = monday.Add(-7)
		}
		day = monday
	default:
		return time.Time{}, false
	}
	return at(day), true
}

// BackupIfDue writes a copy when one was planned since the last; it answers whether it did.
func (s *Service) BackupIfDue(ctx context.Context) (bool, error) {
	k, _, err := s.House.Keeping(ctx)
	if err != nil {
		return false, err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return false, err
	}
	planned, ok := lastPlanned(k, m.Now, m.Clock)
	if !ok {
		return false, nil
	}
	last, err := s.Store.Copies(ctx, 1)
	if err != nil {
		return false, err
	}
	if len(last) > 0 {
		at := store.ParseTime(last[0].At)
		again := m.Now.Sub(at) < tryAgain // one that failed is tried again, not at once
		if !at.Before(planned) && (last[0].Trouble == "" || again) || last[0].Trouble != "" && again {
			return false, nil
		}
	}
	_, err = s.keepBackup(ctx, k, m.Now)
	return err == nil, err
}

// tryAgain is how long after a copy that failed the next is tried.
const tryAgain = time.Hour

// BackupNow writes a copy at once. Coordinators only.
func (s *Service) BackupNow(ctx context.Context, who desk.Person) (Backup, error) {
	if !who.May(accounts.KeepFile) {
		return Backup{}, desk.ErrForbidden
	}
	k, _, err := s.House.Keeping(ctx)
	if err != nil {
		return Backup{}, err
	}
	return s.keepBackup(ctx, k, s.Now())
}

var backupName = regexp.MustCompile(`^botanik-\d{8}-\d{6}\.db$`)

// keepBackup writes a copy, looks it over, and takes away the oldest beyond those kept. What
// went wrong is remembered with it.
func (s *Service) keepBackup(ctx context.Context, k settings.Keeping, now time.Time) (Backup, error) {
	c := store.Copy{At: store.Stamp(now), File: "botanik-" + now.UTC().Format("20060102-150405") + ".db"}
	s.copying.Lock() // a half of another copy is no left-over
	defer s.copying.Unlock()
	err := errors.Join(os.MkdirAll(s.BackupFolder(), 0o700), s.clearParts())
	if err == nil {
		var done store.Copied
		if done, err = s.Store.Backup(ctx, filepath.Join(s.BackupFolder(), c.File)); err == nil { // looked over before it has its name
			c.Bytes, c.Cases = done.Bytes, done.Cases
		}
	}
	if err != nil {
		c.Trouble = err.Error()
	} else {
		err = s.prune(k.Keep)
	}
	if logged := s.Store.LogCopy(context.WithoutCancel(ctx), c); logged != nil {
		err = errors.Join(err, logged)
	}
	return Backup{now, c.File, c.Bytes, c.Cases, c.Trouble, c.Trouble == ""}, err
}

// clearParts takes away halves of copies that a stop in the middle left: they are as large
// as the desk, with everybody in it.
func (s *Service) clearParts() error {
	list, err := filepath.Glob(filepath.Join(s.BackupFolder(), "botanik-*.db.part*"))
	if err != nil {
		return err
	}
	for _, f := range list {
		if err := os.Remove(f); err != nil && !errors.Is(err, os.ErrNotExist) {
			return err
		}
	}
	return nil
}

// prune takes away the oldest copies the clock wrote; what else lies there stays.
func (s *Service) prune(keep int) error {
	entries, err := os.ReadDir(s.BackupFolder())
	if err != nil {
		return err
	}
	names := []string{}
	for _, e := range entries {
		if backupName.MatchString(e.Name()) {
			names = append(names, e.Name())
		}
	}
	slices.Sort(names)
	for _, n := range names[:max(0, len(names)-keep)] {
		if err := os.Remove(filepath.Join(s.BackupFolder(), n)); err != nil {
			return err
		}
	}
	return nil
}

// Health tells how the desk's file and its copies stand. Coordinators only.
func (s *Service) Health(ctx context.Context, who desk.Person) (FileHealth, error) {
	if !who.May(accounts.KeepFile) {
		return FileHealth{}, desk.ErrForbidden
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return FileHealth{}, err
	}
	out := FileHealth{Folder: s.BackupFolder(), Backups: []Backup{}, Running: s.Begun}
	if out.Size, err = s.Store.Size(ctx); err != nil {
		return out, err
	}
	if out.Keeping, out.Version, err = s.House.Keeping(ctx); err != nil {
		return out, err
	}
	copies, err := s.Store.Copies(ctx, 20)
	if err != nil {
		return out, err
	}
	for _, c := range copies {
		_, missing := os.Stat(filepath.Join(s.BackupFolder(), c.File))
		out.Backups = append(out.Backups, Backup{store.ParseTime(c.At), c.File, c.Bytes, c.Cases, c.Trouble, missing == nil})
	}
	if planned, ok := lastPlanned(out.Keeping, m.Now, m.Clock); ok {
		next := planned.AddDate(0, 0, map[string]int{"day": 1, "week": 7}[out.Keeping.Every])
		out.Next = &next
	}
	out.Looked = s.Begun
	if at := s.looked.Load(); at != nil && at.After(out.Looked) {
		out.Looked = *at
	}
	if len(out.Backups) > 0 && out.Backups[0].Trouble == "" && out.Backups[0].At.After(out.Looked) {
		out.Looked = out.Backups[0].At
	}
	b := m.Book
	out.Book = BookHealth{Causes: len(b.Causes), Findings: len(b.Findings), Remedies: len(b.Remedies), Hosts: len(b.Hosts), Version: b.Digest()}
	for _, k := range b.Causes {
		if k.From != "" && !isOurs(k.From) {
			out.Book.Own++
		}
	}
	return out, nil
}

func isOurs(from string) bool { return len(from) >= 10 && from[:10] == "herbarium/" }

// Checked is what came of looking the desk's file over.
type Checked struct {
	At    time.Time `json:"at"`
	Whole bool      `json:"whole"`
	Said  string    `json:"said"`
}

// CheckFile looks the whole file over. Coordinators only.
func (s *Service) CheckFile(ctx context.Context, who desk.Person) (Checked, error) {
	if !who.May(accounts.KeepFile) {
		return Checked{}, desk.ErrForbidden
	}
	out := Checked{At: s.Now(), Whole: true, Said: "every page of it was read and is whole"}
	if err := s.Store.Check(ctx); err != nil {
		t := store.TroubleOf(err)
		if t == nil {
			return Checked{}, err
		}
		out.Whole, out.Said = false, fmt.Sprint(t)
	}
	s.looked.Store(&out.At)
	return out, nil
}

const (
	// keysKept are days a request may be repeated under its key: a telephone that was without
	// a network over a long week-end.
	keysKept = 7
	// messagesKept are days a message stays after it came to its end.
	messagesKept = 60
)

// Sweep takes out what is done with; see store.Sweep.
func (s *Service) Sweep(ctx context.Context) error {
	now := s.Now()
	_, err := s.Store.Sweep(ctx, now.AddDate(0, 0, -keysKept), now.AddDate(0, 0, -messagesKept))
	return err
}
