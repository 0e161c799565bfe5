package spraydays

import (
	"context"
	"fmt"
	"time"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/weather"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/store"
	"botanik/internal/weatherfile"
)

// WeatherInput is a file of hours, and how it is to be read.
type WeatherInput struct {
	Name    string              `json:"name" maxLength:"120" doc:"the file's own name"`
	Text    string              `json:"text" doc:"CSV or JSON, at most 8 MB"`
	Mapping weatherfile.Mapping `json:"mapping,omitzero" required:"false"`
	Sure    bool                `json:"sure,omitempty" doc:"what looks wrong was looked at and is right"`
}

// WeatherReading is what a file holds: the reading, and its hours in short.
type WeatherReading struct {
	weatherfile.Reading
	Count int            `json:"count" doc:"hours"`
	First time.Time      `json:"first"`
	Last  time.Time      `json:"last"`
	Start []weather.Hour `json:"start" doc:"the first few hours, as they were understood"`
}

// startShown are how many hours of a file are shown before it is kept.
const startShown = 6

// ReadWeather reads a file and keeps nothing. Errors are hourly.Read's.
func (s *Service) ReadWeather(ctx context.Context, in WeatherInput) (WeatherReading, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return WeatherReading{}, err
	}
	done, err := s.Heavy(ctx)
	if err != nil {
		return WeatherReading{}, err
	}
	r, err := weatherfile.Read(in.Text, in.Mapping, m.Clock)
	done()
	if err != nil {
		return WeatherReading{}, err
	}
	out := WeatherReading{Reading: r, Count: len(r.Hours), First: r.Hours[0].At.In(m.Clock), Last: r.Hours[len(r.Hours)-1].At.In(m.Clock), Start: []weather.Hour{}}
	for _, h := range r.Hours[:min(startShown, len(r.Hours))] {
		h.At = h.At.In(m.Clock)
		out.Start = append(out.Start, h)
	}
	return out, nil
}

// WeatherFile is hours somebody brought in.
type WeatherFile struct {
	ID    string    `json:"id"`
	Name  string    `json:"name"`
	Who   string    `json:"who"`
	At    time.Time `json:"at"`
	First time.Time `json:"first"`
	Last  time.Time `json:"last"`
	Hours int       `json:"hours"`
}

// mostWeatherFiles are kept at once: ten years of one a fortnight.
const mostWeatherFiles = 260

// KeepWeather takes the hours of a file into the desk: from then on they stand before the
// station's and the simulated ones. Errors name doubts where something looks wrong and
// nobody said it is right.
func (s *Service) KeepWeather(ctx context.Context, who desk.Person, in WeatherInput) ([]WeatherFile, error) {
	if !who.May(accounts.BringWeather) {
		return nil, desk.ErrForbidden
	}
	if in.Name = humanise.Line(in.Name); in.Name == "" {
		return nil, fault.New("name", "is empty", "give the file's name; its hours carry it")
	}
	r, err := s.ReadWeather(ctx, in)
	if err != nil {
		return nil, err
	}
	if len(r.Doubts) > 0 && !in.Sure {
		return nil, fault.New("doubts", r.Doubts[0], "choose the unit or the column, or say that it is right")
	}
	hours := make([]store.WeatherHour, 0, len(r.Hours))
	for _, h := range r.Hours {
		hours = append(hours, store.WeatherHour{At: h.At.Unix(), Temp: h.TempC, Humidity: h.Humidity, Wind: h.WindMs, Gust: h.GustMs, Rain: h.RainMm, WindFrom: h.WindFrom})
	}
	f := store.WeatherFile{ID: desk.NewID(s.Now()), Name: in.Name, Who: who.Name, At: store.Stamp(s.Now()), First: hours[0].At, Last: hours[len(hours)-1].At, Hours: len(hours)}
	kept, err := s.Store.WeatherFiles(ctx)
	if err != nil {
		return nil, err
	}
	if len(kept) >= mostWeatherFiles {
		return nil, fault.New("name", fmt.Sprintf("%d files of hours are kept already", len(kept)), "take old ones out first")
	}
	for _, k := range kept {
		if k.Name == f.Name && k.First == f.First && k.Last == f.Last && k.Hours == f.Hours {
			return nil, fault.New("name", "this file is kept already, with as many hours of the same days", "take that one out first if this one is better")
		}
	}
	if err := s.Store.AddWeather(ctx, f, hours); err != nil {
		return nil, err
	}
	if s.WeatherChanged != nil {
		if err := s.WeatherChanged(ctx); err != nil {
			return nil, err
		}
	}
	return s.WeatherFiles(ctx)
}

// WeatherFiles are those brought in, newest first.
func (s *Service) WeatherFiles(ctx context.Context) ([]WeatherFile, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return nil, err
	}
	rows, err := s.Store.WeatherFiles(ctx)
	out := []WeatherFile{}
	for _, f := range rows {
		out = append(out, WeatherFile{f.ID, f.Name, f.Who, store.ParseTime(f.At), time.Unix(f.First, 0).In(m.Clock), time.Unix(f.Last, 0).In(m.Clock), f.Hours})
	}
	return out, err
}

// DropWeather takes a file's hours out again.
func (s *Service) DropWeather(ctx context.Context, who desk.Person, id string) ([]WeatherFile, error) {
	if !who.May(accounts.BringWeather) {
		return nil, desk.ErrForbidden
	}
	if err := s.Store.DropWeather(ctx, id); err != nil {
		return nil, err
	}
	return s.WeatherFiles(ctx)
}
