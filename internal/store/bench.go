package store

import (
	"context"
	"errors"
	"fmt"
	"time"

	"github.com/jmoiron/sqlx"
)

// FillForBench writes n cases, spread evenly over the two years before a moment,
// as a measurement needs them: without stories. Only for make bench.
func (s *Store) FillForBench(ctx context.Context, n int, now time.Time, build func(i int) (Case, error)) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		for i := range n {
			c, err := build(i)
			if err != nil {
				return err
			}
			at := now.AddDate(-2, 0, 0).Add(time.Duration(float64(i) / float64(n) * float64(now.Sub(now.AddDate(-2, 0, 0)))))
			c.ID, c.Number, c.Serial, c.Version = fmt.Sprintf("bench-%07d", i), fmt.Sprintf("26-%06d", i), int64(i+1), 1
			c.CreatedAt, c.UpdatedAt = Stamp(at), Stamp(at)
			c.GrowerID = fmt.Sprintf("g-%05d", i%benchGrowers)
			if _, err := tx.NamedExecContext(ctx, insertCase, c); err != nil {
				return err
			}
			if err := putSearch(ctx, tx, c); err != nil {
				return err
			}
			if err := putGrower(ctx, tx, c); err != nil {
				return err
			}
		}
		_, err := tx.ExecContext(ctx, `INSERT INTO counter (name, value) VALUES ('serial', ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value`, n)
		return err
	})
}

// benchGrowers are how many people bring them.
const benchGrowers = 20_000

// BareTally reads the tally of settled verdicts and does nothing with it: what a
// verdict cannot cost less than.
func (s *Store) BareTally(ctx context.Context, since string) error {
	rows := []Confirmed{}
	return s.r.SelectContext(ctx, &rows, `SELECT day, cause, n FROM confirmed_day WHERE day >= ? ORDER BY day, cause`, since)
}

// BareCounter asks what the counter shows and does nothing with it.
func (s *Store) BareCounter(ctx context.Context, day, midnight string) error {
	for _, q := range []struct {
		sql  string
		args []any
	}{
		{`SELECT ` + brief + ` FROM case_file WHERE stage = 'waiting' ORDER BY created_at, id LIMIT 40`, nil},
		{`SELECT ` + brief + ` FROM case_file WHERE stage = 'bench' ORDER BY created_at, id LIMIT 40`, nil},
		{`SELECT ` + brief + ` FROM case_file WHERE stage = 'review' ORDER BY created_at, id LIMIT 40`, nil},
		{`SELECT ` + brief + ` FROM case_file WHERE stage = 'ready' ORDER BY created_at, id LIMIT 40`, nil},
		{`SELECT ` + full + ` FROM case_file WHERE ask_on <> '' AND stage IN ('handed', 'referred') AND ask_on <= ? ORDER BY ask_on, id LIMIT 40`, []any{day}},
		{`SELECT ` + brief + ` FROM case_file WHERE created_at >= ? LIMIT 1`, []any{midnight}},
	} {
		out := []Case{}
		if err := s.r.SelectContext(ctx, &out, q.sql, q.args...); err != nil {
			return err
		}
	}
	return nil
}

// BareSeason asks what the season shows and does nothing with it.
func (s *Store) BareSeason(ctx context.Context, from, to string) error {
	for _, q := range []string{
		`SELECT substr(created_at, 1, 10), cause, degree, host_id, square, count(*) FROM case_file WHERE created_at >= ? AND created_at < ? GROUP BY 1, 2, 3, 4, 5`,
		`SELECT created_at, handed_at FROM case_file WHERE created_at >= ? AND created_at < ? AND handed_at <> ''`,
		`SELECT cause, substr(day, 1, 4), min(day), sum(n) FROM confirmed_day WHERE day >= ? AND day < ? GROUP BY 1, 2`,
	} {
		if err := s.run(ctx, q, from, to); err != nil {
			return err
		}
	}
	return nil
}

// run reads all that a query answers and throws it away.
func (s *Store) run(ctx context.Context, q string, args ...any) (err error) {
	rows, err := s.r.QueryxContext(ctx, q, args...)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, rows.Close()) }()
	for rows.Next() {
		if _, err := rows.SliceScan(); err != nil {
			return err
		}
	}
	return rows.Err()
}
