// Package civil is a calendar day without clock or zone: what a desk means by
// "today", "in nine days" and "the day it was sprayed". An instant becomes a day
// only through the zone of a place (Of). It knows the proleptic Gregorian
// calendar and nothing of plants.
package civil
