package knowledge

import "slices"

// KindRule is what holds for every cause of a kind or a class, so that no cause
// has to repeat it. A cause's own words always win: a rule fills what is empty,
// and adds what must not be done where the cause neither forbids nor offers it.
type KindRule struct {
	ID        string    `json:"id" yaml:"id"`
	Kinds     []string  `json:"kinds,omitempty" yaml:"kinds" doc:"kinds it holds for; empty for any"`
	Classes   []string  `json:"classes,omitempty" yaml:"classes" doc:"classes it holds for; empty for any"`
	But       []string  `json:"but,omitempty" yaml:"but" doc:"causes it does not hold for"`
	Spread    string    `json:"spread,omitempty" yaml:"spread"`
	Recovers  string    `json:"recovers,omitempty" yaml:"recovers"`
	Tolerable Tolerable `json:"tolerable" yaml:"tolerable"`
	MustNot   []MustNot `json:"mustNot,omitempty" yaml:"must_not"`
	Source    string    `json:"source" yaml:"source"`
	From      string    `json:"from,omitempty" yaml:"-"`
}

// Holds reports whether the rule speaks of a cause.
func (r *KindRule) Holds(c *Cause) bool {
	return (len(r.Kinds) == 0 || slices.Contains(r.Kinds, c.Kind)) &&
		(len(r.Classes) == 0 || slices.Contains(r.Classes, c.Class)) &&
		!slices.Contains(r.But, c.ID)
}

// whole is the cause with what holds for its kind; c itself stays as written.
func (b *Base) whole(c *Cause) *Cause {
	out := *c
	out.MustNot = slices.Clone(c.MustNot)
	for _, r := range b.KindRules {
		if !r.Holds(c) {
			continue
		}
		fill(&out.Spread, r.Spread)
		fill(&out.Recovers, r.Recovers)
		if out.Tolerable.Text == "" && r.Tolerable.Text != "" {
			out.Tolerable = r.Tolerable
		}
		for _, m := range r.MustNot {
			if !slices.ContainsFunc(out.MustNot, func(x MustNot) bool { return x.What == m.What || m.Remedy != "" && x.Remedy == m.Remedy }) &&
				!slices.ContainsFunc(c.Actions, func(a Action) bool { return m.Remedy != "" && a.Remedy == m.Remedy }) {
				out.MustNot = append(out.MustNot, m)
			}
		}
	}
	return &out
}

func fill(into *string, text string) {
	if *into == "" {
		*into = text
	}
}

func (k *checker) kindRule(r *KindRule) {
	k.at(r.From, "kind rule", r.ID)
	k.need("source", r.Source, `name it in general terms or write "judgement"`)
	if len(r.Kinds)+len(r.Classes) == 0 {
		k.say("holds for everything", "name the kinds or classes it holds for")
	}
	for _, w := range r.Kinds {
		k.word("kinds", w, Kinds)
	}
	for _, m := range r.MustNot {
		k.need("must_not.why", m.Why, "say why not")
		if m.Remedy != "" {
			k.remedyRef("must_not", m.Remedy)
		}
	}
	for _, id := range r.But {
		if k.b.Cause(id) == nil {
			k.say("but names "+id+", which is not here", "correct the id")
		}
	}
	if !slices.ContainsFunc(k.b.Causes, r.Holds) {
		k.say("holds for no cause", "correct its kinds and classes, or remove it")
	}
}
