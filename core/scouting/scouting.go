package scouting

import (
	"fmt"
	"math"

	"botanik/core/fault"

	"gonum.org/v1/gonum/stat"
	"gonum.org/v1/gonum/stat/distuv"
)

// Summary of pests counted on several leaves (or shoots, flowers).
type Summary struct {
	N        int     `json:"n"`
	Total    int     `json:"total"`
	Mean     float64 `json:"mean"`     // pests per unit
	Variance float64 `json:"variance"` // sample variance
	Ratio    float64 `json:"varianceToMean"`
	K        float64 `json:"k"` // negative binomial by moments; 0 when not clumped
	Low      float64 `json:"low"`
	High     float64 `json:"high"` // 95 % interval of the mean
	Infested int     `json:"infested"`
	Share    float64 `json:"share"`
	ShareLow float64 `json:"shareLow"`
	ShareTop float64 `json:"shareHigh"` // Wilson 95 %
}

// Summarise counts per unit. Errors: none counted, a count below zero or over
// 100 000.
func Summarise(counts []int) (Summary, error) {
	var l fault.List
	if len(counts) == 0 {
		l.Add("counts", "nothing was counted", "count the undersides of five leaves or more")
	}
	if len(counts) > 1000 {
		l.Add("counts", "more than 1000 units", "count a sample")
	}
	s := Summary{N: len(counts)}
	xs := make([]float64, len(counts))
	roots := make([]float64, len(counts))
	for i, c := range counts {
		if c < 0 || c > 100_000 {
			l.Add(fmt.Sprintf("counts[%d]", i), fmt.Sprintf("%d is not a count", c), "give a whole number from 0")
			continue
		}
		s.Total += c
		if c > 0 {
			s.Infested++
		}
		xs[i], roots[i] = float64(c), math.Sqrt(float64(c))
	}
	if err := l.Err(); err != nil {
		return Summary{}, err
	}
	s.Mean = stat.Mean(xs, nil)
	s.Low, s.High = s.Mean, s.Mean
	if s.N > 1 {
		s.Variance = stat.Variance(xs, nil)
		if s.Mean > 0 {
			s.Ratio = s.Variance / s.Mean
		}
		if s.Variance > s.Mean {
			s.K = s.Mean * s.Mean / (s.Variance - s.Mean)
		}
		m, v := stat.MeanVariance(roots, nil)
		t := distuv.StudentsT{Mu: 0, Sigma: 1, Nu: float64(s.N - 1)}.Quantile(.975)
		half := t * math.Sqrt(v/float64(s.N))
		// Back from roots: the mean of squares is the squared mean plus the variance.
		lo := max(0, m-half)
		s.Low, s.High = lo*lo+v, (m+half)*(m+half)+v
		s.Low = min(s.Low, s.Mean)
		s.High = max(s.High, s.Mean)
	}
	s.Share = float64(s.Infested) / float64(s.N)
	s.ShareLow, s.ShareTop = Wilson(s.Infested, s.N)
	return s, nil
}

// Wilson gives the 95 % interval of a share of k in n.
func Wilson(k, n int) (low, high float64) {
	if n == 0 {
		return 0, 1
	}
	const z = 1.959963984540054
	p, m := float64(k)/float64(n), float64(n)
	mid := (p + z*z/(2*m)) / (1 + z*z/m)
	half := z / (1 + z*z/m) * math.Sqrt(p*(1-p)/m+z*z/(4*m*m))
	return max(0, mid-half), min(1, mid+half)
}

// Threshold is the level that is borne, with where it comes from.
type Threshold struct {
	PerUnit float64 `json:"perUnit,omitempty"`
	Share   float64 `json:"share,omitempty"`
	Unit    string  `json:"unit,omitempty"`
	Source  string  `json:"source"`
}

// Decision of acting or waiting.
type Decision struct {
	Act      string   `json:"act"` // act, wait, or count more
	Pressure string   `json:"pressure"`
	Why      []string `json:"why"`
}

// shareLeaves is how many leaves a share told without a count is taken to be of:
// few, so that the decision stays careful (judgement).
const shareLeaves = 20

// DecideShare holds a share of leaves hit, 0 to 1, against a threshold when no
// leaf was counted.
func DecideShare(share float64, t Threshold, helpers bool) Decision {
	lo, hi := Wilson(int(share*shareLeaves+.5), shareLeaves)
	t.PerUnit = 0
	return Decide(Summary{N: shareLeaves, Share: share, ShareLow: lo, ShareTop: hi}, t, helpers)
}

// Decide holds a summary against a threshold. Helpers present double what is
// borne (judgement); with the interval across the threshold it says "count
// more". Without a threshold nothing is decided for the advisor.
func Decide(s Summary, t Threshold, helpers bool) Decision {
	level, low, high, mean := t.PerUnit, s.Low, s.High, s.Mean
	what := fmt.Sprintf("%.1f a %s", s.Mean, orWord(t.Unit, "leaf"))
	if level == 0 {
		level, low, high, mean = t.Share, s.ShareLow, s.ShareTop, s.Share
		what = fmt.Sprintf("%.0f %% of leaves hit", 100*s.Share)
	}
	if level == 0 {
		return Decision{Act: "judge", Pressure: "moderate", Why: []string{"No threshold is set for this one: judge by the plant and the trend."}}
	}
	d := Decision{Why: []string{}}
	if helpers {
		level *= 2
		d.Why = append(d.Why, "Helpers are at work, so twice as many can be borne (judgement).")
	}
	d.Pressure = "moderate"
	switch {
	case mean < level/2:
		d.Pressure = "light"
	case mean > 3*level:
		d.Pressure = "heavy"
	}
	lev := fmt.Sprintf("%.3g", level)
	if t.PerUnit == 0 {
		lev = fmt.Sprintf("%.0f %%", 100*level)
	}
	switch {
	case low > level:
		d.Act = "act"
		d.Why = append(d.Why, fmt.Sprintf("%s, surely above the %s that is borne (%s).", what, lev, t.Source))
	case high < level:
		d.Act = "wait"
		d.Why = append(d.Why, fmt.Sprintf("%s, surely below the %s that is borne (%s).", what, lev, t.Source))
	case s.N < 10:
		d.Act = "count more"
		d.Why = append(d.Why, fmt.Sprintf("%s lies too near the %s that is borne to tell from %d; count to ten or more (%s).", what, lev, s.N, t.Source))
	case mean >= level:
		d.Act = "act"
		d.Why = append(d.Why, fmt.Sprintf("%s, likely above the %s that is borne (%s).", what, lev, t.Source))
	default:
		d.Act = "wait"
		d.Why = append(d.Why, fmt.Sprintf("%s, likely below the %s that is borne (%s).", what, lev, t.Source))
	}
	return d
}

func orWord(s, or string) string {
	if s == "" {
		return or
	}
	return s
}
