package casework

import (
	"regexp"
	"slices"
	"strconv"
	"strings"

	"botanik/core/civil"
	"botanik/core/humanise"
	"botanik/core/knowledge"
)

// EarlierSpray is one thing a grower says was put on: their word for it, the day
// it likely was, and what it can have been. Meant is empty when nothing in the
// herbarium answers to the word, and holds several ids when more than one does.
type EarlierSpray struct {
	What  string    `json:"what"`
	On    civil.Day `json:"on"`
	Meant []string  `json:"meant"`
	Dated bool      `json:"dated"` // a day was said; today is taken where none was
}

var (
	reISO   = regexp.MustCompile(`\b\d{4}-\d{2}-\d{2}\b`)
	reAgo   = regexp.MustCompile(`(?i)(?:^|\s)(\d{1,4}|an?|one|two|three|four|five|six|seven|eight|nine|ten|couple of)\s*(weeks?|wks?|w|months?|days?|d)?\b\s*(ago|back|before)?\s*$`)
	reLast  = regexp.MustCompile(`(?i)\b(last|this)\s+(week|month|night|evening|morning)\b`)
	reDay   = regexp.MustCompile(`(?i)\b(?:(?:on|last|this)\s+)*(sun|mon|tue|tues|wed|wednes|thu|thur|thurs|fri|sat|satur)(?:day)?\b`)
	reNear  = regexp.MustCompile(`(?i)\b(today|yesterday)\b`)
	reSplit = regexp.MustCompile(`(?i)[,;\n+&]|\s+(?:and then|and|then)\s+`)
	numbers = map[string]int{"a": 1, "an": 1, "one": 1, "two": 2, "couple of": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7, "eight": 8, "nine": 9, "ten": 10}
	dayOf   = map[string]int{"sun": 0, "mon": 1, "tue": 2, "wed": 3, "thu": 4, "fri": 5, "sat": 6}
)

// ReadEarlier reads what a grower says was put on the plant, in their words:
// "soap 9 days ago", "oil 2 weeks ago and copper on Tuesday", "neem 2026-07-01".
// A part without a day of its own takes the next one's. At most most parts.
func ReadEarlier(b *knowledge.Base, text string, today civil.Day, most int) []EarlierSpray {
	out := []EarlierSpray{}
	for _, part := range reSplit.Split(humanise.Text(text), -1) {
		part = strings.Join(strings.Fields(part), " ")
		if part == "" || len(out) == most {
			continue
		}
		what, on, dated := readDay(part, today)
		if what == "" {
			what = part
		}
		out = append(out, EarlierSpray{What: what, On: on, Meant: RemediesCalled(b, what), Dated: dated})
	}
	for i := len(out) - 2; i >= 0; i-- {
		if !out[i].Dated && out[i+1].Dated {
			out[i].On, out[i].Dated = out[i+1].On, true
		}
	}
	return out
}

// readDay takes the day out of a part, and leaves the rest.
func readDay(part string, today civil.Day) (what string, on civil.Day, dated bool) {
	cut := func(at []int) string {
		return strings.Trim(strings.Join(strings.Fields(part[:at[0]]+" "+part[at[1]:]), " "), " .:-")
	}
	if at := reISO.FindStringIndex(part); at != nil {
		if d, err := civil.Parse(part[at[0]:at[1]]); err == nil {
			return cut(at), d, true
		}
	}
	if at := reNear.FindStringIndex(part); at != nil {
		if strings.EqualFold(part[at[0]:at[1]], "yesterday") {
			today = today.Add(-1)
		}
		return cut(at), today, true
	}
	if at := reLast.FindStringSubmatchIndex(part); at != nil {
		word := strings.ToLower(part[at[4]:at[5]])
		back := map[string]int{"week": 7, "month": 30, "night": 1, "evening": 1}[word]
		if strings.EqualFold(part[at[2]:at[3]], "this") {
			back = 0
		}
		return cut(at), today.Add(-back), true
	}
	if at := reDay.FindStringSubmatchIndex(part); at != nil {
		back := (int(today.Weekday()) - dayOf[strings.ToLower(part[at[2]:at[2]+3])] + 7) % 7
		if back == 0 {
			back = 7
		}
		return cut(at), today.Add(-back), true
	}
	if at := reAgo.FindStringSubmatchIndex(part); at != nil {
		word, unit, ago := strings.ToLower(part[at[2]:at[3]]), "", at[6] >= 0
		if at[4] >= 0 {
			unit = strings.ToLower(part[at[4]:at[5]])
		}
		n, err := strconv.Atoi(word)
		if err != nil {
			n = numbers[word]
		}
		// "a" alone is no number of days; "9" alone is, as a desk writes it.
		if err == nil || unit != "" || ago {
			switch {
			case strings.HasPrefix(unit, "w"):
				n *= 7
			case strings.HasPrefix(unit, "m"):
				n *= 30
			}
			return cut(at[:2]), today.Add(-min(n, 3660)), true
		}
	}
	return part, today, false
}

// RemediesCalled lists the remedies a word could mean: by id, name, ingredient
// or other name, whole or inside a longer phrase; the longest name that fits
// wins. A word several answer to ("neem", "oil") gives them all.
func RemediesCalled(b *knowledge.Base, words string) []string {
	said := " " + letters(words) + " "
	best, out := 0, []string{}
	for _, r := range b.Remedies {
		if r.Kind == "culture" && len(r.Aliases) == 0 || r.Kind == "action" && len(r.Aliases) == 0 {
			continue // care is not sprayed, and its names are everyday words
		}
		for _, name := range append([]string{r.ID, r.Name}, r.Aliases...) {
			n := letters(name)
			if n == "" || !strings.Contains(said, " "+n+" ") {
				continue
			}
			switch {
			case len(n) > best:
				best, out = len(n), []string{r.ID}
			case len(n) == best && !slices.Contains(out, r.ID):
				out = append(out, r.ID)
			}
		}
	}
	return out
}

var reLetters = regexp.MustCompile(`[^\p{L}\p{N}]+`)

func letters(s string) string {
	return strings.TrimSpace(reLetters.ReplaceAllString(strings.ToLower(s), " "))
}
