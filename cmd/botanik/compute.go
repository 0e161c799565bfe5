package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"
	"text/tabwriter"
	"time"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/internal/calc"
	"botanik/internal/house"
	"botanik/internal/store"

	"github.com/spf13/cobra"
)

type loadBase func() (*knowledge.Base, error)

func runCalc(cmd *cobra.Command, name string, base loadBase) error {
	c, err := calc.Find(name)
	if err != nil {
		return err
	}
	raw, err := io.ReadAll(io.LimitReader(cmd.InOrStdin(), 5<<20))
	if err != nil {
		return err
	}
	b, err := base()
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
	c, err := calc.Find(name)
	if err != nil {
		panic(err) // the name is compiled in
	}
	var schema bool
	cmd := &cobra.Command{Use: name, Short: c.About + " (JSON in, JSON out)", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		if schema {
			return describe(cmd, name, base)
		}
		return runCalc(cmd, name, base)
	}}
	cmd.Flags().BoolVar(&schema, "schema", false, "print the input and output schema with a worked example")
	return cmd
}

func describe(cmd *cobra.Command, name string, base loadBase) error {
	c, err := calc.Find(name)
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

func calcCmd(base loadBase) *cobra.Command {
	var list, schema, asJSON bool
	cmd := &cobra.Command{Use: "calc [NAME]", Short: "Any computation by name (JSON in, JSON out)", Args: cobra.MaximumNArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		if list || len(args) == 0 && !schema {
			if asJSON {
				rows := []map[string]string{}
				for _, c := range calc.All() {
					rows = append(rows, map[string]string{"name": c.Name, "about": c.About})
				}
				return printJSON(cmd.OutOrStdout(), rows)
			}
			w := tabwriter.NewWriter(cmd.OutOrStdout(), 0, 4, 2, ' ', 0)
			for _, c := range calc.All() {
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
		return runCalc(cmd, args[0], base)
	}}
	cmd.Flags().BoolVar(&list, "list", false, "name every computation")
	cmd.Flags().BoolVar(&schema, "schema", false, "print the input and output schema with a worked example")
	cmd.Flags().BoolVar(&asJSON, "json", false, "with --list: as JSON")
	return cmd
}

func kbCmd(base loadBase, dir *string) *cobra.Command {
	cmd := &cobra.Command{Use: "kb", Short: "The herbarium: list its vocabulary, check it"}
	var asJSON bool
	var data string
	kinds := []string{"causes", "findings", "hosts", "remedies", "conflicts", "lifetables", "schools", "kinds", "slides"}
	list := &cobra.Command{Use: "list " + strings.Join(kinds[:4], "|"), Short: "Print the vocabulary", Args: cobra.ExactArgs(1), ValidArgs: kinds, RunE: func(cmd *cobra.Command, args []string) error {
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
	rules, _, err := house.New(st, b, time.Now).Rules(ctx)
	out := []knowledge.Problem{}
	if err == nil {
		for _, f := range fault.From(house.Check(b, rules)) {
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
