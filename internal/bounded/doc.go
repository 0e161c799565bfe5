// Package bounded lets texts that came from elsewhere through to the readers of others
// (CSV, JSON lines, YAML) only as long as no record, line or nesting of theirs is larger
// than anything honest: those readers hold a whole record in memory before anybody can
// measure it. It knows the shape of the formats and no meaning.
package bounded
