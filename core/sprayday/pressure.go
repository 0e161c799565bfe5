package sprayday

import (
	"fmt"
	"math"
	"time"

	"botanik/core/civil"
	"botanik/core/weather"
)

// Pressure is how far the air of some days favours what needs no wet leaf.
type Pressure struct {
	ID    string    `json:"id" enum:"mites,mildew"`
	Name  string    `json:"name"`
	Word  string    `json:"word" enum:"low,moderate,high"`
	Index float64   `json:"index" doc:"0 to 100"`
	Days  []float64 `json:"days" doc:"the index at the end of each day"`
	Why   string    `json:"why"`
}

func word(index float64) string {
	switch {
	case index >= 60:
		return "high"
	case index >= 40:
		return "moderate"
	}
	return "low"
}

// Hours of a day that favour spider mites: hot and dry. Four and more of them are as bad
// as a day gets (judgement after general literature: mites breed fastest from about 27 °C
// in dry air, and rain washes them off).
const (
	miteWarm = 26.
	miteDry  = 55. // per cent
	miteMost = 4.
	miteKeep = .8 // of the index that a day carries over
	miteRain = 5. // mm in a day that wash a good part off
)

// MitePressure rises with hot dry hours and falls with cool days and rain. Zone is of the
// desk's clock.
func MitePressure(hours []weather.Hour, zone *time.Location) Pressure {
	p := Pressure{ID: "mites", Name: "Spider mites", Days: []float64{}}
	dry := 0
	for _, day := range byDay(hours, zone) {
		n, rain := 0., 0.
		for _, h := range day {
			if h.TempC >= miteWarm && h.Humidity <= miteDry {
				n++
			}
			rain += h.RainMm
		}
		if n >= miteMost {
			dry++
		}
		p.Index = miteKeep*p.Index + (1-miteKeep)*100*math.Min(1, n/miteMost)
		if rain >= miteRain {
			p.Index /= 2
		}
		p.Days = append(p.Days, math.Round(p.Index))
	}
	p.Index = math.Round(p.Index)
	p.Word = word(p.Index)
	p.Why = fmt.Sprintf("%d of %d days had four hours and more above %.0f °C in air below %.0f in 100.", dry, len(p.Days), miteWarm, miteDry)
	return p
}

// MildewPressure is a published index of powdery mildew on vines, read here for powdery
// mildews at large, so approximate: it begins with three days running that have six hours
// on end between 21 and 30 °C, each such day adds 20 and any other takes 10 away, and 35 °C
// takes 10 away; 60 and more is high.
func MildewPressure(hours []weather.Hour, zone *time.Location) Pressure {
	p := Pressure{ID: "mildew", Name: "Powdery mildews", Days: []float64{}}
	running, good, begun := 0, 0, false
	for _, day := range byDay(hours, zone) {
		longest, now, hot := 0, 0, false
		for _, h := range day {
			if h.TempC >= 21 && h.TempC <= 30 {
				now++
				longest = max(longest, now)
			} else {
				now = 0
			}
			hot = hot || h.TempC >= 35
		}
		fits := longest >= 6
		switch {
		case fits:
			running++
			good++
		default:
			running = 0
		}
		switch {
		case !begun && running == 3:
			begun, p.Index = true, 60
		case !begun:
		case fits:
			p.Index += 20
		default:
			p.Index -= 10
		}
		if begun && hot {
			p.Index -= 10
		}
		p.Index = math.Max(0, math.Min(100, p.Index))
		p.Days = append(p.Days, p.Index)
	}
	p.Word = word(p.Index)
	p.Why = fmt.Sprintf("%d of %d days had six hours on end between 21 and 30 °C.", good, len(p.Days))
	return p
}

// byDay parts hours into the days of a clock.
func byDay(hours []weather.Hour, zone *time.Location) [][]weather.Hour {
	out := [][]weather.Hour{}
	var last civil.Day
	for _, h := range hours {
		if d := civil.Of(h.At, zone); len(out) == 0 || d != last {
			out, last = append(out, nil), d
		}
		out[len(out)-1] = append(out[len(out)-1], h)
	}
	return out
}
