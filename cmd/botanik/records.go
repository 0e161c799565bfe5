package main

import (
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"runtime/debug"
	"strings"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/records"
	"botanik/internal/store"

	"github.com/spf13/cobra"
)

// atTheConsole is who works by the command line: whoever may start the program may do what a
// coordinator does.
var atTheConsole = desk.Person{ID: "console", Name: "the command line", Role: accounts.Coordinator}

func exportCmd(base loadBase) *cobra.Command {
	var in records.ExportInput
	cmd := &cobra.Command{Use: "export cases|looks|treatments|bundle|darwin-core FILE", Short: "Write records into a file, beside a desk that works too (docs/records.md)", Args: cobra.ExactArgs(2), ValidArgs: []string{"cases", "looks", "treatments", "bundle", "darwin-core"}, RunE: func(cmd *cobra.Command, args []string) (err error) {
		in.What = args[0]
		b, err := sound(base)
		if err != nil {
			return err
		}
		st, err := store.Attach(cmd.Context(), dataDir())
		if err != nil {
			return err
		}
		defer func() { err = errors.Join(err, st.Close()) }()
		// Written beside its name and moved there when it is whole.
		part := args[1] + ".part"
		if _, err := os.Stat(args[1]); !errors.Is(err, fs.ErrNotExist) {
			return fault.New("file", args[1]+" is there already", "choose another name, or take it away")
		}
		out, err := os.OpenFile(part, os.O_CREATE|os.O_TRUNC|os.O_WRONLY, 0o600)
		if err != nil {
			return err
		}
		said, err := records.New(desk.New(st, b, nil, time.Now)).ExportTo(cmd.Context(), atTheConsole, in, out)
		if err = errors.Join(err, out.Close()); err != nil {
			return errors.Join(err, os.Remove(part))
		}
		if err := os.Rename(part, args[1]); err != nil {
			return err
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "%s: %s\n", args[1], said)
		return err
	}}
	cmd.Flags().BoolVar(&in.People, "people", false, "a table with names, addresses and growers' own words")
	cmd.Flags().StringVar(&in.License, "license", "", "of a Darwin Core archive: CC0-1.0, CC-BY-4.0 or CC-BY-NC-4.0")
	cmd.Flags().StringVar(&in.Coarse, "where", "", "how exactly a Darwin Core archive says where: square, desk or none")
	return cmd
}

func importCmd(base loadBase) *cobra.Command {
	var in records.ImportInput
	var look bool
	cmd := &cobra.Command{Use: "import FILE", Short: "Take a bundle, old cards or sheets of the herbarium in; the desk must be stopped (docs/records.md)", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) (err error) {
		f, err := os.Open(args[0])
		if err != nil {
			return fault.New("file", fmt.Sprintf("%q cannot be read", args[0]), "give a CSV or a zip")
		}
		defer func() { _ = f.Close() }()
		o, err := openDesk(cmd.Context(), base, dataDir(), nil)
		if err != nil {
			return err
		}
		defer func() { err = errors.Join(err, o.close()) }()
		if _, err := o.desk.ClearWork(cmd.Context()); err != nil {
			return err
		}
		if look {
			reading, err := o.desk.ReadFile(cmd.Context(), atTheConsole, f, in)
			if err != nil {
				return err
			}
			return printJSON(cmd.OutOrStdout(), reading)
		}
		_, out, err := o.desk.BringIn(cmd.Context(), atTheConsole, filepath.Base(args[0]), f, in)
		if err != nil {
			return err
		}
		return printJSON(cmd.OutOrStdout(), out)
	}}
	cmd.Flags().BoolVar(&look, "look", false, "only say what the file holds, and keep nothing")
	cmd.Flags().BoolVar(&in.Loose, "loose", false, "of old cards: keep what the herbarium does not know as a note, undetermined")
	cmd.Flags().StringSliceVar(&in.Take, "take", nil, "of a bundle: house documents to be taken over, like house,messages; none unless it is said")
	cmd.Flags().StringVar(&in.Days, "days", "", "of old cards: how 3/4/2024 is meant, 'day first' or 'month first'")
	return cmd
}

func versionCmd(base loadBase) *cobra.Command {
	return &cobra.Command{Use: "version", Short: "Which program and which book this is", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		b, err := base()
		if err != nil {
			return err
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "%s\nbook %s: %d causes, %d remedies\ntables %d\n", programVersion(), b.Digest(), len(b.Causes), len(b.Remedies), store.NewestTables())
		return err
	}}
}

// programVersion is what the program was built from, as far as it knows.
func programVersion() string {
	info, ok := debug.ReadBuildInfo()
	if !ok {
		return "botanik"
	}
	said := []string{"botanik"}
	for _, s := range info.Settings {
		switch {
		case s.Key == "vcs.revision":
			said = append(said, s.Value[:min(12, len(s.Value))])
		case s.Key == "vcs.time":
			said = append(said, s.Value)
		case s.Key == "vcs.modified" && s.Value == "true":
			said = append(said, "with changes")
		}
	}
	return strings.Join(append(said, info.GoVersion), " ")
}
