package plain_test

import (
	"testing"

	"botanik/core/plain"

	"github.com/stretchr/testify/assert"
)

func TestFiguresAsAPersonSaysThem(t *testing.T) {
	for n, want := range map[int][2]string{0: {"0 days", "0 times"}, 1: {"a day", "once"}, 2: {"2 days", "twice"}, 30: {"30 days", "30 times"}} {
		assert.Equal(t, want, [2]string{plain.Days(n), plain.Times(n)})
	}
}
