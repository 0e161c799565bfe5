package sprayday

import (
	"fmt"
	"math"
	"time"

	"botanik/core/fault"
	"botanik/core/weather"
)

// A leaf is wet from rain, or where the air is near its dew point. After it what hangs
// there dries as the air takes it, at most carry hours of that being counted.
const (
	dampAir   = 90. // per cent
	nearDew   = 2.  // °C between air and dew point
	hangs     = .2  // mm that stay on a leaf after rain
	mostCarry = 8   // hours
)

// Wet says of each hour whether leaves are wet in it.
func Wet(hours []weather.Hour) []bool {
	out := make([]bool, len(hours))
	film, carried := 0., 0
	for i, h := range hours {
		rh := math.Min(100, math.Max(1, h.Humidity))
		damp := rh >= dampAir || h.TempC-DewPoint(h.TempC, rh) <= nearDew
		switch {
		case h.RainMm >= rainFrom:
			film, carried, out[i] = hangs, 0, true
		case damp:
			film, carried, out[i] = math.Max(film, hangs/2), 0, true
		case film > 0 && carried < mostCarry:
			film -= perHour(h)
			carried++
			out[i] = film > 0
		}
	}
	return out
}

// Spell is a time of wet leaves.
type Spell struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	Hours int       `json:"hours"`
	MeanC float64   `json:"meanC"`
}

// dryBetween are the dry hours up to which two wet times are one spell where a disease's table
// names none of its own: spores that swelled begin to die as they dry (judgement; published
// figures lie between none and eight).
const dryBetween = 4

// Spells gathers wet hours; up to so many dry ones between do not end a spell, and are not
// counted as wet. gap below 1 is the usual four.
func Spells(hours []weather.Hour, gap int) []Spell {
	if gap < 1 {
		gap = dryBetween
	}
	out := []Spell{}
	wet := Wet(hours)
	dry := 0
	var now *Spell
	sum := 0.
	for i, h := range hours {
		if wet[i] {
			if now == nil {
				out = append(out, Spell{From: h.At})
				now, sum = &out[len(out)-1], 0
			}
			now.Hours++
			sum += h.TempC
			now.MeanC, now.To, dry = sum/float64(now.Hours), h.At.Add(time.Hour), 0
			continue
		}
		if dry++; dry > gap {
			now = nil
		}
	}
	return out
}

// Infection is what a disease needs of a wet spell: hours at temperatures, between which
// it is read off the line.
type Infection struct {
	ID     string      `json:"id" yaml:"id"`
	Name   string      `json:"name" yaml:"name"`
	Causes []string    `json:"causes" yaml:"causes"`
	Points [][]float64 `json:"points" yaml:"points" doc:"°C and the hours of wet leaf it needs there, coldest first"`
	DryGap int         `json:"dryHours,omitempty" yaml:"dry_hours" doc:"dry hours between two wet times that still count as one; 4 when left out"`
	Source string      `json:"source" yaml:"source"`
	From   string      `json:"from,omitempty" yaml:"-"`
}

// Need is the hours of wet leaf at a temperature; +Inf where it does not infect.
func (x Infection) Need(tempC float64) float64 {
	p := x.Points
	if len(p) == 0 || tempC < p[0][0] || tempC > p[len(p)-1][0] {
		return math.Inf(1)
	}
	for i := 1; i < len(p); i++ {
		if tempC <= p[i][0] {
			f := (tempC - p[i-1][0]) / (p[i][0] - p[i-1][0])
			return p[i-1][1] + f*(p[i][1]-p[i-1][1])
		}
	}
	return p[0][1]
}

// Check refuses a table that cannot be read. Errors name points.
func (x Infection) Check() error {
	if x.DryGap < 0 || x.DryGap > 48 {
		return fault.New("dry_hours", fmt.Sprintf("%d cannot be", x.DryGap), "give 1 to 48 hours, or leave it out for the usual four")
	}
	if len(x.Points) < 2 {
		return fault.New("points", "are fewer than two", "give °C and hours, coldest first")
	}
	for i, p := range x.Points {
		if len(p) != 2 || p[1] <= 0 || p[1] > 200 || i > 0 && p[0] <= x.Points[i-1][0] {
			return fault.New(fmt.Sprintf("points[%d]", i), "is no pair of °C and hours, or not warmer than the one before", "give °C and hours, coldest first")
		}
	}
	return nil
}

// Event is a wet spell long and warm enough for a disease.
type Event struct {
	Disease string  `json:"disease"`
	Name    string  `json:"name"`
	Spell   Spell   `json:"spell"`
	Needed  float64 `json:"neededHours"`
}

// Events are the spells that let a disease in.
func (x Infection) Events(hours []weather.Hour) []Event {
	out := []Event{}
	for _, s := range Spells(hours, x.DryGap) {
		if need := x.Need(s.MeanC); float64(s.Hours) >= need {
			out = append(out, Event{x.ID, x.Name, s, math.Round(need*10) / 10})
		}
	}
	return out
}
