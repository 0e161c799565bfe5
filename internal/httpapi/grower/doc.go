// Package grower draws the page a grower opens on a telephone: light HTML of its
// own, without script, so that it is there at once on a weak network and prints
// as it stands. It knows markup; its words are those of the sheet.
package grower
