// Package sprayday says which hours are fit for a treatment, and when wet leaves let a
// disease in.
//
// It knows the sun, the air and the leaf: sun position and civil twilight (NOAA's solar
// equations, after Meeus 1998, within two minutes below 65 degrees of latitude), dew
// point by Magnus (17.625, 243.04; Alduchov and Eskridge 1996), vapour pressure deficit,
// drying, leaf wetness from rain and damp air, infection events from wet spells and their
// temperature. It must never know a case or where the weather comes from. Limits of
// hours not on a label are general spraying practice and say so.
package sprayday
