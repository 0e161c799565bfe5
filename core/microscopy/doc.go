// Package microscopy is measuring with a microscope, or a picture and a ruler: what an
// eyepiece division is long, how far a ratio of two lengths is known, on which side of a
// key's line it lies and how many more readings would settle that. It must never know a
// case or the herbarium. Formulas are those of the propagation of errors; a reading of a
// scale to the nearest half division is uniform, sd 0.5/√3 at each end.
package microscopy
