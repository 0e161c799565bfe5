package httpapi

import (
	"errors"
	"fmt"
	"log/slog"
	"net/http"
	"regexp"
	"strings"

	"botanik/core/fault"
	"botanik/internal/desk"

	"github.com/danielgtaylor/huma/v2"
)

// Problem is an RFC 9457 answer that names each field and its mend.
type Problem struct {
	Type   string        `json:"type" doc:"about:blank; the title says it"`
	Title  string        `json:"title"`
	Status int           `json:"status"`
	Detail string        `json:"detail"`
	Errors []fault.Fault `json:"errors,omitempty"`
}

// Error reads as the detail.
func (p *Problem) Error() string { return p.Detail }

// GetStatus is what huma sends.
func (p *Problem) GetStatus() int { return p.Status }

// ContentType is that of RFC 9457.
func (p *Problem) ContentType(string) string { return "application/problem+json" }

func problem(status int, title, detail string, faults ...fault.Fault) *Problem {
	return &Problem{"about:blank", title, status, detail, faults}
}

// newError is huma's hook for its own schema checks.
func newError(status int, msg string, errs ...error) huma.StatusError {
	p := problem(status, http.StatusText(status), msg)
	for _, e := range errs {
		var d *huma.ErrorDetail
		if !errors.As(e, &d) {
			if e != nil {
				p.Errors = append(p.Errors, fault.Fault{Problem: e.Error(), Mend: "correct it and send it again"})
			}
			continue
		}
		field := strings.TrimPrefix(strings.TrimPrefix(strings.TrimPrefix(d.Location, "body."), "body"), ".")
		field = strings.TrimPrefix(strings.TrimPrefix(field, "query."), "path.")
		if m := reRequired.FindStringSubmatch(d.Message); m != nil {
			field = strings.TrimPrefix(field+"."+m[1], ".")
			d = &huma.ErrorDetail{Message: "is missing"}
		}
		p.Errors = append(p.Errors, fault.Fault{Field: field, Problem: d.Message, Mend: mend(d.Message)})
	}
	if len(p.Errors) > 0 {
		first := p.Errors[0]
		p.Detail = first.Error()
	}
	return p
}

var reRequired = regexp.MustCompile(`expected required property (\S+) to be present`)

func mend(msg string) string {
	switch {
	case msg == "is missing":
		return "add it"
	case strings.Contains(msg, "unexpected property"):
		return "remove it, or correct its name"
	case strings.Contains(msg, "expected value to be one of"):
		return "use one of those"
	case strings.Contains(msg, "invalid character"), strings.Contains(msg, "unexpected end"), strings.Contains(msg, "unmarshal"):
		return "send well-formed JSON of the documented shape"
	}
	return "correct it and send it again"
}

// answer turns an error of package desk into a problem. Anything unknown is
// ours: it is logged and shown without its inside.
func answer(log *slog.Logger, err error) error {
	switch {
	case err == nil:
		return nil
	case fault.Is(err):
		faults := fault.From(err)
		return problem(http.StatusUnprocessableEntity, "That cannot be used as it stands", faults[0].Error(), faults...)
	case errors.Is(err, desk.ErrNotFound):
		return problem(http.StatusNotFound, "Not here", "There is no such thing here; it may have been mistyped.")
	case errors.Is(err, desk.ErrStale):
		return problem(http.StatusPreconditionFailed, "Changed meanwhile", "Someone else changed this since you read it. Nothing was overwritten: read it again and decide.", fault.Fault{Field: "If-Match", Problem: "names an older version", Mend: "read it again and send its version"})
	case errors.Is(err, desk.ErrKeyUsed):
		return problem(http.StatusConflict, "Key used", "This idempotency key was used for something else.", fault.Fault{Field: "Idempotency-Key", Problem: "was used with another body", Mend: "use a new key"})
	case errors.Is(err, desk.ErrForbidden):
		return problem(http.StatusForbidden, "Not for your role", "Your role may not do this; ask an advisor or the coordinator.")
	case errors.Is(err, desk.ErrSignIn):
		return problem(http.StatusUnauthorized, "Sign in", "Sign in first; what you typed is kept on this page.")
	case errors.Is(err, desk.ErrWait):
		return problem(http.StatusTooManyRequests, "Wait a little", "Too many wrong passwords. Wait a quarter of a minute or more and try again.")
	}
	log.Error("unexpected", "err", err)
	return problem(http.StatusInternalServerError, "Our mistake", "Something went wrong here, and it was noted. Nothing was changed; try again.")
}

func stale(field string) error {
	return problem(http.StatusPreconditionRequired, "Version missing", fmt.Sprintf("%s: is missing; send the version you read, so that nobody's work is overwritten", field), fault.Fault{Field: field, Problem: "is missing", Mend: "send the version you read"})
}
