// Package handout writes the one page a grower takes home, in plain words, from
// what a case decided. It knows sentences; figures and rules come from core and
// the herbarium. It must never know a database or who is signed in.
package handout
