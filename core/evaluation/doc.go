// Package evaluation holds the ranking against cases nobody drew from the book: written
// by advisors from their own knowledge, entered as an honest advisor would, and
// judged by what they said it was.
//
// It knows cases and figures. It must never know how a case came about, and
// nothing in it is tuned: it only counts.
package evaluation
