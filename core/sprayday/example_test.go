package sprayday_test

import (
	"fmt"
	"time"

	"botanik/core/civil"
	"botanik/core/sprayday"
)

// Half-wet air of 20 °C (Magnus, as in the tables of meteorology).
func ExampleDewPoint() {
	fmt.Printf("%.1f °C\n", sprayday.DewPoint(20, 50))
	// Output: 9.3 °C
}

// Midsummer at 51.5° north on the meridian of Greenwich: almanacs say sunrise 3:43 and sunset 20:21 UTC.
func ExampleLightOf() {
	l := sprayday.LightOf(civil.Must("2026-06-21"), 51.5, 0, time.UTC)
	fmt.Println(l.Rise.Round(time.Minute).Format("15:04"), l.Set.Round(time.Minute).Format("15:04"))
	// Output: 03:43 20:21
}
