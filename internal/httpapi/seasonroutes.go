package httpapi

import (
	"context"
	"fmt"
	"net/http"
	"os"
	"time"

	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/overview"
	"botanik/internal/records"
	"botanik/internal/settings"

	"github.com/danielgtaylor/huma/v2"
	"github.com/gofiber/fiber/v3"
)

// findIn is a question as it stands in the address.
type findIn struct {
	Words   string `query:"words" maxLength:"200" doc:"in number, grower, plant, story, verdict, remedy or a note; a word's beginning is enough"`
	Cause   string `query:"cause" maxLength:"60" doc:"id; - for undetermined"`
	Host    string `query:"host" maxLength:"60" doc:"id; - for a plant the book does not know"`
	Place   string `query:"place" maxLength:"20" doc:"indoors, greenhouse, balcony, garden or orchard"`
	Square  string `query:"square" maxLength:"2" doc:"of the district's grid"`
	Keeper  string `query:"keeper" maxLength:"40" doc:"whose case it is, account id; - for nobody's"`
	Stage   string `query:"stage" maxLength:"20" doc:"waiting, bench, review, ready, handed, referred or closed"`
	Outcome string `query:"outcome" maxLength:"20" doc:"how it ended; - for what has not"`
	Remedy  string `query:"remedy" maxLength:"60" doc:"id of what was put on"`
	Degree  string `query:"degree" maxLength:"20" doc:"settled, working, open or undetermined"`
	Was     string `query:"was" maxLength:"60" doc:"id of a verdict that was changed later"`
	Import  string `query:"import" maxLength:"40" doc:"with which import it came, by id"`
	From    string `query:"from" maxLength:"10" doc:"first day it was brought in, YYYY-MM-DD"`
	To      string `query:"to" maxLength:"10" doc:"last day it was brought in, YYYY-MM-DD"`
	Photos  string `query:"photos" maxLength:"3" doc:"yes or no: with or without a picture"`
	Sort    string `query:"sort" maxLength:"20" doc:"number, brought, plant, grower, cause, place, stage, outcome, ask, keeper or square, with - before it for the other way round; the newest first when left out"`
	Skip    int    `query:"skip" minimum:"0" maximum:"10000000" doc:"how many are passed over"`
	Most    int    `query:"most" minimum:"0" maximum:"200" doc:"how many are answered; 50 when left out"`
}

type saveBody struct {
	Name  string `json:"name" maxLength:"80"`
	Query string `json:"query" maxLength:"1000" doc:"as it stands behind the ? of the address"`
}

type bringBody struct {
	Name string `json:"name" maxLength:"200" doc:"the file's own name"`
}

type seasonIn struct {
	From string `query:"from" maxLength:"10" doc:"first day, YYYY-MM-DD; a year before the last when left out"`
	To   string `query:"to" maxLength:"10" doc:"last day, with it; today when left out"`
}

func (s *Server) seasonRoutes() {
	get(s, "season", "season", "/season", "What came in over some weeks, what was done and what came of it", func(ctx context.Context, in *seasonIn) (overview.Season, error) {
		return s.overview.SeasonOf(ctx, in.From, in.To)
	})
	get(s, "find", "season", "/find", "Cases by words and by what they are", func(ctx context.Context, in *findIn) (desk.FoundCases, error) {
		return s.desk.Find(ctx, desk.FindInput(*in))
	})
	get(s, "saved-searches", "season", "/searches", "One's own kept questions", func(ctx context.Context, _ *none) ([]desk.SavedSearch, error) {
		return s.desk.SavedSearches(ctx, who(ctx))
	})
	ask(s, "save-search", "season", "/searches", "Keep a question for oneself", func(ctx context.Context, in *struct{ Body saveBody }) ([]desk.SavedSearch, error) {
		return s.desk.SaveSearch(ctx, who(ctx), in.Body.Name, in.Body.Query)
	})
	register(s, s.asking(), http.MethodDelete, "drop-search", "season", "/searches/{id}", "Take a kept question out", func(ctx context.Context, in *byID) ([]desk.SavedSearch, error) {
		return s.desk.DropSearch(ctx, who(ctx), in.ID)
	})
	s.recordRoutes()
	s.keepingRoutes()
}

func (s *Server) recordRoutes() {
	get(s, "record-tables", "records", "/records", "The tables that leave the desk, with their columns and units", func(context.Context, *none) ([]records.RecordTable, error) { return records.RecordTables(), nil })
	ask(s, "export-records", "records", "/records/export", "Begin to write a file of records", func(ctx context.Context, in *struct{ Body records.ExportInput }) (records.Job, error) {
		return s.records.Export(ctx, who(ctx), in.Body)
	})
	get(s, "jobs", "records", "/jobs", "Long work that is going on or has ended", func(ctx context.Context, _ *none) ([]records.Job, error) { return s.records.Jobs(who(ctx)), nil })
	register(s, s.asking(), http.MethodDelete, "stop-job", "records", "/jobs/{id}", "Cancel long work", func(ctx context.Context, in *byID) ([]records.Job, error) {
		if err := s.records.StopJob(who(ctx), in.ID); err != nil {
			return nil, err
		}
		return s.records.Jobs(who(ctx)), nil
	})
	ask(s, "bring-file", "records", "/imports", "Begin to bring a file of records (coordinator)", func(ctx context.Context, in *struct{ Body bringBody }) (records.Upload, error) {
		return s.records.BringFile(ctx, who(ctx), in.Body.Name)
	})
	huma.Register(s.asking(), huma.Operation{OperationID: "bring-part", Method: http.MethodPut, Path: "/imports/{id}", Summary: "Bring the next part of a file, at most 4 MB (coordinator)", Tags: []string{"records"}, DefaultStatus: http.StatusOK, MaxBodyBytes: records.MostPart + 1, BodyReadTimeout: time.Minute},
		func(ctx context.Context, in *struct {
			ID      string `path:"id" maxLength:"40"`
			Offset  int64  `query:"offset" minimum:"0" doc:"where in the file it belongs"`
			RawBody []byte `contentType:"application/octet-stream" doc:"the bytes"`
		}) (*struct{ Body records.Upload }, error) {
			u, err := s.records.BringPart(ctx, who(ctx), in.ID, in.Offset, in.RawBody)
			if err != nil {
				return nil, answer(s.log, err)
			}
			return &struct{ Body records.Upload }{u}, nil
		})
	ask(s, "read-import", "records", "/imports/{id}/read", "What a file that was brought holds; nothing is kept (coordinator)", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body records.ImportInput
	}) (records.ImportReading, error) {
		return s.records.ReadImport(ctx, who(ctx), in.ID, in.Body)
	})
	ask(s, "keep-import", "records", "/imports/{id}/keep", "Begin to take in what it holds (coordinator)", func(ctx context.Context, in *struct {
		ID   string `path:"id" maxLength:"40"`
		Body records.ImportInput
	}) (records.Job, error) {
		return s.records.KeepImport(ctx, who(ctx), in.ID, in.Body)
	})
	get(s, "imports", "records", "/imports", "What was brought in from elsewhere", func(ctx context.Context, _ *none) ([]records.ImportBatch, error) { return s.records.Batches(ctx) })
	ask(s, "undo-import", "records", "/imports/{id}/undo", "Take out what was brought in at once and nobody worked on since (coordinator)", func(ctx context.Context, in *byID) (records.Undone, error) {
		return s.records.UndoImport(ctx, who(ctx), in.ID)
	})
}

func (s *Server) keepingRoutes() {
	get(s, "health", "house", "/keeping", "How the desk's file and its copies stand (coordinator)", func(ctx context.Context, _ *none) (records.FileHealth, error) { return s.records.Health(ctx, who(ctx)) })
	register(s, s.changing(), http.MethodPut, "set-keeping", "house", "/keeping", "When the desk's file is copied by itself (coordinator)", func(ctx context.Context, in *struct {
		IfMatch string `header:"If-Match" doc:"the version you read"`
		Body    settings.Keeping
	}) (records.FileHealth, error) {
		from, err := version(in.IfMatch)
		if err != nil {
			return records.FileHealth{}, err
		}
		if err := s.desk.House.SetKeeping(ctx, who(ctx), in.Body, from); err != nil {
			return records.FileHealth{}, err
		}
		return s.records.Health(ctx, who(ctx))
	})
	ask(s, "backup-now", "house", "/keeping/now", "Copy the desk's file at once (coordinator)", func(ctx context.Context, _ *none) (records.Backup, error) {
		return s.records.BackupNow(ctx, who(ctx))
	})
	ask(s, "check-file", "house", "/keeping/check", "Look the desk's whole file over (coordinator)", func(ctx context.Context, _ *none) (records.Checked, error) {
		return s.records.CheckFile(ctx, who(ctx))
	})
	register(s, s.asking(), http.MethodDelete, "drop-book", "house", "/keeping/herbarium", "Go back to the herbarium as it ships (coordinator)", func(ctx context.Context, _ *none) (records.FileHealth, error) {
		return s.records.DropBook(ctx, who(ctx))
	})
	get(s, "troubles", "house", "/keeping/troubles", "What went wrong inside the program in the last seven days (coordinator)", func(ctx context.Context, _ *none) ([]Logged, error) {
		if !who(ctx).May(accounts.KeepFile) {
			return nil, desk.ErrForbidden
		}
		if s.opts.Troubles == nil {
			return []Logged{}, nil
		}
		return s.opts.Troubles.Since(s.desk.Now().AddDate(0, 0, -7)), nil
	})
}

// jobFile hands a file over that long work wrote. It goes by a plain link, so that a large
// one is written to disk as it comes.
func (s *Server) jobFile(c fiber.Ctx) error {
	p, _, err := s.people.Session(c.Context(), c.Cookies(s.cookieName(s.secure(c.RequestCtx().RemoteAddr().String(), c.Get("X-Forwarded-Proto")))))
	if err != nil {
		return fiber.ErrUnauthorized
	}
	path, name, err := s.records.JobFile(p, c.Params("id"))
	if err != nil {
		return fiber.ErrNotFound
	}
	f, err := os.Open(path) //nolint:gosec // a file of our own work folder
	if err != nil {
		return fiber.ErrNotFound
	}
	info, err := f.Stat()
	if err != nil {
		return err
	}
	kind := "text/csv; charset=utf-8"
	if len(name) > 4 && name[len(name)-4:] == ".zip" {
		kind = "application/zip"
	}
	c.Set("Content-Type", kind)
	c.Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", name))
	c.Set("Cache-Control", "no-store")
	return c.SendStream(f, int(info.Size()))
}
