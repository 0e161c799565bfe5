// Package records is what the desk keeps beside the cases in hand: exports, imports and
// their long work, bundles from other desks, old cards, copies of the desk's file, the
// desk's own sheets of the book, and forgetting somebody in all of it. It stands on
// internal/desk and is leaned on by nobody below the transport.
package records
