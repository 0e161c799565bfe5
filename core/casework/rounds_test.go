package casework

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestWhereACaseStandsInTheQueue(t *testing.T) {
	for want, s := range map[string]QueueState{
		"answered": {Unread: true, Silences: 3, Regulated: true, Heard: true, Late: 9},
		"call":     {Silences: 2, Regulated: true, Late: 9},
		"boss":     {Regulated: true, Silences: 1, Late: 9},
		"decide":   {Heard: true, Late: 9},
		"late":     {Silences: 1, Late: 1},
		"due":      {},
	} {
		assert.Equal(t, want, RoundKind(s))
		assert.Contains(t, RoundKinds, want)
	}
}
