package loop

import (
	"context"
	"slices"
	"strings"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// RoundRow is one grower to be asked, or who has answered.
type RoundRow struct {
	desk.Question
	Kind   string `json:"kind" enum:"answered,call,boss,late,due,decide,moved,soon"`
	Told   string `json:"told,omitempty" doc:"what was told last, in a word or a note"`
	Silent int    `json:"silent,omitempty" doc:"times without an answer, one after the other"`
}

// Rounds is the queue of all follow-ups.
type Rounds struct {
	Rows   []RoundRow     `json:"rows" doc:"what is most pressing first"`
	Counts map[string]int `json:"counts"`
	More   int            `json:"more,omitempty" doc:"due ones that are not shown"`
}

// How many rows are shown of what is due, and how many days ahead is soon.
const (
	mostRows  = 120
	soonDays  = 5
	mostSoon  = 20
	movedBack = 5 // days
)

// Rounds gathers the queue.
func (s *Service) Rounds(ctx context.Context) (Rounds, error) {
	m, err := s.Moment(ctx)
	if err != nil {
		return Rounds{}, err
	}
	out := Rounds{Rows: []RoundRow{}, Counts: map[string]int{}}
	due, all, err := s.Store.DueBy(ctx, m.Today.String(), mostRows)
	if err != nil {
		return Rounds{}, err
	}
	out.More = all - len(due)
	left, err := s.Store.Undecided(ctx, mostSoon)
	if err != nil {
		return Rounds{}, err
	}
	seen := map[string]bool{}
	add := func(rows []store.Case, kind string) error {
		for _, r := range rows {
			if seen[r.ID] {
				continue
			}
			seen[r.ID] = true
			row, err := s.roundRow(m, r, kind)
			if err != nil {
				return err
			}
			out.Rows = append(out.Rows, row)
			out.Counts[row.Kind]++
		}
		return nil
	}
	if err := add(due, ""); err != nil {
		return Rounds{}, err
	}
	if err := add(left, "decide"); err != nil {
		return Rounds{}, err
	}
	told, err := s.Store.MovedSince(ctx, store.Stamp(m.Today.Add(-movedBack).Midnight(m.Clock)))
	if err != nil {
		return Rounds{}, err
	}
	for _, t := range told {
		r, err := s.Store.Case(ctx, t.CaseID)
		if err != nil {
			return Rounds{}, err
		}
		if r.ClosedAt == "" && r.AskOn != "" {
			if err := add([]store.Case{r}, "moved"); err != nil {
				return Rounds{}, err
			}
		}
	}
	soon, _, err := s.Store.DueBy(ctx, m.Today.Add(soonDays).String(), mostRows+mostSoon)
	if err != nil {
		return Rounds{}, err
	}
	if err := add(soon, "soon"); err != nil {
		return Rounds{}, err
	}
	slices.SortStableFunc(out.Rows, func(a, b RoundRow) int {
		return slices.Index(casework.RoundKinds, a.Kind) - slices.Index(casework.RoundKinds, b.Kind)
	})
	return out, nil
}

func (s *Service) roundRow(m desk.Moment, r store.Case, kind string) (RoundRow, error) {
	a, err := s.AskAbout(m.Book, r, m.Today)
	if err != nil {
		return RoundRow{}, err
	}
	c, err := desk.CaseOf(r)
	if err != nil {
		return RoundRow{}, err
	}
	row := RoundRow{Question: a, Kind: kind, Silent: c.Now().Silent()}
	last := lastTold(&c)
	if last != nil {
		row.Told = strings.Trim(last.Word+"; "+last.Note, "; ")
	}
	if kind == "" {
		k := desk.CauseOf(m.Book, &c)
		row.Kind = casework.RoundKind(casework.QueueState{
			Unread: last != nil && last.Unread, Silences: row.Silent, Regulated: k != nil && k.Regulated != "",
			Heard: last != nil && !last.Silent && last.Next != nil, Late: a.Late,
		})
	}
	return row, nil
}

func lastTold(c *desk.Case) *casefile.FollowUp {
	if f := c.Now().FollowUps; len(f) > 0 {
		return &f[len(f)-1]
	}
	return nil
}

// TakeNext takes the step that was advised last, with what follows of itself: a repeat has
// its days, done is closed. Errors say where nothing is advised.
func (s *Service) TakeNext(ctx context.Context, who desk.Person, id string, from int) (desk.View, error) {
	c, err := s.Read(ctx, id)
	if err != nil {
		return desk.View{}, err
	}
	last := lastTold(&c)
	if last == nil || last.Next == nil || c.Closing != nil {
		return desk.View{}, fault.New("next", "nothing is advised yet", "ask how it went first")
	}
	switch move := last.Next.Move; move {
	case "done":
		outcome := "better"
		if last.Word == "gone" || last.Result != nil && last.Result.After == 0 {
			outcome = "cleared"
		}
		return s.Close(ctx, who, id, from, desk.CloseInput{Outcome: outcome})
	case "call", "refer":
		return desk.View{}, fault.New("next", "that is for a person: telephone, or send it on", "write down what came of it")
	default:
		return s.Change(ctx, who, id, from, "round", func(m desk.Moment, c *desk.Case) (string, error) {
			c.Begin()
			c.Clear(casework.Reopens[move], true)
			if move != "repeat" {
				return "next round: " + move, nil
			}
			said, err := s.KeepDays(m, c, who, desk.DaysInput{})
			if err != nil { // the label may not allow another round: that is told, and the days are left to a person
				return "", fault.Rename(err, func(f fault.Fault) fault.Fault {
					f.Mend = "go one rung up, or change the way of killing; " + f.Mend
					return f
				})
			}
			return "next round: repeat, " + said, nil
		})
	}
}
