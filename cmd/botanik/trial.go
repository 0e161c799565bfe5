package main

import (
	"io"
	"os"

	"botanik/core/differential"
	"botanik/core/evaluation"
	"botanik/core/fault"
	"botanik/core/knowledge"

	"github.com/spf13/cobra"
)

// trialCmd holds the ranking against a file of independent cases.
func trialCmd(base func() (*knowledge.Base, error)) *cobra.Command {
	var again string
	cmd := &cobra.Command{Use: "trial FILE", Short: "rank independent cases and say how far it was right", Args: cobra.ExactArgs(1), RunE: func(c *cobra.Command, args []string) error {
		b, err := base()
		if err != nil {
			return err
		}
		cases, err := fromFile(args[0], "FILE", evaluation.Read)
		if err != nil {
			return err
		}
		if again != "" {
			more, err := fromFile(again, "again", evaluation.ReadAgain)
			if err != nil {
				return err
			}
			cases = evaluation.Enter(cases, more)
		}
		e := differential.NewEngine(b)
		var entered, followed []evaluation.Outcome
		for _, x := range cases {
			entered = append(entered, evaluation.Ask(e, x))
			followed = append(followed, evaluation.Follow(e, x))
		}
		evaluation.Print(c.OutOrStdout(), entered, followed)
		return nil
	}}
	cmd.Flags().StringVar(&again, "again", "", "file with what was entered again, laid over the cases")
	return cmd
}

// fromFile reads a file, its trouble told as that of the argument that named it.
func fromFile[T any](path, arg string, read func(io.Reader) (T, error)) (T, error) {
	f, err := os.Open(path)
	if err != nil {
		var none T
		return none, fault.New(arg, err.Error(), "name a file that can be read")
	}
	defer f.Close() //nolint:errcheck // it was only read
	out, err := read(f)
	if err != nil {
		return out, fault.New(arg, err.Error(), "give a list of cases as ../shared/trial/README.md tells")
	}
	return out, nil
}
