package main

import (
	"bufio"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
	"text/tabwriter"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/internal/bounded"
	"botanik/internal/compute"
	"botanik/internal/settings"
	"botanik/internal/store"

	"github.com/spf13/cobra"
)

type loadBase func() (*knowledge.Base, error)

// mostLine is the largest input of one computation, and so the longest line of many.
const mostLine = 4 << 20

// errLines is that some of many lines could not be used; each said so in its place.
var errLines = fault.New("", "some lines could not be used", "each says why in its place")

// eachLine works out a computation for each line of the input and answers it on a line of
// its own, in order: the result, or {"line": n, "errors": [...]}.
func eachLine(cmd *cobra.Command, c compute.Computation, b *knowledge.Base) error {
	out := bufio.NewWriter(cmd.OutOrStdout())
	enc := json.NewEncoder(out)
	enc.SetEscapeHTML(false)
	bad := false
	err := bounded.Lines(cmd.InOrStdin(), mostLine, func(line []byte, n int) error {
		res, err := c.Run(b, line)
		switch {
		case fault.Is(err):
			bad = true
			res = map[string]any{"line": n, "errors": fault.From(err)}
		case err != nil:
			return fmt.Errorf("line %d: %w", n, err)
		}
		return enc.Encode(res)
	})
	var large *bounded.TooLarge
	if errors.As(err, &large) {
		err = fault.New(fmt.Sprintf("line %d", large.Line), large.Why, "send one JSON value a line")
	}
	if err = errors.Join(err, out.Flush()); err == nil && bad {
		return errLines
	}
	return err
}

func runCalc(cmd *cobra.Command, name string, base loadBase, lines bool) error {
	c, err := compute.Find(name)
	if err != nil {
		return err
	}
	b, err := base()
	if err != nil {
		return err
	}
	if lines {
		return eachLine(cmd, c, b)
	}
	raw, err := io.ReadAll(io.LimitReader(cmd.InOrStdin(), mostLine+1))
	if err != nil {
		return err
	}
	out, err := c.Run(b, raw)
	if err != nil {
		return err
	}
	return printJSON(cmd.OutOrStdout(), out)
}

func computeCmd(name string, base loadBase) *cobra.Command {
	c, err := compute.Find(name)
	if err != nil {
		panic(err) // the name is compiled in
	}
	var schema, lines bool
	cmd := &cobra.Command{Use: name, Short: c.About + " (JSON in, JSON out)", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		if schema {
			return describe(cmd, name, base)
		}
		return runCalc(cmd, name, base, lines)
	}}
	cmd.Flags().BoolVar(&schema, "schema", false, "print the input and output schema with a worked example")
	cmd.Flags().BoolVar(&lines, "lines", false, "JSON Lines: a value a line in, a result a line out, in one process")
	return cmd
}

func describe(cmd *cobra.Command, name string, base loadBase) error {
	c, err := compute.Find(name)
	if err != nil {
		return err
	}
	b, err := base()
	if err != nil {
		return err
	}
	s, err := c.Describe(b)
	if err != nil {
		return err
	}
	return printJSON(cmd.OutOrStdout(), s)
}

// names of the computations, for completion.
func names() []string {
	out := []string{}
	for _, c := range compute.All() {
		out = append(out, c.Name)
	}
	return out
}

func calcCmd(base loadBase) *cobra.Command {
	var list, schema, asJSON, lines bool
	cmd := &cobra.Command{Use: "calc [NAME]", Short: "Any computation by name (JSON in, JSON out)", Args: cobra.MaximumNArgs(1), ValidArgs: names(), RunE: func(cmd *cobra.Command, args []string) error {
		if list || len(args) == 0 && !schema {
			if asJSON {
				rows := []map[string]string{}
				for _, c := range compute.All() {
					rows = append(rows, map[string]string{"name": c.Name, "about": c.About})
				}
				return printJSON(cmd.OutOrStdout(), rows)
			}
			w := tabwriter.NewWriter(cmd.OutOrStdout(), 0, 4, 2, ' ', 0)
			for _, c := range compute.All() {
				_, _ = fmt.Fprintf(w, "%s\t%s\n", c.Name, c.About)
			}
			return w.Flush()
		}
		if len(args) == 0 {
			return fault.New("name", "no computation is named", "add its name; calc --list shows them")
		}
		if schema {
			return describe(cmd, args[0], base)
		}
		return runCalc(cmd, args[0], base, lines)
	}}
	cmd.Flags().BoolVar(&list, "list", false, "name every computation")
	cmd.Flags().BoolVar(&schema, "schema", false, "print the input and output schema with a worked example")
	cmd.Flags().BoolVar(&asJSON, "json", false, "with --list: as JSON")
	cmd.Flags().BoolVar(&lines, "lines", false, "JSON Lines: a value a line in, a result a line out, in one process")
	return cmd
}

func kbCmd(base loadBase, dir *string) *cobra.Command {
	cmd := &cobra.Command{Use: "kb", Short: "The herbarium: list its vocabulary, check it"}
	var asJSON bool
	var data string
	kinds := []string{"causes", "findings", "hosts", "remedies", "conflicts", "lifetables", "schools", "kinds", "slides"}
	list := &cobra.Command{Use: "list " + strings.Join(kinds[:4], "|"), Short: "Print the vocabulary", Args: func(_ *cobra.Command, args []string) error {
		if len(args) != 1 {
			return fault.New("kind", "one kind of entry is named", "use "+strings.Join(kinds, ", "))
		}
		return nil
	}, ValidArgs: kinds, RunE: func(cmd *cobra.Command, args []string) error {
		if !slices.Contains(kinds, args[0]) {
			return fault.New("kind", fmt.Sprintf("%q is not a kind of entry", args[0]), "use "+strings.Join(kinds, ", "))
		}
		b, err := base()
		if err != nil {
			return err
		}
		return listKind(cmd.OutOrStdout(), b, args[0], asJSON)
	}}
	list.Flags().BoolVar(&asJSON, "json", false, "whole entries as JSON")
	check := &cobra.Command{Use: "check", Short: "Check the herbarium's rules; names file, entry and mend", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		b, err := base()
		if err != nil {
			return err
		}
		problems := knowledge.Check(b)
		if data != "" {
			more, err := houseProblems(cmd.Context(), data, b)
			if err != nil {
				return err
			}
			problems = append(problems, more...)
		}
		for _, p := range problems {
			_, _ = fmt.Fprintln(cmd.OutOrStdout(), p)
		}
		if len(problems) > 0 {
			return fmt.Errorf("%d rules are broken", len(problems))
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "sound: %d causes, %d findings, %d hosts, %d remedies, %d conflicts, %d life tables, %d schools, %d on slides\n", len(b.Causes), len(b.Findings), len(b.Hosts), len(b.Remedies), len(b.Conflicts), len(b.LifeTables), len(b.Schools), len(b.SlideKey.Species))
		return err
	}}
	check.Flags().StringVar(&data, "data", "", "also hold the house's answers in this data folder against the herbarium")
	for _, c := range []*cobra.Command{list, check} {
		c.Flags().StringVar(dir, "dir", *dir, "same as --herbarium")
		_ = c.Flags().MarkHidden("dir")
		cmd.AddCommand(c)
	}
	return cmd
}

// houseProblems is what a desk's house rules name that this herbarium lacks.
func houseProblems(ctx context.Context, dir string, b *knowledge.Base) ([]knowledge.Problem, error) {
	st, err := store.Attach(ctx, dir)
	if err != nil {
		return nil, err
	}
	rules, _, err := settings.New(st, b, time.Now).Rules(ctx)
	out := []knowledge.Problem{}
	if err == nil {
		for _, f := range fault.From(settings.Check(b, rules)) {
			out = append(out, knowledge.Problem{File: dir, Entry: "house rules, " + f.Field, What: f.Problem, Mend: f.Mend})
		}
	}
	return out, errors.Join(err, st.Close())
}

func listKind(w io.Writer, b *knowledge.Base, kind string, asJSON bool) error {
	var all any
	tw := tabwriter.NewWriter(w, 0, 4, 2, ' ', 0)
	line := func(cells ...string) { _, _ = fmt.Fprintln(tw, strings.Join(cells, "\t")) }
	switch kind {
	case "causes":
		all = b.Causes
		for _, c := range b.Causes {
			line(c.ID, c.Name, c.Kind, c.Group)
		}
	case "findings":
		all = b.Findings
		for _, f := range b.Findings {
			st := []string{}
			for _, s := range f.States {
				st = append(st, s.ID)
			}
			line(f.ID, f.Name, f.Part, f.How, strings.Join(st, "|"))
		}
	case "hosts":
		all = b.Hosts
		for _, h := range b.Hosts {
			line(h.ID, h.Name, h.Scientific, h.Family, h.Form)
		}
	case "remedies":
		all = b.Remedies
		for _, r := range b.Remedies {
			line(r.ID, fmt.Sprint(r.Rung), r.Name, r.Kind)
		}
	case "conflicts":
		all = b.Conflicts
		for _, c := range b.Conflicts {
			line(c.A, c.B, fmt.Sprint(c.DaysAtoB), fmt.Sprint(c.DaysBtoA), c.Tank)
		}
	case "schools":
		all = b.Schools
		for _, x := range b.Schools {
			line(x.ID, x.Default, x.Question)
		}
	case "slides":
		all = b.SlideKey
		for _, s := range b.SlideKey.Species {
			line(s.ID, s.Group, s.Name, s.Scientific)
		}
	case "kinds":
		all = b.KindRules
		for _, r := range b.KindRules {
			line(r.ID, strings.Join(r.Kinds, " "), strings.Join(r.Classes, " "))
		}
	case "lifetables":
		all = b.LifeTables
		for _, l := range b.LifeTables {
			line(l.ID, l.Name)
		}
	}
	if asJSON {
		return printJSON(w, all)
	}
	return tw.Flush()
}
