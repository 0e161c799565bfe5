// Package core holds no code of its own: its rooms hold the rules of the job
// and every computation, without HTTP, SQL, files, clock, random source or
// logging. Time, randomness and data come in as arguments. A test in this
// folder keeps it so: only the standard library and gonum may be imported.
package core
