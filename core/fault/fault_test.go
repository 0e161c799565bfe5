package fault_test

import (
	"errors"
	"fmt"
	"testing"

	"botanik/core/fault"

	"github.com/stretchr/testify/assert"
)

func TestFaultsAreGatheredUnderTheirFields(t *testing.T) {
	var l fault.List
	l.AddErr("mix", fault.New("volume", "is empty", "write how much"))
	l.AddErr("mix", fault.New("", "is off", ""))
	l.AddErr("", nil)
	err := fmt.Errorf("at the bench: %w", l.Err())
	assert.True(t, fault.Is(err))
	assert.Equal(t, []fault.Fault{{Field: "mix.volume", Problem: "is empty", Mend: "write how much"}, {Field: "mix", Problem: "is off"}}, fault.From(err))
	renamed := fault.Rename(err, func(f fault.Fault) fault.Fault { f.Field = "x"; return f })
	assert.ErrorContains(t, renamed, "x: is empty; write how much")
	assert.NoError(t, fault.List{}.Err())
}

// A database that fails is not the user's fault, whatever else was wrong.
func TestAnotherErrorIsNeverToldAsTheUsersFault(t *testing.T) {
	disk := errors.New("disk I/O error")
	var l fault.List
	l.Add("volume", "is empty", "write how much")
	l.AddErr("days", disk)
	assert.ErrorIs(t, l.Err(), disk)
	assert.False(t, fault.Is(l.Err()))
	assert.Empty(t, fault.From(disk))
	assert.Equal(t, disk, fault.Rename(disk, func(f fault.Fault) fault.Fault { return f }))
	var outer fault.List
	outer.AddErr("", l.Err())
	assert.ErrorIs(t, outer.Err(), disk)
}
