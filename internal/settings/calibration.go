package settings

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"time"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/microscopy"
	"botanik/internal/accounts"
)

// Calibration is what an eyepiece division, or a pixel of a camera, is long under
// one objective of one microscope, as one person read it.
type Calibration struct {
	Microscope string               `json:"microscope" minLength:"1" maxLength:"60"`
	Objective  string               `json:"objective" minLength:"1" maxLength:"20" doc:"as it is marked, like 40x"`
	Unit       string               `json:"unit" enum:"division,pixel" doc:"what was counted"`
	Readings   []microscopy.Reading `json:"readings" maxItems:"50"`
	Factor     microscopy.Factor    `json:"factor"`
	At         time.Time            `json:"at"`
	Changed    bool                 `json:"changed,omitempty" doc:"an objective, the eyepiece or the camera was changed since"`
	Old        string               `json:"old,omitempty" doc:"said when it should be done anew"`
}

// NewCalibration is one to be kept, in the place of the one of the same microscope,
// objective and unit.
type NewCalibration struct {
	Microscope string               `json:"microscope" maxLength:"60"`
	Objective  string               `json:"objective" maxLength:"20"`
	Unit       string               `json:"unit,omitempty" enum:"division,pixel," doc:"division when left out"`
	Readings   []microscopy.Reading `json:"readings" maxItems:"50" doc:"none drops the calibration"`
	Changed    bool                 `json:"changed,omitempty" doc:"without readings: it stays, and says that it no longer holds, until it is calibrated anew"`
}

const (
	keyScope = "scope."
	mostKept = 40 // calibrations of one person
)

// Calibrations of one person with their version, by microscope and objective.
func (s *Service) Calibrations(ctx context.Context, person string) ([]Calibration, int, error) {
	out, v, err := read(ctx, s, keyScope+person, []Calibration{})
	for i := range out {
		out[i].Old = microscopy.Stale(int(s.now().Sub(out[i].At).Hours()/24), out[i].Changed)
	}
	return out, v, err
}

func factorOf(unit string, list []microscopy.Reading) (microscopy.Factor, error) {
	if unit == "pixel" {
		return microscopy.CalibrateClicks(list)
	}
	return microscopy.Calibrate(list)
}

// Calibrate keeps a calibration for the person who read it, drops one, or says of one
// that the microscope was changed since. Errors name microscope, objective, readings
// or changed.
func (s *Service) Calibrate(ctx context.Context, who accounts.Person, in NewCalibration, from int) error {
	var l fault.List
	c := Calibration{Microscope: humanise.Line(in.Microscope), Objective: humanise.Line(in.Objective), Unit: in.Unit, Readings: in.Readings, At: s.now()}
	if c.Microscope == "" {
		l.Add("microscope", "is empty", "name it, like bench stereo; a factor holds for one microscope only")
	}
	if c.Objective == "" {
		l.Add("objective", "is empty", "give what is marked on it, like 40x; each has a factor of its own")
	}
	if c.Unit == "" {
		c.Unit = "division"
	}
	var err error
	if len(in.Readings) > 0 {
		c.Factor, err = factorOf(c.Unit, in.Readings)
		l.AddErr("", err)
	}
	if err := l.Err(); err != nil {
		return err
	}
	kept, _, err := s.Calibrations(ctx, who.ID)
	if err != nil {
		return err
	}
	same := func(x Calibration) bool {
		return x.Microscope == c.Microscope && x.Objective == c.Objective && x.Unit == c.Unit
	}
	if in.Changed {
		i := slices.IndexFunc(kept, same)
		if i < 0 || len(in.Readings) > 0 {
			return fault.New("changed", "is said of a calibration that is kept, without readings", "name its microscope, objective and unit; new readings take its place and need no such word")
		}
		kept[i].Changed = true
		return s.put(ctx, who, keyScope+who.ID, kept, from)
	}
	kept = slices.DeleteFunc(kept, same)
	if len(in.Readings) > 0 {
		if err := likeAnother(kept, c); err != nil {
			return err
		}
		kept = append(kept, c)
	}
	if len(kept) > mostKept {
		return fault.New("microscope", fmt.Sprintf("%d calibrations are kept already", mostKept), "drop one that is not used any more")
	}
	slices.SortFunc(kept, func(a, b Calibration) int {
		if a.Microscope != b.Microscope {
			return cmp.Compare(a.Microscope, b.Microscope)
		}
		return cmp.Compare(a.Objective, b.Objective)
	})
	return s.put(ctx, who, keyScope+who.ID, kept, from)
}

// likeAnother refuses a factor that is another objective's: under forty times a division is
// less than half of what it is under ten. Two factors have to lie nearer to what the powers
// marked on the objectives say than to each other; the tubes of one microscope differ less.
func likeAnother(kept []Calibration, c Calibration) error {
	power, ok := microscopy.Power(c.Objective)
	if !ok || c.Factor.PerDivision <= 0 {
		return nil
	}
	for _, k := range kept {
		other, ok := microscopy.Power(k.Objective)
		if !ok || k.Microscope != c.Microscope || k.Unit != c.Unit || k.Changed || k.Factor.PerDivision <= 0 {
			continue
		}
		if !microscopy.Apart(other, k.Factor.PerDivision, power, c.Factor.PerDivision) {
			return fault.New("readings", fmt.Sprintf("say %.3g µm a %s under %s, and %.3g are kept for %s: these two cannot be the same", c.Factor.PerDivision, c.Unit, c.Objective, k.Factor.PerDivision, k.Objective), "look which objective is in the light, and read it anew; or drop the one of "+k.Objective)
		}
	}
	return nil
}
