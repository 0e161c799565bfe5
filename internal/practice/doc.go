// Package practice is where trainees practise: samples drawn from the book or offered from
// this desk's closed cases, what an answer was worth, and how each of them gets on. Nothing
// of it touches a case. It stands on internal/desk.
package practice
