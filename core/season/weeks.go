package season

import (
	"cmp"
	"math"
	"slices"

	"botanik/core/civil"
)

// Band is one cause over the weeks of a season.
type Band struct {
	Key   string `json:"key" doc:"cause; other for the rest, undetermined where nobody could tell"`
	N     int    `json:"n"`
	Weeks []int  `json:"weeks" doc:"samples in each week, from the first"`
}

// The bands that stand for many.
const (
	Other        = "other"
	Undetermined = "undetermined"
)

// Monday is the first day of the week a day lies in.
func Monday(d civil.Day) civil.Day { return d.Add(-(int(d.Weekday()) + 6) % 7) }

// WeeksOf are the Mondays of the weeks between two days, the second with it.
func WeeksOf(from, to civil.Day) []civil.Day {
	out := []civil.Day{}
	for w := Monday(from); !w.After(to); w = w.Add(weekDays) {
		out = append(out, w)
	}
	return out
}

// Bands puts what came in into weeks, the most frequent causes by themselves and the rest
// together; an empty cause is undetermined. What lies outside the weeks is left out.
func Bands(rows []WeekCounts, weeks []civil.Day, most int) []Band {
	by := map[string]*Band{}
	for _, r := range rows {
		if len(weeks) == 0 || r.Day.Before(weeks[0]) {
			continue
		}
		at := r.Day.Sub(weeks[0]) / weekDays
		if at >= len(weeks) {
			continue
		}
		key := cmp.Or(r.Cause, Undetermined)
		b := by[key]
		if b == nil {
			b = &Band{Key: key, Weeks: make([]int, len(weeks))}
			by[key] = b
		}
		b.Weeks[at] += r.N
		b.N += r.N
	}
	out := []Band{}
	for _, b := range by {
		out = append(out, *b)
	}
	slices.SortFunc(out, func(a, b Band) int {
		return cmp.Or(cmp.Compare(last(a.Key), last(b.Key)), cmp.Compare(b.N, a.N), cmp.Compare(a.Key, b.Key))
	})
	named := len(out)
	if named > 0 && out[named-1].Key == Undetermined {
		named--
	}
	if named <= most {
		return out
	}
	rest := Band{Key: Other, Weeks: make([]int, len(weeks))}
	for _, b := range out[most:named] {
		rest.N += b.N
		for i, n := range b.Weeks {
			rest.Weeks[i] += n
		}
	}
	return append(append(slices.Clone(out[:most]), rest), out[named:]...)
}

func last(key string) int {
	if key == Undetermined {
		return 1
	}
	return 0
}

// Arrival is when a pest first came in, this year against earlier ones.
type Arrival struct {
	Cause  string `json:"cause"`
	Day    string `json:"day,omitempty" doc:"the first this year, YYYY-MM-DD; empty while none came"`
	Years  int    `json:"years" doc:"earlier years it came in"`
	Usual  string `json:"usual,omitempty" doc:"the mean first day of earlier years, set into this one"`
	Within int    `json:"within,omitempty" doc:"days by which earlier years lay apart from it, one standard deviation"`
	Early  int    `json:"early" doc:"days before the usual one; below 0 after it"`

	DegreeDays *float64 `json:"degreeDays,omitempty" doc:"degree-days above its lower threshold from the start of the year to that day"`
	UsualDD    *float64 `json:"usualDegreeDays,omitempty" doc:"the mean of earlier years"`
	WithinDD   *float64 `json:"withinDegreeDays,omitempty"`
	LowerC     *float64 `json:"lowerC,omitempty" doc:"the threshold, °C"`
}

// fewestYears are how many earlier years a usual day is told from.
const fewestYears = 2

// Arrivals holds this year's first days against those of earlier years. firsts are the first
// days of each cause, one a year; sums answer the degree-days of a cause on a day, false
// where its threshold or the weather is not known. yearDay counts from the year's first day.
func Arrivals(firsts map[string][]civil.Day, year int, sums func(cause string, on civil.Day) (dd, lowerC float64, ok bool)) []Arrival {
	out := []Arrival{}
	start := civil.Date(year, 1, 1)
	for cause, days := range firsts {
		a := Arrival{Cause: cause}
		at, dds := []float64{}, []float64{}
		for _, d := range days {
			dd, lower, ok := sums(cause, d)
			if ok {
				a.LowerC = &lower
			}
			if d.Year() == year {
				a.Day = d.String()
				if ok {
					a.DegreeDays = &dd
				}
				continue
			}
			at = append(at, float64(d.Sub(civil.Date(d.Year(), 1, 1))))
			if ok {
				dds = append(dds, dd)
			}
		}
		a.Years = len(at)
		if len(at) >= fewestYears {
			mean, sd := meanOf(at)
			usual := start.Add(int(math.Round(mean)))
			a.Usual, a.Within = usual.String(), int(math.Round(sd))
			if day, err := civil.Parse(a.Day); err == nil {
				a.Early = usual.Sub(day)
			}
		}
		if len(dds) >= fewestYears {
			mean, sd := meanOf(dds)
			a.UsualDD, a.WithinDD = &mean, &sd
		}
		out = append(out, a)
	}
	slices.SortFunc(out, func(a, b Arrival) int {
		return cmp.Or(cmp.Compare(cmp.Or(a.Day, "9"), cmp.Or(b.Day, "9")), cmp.Compare(cmp.Or(a.Usual, "9"), cmp.Or(b.Usual, "9")), cmp.Compare(a.Cause, b.Cause))
	})
	return out
}

// meanOf is the mean and the sample standard deviation.
func meanOf(x []float64) (mean, sd float64) {
	for _, v := range x {
		mean += v / float64(len(x))
	}
	for _, v := range x {
		sd += (v - mean) * (v - mean)
	}
	return mean, math.Sqrt(sd / math.Max(1, float64(len(x)-1)))
}
