package microscopy

import (
	"fmt"
	"math"
	"strconv"
	"strings"

	"botanik/core/fault"

	"gonum.org/v1/gonum/stat"
	"gonum.org/v1/gonum/stat/distuv"
)

// Each end of a length is read to half a division: uniform, so sd = 0.5/√3.
var endSD = .5 / math.Sqrt(3)

// readSD is the standard deviation of a length read at both ends, in divisions.
var readSD = endSD * math.Sqrt2

const (
	leastRead    = .01 // divisions or µm; less is a slip, and its factor no number
	maxReadings  = 50
	maxDivisions = 10_000
	oldDays      = 365 // after which a calibration is done anew (judgement)
	apart        = .03 // spread of repeats, as a share, beyond which they disagree (judgement)
)

// Reading is so many eyepiece divisions laid over so many µm of a stage micrometer.
type Reading struct {
	Divisions   float64 `json:"divisions" doc:"eyepiece divisions that were laid over it; above 0"`
	Micrometres float64 `json:"micrometres" doc:"of the stage micrometer, above 0"`
}

// Factor is what one eyepiece division is long under an objective.
type Factor struct {
	PerDivision float64  `json:"perDivision" doc:"µm"`
	SD          float64  `json:"sd" doc:"µm, of the factor"`
	Low         float64  `json:"low" doc:"µm; 95 of 100 such intervals hold the true one"`
	High        float64  `json:"high"`
	Spread      float64  `json:"spread" doc:"of the repeats, as a share of the factor"`
	Warnings    []string `json:"warnings"`
}

// Calibrate works a factor out from one reading or several repeats. Errors name
// readings[i].divisions or .micrometres. One long reading is better than several short
// ones: each end is only known to half a division.
func Calibrate(list []Reading) (Factor, error) { return calibrate(list, readSD) }

// CalibrateClicks is Calibrate for pixels of a camera, each end set by a click.
func CalibrateClicks(list []Reading) (Factor, error) { return calibrate(list, clickSD) }

func calibrate(list []Reading, readSD float64) (Factor, error) {
	var l fault.List
	if len(list) == 0 || len(list) > maxReadings {
		l.Add("readings", fmt.Sprintf("%d readings cannot be", len(list)), fmt.Sprintf("lay the eyepiece scale over the stage micrometer and read 1 to %d times", maxReadings))
	}
	for i, r := range list {
		if !(r.Divisions >= leastRead && r.Divisions <= maxDivisions) {
			l.Add(fmt.Sprintf("readings[%d].divisions", i), fmt.Sprintf("%g divisions cannot be", r.Divisions), "give how many divisions were laid over it, to half a division")
		}
		if !(r.Micrometres >= leastRead && r.Micrometres <= 1e6) {
			l.Add(fmt.Sprintf("readings[%d].micrometres", i), fmt.Sprintf("%g µm cannot be", r.Micrometres), "give the length of the stage micrometer it covered, above 0; 1 mm is 1000 µm")
		}
	}
	if err := l.Err(); err != nil {
		return Factor{}, err
	}
	per, rel := []float64{}, []float64{}
	for _, r := range list {
		per, rel = append(per, r.Micrometres/r.Divisions), append(rel, readSD/r.Divisions)
	}
	m := mean(per)
	out := Factor{PerDivision: m, Warnings: []string{}}
	// The error of each reading by what can be read, or by their spread where that is larger.
	read := 0.0
	for i := range per {
		read += (per[i] * rel[i]) * (per[i] * rel[i])
	}
	read = math.Sqrt(read) / float64(len(per))
	sd, t := read, 1.96
	if n := len(per); n > 1 {
		spread := stat.StdDev(per, nil)
		out.Spread = spread / m
		if s := spread / math.Sqrt(float64(n)); s > read {
			sd, t = s, distuv.StudentsT{Mu: 0, Sigma: 1, Nu: float64(n - 1)}.Quantile(.975)
		}
		if out.Spread > apart {
			out.Warnings = append(out.Warnings, fmt.Sprintf("The repeats lie %.0f in 100 apart: was the objective changed, or the drawtube moved?", 100*out.Spread))
		}
	}
	out.SD, out.Low, out.High = sd, m-t*sd, m+t*sd
	for _, r := range list {
		if r.Divisions < 20 {
			out.Warnings = append(out.Warnings, "Fewer than 20 divisions were laid over: use more of the scale, the ends are only known to half a division.")
			break
		}
	}
	return out, nil
}

// Stale says why a calibration should be done anew, empty while it holds: days since it
// was made, and whether anything of the microscope was changed since.
func Stale(days int, changed bool) string {
	switch {
	case changed:
		return "An objective, eyepiece or camera was changed since: calibrate anew."
	case days > oldDays:
		return fmt.Sprintf("It was calibrated %d days ago: lay the stage micrometer under once more.", days)
	}
	return ""
}

func mean(x []float64) float64 { return stat.Mean(x, nil) }

// Power reads the power marked on an objective: 40 from "40x", "40 x/0.65" or "Plan 40".
// False when no number from 0.5 to 250 stands in it.
func Power(marked string) (float64, bool) {
	for _, w := range strings.FieldsFunc(marked, func(r rune) bool { return r == ' ' || r == '/' || r == 'x' || r == 'X' || r == '×' }) {
		if p, err := strconv.ParseFloat(strings.ReplaceAll(w, ",", "."), 64); err == nil && p >= .5 && p <= 250 {
			return p, true
		}
	}
	return 0, false
}

// Apart reports whether two factors, µm a division, lie nearer to what the powers of their
// objectives say than to each other: a division is longer by as much as the power is less.
// Powers that differ by less than a quarter are not told apart so, and pass.
func Apart(powerA, factorA, powerB, factorB float64) bool {
	should := math.Log(powerB / powerA) // factorA / factorB
	is := math.Log(factorA / factorB)
	return math.Abs(should) < math.Log(1.25) || math.Abs(is-should) < math.Abs(is)
}
