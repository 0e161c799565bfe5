// Package fault is how every computation says that its input cannot be used:
// it names the field, what is wrong and the mend, in one plain sentence each.
// It knows nothing of HTTP or of the command line; both print it as it stands.
// It must never be used for a result that is merely bad news (a refused remedy
// is an answer, not a fault).
package fault
