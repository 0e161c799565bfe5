// Package remedy climbs the ladder: for one case, one cause and one day it
// says of every remedy go, care, not now (until when) or no, each with its
// reason in a plain sentence.
//
// It knows the gates and their order of severity. It must never know how a
// remedy is mixed or scheduled, and never hides a refusal. Gates only ever
// make a remedy less allowed, so that one hazard more can never open one.
// Figures live in the herbarium; a label, the house and the law override them.
package remedy
