package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"io/fs"
	"os"
	"os/signal"
	"runtime/debug"
	"syscall"

	"botanik/core/fault"
	"botanik/core/knowledge"
	"botanik/herbarium"
	"botanik/web"

	"github.com/spf13/cobra"
)

// Exit codes: 1 for trouble of ours, 2 for input that cannot be used.
const (
	exitTrouble = 1
	exitInput   = 2
)

func main() {
	// A desk lives in a few dozen megabytes; pictures unfold for a moment. The
	// collector is asked to keep that moment short. GOMEMLIMIT has the last word.
	if os.Getenv("GOMEMLIMIT") == "" {
		debug.SetMemoryLimit(160 << 20)
	}
	os.Exit(run())
}

func run() int {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	if err := root().ExecuteContext(ctx); err != nil {
		return report(os.Stderr, err)
	}
	return 0
}

// report prints bad input as JSON that names each field and its mend.
func report(w io.Writer, err error) int {
	if !fault.Is(err) {
		_, _ = fmt.Fprintln(w, "botanik:", err)
		return exitTrouble
	}
	enc := json.NewEncoder(w)
	enc.SetIndent("", "  ")
	enc.SetEscapeHTML(false)
	_ = enc.Encode(map[string]any{"errors": fault.From(err)})
	return exitInput
}

func root() *cobra.Command {
	var dir string
	cmd := &cobra.Command{Use: "botanik", Short: "The plant desk: diagnose, advise, mix, follow up", SilenceUsage: true, SilenceErrors: true, Version: programVersion()}
	cmd.SetVersionTemplate("{{.Version}}\n")
	cmd.PersistentFlags().StringVar(&dir, "herbarium", os.Getenv("BOTANIK_HERBARIUM"), "folder with a desk's own entries, laid over ours")
	base := func() (*knowledge.Base, error) {
		if dir == "" {
			return herbarium.Embedded(), nil
		}
		return herbarium.Load(dir)
	}
	cmd.AddCommand(serveCmd(base), demoCmd(base), computeCmd("diagnose", base), computeCmd("advise", base), computeCmd("mix", base), calcCmd(base), trialCmd(base), kbCmd(base, &dir), userCmd(), backupCmd(), restoreCmd(), exportCmd(base), importCmd(base), versionCmd(base), stationCmd(), openapiCmd(), licencesCmd())
	return cmd
}

// licencesCmd prints what ships inside the program with its licences, as make build gathered them.
func licencesCmd() *cobra.Command {
	return &cobra.Command{Use: "licences", Short: "Print the licences of all that ships inside the program", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		text, err := fs.ReadFile(web.Dist(), "licences.txt")
		if err != nil {
			return errors.New("the page is not built yet, and the licences with it; run: make build")
		}
		_, err = cmd.OutOrStdout().Write(text)
		return err
	}}
}

func printJSON(w io.Writer, v any) error {
	enc := json.NewEncoder(w)
	enc.SetIndent("", "  ")
	enc.SetEscapeHTML(false)
	return enc.Encode(v)
}
