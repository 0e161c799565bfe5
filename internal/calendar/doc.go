// Package calendar writes a grower's days as an iCalendar.
//
// It knows the sheet as it was handed over, and RFC 5545 through a library. It must
// never know a case, a store or a page, nor work out a day of its own.
package calendar
