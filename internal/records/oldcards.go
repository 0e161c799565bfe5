package records

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
	"time"

	"botanik/core/casework"
	"botanik/core/civil"
	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/core/knowledge"
	"botanik/core/season"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/interchange"
	"botanik/internal/store"
)

// OldCard is a record of before as it is understood.
type OldCard struct {
	Number  string `json:"number,omitempty"`
	Brought string `json:"brought"`
	Grower  string `json:"grower,omitempty"`
	Contact string `json:"contact,omitempty"`
	Plant   string `json:"plant"`
	Host    string `json:"host,omitempty"`
	Place   string `json:"place"`
	Square  string `json:"square,omitempty"`
	Story   string `json:"story,omitempty"`
	Cause   string `json:"cause,omitempty"`
	Called  string `json:"called,omitempty" doc:"what it was called, where the herbarium does not know it"`
	Remedy  string `json:"remedy,omitempty"`
	Outcome string `json:"outcome"`
	Note    string `json:"note,omitempty"`
}

// eachCard reads a table of old records: out is told what columns, rows and refusals there
// are, f gets each record that can be taken. in is filled in with what is guessed.
func (s *Service) eachCard(ctx context.Context, m desk.Moment, file io.ReadSeeker, in *ImportInput, out *ImportReading, f func(line int, c OldCard) error) error {
	t, err := interchange.OpenTable(file)
	if err != nil {
		return err
	}
	out.Columns, out.Encoding, out.Doubts = t.Names, t.Encoding, append(out.Doubts, t.Doubts...)
	if in.Columns == nil {
		in.Columns = interchange.Guess(t.Names)
	}
	out.Used = in.CardMapping
	if left := in.Unread(t.Names); len(left) > 0 {
		out.Doubts = append(out.Doubts, "Read from no column, and not taken in: "+strings.Join(left, ", ")+".")
	}
	at, err := in.Index(t.Names)
	if err != nil {
		return err
	}
	if in.Days == "" {
		iso := false
		if in.Days, iso, err = dayOrder(ctx, file, at["brought"]); err != nil {
			return err
		}
		if in.Days == "" && !iso {
			out.Doubts = append(out.Doubts, "No day tells whether the day or the month comes first; the day is taken to. Choose the other where that is wrong.")
		}
		in.Days = cmp.Or(in.Days, "day first")
		if _, err := file.Seek(0, io.SeekStart); err != nil {
			return err
		}
		if t, err = interchange.OpenTable(file); err != nil {
			return err
		}
	}
	out.Used.Days = in.Days
	read := s.cardReader(m, in, at)
	for {
		row, line, err := t.Next()
		var torn interchange.Unreadable
		switch {
		case errors.Is(err, io.EOF):
			return nil
		case errors.As(err, &torn):
			return torn.Unwrap() // nothing after it can be read, so nothing of it is kept
		}
		if ctx.Err() != nil {
			return ctx.Err()
		}
		if err == nil && !slices.ContainsFunc(row, func(c string) bool { return c != "" }) {
			continue
		}
		out.Rows++
		var c OldCard
		if err == nil {
			c, err = read(row)
		}
		if err == nil {
			err = f(line, c)
		}
		switch {
		case err == nil:
			out.Good++
		case fault.Is(err):
			out.Refused++
			if len(out.Refusals) < mostRefusals {
				x := fault.From(err)[0]
				out.Refusals = append(out.Refusals, RefusedRow{line, fmt.Sprintf("%s %s; %s", x.Field, x.Problem, x.Mend)})
			}
		default:
			return err
		}
	}
}

// dayOrder looks through a table's days for one that says how they are written; all ISO
// where each stands as YYYY-MM-DD, which leaves nothing to be asked.
func dayOrder(ctx context.Context, file io.ReadSeeker, column int) (order string, iso bool, err error) {
	if _, err := file.Seek(0, io.SeekStart); err != nil {
		return "", false, err
	}
	t, err := interchange.OpenTable(file)
	if err != nil {
		return "", false, err
	}
	var o interchange.DayOrder
	iso = true
	for {
		row, _, err := t.Next()
		var torn interchange.Unreadable
		switch {
		case errors.As(err, &torn):
			return "", false, torn.Unwrap()
		case errors.Is(err, io.EOF):
			return o.Read(), iso, nil
		case ctx.Err() != nil:
			return "", false, ctx.Err()
		case err == nil:
			day := row[column]
			o.See(day)
			if _, bad := civil.Parse(day[:min(len(day), 10)]); day != "" && bad != nil {
				iso = false
			}
		case !fault.Is(err):
			return "", false, err
		}
	}
}

// placesOf are words old cards have for where a plant grows.
var placesOf = map[string]string{"inside": "indoors", "house": "indoors", "room": "indoors", "glasshouse": "greenhouse", "glass": "greenhouse", "tunnel": "greenhouse", "pot": "balcony", "patio": "balcony", "terrace": "balcony", "outdoors": "garden", "outside": "garden", "bed": "garden", "allotment": "garden"}

// outcomesOf are words old cards have for how it ended.
var outcomesOf = map[string]string{"": "unknown", "cured": "cleared", "gone": "cleared", "improved": "better", "same": "no change", "unchanged": "no change", "died": "lost", "dead": "lost", "sent on": "referred", "?": "unknown"}

// cardReader reads rows as records. Errors name the field.
func (s *Service) cardReader(m desk.Moment, in *ImportInput, at map[string]int) func(row []string) (OldCard, error) {
	causes := map[string]string{}
	for _, k := range m.Book.Causes {
		for _, n := range []string{k.Scientific, k.Name, k.ID} {
			if n != "" {
				causes[strings.ToLower(n)] = k.ID
			}
		}
	}
	remedies := map[string]string{}
	for _, r := range m.Book.Remedies {
		for _, n := range append(slices.Clone(r.Aliases), r.Name, r.ID) {
			remedies[strings.ToLower(n)] = r.ID
		}
	}
	hosts := map[string]string{}
	return func(row []string) (OldCard, error) {
		cell := func(target string, most int) string {
			if i, ok := at[target]; ok {
				return humanise.Short(humanise.Text(row[i]), most)
			}
			return ""
		}
		c := OldCard{Number: cell("number", 20), Grower: cell("grower", 80), Contact: cell("contact", 120), Plant: cell("plant", 80), Place: strings.ToLower(cell("place", 40)), Square: strings.ToUpper(cell("square", 8)), Story: cell("story", 600), Note: cell("note", 400), Outcome: strings.ToLower(cell("outcome", 40))}
		var l fault.List
		day, err := interchange.ReadDay("brought", cell("brought", 40), in.Days)
		switch {
		case err != nil:
			l.AddErr("", err)
		case day.After(m.Today):
			l.Add("brought", day.String()+" lies in the future", "give the day it was brought in")
		case day.Year() < 1900:
			l.Add("brought", day.String()+" lies before 1900", "write the year with four digits")
		}
		c.Brought = day.String()
		if c.Plant == "" {
			l.Add("plant", "is empty", `write the plant, or "unknown"`)
		}
		host, known := hosts[c.Plant]
		if !known {
			if h := m.Book.HostCalled(c.Plant); h != nil {
				host = h.ID
			}
			hosts[c.Plant] = host
		}
		c.Host = host
		c.Place = cmp.Or(placesOf[c.Place], c.Place, "garden")
		if !slices.Contains(knowledge.Places, c.Place) {
			l.Add("place", fmt.Sprintf("%q is not a place", c.Place), "use "+strings.Join(knowledge.Places, ", "))
		}
		if c.Square != "" && !season.OnGrid(c.Square) {
			l.Add("square", fmt.Sprintf("%q is no square of the district", c.Square), "use A1 to I9, or map no column")
		}
		if said := cell("cause", 120); said != "" {
			if c.Cause = causes[strings.ToLower(said)]; c.Cause == "" {
				c.Called = said
				if !in.Loose && !slices.Contains([]string{"undetermined", "unknown", "?", "-"}, strings.ToLower(said)) {
					l.Add("cause", fmt.Sprintf("%q is not in the herbarium", humanise.Short(said, 40)), "write a name of the herbarium, or keep unknown names as notes")
				}
			}
		}
		if said := cell("remedy", 200); said != "" {
			if first, rest, many := strings.Cut(said, ";"); many && remedies[strings.ToLower(first)] != "" { // our own table
				said = first
				c.Note = strings.TrimSpace("Also: " + rest + ". " + c.Note)
			}
			if c.Remedy = remedies[strings.ToLower(said)]; c.Remedy == "" {
				c.Note = strings.TrimSpace("Advised: " + said + ". " + c.Note)
			}
		}
		if c.Outcome = cmp.Or(outcomesOf[c.Outcome], c.Outcome); !slices.Contains(casework.Outcomes, c.Outcome) {
			l.Add("outcome", fmt.Sprintf("%q is no end", c.Outcome), "use "+strings.Join(casework.Outcomes, ", "))
		}
		return c, l.Err()
	}
}

// keepCards takes old records in.
func (s *Service) keepCards(ctx context.Context, m desk.Moment, f io.ReadSeeker, in ImportInput, batch string, out *Imported, tell func(int)) error {
	persons := map[string]string{}
	var list []store.Incoming
	flush := func() error {
		became, _, err := s.Store.ImportCases(ctx, batch, list)
		out.In += len(became)
		list = list[:0]
		return err
	}
	reading := ImportReading{}
	numbers := map[string]bool{}
	err := s.eachCard(ctx, m, f, &in, &reading, func(line int, c OldCard) error {
		tell(reading.Rows)
		if c.Number != "" {
			taken := numbers[c.Number]
			if !taken {
				_, n, err := s.Store.Find(ctx, store.CaseQuery{Number: c.Number, Most: 1})
				if err != nil {
					return err
				}
				taken = n > 0
			}
			if taken {
				return fault.New("number", fmt.Sprintf("%q is here already", c.Number), "leave the row out, or map no column to the number")
			}
			numbers[c.Number] = true
		}
		x, err := s.cardCase(ctx, m, c, persons)
		if err != nil {
			return err
		}
		list = append(list, x)
		if len(list) == chunk {
			return flush()
		}
		return nil
	})
	out.Refused, out.Refusals = reading.Refused, reading.Refusals
	if err != nil {
		return err
	}
	return flush()
}

// cardIndex is who is said to have written old records.
const cardIndex = "the card index"

// cardCase is an old record as a closed case.
func (s *Service) cardCase(ctx context.Context, m desk.Moment, card OldCard, persons map[string]string) (store.Incoming, error) {
	day, err := civil.Parse(card.Brought)
	if err != nil {
		return store.Incoming{}, err
	}
	at := day.Midnight(m.Clock).Add(12 * time.Hour)
	if at.After(m.Now) {
		at = m.Now
	}
	in := casefile.Intake{Grower: cmp.Or(card.Grower, store.Nobody), Contact: card.Contact, Plant: card.Plant, Host: card.Host, Place: card.Place, Square: card.Square, Story: card.Story}
	if in.Grower != store.Nobody {
		key := strings.ToLower(in.Grower) + "|" + desk.Reached(in.Contact)
		if in.Person = persons[key]; in.Person == "" {
			if err := s.NamePerson(ctx, m, &in, nil); err != nil {
				return store.Incoming{}, err
			}
			persons[key] = in.Person
		}
	}
	d := casefile.New(in)
	v := &casefile.Verdict{Cause: card.Cause, Degree: "settled", By: cardIndex, At: at}
	if card.Cause == "" {
		v.Degree = "undetermined"
		if card.Called != "" {
			v.Note = "called: " + card.Called
		}
	}
	d.Verdict = v
	if card.Remedy != "" {
		d.Rounds = []casefile.Round{{Treatment: &casefile.Treatment{Remedies: []string{card.Remedy}, By: cardIndex}, Given: []casefile.Treated{{What: card.Remedy, Remedy: card.Remedy, On: card.Brought}}}}
	}
	d.Closing = &casefile.Closing{At: at, By: cardIndex, Outcome: card.Outcome, Note: card.Note}
	c := desk.Case{ID: desk.NewID(at), Number: card.Number, Version: 1, Stage: casework.Closed, CreatedAt: at, UpdatedAt: at, Doc: d}
	row, err := s.Row(m.Book, &c)
	if err != nil {
		return store.Incoming{}, err
	}
	return store.Incoming{Case: row, Year: day.Year(), Story: []store.ImportLine{{Seq: 1, At: store.Stamp(at), Who: cardIndex, Kind: "in", Text: "taken over from older records", After: row.Doc}}}, nil
}
