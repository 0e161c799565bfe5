// Command pack writes the book that ships in the form that opens quickly; make runs it
// whenever a sheet changed.
package main
