// Package casefile is the document kept of a case: its shape, its version, and
// the steps that bring an older one up to date. It knows which sections rest on
// which (through core/casework) and nothing of SQL, HTTP or who may do what.
//
// A change of the shape raises Version, adds a step to upgrades and a golden old
// document to testdata: old files always open.
package casefile
