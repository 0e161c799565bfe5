package httpapi

import (
	"context"
	"net/http"
	"time"

	"botanik/core/remedy"
	"botanik/core/sprayday"
	"botanik/internal/loop"
	"botanik/internal/spraydays"
	"botanik/internal/weatherfile"

	"github.com/danielgtaylor/huma/v2"
)

// weatherLimit lets a file of hours through, with the words around it.
const weatherLimit = weatherfile.MostBytes + weatherfile.MostBytes/8

func (s *Server) weatherRoutes() {
	large := func(op huma.Operation) huma.Operation {
		op.Tags, op.DefaultStatus, op.MaxBodyBytes, op.BodyReadTimeout, op.Middlewares = []string{"spray days"}, http.StatusOK, weatherLimit, time.Minute, huma.Middlewares{s.fewLarge}
		return op
	}
	type files struct{ Body []spraydays.WeatherFile }
	get(s, "weather-files", "spray days", "/weather/files", "Files of weather that were brought in, newest first", func(ctx context.Context, _ *none) ([]spraydays.WeatherFile, error) {
		return s.spraydays.WeatherFiles(ctx)
	})
	huma.Register(s.asking(), large(huma.Operation{OperationID: "read-weather", Method: http.MethodPost, Path: "/weather/read", Summary: "Read a file of hours without keeping it: columns, units, gaps, rows refused"}),
		func(ctx context.Context, in *struct{ Body spraydays.WeatherInput }) (*struct{ Body spraydays.WeatherReading }, error) {
			r, err := s.spraydays.ReadWeather(ctx, in.Body)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &struct{ Body spraydays.WeatherReading }{r}, nil
		})
	huma.Register(s.asking(), large(huma.Operation{OperationID: "keep-weather", Method: http.MethodPost, Path: "/weather/files", Summary: "Bring in a file of hours; they stand before the simulated ones"}),
		func(ctx context.Context, in *struct{ Body spraydays.WeatherInput }) (*files, error) {
			f, err := s.spraydays.KeepWeather(ctx, who(ctx), in.Body)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &files{f}, nil
		})
	register(s, s.asking(), http.MethodDelete, "drop-weather", "spray days", "/weather/files/{id}", "Take a file of hours out again", func(ctx context.Context, in *byID) ([]spraydays.WeatherFile, error) {
		return s.spraydays.DropWeather(ctx, who(ctx), in.ID)
	})
	get(s, "lately", "spray days", "/spray-days/lately", "The air of the last days: pressure, wet spells, and what still protects the plants of open cases", func(ctx context.Context, _ *none) (spraydays.RecentWeather, error) {
		return s.spraydays.RecentWeather(ctx)
	})
	get(s, "since-spray", "spray days", "/spray-days/since", "What is left of something that protects, and when it may be put on again", func(ctx context.Context, in *struct {
		Remedy string `query:"remedy" required:"true" maxLength:"60" doc:"id of one that protects leaves: copper, sulfur"`
		On     string `query:"on" required:"true" maxLength:"10" doc:"the day it was put on, YYYY-MM-DD"`
	}) (sprayday.Since, error) {
		return s.spraydays.Since(ctx, in.Remedy, in.On)
	})
	ask(s, "winter", "spray days", "/spray-days/winter", "A dormant programme: whether last year deserves one, tasks, sprays and their days", func(ctx context.Context, in *struct{ Body spraydays.WinterAsk }) (remedy.WinterPlan, error) {
		return s.spraydays.Winter(ctx, in.Body)
	})
	get(s, "feeds", "calendar", "/calendars", "Private addresses of calendars that are open", func(ctx context.Context, _ *none) ([]loop.Feed, error) {
		return s.loop.Feeds(ctx, who(ctx))
	})
	ask(s, "open-feed", "calendar", "/calendars", "Open a private address of a calendar: the desk's, or one grower's", func(ctx context.Context, in *struct {
		Body struct {
			Person string `json:"person,omitempty" maxLength:"40" doc:"which grower, by id; the desk's calendar when left out"`
		}
	}) (loop.Feed, error) {
		return s.loop.OpenFeed(ctx, who(ctx), in.Body.Person)
	})
	register(s, s.asking(), http.MethodDelete, "end-feed", "calendar", "/calendars/{token}", "End a private address", func(ctx context.Context, in *struct {
		Token string `path:"token" maxLength:"60"`
	}) ([]loop.Feed, error) {
		return s.loop.EndFeed(ctx, who(ctx), in.Token)
	})
}
