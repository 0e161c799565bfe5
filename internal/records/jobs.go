package records

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"sync"
	"time"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/guard"
)

// Job is long work that goes on while its owner does something else.
type Job struct {
	ID     string    `json:"id"`
	Kind   string    `json:"kind" enum:"export,import"`
	Name   string    `json:"name"`
	State  string    `json:"state" enum:"running,done,failed,cancelled"`
	Done   int       `json:"done"`
	Total  int       `json:"total" doc:"0 while it is not known"`
	Said   string    `json:"said,omitempty" doc:"what came of it, or why it failed"`
	Begun  time.Time `json:"begun"`
	File   bool      `json:"file,omitempty" doc:"a file lies ready to be fetched"`
	Import *Imported `json:"import,omitempty" doc:"what was brought in"`
}

type job struct {
	Job
	owner string
	path  string
	stop  context.CancelFunc
}

// jobs are the long works of this run of the program.
type jobs struct {
	mu   sync.Mutex
	list []*job
	wait sync.WaitGroup
	root context.Context //nolint:containedctx // ends all of them when the desk closes
	end  context.CancelFunc
}

const (
	// keptJobs are remembered after they ended, with their files.
	keptJobs = 20
	// atOnceJobs run side by side.
	atOnceJobs = 2
)

// work is what a job does: it tells how far it is and writes its file, where it has one.
type work func(ctx context.Context, tell func(done, total int), out *os.File) (said string, in *Imported, err error)

// WorkFolder is where long works keep their files while the program runs.
func (s *Service) WorkFolder() string { return filepath.Join(s.Store.Dir(), "work") }

// begin starts a job. Errors say when too many are running.
func (s *Service) begin(who desk.Person, kind, name string, f work) (Job, error) {
	x := &s.jobs
	x.mu.Lock()
	defer x.mu.Unlock()
	if x.root == nil {
		x.root, x.end = context.WithCancel(context.Background())
		if err := os.MkdirAll(s.WorkFolder(), 0o700); err != nil {
			return Job{}, err
		}
	}
	running := 0
	for _, j := range x.list {
		if j.State == "running" {
			running++
		}
	}
	if running >= atOnceJobs {
		return Job{}, fault.New("", "other long work is going on", "wait until it is done, or cancel it")
	}
	out, err := os.CreateTemp(s.WorkFolder(), "job-*")
	if err != nil {
		return Job{}, err
	}
	ctx, stop := context.WithCancel(x.root)
	j := &job{Job: Job{ID: desk.NewID(s.Now()), Kind: kind, Name: name, State: "running", Begun: s.Now()}, owner: who.ID, path: out.Name(), stop: stop}
	x.list = append(x.list, j)
	for len(x.list) > keptJobs && x.list[0].State != "running" {
		_ = os.Remove(x.list[0].path) // the newest are kept; the folder is emptied at the end
		x.list = x.list[1:]
	}
	x.wait.Go(func() {
		defer stop()
		var said string
		var in *Imported
		err := guard.Run(func() (err error) {
			said, in, err = f(ctx, func(done, total int) {
				x.mu.Lock()
				j.Done, j.Total = done, total
				x.mu.Unlock()
			}, out)
			return err
		})
		err = errors.Join(err, out.Close())
		if guard.Is(err) {
			s.LogError("long work failed by a mistake of ours", err)
		}
		x.mu.Lock()
		defer x.mu.Unlock()
		j.Said, j.Import = said, in
		switch {
		case err != nil && ctx.Err() != nil:
			j.State, j.Said = "cancelled", "cancelled; nothing of it was kept"
		case guard.Is(err):
			j.State, j.Said = "failed", "our mistake; nothing of it was kept, and what happened stands in the log"
		case err != nil:
			j.State, j.Said = "failed", err.Error()
			if fs := fault.From(err); fault.Is(err) {
				j.Said = fmt.Sprintf("%s %s: %s", fs[0].Field, fs[0].Problem, fs[0].Mend)
			}
		default:
			j.State, j.File = "done", kind == "export"
		}
		if !j.File {
			_ = os.Remove(j.path)
		}
	})
	return j.Job, nil
}

// DropExports takes away finished exports of everybody: what somebody asked to have
// forgotten may stand in them.
func (s *Service) DropExports() int {
	x := &s.jobs
	x.mu.Lock()
	defer x.mu.Unlock()
	n := 0
	for _, j := range x.list {
		if j.File {
			_ = os.Remove(j.path)
			j.File, j.Said = false, "taken away: somebody in it was forgotten"
			n++
		}
	}
	return n
}

// Jobs lists somebody's long works, the newest first; a coordinator sees everybody's.
func (s *Service) Jobs(who desk.Person) []Job {
	x := &s.jobs
	x.mu.Lock()
	defer x.mu.Unlock()
	out := []Job{}
	for _, j := range slices.Backward(x.list) {
		if j.owner == who.ID || who.May(accounts.SeeAllWork) {
			out = append(out, j.Job)
		}
	}
	return out
}

func (s *Service) job(who desk.Person, id string) (*job, error) {
	x := &s.jobs
	for _, j := range x.list {
		if j.ID == id && (j.owner == who.ID || who.May(accounts.SeeAllWork)) {
			return j, nil
		}
	}
	return nil, desk.ErrNotFound
}

// StopJob cancels a long work.
func (s *Service) StopJob(who desk.Person, id string) error {
	x := &s.jobs
	x.mu.Lock()
	defer x.mu.Unlock()
	j, err := s.job(who, id)
	if err == nil {
		j.stop()
	}
	return err
}

// JobFile is where the file of a long work lies, and what it is called. Only whoever began
// it may fetch it: what it holds was chosen by what they may see.
func (s *Service) JobFile(who desk.Person, id string) (path, name string, err error) {
	x := &s.jobs
	x.mu.Lock()
	defer x.mu.Unlock()
	j, err := s.job(who, id)
	if err != nil || !j.File || j.owner != who.ID {
		return "", "", desk.ErrNotFound
	}
	return j.path, j.Name, nil
}

// StopJobs ends all long work and takes their files away; before the desk closes.
func (s *Service) StopJobs() {
	x := &s.jobs
	x.mu.Lock()
	end := x.end
	x.mu.Unlock()
	if end != nil {
		end()
		x.wait.Wait()
	}
	_ = os.RemoveAll(s.WorkFolder())
}
