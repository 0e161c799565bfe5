package store

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"github.com/jmoiron/sqlx"
)

// Case is one row: the columns lists need and the document as JSON.
type Case struct {
	ID        string  `db:"id"`
	Number    string  `db:"number"`
	Stage     string  `db:"stage"`
	Plant     string  `db:"plant"`   // in the grower's words
	HostID    string  `db:"host_id"` // of the herbarium; empty for an unknown plant
	Place     string  `db:"place"`
	Grower    string  `db:"grower"`    // as the person is called
	GrowerID  string  `db:"grower_id"` // which person; empty once they are forgotten
	Keeper    string  `db:"keeper"`    // account whose case it is; empty while nobody took it
	Story     string  `db:"story"`
	Urgency   int     `db:"urgency"`
	Certainty float64 `db:"certainty"`
	Cause     string  `db:"cause"`
	Degree    string  `db:"degree"`
	VerdictAt string  `db:"verdict_at"`
	AskOn     string  `db:"ask_on"`
	ClosedAt  string  `db:"closed_at"`
	Outcome   string  `db:"outcome"`
	Followed  string  `db:"followed"`  // yes, partly, no; empty where nobody said
	HandedAt  string  `db:"handed_at"` // when it was first handed over
	Square    string  `db:"square"`    // of the district's grid; empty where nobody said
	Photos    int     `db:"photos"`
	ImportID  string  `db:"import_id"` // with what it was brought in from elsewhere
	Token     string  `db:"token"`
	CreatedAt string  `db:"created_at"`
	UpdatedAt string  `db:"updated_at"`
	Version   int     `db:"version"`
	Serial    int64   `db:"serial"` // order of arrival, and the case's place in the search table
	Doc       string  `db:"doc"`
	Body      string  `db:"-"` // words for searching that no column holds

	Treatments []TreatmentRow `db:"-"` // what was put on the plant, written with the case
	Contact    string         `db:"-"` // how the person is reached, written with the case
}

// TreatmentRow is one remedy given on one day of a round.
type TreatmentRow struct {
	CaseID string `db:"case_id"`
	Round  int    `db:"round"`
	Remedy string `db:"remedy"`
	Day    string `db:"day"`
}

// Event is one line of a case's story.
type Event struct {
	CaseID string `db:"case_id"`
	Seq    int    `db:"seq"`
	At     string `db:"at"`
	Who    string `db:"who"` // by the name they had then
	Actor
	Kind  string `db:"kind"`
	Text  string `db:"text"`
	After string `db:"after"` // the whole document after it, now and then
	Patch string `db:"patch"` // else what changed, RFC 6902
}

// Actor is who did something: a person of the desk by the id of their account, the grower
// on their own page, or the weather. A person without an id is from before ids were kept, or
// of another desk.
type Actor struct {
	WhoID   string `db:"who_id" json:"whoId,omitempty"`
	WhoKind string `db:"who_kind" json:"whoKind,omitempty" enum:"person,grower,weather"`
}

// The kinds of those who do something.
const (
	ByPerson  = "person"
	ByGrower  = "grower"
	ByWeather = "weather"
)

// ActorKinds are all of them.
var ActorKinds = []string{ByPerson, ByGrower, ByWeather}

// Key makes creating safe to repeat.
type Key struct {
	Key, Account, BodyHash string
}

// The columns of a case, once: what never changes after it came in, what a change may write,
// and what only a whole case is read with. Reading, adding and changing are made of these, so
// that no text can land in another's place.
var (
	lasting = []string{"id", "number", "import_id", "created_at", "serial"}
	worked  = []string{"stage", "plant", "host_id", "place", "grower", "grower_id", "keeper", "story", "urgency", "certainty", "cause", "degree", "verdict_at", "ask_on", "closed_at", "outcome", "followed", "handed_at", "square", "photos", "token", "updated_at", "version"}

	brief      = strings.Join(slices.Concat(lasting, worked), ", ")
	full       = brief + ", doc"
	insertCase = "INSERT INTO case_file (" + full + ") VALUES (:" + strings.ReplaceAll(full, ", ", ", :") + ")"
	updateCase = "UPDATE case_file SET " + assigned(append(slices.Clone(worked), "doc")) + " WHERE id = :id AND version = :version - 1"
)

func assigned(columns []string) string {
	out := make([]string, len(columns))
	for i, c := range columns {
		out[i] = c + " = :" + c
	}
	return strings.Join(out, ", ")
}

// AddCase gives the case its number (YY-NNNN) through number, writes it with
// its first event and, when a key is given, remembers the key. A key seen
// before returns the earlier case; ErrKeyUsed when its body differed.
func (s *Store) AddCase(ctx context.Context, year int, key Key, build func(number string) (Case, Event, error)) (Case, bool, error) {
	var out Case
	again := false
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		if key.Key != "" {
			var was struct {
				Hash string `db:"body_hash"`
				Case string `db:"case_id"`
			}
			err := missing(tx.GetContext(ctx, &was, `SELECT body_hash, case_id FROM idempotency WHERE key = ? AND account_id = ?`, key.Key, key.Account))
			switch {
			case err == nil && was.Hash != key.BodyHash:
				return ErrKeyUsed
			case err == nil:
				again = true
				return tx.GetContext(ctx, &out, `SELECT `+full+` FROM case_file WHERE id = ?`, was.Case)
			case !errors.Is(err, ErrNotFound):
				return err
			}
		}
		var n int
		if err := tx.GetContext(ctx, &n, `INSERT INTO counter (name, value) VALUES (?, 1) ON CONFLICT (name) DO UPDATE SET value = value + 1 RETURNING value`, fmt.Sprintf("case-%d", year)); err != nil {
			return err
		}
		c, e, err := build(fmt.Sprintf("%02d-%04d", year%100, n))
		if err != nil {
			return err
		}
		c.Version = 1
		if err := tx.GetContext(ctx, &c.Serial, `INSERT INTO counter (name, value) VALUES ('serial', 1) ON CONFLICT (name) DO UPDATE SET value = value + 1 RETURNING value`); err != nil {
			return err
		}
		if _, err := tx.NamedExecContext(ctx, insertCase, c); err != nil {
			return err
		}
		e.CaseID, e.Seq = c.ID, 1
		if err := addEvent(ctx, tx, e); err != nil {
			return err
		}
		if err := putSearch(ctx, tx, c); err != nil {
			return err
		}
		if err := putGrower(ctx, tx, c); err != nil {
			return err
		}
		if key.Key != "" {
			if _, err := tx.ExecContext(ctx, `INSERT INTO idempotency (key, account_id, body_hash, case_id, at) VALUES (?, ?, ?, ?, ?)`, key.Key, key.Account, key.BodyHash, c.ID, c.CreatedAt); err != nil {
				return err
			}
		}
		out = c
		return nil
	})
	return out, again, err
}

// putSearch keeps the words a case is found by. They stand under the case's own
// serial, so that renewing them costs the same however many cases there are.
func putSearch(ctx context.Context, tx *sqlx.Tx, c Case) error {
	_, err := tx.ExecContext(ctx, `INSERT OR REPLACE INTO case_search (rowid, number, grower, plant, story, body) VALUES (?, ?, ?, ?, ?, ?)`, c.Serial, c.Number, c.Grower, c.Plant, c.Story, c.Body)
	return err
}

// searchVersion grows when what a case is found by changes.
const searchVersion = 2

// Reindex writes the words every case is found by anew, where they were written by a program
// that kept others; words answers them for a case. It answers how many cases there were.
func (s *Store) Reindex(ctx context.Context, words func(Case) (string, error)) (int, error) {
	var have int
	if err := missing(s.r.GetContext(ctx, &have, `SELECT value FROM counter WHERE name = 'search'`)); err != nil && !errors.Is(err, ErrNotFound) {
		return 0, err
	}
	if have >= searchVersion {
		return 0, nil
	}
	n := 0
	for after := int64(0); ; {
		rows := []Case{}
		if err := s.r.SelectContext(ctx, &rows, `SELECT `+full+` FROM case_file WHERE serial > ? ORDER BY serial LIMIT 500`, after); err != nil {
			return n, err
		}
		if len(rows) == 0 {
			break
		}
		for i := range rows {
			var err error
			if rows[i].Body, err = words(rows[i]); err != nil {
				return n, err
			}
		}
		err := s.tx(ctx, func(tx *sqlx.Tx) error {
			for _, c := range rows {
				if err := putSearch(ctx, tx, c); err != nil {
					return err
				}
			}
			return nil
		})
		if err != nil {
			return n, err
		}
		n, after = n+len(rows), rows[len(rows)-1].Serial
	}
	return n, s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM case_search WHERE rowid NOT IN (SELECT serial FROM case_file)`); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO counter (name, value) VALUES ('search', ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value`, searchVersion)
		return err
	})
}

func putTreatments(ctx context.Context, tx *sqlx.Tx, c Case) error {
	if _, err := tx.ExecContext(ctx, `DELETE FROM case_treatment WHERE case_id = ?`, c.ID); err != nil {
		return err
	}
	for _, t := range c.Treatments {
		t.CaseID = c.ID
		if _, err := tx.NamedExecContext(ctx, `INSERT OR IGNORE INTO case_treatment (case_id, round, remedy, day) VALUES (:case_id, :round, :remedy, :day)`, t); err != nil {
			return err
		}
	}
	return nil
}

func addEvent(ctx context.Context, tx *sqlx.Tx, e Event) error {
	e.WhoKind = cmp.Or(e.WhoKind, ByPerson)
	_, err := tx.NamedExecContext(ctx, `INSERT INTO case_event (case_id, seq, at, who, who_id, who_kind, kind, text, before, after, patch) VALUES (:case_id, :seq, :at, :who, :who_id, :who_kind, :kind, :text, '', :after, :patch)`, e)
	return err
}

// A Write is a new version of a case with the line its story gets.
type Write struct {
	Case   Case
	From   int    // the version the change started from
	Before string // the document as it was then
	Event  Event
	Photos []Photo

	Messages []Message // that speak of the change: told with it, or neither
}

// SetCase writes one case; see SetCases.
func (s *Store) SetCase(ctx context.Context, c Case, from int, before string, e Event, photos ...Photo) error {
	return s.SetCases(ctx, Write{Case: c, From: from, Before: before, Event: e, Photos: photos})
}

// SetCases writes new versions with their events, which keep what changed since the
// document it was before: all of them or none. ErrStale when a stored version is not the
// one its change started from. Photos, treatments and the person are written with it.
func (s *Store) SetCases(ctx context.Context, writes ...Write) error {
	for i := range writes {
		w := &writes[i]
		w.Event.CaseID, w.Event.Seq = w.Case.ID, w.From+1
		if err := w.Event.keep(w.Before, w.Case.Doc); err != nil {
			return err
		}
	}
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		for _, w := range writes {
			if err := setCase(ctx, tx, w); err != nil {
				return err
			}
		}
		return nil
	})
	if err == nil {
		for _, w := range writes {
			s.prior.settled(w.Event.Kind)
		}
	}
	return err
}

// otherwise are the changes by which somebody says that it was something else; what is
// taken back was a slip.
var otherwise = []string{"verdict", "close"}

func setCase(ctx context.Context, tx *sqlx.Tx, w Write) error {
	c, e := w.Case, w.Event
	c.Version = w.From + 1 // and the stored one has to be the one before it
	var was struct {
		Grower string `db:"grower_id"`
		Cause  string `db:"cause"`
		Serial int64  `db:"serial"`
	}
	if err := missing(tx.GetContext(ctx, &was, `SELECT grower_id, cause, serial FROM case_file WHERE id = ?`, c.ID)); err != nil {
		return err
	}
	c.Serial = was.Serial // its place in the search table, whatever the caller knows of it
	res, err := tx.NamedExecContext(ctx, updateCase, c)
	if err != nil {
		return err
	}
	if n, _ := res.RowsAffected(); n == 0 {
		return ErrStale
	}
	for _, p := range w.Photos {
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO photo (id, case_id, at, jpeg) VALUES (:id, :case_id, :at, :jpeg)`, p); err != nil {
			return err
		}
	}
	if err := addEvent(ctx, tx, e); err != nil {
		return err
	}
	for _, m := range w.Messages {
		if _, err := addMessage(ctx, tx, m); err != nil {
			return err
		}
	}
	if e.Kind == "look" || e.Kind == "photo" {
		return nil // these change no searchable word
	}
	if err := putTreatments(ctx, tx, c); err != nil {
		return err
	}
	if err := putGrower(ctx, tx, c); err != nil {
		return err
	}
	if was.Cause != "" && was.Cause != c.Cause && slices.Contains(otherwise, e.Kind) {
		if _, err := tx.ExecContext(ctx, `INSERT INTO verdict_change (case_id, at, was, became, who) VALUES (?, ?, ?, ?, ?)`, c.ID, e.At, was.Cause, c.Cause, e.Who); err != nil {
			return err
		}
	}
	if was.Grower != c.GrowerID { // nobody is kept of whom nothing is kept
		if err := dropGrower(ctx, tx, was.Grower); err != nil {
			return err
		}
	}
	return putSearch(ctx, tx, c)
}
