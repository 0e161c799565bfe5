package casework_test

import (
	"testing"

	"botanik/core/casework"

	"github.com/stretchr/testify/assert"
)

func TestTheTagFillsByHowSureTheDeskIs(t *testing.T) {
	was := 0.0
	for _, f := range []casework.Facts{{}, {Looks: 1}, {Verdict: true, Degree: "open"}, {Verdict: true, Degree: "working"}, {Verdict: true, Degree: "group"}, {Verdict: true, Degree: "settled"}} {
		now := casework.Certainty(f)
		assert.GreaterOrEqual(t, now, was, "%+v", f)
		was = now
	}
	assert.InDelta(t, .9, casework.Certainty(casework.Facts{Verdict: true, Degree: "group"}), 1e-9)
}
