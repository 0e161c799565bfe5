package sprayday

import (
	"math"
	"time"

	"botanik/core/civil"
)

const (
	sunEdge  = -.833 // height of the sun's centre at rise and set: refraction and its half width, degrees
	twilight = -6.   // at civil dawn and dusk
)

func rad(d float64) float64 { return d * math.Pi / 180 }
func deg(r float64) float64 { return r * 180 / math.Pi }

// equation gives the sun's declination in degrees and the equation of time in minutes
// at a moment (NOAA).
func equation(at time.Time) (declination, minutes float64) {
	jd := float64(at.Unix())/86400 + 2440587.5
	t := (jd - 2451545) / 36525
	l0 := math.Mod(280.46646+t*(36000.76983+t*.0003032), 360)
	m := 357.52911 + t*(35999.05029-.0001537*t)
	e := .016708634 - t*(.000042037+.0000001267*t)
	c := math.Sin(rad(m))*(1.914602-t*(.004817+.000014*t)) + math.Sin(rad(2*m))*(.019993-.000101*t) + math.Sin(rad(3*m))*.000289
	lambda := l0 + c - .00569 - .00478*math.Sin(rad(125.04-1934.136*t))
	eps := 23 + (26+(21.448-t*(46.815+t*(.00059-t*.001813)))/60)/60 + .00256*math.Cos(rad(125.04-1934.136*t))
	declination = deg(math.Asin(math.Sin(rad(eps)) * math.Sin(rad(lambda))))
	y := math.Tan(rad(eps/2)) * math.Tan(rad(eps/2))
	eq := y*math.Sin(2*rad(l0)) - 2*e*math.Sin(rad(m)) + 4*e*y*math.Sin(rad(m))*math.Cos(2*rad(l0)) - .5*y*y*math.Sin(4*rad(l0)) - 1.25*e*e*math.Sin(2*rad(m))
	return declination, 4 * deg(eq)
}

// Height of the sun above the horizon in degrees, -90 to 90, without refraction, at a
// moment and a place in degrees (south and west below zero).
func Height(at time.Time, lat, lon float64) float64 {
	dec, eq := equation(at)
	u := at.UTC()
	minutes := float64(u.Hour()*60+u.Minute()) + float64(u.Second())/60 + eq + 4*lon
	hour := rad(minutes/4 - 180)
	return deg(math.Asin(math.Sin(rad(lat))*math.Sin(rad(dec)) + math.Cos(rad(lat))*math.Cos(rad(dec))*math.Cos(hour)))
}

// Light of a calendar day. Where the sun does not cross a height the moments are zero.
type Light struct {
	Dawn  time.Time `json:"dawn" doc:"civil dawn"`
	Rise  time.Time `json:"rise"`
	Set   time.Time `json:"set"`
	Dusk  time.Time `json:"dusk" doc:"civil dusk"`
	Polar string    `json:"polar,omitempty" enum:"day,night," doc:"the sun does not set, or does not rise"`
}

// LightOf is when it is light on a calendar day of a zone at a place. Sydney's dusk may
// lie on the day before in UTC: moments are those of the zone's own day.
func LightOf(day civil.Day, lat, lon float64, zone *time.Location) Light {
	noon := day.Midnight(zone).Add(12 * time.Hour)
	// Solar noon nearest the zone's noon.
	_, eq := equation(noon)
	base := time.Date(noon.UTC().Year(), noon.UTC().Month(), noon.UTC().Day(), 0, 0, 0, 0, time.UTC)
	mid := base.Add(time.Duration((720 - 4*lon - eq) * float64(time.Minute)))
	for mid.Sub(noon) > 12*time.Hour {
		mid = mid.Add(-24 * time.Hour)
	}
	for noon.Sub(mid) > 12*time.Hour {
		mid = mid.Add(24 * time.Hour)
	}
	var out Light
	cross := func(height float64, side float64) (time.Time, bool) {
		at := mid
		for range 4 { // the declination changes a little on the way
			dec, eq := equation(at)
			x := (math.Sin(rad(height)) - math.Sin(rad(lat))*math.Sin(rad(dec))) / (math.Cos(rad(lat)) * math.Cos(rad(dec)))
			if x < -1 || x > 1 || math.IsNaN(x) {
				return time.Time{}, false
			}
			b := time.Date(mid.Year(), mid.Month(), mid.Day(), 0, 0, 0, 0, time.UTC)
			at = b.Add(time.Duration((720 - 4*lon - eq + side*4*deg(math.Acos(x))) * float64(time.Minute)))
			for at.Sub(mid) > 14*time.Hour {
				at = at.Add(-24 * time.Hour)
			}
			for mid.Sub(at) > 14*time.Hour {
				at = at.Add(24 * time.Hour)
			}
		}
		return at.In(zone).Round(time.Second), true
	}
	var up bool
	if out.Rise, up = cross(sunEdge, -1); up {
		out.Set, _ = cross(sunEdge, 1)
	} else if Height(mid, lat, lon) > sunEdge {
		out.Polar = "day"
	} else {
		out.Polar = "night"
	}
	out.Dawn, _ = cross(twilight, -1)
	out.Dusk, _ = cross(twilight, 1)
	return out
}
