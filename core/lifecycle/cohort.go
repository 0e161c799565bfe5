package lifecycle

import (
	"fmt"
	"math"
	"slices"

	"botanik/core/fault"
	"botanik/core/knowledge"
)

// StepsADay is how many steps of the cohort make a day.
const StepsADay = 4

// Laying is the stage behind the table's last: mothers that lay.
const Laying = "laying"

// crowded is how many times the starting number a plant carries at most, a
// judgement: leaves run short and enemies gather.
const crowded = 30.

// Colony is what a simulated colony starts from and lives in.
type Colony struct {
	Table  *knowledge.LifeTable
	Temps  []float64          // mean °C of each step of 6 hours; the last holds on
	Stages map[string]float64 // share of each stage at the start; a settled mix when empty
	Days   int                // to look ahead, 1 to 400
}

// Application is one treatment of a colony.
type Application struct {
	Day      float64            // from the start
	Kills    map[string]float64 // share of each stage killed where it is hit
	Reaches  float64            // share of the plant that is hit, 0 to 1
	HalfLife float64            // days what it leaves behind loses half its power; 0 when nothing is left
	Soil     bool               // reaches the stages in soil, and only those
}

// Course is how a colony fares, numbers as a share of those at the start.
type Course struct {
	Stages   []string    `json:"stages"`
	Days     [][]float64 `json:"days" doc:"for each day from the start, the number in each stage, 1 = all there were at the start"`
	PestDays float64     `json:"pestDays" doc:"the numbers summed over the days"`
}

// Total is the number on a day, 1 for as many as at the start.
func (c Course) Total(day int) float64 {
	sum := 0.
	for _, n := range c.Days[day] {
		sum += n
	}
	return sum
}

// brood is one stage as a row of substages (Erlang): the more there are, the less
// individuals differ. Spread is read as the lag of the slowest in twenty.
type brood struct {
	stage knowledge.LifeStage
	in    []float64
}

func (b *brood) total() float64 {
	sum := 0.
	for _, n := range b.in {
		sum += n
	}
	return sum
}

// rarest is the chance of so many jumps in one step that is left out.
const rarest = 1e-7

// age moves the brood on by the warmth of one step and gives what leaves it: jumps from
// substage to substage come as a Poisson process, whose shares are exact for the step.
func (b *brood) age(tempC float64) float64 {
	need := StageDays(b.stage, tempC)
	if math.IsInf(need, 1) {
		return 0
	}
	k := len(b.in)
	jumps := float64(k) / need / StepsADay
	var room [64]float64
	p := append(room[:0], math.Exp(-jumps))
	for sum := p[0]; len(p) < k && 1-sum > rarest; sum += p[len(p)-1] {
		p = append(p, p[len(p)-1]*jumps/float64(len(p)))
	}
	slices.Reverse(p)
	out := b.total()
	for i := k - 1; i >= 0; i-- { // what is now in i came from those up to so many behind it
		from := b.in[max(0, i+1-len(p)) : i+1]
		shares, now := p[len(p)-len(from):], 0.
		for j := range min(len(from), len(shares)) {
			now += from[j] * shares[j]
		}
		b.in[i] = now
		out -= now
	}
	return math.Max(0, out)
}

func broods(lt *knowledge.LifeTable) []brood {
	lag := lt.Spread / 1.645 // the 95th per cent of a normal, as a share of the mean
	k := int(math.Round(math.Min(60, math.Max(4, 1/(lag*lag+1e-9)))))
	out := make([]brood, 0, len(lt.Stages)+1)
	for _, s := range lt.Stages {
		out = append(out, brood{s, make([]float64, k)})
	}
	last := lt.Stages[len(lt.Stages)-1]
	laying := knowledge.LifeStage{ID: Laying, Name: Laying, Lower: last.Lower, Upper: last.Upper, DD: lt.Lays.DD, Soil: last.Soil}
	return append(out, brood{laying, make([]float64, 4)}) // mothers differ far more
}

// Simulate follows a colony day by day through its treatments, in steps of 6
// hours: each stage ages by its own degree-days, some die on the way, mothers
// lay while it is warm, and a crowded plant lets fewer through. What is not in
// the life table (enemies, flight, weather that kills) is left out, so the curve
// is a sketch of timing, not a forecast of numbers.
func Simulate(c Colony, treatments ...Application) (Course, error) {
	if err := c.check(treatments); err != nil {
		return Course{}, err
	}
	return settle(c).course(c, treatments), nil
}

// check names what cannot be simulated.
func (c Colony) check(treatments []Application) error {
	lt := c.Table
	switch {
	case lt == nil || lt.Lays.DD <= 0 || lt.Lays.Eggs <= 0:
		return fault.New("table", "it is not known how this pest lays", "give the life table its lays")
	case c.Days < 1 || c.Days > 400:
		return fault.New("days", fmt.Sprintf("%d days is not 1 to 400", c.Days), "look less far ahead")
	case len(c.Temps) == 0:
		return fault.New("temps", "no temperature is given", "give the mean of each step of 6 hours, °C")
	}
	for _, t := range c.Temps {
		if math.IsNaN(t) || t < -60 || t > 60 {
			return fault.New("temps", fmt.Sprintf("%g °C is out of range", t), "give °C")
		}
	}
	for _, t := range treatments {
		if t.Reaches < 0 || t.Reaches > 1 || t.HalfLife < 0 || t.Day < 0 {
			return fault.New("treatments", "a treatment has a share or a day that is none", "give shares from 0 to 1 and days from the start")
		}
	}
	return nil
}

// course follows the colony through its treatments and leaves it used up.
func (s *colony) course(c Colony, treatments []Application) Course {
	start := s.total()
	var out Course
	for _, b := range s.broods {
		out.Stages = append(out.Stages, b.stage.ID)
	}
	for day := range c.Days {
		row := make([]float64, len(s.broods))
		for step := range StepsADay {
			at := float64(day) + float64(step)/StepsADay
			for _, t := range treatments {
				s.treat(t, at)
			}
			if step == 0 { // what is there once the day's treatment is done
				for i := range s.broods {
					row[i] = s.broods[i].total() / start
				}
			}
			s.step(c.Temps[min(day*StepsADay+step, len(c.Temps)-1)], start)
		}
		out.Days = append(out.Days, row)
		out.PestDays += out.Total(day)
	}
	return out
}

type colony struct {
	table  *knowledge.LifeTable
	broods []brood
}

// twin is the same colony once more, its numbers its own.
func (s *colony) twin() *colony {
	out := &colony{s.table, slices.Clone(s.broods)}
	for i := range out.broods {
		out.broods[i].in = slices.Clone(out.broods[i].in)
	}
	return out
}

func (s *colony) total() float64 {
	sum := 0.
	for i := range s.broods {
		sum += s.broods[i].total()
	}
	return sum
}

// step ages all by one step of 6 hours.
func (s *colony) step(tempC, start float64) {
	lays := s.table.Lays
	mothers := &s.broods[len(s.broods)-1]
	warm := math.Max(0, math.Min(tempC, mothers.stage.Upper)-mothers.stage.Lower) / StepsADay
	room := math.Max(0, 1-s.total()/(crowded*start))
	born := mothers.total() * lays.Eggs * lays.Daughters / lays.DD * warm * room
	// Those lost on the way are spread evenly over the stages.
	through := math.Pow(lays.Lives, 1/float64(len(s.broods)-1))
	come := born
	for i := range s.broods {
		out := s.broods[i].age(tempC)
		s.broods[i].in[0] += come
		come = out * through
	}
}

// treat lets a treatment work at a moment: at once, and then by what it leaves.
func (s *colony) treat(t Application, at float64) {
	since := at - t.Day
	atOnce := since >= 0 && since < 1./StepsADay
	if since < 0 || !atOnce && t.HalfLife == 0 {
		return
	}
	for i := range s.broods {
		b := &s.broods[i]
		if b.stage.Soil != t.Soil {
			continue
		}
		kill := t.Kills[killed(b.stage)] * t.Reaches
		if !atOnce { // the same share in a day on it, weaker as it fades
			kill = 1 - math.Pow(1-math.Min(kill, .999), math.Exp2(-since/t.HalfLife)/StepsADay)
		}
		for j := range b.in {
			b.in[j] *= 1 - kill
		}
	}
}

// killed is the name remedies have for a stage.
func killed(s knowledge.LifeStage) string {
	switch {
	case s.ID == Laying:
		return "adult"
	case s.Soil && s.ID == "young":
		return "grub"
	}
	return s.ID
}

// settle gives the start: the stages seen in the middle of their time, or the mix
// a colony comes to by itself when it is left to grow.
func settle(c Colony) *colony {
	s := &colony{c.Table, broods(c.Table)}
	if len(c.Stages) > 0 {
		for i := range s.broods {
			b := &s.broods[i]
			share := c.Stages[b.stage.ID]
			switch before := c.Table.Stages[len(c.Table.Stages)-1].DD; b.stage.ID { // adults seen are of both kinds
			case "adult":
				share *= before / (before + c.Table.Lays.DD)
			case Laying:
				share = c.Stages["adult"] * c.Table.Lays.DD / (before + c.Table.Lays.DD)
			}
			for j := range b.in {
				b.in[j] = share / float64(len(b.in))
			}
		}
		if s.total() > 0 {
			return s
		}
	}
	mothers := s.broods[len(s.broods)-1].in
	mothers[0] = 1
	need := c.Table.Lays.DD
	for _, st := range c.Table.Stages {
		need += st.DD
	}
	last := c.Table.Stages[len(c.Table.Stages)-1]
	steady := last.Lower + .6*(last.Upper-last.Lower)
	for range int(3*need/(steady-last.Lower)) * StepsADay {
		s.step(steady, math.Inf(1))
	}
	all := s.total()
	for i := range s.broods {
		for j := range s.broods[i].in {
			s.broods[i].in[j] /= all
		}
	}
	return s
}

// Groups are the stages as they are drawn: what cannot be reached by most, what
// feeds, what rests and what lays.
var Groups = []string{Egg, "young", "resting", "adult"}

// Grouped gathers the stages into Groups, in their order.
func (c Course) Grouped() Course {
	at := map[string]int{Egg: 0, "crawler": 1, "young": 1, "grub": 1, "resting": 2, "adult": 3, Laying: 3}
	out := Course{Stages: Groups, PestDays: c.PestDays}
	for _, d := range c.Days {
		row := make([]float64, len(Groups))
		for i, n := range d {
			row[at[c.Stages[i]]] += n
		}
		out.Days = append(out.Days, row)
	}
	return out
}
