package training_test

import (
	"fmt"
	"time"

	"botanik/core/training"
)

// Twice right at nine in ten and once wrong at six in ten: Brier (0.01 + 0.01 + 0.36)/3.
func ExampleCalibrate() {
	c := training.Calibrate([]training.Forecast{{Sure: .9, Right: true}, {Sure: .9, Right: true}, {Sure: .6}})
	fmt.Printf("%.3f = %.3f - %.3f + %.3f\n", c.Brier, c.Reliability, c.Resolution, c.Uncertainty)
	fmt.Println(training.Calibrate(nil).N)
	// Output:
	// 0.127 = 0.127 - 0.222 + 0.222
	// 0
}

// Known three times and not once: half is forgotten in four days.
func ExampleMemory_Recall() {
	now := time.Date(2026, 7, 11, 10, 0, 0, 0, time.UTC)
	m := training.Memory{Right: 3, Wrong: 1, Last: now.AddDate(0, 0, -4)}
	fmt.Println(m.HalfLife(), m.Recall(now), training.Memory{}.Recall(now))
	// Output: 4 0.5 0
}
