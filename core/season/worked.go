package season

import "botanik/core/scouting"

// SuccessRate is what came of something over closed cases.
type SuccessRate struct {
	N      int     `json:"n" doc:"closed cases whose outcome is known"`
	Better int     `json:"better"`
	Low    float64 `json:"low" doc:"of the share that got better, 95 %, Wilson"`
	High   float64 `json:"high"`
}

// fewestWorked are how many closed cases a figure is told from (judgement: of fewer, one
// case more turns it round).
const fewestWorked = 5

// WorkedHere tells what came of n cases of which so many got better; false where they are
// too few to be told.
func WorkedHere(better, n int) (SuccessRate, bool) {
	if n < fewestWorked || better < 0 || better > n {
		return SuccessRate{}, false
	}
	low, high := scouting.Wilson(better, n)
	return SuccessRate{n, better, low, high}, true
}
