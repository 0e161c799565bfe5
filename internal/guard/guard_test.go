package guard_test

import (
	"bytes"
	"context"
	"errors"
	"log/slog"
	"testing"

	"botanik/internal/guard"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func TestAPanicIsAnError(t *testing.T) {
	var nothing *struct{ x int }
	err := guard.Run(func() error { _ = nothing.x; return nil })
	require.Error(t, err)
	assert.True(t, guard.Is(err))
	assert.Contains(t, err.Error(), "guard_test.go", "it says where")
	plain := errors.New("plain")
	assert.Equal(t, plain, guard.Run(func() error { return plain }))
	assert.False(t, guard.Is(plain))
	require.NoError(t, guard.Run(func() error { return nil }))
}

func TestATurnThatFailsIsTold(t *testing.T) {
	var out bytes.Buffer
	log := slog.New(slog.NewTextHandler(&out, nil))
	guard.Each(context.Background(), log, "the loop", func() error { panic("oh") })
	assert.Contains(t, out.String(), "the loop")
	out.Reset()
	ended, end := context.WithCancel(context.Background())
	end()
	guard.Each(ended, log, "the loop", func() error { return errors.New("stopped") })
	assert.Empty(t, out.String(), "what stops with the program is no trouble")
}
