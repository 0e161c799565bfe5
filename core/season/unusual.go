package season

import (
	"botanik/core/civil"
	"fmt"
	"slices"
	"strings"
	"time"

	"botanik/core/knowledge"
)

// Sample is a plant as it came in, as far as the time of year is concerned.
type Sample struct {
	Host    *knowledge.Host // nil for a plant not known here
	Place   string
	Month   time.Month // on the calendar, whichever half of the world
	South   bool
	Climate string // of the desk; empty when nobody said
	InBloom bool
}

// Months of the northern year in which frost has ended what is tender, and in which
// what loses its leaves does not flower but for the few that do (judgement, for cool
// climates).
var (
	afterFrost  = []int{11, 12, 1, 2, 3}
	leafless    = []int{11, 12, 1}
	frostless   = []string{"warm and wet", "tropical", "hot and dry"}
	winterBloom = []string{"hamamelis", "jasmine", "hazel", "ornamental-cherry", "viburnum", "honeysuckle", "hellebore"}
)

// Unusual asks about what is not met at this time of year; empty for what is. An old
// picture, a glasshouse nobody ticked or a slip of the pen are cleared up before looks
// are weighed by the season.
func Unusual(b Sample) string {
	if b.Host == nil || b.Place == "indoors" || b.Place == "greenhouse" || slices.Contains(frostless, b.Climate) {
		return ""
	}
	north := int(b.Month)
	if b.South {
		north = civil.AcrossEquator(north)
	}
	name := strings.ToLower(b.Host.Name[:1]) + b.Host.Name[1:]
	switch {
	case b.Host.Tender && slices.Contains(afterFrost, north):
		return fmt.Sprintf("%s out of doors in %s? Frost has usually ended it by now: was it under glass or kept indoors, or is the sample old?", b.Host.Name, b.Month)
	case b.InBloom && b.Host.Dormant && slices.Contains(leafless, north) && !slices.Contains(winterBloom, b.Host.ID):
		return fmt.Sprintf("Open flowers on %s in %s? It has usually dropped its leaves by now: was “in flower” meant?", name, b.Month)
	}
	return ""
}
