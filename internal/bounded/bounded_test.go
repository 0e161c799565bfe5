package bounded_test

import (
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"reflect"
	"runtime"
	"strings"
	"testing"

	"botanik/internal/bounded"

	"github.com/goccy/go-yaml"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// repeated gives one sign so many times without holding them.
type repeated struct {
	sign byte
	left int
}

func (r *repeated) Read(p []byte) (int, error) {
	if r.left == 0 {
		return 0, io.EOF
	}
	n := min(len(p), r.left)
	for i := range n {
		p[i] = r.sign
	}
	r.left -= n
	return n, nil
}

// within runs f and answers by how many bytes the heap grew at most, roughly: what was
// allocated in all, which is more.
func within(f func()) uint64 {
	var was, is runtime.MemStats
	runtime.GC()
	runtime.ReadMemStats(&was)
	f()
	runtime.ReadMemStats(&is)
	return is.TotalAlloc - was.TotalAlloc
}

// 60 MB of commas, 60 MB of one cell, 60 MB inside one quotation mark: told in the line it
// begins in, before it is held.
func TestATableWithoutEndIsRefusedBeforeItIsHeld(t *testing.T) {
	for name, body := range map[string]io.Reader{
		"commas": &repeated{',', 60 << 20},
		"a cell": &repeated{'a', 60 << 20},
		"quoted": io.MultiReader(strings.NewReader(`"`), &repeated{'\n', 60 << 20}),
	} {
		var err error
		grew := within(func() {
			r := csv.NewReader(bounded.NewCSV(io.MultiReader(strings.NewReader("a,b,c\n1,2,3\n"), body), ',', 1<<20, 1000))
			r.FieldsPerRecord = -1
			for err == nil {
				_, err = r.Read()
			}
		})
		var large *bounded.TooLarge
		require.ErrorAs(t, err, &large, name)
		assert.Equal(t, 3, large.Line, name)
		assert.Less(t, grew, uint64(16<<20), name)
	}
}

// A stray quotation mark ends with its line for the reader of CSV, so it has to here: forty
// thousand rows after it are still rows.
func TestAStrayMarkEndsWithItsLine(t *testing.T) {
	text := "a,b\n5\" pot,x\n" + strings.Repeat("1,\"two\nlines\"\n", 40_000)
	r := csv.NewReader(bounded.NewCSV(strings.NewReader(text), ',', 4<<10, 100))
	r.FieldsPerRecord = -1
	rows, bad := 0, 0
	for {
		_, err := r.Read()
		var parse *csv.ParseError
		if errors.Is(err, io.EOF) {
			break
		}
		if errors.As(err, &parse) {
			bad++
			continue
		}
		require.NoError(t, err)
		rows++
	}
	assert.Equal(t, []int{40_001, 1}, []int{rows, bad})
}

func all(r io.Reader) ([][]string, string) {
	c := csv.NewReader(r)
	c.FieldsPerRecord = -1
	out := [][]string{}
	for {
		row, err := c.Read()
		if errors.Is(err, io.EOF) {
			return out, ""
		}
		var parse *csv.ParseError
		if errors.As(err, &parse) {
			out = append(out, []string{"error", fmt.Sprint(parse.StartLine)})
			continue
		}
		if err != nil {
			return out, err.Error()
		}
		out = append(out, row)
	}
}

// Within its bounds it changes nothing that is read; and it never refuses a text that is
// shorter than one record may be.
func FuzzCSVIsReadAsWithoutBounds(f *testing.F) {
	for _, s := range []string{"a,b\n1,2\n", "\"a\"\"b\",c\r\n\"d\ne\",f", "x\"y,z\n\"q\"r,s\n", "\"open\n,,,", "\"a\" ,b\n", "\r\n\r\n,\"\"\n"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, text string) {
		if len(text) > 3000 {
			return
		}
		want, werr := all(strings.NewReader(text))
		got, gerr := all(bounded.NewCSV(strings.NewReader(text), ',', 4000, 4000))
		if werr != gerr || !reflect.DeepEqual(want, got) {
			t.Fatalf("%q: %v %q, was %v %q", text, got, gerr, want, werr)
		}
	})
}

func TestLinesAreHeldToTheirLength(t *testing.T) {
	got := []string{}
	read := func(text string) error {
		got = nil
		return bounded.Lines(strings.NewReader(text), 70_000, func(line []byte, n int) error {
			got = append(got, fmt.Sprintf("%d %s", n, line[:min(9, len(line))]))
			return nil
		})
	}
	require.NoError(t, read("{\"a\":1}\n\n  \n{\"b\":2}"))
	assert.Equal(t, []string{"1 {\"a\":1}", "4 {\"b\":2}"}, got)
	require.NoError(t, read(strings.Repeat("x", 66_000)+"\nshort"), "longer than the buffer, shorter than the most")
	require.ErrorContains(t, read("one\n"+strings.Repeat("x", 71_000)), "line 2 is longer")
	var err error
	grew := within(func() {
		err = bounded.Lines(&repeated{'x', 200 << 20}, 1<<20, func([]byte, int) error { return nil })
	})
	require.Error(t, err)
	assert.Less(t, grew, uint64(16<<20))
	stop := errors.New("stop")
	require.ErrorIs(t, bounded.Lines(strings.NewReader("a\nb"), 100, func([]byte, int) error { return stop }), stop)
}

func TestJSONIsCountedBeforeItIsDecoded(t *testing.T) {
	assert.NoError(t, bounded.JSON([]byte(`{"a":[1,2,{"b":"[[[[,,,,"}]}`), 3, 6))
	assert.ErrorContains(t, bounded.JSON([]byte(`[[[[1]]]]`), 3, 100), "deep")
	assert.ErrorContains(t, bounded.JSON([]byte(`[1,2,3,4,5]`), 3, 4), "values")
	assert.NoError(t, bounded.JSON([]byte(`"\"[[[["`), 1, 1), "what stands in a text is no list")
}

// The sheets of the attack: each refused, quickly and in little memory.
func TestASheetThatGrowsIsRefused(t *testing.T) {
	long := strings.Repeat("x", 20_000)
	merges := "- &a {id: k}\n"
	for i := range 13 {
		merges += fmt.Sprintf("- &k%d\n  <<: [*a, *a, *a, *a]\n", i)
	}
	for name, sheet := range map[string]string{
		"brackets":      strings.Repeat("[", 200_000),
		"spread":        strings.Repeat("[a, ", 60_000),
		"maps":          strings.Repeat("{a: ", 60_000),
		"dashes":        strings.Repeat("- ", 100_000) + "x",
		"merges":        merges,
		"an alias":      "- &a [1]\n- *a\n",
		"a long text":   "- id: " + long,
		"a long quote":  "- id: \"" + long + "\"",
		"a long block":  "- id: |\n  " + long,
		"a large sheet": strings.Repeat("- id: a\n", 40_000),
	} {
		var err error
		grew := within(func() { err = bounded.YAML([]byte(sheet)) })
		require.Error(t, err, name)
		assert.Less(t, grew, uint64(200<<20), name)
	}
	require.NoError(t, bounded.YAML([]byte("- id: a & b\n  name: 'x: [y] *'\n  list: [a, {b: [c]}]\n  text: 5 * 3 << 4\n")), "signs inside texts are texts")
}

func TestAKeyThatStandsTwiceIsFound(t *testing.T) {
	for text, want := range map[string]string{
		`{"a":1,"b":{"c":2,"c":3}}`: "b.c", `{"a":1,"a":2}`: "a", `[{"x":[{"y":1,"y":2}]}]`: "x.y", `{"a":"a","b":["a","a"],"c":{"a":1}}`: "", `{"a":1}{"a":2}`: "", `{"a":`: "", `"a"`: "", `{"a":{},"b":{},"a":1}`: "a",
	} {
		assert.Equal(t, want, bounded.Twice([]byte(text)), text)
	}
}

// What is let through is decoded by the library without growing out of its bounds; what is
// not is refused in words. Neither ends the program.
func FuzzSheet(f *testing.F) {
	for _, s := range []string{"- id: a\n  hosts: {bean: usual}\n", "- &a {b: c}\n- <<: *a\n", "[[[[", "a: |\n  b\n", "? [a]\n: {b: 'c'}\n", "%YAML 1.2\n---\n- !!binary aGk=\n", "- \"\\u0000\"\n"} {
		f.Add([]byte(s))
	}
	f.Fuzz(func(t *testing.T, raw []byte) {
		if len(raw) > 20_000 || bounded.YAML(raw) != nil {
			return
		}
		var into any
		grew := within(func() { _ = yaml.Unmarshal(raw, &into) })
		if most := uint64(8<<20) + 4000*uint64(len(raw)); grew > most {
			t.Fatalf("%d bytes grew to %d", len(raw), grew)
		}
	})
}

// A document written by the library has no key twice, and one with a key of it put in again
// has.
func FuzzKeysThatStandTwice(f *testing.F) {
	f.Add(`{"a":{"b":[1,{"c":"}{"}]}}`)
	f.Add(`[{"\\":""}]`)
	f.Fuzz(func(t *testing.T, text string) {
		_ = bounded.Twice([]byte(text))
		var doc any
		if json.Unmarshal([]byte(text), &doc) != nil {
			return
		}
		clean, err := json.Marshal(doc)
		require.NoError(t, err)
		if got := bounded.Twice(clean); got != "" {
			t.Fatalf("%s: %q", clean, got)
		}
		if o, ok := doc.(map[string]any); ok && len(o) > 0 {
			for k := range o {
				key, _ := json.Marshal(k)
				if got := bounded.Twice([]byte(strings.TrimSuffix(string(clean), "}") + "," + string(key) + ":0}")); got != k {
					t.Fatalf("%s with %q again: %q", clean, k, got)
				}
			}
		}
	})
}
