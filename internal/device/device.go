package device

import (
	"fmt"
	"net/http"
	"net/url"
	"slices"
	"strconv"
	"strings"
	"time"

	"botanik/core/fault"
)

// Address refuses what is no plain address: one of the schemes, a host, perhaps a port and
// a path; no name and password, no query, no fragment. Empty is none. Errors carry the field,
// what it should be an address of, and an example of how to write it.
func Address(field, s, of, mend string, schemes ...string) error {
	if s == "" {
		return nil
	}
	u, err := url.Parse(s)
	if err == nil && slices.Contains(schemes, u.Scheme) && Host(u) && u.User == nil && u.RawQuery == "" && !u.ForceQuery && u.Fragment == "" && !strings.HasSuffix(s, "#") && plain(u.Path) {
		return nil
	}
	return fault.New(field, fmt.Sprintf("%q is no address of %s", s, of), mend)
}

// Host reports whether an address names a machine, and a port that can be.
func Host(u *url.URL) bool {
	if u.Hostname() == "" || !plain(u.Host) || strings.HasSuffix(u.Host, ":") {
		return false
	}
	if p := u.Port(); p != "" {
		n, err := strconv.Atoi(p)
		return err == nil && n > 0 && n <= 65535
	}
	return true
}

// plain holds a part of an address to letters, digits and the signs addresses are made of.
func plain(s string) bool {
	return !strings.ContainsFunc(s, func(r rune) bool {
		return r <= ' ' || r == 0x7f || strings.ContainsRune(`"'<>\^`+"`{|}", r)
	})
}

// Client asks with patience and follows no redirect.
func Client(patience time.Duration) http.Client {
	return http.Client{Timeout: patience, CheckRedirect: func(*http.Request, []*http.Request) error { return http.ErrUseLastResponse }}
}
