package demo_test

import (
	"context"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/accounts"
	"botanik/internal/demo"
	"botanik/internal/desk"
	"botanik/internal/overview"
	"botanik/internal/records"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The demo desk opens on any day of the year, at any hour, with something in
// every tray.
func TestTheDemoDeskOpensOnAnyDay(t *testing.T) {
	ctx := context.Background()
	moments := []time.Time{ // minutes before midnight, on one side of the clock's change or the other
		time.Date(2026, 11, 25, 23, 54, 0, 0, time.UTC), time.Date(2026, 7, 11, 22, 54, 0, 0, time.UTC),
	}
	for month := time.January; month <= time.December; month += 6 {
		moments = append(moments, time.Date(2027, month, 13, int(month)*2%24, 7, 0, 0, time.UTC))
	}
	for _, now := range moments {
		day := now.Format(time.DateTime)
		st, err := store.Open(ctx, t.TempDir())
		require.NoError(t, err)
		d := records.New(desk.New(st, herbarium.Embedded(), simulated.Station{}, func() time.Time { return now }))
		p := accounts.New(st, func() time.Time { return now })
		require.NoError(t, demo.Fill(ctx, d, p, now), day)
		today, err := overview.New(d.Service).Today(ctx)
		require.NoError(t, err)
		assert.NotEmpty(t, today.Waiting, day)
		assert.NotEmpty(t, today.Bench, day)
		assert.NotEmpty(t, today.Ready, day)
		assert.NotEmpty(t, today.Ask, day)
		late := 0
		for _, a := range today.Ask {
			late += a.Late
		}
		assert.Positive(t, late, "somebody is late in %s", day)
		assert.Positive(t, today.Brought)
		require.NoError(t, demo.Fill(ctx, d, p, now), "filling twice leaves the first")
		require.NoError(t, st.Close())
	}
}
