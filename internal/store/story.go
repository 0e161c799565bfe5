package store

import (
	"context"
	"encoding/json"
	"fmt"

	jsonpatch "github.com/evanphx/json-patch/v5"
	"github.com/wI2L/jsondiff"
)

// wholeEvery is how often a line of the story keeps the whole document: reading
// an earlier state never takes more patches than that.
const wholeEvery = 20

// keep fills in what a line of the story remembers of the document: what changed,
// or all of it where that is shorter, now and then, and where it came to be.
func (e *Event) keep(before, after string) error {
	e.After, e.Patch = after, ""
	if before == "" || e.Seq%wholeEvery == 1 {
		return nil
	}
	patch, err := jsondiff.CompareJSON([]byte(before), []byte(after))
	if err != nil {
		return fmt.Errorf("what changed cannot be told: %w", err)
	}
	raw, err := json.Marshal(patch)
	if err != nil {
		return err
	}
	if len(raw) < len(after)*2/3 {
		e.After, e.Patch = "", string(raw)
	}
	return nil
}

// DocAt is the document of a case as a line of its story left it. ErrNotFound
// for a line that is not there.
func (s *Store) DocAt(ctx context.Context, id string, seq int) (string, error) {
	lines := []Event{}
	err := s.r.SelectContext(ctx, &lines, `SELECT seq, after, patch FROM case_event WHERE case_id = ? AND seq <= ?
		AND seq >= (SELECT max(seq) FROM case_event WHERE case_id = ? AND seq <= ? AND after <> '') ORDER BY seq`, id, seq, id, seq)
	if err != nil {
		return "", err
	}
	if len(lines) == 0 || lines[len(lines)-1].Seq != seq {
		return "", ErrNotFound
	}
	doc := []byte(lines[0].After)
	for _, l := range lines[1:] {
		patch, err := jsonpatch.DecodePatch([]byte(l.Patch))
		if err == nil {
			doc, err = patch.Apply(doc)
		}
		if err != nil {
			return "", fmt.Errorf("line %d of the story cannot be read: %w", l.Seq, err)
		}
	}
	return string(doc), nil
}

// ReportRow is a line of a story with whose it is.
type ReportRow struct {
	CaseID string `db:"case_id"`
	Number string `db:"number"`
	Plant  string `db:"plant"`
	At     string `db:"at"`
	Text   string `db:"text"`
}

// MovedSince are the lines about days the weather moved since a moment, newest first, at
// most fifty.
func (s *Store) MovedSince(ctx context.Context, since string) ([]ReportRow, error) {
	out := []ReportRow{}
	err := s.r.SelectContext(ctx, &out, `SELECT e.case_id, c.number, c.plant, e.at, e.text FROM case_event e JOIN case_file c ON c.id = e.case_id WHERE e.kind = 'weather' AND e.at >= ? ORDER BY e.at DESC LIMIT 50`, since)
	return out, err
}
