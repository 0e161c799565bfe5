package weatherfile

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/sprayday"
	"botanik/core/weather"
)

// Reading is what a file holds, and what of it cannot be used.
type Reading struct {
	Columns []string       `json:"columns" doc:"the names there are"`
	Used    Mapping        `json:"used" doc:"which column was read as what, in which unit"`
	Said    []string       `json:"said" doc:"quantities whose unit stands in the file or was chosen"`
	Rows    int            `json:"rows"`
	Hours   []weather.Hour `json:"-"` // in order; rows inside an hour are put together
	Refused int            `json:"refused" doc:"rows that cannot be used"`
	Why     []Refusal      `json:"why" doc:"the first of them"`
	Gaps    []Gap          `json:"gaps" doc:"hours that are missing between the first and the last"`
	Doubts  []string       `json:"doubts" doc:"what looks wrong: a unit, a running total"`
	Ranges  []Range        `json:"ranges"`
}

// Refusal is a row that cannot be used.
type Refusal struct {
	Row     int    `json:"row" doc:"line of a CSV, record of a JSON, counted from 1"`
	Problem string `json:"problem"`
	Mend    string `json:"mend"`
}

// Gap is a time without hours.
type Gap struct {
	From  time.Time `json:"from"`
	To    time.Time `json:"to"`
	Hours int       `json:"hours"`
}

// Range is from where to where a quantity runs, in the program's unit.
type Range struct {
	What string  `json:"what"`
	Unit string  `json:"unit"`
	Low  float64 `json:"low"`
	High float64 `json:"high"`
	Mean float64 `json:"mean"`
}

const (
	mostWhy   = 20
	mostGaps  = 20
	mostYears = 5
)

// Read reads a file. Zone is that of times which carry none, unless the mapping names
// one. Errors name text, columns.X, units.X, order or zone.
func Read(text string, m Mapping, zone *time.Location) (Reading, error) {
	t, err := tabulate(text)
	if err != nil {
		return Reading{}, err
	}
	r := Reading{Columns: t.names, Rows: len(t.rows), Hours: []weather.Hour{}, Why: []Refusal{}, Gaps: []Gap{}, Doubts: []string{}, Said: []string{}, Ranges: []Range{}}
	r.Used = m.guess(t.names)
	if err := r.Used.check(t.names); err != nil {
		return r, err
	}
	if m.Zone != "" {
		if zone, err = time.LoadLocation(m.Zone); err != nil || m.Zone == "Local" {
			return r, fault.New("zone", fmt.Sprintf("%q is not a time zone", m.Zone), "write it like Europe/London or UTC")
		}
	}
	cols := t.columns(r.Used)
	if r.Used.Order, err = order(r.Used.Order, cols[At]); err != nil {
		return r, err
	}
	for _, q := range Quantities {
		if r.Used.Units[q] != "" && r.Used.Columns[q] != "" {
			r.Said = append(r.Said, q)
		}
	}
	r.units(cols)
	r.put(cols, t.first, zone)
	if len(r.Hours) == 0 {
		l := fault.List{}
		l.Add("text", fmt.Sprintf("none of its %d rows can be used", r.Rows), "mend the columns, the units or the rows")
		for i, w := range r.Why {
			if i < 3 {
				l.Add(fmt.Sprintf("row %d", w.Row), w.Problem, w.Mend)
			}
		}
		return r, l.Err()
	}
	if first, last := r.Hours[0].At, r.Hours[len(r.Hours)-1].At; last.Sub(first) > mostYears*366*24*time.Hour {
		return r, fault.New("text", fmt.Sprintf("runs from %d to %d", first.Year(), last.Year()), fmt.Sprintf("bring %d years at most, and look whether one date is mistyped", mostYears))
	}
	r.look(cols)
	return r, nil
}

func (t table) columns(m Mapping) map[string][]string {
	out := map[string][]string{}
	for what, name := range m.Columns {
		at := slices.Index(t.names, name)
		col := make([]string, len(t.rows))
		for i, row := range t.rows {
			if at < len(row) {
				col[i] = row[at]
			}
		}
		out[what] = col
	}
	return out
}

// units are guessed from the figures where no name and nobody says them.
func (r *Reading) units(cols map[string][]string) {
	for what, known := range Units {
		if r.Used.Columns[what] == "" || r.Used.Units[what] != "" {
			continue
		}
		u := known[0]
		low, high, _, n := spread(cols[what])
		switch {
		case n == 0:
		case (what == Temp || what == Dew) && low > 150:
			u = "K"
		case (what == Temp || what == Dew) && high > weather.WarmestC:
			u = "°F"
		case what == Humidity && high <= 1:
			u = "share"
		}
		r.Used.Units[what] = u
	}
}

func spread(cells []string) (low, high, mean float64, n int) {
	low, high = math.Inf(1), math.Inf(-1)
	for _, c := range cells {
		if x, err := figure(c); err == nil {
			low, high, mean, n = math.Min(low, x), math.Max(high, x), mean+x, n+1
		}
	}
	if n > 0 {
		mean /= float64(n)
	}
	return low, high, mean, n
}

func figure(c string) (float64, error) {
	if !number(c) {
		return 0, strconv.ErrSyntax
	}
	return strconv.ParseFloat(c, 64)
}

// gathered is what falls into one hour.
type gathered struct {
	n                      int
	temp, damp, wind, rain float64
	gust                   float64
	east, north            float64 // of the wind's side, as steps
}

// put reads the rows into hours.
func (r *Reading) put(cols map[string][]string, firstRow int, zone *time.Location) {
	hours := map[int64]*gathered{}
	seen := map[int64]bool{}
	var last time.Time
	refuse := func(i int, problem, mend string) {
		r.Refused++
		if len(r.Why) < mostWhy {
			r.Why = append(r.Why, Refusal{firstRow + i, problem, mend})
		}
	}
	for i := range r.Rows {
		text := cols[At][i]
		if c := cols[Clock]; c != nil {
			text += " " + clockOf(c[i])
		}
		at, ok := moment(text, r.Used.Order, zone, last)
		if !ok || at.Year() < 1900 || at.Year() > 2200 {
			refuse(i, fmt.Sprintf("%q is no time", humanise.Short(text, 40)), "write it like 2026-11-28 14:00")
			continue
		}
		if seen[at.Unix()] {
			refuse(i, "the moment "+at.In(zone).Format("2006-01-02 15:04")+" is there twice", "leave one of the two out")
			continue
		}
		x, problem, mend := r.row(cols, i)
		if problem != "" {
			refuse(i, problem, mend)
			continue
		}
		seen[at.Unix()], last = true, at
		key := at.Unix() - at.Unix()%3600
		g := hours[key]
		if g == nil {
			g = &gathered{}
			hours[key] = g
		}
		g.n++
		g.temp, g.damp, g.wind, g.rain = g.temp+x.TempC, g.damp+x.Humidity, g.wind+x.WindMs, g.rain+x.RainMm
		g.gust = math.Max(g.gust, x.GustMs)
		if x.WindFrom > 0 {
			g.east, g.north = g.east+math.Sin(x.WindFrom*math.Pi/180), g.north+math.Cos(x.WindFrom*math.Pi/180)
		}
	}
	for key, g := range hours {
		n := float64(g.n)
		r.Hours = append(r.Hours, weather.Hour{At: time.Unix(key, 0).UTC(), TempC: tenth(g.temp / n), Humidity: math.Round(g.damp / n), WindMs: tenth(g.wind / n), GustMs: tenth(g.gust), RainMm: hundredth(g.rain), WindFrom: side(g.east, g.north)})
	}
	slices.SortFunc(r.Hours, func(a, b weather.Hour) int { return a.At.Compare(b.At) })
	for i := 1; i < len(r.Hours); i++ {
		from, to := r.Hours[i-1].At.Add(time.Hour), r.Hours[i].At
		if from.Before(to) && len(r.Gaps) < mostGaps {
			r.Gaps = append(r.Gaps, Gap{from, to, int(to.Sub(from).Hours())})
		}
	}
}

// row reads the figures of one row.
func (r *Reading) row(cols map[string][]string, i int) (h weather.Hour, problem, mend string) {
	get := func(what string, low, high float64) float64 {
		if problem != "" || cols[what] == nil {
			return math.NaN()
		}
		c := cols[what][i]
		x, err := figure(c)
		if err != nil {
			problem, mend = fmt.Sprintf("%s is %q", called[what], humanise.Short(c, 40)), "write a figure, or leave the row out"
			return 0
		}
		unit := r.Used.Units[what]
		v := convert(unit, x)
		if !(v >= low && v <= high) {
			problem = fmt.Sprintf("%s of %g %s cannot be", strings.TrimPrefix(called[what], "the "), x, unit)
			mend = "look at the unit of the column " + r.Used.Columns[what]
		}
		return v
	}
	h.TempC = get(Temp, weather.ColdestC, weather.WarmestC)
	if cols[Humidity] != nil {
		h.Humidity = math.Max(1, get(Humidity, 0, 100.5))
		h.Humidity = math.Min(100, h.Humidity)
	} else if dew := get(Dew, -90, 40); problem == "" {
		if dew > h.TempC+1 {
			return h, fmt.Sprintf("a dew point of %.1f °C lies above the air's %.1f", dew, h.TempC), "look whether the two columns are exchanged"
		}
		h.Humidity = math.Max(1, math.Min(100, 100*sprayday.Saturation(dew)/sprayday.Saturation(h.TempC)))
	}
	h.WindMs = get(Wind, 0, weather.WindiestM)
	h.RainMm = get(Rain, 0, weather.WettestMm)
	if cols[Gust] != nil && cols[Gust][i] != "" {
		h.GustMs = get(Gust, 0, 1.5*weather.WindiestM)
	}
	if cols[Side] != nil && problem == "" {
		h.WindFrom = compass(cols[Side][i]) // without it an hour is judged as well
	}
	return h, problem, mend
}

// side is the direction of steps, 1 to 360 degrees; 0 where they cancel or there are none.
func side(east, north float64) float64 {
	if math.Hypot(east, north) < 1e-6 {
		return 0
	}
	d := math.Round(math.Mod(math.Atan2(east, north)*180/math.Pi+360, 360))
	if d == 0 {
		return 360
	}
	return d
}

var points = []string{"N", "NNE", "NE", "ENE", "E", "ESE", "SE", "SSE", "S", "SSW", "SW", "WSW", "W", "WNW", "NW", "NNW"}

// compass reads degrees or a point of the compass; 0 for what is neither.
func compass(c string) float64 {
	if at := slices.Index(points, strings.ToUpper(strings.TrimSpace(c))); at >= 0 {
		return side(math.Sin(float64(at)*math.Pi/8), math.Cos(float64(at)*math.Pi/8))
	}
	x, err := figure(c)
	if err != nil || x < 0 || x > 360 {
		return 0
	}
	return side(math.Sin(x*math.Pi/180), math.Cos(x*math.Pi/180))
}

// look says what looks wrong although it can be.
func (r *Reading) look(cols map[string][]string) {
	doubt := func(s string, a ...any) { r.Doubts = append(r.Doubts, fmt.Sprintf(s, a...)) }
	of := func(what, unit string, f func(weather.Hour) float64) Range {
		x := Range{What: what, Unit: unit, Low: math.Inf(1), High: math.Inf(-1)}
		for _, h := range r.Hours {
			v := f(h)
			x.Low, x.High, x.Mean = math.Min(x.Low, v), math.Max(x.High, v), x.Mean+v/float64(len(r.Hours))
		}
		x.Mean = hundredth(x.Mean)
		r.Ranges = append(r.Ranges, x)
		return x
	}
	temp := of(Temp, "°C", func(h weather.Hour) float64 { return h.TempC })
	damp := of(Humidity, "%", func(h weather.Hour) float64 { return h.Humidity })
	wind := of(Wind, "m/s", func(h weather.Hour) float64 { return h.WindMs })
	of(Rain, "mm", func(h weather.Hour) float64 { return h.RainMm })
	said := func(what string) bool { return slices.Contains(r.Said, what) }
	if u := r.Used.Units[Temp]; !said(Temp) && u != "°C" {
		doubt("No unit of the temperature is written; by its figures it was read as %s.", u)
	}
	if u := r.Used.Units[Temp]; u == "°C" && temp.Mean > 38 {
		doubt("A mean of %.0f °C is hotter than anywhere: is it °F?", temp.Mean)
	}
	if u := r.Used.Units[Humidity]; cols[Humidity] != nil && u == "%" && damp.High <= 2 {
		doubt("The humidity never rises above %.1f in 100: is it a share?", damp.High)
	}
	if u := r.Used.Units[Wind]; u == "m/s" && wind.Mean > 11 {
		doubt("A mean wind of %.0f m/s would be a storm all the time: is it km/h?", wind.Mean)
	}
	if r.Used.Units[Rain] == "mm" && !said(Rain) && inches(cols[Rain]) {
		doubt("Rain comes in hundredths and never reaches 2: is it inches?")
	}
	if total(cols[Rain]) {
		doubt("The rain only ever grows: it looks like a running total, and the rain of each hour is asked for.")
	}
	if n := r.Refused; n > r.Rows/10 {
		doubt("%d of %d rows cannot be used.", n, r.Rows)
	}
}

// inches reports whether wet rows look like inches: hundredths, and all of them small.
func inches(cells []string) bool {
	wet, fine := 0, 0
	for _, c := range cells {
		x, err := figure(c)
		if err != nil || x == 0 {
			continue
		}
		if x >= 2 {
			return false
		}
		wet++
		if math.Abs(x*10-math.Round(x*10)) > 1e-6 {
			fine++
		}
	}
	return wet >= 3 && fine*2 > wet
}

// total reports whether figures never fall and rise far: a gauge that is not emptied.
func total(cells []string) bool {
	last, rises := 0., 0
	for i, c := range cells {
		x, err := figure(c)
		if err != nil {
			continue
		}
		if i > 0 && x < last {
			return false
		}
		if x > last {
			rises++
		}
		last = x
	}
	return len(cells) >= 24 && rises >= 4 && last > 5
}

func tenth(x float64) float64     { return math.Round(x*10) / 10 }
func hundredth(x float64) float64 { return math.Round(x*100) / 100 }
