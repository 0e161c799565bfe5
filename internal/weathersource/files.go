package weathersource

import (
	"context"
	"time"

	"botanik/core/weather"
	"botanik/internal/store"
)

// Files are the hours that were brought in files, as the desk's file keeps them.
type Files struct{ Store *store.Store }

// Hours of the files between two moments, the second left out, each with the name of its file.
func (f Files) Hours(ctx context.Context, from, to time.Time) ([]weather.Hour, error) {
	rows, err := f.Store.WeatherHours(ctx, from.Unix(), to.Unix())
	if err != nil || len(rows) == 0 {
		return nil, err
	}
	files, err := f.Store.WeatherFiles(ctx)
	names := map[string]string{}
	for _, x := range files {
		names[x.ID] = x.Name
	}
	out := make([]weather.Hour, 0, len(rows))
	for _, h := range rows {
		out = append(out, weather.Hour{At: time.Unix(h.At, 0).UTC(), TempC: h.Temp, Humidity: h.Humidity, WindMs: h.Wind, GustMs: h.Gust, RainMm: h.Rain, WindFrom: h.WindFrom, From: names[h.File]})
	}
	return out, err
}
