package desk_test

import (
	"testing"

	"go.uber.org/goleak"
)

// Whatever is begun here ends with the test that began it.
func TestMain(m *testing.M) { goleak.VerifyTestMain(m) }
