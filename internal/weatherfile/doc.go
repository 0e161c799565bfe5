// Package weatherfile reads hours of weather out of CSV and JSON that a station, a service
// or a spreadsheet wrote: columns by name, units said or guessed aloud, rows that
// cannot be used refused one by one with the mend, gaps named. It writes nothing and
// knows no desk; whoever keeps the hours is package weathersource. What can be in a file is
// described in docs/weather.md.
package weatherfile
