// Package compute makes every computation of core reachable by name with JSON in
// and JSON out, with a schema and a worked example of each, so that all of it
// can be scripted and checked from outside.
//
// It knows names and shapes. It must never compute anything itself.
package compute
