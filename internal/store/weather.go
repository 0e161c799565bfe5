package store

import (
	"context"

	"github.com/jmoiron/sqlx"
)

// WeatherFile is hours of weather brought in together.
type WeatherFile struct {
	ID    string `db:"id"`
	Name  string `db:"name"`
	Who   string `db:"who"`
	At    string `db:"at"`
	First int64  `db:"first"` // seconds since 1970, of the first hour
	Last  int64  `db:"last"`  // of the last
	Hours int    `db:"hours"`
}

// WeatherHour is one hour of a file, at seconds since 1970; °C, per cent, m/s, mm.
type WeatherHour struct {
	At       int64   `db:"at"`
	File     string  `db:"file"`
	Temp     float64 `db:"temp"`
	Humidity float64 `db:"humidity"`
	Wind     float64 `db:"wind"`
	Gust     float64 `db:"gust"`
	Rain     float64 `db:"rain"`
	WindFrom float64 `db:"wind_from"` // degrees, 360 is north; 0 when not known
}

// AddWeather keeps a file and its hours, or neither.
func (s *Store) AddWeather(ctx context.Context, f WeatherFile, hours []WeatherHour) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.NamedExecContext(ctx, `INSERT INTO weather_file (id, name, who, at, first, last, hours) VALUES (:id, :name, :who, :at, :first, :last, :hours)`, f); err != nil {
			return err
		}
		put, err := tx.PrepareNamedContext(ctx, `INSERT INTO weather_hour (at, file, temp, humidity, wind, gust, rain, wind_from) VALUES (:at, :file, :temp, :humidity, :wind, :gust, :rain, :wind_from)`)
		if err != nil {
			return err
		}
		defer func() { _ = put.Close() }()
		for _, h := range hours {
			h.File = f.ID
			if _, err := put.ExecContext(ctx, h); err != nil {
				return err
			}
		}
		return nil
	})
}

// DropWeather takes a file back with its hours; ErrNotFound when there is none.
func (s *Store) DropWeather(ctx context.Context, id string) error {
	return s.tx(ctx, func(tx *sqlx.Tx) error {
		res, err := tx.ExecContext(ctx, `DELETE FROM weather_file WHERE id = ?`, id)
		if err != nil {
			return err
		}
		if n, _ := res.RowsAffected(); n == 0 {
			return ErrNotFound
		}
		return nil
	})
}

// WeatherFiles are those brought in, newest first.
func (s *Store) WeatherFiles(ctx context.Context) ([]WeatherFile, error) {
	out := []WeatherFile{}
	err := s.r.SelectContext(ctx, &out, `SELECT id, name, who, at, first, last, hours FROM weather_file ORDER BY id DESC`)
	return out, err
}

// WeatherHours are the kept hours from one second on, up to another and not with it, in
// order; where files overlap the hour of the one brought last.
func (s *Store) WeatherHours(ctx context.Context, from, to int64) ([]WeatherHour, error) {
	out := []WeatherHour{}
	err := s.r.SelectContext(ctx, &out, `SELECT at, max(file) AS file, temp, humidity, wind, gust, rain, wind_from FROM weather_hour WHERE at >= ? AND at < ? GROUP BY at ORDER BY at`, from, to)
	return out, err
}
