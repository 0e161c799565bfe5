package season

import (
	"fmt"
	"math"
)

// The district is a grid of nine by nine squares, A1 in the north-west, with the desk in
// the middle one.
const (
	GridSide = 9
	middle   = GridSide / 2
)

// OnGrid says whether a name like C4 is a square of the district.
func OnGrid(square string) bool {
	return len(square) == 2 && square[0] >= 'A' && square[0] < 'A'+GridSide && square[1] >= '1' && square[1] < '1'+GridSide
}

// kmPerDegree of latitude, on a sphere of 6371 km.
const kmPerDegree = 6371 * math.Pi / 180

// SquareAt is the middle of a square of a grid whose squares are sideKm wide, in degrees,
// and how far its corners lie from it, in metres. The desk lies in the middle of E5. An
// error names square.
func SquareAt(square string, lat, lon, sideKm float64) (atLat, atLon, withinM float64, err error) {
	if !OnGrid(square) {
		return 0, 0, 0, fmt.Errorf("square: %q is none of the district; use A1 to I9", square)
	}
	east, south := float64(int(square[0]-'A')-middle), float64(int(square[1]-'1')-middle)
	atLat = lat - south*sideKm/kmPerDegree
	atLon = lon + east*sideKm/(kmPerDegree*math.Max(.01, math.Cos(lat*math.Pi/180)))
	return atLat, atLon, sideKm * 1000 / math.Sqrt2, nil
}
