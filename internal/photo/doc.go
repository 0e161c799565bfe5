// Package photo makes a grower's picture safe to keep: it believes the bytes
// and not the name, draws the picture anew, and so drops everything a camera
// writes beside it (place, time, owner). It must know no case and no store.
package photo
