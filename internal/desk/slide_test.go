package desk_test

import (
	"context"
	"strings"
	"testing"

	"botanik/core/differential"
	"botanik/core/fault"
	"botanik/core/microscopy"
	"botanik/internal/casefile"
	"botanik/internal/desk"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Whatever species of the key is a cause of the book leads both: keyed on a slide, and
// ranked by the looks its answers give.
func TestKeyAndLooksAgree(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	key := b.Base().SlideKey.Of("armored scale")
	checked, keyed, sure, leads := 0, 0, 0, 0
	for _, s := range key.Species {
		c := b.Base().Cause(s.Cause)
		if c == nil || len(c.Hosts) == 0 {
			continue
		}
		keyed++
		seen := []microscopy.Seen{}
		for _, ch := range key.Characters {
			if r, ok := s.Ranges[ch.ID]; ok {
				seen = append(seen, microscopy.Seen{Character: ch.ID, Ratio: (r[0] + r[1]) / 2, SD: .02})
			} else if st := s.States[ch.ID]; len(st) > 0 {
				seen = append(seen, microscopy.Seen{Character: ch.ID, State: st[0]})
			}
		}
		a, err := b.Key(ctx, desk.KeyInput{Group: "armored scale", Seen: seen})
		require.NoError(t, err)
		assert.Equal(t, s.ID, a.Fits[0].Species)
		if a.Sure {
			sure++
		}
		looks := []differential.Look{}
		slides := 0
		for _, l := range a.Looks {
			looks = append(looks, differential.Look{Finding: l.Finding, State: l.State, Certainty: l.Certainty})
			if c.Findings[l.Finding] != nil {
				slides++
			}
		}
		if slides < 4 {
			continue // the book does not tell it on a slide
		}
		checked++
		on := ""
		for _, h := range b.Base().Hosts {
			if c.AtHome(h) && (on == "" || c.Hosts[h.ID] == "strong") {
				on = h.ID
			}
		}
		r := b.Engine().Rank(differential.Circumstances{Host: on}, looks)
		if r.Leader == c.ID {
			leads++
		}
		first := []string{}
		for _, x := range r.Candidates[:3] {
			first = append(first, x.Cause)
		}
		assert.Contains(t, first, c.ID, "by the looks of %s", s.ID)
	}
	assert.GreaterOrEqual(t, checked, 8)
	assert.GreaterOrEqual(t, leads, checked*3/4, "what leads by the key leads by the looks; some pairs the looks' five lines do not tell apart")
	assert.GreaterOrEqual(t, sure, keyed*2/3, "with every answer right most names hold against any one answer")
}

func TestASlideIsHeldAgainstPlantAndLooks(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.keep(b.CheckIn(ctx, b.who, casefile.Intake{Grower: "Ilse", Plant: "rose", Place: "garden", Story: "x"}, ""))
	for f, s := range map[string]string{"walkers": "many", "silk": "yes", "walker-spots": "yes"} {
		if i := b.Base().Finding(f).State(s); i < 0 {
			s = b.Base().Finding(f).States[0].ID
		}
		b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: f, State: s}))
	}
	seen := []microscopy.Seen{{Character: "body", State: "kidney"}, {Character: "birth-pores", State: "none"}, {Character: "patches", State: "there"}, {Character: "plates", State: "clubbed"}, {Character: "lobes", State: "three"}}
	a, err := b.Key(ctx, desk.KeyInput{Group: "armored scale", Case: b.v.ID, Seen: seen})
	require.NoError(t, err)
	assert.Equal(t, "red-scale", a.Fits[0].Cause)
	assert.Contains(t, a.Notes[len(a.Notes)-1], "points to Two-spotted spider mite", "what was seen on the plant speaks for something else")
	b.keep(b.CheckIn(ctx, b.who, casefile.Intake{Grower: "Ilse", Plant: "oleander", Place: "greenhouse", Story: "x"}, ""))
	b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "main-sign", State: "lumps"}))
	oleander := []microscopy.Seen{{Character: "lobes", State: "three"}, {Character: "birth-pores", State: "four"}, {Character: "opening-lobe", Ratio: .7, SD: .04}, {Character: "body", State: "round"}}
	before, err := b.Key(ctx, desk.KeyInput{Group: "armored scale", Case: b.v.ID, Seen: oleander})
	require.NoError(t, err)
	assert.NotContains(t, strings.Join(before.Notes, " "), "would not explain")
	b.keep(b.Look(ctx, b.who, b.v.ID, b.v.Version, differential.Look{Finding: "sticky", State: "yes"}))
	after, err := b.Key(ctx, desk.KeyInput{Group: "armored scale", Case: b.v.ID, Seen: oleander})
	require.NoError(t, err)
	require.Equal(t, "oleander-scale", after.Fits[0].Cause)
	assert.Contains(t, strings.Join(after.Notes, " "), "Oleander scale would not explain what was seen on the plant", "armored scales make no honeydew")
	lemon, err := b.Key(ctx, desk.KeyInput{Group: "armored scale", Host: "holly", Seen: seen})
	require.NoError(t, err)
	assert.Contains(t, lemon.Notes[0], "not usually met on this plant")
	for field, in := range map[string]desk.KeyInput{
		"group":             {Group: "moss"},
		"host":              {Group: "mite", Host: "triffid"},
		"seen[0].character": {Group: "mite", Seen: []microscopy.Seen{{Character: "lobes", State: "one"}}},
		"seen[0].state":     {Group: "mite", Seen: []microscopy.Seen{{Character: "flat", State: "round"}}},
		"seen[1].character": {Group: "mite", Seen: []microscopy.Seen{{Character: "flat", State: "flat"}, {Character: "flat", State: "domed"}}},
		"seen[0].ratio":     {Group: "armored scale", Seen: []microscopy.Seen{{Character: "opening-lobe", State: "above"}}},
		"seen[0].sd":        {Group: "armored scale", Seen: []microscopy.Seen{{Character: "opening-lobe", Ratio: 1, SD: -1}}},
	} {
		_, err := b.Key(ctx, in)
		list := fault.From(err)
		require.NotEmpty(t, list, field)
		assert.Equal(t, field, list[0].Field)
	}
}

// What was measured comes into the case with its certainty, and onto the picture.
func TestWhatWasMeasuredIsKept(t *testing.T) {
	b := open(t)
	ctx := context.Background()
	b.keep(b.CheckIn(ctx, b.who, bean, ""))
	b.keep(b.LookAt(ctx, b.who, b.v.ID, b.v.Version, desk.LookInput{Look: differential.Look{Finding: "slide-gap", State: "far", Certainty: "think"}, Measured: "2.10 (1.90 to 2.31): 84 in 100 above 2."}))
	assert.Contains(t, b.v.Looks[0].Measured, "84 in 100")
	story, err := b.Story(ctx, b.v.ID)
	require.NoError(t, err)
	assert.Contains(t, story[len(story)-1].Text, "measured 2.10")
	_, err = b.MarkPhoto(ctx, b.who, b.v.ID, b.v.Version, "none", desk.MarksInput{})
	assert.ErrorIs(t, err, desk.ErrNotFound)
}
