// Package httpapi is the program's HTTP face: a Fiber app with huma operations
// (OpenAPI 3.1), sessions, problems (RFC 9457) and the page.
//
// It knows status codes, headers and who is signed in. It must never hold a
// rule of the job; each operation calls one function of package desk.
package httpapi
