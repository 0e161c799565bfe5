package mix

import (
	"fmt"
	"math/big"
	"strconv"
	"strings"

	"botanik/core/fault"
)

// Quantity is an exact amount in a declared unit.
type Quantity struct {
	Value *big.Rat
	Unit  Unit
}

// Base returns the amount in mL or g.
func (q Quantity) Base() *big.Rat { return new(big.Rat).Mul(q.Value, q.Unit.Base) }

// In converts to another unit of the same dimension, exactly.
func (q Quantity) In(u Unit) (Quantity, error) {
	if u.Dim != q.Unit.Dim {
		return Quantity{}, fault.New("unit", fmt.Sprintf("%s measures %s and %s measures %s", q.Unit.Name, q.Unit.Dim, u.Name, u.Dim), "choose a unit of "+string(q.Unit.Dim))
	}
	return Quantity{new(big.Rat).Quo(q.Base(), u.Base), u}, nil
}

// String shows the value to at most four decimals with its unit.
func (q Quantity) String() string { return Decimal(q.Value, 4) + " " + q.Unit.Name }

// Decimal shows an exact number to at most n decimals without trailing zeros.
func Decimal(r *big.Rat, n int) string {
	s := r.FloatString(n)
	if strings.Contains(s, ".") {
		s = strings.TrimRight(strings.TrimRight(s, "0"), ".")
	}
	if s == "-0" {
		s = "0"
	}
	return s
}

// maxDigits keeps a typed number from growing into a machine-filling one.
const maxDigits = 24

// ParseNumber reads "2", "0.5", "1/2", "1 1/2" and "½" exactly.
func ParseNumber(s string) (*big.Rat, error) {
	t := strings.TrimSpace(s)
	for glyph, text := range map[string]string{"½": " 1/2", "¼": " 1/4", "¾": " 3/4", "⅓": " 1/3", "⅔": " 2/3", "⅛": " 1/8"} {
		t = strings.ReplaceAll(t, glyph, text)
	}
	bad := fault.New("value", fmt.Sprintf("%q is not a number", s), "write it like 2, 0.5 or 1 1/2")
	fields := strings.Fields(t)
	if len(fields) == 0 || len(fields) > 2 || len(t) > maxDigits {
		return nil, bad
	}
	sum := new(big.Rat)
	for i, f := range fields {
		if strings.ContainsAny(f, "eExXpP_+") || (i == 1 && !strings.Contains(f, "/")) || (len(fields) == 2 && i == 0 && strings.ContainsAny(f, "/.")) {
			return nil, bad
		}
		r, ok := new(big.Rat).SetString(f)
		if !ok {
			return nil, bad
		}
		sum.Add(sum, r)
	}
	if sum.Sign() < 0 {
		return nil, fault.New("value", fmt.Sprintf("%q is below zero", s), "amounts are zero or more")
	}
	return sum, nil
}

// ParseQuantity reads an amount with its unit, such as "1 L", "1/2 US gal".
func ParseQuantity(s string) (Quantity, error) {
	t := strings.TrimSpace(s)
	i := len(t)
	for j, r := range t {
		if !strings.ContainsRune("0123456789./ -½¼¾⅓⅔⅛", r) {
			i = j
			break
		}
	}
	num, word := t[:i], strings.TrimSpace(t[i:])
	// "2 20 mL tbsp" and "20 mL tbsp": the 20 belongs to the spoon's name.
	if low := strings.ToLower(word); strings.HasPrefix(low, "ml tbsp") || strings.HasPrefix(low, "ml tablespoon") {
		n := strings.TrimSpace(num)
		if strings.HasSuffix(n, "20") {
			num, word = strings.TrimSpace(strings.TrimSuffix(n, "20")), "20 "+word
			if num == "" {
				num = "1"
			}
		}
	}
	v, err := ParseNumber(num)
	if err != nil {
		if strings.TrimSpace(num) == "" {
			return Quantity{}, fault.New("value", fmt.Sprintf("%q has no number in front", s), "write an amount with its unit, like 1 L")
		}
		return Quantity{}, err
	}
	u, err := FindUnit(word)
	if err != nil {
		return Quantity{}, err
	}
	return Quantity{v, u}, nil
}

// Convert gives the same physical amount in another unit.
func Convert(amount, unit string) (Quantity, error) {
	var faults fault.List
	q, err := ParseQuantity(amount)
	faults.AddErr("amount", err)
	u, err := FindUnit(unit)
	if err != nil {
		faults.AddErr("", faultAt("to", err))
	}
	if faults.Err() != nil {
		return Quantity{}, faults
	}
	return q.In(u)
}

// Converted is the same physical amount in another unit: Number as a person
// types it (at most six significant figures) and Exact as a fraction, so that
// switching there and back never moves an amount.
type Converted struct {
	Text   string  `json:"text"`
	Number string  `json:"number"`
	Value  float64 `json:"value"`
	Exact  string  `json:"exact" doc:"exact value as a fraction, ready as the number of an amount"`
	Unit   string  `json:"unit"`
}

// ConvertedTo answers Convert with its exact and its readable value. An exact
// value too long to be read back is left out.
func ConvertedTo(amount, unit string) (Converted, error) {
	if u, ok := areaUnits[unit]; ok {
		a, err := ParseArea(amount)
		if err != nil {
			return Converted{}, faultAt("amount", err)
		}
		return converted(a.Quo(a, u), unit), nil
	}
	if out, ok, err := convertMeasure(amount, unit); ok {
		return out, err
	}
	q, err := Convert(amount, unit)
	if err != nil {
		return Converted{}, err
	}
	out := converted(q.Value, q.Unit.Name)
	out.Text = q.String()
	return out, nil
}

func converted(v *big.Rat, unit string) Converted {
	f := float(v)
	out := Converted{Text: Decimal(v, 2) + " " + unit, Number: plain(f), Value: f, Unit: unit}
	if s := v.RatString(); len(s) <= maxDigits {
		out.Exact = s
	}
	return out
}

func faultAt(field string, err error) error {
	var l fault.List
	for _, f := range fault.From(err) {
		l.Add(field, f.Problem, f.Mend)
	}
	return l
}

// plain writes six significant figures without an exponent.
func plain(v float64) string {
	short, _ := strconv.ParseFloat(strconv.FormatFloat(v, 'g', 6, 64), 64)
	return strconv.FormatFloat(short, 'f', -1, 64)
}
