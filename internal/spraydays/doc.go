// Package spraydays is the weather a desk asks about: the week's hours for a remedy, what the
// last days did, what still protects, the winter programme, and hours brought in files.
//
// Judging hours is core/sprayday's; where they come from is weathersource's. It must never
// know another room.
package spraydays
