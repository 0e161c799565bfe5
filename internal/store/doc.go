// Package store keeps everything in one SQLite file: the only room with SQL.
//
// It knows rows, transactions, versions and the append-only story. It must
// never know a rule of the job: a case's inner document is bytes to it. One
// writer connection, several readers, WAL, synchronous FULL, so that what was
// acknowledged survives a pulled plug.
package store
