// Package scouting turns counts into a decision: a mean with its interval, an
// infested share, and act or wait against a threshold.
//
// It knows leaf counts and binomial intervals; every threshold it is given
// carries its source or the words "house judgement". It must never know a
// remedy. Sources: Wilson (1927) for the share; mean interval by Student's t
// on square-root transformed counts.
package scouting
