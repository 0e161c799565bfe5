package simulated

import (
	"encoding/json"
	"net/http"
	"time"

	"botanik/core/weather"
	"botanik/internal/weathersource"
)

// mostAsked is the longest time one question to the station may span.
const mostAsked = 60 * 24 * time.Hour

// NewWeatherStation answers the protocol of docs/weather.md with the hours of a place, as
// a station or its bridge would.
func NewWeatherStation(p weather.Place) http.Handler {
	mux := http.NewServeMux()
	mux.HandleFunc("GET /hours", func(w http.ResponseWriter, r *http.Request) {
		from, err1 := time.Parse(time.RFC3339, r.URL.Query().Get("from"))
		to, err2 := time.Parse(time.RFC3339, r.URL.Query().Get("to"))
		if err1 != nil || err2 != nil || to.Before(from) || to.Sub(from) > mostAsked {
			http.Error(w, "from and to have to be moments like 2026-11-28T00:00:00Z, at most 60 days apart", http.StatusBadRequest)
			return
		}
		hours, err := Station{}.Hours(p, from, to)
		if err != nil {
			http.Error(w, err.Error(), http.StatusInternalServerError)
			return
		}
		w.Header().Set("Content-Type", "application/json")
		_ = json.NewEncoder(w).Encode(weathersource.Forecast{Format: weathersource.Format, Name: "simulated station", Hours: hours})
	})
	return mux
}
