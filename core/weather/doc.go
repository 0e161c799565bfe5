// Package weather is what a desk knows of the air: hours at a place, and the day
// made of them. It holds the port through which hours come in (Provider); who
// measures or foretells them stays outside core. Units: degrees Celsius, metres
// a second, millimetres, per cent.
package weather
