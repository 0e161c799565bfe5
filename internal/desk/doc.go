// Package desk is what a person does at the plant desk: one function for each
// thing, from "check in" to "close". It joins core and store.
//
// It knows the order of a change: read, check the version, apply, work out the
// stage, write with its line in the story. It must never hold a formula or a
// figure of the job (core and herbarium do), nor speak HTTP.
package desk
