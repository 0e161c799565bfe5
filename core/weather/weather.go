package weather

import (
	"fmt"
	"math"
	"time"

	"botanik/core/civil"
)

// Place on the earth, in degrees; south and west are below zero.
type Place struct {
	Lat, Lon float64
	Name     string
	Climate  string // one of knowledge.Climates, empty when not said
}

// Hour of weather, that begins at At.
type Hour struct {
	At       time.Time `json:"at"`
	TempC    float64   `json:"tempC"`
	Humidity float64   `json:"humidity"` // relative, per cent
	WindMs   float64   `json:"windMs"`
	RainMm   float64   `json:"rainMm"`
	GustMs   float64   `json:"gustMs,omitempty" doc:"strongest gust; 0 when not measured"`
	WindFrom float64   `json:"windFrom,omitempty" doc:"where the wind comes from, degrees, 360 is north; 0 when not known"`
	From     string    `json:"from,omitempty" doc:"who measured or foretold it; empty for the stand-in"`
}

// Limits of what air can be, for whoever reads hours: beyond them a value is a mistake
// or in another unit (records of the earth, rounded outward).
const (
	ColdestC  = -60.
	WarmestC  = 58.
	WindiestM = 75.
	WettestMm = 150.
)

// Provider gives the hours of a place from a moment on, up to another and not
// with it, in order. It may know fewer than asked for. Kind says in a few words
// where its hours come from ("simulated forecast").
type Provider interface {
	Hours(p Place, from, to time.Time) ([]Hour, error)
	Kind() string
}

// Day of weather at a place.
type Day struct {
	Day      civil.Day
	MinC     float64
	MaxC     float64
	EveningC float64 // mean of the hours from 18 to 20
	RainMm   float64
	WindMs   float64 // mean
	Known    bool    // the provider had hours for it
	From     string  // who most of its hours are from; empty for the stand-in
}

// The evening, when most is sprayed, in hours of the desk's clock.
const (
	eveningFrom = 18
	eveningTo   = 20
)

// DayOf gathers the hours of a calendar day at a place's zone.
func DayOf(pr Provider, p Place, day civil.Day, zone *time.Location) (Day, error) {
	hours, err := pr.Hours(p, day.Midnight(zone), day.Add(1).Midnight(zone))
	if err != nil {
		return Day{Day: day}, err
	}
	return dayOf(hours, day, zone), nil
}

// Daily gathers n calendar days from the first on, asking the provider once.
func Daily(pr Provider, p Place, first civil.Day, n int, zone *time.Location) ([]Day, error) {
	hours, err := pr.Hours(p, first.Midnight(zone), first.Add(n).Midnight(zone))
	if err != nil {
		return nil, err
	}
	out := make([]Day, n)
	for i := range out {
		end := first.Add(i + 1).Midnight(zone)
		of := 0
		for of < len(hours) && hours[of].At.Before(end) {
			of++
		}
		out[i], hours = dayOf(hours[:of], first.Add(i), zone), hours[of:]
	}
	return out, nil
}

func dayOf(hours []Hour, day civil.Day, zone *time.Location) Day {
	out := Day{Day: day, MinC: math.Inf(1), MaxC: math.Inf(-1)}
	if len(hours) == 0 {
		return Day{Day: day}
	}
	evening, from := 0, map[string]int{}
	for _, h := range hours {
		if from[h.From]++; from[h.From] > from[out.From] {
			out.From = h.From
		}
		out.MinC, out.MaxC = math.Min(out.MinC, h.TempC), math.Max(out.MaxC, h.TempC)
		out.RainMm += h.RainMm
		out.WindMs += h.WindMs / float64(len(hours))
		if at := h.At.In(zone).Hour(); at >= eveningFrom && at <= eveningTo {
			out.EveningC += h.TempC
			evening++
		}
	}
	if evening > 0 {
		out.EveningC /= float64(evening)
	} else {
		out.EveningC = (out.MinC + out.MaxC) / 2
	}
	out.Known = true
	return out
}

// Mean is the mean temperature of n days from one on, °C; a day without hours is taken as
// usual there.
func Mean(pr Provider, p Place, from civil.Day, n int, zone *time.Location) (float64, error) {
	days, err := StepsC(pr, p, from, n, 1, zone)
	if err != nil {
		return 0, err
	}
	sum := 0.0
	for _, c := range days {
		sum += c
	}
	return sum / float64(max(1, n)), nil
}

// Text says a day in a few words.
func (d Day) Text() string {
	if !d.Known {
		return "not known"
	}
	rain := "dry"
	if d.RainMm >= .1 {
		rain = fmt.Sprintf("%.1f mm of rain", d.RainMm)
	}
	return fmt.Sprintf("%.0f to %.0f °C, %s, wind %.0f m/s", d.MinC, d.MaxC, rain, d.WindMs)
}

var sides = []string{"north", "north-east", "east", "south-east", "south", "south-west", "west", "north-west"}

// Side is where the wind comes from in a word; empty when not known.
func (h Hour) Side() string {
	if h.WindFrom <= 0 || h.WindFrom > 360 {
		return ""
	}
	return sides[int(math.Round(h.WindFrom/45))%8]
}
