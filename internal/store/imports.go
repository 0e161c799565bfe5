package store

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"strconv"
	"strings"

	"github.com/jmoiron/sqlx"
)

// ImportLine is a line of a story whole, as it leaves the desk and comes back.
type ImportLine struct {
	Seq int    `db:"seq" json:"seq"`
	At  string `db:"at" json:"at"`
	Who string `db:"who" json:"who"`
	Actor
	Kind   string `db:"kind" json:"kind"`
	Text   string `db:"text" json:"text"`
	Before string `db:"before" json:"before,omitempty"`
	After  string `db:"after" json:"after,omitempty"`
	Patch  string `db:"patch" json:"patch,omitempty"`
}

// Lines is a case's whole story, oldest first.
func (s *Store) Lines(ctx context.Context, caseID string) ([]ImportLine, error) {
	out := []ImportLine{}
	err := s.r.SelectContext(ctx, &out, `SELECT seq, at, who, who_id, who_kind, kind, text, before, after, patch FROM case_event WHERE case_id = ? ORDER BY seq`, caseID)
	return out, err
}

// PhotosOf are a case's pictures, those no longer shown too: its story may speak of them.
func (s *Store) PhotosOf(ctx context.Context, caseID string) ([]Photo, error) {
	out := []Photo{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, case_id, at, jpeg FROM photo WHERE case_id = ? ORDER BY id`, caseID)
	return out, err
}

// Changed is a verdict that was changed later.
type Changed struct {
	CaseID string `db:"case_id" json:"case"`
	At     string `db:"at" json:"at"`
	Was    string `db:"was" json:"was"`
	Became string `db:"became" json:"became"`
	Who    string `db:"who" json:"who"`
}

// ChangesOf are the changed verdicts of a case.
func (s *Store) ChangesOf(ctx context.Context, caseID string) ([]Changed, error) {
	out := []Changed{}
	err := s.r.SelectContext(ctx, &out, `SELECT case_id, at, was, became, who FROM verdict_change WHERE case_id = ? ORDER BY at`, caseID)
	return out, err
}

// AllSettings are the house's documents with all their changes, the oldest first.
func (s *Store) AllSettings(ctx context.Context) ([]SettingEvent, error) {
	out := []SettingEvent{}
	err := s.r.SelectContext(ctx, &out, `SELECT key, version, at, who, before, after FROM setting_event ORDER BY key, version`)
	return out, err
}

// AllMessages are the messages of all cases, the oldest first.
func (s *Store) AllMessages(ctx context.Context) ([]Message, error) {
	out := []Message{}
	err := s.r.SelectContext(ctx, &out, `SELECT `+messageCols+` FROM outbox ORDER BY made_at, id`)
	return out, err
}

// Batch is what was brought in from elsewhere at once.
type Batch struct {
	ID       string `db:"id"`
	Name     string `db:"name"`
	Kind     string `db:"kind"`
	Who      string `db:"who"`
	At       string `db:"at"`
	Cases    int    `db:"cases"`
	UndoneAt string `db:"undone_at"`
	State    string `db:"state"` // begun, whole or torn
}

// AddBatch keeps that something is being brought in; until CountBatch it is only begun.
func (s *Store) AddBatch(ctx context.Context, b Batch) error {
	_, err := s.w.NamedExecContext(ctx, `INSERT INTO import_batch (id, name, kind, who, at, cases, state) VALUES (:id, :name, :kind, :who, :at, :cases, 'begun')`, b)
	return err
}

// CountBatch keeps how many cases it brought, and that it came to its end.
func (s *Store) CountBatch(ctx context.Context, id string, cases int) error {
	_, err := s.w.ExecContext(ctx, `UPDATE import_batch SET cases = ?, state = 'whole' WHERE id = ?`, cases, id)
	return err
}

// Batches lists what was brought in, the newest first, at most a hundred.
func (s *Store) Batches(ctx context.Context) ([]Batch, error) {
	out := []Batch{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, name, kind, who, at, cases, undone_at, state FROM import_batch ORDER BY at DESC, id DESC LIMIT 100`)
	return out, err
}

// TornBatches are imports that were begun and did not come to their end: the program
// stopped in between. Asked before anybody works.
func (s *Store) TornBatches(ctx context.Context) ([]Batch, error) {
	out := []Batch{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, name, kind, who, at, cases, undone_at, state FROM import_batch WHERE state = 'begun' ORDER BY at`)
	return out, err
}

// TornSince are imports of since some moment that were broken off.
func (s *Store) TornSince(ctx context.Context, since string) ([]Batch, error) {
	out := []Batch{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, name, kind, who, at, cases, undone_at, state FROM import_batch WHERE state = 'torn' AND at >= ? ORDER BY at`, since)
	return out, err
}

// MarkTorn keeps that an import was broken off.
func (s *Store) MarkTorn(ctx context.Context, id string) error {
	_, err := s.w.ExecContext(ctx, `UPDATE import_batch SET state = 'torn' WHERE id = ?`, id)
	return err
}

// Incoming is a case from elsewhere with all that hangs on it.
type Incoming struct {
	Case    Case
	Story   []ImportLine
	Photos  []Photo
	Changes []Changed
	Year    int // for a new number, where its own is taken or it has none
}

// What became of an incoming case.
const (
	CameIn         = "in"       // it is new here
	Same           = "same"     // it is here already, as it is
	ImportConflict = "conflict" // it is here and reads otherwise: ours stays
)

// ImportCases writes cases of a batch, all or none, and says of each what became of it and
// which number it has. What is here already is never overwritten.
func (s *Store) ImportCases(ctx context.Context, batch string, list []Incoming) (became []string, numbers []string, err error) {
	err = s.tx(ctx, func(tx *sqlx.Tx) error {
		for _, x := range list {
			what, number, err := importCase(ctx, tx, batch, x)
			if err != nil {
				return fmt.Errorf("case %s: %w", x.Case.Number, err)
			}
			became, numbers = append(became, what), append(numbers, number)
		}
		return nil
	})
	if err == nil {
		s.prior.settled("import")
	}
	return became, numbers, err
}

func importCase(ctx context.Context, tx *sqlx.Tx, batch string, x Incoming) (what, number string, err error) {
	c := x.Case
	var ours struct {
		Number  string `db:"number"`
		Version int    `db:"version"`
		Doc     string `db:"doc"`
	}
	err = missing(tx.GetContext(ctx, &ours, `SELECT number, version, doc FROM case_file WHERE id = ?`, c.ID))
	switch {
	case err == nil && ours.Version == c.Version && ours.Doc == c.Doc:
		return Same, ours.Number, nil
	case err == nil:
		return ImportConflict, ours.Number, nil
	case !errors.Is(err, ErrNotFound):
		return "", "", err
	}
	if c.Number, err = freeNumber(ctx, tx, c.Number, x.Year); err != nil {
		return "", "", err
	}
	if c.Token != "" { // an address leads to one case only
		var n int
		if err := tx.GetContext(ctx, &n, `SELECT count(*) FROM case_file WHERE token = ?`, c.Token); err != nil {
			return "", "", err
		}
		if n > 0 {
			c.Token = ""
		}
	}
	c.ImportID = batch
	if err := tx.GetContext(ctx, &c.Serial, `INSERT INTO counter (name, value) VALUES ('serial', 1) ON CONFLICT (name) DO UPDATE SET value = value + 1 RETURNING value`); err != nil {
		return "", "", err
	}
	if _, err := tx.NamedExecContext(ctx, insertCase, c); err != nil {
		return "", "", err
	}
	if _, err := tx.ExecContext(ctx, `UPDATE case_file SET import_version = version WHERE id = ?`, c.ID); err != nil {
		return "", "", err
	}
	for _, l := range x.Story {
		if _, err := tx.ExecContext(ctx, `INSERT INTO case_event (case_id, seq, at, who, who_id, who_kind, kind, text, before, after, patch) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, c.ID, l.Seq, l.At, l.Who, l.WhoID, cmp.Or(l.WhoKind, ByPerson), l.Kind, l.Text, l.Before, l.After, l.Patch); err != nil {
			return "", "", err
		}
	}
	for _, p := range x.Photos {
		p.CaseID = c.ID
		if _, err := tx.NamedExecContext(ctx, `INSERT OR IGNORE INTO photo (id, case_id, at, jpeg) VALUES (:id, :case_id, :at, :jpeg)`, p); err != nil {
			return "", "", err
		}
	}
	for _, v := range x.Changes {
		v.CaseID = c.ID
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO verdict_change (case_id, at, was, became, who) VALUES (:case_id, :at, :was, :became, :who)`, v); err != nil {
			return "", "", err
		}
	}
	if err := putTreatments(ctx, tx, c); err != nil {
		return "", "", err
	}
	if err := putIncomer(ctx, tx, c); err != nil {
		return "", "", err
	}
	return CameIn, c.Number, putSearch(ctx, tx, c)
}

// putIncomer keeps the person of an incoming case; who is known here stays as they are.
func putIncomer(ctx context.Context, tx *sqlx.Tx, c Case) error {
	if c.GrowerID == "" {
		return nil
	}
	_, err := tx.ExecContext(ctx, `INSERT INTO grower (id, name, contact, made_at) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`, c.GrowerID, c.Grower, c.Contact, c.CreatedAt)
	return err
}

// freeNumber is a case's own number where nobody has it, else the next of its year. The
// counter of the year never falls behind a number that was brought along.
func freeNumber(ctx context.Context, tx *sqlx.Tx, number string, year int) (string, error) {
	var taken int
	if number != "" {
		if err := tx.GetContext(ctx, &taken, `SELECT count(*) FROM case_file WHERE number = ?`, number); err != nil {
			return "", err
		}
	}
	if number != "" && taken == 0 {
		if yy, n, ok := strings.Cut(number, "-"); ok && len(yy) == 2 {
			if count, err := strconv.Atoi(n); err == nil && strings.Trim(yy, "0123456789") == "" {
				_, err := tx.ExecContext(ctx, `INSERT INTO counter (name, value) VALUES (?, ?) ON CONFLICT (name) DO UPDATE SET value = max(value, excluded.value)`, "case-20"+yy, count)
				return number, err
			}
		}
		return number, nil
	}
	for {
		var n int
		if err := tx.GetContext(ctx, &n, `INSERT INTO counter (name, value) VALUES (?, 1) ON CONFLICT (name) DO UPDATE SET value = value + 1 RETURNING value`, fmt.Sprintf("case-%d", year)); err != nil {
			return "", err
		}
		next := fmt.Sprintf("%02d-%04d", year%100, n)
		if err := tx.GetContext(ctx, &taken, `SELECT count(*) FROM case_file WHERE number = ?`, next); err != nil || taken == 0 {
			return next, err
		}
	}
}

// ImportMessages takes another desk's messages of the cases that came with a batch, held:
// they were sent from there, and whatever waited there goes out from here on no account.
func (s *Store) ImportMessages(ctx context.Context, batch string, list []Message) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		for _, m := range list {
			switch m.State {
			case "delivered", "failed", "bounced", "answered", "held":
			default: // sent is asked after, and this desk's gateway knows nothing of it
				m.State, m.Said = "held", "brought in from another desk"
			}
			if _, err := tx.NamedExecContext(ctx, `INSERT INTO outbox (`+messageCols+`) SELECT :id, :once, :case_id, :kind, :reach, :subject, :body, :state, :tries, :next_at, :said, :made_at, :changed_at
				WHERE EXISTS (SELECT 1 FROM case_file WHERE id = :case_id AND import_id = :batch) ON CONFLICT DO NOTHING`, struct {
				Message
				Batch string `db:"batch"`
			}{m, batch}); err != nil {
				return err
			}
		}
		return nil
	})
}

// UndoBatch takes out what was brought in with a batch and nobody has worked on since; it
// answers how many went and the numbers of those that stay. ErrNotFound when there is none,
// or when it was undone before.
func (s *Store) UndoBatch(ctx context.Context, id, at string) (gone int, stay []string, err error) {
	err = s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `UPDATE import_batch SET undone_at = ? WHERE id = ? AND undone_at = ''`, at, id)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrNotFound
		}
		if err := tx.SelectContext(ctx, &stay, `SELECT number FROM case_file WHERE import_id = ? AND version <> import_version ORDER BY number`, id); err != nil {
			return err
		}
		if err := tx.GetContext(ctx, &gone, `SELECT count(*) FROM case_file WHERE import_id = ? AND version = import_version`, id); err != nil {
			return err
		}
		// A story is append-only but for this: what was never this desk's goes as a whole. The
		// tallies follow by themselves.
		for _, q := range []string{
			`DROP TRIGGER case_event_no_delete`,
			`CREATE TEMP TABLE leaving AS SELECT id, serial FROM case_file WHERE import_id = ?1 AND version = import_version`,
			`DELETE FROM case_search WHERE rowid IN (SELECT serial FROM leaving)`,
			`DELETE FROM case_event WHERE case_id IN (SELECT id FROM leaving)`,
			`DELETE FROM case_treatment WHERE case_id IN (SELECT id FROM leaving)`,
			`DELETE FROM verdict_change WHERE case_id IN (SELECT id FROM leaving)`,
			`DELETE FROM photo WHERE case_id IN (SELECT id FROM leaving)`,
			`DELETE FROM outbox WHERE case_id IN (SELECT id FROM leaving)`,
			`DELETE FROM case_file WHERE id IN (SELECT id FROM leaving)`,
			`DROP TABLE leaving`,
			`DELETE FROM grower WHERE NOT EXISTS (SELECT 1 FROM case_file WHERE grower_id = grower.id)`,
			`CREATE TRIGGER case_event_no_delete BEFORE DELETE ON case_event BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END`,
		} {
			args := []any{}
			if strings.Contains(q, "?1") {
				args = append(args, id)
			}
			if _, err := tx.ExecContext(ctx, q, args...); err != nil {
				return fmt.Errorf("%s: %w", strings.Join(strings.Fields(q)[:3], " "), err)
			}
		}
		return nil
	})
	if err == nil {
		s.prior.settled("import")
	}
	return gone, stay, err
}
