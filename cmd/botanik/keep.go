package main

import (
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"strings"
	"text/tabwriter"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/store"

	"github.com/spf13/cobra"
)

func backupCmd() *cobra.Command {
	return &cobra.Command{Use: "backup FILE", Short: "Write a checked copy of the desk while it works", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		st, err := store.Attach(cmd.Context(), dataDir())
		if err != nil {
			return err
		}
		c, err := st.Backup(cmd.Context(), args[0])
		if err := errors.Join(err, st.Close()); err != nil {
			return err
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "%s: %d cases, %.1f MB, checked\n", c.Path, c.Cases, float64(c.Bytes)/(1<<20))
		return err
	}}
}

func restoreCmd() *cobra.Command {
	return &cobra.Command{Use: "restore FILE", Short: "Put a backup in the desk's place; the desk must be stopped, and the old file is kept beside it", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) error {
		kept, err := store.Restore(cmd.Context(), args[0], dataDir(), time.Now())
		if err != nil {
			return err
		}
		if kept == "" {
			_, err = fmt.Fprintln(cmd.OutOrStdout(), "Restored. There was no desk before.")
			return err
		}
		_, err = fmt.Fprintf(cmd.OutOrStdout(), "Restored. The old desk is kept as %s\n", kept)
		return err
	}}
}

// withPeople opens the accounts of a desk, beside a running one too; fresh makes
// a desk where there is none.
func withPeople(ctx context.Context, fresh bool, f func(*accounts.Service) error) error {
	st, err := store.Attach(ctx, dataDir())
	var t *store.Trouble
	if errors.As(err, &t) && (t.Kind == store.Older || t.Kind == store.NoDesk && fresh) {
		st, err = store.Open(ctx, dataDir())
	}
	if err != nil {
		return err
	}
	return errors.Join(f(accounts.New(st, time.Now)), st.Close())
}

// password reads one from BOTANIK_PASSWORD or standard input.
func password(cmd *cobra.Command) (string, error) {
	if p := os.Getenv("BOTANIK_PASSWORD"); p != "" {
		return p, nil
	}
	raw, err := io.ReadAll(io.LimitReader(cmd.InOrStdin(), 1024))
	return strings.TrimRight(string(raw), "\r\n"), err
}

func userCmd() *cobra.Command {
	cmd := &cobra.Command{Use: "user", Short: "People who may sign in"}
	var p accounts.NewPerson
	add := &cobra.Command{Use: "add LOGIN", Short: "Add a person; the password is read from standard input or BOTANIK_PASSWORD", Args: cobra.ExactArgs(1), RunE: func(cmd *cobra.Command, args []string) (err error) {
		p.Login = args[0]
		if p.Password, err = password(cmd); err != nil {
			return err
		}
		if p.Name == "" {
			p.Name = p.Login
		}
		return withPeople(cmd.Context(), true, func(s *accounts.Service) error {
			who, err := s.Add(cmd.Context(), accounts.Person{}, p)
			if err != nil {
				return err
			}
			return printJSON(cmd.OutOrStdout(), who)
		})
	}}
	add.Flags().StringVar(&p.Name, "name", "", "the name others know")
	add.Flags().StringVar(&p.Role, "role", accounts.Advisor, "coordinator, advisor or trainee")
	list := &cobra.Command{Use: "list", Short: "Everyone, those switched off too", Args: cobra.NoArgs, RunE: func(cmd *cobra.Command, _ []string) error {
		return withPeople(cmd.Context(), false, func(s *accounts.Service) error {
			all, err := s.All(cmd.Context())
			if err != nil {
				return err
			}
			w := tabwriter.NewWriter(cmd.OutOrStdout(), 0, 4, 2, ' ', 0)
			for _, a := range all {
				state := ""
				if !a.Active {
					state = "switched off"
				}
				_, _ = fmt.Fprintf(w, "%s\t%s\t%s\t%s\n", a.Login, a.Name, a.Role, state)
			}
			return w.Flush()
		})
	}}
	yes, no := true, false
	cmd.AddCommand(add, list,
		setCmd("passwd", "Give a person a new password, read like add's; ends their sessions", func(cmd *cobra.Command) (accounts.Change, error) {
			p, err := password(cmd)
			return accounts.Change{Password: &p}, err
		}),
		setCmd("disable", "Switch a person off and end their sessions", func(*cobra.Command) (accounts.Change, error) { return accounts.Change{Active: &no}, nil }),
		setCmd("enable", "Let a person sign in again", func(*cobra.Command) (accounts.Change, error) { return accounts.Change{Active: &yes}, nil }),
	)
	var role string
	cmd.AddCommand(setCmd("role", "Give a person another role", func(*cobra.Command) (accounts.Change, error) { return accounts.Change{Role: &role}, nil }, &role))
	return cmd
}

// setCmd is a command that changes one account; an extra argument goes into extra.
func setCmd(name, short string, change func(*cobra.Command) (accounts.Change, error), extra ...*string) *cobra.Command {
	use := name + " LOGIN"
	if len(extra) > 0 {
		use += " ROLE"
	}
	return &cobra.Command{Use: use, Short: short, Args: cobra.ExactArgs(1 + len(extra)), RunE: func(cmd *cobra.Command, args []string) error {
		for i, e := range extra {
			*e = args[i+1]
		}
		c, err := change(cmd)
		if err != nil {
			return err
		}
		return withPeople(cmd.Context(), false, func(s *accounts.Service) error {
			a, err := s.ByLogin(cmd.Context(), args[0])
			if errors.Is(err, store.ErrNotFound) {
				return fault.New("login", fmt.Sprintf("nobody signs in as %q", args[0]), "botanik user list names everyone")
			}
			if err != nil {
				return err
			}
			if a, err = s.Set(cmd.Context(), accounts.Person{}, a.ID, c); err != nil {
				return err
			}
			return printJSON(cmd.OutOrStdout(), a)
		})
	}}
}
