// Package vernacular finds the line a person means by the words they have for what they
// see: any order, growers' names for things, small misspellings, the last word still
// being typed. It must never know a case beyond the order its looks would tell in.
package vernacular
