package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"log/slog"
	"os"
	"path/filepath"
	"strings"
	"time"

	"botanik/core/knowledge"
	"botanik/internal/demo"
	"botanik/internal/desk"
	"botanik/internal/httpapi"
	"botanik/internal/store"
	"botanik/web"

	"github.com/spf13/cobra"
)

func env(key, or string) string {
	if v := os.Getenv(key); v != "" {
		return v
	}
	return or
}

func logger() *slog.Logger {
	level := slog.LevelInfo
	if os.Getenv("BOTANIK_DEBUG") != "" {
		level = slog.LevelDebug
	}
	return slog.New(slog.NewJSONHandler(os.Stderr, &slog.HandlerOptions{Level: level}))
}

func serveCmd(base loadBase) *cobra.Command {
	return &cobra.Command{Use: "serve", Short: "Start the desk (BOTANIK_ADDR, BOTANIK_DATA)", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		return withDesk(cmd.Context(), base, env("BOTANIK_DATA", "data"), func(d *desk.Service) error {
			people, err := d.People(cmd.Context())
			if err != nil {
				return err
			}
			if len(people) == 0 {
				_, _ = fmt.Fprintln(cmd.ErrOrStderr(), "Nobody can sign in yet. Add someone: botanik user add LOGIN --name NAME --role coordinator")
			}
			return listen(cmd.Context(), d, cmd.OutOrStdout(), "")
		})
	}}
}

func demoCmd(base loadBase) *cobra.Command {
	var fresh bool
	cmd := &cobra.Command{Use: "demo", Short: "Start the Merrin Sound demo desk, all made up", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		dir := env("BOTANIK_DATA", filepath.Join(os.TempDir(), "botanik-demo"))
		if fresh {
			if err := removeDesk(dir); err != nil {
				return err
			}
		}
		return withDesk(cmd.Context(), base, dir, func(d *desk.Service) error {
			if err := demo.Fill(cmd.Context(), d, time.Now()); err != nil {
				return err
			}
			return listen(cmd.Context(), d, cmd.OutOrStdout(), demo.SignIns())
		})
	}}
	cmd.Flags().BoolVar(&fresh, "fresh", true, "start with a new desk each time")
	return cmd
}

// removeDesk deletes only a desk's own files from a folder.
func removeDesk(dir string) error {
	for _, f := range []string{store.FileName, store.FileName + "-wal", store.FileName + "-shm"} {
		if err := os.Remove(filepath.Join(dir, f)); err != nil && !errors.Is(err, os.ErrNotExist) {
			return err
		}
	}
	return nil
}

func withDesk(ctx context.Context, base loadBase, dir string, f func(*desk.Service) error) error {
	b, err := base()
	if err != nil {
		return err
	}
	if p := knowledge.Check(b); len(p) > 0 {
		return fmt.Errorf("the herbarium is not sound (%d rules): %s; botanik kb check lists them all", len(p), p[0])
	}
	st, err := store.Open(ctx, dir)
	if err != nil {
		return err
	}
	return errors.Join(f(desk.New(st, b, time.Now)), st.Close())
}

func listen(ctx context.Context, d *desk.Service, w io.Writer, hello string) error {
	s := httpapi.New(d, web.Dist(), logger())
	return s.Listen(ctx, env("BOTANIK_ADDR", "127.0.0.1:8080"), func(addr string) {
		_, _ = fmt.Fprintf(w, "Botanik is open at http://%s\n%s", addr, hello)
	})
}

func userCmd(base loadBase) *cobra.Command {
	cmd := &cobra.Command{Use: "user", Short: "People who may sign in"}
	var p desk.NewPerson
	add := &cobra.Command{Use: "add LOGIN", Short: "Add a person; the password is read from standard input or BOTANIK_PASSWORD", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		p.Login = args[0]
		p.Password = os.Getenv("BOTANIK_PASSWORD")
		if p.Password == "" {
			raw, err := io.ReadAll(io.LimitReader(cmd.InOrStdin(), 1024))
			if err != nil {
				return err
			}
			p.Password = strings.TrimRight(string(raw), "\r\n")
		}
		if p.Name == "" {
			p.Name = p.Login
		}
		return withDesk(cmd.Context(), base, env("BOTANIK_DATA", "data"), func(d *desk.Service) error {
			who, err := d.AddPerson(cmd.Context(), desk.Person{}, p)
			if err != nil {
				return err
			}
			return printJSON(cmd.OutOrStdout(), who)
		})
	}}
	add.Flags().StringVar(&p.Name, "name", "", "the name others know")
	add.Flags().StringVar(&p.Role, "role", "advisor", "coordinator, advisor or trainee")
	cmd.AddCommand(add)
	return cmd
}

func backupCmd() *cobra.Command {
	return &cobra.Command{Use: "backup FILE", Short: "Write a checked copy of the desk while it works", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		st, err := store.Open(cmd.Context(), env("BOTANIK_DATA", "data"))
		if err != nil {
			return err
		}
		return errors.Join(st.Backup(cmd.Context(), args[0]), st.Close())
	}}
}

func restoreCmd() *cobra.Command {
	return &cobra.Command{Use: "restore FILE", Short: "Put a backup in the desk's place; the old file is kept beside it", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		kept, err := store.Restore(cmd.Context(), args[0], env("BOTANIK_DATA", "data"), time.Now())
		if err != nil {
			return err
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "Restored. The old desk is kept as %s\n", kept)
		return err
	}}
}

func openapiCmd() *cobra.Command {
	return &cobra.Command{Use: "openapi", Short: "Print the API's OpenAPI 3.1 description", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		raw, err := httpapi.Describe()
		if err != nil {
			return err
		}
		_, err = cmd.OutOrStdout().Write(raw)
		return err
	}}
}
