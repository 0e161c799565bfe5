package store

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/url"
	"regexp"
	"slices"
	"strings"
	"unicode"

	"github.com/jmoiron/sqlx"
)

// Grower is a person who brought something.
type Grower struct {
	ID      string `db:"id"`
	Name    string `db:"name"`
	Contact string `db:"contact"`
	MadeAt  string `db:"made_at"`
	Cases   int    `db:"cases"`
	Last    string `db:"last"` // when the last was brought in
}

// GrowersCalled finds growers by the beginning of their name or of how they are reached,
// those who came last first.
func (s *Store) GrowersCalled(ctx context.Context, words string, most int) ([]Grower, error) {
	out := []Grower{}
	begun := []string{}
	for _, w := range strings.FieldsFunc(words, func(r rune) bool { return !unicode.IsLetter(r) && !unicode.IsDigit(r) }) {
		begun = append(begun, `"`+w+`"*`)
	}
	if len(begun) == 0 {
		return out, nil
	}
	err := s.r.SelectContext(ctx, &out, `SELECT g.id, g.name, g.contact, g.made_at, f.cases, f.last FROM grower g
		JOIN (SELECT grower_id, count(*) AS cases, max(created_at) AS last FROM case_file INDEXED BY case_grower
			WHERE grower_id IN (SELECT id FROM grower WHERE n IN (SELECT rowid FROM grower_search WHERE grower_search MATCH ? ORDER BY rowid DESC LIMIT 500)) GROUP BY grower_id) f ON f.grower_id = g.id
		ORDER BY f.last DESC LIMIT ?`, strings.Join(begun, " AND "), most)
	return out, err
}

// GrowerBy finds a person; ErrNotFound when there is none.
func (s *Store) GrowerBy(ctx context.Context, id string) (Grower, error) {
	var g Grower
	err := s.r.GetContext(ctx, &g, `SELECT id, name, contact, made_at, (SELECT count(*) FROM case_file WHERE grower_id = grower.id) AS cases, '' AS last FROM grower WHERE id = ? AND id <> ''`, id)
	return g, missing(err)
}

// GrowersNamed are the persons of exactly one name, whatever its capitals, the oldest first.
func (s *Store) GrowersNamed(ctx context.Context, name string) ([]Grower, error) {
	out := []Grower{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, name, contact, made_at, 0 AS cases, '' AS last FROM grower WHERE name = ? COLLATE NOCASE ORDER BY made_at, id LIMIT 50`, name)
	return out, err
}

// putGrower keeps the person of a case as that case has them; what it does not know of
// them stays.
func putGrower(ctx context.Context, tx *sqlx.Tx, c Case) error {
	if c.GrowerID == "" {
		return nil
	}
	_, err := tx.ExecContext(ctx, `INSERT INTO grower (id, name, contact, made_at) VALUES (?, ?, ?, ?)
		ON CONFLICT (id) DO UPDATE SET name = excluded.name, contact = CASE WHEN excluded.contact = '' THEN contact ELSE excluded.contact END`, c.GrowerID, c.Grower, c.Contact, c.CreatedAt)
	return err
}

// dropGrower takes a person out of whom no case is left.
func dropGrower(ctx context.Context, tx *sqlx.Tx, id string) error {
	_, err := tx.ExecContext(ctx, `DELETE FROM grower WHERE id = ? AND NOT EXISTS (SELECT 1 FROM case_file WHERE grower_id = ?)`, id, id)
	return err
}

// Mentioning are cases that are not a person's own and in which some words stand, in the
// case or its story, whatever white space is between the words; all of them, a page at a
// time.
func (s *Store) Mentioning(ctx context.Context, person string, words []string) ([]Case, error) {
	const most = 500
	out, swap := []Case{}, forgetter(words)
	stands := func(id, doc string) (bool, error) {
		if swap(doc) != doc {
			return true, nil
		}
		lines := []Event{}
		if err := s.r.SelectContext(ctx, &lines, `SELECT text, after, patch FROM case_event WHERE case_id = ?`, id); err != nil {
			return false, err
		}
		return slices.ContainsFunc(lines, func(e Event) bool {
			all := e.Text + "\n" + e.After + "\n" + e.Patch
			return swap(all) != all
		}), nil
	}
	seen := map[string]bool{}
	for _, w := range words {
		parts := strings.Fields(w)
		if len(parts) == 0 {
			continue
		}
		for i, p := range parts { // a line break between them is two signs in JSON
			parts[i] = strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`).Replace(jsonForm(p))
		}
		like := "%" + strings.Join(parts, "%") + "%"
		for after := ""; ; {
			rows := []Case{}
			err := s.r.SelectContext(ctx, &rows, `SELECT `+full+` FROM case_file WHERE id > ? AND grower_id <> ? AND (doc LIKE ? ESCAPE '\'
				OR id IN (SELECT case_id FROM case_event WHERE text LIKE ? ESCAPE '\' OR after LIKE ? ESCAPE '\' OR patch LIKE ? ESCAPE '\')) ORDER BY id LIMIT ?`, after, person, like, like, like, like, most)
			if err != nil {
				return nil, err
			}
			for _, r := range rows {
				if seen[r.ID] {
					continue
				}
				ok, err := stands(r.ID, r.Doc)
				if err != nil {
					return nil, err
				}
				if seen[r.ID] = ok; ok {
					out = append(out, r)
				}
			}
			if len(rows) < most {
				break
			}
			after = rows[len(rows)-1].ID
		}
	}
	return out, nil
}

// Nobody stands where a person stood.
const Nobody = "a grower"

// Forgotten is who is taken out, and the words that go with them.
type Forgotten struct {
	Person string   // by id
	Own    []string // words that go from their own cases: names, addresses
	Wide   []string // words that go from the cases of others
	Others []string // those cases, by id

	Searched []string // words by which a kept question speaks of them: it goes
}

// Forget takes a person out of the desk: out of every case of theirs with its whole story,
// messages, calendars and the words cases are found by. The cases stay. A word goes wherever
// it stands as a word. Then the file is written anew, so that no page of it still holds what
// was there. It answers how many cases were theirs.
func (s *Store) Forget(ctx context.Context, f Forgotten) (int, error) {
	swap := forgetter(f.Own)
	own := func(text string) string { return strings.ReplaceAll(swap(text), f.Person, "") }
	var ids []string
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		if err := tx.SelectContext(ctx, &ids, `SELECT id FROM case_file WHERE grower_id = ?`, f.Person); err != nil {
			return err
		}
		// A story is append-only but for this: the law gives a person the right to be forgotten.
		if _, err := tx.ExecContext(ctx, `DROP TRIGGER case_event_no_update`); err != nil {
			return err
		}
		for _, id := range ids {
			if err := forgetCase(ctx, tx, id, own, true); err != nil {
				return err
			}
		}
		for _, id := range f.Others {
			if err := forgetCase(ctx, tx, id, forgetter(f.Wide), false); err != nil {
				return err
			}
		}
		if _, err := tx.ExecContext(ctx, `CREATE TRIGGER case_event_no_update BEFORE UPDATE ON case_event BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END`); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM calendar_feed WHERE grower_id = ?`, f.Person); err != nil {
			return err
		}
		if err := dropGrower(ctx, tx, f.Person); err != nil {
			return err
		}
		for _, n := range f.Own {
			if _, err := tx.ExecContext(ctx, `DELETE FROM opted_out WHERE reach = ?`, n); err != nil {
				return err
			}
		}
		if err := forgetSearches(ctx, tx, f.Searched); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO grower_search (grower_search) VALUES ('optimize')`); err != nil {
			return err
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO case_search (case_search) VALUES ('optimize')`)
		return err
	})
	if err != nil || len(ids) == 0 {
		return 0, err
	}
	// Written anew by way of a file: a desk of years does not fit in memory.
	if _, err := s.w.ExecContext(ctx, `PRAGMA temp_store = FILE`); err != nil {
		return len(ids), err
	}
	_, err = s.w.ExecContext(ctx, `VACUUM`)
	if _, back := s.w.ExecContext(context.WithoutCancel(ctx), `PRAGMA temp_store = MEMORY`); back != nil {
		err = errors.Join(err, back)
	}
	if err != nil {
		return len(ids), fmt.Errorf("taken out, but the file could not be written anew: %w", err)
	}
	_, err = s.w.ExecContext(ctx, `PRAGMA wal_checkpoint(TRUNCATE)`)
	return len(ids), err
}

// forgetSearches takes out the kept questions that speak of somebody.
func forgetSearches(ctx context.Context, tx *sqlx.Tx, words []string) error {
	kept := []Saved{}
	if err := tx.SelectContext(ctx, &kept, `SELECT id, account_id, name, query, at FROM saved_search`); err != nil {
		return err
	}
	swap := forgetter(words)
	for _, k := range kept {
		asked, err := url.QueryUnescape(k.Query)
		if err != nil {
			asked = k.Query
		}
		if swap(asked) == asked && swap(k.Name) == k.Name {
			continue
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM saved_search WHERE id = ?`, k.ID); err != nil {
			return err
		}
	}
	return nil
}

// forgetCase takes names out of one case and all that hangs on it; its own person too,
// where it is theirs.
func forgetCase(ctx context.Context, tx *sqlx.Tx, id string, swap func(string) string, theirs bool) error {
	var c Case
	if err := tx.GetContext(ctx, &c, `SELECT `+full+` FROM case_file WHERE id = ?`, id); err != nil {
		return err
	}
	c.Doc, c.Story, c.Plant = swap(c.Doc), swap(c.Story), swap(c.Plant)
	if theirs {
		c.Grower, c.GrowerID = Nobody, ""
	}
	if _, err := tx.ExecContext(ctx, `UPDATE case_file SET doc = ?, story = ?, plant = ?, grower = ?, grower_id = ? WHERE id = ?`, c.Doc, c.Story, c.Plant, c.Grower, c.GrowerID, id); err != nil {
		return err
	}
	var body string
	if err := tx.GetContext(ctx, &body, `SELECT body FROM case_search WHERE rowid = ?`, c.Serial); err != nil {
		return err
	}
	c.Body = swap(body)
	if err := putSearch(ctx, tx, c); err != nil {
		return err
	}
	events := []Event{}
	if err := tx.SelectContext(ctx, &events, `SELECT case_id, seq, at, who, kind, text, after, patch FROM case_event WHERE case_id = ?`, id); err != nil {
		return err
	}
	for _, e := range events {
		if _, err := tx.ExecContext(ctx, `UPDATE case_event SET text = ?, before = '', after = ?, patch = ? WHERE case_id = ? AND seq = ?`, swap(e.Text), swap(e.After), swap(e.Patch), id, e.Seq); err != nil {
			return err
		}
	}
	if !theirs {
		return nil
	}
	if _, err := tx.ExecContext(ctx, `DELETE FROM photo WHERE case_id = ?`, id); err != nil {
		return err
	}
	_, err := tx.ExecContext(ctx, `DELETE FROM outbox WHERE case_id = ?`, id)
	return err
}

// blanks is white space between two words, as it stands in a text or inside JSON.
const blanks = `(?:[\s\p{Z}]|\\[nrt])+`

// forgetter replaces names where they stand as words, also inside JSON and whatever white
// space is between their words.
func forgetter(names []string) func(string) string {
	parts := []string{}
	for _, n := range names {
		for _, form := range []string{n, jsonForm(n)} {
			words := strings.Fields(form)
			for i, w := range words {
				words[i] = regexp.QuoteMeta(w)
			}
			if len(words) > 0 {
				parts = append(parts, strings.Join(words, blanks))
			}
		}
	}
	if len(parts) == 0 {
		return func(s string) string { return s }
	}
	slices.SortFunc(parts, func(a, b string) int { return len(b) - len(a) }) // the whole before its part
	re := regexp.MustCompile(`(?i)(^|[^\pL\pN]|\\[nrt])(` + strings.Join(parts, "|") + `)($|[^\pL\pN])`)
	return func(s string) string {
		for range 3 { // two side by side share a sign between them
			t := re.ReplaceAllString(s, "${1}"+Nobody+"${3}")
			if t == s {
				break
			}
			s = t
		}
		return s
	}
}

// jsonForm is a text as it stands between the quotes of a JSON string.
func jsonForm(s string) string {
	raw, err := json.Marshal(s)
	if err != nil {
		return s
	}
	return string(raw[1 : len(raw)-1])
}
