package differential

import (
	"botanik/core/civil"
	"math"
	"slices"

	"botanik/core/knowledge"
)

// Circumstances is everything known before looking: plant, place, month, hemisphere,
// and what this desk has confirmed lately (cause → count, already faded with
// Fade).
type Circumstances struct {
	Host   string             `json:"host,omitempty" doc:"host id; empty for an unknown plant"`
	Group  string             `json:"group,omitempty"`
	Family string             `json:"family,omitempty" doc:"family of an unknown plant, when known"`
	Form   string             `json:"form,omitempty" doc:"form of an unknown plant, when known"`
	Place  string             `json:"place,omitempty" enum:"indoors,greenhouse,balcony,garden,orchard,"`
	Month  int                `json:"month,omitempty" minimum:"0" maximum:"12" doc:"month of the year, 1-12; 0 when unknown"`
	South  bool               `json:"south,omitempty" doc:"southern hemisphere"`
	Desk   map[string]float64 `json:"desk,omitempty" doc:"confirmed cases of this desk per cause, faded over two years"`
}

// Fade is the weight of a confirmed case of an age in days: full today,
// nothing after two years.
func Fade(days float64) float64 { return max(0, 1-max(0, days)/FadeDays) }

// FadeDays is the age at which a confirmed case no longer counts: two years
// (judgement).
const FadeDays = 730

// deskWeight is how many confirmed cases weigh as much as the book (judgement).
const deskWeight = 60

// places and months a cause is seldom met in still happen: factors on the
// prior, all judgement.
const (
	offPlace        = .1
	offSeason       = .12
	offSeasonIndoor = .5 // under a roof the seasons blur
)

// addPriors works the rows of the prior out once: log factors per host, place
// and month.
func (e *Engine) addPriors() {
	row := func(f func(*knowledge.Cause) float64) []float64 {
		out := make([]float64, e.n)
		for i, c := range e.Base.Causes {
			out[i] = math.Log(f(c))
		}
		return out
	}
	e.hostRow, e.listed = map[string][]float64{}, map[string]float64{}
	for _, h := range e.Base.Hosts {
		for _, c := range e.Base.Causes {
			if c.AtHome(h) {
				e.listed[h.ID]++
			}
		}
		e.hostRow[h.ID] = row(func(c *knowledge.Cause) float64 { return c.Affinity(h.ID, h.Group, h.Family, h.Form) })
	}
	e.placeRow = map[string][]float64{}
	e.placeRow[""] = row(func(c *knowledge.Cause) float64 { return e.Base.Local.Likely(c, false) })
	for _, p := range knowledge.Places {
		e.placeRow[p] = row(func(c *knowledge.Cause) float64 {
			f := e.Base.Local.Likely(c, p == "indoors" || p == "greenhouse")
			if len(c.Places) > 0 && !slices.Contains(c.Places, p) {
				f *= offPlace
			}
			return f
		})
	}
	for m := 1; m <= 12; m++ {
		for roof, factor := range []float64{offSeason, offSeasonIndoor} {
			e.monthRow[m][roof] = row(func(c *knowledge.Cause) float64 {
				if len(c.Months) > 0 && !slices.Contains(c.Months, m) {
					return factor
				}
				return 1
			})
		}
	}
}

// Prior fills dst with the log prior of each cause, not normalised.
func (e *Engine) Prior(dst []float64, s Circumstances) {
	clear(dst)
	if row, ok := e.hostRow[s.Host]; ok {
		add(dst, row)
	} else {
		for i, c := range e.Base.Causes {
			dst[i] += math.Log(c.Affinity(s.Host, s.Group, s.Family, s.Form))
		}
	}
	add(dst, e.placeRow[s.Place])
	month := s.Month
	if s.South && month > 0 {
		month = civil.AcrossEquator(month)
	}
	if month > 0 && month <= 12 {
		roof := 0
		if s.Place == "indoors" || s.Place == "greenhouse" {
			roof = 1
		}
		add(dst, e.monthRow[month][roof])
	}
	for i, v := range e.logCom {
		dst[i] = flat * (dst[i] + v)
	}
	e.addDesk(dst, s.Desk)
}

// flat is the one exponent on what is known before looking: commonness and hosts
// are judged in steps of three to eight, and for one corner of the world; taken at
// their word they outvoted what was seen (docs/decisions/0017).
const flat = .6

func add(dst, row []float64) {
	for i, v := range row {
		dst[i] += v
	}
}

// addDesk leans the prior towards what this desk has confirmed lately.
func (e *Engine) addDesk(dst []float64, desk map[string]float64) {
	total := 0.0
	for _, n := range desk {
		total += n
	}
	if total == 0 {
		return
	}
	for i, c := range e.Base.Causes {
		q := c.Common() / e.common
		dst[i] += math.Log(min(5, max(.2, (deskWeight*q+desk[c.ID])/((deskWeight+total)*q))))
	}
}
