// Package schema holds JSON that came by file to the same limits as JSON that came by
// request: the tags on the Go type it is read into, checked by the library the API is
// described with. It knows types and no meaning.
package schema
