package compute

import (
	"fmt"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/lifecycle"
	"botanik/core/sprayday"
	"botanik/core/weather"
)

type degreeDaysIn struct {
	MinC  float64 `json:"minC" doc:"coldest of the day, °C"`
	MaxC  float64 `json:"maxC" doc:"warmest of the day, °C"`
	Lower float64 `json:"lowerC" doc:"lower threshold, °C"`
	Upper float64 `json:"upperC,omitempty" doc:"upper threshold, °C; none when left out"`
}

type degreeDaysOut struct {
	DegreeDays float64 `json:"degreeDays" doc:"single sine, horizontal cut-off"`
}

type sunIn struct {
	Day  string  `json:"day" doc:"YYYY-MM-DD"`
	Lat  float64 `json:"lat" doc:"degrees, south below zero"`
	Lon  float64 `json:"lon" doc:"degrees, west below zero"`
	Zone string  `json:"zone" doc:"like Europe/London"`
}

type airIn struct {
	TempC    float64 `json:"tempC"`
	Humidity float64 `json:"humidity" doc:"relative, per cent"`
}

type dewOut struct {
	DewPointC float64 `json:"dewPointC" doc:"Magnus, 17.625 and 243.04"`
}

type deficitOut struct {
	KPa float64 `json:"kPa"`
}

type hoursIn struct {
	Hours []weather.Hour `json:"hours" doc:"an hour apart, in order"`
}

type wetOut struct {
	Wet    []bool           `json:"wet"`
	Spells []sprayday.Spell `json:"spells"`
}

type infectionIn struct {
	hoursIn
	Disease string `json:"disease" doc:"id of an infection table of the herbarium"`
}

type solveDaysIn struct {
	LifeTable string             `json:"lifeTable"`
	TempC     float64            `json:"tempC"`
	Days      int                `json:"days" doc:"looked ahead, 1 to 400"`
	Count     int                `json:"count" doc:"treatments, 1 to 6"`
	GapMin    int                `json:"gapMinDays" doc:"the label's shortest gap"`
	GapMax    int                `json:"gapMaxDays,omitempty" doc:"longest gap still of use; 0 for none"`
	Earliest  int                `json:"earliest,omitempty" doc:"first day that may be"`
	Shut      []int              `json:"shut,omitempty" doc:"days on which nothing may be put on"`
	Kills     map[string]float64 `json:"kills"`
	Reaches   float64            `json:"reaches,omitempty" doc:"share of the plant that is hit; a home sprayer's when left out"`
	HalfLife  float64            `json:"halfLifeDays,omitempty"`
	Rhythms   [][]int            `json:"rhythms,omitempty" doc:"days others would take; the answer is never worse than one that keeps the limits"`
}

type sprayHoursIn struct {
	hoursIn
	Needs sprayday.Needs `json:"needs"`
	Lat   float64        `json:"lat"`
	Lon   float64        `json:"lon"`
}

type simulateIn struct {
	LifeTable string             `json:"lifeTable" doc:"id of a life table of the herbarium"`
	TempC     float64            `json:"tempC" doc:"steady, °C"`
	Days      int                `json:"days" doc:"to look ahead, 1 to 400"`
	On        []float64          `json:"on,omitempty" doc:"days of treatments, from the start"`
	Kills     map[string]float64 `json:"kills,omitempty" doc:"stage → share killed where it is hit"`
	Reaches   float64            `json:"reaches,omitempty" doc:"share of the plant that is hit; 0.75 when left out"`
}

// checkHours refuses hours that no sky has.
func checkHours(list []weather.Hour) error {
	var l fault.List
	if len(list) == 0 || len(list) > 2000 {
		l.Add("hours", fmt.Sprintf("%d hours", len(list)), "give 1 to 2000, an hour apart")
	}
	for i, h := range list {
		at := fmt.Sprintf("hours[%d]", i)
		l.AddErr(at, sprayday.CheckAir(h.TempC, h.Humidity))
		if h.WindMs < 0 || h.WindMs > 100 || h.RainMm < 0 || h.RainMm > 300 {
			l.Add(at, "has wind or rain that cannot be", "give m/s from 0 to 100 and mm from 0 to 300")
		}
		if i > 0 && h.At.Sub(list[i-1].At) != time.Hour {
			l.Add(at, "is not an hour after the one before", "give every hour, in order; leave none out")
		}
	}
	return l.Err()
}

func init() {
	sample := `[{"at":"2026-07-10T18:00:00Z","tempC":18,"humidity":60,"windMs":2,"rainMm":0},{"at":"2026-07-10T19:00:00Z","tempC":17,"humidity":65,"windMs":2,"rainMm":0},{"at":"2026-07-10T20:00:00Z","tempC":15,"humidity":95,"windMs":1,"rainMm":0}]`
	add("degree-days", "degree-days of one day, single sine with a horizontal cut-off", `{"minC":5,"maxC":25,"lowerC":10,"upperC":35}`, func(_ *knowledge.Base, in degreeDaysIn) (degreeDaysOut, error) {
		upper := in.Upper
		if upper == 0 {
			upper = 1000
		}
		d, err := lifecycle.DegreeDays(in.MinC, in.MaxC, in.Lower, upper)
		return degreeDaysOut{d}, err
	})
	add("sun", "sunrise, sunset and civil twilight of a day at a place", `{"day":"2026-06-21","lat":51.5,"lon":-0.13,"zone":"Europe/London"}`, func(_ *knowledge.Base, in sunIn) (sprayday.Light, error) {
		d, err := day("day", in.Day)
		if err != nil {
			return sprayday.Light{}, err
		}
		zone, err := time.LoadLocation(in.Zone)
		if err != nil || in.Zone == "" {
			return sprayday.Light{}, fault.New("zone", fmt.Sprintf("%q is not a time zone", in.Zone), "write it like Europe/London")
		}
		if !(in.Lat >= -90 && in.Lat <= 90 && in.Lon >= -180 && in.Lon <= 180) {
			return sprayday.Light{}, fault.New("lat", "is no place on earth", "give degrees, -90 to 90, and lon -180 to 180")
		}
		return sprayday.LightOf(d, in.Lat, in.Lon, zone), nil
	})
	add("dew-point", "dew point of air", `{"tempC":20,"humidity":50}`, func(_ *knowledge.Base, in airIn) (dewOut, error) {
		if err := sprayday.CheckAir(in.TempC, in.Humidity); err != nil {
			return dewOut{}, err
		}
		return dewOut{sprayday.DewPoint(in.TempC, in.Humidity)}, nil
	})
	add("vapour-deficit", "how much more water air would take", `{"tempC":25,"humidity":50}`, func(_ *knowledge.Base, in airIn) (deficitOut, error) {
		if err := sprayday.CheckAir(in.TempC, in.Humidity); err != nil {
			return deficitOut{}, err
		}
		return deficitOut{sprayday.Deficit(in.TempC, in.Humidity)}, nil
	})
	add("leaf-wetness", "hours in which leaves are wet, and spells of them", `{"hours":`+sample+`}`, func(_ *knowledge.Base, in hoursIn) (wetOut, error) {
		if err := checkHours(in.Hours); err != nil {
			return wetOut{}, err
		}
		return wetOut{sprayday.Wet(in.Hours), sprayday.Spells(in.Hours, 0)}, nil
	})
	add("infection", "wet spells long and warm enough for a disease", `{"disease":"late-blight","hours":`+sample+`}`, func(b *knowledge.Base, in infectionIn) ([]sprayday.Event, error) {
		if err := checkHours(in.Hours); err != nil {
			return nil, err
		}
		ids := ""
		for _, x := range b.Infections {
			if x.ID == in.Disease {
				return x.Events(in.Hours), nil
			}
			ids += " " + x.ID
		}
		return nil, fault.New("disease", fmt.Sprintf("%q has no infection table", in.Disease), "use one of:"+ids)
	})
	add("spray-hours", "each hour good, poor or no for a treatment, with every reason", `{"lat":51.5,"lon":-0.13,"needs":{"tempMaxC":29,"noSun":true},"hours":`+sample+`}`, func(_ *knowledge.Base, in sprayHoursIn) ([]sprayday.Judged, error) {
		if err := checkHours(in.Hours); err != nil {
			return nil, err
		}
		return sprayday.JudgeHours(in.Hours, in.Needs, in.Lat, in.Lon), nil
	})
	add("solve-days", "days of so many treatments that leave the fewest pest-days, inside the label's gaps", `{"lifeTable":"two-spotted-mite","tempC":22,"days":28,"count":3,"gapMinDays":4,"gapMaxDays":10,"shut":[8],"kills":{"young":0.9,"adult":0.8}}`, func(b *knowledge.Base, in solveDaysIn) (lifecycle.Solved, error) {
		lt, err := table(b, in.LifeTable)
		if err != nil {
			return lifecycle.Solved{}, err
		}
		reach := in.Reaches
		if reach == 0 {
			reach = lifecycle.HomeReach
		}
		return lifecycle.Solve(lifecycle.SolveRequest{Colony: lifecycle.Colony{Table: lt, Temps: []float64{in.TempC}, Days: in.Days}, Treatment: lifecycle.Application{Kills: in.Kills, Reaches: reach, HalfLife: in.HalfLife}, Count: in.Count, GapMin: in.GapMin, GapMax: in.GapMax, Earliest: in.Earliest, Shut: in.Shut, Rhythms: in.Rhythms})
	})
	add("simulate", "a colony through its treatments at a steady temperature, numbers as a share of today's", `{"lifeTable":"two-spotted-mite","tempC":22,"days":28,"on":[0,6,12],"kills":{"young":0.9,"adult":0.8}}`, func(b *knowledge.Base, in simulateIn) (lifecycle.Course, error) {
		lt, err := table(b, in.LifeTable)
		if err != nil {
			return lifecycle.Course{}, err
		}
		reach := in.Reaches
		if reach == 0 {
			reach = lifecycle.HomeReach
		}
		done := []lifecycle.Application{}
		for _, d := range in.On {
			done = append(done, lifecycle.Application{Day: d, Kills: in.Kills, Reaches: reach})
		}
		return lifecycle.Simulate(lifecycle.Colony{Table: lt, Temps: []float64{in.TempC}, Days: in.Days}, done...)
	})
}
