package store

import "context"

// Photo is a picture of a case.
type Photo struct {
	ID     string `db:"id"`
	CaseID string `db:"case_id"`
	At     string `db:"at"`
	JPEG   []byte `db:"jpeg"`
}

// Photo reads one picture of a case; ErrNotFound for another case's.
func (s *Store) Photo(ctx context.Context, caseID, id string) (Photo, error) {
	var p Photo
	err := s.r.GetContext(ctx, &p, `SELECT id, case_id, at, jpeg FROM photo WHERE id = ? AND case_id = ?`, id, caseID)
	return p, missing(err)
}
