// Package overview is what stands at a desk and over its season: the counter's trays and
// notices, whose case it is and who is away, the day ended, and what a season brought. It
// reads cases and changes only whose they are. It stands on internal/desk.
package overview
