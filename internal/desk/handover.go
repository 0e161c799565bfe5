package desk

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"botanik/core/casework"
	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/core/remedy"
)

// SheetStep is one thing the grower does.
type SheetStep struct {
	Name     string   `json:"name"`
	How      []string `json:"how"`
	Cautions []string `json:"cautions"`
	Wear     []string `json:"wear"`
	Storage  string   `json:"storage,omitempty"`
}

// SheetMix is the mix in the grower's own measures.
type SheetMix struct {
	Product string   `json:"product"`
	Lines   []string `json:"lines"`
	Order   []string `json:"order"`
	Notes   []string `json:"notes"`
	Buy     []string `json:"buy"`
}

// Sheet is the one page a grower takes home, in plain words. It carries no
// personal data but what the grower gave.
type Sheet struct {
	Number   string      `json:"number"`
	Desk     string      `json:"desk"`
	Place    string      `json:"place"`
	Date     string      `json:"date"`
	Plant    string      `json:"plant"`
	Grower   string      `json:"grower"`
	Title    string      `json:"title"`
	Sure     string      `json:"sure"`
	What     string      `json:"what"`
	Why      []string    `json:"why"`
	LookFor  []string    `json:"lookFor"`
	Steps    []SheetStep `json:"steps"`
	Together []string    `json:"together"` // how the steps work together
	Mix      *SheetMix   `json:"mix,omitempty"`
	Amounts  []string    `json:"amounts"` // dust, drench or helpers over a place
	Days     []string    `json:"days"`
	Hour     string      `json:"hour,omitempty"`
	MustNot  []string    `json:"mustNot"`
	Recovers string      `json:"recovers,omitempty"`
	Disposal string      `json:"disposal,omitempty"`
	Always   []string    `json:"always"`
	Refer    string      `json:"refer,omitempty"`
	AskOn    string      `json:"askOn,omitempty"`
	Advisor  string      `json:"advisor"`
	Handed   bool        `json:"handed"`
	Token    string      `json:"token,omitempty"`
}

// Sheet is the page as it was handed over, or as it would be now.
func (s *Service) Sheet(ctx context.Context, id string) (Sheet, error) {
	v, err := s.View(ctx, id)
	if err != nil {
		return Sheet{}, err
	}
	if v.Handover != nil && v.Page != nil {
		return v.Page.Sheet, nil
	}
	return s.sheet(ctx, &v.Case)
}

// SheetByToken is the grower's own page, without an account: what was handed
// over last, whatever is being worked out on the bench.
func (s *Service) SheetByToken(ctx context.Context, token string) (Sheet, error) {
	if len(token) < 20 {
		return Sheet{}, ErrNotFound
	}
	row, err := s.Store.CaseByToken(ctx, token)
	if err != nil {
		return Sheet{}, err
	}
	c, err := unrow(row)
	if err != nil {
		return Sheet{}, err
	}
	if c.Page != nil {
		return c.Page.Sheet, nil
	}
	return s.sheet(ctx, &c)
}

// sureWords says how sure the desk is, without jargon.
var sureWords = map[string]string{
	"settled":      "We are sure of this.",
	"working":      "This is most likely; we were not able to be quite sure.",
	"open":         "This is our best guess; other things are possible.",
	"undetermined": "We could not tell what this is.",
}

func (s *Service) sheet(ctx context.Context, c *Case) (Sheet, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return Sheet{}, err
	}
	if c.Verdict == nil {
		return Sheet{}, fault.New("verdict", "there is no verdict yet", "settle it, or leave it open and send it on")
	}
	k := s.Base.Cause(c.Verdict.Cause)
	day := s.today(ident)
	if c.Handover != nil {
		day = c.Handover.At
	}
	out := Sheet{Number: c.Number, Desk: ident.Name, Place: ident.Place, Date: longDay(day), Plant: c.Intake.Plant, Grower: c.Intake.Grower, Sure: sureWords[c.Verdict.Degree], Advisor: c.Verdict.By, Always: remedy.Always, Why: []string{}, LookFor: []string{}, Steps: []SheetStep{}, Days: []string{}, MustNot: []string{}, Together: []string{}, Amounts: []string{}, Handed: c.Handover != nil}
	if c.Verdict.ReviewedBy != "" {
		out.Advisor = c.Verdict.By + ", agreed by " + c.Verdict.ReviewedBy
	}
	if c.Handover != nil {
		out.Token = c.Handover.Token
	}
	if c.AskOn != "" {
		out.AskOn = spokenDay(c.AskOn)
	}
	if k == nil {
		out.Title = "Not yet known"
		out.What = "What you brought does not fit anything we know well enough to name. Guessing would not help you, so it is sent on to people who can tell."
		out.Refer = "It goes to: " + ident.Lab + "."
		out.Steps = append(out.Steps, s.step("inspect"))
		out.MustNot = append(out.MustNot, "Spray nothing until you have heard from us.")
		return out, nil
	}
	out.Title, out.What, out.Why, out.Recovers = k.Name, k.Plain, k.Why, k.Recovers
	sit, err := s.situation(ctx, c)
	if err != nil {
		return Sheet{}, err
	}
	school := map[string]string{}
	for _, x := range remedy.Schools(s.Base, sit) {
		school[x.School] = x.Option
	}
	out.Disposal = disposal(k, school["infected-leaves"])
	for _, m := range k.MustNot {
		out.MustNot = append(out.MustNot, strings.ToUpper(m.What[:1])+m.What[1:]+": "+m.Why+".")
	}
	if k.Regulated != "" {
		out.Refer = "Call: " + ident.Authority + ". " + strings.ToUpper(k.Regulated[:1]) + k.Regulated[1:]
		out.Steps = append(out.Steps, s.step("inspect"))
		return out, nil
	}
	for _, sign := range k.Confirms {
		if f := s.Base.Finding(sign.Finding); f != nil {
			for _, st := range sign.States {
				state := f.States[f.State(st)]
				out.LookFor = append(out.LookFor, firstOf(state.Said, f.Short+": "+state.Name))
			}
		}
	}
	if t := c.Treatment; t != nil {
		for _, id := range t.Remedies {
			out.Steps = append(out.Steps, s.step(id))
		}
		out.Together = remedy.Combine(s.Base, k, sit, t.Remedies)
		if t.Note != "" {
			out.Steps = append(out.Steps, SheetStep{Name: "From your advisor", How: []string{t.Note}, Cautions: []string{}, Wear: []string{}})
		}
	}
	if d := c.Days; d != nil {
		for _, on := range d.On {
			out.Days = append(out.Days, spokenDay(on))
		}
		out.Hour = hourText(school["hour"], k.Kind == "disease", c.Intake.InBloom)
	}
	if m := c.Mix; m != nil {
		out.Mix = sheetMix(s.Base.Remedy(m.Remedy), m)
	}
	for _, d := range c.Doses {
		line := fmt.Sprintf("%s: %s (%s would be the range here)", s.Base.Remedy(d.Remedy).Name, d.Placed.Text, d.Placed.Range)
		out.Amounts = append(out.Amounts, append([]string{line}, d.Placed.Lines...)...)
	}
	return out, nil
}

// hourText is the hour of spraying under the school chosen. Whatever it is,
// nothing goes on open flowers by day, and a fungus wants leaves dry by night.
func hourText(school string, fungus, bloom bool) string {
	const (
		evening = "Late in the day, when the sun is off the leaves, it is calm and no rain is due before it dries."
		morning = "On a dry calm morning, early, so that the leaves dry before night; never in hot sun."
	)
	switch {
	case bloom && !fungus:
		return "Only late in the evening, when bees are home, and not onto open flowers."
	case school == "morning" || school != "evening" && fungus:
		return morning
	case fungus:
		return "Towards evening, but early enough that the leaves are dry before night; never in hot sun."
	}
	return evening
}

func (s *Service) step(id string) SheetStep {
	r := s.Base.Remedy(id)
	if r == nil {
		return SheetStep{Name: id, How: []string{}, Cautions: []string{}, Wear: []string{}}
	}
	wear := r.Wear
	if wear == nil {
		wear = []string{}
	}
	return SheetStep{Name: r.Name, How: r.How, Cautions: r.Cautions, Wear: wear, Storage: r.Storage}
}

func sheetMix(r *knowledge.Remedy, m *Mixed) *SheetMix {
	product := strings.TrimSuffix(r.Name, " with emulsifier")
	for _, p := range m.Plan.Buy {
		if p.Name != product {
			product += " with " + strings.ToLower(p.Name)
		}
	}
	out := &SheetMix{Product: product, Order: m.Plan.Order, Notes: append([]string{"Mix only what you use today; label what you mix; never in a drink bottle."}, m.Plan.Warnings...), Lines: []string{}, Buy: []string{}}
	for _, t := range m.Plan.Tanks {
		for _, d := range t.Doses {
			line := fmt.Sprintf("%s into %s of finished mix (with %s of water)", d.Text, t.Text, t.WaterTx)
			if len(t.Doses) > 1 {
				line = d.Text + " of " + strings.ToLower(d.Name) + " into " + t.Text + " of finished mix"
			}
			if d.Spoons != nil && d.Spoons.Text != "" && !d.Spoons.BelowLow {
				kind := map[string]string{"metric": "5 mL teaspoon, 15 mL tablespoon", "us": "US spoons", "imperial": "Imperial spoons", "au": "5 mL teaspoon, 20 mL tablespoon"}[d.Spoons.World]
				of := ""
				if len(t.Doses) > 1 {
					of = " of " + strings.ToLower(d.Name)
				}
				line = fmt.Sprintf("%s%s (%s; %s) into %s of finished mix", d.Spoons.Text, of, d.Text, kind, t.Text)
			}
			if t.Count > 1 {
				line += fmt.Sprintf(", %d times", t.Count)
			}
			out.Lines = append(out.Lines, line)
		}
	}
	for _, b := range m.Plan.Buy {
		times := "one treatment"
		if m.Treatments > 1 {
			times = fmt.Sprintf("all %d treatments", m.Treatments)
		}
		out.Buy = append(out.Buy, fmt.Sprintf("%s of %s for %s", b.Text, strings.ToLower(b.Name), times))
	}
	return out
}

// disposal says where what was cut off goes. The school chosen may bag what
// could be composted, or compost leaf spots hot; what lives on in a heap
// (viruses, wilts, root rots, galls) and what is regulated is never composted.
func disposal(k *knowledge.Cause, school string) string {
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

func longDay(t time.Time) string { return t.Format("Monday 2 January 2006") }

func spokenDay(iso string) string {
	t, err := time.Parse(remedy.DateLayout, iso)
	if err != nil {
		return iso
	}
	return t.Format("Monday 2 January")
}

// effectDays is how long after the last treatment its effect shows.
const effectDays = 7

// HandOver gives the page to the grower and sets the day to ask. Everything
// chosen is checked once more, because a day, the house or the law may have
// changed since.
func (s *Service) HandOver(ctx context.Context, who Person, id string, from int) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	return s.change(ctx, who, id, from, "handover", func(c *Case) (string, error) {
		f := s.facts(&c.Doc)
		if f.HandedOver {
			return "", fault.New("handover", "this round is already handed over", "print it again from the page, or start the next round")
		}
		if err := casework.MayHandOver(f); err != nil {
			return "", err
		}
		if !f.Refer {
			if err := s.mayUse(ctx, c, c.Treatment.Remedies); err != nil {
				return "", err
			}
		}
		today := s.today(ident)
		days := []time.Time{}
		if c.Days != nil {
			for _, d := range c.Days.On {
				if t, err := time.Parse(remedy.DateLayout, d); err == nil {
					days = append(days, t)
				}
			}
		}
		token := randomText(24)
		if c.Page != nil {
			token = c.Page.Token // the grower's link holds
		}
		c.AskOn = casework.AskOn(today, days, effectDays, f.Refer).Format(remedy.DateLayout)
		c.Round++
		c.Handover = &Handover{By: who.Name, At: s.Now(), Token: token, AskOn: c.AskOn}
		if c.Treatment != nil && !f.Refer {
			c.Given = append(c.Given, s.given(c, today)...)
		}
		sheet, err := s.sheet(ctx, c)
		if err != nil {
			return "", err
		}
		c.Page = &Page{Token: token, Sheet: sheet}
		return "handed over; ask on " + spokenDay(c.AskOn), nil
	})
}

// given lists what this round puts on the plant, for the waits of the next.
func (s *Service) given(c *Case, today time.Time) []Treated {
	out := []Treated{}
	for _, id := range c.Treatment.Remedies {
		r := s.Base.Remedy(id)
		if r == nil || r.Kind == "culture" || r.Rung == 0 {
			continue
		}
		on := []string{today.Format(remedy.DateLayout)}
		if c.Days != nil && r == s.repeated(c) {
			on = c.Days.On
		}
		for _, d := range on {
			out = append(out, Treated{What: r.Name, Remedy: id, On: d})
		}
	}
	return out
}

// FollowUpInput is what came of asking.
type FollowUpInput struct {
	Silent bool              `json:"silent,omitempty" doc:"nobody answered"`
	Count  *casework.Recount `json:"count,omitempty"`
	Note   string            `json:"note,omitempty" maxLength:"400"`
}

// FollowUp records a recount, judges it and names the next move. Two silent
// ones in a row raise a call.
func (s *Service) FollowUp(ctx context.Context, who Person, id string, from int, in FollowUpInput) (View, error) {
	ident, _, err := s.Identity(ctx)
	if err != nil {
		return View{}, err
	}
	if !in.Silent && in.Count == nil && strings.TrimSpace(in.Note) == "" {
		return View{}, fault.New("count", "nothing is told", "give the recount, or what the grower said, or that nobody answered")
	}
	return s.change(ctx, who, id, from, "followup", func(c *Case) (string, error) {
		if c.Handover == nil || c.Closing != nil {
			return "", fault.New("handover", "nothing was handed over to ask about", "hand it over first")
		}
		f := FollowUp{At: s.Now(), By: who.Name, Silent: in.Silent, Count: in.Count, Note: in.Note}
		today := s.today(ident)
		if in.Silent {
			n := 1
			for _, x := range slices.Backward(c.FollowUps) {
				if !x.Silent {
					break
				}
				n++
			}
			c.AskOn = today.AddDate(0, 0, 7).Format(remedy.DateLayout)
			text := "no answer; ask again " + spokenDay(c.AskOn)
			if n >= 2 {
				f.Next = &casework.NextMove{Move: "call", Why: "Two without an answer: telephone."}
				text = "no answer twice: telephone"
				c.AskOn = today.Format(remedy.DateLayout)
			}
			c.FollowUps = append(c.FollowUps, f)
			return text, nil
		}
		text := "told: " + in.Note
		if in.Count != nil {
			res, err := casework.Judge(*in.Count)
			if err != nil {
				return "", err
			}
			f.Result = &res
			next := casework.Advise(res.Word, s.borne(c, in.Count.After), c.Round, s.nerve(c))
			f.Next = &next
			text = "recount: " + res.Text + " " + next.Why
		}
		c.AskOn = ""
		c.FollowUps = append(c.FollowUps, f)
		return text, nil
	})
}

func (s *Service) borne(c *Case, after float64) bool {
	if c.Verdict == nil {
		return false
	}
	k := s.Base.Cause(c.Verdict.Cause)
	return after == 0 || k != nil && k.Tolerable.PerUnit > 0 && after <= k.Tolerable.PerUnit
}

func (s *Service) nerve(c *Case) bool {
	if c.Treatment == nil {
		return false
	}
	for _, id := range c.Treatment.Remedies {
		if r := s.Base.Remedy(id); r != nil && r.Mode != "" && r.Mode[0] >= '0' && r.Mode[0] <= '9' {
			return true
		}
	}
	return false
}

// NextRound opens the bench again: repeat keeps the remedy and asks for new
// days; step up and switch also ask for another remedy; look again keeps only
// what was seen.
func (s *Service) NextRound(ctx context.Context, who Person, id string, from int, move string) (View, error) {
	return s.change(ctx, who, id, from, "round", func(c *Case) (string, error) {
		if c.Handover == nil || c.Closing != nil {
			return "", fault.New("handover", "there is no round behind to go on from", "hand it over first")
		}
		switch move {
		case "repeat":
			c.Days = nil
		case "step up", "switch":
			c.Treatment, c.Mix, c.Days = nil, nil, nil
		case "bring back":
			c.Verdict, c.Act, c.Treatment, c.Mix, c.Days = nil, nil, nil, nil, nil
		default:
			return "", fault.New("move", fmt.Sprintf("%q is not a next round", move), "use repeat, step up, switch or bring back")
		}
		c.Handover, c.AskOn = nil, ""
		return "next round: " + move, nil
	})
}

// Close ends a case.
func (s *Service) Close(ctx context.Context, who Person, id string, from int, outcome, note string) (View, error) {
	if who.Role == "trainee" {
		return View{}, ErrForbidden
	}
	return s.change(ctx, who, id, from, "close", func(c *Case) (string, error) {
		if c.Closing != nil {
			return "", fault.New("", "the case is already closed", "open it again to go on")
		}
		if c.Handover == nil && outcome != "lost" && outcome != "unknown" {
			return "", fault.New("outcome", "nothing was handed over, so nothing came of it", `hand it over first, or close it as "unknown" or "lost"`)
		}
		c.Closing = &Closing{At: s.Now(), By: who.Name, Outcome: outcome, Note: note}
		c.AskOn = ""
		return "closed: " + outcome, nil
	})
}

// Reopen takes a closed case up again.
func (s *Service) Reopen(ctx context.Context, who Person, id string, from int) (View, error) {
	return s.change(ctx, who, id, from, "reopen", func(c *Case) (string, error) {
		if c.Closing == nil {
			return "", fault.New("", "the case is not closed", "nothing to do")
		}
		c.Closing = nil
		return "opened again", nil
	})
}
