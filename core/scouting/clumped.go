package scouting

import (
	"math"
	"slices"
)

// Pests sit in clumps: counts are taken as negative binomial with a mean m and a
// clumping 1/k that nobody knows. The few leaves of a desk tell little of k, so
// it is weighed by what is usual before the leaves are: published k of mites,
// aphids and scales on leaves lie mostly between 0.3 and 3.
const (
	usualInverseK = 1.4  // middle of 1/k before anything is counted (judgement)
	spreadK       = 1.9  // standard deviation of its logarithm (chosen so that the interval holds, see the test)
	meanSteps     = 140  // of the mean, on a logarithmic scale
	clumpSteps    = 15   // of 1/k
	tail          = .025 // outside the interval on each side
)

// belief is what counts say of the mean: its weights over a grid.
type belief struct {
	mean   [meanSteps]float64
	weight [meanSteps]float64 // sums to 1
}

// believe weighs means and clumpings by the counts: likelihood of the negative
// binomial, Jeffreys' prior on the mean given k, m^-1/2 (1+m/k)^-1/2, and the usual
// clumping. At least one count, each 0 or more.
func believe(counts []int) *belief {
	n, total := float64(len(counts)), 0.0
	for _, c := range counts {
		total += float64(c)
	}
	b := grid(n, total)
	logs := make([]float64, 0, meanSteps*clumpSteps)
	for j := range clumpSteps {
		z := -2.6 + 5.2*float64(j)/(clumpSteps-1)
		k := 1 / (usualInverseK * math.Exp(spreadK*z))
		own := -z * z / 2
		lk, _ := math.Lgamma(k)
		for _, c := range counts {
			lx, _ := math.Lgamma(float64(c) + k)
			own += lx - lk
		}
		for _, m := range b.mean {
			logs = append(logs, own+logOf(m, n, total, k))
		}
	}
	b.weigh(logs)
	return b
}

// believeAt is believe with the clumping taken as known: then only the total tells of
// the mean, and more of it never speaks for less.
func believeAt(counts []int, k float64) *belief {
	n, total := float64(len(counts)), 0.0
	for _, c := range counts {
		total += float64(c)
	}
	b := grid(n, total)
	logs := make([]float64, 0, meanSteps)
	for _, m := range b.mean {
		logs = append(logs, logOf(m, n, total, k))
	}
	b.weigh(logs)
	return b
}

// grid of means from far below to far above what was counted.
func grid(n, total float64) *belief {
	b := &belief{}
	lo := math.Log(max(total, .2)/n) - 6
	hi := math.Log((total+3)/n) + 4
	for i := range b.mean {
		b.mean[i] = math.Exp(lo + (hi-lo)*float64(i)/(meanSteps-1))
	}
	return b
}

// logOf is the log likelihood of a mean by a total of n units at one k, with its prior.
func logOf(m, n, total, k float64) float64 {
	l := n*k*math.Log(k/(k+m)) + total*math.Log(m/(k+m))
	return l - .5*math.Log(m) - .5*math.Log(1+m/k) + math.Log(m) // steps are of the logarithm
}

// weigh makes weights of log weights, clumping after clumping.
func (b *belief) weigh(logs []float64) {
	most := slices.Max(logs)
	sum := 0.0
	for at, l := range logs {
		w := math.Exp(l - most)
		b.weight[at%meanSteps] += w
		sum += w
	}
	for i := range b.weight {
		b.weight[i] /= sum
	}
}

// quantile of the mean: pests a unit below which the share p of belief lies.
func (b *belief) quantile(p float64) float64 {
	at := 0.0
	for i, w := range b.weight {
		if at+w >= p {
			f := (p - at) / w
			if i == 0 {
				return b.mean[0] * f
			}
			return b.mean[i-1] + f*(b.mean[i]-b.mean[i-1])
		}
		at += w
	}
	return b.mean[meanSteps-1]
}

// above is the share of belief in a mean above a level.
func (b *belief) above(level float64) float64 {
	if level <= 0 {
		return 1
	}
	sum := 0.0
	for i, w := range b.weight {
		switch {
		case b.mean[i] > level && (i == 0 || b.mean[i-1] >= level):
			sum += w
		case b.mean[i] > level:
			sum += w * (b.mean[i] - level) / (b.mean[i] - b.mean[i-1])
		}
	}
	return sum
}
