package scouting

import (
	"fmt"
	"math"

	"botanik/core/fault"

	"gonum.org/v1/gonum/stat"
	"gonum.org/v1/gonum/stat/distuv"
)

// Summary of pests counted on several units (leaves, shoots, flowers).
type Summary struct {
	N        int     `json:"n"`
	Total    int     `json:"total"`
	Mean     float64 `json:"mean" doc:"pests a unit"`
	Variance float64 `json:"variance" doc:"sample variance, n-1"`
	Ratio    float64 `json:"varianceToMean" doc:"1 when scattered at random, more when clumped"`
	K        float64 `json:"k" doc:"negative binomial by moments, m²/(s²−m); 0 when not clumped"`
	Low      float64 `json:"low" doc:"of the mean; 95 of 100 such intervals hold it on clumped counts"`
	High     float64 `json:"high"`
	Infested int     `json:"infested"`
	Share    float64 `json:"share"`
	ShareLow float64 `json:"shareLow" doc:"95 in 100, Wilson; Clopper-Pearson under ten units"`
	ShareTop float64 `json:"shareHigh"`
}

const (
	mostCount = 100_000 // on one unit
	mostUnits = 1000
	fewUnits  = 10 // under which the exact interval of a share is taken
)

// Summarise counts per unit. Errors name counts or counts[i]: none counted, more than
// 1000 units, a count below zero or over 100 000.
func Summarise(counts []int) (Summary, error) {
	var l fault.List
	if len(counts) == 0 {
		l.Add("counts", "nothing was counted", "count the undersides of five leaves or more")
	}
	if len(counts) > mostUnits {
		l.Add("counts", "more than 1000 units", "count a sample")
	}
	s := Summary{N: len(counts)}
	xs := make([]float64, len(counts))
	for i, c := range counts {
		if c < 0 || c > mostCount {
			l.Add(fmt.Sprintf("counts[%d]", i), fmt.Sprintf("%d is not a count", c), "give a whole number from 0 to 100 000")
			continue
		}
		s.Total += c
		if c > 0 {
			s.Infested++
		}
		xs[i] = float64(c)
	}
	if err := l.Err(); err != nil {
		return Summary{}, err
	}
	s.Mean = stat.Mean(xs, nil)
	if s.N > 1 {
		s.Variance = stat.Variance(xs, nil)
		if s.Mean > 0 {
			s.Ratio = s.Variance / s.Mean
		}
		if s.Variance > s.Mean {
			s.K = s.Mean * s.Mean / (s.Variance - s.Mean)
		}
	}
	b := believe(counts)
	s.Low, s.High = min(s.Mean, b.quantile(tail)), max(s.Mean, b.quantile(1-tail))
	if s.Total == 0 {
		s.Low = 0
	}
	s.Share = float64(s.Infested) / float64(s.N)
	s.ShareLow, s.ShareTop = ShareInterval(s.Infested, s.N)
	return s, nil
}

// ShareInterval is the 95 % interval of a share of k in n: Wilson's, and under ten
// units, where that is too bold near 0 and 1, the exact one.
func ShareInterval(k, n int) (low, high float64) {
	if n < fewUnits {
		return ClopperPearson(k, n)
	}
	return Wilson(k, n)
}

// Wilson gives the 95 % interval of a share of k in n (Wilson 1927).
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

// ClopperPearson gives the exact 95 % interval of a share of k in n (Clopper and
// Pearson 1934): it never holds less than 95 in 100, and mostly more.
func ClopperPearson(k, n int) (low, high float64) {
	if n == 0 {
		return 0, 1
	}
	low, high = 0, 1
	if k > 0 {
		low = distuv.Beta{Alpha: float64(k), Beta: float64(n - k + 1)}.Quantile(tail)
	}
	if k < n {
		high = distuv.Beta{Alpha: float64(k + 1), Beta: float64(n - k)}.Quantile(1 - tail)
	}
	return low, high
}
