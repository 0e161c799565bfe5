// Package lifecycle sets repeat days from how fast a pest grows.
//
// It knows degree-day stages and the closed-form window: with a remedy that
// spares eggs, the next spray falls after the last egg alive at the first one
// has hatched and before the first hatchling lays. It must never know a case
// or a calendar of weather. The label's shortest gap, longest gap and most per
// season always bound the answer. Thermal needs: general literature, kept in
// the herbarium's life tables and marked approximate.
package lifecycle
