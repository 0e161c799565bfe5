package desk

import (
	"cmp"
	"context"
	"fmt"
	"strings"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
	"botanik/core/scouting"
	"botanik/internal/casefile"
)

// Counted is what was counted and what else weighs in the decision.
type Counted struct {
	Counts    []int           `json:"counts,omitempty" maxItems:"200" doc:"pests per leaf or shoot, one number each; or count, not both"`
	Count     *scouting.Count `json:"count,omitempty" doc:"several tallies kept apart, unit by unit"`
	Share     *float64        `json:"share,omitempty" minimum:"0" maximum:"1" doc:"of leaves hit, when nobody counted"`
	Severity  []int           `json:"severity,omitempty" maxItems:"200" doc:"leaves matched with drawn ones, per cent of area each"`
	Helpers   bool            `json:"helpers,omitempty"`
	BadYear   bool            `json:"badYear,omitempty" doc:"last year was bad on this plant"`
	Standard  string          `json:"standard,omitempty" enum:"show,food,hedge," doc:"what the grower keeps it for"`
	WeeksLeft *int            `json:"weeksLeft,omitempty" minimum:"0" maximum:"520" doc:"of picking or flowering"`
	Degree    string          `json:"degree,omitempty" enum:"light,moderate,heavy," doc:"how heavy it is, by eye"`
}

// ActInput is the count and the decision.
type ActInput struct {
	Counted
	Stages     []string `json:"stages,omitempty" maxItems:"8"`
	Drought    bool     `json:"drought,omitempty"`
	Dormant    *bool    `json:"dormant,omitempty" doc:"without leaves; reckoned from plant and month when left out"`
	CalciumLow bool     `json:"calciumLow,omitempty" doc:"a soil test shows too little calcium"`
	Choice     string   `json:"choice" enum:"act,wait,pull"`
	Word       string   `json:"word,omitempty" enum:"leave,watch,act,spring,pull,back,save,refer," doc:"which kind of waiting or acting it is; sets when it is asked about"`
	Pressure   string   `json:"pressure" enum:"light,moderate,heavy"`
}

// Weighed is a count held against what is borne.
type Weighed struct {
	Summary   *scouting.Summary       `json:"summary,omitempty"`
	Quick     *scouting.MeanFromShare `json:"quick,omitempty" doc:"pests a unit, from a count of with and without"`
	Severity  *scouting.Severity      `json:"severity,omitempty"`
	Threshold scouting.Threshold      `json:"threshold"`
	Borne     string                  `json:"borne"`
	Sampling  *knowledge.Sampling     `json:"sampling,omitempty" doc:"how the unit is counted"`
	Test      *scouting.Sequential    `json:"test,omitempty" doc:"lines of the running test, about what is borne here"`
	Size      *scouting.SampleSize    `json:"size,omitempty" doc:"units for a mean to a quarter"`
	Before    []scouting.Past         `json:"before" doc:"counted earlier on this case"`
	LastYear  string                  `json:"lastYear,omitempty" doc:"the same trouble of this grower the year before"`
	Decision  scouting.Decision       `json:"decision"`
	Here      []Favours               `json:"here" doc:"conditions that favour it here, most telling first"`
	Else      []string                `json:"else" doc:"what else favours it, which nobody asked about"`
	Stages    []string                `json:"stages" doc:"stages that the looks already saw"`
	Seen      *SeenDegree             `json:"seen,omitempty" doc:"how heavy it is by what was looked at, where nobody said so"`
}

// Favours is something said or seen of this plant that favours the trouble.
type Favours struct {
	Said   string `json:"said"`
	Change string `json:"change" doc:"what would help"`
	Told   bool   `json:"told" doc:"by the grower, not seen"`
}

// SeenDegree is how heavy a trouble is by what was looked at.
type SeenDegree struct {
	Degree string `json:"degree" enum:"light,moderate,heavy"`
	Said   string `json:"said" doc:"the look that says so"`
}

func (in Counted) check() error {
	var l fault.List
	if len(in.Counts) > 0 && in.Count != nil {
		l.Add("counts", "stands beside count", "give one of them")
	}
	if len(in.Counts) > 0 {
		_, err := scouting.Summarise(in.Counts)
		l.AddErr("", err)
	}
	if in.Count != nil {
		l.AddErr("count", in.Count.Check())
		if len(in.Count.Leaves) > 200 {
			l.Add("count.leaves", "are more than 200", "a desk counts a sample")
		}
	}
	if len(in.Severity) > 0 {
		_, err := scouting.Match(in.Severity)
		l.AddErr("", fault.Rename(err, func(f fault.Fault) fault.Fault {
			f.Field = "severity" + strings.TrimPrefix(f.Field, "shares")
			return f
		}))
	}
	return l.Err()
}

// tally is the count as one, however it was given; nil where nothing was counted.
func (in Counted) tally() *scouting.Count {
	if in.Count != nil && len(in.Count.Leaves) > 0 {
		return in.Count
	}
	if len(in.Counts) == 0 {
		return nil
	}
	c := &scouting.Count{Of: []string{scouting.Pests}}
	for _, n := range in.Counts {
		c.Leaves = append(c.Leaves, []int{n})
	}
	return c
}

// SetAct records the count and the decision. Choosing to wait or to pull also
// chooses that as the remedy.
func (s *Service) SetAct(ctx context.Context, who Person, id string, from int, in ActInput) (View, error) {
	var l fault.List
	l.AddErr("", in.check())
	l.AddErr("", remedy.CheckSeen(in.Stages, in.Pressure))
	if want := choiceOf[in.Word]; want != "" && want != in.Choice {
		l.Add("word", fmt.Sprintf("%q is no way to %s", in.Word, in.Choice), "choose "+want+" with it")
	}
	if err := l.Err(); err != nil {
		return View{}, err
	}
	return s.Change(ctx, who, id, from, "act", func(m Moment, c *Case) (string, error) {
		if c.Verdict == nil {
			return "", fault.New("verdict", "there is no verdict yet", "say what it is first")
		}
		c.HouseSeen = &m.Version
		was := c.Now().Act
		counts := in.Counts
		if in.Count != nil && !in.Count.Quick {
			counts = in.Count.Held(scouting.Pests)
		}
		c.Now().Act = &casefile.Act{Counts: counts, Count: in.Count, Share: in.Share, Severity: in.Severity, Helpers: in.Helpers, Standard: in.Standard, WeeksLeft: in.WeeksLeft, Stages: in.Stages, Drought: in.Drought, Dormant: in.Dormant, BadYear: in.BadYear, CalciumLow: in.CalciumLow, Choice: in.Choice, Word: in.Word, Pressure: in.Pressure, By: who.Name}
		said := scouting.Words(in.Word)
		switch in.Choice {
		case "wait":
			c.Treat(casefile.Treatment{Remedies: []string{knowledge.LeaveIt}, By: who.Name})
			return cmp.Or(strings.ToLower(said), "wait and watch"), nil
		case "pull":
			c.Treat(casefile.Treatment{Remedies: []string{knowledge.PullIt}, By: who.Name})
			return "pull it", nil
		}
		if was != nil && was.Choice != "act" { // what waiting or pulling chose is no treatment
			c.Clear(casework.SecRemedy, true)
		}
		return "act, " + in.Pressure + " pressure", nil
	})
}

// choiceOf is what each word comes to: treated, left, or pulled.
var choiceOf = map[string]string{
	scouting.Treat: "act", scouting.Pull: "pull",
	scouting.Leave: "wait", scouting.Watch: "wait", scouting.Spring: "wait", scouting.Back: "wait", scouting.Save: "wait", scouting.Refer: "wait",
}
