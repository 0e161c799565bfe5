package evaluation

import (
	"fmt"
	"io"
	"strings"

	"botanik/core/differential"
)

// Point is one place on the curve of wrong plans against settled cases.
type Point struct {
	At                            float64 // share asked of the leader
	Settled, Wrong, WrongUnlisted int
}

// Curve says what would be settled, and what of it wrongly, were the share asked of
// the leader another: all else that settled asks for stays.
func Curve(as []Outcome) []Point {
	out := []Point{}
	for _, at := range []float64{.5, .55, .6, .65, .7, .75, .8, .85, .9, .95, .98} {
		p := Point{At: at}
		for _, a := range as {
			if s := a.Standing; !s.Ready || s.P < at || s.Ahead < differential.AheadAt {
				continue
			}
			switch {
			case !a.InBook:
				p.WrongUnlisted++
			case a.Plan:
				p.Settled++
			default:
				p.Settled++
				p.Wrong++
			}
		}
		out = append(out, p)
	}
	return out
}

// Print writes a line per case and the figures below.
func Print(w io.Writer, entered, followed []Outcome) {
	say := func(f string, a ...any) { _, _ = fmt.Fprintf(w, f, a...) }
	for i, a := range entered {
		truth := strings.Join(a.Case.Truth, "+")
		if !a.InBook {
			truth = "(not in the book)"
		}
		mark := map[bool]string{true: "=", false: "."}[a.Right]
		if !a.Right && a.Plan {
			mark = "~"
		}
		say("%-4s %s %-26s said %-26s %3.0f, unlisted %2.0f, %-12s then %-26s %3.0f, %-12s after %d\n", a.Case.ID, mark, truth, a.Leader, 100*a.P, 100*a.Unlisted, a.Verdict, followed[i].Leader, 100*followed[i].P, followed[i].Verdict, followed[i].Asked)
	}
	for _, x := range []struct {
		name string
		as   []Outcome
	}{{"as entered", entered}, {"following the looks it asks for", followed}} {
		f := Tally(x.as)
		say("\n%s: %d cases, %d with a cause in the book, %d without\n", x.name, f.Cases, f.InBook, f.Unlisted)
		say("  right first %d, in the first three %d, right plan first %d\n", f.First, f.Three, f.Plan)
		say("  undetermined though in the book %d; said to be unknown of those not in it %d\n", f.FalseUndetermined, f.UnknownSaid)
		say("  settled %d, of these wrongly %d; settled though not in the book %d; not for a desk to settle, rightly led and alarmed %d\n", f.Settled, f.WrongSettled, f.UnlistedSettled, f.Referred)
		say("  a sure look left over in %d of those in the book, in %d of them by the truth as well\n", f.Left, f.TruthsToo)
		say("  alarms missed: helper %d, regulated %d, people %d; both of two named %d of %d\n", f.Missed["helper"], f.Missed["regulated"], f.Missed["people"], f.Both, f.Two)
		say("  calibration error %.3f (a perfect teller shows about %.3f on so few); looks asked %.2f\n", f.Calibration, f.Noise, f.MeanAsked)
		say("  wrong plan against settled, by the share asked (it is %.2f):\n", differential.SettledAt)
		for _, p := range Curve(x.as) {
			say("    %.2f  settled %2d, wrongly %d, not in the book %d\n", p.At, p.Settled, p.Wrong, p.WrongUnlisted)
		}
	}
}
