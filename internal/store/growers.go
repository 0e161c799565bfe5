package store

import (
	"context"
	"encoding/json"
	"fmt"
	"regexp"
	"strings"
	"unicode"

	"github.com/jmoiron/sqlx"
)

// Grower is a name under which cases were brought in.
type Grower struct {
	Name  string `db:"grower"`
	Cases int    `db:"cases"`
	Last  string `db:"last"` // when the last was brought in
}

// GrowersCalled finds growers by the beginning of their name or of how they are reached,
// those who came last first.
func (s *Store) GrowersCalled(ctx context.Context, words string, most int) ([]Grower, error) {
	out := []Grower{}
	begun := []string{}
	for _, w := range strings.FieldsFunc(words, func(r rune) bool { return !unicode.IsLetter(r) && !unicode.IsDigit(r) }) {
		begun = append(begun, `{grower body} : "`+w+`"*`)
	}
	if len(begun) == 0 {
		return out, nil
	}
	err := s.r.SelectContext(ctx, &out, `SELECT grower, count(*) AS cases, max(created_at) AS last FROM case_file
		WHERE serial IN (SELECT rowid FROM case_search WHERE case_search MATCH ? ORDER BY rowid DESC LIMIT 500) GROUP BY grower ORDER BY last DESC LIMIT ?`, strings.Join(begun, " AND "), most)
	return out, err
}

// Nobody stands where a person stood.
const Nobody = "a grower"

// Forget takes a person out of the desk: out of every case of theirs with its whole story,
// messages, calendars and the words cases are found by. The cases stay. Names are what they
// were called and how they were reached; each is taken out wherever it stands as a word.
// Then the file is written anew, so that no page of it still holds what was there.
func (s *Store) Forget(ctx context.Context, grower string, names []string) (int, error) {
	swap := forgetter(append([]string{grower}, names...))
	var ids []string
	err := s.tx(ctx, func(tx *sqlx.Tx) error {
		if err := tx.SelectContext(ctx, &ids, `SELECT id FROM case_file WHERE grower = ?`, grower); err != nil {
			return err
		}
		// A story is append-only but for this: the law gives a person the right to be forgotten.
		if _, err := tx.ExecContext(ctx, `DROP TRIGGER case_event_no_update`); err != nil {
			return err
		}
		for _, id := range ids {
			if err := forgetCase(ctx, tx, id, swap); err != nil {
				return err
			}
		}
		if _, err := tx.ExecContext(ctx, `CREATE TRIGGER case_event_no_update BEFORE UPDATE ON case_event BEGIN SELECT RAISE(ABORT, 'the story is append-only'); END`); err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, `DELETE FROM calendar_feed WHERE grower = ?`, grower); err != nil {
			return err
		}
		for _, n := range names {
			if _, err := tx.ExecContext(ctx, `DELETE FROM opted_out WHERE reach = ?`, n); err != nil {
				return err
			}
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO case_search (case_search) VALUES ('optimize')`)
		return err
	})
	if err != nil || len(ids) == 0 {
		return 0, err
	}
	if _, err := s.w.ExecContext(ctx, `VACUUM`); err != nil {
		return len(ids), fmt.Errorf("taken out, but the file could not be written anew: %w", err)
	}
	_, err = s.w.ExecContext(ctx, `PRAGMA wal_checkpoint(TRUNCATE)`)
	return len(ids), err
}

// forgetCase takes the names out of one case and all that hangs on it.
func forgetCase(ctx context.Context, tx *sqlx.Tx, id string, swap func(string) string) error {
	var c Case
	if err := tx.GetContext(ctx, &c, `SELECT `+full+` FROM case_file WHERE id = ?`, id); err != nil {
		return err
	}
	c.Doc, c.Story, c.Plant, c.Grower = swap(c.Doc), swap(c.Story), swap(c.Plant), Nobody
	if _, err := tx.ExecContext(ctx, `UPDATE case_file SET doc = ?, story = ?, plant = ?, grower = ? WHERE id = ?`, c.Doc, c.Story, c.Plant, c.Grower, id); err != nil {
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
	_, err := tx.ExecContext(ctx, `DELETE FROM outbox WHERE case_id = ?`, id)
	return err
}

// forgetter replaces names where they stand as words, also inside JSON.
func forgetter(names []string) func(string) string {
	parts := []string{}
	for _, n := range names {
		for _, form := range []string{n, jsonForm(n)} {
			if strings.TrimSpace(form) != "" {
				parts = append(parts, regexp.QuoteMeta(form))
			}
		}
	}
	re := regexp.MustCompile(`(?i)(^|[^\pL\pN])(` + strings.Join(parts, "|") + `)($|[^\pL\pN])`)
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
