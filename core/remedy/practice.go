package remedy

import (
	"botanik/core/civil"
	"slices"
	"strings"

	"botanik/core/knowledge"
)

// Disposal says where what was cut off goes, in words for the grower. The school
// chosen may bag what could be composted, or compost leaf spots hot; what lives
// on in a heap (viruses, wilts, root rots, galls, bacteria) and what is regulated
// is never composted.
func Disposal(k *knowledge.Cause, school string) string {
	where := k.Disposal
	stays := k.Class == "virus" || k.Regulated != "" || slices.Contains(k.Parts, "root") || slices.Contains(k.Parts, "stem") || k.Class == "bacterium"
	switch {
	case school == "bag" && k.Kind == "disease" && (where == "compost" || where == "hot compost"):
		where = "bag"
	case school == "compost" && k.Kind == "disease" && where == "bag" && !stays:
		where = "hot compost"
	}
	text := map[string]string{"bag": "Put what you cut off in a tied bag in the bin, not on the compost.", "compost": "What you cut off may go on the compost.", "hot compost": "What you cut off may go on a hot compost only.", "as local rules say": "Keep all plant parts until the authority tells you what to do with them."}[where]
	if where == "as local rules say" && k.Regulated == "" {
		text = "What you cut off goes where local rules say, not on the compost."
	}
	if k.DisposalNote != "" {
		text += " " + strings.ToUpper(k.DisposalNote[:1]) + k.DisposalNote[1:] + "."
	}
	return text
}

// Dormant reckons whether a plant that drops its leaves stands without them in a
// month (1 to 12): December to February in the north, June to August in the
// south (judgement). Who sees the plant can say otherwise.
func Dormant(h *knowledge.Host, month int, south bool) bool {
	if h == nil || !h.Dormant {
		return false
	}
	if south {
		month = civil.AcrossEquator(month)
	}
	return month == 12 || month <= 2
}

// How warm it is where nobody read a thermometer, °C.
const (
	RoomC      = 20.
	GlassOverC = 6. // over the air outside
)

// Warmth is the temperature at a place, in °C, where it is outdoors °C outside:
// a room is kept at 20, a greenhouse stands 6 above the air (both judgement).
func Warmth(place string, outdoors float64) float64 {
	switch place {
	case "indoors":
		return RoomC
	case "greenhouse":
		return outdoors + GlassOverC
	}
	return outdoors
}
