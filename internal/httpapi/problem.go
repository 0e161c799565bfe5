package httpapi

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"math"
	"net/http"
	"regexp"
	"strconv"
	"strings"

	"botanik/core/fault"
	"botanik/internal/accounts"
	"botanik/internal/desk"
	"botanik/internal/store"

	"github.com/danielgtaylor/huma/v2"
)

// Problem is an RFC 9457 answer that names each field and its mend.
type Problem struct {
	Type   string        `json:"type" doc:"about:blank; the code and the title say it" example:"about:blank"`
	Title  string        `json:"title" example:"That cannot be used as it stands"`
	Status int           `json:"status" example:"422"`
	Detail string        `json:"detail" doc:"one sentence for a person" example:"volume.unit: a gallon is US or Imperial; write US gal or Imp gal"`
	Code   string        `json:"code,omitempty" doc:"for a program to branch on" enum:"fields,missing,stale,version-missing,key-used,role,token,sign-in,password,wait,busy,too-large,type,file-full,file-read-only,file-damaged,ours" example:"fields"`
	Errors []fault.Fault `json:"errors,omitempty"`

	header http.Header
}

// Error reads as the detail.
func (p *Problem) Error() string { return p.Detail }

// GetStatus is what huma sends.
func (p *Problem) GetStatus() int { return p.Status }

// GetHeaders is what huma sends along, such as Retry-After.
func (p *Problem) GetHeaders() http.Header {
	if p.header == nil {
		p.header = http.Header{} // huma adds to it
	}
	return p.header
}

// ContentType is that of RFC 9457.
func (p *Problem) ContentType(string) string { return "application/problem+json" }

func problem(status int, code, title, detail string, faults ...fault.Fault) *Problem {
	return &Problem{Type: "about:blank", Title: title, Status: status, Detail: detail, Code: code, Errors: faults}
}

// later says when to come back.
func (p *Problem) later(seconds float64) *Problem {
	p.header = http.Header{"Retry-After": {strconv.Itoa(max(1, int(math.Ceil(seconds))))}}
	return p
}

const (
	ourMistake = "Something went wrong here, and it was noted. Nothing was changed; try again."
	tooLarge   = "That is larger than is taken here: pictures up to 10 MB, anything else up to 1 MB."
)

// newError is huma's hook for its own schema checks.
func newError(status int, msg string, errs ...error) huma.StatusError {
	p := problem(status, "", http.StatusText(status), msg)
	switch status {
	case http.StatusUnprocessableEntity, http.StatusBadRequest:
		p.Code, p.Title = "fields", "That cannot be used as it stands"
	case http.StatusRequestEntityTooLarge:
		p.Code, p.Detail = "too-large", tooLarge
	case http.StatusRequestTimeout:
		p.Detail = "The request did not come in whole in time; send it again."
	case http.StatusInternalServerError:
		p.Code, p.Detail = "ours", ourMistake
	}
	for _, e := range errs {
		var d *huma.ErrorDetail
		if !errors.As(e, &d) {
			if e != nil && status < http.StatusInternalServerError {
				p.Errors = append(p.Errors, fault.Fault{Problem: e.Error(), Mend: "correct it and send it again"})
			}
			continue
		}
		field := d.Location
		for _, prefix := range []string{"body.", "body", "query.", "path.", "header.", "cookie."} {
			if rest, ok := strings.CutPrefix(field, prefix); ok {
				field = strings.TrimPrefix(rest, ".")
				break
			}
		}
		text := d.Message
		if m := reRequired.FindStringSubmatch(text); m != nil {
			field = strings.TrimPrefix(field+"."+m[1], ".")
			text = "is missing"
		}
		if m := reMissing.FindStringSubmatch(text); m != nil {
			text = "is missing"
		}
		text, mend := said(text)
		p.Errors = append(p.Errors, fault.Fault{Field: field, Problem: text, Mend: mend})
	}
	if msg == "request body is required" {
		p.Errors = append(p.Errors, fault.Fault{Problem: "nothing was sent", Mend: "send JSON of the documented shape"})
	}
	if len(p.Errors) > 0 {
		p.Detail = p.Errors[0].Error()
	}
	return p
}

var (
	reRequired = regexp.MustCompile(`^expected required property (\S+) to be present$`)
	reMissing  = regexp.MustCompile(`^required \w+ parameter is missing$`)
	reGoType   = regexp.MustCompile(`\b(Go (value|struct)|strconv\.|json: |unmarshal)`)
)

// said words what a schema check found, with its mend.
func said(text string) (problem, mend string) {
	low := strings.TrimPrefix(text, "validation failed: ")
	switch {
	case low == "is missing":
		return low, "add it"
	case strings.Contains(low, "unexpected property"):
		return "is not known here", "remove it, or correct its name"
	case strings.HasPrefix(low, "unknown query parameter"):
		return "is not known here", "remove it, or correct its name"
	case strings.HasPrefix(low, "expected value to be one of"):
		return strings.Replace(low, "expected value to be", "has to be", 1), "use one of those"
	case low == "expected string":
		return "is no text", "send it as text in quotes"
	case low == "expected integer", low == "expected number", strings.HasPrefix(low, "invalid integer"), strings.HasPrefix(low, "invalid float"):
		return "is no number", "send a plain number without quotes"
	case low == "expected boolean", strings.HasPrefix(low, "invalid boolean"):
		return "is neither true nor false", "send true or false without quotes"
	case low == "expected object":
		return "is no object", "send it as {…} of the documented shape"
	case low == "expected array":
		return "is no list", "send it as a list […]"
	case low == "expected length >= 1":
		return "is empty", "fill it in"
	case strings.HasPrefix(low, "expected number"), strings.HasPrefix(low, "expected length"), strings.HasPrefix(low, "expected array length"), strings.HasPrefix(low, "expected array items"), strings.HasPrefix(low, "expected object with"):
		return "is out of range: " + low, "keep within it"
	case strings.HasPrefix(low, "expected string to match pattern"):
		return "has a character that is not taken here", "use small letters, digits, dot, dash and underscore"
	case reGoType.MatchString(low), strings.Contains(low, "invalid character"), strings.Contains(low, "unexpected end"), strings.Contains(low, "unexpected EOF"):
		return "is no well-formed JSON of the documented shape", "check brackets, quotes and numbers, and send it again"
	}
	return text, "correct it and send it again"
}

// answer turns an error of package desk into a problem. Anything unknown is
// ours: it is logged and shown without its inside.
func answer(log *slog.Logger, err error) error {
	var wait accounts.Wait
	switch {
	case err == nil:
		return nil
	case fault.Is(err):
		faults := fault.From(err)
		return problem(http.StatusUnprocessableEntity, "fields", "That cannot be used as it stands", faults[0].Error(), faults...)
	case errors.Is(err, desk.ErrNotFound):
		return problem(http.StatusNotFound, "missing", "Not here", "There is no such thing here; it may have been mistyped.")
	case errors.Is(err, desk.ErrStale):
		return problem(http.StatusPreconditionFailed, "stale", "Changed meanwhile", "Someone else changed this since you read it. Nothing was overwritten: read it again and decide.", fault.Fault{Field: "If-Match", Problem: "names an older version", Mend: "read it again and send its version"})
	case errors.Is(err, desk.ErrKeyUsed):
		return problem(http.StatusConflict, "key-used", "Key used", "This idempotency key was used for something else.", fault.Fault{Field: "Idempotency-Key", Problem: "was used with another body", Mend: "use a new key"})
	case errors.Is(err, accounts.ErrForbidden):
		return problem(http.StatusForbidden, "role", "Not for your role", "Your role may not do this; ask an advisor or the coordinator.")
	case errors.Is(err, accounts.ErrSignIn):
		return problem(http.StatusUnauthorized, "sign-in", "Sign in", "Sign in first; what you typed is kept on this page.")
	case errors.As(err, &wait):
		return problem(http.StatusTooManyRequests, "wait", "Wait a little", fmt.Sprintf("Too many wrong passwords from here. Wait %s and try again.", spokenWait(wait.For.Seconds()))).later(wait.For.Seconds())
	case errors.Is(err, accounts.ErrBusy):
		return problem(http.StatusServiceUnavailable, "busy", "Too many at once", "Too many people are signing in at this moment; try again in a few seconds.").later(3)
	case errors.Is(err, context.Canceled), errors.Is(err, context.DeadlineExceeded):
		return problem(http.StatusServiceUnavailable, "busy", "Not in time", "The desk did not get to it in time. Nothing was changed; try again.").later(3)
	}
	log.Error("unexpected", "err", err)
	if t := store.TroubleOf(err); t != nil {
		status := http.StatusServiceUnavailable
		if t.Kind == store.Full {
			status = http.StatusInsufficientStorage
		}
		return problem(status, troubleCode[t.Kind], "The desk's file", "Nothing was changed: "+t.Error()+".").later(15)
	}
	return problem(http.StatusInternalServerError, "ours", "Our mistake", ourMistake)
}

var troubleCode = map[store.Kind]string{store.Full: "file-full", store.ReadOnly: "file-read-only", store.Damaged: "file-damaged", store.Busy: "busy"}

func spokenWait(seconds float64) string {
	if seconds <= 60 {
		return fmt.Sprintf("%d seconds", int(math.Ceil(seconds)))
	}
	return fmt.Sprintf("%d minutes", int(math.Ceil(seconds/60)))
}

func versionMissing(field string) error {
	return problem(http.StatusPreconditionRequired, "version-missing", "Version missing", fmt.Sprintf("%s: is missing; send the version you read, so that nobody's work is overwritten", field), fault.Fault{Field: field, Problem: "is missing", Mend: "send the version you read"})
}
