package desk_test

import (
	"context"
	"fmt"
	"os"
	"testing"
	"time"

	"botanik/core/differential"
	"botanik/herbarium"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	overviewroom "botanik/internal/overview"
	"botanik/internal/simulated"
	"botanik/internal/store"

	"github.com/stretchr/testify/require"
)

// TestBenchLargeDesk measures what people wait for at a desk of 100 000 cases
// over two years, as ratios to the bare query or to the same at an empty desk.
// Only through make bench.
func TestBenchLargeDesk(t *testing.T) {
	if os.Getenv("BOTANIK_BENCH") == "" {
		t.Skip("only through make bench")
	}
	const n = 100_000
	ctx := context.Background()
	now := time.Date(2026, 7, 11, 13, 0, 0, 0, time.UTC)
	make2 := func(n int) (*desk.Service, *store.Store) {
		st, err := store.Open(ctx, t.TempDir())
		require.NoError(t, err)
		t.Cleanup(func() { _ = st.Close() })
		b := herbarium.Embedded()
		require.NoError(t, st.FillForBench(ctx, n, now, func(i int) (store.Case, error) {
			d := casefile.New(casefile.Intake{Grower: fmt.Sprintf("Grower %d", i%9000), Plant: b.Hosts[i%len(b.Hosts)].Name, Host: b.Hosts[i%len(b.Hosts)].ID, Place: "garden", Story: "leaves pale and dusty since the heat, spreading upward"})
			doc, err := casefile.Encode(d)
			c := store.Case{Plant: d.Intake.Plant, HostID: d.Intake.Host, Place: "garden", Grower: d.Intake.Grower, Story: d.Intake.Story, Doc: doc, Stage: "closed"}
			if i%10 < 7 {
				c.Cause, c.Degree = b.Causes[i*i%len(b.Causes)].ID, "settled"
			}
			if i%50 == 0 {
				c.Stage = "handed"
				c.AskOn = now.AddDate(0, 0, i/50%40-20).Format("2006-01-02")
			}
			return c, err
		}))
		return desk.New(st, b, simulated.Station{}, func() time.Time { return now }), st
	}
	large, st := make2(n)
	small, _ := make2(0)
	who := desk.Person{ID: "x", Name: "Ansel", Role: "advisor"}
	in := casefile.Intake{Grower: "Ilse", Plant: "bean", Place: "garden", Story: "pale"}
	nsOf := func(f func() error) float64 {
		return float64(testing.Benchmark(func(b *testing.B) {
			for b.Loop() {
				if err := f(); err != nil {
					b.Fatal(err)
				}
			}
		}).NsPerOp())
	}
	say := func(name string, measured, goal float64) {
		fmt.Printf("bench %s at %d: measured %.2f, goal %g\n", name, n, measured, goal)
	}
	begin := func(d *desk.Service) *desk.View {
		v, err := d.CheckIn(ctx, who, in, "")
		require.NoError(t, err)
		return &v
	}
	vl, vs := begin(large), begin(small)
	view := func(d *desk.Service, v *desk.View) func() error {
		return func() error { _, err := d.View(ctx, v.ID); return err }
	}
	say("reading a case, to an empty desk's", nsOf(view(large, vl))/nsOf(view(small, vs)), 3)
	i := 0
	look := func(d *desk.Service, v *desk.View) func() error {
		return func() (err error) {
			i++
			*v, err = d.Look(ctx, who, v.ID, v.Version, differential.Look{Finding: "flecks", State: []string{"many", "few"}[i%2]})
			return err
		}
	}
	say("answering a look, to an empty desk's", nsOf(look(large, vl))/nsOf(look(small, vs)), 3)
	verdict := func(d *desk.Service, v *desk.View) func() error {
		return func() (err error) {
			i++
			*v, err = d.SetVerdict(ctx, who, v.ID, v.Version, desk.VerdictInput{Cause: []string{"two-spotted-mite", "rust"}[i%2], Degree: "working", Note: "again"})
			return err
		}
	}
	tally := nsOf(func() error { return st.BareTally(ctx, now.AddDate(-2, 0, 0).Format("2006-01-02")) })
	say("writing a verdict, to the bare tally and an empty desk's", nsOf(verdict(large, vl))/(tally+nsOf(verdict(small, vs))), 3)
	all := overviewroom.New(large)
	counter := nsOf(func() error { _, err := all.Today(ctx); return err })
	say("the counter, to its bare queries", counter/nsOf(func() error { return st.BareCounter(ctx, now.Format("2006-01-02"), "2026-07-11T00:00:00.000Z") }), 3)
	season := nsOf(func() error { _, err := all.SeasonOf(ctx, "", ""); return err })
	say("the season, to its bare queries", season/nsOf(func() error { return st.BareSeason(ctx, "2025-07-12T00:00:00.000Z", "2026-07-12T00:00:00.000Z") }), 3)
	for name, q := range map[string]desk.FindInput{"all": {}, "a verdict": {Cause: "rust"}, "words, by plant": {Words: "grower 12", Sort: "plant"}, "a plant with no picture, by verdict": {Host: "rose", Photos: "no", Sort: "-cause"}, "the last page": {Skip: n - 50, Sort: "brought"}} {
		ns := nsOf(func() error { _, err := large.Find(ctx, q); return err })
		say(fmt.Sprintf("the grid's page of %s, ms to 150 ms", name), ns/1e6/150, 1)
	}
	for _, q := range []string{"bean", "leaves pale", "26-050000"} {
		ns := nsOf(func() error { _, err := large.Search(ctx, q); return err })
		say(fmt.Sprintf("searching %q, ms to 30 ms", q), ns/1e6/30, 1)
	}
}
