package demo

import (
	"fmt"
	"math"
	"math/rand/v2"
	"strings"
	"time"
)

// oldSorts are what Merrin Sound saw in the years before it had this program: what it was, on
// which plants, in which week of the year most, how many weeks it lasts, and how many a year.
var oldSorts = []struct {
	cause, plants, remedy string
	week, wide, year      float64
	better                float64 // share that got better
}{
	{"two-spotted-mite", "French bean, Passionflower, Fuchsia", "insecticidal soap", 29, 6, 16, .7},
	{"green-aphid", "Sweet pea, Rose, Pelargonium", "hose-off", 21, 5, 18, .8},
	{"rose-black-spot", "Rose", "", 27, 7, 14, .4},
	{"powdery-mildew", "Courgette, Gooseberry, Hydrangea", "", 30, 6, 12, .5},
	{"vine-weevil-grub", "Fuchsia, Strawberry, Rhododendron", "nematodes-vine", 38, 7, 9, .6},
	{"box-caterpillar", "Box", "bt", 24, 5, 10, .75},
	{"gooseberry-sawfly", "Gooseberry", "hand-pick", 20, 3, 7, .8},
	{"rust", "Pelargonium, Hollyhock", "", 31, 6, 9, .5},
	{"citrus-mealybug", "Jade plant, Calamondin, Moth orchid", "alcohol", 4, 12, 8, .6},
	{"brown-soft-scale", "Bay, Calamondin, Olive", "wipe", 14, 10, 8, .6},
	{"slug", "Hosta, Lettuce, Strawberry", "hand-pick", 18, 6, 11, .5},
	{"blossom-end-rot", "Tomato", "", 30, 4, 6, .7},
	{"western-flower-thrips", "Chrysanthemum, Fuchsia", "", 33, 5, 5, .5},
	{"fungus-gnat", "Moth orchid, Jade plant", "", 2, 8, 6, .8},
	{"?", "Clematis, Lavender, Viburnum", "", 26, 10, 9, .2},
}

// oldYears are how many years of cards there are.
const oldYears = 4

// oldCards is the desk's card index of before, as somebody typed it into a spreadsheet: the
// same for a day, whoever asks.
func oldCards(now time.Time) string {
	r := rand.New(rand.NewPCG(19, 26))
	var b strings.Builder
	b.WriteString("Date,Plant,Grid,Diagnosis,Advice,Ended,Remarks\n")
	for year := 1; year <= oldYears; year++ {
		for _, s := range oldSorts {
			shift, plants := 2*r.NormFloat64(), strings.Split(s.plants, ", ")
			for range int(s.year * (.75 + .5*r.Float64())) {
				week := s.week + shift + s.wide/2*r.NormFloat64()
				day := time.Date(now.Year()-year+1, 1, 1, 0, 0, 0, 0, time.UTC).AddDate(0, 0, int(7*week))
				if day.After(now.AddDate(0, 0, -160)) { // from then on it has the program
					continue
				}
				end := "no change"
				switch x := r.Float64(); {
				case x < s.better/2:
					end = "cleared"
				case x < s.better:
					end = "better"
				case x > .93:
					end = "?"
				}
				// More come from near the market, and from the terraces in the west.
				x, y := 4+1.7*r.NormFloat64(), 4+1.7*r.NormFloat64()
				if r.Float64() < .25 {
					x, y = 1.5+r.NormFloat64(), 3.5+r.NormFloat64()
				}
				square := ""
				if r.Float64() < .8 {
					square = fmt.Sprintf("%c%d", 'A'+int(math.Max(0, math.Min(8, x))), 1+int(math.Max(0, math.Min(8, y))))
				}
				fmt.Fprintf(&b, "%s,%s,%s,%s,%s,%s,\n", day.Format(time.DateOnly), plants[r.IntN(len(plants))], square, s.cause, s.remedy, end)
			}
		}
	}
	return b.String()
}
