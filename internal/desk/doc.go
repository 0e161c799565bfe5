// Package desk is what a person does with one case at the plant desk: one function for each
// thing, from "check in" to "close". It joins core and store; what goes on with the grower,
// looks over many cases, practises or keeps records stands on it in rooms of its own.
//
// It knows the order of a change: read, check the version, apply, work out the stage, write
// with its line in the story. It must never hold a formula or a figure of the job (core and
// herbarium do: what is done on days is core/plan), nor speak HTTP.
package desk
