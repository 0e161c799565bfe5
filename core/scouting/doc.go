// Package scouting turns counts into a decision: what was tallied leaf by leaf, a mean
// whose interval holds on clumped counts, a share, a running test that says when to
// stop counting, severity by drawn leaves, and act, wait, pull or save.
//
// It knows counts, thresholds and seasons; every threshold it is given carries its
// source or the words "house judgement", and every factor of its own that is a
// judgement says so. It must never know a remedy, a case or a page. Sources: Wilson
// (1927) and Clopper and Pearson (1934) for shares, Taylor (1961) for sample size, Wald
// (1947) and Waters (1955) for the running test, Kono and Sugino (1958) for a mean from
// a share, McKinney (1923) for the index.
package scouting
