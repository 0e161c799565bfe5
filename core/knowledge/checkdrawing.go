package knowledge

import (
	_ "embed" // the words of drawings
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"sync"
)

//go:embed drawingwords.json
var drawingWordsFile []byte

// drawable is every word a drawing can be asked for: the table the page draws by, kept in
// drawingwords.json by web/scripts/words.mjs.
type drawable struct {
	Subjects []string            `json:"subjects"`
	Plants   []string            `json:"plants"`
	Leaves   []string            `json:"leaves"`
	Bodies   []string            `json:"bodies"`
	Signs    map[string][]string `json:"signs"` // by part
	Traits   map[string][]string `json:"traits"`
	Slide    []string            `json:"slide"`
}

var drawingWords = sync.OnceValue(func() (w drawable) {
	if err := json.Unmarshal(drawingWordsFile, &w); err != nil {
		panic("drawingwords.json: " + err.Error()) // compiled in, and written by a program
	}
	return w
})

// partDrawn is the part of a plant a subject shows, as partOf in web/src/plates/things.tsx
// has it; empty where the creature is all there is.
func partDrawn(subject string) string {
	for _, part := range []string{"root", "stem"} {
		if strings.HasPrefix(subject, part) {
			return part
		}
	}
	switch subject {
	case "fruit", "flower", "pot", "plant", "turf":
		return subject
	case "pest":
		return ""
	}
	return "leaf"
}

// drawing holds what is drawn of a cause to the words there are.
func (k *checker) drawing(c *Cause) {
	k.at(c.From, "cause", c.ID)
	w := drawingWords()
	subject, _ := c.Drawing["subject"].(string)
	for _, key := range slices.Sorted(maps.Keys(c.Drawing)) {
		v := c.Drawing[key]
		switch key {
		case "subject":
			k.drawn(key, v, w.Subjects)
		case "plant":
			k.drawn(key, v, w.Plants)
		case "leaf":
			k.drawn(key, v, w.Leaves)
		case "body":
			k.drawn(key, v, w.Bodies)
		case "damage":
			if part := partDrawn(subject); part != "" {
				k.drawn(key, v, w.Signs[part])
			}
		case "slide":
			if of, ok := v.(map[string]any); ok {
				for _, x := range slices.Sorted(maps.Keys(of)) {
					k.drawn("slide", x, w.Slide)
				}
			}
		default:
			k.trait(key, v)
		}
	}
}

// stateDrawing holds what a recorded state adds to a drawing to the words there are.
func (k *checker) stateDrawing(f *Finding) {
	w := drawingWords()
	all := slices.Concat(slices.Collect(maps.Values(w.Signs))...)
	for _, st := range f.States {
		if st.Drawing == nil {
			continue
		}
		k.at(f.From, "finding", f.ID+"="+st.ID)
		for _, l := range st.Drawing.Layers {
			k.drawn("layers", l, w.Signs["leaf"])
		}
		for _, of := range []map[string]any{st.Drawing.Animals, st.Drawing.Add, st.Drawing.Refine} {
			for _, key := range slices.Sorted(maps.Keys(of)) {
				switch key {
				case "body":
					k.drawn(key, of[key], w.Bodies)
				case "damage":
					k.drawn(key, of[key], all)
				default:
					k.trait(key, of[key])
				}
			}
		}
	}
}

func (k *checker) trait(key string, v any) {
	words, known := drawingWords().Traits[key]
	if text := fmt.Sprint(v); key == "spot" && strings.HasPrefix(text, "#") {
		return
	}
	if !known {
		k.style(fmt.Sprintf("drawing has %q, which nothing draws by", key), "use one of the traits of core/knowledge/drawingwords.json")
		return
	}
	k.drawn(key, v, words)
}

// drawn reports every word of a value that the kit cannot draw.
func (k *checker) drawn(key string, v any, words []string) {
	list, ok := v.([]any)
	if !ok {
		list = []any{v}
	}
	for _, x := range list {
		if text := fmt.Sprint(x); !slices.Contains(words, text) {
			k.style(fmt.Sprintf("drawing's %s has %q, which cannot be drawn", key, text), "use a word of core/knowledge/drawingwords.json, or draw it first")
		}
	}
}
