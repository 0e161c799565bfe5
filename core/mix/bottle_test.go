package mix

import (
	"math/big"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Rates worked out by hand from what such labels say.
func TestARateIsReckonedFromTheStrengthOfTheBottle(t *testing.T) {
	for _, c := range []struct {
		bottle    string
		low, high float64 // g of active ingredient in a litre
		want      string
	}{
		{"0.5 %", .06, .1, "10 mL per L to 16.66 mL per L"}, // at most 6 g in a litre
		{"5 g per L", .06, .1, "12 mL per L to 20 mL per L"},
		{"80 g/L", .06, .1, "0.75 mL per L to 1.25 mL per L"},
		{"22.5 g per L", .06, .1, "2.66 mL per L to 4.44 mL per L"}, // rounded down
		{"500 g per kg", 2, 4, "4 g per L to 8 g per L"},
		{"70", 2, 4, "2.38 mL per L to 4.76 mL per L"}, // a bare number is per cent
		{"95 %", 2, 4, "2 mL per L to 4 mL per L"},
	} {
		b, err := ReadBottle(c.bottle)
		require.NoError(t, err, c.bottle)
		g, err := b.Range(c.low, c.high)
		require.NoError(t, err, c.bottle)
		assert.Equal(t, c.want, g.Text(), c.bottle)
	}
	for _, text := range []string{"", "strong", "80 mL per L", "-3 %", "0 %", "120 %", "2000 g per kg", "80 g per", "1:50 of water"} {
		_, err := ReadBottle(text)
		assert.ErrorContains(t, err, "copy it from the label", text)
	}
	thin, err := ReadBottle("0.02 %")
	require.NoError(t, err)
	_, err = thin.Range(.06, .1)
	require.ErrorContains(t, err, "ready-mixed bottle is not thinned")
}

// Whatever the bottle, a litre at its top holds no more active ingredient than was
// asked for, and misses it by less than the hundredth it was rounded by.
func TestNoBottleHoldsMoreThanItsTop(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		strength := rapid.IntRange(1, 9999).Draw(t, "hundredths of a per cent")
		high := float64(rapid.IntRange(1, 5000).Draw(t, "mg")) / 1000
		b, err := ReadBottle(Decimal(big.NewRat(int64(strength), 100), 2) + " %")
		require.NoError(t, err)
		g, err := b.Range(high/2, high)
		if err != nil {
			return
		}
		holds, ok := b.Active(g.High)
		require.True(t, ok)
		require.LessOrEqual(t, holds, high*(1+1e-9))
		require.GreaterOrEqual(t, holds, high-.01*float64(strength)/10)
	})
}
