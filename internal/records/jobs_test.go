package records_test

import (
	"context"
	"testing"
	"time"

	"botanik/herbarium"
	"botanik/internal/desk"
	"botanik/internal/records"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A mistake of ours in a long work is a failed work, not the end of the program.
func TestALongWorkThatPanicsIsAFailedOne(t *testing.T) {
	st, err := store.Open(context.Background(), t.TempDir())
	require.NoError(t, err)
	defer func() { _ = st.Close() }()
	r := records.New(desk.New(st, herbarium.Embedded(), simulated.Station{}, time.Now))
	boss := desk.Person{ID: "b", Name: "Odile", Role: "coordinator"}
	j, err := r.BeginWork(boss, func() error {
		var nothing *desk.View
		nothing.Version++
		return nil
	})
	require.NoError(t, err)
	require.Eventually(t, func() bool { j = r.Jobs(boss)[0]; return j.State != "running" }, time.Minute, 5*time.Millisecond)
	assert.Equal(t, "failed", j.State)
	assert.Contains(t, j.Said, "our mistake")
	assert.False(t, j.File)
}
