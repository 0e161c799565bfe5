package scouting_test

import (
	"testing"

	"botanik/core/scouting"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func TestSummariseWorked(t *testing.T) {
	s, err := scouting.Summarise([]int{0, 2, 4, 6, 8})
	require.NoError(t, err)
	assert.InDelta(t, 4, s.Mean, 1e-9)
	assert.InDelta(t, 10, s.Variance, 1e-9)
	assert.InDelta(t, 16.0/6, s.K, 1e-9)
	assert.InDelta(t, .8, s.Share, 1e-9)
	assert.InDelta(t, .3755, s.ShareLow, 1e-3, "Wilson 4 of 5")
	assert.InDelta(t, .9638, s.ShareTop, 1e-3)
}

func TestSummariseRefuses(t *testing.T) {
	_, err := scouting.Summarise(nil)
	assert.ErrorContains(t, err, "nothing was counted")
	_, err = scouting.Summarise([]int{1, -2})
	assert.ErrorContains(t, err, "counts[1]")
}

func TestIntervalHoldsTheMean(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		s, err := scouting.Summarise(rapid.SliceOfN(rapid.IntRange(0, 200), 1, 30).Draw(t, "counts"))
		require.NoError(t, err)
		assert.LessOrEqual(t, s.Low, s.Mean+1e-9)
		assert.GreaterOrEqual(t, s.High, s.Mean-1e-9)
		assert.LessOrEqual(t, s.ShareLow, s.Share+1e-9)
		assert.GreaterOrEqual(t, s.ShareTop, s.Share-1e-9)
	})
}

func TestDecide(t *testing.T) {
	th := scouting.Threshold{PerUnit: 5, Unit: "leaf", Source: "house judgement"}
	for _, c := range []struct {
		counts  []int
		helpers bool
		act     string
	}{
		{[]int{40, 50, 45, 60, 55}, false, "act"}, {[]int{0, 0, 1, 0, 0}, false, "wait"}, {[]int{2, 9, 1, 8, 5}, false, "count more"}, {[]int{8, 9, 8, 7, 9}, true, "wait"},
	} {
		s, err := scouting.Summarise(c.counts)
		require.NoError(t, err)
		d := scouting.Decide(s, th, c.helpers)
		assert.Equal(t, c.act, d.Act, "%v", c.counts)
		assert.Contains(t, d.Why[len(d.Why)-1], "house judgement")
	}
	s, _ := scouting.Summarise([]int{1, 1, 0, 0, 0, 0, 0, 0, 0, 0})
	assert.Equal(t, "judge", scouting.Decide(s, scouting.Threshold{}, false).Act)
}
