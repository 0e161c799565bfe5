package weathersource_test

import (
	"context"
	"encoding/json"
	"net/http"
	"net/http/httptest"
	"strings"
	"sync"
	"testing"
	"time"

	"botanik/core/weather"
	"botanik/internal/simulated"
	"botanik/internal/weathersource"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// kept are hours brought in a file.
type kept []weather.Hour

func (k kept) Hours(_ context.Context, from, to time.Time) ([]weather.Hour, error) {
	out := []weather.Hour{}
	for _, h := range k {
		if !h.At.Before(from) && h.At.Before(to) {
			out = append(out, h)
		}
	}
	return out, nil
}

var noon = time.Date(2026, 6, 10, 12, 0, 0, 0, time.UTC)

// joined asks a station at an address; the clock may be moved.
func joined(address *string, now *time.Time, files kept) *weathersource.Joined {
	return &weathersource.Joined{Kept: files, StandIn: simulated.Station{}, Station: weathersource.NewStation(func(context.Context) (string, error) { return *address, nil }, func() time.Time { return *now })}
}

// Every hour comes from a file, else from the station, else from the stand-in, and says so.
func TestEveryHourIsFromTheBestWhoKnowsIt(t *testing.T) {
	station := httptest.NewServer(simulated.NewWeatherStation(weather.Place{Name: "elsewhere", Climate: "hot and dry"}))
	defer station.Close()
	at, now := station.URL, noon
	j := joined(&at, &now, kept{{At: noon, TempC: 11, Humidity: 50, From: "roof.csv"}})
	hours, err := j.Hours(context.Background(), weather.Place{Lat: 50}, noon, noon.Add(20*24*time.Hour))
	require.NoError(t, err)
	require.Len(t, hours, 480)
	assert.Equal(t, "roof.csv", hours[0].From)
	assert.Equal(t, "simulated station", hours[1].From)
	assert.Empty(t, hours[479].From, "further than the station looks")
	assert.Empty(t, j.Trouble())
	assert.Contains(t, j.Sources(hours), "roof.csv (1 h)")
	assert.Contains(t, j.Sources(hours), "simulated forecast")

	none := ""
	hours, err = joined(&none, &now, nil).Hours(context.Background(), weather.Place{}, noon, noon.Add(3*time.Hour))
	require.NoError(t, err)
	assert.Equal(t, "simulated forecast", joined(&none, &now, nil).Sources(hours))
}

// A station is asked for weeks at once and again when that is old; one that is not heard is
// told of, what it said last still holds, and it is asked again soon.
func TestAStationThatIsNotHeard(t *testing.T) {
	asked, down := 0, false
	real := simulated.NewWeatherStation(weather.Place{Name: "x"})
	station := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		asked++
		if down {
			http.Error(w, "out of order", http.StatusBadGateway)
			return
		}
		real.ServeHTTP(w, r)
	}))
	defer station.Close()
	at, now := station.URL, noon
	j := joined(&at, &now, nil)
	hours := func() string {
		h, err := j.Hours(context.Background(), weather.Place{}, noon, noon.Add(5*time.Hour))
		require.NoError(t, err)
		return j.Sources(h)
	}
	for range 5 {
		assert.Equal(t, "simulated station", hours())
	}
	assert.Equal(t, 1, asked, "once for all of them")
	down, now = true, now.Add(time.Hour)
	assert.Equal(t, "simulated station", hours(), "what it said last")
	assert.Contains(t, j.Trouble(), "502")
	hours()
	assert.Equal(t, 2, asked, "not at every question")
	down, now = false, now.Add(2*time.Minute)
	hours()
	assert.Eventually(t, func() bool { return j.Trouble() == "" }, 10*time.Second, 5*time.Millisecond, "it is heard again")
	at = "http://127.0.0.1:1"
	assert.Equal(t, "simulated forecast", hours(), "another address knows nothing of the first one's")
	assert.Eventually(t, func() bool { return strings.Contains(j.Trouble(), "does not answer") }, 10*time.Second, 5*time.Millisecond)
}

// A station that takes the question and never answers costs a page no more than the moment
// one waits for a good one, the first time, and nothing after; sixteen at once neither. What
// was brought by file is still there.
func TestASilentStationCostsNobodyTheirTime(t *testing.T) {
	gone := make(chan struct{})
	station := httptest.NewServer(http.HandlerFunc(func(_ http.ResponseWriter, r *http.Request) {
		select {
		case <-gone:
		case <-r.Context().Done():
		}
	}))
	defer station.Close()
	defer close(gone)
	at, now := station.URL, noon
	j := joined(&at, &now, []weather.Hour{{At: noon, TempC: 12, Humidity: 70, From: "my file"}})
	begun := time.Now()
	var all sync.WaitGroup
	for range 16 {
		all.Go(func() {
			h, err := j.Hours(context.Background(), weather.Place{}, noon, noon.Add(2*time.Hour))
			assert.NoError(t, err)
			assert.Contains(t, j.Sources(h), "my file")
		})
	}
	all.Wait()
	assert.Less(t, time.Since(begun), 4*time.Second, "not the five seconds one question may take")
}

// One hour that air cannot be refuses the whole answer: a broken sensor is not half believed.
func TestAStationThatSaysWhatCannotBe(t *testing.T) {
	good := weather.Hour{At: noon, TempC: 12, Humidity: 70, WindMs: 2, RainMm: 0}
	for name, spoil := range map[string]func(h *weather.Hour, a *weathersource.Forecast){
		"too hot":   func(h *weather.Hour, _ *weathersource.Forecast) { h.TempC = 85 },
		"no damp":   func(h *weather.Hour, _ *weathersource.Forecast) { h.Humidity = 0 },
		"a gale":    func(h *weather.Hour, _ *weathersource.Forecast) { h.WindMs = 200 },
		"a flood":   func(h *weather.Hour, _ *weathersource.Forecast) { h.RainMm = 900 },
		"a compass": func(h *weather.Hour, _ *weathersource.Forecast) { h.WindFrom = 720 },
		"no time":   func(h *weather.Hour, _ *weathersource.Forecast) { h.At = time.Time{} },
		"a tongue":  func(_ *weather.Hour, a *weathersource.Forecast) { a.Format = "other/1" },
		"far too many": func(_ *weather.Hour, a *weathersource.Forecast) {
			a.Hours = append(a.Hours, make([]weather.Hour, 1500)...)
		},
	} {
		h, a := good, weathersource.Forecast{Format: weathersource.Format, Name: "roof"}
		spoil(&h, &a)
		a.Hours = append([]weather.Hour{good, h}, a.Hours...)
		raw, err := json.Marshal(a)
		require.NoError(t, err)
		_, err = weathersource.Parse(raw)
		assert.Error(t, err, name)
	}
	raw, err := json.Marshal(weathersource.Forecast{Format: weathersource.Format, Name: strings.Repeat("x", 100), Hours: []weather.Hour{good, good}})
	require.NoError(t, err)
	a, err := weathersource.Parse(raw)
	require.NoError(t, err)
	assert.Len(t, a.Hours, 1, "the same hour once")
	assert.Equal(t, "the station", a.Hours[0].From)
	for _, bad := range []string{"ftp://x", "roof", "http://user:pass@x", "http://x?y=1"} {
		assert.Error(t, weathersource.Address(bad), bad)
	}
	assert.NoError(t, weathersource.Address("http://192.168.1.30:8700"))
}

// Whatever a station sends is refused in a sentence or can be.
func FuzzParse(f *testing.F) {
	f.Add([]byte(`{"format":"botanik-weather/1","name":"roof","hours":[{"at":"2026-11-28T14:00:00Z","tempC":8.4,"humidity":81,"windMs":2.1,"rainMm":0}]}`))
	f.Fuzz(func(t *testing.T, raw []byte) {
		a, err := weathersource.Parse(raw)
		if err != nil {
			require.NotEmpty(t, err.Error())
			return
		}
		for i, h := range a.Hours {
			require.True(t, h.TempC >= -60 && h.TempC <= 60 && h.Humidity > 0 && h.Humidity <= 100 && h.WindMs >= 0 && h.RainMm >= 0)
			require.True(t, i == 0 || a.Hours[i-1].At.Before(h.At))
		}
	})
}
