// Package season is what a desk sees over weeks: how much of each cause comes in,
// and what is unusual. It must never know a case or a person.
package season
