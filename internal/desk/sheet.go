package desk

import (
	"context"
	"fmt"
	"strings"

	"botanik/core/civil"
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
	Again    string      `json:"again,omitempty" doc:"said when the desk has taken the case up again since"`
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
	if c.Page == nil {
		return s.sheet(ctx, &c)
	}
	out := c.Page.Sheet
	if c.Handover == nil && c.Closing == nil {
		out.Again = "We are looking at your plant once more. Ask us before the next treatment; this is the page of last time."
	}
	return out, nil
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
		day = civil.Of(c.Handover.At, ident.zone())
	}
	out := Sheet{Number: c.Number, Desk: ident.Name, Place: ident.Place, Date: day.Long(), Plant: c.Intake.Plant, Grower: c.Intake.Grower, Sure: sureWords[c.Verdict.Degree], Advisor: c.Verdict.By, Always: remedy.Always, Why: []string{}, LookFor: []string{}, Steps: []SheetStep{}, Days: []string{}, MustNot: []string{}, Together: []string{}, Amounts: []string{}, Handed: c.Handover != nil}
	if c.Verdict.ReviewedBy != "" {
		out.Advisor = c.Verdict.By + ", agreed by " + c.Verdict.ReviewedBy
	}
	if c.Handover != nil {
		out.Token = c.Handover.Token
	}
	if c.AskOn != "" {
		out.AskOn = spokenDay(c.AskOn, day)
	}
	if k == nil {
		out.Title = "Not yet known"
		out.What = "What you brought does not fit anything we know well enough to name. Guessing would not help you, so it is sent on to people who can tell."
		out.Refer = "It goes to: " + ident.Lab + "."
		out.Steps = append(out.Steps, s.step(remedy.KeepApart))
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
	out.Disposal = remedy.Disposal(k, school["infected-leaves"])
	for _, m := range k.MustNot {
		out.MustNot = append(out.MustNot, strings.ToUpper(m.What[:1])+m.What[1:]+": "+m.Why+".")
	}
	if k.Regulated != "" {
		out.Refer = "Call: " + ident.Authority + ". " + strings.ToUpper(k.Regulated[:1]) + k.Regulated[1:]
		out.Steps = append(out.Steps, s.step(remedy.KeepApart))
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
			out.Days = append(out.Days, spokenDay(on, day))
		}
		out.Hour = remedy.Hour(school["hour"], k.Kind == "disease", c.Intake.InBloom)
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

func sheetMix(r *knowledge.Remedy, m *KeptMix) *SheetMix {
	product := r.Product()
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

// spokenDay says a day that was written down, with its year when that is
// another than today's.
func spokenDay(iso string, today civil.Day) string {
	d, err := civil.Parse(iso)
	if err != nil {
		return iso
	}
	return d.Spoken(today)
}
