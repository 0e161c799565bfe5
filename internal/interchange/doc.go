// Package interchange knows the open formats in which records leave a desk and come to one:
// tables as CSV, the bundle of everything, the Darwin Core archive, and the card index that
// somebody kept in a spreadsheet. It knows bytes, columns and terms; what a case means, where
// it is stored and who may have it, it must never know.
//
// Sources: RFC 4180 (CSV), the Darwin Core terms and text guide of TDWG (2023), the FIPS 180-4
// digest SHA-256.
package interchange
