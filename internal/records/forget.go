package records

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"regexp"
	"slices"
	"strings"

	"botanik/core/fault"
	"botanik/core/humanise"
	"botanik/internal/casefile"
	"botanik/internal/desk"
	"botanik/internal/store"
)

// Mention is a place where a part of a person's name stands by itself.
type Mention struct {
	Word   string `json:"word" doc:"the part of the name"`
	Case   string `json:"case"`
	Number string `json:"number"`
	Text   string `json:"text" doc:"the words around it"`
}

// Mentions are where parts of a person's name stand alone in their cases: "says Tamsin". Such
// a word may be theirs or a plant's (rose, basil), so a person decides which go.
func (s *Service) Mentions(ctx context.Context, who desk.Person, id string) ([]Mention, error) {
	g, cases, err := s.CasesOf(ctx, who, id)
	if err != nil {
		return nil, err
	}
	out := []Mention{}
	for _, word := range casefile.NameParts(g.Name) {
		re := regexp.MustCompile(`(?i)(?:^|[^\pL\pN])(` + regexp.QuoteMeta(word) + `)(?:$|[^\pL\pN])`)
		for _, r := range cases {
			c, err := s.Read(ctx, r.ID)
			if err != nil {
				return nil, err
			}
			for _, text := range desk.SaidIn(&c.Doc) {
				if at := re.FindStringSubmatchIndex(text); at != nil && len(out) < desk.MostOfOne {
					out = append(out, Mention{word, r.ID, r.Number, humanise.Short(text[max(0, strings.LastIndexAny(text[:at[2]], ".;\n")+1):], 80)})
				}
			}
		}
	}
	return out, nil
}

// ForgetGrower takes a person out of the desk on request: the cases stay, the person goes.
// Their full name and addresses go from the cases of others as well, the name only where
// nobody else has it; also are parts of the name that go from their own cases. It answers
// how many cases were theirs, and what of them is still in copies. Coordinators only. Errors
// name person or also.
func (s *Service) ForgetGrower(ctx context.Context, who desk.Person, id string, also []string) (ForgottenAs, error) {
	g, cases, err := s.CasesOf(ctx, who, id)
	if err != nil {
		return ForgottenAs{}, err
	}
	for i, w := range also {
		if !slices.Contains(casefile.NameParts(g.Name), w) {
			return ForgottenAs{}, fault.New(fmt.Sprintf("also[%d]", i), fmt.Sprintf("%q is no part of the name", w), "use the words the mentions list")
		}
	}
	reach := []string{g.Contact, desk.ReachOf(g.Contact)}
	for _, r := range cases {
		c, err := s.Read(ctx, r.ID)
		if err != nil {
			return ForgottenAs{}, err
		}
		reach = append(reach, c.Intake.Contact, desk.ReachOf(c.Intake.Contact))
	}
	slices.Sort(reach)
	reach = slices.DeleteFunc(slices.Compact(reach), func(x string) bool { return x == "" })
	same, err := s.Store.GrowersNamed(ctx, g.Name)
	if err != nil {
		return ForgottenAs{}, err
	}
	wide := slices.Clone(reach)
	if len(same) < 2 && strings.Contains(g.Name, " ") { // a first name alone may be anybody's
		wide = append(wide, g.Name)
	}
	rows, err := s.Store.Mentioning(ctx, id, wide)
	if err != nil {
		return ForgottenAs{}, err
	}
	if err := s.endPages(ctx, who, cases); err != nil {
		return ForgottenAs{}, err
	}
	others := []string{}
	for _, r := range rows {
		if !slices.Contains(others, r.ID) {
			others = append(others, r.ID)
		}
	}
	n, err := s.Store.Forget(ctx, store.Forgotten{Person: id, Own: slices.Concat([]string{g.Name}, reach, also), Wide: wide, Others: others, Searched: slices.Concat(longParts(g.Name), reach, []string{g.Name})})
	if err != nil {
		return ForgottenAs{}, err
	}
	out := ForgottenAs{Cases: n, Exports: s.DropExports()}
	out.Copies, out.Gone, err = s.copiesHold(ctx)
	return out, err
}

// ForgottenAs is what came of forgetting somebody.
type ForgottenAs struct {
	Cases   int    `json:"cases" doc:"that were theirs; they stay, without them"`
	Exports int    `json:"exports" doc:"finished files of records that were taken away, since they stood in them"`
	Copies  int    `json:"copies" doc:"copies of the desk's file in which they still are"`
	Gone    string `json:"gone,omitempty" doc:"the day the last of those copies goes by itself, YYYY-MM-DD; empty where none does"`
}

// endPages ends the pages of somebody's cases and lets their pictures go, each with a line
// in its story.
func (s *Service) endPages(ctx context.Context, who desk.Person, cases []store.Case) error {
	m, err := s.Moment(ctx)
	if err != nil {
		return err
	}
	writes := []store.Write{}
	for _, r := range cases {
		x, err := s.WorkOut(ctx, m, who, r.ID, r.Version, "forget", func(_ desk.Moment, c *desk.Case) (string, error) {
			c.Photos = []casefile.Photo{}
			if c.Page != nil {
				p := *c.Page
				p.Ended = true
				c.Page = &p
			}
			return "forgotten on request: the page is ended, the pictures are gone", nil
		})
		if err != nil {
			return err
		}
		if !x.Same {
			writes = append(writes, x.Write)
		}
	}
	return s.Store.SetCases(ctx, writes...)
}

// copiesHold counts the copies of the desk's file that were written before now, and says
// when the last of them is taken away by newer ones; no day where copies are not written by
// the clock.
func (s *Service) copiesHold(ctx context.Context) (n int, gone string, err error) {
	entries, err := os.ReadDir(s.BackupFolder())
	if errors.Is(err, fs.ErrNotExist) {
		return 0, "", nil
	}
	if err != nil {
		return 0, "", err
	}
	for _, e := range entries {
		if backupName.MatchString(e.Name()) {
			n++
		}
	}
	k, _, err := s.House.Keeping(ctx)
	if err != nil || n == 0 {
		return n, "", err
	}
	m, err := s.Moment(ctx)
	if err != nil {
		return n, "", err
	}
	if every := map[string]int{"day": 1, "week": 7}[k.Every]; every > 0 {
		gone = m.Today.Add(every * k.Keep).String()
	}
	return n, gone, nil
}

// longParts are the parts of a name that are long enough to be looked for by.
func longParts(name string) []string {
	return slices.DeleteFunc(casefile.NameParts(name), func(w string) bool { return len([]rune(w)) < 4 })
}
